import { heatTimesDisagree } from '../../core/figures/heat-rows';
import { MeasureError, readMeasure } from '../../core/reading/measure';
import type { ModeDraft } from './part-draft';

const minutesOf = (typed: string | undefined): number | undefined => {
  if (!typed?.trim()) return undefined;
  try {
    return readMeasure(typed, 'min');
  } catch (error) {
    if (error instanceof MeasureError) return undefined;
    throw error;
  }
};

/** What to look up again where the two times to the heat limit of a mode go with no warming there is. */
export function heatNote({ heatMinutesAt20C, heatMinutesAt40C }: ModeDraft): string | undefined {
  const [at20, at40] = [minutesOf(heatMinutesAt20C), minutesOf(heatMinutesAt40C)];
  if (at20 === undefined || at40 === undefined) return undefined;
  const disagree = heatTimesDisagree({ heatMinutesAt20C: at20, heatMinutesAt40C: at40 });
  return disagree
    ? `${at20} min at 20 °C and ${at40} min at 40 °C do not go together: nothing that lasts ${at20} min in cool air lasts that long in hot. Look both up again; until then the time at 20 °C alone is used.`
    : undefined;
}
