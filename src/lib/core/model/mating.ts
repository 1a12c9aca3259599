import type { Port } from './ports';

/** True when the two ports screw, slide or plug into each other without anything between. */
export function mates(a: Port, b: Port): boolean {
  return a.end !== b.end && a.type === b.type && a.family === b.family;
}

/** True when one of the ports mates with one of the others. */
export function meet(ports: readonly Port[], others: readonly Port[]): boolean {
  for (let index = 0; index < ports.length; index++)
    if (meetsAny(ports[index]!, others)) return true;
  return false;
}

export function meetsAny(port: Port, others: readonly Port[]): boolean {
  for (let index = 0; index < others.length; index++) if (mates(port, others[index]!)) return true;
  return false;
}
