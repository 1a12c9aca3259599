import { applyAct } from '../acts/apply-act';
import { dayReached } from '../money/savings';
import { activePlan } from '../model/active-plan';
import type { Project } from '../model/project';
import type { Shelf } from '../model/shelf';
import { isPaid } from '../money/statement';
import type { PackFrame } from './pack-rules';
import { compareWorth, judged, kitOf, type PackedKit, withKit } from './packed-kit';

/** One rung: a kit that holds the one below whole, and films something. */
export interface Rung {
  kit: PackedKit;
  /** Parts bought with this rung, by id. */
  bought: string[];
  /** What this rung takes, and with all below it. */
  costMinor: number;
  togetherMinor: number;
  /** Scenes that work with it, by name. */
  films: string[];
  /** The day there is money for it; undefined where what comes in never reaches it. */
  reachedOn: string | undefined;
  /** What the order costs on the way: points below the best kit found for the same money; undefined where that films more. */
  belowFrontHundredths: number | undefined;
}

const MOST_RUNGS = 4;

interface Link {
  project: Project;
  kit: PackedKit;
  paidMinor: number;
}

function linkOf(project: Project, shelf: Shelf): Link {
  const now = judged(project, shelf);
  return {
    project,
    kit: kitOf(project, now),
    paidMinor: now.money.lines.reduce(
      (sum, { line, firmMinor }) => (isPaid(line) ? sum + firmMinor : sum),
      0
    )
  };
}

const worksIn = ({ merit }: PackedKit): number => merit.scenes.filter(({ works }) => works).length;

/** What a smaller kit would be worth less, in hundredths of a point, whatever stops it. */
const lossOf = (from: PackedKit, to: PackedKit): number =>
  from.merit.onceSettledHundredths - to.merit.onceSettledHundredths;

/** From the whole kit down: each time without the part that leaves most scenes working, and loses least for what it costs. */
function chainDown(full: Project, { shelf, isFixed }: PackFrame): Link[] {
  const chain = [linkOf(full, shelf)];
  for (;;) {
    const { project, kit } = chain.at(-1)!;
    let best: { link: Link; works: number; lossPerMinor: number } | undefined;
    for (const line of activePlan(project).lines) {
      if (isFixed(line)) continue;
      const link = linkOf(applyAct(project, { type: 'remove line', lineId: line.id }), shelf);
      const saves = Math.max(1, kit.priceMinor - link.kit.priceMinor);
      const lossPerMinor = lossOf(kit, link.kit) / saves;
      const works = worksIn(link.kit);
      if (!best || works > best.works || (works === best.works && lossPerMinor < best.lossPerMinor))
        best = { link, works, lossPerMinor };
    }
    if (!best) return chain.reverse();
    chain.push(best.link);
  }
}

/** Where one stops on the way up: wherever a scene more works, and between, where the way is long. */
function chooseRungs(chain: readonly Link[]): Link[] {
  const films = chain.filter(({ kit }) => worksIn(kit) > 0);
  const rungs: Link[] = [];
  for (const link of films)
    if (rungs.length === 0 || worksIn(link.kit) > worksIn(rungs.at(-1)!.kit)) rungs.push(link);
  const last = films.at(-1);
  if (last && rungs.at(-1) !== last) rungs.push(last);
  while (rungs.length > MOST_RUNGS) rungs.splice(1, 1);
  while (rungs.length < MOST_RUNGS) {
    const between = films
      .filter((link) => !rungs.includes(link))
      .map((link) => {
        const above = rungs.find(({ kit }) => kit.priceMinor > link.kit.priceMinor);
        const below = rungs.filter(({ kit }) => kit.priceMinor < link.kit.priceMinor).at(-1);
        if (!above || !below || compareWorth(link.kit.merit, below.kit.merit) <= 0)
          return undefined;
        const room = Math.min(
          link.kit.priceMinor - below.kit.priceMinor,
          above.kit.priceMinor - link.kit.priceMinor
        );
        return { link, room };
      })
      .filter((other) => other !== undefined)
      .sort((a, b) => b.room - a.room)[0];
    if (!between) break;
    rungs.push(between.link);
    rungs.sort((a, b) => a.kit.priceMinor - b.kit.priceMinor);
  }
  return rungs;
}

/**
 * A kit bought in goes: nothing that is bought is thrown away, and every go can film something. Found from the whole
 * kit downwards, part by part; another last kit might come apart better.
 *
 * @param front the kits nothing found beats, to say what this order costs on the way
 * @param today YYYY-MM-DD
 */
export function ladderOf(
  frame: PackFrame,
  kit: Pick<PackedKit, 'lines' | 'rigs'>,
  front: readonly PackedKit[],
  today: string
): Rung[] {
  const { project } = frame;
  const rungs = chooseRungs(chainDown(withKit(project, kit), frame));
  return rungs.map((link, position): Rung => {
    const below = rungs[position - 1];
    const had = new Set(below?.kit.lines.map(({ gearId }) => gearId));
    const { merit, priceMinor, lines } = link.kit;
    const best = front.filter((kit) => kit.priceMinor <= priceMinor).at(-1);
    const filmsMore = best && best.merit.mustDoWorking > merit.mustDoWorking;
    const togetherMinor = priceMinor - link.paidMinor;
    return {
      kit: link.kit,
      bought: lines
        .filter(
          (line) =>
            !had.has(line.gearId) &&
            (position > 0 || (line.state === 'wanted' && line.step !== 'later'))
        )
        .map(({ gearId }) => gearId),
      costMinor: priceMinor - (below?.kit.priceMinor ?? link.paidMinor),
      togetherMinor,
      films: merit.scenes.flatMap(({ works }, index) =>
        works ? (project.scenes[index]?.name ?? []) : []
      ),
      reachedOn: dayReached(togetherMinor, project, today),
      belowFrontHundredths:
        filmsMore === true
          ? undefined
          : Math.max(0, (best?.merit.meritHundredths ?? 0) - merit.meritHundredths)
    };
  });
}
