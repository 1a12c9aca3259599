import { mustBePositive, mustLieBetween, mustNotBeNegative } from '../argument';

/**
 * Light of a disc of radius R at a distance, from what was measured at another:
 * E(d) = E(d₁)·(d₁² + R²)/(d² + R²), lowered by the loss of what is put before it, and by the
 * cosine of the angle at the face. Near a large source this falls slower than the square.
 *
 * @param measuredLx at `measuredAtM`, on the axis
 * @param radiusM of the shining disc; √(area/π) for a rectangle
 * @param distanceM lamp to face
 * @param lossStops of cloth or grid added after the measurement
 * @param angleDeg between the lamp's direction and the face's; beyond 90° nothing arrives
 * @returns lux
 * @example lampIlluminanceLx(1400, 1, 0.3, 0.8, 1.3, 0) // 849
 */
export function lampIlluminanceLx(
  measuredLx: number,
  measuredAtM: number,
  radiusM: number,
  distanceM: number,
  lossStops = 0,
  angleDeg = 0
): number {
  mustNotBeNegative('measuredLx', measuredLx);
  mustBePositive('measuredAtM', measuredAtM);
  mustNotBeNegative('radiusM', radiusM);
  mustBePositive('distanceM', distanceM);
  mustNotBeNegative('lossStops', lossStops);
  mustLieBetween('angleDeg', angleDeg, 0, 180);
  const facing = angleDeg >= 90 ? 0 : Math.cos((angleDeg * Math.PI) / 180);
  const falloff = (measuredAtM ** 2 + radiusM ** 2) / (distanceM ** 2 + radiusM ** 2);
  return measuredLx * falloff * 2 ** -lossStops * facing;
}

/**
 * Distance at which a lamp gives a wanted light, the relation above turned round. NaN never: returns
 * 0 when even touching the lamp is too dim.
 *
 * @returns metres
 * @example lampDistanceForM(1400, 1, 0.3, 849, 1.3) // 0.8
 */
export function lampDistanceForM(
  measuredLx: number,
  measuredAtM: number,
  radiusM: number,
  wantedLx: number,
  lossStops = 0,
  angleDeg = 0
): number {
  mustBePositive('wantedLx', wantedLx);
  const atTouch = lampIlluminanceLx(measuredLx, measuredAtM, radiusM, 1, lossStops, angleDeg);
  const squared = (atTouch * (1 + radiusM ** 2)) / wantedLx - radiusM ** 2;
  return squared > 0 ? Math.sqrt(squared) : 0;
}
