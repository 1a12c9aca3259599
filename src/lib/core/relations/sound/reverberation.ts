import { mustBePositive, mustLieBetween, RelationError } from '../argument';
import type { RoomFeel } from '../../model/scene';

/** Mean absorption of a room by how it feels. */
export const roomAbsorption = {
  bare: 0.08,
  'lived-in': 0.2,
  treated: 0.35
} as const satisfies Record<RoomFeel, number>;

/**
 * Volume of a box room, m³.
 *
 * @example roomVolumeM3(3.5, 3, 2.4) // 25.2
 */
export function roomVolumeM3(lengthM: number, widthM: number, heightM: number): number {
  mustBePositive('lengthM', lengthM);
  mustBePositive('widthM', widthM);
  mustBePositive('heightM', heightM);
  return lengthM * widthM * heightM;
}

/**
 * All six faces of a box room, m².
 *
 * @example roomSurfaceM2(3.5, 3, 2.4) // 52.2
 */
export function roomSurfaceM2(lengthM: number, widthM: number, heightM: number): number {
  mustBePositive('lengthM', lengthM);
  mustBePositive('widthM', widthM);
  mustBePositive('heightM', heightM);
  return 2 * (lengthM * widthM + lengthM * heightM + widthM * heightM);
}

/**
 * Reverberation time after Eyring: 0.161·V/(−S·ln(1 − ᾱ)).
 *
 * @param absorption mean, above 0 and below 1
 * @returns seconds
 * @example reverberationS(25.2, 52.2, 0.2) // 0.348
 */
export function reverberationS(volumeM3: number, surfaceM2: number, absorption: number): number {
  mustBePositive('volumeM3', volumeM3);
  mustBePositive('surfaceM2', surfaceM2);
  if (!(absorption > 0 && absorption < 1)) {
    throw new RelationError('absorption', absorption, 'must lie above 0 and below 1');
  }
  return (0.161 * volumeM3) / (-surfaceM2 * Math.log(1 - absorption));
}

/**
 * Mean absorption once a blanket hangs: it adds area × (its own − what it covers).
 *
 * @param absorption of the surfaces it covers, 0 to 1, as its own is
 * @param blanketAreaM2 no more than there is surface
 * @returns mean absorption of the room
 * @example absorptionWithBlanket(0.2, 52.2, 6, 0.6) // 0.246
 */
export function absorptionWithBlanket(
  absorption: number,
  surfaceM2: number,
  blanketAreaM2: number,
  blanketAbsorption: number
): number {
  mustBePositive('surfaceM2', surfaceM2);
  mustLieBetween('absorption', absorption, 0, 1);
  mustLieBetween('blanketAbsorption', blanketAbsorption, 0, 1);
  mustLieBetween('blanketAreaM2', blanketAreaM2, 0, surfaceM2);
  return absorption + (blanketAreaM2 * (blanketAbsorption - absorption)) / surfaceM2;
}
