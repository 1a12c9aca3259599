import type { Project } from '../model/project';
import type { Act } from './act';

/** Frame rates that go with lamps on each mains, pair by pair; others (24, 120) are kept as they are. */
const withMains: readonly Readonly<Record<50 | 60, number>>[] = [
  { 50: 25, 60: 30 },
  { 50: 50, 60: 60 },
  { 50: 100, 60: 120 }
];

/** The rate that keeps step with lamps on other mains, for one that keeps step now. */
function rateOn(fps: number, from: 50 | 60, to: 50 | 60): number {
  return withMains.find((pair) => pair[from] === fps)?.[to] ?? fps;
}

/** Scenes whose frame rate changes with the mains. */
export function scenesMovedBy(project: Project, mainsHz: 50 | 60): Project['scenes'] {
  return project.scenes.filter(({ fps }) => rateOn(fps, project.mainsHz, mainsHz) !== fps);
}

/** Other mains, and with them the frame rates that keep step with its lamps: one act, undone in one. */
export function changeMains(project: Project, mainsHz: 50 | 60): Act {
  return {
    type: 'batch',
    acts: [
      { type: 'set project', patch: { mainsHz } },
      ...scenesMovedBy(project, mainsHz).map((scene): Act => ({
        type: 'change scene',
        sceneId: scene.id,
        patch: { fps: rateOn(scene.fps, project.mainsHz, mainsHz) }
      }))
    ]
  };
}
