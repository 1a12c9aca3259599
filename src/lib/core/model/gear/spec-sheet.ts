import { type FieldAsk, fieldsOfClass } from '../stated';
import { gearClasses } from './classes';
import type { GearKind } from './index';

/** What people call each field; one name wherever it stands: form, part page, reader, CSV column. */
export const fieldNames: Readonly<Record<string, string>> = {
  maker: 'maker',
  model: 'model',
  note: 'note',
  massG: 'weight',
  form: 'form',
  sensorFormat: 'sensor',
  screen: 'screen',
  stabilised: 'stabilisation',
  baseIso: 'base ISO',
  highestUsableIso: 'highest usable ISO',
  inputNoiseDbV: 'noise of the microphone input',
  inputFullScaleDbV: 'voltage that fills the microphone input',
  drawW: 'draw',
  batteryType: 'battery',
  batteriesIncluded: 'batteries in the box',
  includedBatteryWh: 'energy of the battery in the box',
  internalBatteryWh: 'energy of the built-in battery',
  cardSlots: 'card slots',
  internalStorageGb: 'built-in storage',
  cleanOutput: 'clean picture over HDMI',
  usbVideo: 'camera over USB',
  runsFromUsb: 'runs from USB',
  runsFromMainsAdapter: 'takes a dummy battery',
  weatherCover: 'sealed against weather',
  flightMinutes: 'flight on one battery',
  linkRangeM: 'reach of the link',
  mount: 'mount',
  focalLengthMinMm: 'shortest focal length',
  focalLengthMaxMm: 'longest focal length',
  apertureWideN: 'widest aperture, short end',
  apertureTeleN: 'widest aperture, long end',
  apertureWideT: 'T-number, widest at the short end',
  apertureSmallestN: 'smallest aperture',
  coversWidthMm: 'covers a sensor width of',
  minimumFocusDistanceM: 'minimum focus distance',
  motorLevelDbA: 'focus motor at 0.1 m',
  filterThreadMm: 'filter thread',
  protrudingFront: 'front element protrudes',
  pattern: 'pickup pattern',
  selfNoiseDbA: 'self-noise',
  sensitivityDbVPerPa: 'sensitivity',
  boostDb: 'boost',
  hasSwitch: 'has a switch',
  power: 'powered by',
  batteryHours: 'own battery',
  windscreenIncluded: 'wind cover in the box',
  cableM: 'cable',
  radioRangeM: 'radio range',
  recordsItself: 'records itself',
  cover: 'cover',
  safetyTrack: 'safety track',
  illuminanceAt1mLx: 'light at 1 m',
  sourceRadiusM: 'radius of the source',
  colourMinK: 'warmest colour',
  colourMaxK: 'coolest colour',
  fanLevelDbA: 'fan at 1 m',
  runsFromMains: 'runs from the mains',
  pwmHz: 'dimmer frequency',
  dimmable: 'can be dimmed',
  payloadKg: 'payload',
  heightMaxM: 'greatest height',
  reachM: 'reach',
  footRadiusM: 'foot radius',
  head: 'head',
  ratedAtMm: 'payload holds up to a height of',
  filledKg: 'weight filled',
  cardKind: 'card kind',
  capacityGb: 'capacity',
  speedClass: 'speed class',
  readMBps: 'read speed',
  writeMBps: 'write speed',
  plug: 'plug',
  editingRating: 'editing load it plays',
  freeSpaceGb: 'free space',
  hasReader: 'has a card reader',
  usbCPorts: 'USB-C ports',
  energyWh: 'energy',
  otherMaker: 'not by the maker of the device',
  outputW: 'output',
  passThrough: 'charges while it gives',
  bays: 'bays',
  wattsPerBay: 'watts per bay',
  lengthM: 'length',
  threadMm: 'thread',
  stopsMin: 'least density',
  stopsMax: 'most density',
  lensThreadMm: 'thread of the lens',
  lensMount: 'mount of the lens',
  bodyMount: 'mount of the body',
  keepsFocus: 'keeps focus',
  keepsAperture: 'keeps aperture',
  movesShoeAside: 'moves the shoe aside',
  fitsBodyId: 'made for',
  diagonalIn: 'diagonal',
  luminanceCdM2: 'brightness',
  pixelsAcross: 'pixels across',
  fps: 'frames a second',
  use: 'use',
  givesPhantom: 'feeds phantom power',
  givesPlugInPower: 'feeds plug-in power',
  attenuates: 'brings line level down',
  carriesW: 'carries at most',
  plugInPower: 'feeds plug-in power at the plug',
  takesLineLevel: 'takes line level',
  outputLevel: 'level at the plug',
  looseRings: 'loose strap rings',
  ownMicrophone: 'microphone of its own',
  castMired: 'colour cast',
  clockPpm: 'clock runs off by',
  lagFrames: 'picture comes late by',
  coated: 'coated against reflections',
  ownMade: 'made at home',
  areaM2: 'area',
  absorption: 'absorption'
};

/** One line of a part's specification sheet. */
export interface SheetField {
  key: string;
  name: string;
  ask: FieldAsk;
}

const sheets = new Map<GearKind, readonly SheetField[]>();
const everywhere = ['id', 'maker', 'model', 'massG', 'note', 'ownMade'];

/** The figures a kind has, in the order a specification sheet gives them: its own, then weight and note. */
export function specSheet(kind: GearKind): readonly SheetField[] {
  let sheet = sheets.get(kind);
  if (!sheet) {
    const fields = [...fieldsOfClass(gearClasses[kind])];
    const own = fields.filter(([key]) => !everywhere.includes(key));
    const last = fields
      .filter(([key]) => key === 'massG' || key === 'note' || key === 'ownMade')
      .sort(([a], [b]) => a.localeCompare(b));
    sheet = [...own, ...last].map(([key, ask]) => ({ key, name: fieldNames[key] ?? key, ask }));
    sheets.set(kind, sheet);
  }
  return sheet;
}
