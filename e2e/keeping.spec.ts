import { readFileSync } from 'node:fs';
import { expect, exportedFile, kept, openDemo, type Page, test, verdict } from './bench';

test('a reload keeps all, and undo reaches across it', async ({ page }) => {
  await openDemo(page);
  await page
    .locator('[data-code="P2"]')
    .getByRole('button', { name: /Ember 8 battery, third-party/ })
    .click();
  await expect(verdict(page)).toHaveText('£67.00 over');
  await kept(page);
  await page.reload();
  await expect(verdict(page)).toHaveText('£67.00 over');

  await page
    .getByRole('button', { name: /^Undo: add Harkelow Ember 8 battery, third-party/ })
    .click();
  await expect(verdict(page)).toHaveText('£58.00 over');
  await kept(page);
  await page.reload();
  await expect(verdict(page)).toHaveText('£58.00 over');
  await page.keyboard.press('Control+Shift+Z');
  await expect(verdict(page)).toHaveText('£67.00 over');
  await page.keyboard.press('Control+Z');
  await expect(verdict(page)).toHaveText('£58.00 over');
});

test('a satchel file goes out and comes in equal', async ({ page, browser }) => {
  await openDemo(page);
  const out = await exportedFile(page);
  const other = await browser.newContext();
  const fresh = await other.newPage();
  await fresh.goto('/');
  await fresh.getByRole('button', { name: 'File', exact: true }).click();
  await fresh.getByLabel('Satchel file').setInputFiles({
    name: 'loom.satchel.json',
    mimeType: 'application/json',
    buffer: Buffer.from(out.text)
  });
  await fresh.waitForURL('**/satchel');
  await expect(verdict(fresh)).toHaveText('£58.00 over');
  const back = await exportedFile(fresh);
  expect([back.value.project, back.value.shelf]).toEqual([out.value.project, out.value.shelf]);
  await other.close();
});

test('a file with faults is refused whole, with a sentence for each', async ({ page }) => {
  await openDemo(page);
  const { value } = await exportedFile(page);
  const broken = structuredClone(value) as unknown as {
    project: { limitMinor: unknown; scenes: { fps: unknown }[] };
  };
  broken.project.limitMinor = -5;
  broken.project.scenes[1]!.fps = 'many';
  await page.getByRole('button', { name: 'File', exact: true }).click();
  await page.getByLabel('Satchel file').setInputFiles({
    name: 'x.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(broken))
  });
  await expect(page.getByText('The file was not opened; nothing has changed.')).toBeVisible();
  await expect(
    page.getByText(
      'project.limitMinor must be a whole number of minor units (pence, cents), not negative.'
    )
  ).toBeVisible();
  await expect(
    page.getByText('project.scenes[1].fps must be a number from 1 to 240 fps.')
  ).toBeVisible();
  await page.getByLabel('Satchel file').setInputFiles({
    name: 'y.json',
    mimeType: 'application/json',
    buffer: readFileSync('package.json')
  });
  await expect(page.getByText(/format must be "hearty-satchel"/)).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(verdict(page)).toHaveText('£58.00 over');
});

test('two tabs see each other', async ({ page, context }) => {
  await openDemo(page);
  const second = await context.newPage();
  await second.goto('/satchel');
  await expect(verdict(second)).toHaveText('£58.00 over');
  await second
    .locator('[data-code="P2"]')
    .getByRole('button', { name: /Ember 8 battery, third-party/ })
    .click();
  await expect(verdict(page)).toHaveText('£67.00 over');
  await page.goto('/brief');
  await page.getByRole('spinbutton', { name: 'Limit, £' }).fill('1300');
  await page.getByRole('spinbutton', { name: 'Limit, £' }).press('Tab');
  await expect(verdict(second)).toHaveText('£13.00 left');
});

async function openFile(page: Page, text: string): Promise<void> {
  await page.getByRole('button', { name: 'File', exact: true }).click();
  await page.getByLabel('Satchel file').setInputFiles({
    name: 'loom.satchel.json',
    mimeType: 'application/json',
    buffer: Buffer.from(text)
  });
}

test('a file older than what is kept replaces it only when told to, and undo brings it back', async ({
  page
}) => {
  await openDemo(page);
  const out = await exportedFile(page);
  await page
    .locator('[data-code="P2"]')
    .getByRole('button', { name: /Ember 8 battery, third-party/ })
    .click();
  await expect(verdict(page)).toHaveText('£67.00 over');
  await openFile(page, out.text);
  const dialog = page.getByRole('dialog', { name: 'This project is already saved here' });
  await expect(dialog.getByText('in the file is older')).toBeVisible();
  await dialog.getByRole('button', { name: 'Cancel' }).click();
  await expect(dialog).toBeHidden();
  await expect(verdict(page)).toHaveText('£67.00 over');

  await openFile(page, out.text);
  await dialog.getByText('Replace the one here').click();
  await expect(dialog.getByText(/kept for 30 days/)).toBeVisible();
  await dialog.getByRole('button', { name: 'Go on' }).click();
  await expect(verdict(page)).toHaveText('£58.00 over');
  await page.keyboard.press('Control+Z');
  await expect(verdict(page)).toHaveText('£67.00 over');

  await openFile(page, out.text);
  await dialog.getByText('Keep both').click();
  await dialog.getByRole('button', { name: 'Go on' }).click();
  await expect(verdict(page)).toHaveText('£58.00 over');
  await page.getByRole('button', { name: /^Plans and projects: Saltmarsh loom \(2\)/ }).click();
  const plans = page.getByRole('dialog', { name: 'Plans and projects' });
  await expect(plans.getByText(/replaced on/)).toBeVisible();
  await plans.getByRole('button', { name: 'Open Saltmarsh loom', exact: true }).click();
  await expect(verdict(page)).toHaveText('£67.00 over');
});

