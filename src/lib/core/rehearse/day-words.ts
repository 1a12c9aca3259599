import type { Blame } from './many-days';
import type { Cause, LostTake } from './day-outcome';
import type { ShownDay } from './shown-day';

/** One sentence of a day: when, what it cost, and what it was. */
export interface DaySentence {
  atMin: number;
  /** Takes it cost. */
  lost: number;
  text: string;
  lineId: string | undefined;
  /** What the takes were lost to. */
  cause?: Cause;
}

const takesWords = (takes: number): string => `${takes} ${takes === 1 ? 'take' : 'takes'}`;

/** What a cause is called beside the part it is of. */
export function blameWords({ cause, name }: Pick<Blame, 'cause' | 'name'>): string {
  switch (cause) {
    case 'battery empty':
      return `battery of ${name}`;
    case 'no power':
      return `no power for ${name}`;
    case 'no card':
      return `no card for ${name}`;
    case 'card full':
      return `card in ${name}`;
    case 'overheated':
      return `heat of ${name}`;
    case 'clip limit':
      return `clip limit of ${name}`;
    case 'switch left off':
      return `switch of ${name}`;
    case 'setting left wrong':
      return 'a setting left wrong';
    case 'radio drop-out':
      return 'radio drop-outs';
    case 'gust':
      return 'gusts';
    case 'file lost':
      return `a file of ${name}`;
    case 'no time left':
      return 'no time left';
    case 'no camera':
      return 'no camera';
  }
}

function sentenceOf(cause: Cause, name: string | undefined, takes: number): string {
  const lost = takesWords(takes);
  const are = takes === 1 ? 'is' : 'are';
  switch (cause) {
    case 'battery empty':
      return `The battery in ${name} is empty; ${lost} ${are} lost.`;
    case 'no power':
      return `Nothing in the kit powers ${name} here; ${lost} ${are} lost.`;
    case 'no card':
      return `No card in the kit fits ${name}; ${lost} ${are} lost.`;
    case 'card full':
      return `The card in ${name} is full; ${lost} ${are} cut short.`;
    case 'overheated':
      return `${name} overheats and switches itself off; ${lost} ${are} cut short.`;
    case 'clip limit':
      return `${name} ends its clip before the take does; ${lost} ${are} cut short.`;
    case 'switch left off':
      return `The switch of ${name} was left off; ${lost} ${are} lost before somebody notices.`;
    case 'setting left wrong':
      return `A setting was left wrong; ${lost} ${are} lost before somebody notices.`;
    case 'radio drop-out':
      return `The radio drops out; ${lost} ${are} missing words.`;
    case 'gust':
      return `A gust spoils the sound or shakes the picture; ${lost} ${are} lost.`;
    case 'file lost':
      return `In the evening a file from ${name} cannot be read; ${lost} ${are} lost.`;
    case 'no time left':
      return `The day is over; ${lost} ${are} not begun.`;
    case 'no camera':
      return `No camera in the kit films this; ${lost} ${are} lost.`;
  }
}

