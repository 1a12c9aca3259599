import { expect, kept, openDemo, type Page, test, verdict } from './bench';

const candidates = (page: Page, pocket: string) =>
  page.getByRole('listbox', { name: `Candidates for the ${pocket} pocket` });
/** Only the rows in view are drawn; each says how many there are. */
const counted = async (list: ReturnType<typeof candidates>) =>
  Number(await list.getByRole('option').first().getAttribute('aria-setsize'));
const chosen = (page: Page) => page.locator('[role="option"][aria-selected="true"]');

test('candidates are walked, pinned side by side and taken by keyboard', async ({ page }) => {
  await openDemo(page);
  await page.goto('/satchel/sound');
  const list = candidates(page, 'sound');
  await list.focus();
  await page.keyboard.press('Home');
  const first = await chosen(page).getAttribute('id');
  await page.keyboard.press('ArrowDown');
  expect(await chosen(page).getAttribute('id')).not.toBe(first);
  await page.keyboard.press('ArrowUp');
  await expect(chosen(page)).toHaveAttribute('id', first!);
  await page.keyboard.press('End');
  await page.keyboard.press('Home');
  await expect(chosen(page)).toHaveAttribute('id', first!);

  // Three are compared at once and no more.
  const board = page.getByRole('region', { name: 'Compared side by side' });
  await page.keyboard.press('Space');
  await expect(board).toContainText('Add another with Space');
  for (let more = 0; more < 3; more++) {
    await page.keyboard.press('ArrowDown');
    await page.keyboard.press('Space');
  }
  await expect(board.getByRole('button', { name: /^Remove from comparison/ })).toHaveCount(3);
  await expect(board.getByRole('rowheader', { name: 'true cost' })).toBeVisible();
  await board
    .getByRole('button', { name: /^Remove from comparison/ })
    .first()
    .click();
  await expect(board.getByRole('button', { name: /^Remove from comparison/ })).toHaveCount(2);

  const before = await verdict(page).textContent();
  await list.focus();
  await page.keyboard.press('Home');
  const packed = chosen(page).getByText('packed');
  if ((await packed.count()) > 0) await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(verdict(page)).not.toHaveText(before!);
  await page.keyboard.press('Control+z');
  await expect(verdict(page)).toHaveText(before!);
});

test('a part is taken in the place of another, beside it, or for one scene', async ({ page }) => {
  await openDemo(page);
  await page.goto('/satchel/lens');
  const list = candidates(page, 'lens');
  const aside = page.getByRole('complementary', { name: 'If you add it' });
  const chooseFirstNew = () =>
    list.getByRole('option').filter({ hasNotText: 'packed' }).first().click();
  await chooseFirstNew();
  await expect(aside).toContainText('Takes the place of');

  await page.getByRole('tab', { name: 'Add beside' }).click();
  await chooseFirstNew();
  await expect(aside).toContainText('Comes in beside what is there.');

  await page.getByRole('tab', { name: 'For one scene' }).click();
  await page.getByLabel('Scene that uses it').selectOption({ label: 'Shuttle hands' });
  await expect(list.getByRole('option').first()).toBeVisible();
  // The list is judged anew for the scene, and a row may move under the pointer.
  await expect(async () => {
    await chooseFirstNew();
    await expect(aside).toContainText('Shuttle hands uses it', { timeout: 3000 });
    await expect(aside).not.toContainText('It is in the kit now', { timeout: 1000 });
  }).toPass({ timeout: 60_000 });
  await aside.getByRole('button', { name: 'Add to kit' }).click();
  await kept(page);
  // It is in, beside the two that were there.
  const lines = page.getByRole('button', { name: 'remove', exact: true });
  await expect(lines).toHaveCount(3);
});

test('a dot of the picture chooses the part it stands for', async ({ page }) => {
  await openDemo(page);
  await page.goto('/satchel/light');
  const picture = page.getByRole('img', { name: /^Worth against true cost/ });
  await expect(picture).toHaveAttribute('aria-label', /Nothing beats: .*worth \d+/);
  const dots = picture.locator('g.dot');
  expect(await dots.count()).toBeGreaterThan(10);
  await dots.nth(2).click({ force: true });
  await expect(chosen(page)).toHaveCount(1);
  await expect(picture.locator('.ring')).toHaveCount(1);
});

test('what would block a scene or costs too much is left out when asked', async ({ page }) => {
  await openDemo(page);
  await page.goto('/satchel/body');
  const list = candidates(page, 'body');
  await expect(list.getByRole('option').first()).toBeVisible();
  const all = await counted(list);
  await page.getByText('leave out what would block a scene').click();
  const working = await counted(list);
  expect(working).toBeLessThan(all);
  await page.getByText('only within budget').click();
  const within = await counted(list);
  expect(within).toBeLessThanOrEqual(working);
  // What is packed stays in view, whatever the filters say.
  await expect(list).toContainText('Linnet');
  await page.getByText('leave out what would block a scene').click();
  await page.getByText('only within budget').click();
  await expect.poll(() => counted(list)).toBe(all);
});

test('a part that needs a lead comes with it, at its true cost', async ({ page }) => {
  await openDemo(page);
  await page.goto('/satchel/sound');
  const burr = candidates(page, 'sound').getByRole('option').filter({ hasText: 'Burr' }).first();
  await burr.click();
  const then = page.getByRole('complementary', { name: 'If you add it' });
  await expect(then).toContainText('Cable TRRS to TRS');
  const before = await verdict(page).textContent();
  await then.getByRole('button', { name: 'Add to kit' }).click();
  await expect(verdict(page)).not.toHaveText(before!);
  await kept(page);
  await page.goto('/satchel/accessories');
  await expect(page.getByRole('list', { name: 'In this pocket' })).toContainText(
    'Cable TRRS to TRS'
  );
});

test('every pocket opens with its parts judged and one key away', async ({ page }) => {
  await openDemo(page);
  await page.goto('/satchel/sound');
  const tabs = page.getByRole('navigation', { name: 'Pockets' });
  for (const pocket of ['light', 'body', 'lens', 'support', 'storage', 'power', 'accessories']) {
    await tabs.getByRole('link', { name: new RegExp(`^${pocket}`) }).click();
    await expect(candidates(page, pocket).getByRole('option').first()).toBeVisible();
    await expect(tabs.locator('[aria-current="page"]')).toContainText(pocket);
    // Every part of the shelf that belongs there, the last ones judged too.
    const said = page.getByText(/^\d+ on the shelf/);
    await expect(said).toBeVisible();
    expect(await counted(candidates(page, pocket))).toBe(parseInt((await said.textContent())!));
  }
});
