import { strFromU8, unzipSync } from 'fflate';
import { expect, kept, missingForSecondAngle, openDemo, test, verdict } from './bench';

const csv = (rows: string[]) => ({
  name: 'parts.csv',
  mimeType: 'text/csv',
  buffer: Buffer.from(rows.join('\r\n'))
});

async function bringIn(page: import('@playwright/test').Page, rows: string[]): Promise<void> {
  await page.getByRole('button', { name: 'Import a spreadsheet' }).click();
  await page.getByLabel('Spreadsheet file').setInputFiles(csv(rows));
}

test('a spreadsheet is matched, its faults shown, and taken whole or not at all', async ({
  page
}) => {
  await openDemo(page);
  await page.goto('/shelf');
  await bringIn(page, [
    'Brand;Name;Type;Price;Weight;filter thread',
    'Own make;Long 44;lens;129,50;0,31 kg;55 mm',
    'Own make;;lens;12;heavy;55',
    'Own make;Odd;spoon;1;2 g;'
  ]);
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByRole('combobox', { name: 'Column Brand is' })).toHaveValue('maker');
  await expect(dialog.getByRole('combobox', { name: 'Column Weight is' })).toHaveValue('massG');
  await expect(dialog).toContainText('0 of 3 rows can be imported');
  await expect(dialog).toContainText('line 2');
  await expect(dialog).toContainText('line 3 Name is empty; a part needs it.');
  await expect(dialog).toContainText('line 4 Type says “spoon”; it must be one of: body, lens');
  await expect(dialog.getByRole('button', { name: /^Import/ })).toBeDisabled();

  await page
    .getByLabel('Spreadsheet file')
    .setInputFiles(
      csv([
        'maker,model,kind,price new,massG,mount,focalLengthMinMm,focalLengthMaxMm,apertureWideN,apertureTeleN,filter thread',
        'Own make,"Long 44, mended",lens,129.50,0.7 lb,Tarn,44,44,f/2,2,55 mm',
        'Own make,=cmd(1),sundry,3,10,,,,,,'
      ])
    );
  await expect(dialog).toContainText('1 of 2 rows can be imported');
  await page
    .getByLabel('Spreadsheet file')
    .setInputFiles(
      csv([
        'maker,model,kind,price new,massG,mount,focalLengthMinMm,focalLengthMaxMm,apertureWideN,apertureTeleN,filter thread',
        'Own make,"Long 44, mended",lens,129.50,0.7 lb,Tarn,44,44,f/2,2,55 mm'
      ])
    );
  await dialog.getByRole('button', { name: 'Import 1 part' }).click();
  await page.getByPlaceholder('Find a part').fill('mended');
  await page.getByRole('link', { name: /Long 44, mended/ }).click();
  await expect(page.getByText('317.51466 g')).toBeVisible();
  await expect(page.getByText('£129.50')).toBeVisible();
});

test('a part of one’s own is entered with units as typed, read from a text, judged and forgotten', async ({
  page
}) => {
  await openDemo(page);
  await page.goto('/shelf/edit');
  await page.getByLabel('kind').selectOption('lamp');
  await page.getByRole('button', { name: 'Save the part' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'not well yet' })).toBeVisible();
  await expect(
    page.getByText('A part needs a maker; write “own make” for what you built.').first()
  ).toBeVisible();
  await page.getByLabel('maker').fill('Own make');
  await page.getByLabel('model').fill('Rescued desk lamp');
  await page
    .getByLabel('Specification text')
    .fill('LED lamp. 320 lx at 1 m. 2700 K. Power 11 W. Weight 1.2 lb. £12.00. Fanless.');
  await expect(page.locator('mark')).toHaveCount(6);
  await page.getByRole('checkbox', { name: /draw: 11 W/ }).press('Space');
  await page.getByRole('button', { name: 'Take 6 figures' }).click();
  await expect(page.getByLabel('light at 1 m, lx')).toHaveValue('320');
  await expect(page.getByLabel('draw, W')).toHaveValue('');
  await page.getByLabel('draw, W').fill('eleven');
  await page.getByLabel('form').selectOption('bulb');
  await page.getByRole('button', { name: 'Save the part' }).click();
  await expect(page.getByText('“eleven” is not a number').first()).toBeVisible();
  await page.getByLabel('draw, W').fill('11 W');
  await page.getByLabel('radius of the source, m').fill('6 in');
  await page.getByRole('button', { name: 'Save the part' }).click();
  await expect(page.getByRole('heading', { name: 'Own make Rescued desk lamp' })).toBeVisible();
  await expect(page.getByText('0.1524 m')).toBeVisible();
  await expect(
    page.getByText('What is the dimmer frequency of Own make Rescued desk lamp?')
  ).toBeVisible();
  await page.getByRole('button', { name: 'Add to kit' }).click();
  await expect(verdict(page)).toHaveText('£70.00 over');
  await kept(page);
  await page.reload();
  await expect(verdict(page)).toHaveText('£70.00 over');
  await page.keyboard.press('Control+Z');
  await expect(verdict(page)).toHaveText('£58.00 over');
  await page.getByRole('button', { name: 'Forget my entry' }).click();
  await page.waitForURL('**/shelf');
});

