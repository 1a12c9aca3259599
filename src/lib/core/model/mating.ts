import type { Port } from './ports';

/** True when the two ports screw, slide or plug into each other without anything between. */
export function mates(a: Port, b: Port): boolean {
  return a.family === b.family && a.type === b.type && a.end !== b.end;
}
