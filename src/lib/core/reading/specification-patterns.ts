import type { GearKind } from '../model/gear';
import { speedClasses } from '../model/gear/card';
import { pickupPatterns } from '../model/word-lists';
import type { StatedUnit } from '../model/stated';
import { parseNumber, readMeasure } from './measure';

/** A number with thousands, decimals or a fraction. */
const N = String.raw`[-+−]?(?:\d{1,3}(?:[ \u00a0\u202f]\d{3})+|\d+(?:[.,]\d+)?)(?:[.,]\d+)?`;
/** A few words between the name of a figure and the figure. */
const GAP = String.raw`[^\d\n;|−+-]{0,28}?[−+-]?\s?`;
const gap = String.raw`[^\d\n;|−+-]{0,28}?`;

/** One figure a text may give: how it is recognised and how it is read. */
export interface Pattern {
  key: string | ((kind: GearKind | undefined) => string | undefined);
  kinds?: readonly GearKind[];
  pattern: RegExp;
  read: (match: RegExpExecArray, kind: GearKind | undefined) => unknown;
}

const measured =
  (unit: StatedUnit, group = 1) =>
  (match: RegExpExecArray) =>
    readMeasure(match[group]!.trim(), unit);
const ci = (source: string) => new RegExp(source, 'giud');
const cs = (source: string) => new RegExp(source, 'gud');

const currencies: Readonly<Record<string, string>> = {
  '£': 'GBP',
  '€': 'EUR',
  $: 'USD',
  gbp: 'GBP',
  eur: 'EUR',
  usd: 'USD'
};

