import { type HeadGear, fullName } from '../../model/gear';
import { headForms } from '../../model/word-lists';
import { supportsByPlace } from '../../rigs/places';
import { figureRow, type AngleContext, type AngleFindingRow, type PartProposal } from '../finding';
import { addOne, ofAngleOrScene, swapTo } from '../part-candidates';

/** Bare legs want a fluid head, or another one in place of the head they carry. */
function headProposals(context: AngleContext): PartProposal[] {
  const { support, head } = context.rig;
  if (support?.gear.head !== 'none') return [];
  const fluid = (gear: HeadGear) => gear.form === 'fluid';
  return [head ? swapTo(context, 'head', head.line.id, fluid) : addOne(context, 'head', fluid)];
}

/** S3. */
export const panFindings: readonly AngleFindingRow[] = [
  figureRow({
    code: 'S3',
    family: 'support',
    about: 'a pan is wanted without a fluid head',
    reads: ['supportHead'],
    judge: (rig, figures) => {
      const head = figures.supportHead;
      if (head === undefined || headForms[head] === 'fluid' || rig.support?.gear.form === 'gimbal')
        return undefined;
      return {
        severity: 'warn',
        lineIds: [(rig.head ?? rig.support!).line.id],
        has: 0,
        needs: 1,
        unit: 'yes/no',
        title: () => `${(rig.head ?? rig.support!).gear.model} cannot pan smoothly`,
        why: () =>
          `${fullName(rig.support!.gear)} has ${headForms[head] === 'none' ? 'no head' : `a ${headForms[head]} head`}; following what moves needs a fluid one, or a gimbal.`
      };
    },
    propose: (context) => [
      ...headProposals(context),
      swapTo(
        context,
        'support',
        context.rig.support!.line.id,
        (gear) =>
          gear.head === 'fluid' &&
          (supportsByPlace[context.rig.angle.cameraPlace] as readonly string[]).includes(gear.form)
      ),
      {
        label: 'Keep the camera still',
        act: ofAngleOrScene(context.rig, 'wantsPan', false)
      }
    ]
  })
];
