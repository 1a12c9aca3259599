import { type Page, expect, kept, openDemo, test, verdict } from './bench';

test.beforeEach(async ({ page }) => {
  await openDemo(page);
  await page.goto('/ledger');
});

const firm = (page: Page) => page.getByRole('region', { name: 'Firm' });
const row = (page: Page, lineId: string) => page.locator(`[data-line="${lineId}"]`);

async function say(page: Page, label: string, value: string) {
  await page.getByLabel(label, { exact: true }).fill(value);
  await page.getByLabel(label, { exact: true }).press('Tab');
}

test('what is paid stands in place of the price, and what a return loses still counts', async ({
  page
}) => {
  await expect(firm(page)).toContainText('£1,208.00');
  await page.getByRole('button', { name: 'Money of Dunmarrow Plover' }).click();
  await page.getByLabel('State').selectOption('bought');
  await say(page, 'Paid in all', '122.75');
  await kept(page);
  await page.keyboard.press('Escape');
  await expect(row(page, 'line-1')).toContainText('£9.25 cheaper');
  // 1 208.00 less the 9.25 it was cheaper by.
  await expect(firm(page)).toContainText('£1,198.75');
  await expect(firm(page)).toContainText('£122.75 paid, £1,076.00 not yet');
  await expect(verdict(page)).toHaveText('£48.75 over');

  await page.getByRole('button', { name: 'Money of Dunmarrow Plover' }).click();
  await page.getByLabel('State').selectOption('returned');
  await say(page, 'Refunded', '115.80');
  await kept(page);
  await page.keyboard.press('Escape');
  await expect(row(page, 'line-1')).toContainText('£6.95 lost');
  // 1 076.00 for the rest and 6.95 that the post kept.
  await expect(firm(page)).toContainText('£1,082.95');
  await page.reload();
  await expect(firm(page)).toContainText('£1,082.95');
  await page.getByRole('button', { name: /^Undo:/ }).click();
  await expect(firm(page)).not.toContainText('£1,082.95');
});

test('buying goes in steps, each with its day, and the days go into a calendar', async ({
  page
}) => {
  const steps = page.getByRole('region', { name: 'In steps' });
  await expect(steps.locator('[data-step="now"]')).toContainText('not reached by saving');
  await say(page, 'I have', '320');
  await say(page, 'I save a month', '100');
  await kept(page);
  // 1 208 less 320 are 888, nine months of a hundred after November 2026.
  await expect(steps.locator('[data-step="now"]')).toContainText(/Aug\s1,\s2027|1\sAug\s2027/);
  await steps.locator('[data-step="now"] summary').click();
  await steps.getByRole('button', { name: 'Cellar 1 TB to later' }).press('Enter');
  await expect(steps.locator('[data-step="later"]')).toContainText('£72.00');
  await expect(verdict(page)).toHaveText('£14.00 left');
  const days = page.getByRole('region', { name: 'Days that matter' });
  await expect(days).toContainText('enough saved for what is now: £1,136.00');
  const download = page.waitForEvent('download');
  await days.getByRole('button', { name: 'Save as a calendar (.ics)' }).click();
  const file = await download;
  expect(file.suggestedFilename()).toBe('money-days.ics');
  const stream = await file.createReadStream();
  let text = '';
  for await (const chunk of stream) text += String(chunk);
  expect(text).toContain('BEGIN:VCALENDAR');
  expect(text).toContain('DTSTART;VALUE=DATE:2027');
});

test('a sum done by hand is checked where it goes wrong', async ({ page }) => {
  await page.getByRole('button', { name: 'Money of Dunmarrow Plover' }).click();
  await say(page, 'Left after it by hand', '1018');
  await kept(page);
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Money of Quillfeather Ray 65 + 55 cm dome' }).click();
  await say(page, 'Left after it by hand', '850');
  await kept(page);
  await page.keyboard.press('Escape');
  const card = page.getByRole('region', { name: 'A sum done by hand' });
  // 1 018 − 165 = 853.
  await expect(card).toContainText('goes wrong here: £1,018.00 less £165.00 leaves £853.00');
});

test('two plans are compared by what differs, and a choice is taken across', async ({ page }) => {
  await page.getByRole('link', { name: 'compare plans' }).click();
  await expect(page.getByRole('main')).toContainText('Two plans are needed');
  await page.getByRole('button', { name: 'Branch plan B' }).click();
  await expect(page.getByRole('main')).toContainText('Nothing differs');
  await page.goto('/ledger');
  await page.getByRole('button', { name: 'Money of Pellamund Cellar 1 TB' }).click();
  await page.getByLabel('Pieces').fill('2');
  await page.getByLabel('Pieces').press('Tab');
  await kept(page);
  await page.goto('/compare');
  const row = page.locator('[data-gear="pellamund-cellar-1-tb"]');
  await expect(row).toContainText('2 pieces, new');
  await expect(page.getByRole('img', { name: /Worth against cost/ })).toBeVisible();
  await row.getByRole('button', { name: /take it/ }).click();
  await expect(page.getByRole('main')).toContainText('Nothing differs');
});

test('the shops are asked, a price is taken by hand alone, and bad questions get a sentence', async ({
  page,
  request
}) => {
  const asking = page.getByRole('region', { name: 'Ask the shops' });
  await asking.getByRole('button', { name: /^Ask for \d+ parts$/ }).click();
  await expect(asking.getByRole('button', { name: 'Stop' })).toBeVisible();
  await expect(asking.getByRole('button', { name: /^Ask for/ })).toBeVisible({ timeout: 60_000 });
  await expect(firm(page)).toContainText('£1,208.00');
  await asking.getByRole('button', { name: 'take this price' }).first().click();
  await kept(page);
  await expect(asking.getByText('taken', { exact: true })).toHaveCount(1);
  await expect(firm(page)).not.toContainText('£1,208.00');
  await page.getByRole('button', { name: /^Undo:/ }).click();
  await expect(firm(page)).toContainText('£1,208.00');

  for (const [words, status] of [
    ['shop=nobody&gear=dunmarrow-plover&day=2026-11-29', 400],
    ['shop=corner&gear=dunmarrow-plover&day=yesterday', 400],
    ['shop=corner&gear=dunmarrow-plover&day=2026-11-29&attempt=x', 400],
    ['shop=corner&gear=no-such-part&day=2026-11-29', 404]
  ] as const) {
    const answer = await request.get(`/api/quotes?${words}`);
    expect(answer.status(), words).toBe(status);
    expect((await answer.json()).message).toMatch(/\.$/);
  }
});
