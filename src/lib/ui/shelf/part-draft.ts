import { checkGear } from '../../core/formats/gear-check';
import { faultSentence } from '../../core/formats/faults';
import { impliedPorts, type GearItem, type GearKind } from '../../core/model/gear';
import {
  builtInLensNeeds,
  fieldNames,
  sheetOf,
  wholeSheet
} from '../../core/model/gear/spec-sheet';
import { stateAt, valueAt } from '../../core/model/gear/stated-at';
import type { Price } from '../../core/model/gear/price';
import type { Port } from '../../core/model/ports';
import { codecs, type RecordingMode } from '../../core/model/gear/body';
import { minorPerMajor } from '../../core/money/format';
import { readAmount } from '../../core/reading/amount';
import { asStatedGear } from '../../core/money/priced-shelf';
import { type SensorFormat, sensorFormats } from '../../core/model/sensor-formats';
import { focalLengthOfEquivalentMm } from '../../core/relations/optics/equivalent-focal-length';
import { MeasureError, readMeasure } from '../../core/reading/measure';

export const modeKeys = [
  'pixelsAcross',
  'pixelsDown',
  'fps',
  'bitRateMbps',
  'crop',
  'recordLimitMin',
  'heatMinutesAt20C',
  'heatMinutesAt40C'
] as const;

/** Cells of a mode that are chosen, not typed, with what may stand in them. */
export const modeChoices = {
  codec: codecs,
  faceFocus: ['yes', 'no'],
  noRecordLimit: ['yes', 'no'],
  noHeatLimit: ['yes', 'no']
} as const satisfies Partial<Record<keyof RecordingMode, readonly string[]>>;
type ModeChoice = keyof typeof modeChoices;
const modeChoiceKeys = Object.keys(modeChoices) as ModeChoice[];

export type ModeDraft = Partial<Record<(typeof modeKeys)[number] | ModeChoice, string>> & {
  rest?: Partial<RecordingMode>;
};

/** A picture profile as typed. */
export type ProfileDraft = Record<'name' | 'baseIso' | 'flat', string>;

/** A part as it stands in the form: everything as typed. */
export interface PartDraft {
  kind: GearKind;
  maker: string;
  model: string;
  /** By field of the sheet; yes/no as `yes`, `no` or empty. */
  fields: Record<string, string>;
  size: [string, string, string];
  prices: Record<
    'priceNew' | 'priceUsed',
    { low: string; likely: string; high: string; date: string; source: string }
  >;
  ports: Port[];
  /** Rows of the mode table; what the form has no field for is carried along in `rest`. */
  modes: ModeDraft[];
  /** Rows of picture profiles. */
  profiles: ProfileDraft[];
  /** Forms of microphone that a windscreen goes over. */
  fitsForms: readonly string[];
  /** Fields the form has no place for; carried along untouched. */
  rest: Record<string, unknown>;
}

const emptyPrice = () => ({ low: '', likely: '', high: '', date: '', source: '' });

export function emptyDraft(kind: GearKind): PartDraft {
  return {
    kind,
    maker: '',
    model: '',
    fields: {},
    size: ['', '', ''],
    prices: { priceNew: emptyPrice(), priceUsed: emptyPrice() },
    ports: [],
    modes: [],
    profiles: [],
    fitsForms: [],
    rest: {}
  };
}

/** An amount as the form writes it: with its code where it is not in the project's currency. */
export const amountText = (minor: number, currency: string, own: string): string =>
  `${minor / minorPerMajor(currency)}${currency === own ? '' : ` ${currency}`}`;

