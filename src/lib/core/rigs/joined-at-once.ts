import type { Chain, JoiningPart } from '../joining/chain';
import { goRound } from '../joining/go-round';
import { memoOn } from '../memo';
import { chainInBag, chainsInBag, isClosedInBag } from './closings';
import { type Connection, type ConnectionPurpose, isMissingPort } from './connection';
import { connectionsOf } from './connections';
import type { Kit } from './kit';
import type { PlacedRig } from './placed-rig';

/** Joints without which an angle cannot be filmed as it is placed. */
const indispensable: ReadonlySet<ConnectionPurpose> = new Set([
  'lens on body',
  'camera held',
  'microphone into input'
]);
export const isIndispensable = ({ purpose, to }: Connection): boolean =>
  indispensable.has(purpose) || (purpose === 'picture out' && to?.gear.kind === 'capture device');

/** Joints that stand all through a take; what only charges or copies waits until a piece is free. */
const standing: ReadonlySet<ConnectionPurpose> = new Set([
  ...indispensable,
  'filter on lens',
  'microphone held',
  'lamp held',
  'lamp beside the key held'
]);
/** While callers watch, the picture goes into the computer and to the monitor beside it; off the air to one of them. */
const standsHere = ({ scene }: PlacedRig, { purpose }: Connection): boolean =>
  standing.has(purpose) || (purpose === 'picture out' && scene.live);

/** A joint the kit closes with rings, cables or adapters, and the cheapest way it does. */
interface Joined {
  need: Connection;
  chain: Chain;
}

/** Joints of an angle that take pieces of the kit while a take runs, each as the kit closes it by itself. */
const joinedWithPieces = memoOn((rig: PlacedRig): readonly Joined[] => {
  const joined: Joined[] = [];
  for (const need of connectionsOf(rig)) {
    if (isMissingPort(need) || !standsHere(rig, need)) continue;
    const chain = isClosedInBag(need, rig.kit) ? chainInBag(need, rig.kit) : undefined;
    if (chain && chain.parts.length > 0) joined.push({ need, chain });
  }
  return joined;
});

/** A piece that two of the cheapest chains take; none where each finds its pieces unused, as is usual. */
function takenTwice(joined: readonly Joined[]): JoiningPart | undefined {
  const used = new Set<string>();
  for (const { chain } of joined)
    for (const part of chain.parts) {
      if (used.has(part.lineId!)) return part;
      used.add(part.lineId!);
    }
  return undefined;
}

/** Joints that the kit closes one by one and not together, for one of its pieces is wanted twice. */
export interface Contested {
  /** Each of them could have the piece, and not all of them. */
  needs: readonly Connection[];
  piece: JoiningPart;
}

/** What is contested among angles that film at once; undefined where the pieces go round, in whatever order. */
export function contestedJoints(rigs: readonly PlacedRig[]): Contested | undefined {
  const all = rigs.flatMap((rig) => joinedWithPieces(rig));
  if (all.length < 2) return undefined;
  const { kit } = rigs[0]!;
  // What cannot be done without is looked at by itself: the rest may give way to it.
  return (
    contestedOf(
      all.filter(({ need }) => isIndispensable(need)),
      kit
    ) ?? contestedOf(all, kit)
  );
}

function contestedOf(joined: readonly Joined[], kit: Kit): Contested | undefined {
  const piece = takenTwice(joined);
  if (!piece) return undefined;
  const stock = new Map(kit.parts.map(({ line }) => [line.id, line.quantity]));
  const chains = joined.map(({ need }) => chainsInBag(need, kit));
  if (goRound(chains, stock)) return undefined;
  const wanting = joined.filter(({ chain }) => chain.parts.some(({ gear }) => gear === piece.gear));
  return { needs: wanting.map(({ need }) => need), piece };
}
