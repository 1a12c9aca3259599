import { readFile } from 'node:fs/promises';
import { expect, kept, openDemo, type Page, test, verdict } from './bench';

async function saved(page: Page, name: string): Promise<{ file: string; text: string }> {
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name }).click();
  const done = await download;
  return { file: done.suggestedFilename(), text: await readFile(await done.path(), 'utf8') };
}

test('the list goes out as Markdown and as CSV, with the sums the page shows', async ({ page }) => {
  await openDemo(page);
  await page.goto('/buying');
  const rows = page.locator('article tbody tr');
  await expect(rows.first()).toBeVisible();
  const shown = await rows.count();
  expect(shown).toBeGreaterThan(8);

  const markdown = await saved(page, 'Save as Markdown');
  expect(markdown.file).toBe('saltmarsh-loom-buying-list.md');
  expect(markdown.text).toContain('# Buying list: Saltmarsh loom');
  expect(markdown.text.match(/^\| (?!Part|---)/gm)).toHaveLength(shown);
  expect(markdown.text).toContain('£58.00 over');

  const csv = await saved(page, 'Save as CSV');
  expect(csv.file).toBe('saltmarsh-loom-buying-list.csv');
  const lines = csv.text.trim().split(/\r\n/);
  expect(lines).toHaveLength(shown + 1);
  expect(lines[0]).toContain('together GBP');
  // No cell begins as a formula would.
  for (const line of lines) expect(line).not.toMatch(/(^|,)"?[=+@]/);
});

test('what is bought leaves the list and stays in the sum; what is moved to later waits at its end', async ({
  page
}) => {
  await openDemo(page);
  await page.goto('/buying');
  const rows = page.locator('article tbody tr');
  await expect(rows.first()).toBeVisible();
  const before = await rows.count();
  const total = await page.locator('.total').textContent();
  await page.getByRole('checkbox', { name: 'Dunmarrow Plover is bought' }).press('Space');
  await expect(rows).toHaveCount(before - 1);
  await expect(page.locator('.total')).toHaveText(total!);
  await kept(page);
  await page.goto('/satchel/storage');
  await page.getByRole('listbox', { name: 'Chosen lines in order' }).focus();
  await page.keyboard.press('End');
  await page.keyboard.press('l');
  await expect(verdict(page)).toHaveText('£14.00 left');
  await kept(page);
  await page.goto('/buying');
  await expect(page.getByRole('heading', { name: 'Later' })).toBeVisible();
  await expect(page.locator('article table').last()).toContainText('Cellar 1 TB');
});

test('printed, it is the list and nothing else', async ({ page }) => {
  await openDemo(page);
  await page.goto('/buying');
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('heading', { name: 'Buying list' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden();
  await expect(page.locator('.strap')).toBeHidden();
});

test('a sum done by hand is checked line by line, and a cash-back counted apart', async ({
  page
}) => {
  await openDemo(page);
  await page.goto('/buying');
  const money = page.getByRole('dialog', { name: /^Money of/ });
  const say = async (part: string, field: string, value: string) => {
    await page.getByRole('button', { name: `Money of ${part}` }).click();
    await money.getByLabel(field).fill(value);
    await money.getByLabel(field).press('Tab');
    await page.keyboard.press('Escape');
    await expect(money).toBeHidden();
  };
  // 1,150 less 132 is 1,018; of the 853 after the lamp the body leaves 528, not 530.
  await say('Dunmarrow Plover', 'Left after it by hand', '1018');
  await say('Quillfeather Ray 65 + 55 cm dome', 'Left after it by hand', '£853');
  await say('Orrowby Linnet', 'Left after it by hand', '530,00');
  const row = (part: string) => page.getByRole('row', { name: new RegExp(part) });
  await expect(row('Dunmarrow Plover')).toContainText('£1,018.00 ✓');
  await expect(row('Ray 65')).toContainText('£853.00 ✓');
  await expect(row('Orrowby Linnet')).toContainText('£530.00 ✗');
  await expect(
    page.getByText('By hand £530.00 were left after Linnet; truly it is £528.00 left.')
  ).toBeVisible();

  await say('Orrowby Linnet', 'Cash-back later', '25');
  await expect(page.getByText('After cash-back £1,183.00')).toBeVisible();
  await page.getByRole('button', { name: 'Money of Orrowby Linnet' }).click();
  await money.getByLabel('Shipping').fill('12 USD');
  await money.getByLabel('Shipping').press('Tab');
  await expect(money).toContainText('“12 USD” is in USD; this list is kept in GBP.');
  await page.keyboard.press('Escape');

  await kept(page);
  await page.goto('/satchel');
  await page.getByRole('button', { name: /good to know/ }).click();
  await expect(
    page.getByText('The sum by hand goes wrong at Linnet: £530.00 left, not £528.00 left')
  ).toBeVisible();
});

test('a list pasted with what a hand has left is checked like one typed', async ({ page }) => {
  await openDemo(page);
  await page.goto('/shelf');
  await page.getByRole('button', { name: /Paste a list/ }).click();
  const dialog = page.getByRole('dialog', { name: 'Paste a list' });
  await dialog
    .getByLabel('One part a line')
    .fill('Dunmarrow Plover 132, left 1018\nOrrowby Linnet 325 (530 left)');
  await expect(dialog).toContainText('£1,018.00 left by hand');
  await dialog.getByText('Into the kit, to buy').click();
  await dialog.getByRole('button', { name: 'Take 2 parts' }).click();
  await kept(page);
  await page.goto('/buying');
  await expect(page.getByRole('row', { name: /Dunmarrow Plover/ })).toContainText('£1,018.00 ✓');
  await expect(page.getByRole('row', { name: /Orrowby Linnet/ })).toContainText('£530.00 ✗');
});

test('the list is grouped by shop, each with what it takes together', async ({ page }) => {
  await openDemo(page);
  await page.goto('/buying');
  await page.getByText('Grouped by shop').click();
  const shops = page.getByRole('rowheader').filter({ hasText: /./ });
  await expect(shops.filter({ hasText: 'mail order' })).toHaveCount(1);
  const sums = await page.locator('tr.shop .figures').allTextContents();
  const pence = sums.map((sum) => Math.round(Number(sum.replace(/[^\d.]/g, '')) * 100));
  expect(pence.reduce((sum, value) => sum + value, 0)).toBe(120_800);
});
