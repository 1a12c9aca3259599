import type { PictureMeasures } from '../proof/measure-picture';
import type { Advice, VerdictRow } from './sound-verdict';

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

/** What a still is worth, and what to change. */
export function pictureVerdict(measures: PictureMeasures): {
  rows: readonly VerdictRow[];
  advice: readonly Advice[];
} {
  const { clippedShare, crushedShare, faceLuma, patch } = measures;
  const rows: VerdictRow[] = [];
  const advice: Advice[] = [];
  if (faceLuma !== undefined) {
    const isWanted = faceLuma >= FACE_FROM && faceLuma <= FACE_TO;
    rows.push({
      name: 'brightness of the face',
      value: faceLuma,
      shown: `${Math.round(faceLuma * 100)} %`,
      word: isWanted ? 'as wanted' : faceLuma < FACE_FROM ? 'too dark' : 'too bright',
      tone: isWanted ? 'good' : 'bad'
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
      shown: `${patch.castMired > 0 ? '+' : '−'}${Math.round(off)} mired`,
      word: off < CAST_SEEN ? 'unseen' : off < CAST_STRONG ? 'seen' : 'strong',
      tone: off < CAST_SEEN ? 'good' : off < CAST_STRONG ? 'fair' : 'bad'
    });
    if (off >= CAST_SEEN)
      advice.push({
        does: `white balance ${patch.castMired > 0 ? 'cooler' : 'warmer'} by ${Math.round(off)} mired`,
        brings: `grey looks ${Math.round(patch.kelvin / 50) * 50} K and should look 6500`
      });
  }
  return { rows, advice };
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
