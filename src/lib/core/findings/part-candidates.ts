import type { Act } from '../acts/act';
import type { GearItem, GearKind, GearOf } from '../model/gear';
import { newLine } from '../model/new-line';
import type { Plan, PlanLine } from '../model/plan';
import { basisFor, type Buyer, payableMinor } from '../money/payable-price';
import type { Project } from '../model/project';
import type { Angle, Scene } from '../model/scene';
import type { Shelf } from '../model/shelf';
import type { PartProposal, SettingProposal } from './finding';

/** Parts of a kind that pass a test, cheapest first; those without a payable price cannot be proposed. */
export function cheapestOf<K extends GearKind>(
  shelf: Shelf,
  project: Buyer,
  kind: K,
  passes: (gear: GearOf<K>) => boolean = () => true
): GearOf<K>[] {
  return shelf
    .ofKind(kind)
    .flatMap((gear) => {
      const minor = payableMinor(project, gear);
      return minor !== undefined && passes(gear) ? [{ gear, minor }] : [];
    })
    .sort((a, b) => a.minor - b.minor || (a.gear.id < b.gear.id ? -1 : 1))
    .map(({ gear }) => gear);
}

/** Puts a new part in an old one's place, keeping the order of choosing. */
export function swapFor(lineId: string): (line: PlanLine) => Act {
  return (line) => ({
    type: 'batch',
    acts: [
      { type: 'add line', line, before: lineId },
      { type: 'remove line', lineId }
    ]
  });
}

/** The cheapest part of a kind that passes, in an old one's place. */
export function swapTo<K extends GearKind>(
  context: { shelf: Shelf; project: Project },
  kind: K,
  lineId: string,
  passes: (gear: GearOf<K>) => boolean = () => true
): PartProposal {
  return {
    parts: cheapestOf(context.shelf, context.project, kind, passes),
    label: (gear) => `Swap to ${gear.model}`,
    act: swapFor(lineId)
  };
}

/** The cheapest part of a kind that passes, beside what is there. */
export function addOne<K extends GearKind>(
  context: { shelf: Shelf; project: Project },
  kind: K,
  passes: (gear: GearOf<K>) => boolean = () => true
): PartProposal {
  return {
    parts: cheapestOf(context.shelf, context.project, kind, passes),
    label: (gear) => `Add ${gear.model}`
  };
}

/** Several parts into the plan at once, each a line of its own. */
export function addAll(
  { plan, project }: { plan: Plan; project: Project },
  bought: readonly { gear: GearItem; quantity: number }[]
): Act {
  const acts: Act[] = [];
  let grown = plan;
  for (const { gear, quantity } of bought) {
    const line = newLine(grown, gear, quantity, basisFor(project, gear));
    acts.push({ type: 'add line', line });
    grown = { ...grown, lines: [...grown.lines, line] };
  }
  return { type: 'batch', acts };
}

/** A line taken out of the plan. */
export function leaveOut(line: PlanLine, model: string): SettingProposal {
  return { label: `Remove ${model} from kit`, act: { type: 'remove line', lineId: line.id } };
}

/** One more piece of a part of the kit: what is owned is as many as it is, and the next one is bought beside it. */
export function oneMore(
  context: { plan: Plan; project: Project },
  { line, gear }: { line: PlanLine; gear: GearItem }
): SettingProposal[] {
  const label = `One more ${gear.model}`;
  if (line.state !== 'owned')
    return [{ label, act: { type: 'step quantity', lineId: line.id, by: 1 } }];
  // Nobody can buy what has no price.
  return payableMinor(context.project, gear) === undefined
    ? []
    : [{ label, act: addAll(context, [{ gear, quantity: 1 }]) }];
}

/** The brief and setting of the angle a remedy speaks of. */
export function setRig(
  context: { rig: { scene: { id: string }; angle: { id: string } } },
  patch: Extract<Act, { type: 'set rig' }>['patch']
): Act {
  return { type: 'set rig', sceneId: context.rig.scene.id, angleId: context.rig.angle.id, patch };
}

/** What is said of one camera alone is changed there, what is said of the scene in the scene. */
export function ofAngleOrScene<K extends 'longestTakeMin' | 'wantsPan'>(
  { scene, angle }: { scene: Scene; angle: Angle },
  field: K,
  value: NonNullable<Scene[K]>
): Act {
  const sceneId = scene.id;
  return angle[field] === undefined
    ? { type: 'change scene', sceneId, patch: { [field]: value } }
    : { type: 'change angle', sceneId, angleId: angle.id, patch: { [field]: value } };
}

/** Takes no longer than so many minutes. */
export const takesOf = (rig: { scene: Scene; angle: Angle }, minutes: number): Act =>
  ofAngleOrScene(rig, 'longestTakeMin', minutes);
