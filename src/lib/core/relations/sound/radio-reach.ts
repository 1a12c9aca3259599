import { mustBePositive, mustNotBeNegative } from '../argument';

/** How fast a radio signal falls: exponent by place. */
export const pathLossExponent = { outdoors: 2, indoors: 3 } as const;
/** What a body in the way takes at 2.4 GHz; 15 to 25, an estimate. */
export const BODY_LOSS_DB = 20;

/**
 * Reach of a radio with bodies in the way: stated range · 10^(−B/(10·n)).
 *
 * @param statedM range stated for that place
 * @param bodyLossDb what stands between takes, dB
 * @returns metres
 * @example radioReachM(100, 20, 2) // 10
 */
export function radioReachM(statedM: number, bodyLossDb: number, exponent: number): number {
  mustBePositive('statedM', statedM);
  mustNotBeNegative('bodyLossDb', bodyLossDb);
  mustBePositive('exponent', exponent);
  return statedM * 10 ** (-bodyLossDb / (10 * exponent));
}
