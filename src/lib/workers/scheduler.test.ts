import { describe, expect, it } from 'vitest';
import { atOnce, priorities, Scheduler, type Priority, type Sliced } from './scheduler';

/** A clock on which every look takes ten milliseconds, so that each slice is one step. */
function slowClock() {
  let time = 0;
  return () => (time += 10);
}

function* steps(name: string, count: number, priority: Priority, done: string[]): Sliced<string> {
  for (let step = 0; step < count; step++) {
    done.push(`${name} ${step}`);
    yield priority;
  }
  return name;
}

describe('the queue of a worker', () => {
  it('does what is urgent first, though it was asked last', async () => {
    const done: string[] = [];
    const queue = new Scheduler(undefined, slowClock());
    const slow = queue.run(
      'remedies',
      priorities.later,
      steps('remedy', 5000, priorities.later, done)
    );
    await new Promise((resolve) => setTimeout(resolve, 5));
    const begun = done.length;
    expect(begun).toBeLessThan(5000);
    await queue.run('candidates', priorities.urgent, steps('row', 3, priorities.urgent, done));
    // At most the step that was going on comes before the first row.
    expect(done.indexOf('row 0') - begun).toBeLessThanOrEqual(1);
    expect(done.indexOf('row 2') - done.indexOf('row 0')).toBe(2);
    expect(await slow).toEqual({ cancelled: false, done: 'remedy' });
    expect(done).toHaveLength(5003);
  });

  it('gives up what is asked anew, and says so', async () => {
    const done: string[] = [];
    const queue = new Scheduler(undefined, slowClock());
    const old = queue.run('candidates', 0, steps('old', 1000, 0, done));
    const fresh = queue.run('candidates', 0, steps('new', 2, 0, done));
    expect(await old).toMatchObject({ cancelled: true });
    expect(await fresh).toMatchObject({ done: 'new' });
    expect(done).toEqual(['new 0', 'new 1']);
  });

  it('lets a job become less urgent on its way', async () => {
    const done: string[] = [];
    function* fading(): Sliced<void> {
      done.push('first screen');
      yield priorities.later;
      done.push('rest');
    }
    const queue = new Scheduler(undefined, slowClock());
    await Promise.all([
      queue.run('candidates', priorities.urgent, fading()),
      queue.run('remedies', priorities.visible, steps('remedy', 2, priorities.visible, done))
    ]);
    expect(done).toEqual(['first screen', 'remedy 0', 'remedy 1', 'rest']);
  });

  it('hands a fault to whoever asked, and goes on', async () => {
    const queue = new Scheduler();
    const failing = queue.run(
      'a',
      0,
      atOnce(() => {
        throw new Error('broke off');
      })
    );
    await expect(failing).rejects.toThrow('broke off');
    expect(
      await queue.run(
        'b',
        0,
        atOnce(() => 7)
      )
    ).toEqual({ cancelled: false, done: 7 });
  });

  it('stops what nobody wants any more', async () => {
    const done: string[] = [];
    const queue = new Scheduler(undefined, slowClock());
    const rows = queue.run('rows', 2, steps('row', 1000, 2, done));
    await new Promise((resolve) => setTimeout(resolve, 2));
    queue.cancel('rows');
    expect(await rows).toMatchObject({ cancelled: true });
    expect(done.length).toBeLessThan(1000);
  });
});
