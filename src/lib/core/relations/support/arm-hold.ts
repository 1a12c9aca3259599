import { GRAVITY } from './gravity';
import { mustBePositive, mustLieBetween, mustNotBeNegative } from '../argument';

/** Shoulder to hand of an outstretched arm. */
const ARM_M = 0.6;

/**
 * Moment at the shoulder of what is held out: Σ m·g·(0.60 + reach), the stick at half its length.
 *
 * @returns N·m
 * @example armMomentNm(0.7, 0.2) // 5.5
 */
export function armMomentNm(cameraKg: number, reachM: number, stickKg = 0): number {
  mustNotBeNegative('cameraKg', cameraKg);
  mustLieBetween('reachM', reachM, 0, 5);
  mustNotBeNegative('stickKg', stickKg);
  return GRAVITY * (cameraKg * (ARM_M + reachM) + stickKg * (ARM_M + reachM / 2));
}

/**
 * Minutes an arm holds a moment: −1.5 + 2.1/F − 0.6/F² + 0.1/F³, F = (10 + moment)/50, never below
 * zero. An engineering estimate.
 *
 * @example holdMinutes(5.5) // 2.4
 */
export function holdMinutes(momentNm: number): number {
  mustNotBeNegative('momentNm', momentNm);
  const effort = (10 + momentNm) / 50;
  mustBePositive('effort', effort);
  return Math.max(0, -1.5 + 2.1 / effort - 0.6 / effort ** 2 + 0.1 / effort ** 3);
}
