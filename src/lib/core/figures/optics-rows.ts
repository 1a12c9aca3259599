import { facesFront } from '../rigs/own-screen';
import { isCarried, isSeated, showsFace } from '../model/scene-facts';
import { orientations, tapeEnds } from '../model/word-lists';
import { sensorFormats } from '../model/sensor-formats';
import { closeUpFactor, transmissionN } from '../relations/exposure/exposure';
import { backgroundBlurPercent, vanishingDetailMm } from '../relations/optics/background-blur';
import {
  apertureForFaceN,
  circleOfConfusionMm,
  diffractionCapN,
  farLimitM,
  focusForRow,
  hyperfocalDistanceM,
  nearLimitM,
  SHARPNESS_DIVISORS
} from '../relations/optics/depth-in-focus';
import { equivalentFocalLengthMm } from '../relations/optics/equivalent-focal-length';
import { PERSON_WIDTH_M } from '../relations/optics/framing-sizes';
import { pictureAreaMm } from '../relations/optics/picture-area';
import {
  focalLengthForSizeMm,
  magnification,
  pictureSizeM
} from '../relations/optics/picture-size';
import { subjectDistanceM } from '../relations/optics/subject-distance';
import { edgeStretch, nearStretch } from '../relations/optics/stretch';
import { walkingBlurPx } from '../relations/optics/walking-blur';
import { framedSize } from '../rigs/framed-size';
import { isReady } from '../rigs/ready';
import { type FigureRows, yesNo, unstatedOf } from './rows';

/** Which side of the picture a framing is measured on. */
export const framedSides = ['height', 'width'] as const;
/** A hand that walks turns the camera about this fast after stabilising by the wrist; an estimate. */
const WALKING_TURN_DEG_PER_S = 5;

