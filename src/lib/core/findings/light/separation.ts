import { figureRow, type AngleFindingRow } from '../finding';
import { addOne } from '../part-candidates';

/** G8. */
export const separationFindings: readonly AngleFindingRow[] = [
  figureRow({
    code: 'G8',
    family: 'light',
    about: 'no separation from a dark background',
    onlyNotes: true,
    reads: ['lampsSeen'],
    judge: (rig, figures) => {
      if (rig.scene.darkBackground !== true || !rig.keyLamp || rig.index > 0) return undefined;
      if (rig.furtherLamps.some(({ role }) => role !== 'overhead')) return undefined;
      const have = figures.lampsSeen ?? 0;
      const need = rig.fillLamp ? 3 : 2;
      if (have >= need) return undefined;
      return {
        severity: 'note',
        lineIds: [rig.keyLamp.part.line.id],
        figure: 'lampsSeen',
        has: have,
        needs: need,
        unit: 'count',
        title: () => `${rig.scene.name}: hair and shoulders sink into the dark`,
        why: () =>
          'Behind you it is dark and no lamp shines from there; a small one from behind or a lamp seen in the picture parts you from it. One big near lamp alone is a look of its own.'
      };
    },
    propose: (context) => [
      addOne(context, 'lamp', (gear) => gear.form === 'practical'),
      addOne(context, 'lamp', (gear) => gear.form === 'tube' || gear.form === 'panel'),
      {
        label: 'Keep the background dark',
        act: {
          type: 'change scene',
          sceneId: context.rig.scene.id,
          patch: { darkBackground: false }
        }
      }
    ]
  })
];
