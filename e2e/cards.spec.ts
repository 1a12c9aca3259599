import { expect, openDemo, test } from './bench';

test('cards are ticked on a phone, kept over a reload, saved and put back', async ({ page }) => {
  await openDemo(page);
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto('/buying');
  await page.getByRole('link', { name: /other cards/ }).click();
  await expect(page.getByRole('heading', { name: 'Packing' })).toBeVisible();
  await page.getByText('Orrowby Linnet', { exact: true }).click();
  await expect(page.getByText(/^1 of \d+ ticked$/)).toBeVisible();
  await page.getByRole('tab', { name: 'Pre-roll' }).click();
  await expect(page.getByText(/^0 of \d+ ticked$/)).toBeVisible();
  await page.getByText('Ray 65 + 55 cm dome on').first().click();
  await page.reload();
  await expect(page.getByText(/^1 of \d+ ticked$/)).toBeVisible();
  await page.getByRole('tab', { name: 'Pre-roll' }).click();
  await expect(page.getByText(/^1 of \d+ ticked$/)).toBeVisible();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as Markdown' }).click();
  expect((await download).suggestedFilename()).toBe('pre-roll.md');
  await page.getByRole('button', { name: 'Reset for the next shoot' }).click();
  await expect(page.getByText(/^0 of \d+ ticked$/)).toBeVisible();
  for (const tab of ['Settings', 'Set-up', 'Evening']) {
    await page.getByRole('tab', { name: tab }).click();
    await expect(page.getByRole('heading', { name: tab, level: 1 })).toBeVisible();
    await expect(page.getByRole('checkbox').first()).toBeAttached();
  }
  // On paper there is the card and nothing else, on both sheets of the world.
  for (const format of ['A4', 'Letter'] as const) {
    const pdf = await page.pdf({ format });
    expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
    expect(pdf.toString('latin1').match(/\/Type\s*\/Page\b/g)!.length).toBeLessThanOrEqual(2);
  }
  const over = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth);
  expect(over).toBeLessThanOrEqual(0);
});
