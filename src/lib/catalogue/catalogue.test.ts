import { plainToInstance } from 'class-transformer';
import { validateSync } from 'class-validator';
import { describe, expect, it } from 'vitest';
import { faultsOf } from '../core/formats/faults';
import { gearKinds, pocketOf } from '../core/model/gear';
import { mates } from '../core/model/ports';
import { pockets } from '../core/model/pocket';
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
      const faults = faultsOf(
        validateSync(plainToInstance(gearKinds[gear.kind].make as new () => object, gear)),
        id
      );
      expect(faults).toEqual([]);
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
    const ports = catalogue.items.flatMap((gear) => gear.ports);
    for (const gear of catalogue.items) {
      for (const port of gear.ports) {
        if (port.role === 'joins' && port.family === 'power') continue;
        expect(
          ports.some((other) => mates(port, other)),
          `${gear.id}: ${port.type} ${port.end}`
        ).toBe(true);
      }
    }
    for (const body of catalogue.ofKind('body')) {
      if (body.cellType)
        expect(
          catalogue.ofKind('cell').some((cell) => cell.cellType === body.cellType),
          body.id
        ).toBe(true);
    }
  });

  it('states figures a lamp, cell or card of that class really has', () => {
    for (const lamp of catalogue.ofKind('lamp')) {
      const perWatt = lamp.illuminanceAt1mLx! / lamp.drawW!;
      expect(perWatt, lamp.id).toBeGreaterThan(1);
      // A bare reflector throws its light far; cloth and domes spread it.
      expect(perWatt, lamp.id).toBeLessThan(lamp.sourceRadiusM! < 0.05 ? 260 : 60);
    }
    for (const cell of catalogue.ofKind('cell')) {
      const whPerKg = (cell.energyWh! * (cell.cellType === 'AA' ? 4 : 1)) / (cell.massG! / 1000);
      expect(whPerKg, cell.id).toBeGreaterThan(80);
      expect(whPerKg, cell.id).toBeLessThan(260);
    }
    for (const card of catalogue.ofKind('card')) {
      expect(card.priceNew!.likely / card.capacityGb!, card.id).toBeLessThan(100);
    }
  });
});
