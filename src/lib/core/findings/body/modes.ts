import { figureWords } from '../../figures/figure-words';
import { fullName } from '../../model/gear';
import { rigRow, type AngleFindingRow } from '../finding';
import { cheapestOf, setRig, swapFor } from '../part-candidates';
import { bodyLine } from './body-line';

/** A flat picture this far above the ordinary base ISO needs that much more filter. */
const stopsBetween = (high: number, low: number) => Math.log2(high / low);

/** B14, B8. */
export const modesFindings: readonly AngleFindingRow[] = [
  rigRow({
    code: 'B14',
    family: 'body',
    about: 'a flat picture raises the base ISO and needs grading',
    judge: (rig) => {
      const profile = rig.body?.gear.profiles?.find(({ name }) => name === rig.overrides?.profile);
      const base = rig.body?.gear.baseIso;
      if (profile?.flat !== true || base === undefined) return undefined;
      const stops = Math.max(0, stopsBetween(profile.baseIso, base));
      return {
        severity: 'note',
        lineIds: [rig.body!.line.id],
        figure: 'baseIso',
        has: profile.baseIso,
        needs: base,
        unit: 'ISO',
        title: () => `${profile.name} needs ${figureWords(stops, 'stops')} more filter`,
        why: () =>
          `It keeps more range but begins at ISO ${profile.baseIso} instead of ${base}, and every clip has to be graded before it is watched.`
      };
    },
    propose: (context) => {
      const ordinary = context.rig.body!.gear.profiles!.find(({ flat }) => flat !== true);
      return [
        {
          label: ordinary ? `Film in ${ordinary.name}` : 'Film in the ordinary profile',
          act: setRig(context, { profile: ordinary?.name })
        }
      ];
    }
  }),
  rigRow({
    code: 'B8',
    family: 'body',
    about: 'the wanted mode is missing',
    judge: (rig) => {
      const { mode, scene } = rig;
      if (!mode || (mode.pixelsAcross >= scene.pixelsAcross && mode.fps === scene.fps))
        return undefined;
      return {
        severity: 'warn',
        has: Math.min(mode.pixelsAcross / scene.pixelsAcross, mode.fps / scene.fps),
        needs: 1,
        unit: '×',
        lineIds: bodyLine(rig),
        title: () =>
          `${scene.name}: no mode with ${scene.pixelsAcross} pixels at ${figureWords(scene.fps, 'fps')} (nearest ${mode.pixelsAcross} at ${figureWords(mode.fps, 'fps')})`,
        why: () => `${fullName(rig.body!.gear)} comes no nearer than that.`
      };
    },
    propose: (context) => {
      const { rig, project, shelf } = context;
      const mode = rig.mode!;
      return [
        {
          label: `Film at ${mode.pixelsAcross} pixels, ${mode.fps} frames`,
          act: {
            type: 'change scene',
            sceneId: rig.scene.id,
            patch: { pixelsAcross: mode.pixelsAcross, fps: mode.fps }
          }
        },
        {
          parts: cheapestOf(shelf, project, 'body', (gear) =>
            gear.modes.some(
              (mode) => mode.pixelsAcross >= rig.scene.pixelsAcross && mode.fps === rig.scene.fps
            )
          ),
          label: (gear) => `Swap to ${gear.model}`,
          act: swapFor(rig.body!.line.id)
        }
      ];
    }
  })
];
