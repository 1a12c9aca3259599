import { describe, expect, it } from 'vitest';
import { demoProject } from '../../catalogue/demos/saltmarsh-loom';
import { catalogue, shelfOf } from '../../catalogue/load-catalogue';
import { applyAct } from '../acts/apply-act';
import { readGearRows } from '../formats/csv-columns';
import { readCsvText, writeShelfCsv } from '../formats/csv-file';
import {
  makeSatchel,
  projectFromSatchel,
  readSatchel,
  writeSatchel
} from '../formats/satchel-file';
import { guessColumns } from '../formats/csv-columns';
import { judgeCandidates } from '../judge/candidates';
import { activePlan } from '../model/active-plan';
import type { GearItem } from '../model/gear';
import type { Project } from '../model/project';
import { asStatedGear, conversionWords, pricedFor } from './priced-shelf';
import { convertedMinor, rateInto, rateOfChange, usualCurrencies } from './rates';
import { statementOf } from './statement';

const price = (likely: number, currency: string) => ({
  likely,
  currency,
  date: '2026-11-28',
  source: 'a fair'
});

/** The demo with its microphone priced in euros, the rate stated or not. */
function inEuros(likely: number, rates?: Project['rates']): Project {
  const project = demoProject();
  const gear = { ...catalogue.byId.get('dunmarrow-plover')!, priceNew: price(likely, 'EUR') };
  return { ...project, ownGear: [gear as GearItem], ...(rates ? { rates } : {}) };
}
const lineOf = (project: Project) =>
  statementOf(project, activePlan(project), shelfOf(project)).lines.find(
    ({ line }) => line.gearId === 'dunmarrow-plover'
  )!;
const stated = [{ currency: 'EUR', perUnit: 0.86, date: '2026-11-28' }];

describe('a price in another currency', () => {
  it('keeps it, is counted at the stated rate, and says so', () => {
    const line = lineOf(inEuros(64900, stated));
    expect(line.unitMinor).toBe(55814);
    expect(line.firmMinor).toBe(55814);
    expect(conversionWords(line.price)).toBe('€649.00 at 0.86 (2026-11-28)');
    expect(asStatedGear(line.gear!).priceNew).toMatchObject({ likely: 64900, currency: 'EUR' });
  });

  it('is counted at a rate that is called rough where nobody has stated one', () => {
    const line = lineOf(inEuros(64900));
    expect(line.firmMinor).toBe(
      convertedMinor(64900, 'EUR', 'GBP', rateInto(demoProject(), 'EUR')!.perUnit)
    );
    expect(conversionWords(line.price)).toMatch(/rough rate of 2026-11-01/);
  });

  it('is left out, and found to be, where no rate is known', () => {
    const project = inEuros(100);
    project.ownGear = [{ ...project.ownGear[0]!, priceNew: price(5000, 'XPF') }];
    const money = statementOf(project, activePlan(project), shelfOf(project));
    expect(money.unpriced.map(({ line }) => line.gearId)).toContain('dunmarrow-plover');
  });

  it('takes the discount in its own currency, then the rate, then the shipping as typed', () => {
    const project = applyAct(inEuros(9995, stated), {
      type: 'change line',
      lineId: 'line-1',
      patch: { quantity: 3, discountPercent: 7.5, shippingMinor: 450 }
    });
    const goods = 3 * 9995 - Math.round(3 * 9995 * 0.075);
    expect(lineOf(project).firmMinor).toBe(Math.round(goods * 0.86) + 450);
  });

  it('is of no matter where everything is in one currency', () => {
    expect(pricedFor(demoProject(), catalogue)).toBe(catalogue);
    const money = statementOf(demoProject(), activePlan(demoProject()), catalogue);
    for (const { price: price } of money.lines) expect(conversionWords(price)).toBe('');
  });

  it('comes through the satchel file, the spreadsheet and an edit as it was stated', () => {
    const project = inEuros(64900, stated);
    const shelf = shelfOf(project);
    const read = readSatchel(writeSatchel(makeSatchel(project, shelf)));
    expect(read.ok).toBe(true);
    if (read.ok) {
      const back = projectFromSatchel(read.file, catalogue);
      expect(back.rates).toEqual(stated);
      expect(back.ownGear[0]!.priceNew).toMatchObject({ likely: 64900, currency: 'EUR' });
    }
    const csv = readCsvText(writeShelfCsv([shelf.byId.get('dunmarrow-plover')!]));
    if (!csv.ok) throw new Error(csv.says);
    const { gear } = readGearRows(csv.headers, csv.rows, guessColumns(csv.headers), {
      currency: 'GBP',
      day: '2026-11-28',
      source: 'a file',
      kind: undefined
    });
    expect(gear[0]!.priceNew).toMatchObject({ likely: 64900, currency: 'EUR' });
    const edited = { ...shelf.byId.get('dunmarrow-plover')!, massG: 99 };
    const put = applyAct(project, { type: 'put gear', gear: edited });
    expect(put.ownGear[0]!.priceNew).toMatchObject({ likely: 64900, currency: 'EUR' });
    expect(put.ownGear[0]!.priceNew).not.toHaveProperty('statedElsewhere');
  });
});

