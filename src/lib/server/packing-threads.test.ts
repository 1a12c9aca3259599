import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { demoProject } from '$lib/catalogue/demos/saltmarsh-loom';
import { shelfOf } from '$lib/catalogue/load-catalogue';
import { makeSatchel, writeSatchel } from '$lib/core/formats/satchel-file';
import { noRules } from '$lib/core/pack/pack-rules';
import { answerPacking, type PackQuestion, packRulesOf } from './answer-packing';
import { PackingThreads } from './packing-threads';

/** A thread that does as the text it is asked says. */
const program = join(mkdtempSync(join(tmpdir(), 'packing-')), 'thread.mjs');
writeFileSync(
  program,
  `import { parentPort, workerData } from 'node:worker_threads';
const line = (text, isLast = false) => parentPort.postMessage({ line: text, isLast });
const { text } = workerData;
if (text === 'refuse') parentPort.postMessage({ refused: { status: 400, body: '{}' } });
else if (text === 'throw') throw new Error('broke off');
else {
  line('1');
  if (text === 'hang') setInterval(() => line('more'), 20);
  else { line('2'); line('3', true); }
}`
);
const threads = new PackingThreads(program, { threads: 2, patienceMs: 60_000 });
/** These give up soon: only who waits for that asks them, for a busy machine takes its time to begin. */
const hasty = new PackingThreads(program, { threads: 2, patienceMs: 700 });
const ask = (text: string, gone = new AbortController().signal, asked = threads) =>
  asked.ask({ text, planId: undefined, rules: noRules, mostJudged: 10 }, gone);
async function linesOf(text: string, asked = threads): Promise<string[]> {
  const answer = await ask(text, undefined, asked);
  if ('refused' in answer) throw new Error(answer.refused.body);
  return (await new Response(answer.lines).text()).trim().split('\n');
}
const idle = async (asked = threads) => {
  for (let tries = 0; asked.running > 0 && tries < 100; tries++)
    await new Promise((resolve) => setTimeout(resolve, 20));
  return asked.running === 0;
};

describe('packing in threads', () => {
  it('tells line by line and ends', async () => {
    expect(await linesOf('pack')).toEqual(['1', '2', '3']);
    expect(await idle()).toBe(true);
  });

  it('hands on a refusal with its status', async () => {
    expect(await ask('refuse')).toEqual({ refused: { status: 400, body: '{}' } });
    expect(await idle()).toBe(true);
  });

  it('ends a search that takes too long, and says so in its last line', async () => {
    const lines = await linesOf('hang', hasty);
    expect(lines.length).toBeGreaterThan(0);
    expect(JSON.parse(lines.at(-1)!)).toEqual({
      done: false,
      why: expect.stringMatching(/^stopped after 0\.7 s/)
    });
    expect(await idle(hasty)).toBe(true);
  });

  it('ends when who asked leaves, before or after the first line', async () => {
    const gone = new AbortController();
    const answer = await ask('hang', gone.signal);
    expect('lines' in answer).toBe(true);
    expect(threads.running).toBe(1);
    gone.abort();
    expect(await idle()).toBe(true);
    const other = await ask('hang');
    if ('lines' in other) await other.lines.cancel();
    expect(await idle()).toBe(true);
  });

  it('tells one more than it can serve to come again', async () => {
    const leaving = new AbortController();
    await Promise.all([ask('hang', leaving.signal), ask('hang', leaving.signal)]);
    const third = await ask('pack');
    expect('refused' in third && third.refused.status).toBe(503);
    leaving.abort();
    expect(await idle()).toBe(true);
    expect(await linesOf('pack')).toHaveLength(3);
  });

  it('says what broke it off', async () => {
    await expect(ask('throw')).rejects.toThrow(/broke off/);
    expect(await idle()).toBe(true);
  });
});

describe('what is asked of the packer', () => {
  const rulesOf = (words: string) => packRulesOf(new URLSearchParams(words));

  it('is read from the address', () => {
    expect(rulesOf('')).toMatchObject({ ok: true, rules: noRules });
    expect(
      rulesOf('locked=sound, body&used=where cheaper&without=Orrowby,Dunmarrow&most=7')
    ).toEqual({
      ok: true,
      mostJudged: 7,
      rules: {
        lockedPockets: ['sound', 'body'],
        used: 'where cheaper',
        excludedMakers: ['Orrowby', 'Dunmarrow']
      }
    });
  });

  it.each([
    ['locked=hat', 'locked'],
    ['used=', 'used'],
    ['used=often', 'used'],
    ['most=0', 'most'],
    ['most=1.5', 'most'],
    ['most=many', 'most'],
    ['most=2000000', 'most']
  ])('is refused with a sentence: %s', (words, field) => {
    const read = rulesOf(words);
    expect(read.ok).toBe(false);
    if (!read.ok) expect(read.faults.map((fault) => fault.field)).toEqual([field]);
  });

  const { scenes, ...whole } = demoProject();
  const demo = { ...whole, scenes: scenes.slice(0, 1) };
  const question = (patch: Partial<PackQuestion>): PackQuestion => ({
    text: writeSatchel(makeSatchel(demo, shelfOf(demo))),
    planId: undefined,
    rules: noRules,
    mostJudged: 300,
    ...patch
  });

  it('ends with what was found by then', () => {
    const told = [...answerPacking(question({}))];
    const last = told.at(-1)!;
    expect('line' in last && last.isLast).toBe(true);
    const answer = JSON.parse('line' in last ? last.line : '{}');
    expect(answer.judged).toBeGreaterThanOrEqual(300);
    expect(answer.cameToItsEnd).toBe(false);
    expect(answer.file.project.plans[0].lines).toHaveLength(answer.best.lines.length);
  });

  it('ends with what was found when it has taken long enough, and says so', () => {
    const told = [...answerPacking(question({ mostJudged: 1_000_000 }), 300)];
    const last = told.at(-1)!;
    const answer = JSON.parse('line' in last ? last.line : '{}');
    expect(answer).toMatchObject({ done: true, cameToItsEnd: false });
    expect(answer.why).toMatch(/^stopped after 0\.3 s/);
    expect(answer.front.length).toBeGreaterThan(0);
  });

  it.each([
    ['{', {}],
    ['{"format":"x"}', {}],
    [undefined, { planId: 'none' }]
  ])('refuses a body that is none: %j', (text, patch) => {
    const [first] = answerPacking(question({ ...(text === undefined ? {} : { text }), ...patch }));
    expect(first && 'refused' in first && first.refused.status).toBe(400);
  });
});
