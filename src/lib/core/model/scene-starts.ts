import type { Scene, SceneStyle } from './scene';

type SceneStart = Omit<Scene, 'id' | 'name' | 'sharePercent'> & { name: string };

const angle = (more: Partial<Scene['angles'][number]>): Scene['angles'] => [
  {
    id: 'a',
    name: 'main',
    cameraPlace: 'tabletop',
    distanceM: 0.9,
    framing: 'head and shoulders',
    people: 1,
    ...more
  }
];

const common = {
  mustDo: true,
  orientation: 'wide',
  windMps: 0,
  temperatureC: 20,
  pixelsAcross: 1920,
  fps: 25,
  live: false,
  wantsSeeSelf: true,
  wantsBlurPercent: 0,
  wantsFaceSharp: true,
  voice: 'normal',
  daysWithoutSocket: 0
} as const;

const smallRoom = { lengthM: 3.6, widthM: 3.1, heightM: 2.4, feel: 'lived-in' } as const;

const withoutSelf = { wantsSeeSelf: false, wantsFaceSharp: false } as const;

const outOfDoors = {
  ...common,
  ...withoutSelf,
  lightSource: 'sky',
  lightDimLx: 10_000,
  lightBrightLx: 100_000,
  temperatureC: 12,
  daysWithoutSocket: 1
} as const;

/** Where a scene of each style begins before anyone has measured: plain, common, meant to be changed. */
export const sceneStarts: Readonly<Record<SceneStyle, SceneStart>> = {
  walk: {
    ...common,
    name: 'Out walking',
    style: 'walk',
    angles: angle({ cameraPlace: 'hand', distanceM: 0.65 }),
    noiseDbA: 45,
    windMps: 3,
    lightSource: 'sky',
    lightDimLx: 10_000,
    lightBrightLx: 100_000,
    temperatureC: 12,
    longestTakeMin: 6,
    recordedMin: 45,
    daysWithoutSocket: 1
  },
  seated: {
    ...common,
    name: 'Sitting and talking',
    style: 'seated',
    angles: angle({ backgroundM: 1.4 }),
    room: smallRoom,
    noiseDbA: 38,
    lightSource: 'lamps',
    lightDimLx: 20,
    lightBrightLx: 60,
    longestTakeMin: 20,
    recordedMin: 80,
    wantsBlurPercent: 0.6
  },
  hands: {
    ...common,
    name: 'Hands at work',
    style: 'hands',
    angles: angle({
      cameraPlace: 'overhead',
      distanceM: 0.75,
      backgroundM: 0.05,
      framing: 'hands'
    }),
    room: smallRoom,
    noiseDbA: 38,
    voice: 'none',
    lightSource: 'lamps',
    lightDimLx: 20,
    lightBrightLx: 60,
    longestTakeMin: 10,
    recordedMin: 40,
    wantsSeeSelf: false,
    wantsFaceSharp: false
  },
  'live call': {
    ...common,
    name: 'Live call',
    style: 'live call',
    angles: angle({ distanceM: 0.8, backgroundM: 1.2 }),
    room: smallRoom,
    noiseDbA: 40,
    lightSource: 'lamps',
    lightDimLx: 40,
    lightBrightLx: 120,
    longestTakeMin: 50,
    recordedMin: 120,
    live: true,
    fps: 25
  },
  evening: {
    ...common,
    name: 'In the evening',
    style: 'evening',
    angles: angle({ cameraPlace: 'hand', distanceM: 0.65 }),
    noiseDbA: 42,
    windMps: 1,
    lightSource: 'existing light',
    lightDimLx: 15,
    lightBrightLx: 200,
    temperatureC: 8,
    longestTakeMin: 5,
    recordedMin: 25,
    daysWithoutSocket: 1
  },
  ride: {
    ...outOfDoors,
    name: 'On the bicycle',
    style: 'ride',
    angles: angle({
      cameraPlace: 'chest',
      distanceM: 4,
      framing: 'landscape',
      framedSizeM: 8
    }),
    noiseDbA: 50,
    voice: 'raised',
    windMps: 3,
    rideSpeedMps: 6,
    longestTakeMin: 15,
    recordedMin: 60
  },
  event: {
    ...common,
    ...withoutSelf,
    name: 'A talk',
    style: 'event',
    angles: [
      ...angle({ name: 'near', cameraPlace: 'tripod', distanceM: 7, framing: 'waist' }),
      ...angle({
        id: 'b',
        name: 'wide',
        cameraPlace: 'tripod',
        distanceM: 8,
        framing: 'stage',
        wantsPan: false
      })
    ],
    room: { lengthM: 14, widthM: 10, heightM: 4, feel: 'bare' },
    noiseDbA: 42,
    voice: 'raised',
    lightSource: 'existing light',
    lightDimLx: 150,
    lightBrightLx: 400,
    longestTakeMin: 60,
    recordedMin: 90,
    wantsFaceSharp: true,
    wantsPan: true,
    onceOnly: true
  },
  interview: {
    ...common,
    ...withoutSelf,
    name: 'An interview of two',
    style: 'interview',
    angles: [
      ...angle({
        name: 'guest',
        cameraPlace: 'tripod',
        distanceM: 1.6,
        backgroundM: 1.5,
        framing: 'chest'
      }),
      ...angle({
        id: 'b',
        name: 'host',
        cameraPlace: 'tripod',
        distanceM: 1.6,
        backgroundM: 1.5,
        framing: 'chest'
      })
    ],
    room: { lengthM: 4.6, widthM: 3.8, heightM: 2.5, feel: 'lived-in' },
    noiseDbA: 36,
    lightSource: 'lamps',
    lightDimLx: 20,
    lightBrightLx: 60,
    longestTakeMin: 30,
    recordedMin: 60,
    wantsFaceSharp: true,
    wantsBlurPercent: 0.6
  },
  product: {
    ...common,
    ...withoutSelf,
    name: 'A thing on the table',
    style: 'product',
    angles: angle({
      cameraPlace: 'tripod',
      distanceM: 0.8,
      backgroundM: 0.6,
      framing: 'product'
    }),
    room: smallRoom,
    noiseDbA: 38,
    voice: 'none',
    lightSource: 'lamps',
    lightDimLx: 20,
    lightBrightLx: 60,
    longestTakeMin: 2,
    recordedMin: 30
  },
  landscape: {
    ...outOfDoors,
    name: 'The land',
    style: 'landscape',
    angles: angle({
      cameraPlace: 'tripod',
      distanceM: 40,
      framing: 'landscape',
      framedSizeM: 45
    }),
    noiseDbA: 40,
    voice: 'none',
    windMps: 4,
    lightDimLx: 5_000,
    temperatureC: 8,
    longestTakeMin: 3,
    recordedMin: 40,
    wantsPan: true
  },
  flying: {
    ...outOfDoors,
    name: 'From the air',
    style: 'flying',
    angles: angle({
      cameraPlace: 'in the air',
      distanceM: 40,
      framing: 'landscape',
      framedSizeM: 60
    }),
    noiseDbA: 45,
    voice: 'none',
    windMps: 4,
    longestTakeMin: 5,
    recordedMin: 20
  }
};

/** A fresh scene of a style with an id no other has. */
export function startScene(
  style: SceneStyle,
  others: readonly Scene[],
  sharePercent: number
): Scene {
  let number = others.length + 1;
  while (others.some((scene) => scene.id === `scene-${number}`)) number += 1;
  return { ...structuredClone(sceneStarts[style]), id: `scene-${number}`, sharePercent };
}
