// Takes the pictures of docs/screenshots/ from the demo, anew: `npm run screenshots [-- name …]`.
import { chromium } from '@playwright/test';
import { buildWhenChanged, installWhenNeeded } from './own-setup.mjs';

installWhenNeeded();
buildWhenChanged();
const { serve } = await import('./serve.mjs');
const { address, close } = await serve(4390);
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu']
});

/** @typedef {{ name: string, path: string, width?: number, height?: number, dark?: boolean, before?: (page: import('@playwright/test').Page) => Promise<void> }} Picture */

/** Days of the loom as they really went: when, takes lost, switches left off, minutes of its battery. */
const LOGGED = [
  ['2026-03-14', '0', '0', '70'],
  ['2026-06-02', '3', '1', '66'],
  ['2026-11-24', '2', '1', '61']
];

/** @param {import('@playwright/test').Page} page */
async function filmAllOnOneDay(page) {
  await page.getByRole('button', { name: 'Film all scenes on one day' }).click();
  await page.getByRole('button', { name: 'Put them on my list' }).waitFor({ timeout: 60_000 });
  await page.getByText('all saved').waitFor();
}

/** @type {Picture[]} */
const pictures = [
  { name: 'first-run', path: '/' },
  { name: 'brief', path: '/brief' },
  { name: 'satchel', path: '/satchel' },
  {
    name: 'pack',
    path: '/satchel/pack',
    before: async (page) => {
      await page.getByRole('region', { name: 'Why this kit' }).waitFor({ timeout: 120_000 });
    }
  },
  { name: 'satchel-phone', path: '/satchel', width: 390, height: 844 },
  {
    name: 'chooser',
    path: '/satchel/sound',
    before: async (page) => {
      await page.getByRole('option').filter({ hasText: 'Thimble One' }).click();
      await page.evaluate(() => scrollTo(0, 0));
    }
  },
  {
    name: 'set',
    path: '/set',
    before: async (page) => {
      await page.getByRole('button', { name: 'Loom lesson', exact: true }).click();
      await page.getByLabel('Beside it').selectOption({ label: 'f/8' });
    }
  },
  {
    name: 'rehearse',
    path: '/rehearse',
    before: async (page) => {
      await filmAllOnOneDay(page);
      await page.getByRole('button', { name: 'Look at a middling day' }).click();
      await page.evaluate(() => scrollTo(0, 0));
    }
  },
  {
    name: 'rehearse-away',
    path: '/',
    before: async (page) => {
      await page.getByRole('button', { name: 'Open the Drovers’ road' }).click();
      await page.waitForURL('**/satchel');
      await page.goto(`${address}/rehearse`);
      await filmAllOnOneDay(page);
    }
  },
  {
    name: 'logbook',
    path: '/rehearse',
    before: async (page) => {
      await filmAllOnOneDay(page);
      for (const [date, lost, off, minutes] of LOGGED) {
        await page.goto(`${address}/rehearse/logbook`);
        await page.getByRole('button', { name: 'Write a day down' }).click();
        await page.getByLabel('Filmed on').fill(date);
        await page.getByLabel('Takes lost').fill(lost);
        await page.getByLabel(/^Setting up/).fill('19');
        await page.getByLabel(/^switch left off/).fill(off);
        await page.getByLabel(/^Linnet \(reckoned/).fill(minutes);
        await page.getByLabel('Note').click();
        await page.getByRole('button', { name: 'Write it down' }).click();
        await page.getByText('all saved').waitFor();
      }
    }
  },
  {
    name: 'ledger',
    path: '/ledger',
    before: async (page) => {
      await page.getByLabel('I have').fill('320');
      await page.getByLabel('I have').press('Tab');
      await page.getByLabel('I save a month').fill('95');
      await page.getByLabel('I save a month').press('Tab');
      await page.getByText('all saved').waitFor();
    }
  },
  {
    name: 'cards',
    path: '/cards',
    before: async (page) => {
      await page.getByRole('tab', { name: 'Pre-roll' }).click();
    }
  },
  {
    name: 'practise',
    path: '/set/practise',
    before: async (page) => {
      await page.getByRole('button', { name: 'Loom lesson', exact: true }).click();
      await page.getByLabel('Practise', { exact: true }).selectOption('a lamp is added');
      await page.getByRole('button', { name: 'Take it' }).click();
      await page.getByRole('region', { name: 'How it went' }).waitFor();
    }
  },
  { name: 'buying-list', path: '/buying' },
  { name: 'shelf', path: '/shelf' },
  {
    name: 'reader',
    path: '/shelf/edit',
    before: async (page) => {
      await page.getByLabel('Kind', { exact: true }).selectOption('body');
      await page.getByLabel('Form', { exact: true }).selectOption('phone');
      await page.getByLabel('Maker').fill('My own');
      await page.getByLabel('Model').fill('phone');
      await page
        .getByLabel('Specification text')
        .fill(
          'Smartphone. Main camera: 24 mm equivalent f/1.8, 1/1.3" sensor, minimum focus 10 cm, optical image stabilisation. Battery 5000 mAh 3.85 V built in. 4K 30 fps 60 Mbps. Weight 203 g. 529,00 €'
        );
    }
  },
  {
    name: 'why',
    path: '/satchel',
    before: async (page) => {
      const finding = page.locator('[data-code="A1"]').first();
      await finding.locator('.line').click();
      await finding.getByRole('button', { name: 'How is that worked out?' }).click();
      await page.locator('summary', { hasText: 'voice at the microphone' }).click();
      await page.locator('summary', { hasText: 'mouth to microphone' }).click();
    }
  },
  {
    name: 'ask',
    path: '/shelf/edit?id=orrowby-linnet',
    before: async (page) => {
      await page.getByLabel('Draw, W', { exact: true }).fill('');
      await page.getByRole('button', { name: 'Save the part' }).click();
      await page.waitForURL('**/shelf/orrowby-linnet');
      await page.waitForTimeout(800);
      await page.goto(`${address}/satchel`);
      const ask = page.getByRole('region', { name: 'Ask before you pay' });
      await ask.getByRole('button', { name: 'I have the answer' }).first().click();
      await ask.scrollIntoViewIfNeeded();
    }
  },
  {
    name: 'proof',
    path: '/proof',
    before: async (page) => {
      await page.getByLabel('Of which scene').selectOption({ label: 'Loom lesson' });
      const kept = page.getByRole('list', { name: 'Takes kept' }).getByRole('button');
      await page.getByRole('button', { name: 'Simulate a sound take' }).click();
      await kept.first().waitFor();
      await page.getByText('The microphone cable lies along a mains cable').click();
      await page.getByRole('button', { name: 'Simulate a sound take' }).click();
      await kept.nth(1).waitFor();
      await kept.nth(1).click();
      await kept.first().click();
      await page.getByRole('region', { name: 'Two takes compared' }).waitFor();
      await page.evaluate(() => scrollTo(0, 0));
    }
  }
];

const wanted = process.argv.slice(2);
for (const { name, path, width = 1280, height = 800, dark = false, before } of pictures) {
  if (wanted.length && !wanted.includes(name)) continue;
  const context = await browser.newContext({
    viewport: { width, height },
    colorScheme: dark ? 'dark' : 'light',
    locale: 'en-GB'
  });
  const page = await context.newPage();
  // The demo's prices are of this day; a later one would show them growing stale.
  await page.clock.setFixedTime(new Date('2026-11-25T09:00:00'));
  if (path !== '/') {
    await page.goto(`${address}/?open=demo`);
    await page.waitForURL('**/satchel');
  }
  await page.goto(`${address}${path}`);
  await page.waitForTimeout(1200);
  await before?.(page);
  await page.waitForTimeout(400);
  // A slow machine is still looking for what the picture is to show.
  await page.getByText('looking for remedies…').first().waitFor({ state: 'detached' });
  await page.screenshot({ path: `docs/screenshots/${name}.png` });
  await context.close();
}
await browser.close();
close();
