import { least } from 'd3-array';
import type { Act } from '../acts/act';
import { massWords } from '../model/measure-words';
import { pockets } from '../model/pocket';
import type { Project } from '../model/project';
import type { Shelf } from '../model/shelf';
import { formatMoney } from '../money/format';
import { spendableOf } from './front-steps';
import { KitSearch } from './kit-search';
import { type LimitName, limitsTaken } from './limits';
import { frameOf, type PackFrame, type PackRules } from './pack-rules';
import { filmsAll, judged, type PackedKit, withKit } from './packed-kit';

/** One change by which a kit within the budget films all that must be filmed. */
export interface WayOut {
  label: string;
  /** What it changes in the project; undefined where it changes the rules of packing. */
  act: Act | undefined;
  rules: PackRules | undefined;
  /** A kit that films all of it then. */
  kit: PackedKit;
}

export interface WaysOut {
  ways: readonly WayOut[];
  isDone: boolean;
}

/** What is left aside, and what would have to be said for a kit to be had then. */
interface LeftAside {
  project: Project;
  rules: PackRules;
  wayFor: (kit: PackedKit, frame: PackFrame) => Omit<WayOut, 'kit'> | undefined;
  /** How much more of a limit a kit asks for; of several the one that asks for least is told. */
  asksFor?: (kit: PackedKit, frame: PackFrame) => number;
  /** The same with a limit a little lower than a kit that was found takes; undefined where there is nothing to lower. */
  lower?: (kit: PackedKit, frame: PackFrame) => LeftAside | undefined;
}

/** Kits are tried until one films all of it, and no more than so many; more where it is only asked how little would do. */
const MOST_TRIED = { first: 400, lowered: 1500 } as const;
/** A limit that would do is lowered by this share, as often as a kit keeps to it. */
const LOWERED_BY = 0.1;
const MOST_LOWERED = 6;
/** A limit is raised to a whole number of these: what one would set by hand. */
const ROUND = { minor: 1000, kg: 0.1, min: 1, count: 1 } as const;

const roundedUp = (value: number, step: number): number =>
  // Tenths of a kilogram are no whole number of twos: what is a hair past one is on it.
  Number((Math.ceil(value / step - 1e-9) * step).toFixed(6));

/**
 * Which of the things a person has set stand in the way of filming all of it within the budget: each is left aside by
 * itself, and kits are begun and tried as the search does; of a limit it is looked how little more would do. What is told
 * has been judged whole; where nothing is told, no single one was found to be enough.
 */
export function* waysOut(
  given: Project,
  whole: Shelf,
  rules: PackRules
): Generator<WaysOut, WaysOut, void> {
  const ways: WayOut[] = [];
  for (const first of leftAside(given, rules)) {
    let way: WayOut | undefined;
    const told = (): WaysOut => ({ ways: way ? [...ways, way] : [...ways], isDone: false });
    let aside: LeftAside | undefined = first;
    for (let round = 0; aside && round <= MOST_LOWERED; round++) {
      const { project, rules: left, asksFor, wayFor, lower }: LeftAside = aside;
      const frame = frameOf(project, whole, left);
      const kits: readonly PackedKit[] = yield* filmingKits(
        frame,
        round === 0 ? MOST_TRIED.first : MOST_TRIED.lowered,
        told
      );
      const kit: PackedKit | undefined = least(kits, (kit) => asksFor?.(kit, frame) ?? 0);
      const change = kit && wayFor(kit, frame);
      if (change) way = { ...change, kit };
      aside = kit && lower?.(kit, frame);
    }
    if (way) ways.push(way);
  }
  return { ways, isDone: true };
}

/** Kits found within the budget that film all that must be filmed, the cheapest first. */
function* filmingKits<T>(
  frame: PackFrame,
  mostTried: number,
  told: () => T
): Generator<T, readonly PackedKit[], void> {
  const search = new KitSearch(frame);
  const spendable = spendableOf(frame.project);
  for (const going of [search.begin(), search.beginFromBound(), search.run(mostTried)]) {
    for (let step = going.next(); step.done !== true; step = going.next()) yield told();
    const filming = search
      .progress(false)
      .front.filter(
        ({ merit, priceMinor }) =>
          filmsAll(merit) && merit.scenes.some(({ works }) => works) && priceMinor <= spendable
      );
    if (filming.length > 0) return filming;
  }
  return [];
}

