import { fullName } from '../model/gear';
import type { Pocket } from '../model/pocket';
import type { Project } from '../model/project';
import type { Shelf } from '../model/shelf';
import { compareKits } from '../merit/kit-merit';
import { bestFirst, type Candidate, judgingCandidates } from './candidates';

/** Of a large pocket so many are tried, those most like what is packed first. */
const MOST_TRIED = 40;

/**
 * The part a pocket would be filled with: what gains the whole kit most within the budget and blocks nothing, or what is
 * packed where nothing gains. Part by part, for a worker that has other things to do between.
 *
 * @returns its name; undefined where the pocket holds nothing that is best
 */
export function* findingBestCandidate(
  project: Project,
  shelf: Shelf,
  pocket: Pocket
): Generator<void, string | undefined, void> {
  const tried: Candidate[] = [];
  for (const candidate of judgingCandidates(project, shelf, pocket)) {
    tried.push(candidate);
    if (tried.length >= MOST_TRIED) break;
    yield;
  }
  // Over the budget already, a part may cost as much as the one it replaces, and no more.
  const now = tried.find(({ packed }) => packed)?.remainingMinor ?? 0;
  const [best] = tried
    .filter(
      ({ group, packed, remainingMinor }) =>
        packed || (group !== 'blocks' && group !== 'unusable' && remainingMinor >= Math.min(0, now))
    )
    .sort((a, b) => compareKits(b.merit, a.merit) || bestFirst(a, b));
  return best && fullName(best.gear);
}
