import type { Act } from '../acts/act';
import type { LensGear } from '../model/gear';
import { mountOf } from '../rigs/place-lens';
import type { PlacedRig } from '../rigs/placed-rig';
import type { AngleContext, Proposal } from './finding';
import { cheapestOf, setRig, swapFor } from './part-candidates';

/** The line of the lens an angle uses, for what a finding involves. */
export const lensLine = (rig: PlacedRig) => (rig.lens ? [rig.lens.lineId] : []);

/** A lens used here, its focal length and aperture left to follow. */
export function useLens(context: AngleContext, lineId: string): Act {
  return setRig(context, { lensLineId: lineId, focalLengthMm: undefined, apertureN: undefined });
}

/** A lens the kit has, else another of the shelf in the lens's place; an owned one stays in the kit. */
export function otherLens(context: AngleContext, passes: (gear: LensGear) => boolean): Proposal[] {
  const { rig, shelf, project } = context;
  if (!rig.lens || rig.lens.builtIn) return [];
  const { lineId } = rig.lens;
  const mount = mountOf(rig.body);
  const fits = (gear: LensGear) => gear.mount === mount && passes(gear);
  const owned = rig.kit.byLine(lineId)?.line.state === 'owned';
  return [
    ...rig.kit
      .of('lens')
      .filter(({ line, gear }) => line.id !== lineId && fits(gear))
      .map(({ line, gear }) => ({
        label: `Use the ${gear.model} here`,
        act: useLens(context, line.id)
      })),
    {
      parts: cheapestOf(shelf, project, 'lens', fits),
      label: (gear) => (owned ? `Add ${gear.model}` : `Swap to ${gear.model}`),
      act: (line) => ({
        type: 'batch',
        acts: [
          owned ? { type: 'add line', line } : swapFor(lineId)(line),
          useLens(context, line.id)
        ]
      })
    }
  ];
}
