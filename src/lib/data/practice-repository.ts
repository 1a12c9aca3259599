import { type Attempt, isAttempt } from '../core/practise/attempt';
import type { SatchelDatabase } from './database';

/** Attempts kept: the oldest go first, and what one learned stays in what follows from the rest. */
const MOST_ATTEMPTS = 2000;

/** Attempts at setting a camera by hand, in this browser. */
export class PracticeRepository {
  constructor(private readonly db: SatchelDatabase) {}

  /** In order; rows that are no attempts are left out. */
  async list(): Promise<Attempt[]> {
    const rows: unknown[] = await this.db.practice.orderBy('at').toArray();
    return rows.filter(isAttempt);
  }

  async add(attempt: Attempt): Promise<void> {
    await this.db.transaction('rw', this.db.practice, async () => {
      await this.db.practice.add({ ...attempt });
      const over = (await this.db.practice.count()) - MOST_ATTEMPTS;
      if (over > 0)
        await this.db.practice.bulkDelete(
          await this.db.practice.orderBy('at').limit(over).primaryKeys()
        );
    });
  }

  async clear(): Promise<void> {
    await this.db.practice.clear();
  }
}
