import type { Page as PlaywrightPage } from '@playwright/test';
import { expect, exportedFile, kept, openDemo, remediesReady, test, verdict } from './bench';

const LONG = 'Schifffahrtsgesellschaftsversammlungs'.repeat(6).slice(0, 200);

async function openText(page: PlaywrightPage, value: unknown): Promise<void> {
  await page.getByRole('button', { name: 'File', exact: true }).click();
  await page.getByLabel('Satchel file').setInputFiles({
    name: 'x.satchel.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(value))
  });
}

test('a word of two hundred letters wraps in every view, at every width and on paper', async ({
  page
}) => {
  await openDemo(page);
  const { value } = await exportedFile(page);
  const project = value.project as unknown as {
    id: string;
    name: string;
    scenes: { name: string }[];
    plans: { name: string; lines: { gearId: string }[] }[];
    ownGear: unknown[];
  };
  project.id = 'long-words';
  project.name = LONG;
  for (const scene of project.scenes) scene.name = LONG.slice(0, 120);
  for (const plan of project.plans) plan.name = LONG.slice(0, 120);
  value.shelf = (value.shelf as { model: string; maker: string }[]).map((gear) => ({
    ...gear,
    model: `${LONG.slice(0, 190)}${gear.model.slice(0, 8)}`,
    maker: LONG.slice(0, 100)
  }));
  await openText(page, value);
  await expect(page.getByText(LONG.slice(0, 100)).first()).toBeAttached();
  const part = `/shelf/${project.plans[0]!.lines[0]!.gearId}`;
  for (const width of [360, 820, 1280]) {
    await page.setViewportSize({ width, height: 800 });
    for (const path of [
      '/satchel',
      '/brief',
      '/satchel/sound',
      '/set',
      '/set/practise',
      '/cards',
      '/compare',
      '/satchel/pack',
      '/inventory',
      '/rehearse',
      '/proof',
      '/rehearse/logbook',
      '/ledger',
      '/shelf',
      part,
      '/buying'
    ]) {
      await page.goto(path);
      await expect(page.getByRole('heading', { level: 1 }).first()).toBeAttached();
      await page.waitForTimeout(150);
      const over = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth);
      expect(over, `${path} at ${width}`).toBeLessThanOrEqual(0);
    }
  }
  await page.emulateMedia({ media: 'print' });
  expect(
    await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)
  ).toBeLessThanOrEqual(0);
});

/** Writes something else where the browser keeps projects. */
async function spoil(page: PlaywrightPage, id: string, project: unknown): Promise<void> {
  await page.evaluate(
    ([id, project]) =>
      new Promise<void>((resolve, reject) => {
        const opening = indexedDB.open('hearty-satchel');
        opening.onerror = () => reject(new Error('not opened'));
        opening.onsuccess = () => {
          const db = opening.result;
          const store = db.transaction('projects', 'readwrite').objectStore('projects');
          const read = store.get(id as string);
          read.onsuccess = () => {
            store.put({ ...read.result, project }).onsuccess = () => {
              db.close();
              resolve();
            };
          };
        };
      }),
    [id, project] as const
  );
}

test('a project spoilt in the browser leaves a way out, and the others as they are', async ({
  page
}) => {
  await openDemo(page);
  const { value } = await exportedFile(page);
  await openText(page, {
    ...value,
    project: { ...value.project, id: 'other', name: 'Other loom' }
  });
  await expect(page.getByRole('button', { name: /Other loom/ })).toBeVisible();
  await kept(page);
  // It has the shape of a project, and yet cannot be judged.
  await spoil(page, 'other', { ...value.project, id: 'other', scenes: [{ id: 'x' }] });
  await page.reload();
  await expect(page.getByRole('alert')).toContainText('nothing is lost');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export this project as it lies' }).click();
  expect((await download).suggestedFilename()).toBe('project-as-it-lies.json');
  for (const path of ['/brief', '/set', '/shelf', '/buying', '/satchel/sound']) {
    await page.goto(path);
    await expect(page.getByRole('alert').first()).toBeVisible();
  }
  await page.getByRole('button', { name: 'Saltmarsh loom', exact: true }).click();
  await expect(verdict(page)).toHaveText('£58.00 over');
  await remediesReady(page);
});

test('rows of a large spreadsheet are read beside the page, with progress, and can be stopped', async ({
  page
}) => {
  await openDemo(page);
  await page.goto('/shelf');
  await page.getByRole('button', { name: 'Import a spreadsheet' }).click();
  const rows = Array.from(
    { length: 20_000 },
    (_, index) => `small item,Own,Roll ${index % 7},tape,${index}`
  );
  await page.getByLabel('Spreadsheet file').setInputFiles({
    name: 'many.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(`kind,maker,model,use,weight\n${rows.join('\n')}\n`)
  });
  // At once, lest reading be done between the press and the release of a mouse.
  await page.getByRole('button', { name: 'Stop', exact: true }).dispatchEvent('click');
  await expect(page.getByText('Reading was stopped. Nothing was imported')).toBeVisible();
});

test('a spreadsheet in another encoding is recognised, and shadows of shelf parts are told', async ({
  page
}) => {
  await openDemo(page);
  await page.goto('/shelf');
  await page.getByRole('button', { name: 'Import a spreadsheet' }).click();
  const text =
    'kind;maker;model;use\nsmall item;Gerät;Rolle grün;tape\nsmall item;Dunmarrow;Burr;tape\n';
  await page.getByLabel('Spreadsheet file').setInputFiles({
    name: 'ansi.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(text, 'latin1')
  });
  await expect(page.getByLabel('How letters are written')).toHaveValue('windows-1252');
  await expect(page.getByText('Gerät Rolle grün')).toBeVisible();
  await expect(page.getByText(/One row has the name of a part/)).toContainText('Dunmarrow Burr');
});
