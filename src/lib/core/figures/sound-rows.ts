import { pickupPatterns as patternNames, windscreens } from '../model/word-lists';
import { micPlaces } from '../model/word-lists';
import { boomDistanceM, nearestBoomForwardM } from '../relations/sound/boom-distance';
import {
  criticalDistanceM,
  directToReverberantDb,
  machineNoiseHeardDbA
} from '../relations/sound/critical-distance';
import { pickupPatterns, roomNoiseHeardDbA } from '../relations/sound/directivity';
import {
  levelAtDistanceDb,
  NO_LEVEL,
  powerSumDb,
  voiceLevelAt1mDbA
} from '../relations/sound/level';
import {
  reverberationS,
  roomAbsorption,
  roomSurfaceM2,
  roomVolumeM3
} from '../relations/sound/reverberation';
import { speechToNoiseBands } from '../relations/sound/speech-to-noise';
import { airSpeedMps, windNoiseDbA } from '../relations/sound/wind';
import type { FurtherLamp, PlacedRig } from '../rigs/placed-rig';
import { EYES_ABOVE_MOUTH_M, micPlaceDistanceM } from '../rigs/places';
import { type FigureRows, wordIndex } from './rows';

/**
 * The microphones in a body, as far as one can tell: omnidirectional, and with the noise of the small input behind
 * them; an estimate.
 */
export const BODY_MICROPHONE = { pattern: 'omni', selfNoiseDbA: 32 } as const;

/** Fans and motors stand about square to the microphone's axis. */
const MACHINE_OFF_AXIS_DEG = 90;

