import { format, parseISO } from 'date-fns';
import Papa from 'papaparse';
import { markdownText } from '../formats/buying-list';
import { FORMULA_CELL } from '../formats/csv-file';
import { partsOfScene } from '../figures/handling-rows';
import type { AngleJudgement } from '../judge/incremental';
import { monthsSince } from '../ledger/owned-age';
import type { Act } from '../acts/act';
import { answerAct } from '../acts/answer-act';
import { fullName, type GearItem } from '../model/gear';
import { valueAt } from '../model/gear/stated-at';
import type { Project } from '../model/project';
import type { BatteryTime, ChanceId, DayLog, PartUse } from '../model/rehearsal';
import { recordedMinOf } from '../model/scene-facts';
import { chances } from './chances';
import { type DayPlan, type Learned, nothingLearned } from './planned-day';
import type { ShownDay } from './shown-day';

/** A usual figure is worth so much of one's own experience: after as many times the two weigh alike. */
export const PRIOR = {
  /** Times a chance could have come true. */
  opportunities: 50,
  /** Minutes of setting up. */
  setUpMin: 30,
  /** Minutes of a battery. */
  batteryMin: 60
} as const;

/** What one's own days say of a chance, beside what was thought before. */
export interface ChanceLesson {
  chance: ChanceId;
  opportunities: number;
  happened: number;
  beforePercent: number;
  afterPercent: number;
}

export interface BatteryLesson {
  lineId: string;
  measuredMin: number;
  reckonedMin: number;
  /** What it gives of what it says. */
  health: number;
}

export interface Lessons {
  chances: readonly ChanceLesson[];
  batteries: readonly BatteryLesson[];
  setUp: { measuredMin: number; reckonedMin: number; factor: number } | undefined;
  days: number;
}

/**
 * What a figure becomes after experience: the mean of the usual one and one's own, each by its weight. For a chance
 * this is the mean of a beta distribution brought up to date, for a rate that of a gamma.
 *
 * @param weight how much experience the usual figure stands for
 * @example updated(0.02, 50, 3, 100) // 0.0267
 */
export const updated = (usual: number, weight: number, happened: number, of: number): number =>
  (usual * weight + happened) / (weight + of);

/** What the logbook teaches: chances, the time it takes to set up, and what batteries are still worth. */
export function lessonsOf({
  rehearsal,
  logbook = []
}: Pick<Project, 'rehearsal' | 'logbook'>): Lessons {
  const tallied = new Map<ChanceId, { opportunities: number; happened: number }>();
  const batteries = new Map<string, { measuredMin: number; reckonedMin: number }>();
  let measuredMin = 0;
  let reckonedMin = 0;
  for (const day of logbook) {
    for (const { chance, opportunities, happened } of day.tallies) {
      const sum = tallied.get(chance) ?? { opportunities: 0, happened: 0 };
      sum.opportunities += opportunities;
      // More often than it could have happened is a slip of the pen.
      sum.happened += Math.min(happened, opportunities);
      tallied.set(chance, sum);
    }
    for (const { lineId, minutes, reckonedMin: reckoned } of day.batteries) {
      if (minutes === undefined) continue;
      const sum = batteries.get(lineId) ?? { measuredMin: 0, reckonedMin: 0 };
      sum.measuredMin += minutes;
      sum.reckonedMin += reckoned;
      batteries.set(lineId, sum);
    }
    if (day.setUpMin !== undefined && day.setUpReckonedMin !== undefined) {
      measuredMin += day.setUpMin;
      reckonedMin += day.setUpReckonedMin;
    }
  }
  return {
    days: logbook.length,
    chances: [...tallied].flatMap(([chance, { opportunities, happened }]): ChanceLesson[] => {
      if (opportunities === 0 || chances[chance].isSpread) return [];
      const beforePercent =
        rehearsal?.chances?.find((own) => own.chance === chance)?.percent ??
        chances[chance].percent;
      return [
        {
          chance,
          opportunities,
          happened,
          beforePercent,
          afterPercent:
            100 * updated(beforePercent / 100, PRIOR.opportunities, happened, opportunities)
        }
      ];
    }),
    batteries: [...batteries].map(([lineId, sum]) => ({
      lineId,
      ...sum,
      health: updated(1, PRIOR.batteryMin, sum.measuredMin, sum.reckonedMin)
    })),
    setUp:
      reckonedMin > 0
        ? {
            measuredMin,
            reckonedMin,
            factor: updated(1, PRIOR.setUpMin, measuredMin, reckonedMin)
          }
        : undefined
  };
}

