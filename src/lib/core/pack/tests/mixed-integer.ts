import { shuffler, sort } from 'd3-array';
import highsLoader, { type HighsSolution } from 'highs';
import { activePlan } from '../../model/active-plan';
import type { GearItem, GearKind } from '../../model/gear';
import { MOST_MINOR } from '../../model/limits';
import type { Project } from '../../model/project';
import type { Shelf } from '../../model/shelf';
import { spendableOf } from '../front-steps';
import { judged, kitOf, type PackedKit } from '../packed-kit';
import { lineOf } from './brute-force';
import { seeded, smallShelf, type SmallShelf } from './small-shelf';

/** Parts of these kinds are chosen for a scene by name; of bodies and lenses one each, of the others any number. */
const oneEach: readonly GearKind[] = ['body', 'lens'];
const anyNumber: readonly GearKind[] = ['microphone', 'lamp', 'support'];
/** So many pieces of what is used up or placed twice may be bought, and one of everything else. */
const PIECES = 3;
const inPieces: ReadonlySet<GearKind> = new Set(['battery', 'card', 'lamp', 'drive']);
/**
 * A microphone that is there is used, also one that nothing joins to the camera, and a battery that nothing fills stops
 * the kit: more of these may make a kit worse.
 */
const harmful: ReadonlySet<GearKind> = new Set(['microphone', 'battery']);
/** As many pieces of a part as no kit is better for: what a scene can be worth at most is asked with these. */
const PLENTY = 9;
/** Sets of parts that are no better than the best found, grown in so many orders each time. */
const GROWN_IN_ORDERS = 4;
/** A scene that works outweighs any stop, and that any merit, which is counted in points. */
const WORKS = 1000;
const STOP = 150;
const MOST_STOPS = 5;

/** Two scenes and so many parts: more sets of them than can be tried. */
const MIDDLING_PARTS = 16;
export const middlingShelf = (seed: number): SmallShelf => smallShelf(seed, MIDDLING_PARTS, 2);

/** A kit a scene can be filmed with, by the bits of its parts, and what the scene can be worth with it at most. */
interface Option {
  parts: bigint;
  worth: number;
}

/** A better kit holds one of these pieces, or is without one of those. */
interface Cut {
  oneOf: readonly number[];
  orNot: readonly number[];
}

export interface ProvenKit {
  kit: PackedKit;
  /** Models solved until nothing better was left. */
  solved: number;
  tableMs: number;
  solvingMs: number;
}

/**
 * The best kit within the budget, by a way that has nothing in common with the packer but the judge: a mixed-integer
 * model picks the parts by a table of what each scene can be worth at most, its kit is judged, and every set of parts
 * that is found to be no better than the best so far is grown to as large a one as is no better either; of the rest
 * the next kit must hold one. It is the best there is, as long as no other part makes a kit worse.
 */
export async function bestByModel(project: Project, shelf: Shelf): Promise<ProvenKit> {
  const began = performance.now();
  const asking = { ...project, limitMinor: MOST_MINOR };
  const judge = (pieces: ReadonlyMap<GearItem, number>): PackedKit => {
    const lines = [...pieces].map(([gear, count], index) => lineOf(gear, index, count));
    const filled = { ...asking, plans: [{ ...activePlan(asking), lines }] };
    return kitOf(filled, judged(filled, shelf));
  };
  const parts = shelf.items.filter(({ priceNew }) => priceNew !== undefined);
  const options = optionsByScene(project, parts, judge);
  const tableMs = performance.now() - began;

  const pieces = parts.flatMap((gear, part) =>
    Array.from({ length: inPieces.has(gear.kind) ? PIECES : 1 }, () => ({ gear, part }))
  );
  const kitWith = (chosen: ReadonlySet<number>) => {
    const counts = new Map<GearItem, number>();
    for (const piece of chosen)
      counts.set(pieces[piece]!.gear, (counts.get(pieces[piece]!.gear) ?? 0) + 1);
    return judge(counts);
  };
  const shuffle = shuffler(seeded(1));
  const byPrice = sort(pieces.keys(), (piece) => pieces[piece]!.gear.priceNew!.likely);

  const mayHarm = (piece: number) => harmful.has(pieces[piece]!.gear.kind);

  let best = kitWith(new Set());
  const cuts: Cut[] = [];
  const highs = await highsLoader();
  let solved = 0;
  for (;;) {
    const answer = highs.solve(modelOf(project, pieces, options, cuts), {
      mip_rel_gap: 0,
      mip_abs_gap: 1e-6,
      output_flag: false
    });
    solved += 1;
    if (answer.Status !== 'Optimal' || Math.round(100 * answer.ObjectiveValue) <= worthOf(best))
      return { kit: best, solved, tableMs, solvingMs: performance.now() - began - tableMs };
    const chosen = chosenIn(answer, pieces.length);
    const kit = kitWith(chosen);
    if (worthOf(kit) > worthOf(best)) best = kit;
    for (let order = 0; order < GROWN_IN_ORDERS; order++) {
      const grown = new Set(chosen);
      for (const piece of order === 0 ? byPrice : shuffle([...byPrice])) {
        if (grown.has(piece) || mayHarm(piece)) continue;
        grown.add(piece);
        if (worthOf(kitWith(grown)) > worthOf(best)) grown.delete(piece);
      }
      const all = [...pieces.keys()];
      cuts.push({
        oneOf: all.filter((piece) => !grown.has(piece)),
        orNot: all.filter((piece) => grown.has(piece) && mayHarm(piece))
      });
    }
  }
}

