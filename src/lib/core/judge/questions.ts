import { isQuestion } from '../findings/finding-codes';
import { figureWords } from '../figures/figure-words';
import { type Ask, isLeaf, type LeafRow } from '../figures/rows';
import { type FigureId, figureTable } from '../figures/table';
import { type Finding, severityRank } from '../findings/finding';
import { compareKits, type KitMerit } from '../merit/kit-merit';
import { type GearItem, pocketOf } from '../model/gear';
import type { FieldAsk } from '../model/stated';
import { sheetOf } from '../model/gear/spec-sheet';
import { withValueAt } from '../model/gear/stated-at';
import type { Project } from '../model/project';
import { activePlan } from '../model/active-plan';
import type { Plan } from '../model/plan';
import { makeShelf, type Shelf } from '../model/shelf';
import { findingBestCandidate } from './best-candidate';
import { judgePlan } from './judge-plan';
import type { Judgement } from './judgement';
import { type SupposedAnswer, trackJudgement, type TrackedJudgement } from './incremental';

/** What one answer would do, the other open questions answered well. */
export interface AnswerEffect {
  /** The answer, in words. */
  answer: string;
  /** Findings it would bring, in the judge's words. */
  brings: string[];
  meritHundredths: number;
  onceSettledHundredths: number;
  /** The part that would then be the best of its pocket; told where the two answers differ in it. */
  best?: string;
}

/** A plain question to put to a seller before paying, and what either answer would do. */
export interface Question {
  /** Key of the finding it stands for. */
  key: string;
  question: string;
  lineId: string | undefined;
  leaf: FigureId;
  /** How the part's own field is filled with the answer; undefined where it takes more than one figure. */
  field: { key: string; gearId: string; ask: FieldAsk } | undefined;
  effects: [AnswerEffect, AnswerEffect];
  /** The two answers differ in what stops. */
  movesStop: boolean;
  /** The two answers differ in the part that would be the best of its pocket. */
  movesBest: boolean;
  swingHundredths: number;
}

/**
 * Questions worth asking, those first whose two ends of the answer differ in a stop, then in the part that would be the
 * best of its pocket, then those that move the merit most. Each end is judged on the whole plan.
 */
export function questionsOf(project: Project, shelf: Shelf, judgement: Judgement): Question[] {
  const asking = askingQuestions(project, shelf, judgement);
  for (;;) {
    const step = asking.next();
    if (step.done) return step.value;
  }
}

/** A question with the two ends its answer lies between. */
interface Open {
  finding: Finding;
  row: LeafRow & { asks: Ask };
  lineId: string | undefined;
  gear: GearItem | undefined;
  ends: readonly [number, number];
}

/** Which end of its answer each open question is taken at; left out, it stays open. */
type Answers = ReadonlyMap<Open, number>;

/** The same question by question, for a worker that has other things to do between. */
export function* askingQuestions(
  project: Project,
  shelf: Shelf,
  judgement: Judgement
): Generator<void, Question[], void> {
  const before = trackJudgement(project, judgement);
  const plan = activePlan(project);
  const open = judgement.findings.flatMap(
    (finding) => openQuestion(finding, judgement, shelf) ?? []
  );
  const judged = (answers: Answers): Judgement =>
    judgeAnswered(project, plan, shelf, before, answers);

  // With several unknown figures each may hide what another would change: the others are held at both ends.
  const worse = new Map<Open, number>();
  const better = new Map<Open, number>();
  for (const asked of open) {
    const [low, high] = asked.ends.map((end) => judged(new Map([[asked, end]])).merit);
    const lowIsBetter = compareKits(low!, high!) > 0 || onceSettledIsBetter(low!, high!);
    worse.set(asked, asked.ends[lowIsBetter ? 1 : 0]);
    better.set(asked, asked.ends[lowIsBetter ? 0 : 1]);
    yield;
  }
  const standing = new Set(judgement.findings.map((finding) => finding.key));
  const questions: Question[] = [];
  for (const asked of open) {
    const [amongWorse, amongBetter] = [worse, better].map((others) =>
      asked.ends.map((end) => judged(new Map([...others, [asked, end]])))
    ) as [Judgement[], Judgement[]];
    const pairs = [amongWorse, amongBetter];
    const effects = asked.ends.map((end, index) =>
      effectOf(answerWords(asked, end, project), amongBetter[index]!, standing)
    );
    questions.push({
      key: asked.finding.key,
      question: asked.finding.title(),
      lineId: asked.lineId,
      leaf: asked.finding.figure!,
      field: fieldOf(asked.gear, asked.row.asks.field),
      effects: [effects[0]!, effects[1]!],
      movesBest: false,
      movesStop: pairs.some(([low, high]) => low!.merit.stops !== high!.merit.stops),
      swingHundredths: Math.max(
        ...pairs.map(([low, high]) =>
          Math.abs(low!.merit.onceSettledHundredths - high!.merit.onceSettledHundredths)
        )
      )
    });
    yield;
  }
  questions.sort(mostTellingFirst);
  for (const question of questions.slice(0, MOST_WEIGHED)) {
    const asked = open.find(({ finding }) => finding.key === question.key)!;
    const best = yield* bestAtEnds(project, shelf, asked);
    if (!best || best[0] === best[1]) continue;
    question.movesBest = true;
    question.effects.forEach((effect, index) => (effect.best = best[index]));
  }
  return questions.sort(mostTellingFirst);
}