describe('a spreadsheet of prices in several currencies', () => {
  it('keeps each, reads each in its own pattern, and refuses what contradicts itself', () => {
    const text =
      'kind;maker;model;price new;price currency;batteryType;energyWh\n' +
      [
        ['one', '649,00 €', ''],
        ['two', '$ 1,299', ''],
        ['three', '1.299,00', 'EUR'],
        ['four', '12.50', ''],
        ['five', '12 €', 'USD']
      ]
        .map(([model, amount, currency]) => `battery;A;${model};${amount};${currency};Ember 8;8\n`)
        .join('');
    const csv = readCsvText(text);
    if (!csv.ok) throw new Error(csv.says);
    const { gear, refused } = readGearRows(csv.headers, csv.rows, guessColumns(csv.headers), {
      currency: 'GBP',
      day: '2026-11-28',
      source: 'a file',
      kind: undefined
    });
    const prices = [...gear].map(({ model, priceNew }) => [
      model,
      priceNew!.likely,
      priceNew!.currency
    ]);
    const faults = refused.map(
      ({ line, faults: of }) => `${line} ${of.map(({ says }) => says).join()}`
    );
    const needsMore = faults.filter((fault) => !fault.includes('its row says'));
    expect(needsMore).toEqual([]);
    expect(prices).toEqual([
      ['one', 64900, 'EUR'],
      ['two', 129900, 'USD'],
      ['three', 129900, 'EUR'],
      ['four', 1250, 'GBP']
    ]);
    expect(faults).toEqual([expect.stringMatching(/^6 .*is in EUR, and its row says USD/)]);
  });
});

describe('a project kept in another currency', () => {
  it('converts its limits and what was typed on the lines, and judges the shelf there', () => {
    const project = demoProject();
    project.pocketLimitsMinor = { sound: 20_000 };
    activePlan(project).lines[0]!.shippingMinor = 500;
    const euros = applyAct(project, {
      type: 'change currency',
      currency: 'EUR',
      perUnit: 1.25,
      date: '2026-11-28'
    });
    expect(euros.limitMinor).toBe(project.limitMinor * 1.25);
    expect(euros.pocketLimitsMinor).toEqual({ sound: 25_000 });
    expect(activePlan(euros).lines[0]!.shippingMinor).toBe(625);
    const before = statementOf(project, activePlan(project), shelfOf(project));
    const after = statementOf(euros, activePlan(euros), shelfOf(euros));
    expect(after.unpriced).toEqual([]);
    expect(Math.abs(after.firmMinor - before.firmMinor * 1.25)).toBeLessThanOrEqual(
      after.lines.length
    );
    const [best] = judgeCandidates(euros, shelfOf(euros), 'sound');
    const [bestBefore] = judgeCandidates(project, shelfOf(project), 'sound');
    expect(best!.gear.id).toBe(bestBefore!.gear.id);
  });

  it('comes back to what it was, to the penny of rounding, over every pair of usual currencies', () => {
    for (const currency of usualCurrencies) {
      const project = demoProject();
      const there = applyAct(project, {
        type: 'change currency',
        currency,
        perUnit: rateOfChange(project, currency)!,
        date: '2026-11-28'
      });
      expect(
        shelfOf(there).items.every((gear) => gear.priceNew?.currency === currency || !gear.priceNew)
      ).toBe(true);
      const back = applyAct(there, {
        type: 'change currency',
        currency: 'GBP',
        perUnit: rateOfChange(there, 'GBP')!,
        date: '2026-11-28'
      });
      expect(Math.abs(back.limitMinor - project.limitMinor), currency).toBeLessThanOrEqual(
        Math.ceil(project.limitMinor * 0.005)
      );
      expect(shelfOf(back).byId.get('dunmarrow-plover')!.priceNew!.likely).toBe(
        catalogue.byId.get('dunmarrow-plover')!.priceNew!.likely
      );
    }
  });
});

describe('what else is kept in the money of the project', () => {
  it('goes along into another currency, and back', () => {
    const asked: Project = {
      ...demoProject(),
      consumablesMinor: 3_000,
      incomes: [{ id: 'i', label: 'a commission', date: '2027-01-01', amountMinor: 10_000 }],
      priceAlerts: [{ gearId: 'dunmarrow-plover', basis: 'new', atMostMinor: 12_000 }]
    };
    const into = (project: Project, currency: string, perUnit: number) =>
      applyAct(project, { type: 'change currency', currency, perUnit, date: '2026-11-28' });
    const abroad = into(asked, 'EUR', 1.25);
    expect(abroad.consumablesMinor).toBe(3_750);
    expect(abroad.incomes![0]!.amountMinor).toBe(12_500);
    expect(abroad.priceAlerts![0]!.atMostMinor).toBe(15_000);
    const back = into(abroad, 'GBP', 0.8);
    expect(back.incomes).toEqual(asked.incomes);
    expect(back.priceAlerts).toEqual(asked.priceAlerts);
  });
});