export const opticsRows = {
  tapeDistance: {
    name: 'camera to subject by the tape',
    unit: 'm',
    source: 'brief',
    read: ({ angle }) => angle.distanceM
  },
  tapeEnd: {
    name: 'where the tape was held',
    unit: 'word',
    words: tapeEnds,
    source: 'brief',
    read: ({ angle }) => tapeEnds.indexOf(angle.measuredFrom ?? 'lens')
  },
  subjectDistance: {
    name: 'lens to subject',
    unit: 'm',
    from: ['tapeDistance', 'tapeEnd', 'focalLength'],
    whenAbsent: 0,
    relation: '(s + √(s² − 4fs))/2 from the sensor mark, else as measured',
    compute: (tape, end, f) => subjectDistanceM(tape!, tapeEnds[end!], f! > 0 ? f! : undefined)
  },
  backgroundBehind: {
    name: 'subject to background',
    unit: 'm',
    source: 'brief',
    read: ({ angle }) => angle.backgroundM ?? Infinity
  },
  wallBehind: {
    name: 'subject to a background that is near',
    unit: 'm',
    source: 'brief',
    read: ({ angle }) => angle.backgroundM ?? null
  },
  backgroundDistance: {
    name: 'lens to background',
    unit: 'm',
    from: ['subjectDistance', 'backgroundBehind'],
    relation: 'lens to subject + subject to background',
    compute: (d, behind) => d! + behind!
  },
  framedSide: {
    name: 'side the framing is measured on',
    unit: 'word',
    words: framedSides,
    source: 'brief',
    read: ({ scene, angle }) => framedSides.indexOf(framedSize(scene, angle).side)
  },
  framedWanted: {
    name: 'size wanted in the picture',
    unit: 'm',
    source: 'brief',
    read: ({ scene, angle }) => framedSize(scene, angle).sizeM
  },
  orientation: {
    name: 'way the picture stands',
    unit: 'word',
    words: orientations,
    source: 'brief',
    read: ({ scene }) => orientations.indexOf(scene.orientation)
  },
  sensorWidth: {
    name: 'sensor width',
    unit: 'mm',
    source: 'body',
    read: ({ body }) => (body ? sensorFormats[body.gear.sensorFormat].widthMm : null)
  },
  sensorHeight: {
    name: 'sensor height',
    unit: 'mm',
    source: 'body',
    read: ({ body }) => (body ? sensorFormats[body.gear.sensorFormat].heightMm : null)
  },
  modeCrop: {
    name: 'crop of the mode',
    unit: '×',
    source: 'body',
    asks: { question: 'How much does % crop the picture in this mode?', between: [1, 1.7] },
    read: ({ mode, body }) => (mode ? mode.crop : unstatedOf(body))
  },
  areaWidth: {
    name: 'width of the picture area in use',
    unit: 'mm',
    from: ['sensorWidth', 'sensorHeight', 'modeCrop', 'orientation'],
    relation: 'sensor width ÷ crop, 16:9',
    compute: (width, height, crop, way) =>
      pictureAreaMm(width!, height!, crop!, orientations[way!]!).widthMm
  },
  areaHeight: {
    name: 'height of the picture area in use',
    unit: 'mm',
    from: ['sensorWidth', 'sensorHeight', 'modeCrop', 'orientation'],
    relation: 'width × 9/16',
    compute: (width, height, crop, way) =>
      pictureAreaMm(width!, height!, crop!, orientations[way!]!).heightMm
  },
  longSide: {
    name: 'long side in use',
    unit: 'mm',
    from: ['areaWidth', 'areaHeight'],
    relation: 'the longer of the two',
    compute: (width, height) => Math.max(width!, height!)
  },
  focalLength: {
    name: 'focal length',
    unit: 'mm',
    source: 'setting',
    read: ({ focalLengthMm }) => focalLengthMm ?? null
  },
  equivalentFocalLength: {
    name: 'equivalent focal length on full frame',
    unit: 'mm',
    from: ['focalLength', 'longSide'],
    relation: 'f·36/(long side in use)',
    compute: (f, side) => equivalentFocalLengthMm(f!, side!)
  },
  pictureWidth: {
    name: 'picture width at the subject',
    unit: 'm',
    from: ['areaWidth', 'focalLength', 'subjectDistance'],
    relation: 'w·(d − f)/f',
    compute: (side, f, d) => pictureSizeM(side!, f!, d!)
  },
  pictureHeight: {
    name: 'picture height at the subject',
    unit: 'm',
    from: ['areaHeight', 'focalLength', 'subjectDistance'],
    relation: 'h·(d − f)/f',
    compute: (side, f, d) => pictureSizeM(side!, f!, d!)
  },
  framed: {
    name: 'size in the picture',
    unit: 'm',
    from: ['pictureWidth', 'pictureHeight', 'framedSide'],
    relation: 'the side the framing is measured on',
    compute: (width, height, side) => (framedSides[side!] === 'width' ? width! : height!)
  },
  framingRatio: {
    name: 'picture against the wanted framing',
    unit: '×',
    from: ['framed', 'framedWanted'],
    relation: 'size in the picture ÷ size wanted',
    compute: (have, want) => have! / want!
  },
  framingMiss: {
    name: 'framing missed by',
    unit: 'stops',
    from: ['framingRatio'],
    relation: '|log2 ratio|',
    compute: (ratio) => Math.abs(Math.log2(ratio!))
  },
  focalLengthWanted: {
    name: 'focal length for the framing',
    unit: 'mm',
    from: ['areaWidth', 'areaHeight', 'framedSide', 'framedWanted', 'subjectDistance'],
    relation: 'w·d/(W + w)',
    compute: (width, height, side, want, d) =>
      focalLengthForSizeMm(framedSides[side!] === 'width' ? width! : height!, want!, d!)
  },
  circleOfConfusion: {
    name: 'circle of confusion',
    unit: 'mm',
    from: ['areaWidth', 'areaHeight', 'seenLarge'],
    relation: '√(w² + h²)/1500, /3000 where it is seen large in 4K',
    compute: (width, height, large) =>
      circleOfConfusionMm(
        width!,
        height!,
        SHARPNESS_DIVISORS[large! > 0 ? 'seen large in 4K' : 'seen as usual']
      )
  },
  seenLarge: {
    name: 'seen large in 4K',
    unit: 'yes/no',
    source: 'brief',
    read: ({ scene }) => (scene.seenLargeIn4K === true ? 1 : 0)
  },
  magnification: {
    name: 'size on the sensor against the thing itself',
    unit: '×',
    from: ['focalLength', 'subjectDistance'],
    relation: 'f/(d − f)',
    compute: (f, d) => magnification(f!, d!)
  },
  lensPasses: {
    name: 'share of the light the lens lets through',
    unit: '×',
    source: 'lens',
    read: ({ lens }) => {
      const stop = lens?.gear?.apertureWideT;
      return stop === undefined ? null : (lens!.apertureWideN / stop) ** 2;
    }
  },
  lightAperture: {
    name: 'aperture as the light finds it',
    unit: 'T',
    from: ['aperture', 'magnification', 'lensPasses'],
    whenAbsent: 1,
    relation: 'N·(1 + m)/√τ; τ is 1 where no T-number is known',
    compute: (n, m, passes) => transmissionN(n!, passes!) * Math.sqrt(closeUpFactor(m!))
  },
  hyperfocal: {
    name: 'hyperfocal distance',
    unit: 'm',
    from: ['focalLength', 'aperture', 'circleOfConfusion'],
    relation: 'f²/(N·c) + f',
    compute: (f, n, c) => hyperfocalDistanceM(f!, n!, c!)
  },
  nearLimit: {
    name: 'sharp from',
    unit: 'm',
    from: ['subjectDistance', 'hyperfocal', 'focalLength'],
    relation: 'd(H − f)/(H + d − 2f)',
    compute: (d, h, f) => nearLimitM(d!, h!, f!)
  },
  farLimit: {
    name: 'sharp to',
    unit: 'm',
    from: ['subjectDistance', 'hyperfocal', 'focalLength'],
    relation: 'd(H − f)/(H − d), infinite once d ≥ H',
    compute: (d, h, f) => farLimitM(d!, h!, f!)
  },
  faceWanted: {
    name: 'nose and ears shall be sharp',
    unit: 'yes/no',
    source: 'brief',
    read: ({ scene, angle }) => (scene.wantsFaceSharp && showsFace(angle) ? 1 : null)
  },
  apertureForFace: {
    name: 'aperture for nose and ears',
    unit: 'f/',
    from: ['focalLength', 'subjectDistance', 'circleOfConfusion', 'faceWanted'],
    relation: 'f²·|D − d|/(c·D·(d − f)), nose at d − 0.04 m and ears at d + 0.10 m',
    compute: (f, d, c) => apertureForFaceN(f!, d!, c!)
  },
  rowDepth: {
    name: 'nearest face of a row to the farthest',
    unit: 'm',
    source: 'brief',
    read: ({ angle }) => (angle.people > 1 ? (angle.rowDepthM ?? null) : null)
  },
  rowFocus: {
    name: 'focus for the whole row',
    unit: 'm',
    from: ['subjectDistance', 'rowDepth', 'focalLength', 'circleOfConfusion'],
    relation: '2nF/(n + F)',
    compute: (n, depth, f, c) => focusForRow(f!, n!, n! + depth!, c!).focusM
  },
  apertureForRow: {
    name: 'aperture for the whole row',
    unit: 'f/',
    from: ['subjectDistance', 'rowDepth', 'focalLength', 'circleOfConfusion'],
    relation: 'f²(F − n)/(c(2nF − f(n + F)))',
    compute: (n, depth, f, c) => focusForRow(f!, n!, n! + depth!, c!).apertureN
  },
  edgeFace: {
    name: 'outermost face off the axis',
    unit: 'm',
    source: 'brief',
    read: ({ angle, scene }) =>
      angle.framing === 'group' && angle.people > 1
        ? ((angle.people - 1) / 2) *
          (isSeated(scene) ? PERSON_WIDTH_M.seated : PERSON_WIDTH_M.standing)
        : null
  },
  edgeStretch: {
    name: 'outermost face pulled outwards',
    unit: '×',
    from: ['edgeFace', 'subjectDistance'],
    relation: '1/cos θ, tan θ = x/d',
    compute: (x, d) => edgeStretch(x! * 1000, d! * 1000)
  },
  diffractionCap: {
    name: 'stopping down helps no further than',
    unit: 'f/',
    from: ['circleOfConfusion'],
    relation: 'c/(2.44 × 0.00055 mm)',
    compute: (c) => diffractionCapN(c!)
  },
  backgroundBlur: {
    name: 'blur of the background',
    unit: '%',
    from: ['focalLength', 'aperture', 'subjectDistance', 'backgroundDistance', 'longSide'],
    relation: 'f²/N·|D − d|/(D·(d − f)) of the long side',
    compute: (f, n, d, plane, side) => backgroundBlurPercent(f!, n!, d!, plane!, side!)
  },
  vanishingDetail: {
    name: 'detail of the background finer than this vanishes',
    unit: 'mm',
    from: ['focalLength', 'aperture', 'subjectDistance', 'wallBehind'],
    relation: '(f/N)·|D − d|/d, D lens to background',
    compute: (f, n, d, behind) => vanishingDetailMm(f!, n!, d!, d! + behind!)
  },
  blurWanted: {
    name: 'blur wanted',
    unit: '%',
    source: 'brief',
    read: ({ scene }) => (scene.wantsBlurPercent > 0 ? scene.wantsBlurPercent : null)
  },
  faceInPicture: {
    name: 'a face is filmed',
    unit: 'yes/no',
    source: 'brief',
    read: ({ angle }) => (showsFace(angle) ? 1 : null)
  },
  nearStretch: {
    name: 'nose drawn larger than the ears',
    unit: '×',
    from: ['subjectDistance', 'faceInPicture'],
    relation: '(d + 0.10)/(d − 0.04)',
    compute: (d) => nearStretch(d!)
  },
  pixelsWanted: {
    name: 'pixels across wanted',
    unit: 'px',
    source: 'brief',
    read: ({ scene }) => scene.pixelsAcross
  },
  pixelsAcross: {
    name: 'pixels across in this mode',
    unit: 'px',
    source: 'body',
    asks: {
      question: 'How many pixels across does % film at this rate?',
      between: [1280, 3840]
    },
    read: ({ mode, body }) => (mode ? mode.pixelsAcross : unstatedOf(body))
  },
  pixelsShare: {
    name: 'pixels against what is wanted',
    unit: '×',
    from: ['pixelsAcross', 'pixelsWanted'],
    relation: 'pixels ÷ pixels wanted',
    compute: (have, want) => have! / want!
  },
  walking: {
    name: 'the camera is carried',
    unit: 'yes/no',
    source: 'brief',
    read: ({ angle, scene }) => (isCarried(scene, angle) ? 1 : null)
  },
  walkingBlur: {
    name: 'smear of a turning camera',
    unit: 'px',
    // Turned, cropped or from open gate: an upright picture has the pixels of the wide one, as close together.
    from: ['fps', 'focalLength', 'sensorWidth', 'modeCrop', 'pixelsAcross', 'walking'],
    relation: 'ω·t·f ÷ pixel pitch, t = 1/(2·fps), pitch = sensor width ÷ crop ÷ pixels across',
    compute: (fps, f, width, crop, pixels) =>
      walkingBlurPx(WALKING_TURN_DEG_PER_S, 1 / (2 * fps!), f!, width! / crop!, pixels!)
  },
  seesSelf: {
    name: 'you can see yourself',
    unit: 'yes/no',
    source: 'body',
    asks: { question: 'Does the screen of % turn to the front?', between: [0, 1] },
    read: (rig) => {
      const { body, kit, scene } = rig;
      if (!body || !scene.wantsSeeSelf) return null;
      if (kit.of('mirror box').length > 0) return 1;
      if (kit.of('monitor').some((part) => isReady(rig, part))) return 1;
      const { screen } = body.gear;
      return yesNo(screen === undefined ? undefined : facesFront(body.gear));
    }
  }
} satisfies FigureRows;
