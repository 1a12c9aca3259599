import { expect, kept, test } from './bench';

test('a ride and a flight are packed for, and said in the brief', async ({ page }) => {
  await page.goto('/');
  await page.getByLabel('I walk and talk').uncheck({ force: true });
  await page.getByLabel('I ride, the camera on me').check({ force: true });
  await page.getByLabel('From the air').check({ force: true });
  await page.getByLabel('Budget, in').fill('2000');
  await page.getByRole('button', { name: 'Pack a first kit' }).click();
  await page.waitForURL('**/satchel', { timeout: 150_000 });
  const rail = page.getByRole('complementary', { name: 'Scenes' });
  await expect(rail).toContainText('On the bicycle');
  await expect(rail).toContainText('From the air');
  await expect(rail).not.toContainText('blocked');
  await kept(page);

  await page.goto('/brief');
  const ride = page.getByRole('article').first();
  await expect(ride).toContainText('on my chest');
  await expect(page.getByRole('article').nth(1)).toContainText('in the air');
  await ride.getByRole('button', { name: /^How fast do you ride/ }).click();
  await page.getByRole('spinbutton', { name: /^Speed/ }).fill('12');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await expect(ride).toContainText('the pace of town traffic');

  // Another style takes the speed away, and brings it back.
  await ride.getByRole('button', { name: /^What do you do here/ }).click();
  await page.locator('label', { hasText: 'film the land' }).click();
  await expect(ride).not.toContainText('pace');

  // A talk may have a house that gives its sound; other scenes are not asked.
  const feed = ride.getByRole('button', { name: 'sound from the house’s mixing desk' });
  await expect(feed).toHaveCount(0);
  await page.locator('label', { hasText: 'film a talk' }).click();
  await page.keyboard.press('Escape');
  await feed.click();
  await kept(page);
  await expect(ride).toContainText('The house gives me its sound from the mixing desk');
  await page.goto('/satchel/sound');
  await page.getByRole('searchbox').first().fill('Vestry Box');
  await expect(page.getByRole('option', { name: /Vestry Box/ })).not.toContainText(
    'it would stay in the bag'
  );
});

test('a lamp that stays on in another colour is told and switched off', async ({ page }) => {
  await page.goto('/');
  await page.getByLabel('I walk and talk').uncheck({ force: true });
  await page.getByLabel('I sit and talk').check({ force: true });
  await page.getByRole('button', { name: 'Pack a first kit' }).click();
  await page.waitForURL('**/satchel', { timeout: 150_000 });
  await kept(page);
  await page.goto('/brief');
  const scene = page.getByRole('article').first();
  await scene.getByRole('button', { name: 'lamps that stay on' }).click();
  await expect(scene).toContainText(/stays on and is.*warm white/);
  await scene.getByRole('button', { name: /^Which colour has it/ }).click();
  await page.getByRole('spinbutton', { name: /^Colour/ }).fill('8000');
  await page.keyboard.press('Enter');
  await expect(scene).toContainText('the blue of shade');
});

test('the other demos open from the first run and from the files, each with things to settle', async ({
  page
}) => {
  const rail = page.getByRole('complementary', { name: 'Scenes' });
  const finding = page.locator('.settle li[data-code]').first();
  await page.goto('/');
  await page.getByRole('button', { name: 'Open the Lanternlight desk' }).click();
  await expect(rail).toContainText('Live lesson');
  await expect(finding).toBeVisible();
  await kept(page);
  await page.getByRole('button', { name: 'File', exact: true }).click();
  await page.getByRole('button', { name: 'Open the Drovers’ road' }).click();
  await expect(rail).toContainText('The way');
  await expect(rail).toContainText('Camp at nightfall');
  await expect(finding).toBeVisible();
});

test('on a narrow phone the budget of the first run shows all its figures', async ({ page }) => {
  await page.setViewportSize({ width: 360, height: 800 });
  await page.goto('/');
  const budget = page.getByLabel('Budget, in');
  await budget.fill('12500');
  const clipped = await budget.evaluate(
    (field: HTMLInputElement) => field.scrollWidth > field.clientWidth
  );
  expect(clipped).toBe(false);
  const money = (await budget.boundingBox())!;
  const currency = (await page.getByLabel('Currency').boundingBox())!;
  expect(money.width).toBeGreaterThan(200);
  expect(currency.y).toBeGreaterThanOrEqual(money.y + money.height);
});
