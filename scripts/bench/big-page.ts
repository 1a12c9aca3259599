import { chromium, type Page } from '@playwright/test';
import { bigSatchelText } from './big-project';
import { median } from './measure';

const SAMPLES = 5;
const SLOWER = 4;

/**
 * Longest task of the page in the seconds after an act, in milliseconds; none is shorter than fifty. The act runs in a
 * task of its own and nothing is asked of the page meanwhile: looking for an element from outside is a task as well.
 */
async function longestTask(page: Page, act: () => Promise<void> | void): Promise<number> {
  await page.evaluate(() => {
    (globalThis as unknown as { longTasks: number[] }).longTasks = [];
  });
  await act();
  await page.waitForTimeout(WATCHED_MS);
  return page.evaluate(() =>
    Math.max(0, ...(globalThis as unknown as { longTasks: number[] }).longTasks)
  );
}
const WATCHED_MS = 4000;

/** Clicks what a selector finds, in a task of the page itself. */
const click = (page: Page, selector: string): Promise<void> =>
  page.evaluate((found) => {
    setTimeout(() => document.querySelector<HTMLElement>(found)!.click());
  }, selector);

async function openBig(page: Page, address: string): Promise<void> {
  await page.addInitScript(() => {
    const told = globalThis as unknown as { longTasks: number[] };
    told.longTasks = [];
    new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) told.longTasks.push(duration);
    }).observe({ type: 'longtask' });
  });
  await page.goto(address);
  await page.getByRole('button', { name: 'File', exact: true }).click();
  await page.getByLabel('Satchel file').setInputFiles({
    name: 'big.satchel.json',
    mimeType: 'application/json',
    buffer: Buffer.from(bigSatchelText())
  });
  await page.waitForURL('**/satchel');
  await settled(page);
}

/** A page that was opened has begun to ask for what it shows. */
const BEGUN_MS = 700;

/** Remedies of every finding and every candidate of an open pocket are there, and no saving is under way. */
async function settled(page: Page): Promise<void> {
  await page.locator('.bench').waitFor();
  await page.waitForTimeout(BEGUN_MS);
  await page.waitForFunction(
    () =>
      !/looking for remedies…|saving…|judging every part|judged so far/.test(
        document.body.textContent
      ),
    undefined,
    { timeout: 120_000 }
  );
}

/** Milliseconds until every remedy is there after an act is undone or done again. */
async function settlingMs(page: Page): Promise<number> {
  return page.evaluate(
    () =>
      new Promise<number>((resolve) => {
        const begun = performance.now();
        const isLooking = () => document.body.textContent.includes('looking for remedies…');
        const back = document.querySelector<HTMLButtonElement>(
          'button[aria-label^="Undo:"], button[aria-label^="Redo:"]'
        )!;
        back.click();
        let began = false;
        const look = () => {
          began ||= isLooking();
          if (began && !isLooking()) resolve(performance.now() - begun);
          else setTimeout(look, 5);
        };
        look();
      })
  );
}

/** The big project in a real browser: its remedies, and the longest task of the page at a quarter of the speed. */
export async function measureBigProject(address: string): Promise<void> {
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--no-first-run']
  });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await openBig(page, address);
  const say = (what: string, values: number[], aim: string) =>
    console.log(`${what.padEnd(58)}${median(values).toFixed(0).padStart(6)} ms  ${aim}`);

  const session = await page.context().newCDPSession(page);
  const undo = page.getByRole('button', { name: /^Undo:/ });
  const toSatchel = async () => {
    await page.goto(`${address}/satchel`);
    await settled(page);
  };
  const openSound = async () => {
    await page.goto(`${address}/satchel/sound`);
    await page.locator('#candidates [role=option]').first().waitFor();
    await settled(page);
  };
  const acts: { name: string; before: () => Promise<void>; act: () => Promise<void> | void }[] = [
    {
      name: 'a pocket opened',
      before: toSatchel,
      act: () => click(page, 'a[href="/satchel/sound"]')
    },
    {
      name: 'the arrow keys in its list',
      before: async () => {
        await openSound();
        await page.locator('#candidates').focus();
      },
      act: async () => {
        for (let press = 0; press < 8; press++) await page.keyboard.press('ArrowDown');
      }
    },
    {
      name: 'words typed in its search',
      before: async () => {
        await openSound();
        await page.getByRole('searchbox', { name: 'Find among the candidates' }).focus();
      },
      act: () => page.keyboard.type('lavalier mic', { delay: 60 })
    },
    {
      name: 'one more of a part',
      before: openSound,
      act: () => click(page, '[aria-label="In this pocket"] button[aria-label$=" more"]')
    },
    {
      name: 'an act undone in the satchel',
      before: toSatchel,
      act: () => click(page, 'button[aria-label^="Undo:"]')
    }
  ];
  await openSound();
  await page
    .getByRole('button', { name: /^One .* more$/ })
    .first()
    .click();
  await undo.waitFor();
  await settled(page);
  await page.goto(`${address}/satchel`);
  await undo.waitFor();
  await settled(page);
  const remedies: number[] = [];
  for (let sample = 0; sample < SAMPLES; sample++) {
    remedies.push(await settlingMs(page));
    await settled(page);
  }
  say('page: big project, all remedies after an act', remedies, '≤ 1000 ms');
  for (const { name, before, act } of acts) {
    const longest: number[] = [];
    for (let sample = 0; sample < 3; sample++) {
      await before();
      await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
      longest.push(await longestTask(page, act));
      await session.send('Emulation.setCPUThrottlingRate', { rate: 1 });
    }
    say(`page at ${SLOWER} × slower, longest task: ${name}`, longest, '≤ 100 ms');
  }
  await browser.close();
}
