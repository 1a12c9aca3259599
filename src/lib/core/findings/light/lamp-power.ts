import { againstNeed, figureWords } from '../../figures/figure-words';
import { fullName } from '../../model/gear';
import { figureRow, type AngleFindingRow } from '../finding';
import { minutesBeforeSocket } from '../../supplies/filming-days';
import { cheapestOf, swapFor } from '../part-candidates';

/** G6. */
export const lampPowerFindings: readonly AngleFindingRow[] = [
  figureRow({
    code: 'G6',
    family: 'light',
    about: 'the lamp runs out of battery',
    reads: ['lampMinutes', 'lampDraw'],
    judge: (rig, figures) => {
      const minutes = figures.lampMinutes;
      const need = minutesBeforeSocket(rig.scene, rig.angle);
      if (minutes === undefined || minutes >= need) return undefined;
      return {
        severity: 'warn',
        lineIds: [rig.keyLamp!.part.line.id],
        figure: 'lampMinutes',
        has: minutes,
        needs: need,
        unit: 'min',
        title: () =>
          `${rig.scene.name}: the lamp’s battery lasts ${againstNeed(minutes, need, 'min')}`,
        why: () =>
          `${fullName(rig.keyLamp!.part.gear)} draws ${figureWords(figures.lampDraw!, 'W')} at full light. Turned down it lasts longer.`
      };
    },
    propose: ({ rig, shelf, project }) => [
      {
        parts: cheapestOf(
          shelf,
          project,
          'lamp',
          (gear) =>
            (rig.hasSocket && gear.runsFromMains === true) ||
            (gear.internalBatteryWh ?? 0) > (rig.keyLamp!.part.gear.internalBatteryWh ?? 0)
        ),
        label: (gear) => `Swap to ${gear.model}`,
        act: swapFor(rig.keyLamp!.part.line.id)
      }
    ]
  })
];
