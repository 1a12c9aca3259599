import type { Act } from '../acts/act';
import { applyAct } from '../acts/apply-act';
import { cheapestOf, oneMore } from '../findings/part-candidates';
import { completeKit } from '../judge/complete-kit';
import { trackJudgement } from '../judge/incremental';
import type { Judgement } from '../judge/judgement';
import { judgePlan } from '../judge/judge-plan';
import { activePlan } from '../model/active-plan';
import { fullName, type GearItem, type GearOf } from '../model/gear';
import { newLine } from '../model/new-line';
import type { Project } from '../model/project';
import type { HabitId, Rehearsal } from '../model/rehearsal';
import type { Shelf } from '../model/shelf';
import { minorPerMajor } from '../money/format';
import { basisFor } from '../money/payable-price';
import { habits } from '../model/habits';
import { dayPlanOf, daysOf } from './day-plan';
import { type DayPlan } from './planned-day';
import { learnedFrom } from './logbook';
import { type Blame, type ManyDays, runDays, type ShareWithin } from './many-days';
import type { Luck } from './day-outcome';
import { runDay } from './run-day';

/** Days a change is tried on; the same days with and without it, so that only the change tells them apart. */
export const DAYS_COMPARED = 400;
/** Saved takes of a hundred days that are worth a line. */
const WORTH_A_LINE = 0.5;
/** Parts of a kind that are tried, from the cheapest. */
const MOST_TRIED = 3;
/** Free lines that are told together. */
const MOST_TOGETHER = 3;
/** So many scenes are tried in every order; of more only neighbours change places. */
const MOST_PERMUTED = 4;

/** A change that would have kept takes. */
export interface Saving {
  label: string;
  detail: string;
  act: Act;
  costMinor: number;
  /** A line of a list; several can be kept at once. */
  habit?: HabitId;
  /** Of a hundred days, and below zero where it loses some. */
  savedPer100Days: number;
  whole: ShareWithin;
  /** What it keeps most takes from being lost to. */
  mostly: Pick<Blame, 'cause' | 'lineId'> | undefined;
  /** For each pound, of a hundred days; free ones have none. */
  savedPerMajor?: number;
}

export interface Savings {
  /** Free ones first by what they save, then by what a pound saves. */
  list: readonly Saving[];
  /** The best free lines taken together. */
  together:
    { habits: readonly HabitId[]; act: Act; whole: ShareWithin; lostThisDay: number } | undefined;
  isDone: boolean;
}

/** The day of a project that holds a scene, as it stands to be run. */
export function dayPlanWith(
  project: Project,
  judgement: Pick<Judgement, 'angles'>,
  sceneId: string
): DayPlan | undefined {
  const day = daysOf(judgement.angles).find(({ scenes }) =>
    scenes.some(({ id }) => id === sceneId)
  );
  return day && dayPlanOf(project, judgement.angles, day, learnedFrom(project));
}

interface Attempt {
  label: string;
  detail: string;
  act: Act;
  habit?: HabitId;
}

/**
 * Tries every change that could keep takes on the same days of chance, and tells what is known so far.
 *
 * @param sceneId any scene of the day
 * @param luck the day on screen, for what the free lines make of it
 */
export function* lookingForSavings(
  project: Project,
  shelf: Shelf,
  sceneId: string,
  luck: Luck | undefined
): Generator<Savings, Savings, void> {
  const judgement = judgePlan(project, activePlan(project), shelf);
  const plan = dayPlanWith(project, judgement, sceneId);
  if (!plan) return { list: [], together: undefined, isDone: true };
  const before = runDays(plan, DAYS_COMPARED);
  const list: Saving[] = [];
  const keep = (saving: Saving | undefined) => {
    if (saving && saving.savedPer100Days >= WORTH_A_LINE) list.push(saving);
    list.sort(better);
  };
  for (const attempt of freeAttempts(project, plan, before)) {
    const after = planAfter(project, shelf, judgement, sceneId, attempt.act);
    keep(
      after && savingOf(project, attempt, attempt.act, 0, before, runDays(after, DAYS_COMPARED))
    );
    yield { list: [...list], together: undefined, isDone: false };
  }
  const bestOrder = onlyBestOrder(list);
  const together = togetherOf(project, shelf, judgement, sceneId, bestOrder, luck);
  yield { list: bestOrder, together, isDone: false };
  list.length = 0;
  list.push(...bestOrder);
  for (const attempt of paidAttempts(project, shelf, judgement, plan, before)) {
    const changed = applyAct(project, attempt.act);
    const { acts: joints, judgement: after } = completeKit(
      trackJudgement(project, judgement),
      changed,
      shelf
    );
    const costMinor = after.money.firmMinor - judgement.money.firmMinor;
    const afterPlan = dayPlanWith(changed, after, sceneId);
    if (costMinor > 0 && afterPlan) {
      const act: Act =
        joints.length > 0 ? { type: 'batch', acts: [attempt.act, ...joints] } : attempt.act;
      keep(savingOf(project, attempt, act, costMinor, before, runDays(afterPlan, DAYS_COMPARED)));
    }
    yield { list: [...list], together, isDone: false };
  }
  return { list: [...list], together, isDone: true };
}

