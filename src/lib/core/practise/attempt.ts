/** What one learns to set by hand, one after the other. */
export const skills = [
  'the meter',
  'a cloud passes',
  'a lamp is added',
  'the frame rate changes',
  'out into the sun',
  'a face too near',
  'mixed light'
] as const;
export type Skill = (typeof skills)[number];

/** How hard a drill is: how far the light goes, how many dials are wrong, and whether the meter is shown. */
export type Level = 1 | 2 | 3;

/** One attempt that was kept. */
export interface Attempt {
  /** Milliseconds since 1970. */
  at: number;
  skill: Skill;
  level: Level;
  sceneName: string;
  /** 0 to 100. */
  score: number;
  /** What it cost past the best the dials could do. */
  lossStops: number;
}

/** What is read from a browser's database is no attempt until it is looked at. */
export function isAttempt(value: unknown): value is Attempt {
  const row = value as Partial<Attempt> | null;
  return (
    typeof row === 'object' &&
    row !== null &&
    Number.isFinite(row.at) &&
    (skills as readonly unknown[]).includes(row.skill) &&
    (row.level === 1 || row.level === 2 || row.level === 3) &&
    typeof row.sceneName === 'string' &&
    Number.isFinite(row.score) &&
    Number.isFinite(row.lossStops)
  );
}
