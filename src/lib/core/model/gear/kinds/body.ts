import type { BodyGear } from '../body';
import type { KindDescriptor } from '../kind-descriptor';

export const bodyKind = {
  pocket: 'body',
  name: 'body',
  fields: {
    sensorFormat: 'sensor',
    screen: 'screen',
    baseIso: 'base ISO',
    highestUsableIso: 'highest usable ISO',
    inputFullScaleDbV: 'voltage that fills the microphone input',
    plugInPower: 'feeds plug-in power at the plug',
    takesLineLevel: 'takes line level',
    batteriesIncluded: 'batteries in the box',
    includedBatteryWh: 'energy of the battery in the box',
    cardSlots: 'card slots',
    cleanOutput: 'clean picture over HDMI',
    usbVideo: 'camera over USB',
    runsFromUsb: 'runs from USB',
    weatherCover: 'sealed against weather',
    looseRings: 'loose strap rings',
    ownMicrophone: 'microphone of its own',
    flightMinutes: 'flight on one battery',
    linkRangeM: 'reach of the link',
    windLimitMps: 'flies in wind up to',
    runsFromMainsAdapter: 'takes a dummy battery'
  },
  job: ({ form }) => (form === 'drone' ? 'drone' : 'body'),
  gist: (gear) =>
    `${gear.sensorFormat}, screen ${gear.screen ?? 'not stated'}${gear.stabilised ? ', steadied' : ''}`,
  drawing: (gear) =>
    (
      ({
        interchangeable: 'body',
        'fixed lens': 'fixed body',
        phone: 'phone',
        action: 'action',
        '360': '360',
        drone: 'drone'
      }) as const
    )[gear.form]
} satisfies KindDescriptor<BodyGear>;