/** The voice, the room and the noises, at the place of the microphone. */
export const soundRows = {
  micPlace: {
    name: 'place of the microphone',
    unit: 'word',
    words: micPlaces,
    source: 'setting',
    // The body's own hears from where the camera stands, as one on the shoe does.
    read: ({ micPlace, hearsByBody }) =>
      micPlace !== undefined
        ? micPlaces.indexOf(micPlace)
        : hearsByBody
          ? micPlaces.indexOf('shoe')
          : null
  },
  micPattern: {
    name: 'pickup pattern',
    unit: 'word',
    words: patternNames,
    source: 'microphone',
    asks: {
      question: 'Which pickup pattern has %?',
      between: [0, patternNames.length - 1],
      field: 'pattern'
    },
    read: ({ mic, hearsByBody }) =>
      mic
        ? wordIndex(patternNames, mic.gear.pattern)
        : hearsByBody
          ? patternNames.indexOf(BODY_MICROPHONE.pattern)
          : null
  },
  micQ: {
    name: 'directivity Q',
    unit: '×',
    from: ['micPattern'],
    relation: 'by pattern',
    compute: (pattern) => pickupPatterns[patternNames[pattern!]!].q
  },
  topAboveMouth: {
    name: 'top of the picture above the mouth',
    unit: 'm',
    from: ['pictureHeight'],
    relation: 'a third of the picture height + eyes above the mouth',
    compute: (height) => height! / 3 + EYES_ABOVE_MOUTH_M
  },
  boomDistance: {
    name: 'mouth to a boom just out of the picture',
    unit: 'm',
    from: ['topAboveMouth', 'subjectDistance'],
    relation: '√(x² + y²), y = h + (y_top − h)(d − x)/d + 0.05',
    // Filmed from very near the boom hangs by the camera.
    compute: (top, d) => boomDistanceM(top!, d!, boomForwardM(top!, d!), EYES_ABOVE_MOUTH_M)
  },
  micDistance: {
    name: 'mouth to microphone',
    unit: 'm',
    from: ['micPlace', 'subjectDistance', 'boomDistance'],
    whenAbsent: 0,
    relation: 'by place: at the camera, just out of the picture, or at its own distance',
    compute: (place, d, boom) => {
      const name = micPlaces[place!]!;
      return name === 'shoe' || name === 'side arm'
        ? d!
        : name === 'boom arm'
          ? boom!
          : micPlaceDistanceM[name];
    }
  },
  voiceAt1m: {
    name: 'voice at 1 m',
    unit: 'dB(A)',
    source: 'brief',
    read: ({ scene, index }) =>
      scene.voice === 'none' || index > 0 ? null : voiceLevelAt1mDbA[scene.voice]
  },
  voiceAtMic: {
    name: 'voice at the microphone',
    unit: 'dB(A)',
    from: ['voiceAt1m', 'micDistance', 'micQ'],
    relation: 'L₁ − 20·log10 d',
    compute: (level, d) => levelAtDistanceDb(level!, d!)
  },
  placeNoise: {
    name: 'noise of the place',
    unit: 'dB(A)',
    source: 'brief',
    read: ({ scene }) => scene.noiseDbA
  },
  roomNoiseHeard: {
    name: 'noise of the place as heard',
    unit: 'dB(A)',
    from: ['placeNoise', 'micQ'],
    relation: 'L − 10·log10 Q',
    compute: (level, q) => roomNoiseHeardDbA(level!, q!)
  },
  airSpeed: {
    name: 'air met, walking or riding included',
    unit: 'm/s',
    source: 'brief',
    read: ({ scene }) => (scene.room ? null : airSpeedMps(scene))
  },
  windscreen: {
    name: 'windscreen',
    unit: 'word',
    words: windscreens,
    source: 'kit',
    read: ({ mic, cover, hearsByBody }) => (mic || hearsByBody ? windscreens.indexOf(cover) : null)
  },
  windNoise: {
    name: 'wind at the capsule, roughly',
    unit: 'dB(A)',
    from: ['airSpeed', 'micPattern', 'windscreen'],
    relation: '40 + 55·log10 v − cover − 10 for an omni',
    compute: (v, pattern, cover) => windNoiseDbA(v!, patternNames[pattern!]!, windscreens[cover!]!)
  },
  selfNoise: {
    name: 'self-noise of the microphone',
    unit: 'dB(A)',
    source: 'microphone',
    asks: {
      question: 'What is the self-noise of %, A-weighted?',
      between: [8, 32],
      field: 'selfNoiseDbA'
    },
    read: ({ mic, hearsByBody }) =>
      mic ? mic.gear.selfNoiseDbA : hearsByBody ? BODY_MICROPHONE.selfNoiseDbA : null
  },
  fanLevel: {
    name: 'fan of the key lamp at 1 m',
    unit: 'dB(A)',
    source: 'lamp',
    asks: { question: 'How loud is the fan of %?', between: [0, 38], field: 'fanLevelDbA' },
    read: ({ keyLamp, mic, hearsByBody }) =>
      !keyLamp || !(mic || hearsByBody) || keyLamp.part.gear.fanLevelDbA === 0
        ? null
        : keyLamp.part.gear.fanLevelDbA
  },
  roomVolume: {
    name: 'volume of the room',
    unit: 'm³',
    source: 'brief',
    read: ({ scene: { room } }) =>
      room ? roomVolumeM3(room.lengthM, room.widthM, room.heightM) : null
  },
  roomSurface: {
    name: 'surface of the room',
    unit: 'm²',
    source: 'brief',
    read: ({ scene: { room } }) =>
      room ? roomSurfaceM2(room.lengthM, room.widthM, room.heightM) : null
  },
  roomAbsorption: {
    name: 'mean absorption of the room',
    unit: '×',
    source: 'brief',
    read: ({ scene: { room } }) => (room ? roomAbsorption[room.feel] : null)
  },
  reverberation: {
    name: 'reverberation',
    unit: 's',
    from: ['roomVolume', 'roomSurface', 'roomAbsorption'],
    relation: '0.161·V/(−S·ln(1 − ᾱ))',
    compute: (v, s, a) => reverberationS(v!, s!, a!)
  },
  fanHeard: {
    name: 'fan as heard',
    unit: 'dB(A)',
    from: ['fanLevel', 'keyDistance', 'micPattern', 'roomVolume', 'reverberation'],
    whenAbsent: 0,
    relation: 'L₁ + 10·log10(g²/d² + 1/(rc₀²·Q)), outdoors without the second term',
    compute: machineHeard
  },
  furtherFans: {
    name: 'fans of the other lamps at 1 m, together',
    unit: 'dB(A)',
    source: 'lamp',
    asks: {
      question: 'How loud is the fan of %?',
      between: [0, 38],
      field: 'fanLevelDbA',
      of: ({ furtherLamps }) =>
        furtherLamps.find(({ part }) => part.gear.fanLevelDbA === undefined)?.part
    },
    read: (rig) => {
      if (!(rig.mic || rig.hearsByBody)) return null;
      const lamps = lampsWithFans(rig);
      if (lamps.length === 0) return null;
      const levels = lamps.flatMap(({ part }) => part.gear.fanLevelDbA ?? []);
      return levels.length < lamps.length ? undefined : powerSumDb(...levels);
    }
  },
  furtherFansDistance: {
    name: 'nearest of the other lamps with a fan',
    unit: 'm',
    source: 'setting',
    read: (rig) => {
      const lamps = lampsWithFans(rig);
      return lamps.length === 0 ? null : Math.min(...lamps.map(({ distanceM }) => distanceM));
    }
  },
  furtherFansHeard: {
    name: 'fans of the other lamps as heard, all as near as the nearest',
    unit: 'dB(A)',
    from: ['furtherFans', 'furtherFansDistance', 'micPattern', 'roomVolume', 'reverberation'],
    whenAbsent: 0,
    relation: 'L₁ + 10·log10(g²/d² + 1/(rc₀²·Q)), outdoors without the second term',
    compute: machineHeard
  },
  computerFan: {
    name: 'fan of the computer at 1 m',
    unit: 'dB(A)',
    source: 'kit',
    asks: {
      question: 'How loud is the fan of %?',
      between: [18, 42],
      field: 'fanLevelDbA',
      of: ({ kit }) => kit.of('computer')[0]
    },
    read: ({ kit, mic, hearsByBody, scene }) => {
      const computer = kit.of('computer')[0];
      return computer && (mic || hearsByBody) && scene.live && scene.room
        ? computer.gear.fanLevelDbA
        : null;
    }
  },
  computerDistance: {
    name: 'computer to microphone, about',
    unit: 'm',
    source: 'setting',
    read: ({ kit }) => (kit.of('computer').length > 0 ? COMPUTER_TO_MIC_M : null)
  },
  computerHeard: {
    name: 'computer as heard',
    unit: 'dB(A)',
    from: ['computerFan', 'computerDistance', 'micPattern', 'roomVolume', 'reverberation'],
    whenAbsent: 0,
    relation: 'L₁ + 10·log10(g²/d² + 1/(rc₀²·Q)), outdoors without the second term',
    compute: machineHeard
  },
  noiseAtMic: {
    name: 'all noise at the microphone',
    unit: 'dB(A)',
    from: [
      'roomNoiseHeard',
      'windNoise',
      'selfNoise',
      'inputNoiseAsLevel',
      'fanHeard',
      'furtherFansHeard',
      'computerHeard'
    ],
    whenAbsent: NO_LEVEL,
    relation: 'added in power',
    compute: powerSumDb
  },
  speechToNoise: {
    name: 'voice over noise',
    unit: 'dB',
    from: ['voiceAtMic', 'noiseAtMic'],
    relation: 'voice − noise',
    compute: (voice, noise) => voice! - noise!
  },
  speechClean: {
    name: 'voice over noise that counts as clean',
    unit: 'dB',
    source: 'brief',
    read: ({ scene }) =>
      scene.voice === 'none'
        ? null
        : speechToNoiseBands[scene.room ? 'indoors' : 'outdoors'].cleanDb
  },
  speechMargin: {
    name: 'voice past clean',
    unit: 'dB',
    from: ['speechToNoise', 'speechClean'],
    relation: 'voice over noise − clean',
    compute: (have, clean) => have! - clean!
  },
  criticalDistance: {
    name: 'distance at which the room is as loud as the voice',
    unit: 'm',
    from: ['micQ', 'roomVolume', 'reverberation'],
    relation: '0.057·√(2·Q·V/T)',
    compute: (q, v, t) => criticalDistanceM(q!, v!, t!)
  },
  directToReverberant: {
    name: 'voice over the room’s echo, about',
    unit: 'dB',
    from: ['criticalDistance', 'micDistance', 'reverberation', 'voiceAt1m'],
    relation: '20·log10(rc/d) + 3/T',
    compute: (rc, d, t) => directToReverberantDb(rc!, d!, t!)
  },
  boomReach: {
    name: 'reach of the boom',
    unit: 'm',
    source: 'support',
    asks: {
      question: 'How far does % reach?',
      between: [0.5, 2.5],
      field: 'reachM',
      of: ({ boom }) => boom
    },
    read: ({ boom }) => (boom ? boom.gear.reachM : null)
  },
  boomReachNeeded: {
    name: 'reach that keeps the stand out of the picture',
    unit: 'm',
    from: ['pictureWidth', 'boomReach'],
    relation: 'half the picture width + 0.2',
    compute: (width) => width! / 2 + STAND_BESIDE_PICTURE_M
  }
} satisfies FigureRows;

