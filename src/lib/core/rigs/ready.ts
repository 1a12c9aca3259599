import { isClosedInBag } from './closings';
import { isMissingPort } from './connection';
import { connectionsOf } from './connections';
import type { KitPart } from './kit';
import type { PlacedRig } from './placed-rig';

/** A part is of use here: every connection it needs, its power and its card included, is closed by the kit. */
export function isReady(rig: PlacedRig, part: KitPart): boolean {
  for (const need of connectionsOf(rig)) {
    if (isMissingPort(need)) {
      // A body without a picture output joins no monitor at all.
      const joinsNone = need.purpose === 'picture out' && part.gear.kind === 'monitor';
      if (joinsNone || need.part.line === part.line) return false;
    } else if (
      (need.from.line === part.line || need.to?.line === part.line) &&
      !isClosedInBag(need, rig.kit)
    )
      return false;
  }
  return true;
}

/** A bank or block whose power gets into the body with the joining parts there are. */
export function feedsBody(rig: PlacedRig, source: KitPart): boolean {
  return connectionsOf(rig).some(
    (need) =>
      !isMissingPort(need) &&
      need.purpose === 'power into body' &&
      need.from.line === source.line &&
      isClosedInBag(need, rig.kit)
  );
}
