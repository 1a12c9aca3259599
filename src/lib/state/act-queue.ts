import type { Act } from '../core/acts/act';
import { ActError, applyAct } from '../core/acts/apply-act';
import type { Project } from '../core/model/project';
import type { KeptProject } from '../data/project-reader';
import type { ProjectRepository } from '../data/project-repository';

/** What is to be written, in the order it was done. */
export type Pending = { label: string } & ({ act: Act } | { turn: 'undo' | 'redo' });

/** Waits between tries to write what failed, in milliseconds; the last one repeats. */
const RETRY_MS = [1000, 3000, 10_000, 30_000];

interface Listener {
  /** The project with everything done so far, kept or not. */
  onchange(project: Project): void;
  /** An act that cannot be done any more; nothing of it was. */
  onrefused(pending: Pending, error: ActError): void;
  /** Something was written, or could not be. */
  onstate(): void;
}

/**
 * Acts on their way into the database. They are written one after the other, in order; while one
 * cannot be written none after it is, so that what is kept is always what was done up to some moment.
 */
export class ActQueue {
  readonly pending: Pending[] = [];
  /** Why the first of the pending ones could not be written. */
  failure: unknown;
  #latest: Project;
  #working: Promise<void> | undefined;
  #retry: ReturnType<typeof setTimeout> | undefined;
  #tries = 0;
  #closed = false;

  constructor(
    private readonly repository: ProjectRepository,
    public kept: KeptProject,
    private readonly listener: Listener
  ) {
    this.#latest = kept.project;
  }

  /** The project as it is with everything done so far. */
  get latest(): Project {
    return this.#latest;
  }

  /** Everything done is in the database. */
  get isKept(): boolean {
    return this.pending.length === 0;
  }

  /** Takes an act in; it is on its way when this returns. @throws ActError when it cannot be done at all */
  do(act: Act, label: string): Promise<void> {
    this.#latest = applyAct(this.#latest, act);
    this.pending.push({ act, label });
    return this.write();
  }

  /** Takes the last act back, or does the one taken back again, once all before is written. */
  turn(way: 'undo' | 'redo', label: string): Promise<void> {
    this.pending.push({ turn: way, label });
    return this.write();
  }

  /** Another tab has written: takes in what is kept, with what is still to be written on top. */
  async catchUp(): Promise<void> {
    if (this.#working) return this.#working;
    const kept = await this.repository.load(this.kept.head.id);
    if (!kept || this.#closed || this.#working) return;
    if (kept.head.revision <= this.kept.head.revision) return;
    this.kept = kept;
    this.#replay();
    this.listener.onchange(this.#latest);
  }

  /** Writes what is pending; what failed before is tried again. */
  write(): Promise<void> {
    clearTimeout(this.#retry);
    this.#working ??= this.#drain().finally(() => {
      this.#working = undefined;
      // Something may have come in while the last one was being finished.
      if (this.pending.length > 0 && this.failure === undefined && !this.#closed) void this.write();
    });
    return this.#working;
  }

  /** Lets go of the project; what is pending is not written any more. */
  close(): void {
    this.#closed = true;
    clearTimeout(this.#retry);
  }

  async #drain(): Promise<void> {
    while (this.pending.length > 0 && !this.#closed) {
      const next = this.pending[0]!;
      const revision = this.kept.head.revision;
      try {
        this.kept =
          'act' in next
            ? await this.repository.commit(this.kept, next.act)
            : await this.repository[next.turn](this.kept);
      } catch (error) {
        if (error instanceof ActError) {
          this.pending.shift();
          this.#replay();
          this.listener.onrefused(next, error);
          this.listener.onchange(this.#latest);
          continue;
        }
        this.#failed(error);
        return;
      }
      this.pending.shift();
      this.failure = undefined;
      this.#tries = 0;
      // Another tab wrote in between, or something was taken back: what follows is laid on top anew.
      if ('turn' in next || this.kept.head.revision > revision + 1) {
        this.#replay();
        this.listener.onchange(this.#latest);
      } else if (this.pending.length === 0) {
        // One and the same project, so that nobody takes what is kept for something new.
        this.kept = { ...this.kept, project: this.#latest };
      }
      this.listener.onstate();
    }
  }

  #failed(error: unknown): void {
    this.failure = error;
    const wait = RETRY_MS[Math.min(this.#tries++, RETRY_MS.length - 1)]!;
    if (!this.#closed) this.#retry = setTimeout(() => void this.write(), wait);
    this.listener.onstate();
  }

  #replay(): void {
    let project = this.kept.project;
    for (const queued of [...this.pending]) {
      if (!('act' in queued)) continue;
      try {
        project = applyAct(project, queued.act);
      } catch {
        // Refused by name when its turn to be written comes.
      }
    }
    this.#latest = project;
  }
}
