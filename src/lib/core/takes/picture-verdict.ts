import type { SolvedExposure } from '../exposure/solved-exposure';
import type { Scene } from '../model/scene';
import type { PictureMeasures } from '../proof/measure-picture';
import type { Advice, TakenIn, VerdictRow } from './sound-verdict';

/** Where a face is wanted, as a share of full scale as written, and where it is put when it is off. */
const FACE_FROM = 0.45;
const FACE_TO = 0.7;
const FACE_AT = 0.58;
/** Points of a still that may be white or black before it is seen. */
const CLIPPED_SEEN = 0.01;
const CLIPPED_STRONG = 0.05;
/** Colour that is off by less is not seen; by more it is strong. Mired. */
const CAST_SEEN = 15;
const CAST_STRONG = 40;

/** From a written value to light, by the power sRGB comes near to. */
const light = (written: number): number => written ** 2.2;

/** A card reflects this of what falls on it. */
const GREY = 0.18;
/** Past this of white a card says no more how bright it is. */
const GREY_UP_TO = 0.9;
/** What is told and what is measured are sure to about a third of a stop. */
const SURE_STOPS = 1 / 3;

export interface PictureVerdict {
  rows: readonly VerdictRow[];
  advice: readonly Advice[];
  /** Measured figures that can take the place of guessed ones. */
  takeOver: readonly Advice[];
}

/** What a still is worth, and what to change; beside what the kit told for the dim end of the scene's light. */
export function pictureVerdict(measures: PictureMeasures, taken?: TakenIn): PictureVerdict {
  const { clippedShare, crushedShare, faceLuma, patch } = measures;
  const rows: VerdictRow[] = [];
  const advice: Advice[] = [];
  const exposure = taken?.record.exposures.dim;
  if (faceLuma !== undefined) {
    const isWanted = faceLuma >= FACE_FROM && faceLuma <= FACE_TO;
    rows.push({
      name: 'brightness of the face',
      value: faceLuma,
      shown: `${Math.round(faceLuma * 100)} %`,
      word: isWanted ? 'as wanted' : faceLuma < FACE_FROM ? 'too dark' : 'too bright',
      tone: isWanted ? 'good' : 'bad',
      ...(exposure ? faceGap(faceLuma, exposure.plan.offStops) : {})
    });
    const stops = Math.log2(light(FACE_AT) / light(Math.max(0.01, faceLuma)));
    if (!isWanted)
      advice.push({
        does: `${thirds(Math.abs(stops))} ${stops > 0 ? 'more' : 'less'} light`,
        brings: `the face at ${Math.round(FACE_AT * 100)} %: by the lamp, the aperture or ISO`
      });
  }
  rows.push(
    shareRow('clipped', clippedShare, 'highlights'),
    shareRow('crushed', crushedShare, 'shadows')
  );
  if (clippedShare >= CLIPPED_STRONG)
    advice.push({
      does: 'a third of a stop less light',
      brings: 'what is white gets its detail back'
    });
  if (patch) {
    const off = Math.abs(patch.castMired);
    rows.push({
      name: 'colour cast',
      value: patch.castMired,
      shown: castWords(patch.castMired),
      word: off < CAST_SEEN ? 'unseen' : off < CAST_STRONG ? 'seen' : 'strong',
      tone: off < CAST_SEEN ? 'good' : off < CAST_STRONG ? 'fair' : 'bad',
      ...(taken ? castGap(patch.castMired) : {})
    });
    if (off >= CAST_SEEN)
      advice.push({
        does: `white balance ${patch.castMired > 0 ? 'cooler' : 'warmer'} by ${Math.round(off)} mired`,
        brings: `grey looks ${Math.round(patch.kelvin / 50) * 50} K and should look 6500`
      });
  }
  const lux = exposure && patch?.light !== undefined ? luxFrom(patch.light, exposure) : undefined;
  if (lux !== undefined) rows.push(luxRow(lux, exposure!.plan.lx));
  return {
    rows,
    advice,
    takeOver: lux !== undefined && taken ? lightTakeOver(lux, exposure!, taken.scene) : []
  };
}

/** What the kit told of the face: as wanted, but for what its settings leave too dark or too bright. */
function faceGap(faceLuma: number, offStops: number): Partial<VerdictRow> {
  const told = Math.min(1, FACE_AT * 2 ** (offStops / 2.2));
  const stops = Math.log2(light(Math.max(0.01, faceLuma)) / light(told));
  return {
    predicted: told,
    told: `told ${Math.round(told * 100)} %`,
    ...(Math.abs(stops) <= SURE_STOPS
      ? {}
      : {
          gap: `${thirds(Math.abs(stops))} ${stops < 0 ? 'darker' : 'brighter'} than told`,
          explains:
            stops < 0
              ? 'less light falls on it than stated, or the settings are not the card’s'
              : 'more light falls on it than stated, or the settings are not the card’s'
        })
  };
}

