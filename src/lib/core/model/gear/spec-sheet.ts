import { type FieldAsk, fieldsOfClass } from '../stated';
import { BuiltInLens } from './body';
import { gearClasses } from './classes';
import { type GearItem, type GearKind, gearKindNames, gearKinds } from './index';

/** The field of a body that holds the lens it cannot take off. */
const BUILT_IN_LENS = 'builtInLens';

/** Fields of several kinds, and what people call them. */
const sharedFieldNames: Readonly<Record<string, string>> = {
  maker: 'maker',
  model: 'model',
  note: 'note',
  massG: 'weight',
  form: 'form',
  stabilised: 'stabilisation',
  inputNoiseDbV: 'noise of the microphone input',
  drawW: 'draw',
  batteryType: 'battery',
  internalBatteryWh: 'energy of the built-in battery',
  internalStorageGb: 'built-in storage',
  filterThreadMm: 'filter thread',
  hasSwitch: 'has a switch',
  batteryHours: 'own battery',
  radioRangeM: 'radio range',
  recordsItself: 'records itself',
  fanLevelDbA: 'fan at 1 m',
  payloadKg: 'payload',
  cardKind: 'card kind',
  capacityGb: 'capacity',
  readMBps: 'read speed',
  plug: 'plug',
  energyWh: 'energy',
  outputW: 'output',
  ownMade: 'made at home'
};

const ownFieldNames: Readonly<Record<string, string>> = Object.assign(
  {},
  sharedFieldNames,
  ...gearKindNames.map((kind) => (gearKinds[kind] as { fields?: object }).fields)
);
const builtInLensFields = [...fieldsOfClass(BuiltInLens)];

/** One name wherever a field stands: form, part page, reader, CSV column. */
export const fieldNames: Readonly<Record<string, string>> = {
  ...ownFieldNames,
  ...Object.fromEntries(
    builtInLensFields.map(([key]) => [
      `${BUILT_IN_LENS}.${key}`,
      `built-in lens, ${ownFieldNames[key] ?? key}`
    ])
  )
};

/** One line of a part's specification sheet. */
export interface SheetField {
  /** Field of the part; `builtInLens.apertureWideN` lies in a part of it. */
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

/** Figures of a lens that cannot be taken off: the sheet of a phone, an action camera, a compact, a drone. */
export const builtInLensSheet: readonly SheetField[] = builtInLensFields.map(([field, ask]) => {
  const key = `${BUILT_IN_LENS}.${field}`;
  return { key, name: fieldNames[key]!, ask: { ...ask, needed: false } };
});

/** Without these a built-in lens says nothing, so that one that is stated at all states them. */
export const builtInLensNeeds: readonly string[] = builtInLensFields
  .filter(([, ask]) => ask.needed)
  .map(([field]) => `${BUILT_IN_LENS}.${field}`);

/** The whole sheet of a kind, with what lies in a part of it. */
export const wholeSheet = (kind: GearKind): readonly SheetField[] =>
  kind === 'body' ? [...specSheet(kind), ...builtInLensSheet] : specSheet(kind);

/** The whole sheet of one part: a body that takes lenses has none of its own to state. */
export const sheetOf = (gear: GearItem): readonly SheetField[] =>
  gear.kind === 'body' && gear.form === 'interchangeable' && !gear.builtInLens
    ? specSheet(gear.kind)
    : wholeSheet(gear.kind);
