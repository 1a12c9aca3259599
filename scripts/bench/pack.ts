import { max, median } from 'd3-array';
import { demoOf, demos } from '$lib/catalogue/demos';
import { shelfOf } from '$lib/catalogue/load-catalogue';
import type { Project } from '$lib/core/model/project';
import { makeShelf, type Shelf } from '$lib/core/model/shelf';
import { bestAgainstBound } from '$lib/core/pack/bound/best-against-bound';
import { boundFor, boundKits, boundsOfScenes } from '$lib/core/pack/bound/kit-bound';
import { spendableOf } from '$lib/core/pack/front-steps';
import { frameOf, noRules } from '$lib/core/pack/pack-rules';
import { compareWorth, filmsAll } from '$lib/core/pack/packed-kit';
import type { PackProgress } from '$lib/core/pack/kit-search';
import { pack, packing } from '$lib/core/pack/packing';
import { bestByModel, middlingShelf } from '$lib/core/pack/tests/mixed-integer';
import { bestOfAll, tinyShelf } from '$lib/core/pack/tests/brute-force';

const PERCENT = [0.001, 0.01];

const bestWithin = ({ front }: PackProgress, most: number) =>
  front.filter(({ priceMinor }) => priceMinor <= most).at(-1);

/** What bounding takes by itself. */
function boundingMs(project: Project, shelf: Shelf): number {
  const began = performance.now();
  const frame = frameOf(project, shelf, noRules);
  const bounding = boundsOfScenes(frame);
  let step = bounding.next();
  while (step.done !== true) step = bounding.next();
  if (step.value) boundKits(frame, step.value);
  return Math.round(performance.now() - began);
}

/** A search from its start to its end: when it first had a usable kit, when its best came near, how much it judged. */
function measured(project: Project, shelf = shelfOf(project)) {
  const began = performance.now();
  const seen: { at: number; progress: PackProgress }[] = [];
  const search = packing(project, shelf, noRules);
  let last: PackProgress;
  for (;;) {
    const step = search.next();
    last = step.value;
    seen.push({ at: performance.now() - began, progress: last });
    if (step.done === true) break;
  }
  const most = spendableOf(project);
  const best = bestWithin(last, most);
  const when = (is: (progress: PackProgress) => boolean) =>
    Math.round(seen.find(({ progress }) => is(progress))?.at ?? NaN);
  return {
    first: when((progress) => {
      const kit = bestWithin(progress, most);
      return kit !== undefined && filmsAll(kit.merit);
    }),
    within: PERCENT.map((share) =>
      when((progress) => {
        const kit = bestWithin(progress, most);
        return (
          kit !== undefined &&
          best !== undefined &&
          kit.merit.mustDoWorking === best.merit.mustDoWorking &&
          kit.merit.meritHundredths >= best.merit.meritHundredths * (1 - share)
        );
      })
    ),
    done: Math.round(performance.now() - began),
    bounding: boundingMs(project, shelf),
    against: bestAgainstBound(project, last),
    judged: last.judged,
    kits: last.front.length,
    heapMb: Math.round(process.memoryUsage().heapUsed / 1e6)
  };
}

const line = (
  name: string,
  { first, within, done, judged, kits, heapMb, bounding, against }: ReturnType<typeof measured>
) => {
  console.log(
    `${name.padEnd(34)} first ${first} ms, within 1 % ${within[1]} ms, 0.1 % ${within[0]} ms, done ${done} ms; ${judged} judged, ${kits} on the front, ${heapMb} MB`
  );
  const gap = against
    ? `${against.foundHundredths} of at most ${against.boundHundredths}: ${(100 * against.gap).toFixed(1)} % open`
    : 'no bound';
  console.log(`${''.padEnd(34)} ${gap}, bounded in ${bounding} ms`);
};

