import 'fake-indexeddb/auto';
import { describe, expect, it } from 'vitest';
import type { KeptTake } from '../core/proof/kept-take';
import { measureSound } from '../core/proof/measure-sound';
import { SatchelDatabase } from './database';
import { MOST_TAKE_BYTES, NoRoomForTakeError, TakesRepository } from './takes-repository';

const measures = measureSound([new Float32Array(100)], 48_000);
const take = (id: string, at: number, bytes = 10, projectId = 'p'): KeptTake => ({
  id,
  projectId,
  name: id,
  at,
  file: new Blob([new Uint8Array(bytes)]),
  kind: 'sound',
  measures
});
/** A blob that says how large it is without being so. */
const heavy = (id: string, bytes: number): KeptTake => ({
  ...take(id, 1),
  file: { size: bytes } as Blob
});

describe('takes kept', () => {
  it('are those of a project, newest first, with their weight', async () => {
    const takes = new TakesRepository(new SatchelDatabase('some'));
    await takes.add(take('old', 1));
    await takes.add(take('new', 2, 30));
    await takes.add(take('other', 3, 5, 'q'));
    expect((await takes.list('p')).map(({ id }) => id)).toEqual(['new', 'old']);
    await takes.change({ ...take('old', 1), heardBlind: 1 });
    expect((await takes.list('p'))[1]!.heardBlind).toBe(1);
    await takes.remove('new');
    expect((await takes.list('p')).map(({ id }) => id)).toEqual(['old']);
  });

  it('are refused past their limit, with a sentence', async () => {
    const takes = new TakesRepository(new SatchelDatabase('full'));
    await takes.add(heavy('first', MOST_TAKE_BYTES - 10));
    await expect(takes.add(heavy('more', 11))).rejects.toThrow(NoRoomForTakeError);
    await expect(takes.add(heavy('more', 11))).rejects.toThrow(/300 MB together/);
    await takes.add(heavy('fits', 10));
  });
});
