import type { HeadGear, SupportGear } from '../model/gear';
import { mates } from '../model/mating';
import type { Rig } from '../model/plan';
import { NO_PART } from '../model/word-lists';
import type { Angle } from '../model/scene';
import { type Allocated, isFree } from './allocated';
import type { Kit, KitPart } from './kit';
import { supportsByPlace } from './places';

/** The support fixed for the angle, else the strongest of the form that stands where the camera goes. */
export function placeSupport(
  kit: Kit,
  angle: Angle,
  overrides: Rig | undefined,
  allocated: Allocated
): KitPart<SupportGear> | undefined {
  if (overrides?.supportLineId === NO_PART) return undefined;
  const supports = kit.of('support');
  if (overrides?.supportLineId !== undefined)
    for (const part of supports)
      if (part.line.id === overrides.supportLineId && isFree(part, allocated)) return part;
  for (const form of supportsByPlace[angle.cameraPlace]) {
    let best: KitPart<SupportGear> | undefined;
    for (const part of supports) {
      if (part.gear.form !== form || !isFree(part, allocated)) continue;
      if ((part.gear.payloadKg ?? 0) > (best?.gear.payloadKg ?? -1)) best = part;
    }
    if (best) return best;
  }
  return undefined;
}

/** A head of the bag for legs that came without one: fluid where a pan is wanted, else the strongest. */
export function placeHead(
  kit: Kit,
  turns: boolean,
  support: KitPart<SupportGear> | undefined,
  allocated: Allocated
): KitPart<HeadGear> | undefined {
  if (support?.gear.head !== 'none') return undefined;
  let best: KitPart<HeadGear> | undefined;
  const worth = ({ gear }: KitPart<HeadGear>) =>
    (gear.payloadKg ?? 0) + (turns && gear.form === 'fluid' ? 1000 : 0);
  for (const part of kit.of('head')) {
    if (!isFree(part, allocated) || !screwsOn(support.gear, part.gear)) continue;
    if (!best || worth(part) > worth(best)) best = part;
  }
  return best;
}

const screwsOn = (support: SupportGear, head: HeadGear) =>
  support.ports.some(
    (under) => under.role === 'carries' && head.ports.some((over) => mates(under, over))
  );
