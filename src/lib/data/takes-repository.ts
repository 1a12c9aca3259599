import type { KeptTake } from '../core/proof/kept-take';
import type { SatchelDatabase } from './database';

/** All takes of this browser together may weigh so much. */
export const MOST_TAKE_BYTES = 300 * 1024 * 1024;

/** There is no room for another take. */
export class NoRoomForTakeError extends Error {}

/** Takes with their files, in this browser alone. */
export class TakesRepository {
  constructor(private readonly db: SatchelDatabase) {}

  /** Newest first. */
  async list(projectId: string): Promise<KeptTake[]> {
    const rows = await this.db.takes.where('projectId').equals(projectId).toArray();
    return rows.sort((a, b) => b.at - a.at);
  }

  /** Bytes of all takes, of every project. */
  async bytes(): Promise<number> {
    let sum = 0;
    await this.db.takes.each(({ file }) => {
      sum += file.size;
    });
    return sum;
  }

  /** @throws NoRoomForTakeError past the limit */
  async add(take: KeptTake): Promise<void> {
    if ((await this.bytes()) + take.file.size > MOST_TAKE_BYTES)
      throw new NoRoomForTakeError(
        `Takes may weigh ${MOST_TAKE_BYTES / 1024 / 1024} MB together; delete one first.`
      );
    await this.db.takes.put(take);
  }

  async change(take: KeptTake): Promise<void> {
    await this.db.takes.put(take);
  }

  async remove(id: string): Promise<void> {
    await this.db.takes.delete(id);
  }
}
