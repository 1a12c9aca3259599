import { shelfOf } from '../catalogue/load-catalogue';
import type { CountingProject } from '../core/ledger/inventory';
import type { OwnedPiece } from '../core/model/owned-piece';
import { satchel } from './project-store.svelte';

/** What is owned over all projects, and what is written down of it. */
class OwnedThings {
  pieces = $state.raw<readonly OwnedPiece[]>([]);
  /** The other projects kept here, as they lay when the list was opened. */
  others = $state.raw<readonly CountingProject[]>([]);
  failure = $state('');
  #opened = false;

  /** Reads what is written down; the other projects too where they are wanted. */
  async open(withOthers: boolean): Promise<void> {
    try {
      if (!this.#opened) {
        this.pieces = await satchel.repository.pieces.list();
        this.#opened = true;
      }
      if (withOthers) {
        const all = await satchel.repository.everything();
        this.others = all.flatMap(({ kept }) =>
          kept ? [{ project: kept.project, shelf: shelfOf(kept.project) }] : []
        );
      }
      this.failure = '';
    } catch {
      this.failure = 'What is written down of your things cannot be read in this browser.';
    }
  }

  async put(piece: OwnedPiece): Promise<void> {
    this.pieces = this.pieces.some(({ id }) => id === piece.id)
      ? this.pieces.map((other) => (other.id === piece.id ? piece : other))
      : [...this.pieces, piece];
    await this.#kept(() => satchel.repository.pieces.put(piece));
  }

  async remove(id: string): Promise<void> {
    this.pieces = this.pieces.filter((piece) => piece.id !== id);
    await this.#kept(() => satchel.repository.pieces.remove(id));
  }

  async #kept(write: () => Promise<void>): Promise<void> {
    try {
      await write();
      this.failure = '';
    } catch {
      this.failure = 'This could not be saved: the browser has no room or forbids it.';
    }
  }
}

export const ownedThings = new OwnedThings();
