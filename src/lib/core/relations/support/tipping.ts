import { mustBeFinite, mustBePositive, mustNotBeNegative } from '../argument';

/** Legs that tip at less than this lean deserve a warning. */
export const TIP_WARN_DEG = 10;

/**
 * Lean at which three legs of foot radius r tip: atan((r/2 − e)/h), h = Σmz/Σm.
 *
 * @param masses kg and the height of each centre in m
 * @param forwardM how far the common centre of mass lies forward of the middle
 * @returns degrees
 * @example tipAngleDeg(0.5, [{kg:2,heightM:0.6},{kg:0.8,heightM:1.45},{kg:1.3,heightM:1.6}], 0) // 13.0
 */
export function tipAngleDeg(
  footRadiusM: number,
  masses: readonly { kg: number; heightM: number }[],
  forwardM: number
): number {
  mustBePositive('footRadiusM', footRadiusM);
  for (const mass of masses) {
    mustNotBeNegative('kg', mass.kg);
    mustNotBeNegative('heightM', mass.heightM);
  }
  const totalKg = masses.reduce((sum, mass) => sum + mass.kg, 0);
  mustBePositive('totalKg', totalKg);
  const heightM = masses.reduce((sum, mass) => sum + mass.kg * mass.heightM, 0) / totalKg;
  mustBePositive('heightM', heightM);
  mustBeFinite('forwardM', forwardM);
  return (Math.atan((footRadiusM / 2 - forwardM) / heightM) * 180) / Math.PI;
}

/**
 * Sandbag for a boom on a stand: M = Σ mᵢ(Lᵢ − e) about the tip line, e = r/2 (r when a leg points
 * under the arm); bag = max(0, 1.5·M/e − stand). A counterweight has a negative length.
 *
 * @returns kg to hang over the legs
 * @example boomBagKg([{kg:1,armM:1.2},{kg:0.6,armM:0.5}], 3, 0.45, false) // 4.6
 */
export function boomBagKg(
  loads: readonly { kg: number; armM: number }[],
  standKg: number,
  footRadiusM: number,
  legUnderArm: boolean
): number {
  mustNotBeNegative('standKg', standKg);
  mustBePositive('footRadiusM', footRadiusM);
  const tipLineM = legUnderArm ? footRadiusM : footRadiusM / 2;
  const moment = loads.reduce((sum, load) => {
    mustNotBeNegative('kg', load.kg);
    mustBeFinite('armM', load.armM);
    return sum + load.kg * (load.armM - tipLineM);
  }, 0);
  return Math.max(0, (1.5 * moment) / tipLineM - standKg);
}
