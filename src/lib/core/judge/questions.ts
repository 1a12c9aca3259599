import { isQuestion } from '../findings/finding-codes';
import { figureWords } from '../figures/figure-words';
import { isLeaf } from '../figures/rows';
import { type FigureId, figureTable } from '../figures/table';
import { type Finding, severityRank } from '../findings/finding';
import type { GearItem } from '../model/gear';
import type { FieldAsk } from '../model/stated';
import { specSheet } from '../model/gear/spec-sheet';
import type { Project } from '../model/project';
import { activePlan } from '../model/active-plan';
import type { Shelf } from '../model/shelf';
import { judgePlan } from './judge-plan';
import type { Judgement } from './judgement';
import { trackJudgement } from './incremental';

/** What one answer would do. */
export interface AnswerEffect {
  /** The answer, in words. */
  answer: string;
  /** Findings it would bring and take away, in the judge's words. */
  brings: string[];
  meritHundredths: number;
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
  swingHundredths: number;
}

/**
 * Questions worth asking, those first whose two ends of the answer differ in a stop, then those that
 * move the merit most. Each end is judged on the whole plan.
 */
export function questionsOf(project: Project, shelf: Shelf, judgement: Judgement): Question[] {
  const asking = askingQuestions(project, shelf, judgement);
  for (;;) {
    const step = asking.next();
    if (step.done) return step.value;
  }
}

/** The same question by question, for a worker that has other things to do between. */
export function* askingQuestions(
  project: Project,
  shelf: Shelf,
  judgement: Judgement
): Generator<void, Question[], void> {
  const before = trackJudgement(project, judgement);
  const questions: Question[] = [];
  const standing = new Set(judgement.findings.map((finding) => finding.key));
  for (const finding of judgement.findings) {
    if (!isQuestion(finding) || finding.figure === undefined) continue;
    const row = figureTable[finding.figure];
    if (!isLeaf(row) || !row.asks) continue;
    const lineId = finding.lineIds?.[0];
    const gear = lineId === undefined ? undefined : judgement.kit.byLine(lineId)?.gear;
    const ends = row.asks.between.map((value) => {
      const answer = { leaf: finding.figure!, lineId, value };
      const judged = judgePlan(project, activePlan(project), shelf, { answer, before });
      const words = row.words?.[Math.round(value)] ?? figureWords(value, row.unit, project.units);
      return { judged, effect: effectOf(words, judged, standing) };
    });
    const [low, high] = ends as [(typeof ends)[number], (typeof ends)[number]];
    questions.push({
      key: finding.key,
      question: finding.title(),
      lineId,
      leaf: finding.figure,
      field: fieldOf(gear, row.asks.field),
      effects: [low.effect, high.effect],
      movesStop: low.judged.merit.stops !== high.judged.merit.stops,
      swingHundredths: Math.abs(
        low.judged.merit.onceSettledHundredths - high.judged.merit.onceSettledHundredths
      )
    });
    yield;
  }
  return questions.sort(
    (a, b) =>
      Number(b.movesStop) - Number(a.movesStop) ||
      b.swingHundredths - a.swingHundredths ||
      (a.key < b.key ? -1 : 1)
  );
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
    meritHundredths: judged.merit.meritHundredths
  };
}

function fieldOf(gear: GearItem | undefined, key: string | undefined): Question['field'] {
  if (!gear || key === undefined) return undefined;
  const field = specSheet(gear.kind).find((one) => one.key === key);
  return field && { key, gearId: gear.id, ask: field.ask };
}