/** A boom hangs no nearer to the camera than this share of the way. */
const MOST_FORWARD_SHARE = 0.9;

/** How far in front of the mouth a boom hangs, metres: where it is nearest, and clear of the camera. */
export const boomForwardM = (topAboveMouthM: number, lensDistanceM: number): number =>
  Math.min(
    nearestBoomForwardM(topAboveMouthM, lensDistanceM, EYES_ABOVE_MOUTH_M),
    MOST_FORWARD_SHARE * lensDistanceM
  );
/** A stand is left out of the picture with this much beside it. */
const STAND_BESIDE_PICTURE_M = 0.2;
/** A laptop stands about an arm away while one talks into it. */
const COMPUTER_TO_MIC_M = 0.8;

function machineHeard(
  level?: number,
  d?: number,
  pattern?: number,
  volumeM3?: number,
  reverberationS?: number
): number {
  return machineNoiseHeardDbA(
    level!,
    d!,
    pickupPatterns[patternNames[pattern!]!],
    MACHINE_OFF_AXIS_DEG,
    volumeM3! > 0 ? { volumeM3: volumeM3!, reverberationS: reverberationS! } : undefined
  );
}

/** Lamps beside key and fill that may be heard. */
const lampsWithFans = ({ furtherLamps }: PlacedRig): readonly FurtherLamp[] =>
  furtherLamps.filter(({ part }) => part.gear.fanLevelDbA !== 0);
