import 'fake-indexeddb/auto';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { demoProject } from '../catalogue/demos/saltmarsh-loom';
import type { Act } from '../core/acts/act';
import { activePlan } from '../core/model/active-plan';
import { SatchelDatabase } from '../data/database';
import { ProjectRepository } from '../data/project-repository';
import { ActQueue } from './act-queue';

let number = 0;
let repository: ProjectRepository;
let queue: ActQueue;
const refused: string[] = [];
const more: Act = { type: 'step quantity', lineId: 'line-1', by: 1 };
const full = () => Promise.reject(new DOMException('no room', 'QuotaExceededError'));
const kept = async () => activePlan((await repository.load('saltmarsh-loom'))!.project).lines;

beforeEach(async () => {
  repository = new ProjectRepository(new SatchelDatabase(`queue-${number++}`));
  refused.length = 0;
  queue = new ActQueue(repository, await repository.add(demoProject()), {
    onchange: () => undefined,
    onrefused: ({ label }) => refused.push(label),
    onstate: () => undefined
  });
});
afterEach(() => {
  queue.close();
  vi.restoreAllMocks();
});

describe('acts on their way into the database', () => {
  it('are kept only when every one before is, and in their order', async () => {
    const store = vi.spyOn(repository, 'commit').mockImplementationOnce(full);
    await queue.do(more, 'first');
    expect(queue.isKept).toBe(false);
    expect((await kept())[0]!.quantity).toBe(1);
    // The next act would be written; the first must be before it.
    await queue.do({ type: 'remove line', lineId: 'line-2' }, 'second');
    expect(queue.isKept).toBe(true);
    expect(store.mock.calls.map(([, act]) => act.type)).toEqual([
      'step quantity',
      'step quantity',
      'remove line'
    ]);
    expect((await kept())[0]!.quantity).toBe(2);
  });

  it('name themselves while they cannot be written, and are tried again by themselves', async () => {
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
    try {
      const store = vi.spyOn(repository, 'commit').mockImplementation(full);
      await queue.do(more, 'first');
      await queue.do(more, 'second');
      expect(queue.pending.map(({ label }) => label)).toEqual(['first', 'second']);
      expect(activePlan(queue.latest).lines[0]!.quantity).toBe(3);
      store.mockRestore();
      await vi.advanceTimersByTimeAsync(10_000);
    } finally {
      vi.useRealTimers();
    }
    await vi.waitFor(() => expect(queue.isKept).toBe(true));
    expect((await kept())[0]!.quantity).toBe(3);
  });

  it('that another tab has made impossible are refused by name, the others done', async () => {
    const writing = queue.do({ type: 'remove line', lineId: 'line-2' }, 'remove the lamp');
    const other = new ProjectRepository(new SatchelDatabase(`queue-${number - 1}`));
    await writing;
    await other.commit((await other.load('saltmarsh-loom'))!, {
      type: 'remove line',
      lineId: 'line-3'
    });
    await Promise.all([
      queue.do({ type: 'change line', lineId: 'line-3', patch: { locked: true } }, 'lock'),
      queue.do(more, 'one more')
    ]);
    expect(refused).toEqual(['lock']);
    expect((await kept())[0]!.quantity).toBe(2);
    expect(queue.latest).toEqual((await repository.load('saltmarsh-loom'))!.project);
  });

  it('undo what is kept and leave what came after in order', async () => {
    await queue.do(more, 'first');
    void queue.do(more, 'second');
    void queue.turn('undo', 'undo');
    await queue.do({ type: 'remove line', lineId: 'line-2' }, 'third');
    await vi.waitFor(() => expect(queue.isKept).toBe(true));
    expect((await kept())[0]!.quantity).toBe(2);
    expect(activePlan(queue.latest).lines.map(({ id }) => id)).not.toContain('line-2');
    expect(queue.latest).toEqual((await repository.load('saltmarsh-loom'))!.project);
  });
});
