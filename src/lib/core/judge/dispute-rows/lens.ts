import { showsFace } from '../../model/scene-facts';
import { figureOf } from '../../figures/record';
import type { Act } from '../../acts/act';
import { widestApertureN } from '../../rigs/place-lens';
import type { Judgement } from '../judgement';
import type { DisputeContext, DisputeRow } from './dispute';
import { eachInstead, together } from './ways';

/** More than a third of a stop closed counts as stopped down. */
const STOPPED_DOWN = 2 ** (1 / 6);

/** Angles with a lens, a talking face and so an aperture to disagree about. */
const facesFilmed = ({ judgement }: DisputeContext) =>
  judgement.angles.filter(
    ({ rig, angle }) =>
      rig.lens !== undefined && rig.focalLengthMm !== undefined && showsFace(angle)
  );

const widest = ({ rig }: Judgement['angles'][number]) =>
  widestApertureN(rig.lens!, rig.focalLengthMm!);

const isStoppedDown = (angle: Judgement['angles'][number]) =>
  (figureOf(angle.record, 'aperture') ?? 0) > widest(angle) * STOPPED_DOWN;

export const lensDisputes = {
  aperture: {
    question: 'Widest open, or a stop down?',
    byDegrees: true,
    sides: [
      {
        name: 'widest open',
        says: 'Most light and the softest background: it is what one paid for.'
      },
      {
        name: 'a stop down',
        says: 'Nose and ears are sharp together, and a step back does not lose the face.'
      }
    ],
    where: 'lens',
    arises: (context) => facesFilmed(context).length > 0,
    standing: (context) => {
      const filmed = facesFilmed(context);
      return [filmed.some((angle) => !isStoppedDown(angle)), filmed.some(isStoppedDown)];
    },
    ways: (context, side) =>
      together(
        facesFilmed(context)
          .filter((angle) => isStoppedDown(angle) === (side === 0))
          .map((angle): Act => ({
            type: 'set rig',
            sceneId: angle.scene.id,
            angleId: angle.angle.id,
            patch: {
              apertureN:
                side === 0
                  ? undefined
                  : Math.min(
                      Math.round(widest(angle) * Math.SQRT2 * 10) / 10,
                      angle.rig.lens!.apertureSmallestN ?? Infinity
                    )
            }
          }))
      )
  },
  'lens kind': {
    question: 'A fast fixed lens, or a slower stabilised zoom?',
    sides: [
      {
        name: 'fast fixed',
        says: 'Two stops more light for the money, a softer wall behind you, less on the arm.'
      },
      {
        name: 'stabilised zoom',
        says: 'It frames any room, stabilises the hand-held shot, and shows which fixed lens to buy next.'
      }
    ],
    where: 'lens',
    arises: ({ judgement }) =>
      judgement.angles.some(({ rig }) => rig.body !== undefined && rig.lens?.builtIn !== true),
    standing: ({ judgement }) => {
      const used = judgement.angles.flatMap(({ rig }) => (rig.lens?.gear ? [rig.lens.gear] : []));
      return [
        used.some((lens) => lens.focalLengthMinMm === lens.focalLengthMaxMm),
        used.some((lens) => lens.focalLengthMinMm < lens.focalLengthMaxMm)
      ];
    },
    ways: (context, side) =>
      eachInstead(context, 'lens', (lens) =>
        side === 0
          ? lens.focalLengthMinMm === lens.focalLengthMaxMm
          : lens.focalLengthMinMm < lens.focalLengthMaxMm && lens.stabilised === true
      )
  }
} as const satisfies Record<string, DisputeRow>;
