import type { Project } from '../src/lib/core/model/project';
import { type Locator, type Page, test as base, expect } from '@playwright/test';

/**
 * A page that is watched: a console error, a thrown error or a request to another origin fails the
 * test that caused it.
 */
export const test = base.extend<{ page: Page }>({
  page: async ({ page, baseURL }, use) => {
    const faults: string[] = [];
    page.on('console', (message) => {
      if (message.type() === 'error') faults.push(`console: ${message.text()}`);
    });
    page.on('pageerror', (error) => faults.push(`thrown: ${error.message}`));
    page.on('request', (request) => {
      const url = request.url();
      if (!url.startsWith(baseURL!) && !url.startsWith('blob:') && !url.startsWith('data:'))
        faults.push(`foreign request: ${url}`);
    });
    keepBeforeLeaving(page);
    await use(page);
    expect(faults).toEqual([]);
  }
});

/**
 * A person reads the page before leaving it; a test leaves within a millisecond of its last act.
 * So going elsewhere or loading again first waits for what is still on its way to the database.
 */
function keepBeforeLeaving(page: Page): void {
  const go = page.goto.bind(page);
  const again = page.reload.bind(page);
  const nothingUnderWay = () => expect(page.getByText('saving…')).toHaveCount(0);
  page.goto = async (...to) => {
    await nothingUnderWay();
    return go(...to);
  };
  page.reload = async (...how) => {
    await nothingUnderWay();
    return again(...how);
  };
}

export { expect };
export type { Page };

/** Opens the demo from an empty browser and waits until remedies are there. */
export async function openDemo(page: Page): Promise<void> {
  await page.clock.setFixedTime(new Date('2026-11-25T09:00:00'));
  await page.goto('/?open=demo');
  await page.waitForURL('**/satchel');
  await expect(page.getByRole('region', { name: 'The satchel' })).toBeVisible();
  await remediesReady(page);
}

/** Unfolds a finding to its reason and all its remedies. */
export async function unfold(finding: Locator) {
  await finding.locator('button.line').first().click();
}

export async function remediesReady(page: Page): Promise<void> {
  await expect(page.getByText('looking for remedies…')).toHaveCount(0);
}

/** The one number that matters, as shown at the right of the strap. */
export function verdict(page: Page) {
  return page.locator('.strap .verdict .sum');
}

/** Goes on once what was done is in the database. */
export async function kept(page: Page): Promise<void> {
  await expect(page.getByText('all saved')).toBeVisible();
}

/** The project as the satchel file would carry it. */
export async function exportedFile(
  page: Page
): Promise<{ text: string; value: { project: Record<string, unknown>; shelf: unknown[] } }> {
  await page.getByRole('button', { name: 'File', exact: true }).click();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save a satchel file' }).click();
  const stream = await (await download).createReadStream();
  const chunks: Buffer[] = [];
  for await (const chunk of stream) chunks.push(chunk as Buffer);
  const text = Buffer.concat(chunks).toString('utf8');
  await page.keyboard.press('Escape');
  return { text, value: JSON.parse(text) };
}

/** What is open, changed and opened as a file of its own. */
export async function openChanged(
  page: Page,
  name: string,
  change: (project: Record<string, unknown>) => void
) {
  const { value } = await exportedFile(page);
  Object.assign(value.project, { id: `id-${name.replaceAll(' ', '-')}`, name });
  change(value.project);
  await page.getByRole('button', { name: 'File', exact: true }).click();
  await page.getByLabel('Satchel file').setInputFiles({
    name: 'changed.satchel.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(value))
  });
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expect(page.getByRole('banner').getByText(name)).toBeVisible();
  await expect(page.getByText('all saved')).toBeVisible();
}

/** A project with one of its scenes alone. */
export function keepOneScene(project: Record<string, unknown>, sceneId: string) {
  const { scenes, plans } = project as unknown as Pick<Project, 'scenes' | 'plans'>;
  project.scenes = scenes.filter(({ id }) => id === sceneId);
  for (const plan of plans) plan.rigs = plan.rigs.filter((rig) => rig.sceneId === sceneId);
}

/** The lesson filmed from a second angle, and the finding about what that lacks, unfolded. */
export async function missingForSecondAngle(page: Page): Promise<Locator> {
  await page.goto('/brief');
  await page
    .getByRole('article', { name: 'Loom lesson' })
    .getByRole('button', { name: 'film it from another angle too' })
    .click();
  await kept(page);
  await page.goto('/satchel');
  const second = page.locator('[data-code="M7"]').filter({ hasText: 'second angle' });
  await unfold(second);
  return second;
}
