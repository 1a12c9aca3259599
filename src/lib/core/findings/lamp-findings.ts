import { fullName } from '../model/gear';
import { figureWords, minutesWords } from '../figures/figure-words';
import { miredDifference, MIRED_DIFFERENCE } from '../relations/lighting/colour';
import type { PlacedLamp, PlacedRig } from '../rigs/placed-rig';
import type { AngleFindingRow } from './finding';
import { cheapestOf, swapFor } from './part-candidates';

/** Colours a lamp can be set to. */
function colours(lamp: PlacedLamp): { from: number; to: number } | undefined {
  const { colourMinK, colourMaxK } = lamp.part.gear;
  return colourMinK === undefined || colourMaxK === undefined
    ? undefined
    : { from: colourMinK, to: colourMaxK };
}

/** Least difference two lamps can be brought to, in mired. */
function leastDifference(rig: PlacedRig): number | undefined {
  if (!rig.keyLamp || !rig.fillLamp) return undefined;
  const key = colours(rig.keyLamp);
  const fill = colours(rig.fillLamp);
  if (!key || !fill) return undefined;
  if (key.from <= fill.to && fill.from <= key.to) return 0;
  return key.from > fill.to
    ? miredDifference(key.from, fill.to)
    : miredDifference(fill.from, key.to);
}

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

/** Two lamps that have to agree, and one that has to last. */
export const lampFindings: AngleFindingRow[] = [
  {
    code: 'G3',
    family: 'light',
    scope: 'angle',
    about: 'colour temperatures mix',
    reads: [],
    judge: (rig) => {
      const difference = leastDifference(rig);
      if (difference === undefined || difference < MIRED_DIFFERENCE.seen) return undefined;
      return {
        severity: difference > MIRED_DIFFERENCE.strong ? 'warn' : 'note',
        lineIds: [rig.keyLamp!.part.line.id, rig.fillLamp!.part.line.id],
        has: difference,
        needs: MIRED_DIFFERENCE.seen,
        unit: 'count',
        title: () => `${rig.scene.name}: two colours of light`,
        why: () =>
          `${fullName(rig.keyLamp!.part.gear)} and ${fullName(rig.fillLamp!.part.gear)} cannot be brought nearer than ${Math.round(difference)} mired; from ${MIRED_DIFFERENCE.seen} on it is seen, and no white balance serves both.`
      };
    },
    propose: ({ rig, shelf, project }) => [
      {
        label: `Remove ${rig.fillLamp!.part.gear.model} from kit`,
        act: { type: 'remove line', lineId: rig.fillLamp!.part.line.id }
      },
      {
        parts: cheapestOf(
          shelf,
          project,
          'lamp',
          (gear) => (gear.colourMinK ?? 9e9) <= 3200 && (gear.colourMaxK ?? 0) >= 5600
        ),
        label: (gear) => `Swap to ${gear.model}`,
        act: swapFor(rig.fillLamp!.part.line.id)
      }
    ]
  },
  {
    code: 'G6',
    family: 'light',
    scope: 'angle',
    about: 'the lamp runs out of battery',
    reads: [],
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
  }
];
