import type { Project } from '../core/model/project';
import type { ManyDays } from '../core/rehearse/many-days';
import type { Luck } from '../core/rehearse/day-outcome';
import type { Savings } from '../core/rehearse/what-saves';
import { askPatientJudge, isCancelled, proxy } from '../workers/connect-judge';

/** Many days of a plan as the page sees them: how far they are, what they came to, what would have saved them. */
export class RehearsalRun {
  days = $state.raw<ManyDays | undefined>(undefined);
  savings = $state.raw<Savings | undefined>(undefined);
  running = $state(false);
  stopped = $state(false);
  failure = $state('');
  /** What is on screen is about this; an older answer is thrown away. */
  #turn = 0;

  /** @param luck the day on screen, for what would have saved it */
  async run(project: Project, sceneId: string, luck: Luck | undefined): Promise<void> {
    const turn = ++this.#turn;
    this.running = true;
    this.stopped = false;
    this.failure = '';
    const isNow = () => turn === this.#turn;
    const tellDays = proxy((part: ManyDays) => {
      if (isNow()) this.days = part;
    });
    const tellSavings = proxy((part: Savings) => {
      if (isNow()) this.savings = part;
    });
    try {
      await askPatientJudge((judge, send) => judge.rehearse(send(project), sceneId, tellDays));
      if (isNow())
        await askPatientJudge((judge, send) =>
          judge.whatSaves(send(project), sceneId, luck, tellSavings)
        );
    } catch (error) {
      if (isNow() && !isCancelled(error))
        this.failure = error instanceof Error ? error.message : String(error);
    } finally {
      if (isNow()) this.running = false;
    }
  }

  stop(): void {
    this.stopped = this.running;
    this.running = false;
    this.#turn += 1;
    void askPatientJudge(async (judge) => {
      await judge.stopRehearsing();
    }).catch(() => undefined);
  }
}
