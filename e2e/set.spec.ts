import type { APIRequestContext } from '@playwright/test';
import { expect, exportedFile, kept, openDemo, type Page, test } from './bench';

test.beforeEach(async ({ page }) => {
  await openDemo(page);
  await page.goto('/set');
  await page.getByRole('button', { name: 'Loom lesson', exact: true }).click();
  await expect(part(page, 'Camera')).toBeVisible();
});

const part = (page: Page, name: string) =>
  page.getByRole('region', { name: 'From above' }).getByRole('slider', { name, exact: true });
const key = (page: Page) =>
  page.getByRole('region', { name: 'From above' }).getByRole('slider', { name: /, key$/ });

/** Drags a part of the drawing by so many metres to the right and down. */
async function dragBy(page: Page, slider: ReturnType<typeof part>, x: number, y: number) {
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expect(page.locator('.bx--modal.is-visible')).toHaveCount(0);
  const k = Number(
    await page
      .getByRole('region', { name: 'From above' })
      .locator('svg[data-pixels-a-metre]')
      .getAttribute('data-pixels-a-metre')
  );
  const box = (await slider.locator('.body').first().boundingBox())!;
  const from = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  for (let step = 1; step <= 8; step++)
    await page.mouse.move(from.x + (k * x * step) / 8, from.y + (k * y * step) / 8);
  await page.waitForTimeout(60);
  await page.mouse.up();
  await kept(page);
}

/** Every figure beside the drawings is the one the judge gives for the project as it is kept. */
async function readoutsAreTheJudges(page: Page, request: APIRequestContext) {
  const { value } = await exportedFile(page);
  const answer = await request.post('/api/evaluate', { data: value });
  const judged = (await answer.json()).scenes.find(
    ({ sceneId }: { sceneId: string }) => sceneId === 'loom-lesson'
  );
  const shown = await page
    .getByRole('list', { name: 'What comes of it' })
    .getByRole('button')
    .evaluateAll((buttons) =>
      (buttons as HTMLElement[]).map(({ dataset }) => [dataset.figure!, Number(dataset.value)])
    );
  expect(shown.length).toBeGreaterThan(6);
  for (const [figure, number] of shown)
    expect(judged.figures[figure!].value, String(figure)).toBeCloseTo(Number(number), 6);
  return (
    value.project as { scenes: { id: string; angles: Record<string, number>[] }[] }
  ).scenes.find(({ id }) => id === 'loom-lesson')!.angles[0]!;
}

test('the camera, the person and the key lamp are dragged, and the figures follow', async ({
  page,
  request
}) => {
  await dragBy(page, part(page, 'Camera'), -0.3, 0);
  const angle = await readoutsAreTheJudges(page, request);
  expect(angle.distanceM).toBeCloseTo(1.2, 1);
  expect(angle.backgroundM).toBe(1.4);

  await dragBy(page, part(page, 'Person'), 0.2, 0);
  const after = await readoutsAreTheJudges(page, request);
  expect(after.distanceM).toBeCloseTo(angle.distanceM! + 0.2, 1);
  expect(after.distanceM! + after.backgroundM!).toBeCloseTo(angle.distanceM! + 1.4, 6);

  await dragBy(page, key(page), 0.1, 1.1);
  await readoutsAreTheJudges(page, request);
  await expect(key(page)).toHaveAttribute('aria-valuetext', /from the face/);
  await expect(page.getByRole('region', { name: 'Set card' })).toContainText('on the right');

  // A drag is one act.
  await page.getByRole('button', { name: /^Undo:/ }).click();
  await expect(page.getByRole('region', { name: 'Set card' })).toContainText('on the left');
});

test('by the arrow keys a part goes a centimetre, with Shift ten, and a wall stops it in words', async ({
  page
}) => {
  await part(page, 'Camera').focus();
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('Shift+ArrowLeft');
  await expect(part(page, 'Camera')).toHaveAttribute('aria-valuetext', '1.02 m from the face');
  await kept(page);
  await page.waitForTimeout(700);
  await page.reload();
  await page.getByRole('button', { name: 'Loom lesson', exact: true }).click();
  await expect(part(page, 'Camera')).toHaveAttribute('aria-valuetext', '1.02 m from the face');
  await part(page, 'Camera').focus();
  for (let press = 0; press < 12; press++) await page.keyboard.press('Shift+ArrowLeft');
  await expect(page.getByText('The wall behind the camera leaves')).toBeVisible();
});

test('the microphone goes where it can be held, by drawing or by the sheet of sounds', async ({
  page,
  request
}) => {
  // A boom in the kit gives it a second place.
  await page.goto('/satchel/support');
  await page.getByText('Add beside', { exact: true }).click();
  await page.getByPlaceholder('Find among them').fill('Stand boom');
  await page.getByRole('option').filter({ hasText: 'Stand boom' }).click();
  await page.keyboard.press('Enter');
  await expect(
    page.getByRole('button', { name: 'Undo: add Brackenholt Stand boom' })
  ).toBeVisible();
  await kept(page);
  await page.goto('/set');
  await page.getByRole('button', { name: 'Loom lesson', exact: true }).click();
  const sound = page.getByRole('region', { name: 'Sound', exact: true });
  await sound.getByRole('button', { name: 'on a boom' }).click();
  await expect(sound.locator('[data-place="boom arm"]')).toHaveClass(/used/);
  await readoutsAreTheJudges(page, request);
  const mic = page
    .getByRole('region', { name: 'From above' })
    .getByRole('slider', { name: /Plover/ });
  await dragBy(page, mic, -0.8, 0);
  await expect(sound.locator('[data-place="shoe"]')).toHaveClass(/used/);
});

