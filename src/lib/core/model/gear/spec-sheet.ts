import { type FieldAsk, fieldsOfClass } from '../stated';
import { gearClasses } from './classes';
import { type GearKind, gearKindNames, gearKinds } from './index';

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

/** One name wherever a field stands: form, part page, reader, CSV column. */
export const fieldNames: Readonly<Record<string, string>> = Object.assign(
  {},
  sharedFieldNames,
  ...gearKindNames.map((kind) => (gearKinds[kind] as { fields?: object }).fields)
);

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
