import type { Rung } from '../core/pack/ladder';
import type { Mending } from '../core/pack/mend';
import { noRules, type PackRules } from '../core/pack/pack-rules';
import type { PackedKit } from '../core/pack/packed-kit';
import type { PackProgress } from '../core/pack/kit-search';
import type { RunnerUp } from '../core/pack/runners-up';
import type { WaysOut } from '../core/pack/ways-out';
import type { Project } from '../core/model/project';
import { askPatientJudge, isCancelled, proxy } from '../workers/connect-judge';

/** The search for the best kits as the page sees it: under which rules, how far it is, what was found. */
export class PackSearch {
  rules = $state.raw<PackRules>(noRules);
  progress = $state.raw<PackProgress | undefined>(undefined);
  running = $state(false);
  seconds = $state(0);
  stopped = $state(false);
  failure = $state('');
  ladder = $state.raw<readonly Rung[]>([]);
  runnersUp = $state.raw<readonly RunnerUp[]>([]);
  mending = $state.raw<Mending | undefined>(undefined);
  mendRunning = $state(false);
  /** What would let a kit film all of it, where nothing does. */
  waysOut = $state.raw<WaysOut | undefined>(undefined);
  /** What the answers on screen are about; an older answer is thrown away. */
  #turn = 0;
  #about = 0;

  async search(project: Project): Promise<void> {
    const turn = ++this.#turn;
    const { rules } = this;
    const began = performance.now();
    this.running = true;
    this.stopped = false;
    this.failure = '';
    this.waysOut = undefined;
    const tell = proxy((progress: PackProgress) => {
      if (turn !== this.#turn) return;
      this.progress = progress;
      this.seconds = (performance.now() - began) / 1000;
    });
    try {
      await askPatientJudge((judge, send) => judge.pack(send(project), rules, tell));
    } catch (error) {
      if (turn === this.#turn && !isCancelled(error)) this.failure = wordsOf(error);
    } finally {
      if (turn === this.#turn) this.running = false;
    }
  }

  /** After a search that found nothing: what stands in the way. */
  async lookForWaysOut(project: Project): Promise<void> {
    const turn = this.#turn;
    const { rules } = this;
    this.waysOut = { ways: [], isDone: false };
    const tell = proxy((ways: WaysOut) => {
      if (turn === this.#turn) this.waysOut = ways;
    });
    try {
      await askPatientJudge((judge, send) => judge.waysOut(send(project), rules, tell));
    } catch (error) {
      if (turn === this.#turn && !isCancelled(error)) this.failure = wordsOf(error);
    }
  }

  stop(): void {
    this.stopped = this.running;
    this.running = false;
    this.#turn += 1;
    void askPatientJudge(async (judge) => {
      await judge.stopPacking();
    }).catch(() => undefined);
  }

  /** What there is to say of one kit of the front: how it is bought in goes, and what stands next to each part. */
  async look(project: Project, kit: PackedKit, today: string): Promise<void> {
    const about = ++this.#about;
    const { rules } = this;
    const front = this.progress?.front ?? [];
    try {
      const ladder = await askPatientJudge((judge, send) =>
        judge.ladder(send(project), rules, kit, [...front], today)
      );
      if (about !== this.#about) return;
      this.ladder = ladder;
      const next = await askPatientJudge((judge, send) =>
        judge.runnersUp(send(project), rules, kit)
      );
      if (about === this.#about) this.runnersUp = next;
    } catch (error) {
      if (about === this.#about && !isCancelled(error)) this.failure = wordsOf(error);
    }
  }

  lookAtNothing(): void {
    this.#about += 1;
    this.ladder = [];
    this.runnersUp = [];
  }

  async mend(project: Project): Promise<void> {
    const { rules } = this;
    this.mendRunning = true;
    this.mending = undefined;
    const tell = proxy((mending: Mending) => (this.mending = mending));
    try {
      await askPatientJudge((judge, send) => judge.mend(send(project), rules, tell));
    } catch (error) {
      if (!isCancelled(error)) this.failure = wordsOf(error);
    } finally {
      this.mendRunning = false;
    }
  }
}

const wordsOf = (error: unknown): string =>
  error instanceof Error ? error.message : String(error);