test('the demo opened anew asks before anything of the one worked in is touched', async ({
  page
}) => {
  await openDemo(page);
  await page
    .locator('[data-code="P2"]')
    .getByRole('button', { name: /Ember 8 battery, third-party/ })
    .click();
  await expect(verdict(page)).toHaveText('£67.00 over');
  await page.getByRole('button', { name: 'File', exact: true }).click();
  await page.getByRole('button', { name: 'Open the Saltmarsh loom' }).click();
  const dialog = page.getByRole('dialog', { name: 'This project is already saved here' });
  await dialog.getByRole('button', { name: 'Cancel' }).click();
  await expect(verdict(page)).toHaveText('£67.00 over');
});

test('remedies taken sixty milliseconds apart are both in the kit', async ({ page }) => {
  await openDemo(page);
  const titles = await page.evaluate(async () => {
    const cards = [...document.querySelectorAll<HTMLElement>('li.card[data-code]')].filter((card) =>
      card.querySelector('.remedy button')?.textContent?.includes('+£')
    );
    const [first, second] = [
      cards[0]!,
      cards.find((card) => card.dataset.code !== cards[0]!.dataset.code)!
    ];
    const pressed = [first, second].map((card) => card.querySelector('.title')!.textContent!);
    const press = (card: HTMLElement) =>
      card.querySelector<HTMLButtonElement>('.remedy button')!.click();
    press(first);
    await new Promise((resolve) => setTimeout(resolve, 60));
    press(second);
    return pressed;
  });
  for (const title of titles)
    await expect(page.locator('.title').getByText(title, { exact: true })).toHaveCount(0);
  await kept(page);
});

test('an act is in the database though the tab is closed sixty milliseconds later', async ({
  page,
  context
}) => {
  await openDemo(page);
  await kept(page);
  await page
    .locator('[data-code="P2"]')
    .getByRole('button', { name: /Ember 8 battery, third-party/ })
    .evaluate((button) => (button as HTMLElement).click());
  await page.waitForTimeout(60);
  await page.close();
  const again = await context.newPage();
  await again.goto('/satchel');
  await expect(verdict(again)).toHaveText('£67.00 over');
});

/** Something else of the same origin takes all the room the browser gives it, to the last hundred bytes. */
const fillTheOrigin = (page: Page) =>
  page.evaluate(async () => {
    const opening = indexedDB.open('something else');
    opening.onupgradeneeded = () =>
      opening.result.createObjectStore('filler', { autoIncrement: true });
    await new Promise((done) => (opening.onsuccess = done));
    const hasRoomFor = (bytes: number) =>
      new Promise<boolean>((tell) => {
        const writing = opening.result.transaction('filler', 'readwrite');
        // What repeats would be packed small.
        const noise = new Uint8Array(bytes);
        for (let place = 0; place < bytes; place += 65_536)
          crypto.getRandomValues(noise.subarray(place, place + 65_536));
        writing.objectStore('filler').add(noise);
        writing.oncomplete = () => tell(true);
        writing.onabort = () => tell(false);
      });
    for (let bytes = 1e6; bytes >= 100; bytes /= 10) while (await hasRoomFor(bytes));
  });

test('what could not be written is named, and kept before anything after it', async ({ page }) => {
  const devtools = await page.context().newCDPSession(page);
  const origin = new URL(test.info().project.use.baseURL!).origin;
  await devtools.send('Storage.overrideQuotaForOrigin', { origin, quotaSize: 12e6 });
  await openDemo(page);
  await kept(page);
  await fillTheOrigin(page);
  await page
    .locator('[data-code="P2"]')
    .getByRole('button', { name: /Ember 8 battery, third-party/ })
    .click();
  await expect(
    page.getByText(/Not saved yet: add Harkelow Ember 8 battery, third-party/)
  ).toBeVisible();
  await expect(page.getByText('not saved', { exact: true })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Export now' })).toBeVisible();
  // The next act would go through alone; it waits behind the one that did not.
  await page.locator('li.card[data-code="S1"] .remedy button').first().dispatchEvent('click');
  await expect(
    page.getByText(/Not saved yet: add Harkelow Ember 8 battery, third-party; /)
  ).toBeVisible();
  await expect(page.getByText('not saved', { exact: true })).toBeVisible();
  const shown = await verdict(page).textContent();
  await devtools.send('Storage.overrideQuotaForOrigin', { origin });
  // It also tries again of itself, which takes the button away.
  const again = page.getByRole('button', { name: 'Try again now' });
  await expect
    .poll(async () => {
      await again.click({ timeout: 500 }).catch(() => undefined);
      return page.getByText(/Not saved yet/).count();
    })
    .toBe(0);
  await kept(page);
  await page.reload();
  await expect(verdict(page)).toHaveText(shown!);
});

test('on a phone plans and projects are reached from the files, and steps stand one under the other', async ({
  page
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await openDemo(page);
  await page.getByRole('button', { name: 'File', exact: true }).click();
  await page.getByRole('button', { name: 'Plans and projects', exact: true }).click();
  const dialog = page.getByRole('dialog', { name: 'Plans and projects' });
  await expect(dialog).toBeVisible();
  expect((await dialog.boundingBox())!.width).toBeLessThanOrEqual(390);
  await page.keyboard.press('Escape');
  await page.goto('/ledger');
  const steps = page.locator('li[data-step]');
  await expect(steps.nth(1)).toBeVisible();
  const [now, next] = await steps.evaluateAll((all) =>
    all.map((button) => button.getBoundingClientRect())
  );
  expect(next!.top).toBeGreaterThan(now!.bottom);
});
