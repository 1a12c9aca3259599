import { figureWords, lengthWords } from '../../figures/figure-words';
import { fullName } from '../../model/gear';
import { AIM_PEAK_DBFS, SPEECH_PEAK_DB } from '../../relations/sound/level-set-up';
import {
  UNINTELLIGIBLE_BELOW_DB,
  speechToNoiseBands,
  speechWord
} from '../../relations/sound/speech-to-noise';
import { figureRow, type AngleContext, type AngleFindingRow, type Proposal } from '../finding';
import { setRig } from '../part-candidates';
import { furryCover, micLine, pickupName, wayNearer } from './microphone-remedies';

/** Two levels this alike are the same to any meter. */
const SAME_DB = 0.5;

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
  figureRow({
    code: 'A1',
    family: 'sound',
    about: 'speech-to-noise is too low',
    reads: ['speechToNoise', 'voiceAtMic', 'micDistance', 'noiseAtMic'],
    judge: (rig, figures) => {
      const db = figures.speechToNoise;
      if (db === undefined) return undefined;
      const place = rig.scene.room ? 'indoors' : 'outdoors';
      const band = speechToNoiseBands[place];
      if (db >= band.cleanDb - SAME_DB) return undefined;
      return {
        severity: db < UNINTELLIGIBLE_BELOW_DB ? 'stop' : db < band.usableDb ? 'warn' : 'note',
        lineIds: micLine(rig),
        figure: 'speechToNoise',
        has: db,
        needs: band.cleanDb,
        unit: 'dB',
        title: () =>
          db < 0
            ? `${rig.scene.name}: voice is ${figureWords(Math.ceil(-db), 'dB')} below the noise (clean from ${band.cleanDb} dB above it)`
            : `${rig.scene.name}: voice is ${figureWords(Math.floor(db), 'dB')} above the noise (clean from ${band.cleanDb} dB)`,
        why: () =>
          `${pickupName(rig)} hears ${figureWords(figures.voiceAtMic!, 'dB(A)')} of voice from ${lengthWords(figures.micDistance!, rig.project.units)} and ${figureWords(figures.noiseAtMic!, 'dB(A)')} of everything else: ${speechWord(db, place)}.`
      };
    },
    propose: (context) => [
      ...furryCover(context),
      ...louder(context),
      ...(context.rig.overrides?.boostOn === false
        ? [{ label: 'Switch the boost on', act: setRig(context, { boostOn: true }) }]
        : []),
      ...wayNearer(context)
    ]
  }),
  figureRow({
    code: 'A1',
    family: 'sound',
    about: 'the voice overloads the microphone input',
    ownCause: true,
    reads: ['gainForPeaks', 'micOutput', 'inputFullScale'],
    judge: (rig, figures) => {
      const gain = figures.gainForPeaks;
      // Without any gain the peaks stand this much over full scale.
      if (gain === undefined || AIM_PEAK_DBFS - gain <= 0) return undefined;
      const over = AIM_PEAK_DBFS - gain;
      return {
        severity: 'warn',
        about: 'overload',
        lineIds: micLine(rig),
        figure: 'gainForPeaks',
        has: gain,
        needs: AIM_PEAK_DBFS,
        unit: 'dB',
        title: () =>
          `${rig.scene.name}: voice peaks clip at the input by ${figureWords(Math.max(1, Math.round(over)), 'dB')}`,
        why: () =>
          `${fullName(rig.mic!.gear)} gives ${figureWords(figures.micOutput!, 'dBV')} of voice and ${SPEECH_PEAK_DB} dB more in its peaks; the input of ${fullName(rig.body!.gear)} is full at ${figureWords(figures.inputFullScale!, 'dBV')}, whatever the gain.`
      };
    },
    propose: (context) =>
      (context.rig.mic?.gear.boostDb ?? 0) > 0 && context.rig.overrides?.boostOn !== false
        ? [{ label: 'Switch the boost off', act: setRig(context, { boostOn: false }) }]
        : []
  })
];