/** A part opened in the form, its figures written as the sheet shows them. */
export function draftOf(shown: GearItem, currency: string): PartDraft {
  const gear = asStatedGear(shown);
  const draft = emptyDraft(gear.kind);
  const values = gear as unknown as Record<string, unknown>;
  draft.maker = gear.maker;
  draft.model = gear.model;
  const known = new Set([
    'id',
    'kind',
    'maker',
    'model',
    'ports',
    'modes',
    'priceNew',
    'priceUsed',
    'sizeMm',
    'builtInLens',
    'profiles',
    'fitsForms'
  ]);
  for (const { key, ask } of sheetOf(gear)) {
    known.add(key);
    const value = valueAt(gear, key);
    if (value === undefined) continue;
    draft.fields[key] =
      typeof value === 'boolean'
        ? value
          ? 'yes'
          : 'no'
        : ask.type === 'number'
          ? String(value as number)
          : String(value as string);
  }
  draft.size = [gear.sizeMm?.width, gear.sizeMm?.height, gear.sizeMm?.depth].map((side) =>
    side === undefined ? '' : String(side)
  ) as PartDraft['size'];
  for (const key of ['priceNew', 'priceUsed'] as const) {
    const price = gear[key];
    if (!price) continue;
    const major = (minor: number | undefined) =>
      minor === undefined ? '' : amountText(minor, price.currency, currency);
    draft.prices[key] = {
      low: major(price.low),
      likely: major(price.likely),
      high: major(price.high),
      date: price.date,
      source: price.source
    };
  }
  const implied = impliedPorts(gear.kind, values).map((port) => JSON.stringify(port));
  draft.ports = gear.ports
    .filter(
      (port) =>
        !implied.includes(
          JSON.stringify({ family: port.family, type: port.type, end: port.end, role: port.role })
        )
    )
    .map((port) => ({ ...port }));
  if (gear.kind === 'body') {
    draft.modes = gear.modes.map(modeDraftOf);
    draft.profiles = (gear.profiles ?? []).map(({ name, baseIso, flat }) => ({
      name,
      baseIso: String(baseIso),
      flat: flat === undefined ? '' : flat ? 'yes' : 'no'
    }));
  }
  if (gear.kind === 'windscreen') draft.fitsForms = [...gear.fitsForms];
  draft.rest = Object.fromEntries(Object.entries(values).filter(([key]) => !known.has(key)));
  return draft;
}

function modeDraftOf(mode: RecordingMode): ModeDraft {
  const rest: Record<string, unknown> = { ...mode };
  const figures: ModeDraft = {};
  for (const key of modeKeys) {
    if (mode[key] !== undefined) figures[key] = String(mode[key]);
    delete rest[key];
  }
  for (const key of modeChoiceKeys) {
    const value = mode[key];
    if (value !== undefined) figures[key] = value === true ? 'yes' : value === false ? 'no' : value;
    delete rest[key];
  }
  return { ...figures, rest };
}

export interface DraftReading {
  gear: GearItem | undefined;
  /** Sentences by field. */
  faults: Record<string, string>;
}

/** Whether the form holds the figures of a lens that cannot be taken off. */
export const statesLens = (draft: PartDraft): boolean =>
  draft.kind === 'body' &&
  ((draft.fields.form !== undefined && draft.fields.form !== 'interchangeable') ||
    builtInLensNeeds.some((key) => draft.fields[key]?.trim()));

/**
 * A length in millimetres; a focal length may be given as its full-frame equivalent, as sheets of phones
 * and action cameras do, and is worked back by the sensor's long side.
 *
 * @throws MeasureError where it cannot be read, or the sensor is not chosen yet
 */
function readFocalLength(typed: string, key: string, draft: PartDraft): number {
  const equivalent = /^(.*?)\s*\(?(?:35\s*mm\s*)?(?:equiv(?:alent|\.)?|eq\.?)\)?$/i.exec(typed);
  if (!key.startsWith('builtInLens.') || !equivalent?.[1]) return readMeasure(typed, 'mm');
  const format = sensorFormats[draft.fields.sensorFormat as SensorFormat];
  if (!format)
    throw new MeasureError(
      'Choose the sensor first: an equivalent focal length is worked back by it.'
    );
  const lengthMm = focalLengthOfEquivalentMm(readMeasure(equivalent[1], 'mm'), format.widthMm);
  return Math.round(lengthMm * 100) / 100;
}

/** The three amounts of a price, all in the currency that any of them says, else in the project's. */
function amountsOf(
  typed: { low: string; likely: string; high: string },
  currency: string
): Pick<Price, 'low' | 'likely' | 'high' | 'currency'> {
  const texts = [typed.low, typed.likely, typed.high].filter((text) => text.trim());
  const said = texts.map((text) => readAmount(text, currency)).find((amount) => amount.said);
  const own = said?.currency ?? currency;
  const minorOf = (text: string) => {
    if (!text.trim()) return undefined;
    const amount = readAmount(text, own);
    if (amount.currency !== own)
      throw new MeasureError(
        `“${text.trim()}” is in ${amount.currency}, and the price is in ${own}.`
      );
    return amount.minor;
  };
  const [low, likely, high] = [minorOf(typed.low), minorOf(typed.likely), minorOf(typed.high)];
  return { low, likely: likely ?? low ?? high!, high, currency: own };
}

const priceKeys = ['priceNew', 'priceUsed'] as const;