/** Hundredths of a point, a scene that works before all, then what stops the kit; as kits compare. */
const worthOf = ({ merit }: PackedKit): number =>
  100 * (WORKS * merit.mustDoWorking - STOP * Math.min(MOST_STOPS, merit.stops)) +
  merit.meritHundredths;

/** What each scene can be worth beside everything that is not chosen by name, many pieces of each part. */
function optionsByScene(
  project: Project,
  parts: readonly GearItem[],
  judge: (pieces: ReadonlyMap<GearItem, number>) => PackedKit
): Option[][] {
  const bitOf = new Map(parts.map((gear, index) => [gear, 1n << BigInt(index)]));
  const rest = parts.filter(({ kind }) => ![...oneEach, ...anyNumber].includes(kind));
  let sets: (readonly GearItem[])[] = [[]];
  for (const kind of oneEach) {
    const own = parts.filter((gear) => gear.kind === kind);
    sets = sets.flatMap((set) => [set, ...own.map((gear) => [...set, gear])]);
  }
  for (const gear of parts)
    if (anyNumber.includes(gear.kind)) sets = sets.flatMap((set) => [set, [...set, gear]]);
  const all = project.scenes.map((): Option[] => []);
  for (const set of sets.sort((a, b) => a.length - b.length)) {
    const { merit } = judge(new Map([...rest, ...set].map((gear) => [gear, PLENTY])));
    const own = set.reduce((bits, gear) => bits | bitOf.get(gear)!, 0n);
    for (const [index, { works, low }] of merit.scenes.entries()) {
      if (!works) continue;
      const isNoBetter = ({ parts: less, worth }: Option) => (less & own) === less && worth >= low;
      if (!all[index]!.some(isNoBetter)) all[index]!.push({ parts: own, worth: low });
    }
  }
  return all;
}

function modelOf(
  project: Project,
  pieces: readonly { gear: GearItem; part: number }[],
  options: readonly (readonly Option[])[],
  cuts: readonly Cut[]
): string {
  const shares = project.scenes.reduce((sum, { sharePercent }) => sum + sharePercent, 0);
  const named = options.map((all, scene) => all.map((_, index) => `s${scene}o${index}`));
  const gains = options.flatMap((all, scene) => {
    const { sharePercent, mustDo } = project.scenes[scene]!;
    const share = shares > 0 ? sharePercent / shares : 1 / project.scenes.length;
    return all.map(
      ({ worth }, index) => `${(mustDo ? WORKS : 0) + share * worth} ${named[scene]![index]}`
    );
  });
  const firstOf = (part: number) => pieces.findIndex((piece) => piece.part === part);
  const rows = [
    pieces.map(({ gear }, index) => `${gear.priceNew!.likely} p${index}`).join(' + ') +
      ` <= ${spendableOf(project)}`,
    ...named.flatMap((all) => (all.length > 0 ? [`${all.join(' + ')} <= 1`] : [])),
    ...options.flatMap((all, scene) =>
      all.flatMap((option, index) =>
        [...new Set(pieces.map(({ part }) => part))]
          .filter((part) => option.parts & (1n << BigInt(part)))
          .map((part) => `${named[scene]![index]} - p${firstOf(part)} <= 0`)
      )
    ),
    // A second piece only after a first.
    ...pieces.flatMap(({ part }, index) =>
      pieces[index - 1]?.part === part ? [`p${index} - p${index - 1} <= 0`] : []
    ),
    // What is neither can only be no more than what it is: then nothing is better.
    ...cuts.map(
      ({ oneOf, orNot }) =>
        `0 p0 ${oneOf.map((piece) => `+ p${piece}`).join(' ')} ${orNot.map((piece) => `- p${piece}`).join(' ')} >= ${1 - orNot.length}`
    )
  ];
  const binaries = [...pieces.map((_, index) => `p${index}`), ...named.flat()];
  return `Maximize\n ${gains.join(' + ') || '0 p0'}\nSubject To\n ${rows.join('\n ')}\nBinary\n ${binaries.join(' ')}\nEnd\n`;
}

function chosenIn({ Columns }: HighsSolution, pieces: number): Set<number> {
  const chosen = new Set<number>();
  for (let index = 0; index < pieces; index++)
    if ((Columns[`p${index}`] as { Primal: number }).Primal > 0.5) chosen.add(index);
  return chosen;
}
