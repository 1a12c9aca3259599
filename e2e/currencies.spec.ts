import { expect, kept, openDemo, test } from './bench';

test('prices of another country keep their currency and are counted at a rate one can change', async ({
  page
}) => {
  await openDemo(page);
  await page.goto('/shelf/edit?id=dunmarrow-plover&copy=1');
  await page.getByLabel('Model').fill('Fair find');
  await page.getByLabel('price new, low').fill('');
  await page.getByLabel('price new, high').fill('');
  await page.getByLabel('price new, likely').fill('649,00 €');
  await expect(page.getByText(/Kept as €649\.00; counts as £550\.\d\d at 0\.8478/)).toBeVisible();
  await page.getByLabel('price new, likely').fill('12 or 13');
  await expect(page.getByText(/^Kept as/)).toHaveCount(0);
  await page.getByLabel('price new, likely').fill('1.299,- €');
  await expect(page.getByText(/Kept as €1,299\.00/)).toBeVisible();
  await page.getByLabel('price new, likely').fill('649,00 €');
  await page.getByRole('button', { name: /^Save/ }).first().click();
  await expect(page.getByRole('heading', { name: 'Dunmarrow Fair find' })).toBeVisible();
  await expect(page.getByText('€649.00 at 0.847826 (a rough rate of 2026-11-01)')).toBeVisible();

  // One's own rate, dated, and back.
  await page.goto('/brief');
  const rate = page.getByLabel('1 EUR in GBP');
  await rate.fill('0.86');
  await rate.blur();
  await expect(page.getByText(/^Yours, of/)).toBeVisible();
  await kept(page);
  await page.goto('/shelf');
  await page.getByRole('searchbox').first().fill('Fair find');
  const row = page.getByRole('listitem').filter({ hasText: 'Fair find' });
  await expect(row).toContainText('£558.14');
  await expect(row).toContainText('from €649');
});

test('the project is kept in another currency, and one undo takes it back', async ({ page }) => {
  await openDemo(page);
  await page.goto('/brief');
  await page.getByLabel('Currency').selectOption('EUR');
  await expect(page.getByLabel('Limit, €')).toHaveValue('1439');
  await expect(page.getByLabel('1 GBP in EUR')).toHaveValue('1.17949');
  await expect(page.getByText(/^A rough rate of/)).toBeVisible();
  await page.goto('/satchel');
  await expect(page.getByRole('main')).toContainText('€');
  await expect(page.getByRole('main')).not.toContainText('has no price');
  await page.keyboard.press('Control+z');
  await page.goto('/brief');
  await expect(page.getByLabel('Limit, £')).toHaveValue('1220');
});

test('a list of parts priced in euros is imported in euros', async ({ page }) => {
  await openDemo(page);
  await page.goto('/shelf');
  await page.getByRole('button', { name: /Import/ }).click();
  await page
    .locator('input[type=file]')
    .last()
    .setInputFiles({
      name: 'list.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from(
        'kind;maker;model;price;energyWh;batteryType\nbattery;Stall;Cell one;49,90 €;16;Ember 16\nbattery;Stall;Cell two;1.049,00 €;16;Ember 16\n'
      )
    });
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('Prices are read in EUR (2), kept so');
  await expect(dialog).toContainText('€49.90');
  await expect(dialog).toContainText('€1,049.00');
});

test('a list of what one owns is pasted, matched, completed and kept in euros', async ({
  page
}) => {
  await openDemo(page);
  await page.goto('/brief');
  await page.getByRole('button', { name: 'Paste a list of what I own' }).click();
  const dialog = page.getByRole('dialog', { name: 'Paste a list' });
  await dialog
    .getByLabel('One part a line')
    .fill('2 × Dunmarrow Burr – 24,90 €\nZzyx lens 16-50 mm f/3.5-5.6; 199,00 €\nZzyx thing');
  await expect(dialog).toContainText('1 of 3 lines are clear; 2 need an answer below');
  await expect(dialog.getByRole('button', { name: /^Take/ })).toBeDisabled();
  await dialog
    .getByRole('group', { name: /Zzyx lens/ })
    .getByLabel('Mount')
    .fill('Tarn');
  await dialog
    .getByRole('group', { name: /Zzyx lens/ })
    .getByLabel('Maker')
    .fill('Ostler');
  await dialog.getByLabel('“Zzyx thing” is').selectOption('leave out');
  await expect(dialog).toContainText('2 of 3 lines are clear');
  await dialog.getByRole('button', { name: 'Take 2 parts' }).click();
  const owned = page.locator('.owned');
  await expect(owned).toContainText('Burr');
  await expect(owned.getByRole('button', { name: /^Ostler Zzyx lens/ })).toBeVisible();
  await page.goto('/shelf/dunmarrow-burr');
  await expect(page.getByRole('main')).toContainText('€24.90');
});

test('quantity and what is owned go out as CSV and come back', async ({ page }) => {
  await openDemo(page);
  await page.goto('/shelf');
  await page.getByRole('button', { name: 'Import a spreadsheet' }).click();
  await page
    .locator('input[type=file]')
    .last()
    .setInputFiles({
      name: 'mine.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from(
        'kind,maker,model,energyWh,batteryType,quantity,owned\nbattery,Stall,Cell one,16,Ember 16,3,yes\n'
      )
    });
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText(
    '1 row goes into plan B with the quantity the file says, 1 of them as owned'
  );
  await dialog.getByRole('button', { name: 'Import 1 part' }).click();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save these as CSV' }).click();
  const chunks: Buffer[] = [];
  for await (const chunk of await (await download).createReadStream()) chunks.push(chunk as Buffer);
  expect(Buffer.concat(chunks).toString('utf8')).toMatch(
    /battery,Stall,Cell one,stall-cell-one,3,yes,/
  );
});