/** @throws MeasureError where an amount cannot be read */
function priceIn(
  draft: PartDraft,
  key: (typeof priceKeys)[number],
  currency: string,
  today: string
): Price | undefined {
  const { low, likely, high, date, source } = draft.prices[key];
  if (![low, likely, high].some((text) => text.trim())) return undefined;
  return {
    ...amountsOf({ low, likely, high }, currency),
    date: date || today,
    source: source.trim() || 'noted by hand'
  };
}

/** The prices of the form as far as they can be read yet. */
export function pricesIn(draft: PartDraft, currency: string, today: string) {
  const priceOrNone = (key: (typeof priceKeys)[number]) => {
    try {
      return priceIn(draft, key, currency, today);
    } catch (error) {
      if (error instanceof MeasureError) return undefined;
      throw error;
    }
  };
  return { priceNew: priceOrNone('priceNew'), priceUsed: priceOrNone('priceUsed') };
}

/** Reads the form: every figure with its unit, every fault beside its field. */
export function readDraft(
  draft: PartDraft,
  id: string,
  currency: string,
  today: string
): DraftReading {
  const faults: Record<string, string> = {};
  const part: Record<string, unknown> = {
    ...draft.rest,
    id,
    kind: draft.kind,
    maker: draft.maker.trim(),
    model: draft.model.trim()
  };
  if (!draft.maker.trim())
    faults.maker = 'A part needs a maker; write “own make” for what you built.';
  if (!draft.model.trim()) faults.model = 'A part needs a name to be found by.';
  const read = (field: string, work: () => void) => {
    try {
      work();
    } catch (error) {
      if (!(error instanceof MeasureError)) throw error;
      faults[field] = error.message;
    }
  };
  const hasLens = statesLens(draft);
  for (const { key, name, ask } of wholeSheet(draft.kind)) {
    const typed = (draft.fields[key] ?? '').trim();
    if (!typed) {
      if (ask.needed || (hasLens && builtInLensNeeds.includes(key)))
        faults[key] = `A ${draft.kind} cannot do without its ${name}.`;
      continue;
    }
    read(key, () => {
      if (ask.type === 'number') {
        const value =
          ask.unit === 'mm' ? readFocalLength(typed, key, draft) : readMeasure(typed, ask.unit);
        if (value < ask.min || value > ask.max)
          throw new MeasureError(
            `The ${name} lies from ${ask.min} to ${ask.max} ${ask.unit}; this is ${value}.`
          );
        stateAt(part, key, value);
      } else stateAt(part, key, ask.type === 'yes/no' ? typed === 'yes' : typed);
    });
  }
  read('size', () => {
    const [width, height, depth] = draft.size.map((side) =>
      side.trim() ? readMeasure(side, 'mm') : undefined
    );
    if (width ?? height ?? depth) part.sizeMm = { width, height, depth };
  });
  for (const key of priceKeys)
    read(key, () => {
      const price = priceIn(draft, key, currency, today);
      if (price) part[key] = price;
    });
  if (draft.kind === 'body') {
    part.modes = draft.modes.map((mode, index) => {
      const row: Record<string, unknown> = { ...mode.rest };
      read(`mode ${index}`, () => {
        for (const key of modeKeys)
          if (mode[key]?.trim())
            row[key] = readMeasure(
              mode[key],
              key === 'bitRateMbps'
                ? 'Mb/s'
                : key === 'fps'
                  ? 'fps'
                  : key.startsWith('pixels')
                    ? 'px'
                    : key === 'crop'
                      ? '×'
                      : 'min'
            );
        for (const key of modeChoiceKeys) {
          const said = mode[key];
          if (said) row[key] = key === 'codec' ? said : said === 'yes';
        }
      });
      return row;
    });
  }
  if (draft.kind === 'body' && draft.profiles.length > 0)
    part.profiles = draft.profiles.map(({ name, baseIso, flat }, index) => {
      const row: Record<string, unknown> = { name: name.trim() };
      read(`profile ${index}`, () => {
        if (!row.name) throw new MeasureError('A picture profile needs a name.');
        row.baseIso = readMeasure(baseIso, 'ISO');
        if (flat) row.flat = flat === 'yes';
      });
      return row;
    });
  if (draft.kind === 'windscreen') part.fitsForms = [...draft.fitsForms];
  part.ports = [...draft.ports, ...impliedPorts(draft.kind, part)];
  const plain = JSON.parse(JSON.stringify(part)) as unknown;
  if (Object.keys(faults).length === 0) {
    for (const fault of checkGear(plain, '')) {
      const field = fault.field.replace(/^\./, '');
      faults[field] = faultSentence({ field: fieldNames[field] ?? field, says: fault.says });
    }
  }
  return { gear: Object.keys(faults).length === 0 ? (plain as GearItem) : undefined, faults };
}
