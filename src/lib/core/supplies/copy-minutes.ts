import { figureOf, type FigureRecord } from '../figures/record';

/**
 * Minutes to copy everything that one day records, one card after the other; nothing where the kit has nowhere to, or
 * nobody states how fast.
 *
 * @param records of every angle that is filmed on that day
 */
export function copyMinutesOfDay(records: readonly FigureRecord[]): number | undefined {
  const minutes = records.flatMap((record) => figureOf(record, 'offloadMinutes') ?? []);
  return minutes.length > 0 ? minutes.reduce((sum, minute) => sum + minute, 0) : undefined;
}
