import { expect, kept, missingForSecondAngle, openDemo, test, verdict } from './bench';

/* Jobs as people come with them, walked to the point where each once met a wall. */

test('a teacher under 60 Hz and in inches: scenes move to 30 frames, one undo takes it back', async ({
  page
}) => {
  await openDemo(page);
  await page.goto('/brief');
  await page.getByText('60 Hz mains').click();
  await expect(
    page.getByText(/scenes move to a frame rate that keeps step with lamps on 60 Hz/)
  ).toBeVisible();
  const lesson = page.getByRole('article', { name: 'Loom lesson' });
  await expect(lesson).toContainText('30 frames');
  await page.getByText('inches, pounds').click();
  await expect(lesson).toContainText(/\d in|\d ft/);
  await kept(page);
  // The shelf, the pocket and every finding follow.
  await page.goto('/shelf');
  await page.getByRole('searchbox', { name: 'Find a part' }).fill('tripod');
  await expect(page.getByText(/carries [\d.]+ (lb|oz)/).first()).toBeVisible();
  await page.goto('/satchel');
  await expect(page.getByRole('main')).toContainText(/\d (lb|oz)/);
  await expect(page.locator('.settle')).not.toContainText(/\d (kg|m)\b(?![^(]*\))/);
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await page.goto('/brief');
  await expect(lesson).toContainText('25 frames');
});

test('a hall with two angles: what the second one lacks is added in one step', async ({ page }) => {
  await openDemo(page);
  const second = await missingForSecondAngle(page);
  const remedy = second.getByRole('button', { name: /^Add / }).first();
  await expect(remedy).toBeVisible();
  await remedy.click();
  await expect(
    page.locator('[data-code="M7"]').filter({ hasText: 'Two angles at once need two bodies' })
  ).toHaveCount(0);
});

test('a desk for calls is packed and told to listen by headphones', async ({ page }) => {
  await page.goto('/');
  await page.getByText('Live calls').click();
  await page.getByRole('spinbutton').fill('900');
  await page.getByRole('button', { name: 'Pack a first kit' }).click();
  await page.waitForURL('**/satchel', { timeout: 150_000 });
  await expect(verdict(page)).toContainText('left');
  await page
    .getByRole('button', { name: /^Settings for/ })
    .first()
    .click();
  const card = page.getByRole('dialog');
  await expect(card).toContainText('Headphones');
  await expect(card).toContainText('Eye line');
});

test('three days off the grid: power is found short and a remedy covers it', async ({ page }) => {
  await openDemo(page);
  await page.goto('/brief');
  const path = page.getByRole('article', { name: 'Marsh path' });
  await path.getByRole('button', { name: 'How many days away from a socket?' }).click();
  const slip = page.getByRole('dialog', { name: 'How many days away from a socket?' });
  await slip.getByRole('spinbutton').fill('3');
  await slip.getByRole('spinbutton').press('Enter');
  await expect(path).toContainText('3 days from a socket');
  await kept(page);
  await page.goto('/satchel');
  const short = page.locator('[data-code="P5"], [data-code="P2"]').first();
  await expect(short).toBeVisible();
  const code = await short.getAttribute('data-code');
  await short.locator('.best button').first().click();
  await expect(page.locator(`[data-code="${code}"]`).filter({ hasText: 'Marsh path' })).toHaveCount(
    0
  );
});

test('a phone of one’s own is entered from its sheet, its lens with it, and is owned', async ({
  page
}) => {
  await openDemo(page);
  await page.goto('/shelf/edit?owned=1');
  await page.getByLabel('Kind', { exact: true }).selectOption('body');
  await page.getByLabel('Maker').fill('Mine');
  await page.getByLabel('Model').fill('Pocket telephone');
  await page
    .getByLabel('Specification text')
    .fill(
      'Smartphone, 24 mm equivalent f/1.8, 1/1.3" sensor, minimum focus 10 cm. Battery 5000 mAh 3.85 V built in. 4K 30 fps 60 Mbps. 203 g'
    );
  await page.getByRole('button', { name: /^Take \d+ figures/ }).click();
  await expect(page.getByLabel('Built-in lens, shortest focal length, mm')).toHaveValue('6.53');
  await expect(page.getByLabel('Energy of the built-in battery, Wh')).toHaveValue('19.25');
  await expect(page.getByLabel('Energy of the battery in the box, Wh')).toHaveValue('');
  await page.getByRole('button', { name: 'Save the part' }).click();
  await page.waitForURL('**/brief');
  await expect(page.locator('.owned')).toContainText('Pocket telephone');
  await kept(page);
  // “Copy it” carries the lens along.
  await page.goto('/shelf/edit?id=own-mine-pocket-telephone&copy=yes');
  await expect(page.getByLabel('Built-in lens, widest aperture, long end, f/')).toHaveValue('1.8');
});
