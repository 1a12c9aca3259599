import { fullName } from '../../model/gear';
import { MIRED_DIFFERENCE, miredDifference } from '../../relations/lighting/colour';
import type { PlacedLamp, PlacedRig } from '../../rigs/placed-rig';
import { rigRow, type AngleFindingRow } from '../finding';
import { cheapestOf, swapFor } from '../part-candidates';

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

/** G3. */
export const colourFindings: readonly AngleFindingRow[] = [
  rigRow({
    code: 'G3',
    family: 'light',
    about: 'colour temperatures mix',
    judge: (rig) => {
      const difference = leastDifference(rig);
      if (difference === undefined || difference < MIRED_DIFFERENCE.seen) return undefined;
      return {
        severity: difference > MIRED_DIFFERENCE.strong ? 'warn' : 'note',
        lineIds: [rig.keyLamp!.part.line.id, rig.fillLamp!.part.line.id],
        has: difference,
        needs: MIRED_DIFFERENCE.seen,
        unit: 'count',
        title: () =>
          `${rig.scene.name}: two colours of light, ${Math.round(difference)} mired apart (seen from ${MIRED_DIFFERENCE.seen})`,
        why: () =>
          `${fullName(rig.keyLamp!.part.gear)} and ${fullName(rig.fillLamp!.part.gear)} cannot be brought nearer to each other, and no white balance serves both.`
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
  })
];
