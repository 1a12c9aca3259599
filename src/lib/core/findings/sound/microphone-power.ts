import { againstNeed } from '../../figures/figure-words';
import { rigRow, type AngleFindingRow } from '../finding';
import { minutesBeforeSocket } from '../../supplies/filming-days';
import { cheapestOf, swapFor } from '../part-candidates';
import { newLine } from '../../model/new-line';
import { micLine } from './microphone-remedies';

/** A4, A5. */
export const microphonePowerFindings: readonly AngleFindingRow[] = [
  rigRow({
    code: 'A4',
    family: 'sound',
    about: 'a switch that can be forgotten',
    judge: (rig) => {
      if (!rig.mic?.gear.hasSwitch) return undefined;
      return {
        severity: 'note',
        lineIds: micLine(rig),
        has: 1,
        needs: 0,
        unit: 'count',
        title: () => `${rig.mic!.gear.model} has a power switch that can be left off`,
        why: () =>
          'Left off, the take is silent and nothing says so. It stands on the list before rolling; some makers of videos prefer a microphone without one.'
      };
    },
    propose: (context) => {
      const { rig, shelf, project } = context;
      const form = rig.mic!.gear.form;
      return [
        {
          parts: cheapestOf(
            shelf,
            project,
            'microphone',
            (gear) => gear.form === form && gear.hasSwitch === false
          ),
          label: (gear) => `Swap to ${gear.model}, which has none`,
          act: swapFor(rig.mic!.line.id)
        }
      ];
    }
  }),
  rigRow({
    code: 'A5',
    family: 'sound',
    about: 'the microphone’s own battery is shorter than the day',
    judge: (rig) => {
      const hours = rig.mic?.gear.batteryHours;
      if (hours === undefined) return undefined;
      const batteries = rig.mic!.gear.batteryType
        ? 1 +
          rig.kit
            .of('battery')
            .filter(({ gear }) => gear.batteryType === rig.mic!.gear.batteryType)
            .reduce((sum, { line }) => sum + line.quantity, 0)
        : 1;
      const need = minutesBeforeSocket(rig.scene, rig.angle);
      const have = hours * 60 * batteries;
      if (have >= need) return undefined;
      return {
        severity: 'warn',
        lineIds: micLine(rig),
        has: have,
        needs: need,
        unit: 'min',
        title: () => `${rig.mic!.gear.model} runs ${againstNeed(have, need, 'min')}`,
        why: () =>
          'That is what its own batteries last; the rest is recorded before the next socket.'
      };
    },
    propose: ({ rig, shelf, project, plan }) => {
      const { batteryType, form, batteryHours } = rig.mic!.gear;
      const [battery] =
        batteryType === undefined
          ? []
          : cheapestOf(shelf, project, 'battery', (gear) => gear.batteryType === batteryType);
      return [
        ...(battery
          ? [
              {
                label: `Add ${battery.model}`,
                act: { type: 'add line' as const, line: newLine(plan, battery) }
              }
            ]
          : []),
        {
          parts: cheapestOf(
            shelf,
            project,
            'microphone',
            (gear) => gear.form === form && (gear.batteryHours ?? Infinity) > (batteryHours ?? 0)
          ),
          label: (gear) => `Swap to ${gear.model}`,
          act: swapFor(rig.mic!.line.id)
        }
      ];
    }
  })
];
