import { isSeated } from '../model/scene-facts';
import type { Angle, Scene } from '../model/scene';
import { framingSizes, groupWidthM } from '../relations/optics/framing-sizes';

/** The size a framing asks for, and which side of the picture it is measured on. */
export function framedSize(
  scene: Scene,
  angle: Angle
): { side: 'width' | 'height'; sizeM: number } {
  const framing = framingSizes[angle.framing];
  return {
    side: framing.side,
    sizeM: angle.framedSizeM ?? framing.sizeM ?? groupWidthM(angle.people, isSeated(scene))
  };
}
