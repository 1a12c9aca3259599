import { defineConfig } from '@playwright/test';

const port = Number(process.env.TEST_PORT) || 4310;

export default defineConfig({
  testDir: 'e2e',
  timeout: 180_000,
  // A shared machine may be slow for a while; a page that is wrong stays wrong.
  expect: { timeout: 20_000 },
  workers: 2,
  fullyParallel: true,
  // A test that passes only the second time is listed as flaky; one fault of a busy machine stops nobody.
  retries: 1,
  reporter: process.env.PLAYWRIGHT_JSON_OUTPUT_NAME ? [['list'], ['json']] : 'list',
  use: {
    baseURL: `http://localhost:${port}`,
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    // Every test begins in an empty browser, where it would fetch the whole app to keep it; tests of that allow it.
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        // A microphone that beeps and a camera that shows a test card; the browser still asks.
        '--use-fake-device-for-media-stream',
        '--no-first-run'
      ]
    }
  },
  webServer: {
    command: `node -e "import('./scripts/serve.mjs').then((m) => m.serve(${port}))"`,
    url: `http://localhost:${port}/api/health`,
    reuseExistingServer: false,
    timeout: 30_000
  }
});
