import { produce } from './drafts';
import {
  MOST_ALERTS,
  MOST_ANGLES,
  MOST_DAY_LOGS,
  MOST_INCOMES,
  MOST_LINES,
  MOST_OBSERVATIONS,
  MOST_OWN_PARTS,
  MOST_PIECES,
  MOST_PLANS,
  MOST_SCENES
} from '../model/limits';
import type { Rig } from '../model/plan';
import { rigLines } from '../model/rig-lines';
import type { SceneLock } from '../model/scene-lock';
import type { Pocket } from '../model/pocket';
import type { Project } from '../model/project';
import { sameSight } from '../money/same-sight';
import { activePlan } from '../model/active-plan';
import { minorPerMajor } from '../money/format';
import { asStatedGear } from '../money/priced-shelf';
import { convertedMinor, ratesBeside } from '../money/rates';
import type { Act } from './act';

/** An act names something the project does not have. Nothing was changed. */
export class ActError extends Error {
  constructor(message: string) {
    super(message);
    this.name = 'ActError';
  }
}

function placeBefore<T extends { id: string }>(
  list: T[],
  item: T,
  before: string | undefined
): void {
  const index = before === undefined ? -1 : list.findIndex((other) => other.id === before);
  if (index < 0) list.push(item);
  else list.splice(index, 0, item);
}

function take<T extends { id: string }>(list: T[], id: string, what: string): T {
  const index = list.findIndex((item) => item.id === id);
  if (index < 0) throw new ActError(`There is no ${what} "${id}" here any more.`);
  return list.splice(index, 1)[0]!;
}

function find<T extends { id: string }>(list: T[], id: string, what: string): T {
  const item = list.find((candidate) => candidate.id === id);
  if (!item) throw new ActError(`There is no ${what} "${id}" here any more.`);
  return item;
}

/** What could not be written into a file is not taken in. */
function roomFor(list: readonly unknown[], most: number, what: string, more = 1): void {
  if (list.length + more > most)
    throw new ActError(`There is room for ${most} ${what} at most; take one away first.`);
}

/** Assigns what is said and removes what is said to be undefined, so that no empty keys pile up. */
function patchInto<T extends object>(target: T, patch: Partial<T>): void {
  for (const [key, value] of Object.entries(patch) as [keyof T, T[keyof T] | undefined][]) {
    if (value === undefined || value === null) delete target[key];
    else target[key] = value;
  }
}

/** Limits, and what a person has typed on the lines, at one rate; prices keep the currency they were stated in. */
function changeCurrency(
  draft: Project,
  { currency: into, perUnit, date }: Extract<Act, { type: 'change currency' }>
): void {
  const from = draft.currency;
  if (into === from) return;
  const convert = (amount: number) => convertedMinor(amount, from, into, perUnit);
  const rates = ratesBeside(draft, from, perUnit, date, into);
  draft.currency = into;
  if (rates.length > 0) draft.rates = rates;
  else delete draft.rates;
  // A limit is a round figure, and stays one.
  const perMajor = minorPerMajor(into);
  const round = (amount: number) => Math.round(convert(amount) / perMajor) * perMajor;
  draft.limitMinor = round(draft.limitMinor);
  draft.reserveMinor = round(draft.reserveMinor);
  if (draft.itemLimitMinor !== undefined) draft.itemLimitMinor = round(draft.itemLimitMinor);
  for (const field of ['inHandMinor', 'savedPerMonthMinor', 'consumablesMinor'] as const)
    if (draft[field] !== undefined) draft[field] = convert(draft[field]);
  for (const [pocket, limit] of Object.entries(draft.pocketLimitsMinor ?? {}))
    draft.pocketLimitsMinor![pocket as Pocket] = round(limit);
  for (const income of draft.incomes ?? []) income.amountMinor = convert(income.amountMinor);
  for (const alert of draft.priceAlerts ?? []) alert.atMostMinor = convert(alert.atMostMinor);
  for (const { lines } of draft.plans)
    for (const line of lines)
      for (const key of [
        'shippingMinor',
        'cashBackMinor',
        'resaleMinor',
        'paidMinor',
        'refundMinor'
      ] as const)
        if (line[key] !== undefined) line[key] = convert(line[key]);
  // A sum done by hand was done in the other money, and is nobody's sum any more.
  for (const { lines } of draft.plans) for (const line of lines) delete line.handRemainingMinor;
}

