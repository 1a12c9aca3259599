import { isFlown } from '../../model/scene-facts';
import { supportsByPlace } from '../../rigs/places';
import { rigRow, type AngleFindingRow } from '../finding';
import { addOne } from '../part-candidates';
import { sentence } from '../sentence';

/** S6. */
export const secondAngleFindings: readonly AngleFindingRow[] = [
  rigRow({
    code: 'S6',
    family: 'support',
    about: 'the second angle has no support',
    judge: (rig) => {
      if (
        rig.index === 0 ||
        rig.support ||
        !rig.body ||
        rig.angle.cameraPlace === 'hand' ||
        isFlown(rig.angle)
      )
        return undefined;
      return {
        severity: 'stop',
        lineIds: [rig.body.line.id],
        has: 0,
        needs: 1,
        unit: 'count',
        title: () => `${rig.scene.name}: nothing holds the second camera`,
        why: () =>
          sentence(
            `${rig.angle.name} films at the same time as the first angle, and every support of the kit is in use`
          )
      };
    },
    propose: (context) => {
      const forms: readonly string[] = supportsByPlace[context.rig.angle.cameraPlace];
      return [addOne(context, 'support', (gear) => forms.includes(gear.form))];
    }
  })
];
