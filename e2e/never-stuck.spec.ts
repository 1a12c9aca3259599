import { expect, openChanged, openDemo, type Page, test } from './bench';

interface Field {
  minimum?: number;
  maximum?: number;
  properties?: Record<string, Field>;
}
type Schema = { $defs: Record<string, { properties: Record<string, Field> }> };
type Answers = Record<string, unknown>;
interface PlainScene extends Answers {
  angles: Answers[];
  room?: Answers;
  window?: Answers;
}

const pockets = ['sound', 'light', 'body', 'lens', 'support', 'storage', 'power', 'accessories'];

/** The demo opened with other scenes, as a file of its own. */
const openWith = (page: Page, name: string, change: (scene: PlainScene) => void) =>
  openChanged(page, name, (project) => (project.scenes as PlainScene[]).forEach(change));

test('every pocket and view opens with the brief pushed to its ends', async ({ page }) => {
  test.setTimeout(600_000);
  await openDemo(page);
  const schema = (await (await page.request.get('/schema/satchel-1.json')).json()) as Schema;
  const fieldsOf = (kind: string) =>
    schema.$defs[kind]?.properties ?? schema.$defs.scene!.properties[kind]!.properties!;
  const push = (kind: string, end: 'minimum' | 'maximum', answers: Answers) => {
    for (const [key, field] of Object.entries(fieldsOf(kind)))
      if (field[end] !== undefined) answers[key] = field[end];
  };
  const toEnd = (end: 'minimum' | 'maximum') => (scene: PlainScene) => {
    push('scene', end, scene);
    for (const angle of scene.angles) push('angle', end, angle);
    push('room', end, (scene.room ??= { feel: 'bare' }));
    push('window', end, (scene.window ??= {}));
  };
  const pushes: [string, (scene: PlainScene) => void][] = [
    ['Camera far away', ({ angles }) => angles.forEach((angle) => (angle.distanceM = 8))],
    ['All at the least', toEnd('minimum')],
    ['All at the most', toEnd('maximum')]
  ];
  for (const [index, [name, change]] of pushes.entries()) {
    await openWith(page, name, change);
    // Every other pocket of each: all of them, one way or another.
    for (const pocket of pockets.filter((_, place) => (place + index) % 2 === 0)) {
      // Opened anew each time, as after a reload.
      await page.goto(`/satchel/${pocket}`);
      await expect(page.getByText(/^\d+ on the shelf/), `${name}: ${pocket}`).toBeVisible({
        timeout: 30_000
      });
    }
    for (const view of [
      '/satchel',
      '/brief',
      '/set',
      '/ledger',
      '/rehearse',
      '/proof',
      '/shelf',
      '/buying'
    ]) {
      await page.goto(view);
      await expect(page.getByRole('main')).not.toContainText('could not be drawn');
      await expect(page.getByRole('main').getByRole('heading').first()).toBeVisible();
    }
    await page.goto('/satchel');
  }
});

test('a list that cannot be drawn says so in its place, and the rest works', async ({ page }) => {
  await openDemo(page);
  // The list of candidates watches how large it is drawn.
  await page.addInitScript(() => {
    const whole = window.ResizeObserver;
    let spoilt = true;
    (window as unknown as { mend: () => void }).mend = () => (spoilt = false);
    window.ResizeObserver = class extends whole {
      constructor(told: ResizeObserverCallback) {
        if (spoilt) throw new Error('no watching of sizes here');
        super(told);
      }
    };
  });
  await page.goto('/satchel/lens');
  const told = page.getByRole('alert').filter({ hasText: 'The pocket could not be drawn' });
  await expect(told).toContainText('no watching of sizes here');
  // Beside it the scenes stand, and can be gone through.
  await expect(page.getByRole('complementary', { name: 'Scenes' })).toContainText('Loom lesson');
  await page.evaluate(() => (window as unknown as { mend: () => void }).mend());
  await told.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByText(/^\d+ on the shelf/)).toBeVisible();
  await expect(told).toHaveCount(0);
});
