import type { LampGear } from '../lamp';
import type { KindDescriptor } from '../kind-descriptor';

export const lampKind = {
  pocket: 'light',
  name: 'lamp',
  fields: {
    illuminanceAt1mLx: 'light at 1 m',
    sourceRadiusM: 'radius of the source',
    colourMinK: 'warmest colour',
    colourMaxK: 'coolest colour',
    runsFromMains: 'runs from the mains',
    pwmHz: 'dimmer frequency',
    dimmable: 'can be dimmed'
  },
  job: (gear) => (gear.form === 'practical' ? undefined : 'lamp'),
  gist: (gear) =>
    `${gear.form}, ${gear.illuminanceAt1mLx ?? '?'} lx at 1 m, ${gear.drawW ?? '?'} W`,
  drawing: (gear) =>
    (
      ({
        panel: 'panel',
        point: 'lamp dome',
        tube: 'tube',
        bulb: 'globe',
        practical: 'practical'
      }) as const
    )[gear.form]
} satisfies KindDescriptor<LampGear>;
