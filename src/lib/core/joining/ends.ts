import { memoOf } from '../memo';
import type { GearItem } from '../model/gear';
import type { Port, PortFamily } from '../model/ports';

const end = (family: PortFamily, type: string, half: Port['end']): Port => ({
  family,
  type,
  end: half,
  role: 'joins'
});

/** Where a chain of power leads has to arrive: something that holds or draws energy. */
export const ENERGY = end('power', 'energy', 'socket');
/** Where a chain that begins in a card slot has to arrive: something to write on. */
export const RECORDING = end('card', 'recording', 'socket');
/** Where a card's files have to arrive: a computer's socket. */
export const COMPUTER = end('card', 'computer', 'socket');

/** The plug of a USB-C wall block is a socket; every other block is shaped like the battery it replaces. */
export const USB_C = 'USB-C';

function supplyEnds(gear: GearItem): Port[] {
  switch (gear.kind) {
    case 'battery':
      return [end('power', gear.batteryType, 'plug'), end('power', ENERGY.type, 'plug')];
    case 'mains adapter':
      return [
        end('power', gear.batteryType, gear.batteryType === USB_C ? 'socket' : 'plug'),
        end('power', ENERGY.type, 'plug')
      ];
    case 'power bank':
      return [end('power', USB_C, 'socket'), end('power', ENERGY.type, 'plug')];
    case 'card':
      return [end('card', gear.cardKind, 'plug'), end('card', RECORDING.type, 'plug')];
    case 'reader':
      return [end('card', gear.cardKind, 'socket'), end('card', COMPUTER.type, 'plug')];
    case 'computer':
      return gear.hasReader === true
        ? [end('card', 'SD', 'socket'), end('card', COMPUTER.type, 'plug')]
        : [];
    default:
      return [];
  }
}

/**
 * The ends by which a part leads on in a chain: what its ports say, and for batteries, adapters, banks, cards
 * and readers what follows from their kind. A battery begins at its contacts and ends in energy.
 */
export const joiningEnds = memoOf((gear: GearItem): readonly Port[] => {
  const supply = supplyEnds(gear);
  return supply.length > 0 ? supply : gear.ports.filter((candidate) => candidate.role === 'joins');
});
