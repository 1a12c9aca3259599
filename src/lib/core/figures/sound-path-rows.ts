import { gainForPeaksDb, microphoneOutputDbV } from '../relations/sound/level-set-up';
import { BODY_LOSS_DB, pathLossExponent, radioReachM } from '../relations/sound/radio-reach';
import { inputNoiseAsLevelDbA } from '../relations/sound/self-noise';
import { driftMs, pictureLagMs } from '../relations/sound/sync';
import { soundDestinationOf } from '../rigs/sound-path';
import type { FigureRows } from './rows';

/** Buffers of a computer's sound; an estimate. */
const COMPUTER_SOUND_LAG_MS = 20;

/** What happens to the sound between the microphone and what records it: levels, radio, clocks, delays. */
export const soundPathRows = {
  inputNoise: {
    name: 'noise of the input',
    unit: 'dBV',
    source: 'body',
    asks: {
      question: 'How quiet is the microphone input of %?',
      between: [-125, -92],
      field: 'inputNoiseDbV',
      of: soundDestinationOf
    },
    read: (rig) =>
      rig.mic && rig.mic.gear.form !== 'desk'
        ? (soundDestinationOf(rig)?.gear.inputNoiseDbV ?? (rig.body ? undefined : null))
        : null
  },
  sensitivity: {
    name: 'sensitivity of the microphone',
    unit: 'dBV/Pa',
    source: 'microphone',
    asks: {
      question: 'What is the sensitivity of %?',
      between: [-60, -20],
      field: 'sensitivityDbVPerPa'
    },
    read: ({ mic }) => (mic ? mic.gear.sensitivityDbVPerPa : null)
  },
  boost: {
    name: 'boost switched on in the microphone',
    unit: 'dB',
    source: 'setting',
    read: ({ mic, overrides }) =>
      mic ? (overrides?.boostOn === false ? 0 : (mic.gear.boostDb ?? 0)) : null
  },
  inputNoiseAsLevel: {
    name: 'input as if it were sound',
    unit: 'dB(A)',
    from: ['inputNoise', 'sensitivity', 'boost'],
    relation: '94 + input noise − (sensitivity + boost)',
    compute: (input, s, b) => inputNoiseAsLevelDbA(input!, s!, b!)
  },
  radioStated: {
    name: 'radio range as stated, in the open',
    unit: 'm',
    source: 'microphone',
    asks: {
      question: 'How far does the radio of % reach in the open?',
      between: [15, 200],
      field: 'radioRangeM'
    },
    read: ({ mic }) => (mic?.gear.form === 'lavalier wireless' ? mic.gear.radioRangeM : null)
  },
  radioIndoors: {
    name: 'the radio works indoors',
    unit: 'yes/no',
    source: 'brief',
    read: ({ scene }) => (scene.room ? 1 : 0)
  },
  radioReach: {
    name: 'radio reach with a body between, about',
    unit: 'm',
    from: ['radioStated', 'radioIndoors'],
    relation: 'range·10^(−20/(10n)), n 2 outdoors, 3 indoors',
    compute: (range, indoors) =>
      radioReachM(range!, BODY_LOSS_DB, pathLossExponent[indoors! > 0 ? 'indoors' : 'outdoors'])
  },
  recorderClock: {
    name: 'clock of the recorder runs off by',
    unit: 'ppm',
    source: 'kit',
    asks: {
      question: 'How far does the clock of % run off, in parts a million?',
      between: [1, 60],
      field: 'clockPpm',
      of: ({ kit }) => kit.of('recorder')[0]
    },
    read: ({ kit, mic }) => {
      const recorder = kit.of('recorder')[0];
      return recorder && mic ? recorder.gear.clockPpm : null;
    }
  },
  recorderDrift: {
    name: 'recorder runs apart from the camera in the longest take',
    unit: 'ms',
    from: ['recorderClock', 'longestTake'],
    relation: 'ppm × 3.6 ms/h',
    compute: (ppm, minutes) => driftMs(ppm!, minutes! / 60)
  },
  captureLag: {
    name: 'frames the capture device holds back',
    unit: 'frames',
    source: 'kit',
    asks: {
      question: 'By how many frames does % hand the picture on late?',
      between: [1, 8],
      field: 'lagFrames',
      of: ({ kit }) => kit.of('capture device')[0]
    },
    read: ({ kit, mic, scene, index }) => {
      const device = kit.of('capture device')[0];
      return device && scene.live && index === 0 && mic?.gear.form === 'desk'
        ? device.gear.lagFrames
        : null;
    }
  },
  computerSoundLag: {
    name: 'the computer takes the sound in late by, about',
    unit: 'ms',
    source: 'setting',
    read: ({ scene }) => (scene.live ? COMPUTER_SOUND_LAG_MS : null)
  },
  pictureLag: {
    name: 'the sound comes before the picture by',
    unit: 'ms',
    from: ['captureLag', 'fps', 'computerSoundLag', 'micDistance'],
    relation: 'frames/fps − sound lag − 2.9 ms/m',
    compute: (frames, fps, soundLag, d) => pictureLagMs(frames!, fps!, soundLag!, d!)
  },
  micOutput: {
    name: 'voice at the plug',
    unit: 'dBV',
    from: ['sensitivity', 'boost', 'voiceAtMic'],
    relation: 'sensitivity + boost + L − 94',
    compute: (sensitivity, boost, level) => microphoneOutputDbV(sensitivity! + boost!, level!)
  },
  inputFullScale: {
    name: 'voltage that fills the input',
    unit: 'dBV',
    source: 'body',
    asks: {
      question: 'At which voltage is the microphone input of % full?',
      between: [-30, 0],
      field: 'inputFullScaleDbV'
    },
    // A recorder sets its own level, or needs none.
    read: (rig) => {
      const into = rig.mic?.gear.form === 'desk' ? undefined : soundDestinationOf(rig);
      return into?.gear.kind === 'body' ? into.gear.inputFullScaleDbV : null;
    }
  },
  gainForPeaks: {
    name: 'gain that puts the peaks of speech at −12 dBFS',
    unit: 'dB',
    from: ['micOutput', 'inputFullScale'],
    relation: '−12 + full scale − (voltage + 17)',
    compute: (output, full) => gainForPeaksDb(output!, full!)
  }
} satisfies FigureRows;
