import { expect, kept, openDemo, test, verdict } from './bench';

test.describe('the brief', () => {
  test('a word changes the scene and the judgement follows', async ({ page }) => {
    await openDemo(page);
    await page.goto('/brief');
    const marsh = page.getByRole('article', { name: 'Marsh path' });
    await marsh.getByRole('button', { name: /How strong is the wind\?/ }).click();
    const slip = page.getByRole('dialog', { name: 'How strong is the wind?' });
    await slip.getByRole('spinbutton').fill('0');
    await slip.getByRole('spinbutton').press('Tab');
    await expect(marsh.getByRole('button', { name: /How strong is the wind\?/ })).toContainText(
      'still'
    );
    await page.keyboard.press('Escape');
    await marsh.getByRole('button', { name: /Where is the camera\?/ }).click();
    const camera = page.getByRole('dialog', { name: 'Where is the camera?' });
    await camera.getByRole('spinbutton', { name: /Lens to face/ }).fill('0.3');
    await camera.getByRole('spinbutton', { name: /Lens to face/ }).press('Tab');
    await kept(page);
    await page.goto('/satchel');
    await expect(page.locator('[data-code="L3"]')).toContainText('the nose looks');
  });

  test('the zoom one owns tells where to stand', async ({ page }) => {
    await openDemo(page);
    await page.goto('/brief');
    const loom = page.getByRole('article', { name: 'Loom lesson' });
    await loom.getByRole('button', { name: /Where is the camera\?/ }).click();
    await page.getByLabel(/Or frame it with the zoom/).fill('24');
    await page.getByRole('button', { name: /^Stand at 1\.08 m/ }).click();
    await expect(loom.getByRole('button', { name: /Where is the camera\?/ })).toBeVisible();
    await expect(loom).toContainText('1.08 m');
  });

  test('scenes come, are renamed and go; schools and limits change the budget', async ({
    page
  }) => {
    await openDemo(page);
    await page.goto('/brief');
    await page.getByRole('button', { name: 'talk live' }).click();
    const live = page.getByRole('article', { name: 'Live call' });
    await expect(live).toBeVisible();
    await live.getByLabel('Name of the scene').fill('<img src=x onerror=alert(1)> talk');
    await live.getByLabel('Name of the scene').press('Tab');
    await expect(
      page.getByRole('article', { name: '<img src=x onerror=alert(1)> talk' })
    ).toBeVisible();
    await page.goto('/satchel');
    await expect(page.locator('[data-code="B5"]')).toContainText(
      'The live picture carries the menus'
    );
    await page.goto('/brief');
    await page.getByRole('button', { name: /^Delete <img/ }).click();
    await page.getByRole('group', { name: 'Priorities' }).getByText('Lenses first').click();
    await expect(page.getByText('pockets are filled in this order: lens, body')).toBeVisible();
    await page.getByRole('spinbutton', { name: 'Set aside, £' }).fill('12');
    await page.getByRole('spinbutton', { name: 'Set aside, £' }).press('Tab');
    await expect(verdict(page)).toHaveText('£0.00 left');
  });
});

test('four questions pack a first kit within the limit', async ({ page }) => {
  await page.goto('/');
  await page.getByText('I sit and talk').click();
  await page.getByRole('spinbutton').fill('1200');
  await page.getByRole('button', { name: 'Pack a first kit' }).click();
  await page.waitForURL('**/satchel', { timeout: 150_000 });
  await expect(verdict(page)).toContainText('left');
  await expect(page.locator('.pocket[data-pocket="body"]')).not.toContainText('Nothing in it yet');
  await expect(
    page
      .getByText('Nothing stands in the way.')
      .or(page.getByRole('heading', { name: /To settle · 0 block/ }))
  ).toBeVisible();
});

test('a first kit is packed around the phone one has, from used parts, in one’s own currency', async ({
  page
}) => {
  await page.goto('/');
  await page.getByRole('spinbutton').fill('450');
  await page.getByLabel('Currency').selectOption('EUR');
  await page.getByText('a phone that films').click();
  await page.getByLabel('The one most like my phone').selectOption({ label: 'Ellowen Slip 4' });
  await page.getByText('I buy used where I can').click();
  await page.getByText('Light on the back').click();
  await page.getByRole('button', { name: 'Pack a first kit' }).click();
  await page.waitForURL('**/satchel', { timeout: 150_000 });
  await expect(verdict(page)).toContainText('left');
  await expect(verdict(page)).toContainText('€');
  await page.goto('/brief');
  await expect(page.getByRole('figure').filter({ hasText: 'Slip 4' })).toBeVisible();
  await expect(page.getByLabel('Propose used parts where they are sold')).toBeChecked();
});

test('a candidate shows what it would do before it is taken', async ({ page }) => {
  await openDemo(page);
  await page.locator('.pocket[data-pocket="sound"]').click();
  await page.getByRole('option').filter({ hasText: 'Thimble One' }).click();
  const then = page.getByRole('complementary', { name: 'If you add it' });
  await expect(then).toContainText('Takes the place of Dunmarrow Plover');
  await expect(then).toContainText('below the noise');
  await then.getByRole('button', { name: 'Add to kit' }).click();
  await expect(page.getByRole('list', { name: 'In this pocket' })).toContainText('Thimble One');
  await expect(verdict(page)).toHaveText('£25.00 over');
});

test('a length of the strap is moved to later by key and comes back', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('listbox', { name: 'Chosen lines in order' }).focus();
  await page.keyboard.press('End');
  await expect(page.locator('.slip')).toContainText('Pellamund Cellar 1 TB');
  await page.keyboard.press('l');
  await expect(verdict(page)).toHaveText('£14.00 left');
  await expect(page.getByText('£72.00 for later')).toBeVisible();
  await kept(page);
  await page.goto('/satchel/storage');
  await page.getByRole('button', { name: 'bring back' }).click();
  await expect(verdict(page)).toHaveText('£58.00 over');
});

test('a phone has it all within its width', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await openDemo(page);
  for (const path of [
    '/satchel',
    '/brief',
    '/buying',
    '/set',
    '/ledger',
    '/inventory',
    '/rehearse',
    '/proof',
    '/rehearse/logbook',
    '/satchel/pack',
    '/set/practise',
    '/satchel/power',
    '/shelf',
    '/shelf/edit',
    '/shelf/orrowby-linnet'
  ]) {
    await page.goto(path);
    await page.waitForTimeout(300);
    const { wide, screen } = await page.evaluate(() => ({
      wide: document.documentElement.scrollWidth,
      screen: innerWidth
    }));
    expect(wide, path).toBeLessThanOrEqual(screen);
  }
  await page.getByRole('link', { name: /To settle/ }).click();
  await expect(page.locator('[data-code="P2"]')).toBeVisible();
});
