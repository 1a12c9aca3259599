import { subjectWords } from '../../model/scene-facts';
import { figureWords } from '../../figures/figure-words';
import { FRAMING_RATIO } from '../../relations/optics/framing-ratio';
import { fullName } from '../../model/gear';
import type { PlacedRig } from '../../rigs/placed-rig';
import { exposureSeverity } from '../exposure-severity';
import {
  type AngleContext,
  type AngleFindingRow,
  figureRow,
  type Held,
  type Proposal
} from '../finding';
import { lensLine, otherLens } from '../lens-proposals';
import { cheapestOf } from '../part-candidates';
import { releasedSettings } from '../release-settings';

const figuresRead = [
  'tooDark',
  'tooDarkBlocked',
  'isoNeededDim',
  'highestUsableIso',
  'faceInUse',
  'aperture',
  'shutter'
] as const;
type Read = { readonly [id in (typeof figuresRead)[number]]: number | undefined };

/** No camera has more; beyond it a number says nothing. */
const MOST_ISO_SAID = 1_000_000;

/** Noise, smear and underexposure as one finding: of the place's light (L6) or of one's own lamps (G1). */
export function tooDark(rig: PlacedRig, figures: Read, lineIds: readonly string[]) {
  const size = figures.tooDark;
  if (size === undefined) return undefined;
  const blocks = figures.tooDarkBlocked! > 0;
  const severity = exposureSeverity(size, blocks);
  if (!severity) return undefined;
  const needed = figures.isoNeededDim!;
  const isoWords =
    needed > MOST_ISO_SAID ? 'more ISO than any camera has' : figureWords(needed, 'ISO');
  const usable = figures.highestUsableIso!;
  const lx = figures.faceInUse!;
  return {
    severity,
    lineIds,
    figure: 'isoNeededDim',
    has: usable,
    needs: needed,
    unit: 'ISO',
    title: () =>
      lx > 0
        ? `${rig.scene.name}: ${blocks ? 'too dark, needs' : 'needs'} ${isoWords}, usable up to about ${figureWords(usable, 'ISO')}`
        : `${rig.scene.name}: there is no light to film by`,
    why: () =>
      lx > 0
        ? `${figureWords(lx, 'lx')} on ${subjectWords(rig.angle)} at ${figureWords(figures.aperture!, 'f/')} and ${figureWords(figures.shutter!, 's')} needs ${isoWords}; ${rig.body ? fullName(rig.body.gear) : 'the body'} is clean up to about ${figureWords(usable / 4, 'ISO')} and usable up to ${figureWords(usable, 'ISO')}.`
        : 'The brief says no light at the dimmest, and no lamp of the kit is lit here.'
  } satisfies Held;
}

/** A lens as fast as any for the framing, for who needs more light or a softer background. */
export const fasterLens = (context: AngleContext): Proposal[] => {
  const focal = context.figures.focalLengthWanted ?? 0;
  const widest = context.figures.apertureWidest ?? 0;
  return otherLens(
    context,
    (gear) =>
      gear.apertureWideN < widest - 0.05 &&
      gear.focalLengthMinMm <= focal * FRAMING_RATIO.fine &&
      gear.focalLengthMaxMm >= focal / FRAMING_RATIO.fine
  );
};

/** One's own lamps light the scene: what is missing is told of them. */
export const litByOwnLamps = ({ scene, keyLamp }: PlacedRig): boolean =>
  scene.lightSource === 'lamps' || keyLamp !== undefined;

/** L6. */
export const exposureFindings: readonly AngleFindingRow[] = [
  figureRow({
    code: 'L6',
    family: 'lens',
    about: 'not enough light for a clean picture',
    reads: figuresRead,
    judge: (rig, figures) =>
      litByOwnLamps(rig)
        ? undefined
        : tooDark(rig, figures, [...lensLine(rig), ...(rig.body ? [rig.body.line.id] : [])]),
    propose: (context) => {
      const { rig, shelf, project } = context;
      const proposals: Proposal[] = [...releasedSettings(context)];
      if (rig.scene.room) {
        proposals.push({
          parts: cheapestOf(shelf, project, 'lamp'),
          label: (gear) => `Light it with ${gear.model}`,
          act: (line) => ({
            type: 'batch',
            acts: [
              { type: 'add line', line },
              { type: 'change scene', sceneId: rig.scene.id, patch: { lightSource: 'lamps' } }
            ]
          })
        });
      }
      return [...proposals, ...fasterLens(context)];
    }
  })
];
