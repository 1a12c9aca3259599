import type { SolarPanelGear } from '../solar-panel';
import type { KindDescriptor } from '../kind-descriptor';

export const solarPanelKind = {
  pocket: 'power',
  name: 'solar panel',
  gist: (gear) => `${gear.outputW ?? '?'} W in full sun`
} satisfies KindDescriptor<SolarPanelGear>;
