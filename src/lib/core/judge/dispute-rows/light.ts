import type { Act } from '../../acts/act';
import { cheapestOf } from '../../findings/part-candidates';
import { newLine } from '../../model/new-line';
import { activePlan } from '../../model/active-plan';
import type { DisputeRow } from './dispute';
import { changeScenes, isOpen, isRoom, linesOf, together } from './ways';

/** From here on lamps count as several. */
const SEVERAL_LAMPS = 3;

export const lightDisputes = {
  'window light': {
    question: 'The light of the window, or blocked out and lamps?',
    byDegrees: true,
    sides: [
      { name: 'window', says: 'Large, soft and free; film while it lasts.' },
      {
        name: 'lamps',
        says: 'The same at noon, at night and for the second take; cloth over the window.'
      }
    ],
    where: 'light',
    arises: ({ project }) => project.scenes.some(isRoom),
    standing: ({ project }) =>
      (['window', 'lamps'] as const).map((source) =>
        project.scenes.some((scene) => isRoom(scene) && scene.lightSource === source)
      ),
    ways: ({ project }, side) => {
      const lightSource = side === 0 ? 'window' : 'lamps';
      return changeScenes(project.scenes, (scene) =>
        isRoom(scene) && scene.lightSource !== lightSource ? { lightSource } : undefined
      );
    }
  },
  lamps: {
    question: 'One big lamp near by, or three?',
    sides: [
      {
        name: 'one, near',
        says: 'Near, a large lamp is soft and falls off behind you; one thing to carry and to place.'
      },
      {
        name: 'three',
        says: 'Key, fill and a light behind lift you off the wall and look the same every time.'
      }
    ],
    where: 'light',
    arises: ({ project }) => project.scenes.some(({ lightSource }) => lightSource === 'lamps'),
    standing: (context) => {
      const pieces = linesOf(context, 'lamp').reduce((sum, { line }) => sum + line.quantity, 0);
      return [pieces > 0 && pieces < SEVERAL_LAMPS, pieces >= SEVERAL_LAMPS];
    },
    ways: (context, side) => {
      const lamps = linesOf(context, 'lamp');
      if (side === 0) {
        const strongest = Math.max(...lamps.map(({ gear }) => gear.illuminanceAt1mLx ?? 0));
        return together(
          lamps
            .filter(({ gear, line }) => isOpen(line) && (gear.illuminanceAt1mLx ?? 0) < strongest)
            .map(({ line }): Act => ({ type: 'remove line', lineId: line.id }))
        );
      }
      const plan = activePlan(context.project);
      const [fill] = cheapestOf(
        context.shelf,
        context.project,
        'lamp',
        (lamp) => lamp.form !== 'practical' && lamp.runsFromMains === true
      );
      const [behind] = cheapestOf(
        context.shelf,
        context.project,
        'lamp',
        ({ form }) => form === 'practical'
      );
      if (!fill || !behind) return [];
      const line = newLine(plan, fill);
      const grown = { ...plan, lines: [...plan.lines, line] };
      return together([
        { type: 'add line', line },
        { type: 'add line', line: newLine(grown, behind) }
      ]);
    }
  }
} as const satisfies Record<string, DisputeRow>;
