import { catalogue } from '../../../catalogue/load-catalogue';
import { applyAct } from '../../acts/apply-act';
import { settleAll } from '../../judge/settle-all';
import { activePlan } from '../../model/active-plan';
import type { GearItem, GearKind } from '../../model/gear';
import { newLine } from '../../model/new-line';
import { newProject } from '../../model/new-project';
import type { Project } from '../../model/project';
import type { SceneStyle } from '../../model/scene';
import { makeShelf, type Shelf } from '../../model/shelf';

/** Numbers from 0 to 1 that a seed fixes. */
export function seeded(seed: number): () => number {
  let state = seed * 2_654_435_761;
  return () => {
    state = (Math.imul(state ^ (state >>> 15), 2_246_822_519) + 0x9e3779b9) | 0;
    return ((state ^ (state >>> 13)) >>> 0) / 2 ** 32;
  };
}

/** Kinds that rivals are drawn from. */
const rivals: readonly GearKind[] = [
  'body',
  'lens',
  'microphone',
  'support',
  'lamp',
  'filter',
  'windscreen',
  'battery',
  'card',
  'cable'
];
const styles: readonly SceneStyle[] = ['walk', 'seated', 'hands', 'live call'];
/** So many parts at least are rivals, chosen for nothing. */
const FEWEST_RIVALS = 3;

export interface SmallShelf {
  project: Project;
  shelf: Shelf;
}

/** Scenes and some parts: those of a kit that films with a body taken at random, where it can, and rivals of them. */
export function smallShelf(seed: number, mostParts: number, scenes = 1): SmallShelf {
  const next = seeded(seed);
  const any = <T>(list: readonly T[]): T => list[Math.floor(next() * list.length)]!;
  const chosen: SceneStyle[] = [];
  while (chosen.length < scenes) {
    const style = any(styles);
    if (!chosen.includes(style)) chosen.push(style);
  }
  const project = newProject('p', 'small', {
    styles: chosen,
    limitMinor: scenes * (40_000 + Math.floor(next() * 160_000)),
    school: 'sound and light first',
    currency: 'GBP',
    mainsHz: 50,
    units: 'metric'
  });
  const body = any(catalogue.ofKind('body'));
  const begun = applyAct(project, { type: 'add line', line: newLine(activePlan(project), body) });
  const { act } = settleAll(begun, catalogue, { briefStays: true });
  const kit = activePlan(act ? applyAct(begun, act) : begun);
  const parts = new Set<GearItem>(
    kit.lines.slice(0, mostParts - FEWEST_RIVALS).map(({ gearId }) => catalogue.byId.get(gearId)!)
  );
  while (parts.size < mostParts) parts.add(any(catalogue.ofKind(any(rivals))));
  return { project, shelf: makeShelf([...parts]) };
}
