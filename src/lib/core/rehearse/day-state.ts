import { BANK_BY_PLUG } from '../supplies/energy-of-day';
import type { DayPlan } from './planned-day';

/** What is less than this is nothing. */
export const CRUMB = 1e-9;

/** Where all the energy and all the space went: what was there and came in is what was used, lost and is left. */
export interface Books {
  chargedWh: number;
  usedWh: number;
  /** In the cold, and on the way out of banks. */
  lostWh: number;
  writtenGb: number;
  copiedGb: number;
}

/** The levels of a day while it runs: every battery, bank and card, and where it is. */
export class DayState {
  /** Watt-hours by piece; and what each holds when it is full. */
  readonly held: Float64Array;
  readonly full: Float64Array;
  /** The piece in each device, −1 for none; the device each piece is in, −1 for the bag. */
  readonly inserted: Int32Array;
  readonly holder: Int32Array;
  readonly bankWh: Float64Array;
  readonly freeGb: Float64Array;
  /** The card in each recording body; its last one stays in when it is full. */
  readonly cardIn: Int32Array;
  readonly heatC: Float64Array;
  readonly books: Books = { chargedWh: 0, usedWh: 0, lostWh: 0, writtenGb: 0, copiedGb: 0 };
  private readonly cardHolder: Int32Array;
  /** By device and bank, what is left of its share. */
  private readonly bankShareWh: readonly Float64Array[];

  constructor(readonly plan: DayPlan) {
    const { pieces, devices, banks, cards, recordings, warming } = plan;
    this.held = new Float64Array(pieces.length);
    this.full = new Float64Array(pieces.length);
    this.inserted = new Int32Array(devices.length).fill(-1);
    this.holder = new Int32Array(pieces.length).fill(-1);
    this.bankWh = Float64Array.from(banks, ({ wattHours }) => wattHours);
    this.bankShareWh = devices.map((device) =>
      Float64Array.from(device.banks, ({ shareWh }) => shareWh)
    );
    this.freeGb = new Float64Array(cards.length);
    this.cardIn = new Int32Array(recordings.length).fill(-1);
    this.cardHolder = new Int32Array(cards.length).fill(-1);
    this.heatC = new Float64Array(warming.length);
  }

  /** All that is in batteries and banks. */
  energyWh(): number {
    return sum(this.bankWh) + sum(this.held);
  }

  freeSpaceGb(): number {
    return sum(this.freeGb);
  }

  /** Puts the fullest battery of the bag in; of equal ones what is in stays in. @returns whether another went in */
  insertBest(device: number): boolean {
    const best = fullest(
      this.plan.devices[device]!.pieces,
      device,
      this.inserted[device]!,
      this.holder,
      this.held
    );
    return moveInto(device, best, this.inserted, this.holder);
  }

  /** Puts the emptiest card of the bag in. @returns whether another went in */
  insertCard(recording: number): boolean {
    const best = fullest(
      this.plan.recordings[recording]!.cards,
      recording,
      this.cardIn[recording]!,
      this.cardHolder,
      this.freeGb
    );
    return moveInto(recording, best, this.cardIn, this.cardHolder);
  }

  /** Minutes a device could run now at so many watts. */
  minutesLeft(device: number, watts: number, cold: number): number {
    if (watts <= 0) return Infinity;
    let wattHours = 0;
    for (const [index, { bank }] of this.plan.devices[device]!.banks.entries())
      wattHours += Math.min(this.bankWh[bank]!, this.bankShareWh[device]![index]!) * BANK_BY_PLUG;
    const piece = this.inserted[device]!;
    if (piece >= 0) wattHours += this.held[piece]! * cold;
    return (60 * wattHours) / watts;
  }

