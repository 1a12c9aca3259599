import { describe, expect, it } from 'vitest';
import { checkGear } from '../core/formats/gear-check';
import { type GearItem, type GearKind, type GearOf, pocketOf } from '../core/model/gear';
import { sensorFormats } from '../core/model/sensor-formats';
import { joiningEnds } from '../core/joining/ends';
import { COMPUTER, ENERGY, RECORDING } from '../core/model/gear/supply-end';
import { mates } from '../core/model/mating';
import { pockets } from '../core/model/pocket';
import { powerInlets } from '../core/rigs/supply-connections';
import { catalogue } from './load-catalogue';

describe('the shelf', () => {
  it('holds two hundred and sixty parts or more with ids of their own, in all eight pockets', () => {
    expect(catalogue.items.length).toBeGreaterThanOrEqual(260);
    for (const pocket of pockets) {
      expect(
        catalogue.items.filter((gear) => pocketOf(gear) === pocket).length,
        pocket
      ).toBeGreaterThanOrEqual(10);
    }
  });

  it.each(catalogue.items.map((gear) => [gear.id, gear] as const))(
    '%s passes its class',
    (id, gear) => {
      expect(checkGear(gear, id)).toEqual([]);
      expect(gear.priceNew?.likely).toBeGreaterThan(0);
      for (const price of [gear.priceNew, gear.priceUsed]) {
        if (!price) continue;
        expect(price.low).toBeLessThanOrEqual(price.likely);
        expect(price.high).toBeGreaterThanOrEqual(price.likely);
      }
      if (gear.priceUsed) expect(gear.priceUsed.likely).toBeLessThan(gear.priceNew!.likely);
    }
  );

  it('has a partner for every part that has to meet one', () => {
    const endsOf = (gear: GearItem) => [...gear.ports, ...joiningEnds(gear), ...powerInlets(gear)];
    const ports = [...catalogue.items.flatMap(endsOf), ENERGY, RECORDING, COMPUTER];
    for (const gear of catalogue.items) {
      for (const port of endsOf(gear)) {
        expect(
          ports.some((other) => mates(port, other)),
          `${gear.id}: ${port.type} ${port.end}`
        ).toBe(true);
      }
    }
  });

  it('states figures a lamp, battery or card of that class really has', () => {
    for (const lamp of catalogue.ofKind('lamp')) {
      const perWatt = lamp.illuminanceAt1mLx! / lamp.drawW!;
      expect(perWatt, lamp.id).toBeGreaterThan(1);
      // A bare reflector throws its light far; cloth and domes spread it.
      expect(perWatt, lamp.id).toBeLessThan(lamp.sourceRadiusM! < 0.05 ? 260 : 60);
    }
    for (const battery of catalogue.ofKind('battery')) {
      const whPerKg =
        (battery.energyWh! * (battery.batteryType === 'AA' ? 4 : 1)) / (battery.massG! / 1000);
      expect(whPerKg, battery.id).toBeGreaterThan(80);
      expect(whPerKg, battery.id).toBeLessThan(260);
    }
    for (const card of catalogue.ofKind('card')) {
      expect(card.priceNew!.likely / card.capacityGb!, card.id).toBeLessThan(100);
    }
  });
});

/** Pounds for one unit of what a kind is bought for: dearer or cheaper is not believable. */
const poundsPer: {
  kind: GearKind;
  what: string;
  of: (gear: never) => number | undefined;
  from: number;
  to: number;
}[] = [
  row('power bank', 'Wh', (gear) => gear.energyWh, 0.4, 1.2),
  row('solar panel', 'W', (gear) => gear.outputW, 1.5, 4.5),
  row('drive', 'TB', (gear) => gear.capacityGb! / 1000, 15, 90),
  row('charger', 'bay', (gear) => gear.bays, 3, 45),
  row('monitor', 'inch', (gear) => gear.diagonalIn, 10, 70),
  row('computer', 'stream of 4K', (gear) => gear.editingRating, 150, 600),
  row('mains adapter', 'W', (gear) => gear.outputW, 0.3, 2),
  row('battery', 'Wh', (gear) => gear.energyWh! * (gear.batteryType === 'AA' ? 4 : 1), 0.6, 8),
  row('recorder', 'hour', (gear) => gear.batteryHours, 6, 25),
  row('head', 'kilogram borne', (gear) => gear.payloadKg, 2, 36),
  row('lens', 'gram', (gear) => gear.massG, 0.4, 3.6),
  row('reader', '100 MB/s', (gear) => gear.readMBps! / 100, 2, 15)
];

