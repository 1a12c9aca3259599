import 'fake-indexeddb/auto';
import { describe, expect, it } from 'vitest';
import type { Attempt } from '../core/practise/attempt';
import { SatchelDatabase } from './database';
import { OwnedPiecesRepository } from './owned-pieces-repository';
import { PracticeRepository } from './practice-repository';
import { TickRepository } from './tick-repository';

let number = 0;
const fresh = () => new SatchelDatabase(`practice ${(number += 1)}`);
const attempt = (at: number): Attempt => ({
  at,
  skill: 'the meter',
  level: 1,
  sceneName: 'Loom lesson',
  score: 80,
  lossStops: 0.6
});

describe('attempts', () => {
  it('are kept in order, and can be forgotten', async () => {
    const practice = new PracticeRepository(fresh());
    await practice.add(attempt(20));
    await practice.add(attempt(10));
    expect((await practice.list()).map(({ at }) => at)).toEqual([10, 20]);
    await practice.clear();
    expect(await practice.list()).toEqual([]);
  });

  it('leave out what is no attempt, and let the oldest go when there are many', async () => {
    const db = fresh();
    await db.practice.bulkAdd(Array.from({ length: 2000 }, (_, index) => attempt(index + 1)));
    await db.practice.add({ at: 5000, skill: 'singing' } as never);
    const practice = new PracticeRepository(db);
    await practice.add(attempt(9000));
    const kept = await practice.list();
    expect(await db.practice.count()).toBe(2000);
    expect(kept.at(-1)!.at).toBe(9000);
    // The two oldest made room for the two that came.
    expect(kept[0]!.at).toBe(3);
  });
});

describe('ticks', () => {
  it('belong to one project each, and garbage is none', async () => {
    const db = fresh();
    const ticks = new TickRepository(db);
    expect(await ticks.of('loom')).toEqual([]);
    await ticks.set('loom', ['packing line-1', 'evening offload']);
    await ticks.set('desk', ['pre-roll x']);
    expect(await ticks.of('loom')).toEqual(['packing line-1', 'evening offload']);
    await db.ticks.put({ projectId: 'desk', keys: [3, 'good', null] as never });
    expect(await ticks.of('desk')).toEqual(['good']);
    await db.ticks.put({ projectId: 'desk', keys: 'no list' as never });
    expect(await ticks.of('desk')).toEqual([]);
  });

  it('stand beside what a browser kept before there were any', async () => {
    const name = 'a browser of before';
    const { default: Dexie } = await import('dexie');
    const old = new Dexie(name);
    old.version(5).stores({
      heads: 'id, savedAt',
      projects: 'id',
      journal: '[projectId+revision]',
      log: '[projectId+position]',
      copies: '++number, projectId, at',
      settings: 'key'
    });
    await old.table('settings').put({ key: 'open project', value: 'loom' });
    old.close();
    const db = new SatchelDatabase(name);
    expect(await db.settings.get('open project')).toMatchObject({ value: 'loom' });
    expect(await new TickRepository(db).of('loom')).toEqual([]);
    expect(await new PracticeRepository(db).list()).toEqual([]);
  });
});

describe('owned pieces', () => {
  const piece = {
    id: 'piece-1',
    gearId: 'pellamund-17-f-1-5',
    name: 'Pellamund 17 f/1.5',
    quantity: 1,
    state: 'lent' as const,
    lentTo: 'a neighbour'
  };

  it('are kept and forgotten, and garbage is none', async () => {
    const db = fresh();
    const pieces = new OwnedPiecesRepository(db);
    await pieces.put(piece);
    await db.pieces.put({ id: 'x', state: 'eaten' } as never);
    expect(await pieces.list()).toEqual([piece]);
    await pieces.remove('piece-1');
    expect(await pieces.list()).toEqual([]);
  });

  it('of a backup come in where they are not here, and change nothing that is', async () => {
    const pieces = new OwnedPiecesRepository(fresh());
    await pieces.put(piece);
    const other = { ...piece, id: 'piece-2', state: 'here' as const, lentTo: undefined };
    expect(
      await pieces.addMissing([{ ...piece, lentTo: 'nobody' }, other, { id: 'y' } as never])
    ).toBe(1);
    expect((await pieces.list()).map(({ id, lentTo }) => [id, lentTo])).toEqual([
      ['piece-1', 'a neighbour'],
      ['piece-2', undefined]
    ]);
  });
});
