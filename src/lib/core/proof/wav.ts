/** A sound file that cannot be read: the sentence says what, where and how to mend it. */
export class WavError extends Error {
  constructor(message: string) {
    super(message);
    this.name = 'WavError';
  }
}

/** How samples are written down, by the two tags there are for them. */
export interface WavFormat {
  sampleRate: number;
  channels: number;
  /** 8, 16, 24, 32 or 64. */
  bits: number;
  isFloat: boolean;
}

export interface WavInfo extends WavFormat {
  /** Samples of each channel. */
  frames: number;
  /** Where the samples begin in the file, and how many bytes they take. */
  dataAt: number;
  dataBytes: number;
}

/** Hands out a stretch of a file; shorter where the file ends. */
export type ReadBytes = (offset: number, length: number) => Promise<Uint8Array>;

const PCM = 1;
const FLOAT = 3;
const EXTENSIBLE = 0xfffe;
export const MOST_CHANNELS = 8;
const RATES_HZ = [1000, 400_000] as const;
/** Chunks before the sound; a file with more of them is no sound file. */
const MOST_CHUNKS = 1000;
/** What a recorder writes as the length when it never came to its end. */
const NEVER_CLOSED = 0xffffffff;

const textAt = (view: DataView, offset: number): string =>
  String.fromCharCode(...Array.from({ length: 4 }, (_, n) => view.getUint8(offset + n)));
const viewOf = (bytes: Uint8Array): DataView =>
  new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);

/**
 * Reads what a WAV file says of itself, and where its sound lies; the sound itself is left where it is.
 *
 * @param fileBytes size of the whole file
 * @throws WavError where it is broken, cut short or written in a way nobody here reads
 */
export async function readWavInfo(read: ReadBytes, fileBytes: number): Promise<WavInfo> {
  const head = await read(0, 12);
  if (head.length < 12) throw new WavError('The file is too short to be a WAV file.');
  const riff = viewOf(head);
  const tag = textAt(riff, 0);
  if (tag === 'RF64' || tag === 'BW64')
    throw new WavError(
      'This is a WAV file of the long kind (RF64). Cut it below 4 GB and drop it again.'
    );
  if (tag !== 'RIFF' || textAt(riff, 8) !== 'WAVE')
    throw new WavError('This is not a WAV file: it does not begin as one.');
  let format: WavFormat | undefined;
  let offset = 12;
  for (let chunk = 0; chunk < MOST_CHUNKS; chunk++) {
    const header = await read(offset, 8);
    if (header.length < 8) break;
    const view = viewOf(header);
    const name = textAt(view, 0);
    const size = view.getUint32(4, true);
    const from = offset + 8;
    if (name === 'fmt ') format = readFormat(await read(from, Math.min(size, 40)));
    else if (name === 'data') {
      if (!format)
        throw new WavError('The file says nothing of its format before the sound begins.');
      return whereSoundLies(format, from, size, fileBytes);
    }
    // A chunk of odd length is followed by a byte that counts for nothing.
    offset = from + size + (size % 2);
  }
  throw new WavError(
    format
      ? 'The file holds no sound: its part "data" is missing. It may be cut short; copy it again.'
      : 'The file says nothing of its format; it may be cut short. Copy it again.'
  );
}

function readFormat(bytes: Uint8Array): WavFormat {
  if (bytes.length < 16) throw new WavError('The format of the file is cut short. Copy it again.');
  const view = viewOf(bytes);
  let tag = view.getUint16(0, true);
  const channels = view.getUint16(2, true);
  const sampleRate = view.getUint32(4, true);
  const frameBytes = view.getUint16(12, true);
  const bits = view.getUint16(14, true);
  if (tag === EXTENSIBLE) {
    if (bytes.length < 40)
      throw new WavError('The extended format of the file is cut short. Copy it again.');
    tag = view.getUint16(24, true);
  }
  if (tag !== PCM && tag !== FLOAT)
    throw new WavError(
      `The sound is compressed (format ${tag}). Save it as WAV with plain samples (PCM).`
    );
  const isFloat = tag === FLOAT;
  if (!(isFloat ? [32, 64] : [8, 16, 24, 32]).includes(bits))
    throw new WavError(
      `${bits} bits a sample are not read. Save it with 16 or 24 bits, or 32 as floating point.`
    );
  if (channels < 1 || channels > MOST_CHANNELS)
    throw new WavError(`The file has ${channels} channels; 1 to ${MOST_CHANNELS} are read.`);
  if (sampleRate < RATES_HZ[0] || sampleRate > RATES_HZ[1])
    throw new WavError(
      `The file says ${sampleRate} samples a second; ${RATES_HZ[0]} to ${RATES_HZ[1]} are read.`
    );
  if (frameBytes !== (channels * bits) / 8)
    throw new WavError(
      `The format contradicts itself: ${channels} channels of ${bits} bits are not ${frameBytes} bytes.`
    );
  return { sampleRate, channels, bits, isFloat };
}

