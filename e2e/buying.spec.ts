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
