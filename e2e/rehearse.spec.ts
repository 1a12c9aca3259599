import { readFile } from 'node:fs/promises';
import { type Page, expect, kept, openDemo, test, verdict } from './bench';

/** Opens the loom with all its scenes on one day, and waits until everything is tried. */
async function rehearse(page: Page) {
  await openDemo(page);
  await page.keyboard.press('5');
  await page.waitForURL('**/rehearse');
  await page.getByRole('button', { name: 'Film all scenes on one day' }).click();
  await kept(page);
  await tried(page);
}
const tried = (page: Page) =>
  expect(saves(page).getByRole('button', { name: 'Put them on my list' })).toBeVisible({
    timeout: 60_000
  });
const saves = (page: Page) => page.getByRole('region', { name: 'What would have saved it' });
const many = (page: Page) => page.getByRole('region', { name: 'Many such days' });
const oneDay = (page: Page) => page.getByRole('region', { name: 'One day' });
const story = (page: Page) => page.getByRole('region', { name: 'The day in sentences' });
const inTheCan = async (page: Page) =>
  Number(/(\d+) of 16 takes in the can/.exec(await oneDay(page).innerText())?.[1]);
const wholeDays = async (page: Page) =>
  Number(/(\d+) in 100/.exec(await many(page).innerText())?.[1]);

test('a day that fails is mended by a line that costs nothing, and comes back with undo', async ({
  page
}) => {
  await rehearse(page);
  // One battery for three scenes: it is dead by noon, whatever else happens.
  await page.getByRole('tab', { name: 'As planned' }).click();
  await expect.poll(() => inTheCan(page)).toBe(9);
  await expect(story(page).getByRole('listitem').first()).toContainText(
    'The battery in Linnet is empty; 7 takes are lost.'
  );
  await expect.poll(() => wholeDays(page)).toBe(0);
  await expect(many(page)).toContainText('battery of Linnet');

  // From the sentence to what would have saved it.
  await story(page)
    .getByRole('button', { name: /^Saved by: Charged while there is a socket/ })
    .click();
  const line = saves(page).getByRole('button', { name: /^Put on my list ?: Charged while/ });
  await expect(line).toBeFocused();
  await page.keyboard.press('Enter');
  await kept(page);
  await expect.poll(() => inTheCan(page)).toBe(16);
  await expect.poll(() => wholeDays(page), { timeout: 30_000 }).toBeGreaterThan(30);

  // The line stands on the card one carries.
  await page.goto('/cards');
  await page.getByRole('tab', { name: 'Pre-roll' }).click();
  await expect(
    page.getByText('Charger into the socket on arrival, empty batteries into it').first()
  ).toBeVisible();
  await page.goto('/rehearse');
  // A page that has not come up yet hears no key.
  await page.getByRole('tab', { name: 'As planned' }).click();
  await expect.poll(() => inTheCan(page)).toBe(16);
  await page.keyboard.press('Control+z');
  await expect.poll(() => inTheCan(page)).toBe(9);
});

test('a day is tried with lines that are kept nowhere, and a battery is bought', async ({
  page
}) => {
  await rehearse(page);
  const before = await inTheCan(page);
  // What saves most is known when all has been tried.
  await expect(saves(page)).not.toContainText('trying more', { timeout: 60_000 });
  await saves(page).getByRole('button', { name: 'Try the day so' }).click();
  await expect(oneDay(page)).toContainText('tried with 3 lines more on your lists');
  await expect.poll(() => inTheCan(page)).toBeGreaterThan(before);
  await saves(page).getByRole('button', { name: 'Show the day as it is' }).click();
  await expect.poll(() => inTheCan(page)).toBe(before);

  await saves(page)
    .getByRole('button', { name: /^Show all/ })
    .click();
  const bank = saves(page).getByRole('listitem').filter({ hasText: 'Hearth 37' });
  await expect(bank).toContainText('£39');
  await bank.getByRole('button', { name: /^Take it/ }).click();
  await kept(page);
  // £58 over, and £39 more.
  await expect(verdict(page)).toHaveText('£97.00 over');
  await expect.poll(() => inTheCan(page), { timeout: 20_000 }).toBeGreaterThan(before);
});

