import { steadyings } from '../../figures/handling-rows';
import { fullName } from '../../model/gear';
import type { PlacedRig } from '../../rigs/placed-rig';
import { figureRow, type AngleFindingRow } from '../finding';
import { cheapestOf, setRig, swapFor } from '../part-candidates';

const isRide = ({ scene }: PlacedRig): boolean => scene.style === 'ride';

/** B9. */
export const stabilisationFindings: readonly AngleFindingRow[] = [
  figureRow({
    code: 'B9',
    family: 'body',
    about: 'walking or riding with neither sensor nor lens stabilisation',
    reads: ['walking', 'steadying'],
    judge: (rig, figures) => {
      if (figures.walking !== 1 || figures.steadying !== steadyings.indexOf('nothing'))
        return undefined;
      return {
        severity: 'warn',
        lineIds: rig.body ? [rig.body.line.id] : [],
        figure: 'steadying',
        has: 0,
        needs: 1,
        unit: 'count',
        title: () =>
          `${rig.scene.name}: no stabilisation while ${isRide(rig) ? 'riding' : 'walking'}`,
        why: () =>
          `Neither ${fullName(rig.body!.gear)} nor the lens is stabilised, so every ${isRide(rig) ? 'stone' : 'step'} shakes the picture. Electronic stabilisation afterwards crops it, and the motion blur of each ${isRide(rig) ? 'jolt' : 'step'} stays.`
      };
    },
    propose: (context) => {
      const { rig, shelf, project } = context;
      const steady = rig.kit
        .of('lens')
        .filter(({ gear, line }) => gear.stabilised === true && line.id !== rig.lens?.lineId);
      return [
        ...steady.map(({ line, gear }) => ({
          label: `Use the ${gear.model} here`,
          act: setRig(context, {
            lensLineId: line.id,
            focalLengthMm: undefined,
            apertureN: undefined
          })
        })),
        {
          parts: cheapestOf(shelf, project, 'support', (gear) => gear.form === 'gimbal'),
          label: (gear) => `Add ${gear.model}`
        },
        {
          parts: cheapestOf(shelf, project, 'body', (gear) => gear.stabilised === true),
          label: (gear) => `Swap to ${gear.model}`,
          act: swapFor(rig.body!.line.id)
        }
      ];
    }
  })
];