/** Where a sheet says what a battery holds: its own, the one in the box, the one inside. */
const energyFields = ['energyWh', 'includedBatteryWh', 'internalBatteryWh'] as const;

function energyFieldOf(gear: GearItem): { field: string; statedWh: number } | undefined {
  for (const field of energyFields) {
    const statedWh = valueAt(gear, field);
    if (typeof statedWh === 'number') return { field, statedWh };
  }
  return undefined;
}

/** Nearer to what its sheet says than this nothing is worth writing down. */
const HEALTH_SEEN = 0.03;

/**
 * Writes what a battery has shown itself to hold on the part, so that the judge goes by it too. The days written down are
 * reckoned anew by what they measured: they have taught, and teach the same no second time.
 *
 * @returns undefined where it holds what its sheet says, or its sheet says nothing
 */
export function takeOverBattery(
  { logbook = [] }: Pick<Project, 'logbook'>,
  { lineId, measuredMin, reckonedMin, health }: BatteryLesson,
  gear: GearItem | undefined
): { wattHours: number; statedWh: number; act: Act } | undefined {
  if (!gear || Math.abs(1 - health) < HEALTH_SEEN) return undefined;
  const stated = energyFieldOf(gear);
  if (!stated) return undefined;
  const { field, statedWh } = stated;
  const wattHours = Math.round(statedWh * health * 10) / 10;
  const anew = measuredMin / reckonedMin;
  return {
    wattHours,
    statedWh,
    act: {
      type: 'batch',
      acts: [
        answerAct(gear, field, wattHours),
        ...logbook
          .filter(({ batteries }) =>
            batteries.some((battery) => battery.lineId === lineId && battery.minutes !== undefined)
          )
          .map((log): Act => ({
            type: 'put day log',
            log: {
              ...log,
              batteries: log.batteries.map((battery) =>
                battery.lineId === lineId && battery.minutes !== undefined
                  ? { ...battery, reckonedMin: Math.max(0.1, battery.reckonedMin * anew) }
                  : battery
              )
            }
          }))
      ]
    }
  };
}

/** The same, as a rehearsal takes it in. */
export function learnedFrom(project: Pick<Project, 'rehearsal' | 'logbook'>): Learned {
  if (!project.logbook || project.logbook.length === 0) return nothingLearned;
  const lessons = lessonsOf(project);
  return {
    percent: Object.fromEntries(
      lessons.chances.map(({ chance, afterPercent }) => [chance, afterPercent])
    ),
    setUpFactor: lessons.setUp?.factor ?? 1,
    health: Object.fromEntries(lessons.batteries.map(({ lineId, health }) => [lineId, health]))
  };
}

/** How often each chance could have come true on a day that went as planned. */
export function opportunitiesOf(
  plan: DayPlan,
  asPlanned: ShownDay
): Partial<Record<ChanceId, number>> {
  const { scenes, days, pieces, cards, devices } = plan;
  const ofScenes = (count: (scene: (typeof scenes)[number]) => number) =>
    days * scenes.reduce((sum, scene) => sum + count(scene), 0);
  return {
    'battery not charged': pieces.length,
    'battery not checked': asPlanned.events.filter(({ kind }) => kind === 'swap').length,
    'card not emptied': cards.filter(({ isBuiltIn }) => !isBuiltIn).length,
    'switch left off': ofScenes(({ switches }) => switches.length),
    'left on in between': ofScenes(
      ({ uses }) => uses.filter(({ device }) => devices[device]!.canBeLeftOn).length
    ),
    'setting left wrong': ofScenes(() => 1),
    'radio drop-out': ofScenes(({ usesRadio, takes }) => (usesRadio ? takes : 0)),
    gust: ofScenes(({ isOutdoors, takes, windMps }) => (isOutdoors ? (takes * windMps) / 5 : 0)),
    'file lost': ofScenes(({ filming, takes }) =>
      filming.some(({ recording, recordsTwice }) => recording >= 0 && !recordsTwice) ? takes : 0
    )
  };
}