/** The kit tells a balance that is set to its light: no cast. */
const castGap = (castMired: number): Partial<VerdictRow> => ({
  predicted: 0,
  told: 'told none',
  ...(Math.abs(castMired) < CAST_SEEN
    ? {}
    : {
        gap: `${Math.round(Math.abs(castMired))} mired ${castMired > 0 ? 'warmer' : 'cooler'} than told`,
        explains: 'the balance is not set to this light, or another colour of light is mixed in'
      })
});

/**
 * Light on a grey card, from how it is written with the settings of the card: as far from the planned light as the card is
 * from where planned light would put it.
 *
 * @param written light of the grey patch, of white
 * @returns lux; undefined where the card is as good as white or black
 */
export function luxFrom(written: number, { plan }: SolvedExposure): number | undefined {
  if (written > GREY_UP_TO || written < GREY / 256 || plan.lx <= 0) return undefined;
  return (plan.lx * written) / GREY / 2 ** plan.offStops;
}

function luxRow(lux: number, toldLx: number): VerdictRow {
  const stops = Math.log2(lux / toldLx);
  const isAsTold = Math.abs(stops) <= SURE_STOPS;
  return {
    name: 'light on the grey card',
    value: lux,
    shown: luxWords(lux),
    word: isAsTold ? 'as told' : stops < 0 ? 'less' : 'more',
    tone: isAsTold ? 'good' : 'fair',
    predicted: toldLx,
    told: `told ${luxWords(toldLx)}`,
    ...(isAsTold
      ? {}
      : {
          gap: `${thirds(Math.abs(stops))} ${stops < 0 ? 'less' : 'more'} than told`,
          explains: 'taken with the settings of the card for the dim end of the light'
        })
  };
}

/** To two figures that count: a still says no more. */
function wholeLux(lux: number): number {
  const step = 10 ** Math.max(0, Math.floor(Math.log10(Math.max(1, lux))) - 1);
  return Math.round(lux / step) * step;
}

const luxWords = (lux: number): string => `${wholeLux(lux).toLocaleString('en-GB')} lx`;

/** The light of the place from what was measured, once lamps and window are taken out; nothing where they are most of it. */
function lightTakeOver(lux: number, { plan, task }: SolvedExposure, scene: Scene): Advice[] {
  const windowLx = task.placeLx - scene.lightDimLx;
  const place = lux - plan.lampShare * task.lampsLx - windowLx;
  if (place < lux / 2 || Math.abs(Math.log2(lux / plan.lx)) <= SURE_STOPS) return [];
  const lightDimLx = wholeLux(place);
  return [
    {
      does: `Take ${luxWords(lightDimLx)} as the dim end of the light`,
      brings: `instead of ${luxWords(scene.lightDimLx)}: what the grey card says, with the settings of the card`,
      act: {
        type: 'change scene',
        sceneId: scene.id,
        patch: { lightDimLx, lightBrightLx: Math.max(lightDimLx, scene.lightBrightLx) }
      }
    }
  ];
}

function castWords(castMired: number): string {
  const off = Math.round(Math.abs(castMired));
  return `${off === 0 ? '' : castMired > 0 ? '+' : '−'}${off} mired`;
}

function shareRow(name: string, share: number, what: string): VerdictRow {
  return {
    name: `${name} ${what}`,
    value: share,
    shown: `${(share * 100).toFixed(1)} %`,
    word: share < CLIPPED_SEEN ? 'unseen' : share < CLIPPED_STRONG ? 'seen' : 'strong',
    tone: share < CLIPPED_SEEN ? 'good' : share < CLIPPED_STRONG ? 'fair' : 'bad'
  };
}

/** Stops as they are marked on a lens. */
function thirds(stops: number): string {
  const count = Math.max(1, Math.round(stops * 3));
  const whole = Math.floor(count / 3);
  const rest = ['', 'a third', 'two thirds'][count % 3]!;
  return whole === 0
    ? `${rest} of a stop`
    : `${whole}${rest === '' ? '' : ` and ${rest}`} ${whole === 1 && rest === '' ? 'stop' : 'stops'}`;
}
