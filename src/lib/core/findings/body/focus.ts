import { fullName } from '../../model/gear';
import { figureRow, type AngleFindingRow } from '../finding';
import { cheapestOf, swapFor } from '../part-candidates';

/** B6. */
export const bodyFocusFindings: readonly AngleFindingRow[] = [
  figureRow({
    code: 'B6',
    family: 'body',
    about: 'no face-following, or it is lost in this mode',
    reads: ['faceInPicture'],
    judge: (rig, figures) => {
      if (!rig.body || rig.mode?.faceFocus !== false || figures.faceInPicture === undefined)
        return undefined;
      return {
        severity: 'warn',
        lineIds: [rig.body.line.id],
        title: () => `${rig.scene.name}: the focus does not follow a face`,
        why: () =>
          `${fullName(rig.body!.gear)} does not follow faces in this mode, and alone before the lens nobody pulls focus.`
      };
    },
    propose: ({ rig, shelf, project }) => {
      const better = rig.body!.gear.modes.find((mode) => mode.faceFocus === true);
      return [
        ...(better
          ? [
              {
                label: `Film at ${better.pixelsAcross} pixels, ${better.fps} frames`,
                act: {
                  type: 'change scene' as const,
                  sceneId: rig.scene.id,
                  patch: { pixelsAcross: better.pixelsAcross, fps: better.fps }
                }
              }
            ]
          : []),
        {
          parts: cheapestOf(shelf, project, 'body', (gear) =>
            gear.modes.some((mode) => mode.faceFocus === true)
          ),
          label: (gear) => `Swap to ${gear.model}`,
          act: swapFor(rig.body!.line.id)
        }
      ];
    }
  })
];
