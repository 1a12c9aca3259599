import { align } from '$lib/core/proof/align';
import { measurePicture } from '$lib/core/proof/measure-picture';
import { measureSound, SoundMeter } from '$lib/core/proof/measure-sound';
import { simulatedSound } from '$lib/core/takes/simulated-sound';
import { simulatedStill } from '$lib/core/takes/simulated-still';
import { median, sampleMicroseconds } from './measure';

const RATE = 48_000;
const minute = simulatedSound({
  seconds: 60,
  sampleRate: RATE,
  seed: 1,
  speechToNoiseDb: 30,
  gainDb: 0
});
const milliseconds = (run: () => void) => median(sampleMicroseconds(9, run)) / 1000;
const line = (name: string, ms: number, more = '') =>
  console.log(`${name.padEnd(44)} ${ms.toFixed(0).padStart(6)} ms${more}`);

line(
  'a minute of 48 kHz, mono',
  milliseconds(() => void measureSound([minute], RATE))
);
line(
  'a minute of 48 kHz, stereo',
  milliseconds(() => void measureSound([minute, minute], RATE))
);
line(
  'two minutes laid on each other',
  milliseconds(() => void align(minute, minute.subarray(RATE), RATE))
);
const still = simulatedStill({
  width: 1920,
  height: 1080,
  seed: 1,
  pictureWidthM: 0.98,
  pictureHeightM: 0.55,
  hasFace: true,
  blurPercent: 0.6,
  underStops: 0,
  lightK: 5600,
  balanceK: 5600,
  noise: 0.01
});
line(
  'a still of 1920 × 1080',
  milliseconds(() => void measurePicture(still, 1920, 1080))
);

const began = performance.now();
const before = process.memoryUsage();
const meter = new SoundMeter(RATE, 1);
for (let index = 0; index < 60; index++) meter.push([minute]);
const { seconds } = meter.result();
const after = process.memoryUsage();
line(
  `an hour (${seconds.toFixed(0)} s), a minute at a time`,
  performance.now() - began,
  `; heap ${Math.round((after.heapUsed + after.arrayBuffers - before.heapUsed - before.arrayBuffers) / 1e6)} MB more`
);
