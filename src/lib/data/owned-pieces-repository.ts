import type { OwnedPiece } from '../core/model/owned-piece';
import type { SatchelDatabase } from './database';

/** Checking is fetched when pieces are read, not with the first view. */
const check = () => import('../core/formats/owned-piece-check');

/** What a person owns and knows of it, in this browser: one list beside all projects. */
export class OwnedPiecesRepository {
  constructor(private readonly db: SatchelDatabase) {}

  /** Rows that are no pieces are left out. */
  async list(): Promise<OwnedPiece[]> {
    const rows: unknown[] = await this.db.pieces.toArray();
    if (rows.length === 0) return [];
    const { isOwnedPiece } = await check();
    return rows.filter(isOwnedPiece);
  }

  async put(piece: OwnedPiece): Promise<void> {
    await this.db.pieces.put(piece);
  }

  async remove(id: string): Promise<void> {
    await this.db.pieces.delete(id);
  }

  /**
   * Takes in pieces of a backup that are not here yet; those that are stay as they are.
   *
   * @returns how many came in
   */
  async addMissing(pieces: readonly OwnedPiece[]): Promise<number> {
    // Before the transaction, which would not wait for it.
    const { isOwnedPiece } = await check();
    return this.db.transaction('rw', this.db.pieces, async () => {
      const here = new Set(await this.db.pieces.toCollection().primaryKeys());
      const fresh = pieces.filter((piece) => isOwnedPiece(piece) && !here.has(piece.id));
      await this.db.pieces.bulkPut(fresh);
      return fresh.length;
    });
  }
}
