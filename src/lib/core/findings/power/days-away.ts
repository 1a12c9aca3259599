import { payableMinor } from '../../money/payable-price';
import { batteriesFor } from '../../figures/endurance-rows';
import { againstNeed, figureWords } from '../../figures/figure-words';
import type { GearItem, GearOf } from '../../model/gear';
import { bankEnergyAtPlugWh } from '../../relations/power/bank';
import { AGED_HEALTH } from '../../relations/power/battery-minutes';
import { BANK_INTO_BATTERY } from '../../relations/power/off-grid';
import { figureRow, type AngleContext, type AngleFindingRow, type PartProposal } from '../finding';
import { addOne, cheapestOf, oneMore } from '../part-candidates';

/** So many pieces of the cheapest part that the missing energy is there. */
function manyOf<K extends 'power bank' | 'battery'>(
  { figures, shelf, project }: AngleContext,
  kind: K,
  whEach: (gear: GearOf<K>) => number | undefined
): PartProposal {
  const missing = figures.energyNeededAway! - figures.energyAway!;
  const pieces = (gear: GearItem) => Math.ceil(missing / whEach(gear as GearOf<K>)!);
  const cost = (gear: GearItem) => payableMinor(project, gear)! * pieces(gear);
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

/** P5. */
export const daysAwayFindings: readonly AngleFindingRow[] = [
  figureRow({
    code: 'P5',
    family: 'power',
    about: 'days away from mains are not covered',
    reads: ['awayShare', 'energyAway', 'energyNeededAway', 'awayDays'],
    judge: (rig, figures) => {
      const share = figures.awayShare;
      if (share === undefined || share >= 1) return undefined;
      const have = figures.energyAway!;
      const need = figures.energyNeededAway!;
      const days = figures.awayDays!;
      return {
        severity: 'stop',
        lineIds: [rig.body!.line.id],
        figure: 'energyAway',
        has: have,
        needs: need,
        unit: 'Wh',
        title: () =>
          `${rig.scene.name}: ${figureWords(days, 'days')} away from mains on ${againstNeed(have, need, 'Wh')}`,
        why: () =>
          'That is all that batteries, power banks, sun and car give before the next socket.'
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
            ? gear.energyWh * context.figures.coldShare! * (gear.otherMaker ? AGED_HEALTH : 1)
            : undefined
        ),
        ...((rig.scene.sunHoursPerDay ?? 0) > 0 ? [addOne(context, 'solar panel')] : []),
        ...batteriesFor(rig)
          .slice(0, 1)
          .flatMap((battery) => oneMore(context, battery))
      ];
    }
  })
];
