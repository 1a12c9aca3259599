import { expect, kept, openDemo, remediesReady, test, verdict } from './bench';

test.use({ serviceWorkers: 'allow' });

test('works with no network after the first load, and keeps what is done', async ({
  page,
  context
}) => {
  await openDemo(page);
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready;
  });
  await page.reload();
  await expect
    .poll(() => page.evaluate(() => navigator.serviceWorker.controller !== null))
    .toBe(true);
  await context.setOffline(true);
  await page.reload();
  await remediesReady(page);
  await page
    .locator('[data-code="P2"]')
    .getByRole('button', { name: /Ember 8 battery, third-party/ })
    .click();
  await expect(verdict(page)).toHaveText('£67.00 over');
  await kept(page);
  for (const [link, heading] of [
    ['Brief', 'Brief'],
    ['Shelf', 'The shelf'],
    ['Buying list', 'Buying list']
  ] as const) {
    await page
      .getByRole('navigation', { name: 'Views', exact: true })
      .getByRole('link', { name: new RegExp(`^${link}`) })
      .click();
    await expect(page.getByRole('heading', { name: heading, level: 1 })).toBeAttached();
  }
  await page.goto('/satchel/sound');
  await expect(page.getByRole('option').first()).toBeVisible();
  await context.setOffline(false);
  await page.reload();
  await expect(verdict(page)).toHaveText('£67.00 over');
});

test('no network is said beside what is kept, and no more than that', async ({ page, context }) => {
  await openDemo(page);
  await kept(page);
  await context.setOffline(true);
  await expect(page.getByText('offline, all saved', { exact: true })).toBeVisible();
  await page.setViewportSize({ width: 390, height: 844 });
  const word = page.getByRole('status').filter({ hasText: 'offline' });
  await expect(word).toBeInViewport();
  expect((await word.boundingBox())!.width).toBeGreaterThan(24);
  await expect(page.getByText(', all saved')).toBeHidden();
  await page.setViewportSize({ width: 1280, height: 800 });
  await context.setOffline(false);
  await expect(page.getByText('all saved', { exact: true })).toBeVisible();
});

test('a full storage says so, loses nothing on screen and still exports', async ({ page }) => {
  await openDemo(page);
  await kept(page);
  await page.evaluate(() => {
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('full', 'QuotaExceededError');
    };
  });
  await page
    .locator('[data-code="P2"]')
    .getByRole('button', { name: /Ember 8 battery, third-party/ })
    .click();
  await expect(page.getByText('not saved', { exact: true })).toBeVisible();
  await expect(
    page.getByText(/no room left to save this. Export the project to a file/)
  ).toBeVisible();
  await expect(verdict(page)).toHaveText('£67.00 over');
  await page.getByRole('button', { name: 'File', exact: true }).click();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save a satchel file' }).click();
  const chunks: Buffer[] = [];
  for await (const chunk of await (await download).createReadStream()) chunks.push(chunk as Buffer);
  const { project } = JSON.parse(Buffer.concat(chunks).toString('utf8'));
  expect(
    project.plans[0].lines.some(
      (line: { gearId: string }) => line.gearId === 'harkelow-ember-8-battery-third-party'
    )
  ).toBe(true);
});

test('kept pages come up at once while the network says nothing', async ({ page, context }) => {
  await openDemo(page);
  await page.evaluate(async () => void (await navigator.serviceWorker.ready));
  await page.reload();
  await expect
    .poll(() => page.evaluate(() => navigator.serviceWorker.controller !== null))
    .toBe(true);
  // Requests go out and are never answered.
  await context.route('**/*', () => undefined);
  await page.goto('/brief', { timeout: 5000 });
  await expect(page.getByRole('heading', { name: 'Brief', level: 1 })).toBeAttached();
  await page.getByRole('link', { name: /^Shelf/ }).click();
  await expect(page.getByRole('heading', { name: 'The shelf', level: 1 })).toBeAttached();
});

test('a part of a view that cannot be fetched says so, and comes when it can', async ({
  browser,
  baseURL
}) => {
  const context = await browser.newContext({ baseURL, serviceWorkers: 'block' });
  const page = await context.newPage();
  await page.goto('/?open=demo');
  await page.waitForURL('**/satchel');
  await remediesReady(page);
  await context.setOffline(true);
  await page.getByRole('button', { name: 'File', exact: true }).click();
  // A late part of the settle list may be cut off as well and say so in its own place: the dialog of
  // the top bar stands before it in the page.
  await expect(page.getByText('This part of the app could not be fetched.').first()).toBeVisible();
  await context.setOffline(false);
  await page.getByRole('button', { name: 'Try again' }).first().click();
  await expect(
    page
      .getByRole('dialog', { name: 'Files' })
      .or(page.getByRole('button', { name: 'Load the page again' }))
  ).toBeVisible();
  await context.close();
});

test('the app can be installed: its manifest is whole and its icons are what it says', async ({
  page,
  context
}) => {
  await openDemo(page);
  const devtools = await context.newCDPSession(page);
  const { errors, data } = await devtools.send('Page.getAppManifest');
  expect(errors).toEqual([]);
  const manifest = JSON.parse(data!) as {
    name: string;
    start_url: string;
    display: string;
    icons: { src: string; sizes: string; type: string; purpose?: string }[];
  };
  expect(manifest).toMatchObject({
    name: 'Hearty Satchel',
    start_url: '/satchel',
    display: 'standalone'
  });
  expect(manifest.icons.some(({ purpose }) => purpose === 'maskable')).toBe(true);
  for (const { src, sizes, type } of manifest.icons) {
    const answer = await page.request.get(src);
    expect(answer.headers()['content-type'], src).toContain(type);
    if (type !== 'image/png') continue;
    // Width and height stand at a fixed place of every PNG.
    const bytes = await answer.body();
    expect(`${bytes.readUInt32BE(16)}x${bytes.readUInt32BE(20)}`, src).toBe(sizes);
  }
});
