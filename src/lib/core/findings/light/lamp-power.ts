import { figureWords, minutesWords } from '../../figures/figure-words';
import { fullName } from '../../model/gear';
import type { PlacedLamp, PlacedRig } from '../../rigs/placed-rig';
import { rigRow, type AngleFindingRow } from '../finding';
import { cheapestOf, swapFor } from '../part-candidates';

/** Minutes a lamp runs where there is no socket for it; Infinity on the mains. */
function lampMinutes(rig: PlacedRig, lamp: PlacedLamp): number | undefined {
  const { gear, line } = lamp.part;
  if (rig.hasSocket && gear.runsFromMains) return Infinity;
  if (gear.drawW === undefined) return undefined;
  const batteries = rig.kit
    .of('battery')
    .filter(
      (battery) => gear.batteryType !== undefined && battery.gear.batteryType === gear.batteryType
    );
  const wattHours =
    (gear.internalBatteryWh ?? 0) * line.quantity +
    batteries.reduce(
      (sum, battery) => sum + (battery.gear.energyWh ?? 0) * battery.line.quantity,
      0
    );
  return (60 * wattHours) / gear.drawW;
}

/** G6. */
export const lampPowerFindings: readonly AngleFindingRow[] = [
  rigRow({
    code: 'G6',
    family: 'light',
    about: 'the lamp runs out of battery',
    judge: (rig) => {
      const minutes = rig.keyLamp && lampMinutes(rig, rig.keyLamp);
      const need = rig.scene.recordedMin * Math.max(1, rig.scene.daysWithoutSocket);
      if (minutes === undefined || minutes >= need) return undefined;
      return {
        severity: 'warn',
        lineIds: [rig.keyLamp!.part.line.id],
        has: minutes,
        needs: need,
        unit: 'min',
        title: () => `${rig.scene.name}: the lamp is out after ${minutesWords(minutes)}`,
        why: () =>
          `${fullName(rig.keyLamp!.part.gear)} draws ${figureWords(rig.keyLamp!.part.gear.drawW!, 'W')} at full light; ${minutesWords(need)} are recorded before it can be charged. Turned down it lasts longer.`
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
