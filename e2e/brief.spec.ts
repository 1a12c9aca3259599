import { expect, kept, openDemo, type Page, remediesReady, test } from './bench';

const scene = (page: Page, name: string) => page.getByRole('article', { name });

/** Opens a word of a scene's sentence by the question it answers. */
async function ask(page: Page, name: string, question: string) {
  await scene(page, name).getByRole('button', { name: question }).click();
  return page.getByRole('dialog', { name: question });
}

test('no mark of a sentence begins a line by itself, however wide the page', async ({ page }) => {
  await openDemo(page);
  await page.goto('/brief');
  for (const width of [1280, 1100, 900, 720, 390]) {
    await page.setViewportSize({ width, height: 800 });
    const alone = await page.evaluate(() => {
      const faults: string[] = [];
      for (const sentence of document.querySelectorAll('.sentence')) {
        const walker = document.createTreeWalker(sentence, NodeFilter.SHOW_TEXT);
        let before: DOMRect | undefined;
        for (let node = walker.nextNode(); node; node = walker.nextNode()) {
          const text = node.textContent ?? '';
          const first = text.search(/\S/);
          if (first < 0 || !(node.parentElement as HTMLElement).checkVisibility()) continue;
          const range = document.createRange();
          range.setStart(node, first);
          range.setEnd(node, first + 1);
          const here = range.getBoundingClientRect();
          if (/[.,;:!?]/.test(text[first]!) && before && here.top > before.bottom)
            faults.push(text.trim().slice(0, 20));
          range.selectNodeContents(node);
          const boxes = range.getClientRects();
          before = boxes[boxes.length - 1] ?? before;
        }
      }
      return faults;
    });
    expect(alone, `${width} wide`).toEqual([]);
    expect(
      await page.evaluate(() => document.documentElement.scrollWidth),
      `${width} wide`
    ).toBeLessThanOrEqual(width);
  }
});

test('whoever measures in inches and miles reads nothing else', async ({ page }) => {
  await openDemo(page);
  await page.goto('/brief');
  await page.getByText('inches, pounds').click();
  const path = scene(page, 'Marsh path');
  await expect(path).toContainText('25.6 in');
  await expect(path).toContainText('13 mph');
  await expect(path).toContainText('46 °F');
  await expect(scene(page, 'Loom lesson')).toContainText('ft');
  await expect(page.getByLabel('Carried in a day, lb')).toBeVisible();
  await kept(page);
  await page.goto('/satchel');
  await remediesReady(page);
  await expect(
    page
      .getByRole('region', { name: /^Scenes/ })
      .or(page.locator('.rail'))
      .first()
  ).toContainText('mph');
});

test('a figure typed or drawn is kept across a reload', async ({ page }) => {
  await openDemo(page);
  await page.goto('/brief');
  const slip = await ask(page, 'Loom lesson', 'Where is the camera?');
  const distance = slip.getByRole('spinbutton', { name: 'Lens to face, m' });
  await distance.fill('1.2');
  await distance.press('Enter');
  await expect(scene(page, 'Loom lesson')).toContainText('1.20 m');
  const slider = slip.getByRole('slider', { name: 'Lens to face' });
  await expect(slider).toHaveAttribute('aria-valuetext', '1.2 m');
  await page.keyboard.press('Escape');
  await kept(page);
  await page.reload();
  await expect(scene(page, 'Loom lesson')).toContainText('1.20 m');
});

test('a scene goes upright and live, and the kit is judged for it', async ({ page }) => {
  await openDemo(page);
  await page.goto('/brief');
  const way = await ask(page, 'Loom lesson', 'Wide or upright?');
  await way.getByText('upright, the camera turned').click();
  await page.keyboard.press('Escape');
  await scene(page, 'Loom lesson').getByRole('button', { name: 'it goes out live' }).click();
  await expect(scene(page, 'Loom lesson')).toContainText('upright, the camera turned');
  await expect(scene(page, 'Loom lesson')).toContainText('live');
  await kept(page);
  await page.goto('/satchel');
  await remediesReady(page);
  // The small body gives no clean picture out, by no way at all.
  await expect(page.locator('li[data-code="B5"]').first()).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.locator('li[data-code="B5"]')).toHaveCount(0);
});

test('two scenes filmed on one day share its batteries', async ({ page }) => {
  await openDemo(page);
  await page.goto('/brief');
  for (const name of ['Marsh path', 'Loom lesson']) {
    const slip = await ask(page, name, 'Which scenes share a day, and when is it?');
    await slip.getByText('day 1', { exact: true }).click();
    await page.keyboard.press('Escape');
  }
  await expect(scene(page, 'Loom lesson')).toContainText('day 1, with Marsh path');
  await kept(page);
  await page.goto('/satchel/power');
  const power = page.getByRole('region', { name: 'Power by day' });
  await expect(power.getByRole('heading', { name: 'Marsh path and Loom lesson' })).toBeVisible();
  // 45 and 95 minutes at one body's draw, out of the one battery it came with.
  await expect(power.getByRole('listitem').first()).toHaveText(/Linnet\s*7\.3 Wh of 13\.8 Wh/);
  await expect(power.getByRole('heading', { name: 'Shuttle hands' })).toBeVisible();
});

test('a group of choices is named in words, and chosen from by its label', async ({ page }) => {
  await openDemo(page);
  await page.goto('/brief');
  const dialog = await ask(page, 'Loom lesson', 'What do you do here?');
  const styles = dialog.getByRole('group', { name: 'Shooting style', exact: true });
  await styles.getByText('show a thing on the table').click();
  await expect(styles.getByRole('radio', { name: 'show a thing on the table' })).toBeChecked();
});

test('a word of the brief is changed by keyboard alone', async ({ page }) => {
  await openDemo(page);
  await page.goto('/brief');
  const word = scene(page, 'Marsh path').getByRole('button', { name: 'How do you speak?' });
  await word.focus();
  await page.keyboard.press('Enter');
  const slip = page.getByRole('dialog', { name: 'How do you speak?' });
  await expect(slip.getByRole('radio').first()).toBeFocused();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Escape');
  await expect(slip).toHaveCount(0);
  await expect(word).toBeFocused();
  await expect(word).not.toContainText('raise my voice');
});
