import type { Scene } from '../model/scene';
import type { SceneMerit } from './scene-merit';

/** How kits compare: must-do scenes that work, then stops, then merit in whole hundredths. */
export interface KitMerit {
  mustDoWorking: number;
  mustDoScenes: number;
  stops: number;
  /** Share-weighted merit of the scenes that work, hundredths of a point. */
  meritHundredths: number;
  /** The same over all scenes, as if every stop were settled; tells apart kits that are stopped alike. */
  onceSettledHundredths: number;
  scenes: SceneMerit[];
}

export function meritOfKit(
  scenes: readonly Scene[],
  merits: readonly SceneMerit[],
  stops: number
): KitMerit {
  let mustDoWorking = 0;
  let mustDoScenes = 0;
  let shares = 0;
  let sum = 0;
  let onceSettled = 0;
  // Shares that are all zero say that no scene counts more than another.
  const shareOf = scenes.some(({ sharePercent }) => sharePercent > 0)
    ? ({ sharePercent }: Scene) => sharePercent
    : () => 1;
  for (const [index, scene] of scenes.entries()) {
    const merit = merits[index]!;
    if (scene.mustDo) mustDoScenes += 1;
    if (scene.mustDo && merit.works) mustDoWorking += 1;
    const share = shareOf(scene);
    shares += share;
    onceSettled += share * merit.low;
    if (merit.works) sum += share * merit.low;
  }
  return {
    mustDoWorking,
    mustDoScenes,
    stops,
    meritHundredths: shares > 0 ? Math.round((100 * sum) / shares) : 0,
    onceSettledHundredths: shares > 0 ? Math.round((100 * onceSettled) / shares) : 0,
    scenes: [...merits]
  };
}

/** Positive when `a` is the better kit. */
export function compareKits(a: KitMerit, b: KitMerit): number {
  return (
    a.mustDoWorking - b.mustDoWorking || b.stops - a.stops || a.meritHundredths - b.meritHundredths
  );
}