export const sensorWords: readonly (readonly [RegExp, string])[] = [
  [/full[- ]frame|35\.?9? ?[x×] ?24|36 ?[x×] ?24/i, 'full frame'],
  [/APS-?C small|22\.[23] ?[x×] ?14\.[89]/i, 'APS-C small'],
  [/APS-?C/i, 'APS-C'],
  [/4\/3[- ]?(?:type|inch)?|four[- ]thirds/i, '4/3-type'],
  [/1\/1\.3/i, '1/1.3-type'],
  [/1\/2\.3/i, '1/2.3-type'],
  [/1(?:\.0)?[- ]?(?:inch|type)|1"/i, '1-inch type']
];

const patternWords: readonly (readonly [RegExp, (typeof pickupPatterns)[number]])[] = [
  [/short[- ]shotgun|lobar|line gradient/i, 'short shotgun'],
  [/super[- ]?cardioid/i, 'supercardioid'],
  [/hyper[- ]?cardioid/i, 'hypercardioid'],
  [/cardioid/i, 'cardioid'],
  [/omni(?:directional)?/i, 'omni']
];

const energyKey = (kind: GearKind | undefined) =>
  kind === 'body'
    ? 'includedCellWh'
    : kind === 'lamp'
      ? 'internalCellWh'
      : kind === 'cell' || kind === 'bank'
        ? 'energyWh'
        : undefined;
const wattsKey = (kind: GearKind | undefined) =>
  kind === 'body' || kind === 'lamp' || kind === 'monitor'
    ? 'drawW'
    : kind === 'bank' || kind === 'mains block' || kind === 'sun panel'
      ? 'outputW'
      : undefined;

/** Each figure in its context; the first pattern that finds a key keeps it. */
export const patterns: readonly Pattern[] = [
  {
    key: 'massG',
    pattern: ci(String.raw`(?:weight|weighs?|mass|wt\.?)${gap}(${N}\s*(?:kg|g|lbs?|oz|grams?)\b)`),
    read: measured('g')
  },
  {
    key: 'massG',
    pattern: ci(
      String.raw`(?:^|[\n,;|•·/—]|\.\s)\s*(${N}\s*(?:kg|g|grams?|oz|lbs?))\b(?!\s*(?:payload|load|max))`
    ),
    read: measured('g')
  },
  {
    key: 'sizeMm',
    pattern: ci(
      String.raw`(${N})\s*(?:mm)?\s*[x×]\s*(${N})\s*(?:mm)?\s*[x×]\s*(${N})\s*(mm|cm|in|")`
    ),
    read: (match) => {
      const [width, height, depth] = [1, 2, 3].map((group) =>
        readMeasure(`${match[group]!} ${match[4]!}`, 'mm')
      );
      return { width, height, depth };
    }
  },
  {
    key: 'priceNew',
    pattern: ci(
      String.raw`(?:([£€$])\s?(\d[\d ,.]*\d|\d))|(?:(\d[\d ,.]*\d|\d)\s?(£|€|\$|GBP|EUR|USD)(?!\w))`
    ),
    read: (match) => {
      const major = parseNumber((match[2] ?? match[3])!);
      const currency = currencies[(match[1] ?? match[4])!.toLowerCase()];
      return major === undefined || currency === undefined
        ? undefined
        : { likely: Math.round(major * 100), currency };
    }
  },
  // Lenses
  {
    key: 'focalLengths',
    kinds: ['lens'],
    pattern: ci(
      String.raw`(?:focal lengths?${gap})?(?<![.\d×x])(\d+(?:[.,]\d+)?)(?:\s*(?:mm)?\s*(?:-|–|to)\s*(\d+(?:[.,]\d+)?))?\s*mm(?=\s*(?:f|F|1:|lens|prime|zoom|\n|,|;|$|\)|·))`
    ),
    read: (match) => [parseNumber(match[1]!), parseNumber(match[2] ?? match[1]!)]
  },
  {
    key: 'apertureLeastN',
    kinds: ['lens', 'body'],
    pattern: ci(
      String.raw`(?:min(?:imum|\.)? aperture|smallest (?:aperture|opening)|closes (?:down )?to|stops down to)${gap}f?\s*\/?\s*(\d+(?:[.,]\d+)?)`
    ),
    read: measured('f/')
  },
  {
    key: 'apertureWideT',
    kinds: ['lens'],
    pattern: ci(String.raw`(?:T[- ]?(?:number|stop)|light stop)${gap}T?\s*\/?\s*(\d+(?:[.,]\d+)?)`),
    read: measured('T')
  },
  {
    key: 'apertures',
    kinds: ['lens'],
    pattern: ci(
      String.raw`(?:f\s*\/?\s*|1\s*:\s*)(\d+(?:[.,]\d+)?)(?:\s*(?:-|–|to)\s*(?:f\s*\/?\s*)?(\d+(?:[.,]\d+)?))?`
    ),
    read: (match) => [parseNumber(match[1]!), parseNumber(match[2] ?? match[1]!)]
  },
  {
    key: 'filterThreadMm',
    kinds: ['lens'],
    pattern: ci(
      String.raw`(?:filter(?:s|[- ]?thread| size| diameter)?|front thread|thread|[⌀ØØ∅])${gap}(\d+(?:[.,]\d)?\s*mm)`
    ),
    read: measured('mm')
  },
  {
    key: 'nearestFocusM',
    kinds: ['lens'],
    pattern: ci(
      String.raw`(?:min(?:imum|\.)? focus(?:ing)?(?: distance)?|closest focus(?:ing)?(?: distance)?|nearest focus|close[- ]focus|focuses? (?:down )?to|MFD)${gap}(${N}\s*(?:mm|cm|m|ft|in)\b)`
    ),
    read: measured('m')
  },
  {
    key: 'mount',
    kinds: ['lens'],
    pattern: cs(
      String.raw`(?:(?:[Mm]ount|MOUNT)[ \t]*(?:type)?[ \t]*[:=–-][ \t]*|[Ff]its[ \t]+)([A-Z][a-z]{2,}[A-Za-z0-9-]*)`
    ),
    read: (match) => match[1]
  },
  {
    key: 'mount',
    kinds: ['lens'],
    pattern: cs(String.raw`\b([A-Z][a-z]{2,}[A-Za-z0-9-]*)[- ][Mm]ount\b`),
    read: (match) => match[1]
  },
  {
    key: 'stabilised',
    kinds: ['lens', 'body'],
    pattern: ci(
      String.raw`\b(no|without|not)\b[^\n.;,]{0,18}stabili[sz]|stabili[sz](?:ation|ed|er)\s*[:=–-]?\s*(none|no\b)|(?:optical|in-body|sensor(?:-shift)?|image)\s*stabili[sz]|\bstabili[sz](?:ed|er|ation\s*[:=–-]?\s*yes)`
    ),
    read: (match) => !(match[1] || match[2])
  },
  // Bodies
  {
    key: 'baseIso',
    kinds: ['body'],
    pattern: ci(
      String.raw`(?:(?:base|native|lowest|min(?:imum)?)\s*(?:video\s*)?(?:ISO|sensitivity)${gap}|ISO\s*(?:range)?\s*[:=]?\s*)(\d{2,5})`
    ),
    read: (match) => Number(match[1])
  },
  {
    key: 'screen',
    kinds: ['body'],
    pattern: ci(
      String.raw`flip(?:s|ping)?[- ]?up|(?:side|vari)[- ]?(?:hinged?|angle|articulat\w+)|fully articulat\w+|flip(?:s|ping)?[- ]?down|tilt(?:s|ing|able)?(?: screen| display| LCD)?|fixed (?:screen|display|LCD)`
    ),
    read: (match) =>
      /up/i.test(match[0])
        ? 'flips up'
        : /down/i.test(match[0])
          ? 'flips down'
          : /tilt/i.test(match[0])
            ? 'tilts'
            : /fixed/i.test(match[0])
              ? 'fixed'
              : 'side hinge'
  },
  {
    key: 'cardSlots',
    kinds: ['body'],
    pattern: ci(
      String.raw`(dual|twin|two|2|single|one|1)\s*(?:x\s*)?(?:SD|microSD|card)\w*\s*(?:card\s*)?slots?`
    ),
    read: (match) => (/dual|twin|two|2/i.test(match[1]!) ? 2 : 1)
  },
  {
    key: 'cleanOutput',
    kinds: ['body'],
    pattern: ci(
      String.raw`\b(no|not)\b[^\n.;,]{0,14}clean HDMI|clean HDMI(?: output| out)?\s*[:=–-]?\s*(no\b)?`
    ),
    read: (match) => !(match[1] || match[2])
  },
  {
    key: 'usbVideo',
    kinds: ['body'],
    pattern: ci(
      String.raw`(?:USB (?:webcam|video|camera)|webcam (?:mode|over USB)|camera over USB)\s*[:=–-]?\s*(no\b)?`
    ),
    read: (match) => !match[1]
  },
  // Energy and watts
  {
    key: energyKey,
    pattern: ci(String.raw`(${N}\s*m?Ah\s*(?:[x×*@,;/(]|at)?\s*${N}\s*V)\b`),
    read: measured('Wh')
  },
  {
    key: energyKey,
    pattern: ci(String.raw`(${N})\s*V\b[^\n]{0,12}?(${N}\s*m?Ah)\b`),
    read: (match) => readMeasure(`${match[2]!} ${match[1]!} V`, 'Wh')
  },
  { key: energyKey, pattern: ci(String.raw`(${N}\s*Wh)\b`), read: measured('Wh') },
  {
    key: wattsKey,
    pattern: ci(
      String.raw`(?:power(?: consumption| draw| output)?|draws?|consum\w+|output|rated)${gap}(${N}\s*W)\b(?!h)`
    ),
    read: measured('W')
  },
  {
    key: wattsKey,
    kinds: ['lamp', 'bank', 'sun panel', 'mains block'],
    pattern: ci(String.raw`(?<![\d.,])(${N}\s*(?:watts?|W))\b(?!h)`),
    read: measured('W')
  },
  // Sound
  {
    key: 'selfNoiseDbA',
    kinds: ['microphone'],
    pattern: ci(
      String.raw`(?:self[- ]?noise|equivalent (?:input )?noise(?: level)?|inherent noise|noise floor)${gap}(${N})\s*dB\s*(?:\(?-?A\)?|SPL)?(?![^\n]{0,14}(?:468|CCIR))`
    ),
    read: (match) => parseNumber(match[1]!)
  },
  {
    key: 'selfNoiseDbA',
    kinds: ['microphone'],
    pattern: ci(
      String.raw`(?:signal[- ]to[- ]noise(?: ratio)?|S\/N(?: ratio)?|SNR)${gap}(${N})\s*dB(?![^\n]{0,14}(?:468|CCIR))`
    ),
    read: (match) => 94 - parseNumber(match[1]!)!
  },
  {
    key: 'sensitivityDbVPerPa',
    kinds: ['microphone'],
    pattern: ci(String.raw`sensitivity[^\d\n−+-]{0,24}?([-−]\s?${N.replace('[-+−]?', '')}\s*dBV?)`),
    read: (match) => readMeasure(match[1]!.replace(/([-−])\s/, '$1'), 'dBV/Pa')
  },
  {
    key: 'sensitivityDbVPerPa',
    kinds: ['microphone'],
    pattern: ci(String.raw`(${N}\s*mV)(?:\s*\/?\s*(?:per\s*)?Pa)?`),
    read: measured('dBV/Pa')
  },
  {
    key: 'boostDb',
    kinds: ['microphone'],
    pattern: ci(String.raw`(?:boost|booster)${GAP}(\d+)\s*dB|\+\s?(\d+)\s*dB\s*(?:boost|gain)`),
    read: (match) => Number(match[1] ?? match[2])
  },
  {
    key: 'hasSwitch',
    kinds: ['microphone'],
    pattern: ci(
      String.raw`\b(no|without)\b\s*(?:an?\s*)?(?:on[/ -]*off\s*|power\s*)?switch|(?:on[/ -]*off|power|slide|mute)\s*switch`
    ),
    read: (match) => !match[1]
  },
  {
    key: 'pattern',
    kinds: ['microphone'],
    pattern: ci(
      String.raw`short[- ]shotgun|lobar|line gradient|super[- ]?cardioid|hyper[- ]?cardioid|cardioid|omni(?:directional)?`
    ),
    read: (match) => patternWords.find(([words]) => words.test(match[0]))?.[1]
  },
  {
    key: 'batteryHours',
    kinds: ['microphone', 'recorder'],
    pattern: ci(
      String.raw`(?:batter(?:y|ies)(?: life)?|run(?:s|ning)?(?: time)?|operating time|lasts|up to)[^\n;|]{0,24}?(${N}\s*(?:hours?|hrs?|h))\b`
    ),
    read: measured('h')
  },
  {
    key: 'radioRangeM',
    kinds: ['microphone'],
    pattern: ci(String.raw`(?:range|reach|distance)${gap}(${N}\s*(?:m|ft))\b`),
    read: measured('m')
  },
  {
    key: 'cableM',
    kinds: ['microphone'],
    pattern: ci(
      String.raw`(?:cable|lead|cord)${gap}(${N}\s*(?:m|cm|ft))\b|(${N}\s*(?:m|cm|ft))\s*(?:long\s*)?(?:cable|lead|cord)`
    ),
    read: (match) => readMeasure((match[1] ?? match[2])!, 'm')
  },
  // Light
  {
    key: 'illuminanceAt1mLx',
    kinds: ['lamp'],
    pattern: ci(
      String.raw`(${N}\s*(?:lx|lux|klx|fc))\b[^\n;|]{0,8}?(?:@|at|in)\s*(?:1(?:[.,]0)?\s*m\b|3\.3\s*ft|100\s*cm)`
    ),
    read: measured('lx')
  },
  {
    key: 'illuminanceAt1mLx',
    kinds: ['lamp'],
    pattern: ci(
      String.raw`(?:@|at)\s*(?:1(?:[.,]0)?\s*m\b|100\s*cm)[^\d\n;|]{0,12}(${N}\s*(?:lx|lux))`
    ),
    read: measured('lx')
  },
  {
    key: 'colours',
    kinds: ['lamp'],
    pattern: ci(
      String.raw`(\d[ ,.]?\d{3}|\d{4,5})\s*K?\s*(?:-|–|to)\s*(\d[ ,.]?\d{3}|\d{4,5})\s*K\b|(?<![\d.])(\d[ ,.]?\d{3}|\d{4,5})\s*K\b`
    ),
    read: (match) => {
      const kelvin = (text: string) => Number(text.replace(/[ ,.]/g, ''));
      return match[3]
        ? [kelvin(match[3]), kelvin(match[3])]
        : [kelvin(match[1]!), kelvin(match[2]!)];
    }
  },
  {
    key: 'fanLevelDbA',
    kinds: ['lamp'],
    pattern: ci(
      String.raw`(?:fan|noise(?: level)?)${gap}(${N})\s*dB|\b(fanless|no fan|passive cooling|passively cooled)\b`
    ),
    read: (match) => (match[2] ? 0 : parseNumber(match[1]!))
  },
  {
    key: 'pwmHz',
    kinds: ['lamp'],
    pattern: ci(
      String.raw`(?:PWM|dimm(?:er|ing) frequency|flicker[- ]free (?:at|to))${gap}(${N}\s*k?Hz)`
    ),
    read: measured('Hz')
  },
  // Support
  {
    key: 'payloadKg',
    kinds: ['support', 'head', 'coupling', 'handle'],
    pattern: ci(
      String.raw`(?:payload|load(?: capacity| rating)?|max(?:imum|\.)? load|carries|holds|supports)${gap}(${N}\s*(?:kg|g|lbs?))\b`
    ),
    read: measured('kg')
  },
  {
    key: 'heightMaxM',
    kinds: ['support'],
    pattern: ci(
      String.raw`(?:max(?:imum|\.)?\s*(?:working\s*)?height|height(?:\s*\(?max\.?\)?)?|extends to|extended(?: height)?|rises to)${gap}(?:${N}\s*(?:cm|m|mm)?\s*(?:-|–|to)\s*)?(${N}\s*(?:mm|cm|m|in|ft|"))(?![\w])`
    ),
    read: measured('m')
  },
  {
    key: 'head',
    kinds: ['support'],
    pattern: ci(String.raw`fluid(?:[- ](?:pan|video))?[- ]?head|ball[- ]?head`),
    read: (match) => (/fluid/i.test(match[0]) ? 'fluid' : 'ball')
  },
  {
    key: 'form',
    kinds: ['head'],
    pattern: ci(String.raw`fluid(?:[- ](?:pan|video))?[- ]?head|ball[- ]?head`),
    read: (match) => (/fluid/i.test(match[0]) ? 'fluid' : 'ball')
  },
  {
    key: 'ratedAtMm',
    kinds: ['head'],
    pattern: ci(
      String.raw`(?:cent(?:re|er) of (?:gravity|mass)|c\.?\s?o\.?\s?g\.?)(?:\s*height)?[^\d\n]{0,16}(${N}\s*(?:mm|cm|in|"))(?![\w])`
    ),
    read: measured('mm')
  },
  // Storage
  {
    key: 'capacityGb',
    kinds: ['card', 'drive'],
    pattern: ci(String.raw`(?<![\d.])(\d+(?:[.,]\d+)?\s*(?:GB|TB))\b(?!\/s)`),
    read: measured('GB')
  },
  {
    key: 'internalStorageGb',
    kinds: ['body', 'recorder'],
    pattern: ci(String.raw`(?:internal|built-in)\s*(?:storage|memory)?${gap}(\d+\s*(?:GB|TB))\b`),
    read: measured('GB')
  },
  {
    key: 'speedClass',
    kinds: ['card'],
    pattern: cs(String.raw`\b(V90|V60|V30|V10|V6|U3|U1)\b`),
    read: (match) => speedClasses.find((name) => name === match[1])
  },
  {
    key: 'readMBps',
    kinds: ['card', 'reader', 'drive'],
    pattern: ci(
      String.raw`(?:read(?:s|ing)?(?: speed)?)${gap}(${N}\s*MB\/s)|(${N}\s*MB\/s)\s*read`
    ),
    read: (match) => readMeasure((match[1] ?? match[2])!, 'MB/s')
  },
  {
    key: 'writeMBps',
    kinds: ['drive'],
    pattern: ci(
      String.raw`(?:writ(?:e|es|ing)(?: speed)?)${gap}(${N}\s*MB\/s)|(${N}\s*MB\/s)\s*write`
    ),
    read: (match) => readMeasure((match[1] ?? match[2])!, 'MB/s')
  },
  // Filters and cables
  {
    key: 'threadMm',
    kinds: ['filter'],
    pattern: ci(String.raw`(\d{2,3}(?:[.,]\d)?\s*mm)\b`),
    read: measured('mm')
  },
  {
    key: 'densities',
    kinds: ['filter'],
    pattern: ci(
      String.raw`ND\s?(\d+)\s*(?:-|–|to)\s*(?:ND\s?)?(\d+)|(\d+(?:[.,]\d+)?)\s*(?:-|–|to)\s*(\d+(?:[.,]\d+)?)\s*stops?|ND\s?(\d+)\b|(\d+(?:[.,]\d+)?)[ -]?stops?\b`
    ),
    read: (match) => {
      const stops = (factor: string) => readMeasure(`ND${factor}`, 'stops');
      if (match[1]) return [stops(match[1]), stops(match[2]!)];
      if (match[3]) return [parseNumber(match[3]), parseNumber(match[4]!)];
      const one = match[5] ? stops(match[5]) : parseNumber(match[6]!);
      return [one, one];
    }
  },
  {
    key: 'lengthM',
    kinds: ['cable'],
    pattern: ci(String.raw`(?<![\d.])(${N}\s*(?:m|cm|ft))\b`),
    read: measured('m')
  },
  {
    key: 'bays',
    kinds: ['charger'],
    pattern: ci(
      String.raw`(single|one|two|dual|twin|three|four|\d)[- ]?(?:x\s*)?(?:bays?|slots?|cells? at once)`
    ),
    read: (match) =>
      ({ single: 1, one: 1, two: 2, dual: 2, twin: 2, three: 3, four: 4 })[
        match[1]!.toLowerCase()
      ] ?? Number(match[1])
  },
  {
    key: 'luminanceCdM2',
    kinds: ['monitor'],
    pattern: ci(String.raw`(${N}\s*(?:nits?|cd\/m[²2]))`),
    read: measured('cd/m²')
  },
  {
    key: 'diagonalIn',
    kinds: ['monitor'],
    pattern: ci(String.raw`(\d+(?:[.,]\d+)?)\s*(?:-?\s?inch|"|″|in\b)`),
    read: (match) => parseNumber(match[1]!)
  }
];

/** One match may fill two fields: both ends of a zoom, a colour range, a density range. */
export const pairs: Readonly<Record<string, readonly [string, string]>> = {
  focalLengths: ['focalLengthMinMm', 'focalLengthMaxMm'],
  apertures: ['apertureWideN', 'apertureTeleN'],
  colours: ['colourMinK', 'colourMaxK'],
  densities: ['stopsMin', 'stopsMax']
};
