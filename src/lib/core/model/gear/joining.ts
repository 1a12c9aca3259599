import {
  NeededNumber,
  NeededText,
  NeededWord,
  StatedNumber,
  StatedText,
  StatedYesNo
} from '../stated';
import { GearBase } from './base';

/** Carries a signal between two ends; which ends, its ports say. */
export class CableGear extends GearBase {
  kind = 'cable' as const;
  @StatedNumber('m', 0.02, 100) lengthM?: number;
  /** Feeds 48 V to a microphone that needs it. */
  @StatedYesNo() givesPhantom?: boolean;
}

export const filterForms = [
  'fixed density',
  'variable density',
  'diffusion',
  'protecting'
] as const;

export class FilterGear extends GearBase {
  kind = 'filter' as const;
  @NeededWord(filterForms) form!: (typeof filterForms)[number];
  @NeededNumber('mm', 20, 150) threadMm!: number;
  @StatedNumber('stops', 0, 20) stopsMin?: number;
  @StatedNumber('stops', 0, 20) stopsMax?: number;
}

/** Lets a larger filter sit on a smaller lens. */
export class RingGear extends GearBase {
  kind = 'ring' as const;
  @NeededNumber('mm', 20, 150) lensThreadMm!: number;
  @NeededNumber('mm', 20, 150) filterThreadMm!: number;
}

export class MountAdapterGear extends GearBase {
  kind = 'mount adapter' as const;
  @NeededText(40) lensMount!: string;
  @NeededText(40) bodyMount!: string;
  @StatedYesNo() keepsFocus?: boolean;
  @StatedYesNo() keepsAperture?: boolean;
}

/** A handle or rail on a cage: somewhere to hold, somewhere to put things. */
export class HandleGear extends GearBase {
  kind = 'handle' as const;
  @StatedNumber('kg', 0.02, 100) payloadKg?: number;
}

/** Screws, plates, studs, rails and arms that join one mechanical port to another. */
export class CouplingGear extends GearBase {
  kind = 'coupling' as const;
  /** Moves a shoe away from the screen. */
  @StatedYesNo() movesShoeAside?: boolean;
  @StatedNumber('kg', 0.02, 100) payloadKg?: number;
}

export class CageGear extends GearBase {
  kind = 'cage' as const;
  @StatedText(80) fitsBodyId?: string;
}

export class MonitorGear extends GearBase {
  kind = 'monitor' as const;
  @StatedNumber('in', 2, 40) diagonalIn?: number;
  @StatedNumber('cd/m²', 50, 5000) luminanceCdM2?: number;
  @StatedNumber('W', 0.5, 100) drawW?: number;
  @StatedText(40) cellType?: string;
  /** Records what it shows, so that two recordings are made. */
  @StatedYesNo() recordsItself?: boolean;
}

/** A mirror over the shoe that shows the rear screen to the person in front. */
export class MirrorBoxGear extends GearBase {
  kind = 'mirror box' as const;
}

export class CaptureDeviceGear extends GearBase {
  kind = 'capture device' as const;
  @StatedNumber('px', 320, 12_000) pixelsAcross?: number;
  @StatedNumber('fps', 1, 240) fps?: number;
}

export const sundryUses = [
  'remote',
  'tape',
  'notebook',
  'cloth',
  'ties',
  'bag',
  'blanket',
  'foil',
  'tool',
  'lens cover'
] as const;

/** Small things a list must never forget. */
export class SundryGear extends GearBase {
  kind = 'sundry' as const;
  @NeededWord(sundryUses) use!: (typeof sundryUses)[number];
  @StatedNumber('m²', 0.05, 100) areaM2?: number;
  /** Share of the sound a blanket swallows, 0 to 1. */
  @StatedNumber('×', 0, 1) absorption?: number;
  @StatedNumber('m', 0.5, 500) radioRangeM?: number;
}