  /** Lets a device run: from its banks first, then from the battery in it. */
  drain(device: number, watts: number, minutes: number, cold: number): void {
    const { books } = this;
    let needed = (watts * minutes) / 60;
    for (const [index, { bank }] of this.plan.devices[device]!.banks.entries()) {
      const there = Math.min(this.bankWh[bank]!, this.bankShareWh[device]![index]!);
      const takes = Math.min(there, needed / BANK_BY_PLUG);
      this.bankWh[bank]! -= takes;
      this.bankShareWh[device]![index]! -= takes;
      needed -= takes * BANK_BY_PLUG;
      books.usedWh += takes * BANK_BY_PLUG;
      books.lostWh += takes * (1 - BANK_BY_PLUG);
    }
    const piece = this.inserted[device]!;
    if (piece < 0) return;
    const takes = Math.min(this.held[piece]!, needed / cold);
    this.held[piece]! -= takes;
    books.usedWh += takes * cold;
    books.lostWh += takes * (1 - cold);
  }

  /** Fills a battery as far as there is something to fill it with. @returns what it took, at the battery */
  fill(piece: number, most: number): number {
    const takes = Math.max(0, Math.min(most, this.full[piece]! - this.held[piece]!));
    this.held[piece]! += takes;
    this.books.chargedWh += takes;
    return takes;
  }

  /** Fills a bank again, and with it everybody's share of it. @returns what it took */
  fillBank(bank: number, most: number): number {
    const { wattHours } = this.plan.banks[bank]!;
    const takes = Math.max(0, Math.min(most, wattHours - this.bankWh[bank]!));
    if (takes === 0) return 0;
    this.bankWh[bank]! += takes;
    this.books.chargedWh += takes;
    for (const [device, { banks }] of this.plan.devices.entries())
      for (const [index, store] of banks.entries())
        if (store.bank === bank)
          this.bankShareWh[device]![index]! += (takes * store.shareWh) / wattHours;
    return takes;
  }

  /** Fills a battery out of a bank. */
  fillFromBank(piece: number, bank: number, arrives: number): void {
    const wanted = (this.full[piece]! - this.held[piece]!) / arrives;
    const takes = Math.max(0, Math.min(wanted, this.bankWh[bank]!));
    this.bankWh[bank]! -= takes;
    this.held[piece]! += takes * arrives;
    this.books.lostWh += takes * (1 - arrives);
  }

  /** Writes to the card that is in a body. */
  write(recording: number, gigabytes: number): void {
    const card = this.cardIn[recording]!;
    if (card < 0) return;
    const writes = Math.min(this.freeGb[card]!, gigabytes);
    this.freeGb[card]! -= writes;
    this.books.writtenGb += writes;
  }

  /** Takes everything off a card. */
  emptyCard(card: number): void {
    this.books.copiedGb += this.plan.cards[card]!.gigabytes - this.freeGb[card]!;
    this.freeGb[card] = this.plan.cards[card]!.gigabytes;
  }

  freeIn(recording: number): number {
    const card = this.cardIn[recording]!;
    return card < 0 ? 0 : this.freeGb[card]!;
  }

  /** Batteries by how full they are, the emptiest first. */
  emptiestFirst(): number[] {
    return [...this.plan.pieces.keys()].sort((a, b) => this.share(a) - this.share(b) || a - b);
  }

  share(piece: number): number {
    return this.full[piece]! > 0 ? this.held[piece]! / this.full[piece]! : 0;
  }
}

/** Of what fits and is free, or is in already, the one that holds most. */
function fullest(
  places: readonly number[],
  taker: number,
  now: number,
  holder: Int32Array,
  holds: Float64Array
): number {
  let best = now;
  for (const place of places)
    if (
      (holder[place] === -1 || holder[place] === taker) &&
      (best < 0 || holds[place]! > holds[best]! + CRUMB)
    )
      best = place;
  return best;
}

function moveInto(taker: number, best: number, inside: Int32Array, holder: Int32Array): boolean {
  const now = inside[taker]!;
  if (best === now || best < 0) return false;
  if (now >= 0) holder[now] = -1;
  inside[taker] = best;
  holder[best] = taker;
  return true;
}

const sum = (values: Float64Array): number => values.reduce((all, value) => all + value, 0);
