/** Largest numbers of things a project holds: beyond them a file is refused with a sentence. */
export const MOST_PIECES = 999;
export const MOST_SCENES = 40;
export const MOST_ANGLES = 6;
export const MOST_PLANS = 60;
export const MOST_LINES = 400;
/** As many as a file may have scenes and angles. */
export const MOST_RIGS = MOST_SCENES * MOST_ANGLES;
export const MOST_LAMPS = 20;
export const MOST_OWN_PARTS = 20_000;
export const MOST_PORTS = 60;
export const MOST_MODES = 100;
export const MOST_PROFILES = 30;
export const MOST_DISMISSED = 500;
export const MOST_RATES = 60;
export const MOST_INCOMES = 100;
export const MOST_ALERTS = 500;
/** As many days as ten years have. */
export const MOST_DAY_LOGS = 3660;
export const MOST_DAYS_IN_A_ROW = 14;
export const MOST_LOG_NOTES = 400;
export const MOST_MINUTES_OF_DAY = 1439;
/** As long as a price list may be. */
export const MOST_OBSERVATIONS = 20_000;
/** No amount of money is larger: ten thousand million pounds. */
export const MOST_MINOR = 1e12;
