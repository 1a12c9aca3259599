/** Everything is kept in SI; these are for people who measure otherwise. */
export const METRES_PER_INCH = 0.0254;
export const METRES_PER_FOOT = 0.3048;
export const KG_PER_POUND = 0.45359237;
export const MPS_PER_MPH = 0.44704;

export const fahrenheitOf = (celsius: number): number => (celsius * 9) / 5 + 32;
export const celsiusOf = (fahrenheit: number): number => ((fahrenheit - 32) * 5) / 9;
