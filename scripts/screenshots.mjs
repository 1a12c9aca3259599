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

/** @type {Picture[]} */
const pictures = [
  { name: 'first-run', path: '/' },
  { name: 'brief', path: '/brief' },
  { name: 'brief-phone', path: '/brief', width: 390, height: 844 },
  { name: 'satchel', path: '/satchel' },
  { name: 'satchel-dark', path: '/satchel', dark: true },
  { name: 'satchel-phone', path: '/satchel', width: 390, height: 844 },
  {
    name: 'chooser',
    path: '/satchel/sound',
    before: async (page) => {
      await page.getByRole('option').filter({ hasText: 'Thimble One' }).click();
      await page.evaluate(() => scrollTo(0, 0));
    }
  },
  { name: 'chooser-phone', path: '/satchel/sound', width: 390, height: 844 },
  { name: 'buying-list', path: '/buying' },
  { name: 'buying-list-phone', path: '/buying', width: 390, height: 844 },
  { name: 'shelf', path: '/shelf' },
  { name: 'part', path: '/shelf/orrowby-linnet-ii' },
  {
    name: 'reader',
    path: '/shelf/edit',
    before: async (page) => {
      await page.getByLabel('Kind', { exact: true }).selectOption('body');
      await page
        .getByLabel('Specification text')
        .fill(
          'Compact camera, 1-inch type sensor; 3840 x 2160 30 fps 100 Mbit/s; tilting screen; no clean HDMI; lowest ISO 125; weight 302 grams\nPrice: £529.00, battery 7.2 V 1150 mAh'
        );
    }
  },
  {
    name: 'import',
    path: '/shelf',
    before: async (page) => {
      await page.getByRole('button', { name: 'Import a spreadsheet' }).click();
      const rows = [
        'Brand;Name;Type;Price;Weight;filter thread',
        'Own make;Long 44;small item;129,50;0,31 kg;',
        'Own make;;lens;12;heavy;55',
        'Own make;Odd;spoon;1;2 g;'
      ];
      await page.getByLabel('Spreadsheet file').setInputFiles({
        name: 'parts.csv',
        mimeType: 'text/csv',
        buffer: Buffer.from(rows.join('\r\n'))
      });
      await page.waitForTimeout(600);
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
    name: 'settings',
    path: '/satchel',
    before: async (page) => {
      await page.getByRole('button', { name: 'Settings for Loom lesson' }).click();
    }
  },
  {
    name: 'search-and-do',
    path: '/satchel',
    before: async (page) => {
      await page.keyboard.press('Control+k');
      await page.getByRole('combobox', { name: /Find a part/ }).fill('wind');
    }
  },
  {
    name: 'disagreements',
    path: '/satchel/lens',
    before: async (page) => {
      const summary = page.getByText('Where people disagree about the lens pocket');
      await summary.click();
      await page.locator('.side').first().waitFor();
      await summary.evaluate((line) => scrollTo(0, line.getBoundingClientRect().top - 60));
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
  await page.screenshot({ path: `docs/screenshots/${name}.png` });
  await context.close();
}
await browser.close();
close();
