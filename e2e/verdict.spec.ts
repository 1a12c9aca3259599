import { expect, kept, openDemo, remediesReady, test, unfold, verdict } from './bench';

test('a finding is ignored with a reason, comes back, and undo reaches it', async ({ page }) => {
  await openDemo(page);
  const stop = page.locator('li[data-code="B9"]').first();
  await unfold(stop);
  await stop.getByRole('button', { name: /^Ignore/ }).click();
  await stop.getByLabel('Why can it be ignored?').fill('I film at dawn <b>only</b>');
  await stop.getByRole('button', { name: 'Save the reason' }).click();
  await expect(page.locator('li[data-code="B9"]')).toHaveCount(0);
  await kept(page);
  await page.reload();
  await remediesReady(page);
  await expect(page.locator('li[data-code="B9"]')).toHaveCount(0);
  await page.getByRole('button', { name: 'Show 1 finding ignored' }).click();
  await expect(page.getByText('Marsh path: “I film at dawn <b>only</b>”')).toBeVisible();
  // It stands all the same: the scene does not work because one has looked away.
  await expect(page.getByRole('button', { name: /Marsh path.*blocked/ })).toBeVisible();
  await page.getByRole('button', { name: 'bring back' }).click();
  await expect(page.locator('li[data-code="B9"]')).toHaveCount(1);
  await page.getByRole('button', { name: /^Undo: bring a finding back/ }).click();
  await expect(page.locator('li[data-code="B9"]')).toHaveCount(0);
});

test('a question is asked before paying, answered on the part, and asked no more', async ({
  page
}) => {
  await openDemo(page);
  await page.goto('/shelf/edit?id=orrowby-linnet');
  await page.getByLabel('Draw, W', { exact: true }).fill('');
  await page.getByRole('button', { name: 'Save the part' }).click();
  await kept(page);
  await page.goto('/satchel');
  await remediesReady(page);
  const ask = page.getByRole('region', { name: 'Ask before you pay' });
  await expect(ask).toContainText('How many watts does Orrowby Linnet draw while recording?');
  await expect(ask).toContainText('12 W');
  await ask.getByRole('button', { name: 'I have the answer' }).first().click();
  await ask.getByLabel('Answer in W').fill('lots');
  await ask.getByRole('button', { name: 'note it on the part' }).click();
  await expect(ask.getByText(/lots/)).toBeVisible();
  await ask.getByLabel('Answer in W').fill('5900 mW');
  await ask.getByRole('button', { name: 'note it on the part' }).click();
  await expect(ask).toHaveCount(0);
  await expect(page.locator('li[data-code="P2"]')).toContainText('83 min (needs 95 min)');
});

test('what to set is told for every scene, with its reason and the school that differs', async ({
  page
}) => {
  await openDemo(page);
  await page.getByRole('button', { name: 'Settings for Loom lesson' }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('1/50 s');
  await expect(dialog).toContainText('Others: One rate everywhere');
  await dialog.getByText('worked out from').nth(2).click();
  await expect(dialog).toContainText('frames a second');
});

test('the total is told as a range with its chance of being over', async ({ page }) => {
  await openDemo(page);
  await expect(page.locator('.strap .verdict')).toContainText('£1,101 to £1,311');
  await expect(page.locator('.strap .verdict')).toContainText('almost certainly over');
  await expect(verdict(page)).toHaveText('£58.00 over');
});

test('all six schools speak of the kit, and one’s own weights are kept', async ({ page }) => {
  await openDemo(page);
  await page.goto('/brief');
  await page.getByText('What all six say of this kit').click();
  await expect(page.locator('.verdicts li')).toHaveCount(6);
  await page.getByText('Weigh it my own way').click();
  const ease = page.getByRole('spinbutton', { name: 'Weight of ease' });
  await ease.fill('60');
  await ease.press('Tab');
  await expect(page.getByRole('button', { name: 'take the standard weights again' })).toBeVisible();
  await kept(page);
  await page.reload();
  await expect(ease).toHaveValue('60');
  await page.getByRole('button', { name: 'take the standard weights again' }).click();
  await expect(ease).toHaveValue('10');
});

test('where people disagree both sides are told, and the kit goes the other way and back', async ({
  page
}) => {
  await openDemo(page);
  await page.goto('/brief');
  await page.getByText('Where people disagree, and what it would do here').click();
  const side = page.locator('.side').filter({ hasText: 'Most light and the softest background' });
  await expect(side).toContainText('here');
  const other = page.locator('.side').filter({ hasText: 'Nose and ears are sharp together' });
  await expect(other).toContainText(/The kit stays at \d+ at no price\./);
  await expect(other).toContainText('side effects: Loom lesson: the background stays readable');
  await other.getByRole('button', { name: 'Go this way: a stop down' }).click();
  await expect(other.getByText('here', { exact: true })).toBeVisible();
  await expect(side.getByRole('button')).toBeVisible();
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(side.getByText('here', { exact: true })).toBeVisible();

  await page.goto('/satchel/sound');
  await page.getByText('Where people disagree about the sound pocket').click();
  const silent = page.locator('.side').filter({ hasText: 'What cannot be left off' });
  await silent.getByRole('button', { name: 'Go this way: no switch' }).click();
  await expect(silent.getByText('here', { exact: true })).toBeVisible();
  await expect(page.getByRole('list', { name: 'In this pocket' })).not.toContainText('Plover');
});
