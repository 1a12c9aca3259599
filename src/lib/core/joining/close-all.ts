import type { GearItem } from '../model/gear';
import type { Port } from '../model/ports';
import type { Chain, JoiningPart } from './chain';
import { type ChainLimit, chainsBetween, indexJoiningParts, portWords } from './chains';
import { cheapestChoice, type Demand, type Supply } from './cheapest-choice';

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
  /** By how much a cheaper closing could still undercut this one; 0 where none can. */
  gapMinor: number;
}

/** What there is of one kind of part: pieces in the kit, and what one more costs where it is for sale. */
function suppliesOf(
  bag: readonly JoiningPart[],
  shelf: readonly JoiningPart[]
): { parts: JoiningPart[]; supplies: Map<string, Supply> } {
  const supplies = new Map<string, Supply>();
  const byId = new Map<string, JoiningPart>();
  for (const part of shelf) {
    supplies.set(part.gear.id, { pieces: 0, costMinor: part.costMinor });
    byId.set(part.gear.id, part);
  }
  for (const part of bag) {
    const { id } = part.gear;
    const supply = supplies.get(id) ?? { pieces: 0, costMinor: undefined };
    supplies.set(id, { ...supply, pieces: supply.pieces + 1 });
    byId.set(id, {
      ...part,
      pieces: supply.costMinor === undefined ? supply.pieces + 1 : Infinity
    });
  }
  return { parts: [...byId.values()], supplies };
}

/** Pieces of each part that a chain takes, by the part's id. */
function usesOf(chain: Chain): Map<string, number> {
  const uses = new Map<string, number>();
  for (const { gear } of chain.parts) uses.set(gear.id, (uses.get(gear.id) ?? 0) + 1);
  return uses;
}

/**
 * The cheapest set of parts that closes every joint of every occasion, exactly.
 *
 * Joints of one occasion (the angles of one scene) stand at the same time, so each piece serves one of
 * them; on another occasion the same piece serves again. What is bought is therefore, for each part,
 * the most that any one occasion takes beyond the bag. Which chain each joint takes is chosen by
 * `cheapestChoice`.
 *
 * @param bag parts in the kit, one entry a piece
 * @param shelf parts to buy, as many as needed
 */
export function closeAll(
  occasions: readonly (readonly Joint[])[],
  bag: readonly JoiningPart[],
  shelf: readonly JoiningPart[]
): Closing {
  const { parts, supplies } = suppliesOf(bag, shelf);
  const index = indexJoiningParts(parts);
  const open = new Map<string, string>();
  const chains = new Map<string, Chain>();
  const demands: (Demand & { joint: Joint; found: Chain[] })[] = [];
  occasions.forEach((joints, occasion) => {
    for (const joint of joints) {
      const found = chainsBetween(joint.from, joint.to, index, joint.limit);
      if (found.length === 0) open.set(joint.id, reasonFor(joint, index));
      else if (found[0]!.parts.length === 0) chains.set(joint.id, found[0]!);
      else demands.push({ joint, found, occasion, options: found.map(usesOf) });
    }
  });

  const choice = cheapestChoice(demands, supplies);
  demands.forEach(({ joint, found }, index) => {
    const chosen = choice.chosen[index];
    if (chosen !== undefined) chains.set(joint.id, found[chosen]!);
    // Each could be closed alone, but the bag's single pieces do not go round and nothing is for sale.
    else open.set(joint.id, 'the parts that would join it are needed elsewhere at the same time');
  });
  const gearById = new Map(parts.map(({ gear }) => [gear.id, gear]));
  return {
    chains,
    open,
    buy: [...choice.buy].map(([id, quantity]) => ({ gear: gearById.get(id)!, quantity })),
    costMinor: choice.costMinor,
    gapMinor: choice.gapMinor
  };
}

function reasonFor(joint: Joint, index: ReturnType<typeof indexJoiningParts>): string {
  const [byPorts] = chainsBetween(joint.from, joint.to, index);
  if (!byPorts)
    return `nothing in the kit or on the shelf leads from a ${portWords(joint.from[0]!)} to a ${portWords(joint.to[0]!)}`;
  return joint.limit?.(byPorts.parts) ?? 'it cannot be closed';
}
