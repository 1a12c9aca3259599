import { pickupPatterns as patternNames, windCovers } from '../model/gear/microphone';
import { micPlaces } from '../model/plan';
import { boomDistanceM, nearestBoomForwardM } from '../relations/sound/boom-distance';
import {
  criticalDistanceM,
  directToLateDb,
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
import { inputNoiseAsLevelDbA } from '../relations/sound/self-noise';
import { speechToNoiseBands } from '../relations/sound/speech-to-noise';
import { WALKING_WIND_MPS, windNoiseDbA } from '../relations/sound/wind';
import { EYES_ABOVE_MOUTH_M, micPlaceDistanceM } from '../rigs/places';
import { type FigureRows, wordIndex } from './rows';

/** Fans and motors stand about square to the microphone's axis. */
const MACHINE_OFF_AXIS_DEG = 90;

export const soundRows = {
  micPlace: {
    name: 'place of the microphone',
    unit: 'word',
    words: micPlaces,
    source: 'setting',
    read: ({ micPlace }) => (micPlace === undefined ? null : micPlaces.indexOf(micPlace))
  },
  micPattern: {
    name: 'pickup pattern',
    unit: 'word',
    words: patternNames,
    source: 'microphone',
    asks: 'Which pickup pattern has %?',
    read: ({ mic }) => (mic ? wordIndex(patternNames, mic.gear.pattern) : null)
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
    from: ['topAboveMouth', 'distance'],
    relation: '√(x² + y²), y = h + (y_top − h)(d − x)/d + 0.05',
    compute: (top, d) =>
      boomDistanceM(top!, d!, nearestBoomForwardM(top!, d!, EYES_ABOVE_MOUTH_M), EYES_ABOVE_MOUTH_M)
  },
  micDistance: {
    name: 'mouth to microphone',
    unit: 'm',
    from: ['micPlace', 'distance', 'boomDistance'],
    whenAbsent: 0,
    relation: 'by place: at the camera, just out of the picture, or at its own distance',
    compute: (place, d, boom) => {
      const name = micPlaces[place!]!;
      return name === 'shoe' || name === 'side arm'
        ? d!
        : name === 'boom'
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
    name: 'wind with walking',
    unit: 'm/s',
    source: 'brief',
    read: ({ scene }) =>
      scene.room ? null : scene.windMps + (scene.style === 'walk' ? WALKING_WIND_MPS : 0)
  },
  windCover: {
    name: 'wind cover',
    unit: 'word',
    words: windCovers,
    source: 'kit',
    read: ({ mic, cover }) => (mic ? windCovers.indexOf(cover) : null)
  },
  windNoise: {
    name: 'wind at the capsule, roughly',
    unit: 'dB(A)',
    from: ['airSpeed', 'micPattern', 'windCover'],
    relation: '40 + 55·log10 v − cover − 10 for an omni',
    compute: (v, pattern, cover) => windNoiseDbA(v!, patternNames[pattern!]!, windCovers[cover!]!)
  },
  selfNoise: {
    name: 'self-noise of the microphone',
    unit: 'dB(A)',
    source: 'microphone',
    asks: 'What is the self-noise of %, A-weighted?',
    read: ({ mic }) => (mic ? mic.gear.selfNoiseDbA : null)
  },
  inputNoise: {
    name: 'noise of the camera input',
    unit: 'dBV',
    source: 'body',
    asks: 'How quiet is the microphone input of %?',
    read: ({ mic, body }) =>
      mic && body && mic.gear.form !== 'desk' ? body.gear.inputNoiseDbV : null
  },
  sensitivity: {
    name: 'sensitivity of the microphone',
    unit: 'dBV/Pa',
    source: 'microphone',
    asks: 'What is the sensitivity of %?',
    read: ({ mic }) => (mic ? mic.gear.sensitivityDbVPerPa : null)
  },
  boost: {
    name: 'boost switched on in the microphone',
    unit: 'dB',
    source: 'setting',
    read: ({ mic, said }) => (mic ? (said?.boostOn === false ? 0 : (mic.gear.boostDb ?? 0)) : null)
  },
  inputNoiseAsLevel: {
    name: 'camera input as if it were sound',
    unit: 'dB(A)',
    from: ['inputNoise', 'sensitivity', 'boost'],
    relation: '94 + input noise − (sensitivity + boost)',
    compute: (input, s, b) => inputNoiseAsLevelDbA(input!, s!, b!)
  },
  fanLevel: {
    name: 'fan of the key lamp at 1 m',
    unit: 'dB(A)',
    source: 'lamp',
    asks: 'How loud is the fan of %?',
    read: ({ keyLamp, mic }) =>
      !keyLamp || !mic || keyLamp.part.gear.fanLevelDbA === 0 ? null : keyLamp.part.gear.fanLevelDbA
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
    relation: 'L₁ + 10·log10(g²/d² + 1/(rc₀²·Q))',
    compute: (level, d, pattern, volumeM3, t) =>
      machineNoiseHeardDbA(
        level!,
        d!,
        pickupPatterns[patternNames[pattern!]!],
        MACHINE_OFF_AXIS_DEG,
        {
          volumeM3: volumeM3!,
          reverberationS: t!
        }
      )
  },
  noiseAtMic: {
    name: 'all noise at the microphone',
    unit: 'dB(A)',
    from: ['roomNoiseHeard', 'windNoise', 'selfNoise', 'inputNoiseAsLevel', 'fanHeard'],
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
  directToLate: {
    name: 'voice over the room’s echo, about',
    unit: 'dB',
    from: ['criticalDistance', 'micDistance', 'reverberation', 'voiceAt1m'],
    relation: '20·log10(rc/d) + 3/T',
    compute: (rc, d, t) => directToLateDb(rc!, d!, t!)
  }
} satisfies FigureRows;
