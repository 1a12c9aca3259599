import type { Judgement } from '../judge/judgement';
import { activePlan } from '../model/active-plan';
import type { GearKind } from '../model/gear';
import type { Project } from '../model/project';
import { keepsLimits } from './limits';
import type { PackFrame } from './pack-rules';
import { compareWorth, filmsAll, judged, kitOf, type PackedKit, withKit } from './packed-kit';

/** What a kit rests on: two kits that differ in several of these are truly different. */
const restsOn: readonly GearKind[] = ['body', 'lens', 'microphone', 'lamp', 'support'];
const DIFFER_IN = 3;
const MOST_KITS = 3;

/** Kits as told apart by what they rest on, the best of each kept. */
export class UnlikeKits {
  readonly #bestByHeart = new Map<string, PackedKit>();
  readonly #spendable: number;

  constructor(readonly frame: PackFrame) {
    const { limitMinor, reserveMinor } = frame.project;
    this.#spendable = Math.max(0, limitMinor - reserveMinor);
  }

  note(project: Project, judgement: Judgement): void {
    const { merit, money } = judgement;
    if (money.firmMinor > this.#spendable || !filmsAll(merit) || merit.mustDoScenes === 0) return;
    if (!this.frame.respects(activePlan(project).lines)) return;
    const key = this.#heartOf(activePlan(project).lines).join('|');
    const known = this.#bestByHeart.get(key);
    if (!known || compareWorth(merit, known.merit) > 0)
      this.#bestByHeart.set(key, kitOf(project, judgement));
  }

  /** Kind by kind, the parts of it in the kit. */
  #heartOf(lines: PackedKit['lines']): string[] {
    const parts = lines.flatMap(({ gearId, state, step }) =>
      state === 'returned' || step === 'later' ? [] : (this.frame.shelf.byId.get(gearId) ?? [])
    );
    return restsOn.map((kind) =>
      parts
        .filter((gear) => gear.kind === kind)
        .map(({ id }) => id)
        .sort()
        .join()
    );
  }

  /** The best kit, and the best ones that differ from it and from each other in several places. */
  chosen(first: PackedKit | undefined): PackedKit[] {
    if (!first || !filmsAll(first.merit)) return [];
    const others = [...this.#bestByHeart.values()].sort(
      (a, b) => compareWorth(b.merit, a.merit) || a.priceMinor - b.priceMinor
    );
    const chosen: { kit: PackedKit; heart: string[] }[] = [];
    for (const kit of [first, ...others]) {
      if (chosen.length === MOST_KITS) break;
      const heart = this.#heartOf(kit.lines);
      const isUnlike = chosen.every(
        (other) => heart.filter((parts, index) => parts !== other.heart[index]).length >= DIFFER_IN
      );
      if (!isUnlike) continue;
      const project = withKit(this.frame.project, kit);
      const now = judged(project, this.frame.shelf);
      if (filmsAll(now.merit) && keepsLimits(this.frame, now))
        chosen.push({ kit: kitOf(project, now), heart });
    }
    return chosen.map(({ kit }) => kit).sort((a, b) => compareWorth(b.merit, a.merit));
  }
}
