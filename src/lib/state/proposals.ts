import type { Act } from '../core/acts/act';
import { activePlan } from '../core/model/active-plan';
import type { Candidate, WayOfTaking } from '../core/judge/candidates';
import type { Remedy } from '../core/judge/settle';
import type { SettledAll } from '../core/judge/settle-all';
import type { Project } from '../core/model/project';
import { asOfToday } from './as-of-today';
import { sentenceOf } from './fault-words';
import { type ProjectStore, satchel } from './project-store.svelte';

const judges = () => import('../workers/connect-judge');

/** Taking what was proposed: for the kit as it is now, which may have moved on since. */
export class Proposals {
  constructor(private readonly store: ProjectStore) {}

  /** Takes a remedy. One that was proposed for a kit which has changed since is looked for again first. */
  async settleWith(findingKey: string, remedy: Remedy): Promise<void> {
    await this.#actOn(this.store.advice.basis, remedy.act, remedy.label, async (project) => {
      const remedies = await this.store.advice.again(project, findingKey);
      if (!remedies) return 'settled';
      return remedies.find(({ label }) => label === remedy.label)?.act;
    });
  }

  /** Changes that together unblock every must-do scene; nothing is changed yet. */
  async lookForSettlingAll(): Promise<SettledAll> {
    const project = this.store.project!;
    return (await judges()).askPatientJudge((judge, send) =>
      judge.settleAll(send(asOfToday(project)))
    );
  }

  /** Takes a candidate of a pocket, judged for `basis` as coming in that way. */
  async choose(basis: Project | undefined, candidate: Candidate, way: WayOfTaking): Promise<void> {
    if (!candidate.act) return;
    await this.#actOn(basis, candidate.act, candidate.gear.model, async (project) => {
      const again = await (
        await judges()
      ).askJudge((judge, send) =>
        judge.candidate(send(asOfToday(project)), candidate.gear.id, way)
      );
      return again?.packed && !again.act ? 'settled' : again?.act;
    });
  }

  async #actOn(
    basis: Project | undefined,
    act: Act,
    label: string,
    again: (project: Project) => Promise<Act | 'settled' | undefined>
  ): Promise<void> {
    let now = this.store.latest;
    if (!now) return;
    const { id } = now;
    let proposal: Act | 'settled' | undefined = act;
    // The plan may move on once more while it is asked.
    for (let known = basis; known !== now && proposal !== 'settled';) {
      known = now;
      try {
        proposal = await again(now);
      } catch (error) {
        this.store.failure = sentenceOf(error);
        return;
      }
      now = this.store.latest;
      // Another project was opened meanwhile: this proposal has nothing to do with it.
      if (now?.id !== id) return;
    }
    if (proposal === 'settled') {
      this.store.failure = `“${label}” was not needed any more: what was done before it settled this already. Nothing was added.`;
    } else if (proposal) await this.store.act(proposal);
    else
      this.store.failure = `“${label}” was not done: the kit has changed since it was proposed, and it does not fit any more. What fits now is offered below.`;
  }

  /** Packs a first kit into the empty plan shown, as one act that undo takes back. */
  async packPlan(ontold: (judged: number) => void): Promise<void> {
    const project = this.store.project;
    if (!project || activePlan(project).lines.length > 0) return;
    const packed = activePlan(await (await judges()).packFirst(project, ontold));
    // Somebody may have put something in while parts were tried.
    if (!this.store.plan || this.store.judgement?.kit.parts.length !== 0) return;
    const there = this.store.plan.lines.map(({ id }) => id);
    await this.store.act({
      type: 'batch',
      acts: [
        ...packed.lines
          .filter(({ id }) => !there.includes(id))
          .map((line): Act => ({ type: 'add line', line })),
        ...packed.rigs.map(({ sceneId, angleId, ...patch }): Act => ({
          type: 'set rig',
          sceneId,
          angleId,
          patch
        }))
      ]
    });
  }
}

export const proposals = new Proposals(satchel);
