import { angleFindings } from '../findings/table';
import type { ConnectionPurpose } from '../rigs/connection';

/** Findings that a chain of joining parts closes, and the connections they speak of. */
export const joints: Partial<Record<string, readonly ConnectionPurpose[]>> = {
  A11: ['microphone into input'],
  B3: ['microphone into input'],
  B5: ['picture out'],
  G10: ['lamp beside the key held'],
  L1: ['lens on body'],
  L8: ['filter on lens'],
  P3: ['power into body'],
  P7: ['power for its own'],
  T3: ['card in its slot'],
  // One piece for two joints: any of them may want the other.
  W6: [],
  S5: ['camera held', 'microphone held', 'lamp held', 'monitor held']
};

/** Of what tells too much light only the filter that does not screw on is a joint. */
export const jointRows: readonly number[] = angleFindings.flatMap(({ code, reads }, row) =>
  code in joints && (code !== 'L8' || reads === undefined) ? row : []
);
