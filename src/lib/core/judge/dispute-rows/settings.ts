import { STEADY_FPS } from '../../relations/exposure/flicker';
import type { Project } from '../../model/project';
import type { DisputeRow } from './dispute';
import { changeScenes, isRoom } from './ways';

const inStep = ({ mainsHz }: Project, fps: number) =>
  fps === STEADY_FPS[mainsHz] || fps === 2 * STEADY_FPS[mainsHz];

const CROPS_LATER_PX = 3840;

const SMALL_FILES_PX = 1920;

export const settingDisputes = {
  'frame rate': {
    question: 'A rate in step with the mains, or one rate everywhere?',
    byDegrees: true,
    sides: [
      {
        name: 'in step with the mains',
        says: 'Lamps pulse with the mains: 25 and 50 under 50 Hz, 30 and 60 under 60 Hz never band.'
      },
      {
        name: 'one rate everywhere',
        says: 'All scenes cut together, and a shutter chosen for the lamps keeps them steady at any rate.'
      }
    ],
    where: 'brief',
    arises: ({ project }) => project.scenes.length > 0,
    standing: ({ project }) => [
      project.scenes.filter(isRoom).every(({ fps }) => inStep(project, fps)),
      project.scenes.every(({ fps }) => fps === project.scenes[0]!.fps)
    ],
    ways: ({ project }, side) =>
      side === 0
        ? changeScenes(project.scenes.filter(isRoom), ({ fps }) =>
            inStep(project, fps)
              ? undefined
              : { fps: STEADY_FPS[project.mainsHz] * (fps > 40 ? 2 : 1) }
          )
        : [...new Set(project.scenes.map(({ fps }) => fps))].flatMap((fps) =>
            changeScenes(project.scenes, (scene) => (scene.fps === fps ? undefined : { fps }))
          )
  },
  resolution: {
    question: 'More pixels to crop from later, or small files?',
    byDegrees: true,
    sides: [
      {
        name: '3840 across',
        says: 'One frame gives two framings, and what is filmed today still serves in years.'
      },
      {
        name: '1920 across',
        says: 'A quarter of the card, the drive and the waiting, and few viewers see the difference.'
      }
    ],
    where: 'brief',
    arises: ({ project }) => project.scenes.length > 0,
    standing: ({ project }) => [
      project.scenes.some(({ pixelsAcross }) => pixelsAcross >= CROPS_LATER_PX),
      project.scenes.some(({ pixelsAcross }) => pixelsAcross < CROPS_LATER_PX)
    ],
    ways: ({ project }, side) =>
      changeScenes(project.scenes, ({ pixelsAcross }) =>
        side === 0
          ? pixelsAcross >= CROPS_LATER_PX
            ? undefined
            : { pixelsAcross: CROPS_LATER_PX }
          : pixelsAcross < CROPS_LATER_PX
            ? undefined
            : { pixelsAcross: SMALL_FILES_PX }
      )
  },
  colour: {
    question: 'A fixed colour temperature, or automatic?',
    sides: [
      {
        name: 'fixed',
        says: 'A take keeps its colour from end to end, and all takes match in the cut.'
      },
      {
        name: 'automatic',
        says: 'It follows you from shade to lamp, and one thing less is forgotten.'
      }
    ],
    where: 'brief',
    // Nothing is bought or placed otherwise: the settings of each scene say the fixed value.
    arises: ({ judgement }) => judgement.angles.some(({ rig }) => rig.body !== undefined),
    standing: () => [true, false],
    ways: () => []
  }
} as const satisfies Record<string, DisputeRow>;