/** A page of the logbook as the plan would have it, to be corrected by what really happened. */
export function draftLog(
  plan: DayPlan,
  asPlanned: ShownDay,
  angles: readonly AngleJudgement[],
  id: string,
  date: string
): DayLog {
  const could = opportunitiesOf(plan, asPlanned);
  const { scenes, devices, pieces, days } = plan;
  const judged = angles.filter(({ scene }) => scenes.some((filmed) => filmed.id === scene.id));
  return {
    id,
    date,
    scenes: scenes
      .map(({ name }) => name)
      .join(', ')
      .slice(0, 500),
    takes: asPlanned.outcome.takes,
    takesLost: 0,
    setUpReckonedMin: round(days * scenes.reduce((sum, { setUpMin }) => sum + setUpMin, 0)),
    tallies: (Object.keys(could) as ChanceId[]).flatMap((chance) =>
      could[chance]! > 0 ? [{ chance, opportunities: round(could[chance]!), happened: 0 }] : []
    ),
    batteries: devices.flatMap(({ pieces: fits }, device): BatteryTime[] => {
      const use = firstUse(plan, device);
      const piece = fits[0];
      if (!use || piece === undefined || use.watts <= 0) return [];
      const { lineId, capacity } = pieces[piece]!;
      const reckonedMin = round((60 * capacity * use.cold) / use.watts);
      return [{ lineId, reckonedMin }];
    }),
    used: usedParts(judged, days)
  };
}

function firstUse(plan: DayPlan, device: number): { watts: number; cold: number } | undefined {
  for (const { filming, uses, cold } of plan.scenes)
    for (const part of [...filming, ...uses])
      if (part.device === device) return { watts: part.watts, cold };
  return undefined;
}

function usedParts(judged: readonly AngleJudgement[], days: number): PartUse[] {
  const used = new Map<string, PartUse>();
  for (const { rig, scene, angle } of judged)
    for (const { gear, line } of partsOfScene(rig)) {
      const minutes = recordedMinOf(scene, angle) * days;
      const use = used.get(gear.id);
      if (use) use.minutes += minutes;
      else
        used.set(gear.id, {
          gearId: gear.id,
          name: fullName(gear).slice(0, 200),
          pieces: line.quantity,
          minutes
        });
    }
  return [...used.values()];
}

const round = (value: number): number => Math.round(value * 10) / 10;

/** How much a part has worked, over all days written down. */
export interface PartWear {
  gearId: string;
  name: string;
  days: number;
  hours: number;
  firstOn: string;
  lastOn: string;
  /** Whole months since it was bought; where nobody wrote that down, since its first day in the book. */
  ageMonths: number;
  isAgeSinceFirstDay: boolean;
}

/**
 * @param today YYYY-MM-DD, the day up to which a part has aged
 * @param boughtOn the day on which the oldest piece of a part was bought, by the part's id
 */
