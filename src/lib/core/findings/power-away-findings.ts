import { NIGHT_HOURS } from '../figures/away-rows';
import { batteriesFor } from '../figures/endurance-rows';
import { figureAt } from '../figures/record';
import { figureIndex } from '../figures/table';
import { figureWords } from '../figures/figure-words';
import type { GearItem, GearOf } from '../model/gear';
import { bankEnergyAtPlugWh } from '../relations/power/bank';
import { AGED_HEALTH } from '../relations/power/battery-minutes';
import { BANK_INTO_BATTERY } from '../relations/power/off-grid';
import type { AngleContext, AngleFindingRow, PartProposal } from './finding';
import { addOne, cheapestOf, oneMoreOf } from './part-candidates';

/** Filling batteries again: by morning, and far from any socket. */
export const powerAwayFindings: AngleFindingRow[] = [
  {
    code: 'P4',
    family: 'power',
    scope: 'angle',
    about: 'not all can be charged overnight',
    reads: ['batteriesByMorning'],
    judge: (rig, record) => {
      const emptied = figureAt(record, figureIndex.batteriesEmptied);
      const full = figureAt(record, figureIndex.batteriesByMorning);
      const spare = figureAt(record, figureIndex.spareBatteriesOfDay) ?? 0;
      if (!rig.hasSocket || emptied === undefined || full === undefined) return undefined;
      // Spares cover the next day; what they do not cover has to be full by morning.
      const needed = Math.max(0, emptied - spare);
      if (emptied === 0 || full >= needed || figureAt(record, figureIndex.batteryCount)! < emptied)
        return undefined;
      return {
        severity: 'warn',
        lineIds: batteriesFor(rig).map(({ line }) => line.id),
        figure: 'batteriesByMorning',
        has: full,
        needs: needed,
        unit: 'count',
        title: () => `${rig.scene.name}: ${full} of ${needed} batteries are full by morning`,
        why: () =>
          `A day empties ${emptied}; left alone for ${NIGHT_HOURS} h as many fill as there are bays, at ${figureWords(figureAt(record, figureIndex.chargingHours)!, 'h')} each. Getting up to change them is the other way.`
      };
    },
    propose: (context) => {
      const { rig } = context;
      const { batteryType } = rig.body!.gear;
      return [
        addOne(context, 'charger', (gear) => gear.batteryType === batteryType),
        ...batteriesFor(rig)
          .slice(0, 1)
          .map(({ line, gear }) => ({ label: `One more ${gear.model}`, act: oneMoreOf(line) })),
        addOne(context, 'battery', (gear) => gear.batteryType === batteryType)
      ];
    }
  },
  {
    code: 'P5',
    family: 'power',
    scope: 'angle',
    about: 'days away from mains are not covered',
    reads: ['awayShare'],
    judge: (rig, record) => {
      const share = figureAt(record, figureIndex.awayShare);
      if (share === undefined || share >= 1) return undefined;
      const have = figureAt(record, figureIndex.energyAway)!;
      const need = figureAt(record, figureIndex.energyNeededAway)!;
      const days = figureAt(record, figureIndex.awayDays)!;
      return {
        severity: 'stop',
        lineIds: [rig.body!.line.id],
        figure: 'energyAway',
        has: have,
        needs: need,
        unit: 'Wh',
        title: () =>
          `${rig.scene.name}: batteries last ${figureWords(Math.floor(share * days * 10) / 10, 'days')} (needs ${figureWords(days, 'days')})`,
        why: () =>
          `${figureWords(need, 'Wh')} are used before the next socket; batteries, banks, sun and car give ${figureWords(have, 'Wh')}.`
      };
    },
    propose: (context) => {
      const { rig } = context;
      const { batteryType } = rig.body!.gear;
      return [
        manyOf(context, 'power bank', (gear) =>
          gear.energyWh === undefined
            ? undefined
            : bankEnergyAtPlugWh(gear.energyWh) * BANK_INTO_BATTERY
        ),
        manyOf(context, 'battery', (gear) =>
          gear.batteryType === batteryType && gear.energyWh !== undefined
            ? gear.energyWh *
              figureAt(context.record, figureIndex.coldShare)! *
              (gear.otherMaker ? AGED_HEALTH : 1)
            : undefined
        ),
        ...((rig.scene.sunHoursPerDay ?? 0) > 0 ? [addOne(context, 'solar panel')] : []),
        ...batteriesFor(rig)
          .slice(0, 1)
          .map(({ line, gear }) => ({ label: `One more ${gear.model}`, act: oneMoreOf(line) }))
      ];
    }
  }
];

/** So many pieces of the cheapest part that the missing energy is there. */
function manyOf<K extends 'power bank' | 'battery'>(
  { record, shelf, project }: AngleContext,
  kind: K,
  whEach: (gear: GearOf<K>) => number | undefined
): PartProposal {
  const missing =
    figureAt(record, figureIndex.energyNeededAway)! - figureAt(record, figureIndex.energyAway)!;
  const pieces = (gear: GearItem) => Math.ceil(missing / whEach(gear as GearOf<K>)!);
  const cost = (gear: GearItem) => gear.priceNew!.likely * pieces(gear);
  return {
    parts: cheapestOf(
      shelf,
      project,
      kind,
      (gear) => (whEach(gear) ?? 0) > 0 && pieces(gear) < 40
    ).sort((a, b) => cost(a) - cost(b)),
    label: (gear) => `Add ${pieces(gear) > 1 ? `${pieces(gear)} × ` : ''}${gear.model}`,
    act: (line) => ({
      type: 'add line',
      line: { ...line, quantity: pieces(shelf.byId.get(line.gearId)!) }
    })
  };
}
