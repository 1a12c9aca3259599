import { figureOf, type FigureRecord } from '../figures/record';
import type { AngleJudgement } from '../judge/incremental';
import { isInPicture, type SetLayout, type Spot } from './layout';

/** A thing drawn in the picture: place and size as shares of its width and height, from the top left. */
export interface InPicture {
  x: number;
  y: number;
  /** Metres there that fill the width of the picture. */
  widthM: number;
}

/** What the picture through the lens is drawn from; every figure is the judge's own. */
export interface LensPicture {
  /** Width to height. */
  aspect: number;
  /** Metres of the plane of the subject that fill the width. */
  widthM: number;
  people: readonly InPicture[];
  /** Metres of the background that fill the width; undefined where it is far away. */
  backgroundWidthM: number | undefined;
  /** Diameter of the blur of the background, in per cent of the long side. */
  backgroundBlurPercent: number;
  /** How much larger the nose is drawn than the ears. */
  stretch: number;
  faceIsSharp: boolean;
  /** The body does not follow a face in this mode, and nobody pulls focus. */
  focusIsLost: boolean;
  /** Stops over, or under below zero, at the dim end. */
  offStops: number;
  iso: number | undefined;
  usableIso: number | undefined;
  /** Bright to dark side of the face; undefined where no lamp or window parts them. */
  keyToFill: number | undefined;
  keySide: 'left' | 'right';
  /** How far the fill or the light of the place is from what the picture is balanced to, mired; warm above zero. */
  castMired: number;
  flickerPercent: number;
  micInPicture: InPicture | undefined;
  lampsInPicture: readonly InPicture[];
}

/** The picture one angle makes at the dim end of its light; undefined without a lens. */
export function pictureThroughLens(
  judged: AngleJudgement,
  layout: SetLayout
): LensPicture | undefined {
  const { record } = judged;
  const { picture } = layout;
  if (!picture) return undefined;
  const { dim } = record.exposures;
  const away = figureOf(record, 'subjectDistance') ?? judged.angle.distanceM;
  const background = figureOf(record, 'backgroundDistance');
  const key = layout.lamps.find(({ role }) => role === 'key');
  const mic = layout.mic?.spot;
  return {
    aspect: picture.widthM / picture.heightM,
    widthM: picture.widthM,
    people: layout.people.map((spot) => projected(layout, spot)),
    backgroundWidthM:
      background === undefined || !Number.isFinite(background)
        ? undefined
        : (picture.widthM * background) / away,
    backgroundBlurPercent: figureOf(record, 'backgroundBlur') ?? 0,
    stretch: figureOf(record, 'nearStretch') ?? 1,
    faceIsSharp: layout.showsFace ? noseInFocus(record) : true,
    focusIsLost: layout.showsFace && judged.rig.mode?.faceFocus === false,
    offStops: dim?.plan.offStops ?? 0,
    iso: dim?.plan.iso,
    usableIso: figureOf(record, 'highestUsableIso'),
    keyToFill: figureOf(record, 'keyToFill'),
    keySide: key?.side ?? (layout.window ? 'right' : 'left'),
    castMired: castOf(judged),
    flickerPercent: figureOf(record, 'flickerLeft') ?? 0,
    micInPicture: mic && isInPicture(layout, mic) ? projected(layout, mic) : undefined,
    lampsInPicture: layout.lamps.flatMap(({ spot }) =>
      isInPicture(layout, spot) ? projected(layout, spot) : []
    )
  };
}

/** Where a spot falls in the picture; the eyes of the middle person lie on the upper third. */
export function projected(layout: SetLayout, spot: Spot): InPicture {
  const picture = layout.picture!;
  const { camera, subject } = layout;
  const away = layout.looksDown ? camera.z - subject.z : subject.x - camera.x;
  const along = layout.looksDown ? camera.z - spot.z : spot.x - camera.x;
  const share = along / away;
  const widthM = picture.widthM * share;
  const heightM = picture.heightM * share;
  // The axis falls from the lens to a sixth of the picture below the eyes.
  const axisZ = layout.showsFace
    ? camera.z + (subject.z - picture.heightM / 6 - camera.z) * share
    : camera.z + (subject.z - camera.z) * share;
  const down = layout.looksDown ? spot.x : axisZ - spot.z;
  return { x: 0.5 + spot.y / widthM, y: 0.5 + down / heightM, widthM };
}

/** The colour the darker light leaves where the picture is balanced to the key: warm above zero. */
function castOf({ record, rig }: AngleJudgement): number {
  const gap = figureOf(record, 'placeColourGap') ?? figureOf(record, 'lampColourGap') ?? 0;
  const keyK = figureOf(record, 'keyWarmest');
  const otherK = figureOf(record, 'placeColour') ?? figureOf(record, 'fillWarmest');
  if (keyK === undefined || otherK === undefined || !rig.keyLamp) return 0;
  return otherK < keyK ? gap : -gap;
}

/** Nose tip and ears lie within what is sharp, at the aperture in use; where none is asked for or known, so they are. */
function noseInFocus(record: FigureRecord): boolean {
  const needed = figureOf(record, 'apertureForFace');
  const set = figureOf(record, 'aperture');
  return needed === undefined || set === undefined || set >= needed - SET_FINER_THAN;
}
/** Apertures are marked no finer than this. */
const SET_FINER_THAN = 0.05;