console.log('Packing, from the plan to the end of the search');
for (const { id } of demos) line(id, measured(await demoOf(id)));
const demo = await demoOf(demos[0].id);
const [sample] = demo.scenes;
for (const scenes of [1, 2, 6]) {
  const many = Array.from({ length: scenes }, (_, index) => ({
    ...(demo.scenes[index % demo.scenes.length] ?? sample!),
    id: `scene-${index}`
  }));
  line(`${scenes} scenes`, measured({ ...demo, scenes: many }));
}
for (const times of [2, 6]) {
  // The same parts again, a little dearer and a little better priced in turn: nothing of it is dominated at once.
  const shelf = shelfOf(demo);
  const more = Array.from({ length: times - 1 }, (_, copy) =>
    shelf.items.map((gear) => ({
      ...gear,
      id: `${gear.id}-${copy}`,
      priceNew: gear.priceNew && {
        ...gear.priceNew,
        likely: Math.round(gear.priceNew.likely * (copy % 2 === 0 ? 1.03 : 0.97)) + copy
      }
    }))
  ).flat();
  const large = makeShelf([...shelf.items, ...more]);
  line(`${large.items.length} parts`, measured(demo, large));
}

const SHELVES = Number(process.env.SHELVES ?? 100);
let same = 0;
let worst = 0;
let ofThem = 0;
const gaps: number[] = [];
for (let seed = 1; seed <= SHELVES; seed++) {
  const { project, shelf } = tinyShelf(seed);
  const best = bestOfAll(project, shelf);
  const last = pack(project, shelf);
  const most = boundFor(last.bound!, spendableOf(project))!;
  if (filmsAll(best.merit)) gaps.push((most - best.merit.meritHundredths) / most);
  if (most < best.merit.meritHundredths) console.log(`  shelf ${seed}: past its bound of ${most}`);
  const packed = bestWithin(last, spendableOf(project))!;
  // Where nothing films, what is left to compare is what a kit would be worth once something did.
  if (!filmsAll(best.merit)) continue;
  ofThem += 1;
  if (compareWorth(packed.merit, best.merit) >= 0) same += 1;
  else {
    worst = Math.max(worst, best.merit.onceSettledHundredths - packed.merit.onceSettledHundredths);
    console.log(
      `  shelf ${seed}: ${packed.merit.meritHundredths} for ${best.merit.meritHundredths}`
    );
  }
}
console.log(
  `Against every set of parts of ${SHELVES} tiny shelves: ${same} of ${ofThem} that can film are as good, worst ${(worst / 100).toFixed(2)} points below`
);
const MIDDLING = Number(process.env.MIDDLING ?? 10);
const [packerMs, modelMs, models]: number[][] = [[], [], []];
const outcomes = { equal: 0, better: 0, worse: 0 };
for (let seed = 1; seed <= MIDDLING; seed++) {
  const { project, shelf } = middlingShelf(seed);
  const began = performance.now();
  const packed = bestWithin(pack(project, shelf), spendableOf(project))!;
  packerMs!.push(performance.now() - began);
  const { kit, solved, tableMs, solvingMs } = await bestByModel(project, shelf);
  modelMs!.push(tableMs + solvingMs);
  models!.push(solved);
  const difference = compareWorth(packed.merit, kit.merit);
  outcomes[difference === 0 ? 'equal' : difference > 0 ? 'better' : 'worse'] += 1;
  if (difference < 0)
    console.log(
      `  middling shelf ${seed}: ${packed.merit.mustDoWorking} scenes ${packed.merit.meritHundredths} for ${kit.merit.mustDoWorking} scenes ${kit.merit.meritHundredths}`
    );
}
console.log(
  `Against a mixed-integer model of ${MIDDLING} middling shelves: ${outcomes.equal} equal, ${outcomes.better} better, ${outcomes.worse} worse; the packer ${Math.round(median(packerMs!) ?? 0)} ms in the middle, the model ${Math.round(median(modelMs!) ?? 0)} ms with its table, ${median(models!)} models solved (${max(models!)} at most)`
);
console.log(
  `Their bounds against the best of all: ${(100 * (median(gaps) ?? 0)).toFixed(1)} % open in the middle, ${(100 * (max(gaps) ?? 0)).toFixed(1)} % at most`
);
