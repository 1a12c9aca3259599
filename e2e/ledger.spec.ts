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
  await steps
    .locator('[data-step="now"]')
    .getByRole('button', { name: /\d lines?$/ })
    .click();
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

test('prices come in as a list, are drawn, ring an alert, and change the plan only when asked to', async ({
  page
}) => {
  const prices = page.getByRole('region', { name: 'Prices by age' });
  // By its name: the part's own dialog may still be on its way out.
  const dialog = page.getByRole('dialog', { name: 'Import a price list' });
  const choose = async (text: string) => {
    await prices.getByRole('button', { name: 'Import a price list' }).click();
    await dialog
      .locator('input[type=file]')
      .setInputFiles({ name: 'list.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
  };
  await page.getByRole('button', { name: 'Money of Dunmarrow Plover' }).click();
  await say(page, 'Alert at or below', '120');
  await kept(page);
  await page.keyboard.press('Escape');

  await choose('id,price,date,shop\ndunmarrow-plover,119.50,2026-11-20,fair\nno-such,1,,\n');
  await expect(dialog).toContainText('Line 3: id “no-such” is not a part of the shelf');
  await expect(dialog.getByRole('button', { name: /^Note/ })).toBeDisabled();
  await dialog.getByRole('button', { name: 'Cancel' }).click();
  await choose(
    'id,price,date,shop\ndunmarrow-plover,128,2026-09-20,fair\ndunmarrow-plover,119.50,2026-11-20,fair\n'
  );
  await dialog.getByRole('button', { name: 'Note 2 prices' }).click();
  await kept(page);
  await expect(firm(page)).toContainText('£1,208.00');
  await expect(prices.getByRole('status')).toContainText('Plover was £119.50 new at the fair');
  await expect(
    prices.getByRole('img', { name: /£128\.00 on .*£132\.00 on .*£119\.50 on/ })
  ).toBeVisible();
  const download = page.waitForEvent('download');
  await prices.getByRole('button', { name: 'Save prices as CSV' }).click();
  const file = await download;
  let text = '';
  for await (const chunk of await file.createReadStream()) text += String(chunk);
  expect(text).toContain('dunmarrow-plover,Dunmarrow,Plover,new,119.50,GBP,2026-11-20,fair');

  // What went out comes in, this time to be planned with.
  await choose(text);
  await dialog.getByText(/^Plan with these prices/).click();
  await dialog.getByRole('button', { name: /^Note \d+ prices$/ }).click();
  await kept(page);
  // 132.00 becomes 119.50.
  await expect(row(page, 'line-1')).toContainText('£119.50');
  await page.goto('/shelf/dunmarrow-plover');
  await expect(page.getByRole('img', { name: /Cheapest a day/ })).toBeVisible();
});

test('tax is added, videos share the cost, and money that comes in once moves a step', async ({
  page
}) => {
  await page.getByRole('button', { name: 'Money of Dunmarrow Plover' }).click();
  await say(page, 'Tax, %', '20');
  await page.getByLabel('The tax is').selectOption('added when it is paid');
  await kept(page);
  await page.keyboard.press('Escape');
  // 132.00 and 26.40 of tax.
  await expect(firm(page)).toContainText('£1,234.40');
  await expect(firm(page)).toContainText('£26.40 of it is tax');
  await say(page, 'Videos', '100');
  await say(page, 'Used up in all', '65.60');
  // (1 234.40 + 65.60) ÷ 100.
  await expect(page.getByRole('region', { name: 'Per finished video' })).toContainText('£13.00');
  await expect(page.getByRole('region', { name: 'Limits' })).toContainText('lens');

  const steps = page.getByRole('region', { name: 'In steps' });
  await say(page, 'I have', '1000');
  await expect(steps.locator('[data-step="now"]')).toContainText('not reached by saving');
  await steps.getByRole('button', { name: 'Add money that comes in once' }).click();
  await say(page, 'What comes in', 'a commission');
  await say(page, 'How much', '300');
  await page.getByLabel('On', { exact: true }).fill('2026-12-15');
  await steps.getByRole('button', { name: 'Add it' }).click();
  await kept(page);
  await expect(steps.locator('[data-step="now"]')).toContainText(/Dec\s15,\s2026|15\sDec\s2026/);
  await expect(page.getByRole('region', { name: 'Days that matter' })).toContainText(
    'a commission brings £300.00'
  );
  await steps.getByRole('button', { name: 'Delete a commission' }).click();
  await expect(steps.locator('[data-step="now"]')).toContainText('not reached by saving');
});

test('a day of filming has its evenings in the calendar', async ({ page }) => {
  await page.goto('/brief');
  await page
    .getByRole('button', { name: /a day of its own/ })
    .first()
    .click();
  await page.getByLabel('Date, where it is known').fill('2026-12-05');
  await kept(page);
  await page.goto('/ledger');
  const days = page.getByRole('region', { name: 'Days that matter' });
  await expect(days).toContainText('evening: charge everything and format the cards');
  await expect(days).toContainText('in the evening copy the cards twice');
});

test('what is owned is listed over projects, lent, sold, and the sale counts as money coming in', async ({
  page
}) => {
  await page.getByRole('button', { name: 'Money of Orrowby Linnet' }).click();
  await page.getByLabel('State').selectOption('bought');
  await say(page, 'Paid on', '2026-05-25');
  await kept(page);
  await page.keyboard.press('Escape');
  await page.getByRole('link', { name: 'inventory' }).click();
  const linnet = page.locator('[data-gear="orrowby-linnet"]');
  const lens = page.locator('[data-gear="orrowby-15-43-f-3-5-5-6"]');
  await expect(linnet).toContainText('6 months');
  await expect(lens).toContainText('fits Orrowby Linnet');
  await linnet.getByRole('button', { name: /is checked today/ }).click();
  await expect(linnet).toContainText('0 days');

  await linnet.getByRole('button', { name: /^What is known/ }).click();
  await page.getByLabel('Where it is').selectOption('lent');
  await page.getByLabel('Lent to').fill('a neighbour');
  await page.getByLabel('Back by').fill('2026-11-20');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(linnet).toContainText('lent to a neighbour');
  await expect(linnet).toContainText('due back since');
  await expect(linnet).toContainText('Saltmarsh loom counts on 1, none at hand');

  await lens.getByRole('button', { name: /^What is known/ }).click();
  await page.getByLabel('Where it is').selectOption('sold');
  await say(page, 'Sold for', '90');
  await page.getByLabel('Paid to you on').fill('2026-12-10');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(lens).toContainText('sold for £90.00');
  await lens.getByRole('button', { name: /take it out of/ }).click();
  await kept(page);
  await expect(lens).toContainText('no plan');
  await page.goto('/ledger');
  await expect(page.getByRole('region', { name: 'In steps' })).toContainText(
    'sale of Orrowby 15–43 f/3.5–5.6'
  );
  await page.reload();
  await page.goto('/inventory');
  await expect(linnet).toContainText('lent to a neighbour');
});

test('a price of another country is bought, sent back, and the ledger stays right to the penny', async ({
  page
}) => {
  await page.goto('/shelf/edit?id=dunmarrow-plover');
  await page.getByLabel('price new, low').fill('');
  await page.getByLabel('price new, high').fill('');
  await page.getByLabel('price new, likely').fill('150,00 €');
  await page.getByRole('button', { name: /^Save/ }).first().click();
  await kept(page);
  await page.goto('/brief');
  await page.getByLabel('1 EUR in GBP').fill('0.85');
  await page.getByLabel('1 EUR in GBP').blur();
  await kept(page);
  await page.goto('/ledger');
  // €150.00 at 0.85 is 127.50 in place of 132.00.
  await expect(row(page, 'line-1')).toContainText('£127.50');
  await expect(row(page, 'line-1')).toContainText('€150.00 at 0.85');
  await expect(firm(page)).toContainText('£1,203.50');
  await page.getByRole('button', { name: 'Money of Dunmarrow Plover' }).click();
  await say(page, 'Shipping', '9.95');
  await kept(page);
  await expect(page.getByRole('dialog')).toContainText('It costs £137.45 in all');
  await page.getByLabel('State').selectOption('returned');
  await say(page, 'Paid in all', '137.45');
  await say(page, 'Refunded', '120');
  await kept(page);
  await page.keyboard.press('Escape');
  // 1 208.00 − 132.00 for the rest, and 17.45 that did not come back.
  await expect(firm(page)).toContainText('£1,093.45');
  const asking = page.getByRole('region', { name: 'Ask the shops' });
  await asking.getByRole('button', { name: /^Ask for 12 parts$/ }).click();
  await expect(asking.getByRole('button', { name: /^Ask for/ })).toBeVisible({ timeout: 60_000 });
  await expect(asking.getByRole('listitem').first()).toContainText('£');
});
