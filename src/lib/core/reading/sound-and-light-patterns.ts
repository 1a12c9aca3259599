import type { GearKind } from '../model/gear';
import { pickupPatterns } from '../model/word-lists';
import { selfNoiseFromRatioDbA } from '../relations/sound/self-noise';
import { parseNumber, readMeasure } from './measure';
import { N, GAP, gap, measured, ci, type Pattern } from './pattern';

const patternWords: readonly (readonly [RegExp, (typeof pickupPatterns)[number]])[] = [
  [/short[- ]shotgun|lobar|line gradient/i, 'short shotgun'],
  [/super[- ]?cardioid/i, 'supercardioid'],
  [/hyper[- ]?cardioid/i, 'hypercardioid'],
  [/cardioid/i, 'cardioid'],
  [/omni(?:directional)?/i, 'omni']
];

const energyKey = (kind: GearKind | undefined) =>
  kind === 'body'
    ? 'includedBatteryWh'
    : kind === 'lamp'
      ? 'internalBatteryWh'
      : kind === 'battery' || kind === 'power bank'
        ? 'energyWh'
        : undefined;
const wattsKey = (kind: GearKind | undefined) =>
  kind === 'body' || kind === 'lamp' || kind === 'monitor'
    ? 'drawW'
    : kind === 'power bank' || kind === 'mains adapter' || kind === 'solar panel'
      ? 'outputW'
      : undefined;

/** What sheets of batteries, microphones and lamps say: energy, sound, light. */
export const soundAndLightPatterns: readonly Pattern[] = [
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
    kinds: ['lamp', 'power bank', 'solar panel', 'mains adapter'],
    pattern: ci(String.raw`(?<![\d.,])(${N}\s*(?:watts?|W))\b(?!h)`),
    read: measured('W')
  },
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
    read: (match) => selfNoiseFromRatioDbA(parseNumber(match[1]!)!)
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
  {
    key: 'transmitters',
    kinds: ['microphone'],
    pattern: ci(
      String.raw`\b([1-8]|one|two|three|four)\s*[x×]?\s*(?:transmitters?|TX)\b|\btransmitters?\s*[:x×]?\s*([1-8])\b`
    ),
    read: (match) => {
      const said = (match[1] ?? match[2])!.toLowerCase();
      return ['one', 'two', 'three', 'four'].indexOf(said) + 1 || Number(said);
    }
  },
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
  }
];
