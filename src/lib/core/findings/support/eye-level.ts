import { isSeated, showsFace } from '../../model/scene-facts';
import { lengthWords } from '../../figures/figure-words';
import { EYE_LEVEL_M } from '../../rigs/places';
import { rigRow, type AngleFindingRow } from '../finding';
import { cheapestOf, swapFor } from '../part-candidates';

/** S2. */
export const eyeLevelFindings: readonly AngleFindingRow[] = [
  rigRow({
    code: 'S2',
    family: 'support',
    about: 'below eye level',
    judge: (rig) => {
      const height = rig.support?.gear.heightMaxM;
      if (rig.angle.cameraPlace !== 'tripod' || !showsFace(rig.angle) || height === undefined)
        return undefined;
      const need = isSeated(rig.scene) ? EYE_LEVEL_M.seated : EYE_LEVEL_M.standing;
      if (height >= need) return undefined;
      return {
        severity: 'note',
        lineIds: [rig.support!.line.id],
        has: height,
        needs: need,
        unit: 'm',
        title: () =>
          `${rig.support!.gear.model} rises to ${lengthWords(height, rig.project.units)} (eye level is ${lengthWords(need, rig.project.units)})`,
        why: () => 'From below, a face is filmed from the chin up.'
      };
    },
    propose: ({ rig, shelf, project }) => [
      {
        parts: cheapestOf(
          shelf,
          project,
          'support',
          (gear) => gear.form === 'tripod' && (gear.heightMaxM ?? 0) >= EYE_LEVEL_M.standing
        ),
        label: (gear) => `Swap to ${gear.model}`,
        act: swapFor(rig.support!.line.id)
      }
    ]
  })
];
