import { mustBeFinite, mustBePositive, mustLieBetween, mustNotBeNegative } from '../argument';

/** A talking head favours the front by about this much; an engineering estimate. */
export const TALKER_Q = 2;

/** Direct against late sound: from `dry` on the room is not heard, below `roomy` it echoes. */
export const directToReverberantBands = { dryDb: 12, roomyDb: 6 } as const;

/** @example echoWord(9.4) // 'roomy' */
export function echoWord(db: number): 'dry' | 'roomy' | 'echoing' {
  mustBeFinite('db', db);
  return db >= directToReverberantBands.dryDb
    ? 'dry'
    : db >= directToReverberantBands.roomyDb
      ? 'roomy'
      : 'echoing';
}

/**
 * Where the room becomes as loud as the voice: 0.057·√(Q_talker·Q_mic·V/T).
 *
 * @returns metres
 * @example criticalDistanceM(3.7, 25.2, 0.348) // 1.32
 */
export function criticalDistanceM(
  micQ: number,
  volumeM3: number,
  reverberation: number,
  talkerQ = TALKER_Q
): number {
  mustBePositive('micQ', micQ);
  mustBePositive('volumeM3', volumeM3);
  mustBePositive('reverberation', reverberation);
  mustBePositive('talkerQ', talkerQ);
  return 0.057 * Math.sqrt((talkerQ * micQ * volumeM3) / reverberation);
}

/**
 * Direct to late sound: 20·log10(rc/d) + 3/T. What arrives within the first moments helps the
 * words, hence the second term. An engineering estimate.
 *
 * @returns dB
 * @example directToReverberantDb(1.32, 1.2, 0.348) // 9.4
 */
export function directToReverberantDb(
  criticalM: number,
  distanceM: number,
  reverberation: number
): number {
  mustBePositive('criticalM', criticalM);
  mustBePositive('distanceM', distanceM);
  mustBePositive('reverberation', reverberation);
  return 20 * Math.log10(criticalM / distanceM) + 3 / reverberation;
}

/**
 * A fan, computer or motor as a pattern hears it across a room:
 * L₁ₘ + 10·log10(g(θ)²/d² + 1/(rc₀²·Q)), rc₀ = 0.057·√(V/T). Outdoors the second term is gone.
 *
 * @param levelAt1mDbA of the machine in the open
 * @param angleDeg off the microphone's axis
 * @param room volume and reverberation, or undefined outdoors
 * @returns dB(A); −∞ where the pattern is deaf to it and no room sends it back
 * @example machineNoiseHeardDbA(30, 3, { q: 1, omniShare: 1 }, 0, { volumeM3: 25.2, reverberationS: 0.348 }) // 36.4
 */
export function machineNoiseHeardDbA(
  levelAt1mDbA: number,
  distanceM: number,
  pattern: { q: number; omniShare: number },
  angleDeg: number,
  room?: { volumeM3: number; reverberationS: number }
): number {
  mustNotBeNegative('levelAt1mDbA', levelAt1mDbA);
  mustBePositive('distanceM', distanceM);
  mustBePositive('pattern.q', pattern.q);
  mustLieBetween('pattern.omniShare', pattern.omniShare, 0, 1);
  mustBeFinite('angleDeg', angleDeg);
  if (room) {
    mustBePositive('volumeM3', room.volumeM3);
    mustBePositive('reverberationS', room.reverberationS);
  }
  const gain = pattern.omniShare + (1 - pattern.omniShare) * Math.cos((angleDeg * Math.PI) / 180);
  const direct = (gain / distanceM) ** 2;
  const late = room ? 1 / ((0.057 ** 2 * room.volumeM3 * pattern.q) / room.reverberationS) : 0;
  return levelAt1mDbA + 10 * Math.log10(direct + late);
}

/**
 * How far a microphone may go before the voice stands less than so far over the room's late sound: the relation above
 * turned round, rc·10^((3/T − dB)/20).
 *
 * @returns metres
 * @example distanceForDirectToReverberantM(1.32, 12, 0.348) // 0.89
 */
export function distanceForDirectToReverberantM(
  criticalM: number,
  wantedDb: number,
  reverberation: number
): number {
  mustBePositive('criticalM', criticalM);
  mustBeFinite('wantedDb', wantedDb);
  mustBePositive('reverberation', reverberation);
  return criticalM * 10 ** ((3 / reverberation - wantedDb) / 20);
}
