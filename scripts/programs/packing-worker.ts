import { parentPort, workerData } from 'node:worker_threads';
import { answerPacking, type PackQuestion } from '$lib/server/answer-packing';

// A thread of the server: packs one file, and tells how far it is.
for (const told of answerPacking(workerData as PackQuestion)) parentPort!.postMessage(told);
