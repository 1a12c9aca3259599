import { applyAct } from '../acts/apply-act';
import { figureOf } from '../figures/record';
import type { AngleJudgement } from '../judge/incremental';
import { trackJudgement } from '../judge/incremental';
import { judgePlan } from '../judge/judge-plan';
import type { Judgement } from '../judge/judgement';
import { activePlan } from '../model/active-plan';
import type { MicPlace } from '../model/plan';
import type { Project } from '../model/project';
import type { Shelf } from '../model/shelf';
import { micPlacesFor } from '../rigs/place-mic';
import { levelAtDistanceDb } from '../relations/sound/level';
import {
  criticalDistanceM,
  directToReverberantBands,
  directToReverberantDb,
  distanceForDirectToReverberantM
} from '../relations/sound/critical-distance';
import { absorptionWithBlanket, reverberationS } from '../relations/sound/reverberation';

/** What the voice is worth with the microphone at one of its places. */
export interface SoundAtPlace {
  place: MicPlace;
  inUse: boolean;
  distanceM: number | undefined;
  voiceDbA: number | undefined;
  /** All that is not the voice, and what it is made of. */
  noiseDbA: number | undefined;
  roomDbA: number | undefined;
  windDbA: number | undefined;
  selfNoiseDbA: number | undefined;
  speechToNoiseDb: number | undefined;
  cleanDb: number | undefined;
  directToReverberantDb: number | undefined;
}

/** The same scene judged with its microphone at each place that is open to it; nearest the mouth first. */
export function soundAtEachPlace(
  project: Project,
  shelf: Shelf,
  judgement: Judgement,
  { rig }: AngleJudgement
): SoundAtPlace[] {
  const { mic, scene, angle } = rig;
  if (!mic) return [];
  const before = trackJudgement(project, judgement);
  const sounds = micPlacesFor(rig.kit, scene, mic.gear).map((place): SoundAtPlace => {
    const moved = applyAct(project, {
      type: 'set rig',
      sceneId: scene.id,
      angleId: angle.id,
      patch: { micLineId: mic.line.id, micPlace: place }
    });
    const { record } = judgePlan(moved, activePlan(moved), shelf, { before }).angles.find(
      (judged) => judged.scene.id === scene.id && judged.angle.id === angle.id
    )!;
    return {
      place,
      inUse: place === rig.micPlace,
      distanceM: figureOf(record, 'micDistance'),
      voiceDbA: figureOf(record, 'voiceAtMic'),
      noiseDbA: figureOf(record, 'noiseAtMic'),
      roomDbA: figureOf(record, 'roomNoiseHeard'),
      windDbA: figureOf(record, 'windNoise'),
      selfNoiseDbA: figureOf(record, 'selfNoise'),
      speechToNoiseDb: figureOf(record, 'speechToNoise'),
      cleanDb: figureOf(record, 'speechClean'),
      directToReverberantDb: figureOf(record, 'directToReverberant')
    };
  });
  return sounds.sort((a, b) => (a.distanceM ?? Infinity) - (b.distanceM ?? Infinity));
}

/** How far the microphone may go from the mouth, and what ends it. */
export interface FarthestMic {
  distanceM: number;
  limit: 'noise' | 'room';
}

/**
 * How far the microphone in use may go and still be clean and dry: past the nearer of the two limits the noise, or the
 * room, is heard. Undefined where a figure is missing.
 */
export function farthestMic({ record }: AngleJudgement): FarthestMic | undefined {
  const [voice, noise, clean] = [
    figureOf(record, 'voiceAt1m'),
    figureOf(record, 'noiseAtMic'),
    figureOf(record, 'speechClean')
  ];
  if (voice === undefined || noise === undefined || clean === undefined) return undefined;
  // The level falls by 20·log10 d, so the distance at which it is still clean over the noise.
  const forNoise = 10 ** ((levelAtDistanceDb(voice, 1) - noise - clean) / 20);
  const [critical, reverberation] = [
    figureOf(record, 'criticalDistance'),
    figureOf(record, 'reverberation')
  ];
  if (critical === undefined || reverberation === undefined)
    return { distanceM: forNoise, limit: 'noise' };
  const forRoom = distanceForDirectToReverberantM(
    critical,
    directToReverberantBands.dryDb,
    reverberation
  );
  return forNoise < forRoom
    ? { distanceM: forNoise, limit: 'noise' }
    : { distanceM: forRoom, limit: 'room' };
}

/** A folded blanket swallows about this share of what meets it; an engineering estimate. */
export const BLANKET_ABSORPTION = 0.6;
export const BLANKET_AREA_M2 = 2;

export interface BlanketEffect {
  blankets: number;
  reverberationS: number;
  directToReverberantDb: number;
}

/** What blankets on stands or cushions in corners change in this room for the microphone in use; empty out of doors. */
export function blanketEffects({ record }: AngleJudgement): BlanketEffect[] {
  const [volume, surface, absorption, distance, q] = [
    figureOf(record, 'roomVolume'),
    figureOf(record, 'roomSurface'),
    figureOf(record, 'roomAbsorption'),
    figureOf(record, 'micDistance'),
    figureOf(record, 'micQ')
  ];
  if (
    volume === undefined ||
    surface === undefined ||
    absorption === undefined ||
    distance === undefined ||
    q === undefined ||
    absorption >= BLANKET_ABSORPTION
  )
    return [];
  return [0, 1, 2, 4].flatMap((blankets): BlanketEffect[] => {
    const areaM2 = blankets * BLANKET_AREA_M2;
    if (areaM2 > surface) return [];
    const time = reverberationS(
      volume,
      surface,
      absorptionWithBlanket(absorption, surface, areaM2, BLANKET_ABSORPTION)
    );
    return [
      {
        blankets,
        reverberationS: time,
        directToReverberantDb: directToReverberantDb(
          criticalDistanceM(q, volume, time),
          distance,
          time
        )
      }
    ];
  });
}
