import { execFileSync } from 'node:child_process';
import { chromium } from '@playwright/test';

interface Outcome {
  /** The project opened, and its lines are a state that was really there. */
  keptLines: boolean;
  /** The log belongs to the project: undo leads back without a fault. */
  undoWorks: boolean;
}

const launch = (profile: string) =>
  chromium.launchPersistentContext(profile, {
    executablePath: '/usr/bin/chromium',
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync'
    ]
  });

/**
 * Opens the demo in a lasting profile, sets off a burst of acts, kills every process of the browser
 * at a moment that differs from time to time, and looks at what is there afterwards.
 */
export async function killMidWrite(
  address: string,
  profile: string,
  time: number
): Promise<Outcome> {
  const context = await launch(profile);
  const page = context.pages()[0] ?? (await context.newPage());
  await page.goto(`${address}/?open=demo`);
  await page.waitForURL('**/satchel');
  await page.goto(`${address}/satchel/power`);
  const more = page.getByRole('button', { name: /Charger Ember 8, two bays more/ });
  await more.waitFor();
  await page.evaluate(() => {
    const button = [...document.querySelectorAll('button')].find((other) =>
      /two bays more/.test(other.getAttribute('aria-label') ?? '')
    );
    setInterval(() => button?.click(), 4);
  });
  await page.waitForTimeout(60 + ((time * 37) % 240));
  // Nobody gets to say goodbye: every process of this profile ends at once.
  try {
    execFileSync('pkill', ['-9', '-f', profile]);
  } catch {
    /* pkill answers 1 when the browser has already gone */
  }
  await context.close().catch(() => undefined);

  const again = await launch(profile);
  try {
    const fresh = again.pages()[0] ?? (await again.newPage());
    const faults: string[] = [];
    fresh.on('pageerror', (error) => faults.push(error.message));
    await fresh.goto(`${address}/satchel/power`);
    const pieces = fresh.getByRole('list', { name: 'In this pocket' }).locator('.pieces .figures');
    await pieces.waitFor();
    const quantity = Number(await pieces.innerText());
    const keptLines = quantity >= 1 && quantity <= 999 && faults.length === 0;
    let undoWorks = true;
    if (quantity > 1) {
      await fresh.getByRole('button', { name: /^Undo: change Quillfeather Charger/ }).click();
      await fresh
        .waitForFunction(
          (before) =>
            Number(document.querySelector('.pieces .figures')?.textContent) === before - 1,
          quantity,
          { timeout: 5000 }
        )
        .catch(() => (undoWorks = false));
    }
    return { keptLines, undoWorks: undoWorks && faults.length === 0 };
  } finally {
    await again.close();
  }
}
