import { parentPort } from 'node:worker_threads';
import { answerEvaluation } from '$lib/server/answer-evaluation';
import type { EvaluationQuestion } from '$lib/server/evaluation-pool';

// A thread of the server: judges one file after another.
parentPort!.on('message', ({ text, planId }: EvaluationQuestion) => {
  parentPort!.postMessage(answerEvaluation(text, planId));
});
