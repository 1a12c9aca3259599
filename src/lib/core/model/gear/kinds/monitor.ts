import type { MonitorGear } from '../monitor';
import type { KindDescriptor } from '../kind-descriptor';

export const monitorKind = {
  pocket: 'accessories',
  name: 'monitor',
  fields: {
    diagonalIn: 'diagonal',
    luminanceCdM2: 'brightness',
    coated: 'coated against reflections'
  },
  job: () => 'monitor',
  gist: (gear) => `${gear.diagonalIn ?? '?'} in, ${gear.luminanceCdM2 ?? '?'} cd/m²`
} satisfies KindDescriptor<MonitorGear>;
