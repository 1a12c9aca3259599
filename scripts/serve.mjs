// Serves the build. Static files pass the same strict headers as pages do.
import { createServer } from 'node:http';
import { join } from 'node:path';
import { bundleWhenChanged, projectRoot } from './own-setup.mjs';

const FIRST_PORT = 4173;
const PORTS_TRIED = 50;
/** A little above the satchel file's limit, so that the route itself can say what is too large. */
const BODY_LIMIT = '22M';

const staticHeaders = {
  'x-content-type-options': 'nosniff',
  'x-frame-options': 'DENY',
  'referrer-policy': 'no-referrer',
  'cross-origin-opener-policy': 'same-origin',
  'cross-origin-resource-policy': 'same-origin'
};
/** Scripts of workers are bound by the policy their own file carries. */
const staticPolicy =
  "default-src 'none'; script-src 'self'; connect-src 'self'; frame-ancestors 'none'";

/** @param {string | undefined} url */
const isFile = (url = '') => /\.[a-z0-9]+$/i.test(url.split('?')[0]);

/**
 * Starts the server on the port asked for, or the next free one.
 * @param {number} [port] @returns {Promise<{ address: string, close: () => void }>}
 */
export async function serve(port = Number(process.env.PORT) || FIRST_PORT) {
  process.env.BODY_SIZE_LIMIT ??= BODY_LIMIT;
  process.env.EVALUATION_PROGRAM ??= join(
    projectRoot,
    bundleWhenChanged('evaluation', 'scripts/programs/evaluation-worker.ts')
  );
  process.env.PACKING_PROGRAM ??= join(
    projectRoot,
    bundleWhenChanged('packing', 'scripts/programs/packing-worker.ts')
  );
  const { handler } = await import('../build/handler.js');
  const server = createServer((request, response) => {
    for (const [name, value] of Object.entries(staticHeaders)) response.setHeader(name, value);
    // Pages bring their own policy, also when the browser keeps the copy it has.
    if (isFile(request.url)) response.setHeader('content-security-policy', staticPolicy);
    handler(request, response, () => {
      response.statusCode = 404;
      response.end('There is nothing at this address.');
    });
  });
  for (let tried = 0; tried < PORTS_TRIED; tried++) {
    const free = await new Promise((resolve, reject) => {
      server.once('error', (/** @type {NodeJS.ErrnoException} */ error) =>
        error.code === 'EADDRINUSE' ? resolve(false) : reject(error)
      );
      server.listen(port + tried, () => resolve(true));
    });
    if (free) {
      return { address: `http://localhost:${port + tried}`, close: () => server.close() };
    }
    server.removeAllListeners('error');
  }
  throw new Error(
    `No free port between ${port} and ${port + PORTS_TRIED}. Set PORT to a free one.`
  );
}
