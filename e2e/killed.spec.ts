import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test } from '@playwright/test';
import { killMidWrite } from '../scripts/kill/kill-mid-write';

/** `npm run kill` does this a hundred times. */
const TIMES = 6;

test('a browser killed in the middle of writing opens whole, with the last or the last but one', async ({
  baseURL
}) => {
  test.setTimeout(600_000);
  const profile = mkdtempSync(join(tmpdir(), 'hearty-killed-'));
  try {
    for (let time = 0; time < TIMES; time++) {
      const { keptLines, undoWorks } = await killMidWrite(baseURL!, profile, time);
      expect(keptLines).toBe(true);
      expect(undoWorks).toBe(true);
    }
  } finally {
    rmSync(profile, { recursive: true, force: true });
  }
});
