import { catalogue } from '$lib/catalogue/load-catalogue';
import type { Fault } from '$lib/core/formats/faults';
import { checkSatchel } from '$lib/core/formats/satchel-file';
import { isPocket } from '$lib/core/model/pocket';
import { makeShelf } from '$lib/core/model/shelf';
import { pricedFor } from '$lib/core/money/priced-shelf';
import { packAnswerOf, packProgressOf } from '$lib/core/pack/pack-answer';
import { type PackRules, usedChoices } from '$lib/core/pack/pack-rules';
import { packing } from '$lib/core/pack/packing';
import { faultsAnswer, type ReadyAnswer } from './answer-evaluation';

/** What is asked of the packer beside the file. */
export interface PackQuestion {
  text: string;
  planId: string | undefined;
  rules: PackRules;
  /** Kits judged at most. */
  mostJudged: number;
}

/** More than this no search of ours needs. */
export const MOST_JUDGED = 1_000_000;

const listOf = (text: string | null): string[] =>
  (text ?? '')
    .split(',')
    .map((a) => a.trim())
    .filter(Boolean);

/** The rules of a question from its address; faults say which is none. */
export function packRulesOf(
  asked: URLSearchParams
): { ok: true; rules: PackRules; mostJudged: number } | { ok: false; faults: Fault[] } {
  const faults: Fault[] = [];
  const locked = listOf(asked.get('locked'));
  for (const a of locked)
    if (!isPocket(a))
      faults.push({ field: 'locked', says: `names no pocket: "${a.slice(0, 40)}"` });
  const said = asked.get('used');
  const used = usedChoices.find((choice) => choice === said);
  if (said !== null && used === undefined)
    faults.push({ field: 'used', says: `must be one of ${usedChoices.join(', ')}` });
  const most = asked.get('most');
  const mostJudged = most === null ? MOST_JUDGED : Number(most);
  if (!Number.isInteger(mostJudged) || mostJudged < 1 || mostJudged > MOST_JUDGED)
    faults.push({ field: 'most', says: `must be a whole number of kits from 1 to ${MOST_JUDGED}` });
  if (faults.length > 0) return { ok: false, faults };
  return {
    ok: true,
    mostJudged,
    rules: {
      lockedPockets: locked.filter(isPocket),
      excludedMakers: listOf(asked.get('without')),
      ...(used === undefined ? {} : { used })
    }
  };
}

/** What a thread tells as it packs: a refusal, or lines of JSON, the last of them the answer. */
export type PackTold = { refused: ReadyAnswer } | { line: string; isLast: boolean };

/** A search that takes longer answers with what it has found, in milliseconds; well before its thread is ended. */
const SEARCHED_MS = 45_000;

/** A line is told so often, in milliseconds. */
const TOLD_EVERY_MS = 250;

/** Packs the text of a satchel file, telling how far it is. */
export function* answerPacking(
  question: PackQuestion,
  searchedMs = SEARCHED_MS
): Generator<PackTold, void, void> {
  const refused = (field: string, says: string): PackTold => ({
    refused: faultsAnswer(400, [{ field, says }])
  });
  let value: unknown;
  try {
    value = JSON.parse(question.text);
  } catch (error) {
    yield refused('', `The body is not JSON: ${(error as Error).message}`);
    return;
  }
  const reading = checkSatchel(value);
  if (!reading.ok) {
    yield { refused: faultsAnswer(400, reading.faults) };
    return;
  }
  const { project: given, shelf } = reading.file;
  const planId = question.planId ?? given.activePlanId;
  if (!given.plans.some(({ id }) => id === planId)) {
    yield refused('plan', `names no plan of this file: "${planId.slice(0, 80)}"`);
    return;
  }
  const project = { ...given, activePlanId: planId };
  const priced = pricedFor(project, makeShelf(catalogue.items, shelf, project.ownGear));
  const begun = performance.now();
  let told = -Infinity;
  const search = packing(project, priced, question.rules);
  for (;;) {
    const { value: progress, done } = search.next();
    const isLate = performance.now() - begun > searchedMs;
    if (done === true || progress.judged >= question.mostJudged || isLate) {
      const answer = packAnswerOf(project, priced, progress);
      const why = `stopped after ${searchedMs / 1000} s with what was found by then`;
      const line = JSON.stringify(isLate && done !== true ? { ...answer, why } : answer);
      yield { line, isLast: true };
      return;
    }
    if (performance.now() - told < TOLD_EVERY_MS) continue;
    told = performance.now();
    yield { line: JSON.stringify(packProgressOf(project, progress)), isLast: false };
  }
}