/** Changes a draft of a project in place. @throws ActError when it names what is not there */
export function applyActTo(draft: Project, act: Act): void {
  const plan = activePlan(draft);
  switch (act.type) {
    case 'add line':
      if (plan.lines.some((line) => line.id === act.line.id)) {
        throw new ActError(`A line "${act.line.id}" is already in the plan.`);
      }
      roomFor(plan.lines, MOST_LINES, 'lines');
      placeBefore(plan.lines, { ...act.line }, act.before);
      return;
    case 'change line':
      patchInto(find(plan.lines, act.lineId, 'line'), act.patch);
      return;
    case 'step quantity': {
      // A step, not a sum: two tabs that press at once both count.
      const line = find(plan.lines, act.lineId, 'line');
      line.quantity = Math.min(MOST_PIECES, Math.max(1, line.quantity + act.by));
      return;
    }
    case 'remove line': {
      take(plan.lines, act.lineId, 'line');
      for (const rig of plan.rigs) forgetLine(rig, act.lineId);
      return;
    }
    case 'move line':
      placeBefore(plan.lines, take(plan.lines, act.lineId, 'line'), act.before);
      return;
    case 'set rig': {
      let rig = plan.rigs.find((rig) => rig.sceneId === act.sceneId && rig.angleId === act.angleId);
      if (!rig) {
        plan.rigs.push({ sceneId: act.sceneId, angleId: act.angleId });
        rig = plan.rigs.at(-1)!;
      }
      patchInto(rig, act.patch);
      return;
    }
    case 'set project':
      patchInto(draft, act.patch);
      return;
    case 'change currency':
      changeCurrency(draft, act);
      return;
    case 'set pocket limit': {
      const limits = (draft.pocketLimitsMinor ??= {});
      if (act.limitMinor === undefined) delete limits[act.pocket];
      else limits[act.pocket] = act.limitMinor;
      return;
    }
    case 'note prices': {
      const noted = (draft.priceObservations ??= []);
      for (const seen of act.observations) {
        const index = noted.findIndex((observation) => sameSight(observation, seen));
        if (index >= 0) noted[index] = seen;
        else {
          roomFor(noted, MOST_OBSERVATIONS, 'price observations');
          noted.push(seen);
        }
      }
      return;
    }
    case 'set price alert': {
      const { gearId, basis, atMostMinor } = act.alert;
      const alerts = (draft.priceAlerts ??= []);
      const index = alerts.findIndex((alert) => alert.gearId === gearId && alert.basis === basis);
      if (index >= 0) alerts.splice(index, 1);
      if (atMostMinor === undefined) return;
      roomFor(alerts, MOST_ALERTS, 'price alerts');
      alerts.push({ gearId, basis, atMostMinor });
      return;
    }
    case 'put income': {
      const incomes = (draft.incomes ??= []);
      const index = incomes.findIndex(({ id }) => id === act.income.id);
      if (index >= 0) incomes[index] = act.income;
      else {
        roomFor(incomes, MOST_INCOMES, 'incomes');
        incomes.push(act.income);
      }
      return;
    }
    case 'remove income':
      take((draft.incomes ??= []), act.incomeId, 'income');
      return;
    case 'put day log': {
      const logbook = (draft.logbook ??= []);
      const index = logbook.findIndex(({ id }) => id === act.log.id);
      if (index >= 0) logbook[index] = act.log;
      else {
        roomFor(logbook, MOST_DAY_LOGS, 'days in the logbook');
        logbook.push(act.log);
      }
      return;
    }
    case 'remove day log':
      take((draft.logbook ??= []), act.logId, 'day of the logbook');
      return;
    case 'lock angle': {
      const { lock } = act;
      find(find(draft.scenes, lock.sceneId, 'scene').angles, lock.angleId, 'angle');
      draft.locks = [...otherLocks(draft, lock), lock];
      return;
    }
    case 'unlock angle':
      draft.locks = otherLocks(draft, act);
      return;
    case 'add scene':
      roomFor(draft.scenes, MOST_SCENES, 'scenes');
      draft.scenes.push(act.scene);
      return;
    case 'change scene':
      patchInto(find(draft.scenes, act.sceneId, 'scene'), act.patch);
      return;
    case 'change angle':
      patchInto(
        find(find(draft.scenes, act.sceneId, 'scene').angles, act.angleId, 'angle'),
        act.patch
      );
      return;
    case 'add angle': {
      const { angles } = find(draft.scenes, act.sceneId, 'scene');
      roomFor(angles, MOST_ANGLES, 'angles of a scene');
      angles.push(act.angle);
      return;
    }
    case 'remove angle': {
      const { angles } = find(draft.scenes, act.sceneId, 'scene');
      if (angles.length === 1) throw new ActError('A scene keeps at least one angle.');
      take(angles, act.angleId, 'angle');
      for (const plan of draft.plans) {
        plan.rigs = plan.rigs.filter(
          (rig) => rig.sceneId !== act.sceneId || rig.angleId !== act.angleId
        );
      }
      return;
    }
    case 'remove scene':
      take(draft.scenes, act.sceneId, 'scene');
      for (const plan of draft.plans)
        plan.rigs = plan.rigs.filter((rig) => rig.sceneId !== act.sceneId);
      return;
    case 'put gear': {
      const index = draft.ownGear.findIndex((gear) => gear.id === act.gear.id);
      if (index < 0) {
        roomFor(draft.ownGear, MOST_OWN_PARTS, 'parts of your own');
        draft.ownGear.push(asStatedGear(act.gear));
      } else draft.ownGear[index] = asStatedGear(act.gear);
      return;
    }
    case 'put many gear': {
      const own = new Map(draft.ownGear.map((gear) => [gear.id, gear]));
      for (const gear of act.gear) own.set(gear.id, asStatedGear(gear));
      roomFor([], MOST_OWN_PARTS, 'parts of your own', own.size);
      draft.ownGear = [...own.values()];
      return;
    }
    case 'remove gear':
      take(draft.ownGear, act.gearId, 'part of your own');
      return;
    case 'add plan':
      roomFor(draft.plans, MOST_PLANS, 'plans');
      draft.plans.push(act.plan);
      return;
    case 'show plan':
      find(draft.plans, act.planId, 'plan');
      draft.activePlanId = act.planId;
      return;
    case 'rename plan':
      find(draft.plans, act.planId, 'plan').name = act.name;
      return;
    case 'remove plan':
      if (draft.plans.length === 1) throw new ActError('A project keeps at least one plan.');
      take(draft.plans, act.planId, 'plan');
      if (draft.activePlanId === act.planId) draft.activePlanId = draft.plans[0]!.id;
      return;
    case 'ignore': {
      const ignored = (draft.ignored ??= []);
      const index = ignored.findIndex(({ key }) => key === act.key);
      if (index >= 0) ignored.splice(index, 1);
      ignored.push({ key: act.key, reason: act.reason });
      return;
    }
    case 'bring back':
      draft.ignored = draft.ignored?.filter(({ key }) => key !== act.key);
      return;
    case 'replace project':
      for (const key of Object.keys(draft))
        delete (draft as unknown as Record<string, unknown>)[key];
      Object.assign(draft, act.project);
      return;
    case 'batch':
      for (const part of act.acts) applyActTo(draft, part);
  }
}