test('a day is gone through by key, and read as a table', async ({ page }) => {
  await rehearse(page);
  await page.getByRole('tab', { name: 'As planned' }).click();
  const clock = oneDay(page).locator('.clock b');
  const next = oneDay(page).getByRole('button', { name: 'To the next moment' });
  const before = await clock.textContent();
  await next.focus();
  await page.keyboard.press('Enter');
  await expect(clock).not.toHaveText(before!);
  await oneDay(page).getByRole('button', { name: 'To the moment before' }).click();
  await expect(clock).toHaveText(before!);
  await expect(oneDay(page).getByRole('status')).toContainText(/Linnet battery \d+ %/);

  await page.getByRole('button', { name: 'The day as a table' }).click();
  const rows = page.getByRole('row').filter({ hasText: 'Loom lesson, take' });
  await expect(rows).toHaveCount(4);
  await expect(rows.nth(3)).toContainText('lost: battery empty');
  await expect(rows.first()).toContainText('yes');

  // The next morning begins with what the night could fill, and the page says what it could not.
  await page.getByRole('button', { name: 'When it begins, and its takes' }).click();
  const inARow = page.getByLabel('Days in a row, a socket each night');
  await inARow.fill('15');
  await expect(page.getByText('From 1 to 14 days.')).toBeVisible();
  await inARow.fill('3');
  await inARow.press('Tab');
  await kept(page);
  await expect(oneDay(page).getByRole('heading')).toContainText('3 days in a row');
  await expect(story(page)).toContainText(/3 days used \d+ Wh and wrote \d+ GB/);
});

test('the same seed gives the same days, another gives others; takes, times and chances are one’s own', async ({
  page
}) => {
  await rehearse(page);
  const said = async () => {
    await tried(page);
    return many(page).locator('.columns').innerText();
  };
  const first = await said();
  const seed = many(page).getByLabel(/^Seed/);
  await seed.fill('5');
  await seed.press('Tab');
  await kept(page);
  await expect.poll(said, { timeout: 20_000 }).not.toBe(first);
  await seed.fill('2417');
  await seed.press('Tab');
  await expect.poll(said, { timeout: 20_000 }).toBe(first);

  await page.getByRole('button', { name: 'When it begins, and its takes' }).click();
  await page.getByLabel('Out of the house at').fill('07:10');
  await page.getByLabel('Out of the house at').press('Tab');
  const takes = page
    .getByRole('group', { name: /^Marsh path/ })
    .getByLabel('Takes', { exact: true });
  await takes.fill('20');
  await takes.press('Tab');
  await kept(page);
  await expect(oneDay(page)).toContainText(/of 28 takes in the can/);
  await page.getByRole('button', { name: /^My lists/ }).click();
  const gust = page.getByLabel('gust, %');
  await gust.fill('60');
  await gust.press('Tab');
  await kept(page);
  await expect(many(page)).toContainText(/gusts [2-9]\d %/, { timeout: 20_000 });

  await page.getByRole('button', { name: /^Later ?: Marsh path/ }).click();
  await kept(page);
  await expect(oneDay(page).getByRole('heading')).toBeVisible();
  await expect(page.getByRole('group').filter({ hasText: 'Takes' }).first()).toContainText(
    'Loom lesson'
  );
});

test('the real day is written down, teaches, and goes out as a spreadsheet', async ({ page }) => {
  await rehearse(page);
  await page.getByRole('link', { name: 'Logbook' }).click();
  await page.getByRole('button', { name: 'Write a day down' }).click();
  const form = page.getByRole('form', { name: 'A day of the logbook' });
  await form.getByLabel('Filmed on').fill('2026-11-24');
  await form.getByLabel('Takes lost').fill('99');
  await form.getByLabel('Takes lost').press('Tab');
  await expect(form.getByRole('button', { name: 'Write it down' })).toBeDisabled();
  await form.getByLabel('Takes lost').fill('2');
  await form.getByLabel(/^Setting up/).fill('30');
  await form.getByLabel(/^switch left off/).fill('2');
  await form.getByLabel(/^Linnet \(reckoned 74\)/).fill('37');
  await form.getByLabel('Note').fill('=the lamp was off');
  await form.getByLabel('Note').press('Tab');
  await form.getByRole('button', { name: 'Write it down' }).click();
  await kept(page);

  const taught = page.getByRole('region', { name: 'What it teaches' });
  // (0.03 × 50 + 2) ÷ (50 + 4), and (60 + 37) ÷ (60 + 74).
  await expect(taught.getByRole('row').filter({ hasText: 'switch left off' })).toContainText(
    '6.5 %'
  );
  await expect(
    taught.getByRole('row').filter({ hasText: 'battery: Orrowby Linnet' })
  ).toContainText('72 %');
  // Nobody looked how long the microphone lasted.
  await expect(taught).not.toContainText('Plover');
  await expect(page.getByRole('region', { name: 'The year' })).toContainText('14 of 16');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save CSV' }).click()
  ]);
  const csv = await readFile((await download.path())!, 'utf8');
  expect(csv).toContain('2026-11-24,"Marsh path, Loom lesson, Shuttle hands",16,2,30,');
  expect(csv).toContain("'=the lamp was off");

  // The next rehearsal runs on a weaker battery.
  await page.getByRole('link', { name: '← Rehearse' }).click();
  await expect(oneDay(page)).toContainText('6.0 Wh');
  await page.goto('/rehearse/logbook');
  // The judge goes by it once it is written on the part; undo brings both back.
  const judgeToo = page.getByRole('button', {
    name: /^Take 6\.0 Wh as what the battery of Linnet holds/
  });
  await judgeToo.click();
  await kept(page);
  await expect(judgeToo).toHaveCount(0);
  await page.goto('/shelf/orrowby-linnet');
  await expect(page.getByRole('definition').filter({ hasText: 'the shelf says' })).toContainText(
    '6 Wh'
  );
  await page.goto('/rehearse/logbook');
  await expect(page.getByRole('button', { name: /^Delete 24/ })).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(judgeToo).toBeVisible();
  await page.getByRole('button', { name: /^Delete 24/ }).click();
  await kept(page);
  await expect(page.getByText('None yet.')).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('button', { name: /^Correct 24/ })).toBeVisible();
});

