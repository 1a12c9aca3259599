import { expect, kept, openDemo, test } from './bench';

test('a lamp is given a role of its own, is missed its stand, and does without again', async ({
  page
}) => {
  await openDemo(page);
  await page.goto('/satchel/light');
  await page.getByText('Add beside', { exact: true }).click();
  await page.getByPlaceholder('Find among them').fill('Tile 12');
  await page.getByRole('option').filter({ hasText: 'Tile 12' }).click();
  await page.keyboard.press('Enter');
  const lamps = page.getByRole('region', { name: 'Lamps by scene' });
  const role = lamps.getByLabel('Role of Tile 12 in Loom lesson');
  await expect(role).toBeVisible();
  await role.selectOption('overhead light');
  await expect(role).toHaveValue('overhead');
  await lamps.getByLabel('Distance of Tile 12, m').fill('0.9');
  await lamps.getByLabel('Distance of Tile 12, m').press('Tab');
  await kept(page);
  await page.reload();
  await expect(role).toHaveValue('overhead');
  await expect(lamps.getByLabel('Distance of Tile 12, m')).toHaveValue('0.9');
  // The demo’s overhead arm is free here and could hold it; the one stand is the key’s.
  await role.selectOption('back light');
  await kept(page);
  await page.goto('/satchel');
  const missed = page.locator('[data-code="G10"]');
  await expect(missed).toContainText('nothing holds Tile 12, the back light');
  await missed.getByRole('button', { name: '1 more' }).click();
  await missed.getByRole('button', { name: /^Add / }).click();
  await expect(missed).toHaveCount(0);

  // A person says which stand is for which lamp.
  await page.goto('/satchel/light');
  const holds = lamps.getByLabel('What holds Ray 65 + 55 cm dome in Loom lesson');
  await expect(holds).toHaveValue('');
  const stands = await holds.locator('option').allTextContents();
  expect(stands[0]).toContain('chosen for you');
  await holds.selectOption({ index: 2 });
  await kept(page);
  await page.reload();
  await expect(holds.locator('option:checked')).toContainText(/^always on /);
});
