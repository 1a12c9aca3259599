import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { demoProject } from '$lib/catalogue/demos/saltmarsh-loom';
import { catalogue } from '$lib/catalogue/load-catalogue';
import { makeSatchel, writeSatchel } from '$lib/core/formats/satchel-file';
import { answerEvaluation } from './answer-evaluation';
import { EvaluationPool } from './evaluation-pool';

/** A thread that does as the text it is asked says. */
const program = join(mkdtempSync(join(tmpdir(), 'pool-')), 'thread.mjs');
writeFileSync(
  program,
  `import { parentPort } from 'node:worker_threads';
parentPort.on('message', ({ text }) => {
  if (text === 'hang') for (;;);
  if (text === 'throw') throw new Error('broke off');
  if (text === 'exit') process.exit(0);
  parentPort.postMessage({ status: 200, body: text });
});`
);
const pool = new EvaluationPool(program, { threads: 1, waiting: 3, patienceMs: 1500 });
const ask = (text: string) => pool.ask({ text, planId: undefined });
afterAll(() => pool.close());

describe('judging in threads', () => {
  it('answers one after the other', async () => {
    const answers = await Promise.all(['a', 'b', 'c'].map(ask));
    expect(answers.map(({ body }) => body)).toEqual(['a', 'b', 'c']);
  });

  it('ends a thread that hangs, says so, and goes on', async () => {
    const hanging = ask('hang');
    const after = ask('after');
    expect(await hanging).toMatchObject({ status: 503 });
    expect((await hanging).body).toMatch(/longer than 1\.5 s/);
    expect(await after).toEqual({ status: 200, body: 'after' });
  });

  it('hands on what broke a thread off, and starts another', async () => {
    await expect(ask('throw')).rejects.toThrow('broke off');
    await expect(ask('exit')).rejects.toThrow('ended');
    expect(await ask('after')).toEqual({ status: 200, body: 'after' });
  });

  it('lets no more wait than it can serve', async () => {
    const asked = ['hang', 'b', 'c', 'd', 'e'].map(ask);
    expect(await asked[4]).toMatchObject({ status: 503 });
    expect((await asked[4]!).body).toMatch(/try again/);
    expect(await asked[3]).toMatchObject({ status: 200 });
  });
});

describe('an evaluation', () => {
  const text = writeSatchel(makeSatchel(demoProject(), catalogue));

  it('of a file is what the page says of it, plan by plan', () => {
    expect(answerEvaluation(text, undefined)).toMatchObject({ status: 200 });
    expect(JSON.parse(answerEvaluation(text, undefined).body).money.remainingMinor).toBe(-5800);
    const answer = answerEvaluation(text, 'x'.repeat(200));
    expect(answer.status).toBe(400);
    expect(answer.body).toMatch(/names no plan of this file/);
  });

  it.each([
    ['{oops', /not JSON/],
    ['', /not JSON/],
    ['null', /one JSON object/],
    [text.replace('"limitMinor": 122000', '"limitMinor": null'), /limitMinor must be/],
    [text.replace('"units"', '"constructor": {}, "units"').replace('"metric"', '7'), /units must/],
    [
      `{"format":"hearty-satchel","version":1,"project":${'['.repeat(3000)}${']'.repeat(3000)}}`,
      /nests/
    ]
  ])('of %.20s is refused in a sentence', (body, says) => {
    const answer = answerEvaluation(body, undefined);
    expect(answer.status).toBe(400);
    expect(answer.body).toMatch(says);
  });

  it('carries what it does not know along as plain data', () => {
    const odd = text.replace('"units"', '"constructor": {"prototype": 1}, "toString": 3, "units"');
    expect(answerEvaluation(odd, undefined).status).toBe(200);
  });
});
