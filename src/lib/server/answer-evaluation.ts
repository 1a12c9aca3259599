import { pricedFor } from '../core/money/priced-shelf';
import { catalogue } from '$lib/catalogue/load-catalogue';
import { type Fault, faultSentence } from '$lib/core/formats/faults';
import { checkSatchel } from '$lib/core/formats/satchel-file';
import { evaluate } from '$lib/core/judge/evaluation';
import { makeShelf } from '$lib/core/model/shelf';

/** An answer ready to be sent: its status, and its body as JSON. */
export interface ReadyAnswer {
  status: number;
  body: string;
}

/** Faults as the body of an answer: sentences, never a stack. */
export function faultsAnswer(status: number, faults: readonly Fault[]): ReadyAnswer {
  return {
    status,
    body: JSON.stringify({
      faults: faults.map((fault) => ({ ...fault, sentence: faultSentence(fault) }))
    })
  };
}

/**
 * Judges the text of a satchel file as the page judges it.
 *
 * @param planId one of its plans; the active one when left out
 */
export function answerEvaluation(text: string, planId: string | undefined): ReadyAnswer {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch (error) {
    const says = `The body is not JSON: ${(error as Error).message}`;
    return faultsAnswer(400, [{ field: '', says }]);
  }
  const reading = checkSatchel(value);
  if (!reading.ok) return faultsAnswer(400, reading.faults);
  const { project, shelf } = reading.file;
  const wanted = planId ?? project.activePlanId;
  const plan = project.plans.find((plan) => plan.id === wanted);
  if (!plan) {
    const says = `names no plan of this file: "${wanted.slice(0, 80)}"`;
    return faultsAnswer(400, [{ field: 'plan', says }]);
  }
  const evaluation = evaluate(
    { ...project, activePlanId: plan.id },
    plan,
    pricedFor(project, makeShelf(catalogue.items, shelf, project.ownGear))
  );
  return { status: 200, body: JSON.stringify(evaluation) };
}
