import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readWavInfo, samplesOf, WavError, wavOf, type WavBits } from './wav';

const reading = (bytes: Uint8Array) =>
  readWavInfo(
    (offset, length) => Promise.resolve(bytes.subarray(offset, offset + length)),
    bytes.length
  );
async function samplesIn(bytes: Uint8Array) {
  const info = await reading(bytes);
  return {
    info,
    channels: samplesOf(bytes.subarray(info.dataAt, info.dataAt + info.dataBytes), info)
  };
}
/** A file put together by hand, a chunk at a time. */
function file(fmt: number[], data: number[], { before = [] as number[], size = data.length } = {}) {
  const u32 = (n: number) => [n & 255, (n >> 8) & 255, (n >> 16) & 255, (n >>> 24) & 255];
  const text = (words: string) => [...words].map((word) => word.charCodeAt(0));
  const body = [
    ...text('WAVE'),
    ...before,
    ...text('fmt '),
    ...u32(fmt.length),
    ...fmt,
    ...text('data'),
    ...u32(size),
    ...data
  ];
  return Uint8Array.from([...text('RIFF'), ...u32(body.length), ...body]);
}
const format = (tag: number, channels: number, bits: number, rate = 48_000) => {
  const frame = (channels * bits) / 8;
  const perSecond = frame * rate;
  return [
    tag & 255,
    tag >> 8,
    channels,
    0,
    rate & 255,
    (rate >> 8) & 255,
    (rate >> 16) & 255,
    0,
    perSecond & 255,
    (perSecond >> 8) & 255,
    (perSecond >> 16) & 255,
    perSecond >>> 24,
    frame & 255,
    frame >> 8,
    bits,
    0
  ];
};

describe('a WAV file', () => {
  it.each([
    // Half scale, full scale down, nothing, worked by hand from how each is written down.
    ['8 bits', format(1, 1, 8), [192, 0, 128], [0.5, -1, 0]],
    ['16 bits', format(1, 1, 16), [0, 64, 0, 128, 0, 0], [0.5, -1, 0]],
    ['24 bits', format(1, 1, 24), [0, 0, 64, 0, 0, 128, 0, 0, 0], [0.5, -1, 0]],
    ['32 bits', format(1, 1, 32), [0, 0, 0, 64, 0, 0, 0, 128, 0, 0, 0, 0], [0.5, -1, 0]],
    ['floating point', format(3, 1, 32), [0, 0, 0, 63, 0, 0, 128, 191, 0, 0, 0, 0], [0.5, -1, 0]]
  ])('of %s is read sample by sample', async (_, fmt, data, samples) => {
    const { channels, info } = await samplesIn(file(fmt, data));
    expect([...channels[0]!]).toEqual(samples);
    expect(info.frames).toBe(3);
  });

  it('of two channels and an extended format is taken apart, past chunks of other things', async () => {
    const extended = [
      ...format(0xfffe, 2, 16),
      22,
      0,
      16,
      0,
      3,
      0,
      0,
      0,
      // PCM, and the rest of its long name.
      1,
      0,
      0,
      0,
      0,
      0,
      16,
      0,
      128,
      0,
      0,
      170,
      0,
      56,
      155,
      113
    ];
    const list = [76, 73, 83, 84, 3, 0, 0, 0, 1, 2, 3, 0];
    const { channels } = await samplesIn(file(extended, [0, 64, 0, 192], { before: list }));
    expect([...channels[0]!]).toEqual([0.5]);
    expect([...channels[1]!]).toEqual([-0.5]);
  });

  it.each<[string, Uint8Array, RegExp]>([
    ['nothing', new Uint8Array(3), /too short/],
    [
      'a picture',
      Uint8Array.from([137, 80, 78, 71, 13, 10, 26, 10, 0, 0, 0, 0, 0]),
      /not a WAV file/
    ],
    [
      'sound cut short',
      file(format(1, 1, 16), [0, 1, 2, 3], { size: 48_000 }),
      /cut short: 0\.0 s of 0\.5 s/
    ],
    ['one never closed', file(format(1, 1, 16), [0, 1], { size: 0xffffffff }), /never closed/],
    ['no sound', file(format(1, 1, 16), []), /no sound/],
    ['a compressed one', file(format(0x55, 1, 16), [0, 0]), /compressed \(format 85\)/],
    ['12 bits', file(format(1, 1, 12), [0, 0]), /12 bits/],
    ['nine channels', file(format(1, 9, 16), Array(18).fill(0)), /9 channels/],
    ['10 samples a second', file(format(1, 1, 16, 10), [0, 0]), /10 samples a second/],
    ['a format without sound', file(format(1, 1, 16), []).subarray(0, 36), /"data" is missing/]
  ])('that is %s is refused with a sentence', async (_, bytes, says) => {
    await expect(reading(bytes)).rejects.toThrow(says);
    await expect(reading(bytes)).rejects.toBeInstanceOf(WavError);
  });

  it('comes back as it was written, to its last step', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.float({ min: -1, max: 1, noNaN: true }), { minLength: 1, maxLength: 60 }),
        fc.integer({ min: 1, max: 3 }),
        fc.constantFrom<WavBits>(16, 24, 32),
        async (samples, count, bits) => {
          const channels = Array.from({ length: count }, () => Float32Array.from(samples));
          const { channels: back, info } = await samplesIn(wavOf(channels, 44_100, bits));
          expect(info).toMatchObject({ channels: count, sampleRate: 44_100, bits });
          for (const channel of back)
            for (const [index, sample] of channel.entries())
              expect(Math.abs(sample - samples[index]!)).toBeLessThanOrEqual(
                bits === 32 ? 0 : 2 ** (1 - bits) * 1.01
              );
        }
      ),
      { numRuns: 60 }
    );
  });

  it('with any bytes spoilt is read or refused, and never throws anything else', async () => {
    const whole = wavOf(
      [Float32Array.from({ length: 40 }, (_, index) => Math.sin(index))],
      48_000,
      16
    );
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.tuple(fc.nat(60), fc.nat(255)), { minLength: 1, maxLength: 6 }),
        fc.nat(whole.length),
        async (spoilt, length) => {
          const bytes = whole.slice(0, length);
          for (const [offset, value] of spoilt) if (offset < bytes.length) bytes[offset] = value;
          try {
            const { channels } = await samplesIn(bytes);
            for (const channel of channels)
              for (const sample of channel) expect(Number.isFinite(sample)).toBe(true);
          } catch (error) {
            expect(error).toBeInstanceOf(WavError);
          }
        }
      ),
      { numRuns: 2000 }
    );
  });
});
