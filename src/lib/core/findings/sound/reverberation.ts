import { lengthWords } from '../../figures/figure-words';
import { directToReverberantBands, echoWord } from '../../relations/sound/critical-distance';
import { figureRow, type AngleFindingRow } from '../finding';
import { micLine, wayNearer } from './microphone-remedies';

/** Above or below the echo, in whole decibels. */
const overWords = (db: number): string =>
  db < 0 ? `${Math.ceil(-db)} dB under` : `${Math.floor(db)} dB over`;

/** A2. */
export const reverberationFindings: readonly AngleFindingRow[] = [
  figureRow({
    code: 'A2',
    family: 'sound',
    about: 'echo: beyond what the room allows',
    reads: ['directToReverberant', 'micDistance', 'criticalDistance'],
    judge: (rig, figures) => {
      const db = figures.directToReverberant;
      if (db === undefined || db >= directToReverberantBands.dryDb) return undefined;
      return {
        severity: db < directToReverberantBands.roomyDb ? 'warn' : 'note',
        lineIds: micLine(rig),
        figure: 'directToReverberant',
        has: db,
        needs: directToReverberantBands.dryDb,
        unit: 'dB',
        title: () =>
          `${rig.scene.name}: the room is heard, ${echoWord(db)}: voice about ${overWords(db)} the echo (dry from ${directToReverberantBands.dryDb} dB over it)`,
        why: () =>
          `The microphone is ${lengthWords(figures.micDistance!, rig.project.units)} from the mouth; beyond ${lengthWords(figures.criticalDistance!, rig.project.units)} the room is louder than the voice.`
      };
    },
    propose: (context) => {
      const { room } = context.rig.scene;
      const proposals = wayNearer(context);
      if (room && room.feel !== 'treated') {
        const feel = room.feel === 'bare' ? ('lived-in' as const) : ('treated' as const);
        proposals.push({
          label:
            feel === 'treated' ? 'Hang blankets round the talk' : 'Bring in a sofa, rugs, curtains',
          act: {
            type: 'change scene',
            sceneId: context.rig.scene.id,
            patch: { room: { ...room, feel } }
          }
        });
      }
      return proposals;
    }
  })
];