function otherLocks(
  { locks = [] }: Project,
  { sceneId, angleId }: { sceneId: string; angleId: string }
): SceneLock[] {
  return locks.filter((lock) => lock.sceneId !== sceneId || lock.angleId !== angleId);
}

/** A rig may not go on using a part that has left the plan. */
function forgetLine(rig: Rig, lineId: string): void {
  // What was set for the part goes with it.
  if (rig.lensLineId === lineId) {
    delete rig.focalLengthMm;
    delete rig.apertureN;
  }
  if (rig.micLineId === lineId) delete rig.micPlace;
  for (const field of rigLines) if (rig[field] === lineId) delete rig[field];
  if (rig.lamps?.some((placing) => placing.lineId === lineId))
    rig.lamps = rig.lamps.filter((placing) => placing.lineId !== lineId);
  for (const placing of rig.lamps ?? [])
    if (placing.standLineId === lineId) delete placing.standLineId;
}

/**
 * The project after an act; the one given is left as it was, and what the act does not touch is shared.
 * @throws ActError when the act names something that is not there
 */
export function applyAct(project: Project, act: Act): Project {
  const touched: Touched = { lines: new Set(), rigs: [] };
  if (touchesLinesOnly(act, touched)) {
    const open = openedForLines(project, touched);
    applyActTo(open, act);
    return open;
  }
  return produce(project, (draft) => {
    applyActTo(draft, act);
  });
}

interface Touched {
  lines: Set<string>;
  rigs: { sceneId: string; angleId: string }[];
}

/** Acts on the lines and rigs of the plan shown, which a judge tries by the thousand. */
function touchesLinesOnly(act: Act, touched: Touched): boolean {
  switch (act.type) {
    case 'add line':
      return true;
    case 'change line':
    case 'step quantity':
    case 'remove line':
    case 'move line':
      touched.lines.add(act.lineId);
      return true;
    case 'set rig':
      touched.rigs.push(act);
      return true;
    case 'batch':
      return act.acts.every((act) => touchesLinesOnly(act, touched));
    default:
      return false;
  }
}

/** A copy that may be written to where such an act writes; a draft would cost more than judging what comes of it. */
function openedForLines(project: Project, { lines, rigs }: Touched): Project {
  const shown = activePlan(project);
  const plan = {
    ...shown,
    lines: shown.lines.map((line) => (lines.has(line.id) ? { ...line } : line)),
    rigs: shown.rigs.map((rig) =>
      rigNames(rig, lines) ||
      rigs.some(({ sceneId, angleId }) => rig.sceneId === sceneId && rig.angleId === angleId)
        ? { ...rig }
        : rig
    )
  };
  return { ...project, plans: project.plans.map((other) => (other === shown ? plan : other)) };
}

function rigNames(rig: Rig, lines: ReadonlySet<string>): boolean {
  const isNamed = (id: string | undefined) => id !== undefined && lines.has(id);
  return (
    rigLines.some((field) => isNamed(rig[field])) ||
    (rig.lamps ?? []).some(({ lineId, standLineId }) => isNamed(lineId) || isNamed(standLineId))
  );
}