export function wearOf(
  logbook: readonly DayLog[],
  today: string,
  boughtOn: ReadonlyMap<string, string> = new Map()
): PartWear[] {
  const wear = new Map<string, Omit<PartWear, 'ageMonths' | 'isAgeSinceFirstDay'>>();
  for (const { date, used } of logbook)
    for (const { gearId, name, minutes } of used) {
      const worn = wear.get(gearId);
      if (!worn)
        wear.set(gearId, {
          gearId,
          name,
          days: 1,
          hours: minutes / 60,
          firstOn: date,
          lastOn: date
        });
      else {
        worn.days += 1;
        worn.hours += minutes / 60;
        if (date < worn.firstOn) worn.firstOn = date;
        if (date > worn.lastOn) worn.lastOn = date;
      }
    }
  const aged = [...wear.values()].map((worn): PartWear => {
    const bought = boughtOn.get(worn.gearId);
    const since = bought ?? worn.firstOn;
    return {
      ...worn,
      ageMonths: monthsSince(since, today),
      isAgeSinceFirstDay: bought === undefined
    };
  });
  return aged.sort((a, b) => b.hours - a.hours || a.name.localeCompare(b.name));
}

/** The days of a year, month by month, for a look at all of it. */
export interface LogYear {
  year: number;
  months: readonly { name: string; days: readonly DayLog[] }[];
  takes: number;
  lost: number;
}

export function yearOf(logbook: readonly DayLog[], year: number): LogYear {
  const ofYear = logbook
    .filter(({ date }) => date.startsWith(`${year}-`))
    .sort((a, b) => (a.date < b.date ? -1 : 1));
  return {
    year,
    months: Array.from({ length: 12 }, (_, month) => ({
      name: format(new Date(year, month, 1), 'MMM'),
      days: ofYear.filter(({ date }) => parseISO(date).getMonth() === month)
    })),
    takes: ofYear.reduce((sum, { takes }) => sum + takes, 0),
    lost: ofYear.reduce((sum, { takesLost }) => sum + takesLost, 0)
  };
}

/** The logbook as a spreadsheet, a row a day. */
export function logbookCsv(logbook: readonly DayLog[]): string {
  return `${Papa.unparse(
    {
      fields: [
        'date',
        'scenes',
        'takes',
        'takes lost',
        'set-up min',
        'set-up reckoned min',
        'what happened',
        'battery minutes',
        'parts used',
        'note'
      ],
      data: inTime(logbook).map((day) => [
        day.date,
        day.scenes,
        day.takes,
        day.takesLost,
        day.setUpMin ?? '',
        day.setUpReckonedMin ?? '',
        happenedWords(day),
        day.batteries
          .flatMap(({ lineId, minutes, reckonedMin }) =>
            minutes === undefined ? [] : `${lineId} ${minutes} of ${reckonedMin}`
          )
          .join('; '),
        day.used.map(({ name }) => name).join('; '),
        day.note ?? ''
      ])
    },
    { escapeFormulae: FORMULA_CELL, newline: '\r\n' }
  )}\r\n`;
}

/** The logbook as Markdown, a heading a day. */
export function logbookMarkdown(projectName: string, logbook: readonly DayLog[]): string {
  const pages = inTime(logbook).map((day) =>
    [
      `## ${day.date}: ${markdownText(day.scenes)}`,
      '',
      `- ${day.takes - day.takesLost} of ${day.takes} takes in the can`,
      ...(day.setUpMin === undefined
        ? []
        : [`- set up in ${day.setUpMin} min, reckoned ${day.setUpReckonedMin ?? 0}`]),
      ...(happenedWords(day) === '' ? [] : [`- ${markdownText(happenedWords(day))}`]),
      ...(day.note === undefined ? [] : ['', markdownText(day.note)])
    ].join('\n')
  );
  return `# Logbook: ${markdownText(projectName)}\n\n${pages.join('\n\n')}\n`;
}

const inTime = (logbook: readonly DayLog[]): DayLog[] =>
  [...logbook].sort((a, b) => (a.date < b.date ? -1 : a.date > b.date ? 1 : 0));

export const happenedWords = ({ tallies }: Pick<DayLog, 'tallies'>): string =>
  tallies
    .filter(({ happened }) => happened > 0)
    .map(({ chance, happened }) => `${chance} ${happened === 1 ? 'once' : `${happened} times`}`)
    .join(', ');