function better(a: Saving, b: Saving): number {
  const isFree = (saving: Saving) => (saving.costMinor <= 0 ? 0 : 1);
  return (
    isFree(a) - isFree(b) ||
    (b.savedPerMajor ?? b.savedPer100Days) - (a.savedPerMajor ?? a.savedPer100Days) ||
    a.label.localeCompare(b.label)
  );
}

function savingOf(
  { currency }: Project,
  { label, detail, habit }: Attempt,
  act: Act,
  costMinor: number,
  before: ManyDays,
  after: ManyDays
): Saving {
  const savedPer100Days = (100 * (before.lostTakes - after.lostTakes)) / DAYS_COMPARED;
  return {
    label,
    detail,
    act,
    costMinor,
    ...(habit === undefined ? {} : { habit }),
    savedPer100Days,
    whole: after.whole,
    mostly: mostlySaved(before.blames, after.blames),
    ...(costMinor > 0
      ? { savedPerMajor: savedPer100Days / (costMinor / minorPerMajor(currency)) }
      : {})
  };
}

function mostlySaved(
  before: readonly Blame[],
  after: readonly Blame[]
): Pick<Blame, 'cause' | 'lineId'> | undefined {
  let most = 0;
  let found: Pick<Blame, 'cause' | 'lineId'> | undefined;
  for (const { cause, lineId, takes } of before) {
    const rest = after.find((lost) => lost.cause === cause && lost.lineId === lineId)?.takes ?? 0;
    if (takes - rest <= most) continue;
    most = takes - rest;
    found = { cause, lineId };
  }
  return found;
}

function planAfter(
  project: Project,
  shelf: Shelf,
  judgement: Judgement,
  sceneId: string,
  act: Act
): DayPlan | undefined {
  const changed = applyAct(project, act);
  // What only the rehearsal reads leaves the kit as it was judged.
  const again = changed.scenes === project.scenes;
  return dayPlanWith(
    changed,
    again ? judgement : judgePlan(changed, activePlan(changed), shelf),
    sceneId
  );
}

/** A change of how the day is run, as one act. */
export const rehearsing = (project: Project, patch: Partial<Rehearsal>): Act => ({
  type: 'set project',
  patch: { rehearsal: { ...project.rehearsal, ...patch } }
});

function freeAttempts(project: Project, plan: DayPlan, before: ManyDays): Attempt[] {
  const attempts: Attempt[] = [];
  for (const habit of Object.keys(habits) as HabitId[]) {
    if (plan.habits.has(habit)) continue;
    const { line, when } = habits[habit];
    attempts.push({
      label: habitLabel(habit),
      detail: `${when === 'evening' ? 'the evening before' : 'on the pre-roll list'}: ${line}`,
      habit,
      act: rehearsing(project, { habits: [...plan.habits, habit] })
    });
  }
  for (const order of otherOrders(plan.scenes.map(({ id }) => id)))
    attempts.push({
      label: ORDER_LABEL,
      detail: order.map((id) => plan.scenes.find((scene) => scene.id === id)!.name).join(', then '),
      act: rehearsing(project, { sceneOrder: order })
    });
  const blamed = (cause: Blame['cause']) => before.blames.some((blame) => blame.cause === cause);
  if (blamed('no time left'))
    attempts.push({
      label: 'Begin an hour earlier',
      detail: 'the day is too short for all takes',
      act: rehearsing(project, { startsAtMin: Math.max(0, plan.startsAtMin - 60) })
    });
  for (const { id, name, takes, filming, pauseMin } of plan.scenes) {
    const limit = Math.min(...filming.map(({ clipLimitMin }) => clipLimitMin));
    const longest = Math.max(0, ...filming.map(({ minutes }) => minutes));
    if (limit < longest) {
      const more = Math.ceil((takes * longest) / limit);
      attempts.push({
        label: `${name} in ${more} takes`,
        detail: `each shorter than the ${Math.round(limit)} min a clip may last`,
        act: { type: 'change scene', sceneId: id, patch: { takes: more } }
      });
    }
    if (blamed('overheated') && filming.some(({ heat }) => heat))
      attempts.push({
        label: `${name}: ${pauseMin + 10} min between takes`,
        detail: 'the camera cools down',
        act: { type: 'change scene', sceneId: id, patch: { pauseMin: pauseMin + 10 } }
      });
  }
  return attempts;
}

