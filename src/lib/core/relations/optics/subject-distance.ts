import type { tapeEnds } from '../../model/word-lists';
import { mustBePositive } from '../argument';
import { distanceFromSensorMarkM } from './sensor-mark-distance';

type TapeEnd = (typeof tapeEnds)[number];

/** Shorter than this many focal lengths a reading cannot have been taken from the sensor mark. */
const LEAST_FOCAL_LENGTHS = 4;

/**
 * Distance from the lens to the subject, from what the tape reads: from the sensor mark
 * d = (s + √(s² − 4fs))/2, else as measured.
 *
 * @param tapeM reading of the tape, m
 * @param end where its end was held; from the lens unless stated
 * @param focalLengthMm mm; without one the reading is taken as it is
 * @returns metres
 * @example subjectDistanceM(1, 'sensor mark', 50) // 0.947
 */
export function subjectDistanceM(
  tapeM: number,
  end: TapeEnd | undefined,
  focalLengthMm: number | undefined
): number {
  mustBePositive('tapeM', tapeM);
  if (focalLengthMm !== undefined) mustBePositive('focalLengthMm', focalLengthMm);
  return end === 'sensor mark' &&
    focalLengthMm !== undefined &&
    tapeM * 1000 >= LEAST_FOCAL_LENGTHS * focalLengthMm
    ? distanceFromSensorMarkM(tapeM, focalLengthMm)
    : tapeM;
}

/**
 * What the tape reads when the lens is a distance off: the inverse, s = d²/(d − f) from the sensor mark.
 *
 * @param distanceM lens to subject, m, above the focal length
 * @returns metres
 * @example tapeReadingM(0.947, 'sensor mark', 50) // 1.000
 */
export function tapeReadingM(
  distanceM: number,
  end: TapeEnd | undefined,
  focalLengthMm: number | undefined
): number {
  mustBePositive('distanceM', distanceM);
  if (focalLengthMm !== undefined) mustBePositive('focalLengthMm', focalLengthMm);
  const f = (focalLengthMm ?? 0) / 1000;
  return end === 'sensor mark' && distanceM > f
    ? (distanceM * distanceM) / (distanceM - f)
    : distanceM;
}
