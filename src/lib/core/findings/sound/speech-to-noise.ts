import { figureWords, lengthWords } from '../../figures/figure-words';
import { figureAt } from '../../figures/record';
import { figureIndex } from '../../figures/table';
import { fullName } from '../../model/gear';
import {
  UNINTELLIGIBLE_BELOW_DB,
  speechToNoiseBands,
  speechWord
} from '../../relations/sound/speech-to-noise';
import type { AngleContext, AngleFindingRow, Proposal } from '../finding';
import { setRig } from '../part-candidates';
import { furryCover, micLine, wayNearer } from './microphone-remedies';

/** Speaking up is the oldest remedy and costs nothing but breath. */
function louder({ rig }: AngleContext): Proposal[] {
  if (rig.scene.voice !== 'normal') return [];
  return [
    {
      label: 'Speak up',
      act: { type: 'change scene', sceneId: rig.scene.id, patch: { voice: 'raised' } }
    }
  ];
}

/** A1. */
export const speechToNoiseFindings: readonly AngleFindingRow[] = [
  {
    code: 'A1',
    family: 'sound',
    scope: 'angle',
    about: 'speech-to-noise is too low',
    reads: ['speechToNoise'],
    judge: (rig, record) => {
      const db = figureAt(record, figureIndex.speechToNoise);
      if (db === undefined) return undefined;
      const place = rig.scene.room ? 'indoors' : 'outdoors';
      const band = speechToNoiseBands[place];
      if (db >= band.cleanDb) return undefined;
      return {
        severity: db < UNINTELLIGIBLE_BELOW_DB ? 'stop' : db < band.usableDb ? 'warn' : 'note',
        lineIds: micLine(rig),
        figure: 'speechToNoise',
        has: db,
        needs: band.cleanDb,
        unit: 'dB',
        title: () =>
          db < 0
            ? `${rig.scene.name}: voice is ${figureWords(Math.round(-db), 'dB')} below the noise`
            : `${rig.scene.name}: voice is ${figureWords(Math.round(db), 'dB')} above the noise`,
        why: () =>
          `${fullName(rig.mic!.gear)} hears ${figureWords(figureAt(record, figureIndex.voiceAtMic)!, 'dB(A)')} of voice from ${lengthWords(figureAt(record, figureIndex.micDistance)!, rig.project.units)} and ${figureWords(figureAt(record, figureIndex.noiseAtMic)!, 'dB(A)')} of everything else: ${speechWord(db, place)}; clean begins at ${band.cleanDb} dB here.`
      };
    },
    propose: (context) => [
      ...furryCover(context),
      ...louder(context),
      ...(context.rig.said?.boostOn === false
        ? [{ label: 'Switch the boost on', act: setRig(context, { boostOn: true }) }]
        : []),
      ...wayNearer(context)
    ]
  }
];
