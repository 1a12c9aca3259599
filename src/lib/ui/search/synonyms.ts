import type { GearItem, GearKind } from '../../core/model/gear';

/** What else people call each kind of part, so that any of the field's words finds it. */
const ofKind = {
  body: 'camera',
  lens: 'glass objective optic',
  microphone: 'mic',
  windscreen: 'deadcat windshield wind cover furry muff pop filter',
  recorder: 'audio recorder field recorder sound recorder',
  lamp: 'light LED lighting luminaire fixture',
  support: 'stand mount rig',
  head: 'tripod head pan tilt',
  sandbag: 'weight ballast counterweight',
  card: 'memory card SD microSD flash storage media',
  drive: 'hard disk SSD HDD external storage backup',
  reader: 'card reader',
  computer: 'laptop notebook PC desktop',
  battery: 'cell accumulator akku rechargeable',
  'mains adapter': 'dummy battery power supply AC adapter wall plug coupler',
  'power bank': 'battery pack portable charger USB battery',
  charger: 'battery charger charging',
  'solar panel': 'sun photovoltaic',
  cable: 'lead cord wire connector',
  filter: 'glass',
  'step-up ring': 'step up adapter ring filter ring',
  'mount adapter': 'lens adapter',
  'thread adapter': 'screw spigot bush',
  handle: 'grip top handle',
  cage: 'rig frame',
  monitor: 'screen display field monitor',
  'mirror box': 'teleprompter prompter autocue',
  'capture device': 'webcam HDMI capture card grabber streaming',
  router: 'hotspot mobile internet modem SIM network',
  'small item': 'accessory'
} as const satisfies Record<GearKind, string>;

/** What else people call a form or use, where its kind has several. */
const ofForm: Readonly<Record<string, string>> = {
  interchangeable: 'mirrorless system camera',
  'fixed lens': 'compact camera pocket camera',
  phone: 'smartphone mobile cellphone',
  action: 'action camera sports camera helmet camera',
  '360': 'panorama spherical',
  drone: 'quadcopter UAV flying',
  'lavalier wired': 'lapel clip-on lav',
  'lavalier wireless': 'lapel clip-on lav radio',
  shoe: 'on-camera shotgun',
  'short shotgun': 'on-camera shotgun boom',
  desk: 'USB microphone podcast',
  dynamic: 'vocal broadcast',
  condenser: 'studio',
  'desk feed': 'mixer soundboard mixing desk house sound line out',
  panel: 'softbox soft light',
  point: 'spot COB monolight softbox',
  tube: 'stick light wand',
  bulb: 'globe lantern',
  practical: 'desk lamp table lamp',
  tripod: 'legs',
  'mini tripod': 'tabletop tripod table tripod',
  'flexible tripod': 'bendy tripod tabletop',
  'hand grip': 'pistol grip handle',
  'extension pole': 'selfie stick monopod',
  gimbal: 'stabiliser stabilizer steadicam',
  'light stand': 'lamp stand',
  'boom arm': 'boom pole mic arm microphone stand',
  'overhead arm': 'top-down arm copy stand horizontal',
  clamp: 'phone holder super clamp bracket',
  ball: 'ball head',
  fluid: 'video head',
  'fixed density': 'ND neutral density grey',
  'variable density': 'ND vari-ND variable ND neutral density grey fader',
  diffusion: 'mist soft',
  protecting: 'UV clear protector',
  remote: 'remote control shutter release',
  tape: 'gaffer gaffa',
  blanket: 'sound blanket acoustic moving blanket',
  tool: 'screwdriver allen key multitool',
  bag: 'rucksack backpack case',
  shade: 'lens hood sun shade'
};

/** Words that say what a zoom or a prime is, which no field does. */
function ofLens(gear: GearItem): string {
  if (gear.kind !== 'lens') return '';
  return gear.focalLengthMaxMm === gear.focalLengthMinMm ? 'prime fixed focal length' : 'zoom';
}

/** The field's other words for a part. */
export function synonymsOf(gear: GearItem): string {
  const stated = gear as unknown as Readonly<Record<string, unknown>>;
  const forms = [stated.form, stated.use].map((form) => ofForm[String(form)]);
  return [ofKind[gear.kind], ...forms, ofLens(gear)].filter(Boolean).join(' ');
}
