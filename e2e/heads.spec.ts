import { expect, kept, openDemo, type Page, test } from './bench';

/** Puts a part in the kit through search-and-do. */
async function putInBag(page: Page, name: string): Promise<void> {
  await page.keyboard.press('Control+k');
  await page.getByRole('combobox', { name: /Find a part/ }).fill(`put ${name} in the kit`);
  await page
    .getByRole('option')
    .filter({ hasText: `Add ${name} to kit` })
    .click();
}

test('bare legs want a head, which joins by its threads and is judged by what leans on it', async ({
  page
}) => {
  await openDemo(page);
  await putInBag(page, 'Cobberly Meadow tripod bare');
  await kept(page);
  await page.goto('/satchel/support');
  await page.getByRole('button', { name: 'Use Cobberly Meadow tripod bare in a scene' }).click();
  await page.getByRole('menuitem', { name: 'Loom lesson', exact: true }).click();
  await kept(page);
  await page.goto('/satchel');
  const broken = page.locator('li[data-code="S5"]');
  await expect(broken).toContainText('1/4-20 meets 3/8-16: nothing joins them');

  await putInBag(page, 'Cobberly Pebble ball');
  await expect(broken).toHaveCount(0);
  await expect(page.locator('.pocket[data-pocket="support"]')).toContainText('and 3 more');

  // A heavier rating that holds only low over the plate is told as a moment.
  await page.goto('/shelf/cobberly-pebble-ball');
  await expect(page.getByText('ball, payload 2.5 kg up to 50 mm over the plate')).toBeVisible();
  await page
    .getByRole('link', { name: 'Correct it' })
    .or(page.getByRole('button', { name: 'Correct it' }))
    .click();
  await page.getByLabel('payload, kg').fill('0.5');
  await page.getByRole('button', { name: 'Save the part' }).click();
  await kept(page);
  await page.goto('/satchel');
  await expect(page.locator('li[data-code="S1"]').filter({ hasText: 'Pebble ball' })).toContainText(
    'of its payload'
  );
});