/** A whole pocket is judged at both ends of an answer: so many of the most telling questions are weighed by it. */
const MOST_WEIGHED = 4;

const mostTellingFirst = (a: Question, b: Question): number =>
  Number(b.movesStop) - Number(a.movesStop) ||
  Number(b.movesBest) - Number(a.movesBest) ||
  b.swingHundredths - a.swingHundredths ||
  (a.key < b.key ? -1 : 1);

/** The best part of the asked part's pocket at either end; undefined where the answer has no field of its own. */
function* bestAtEnds(
  project: Project,
  shelf: Shelf,
  open: Open
): Generator<void, [string | undefined, string | undefined] | undefined, void> {
  const { gear } = open;
  const field = fieldOf(gear, open.row.asks.field);
  if (!gear || !field) return undefined;
  const best: (string | undefined)[] = [];
  for (const end of open.ends) {
    const answered = withValueAt(gear, field.key, answerOf(open, end));
    const others = project.ownGear.filter(({ id }) => id !== gear.id);
    best.push(
      yield* findingBestCandidate(
        { ...project, ownGear: [...others, answered] },
        makeShelf(shelf.items, [answered]),
        pocketOf(gear)
      )
    );
  }
  return [best[0], best[1]];
}

/** An end of an answer as the part's field holds it. */
function answerOf({ row }: Open, value: number): string | number | boolean | undefined {
  if (row.words) return row.words[Math.round(value)];
  return row.unit === 'yes/no' ? value > 0 : value * (row.asks.perUnit ?? 1);
}

const onceSettledIsBetter = (a: KitMerit, b: KitMerit): boolean =>
  compareKits(a, b) === 0 && a.onceSettledHundredths > b.onceSettledHundredths;

function openQuestion(finding: Finding, { kit }: Judgement, shelf: Shelf): Open | undefined {
  if (!isQuestion(finding) || finding.figure === undefined) return undefined;
  const row = figureTable[finding.figure];
  if (!isLeaf(row) || !row.asks) return undefined;
  const lineId = finding.lineIds?.[0];
  const gear = kit.byLine(lineId)?.gear;
  const asked = row as Open['row'];
  return { finding, row: asked, lineId, gear, ends: endsOf(asked, gear, shelf) };
}

/** A mass lies between those of its like on the shelf; what else is asked, between the ends its figure knows. */
function endsOf({ asks }: Open['row'], gear: GearItem | undefined, shelf: Shelf): Open['ends'] {
  if (asks.field !== 'massG' || !gear) return asks.between;
  const masses = shelf.ofKind(gear.kind).flatMap(({ massG }) => massG ?? []);
  return masses.length < 2
    ? asks.between
    : [Math.min(...masses) / 1000, Math.max(...masses) / 1000];
}

/** The plan with some questions answered: where the part has a field for it, on the part itself. */
function judgeAnswered(
  project: Project,
  plan: Plan,
  shelf: Shelf,
  before: TrackedJudgement,
  answers: Answers
): Judgement {
  const noted = new Map<string, GearItem>();
  let supposed: SupposedAnswer | undefined;
  for (const [answer, value] of answers) {
    const { row, gear, lineId, finding } = answer;
    const field = gear && fieldOf(gear, row.asks.field);
    if (field) {
      const before = noted.get(gear.id) ?? gear;
      noted.set(gear.id, withValueAt(before, field.key, answerOf(answer, value)));
    } else supposed ??= { leaf: finding.figure!, lineId, value };
  }
  const seen = noted.size === 0 ? shelf : makeShelf(shelf.items, [...noted.values()]);
  return judgePlan(project, plan, seen, { before, ...(supposed ? { answer: supposed } : {}) });
}

function answerWords({ row, gear }: Open, value: number, { units }: Project): string {
  if (row.asks.field === 'massG' && gear) return figureWords(value, 'kg', units);
  return row.words?.[Math.round(value)] ?? figureWords(value, row.unit, units);
}

function effectOf(answer: string, judged: Judgement, standing: ReadonlySet<string>): AnswerEffect {
  const fresh = (finding: Finding) => !isQuestion(finding) && !standing.has(finding.key);
  return {
    answer,
    brings: [
      ...new Set(
        judged.findings
          .filter(fresh)
          .filter(({ severity }) => severityRank(severity) > severityRank('note'))
          .map((finding) => finding.title())
      )
    ],
    meritHundredths: judged.merit.meritHundredths,
    onceSettledHundredths: judged.merit.onceSettledHundredths
  };
}

function fieldOf(gear: GearItem | undefined, key: string | undefined): Question['field'] {
  if (!gear || key === undefined) return undefined;
  // A figure of the lens may be asked of the body that holds it for good.
  const sheet = sheetOf(gear);
  const field =
    sheet.find((field) => field.key === key) ??
    sheet.find((field) => field.key === `builtInLens.${key}`);
  return field && { key: field.key, gearId: gear.id, ask: field.ask };
}
