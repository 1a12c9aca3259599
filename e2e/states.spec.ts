import { expect, kept, openDemo, remediesReady, test, verdict } from './bench';

test('a browser that refuses storage is worked in all the same, undo included', async ({
  page
}) => {
  await page.addInitScript(() => {
    IDBFactory.prototype.open = () => {
      throw new DOMException('denied', 'SecurityError');
    };
    Object.defineProperty(window, 'localStorage', {
      get: () => {
        throw new DOMException('denied', 'SecurityError');
      }
    });
  });
  await openDemo(page);
  await expect(page.getByText('This browser does not save anything here')).toBeVisible();
  await expect(page.getByText('saved in this tab only', { exact: true })).toBeVisible();
  await page
    .locator('[data-code="P2"]')
    .getByRole('button', { name: /Ember 8 battery, third-party/ })
    .click();
  await expect(verdict(page)).toHaveText('£67.00 over');
  await page
    .getByRole('button', { name: /^Undo: add Harkelow Ember 8 battery, third-party/ })
    .click();
  await expect(verdict(page)).toHaveText('£58.00 over');
  await page.getByRole('button', { name: 'Switch to the dark theme' }).click();
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark');
  await page.getByRole('button', { name: 'File', exact: true }).click();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save a satchel file' }).click();
  expect((await download).suggestedFilename()).toMatch(/\.satchel\.json$/);
});

test('a worker that does not start is told, what is found stands, and it is asked again', async ({
  browser
}) => {
  // A page of its own, for the refused script is an error in its console, and rightly; and without
  // the service worker, which would have the script at hand.
  const context = await browser.newContext({ serviceWorkers: 'block' });
  const page = await context.newPage();
  await page.route(/judge-worker/, (route) => route.abort());
  await page.goto('/?open=demo');
  await expect(page.getByText(/^Remedies could not be looked for/)).toBeVisible();
  await expect(page.locator('li[data-code="P2"]').first()).toBeVisible();
  await expect(page.getByText('looking for remedies…')).toHaveCount(0);
  await page.locator('.pocket[data-pocket="sound"]').click();
  await expect(page.getByText(/^The parts could not be judged/)).toBeVisible();
  await page.unroute(/judge-worker/);
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByRole('option').first()).toBeVisible();
  await expect(page.getByText(/^The parts could not be judged/)).toHaveCount(0);
  await page.getByRole('link', { name: '← the satchel' }).click();
  const tryAgain = page.getByRole('button', { name: 'Try again' });
  await tryAgain.click();
  await expect(tryAgain).toHaveCount(0);
  await remediesReady(page);
  await expect(
    page.locator('[data-code="P2"]').getByRole('button', { name: /Ember 8 battery, third-party/ })
  ).toBeVisible();
  await context.close();
});

test('what is kept but cannot be read is saved as it is, and one begins anew beside it', async ({
  page
}) => {
  await openDemo(page);
  await kept(page);
  await page.evaluate(
    () =>
      new Promise<void>((resolve, reject) => {
        const opening = indexedDB.open('hearty-satchel');
        opening.onerror = () => reject(new Error('not opened'));
        opening.onsuccess = () => {
          const db = opening.result;
          const projects = db.transaction('projects', 'readwrite').objectStore('projects');
          const all = projects.getAll();
          all.onsuccess = () => {
            const row = all.result[0];
            row.checkedAs = 0;
            row.project.scenes = 'gone';
            const put = projects.put(row);
            put.onsuccess = () => {
              db.close();
              resolve();
            };
          };
        };
      })
  );
  await page.reload();
  await expect(
    page.getByRole('heading', { name: 'The saved project cannot be opened' })
  ).toBeVisible();
  await expect(page.getByText(/project\.scenes must be a list/)).toBeVisible();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export this project as it lies' }).click();
  const chunks: Buffer[] = [];
  for await (const chunk of await (await download).createReadStream()) chunks.push(chunk as Buffer);
  const saved = JSON.parse(Buffer.concat(chunks).toString('utf8'));
  expect(saved.row.project.scenes).toBe('gone');
  expect(saved.row.project.plans[0].lines).toHaveLength(14);
  await page.getByRole('button', { name: 'Begin a new project' }).click();
  await expect(page.getByRole('button', { name: 'Pack a first kit' })).toBeVisible();
});

test('an address that leads nowhere says so and leads back', async ({ context }) => {
  const page = await context.newPage();
  await page.goto('/?open=demo');
  await page.waitForURL('**/satchel');
  await page.goto('/shelf/no-such-part');
  await expect(page.getByRole('heading', { name: 'Not on the shelf' })).toBeVisible();
  await page.goto('/satchel/nothing');
  await expect(page.getByRole('heading', { name: 'Nothing is saved there' })).toBeVisible();
  await page.getByRole('link', { name: 'Back to the satchel' }).click();
  await expect(page.getByRole('region', { name: 'The satchel' })).toBeVisible();
});

test('an empty plan says what each pocket is for and leads on', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('button', { name: /^Plans and projects/ }).click();
  await page.getByRole('button', { name: 'Begin an empty plan' }).click();
  await page.keyboard.press('Escape');
  await expect(verdict(page)).toHaveText('£1,150.00 left');
  await expect(page.locator('.pocket[data-pocket="sound"]')).toContainText('Nothing in it yet');
  await page.locator('.pocket[data-pocket="body"]').click();
  await expect(page.getByRole('option').first()).toBeVisible();
});

test('an empty bag has a first kit packed into it, and undo takes it out in one go', async ({
  page
}) => {
  await openDemo(page);
  await page.getByRole('button', { name: /^Plans and projects/ }).click();
  await page.getByRole('button', { name: 'Begin an empty plan' }).click();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('heading', { name: 'The kit is empty' })).toBeVisible();
  await page.getByRole('button', { name: 'Pack a first kit' }).click();
  await expect(page.getByRole('heading', { name: 'The kit is empty' })).toHaveCount(0, {
    timeout: 150_000
  });
  await expect(page.locator('.pocket[data-pocket="body"]')).not.toContainText('Nothing in it yet');
  await expect(verdict(page)).toContainText('left');
  await kept(page);
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('heading', { name: 'The kit is empty' })).toBeVisible();
});