const ORDER_LABEL = 'Another order of scenes';

/** Of all orders that save something the best alone is told. */
function onlyBestOrder(list: readonly Saving[]): Saving[] {
  const first = list.find(({ label }) => label === ORDER_LABEL);
  return list.filter((saving) => saving.label !== ORDER_LABEL || saving === first);
}

const habitLabel = (habit: HabitId): string => habit[0]!.toUpperCase() + habit.slice(1);

function otherOrders(ids: readonly string[]): string[][] {
  const orders =
    ids.length <= MOST_PERMUTED
      ? permutations(ids)
      : ids.slice(1).map((_, index) => {
          const order = [...ids];
          [order[index], order[index + 1]] = [order[index + 1]!, order[index]!];
          return order;
        });
  return orders.filter((order) => order.some((id, index) => id !== ids[index]));
}

function permutations(ids: readonly string[]): string[][] {
  if (ids.length < 2) return [[...ids]];
  return ids.flatMap((id, index) =>
    permutations([...ids.slice(0, index), ...ids.slice(index + 1)]).map((rest) => [id, ...rest])
  );
}

function togetherOf(
  project: Project,
  shelf: Shelf,
  judgement: Judgement,
  sceneId: string,
  list: readonly Saving[],
  luck: Luck | undefined
): Savings['together'] {
  const best = list.flatMap(({ habit }) => habit ?? []).slice(0, MOST_TOGETHER);
  if (best.length === 0) return undefined;
  const act = rehearsing(project, { habits: [...(project.rehearsal?.habits ?? []), ...best] });
  const plan = planAfter(project, shelf, judgement, sceneId, act);
  return (
    plan && {
      habits: best,
      act,
      whole: runDays(plan, DAYS_COMPARED).whole,
      lostThisDay: runDay(plan, luck).lost.length
    }
  );
}

/** Parts to buy for what takes are lost to: more of what is there, and the cheapest of what could stand beside it. */
function paidAttempts(
  project: Project,
  shelf: Shelf,
  { kit }: Judgement,
  plan: DayPlan,
  before: ManyDays
): Attempt[] {
  const attempts: Attempt[] = [];
  const addNew = (gear: GearItem, detail: string) =>
    attempts.push({
      label: `Add ${fullName(gear)}`,
      detail,
      act: {
        type: 'add line',
        line: newLine(activePlan(project), gear, 1, basisFor(project, gear))
      }
    });
  const more = (lineId: string, detail: string) => {
    const part = kit.byLine(lineId);
    if (!part) return;
    for (const proposal of oneMore({ plan: activePlan(project), project }, part))
      attempts.push({ ...proposal, detail });
  };
  const starved = before.blames.filter(({ cause }) => cause === 'battery empty');
  const types = new Set<string>();
  for (const { lineId } of starved) {
    const device = plan.devices.find((device) => device.lineId === lineId);
    for (const piece of device?.pieces ?? []) {
      const { type } = plan.pieces[piece]!;
      if (type !== undefined) types.add(type);
    }
  }
  for (const type of types) {
    const has = kit.of('battery').filter(({ gear }) => gear.batteryType === type);
    for (const { line } of has) more(line.id, 'a battery more');
    const others = cheapestOf(
      shelf,
      project,
      'battery',
      (gear) => gear.batteryType === type && !has.some((part) => part.gear.id === gear.id)
    );
    for (const gear of others.slice(0, MOST_TRIED)) addNew(gear, wattHours(gear));
    if (!plan.bays.some((bay) => bay.type === type))
      for (const gear of cheapestOf(
        shelf,
        project,
        'charger',
        (gear) => gear.batteryType === type
      ).slice(0, 1))
        addNew(gear, 'fills batteries where there is a socket');
  }
  if (starved.length > 0)
    for (const gear of cheapestOf(
      shelf,
      project,
      'power bank',
      (gear) => gear.energyWh !== undefined
    )
      .filter(({ id }) => !kit.of('power bank').some((part) => part.gear.id === id))
      .slice(0, MOST_TRIED * 2))
      addNew(gear, wattHours(gear));
  if (before.blames.some(({ cause }) => cause === 'card full' || cause === 'file lost'))
    for (const { line } of kit.of('card')) more(line.id, 'a card more');
  return attempts;
}

const wattHours = ({ energyWh }: GearOf<'battery'> | GearOf<'power bank'>): string =>
  energyWh === undefined ? 'nobody states its watt-hours' : `${energyWh} Wh`;
