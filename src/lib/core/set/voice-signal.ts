/** What one hears at a microphone: a voice-like sound, the noise of the place and what the room sends back. */
export interface Hearing {
  /** Voice over all noise, unweighted here, dB. */
  speechToNoiseDb: number;
  /** Direct voice against what the room sends back, dB; undefined out of doors. */
  directToReverberantDb: number | undefined;
  reverberationS: number | undefined;
}

/** Peaks of the signal, full scale: quiet enough for whoever has the volume up. */
const PEAK = 0.25;
/** Syllables a second, and the pitch and resonances of a voice that belongs to nobody. */
const SYLLABLES_HZ = 3.7;
const PITCH_HZ = 128;
const HARMONICS = 28;
const RESONANCES = [
  { hz: 550, widthHz: 180, gain: 1 },
  { hz: 1500, widthHz: 260, gain: 0.5 },
  { hz: 2500, widthHz: 350, gain: 0.25 }
] as const;

/** Numbers from −1 to 1, the same for the same seed. */
function noiseOf(seed: number): () => number {
  let state = (seed + 1) >>> 0;
  return () => {
    state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
    return state / 2 ** 31 - 1;
  };
}

const powerOf = (signal: Float32Array): number => {
  let power = 0;
  for (const sample of signal) power += sample ** 2;
  return power / signal.length;
};

function dryVoice(rate: number, length: number): Float32Array {
  const voice = new Float32Array(length);
  const strengths = Array.from({ length: HARMONICS }, (_, index) => {
    const hz = PITCH_HZ * (index + 1);
    return RESONANCES.reduce(
      (sum, formant) => sum + formant.gain / (1 + ((hz - formant.hz) / formant.widthHz) ** 2),
      0.02
    );
  });
  let phase = 0;
  for (let index = 0; index < length; index++) {
    const t = index / rate;
    // The pitch falls and rises a little, as in a sentence.
    phase += (2 * Math.PI * PITCH_HZ * (1 + 0.06 * Math.sin(2 * Math.PI * 0.6 * t))) / rate;
    const syllable = Math.max(0, Math.sin(Math.PI * SYLLABLES_HZ * t)) ** 1.5;
    const pause = Math.sin(2 * Math.PI * 0.45 * t) > -0.7 ? 1 : 0;
    let sum = 0;
    for (let harmonic = 0; harmonic < HARMONICS; harmonic++)
      sum += strengths[harmonic]! * Math.sin(phase * (harmonic + 1));
    voice[index] = sum * syllable * pause;
  }
  return voice;
}

/** Late sound: many weak echoes that die away by 60 dB in the reverberation time, without an image of the room. */
function lateSound(voice: Float32Array, rate: number, seconds: number): Float32Array {
  const late = new Float32Array(voice.length);
  const random = noiseOf(11);
  const taps = 90;
  for (let tap = 0; tap < taps; tap++) {
    const delayS = 0.012 + (seconds - 0.012) * ((tap + 0.5 + 0.4 * random()) / taps);
    const gain = 10 ** ((-3 * delayS) / seconds) * (random() > 0 ? 1 : -1);
    const delay = Math.max(1, Math.round(delayS * rate));
    for (let index = delay; index < late.length; index++)
      late[index] = late[index]! + gain * voice[index - delay]!;
  }
  return late;
}

/**
 * A voice-like sound as a microphone would hear it, synthesised: nobody speaks and nothing is recorded.
 *
 * @param rate samples a second
 * @returns samples within a quarter of full scale; the voice's power stands over the noise's by what is asked
 */
export function voiceLike(rate: number, seconds: number, hearing: Hearing): Float32Array {
  const length = Math.round(rate * seconds);
  const voice = dryVoice(rate, length);
  const power = powerOf(voice);
  const mixed = voice.slice();
  const { directToReverberantDb, reverberationS, speechToNoiseDb } = hearing;
  if (directToReverberantDb !== undefined && reverberationS !== undefined) {
    const late = lateSound(voice, rate, reverberationS);
    const gain = Math.sqrt(power / powerOf(late)) * 10 ** (-directToReverberantDb / 20);
    for (let index = 0; index < length; index++) mixed[index] = mixed[index]! + gain * late[index]!;
  }
  const random = noiseOf(5);
  const noise = new Float32Array(length);
  // Rooms and wind rumble more than they hiss: each sample keeps most of the one before.
  let before = 0;
  for (let index = 0; index < length; index++) {
    before = 0.85 * before + random();
    noise[index] = before;
  }
  const level = Math.sqrt(power / powerOf(noise)) * 10 ** (-speechToNoiseDb / 20);
  let peak = 0;
  for (let index = 0; index < length; index++) {
    const sample = mixed[index]! + level * noise[index]!;
    mixed[index] = sample;
    if (Math.abs(sample) > peak) peak = Math.abs(sample);
  }
  for (let index = 0; index < length; index++) mixed[index] = (mixed[index]! / peak) * PEAK;
  return mixed;
}
