import { NIGHT_HOURS } from '../../figures/away-rows';
import { batteriesFor } from '../../figures/endurance-rows';
import { figureWords } from '../../figures/figure-words';
import { figureRow, type AngleFindingRow } from '../finding';
import { addOne, oneMore } from '../part-candidates';

/** P4. */
export const chargingFindings: readonly AngleFindingRow[] = [
  figureRow({
    code: 'P4',
    family: 'power',
    about: 'not all can be charged overnight',
    reads: [
      'batteriesEmptied',
      'batteriesByMorning',
      'spareBatteriesOfDay',
      'batteryCount',
      'chargingHours'
    ],
    judge: (rig, figures) => {
      const emptied = figures.batteriesEmptied;
      const full = figures.batteriesByMorning;
      const spare = figures.spareBatteriesOfDay ?? 0;
      if (!rig.hasSocket || emptied === undefined || full === undefined) return undefined;
      // Spares cover the next day; what they do not cover has to be full by morning.
      const needed = Math.max(0, emptied - spare);
      if (emptied === 0 || full >= needed || figures.batteryCount! < emptied) return undefined;
      return {
        severity: 'warn',
        lineIds: batteriesFor(rig).map(({ line }) => line.id),
        figure: 'batteriesByMorning',
        has: full,
        needs: needed,
        unit: 'count',
        title: () => `${rig.scene.name}: ${full} of ${needed} batteries are full by morning`,
        why: () =>
          `A day empties ${emptied}; left alone for ${NIGHT_HOURS} h as many fill as there are bays, at ${figureWords(figures.chargingHours!, 'h')} each. Getting up to change them is the other way.`
      };
    },
    propose: (context) => {
      const { rig } = context;
      const { batteryType } = rig.body!.gear;
      return [
        addOne(context, 'charger', (gear) => gear.batteryType === batteryType),
        ...batteriesFor(rig)
          .slice(0, 1)
          .flatMap((battery) => oneMore(context, battery)),
        addOne(context, 'battery', (gear) => gear.batteryType === batteryType)
      ];
    }
  })
];
