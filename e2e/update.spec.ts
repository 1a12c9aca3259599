import { createServer, request as ask, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { expect, kept, openDemo, remediesReady, test, verdict } from './bench';

test.use({ serviceWorkers: 'allow' });

/** The app's server with a newer build before it: the same files, another version of the service worker. */
function deployment(origin: string): { server: Server; release: () => void } {
  let released = false;
  const server = createServer((incoming, outgoing) => {
    const target = new URL(incoming.url ?? '/', origin);
    const forwarded = ask(
      target,
      {
        method: incoming.method ?? 'GET',
        headers: { ...incoming.headers, host: target.host, 'accept-encoding': 'identity' }
      },
      (answer) => {
        if (target.pathname !== '/service-worker.js' || !released) {
          outgoing.writeHead(answer.statusCode ?? 502, answer.headers);
          answer.pipe(outgoing);
          return;
        }
        const chunks: Buffer[] = [];
        answer.on('data', (chunk: Buffer) => chunks.push(chunk));
        answer.on('end', () => {
          const newer = Buffer.concat(chunks)
            .toString('utf8')
            .replace('satchel-', 'satchel-newer-');
          outgoing.writeHead(200, {
            'content-type': 'text/javascript',
            'cache-control': 'no-cache'
          });
          outgoing.end(newer);
        });
      }
    );
    incoming.pipe(forwarded);
  });
  return { server, release: () => (released = true) };
}

test('an update that comes while one works loses no edit', async ({ browser, baseURL }) => {
  const { server, release } = deployment(baseURL!);
  await new Promise<void>((resolve) => server.listen(0, resolve));
  const origin = `http://localhost:${(server.address() as AddressInfo).port}`;
  const context = await browser.newContext({ baseURL: origin });
  try {
    const page = await context.newPage();
    await openDemo(page);
    await page.evaluate(async () => void (await navigator.serviceWorker.ready));
    await page.reload();
    await remediesReady(page);
    await page
      .locator('[data-code="P2"]')
      .getByRole('button', { name: /Ember 8 battery, third-party/ })
      .click();
    await expect(verdict(page)).toHaveText('£67.00 over');

    release();
    await page.evaluate(async () => {
      const registration = await navigator.serviceWorker.ready;
      await registration.update();
    });
    await expect
      .poll(() =>
        page.evaluate(async () => (await navigator.serviceWorker.ready).waiting?.state ?? 'none')
      )
      .toBe('installed');
    // The newer build waits; the open page goes on as it was.
    await page.getByRole('button', { name: /^Undo: add Harkelow/ }).click();
    await expect(verdict(page)).toHaveText('£58.00 over');
    await page.keyboard.press('Control+Shift+Z');
    await expect(verdict(page)).toHaveText('£67.00 over');
    await kept(page);
    await page.close();

    // Once no page holds on to the old build, the next one opened is served by the newer.
    await expect
      .poll(
        async () => {
          const visit = await context.newPage();
          await visit.goto('/satchel');
          const builds = await visit.evaluate(async () => (await caches.keys()).join(' '));
          await visit.close();
          return builds;
        },
        { timeout: 20_000 }
      )
      .toMatch(/^satchel-newer-\S+$/);
    const next = await context.newPage();
    await next.goto('/satchel');
    await expect(verdict(next)).toHaveText('£67.00 over');
    await next.reload();
    await expect(verdict(next)).toHaveText('£67.00 over');
    await next.getByRole('button', { name: /^Undo: add Harkelow/ }).click();
    await expect(verdict(next)).toHaveText('£58.00 over');
  } finally {
    await context.close();
    server.close();
    server.closeAllConnections();
  }
});
