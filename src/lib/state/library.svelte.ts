import { catalogue, shelfOf } from '../catalogue/load-catalogue';
import { type DemoId, demoOf } from '../catalogue/demos';
import { faultSentence } from '../core/formats/faults';
import type { SatchelFile } from '../core/formats/satchel-file';
import type { CopyRow } from '../data/database';
import { type Arrival, arrivals as arrived } from './arrivals.svelte';
import { sentenceOf } from './fault-words';
import { type ProjectStore, satchel } from './project-store.svelte';

/** Reading and checking files is fetched when a file is asked for, not with the first view. */
const files = () => import('../core/formats/satchel-file');

/** What to do with a project that comes in. */
export type Choice = 'keep both' | 'replace' | 'leave out';

/** The projects kept in this browser: list, open, delete, take in, hand out. */
export class Library {
  /** What came in and waits for a choice. */
  get waiting(): Arrival[] | undefined {
    return arrived.waiting;
  }

  /** The project deleted last; it comes back with one click. */
  deleted = $state.raw<Pick<CopyRow, 'number' | 'name'> | undefined>(undefined);

  constructor(private readonly store: ProjectStore) {}

  /** The projects kept here, the last changed first. */
  async list(): Promise<{ id: string; name: string }[]> {
    return this.store.repository.list();
  }

  /** Copies of what was replaced or deleted, kept for thirty days. */
  async copies(): ReturnType<ProjectStore['repository']['copies']> {
    return this.store.repository.copies();
  }

  /** Opens a project by its id. One that cannot be read is told, and what is open stays open. */
  async open(id: string): Promise<void> {
    try {
      const kept = await this.store.repository.load(id);
      if (!kept) return;
      await this.store.repository.setOpenId(id);
      this.store.failure = '';
      this.store.show(kept);
    } catch (error) {
      this.store.failure = sentenceOf(error);
    }
  }

  /** Takes a project and its log away, into the copies; the one changed last is opened in its place. */
  async remove(id: string): Promise<void> {
    try {
      this.deleted = (await this.store.repository.remove(id)) ?? this.deleted;
    } catch (error) {
      this.store.failure = sentenceOf(error);
      return;
    }
    if (this.store.project && this.store.project.id !== id) return;
    for (const { id: next } of await this.list()) {
      await this.open(next);
      if (this.store.project?.id === next) return;
    }
    this.store.showNothing();
  }

  /** Brings a copy back, with its undo, and opens it. */
  async bringBack(number: number): Promise<void> {
    try {
      const id = await this.store.repository.putBack(number);
      if (this.deleted?.number === number) this.deleted = undefined;
      if (id !== undefined) await this.open(id);
    } catch (error) {
      this.store.failure = sentenceOf(error);
    }
  }

  /** Reads a satchel file. Nothing is changed before it is known what it meets; what is new is taken at once. */
  async importText(text: string): Promise<string[]> {
    const { readSatchel } = await files();
    const reading = readSatchel(text);
    if (!reading.ok) return reading.faults.map(faultSentence);
    return this.#arrive([reading.file]);
  }

  /** Reads a backup, all or none of it, and asks project by project where something is kept already. */
  async importBackup(bytes: Uint8Array): Promise<string[]> {
    const { readBackup } = await import('../core/formats/backup');
    const reading = readBackup(bytes);
    if (!reading.ok) return reading.faults.map(faultSentence);
    await this.store.repository.pieces.addMissing(reading.owned);
    return this.#arrive(reading.files);
  }

  /** A demo as it ships; where one is kept that differs, it is asked what to do. */
  async openDemo(id: DemoId): Promise<void> {
    await this.#meet([{ project: await demoOf(id), marks: [] }]);
  }

  async #arrive(read: readonly SatchelFile[]): Promise<string[]> {
    const { projectFromSatchel } = await files();
    return this.#meet(
      read.map((file) => ({
        project: projectFromSatchel(file, catalogue),
        marks: file.history ?? []
      }))
    );
  }

  async #meet(incoming: readonly Pick<Arrival, 'project' | 'marks'>[]): Promise<string[]> {
    try {
      const arrivals: Arrival[] = [];
      for (const [index, project] of incoming.entries())
        arrivals.push(await this.#arrivalOf(project, `${index}`, arrivals));
      if (arrivals.every(({ standing }) => standing === 'new' || standing === 'same'))
        await this.take(arrivals, {});
      else arrived.waiting = arrivals;
      return [];
    } catch (error) {
      return [sentenceOf(error)];
    }
  }

  async #arrivalOf(
    { project, marks }: Pick<Arrival, 'project' | 'marks'>,
    key: string,
    before: readonly Arrival[]
  ): Promise<Arrival> {
    const { standingOf } = await import('../core/formats/compare-projects');
    const twin = before.find((kept) => kept.project.id === project.id);
    if (twin) {
      const standing = standingOf({ project, marks }, { ...twin, changedSince: false });
      return { key, project, marks, standing, meets: { name: twin.project.name, savedAt: 0 } };
    }
    const head = await this.store.repository.head(project.id);
    if (!head) return { key, project, marks, standing: 'new', meets: undefined };
    const meets = { name: head.name, savedAt: head.savedAt };
    const kept = await this.store.repository.load(project.id).catch(() => undefined);
    const standing = kept
      ? standingOf(
          { project, marks },
          {
            project: kept.project,
            marks: head.marks.map(({ id }) => id),
            changedSince: head.marks.at(-1)?.revision !== head.revision
          }
        )
      : 'unknown';
    return { key, project, marks, standing, meets };
  }

  /** Takes arrivals as chosen, by their keys; what is new comes in without being asked about. Opens the first. */
  async take(
    arrivals: readonly Arrival[],
    choices: Readonly<Record<string, Choice>>
  ): Promise<void> {
    const { repository } = this.store;
    arrived.waiting = undefined;
    let first: string | undefined;
    try {
      for (const { key, project, marks, standing } of arrivals) {
        const choice: Choice = choices[key] ?? (standing === 'new' ? 'keep both' : 'leave out');
        if (choice === 'leave out') {
          if (standing === 'same') first ??= project.id;
          continue;
        }
        if (choice === 'replace') await repository.replace({ project, marks });
        else {
          const id = await repository.freeId(project.id);
          const beside =
            id === project.id ? project : { ...project, id, name: `${project.name} (2)` };
          await repository.addAll([{ project: beside, marks: id === project.id ? marks : [] }]);
          first ??= id;
        }
        first ??= project.id;
      }
    } catch (error) {
      this.store.failure = sentenceOf(error);
    }
    if (first !== undefined) await this.open(first);
  }

  /** Nothing of what came in is taken. */
  leave(): void {
    arrived.waiting = undefined;
  }

  /** Every project kept here in one ZIP; what cannot be read goes in as it lies there. */
  async backup(): Promise<Uint8Array> {
    const { writeBackup } = await import('../core/formats/backup');
    const { makeSatchel } = await files();
    const satchels: SatchelFile[] = [];
    const asTheyLie: { id: string; value: unknown }[] = [];
    for (const { id, kept, raw } of await this.store.repository.everything()) {
      if (!kept) {
        asTheyLie.push({ id, value: raw });
        continue;
      }
      const mark = `file-${crypto.randomUUID().replaceAll('-', '').slice(0, 12)}`;
      const history = await this.store.repository.mark(id, mark);
      satchels.push(makeSatchel(kept.project, shelfOf(kept.project), history));
    }
    return writeBackup(satchels, asTheyLie, await this.store.repository.pieces.list());
  }
}

export const library = new Library(satchel);
