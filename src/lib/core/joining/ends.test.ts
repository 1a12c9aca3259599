import { describe, expect, it } from 'vitest';
import { catalogue } from '../../catalogue/load-catalogue';
import { mates } from '../model/mating';
import { joiningEnds } from './ends';
import { COMPUTER, ENERGY, RECORDING } from '../model/gear/supply-end';

const ends = (id: string) => {
  const gear = catalogue.byId.get(id);
  if (!gear) throw new Error(`no ${id} on the shelf`);
  return joiningEnds(gear);
};
const reaches = (id: string, end: typeof ENERGY) => ends(id).some((port) => mates(port, end));

describe('the ends of a chain', () => {
  it('a battery, a block and a bank end in energy', () => {
    for (const kind of ['battery', 'mains adapter', 'power bank'] as const)
      for (const gear of catalogue.ofKind(kind))
        expect(
          joiningEnds(gear).some((port) => mates(port, ENERGY)),
          gear.model
        ).toBe(true);
  });

  it('a battery begins at contacts of its own shape, and no other fits them', () => {
    const [contact] = ends('orrowby-ember-16-battery');
    expect(contact).toMatchObject({ family: 'power', type: 'Ember 16', end: 'plug' });
    expect(mates(contact!, { ...contact!, end: 'socket' })).toBe(true);
    expect(mates(contact!, { ...contact!, type: 'Ember 8', end: 'socket' })).toBe(false);
  });

  it('a bank gives at a socket, so a lead with two plugs leads on', () => {
    expect(ends('pellamund-hearth-74')[0]).toMatchObject({ type: 'USB-C', end: 'socket' });
    expect(ends('nibsworth-usb-c-cable-c-to-c-1-m').map(({ end }) => end)).toEqual([
      'plug',
      'plug'
    ]);
  });

  it('a card is something to write on, and a reader leads on to a computer', () => {
    expect(reaches('quillfeather-sd-128-v30', RECORDING)).toBe(true);
    expect(reaches('quillfeather-sd-128-v30', COMPUTER)).toBe(false);
    expect(reaches('nibsworth-reader-sd', COMPUTER)).toBe(true);
    const card = ends('quillfeather-sd-128-v30')[0]!;
    expect(ends('nibsworth-reader-sd').some((port) => mates(port, card))).toBe(true);
  });

  it('a computer without a slot of its own takes no card', () => {
    for (const gear of catalogue.ofKind('computer'))
      expect(joiningEnds(gear).length).toBe(gear.hasReader === true ? 2 : 0);
  });

  it('a body, a lens and a lamp are what is joined, not what joins', () => {
    for (const kind of ['lens', 'lamp', 'microphone'] as const)
      for (const gear of catalogue.ofKind(kind).slice(0, 10))
        for (const port of joiningEnds(gear)) expect(port.role, gear.model).toBe('joins');
  });

  it('are found once for a part', () => {
    expect(ends('nibsworth-reader-sd')).toBe(ends('nibsworth-reader-sd'));
  });
});
