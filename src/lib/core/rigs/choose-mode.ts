import { memoOf } from '../memo';
import type { RecordingMode } from '../model/gear/body';
import type { Scene } from '../model/scene';

/**
 * The row of the mode table that answers the scene: the exact one, else the nearest at the wanted
 * rate, else the nearest at all. The fastest-writing row never wins a tie: small files do the same.
 */
export function chooseMode(
  modes: readonly RecordingMode[],
  { fps, pixelsAcross }: Pick<Scene, 'fps' | 'pixelsAcross'>
): RecordingMode | undefined {
  const chosen = chosenModes(modes);
  for (const mode of chosen)
    if (mode.fps === fps && mode.pixelsAcross === pixelsAcross) return mode.mode;
  const mode = findMode(modes, fps, pixelsAcross);
  chosen.push({ fps, pixelsAcross, mode });
  return mode;
}
/** What was chosen from a table of modes, which never changes, for what scenes have asked of it. */
const chosenModes = memoOf((_modes: readonly RecordingMode[]): ChosenMode[] => []);

interface ChosenMode {
  fps: number;
  pixelsAcross: number;
  mode: RecordingMode | undefined;
}

function findMode(
  modes: readonly RecordingMode[],
  fps: number,
  pixelsAcross: number
): RecordingMode | undefined {
  let best: RecordingMode | undefined;
  let bestMiss = Infinity;
  for (const mode of modes) {
    const rateMiss = Math.abs(Math.log2(mode.fps / fps)) * 100;
    const sizeMiss = Math.abs(Math.log2(mode.pixelsAcross / pixelsAcross)) * 10;
    const miss = rateMiss + sizeMiss + (mode.crop ?? 1) * 0.1 + mode.bitRateMbps * 1e-6;
    if (miss < bestMiss) {
      bestMiss = miss;
      best = mode;
    }
  }
  return best;
}
