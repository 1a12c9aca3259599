import type { GearKind } from '../model/gear';
import { fieldNames } from '../model/gear/spec-sheet';
import { type SensorFormat, sensorFormats } from '../model/sensor-formats';
import { focalLengthOfEquivalentMm } from '../relations/optics/equivalent-focal-length';
import { MeasureError, parseNumber } from './measure';
import { pairs, patterns, sensorWords } from './specification-patterns';

/** A figure recognised in a text: what it would fill, and the words it was read from. */
export interface Proposal {
  /** Field of the part, or `priceNew`, `sizeMm`, `modes`. */
  key: string;
  name: string;
  value: unknown;
  /** Where in the text it stands, so that it can be shown beside the field. */
  from: number;
  to: number;
}

export interface Reading {
  kind: GearKind | undefined;
  proposals: Proposal[];
}

const otherNames: Readonly<Record<string, string>> = {
  priceNew: 'price',
  sizeMm: 'size',
  modes: 'recording mode'
};

/** Words that give a kind away, the telling ones first. */
const kindWords: readonly (readonly [GearKind, RegExp])[] = [
  ['charger', /\bcharger\b|charging dish/i],
  ['mains adapter', /dummy (?:battery|cell)|mains (?:block|coupler|adapter)/i],
  ['solar panel', /solar|sun.panel/i],
  ['power bank', /power ?bank/i],
  ['microphone', /microphone|\bmic\b|lavalier|lapel|cardioid|shotgun/i],
  ['recorder', /(?:audio|sound|field|pocket) recorder/i],
  ['filter', /neutral density|\bND\s?\d|variable ND|\bfilter\b(?![^\n]{0,18}(?:thread|size|\d))/i],
  [
    'body',
    /camera body|mirrorless camera|smart ?phone|action cam|compact camera|camcorder|\bdrone\b|built-?in lens|360[°-]? ?cam/i
  ],
  ['lens', /\blens\b|focal length|\bmm f\s*\/?\s*\d|\bmm 1:\d|elements in/i],
  ['body', /\bcamera\b(?!s)|camcorder|\bsensor\b|body only/i],
  [
    'lamp',
    /\bLED\b|\bfc\b|^light\b|\blux\b|\blx\b|lamp|light panel|softbox|fresnel|colou?r temperature/i
  ],
  ['router', /mobile router|\bhotspot\b|\b[45]G router|LTE router/i],
  ['monitor', /field monitor|\bmonitor\b[^\n]{0,40}(?:nit|cd\/m)/i],
  ['head', /^(?![\s\S]*(?:legs|tripod|monopod))[\s\S]*(?:ball|fluid|pan(?: and tilt)?)[- ]?head/i],
  [
    'support',
    /tripod|monopod|light stand|boom arm|ball head|fluid head|gimbal|legs\b|grip\b|payload|load capacity/i
  ],
  ['card', /SD card|memory card|microSD|SDXC|\bV(?:30|60|90)\b/i],
  ['drive', /\bSSD\b|portable drive|hard drive|external drive/i],
  ['battery', /batter(?:y|ies)|\bcell\b|mAh/i],
  ['cable', /cable|\blead\b/i]
];

/** The kind a text speaks of, as far as its words tell. */
export function guessKind(text: string): GearKind | undefined {
  return kindWords.find(([, words]) => words.test(text))?.[0];
}

/** A text about a camera whose lens stays on: its lens figures are the body's own. */
const hasBuiltInLens = (text: string): boolean =>
  /built-?in lens|fixed lens|integrated lens|non-?interchangeable|compact camera|(?:smart)?phone\b(?! (?:clamp|holder|mount))|action cam|drone|360[°-]? ?cam/i.test(
    text
  ) && !/lens mount|(?<!non-?)interchangeable/i.test(text);

/** A battery that cannot be taken out is not one that can be bought and swapped. */
const batteryStaysIn = (text: string): boolean =>
  /(?:built-?in|internal|integrated|non-?removable|fixed|sealed)[^\n.;]{0,30}batter|batter[^\n.;]{0,40}(?:built[ -]?in|non-?removable|not removable|sealed)|smart ?phone/i.test(
    text
  );

/** A focal length given as what would frame the same on full frame. */
const equivalentPattern =
  /(\d+(?:[.,]\d+)?)(?:\s*(?:mm)?\s*(?:-|–|to)\s*(\d+(?:[.,]\d+)?))?\s*mm\s*\(?(?:35\s*mm\s*)?(?:equiv\w*|eq\b|full[- ]frame)\.?\)?/i;

/** Figures of a lens that such a text gives. */
const builtInLensKeys = new Set([
  'focalLengths',
  'apertures',
  'apertureSmallestN',
  'minimumFocusDistanceM'
]);