function whereSoundLies(
  format: WavFormat,
  dataAt: number,
  stated: number,
  fileBytes: number
): WavInfo {
  const frameBytes = (format.channels * format.bits) / 8;
  const there = Math.max(0, fileBytes - dataAt);
  const seconds = (bytes: number) => (bytes / frameBytes / format.sampleRate).toFixed(1);
  if (stated === NEVER_CLOSED || (stated === 0 && there >= frameBytes))
    throw new WavError(
      `The recorder never closed this file. Let the recorder mend it, or save it anew: there are about ${seconds(there)} s of sound.`
    );
  if (stated > there)
    throw new WavError(
      `The file is cut short: ${seconds(there)} s of ${seconds(stated)} s are there. Copy it again.`
    );
  const frames = Math.floor(stated / frameBytes);
  if (frames === 0) throw new WavError('The file holds no sound: it is empty.');
  return { ...format, frames, dataAt, dataBytes: frames * frameBytes };
}

/**
 * Samples of a stretch of a WAV file, channel by channel, full scale at 1.
 *
 * @param bytes whole frames
 */
export function samplesOf(
  bytes: Uint8Array,
  { channels, bits, isFloat }: WavFormat
): Float32Array<ArrayBuffer>[] {
  const frames = Math.floor(bytes.length / ((channels * bits) / 8));
  const out = Array.from({ length: channels }, () => new Float32Array(frames));
  const view = viewOf(bytes);
  const step = bits / 8;
  const sampleAt = isFloat
    ? bits === 32
      ? (offset: number) => view.getFloat32(offset, true)
      : (offset: number) => view.getFloat64(offset, true)
    : bits === 8
      ? (offset: number) => (view.getUint8(offset) - 128) / 128
      : bits === 16
        ? (offset: number) => view.getInt16(offset, true) / 2 ** 15
        : bits === 24
          ? (offset: number) =>
              (view.getUint16(offset, true) + view.getInt8(offset + 2) * 65_536) / 2 ** 23
          : (offset: number) => view.getInt32(offset, true) / 2 ** 31;
  for (let frame = 0, index = 0; frame < frames; frame++)
    for (let channel = 0; channel < channels; channel++, index += step) {
      const sample = sampleAt(index);
      // A floating-point file can hold values that are not numbers; they are read as silence.
      out[channel]![frame] = Number.isFinite(sample) ? sample : 0;
    }
  return out;
}

/** How written samples are rounded. */
export type WavBits = 16 | 24 | 32;

/**
 * A WAV file of samples, full scale at 1; 32 bits are floating point, the others are held within full scale.
 *
 * @param channels equally long
 */
export function wavOf(
  channels: readonly Float32Array[],
  sampleRate: number,
  bits: WavBits
): Uint8Array<ArrayBuffer> {
  const frames = channels[0]?.length ?? 0;
  const step = bits / 8;
  const dataBytes = frames * channels.length * step;
  const bytes = new Uint8Array(44 + dataBytes);
  const view = new DataView(bytes.buffer);
  const text = (offset: number, words: string) => {
    for (let n = 0; n < words.length; n++) view.setUint8(offset + n, words.charCodeAt(n));
  };
  text(0, 'RIFF');
  view.setUint32(4, 36 + dataBytes, true);
  text(8, 'WAVEfmt ');
  view.setUint32(16, 16, true);
  view.setUint16(20, bits === 32 ? FLOAT : PCM, true);
  view.setUint16(22, channels.length, true);
  view.setUint32(24, sampleRate, true);
  view.setUint32(28, sampleRate * channels.length * step, true);
  view.setUint16(32, channels.length * step, true);
  view.setUint16(34, bits, true);
  text(36, 'data');
  view.setUint32(40, dataBytes, true);
  const most = 2 ** (bits - 1);
  for (let frame = 0, index = 44; frame < frames; frame++)
    for (const channel of channels) {
      const sample = channel[frame]!;
      if (bits === 32) view.setFloat32(index, sample, true);
      else {
        const whole = Math.max(-most, Math.min(most - 1, Math.round(sample * most)));
        view.setUint8(index, whole & 255);
        view.setUint8(index + 1, (whole >> 8) & 255);
        if (bits === 24) view.setUint8(index + 2, (whole >> 16) & 255);
      }
      index += step;
    }
  return bytes;
}
