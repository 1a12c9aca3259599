/** A line drawing in a 100 × 100 box: strokes, and filled or dotted parts where they tell something. */
export interface GlyphShape {
  strokes: readonly string[];
  washes?: readonly string[];
  dots?: readonly string[];
}

/** About thirty things, drawn once. */
export const glyphShapes = {
  body: {
    washes: ['M8 30h84v54H8z'],
    strokes: [
      'M10 30h16l6-10h30l6 10h22a4 4 0 0 1 4 4v46a4 4 0 0 1-4 4H10a4 4 0 0 1-4-4V34a4 4 0 0 1 4-4z',
      'M 50 38a20 20 0 1 0 .1 0z',
      'M 50 47a11 11 0 1 0 .1 0z',
      'M74 24h10v6'
    ]
  },
  'fixed body': {
    washes: ['M8 28h84v48H8z'],
    strokes: [
      'M12 28h76a5 5 0 0 1 5 5v38a5 5 0 0 1-5 5H12a5 5 0 0 1-5-5V33a5 5 0 0 1 5-5z',
      'M44 34a18 18 0 1 0 .1 0z',
      'M44 42a10 10 0 1 0 .1 0z',
      'M72 36h12v9H72z'
    ]
  },
  phone: {
    washes: ['M33 6h34v88H33z'],
    strokes: [
      'M36 5h28a5 5 0 0 1 5 5v80a5 5 0 0 1-5 5H36a5 5 0 0 1-5-5V10a5 5 0 0 1 5-5z',
      'M46 88h8',
      'M38 12h7v14h-7z'
    ]
  },
  action: {
    washes: ['M18 24h64v50H18z'],
    strokes: [
      'M22 24h56a5 5 0 0 1 5 5v40a5 5 0 0 1-5 5H22a5 5 0 0 1-5-5V29a5 5 0 0 1 5-5z',
      'M64 31a10 10 0 1 0 .1 0z',
      'M26 34h20v16H26z',
      'M42 74v8h16v-8'
    ]
  },
  '360': {
    washes: ['M36 8h28v84H36z'],
    strokes: [
      'M42 8h16a6 6 0 0 1 6 6v72a6 6 0 0 1-6 6H42a6 6 0 0 1-6-6V14a6 6 0 0 1 6-6z',
      'M36 18c-14 2-14 26 0 28M64 18c14 2 14 26 0 28',
      'M44 62h12v10H44z'
    ]
  },
  drone: {
    washes: ['M36 42h28v16H36z'],
    strokes: [
      'M36 42h28v16H36z',
      'M36 46L18 34M64 46l18-12M36 54L18 68M64 54l18 14',
      'M6 32h24M70 32h24M6 70h24M70 70h24',
      'M44 58v8h12v-8'
    ]
  },
  computer: {
    washes: ['M20 20h60v42H20z'],
    strokes: ['M20 20h60v42H20z', 'M8 70h84l-6 10H14z', 'M42 74h16']
  },
  'solar panel': {
    washes: ['M18 26h64v42H10z'],
    strokes: ['M20 24h62l8 46H10z', 'M18 38h66M14 54h73', 'M40 24l-4 46M62 24l5 46', 'M 50 70v14']
  },
  handle: {
    washes: ['M24 22h52v16H24z'],
    strokes: [
      'M20 84V32a12 12 0 0 1 12-12h36a12 12 0 0 1 12 12v10',
      'M32 84V36h36v6',
      'M16 84h20M64 42h20'
    ]
  },
  zoom: {
    washes: ['M28 26h42v48H28z'],
    strokes: [
      'M10 32h18v36H10z',
      'M28 26h42v48H28z',
      'M70 20h12v60H70z',
      'M38 26v48M44 26v48M56 26v48M62 26v48',
      'M82 24l6 4v44l-6 4'
    ]
  },
  lens: {
    washes: ['M30 27h34v46H30z'],
    strokes: ['M14 33h16v34H14z', 'M30 27h34v46H30z', 'M64 22h14v56H64z', 'M42 27v46M52 27v46']
  },
  'shoe mic': {
    washes: ['M16 30h60a12 12 0 0 1 0 24H16z'],
    dots: ['M30 30v24M40 30v24M 50 30v24M60 30v24'],
    strokes: [
      'M18 30h56a12 12 0 0 1 0 24H18a12 12 0 0 1 0-24z',
      'M46 54v14',
      'M34 68h24v6H34z',
      'M10 48C2 60 8 78 22 80'
    ]
  },
  'short shotgun': {
    washes: ['M6 36h88v16H6z'],
    dots: ['M20 36v16M30 36v16M40 36v16M 50 36v16'],
    strokes: [
      'M10 36h76a8 8 0 0 1 0 16H10a6 6 0 0 1 0-16z',
      'M62 36v16',
      'M56 52v14',
      'M42 66h28v6H42z'
    ]
  },
  lavalier: {
    washes: ['M36 16h20v22H36z'],
    strokes: [
      'M46 14a10 10 0 0 1 10 10v8a10 10 0 0 1-20 0v-8a10 10 0 0 1 10-10z',
      'M36 30h20',
      'M56 28h10l-4 12h-8',
      'M46 42c0 28 26 12 26 34 0 12-20 12-30 8'
    ]
  },
  'wireless pair': {
    washes: ['M12 26h30v44H12z', 'M56 26h30v44H56z'],
    strokes: [
      'M16 26h22a4 4 0 0 1 4 4v36a4 4 0 0 1-4 4H16a4 4 0 0 1-4-4V30a4 4 0 0 1 4-4z',
      'M60 26h22a4 4 0 0 1 4 4v36a4 4 0 0 1-4 4H60a4 4 0 0 1-4-4V30a4 4 0 0 1 4-4z',
      'M27 20a7 7 0 0 1 7 6H20a7 7 0 0 1 7-6z',
      'M64 36h14v10H64z',
      'M46 40c3 5 3 11 0 16M51 37c4 7 4 15 0 22'
    ]
  },
  'desk mic': {
    washes: ['M36 10h28v46H36z'],
    dots: ['M38 22h24M38 30h24M38 38h24'],
    strokes: [
      'M 50 8a14 14 0 0 1 14 14v20a14 14 0 0 1-28 0V22A14 14 0 0 1 50 8z',
      'M 50 56v22',
      'M26 86a24 8 0 0 1 48 0z'
    ]
  },
  windscreen: {
    washes: ['M20 36h60v30H20z'],
    strokes: [
      'M24 34l4-7 4 6 5-8 4 7 5-8 5 8 5-7 4 7 5-6 3 7 6-3 2 8 6 1-1 7 5 4-5 5 2 7-7 1-2 7-7-3-4 6-6-5-5 6-5-6-6 6-4-7-6 5-4-6-7 3-2-7-6-2 2-7-5-5 5-4-1-7z'
    ]
  },
  recorder: {
    washes: ['M30 8h40v84H30z'],
    strokes: [
      'M34 18h32a5 5 0 0 1 5 5v64a5 5 0 0 1-5 5H34a5 5 0 0 1-5-5V23a5 5 0 0 1 5-5z',
      'M36 18l-4-12M64 18l4-12',
      'M37 30h26v20H37z',
      'M44 64h12v12H44z'
    ]
  },
  panel: {
    washes: ['M12 22h76v46H12z'],
    dots: ['M24 32v26M36 32v26M48 32v26M60 32v26M72 32v26'],
    strokes: [
      'M16 22h68a4 4 0 0 1 4 4v38a4 4 0 0 1-4 4H16a4 4 0 0 1-4-4V26a4 4 0 0 1 4-4z',
      'M 50 68v12M40 80h20'
    ]
  },
  'lamp dome': {
    washes: ['M46 12c30 2 48 20 48 38S76 86 46 88z'],
    strokes: [
      'M6 42h22v16H6z',
      'M28 40l18-28c30 2 48 20 48 38S76 86 46 88L28 60z',
      'M46 12v76',
      'M16 58v14'
    ]
  },
  tube: {
    washes: ['M6 42h88v14H6z'],
    strokes: ['M12 42h76a7 7 0 0 1 0 14H12a7 7 0 0 1 0-14z', 'M20 42v14M80 42v14']
  },
  globe: {
    washes: ['M 50 20a32 32 0 1 0 .1 0z'],
    strokes: ['M 50 6v14', 'M 50 20a32 32 0 1 0 .1 0z', 'M22 38h56M18 52h64M22 66h56']
  },
  practical: {
    washes: ['M30 14h40l12 34H18z'],
    strokes: ['M30 14h40l12 34H18z', 'M 50 48v34', 'M32 88h36l-4-6H36z']
  },
  'floor stand': {
    strokes: ['M38 6h24v10H38z', 'M 50 16v34', 'M 50 50L26 94M 50 50l24 44M 50 50v40', 'M38 72h24']
  },
  'mini tripod': {
    strokes: [
      'M38 18h24v10H38z',
      'M 50 28v16',
      'M 50 44L24 84M 50 44l26 40M 50 44v36',
      'M 50 36l22-6'
    ]
  },
  'flexible tripod': {
    strokes: [
      'M38 10h24v10H38z',
      'M 50 20v10',
      'M 50 30c-10 12-8 18-16 28s-4 20-12 30',
      'M 50 30c10 12 6 20 15 28s6 18 13 30',
      'M 50 30c-3 16 4 24 0 34s2 16 0 24'
    ]
  },
  'hand grip': {
    washes: ['M36 30h22v58H36z'],
    strokes: [
      'M26 16h42v10H26z',
      'M36 26h22v58a6 6 0 0 1-6 6H42a6 6 0 0 1-6-6z',
      'M36 40h22M36 50h22M36 60h22'
    ]
  },
  'extension pole': {
    strokes: ['M78 8h14v8H78z', 'M84 16L18 84', 'M24 90L12 78', 'M60 40l5 5M46 54l5 5']
  },
  gimbal: { strokes: ['M40 50h18v42H40z', 'M49 50V36h28V14', 'M77 14H40v16', 'M24 18h32v22H24z'] },
  'light stand': {
    strokes: ['M46 4h8v8h-8z', 'M 50 12v60', 'M 50 72L22 92M 50 72l28 20M 50 72v16', 'M46 40h8']
  },
  'boom arm': {
    strokes: [
      'M62 30v44',
      'M62 74L38 94M62 74l24 20M62 74v18',
      'M92 20L14 40',
      'M10 34h10v12H10z',
      'M86 16h10v10H86z'
    ]
  },
  'overhead arm': {
    strokes: [
      'M76 92V18',
      'M76 20H20',
      'M20 20v12',
      'M10 32h20v12H10z',
      'M58 92h36',
      'M76 42L56 20'
    ]
  },
  clamp: {
    strokes: [
      'M40 12h22v10H40z',
      'M51 22v14',
      'M28 36h40v10H38v30h30v10H28z',
      'M60 76v-14M54 62h12'
    ]
  },
  'ceiling mount': {
    strokes: ['M10 10h80', 'M36 10h28v10H36z', 'M 50 20v42', 'M40 44h20', 'M36 62h28v22H36z']
  },
  'monitor mount': {
    washes: ['M10 40h80v46H10z'],
    strokes: ['M10 40h80v46H10z', 'M38 40V30h24v10', 'M38 30v26', 'M40 14h20v12H40z', 'M 50 26v4']
  },
  'chest mount': {
    strokes: [
      'M28 8l14 34M72 8L58 42',
      'M8 52h28M64 52h28',
      'M36 40h28v28H36z',
      'M42 68l-10 24M58 68l10 24',
      'M44 50h12v8H44z'
    ]
  },
  'handlebar mount': {
    strokes: ['M4 72h92', 'M4 82h92', 'M38 62h24v30H38z', 'M 50 62V44', 'M38 26h24v18H38z']
  },
  head: {
    washes: ['M26 28h40v30a14 14 0 0 1-14 14H40a14 14 0 0 1-14-14z'],
    strokes: [
      'M14 16h64v12H14z',
      'M26 28h40v30a14 14 0 0 1-14 14H40a14 14 0 0 1-14-14z',
      'M18 40h8v16h-8z',
      'M38 48a8 8 0 1 1 16 0a8 8 0 1 1-16 0',
      'M36 72h20v6H36zM28 78h36v12H28z',
      'M66 44l17 8',
      'M84 49l13 6-2 6-14-7z'
    ]
  },
  sandbag: {
    washes: ['M10 46h34v36H10z', 'M56 46h34v36H56z'],
    strokes: [
      'M18 40c-10 8-10 40 2 42h18c8-2 8-34 0-42z',
      'M62 40c-10 8-10 40 2 42h18c8-2 8-34 0-42z',
      'M36 42c8-14 20-14 28 0'
    ]
  },
  card: {
    washes: ['M26 12h48v76H26z'],
    strokes: ['M26 12h34l14 14v62H26z', 'M34 18v16M42 18v16M 50 18v16M58 18v16']
  },
  drive: {
    washes: ['M22 26h56v50H22z'],
    strokes: [
      'M26 26h48a4 4 0 0 1 4 4v42a4 4 0 0 1-4 4H26a4 4 0 0 1-4-4V30a4 4 0 0 1 4-4z',
      'M66 64h4',
      'M 50 76v10c0 6 10 6 18 6'
    ]
  },
  reader: { strokes: ['M20 40h44v26H20z', 'M64 46h16v14H64z', 'M28 40V22h22l6 6v12'] },
  battery: {
    washes: ['M26 22h48v66H26z'],
    strokes: ['M26 22h48v66H26z', 'M36 22v-8h10v8M54 22v-8h10v8', 'M26 40h48']
  },
  'mains adapter': {
    strokes: [
      'M14 34h34v34H14z',
      'M48 44h14M48 58h14',
      'M14 51C2 51 4 82 30 84s40-6 54-4',
      'M62 40h8v22h-8z'
    ]
  },
  'power bank': {
    washes: ['M30 10h40v80H30z'],
    strokes: [
      'M34 10h32a5 5 0 0 1 5 5v70a5 5 0 0 1-5 5H34a5 5 0 0 1-5-5V15a5 5 0 0 1 5-5z',
      'M42 16h16',
      'M52 38L42 54h16L48 70'
    ]
  },
  charger: {
    strokes: ['M14 30h72v50H14z', 'M22 38h24v34H22zM54 38h24v34H54z', 'M 50 80v8c0 6 10 6 24 6']
  },
  cable: {
    strokes: [
      'M10 22h20v12H10zM30 25h8v6h-8z',
      'M10 28C-2 48 30 44 46 50s40 0 40 22',
      'M80 72h12v18H80zM83 90h6v6h-6z'
    ]
  },
  filter: {
    washes: ['M 50 20a30 30 0 1 0 .1 0z'],
    strokes: ['M 50 12a38 38 0 1 0 .1 0z', 'M 50 20a30 30 0 1 0 .1 0z']
  },
  'step-up ring': {
    strokes: [
      'M 50 12a38 38 0 1 0 .1 0z',
      'M 50 26a24 24 0 1 0 .1 0z',
      'M 50 12v14M 50 74v14M12 50h14M74 50h14'
    ]
  },
  'mount adapter': {
    strokes: ['M20 24h60v52H20z', 'M30 18h40v6H30zM34 76h32v6H34z', 'M34 24v52M66 24v52']
  },
  'thread adapter': {
    strokes: ['M20 26h40v12H20z', 'M34 38v18h42', 'M76 44v24', 'M64 68h24v10H64z']
  },
  cage: { strokes: ['M12 18h76v64H12z', 'M22 28h56v44H22z', 'M20 18v-6h12v6M68 18v-6h12v6'] },
  monitor: {
    washes: ['M12 20h76v50H12z'],
    strokes: ['M12 20h76v50H12z', 'M18 26h64v38H18z', 'M 50 70v12M40 82h20']
  },
  'mirror box': {
    strokes: ['M20 30l30-16h30v54H20z', 'M20 30h60M 50 14v16', 'M28 62l24-24h20', 'M44 68v10h12V68']
  },
  'capture device': {
    strokes: ['M28 34h44v32H28z', 'M12 44h16v12H12z', 'M72 44h12v12H72z', 'M40 50h20']
  },
  router: {
    washes: ['M18 52h64v30H18z'],
    strokes: [
      'M18 52h64v30H18z',
      'M28 52V24M72 52V24',
      'M38 40a17 17 0 0 1 24 0M44 46a9 9 0 0 1 12 0',
      'M28 68h20'
    ]
  },
  remote: {
    strokes: [
      'M36 14h28a6 6 0 0 1 6 6v60a6 6 0 0 1-6 6H36a6 6 0 0 1-6-6V20a6 6 0 0 1 6-6z',
      'M 50 26a8 8 0 1 0 .1 0z',
      'M42 56h16M42 66h16'
    ]
  },
  tape: { strokes: ['M 50 16a34 34 0 1 0 .1 0z', 'M 50 36a14 14 0 1 0 .1 0z', 'M 50 84h36'] },
  blanket: {
    washes: ['M14 30h72v44H14z'],
    strokes: [
      'M14 30c24-8 48 8 72 0v44c-24 8-48-8-72 0z',
      'M14 46c24-8 48 8 72 0',
      'M14 60c24-8 48 8 72 0'
    ]
  },
  'small item': { strokes: ['M26 30h48l6 54H20z', 'M38 30a12 12 0 0 1 24 0'] }
} as const satisfies Record<string, GlyphShape>;

export type GlyphName = keyof typeof glyphShapes;
