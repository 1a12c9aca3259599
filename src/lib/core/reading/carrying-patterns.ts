import { speedClasses } from '../model/gear/card';
import { parseNumber, readMeasure } from './measure';
import { N, gap, measured, ci, cs, type Pattern } from './pattern';

/** What sheets of supports, cards, filters and cables say. */
export const carryingPatterns: readonly Pattern[] = [
  {
    key: 'payloadKg',
    kinds: ['support', 'head', 'thread adapter', 'handle'],
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
      const amount = match[5] ? stops(match[5]) : parseNumber(match[6]!);
      return [amount, amount];
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
      String.raw`(single|one|two|dual|twin|three|four|\d)[- ]?(?:x\s*)?(?:bays?|slots?|cells? at once|batteries at once)`
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
