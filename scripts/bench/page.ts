import { readFile } from 'node:fs/promises';
import { chromium, type Page } from '@playwright/test';
import { median } from './measure';

export { measureBigProject } from './big-page';
export { measureSet } from './set-page';

const PARTS = 5000;
const SAMPLES = 9;

/** Milliseconds from an event in the page until the next frame after what it brings is there. */
async function untilPainted(page: Page, begin: string, done: string): Promise<number> {
  return page.evaluate(
    ([beginCode, doneCode]) =>
      new Promise<number>((resolve) => {
        const begun = performance.now();
        // Written by this file alone; functions do not survive the way into the page as source.
        (globalThis as unknown as { act: Record<string, () => unknown> }).act[beginCode!]!();
        const look = () => {
          const isThere = (globalThis as unknown as { act: Record<string, () => unknown> }).act[
            doneCode!
          ]!();
          if (isThere) requestAnimationFrame(() => resolve(performance.now() - begun));
          else requestAnimationFrame(look);
        };
        requestAnimationFrame(look);
      }),
    [begin, done] as const
  );
}

/** What a page has to do and how it is seen to be done; put into the page once. */
function acts(): void {
  const shelfRows = () => document.querySelectorAll('.scroller li').length;
  const viewLink = (name: string) =>
    [...document.querySelectorAll<HTMLAnchorElement>('nav a')].find((link) =>
      link.textContent?.trim().startsWith(name)
    )!;
  const words = () => document.querySelector<HTMLInputElement>('input[placeholder="Find a part"]')!;
  const type = (text: string) => {
    words().value = text;
    words().dispatchEvent(new Event('input', { bubbles: true }));
  };
  const firstRow = () => document.querySelector('.scroller li')?.textContent ?? '';
  let clip = 1000;
  (globalThis as unknown as { act: Record<string, () => unknown> }).act = {
    openShelf: () => viewLink('Shelf').click(),
    shelfIsThere: () => shelfRows() > 5,
    openBuying: () => viewLink('Buying').click(),
    buyingIsThere: () =>
      shelfRows() === 0 && document.querySelector('h1')?.textContent === 'Buying list',
    find: () => type(`clip ${(clip += 7)}`),
    isFound: () => firstRow().includes(`Clip ${clip}`),
    clear: () => type(''),
    isCleared: () => shelfRows() > 5
  };
}

const openBrowser = () =>
  chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--no-first-run']
  });

/** Runs the bench of the core in a worker of a real browser, where it works for a person. */
export async function measureInWorker(program: string): Promise<void> {
  const browser = await openBrowser();
  const page = await browser.newPage();
  const lines = await page.evaluate(
    (code) =>
      new Promise<string[]>((resolve, reject) => {
        const worker = new Worker(URL.createObjectURL(new Blob([code])));
        worker.onmessage = ({ data }: MessageEvent<string[]>) => resolve(data);
        worker.onerror = ({ message }) => reject(new Error(message));
      }),
    await readFile(program, 'utf8')
  );
  console.log('\nIn a worker of the browser, as the app judges:');
  for (const line of lines) console.log(line);
  await browser.close();
}

/** Opens the shelf with five thousand parts in a real browser and times it from click to picture. */
export async function measurePage(address: string): Promise<void> {
  const browser = await openBrowser();
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.addInitScript(acts);
  await page.goto(`${address}/?open=demo`);
  await page.waitForURL('**/satchel');
  await page.goto(`${address}/shelf`);
  const rows = Array.from(
    { length: PARTS },
    (_, index) =>
      `Field ${index % 40},Clip ${index},sundry,tape,${1 + (index % 90)}.00,${5 + (index % 300)}`
  );
  await page.getByRole('button', { name: 'Import a spreadsheet' }).click();
  await page.getByLabel('Spreadsheet file').setInputFiles({
    name: 'parts.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(['maker,model,kind,use,price new,massG', ...rows].join('\r\n'))
  });
  await page.getByRole('button', { name: `Import ${PARTS} parts` }).click();
  await page.getByText(/^5\d\d\d parts$/).waitFor({ timeout: 60_000 });
  await page.getByText('all saved').waitFor();

  const opened: number[] = [];
  const found: number[] = [];
  for (let sample = 0; sample < SAMPLES; sample++) {
    await untilPainted(page, 'openBuying', 'buyingIsThere');
    opened.push(await untilPainted(page, 'openShelf', 'shelfIsThere'));
    found.push(await untilPainted(page, 'find', 'isFound'));
    await untilPainted(page, 'clear', 'isCleared');
  }
  const say = (what: string, values: number[], aim: string) =>
    console.log(`${what.padEnd(58)}${median(values).toFixed(0).padStart(6)} ms  ${aim}`);
  say(`page: shelf of ${PARTS}, click to picture`, opened, '≤ 500 ms');
  say('page: a word typed to the sifted picture', found, '≤ 50 ms');
  await browser.close();
}