/** The day in sentences: what was lost first, the dearest before the rest, then what only just went well. */
export function dayStory({
  outcome,
  events,
  strips,
  days,
  hasSocketAtNight
}: ShownDay): DaySentence[] {
  const lost = lostTogether(outcome.lost).map(({ first, takes }): DaySentence => ({
    atMin: first.atMin,
    lost: takes,
    text: sentenceOf(first.cause, first.name, takes),
    lineId: first.lineId,
    cause: first.cause
  }));
  lost.sort((a, b) => b.lost - a.lost || a.atMin - b.atMin);
  const told: DaySentence[] = [];
  const swaps = events.filter(({ kind }) => kind === 'swap');
  for (const name of new Set(swaps.map((swap) => swap.name))) {
    const of = swaps.filter((swap) => swap.name === name);
    told.push({
      atMin: of[0]!.atMin,
      lost: 0,
      text:
        of.length === 1
          ? `The battery in ${name} is swapped in a pause.`
          : `The battery in ${name} is swapped ${of.length} times, each in a pause.`,
      lineId: of[0]!.lineId
    });
  }
  for (const { kind, atMin, name, lineId } of events)
    if (kind === 'left on')
      told.push({ atMin, lost: 0, text: `${name} stays on and drains on.`, lineId });
    else if (kind === 'noticed')
      told.push({ atMin, lost: 0, text: `Somebody notices: ${name}.`, lineId });
  told.push(...notReady(events));
  const least = tightest(strips);
  if (least)
    told.push({
      atMin: least.atMin,
      lost: 0,
      text: `${least.name} comes down to ${Math.round(least.level * 100)} %: ${leastWords(least.kind)}.`,
      lineId: least.lineId
    });
  if (days > 1 && hasSocketAtNight)
    told.push({
      atMin: outcome.endsAtMin,
      lost: 0,
      text: `${days} days used ${outcome.books.usedWh.toFixed(0)} Wh and wrote ${outcome.books.writtenGb.toFixed(0)} GB; the socket gave ${outcome.books.chargedWh.toFixed(0)} Wh in all evenings and nights, and ${outcome.books.copiedGb.toFixed(0)} GB were copied on the way.`,
      lineId: undefined
    });
  if (days > 1 && !hasSocketAtNight)
    told.push({
      atMin: outcome.endsAtMin,
      lost: 0,
      text: `Home again with ${outcome.homeWh.toFixed(0)} Wh left of the ${outcome.startWh.toFixed(0)} one set out with; sun and car brought ${Math.max(0, outcome.homeWh - outcome.startWh + outcome.books.usedWh + outcome.books.lostWh).toFixed(0)}.`,
      lineId: undefined
    });
  if (lost.length === 0)
    told.unshift({
      atMin: outcome.endsAtMin,
      lost: 0,
      text: `All ${takesWords(outcome.takes)} are in the can.`,
      lineId: undefined
    });
  return [...lost, ...told];
}

/** What the nights were too short for, by part: a sentence each. */
function notReady(events: ShownDay['events']): DaySentence[] {
  const told: DaySentence[] = [];
  for (const kind of ['not full', 'not emptied'] as const) {
    const of = events.filter((event) => event.kind === kind);
    const mornings = new Set(of.map(({ atMin }) => atMin));
    for (const name of new Set(of.map((event) => event.name))) {
      const ones = of.filter((event) => event.name === name);
      const when = `on ${ones.length} of ${mornings.size} mornings`;
      told.push({
        atMin: ones[0]!.atMin,
        lost: 0,
        text:
          kind === 'not full'
            ? `${upper(name)} is not full ${when}.`
            : `${upper(name)} still has files on it ${when}.`,
        lineId: ones[0]!.lineId
      });
    }
  }
  return told;
}

const upper = (name: string): string => name.charAt(0).toUpperCase() + name.slice(1);

/** Takes lost to one thing belong together, as long as nothing else comes between. */
function lostTogether(lost: readonly LostTake[]): { first: LostTake; takes: number }[] {
  const groups: { first: LostTake; takes: number }[] = [];
  for (const take of lost) {
    const same = groups.find(
      ({ first }) =>
        first.cause === take.cause && first.lineId === take.lineId && first.day === take.day
    );
    if (same) same.takes += 1;
    else groups.push({ first: take, takes: 1 });
  }
  return groups;
}

/** The level that came nearest to nothing without reaching it. */
function tightest(strips: ShownDay['strips']) {
  let least:
    | {
        name: string;
        lineId: string;
        kind: ShownDay['strips'][number]['kind'];
        atMin: number;
        level: number;
      }
    | undefined;
  for (const { name, lineId, kind, points } of strips) {
    if (points.some(([, level]) => level <= 0.005)) continue;
    for (const [atMin, level] of points)
      if (level < 0.2 && (!least || level < least.level))
        least = { name, lineId, kind, atMin, level };
  }
  return least;
}

function leastWords(kind: ShownDay['strips'][number]['kind']): string {
  switch (kind) {
    case 'battery':
      return 'of all that held, its battery held by the least';
    case 'card':
      return 'of all that held, its card held by the least';
    case 'bank':
      return 'of all that held, it held by the least';
    case 'heat':
      return 'the room left to its heat limit';
  }
}
