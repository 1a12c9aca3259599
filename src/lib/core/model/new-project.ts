import type { Project, SchoolId } from './project';
import { startScene } from './scene-starts';
import type { Scene, SceneStyle } from './scene';

/** Shares of what one makes, whole percents that add to a hundred. */
function evenShares(count: number): number[] {
  const each = Math.floor(100 / count);
  return Array.from({ length: count }, (_, index) =>
    index === 0 ? 100 - each * (count - 1) : each
  );
}

/** An empty bag for the scenes named, with a tenth set aside. */
export function newProject(
  id: string,
  name: string,
  answers: {
    styles: readonly SceneStyle[];
    limitMinor: number;
    school: SchoolId;
    currency: string;
    mainsHz: 50 | 60;
    units: Project['units'];
  }
): Project {
  const shares = evenShares(Math.max(1, answers.styles.length));
  const scenes: Scene[] = [];
  for (const [index, style] of answers.styles.entries())
    scenes.push(startScene(style, scenes, shares[index]!));
  const calmRate = answers.mainsHz === 50 ? 25 : 30;
  for (const scene of scenes) scene.fps = calmRate;
  return {
    id,
    name,
    currency: answers.currency,
    units: answers.units,
    mainsHz: answers.mainsHz,
    school: answers.school,
    limitMinor: answers.limitMinor,
    reserveMinor: Math.round(answers.limitMinor / 1000) * 100,
    scenes,
    plans: [{ id: 'plan-a', name: 'plan A', lines: [], rigs: [] }],
    activePlanId: 'plan-a',
    ownGear: []
  };
}
