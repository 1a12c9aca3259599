import { mustBeFinite } from '../argument';

/** Peaks of speech stand this far over its level; an estimate. */
export const SPEECH_PEAK_DB = 17;
/** Where the peaks of speech are put. */
export const AIM_PEAK_DBFS = -12;
/** A laugh comes this much louder; an estimate. */
export const LAUGH_DB = 15;

/**
 * Voltage of a voice at the plug: sensitivity + L − 94.
 *
 * @returns dBV
 * @example microphoneOutputDbV(-38, 60) // -72
 */
export function microphoneOutputDbV(sensitivityDbVPerPa: number, levelDb: number): number {
  mustBeFinite('sensitivityDbVPerPa', sensitivityDbVPerPa);
  mustBeFinite('levelDb', levelDb);
  return sensitivityDbVPerPa + levelDb - 94;
}

/**
 * Gain that puts the peaks of speech at −12 dBFS, for an input that is full at a voltage.
 *
 * @param fullScaleDbV input voltage of 0 dBFS without gain
 * @returns dB
 * @example gainForPeaksDb(-72, -6) // 37
 */
export function gainForPeaksDb(outputDbV: number, fullScaleDbV: number): number {
  mustBeFinite('outputDbV', outputDbV);
  mustBeFinite('fullScaleDbV', fullScaleDbV);
  return AIM_PEAK_DBFS + fullScaleDbV - (outputDbV + SPEECH_PEAK_DB);
}
