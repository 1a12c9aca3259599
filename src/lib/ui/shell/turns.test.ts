import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { inTurn } from './turns';

/** Frames and tasks of a page, gone through one by one. */
let frames: (() => void)[] = [];
const oneFrame = () => {
  const drawn = frames;
  frames = [];
  for (const draw of drawn) draw();
  vi.advanceTimersByTime(0);
};

beforeEach(() => {
  vi.useFakeTimers();
  frames = [];
  vi.stubGlobal('document', { hidden: false });
  vi.stubGlobal('requestAnimationFrame', (draw: () => void) => frames.push(draw));
});
afterEach(() => {
  for (let frame = 0; frame < 10; frame++) oneFrame();
  vi.unstubAllGlobals();
  vi.useRealTimers();
});

it('does one piece of work a frame, in the order they were asked for', () => {
  const done: string[] = [];
  for (const name of ['rail', 'bag', 'findings']) inTurn(() => done.push(name));
  expect(done).toEqual([]);
  const after = [1, 2, 3, 4].map(() => {
    oneFrame();
    return done.length;
  });
  expect(after).toEqual([1, 2, 3, 3]);
  expect(done).toEqual(['rail', 'bag', 'findings']);
});

it('leaves out what was called off, and begins anew after it ran dry', () => {
  const done: string[] = [];
  const callOff = inTurn(() => done.push('older'));
  inTurn(() => done.push('newer'));
  callOff();
  oneFrame();
  expect(done).toEqual(['newer']);
  oneFrame();
  inTurn(() => done.push('later'));
  oneFrame();
  expect(done).toEqual(['newer', 'later']);
});

it('goes on after a piece of work that throws', () => {
  const done: string[] = [];
  inTurn(() => {
    throw new Error('cannot be drawn');
  });
  inTurn(() => done.push('next'));
  expect(oneFrame).toThrow('cannot be drawn');
  oneFrame();
  expect(done).toEqual(['next']);
});

it('goes on in a page nobody sees, which draws no frame', () => {
  vi.stubGlobal('document', { hidden: true });
  const done: string[] = [];
  inTurn(() => done.push('unseen'));
  vi.advanceTimersByTime(0);
  expect(done).toEqual(['unseen']);
});
