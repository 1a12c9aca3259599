import { lengthWords } from '../../figures/figure-words';
import type { Figures } from '../../figures/record';
import { figureRow, type AngleContext, type AngleFindingRow, type Proposal } from '../finding';
import { addOne, setRig } from '../part-candidates';
import { lampsMoved } from '../../acts/place-lamp';

/** Bright to dark side off what was asked: seen, and another picture. */
const RATIO_STOPS = { note: 0.5, warn: 1 } as const;

/** The end of the day that is further from the ratio asked. */
function brightSide(figures: Figures<'keyToFillWanted' | 'keyToFill' | 'keyToFillBright'>): {
  have: number;
  want: number;
  atBrightEnd: boolean;
} {
  const want = figures.keyToFillWanted!;
  const dim = figures.keyToFill!;
  const bright = figures.keyToFillBright!;
  const off = (ratio: number) => Math.abs(Math.log2(ratio / want));
  return off(bright) > off(dim)
    ? { have: bright, want, atBrightEnd: true }
    : { have: dim, want, atBrightEnd: false };
}

/** The fill lamp nearer or farther by a factor. */
function moveFill(context: AngleContext, factor: number): Proposal[] {
  const { fillLamp } = context.rig;
  if (!fillLamp) return [];
  const distanceM = Math.round(fillLamp.distanceM * factor * 100) / 100;
  if (distanceM < 0.4 || distanceM > 6) return [];
  return [
    {
      label: `Set the fill at ${lengthWords(distanceM, context.project.units)}`,
      act: setRig(context, { lamps: lampsMoved(context.rig, { fill: { distanceM } }) })
    }
  ];
}

/** Bright to dark side as people say it. */
const ratioWords = (ratio: number): string =>
  ratio === Infinity ? 'no fill' : `${ratio.toFixed(ratio < 10 ? 1 : 0)}:1`;

/** G9. */
export const keyToFillFindings: readonly AngleFindingRow[] = [
  figureRow({
    code: 'G9',
    family: 'light',
    about: 'bright to dark side is not what was asked',
    reads: ['keyToFillMiss', 'keyToFillWanted', 'keyToFill', 'keyToFillBright'],
    judge: (rig, figures) => {
      const miss = figures.keyToFillMiss;
      if (miss === undefined || miss <= RATIO_STOPS.note) return undefined;
      const { have, want } = brightSide(figures);
      return {
        severity: miss > RATIO_STOPS.warn ? 'warn' : 'note',
        lineIds: [rig.keyLamp, rig.fillLamp].flatMap((lamp) => (lamp ? [lamp.part.line.id] : [])),
        figure: 'keyToFill',
        has: have,
        needs: want,
        unit: '×',
        title: () =>
          `${rig.scene.name}: the shadow side is too ${have > want ? 'dark' : 'bright'}, ${ratioWords(have)} (asked for ${ratioWords(want)})`,
        why: () =>
          have === Infinity
            ? 'No light at all reaches the dark side of the face.'
            : `That is the light of the bright side of the face against the dark one.`
      };
    },
    propose: (context) => {
      const { rig, figures } = context;
      const { have, want, atBrightEnd } = brightSide(figures);
      // What lights both sides of the face then.
      const place = atBrightEnd
        ? (figures.lightBright ?? 0) + (figures.windowBright ?? 0)
        : (figures.lightDim ?? 0) + (figures.windowDim ?? 0);
      const key = figures.keyLight ?? 0;
      const fillNow = figures.fillLight ?? 0;
      const fillNeeded = want > 1 ? key / (want - 1) - place : Infinity;
      return [
        ...(fillNow > 0 && Number.isFinite(fillNeeded) && fillNeeded > 0
          ? moveFill(context, Math.sqrt(fillNow / fillNeeded))
          : []),
        ...((have > want && !rig.fillLamp) || (have < want && !rig.keyLamp)
          ? [addOne(context, 'lamp')]
          : []),
        {
          label: `Accept ${ratioWords(have)}`,
          act: {
            type: 'change scene',
            sceneId: rig.scene.id,
            patch: { wantsKeyToFill: Math.min(64, Math.max(1, Math.round(have * 10) / 10)) }
          }
        }
      ];
    }
  })
];
