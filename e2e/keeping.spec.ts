import { readFileSync } from 'node:fs';
import { expect, exportedFile, kept, openDemo, test, verdict } from './bench';

test('a reload keeps all, and undo reaches across it', async ({ page }) => {
  await openDemo(page);
  await page
    .locator('[data-code="P2"]')
    .getByRole('button', { name: /Ember 8 cell, thrifty/ })
    .click();
  await expect(verdict(page)).toHaveText('£67.00 over');
  await kept(page);
  await page.reload();
  await expect(verdict(page)).toHaveText('£67.00 over');

  await page.getByRole('button', { name: /^Undo: take Harkelow Ember 8 cell, thrifty/ }).click();
  await expect(verdict(page)).toHaveText('£58.00 over');
  await kept(page);
  await page.reload();
  await expect(verdict(page)).toHaveText('£58.00 over');
  await page.keyboard.press('Control+Shift+Z');
  await expect(verdict(page)).toHaveText('£67.00 over');
  await page.keyboard.press('Control+Z');
  await expect(verdict(page)).toHaveText('£58.00 over');
});

test('a satchel file goes out and comes in equal', async ({ page, browser }) => {
  await openDemo(page);
  const out = await exportedFile(page);
  const other = await browser.newContext();
  const fresh = await other.newPage();
  await fresh.goto('/');
  await fresh.getByRole('button', { name: 'File', exact: true }).click();
  await fresh.getByLabel('Satchel file').setInputFiles({
    name: 'loom.satchel.json',
    mimeType: 'application/json',
    buffer: Buffer.from(out.text)
  });
  await fresh.waitForURL('**/satchel');
  await expect(verdict(fresh)).toHaveText('£58.00 over');
  const back = await exportedFile(fresh);
  expect(back.value).toEqual(out.value);
  await other.close();
});

test('a file with faults is refused whole, with a sentence for each', async ({ page }) => {
  await openDemo(page);
  const { value } = await exportedFile(page);
  const broken = structuredClone(value) as unknown as {
    project: { limitMinor: unknown; scenes: { fps: unknown }[] };
  };
  broken.project.limitMinor = -5;
  broken.project.scenes[1]!.fps = 'many';
  await page.getByRole('button', { name: 'File', exact: true }).click();
  await page.getByLabel('Satchel file').setInputFiles({
    name: 'x.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(broken))
  });
  await expect(page.getByText('The file was not opened; nothing has changed.')).toBeVisible();
  await expect(
    page.getByText('project.limitMinor must be a whole number of minor units, not negative.')
  ).toBeVisible();
  await expect(
    page.getByText('project.scenes[1].fps must be a number from 1 to 240 fps.')
  ).toBeVisible();
  await page.getByLabel('Satchel file').setInputFiles({
    name: 'y.json',
    mimeType: 'application/json',
    buffer: readFileSync('package.json')
  });
  await expect(page.getByText(/format must be "hearty-satchel"/)).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(verdict(page)).toHaveText('£58.00 over');
});

test('two tabs see each other', async ({ page, context }) => {
  await openDemo(page);
  const second = await context.newPage();
  await second.goto('/satchel');
  await expect(verdict(second)).toHaveText('£58.00 over');
  await second
    .locator('[data-code="P2"]')
    .getByRole('button', { name: /Ember 8 cell, thrifty/ })
    .click();
  await expect(verdict(page)).toHaveText('£67.00 over');
  await page.goto('/brief');
  await page.getByRole('spinbutton', { name: 'Limit, £' }).fill('1300');
  await page.getByRole('spinbutton', { name: 'Limit, £' }).press('Tab');
  await expect(verdict(second)).toHaveText('£13.00 left');
});
