import { applyAct } from '$lib/core/acts/apply-act';
import { swapFor } from '$lib/core/findings/part-candidates';
import { newLine } from '$lib/core/model/new-line';
import { demoProject } from '$lib/catalogue/demos/saltmarsh-loom';
import { catalogue, shelfOf } from '$lib/catalogue/load-catalogue';
import { judgeCandidates, judgingCandidates } from '$lib/core/judge/candidates';
import { judgePlan } from '$lib/core/judge/judge-plan';
import { trackJudgement } from '$lib/core/judge/incremental';
import { remediesOfEach } from '$lib/core/judge/settle';
import { closeJoints } from '$lib/core/judge/close-joints';
import type { Project } from '$lib/core/model/project';
import { activePlan } from '$lib/core/model/active-plan';
import { makeShelf } from '$lib/core/model/shelf';
import { indexShelf, noFilter, filterShelf } from '$lib/ui/shelf/shelf-search';
import { randomOf } from '../fuzz/spoil';
import { median, sampleMicroseconds } from './measure';

/** Candidates the worker hands over before the rest. */
const FIRST_SCREEN = 24;

interface Row {
  work: string;
  medianUs: number;
  aim: string;
}

const project = demoProject();
const shelf = shelfOf(project);

/** The demo with its scenes or lines repeated, to see how the work grows. */
function grown(scenes: number, lines: number): Project {
  const large = demoProject();
  large.scenes = Array.from({ length: scenes }, (_, index) => ({
    ...large.scenes[index % large.scenes.length]!,
    id: `s-${index}`
  }));
  const plan = activePlan(large);
  plan.lines = Array.from({ length: lines }, (_, index) => ({
    ...plan.lines[index % plan.lines.length]!,
    id: `l-${index}`
  }));
  plan.rigs = [];
  return large;
}

/** Medians of the core's work on this machine, in whatever runs this program, as lines of text. */
export function measureCore(): string[] {
  const rows: Row[] = [];
  function measure(work: string, aim: string, samples: number, run: () => void): number {
    const us = median(sampleMicroseconds(samples, run));
    rows.push({ work, medianUs: us, aim });
    return us;
  }

  // How fast the machine is just now, for shared ones differ by the minute: compare runs by this row.
  measure('yardstick: ten million whole numbers added', '', 9, () => {
    let sum = 0;
    for (let number = 0; number < 10_000_000; number++) sum = (sum + number) | 0;
    if (sum === 1) throw new Error('the sum came out wrong');
  });
  const single = measure('judgePlan, the demo (3 scenes, 14 lines)', '≤ 100 µs', 12_000, () =>
    judgePlan(project, activePlan(project), shelf)
  );
  for (const [scenes, lines] of [
    [1, 14],
    [3, 20],
    [6, 20],
    [12, 20],
    [3, 40],
    [3, 80]
  ] as const) {
    const large = grown(scenes, lines);
    const us = measure(`judgePlan, ${scenes} scenes, ${lines} lines`, '', 4000, () =>
      judgePlan(large, activePlan(large), shelf)
    );
    rows.at(-1)!.aim = `${(us / single).toFixed(2)} × the demo`;
  }
  {
    const before = judgePlan(project, activePlan(project), shelf);
    const mic = before.kit.of('microphone')[0]!;
    const swapped = catalogue
      .ofKind('microphone')
      .map((gear) => applyAct(project, swapFor(mic.line.id)(newLine(activePlan(project), gear))));
    let index = 0;
    const us = measure('judgePlan, a swap judged again', '', 3000, () => {
      const next = swapped[index++ % swapped.length]!;
      judgePlan(next, activePlan(next), shelf, { before: trackJudgement(project, before) });
    });
    rows.at(-1)!.aim = `${(us / single).toFixed(2)} × the demo`;
  }
  for (const pocket of ['sound', 'accessories'] as const) {
    const count = catalogue.items.length;
    measure(`chooser, ${pocket} pocket of the ${count}-part shelf`, '', 15, () =>
      judgeCandidates(project, shelf, pocket)
    );
  }
  {
    const mics = catalogue.ofKind('microphone');
    const many = makeShelf(
      catalogue.items,
      Array.from({ length: 2000 - mics.length }, (_, index) => ({
        ...mics[index % mics.length]!,
        id: `mic-${index}`,
        model: `${mics[index % mics.length]!.model} ${index}`
      }))
    );
    const all = measure('chooser, a pocket of 2000: all judged', '', 5, () =>
      judgeCandidates(project, many, 'sound')
    );
    rows.at(-1)!.aim = `≤ 250 ms; ${(all / 2000 / single).toFixed(2)} × the demo a part`;
    measure('chooser, a pocket of 2000: first screen', '≤ 50 ms', 15, () => {
      const judging = judgingCandidates(project, many, 'sound');
      for (let first = 0; first < FIRST_SCREEN; first++) judging.next();
    });
  }
  {
    const bags = Array.from({ length: 40 }, (_, seed) => {
      const random = randomOf(seed + 1);
      const bag = demoProject();
      const plan = activePlan(bag);
      plan.rigs = [];
      plan.lines = Array.from({ length: 80 }, (__, index) => ({
        ...plan.lines[0]!,
        id: `line-${index}`,
        gearId: catalogue.items[Math.floor(random() * catalogue.items.length)]!.id,
        quantity: 1 + Math.floor(random() * 3)
      }));
      return { bag, judged: judgePlan(bag, plan, shelf) };
    });
    let turn = 0;
    measure('every joint closed, random bags of 80 lines', '≤ 5 ms', 200, () => {
      const { bag, judged } = bags[turn++ % bags.length]!;
      closeJoints(bag, shelf, judged);
    });
  }
  const judgement = judgePlan(project, activePlan(project), shelf);
  measure(`remedies of all ${judgement.findings.length} findings`, '', 10, () =>
    remediesOfEach(project, shelf, judgement)
  );

  for (const size of [catalogue.items.length, 5000]) {
    const many = makeShelf(
      catalogue.items,
      Array.from({ length: Math.max(0, size - catalogue.items.length) }, (_, index) => {
        const like = catalogue.items[index % catalogue.items.length]!;
        return { ...like, id: `more-${index}`, model: `${like.model} ${index}` };
      })
    );
    measure(`every joint closed, shelf of ${many.items.length}`, '', 30, () =>
      closeJoints(project, many, judgement)
    );
    measure(`shelf of ${many.items.length}: prepared for walking`, '≤ 500 ms', 8, () =>
      indexShelf(many.items)
    );
    const shelf = indexShelf(many.items);
    measure(`shelf of ${many.items.length}: sifted by words and price`, '≤ 50 ms', 30, () =>
      filterShelf(
        shelf,
        { ...noFilter, words: 'lavalier wireless', mostMinor: 20_000 },
        { owned: new Set(), own: new Set(), inBag: new Set() }
      )
    );
  }

  const width = Math.max(...rows.map((row) => row.work.length));
  return rows.map(({ work, medianUs, aim }) => {
    const time =
      medianUs >= 1000 ? `${(medianUs / 1000).toFixed(1)} ms` : `${medianUs.toFixed(0)} µs`;
    return `${work.padEnd(width)}  ${time.padStart(9)}  ${aim}`;
  });
}
