import { execFileSync } from 'node:child_process';
import { expect, openDemo, remediesReady, test } from './bench';

/** A handful in every run; `SPOILT_FILES=200 npx playwright test spoilt-views` opens many. */
const FILES = Number(process.env.SPOILT_FILES ?? 4);
const SEED = Number(process.env.SPOILT_SEED ?? 1);

test('whatever spoilt file the check takes, every view shows it without a fault or a broken sentence', async ({
  page
}) => {
  test.setTimeout(60_000 + FILES * 60_000);
  const files = JSON.parse(
    execFileSync(
      process.execPath,
      ['scripts/fuzz.mjs', '--files', String(FILES), '--seed', String(SEED)],
      { encoding: 'utf8', maxBuffer: 1e9 }
    )
  ) as { seed: number; file: { project: { id: string; name: string } } }[];
  await openDemo(page);
  for (const { seed, file } of files) {
    // An id of its own, lest two files be taken for one project; what it is called may be spoilt, too.
    const id = `spoilt-${seed}`;
    file.project.id = id;
    file.project.name = `Spoilt ${seed}`;
    await page.getByRole('button', { name: 'File', exact: true }).click();
    await page.getByLabel('Satchel file').setInputFiles({
      name: `${id}.satchel.json`,
      mimeType: 'application/json',
      buffer: Buffer.from(JSON.stringify(file))
    });
    await expect(page.getByRole('dialog')).toHaveCount(0);
    await expect(page.getByRole('banner').getByText(`Spoilt ${seed}`)).toBeVisible();
    await expect(page.getByText('all saved')).toBeVisible();
    for (const path of [
      '/satchel',
      '/brief',
      '/satchel/lens',
      '/satchel/power',
      '/set',
      '/ledger',
      '/cards',
      '/compare',
      '/satchel/pack',
      '/inventory',
      '/rehearse',
      '/proof',
      '/rehearse/logbook',
      '/set/practise',
      '/shelf',
      '/buying'
    ]) {
      // What the database holds is opened anew, as on the next morning.
      await page.goto(path);
      await remediesReady(page);
      const shown = page.getByRole('main');
      await expect(shown).not.toBeEmpty();
      const text = await shown.innerText();
      expect(text, `${path} of seed ${seed}`).not.toMatch(
        /could not be drawn|cannot be judged|cannot be opened|\bNaN\b|undefined|\[object Object\]|Infinity|\bnull\b/
      );
    }
  }
});
