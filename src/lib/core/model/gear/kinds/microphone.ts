import type { MicrophoneGear } from '../microphone';
import type { KindDescriptor } from '../kind-descriptor';

export const microphoneKind = {
  pocket: 'sound',
  name: 'microphone',
  fields: {
    pattern: 'pickup pattern',
    selfNoiseDbA: 'self-noise',
    sensitivityDbVPerPa: 'sensitivity',
    boostDb: 'boost',
    power: 'powered by',
    outputLevel: 'level at the plug',
    windscreenIncluded: 'wind cover in the box',
    cableM: 'cable',
    transmitters: 'transmitters'
  },
  job: () => 'microphone',
  gist: (gear) =>
    `${gear.form}, ${gear.pattern ?? 'pattern not stated'}, self-noise ${gear.selfNoiseDbA === undefined ? 'not stated' : `${gear.selfNoiseDbA} dB(A)`}`,
  drawing: (gear) =>
    (
      ({
        shoe: 'shoe mic',
        'short shotgun': 'short shotgun',
        'lavalier wired': 'lavalier',
        'lavalier wireless': 'wireless pair',
        desk: 'desk mic',
        dynamic: 'desk mic',
        condenser: 'desk mic',
        'desk feed': 'recorder'
      }) as const
    )[gear.form]
} satisfies KindDescriptor<MicrophoneGear>;
