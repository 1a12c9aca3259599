import type { JointsClosed } from '../core/judge/close-joints';
import type { Question } from '../core/judge/questions';
import type { Remedy } from '../core/judge/settle';
import type { Project } from '../core/model/project';
import type { SettledPart } from '../workers/judge-protocol';
import { asOfToday } from './as-of-today';

/** The way to the workers comes after the first view, which judges without them. */
const judges = () => import('../workers/connect-judge');

/** Workers and page share the processors: what an act changes on screen comes first. */
const MOST_IDLE_WAIT_MS = 200;
const pageIsIdle = (): Promise<void> =>
  new Promise((resolve) => {
    if ('requestIdleCallback' in globalThis)
      requestIdleCallback(() => resolve(), { timeout: MOST_IDLE_WAIT_MS });
    else resolve();
  });

/** Ways to settle what is found, looked for in the worker: those somebody looks at first. */
export class RemedyStore {
  remedies = $state.raw<Record<string, Remedy[]>>({});
  joints = $state.raw<JointsClosed | undefined>(undefined);
  questions = $state.raw<readonly Question[]>([]);
  settling = $state(false);
  /** Why remedies could not be looked for. The findings themselves are judged on the page and stand. */
  failure = $state('');
  /** The project all of this speaks of; an act proposed for an older one is made afresh. */
  basis = $state.raw<Project | undefined>(undefined);
  /** Findings on screen just now. */
  visible: readonly string[] = [];

  #round = 0;

  /** Looks for remedies; a newer question makes an older answer stale. */
  async look(project: Project): Promise<void> {
    const round = ++this.#round;
    this.settling = true;
    this.failure = '';
    let remedies: Record<string, Remedy[]> = {};
    const take = (part: SettledPart) => {
      if (round !== this.#round) return;
      if (part.remedies) this.remedies = remedies = { ...remedies, ...part.remedies };
      if (part.joints) this.joints = part.joints;
      if (part.questions) this.questions = part.questions;
      this.basis = project;
    };
    let isStale = (_error: unknown): boolean => false;
    try {
      const { askJudges, isCancelled, proxy } = await judges();
      isStale = isCancelled;
      await pageIsIdle();
      if (round !== this.#round) return;
      await askJudges((judge, send, share) =>
        judge.settle(send(asOfToday(project)), [...this.visible], share, proxy(take))
      );
    } catch (error) {
      if (round !== this.#round || isStale(error)) return;
      this.failure = error instanceof Error ? error.message : String(error);
    }
    if (round === this.#round) this.settling = false;
  }

  /** The remedies of one finding for a project as it is now; undefined when it is not found any more. */
  async again(project: Project, findingKey: string): Promise<Remedy[] | undefined> {
    const { askJudge } = await judges();
    return askJudge((judge, send) => judge.remediesOf(send(asOfToday(project)), findingKey));
  }
}