function row<K extends GearKind>(
  kind: K,
  what: string,
  of: (gear: GearOf<K>) => number | undefined,
  from: number,
  to: number
) {
  return { kind, what, of: of as (gear: never) => number | undefined, from, to };
}

/** How surely a rising figure goes with a rising price, −1 to 1 (rank correlation, ties shared). */
function rankAgreement(pairs: readonly (readonly [number, number])[]): number {
  const ranks = (values: number[]) => {
    const sorted = [...values].sort((a, b) => a - b);
    return values.map((value) => (sorted.indexOf(value) + sorted.lastIndexOf(value)) / 2);
  };
  const x = ranks(pairs.map(([a]) => a));
  const y = ranks(pairs.map(([, b]) => b));
  const mean = (pairs.length - 1) / 2;
  let xy = 0;
  let xx = 0;
  let yy = 0;
  for (let index = 0; index < pairs.length; index++) {
    xy += (x[index]! - mean) * (y[index]! - mean);
    xx += (x[index]! - mean) ** 2;
    yy += (y[index]! - mean) ** 2;
  }
  return xy / Math.sqrt(xx * yy);
}

describe('price against class', () => {
  it.each(poundsPer)('a $kind costs $from to $to pounds a $what', ({ kind, of, from, to }) => {
    for (const gear of catalogue.ofKind(kind)) {
      const figure = of(gear as never);
      expect(figure, gear.id).toBeGreaterThan(0);
      const pounds = gear.priceNew!.likely / 100 / figure!;
      expect(pounds, gear.id).toBeGreaterThanOrEqual(from);
      expect(pounds, gear.id).toBeLessThanOrEqual(to);
    }
  });

  const priceOf = (gear: GearItem) => gear.priceNew!.likely;
  it.each([
    [
      'a larger sensor',
      catalogue
        .ofKind('body')
        .filter(({ form }) => form === 'interchangeable')
        .map((gear) => [sensorFormats[gear.sensorFormat].widthMm, priceOf(gear)] as const)
    ],
    [
      'a quieter microphone',
      catalogue
        .ofKind('microphone')
        .filter(({ selfNoiseDbA }) => selfNoiseDbA !== undefined)
        .map((gear) => [-gear.selfNoiseDbA!, priceOf(gear)] as const)
    ],
    [
      'a stronger lamp',
      catalogue.ofKind('lamp').map((gear) => [gear.drawW!, priceOf(gear)] as const)
    ],
    [
      'legs that carry more',
      catalogue
        .ofKind('support')
        .filter(({ form, payloadKg }) => form === 'tripod' && payloadKg !== undefined)
        .map((gear) => [gear.payloadKg!, priceOf(gear)] as const)
    ],
    [
      'a larger card',
      catalogue
        .ofKind('card')
        .filter(({ speedClass }) => speedClass === 'V30')
        .map((gear) => [gear.capacityGb!, priceOf(gear)] as const)
    ]
  ])('%s costs more, by and large', (_, pairs) => {
    expect(pairs.length).toBeGreaterThan(3);
    expect(rankAgreement(pairs)).toBeGreaterThan(0.4);
  });
});

describe('used prices', () => {
  it('are between a third and nine tenths of the new one', () => {
    for (const { id, priceNew, priceUsed } of catalogue.items) {
      if (!priceUsed) continue;
      expect(priceUsed.likely / priceNew!.likely, id).toBeGreaterThan(0.33);
      expect(priceUsed.likely / priceNew!.likely, id).toBeLessThan(0.9);
    }
  });
});

describe('names of the shelf', () => {
  it('say a maker of ours and a model of ordinary words and figures, no two the same', () => {
    const makers = new Set(catalogue.items.map(({ maker }) => maker));
    expect([...makers].sort()).toEqual(ownMakers);
    expect(new Set(catalogue.items.map(({ id }) => id)).size).toBe(catalogue.items.length);
    // Letters glued to figures are how sheets of real makers call their things.
    const glued = catalogue.items.filter(({ model }) =>
      model
        .split(/[ ,]+/)
        .some((word) => /^[A-Za-z]{1,4}-?\d{2,}[A-Za-z]*$/.test(word) && !standards.test(word))
    );
    expect(glued.map(({ model }) => model)).toEqual([]);
  });
});

/** Every maker of the shelf; a new one is looked up before it is added here. */
const ownMakers = [
  'Brackenholt',
  'Cobberly',
  'Dunmarrow',
  'Ellowen',
  'Harkelow',
  'Nibsworth',
  'Orrowby',
  'Pellamund',
  'Quillfeather',
  'Tesselind',
  'Vantlow',
  'Withrick'
];
/** Classes that are named in open standards. */
const standards = /^(V\d\d|U\d)$/;
