import { chances } from '../chances';
import type { ChanceId } from '../../model/rehearsal';
import type { DayPlan, Device, Filming, PlannedScene } from '../planned-day';
import { keyOf } from '../draws';

/** Chances as they are on a day on which nothing happens by chance. */
export const noChance = Object.fromEntries(
  Object.keys(chances).map((chance) => [chance, 0])
) as Record<ChanceId, number>;

export const filming = (more: Partial<Filming> = {}): Filming => ({
  name: 'Camera',
  lineId: 'camera',
  device: 0,
  watts: 10,
  recording: -1,
  minutes: 25,
  gigabytesPerMin: 0,
  clipLimitMin: Infinity,
  heat: undefined,
  heatAt: -1,
  lacksPower: false,
  lacksCard: false,
  recordsTwice: false,
  key: keyOf('camera'),
  ...more
});

export const scene = (more: Partial<PlannedScene> = {}): PlannedScene => ({
  id: 'bench',
  name: 'Bench',
  key: keyOf('bench'),
  takes: 5,
  takeMin: 25,
  pauseMin: 5,
  carryMin: 0,
  notBeforeMin: 0,
  setUpMin: 10,
  celsius: 20,
  cold: 1,
  hasSocket: false,
  isOutdoors: false,
  windMps: 0,
  usesRadio: false,
  radioStretch: 0,
  filming: [filming()],
  uses: [],
  unpowered: [],
  switches: [],
  ...more
});

export const device = (more: Partial<Device> = {}): Device => ({
  lineId: 'camera',
  name: 'Camera',
  kind: 'body',
  isReckonedFromHours: false,
  pieces: [0, 1],
  banks: [],
  key: keyOf('camera device'),
  isSwitched: false,
  canBeLeftOn: false,
  losesTakes: true,
  ...more
});

export const battery = (index: number, capacity = 10) => ({
  lineId: 'battery',
  name: `Battery ${index}`,
  capacity,
  isBuiltIn: false,
  type: 'Knot',
  key: keyOf(`battery ${index}`)
});

/** A day at a bench: a camera of 10 W, two batteries of 10 Wh, five takes of 25 minutes, and no chance. */
export const day = (more: Partial<DayPlan> = {}): DayPlan => ({
  days: 1,
  hasSocketAtNight: false,
  startsAtMin: 540,
  endsAtMin: 1260,
  lunchAtMin: 750,
  lunchMin: 0,
  seed: 1,
  habits: new Set(),
  chances: noChance,
  setUpFactor: 1,
  scenes: [scene()],
  devices: [device()],
  pieces: [battery(0), battery(1)],
  banks: [],
  cards: [],
  recordings: [],
  warming: [],
  bays: [],
  sunAndCarWhPerDay: 0,
  copyMin: undefined,
  copyGbPerMin: undefined,
  unsaid: [],
  ...more
});
