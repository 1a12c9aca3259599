import type { SupportGear } from '../support';
import type { KindDescriptor } from '../kind-descriptor';

export const supportKind = {
  pocket: 'support',
  name: 'support',
  fields: {
    heightMaxM: 'greatest height',
    reachM: 'reach',
    footRadiusM: 'foot radius',
    head: 'head'
  },
  job: (gear) => {
    const form =
      gear.form === 'flexible tripod'
        ? 'mini tripod'
        : gear.form === 'gimbal'
          ? 'hand grip'
          : gear.form;
    return `support ${form}`;
  },
  gist: (gear, { length, mass }) =>
    `${gear.form}, carries ${gear.payloadKg === undefined ? '? kg' : mass(gear.payloadKg)}${gear.heightMaxM === undefined ? '' : `, to ${length(gear.heightMaxM)}`}`,
  drawing: (gear) =>
    (
      ({
        tripod: 'floor stand',
        'mini tripod': 'mini tripod',
        'flexible tripod': 'flexible tripod',
        'hand grip': 'hand grip',
        'extension pole': 'extension pole',
        gimbal: 'gimbal',
        'light stand': 'light stand',
        'boom arm': 'boom arm',
        'overhead arm': 'overhead arm',
        clamp: 'clamp',
        'ceiling mount': 'ceiling mount',
        'monitor mount': 'monitor mount',
        'chest mount': 'chest mount',
        'handlebar mount': 'handlebar mount'
      }) as const
    )[gear.form]
} satisfies KindDescriptor<SupportGear>;
