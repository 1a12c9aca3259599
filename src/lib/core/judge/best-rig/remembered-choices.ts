import { memoOf, memoOn } from '../../memo';
import type { Plan, Rig } from '../../model/plan';
import type { Project } from '../../model/project';
import type { Angle, Scene } from '../../model/scene';
import type { Allocated } from '../../rigs/allocated';
import type { Kit } from '../../rigs/kit';

/** What was chosen lately for an angle, by all that the choice depends on; null where nothing was to be chosen. */
export const choicesOf = memoOf((_angle: Angle) => new Map<string, Rig | null>());
const MOST_REMEMBERED = 2000;

export function remember(angle: Angle, key: string, way: Rig | undefined): void {
  const known = choicesOf(angle);
  if (known.size >= MOST_REMEMBERED) known.clear();
  known.set(key, way ?? null);
}

/** A number for each object, so that a kit of the same parts has the same key. */
const numberOf = memoOf((_one: object): number => ++lastNumber);
let lastNumber = 0;

const kitKey = memoOn((kit: Kit): string =>
  kit.parts
    .map(({ line, gear }) => `${line.id}*${line.quantity}${line.worn ? '!' : ''}${numberOf(gear)}`)
    .join()
);

/** All that the choice for an angle depends on. */
export function keyOf(
  { school, ownWeights, mainsHz, switchLimit, setUpLimitMin }: Project,
  scene: Scene,
  kit: Kit,
  said: Rig | undefined,
  plan: Plan,
  allocated: Allocated
): string {
  const taken = allocated.size === 0 ? '' : [...allocated].join();
  // Bodies of the other angles are placed by what is said of those.
  const others = scene.angles.length > 1 ? numberOf(plan.rigs) : 0;
  return `${numberOf(scene)} ${said ? numberOf(said) : 0} ${others} ${school} ${ownWeights ? numberOf(ownWeights) : 0} ${mainsHz} ${switchLimit} ${setUpLimitMin} ${taken} ${kitKey(kit)}`;
}
