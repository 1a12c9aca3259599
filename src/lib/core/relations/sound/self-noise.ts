import { mustBeFinite, mustBePositive } from '../argument';

/** One pascal in decibels above the hearing threshold. */
const PASCAL_DB = 94;

/**
 * Noise of the camera's input as if it were sound before the microphone:
 * 94 + input noise − (sensitivity + boost). A boost in the microphone lifts the voice over it.
 *
 * @param inputNoiseDbV A-weighted, dBV
 * @param sensitivityDbVPerPa output for one pascal, dBV
 * @param boostDb switched on in the microphone
 * @returns dB(A)
 * @example inputNoiseAsLevelDbA(-100, -38, 0) // 32
 */
export function inputNoiseAsLevelDbA(
  inputNoiseDbV: number,
  sensitivityDbVPerPa: number,
  boostDb: number
): number {
  mustBeFinite('inputNoiseDbV', inputNoiseDbV);
  mustBeFinite('sensitivityDbVPerPa', sensitivityDbVPerPa);
  mustBeFinite('boostDb', boostDb);
  return PASCAL_DB + inputNoiseDbV - (sensitivityDbVPerPa + boostDb);
}

/**
 * Self-noise from a stated signal-to-noise ratio at one pascal: 94 − SNR(A).
 *
 * @example selfNoiseFromRatioDbA(74) // 20
 */
export function selfNoiseFromRatioDbA(signalToNoiseDbA: number): number {
  mustBeFinite('signalToNoiseDbA', signalToNoiseDbA);
  return PASCAL_DB - signalToNoiseDbA;
}

/**
 * dBV from dBu: 2.2 less.
 *
 * @example dbVFromDbu(-97.8) // -100.0
 */
export function dbVFromDbu(dbu: number): number {
  mustBeFinite('dbu', dbu);
  return dbu - 2.2;
}

/**
 * dBV per pascal from millivolts per pascal: 20·log10(mV/1000).
 *
 * @example dbVPerPaFromMillivolts(12.6) // -38.0
 */
export function dbVPerPaFromMillivolts(millivoltsPerPa: number): number {
  mustBePositive('millivoltsPerPa', millivoltsPerPa);
  return 20 * Math.log10(millivoltsPerPa / 1000);
}