function* leftAside(project: Project, rules: PackRules): Generator<LeftAside, void, void> {
  const none = { act: undefined, rules: undefined };
  const changed = (patch: Partial<Project>, wayFor: LeftAside['wayFor']): LeftAside => ({
    project: { ...project, ...patch },
    rules,
    wayFor
  });
  const packedBy = (label: string, patch: Partial<PackRules>): LeftAside => {
    const looser = { ...rules, ...patch };
    return { project, rules: looser, wayFor: () => ({ ...none, label, rules: looser }) };
  };
  for (const pocket of pockets)
    if (rules.lockedPockets.includes(pocket))
      yield packedBy(`Unlock ${pocket}`, {
        lockedPockets: rules.lockedPockets.filter((other) => other !== pocket)
      });
  if (rules.lockedPockets.length > 1) yield packedBy('Unlock all pockets', { lockedPockets: [] });
  if (rules.excludedMakers.length > 0)
    yield packedBy('Take parts of every maker', { excludedMakers: [] });
  if (rules.used !== 'where cheaper')
    yield packedBy('Buy used where it is cheaper', { used: 'where cheaper' });
  if (project.reserveMinor > 0)
    yield changed({ reserveMinor: 0 }, () => ({
      ...none,
      label: 'Set nothing aside',
      act: { type: 'set project', patch: { reserveMinor: 0 } }
    }));

  const money = (minor: number) => formatMoney(minor, project.currency, { short: true });
  for (const pocket of pockets)
    yield* raised(rules, {
      limit: pocket,
      most: project.pocketLimitsMinor?.[pocket],
      step: ROUND.minor,
      within: (most) => ({
        ...project,
        pocketLimitsMinor: { ...project.pocketLimitsMinor, [pocket]: most }
      }),
      label: (most) => `Raise the limit of ${pocket} to ${money(most)}`,
      act: (limitMinor) => ({ type: 'set pocket limit', pocket, limitMinor })
    });
  const settings = [
    ['itemLimitMinor', 'one part', ROUND.minor, (most) => `Let one part cost up to ${money(most)}`],
    [
      'carriedLimitKg',
      'carriedMass',
      ROUND.kg,
      (most) => `Carry up to ${massWords(most, project.units)}`
    ],
    ['setUpLimitMin', 'setUp', ROUND.min, (most) => `Allow ${most} min to set up`],
    ['switchLimit', 'switches', ROUND.count, (most) => `Remember ${most} switches`]
  ] as const satisfies readonly (readonly [
    keyof Project,
    LimitName,
    number,
    (most: number) => string
  ])[];
  for (const [key, limit, step, label] of settings)
    yield* raised(rules, {
      limit,
      most: project[key],
      step,
      label,
      within: (most) => ({ ...project, [key]: most }),
      act: (most) => ({ type: 'set project', patch: { [key]: most } })
    });
  for (const scene of project.scenes)
    if (scene.mustDo)
      yield changed(
        {
          scenes: project.scenes.map((other) =>
            other === scene ? { ...scene, mustDo: false } : other
          )
        },
        () => ({
          ...none,
          label: `Make ${scene.name} one that need not`,
          act: { type: 'change scene', sceneId: scene.id, patch: { mustDo: false } }
        })
      );
}

/** A limit that may be raised. */
interface Raisable {
  limit: LimitName;
  /** As it is set; undefined where it is not. */
  most: number | undefined;
  step: number;
  within: (most: number) => Project;
  label: (most: number) => string;
  act: (most: number) => Act;
}

function* raised(
  rules: PackRules,
  { limit, most, step, within, label, act }: Raisable
): Generator<LeftAside, void, void> {
  if (most === undefined) return;
  const needed = (kit: PackedKit, frame: PackFrame): number => {
    const judgement = judged(withKit(frame.project, kit), frame.shelf);
    const taken = limitsTaken(frame, judgement).find((taken) => taken.limit === limit);
    return roundedUp(taken?.takes ?? 0, step);
  };
  const upTo = (limited: number): LeftAside => ({
    project: within(limited),
    rules,
    asksFor: needed,
    wayFor: (kit, frame) => {
      const needs = needed(kit, frame);
      if (needs <= most) return undefined;
      return { label: label(needs), act: act(needs), rules: undefined };
    },
    lower: (kit, frame) => {
      const needs = needed(kit, frame);
      const less = Math.min(needs - step, needs * (1 - LOWERED_BY));
      return less > most ? upTo(less) : undefined;
    }
  });
  yield upTo(Number.MAX_SAFE_INTEGER);
}