test('a part that was measured shows its figure beside what the shelf says of it', async ({
  page
}) => {
  await openDemo(page);
  await page.goto('/shelf/dunmarrow-plover');
  await page.getByRole('link', { name: 'Correct it' }).click();
  await page.getByLabel('self-noise, dB(A)').fill('22');
  await page.getByRole('button', { name: 'Save the part' }).click();
  await kept(page);
  await expect(page.getByText('your own entry')).toBeVisible();
  await expect(
    page.getByRole('definition').filter({ hasText: 'the shelf says 18 dB(A)' })
  ).toContainText('22 dB(A)');
  await expect(page.getByText('the shelf says')).toHaveCount(1);
});

test('five thousand parts open, are found among and stay smooth', async ({ page }) => {
  await openDemo(page);
  await page.goto('/shelf');
  const rows = Array.from(
    { length: 5000 },
    (_, index) =>
      `Field ${index % 40},Clip ${index},sundry,tape,${1 + (index % 90)}.00,${5 + (index % 300)}`
  );
  await bringIn(page, ['maker,model,kind,use,price new,massG', ...rows]);
  await page.getByRole('button', { name: 'Import 5000 parts' }).click({ timeout: 30_000 });
  await expect(page.getByText(/^5\d\d\d parts$/)).toBeVisible({ timeout: 20_000 });
  await kept(page);
  await page.getByPlaceholder('Find a part').fill('clip 4321');
  await expect(page.getByRole('link', { name: /Clip 4321/ })).toBeVisible();
  await page.getByRole('button', { name: 'Show all' }).click();
  // However long the shelf, only what is in view is drawn.
  expect(await page.locator('.scroller li').count()).toBeLessThan(60);
  await page.reload();
  await expect(page.getByText(/^5\d\d\d parts$/)).toBeVisible();
});

test('a backup holds every project and opens elsewhere', async ({ page, browser }) => {
  await openDemo(page);
  await page.getByRole('button', { name: 'File', exact: true }).click();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save a backup' }).click();
  const chunks: Buffer[] = [];
  for await (const chunk of await (await download).createReadStream()) chunks.push(chunk as Buffer);
  const zip = Buffer.concat(chunks);
  const entries = unzipSync(zip);
  expect(Object.keys(entries)).toEqual(['saltmarsh-loom.satchel.json']);
  expect(JSON.parse(strFromU8(entries['saltmarsh-loom.satchel.json']!)).project.name).toBe(
    'Saltmarsh loom'
  );

  const other = await browser.newContext();
  const fresh = await other.newPage();
  await fresh.goto('/');
  await fresh.getByRole('button', { name: 'File', exact: true }).click();
  await fresh.getByLabel('Backup file').setInputFiles({
    name: 'b.zip',
    mimeType: 'application/zip',
    buffer: Buffer.from('no zip at all')
  });
  await expect(fresh.getByText('The file is not a ZIP, or it is damaged.')).toBeVisible();
  await fresh
    .getByLabel('Backup file')
    .setInputFiles({ name: 'b.zip', mimeType: 'application/zip', buffer: zip });
  await fresh.waitForURL('**/satchel');
  await expect(verdict(fresh)).toHaveText('£58.00 over');
  await other.close();
});

test('two angles at once need two bodies', async ({ page }) => {
  await openDemo(page);
  const second = await missingForSecondAngle(page);
  await expect(second).toContainText('Two angles at once need two bodies');
});

test('every missing adapter and cable is added at once, the cheapest', async ({ page }) => {
  await openDemo(page);
  const joints = page.locator('.joints');
  await expect(joints).toContainText('Step-up ring 62 to 67');
  await joints.getByText('How it goes together').click();
  await expect(joints).toContainText('62 mm socket into Step-up ring 62 to 67');
  await joints.getByRole('button', { name: /Add them all/ }).click();
  await expect(joints).toHaveCount(0);
});

test('the schema is published', async ({ request }) => {
  const answer = await request.get('/schema/satchel-1.json');
  expect(answer.headers()['content-type']).toContain('application/schema+json');
  expect((await answer.json()).$schema).toBe('https://json-schema.org/draft/2020-12/schema');
});

test('the shelf is narrowed to what one owns', async ({ page }) => {
  await openDemo(page);
  await page.goto('/shelf');
  await expect(page.getByText('Brackenholt Black foil roll')).toBeVisible();
  await page.getByLabel('what I own').press('Space');
  await expect(page.getByText('Orrowby 15–43 f/3.5–5.6')).toBeVisible();
  await expect(page.getByText('Brackenholt Black foil roll')).toHaveCount(0);
  await page.getByLabel('what I own').press('Space');
  await expect(page.getByText('Brackenholt Black foil roll')).toBeVisible();
});