test('days away run on what sun and bank give, and say what is left', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Open the Drovers’ road' }).click();
  await page.waitForURL('**/satchel');
  await page.goto('/rehearse');
  await page.getByRole('button', { name: 'Film all scenes on one day' }).click();
  await kept(page);
  await expect(oneDay(page).getByRole('heading')).toContainText('3 days away');
  await page.getByRole('tab', { name: 'As planned' }).click();
  await expect(story(page)).toContainText('All 51 takes are in the can.');
  await expect(story(page)).toContainText(/Home again with \d+ Wh left of the \d+/);
});

test('on a phone the day is run, read and mended within its width', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await openDemo(page);
  await page.goto('/rehearse');
  await page.getByRole('button', { name: 'Film all scenes on one day' }).click();
  await kept(page);
  await tried(page);
  const over = () => page.evaluate(() => document.documentElement.scrollWidth - innerWidth);
  expect(await over()).toBeLessThanOrEqual(0);
  for (const part of ['When it begins, and its takes', 'The day as a table'])
    await page.getByRole('button', { name: part }).click();
  await page.getByRole('button', { name: /^My lists/ }).click();
  expect(await over()).toBeLessThanOrEqual(0);
  const before = await inTheCan(page);
  await saves(page).getByRole('button', { name: 'Put them on my list' }).click();
  await kept(page);
  await expect.poll(() => inTheCan(page), { timeout: 20_000 }).toBeGreaterThan(before);
  await expect(
    page.getByRole('checkbox', { name: /^Charger into the socket on arrival/ })
  ).toBeChecked();
  await page.goto('/rehearse/logbook');
  await page.getByRole('button', { name: 'Write a day down' }).click();
  expect(await over()).toBeLessThanOrEqual(0);
});

test('a page of the logbook is corrected, years are gone through, and it goes out as Markdown', async ({
  page
}) => {
  await openDemo(page);
  await page.goto('/rehearse/logbook');
  for (const date of ['2025-06-02', '2026-03-14']) {
    await page.getByRole('button', { name: 'Write a day down' }).click();
    const form = page.getByRole('form', { name: 'A day of the logbook' });
    await form.getByLabel('Filmed on').fill(date);
    await form.getByLabel('Filmed on').press('Tab');
    await form.getByRole('button', { name: 'Write it down' }).click();
    await kept(page);
  }
  const year = page.getByRole('region', { name: 'The year' });
  await year.getByLabel('Year').selectOption('2025');
  await expect(year.getByRole('button', { name: /8 of 8 takes/ })).toHaveCount(1);
  await year.getByRole('button', { name: /8 of 8 takes/ }).click();
  const form = page.getByRole('form', { name: 'A day of the logbook' });
  await form.getByLabel('Takes lost').fill('3');
  await form.getByLabel('Takes lost').press('Tab');
  await form.getByRole('button', { name: 'Write it down' }).click();
  await kept(page);
  await expect(year.getByRole('button', { name: /5 of 8 takes/ })).toBeVisible();
  await expect(page.getByRole('row', { name: /Orrowby Linnet/ })).toContainText(
    /over \d+ (year|month)s?.* in this book/
  );
  // Leaving the form changes nothing.
  await page.getByRole('button', { name: /^Correct 2 Jun/ }).click();
  await form.getByLabel('Takes lost').fill('8');
  await form.getByLabel('Takes lost').press('Tab');
  await form.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByRole('region', { name: 'Days written down' })).toContainText(
    '5 of 8 takes'
  );
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save Markdown' }).click()
  ]);
  const text = await readFile((await download.path())!, 'utf8');
  expect(text.indexOf('## 2025-06-02')).toBeLessThan(text.indexOf('## 2026-03-14'));
  expect(text).toContain('- 5 of 8 takes in the can');
});
