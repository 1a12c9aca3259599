import { describe, expect, it } from 'vitest';
import { faultsAnswer } from './answer-evaluation';
import { readJsonText } from './json-body';
import { securityHeaders } from './security-headers';

const OWN = 'http://localhost:4000';
const MOST = 1024 * 1024;
const post = (body: BodyInit | null, headers: Record<string, string> = {}) =>
  new Request(`${OWN}/api/evaluate`, {
    method: 'POST',
    body,
    headers: { 'content-type': 'application/json', ...headers },
    ...(body instanceof ReadableStream ? { duplex: 'half' } : {})
  } as RequestInit);
const read = (request: Request, most = MOST) => readJsonText(request, OWN, most);

/** A body that never says how long it is. */
const dripping = (pieces: number, size: number) =>
  new ReadableStream<Uint8Array>({
    start(controller) {
      for (let piece = 0; piece < pieces; piece++)
        controller.enqueue(new Uint8Array(size).fill(32));
      controller.close();
    }
  });

describe('a posted body', () => {
  it('is read as JSON, from a program and from our own pages', async () => {
    expect(await read(post('{"a":[1,"é"]}'))).toEqual({ ok: true, text: '{"a":[1,"é"]}' });
    expect(await read(post('1', { origin: OWN }))).toEqual({ ok: true, text: '1' });
    const typed = post('true', { 'content-type': 'Application/JSON; charset=utf-8' });
    expect(await read(typed)).toEqual({ ok: true, text: 'true' });
  });

  it.each([
    ['another site', post('{}', { origin: 'http://elsewhere.example' }), 403, /another site/],
    ['another kind', post('{}', { 'content-type': 'text/plain' }), 415, /application\/json/],
    ['no kind', post('{}', { 'content-type': '' }), 415, /application\/json/],
    ['a page of no address', post('{}', { origin: 'null' }), 403, /another site/],
    ['what is no address', post('{}', { origin: 'nonsense' }), 403, /another site/],
    ['bytes that are no text', post(new Uint8Array([0x22, 0xff, 0xfe, 0x22])), 400, /not text/]
  ])('from %s is refused with a sentence', async (_what, request, status, says) => {
    const answer = await read(request);
    expect(answer).toMatchObject({ ok: false, status });
    expect(answer.ok ? '' : answer.faults[0]!.says).toMatch(says);
  });

  it('is refused when it says it is too large, before it is read', async () => {
    const request = post('{}', { 'content-length': String(MOST + 1) });
    const answer = await read(request);
    expect(answer).toMatchObject({ ok: false, status: 413 });
    expect(answer.ok ? '' : answer.faults[0]!.says).toBe('The body is larger than 1 MB');
    expect(request.bodyUsed).toBe(false);
  });

  it('is counted as it comes when it does not say how long it is', async () => {
    expect(await read(post(dripping(3, 600)), 1024)).toMatchObject({ ok: false, status: 413 });
    expect(await read(post(dripping(1, 600)), 1024)).toMatchObject({ ok: true });
  });

  it('keeps a letter that falls between two pieces', async () => {
    const bytes = new TextEncoder().encode('"é"');
    const torn = new ReadableStream<Uint8Array>({
      start(controller) {
        controller.enqueue(bytes.slice(0, 2));
        controller.enqueue(bytes.slice(2));
        controller.close();
      }
    });
    expect(await read(post(torn))).toEqual({ ok: true, text: '"é"' });
  });
});

describe('faults as an answer', () => {
  it('are sentences with the place they speak of', () => {
    const answer = faultsAnswer(422, [
      { field: 'project.limitMinor', says: 'must not be negative' }
    ]);
    expect(answer.status).toBe(422);
    const { faults } = JSON.parse(answer.body) as { faults: Record<string, string>[] };
    expect(faults).toHaveLength(1);
    expect(faults[0]).toMatchObject({ field: 'project.limitMinor', says: 'must not be negative' });
    expect(faults[0]!.sentence).toMatch(/project\.limitMinor.*must not be negative/);
  });
});

describe('headers of every answer', () => {
  it('let nothing frame it, sniff it or load with it', () => {
    expect(securityHeaders['content-security-policy']).toContain("default-src 'none'");
    expect(securityHeaders['x-frame-options']).toBe('DENY');
    expect(securityHeaders['x-content-type-options']).toBe('nosniff');
  });
});
