import { parseNumber } from './measure';
import { N, gap, measured, ci, cs, type Pattern } from './pattern';

/** What sheets of lenses and bodies say. */
export const picturePatterns: readonly Pattern[] = [
  {
    key: 'focalLengths',
    kinds: ['lens'],
    pattern: ci(
      String.raw`(?:focal lengths?${gap})?(?<![.\d×x])(\d+(?:[.,]\d+)?)(?:\s*(?:mm)?\s*(?:-|–|to)\s*(\d+(?:[.,]\d+)?))?\s*mm(?=\s*(?:f|F|1:|lens|prime|zoom|\n|,|;|$|\)|·))`
    ),
    read: (match) => [parseNumber(match[1]!), parseNumber(match[2] ?? match[1]!)]
  },
  {
    key: 'apertureSmallestN',
    kinds: ['lens'],
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
    key: 'minimumFocusDistanceM',
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
      String.raw`\b(no|without|not)\b[^\n.;,]{0,18}stabili[sz][a-z]*|stabili[sz](?:ation|ed|er)\s*[:=–-]?\s*(none|no\b)|(?:optical|in-body|sensor(?:-shift)?|image)\s*stabili[sz][a-z]*|\bstabili[sz](?:ed|er|ation\s*[:=–-]?\s*yes)`
    ),
    read: (match) => !(match[1] || match[2])
  },
  {
    key: 'form',
    kinds: ['body'],
    pattern: ci(
      String.raw`smart ?phone|\bphone\b(?! (?:clamp|holder|mount))|action cam|drone|360[°-]? ?cam|built-?in lens|fixed[ -]lens|non-?interchangeable|compact camera|mirrorless|interchangeable|lens mount`
    ),
    read: (match) => {
      const word = match[0].toLowerCase();
      if (word.includes('phone')) return 'phone';
      if (word.startsWith('action')) return 'action';
      if (word === 'drone') return word;
      if (word.startsWith('360')) return '360';
      return /mirrorless|^interchangeable|mount/.test(word) ? 'interchangeable' : 'fixed lens';
    }
  },
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
  }
];
