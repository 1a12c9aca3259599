import type { GearItem } from '../model/gear';
import type { Port } from '../model/ports';
import type { Chain, JoiningPart } from './chain';
import { type ChainLimit, chainsBetween, indexJoiningParts, portWords } from './chains';

/** Two parts that have to meet, each by any of the ports it has for it. */
export interface Joint {
  id: string;
  from: readonly Port[];
  to: readonly Port[];
  limit?: ChainLimit;
}

export interface Closing {
  /** How each joint is closed. */
  chains: Map<string, Chain>;
  /** Joints nothing closes, with the reason. */
  open: Map<string, string>;
  /** What has to be bought, pieces counted. */
  buy: { gear: GearItem; quantity: number }[];
  costMinor: number;
}

/** A chain of a candidate list with the pieces it takes, as counts by part. */
interface Option {
  chain: Chain;
  uses: Map<JoiningPart, number>;
}

/**
 * The cheapest set of parts that closes every joint of every occasion, exactly.
 *
 * Joints of one occasion (the angles of one scene) stand at the same time, so each piece serves one of
 * them; on another occasion the same piece serves again. What is bought is therefore, for each part,
 * the most that any one occasion takes beyond the bag. Branch and bound over the joints:
 *
 *   occasion 1: joint a → chain | joint b → chain | …
 *   occasion 2: joint c → chain (pieces of occasion 1 cost nothing again) | …
 *
 * cut where the cost so far already reaches the best closing found.
 *
 * @param bag parts in the bag, one entry a piece, each with its own `lineId`
 * @param shelf parts to buy, as many as needed
 */
export function closeAll(
  occasions: readonly (readonly Joint[])[],
  bag: readonly JoiningPart[],
  shelf: readonly JoiningPart[]
): Closing {
  const index = indexJoiningParts([...bag, ...shelf]);
  const open = new Map<string, string>();
  const direct = new Map<string, Chain>();
  const work: { joint: Joint; occasion: number; options: Option[] }[] = [];
  occasions.forEach((joints, occasion) => {
    for (const joint of joints) {
      const options = chainsBetween(joint.from, joint.to, index, joint.limit).map(
        (chain): Option => {
          const uses = new Map<JoiningPart, number>();
          for (const part of chain.parts) uses.set(part, (uses.get(part) ?? 0) + 1);
          return { chain, uses };
        }
      );
      if (options.length === 0) open.set(joint.id, reasonFor(joint, index));
      else if (options[0]!.chain.parts.length === 0) direct.set(joint.id, options[0]!.chain);
      else work.push({ joint, occasion, options });
    }
  });

  const taken = occasions.map(() => new Map<JoiningPart, number>());
  const bought = new Map<JoiningPart, number>();
  const chosen: Option[] = [];
  let best: { options: Option[]; costMinor: number; bought: Map<JoiningPart, number> } | undefined;

  const search = (at: number, costMinor: number) => {
    if (best && costMinor >= best.costMinor) return;
    const task = work[at];
    if (!task) {
      best = { options: [...chosen], costMinor, bought: new Map(bought) };
      return;
    }
    const here = taken[task.occasion]!;
    for (const option of task.options) {
      if (best && costMinor >= best.costMinor) return;
      const undo: [Map<JoiningPart, number>, JoiningPart, number][] = [];
      let added = 0;
      let possible = true;
      for (const [part, count] of option.uses) {
        const now = (here.get(part) ?? 0) + count;
        if (part.lineId !== undefined && now > 1) {
          possible = false;
          break;
        }
        undo.push([here, part, here.get(part) ?? 0]);
        here.set(part, now);
        const have = bought.get(part) ?? 0;
        if (part.lineId === undefined && now > have) {
          undo.push([bought, part, have]);
          bought.set(part, now);
          added += (now - have) * part.costMinor;
        }
      }
      if (possible) {
        chosen.push(option);
        search(at + 1, costMinor + added);
        chosen.pop();
      }
      for (const [map, part, before] of undo.reverse()) map.set(part, before);
    }
  };
  search(0, 0);

  const chains = new Map(direct);
  if (best) work.forEach(({ joint }, at) => chains.set(joint.id, best!.options[at]!.chain));
  else if (work.length > 0) {
    // Each could be closed alone, but the bag's single pieces do not go round and nothing is for sale.
    for (const { joint } of work)
      open.set(joint.id, 'the parts that would join it are needed elsewhere at the same time');
  }
  return {
    chains,
    open,
    buy: best
      ? [...best.bought]
          .filter(([, quantity]) => quantity > 0)
          .map(([part, quantity]) => ({ gear: part.gear, quantity }))
      : [],
    costMinor: best?.costMinor ?? 0
  };
}

function reasonFor(joint: Joint, index: ReturnType<typeof indexJoiningParts>): string {
  const [byPorts] = chainsBetween(joint.from, joint.to, index);
  if (!byPorts)
    return `nothing in the bag or on the shelf leads from a ${portWords(joint.from[0]!)} to a ${portWords(joint.to[0]!)}`;
  return joint.limit?.(byPorts.parts) ?? 'it cannot be closed';
}
