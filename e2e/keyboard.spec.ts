import { expect, kept, openDemo, type Page, remediesReady, test } from './bench';

const focused = (page: Page) =>
  page.evaluate(() => {
    const element = document.activeElement as HTMLElement | null;
    return element === document.body || element === null
      ? 'the page'
      : (element.closest('li, figure, article')?.textContent ?? element.outerHTML).trim();
  });

test('the focus stays where it was after a remedy, a removal and an ignored finding', async ({
  page
}) => {
  await openDemo(page);
  await remediesReady(page);
  // A remedy: the finding goes, the next one has the keyboard.
  const first = page.locator('.settle li[data-code]').first();
  const code = await first.getAttribute('data-code');
  await first.locator('.best button').first().focus();
  await page.keyboard.press('Enter');
  await expect(page.locator(`.settle li[data-code="${code}"]`)).toHaveCount(0);
  await expect.poll(() => focused(page)).not.toBe('the page');
  await expect(page.locator('.settle :focus')).toHaveCount(1);
  await kept(page);

  // A finding ignored with a reason.
  const next = page.locator('.settle li[data-code]').first();
  await next.locator('button.line').focus();
  await page.keyboard.press('Enter');
  await next.getByRole('button', { name: /^Ignore/ }).focus();
  await page.keyboard.press('Enter');
  await page.keyboard.press('Enter');
  await expect(next.getByText('Write the reason first')).toBeVisible();
  await page.keyboard.type('known');
  await page.keyboard.press('Enter');
  await expect(page.getByText('1 finding ignored')).toBeVisible();
  await expect(page.locator('.settle :focus')).toHaveCount(1);

  // A part removed: the next line of the pocket, or the pocket itself.
  await page.goto('/satchel/support');
  const lines = page.getByRole('list', { name: 'In this pocket' }).getByRole('listitem');
  await expect(lines.first()).toBeVisible();
  const before = await lines.count();
  await lines.first().getByRole('button', { name: 'remove' }).focus();
  await page.keyboard.press('Enter');
  await expect(lines).toHaveCount(before - 1);
  await expect(page.locator('.sheet :focus')).toHaveCount(1);

  // A scene removed.
  await page.goto('/brief');
  const scenes = page.getByRole('article');
  await expect(scenes.first()).toBeVisible();
  const many = await scenes.count();
  await scenes
    .first()
    .getByRole('button', { name: /^(Remove|Delete)/ })
    .first()
    .focus();
  await page.keyboard.press('Enter');
  await expect(scenes).toHaveCount(many - 1);
  await expect(page.locator('.scenes :focus')).toHaveCount(1);
});

test('the focus stays in the buying list, in later, and among the plans', async ({ page }) => {
  await openDemo(page);
  await page.goto('/buying');
  // Ticked as bought: the next row has the keyboard, and nothing is sent to the top of the page.
  const rows = page.locator('tbody tr');
  await expect(rows.first()).toBeVisible();
  const many = await rows.count();
  await page.locator('tbody input').first().focus();
  await page.keyboard.press('Space');
  await expect(rows).toHaveCount(many - 1);
  await expect(page.locator('tbody :focus')).toHaveCount(1);
  await page.getByRole('button', { name: 'not yet' }).focus();
  await page.keyboard.press('Enter');
  await expect(rows).toHaveCount(many);
  await expect(page.locator('.sheet :focus, .sheet:focus')).toHaveCount(1);
  await kept(page);

  await page.goto('/satchel');
  await page.getByRole('listbox', { name: 'Chosen lines in order' }).focus();
  await page.keyboard.press('End');
  await page.keyboard.press('l');
  const bring = page.getByRole('button', { name: /^Bring .* back to the kit$/ });
  await bring.focus();
  await page.keyboard.press('Enter');
  await expect(bring).toHaveCount(0);
  await expect(page.getByRole('region', { name: 'Later' })).toBeFocused();
  await kept(page);
  await page.getByRole('button', { name: /^Plans and projects: / }).click();
  const dialog = page.getByRole('dialog', { name: 'Plans and projects' });
  await dialog
    .getByRole('button', { name: /^Branch / })
    .first()
    .focus();
  await page.keyboard.press('Enter');
  await dialog
    .getByRole('button', { name: /^Show / })
    .first()
    .focus();
  await page.keyboard.press('Enter');
  await expect.poll(() => focused(page)).not.toBe('the page');
  await expect(dialog.locator(':focus')).toHaveCount(1);
  await dialog
    .getByRole('button', { name: /^Delete / })
    .first()
    .focus();
  await page.keyboard.press('Enter');
  await expect.poll(() => focused(page)).not.toBe('the page');
  await expect(dialog.locator(':focus')).toHaveCount(1);
});

test('links skip to findings and candidates, and what an act did to the verdict is announced', async ({
  page
}) => {
  await openDemo(page);
  await remediesReady(page);
  await page.getByRole('link', { name: 'Skip to the findings' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.locator('#to-settle')).toBeFocused();
  await page.keyboard.press('Tab');
  await expect(page.locator('.settle :focus')).toHaveCount(1);

  const told = page.locator('[data-announces="verdict"]');
  await expect(told).toHaveText('');
  await page.locator('.settle li[data-code] .best button').first().click();
  await expect(told).toHaveText(/a scene, \d+ weakens? one\. The kit is worth \d+ of 100/);

  await page.goto('/satchel/lens');
  await expect(page.getByText(/\d+ on the shelf/)).toBeVisible();
  await expect(page.getByRole('option').first()).toBeVisible();
  await page.getByRole('link', { name: 'Skip to the candidates' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('listbox', { name: /Candidates/ })).toBeFocused();
});

test('a word of the brief is named with its figure', async ({ page }) => {
  await openDemo(page);
  await page.goto('/brief');
  await expect(
    page
      .getByRole('article')
      .first()
      .getByRole('button', { name: /, 0\.65 m/ })
      .first()
  ).toBeVisible();
});
