import { expect, openDemo, test, verdict } from './bench';

test('the same words find a part on the shelf, among candidates, in what one owns and in search-and-do', async ({
  page
}) => {
  await openDemo(page);
  await page.goto('/shelf');
  await page.getByRole('searchbox', { name: 'Find a part' }).fill('lapel micrphone');
  await expect(page.getByText(/^[1-9]\d* of \d+ parts/)).toBeVisible();
  await expect(page.getByText('Thimble Two').first()).toBeVisible();

  await page.goto('/satchel/sound');
  const list = page.getByRole('listbox', { name: 'Candidates for the sound pocket' });
  await expect(list.getByRole('option').first()).toBeVisible();
  await page.getByRole('searchbox', { name: 'Find among the candidates' }).fill('lapel wireles');
  await expect(list.getByRole('option').filter({ hasText: 'Thimble' }).first()).toBeVisible();
  await expect(list.getByRole('option').filter({ hasText: 'windscreen' })).toHaveCount(0);
  await page.getByRole('searchbox', { name: 'Find among the candidates' }).fill('zzzqqq');
  await expect(page.getByText('No part passes the filters.')).toBeVisible();

  await page.goto('/brief');
  await page.getByRole('button', { name: 'Add what I own' }).click();
  await page.getByRole('combobox', { name: 'Find it on the shelf' }).fill('deadcat');
  await expect(
    page.getByRole('option').filter({ hasText: 'Furry windscreen' }).first()
  ).toBeVisible();

  await page.goto('/satchel');
  await expect(verdict(page)).toBeVisible();
  await page.keyboard.press('Control+k');
  await page.getByRole('combobox', { name: /Find a part/ }).fill('selfie stick');
  await expect(page.getByRole('option').filter({ hasText: 'Wand' }).first()).toBeVisible();
});
