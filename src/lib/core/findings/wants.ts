import type { Scene, SceneWant } from '../model/scene';
import type { Severity } from './finding';

/** A want that is only nice to have is good to know, not a cost. */
export function severityOfWant(scene: Scene, want: SceneWant, severity: Severity): Severity {
  return scene.niceToHave?.includes(want) === true ? 'note' : severity;
}
