import { expect, openDemo, test } from './bench';

test.beforeEach(async ({ page }) => {
  await openDemo(page);
  await page.goto('/set');
  await page.getByRole('link', { name: /Practise with this camera/ }).click();
  await page.getByRole('button', { name: 'Loom lesson', exact: true }).click();
  await page.getByLabel('Practise', { exact: true }).selectOption('the meter');
});

test('a drill is set by hand, told what was off, and kept; the skill is due later', async ({
  page
}) => {
  const dials = page.getByRole('group', { name: 'Camera dials' });
  await expect(page.getByRole('img', { name: /^Meter:/ })).toBeVisible();
  await dials.getByLabel('ISO').selectOption({ index: 8 });
  await page.getByRole('button', { name: 'Take it' }).click();
  const marks = page.getByRole('region', { name: 'How it went' });
  await expect(marks).toContainText(/of 100/);
  await expect(marks).toContainText(/over|under/);
  await expect(dials.getByLabel('ISO')).toBeDisabled();

  // What it says would have been right is: the next drill, set so, scores high.
  await page.getByRole('button', { name: 'Next drill' }).click();
  await dials.getByLabel('ISO').selectOption('125');
  await expect(page.locator('p.words')).toContainText('Exposed right');
  await page.getByRole('button', { name: 'Take it' }).click();
  await expect(marks.getByRole('heading')).toHaveText(/^(9\d|100) of 100$/);

  const skills = page.getByRole('complementary', { name: 'Your skills' });
  await expect(skills).toContainText('2 attempts, last');
  await page.reload();
  await expect(skills).toContainText('2 attempts, last');
  await skills.getByRole('button', { name: 'Forget all attempts' }).click();
  await expect(skills).not.toContainText('2 attempts');
});

test('it goes by the keyboard alone, and words say what the picture shows', async ({ page }) => {
  const iso = page.getByRole('group', { name: 'Camera dials' }).getByLabel('ISO');
  await iso.focus();
  const said = page.locator('p.words');
  await expect(said).toContainText(/stops (over|under)/);
  const before = await said.innerText();
  await page.keyboard.press('ArrowDown');
  await expect(said).not.toHaveText(before);
  for (let press = 0; press < 3; press++) await page.keyboard.press('Tab');
  await page.getByRole('button', { name: 'Take it' }).press('Enter');
  await expect(page.getByRole('region', { name: 'How it went' })).toBeVisible();
});
