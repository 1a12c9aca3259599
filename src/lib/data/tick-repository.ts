import type { SatchelDatabase } from './database';

/** More ticks than any set of cards has lines are some fault's. */
const MOST_TICKS = 5000;

/** Ticks on the cards, project by project: kept apart from the project, for they change nothing of it. */
export class TickRepository {
  constructor(private readonly db: SatchelDatabase) {}

  async of(projectId: string): Promise<string[]> {
    const row: unknown = await this.db.ticks.get(projectId);
    const keys = (row as { keys?: unknown } | undefined)?.keys;
    return Array.isArray(keys) ? keys.filter((key) => typeof key === 'string') : [];
  }

  async set(projectId: string, keys: readonly string[]): Promise<void> {
    await this.db.ticks.put({ projectId, keys: keys.slice(0, MOST_TICKS) });
  }
}