test('the picture is drawn to the figures: width of a face, blur, exposure', async ({
  page,
  request
}) => {
  const picture = page.getByRole('img', { name: /The picture at the dimmest/ });
  const { value } = await exportedFile(page);
  const judged = (await (await request.post('/api/evaluate', { data: value })).json()).scenes.find(
    ({ sceneId }: { sceneId: string }) => sceneId === 'loom-lesson'
  ).figures;
  const whole = (await picture.boundingBox())!;
  const face = (await picture.locator('.face').boundingBox())!;
  // A face is drawn 0.156 m wide, so its share of the picture is that over the picture's width there.
  expect(face.width / whole.width).toBeCloseTo(0.156 / judged.pictureWidth.value, 2);
  expect(Number(await picture.getAttribute('data-blur-px'))).toBeCloseTo(
    (judged.backgroundBlur.value / 100) * whole.width,
    1
  );

  // Too little light for a closed lens: the drawn wall is darker by as many stops as the figures say.
  const brightness = () =>
    picture.evaluate(async (svg) => {
      const image = new Image();
      const copy = svg.cloneNode(true) as SVGElement;
      copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
      for (const [index, element] of [...svg.querySelectorAll('rect.wall')].entries())
        copy
          .querySelectorAll('rect.wall')
          [index]!.setAttribute('fill', getComputedStyle(element).fill);
      copy
        .querySelectorAll('.loom, .warp, .board, .book, .glow, .floor')
        .forEach((element) => element.remove());
      image.src = `data:image/svg+xml,${encodeURIComponent(new XMLSerializer().serializeToString(copy))}`;
      await image.decode();
      const canvas = document.createElement('canvas');
      canvas.width = 200;
      canvas.height = 112;
      const brush = canvas.getContext('2d')!;
      brush.drawImage(image, 0, 0, 200, 112);
      const [red] = brush.getImageData(20, 30, 1, 1).data;
      return ((red! / 255 + 0.055) / 1.055) ** 2.4;
    });
  const before = await brightness();
  await page.getByLabel('Aperture', { exact: true }).selectOption('22');
  await kept(page);
  await page.getByLabel('Key to face, m').fill('4');
  await page.getByLabel('Key to face, m').press('Tab');
  await kept(page);
  await expect(picture).not.toHaveAttribute('data-off-stops', '0.00');
  const off = Number(await picture.getAttribute('data-off-stops'));
  expect(off).toBeLessThan(0);
  expect(Math.log2((await brightness()) / before)).toBeCloseTo(off, 0);
});

test('another aperture is laid beside it, the best spot is found, and the card is saved', async ({
  page
}) => {
  await page.getByLabel('Beside it').selectOption({ label: 'f/8' });
  await expect(page.getByRole('img', { name: /The same with f\/8/ })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Through the lens' })).toContainText('| f/8:');

  const best = page.getByRole('region', { name: 'Best spot' });
  await best.getByRole('button', { name: 'largest voice over noise' }).click();
  await expect(best.getByRole('status')).toContainText('A centimetre on:');
  await best.getByRole('button', { name: 'Put the camera there' }).click();
  await kept(page);
  await expect(part(page, 'Camera')).not.toHaveAttribute('aria-valuetext', '0.90 m from the face');

  const card = page.getByRole('region', { name: 'Set card' });
  for (const [button, name] of [
    ['Save as SVG', 'set-loom-lesson.svg'],
    ['Save as PNG', 'set-loom-lesson.png']
  ] as const) {
    const download = page.waitForEvent('download');
    await card.getByRole('button', { name: button }).click();
    const file = await download;
    expect(file.suggestedFilename()).toBe(name);
    const stream = await file.createReadStream();
    const chunks: Buffer[] = [];
    for await (const chunk of stream) chunks.push(chunk as Buffer);
    const bytes = Buffer.concat(chunks);
    if (name.endsWith('svg')) expect(bytes.toString('utf8')).toContain('0.50 m');
    else
      expect([...bytes.subarray(1, 4)].map((byte) => String.fromCharCode(byte)).join('')).toBe(
        'PNG'
      );
  }
});

test('every scene of every demo has its set', async ({ page, browser, baseURL }) => {
  for (const demo of ['Lanternlight desk', 'Drovers’ road']) {
    const fresh = await browser.newContext({ baseURL });
    page = await fresh.newPage();
    await page.goto('/');
    await page.getByRole('button', { name: `Open the ${demo}` }).click();
    await page.waitForURL('**/satchel');
    await page.goto('/set');
    await page.getByRole('heading', { name: 'From above' }).waitFor();
    const scenes = page.getByRole('navigation', { name: 'Scenes' }).getByRole('button');
    for (let index = 0; index < (await scenes.count()); index++) {
      await scenes.nth(index).click();
      await expect(page.getByRole('heading', { name: 'From above' })).toBeVisible();
      await expect(page.getByRole('main')).not.toContainText(
        /could not be drawn|NaN|undefined|Infinity/
      );
    }
    await fresh.close();
  }
});