/** Recording modes: pixels, rate and megabits on one line. */
const modePattern =
  /(?:(4K|UHD|FHD|Full HD|1080p?|2160p?|HD)\b|(\d{3,4})\s*[x×]\s*(\d{3,4}))[^\n]{0,24}?(?<![\d.])(\d{2,3})(?:[.,]\d+)?\s*(?:p\b|fps|frames)[^\n]{0,24}?(\d+(?:[.,]\d+)?)\s*(Mb(?:it)?\/s|Mbps)/dgiu;

function readModes(text: string): Proposal[] {
  return [...text.matchAll(modePattern)].map((match) => {
    const across = match[2] ? Number(match[2]) : /4K|UHD|2160/i.test(match[1]!) ? 3840 : 1920;
    const down = match[3] ? Number(match[3]) : across === 3840 ? 2160 : 1080;
    return {
      key: 'modes',
      name: otherNames.modes!,
      value: {
        pixelsAcross: across,
        pixelsDown: down,
        fps: Number(match[4]),
        bitRateMbps: parseNumber(match[5]!)
      },
      from: match.index,
      to: match.index + match[0].length
    };
  });
}

/** Longer texts are read this far; a specification is never as long. */
export const SPECIFICATION_MOST_CHARACTERS = 8000;

/**
 * Recognises figures in the text of a specification, each in its context. Nothing is decided here:
 * every proposal is shown with the words it was read from and waits for a yes.
 *
 * @param kind what the text speaks of; guessed from its words when left out
 * @param ownCurrency which a sign of several currencies is taken for where it is one of them
 */
export function readSpecification(
  whole: string,
  kind = guessKind(whole),
  ownCurrency = 'USD'
): Reading {
  const text = whole.slice(0, SPECIFICATION_MOST_CHARACTERS);
  const proposals: Proposal[] = [];
  const taken: { from: number; to: number }[] = [];
  const has = new Set<string>();
  const offer = (key: string, value: unknown, from: number, to: number) => {
    if (value === undefined || (typeof value === 'number' && !Number.isFinite(value))) return;
    has.add(key);
    proposals.push({ key, name: otherNames[key] ?? fieldNames[key] ?? key, value, from, to });
  };
  if (kind === 'body') {
    for (const mode of readModes(text)) {
      proposals.push(mode);
      taken.push(mode);
    }
    const sensor = sensorWords
      .map(([words, format]) => ({ match: words.exec(text), format }))
      .find(({ match }) => match);
    if (sensor?.match)
      offer(
        'sensorFormat',
        sensor.format,
        sensor.match.index,
        sensor.match.index + sensor.match[0].length
      );
  }
  const lensOfBody = kind === 'body' && hasBuiltInLens(text);
  const staysIn = kind === 'body' && batteryStaysIn(text);
  const sensor = proposals.find(({ key }) => key === 'sensorFormat')?.value;
  const equivalent = lensOfBody ? equivalentPattern.exec(text) : null;
  if (equivalent && sensor) {
    const { widthMm } = sensorFormats[sensor as SensorFormat];
    const from = equivalent.index;
    const to = from + equivalent[0].length;
    const real = (stated: string) =>
      Math.round(focalLengthOfEquivalentMm(parseNumber(stated)!, widthMm) * 100) / 100;
    offer('builtInLens.focalLengthMinMm', real(equivalent[1]!), from, to);
    offer('builtInLens.focalLengthMaxMm', real(equivalent[2] ?? equivalent[1]!), from, to);
    taken.push({ from, to });
  }
  for (const { key: keyOf, kinds, pattern, read } of patterns) {
    const key = typeof keyOf === 'function' ? keyOf(kind) : keyOf;
    if (key === undefined) continue;
    const ofBuiltIn = lensOfBody && builtInLensKeys.has(key);
    if (!ofBuiltIn && kinds && (kind === undefined || !kinds.includes(kind))) continue;
    const keys = (pairs[key] ?? [key]).map((name) =>
      ofBuiltIn
        ? `builtInLens.${name}`
        : staysIn && name === 'includedBatteryWh'
          ? 'internalBatteryWh'
          : name
    );
    if (has.has(keys[0]!)) continue;
    for (const match of text.matchAll(pattern)) {
      // The figure itself, not the words before it, must not be another field's already.
      const spans =
        (match as RegExpExecArray).indices
          ?.slice(1)
          .filter((span): span is [number, number] => span !== undefined) ?? [];
      const [from, to] =
        spans.length > 0
          ? [Math.min(...spans.map(([a]) => a)), Math.max(...spans.map(([, b]) => b))]
          : [match.index, match.index + match[0].length];
      if (taken.some((other) => from < other.to && to > other.from)) continue;
      let value: unknown;
      try {
        value = read(match as RegExpExecArray, kind, ownCurrency);
      } catch (error) {
        if (error instanceof MeasureError) continue;
        throw error;
      }
      if (value === undefined) continue;
      keys.forEach((name, index) =>
        offer(name, pairs[key] ? (value as unknown[])[index] : value, from, to)
      );
      taken.push({ from, to });
      break;
    }
  }
  return { kind, proposals: proposals.sort((a, b) => a.from - b.from) };
}
