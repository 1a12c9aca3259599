import type { ChanceId, HabitId } from '../model/rehearsal';
import type { Heating } from './heating';

/** What a transmitter or a microphone with its battery inside draws, about: only its hours are ever stated. */
export const ESTIMATED_DRAW_W = 0.25;

/** A part that runs on batteries, with everything it can take energy from. */
export interface Device {
  lineId: string;
  name: string;
  kind: 'body' | 'microphone' | 'recorder' | 'lamp' | 'monitor' | 'router';
  /** Its sheet states hours, and neither watts nor watt-hours: `ESTIMATED_DRAW_W` stands for them. */
  isReckonedFromHours: boolean;
  /** Pieces that fit, by their place in the plan's. */
  pieces: readonly number[];
  /** Banks that keep it going by a plug, and the most of each that is its share. */
  banks: readonly { bank: number; shareWh: number }[];
  key: number;
  isSwitched: boolean;
  /** Drains on when it is left on in between. */
  canBeLeftOn: boolean;
  /** Without it the take is lost. */
  losesTakes: boolean;
}

/** One battery, loose or built in. */
export interface Piece {
  lineId: string;
  name: string;
  capacity: number;
  isBuiltIn: boolean;
  type: string | undefined;
  key: number;
}

/** One card, or what is built in. */
export interface CardPiece {
  lineId: string;
  name: string;
  gigabytes: number;
  isBuiltIn: boolean;
  key: number;
}

/** A body that records, with the cards that fit it. */
export interface Recording {
  lineId: string;
  name: string;
  cards: readonly number[];
}

/** A body that warms up while it films, and how fast it may and may not. */
export interface Warming {
  lineId: string;
  name: string;
  quickMin: number;
  slowMin: number;
}

/** What one device does in a take of a scene. */
export interface Use {
  device: number;
  watts: number;
  /** Minutes of a take it is on. */
  minutes: number;
}

/** What one body does in a take of a scene. */
export interface Filming {
  name: string;
  lineId: string;
  /** Its place among the devices; −1 on mains, or where nobody states what it draws. */
  device: number;
  watts: number;
  /** Its place among the recordings; −1 where it only goes out live. */
  recording: number;
  minutes: number;
  gigabytesPerMin: number;
  clipLimitMin: number;
  heat: Heating | undefined;
  /** Its place among the bodies that warm. */
  heatAt: number;
  /** No battery or block keeps it going, and no card takes what it films. */
  lacksPower: boolean;
  lacksCard: boolean;
  recordsTwice: boolean;
  key: number;
}

export interface PlannedScene {
  id: string;
  name: string;
  key: number;
  takes: number;
  takeMin: number;
  pauseMin: number;
  carryMin: number;
  /** It begins no earlier in its day. */
  notBeforeMin: number;
  setUpMin: number;
  celsius: number;
  /** Share of its energy a battery gives in this air. */
  cold: number;
  hasSocket: boolean;
  isOutdoors: boolean;
  windMps: number;
  usesRadio: boolean;
  /** Distance over reach of its radio; what is not known is taken to be well within. */
  radioStretch: number;
  filming: readonly Filming[];
  /** Everything on batteries but the bodies. */
  uses: readonly Use[];
  /** Parts that no battery and no socket keeps going here. */
  unpowered: readonly { lineId: string; name: string }[];
  /** Switches that can be left off here: on battery or not. */
  switches: readonly { name: string; lineId: string; key: number; device: number }[];
}

export interface Bay {
  type: string;
  watts: number;
}

/** A day of filming in plain numbers, so that thousands can be run from one. */
export interface DayPlan {
  /** Days in a row that it is run. */
  days: number;
  /** Between two days there is a socket; without one only sun, car and banks charge. */
  hasSocketAtNight: boolean;
  startsAtMin: number;
  endsAtMin: number;
  lunchAtMin: number;
  lunchMin: number;
  seed: number;
  habits: ReadonlySet<HabitId>;
  chances: Readonly<Record<ChanceId, number>>;
  /** What set-ups take against what is reckoned. */
  setUpFactor: number;
  scenes: readonly PlannedScene[];
  devices: readonly Device[];
  pieces: readonly Piece[];
  banks: readonly { lineId: string; name: string; wattHours: number }[];
  cards: readonly CardPiece[];
  recordings: readonly Recording[];
  /** Bodies that warm up. */
  warming: readonly Warming[];
  bays: readonly Bay[];
  /** Energy of sun and car, each day away. */
  sunAndCarWhPerDay: number;
  /** Minutes to copy everything in the evening, where the kit has somewhere to. */
  copyMin: number | undefined;
  /** How fast files leave a card; left out where they go home to a machine that is none of the kit's. */
  copyGbPerMin: number | undefined;
  /** What cannot be run, for nobody states a figure of it. */
  unsaid: readonly string[];
}

/** What one's own days have taught. */
export interface Learned {
  percent: Partial<Record<ChanceId, number>>;
  setUpFactor: number;
  /** By line, what a battery gives of what it says. */
  health: Readonly<Record<string, number>>;
}

export const nothingLearned: Learned = { percent: {}, setUpFactor: 1, health: {} };
