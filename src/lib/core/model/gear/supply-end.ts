import type { Port, PortFamily } from '../ports';

/** An end by which a part leads on in a chain. */
export const end = (family: PortFamily, type: string, half: Port['end']): Port => ({
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
