import { lengthWords } from '../../core/figures/figure-words';
import type { GearItem } from '../../core/model/gear';
import type { Pocket } from '../../core/model/pocket';

/** The question each pocket answers. */
export const pocketQuestions: Readonly<Record<Pocket, string>> = {
  sound: 'What should carry the voice?',
  light: 'What should light the face?',
  body: 'What should record it all?',
  lens: 'What should frame it?',
  support: 'What should hold it still?',
  storage: 'What should keep the files?',
  power: 'What should keep it running?',
  accessories: 'What connects the parts?'
};

const stops = (min: number | undefined, max: number | undefined) =>
  min === undefined || max === undefined
    ? 'stops not stated'
    : min === max
      ? `${max} stops`
      : `${min} to ${max} stops`;

/** A part in half a line: what one asks about it first. Unsaid figures say so. */
export function partGist(gear: GearItem): string {
  switch (gear.kind) {
    case 'body':
      return `${gear.sensorFormat}, screen ${gear.screen ?? 'not stated'}${gear.stabilised ? ', steadied' : ''}`;
    case 'lens':
      return `${gear.mount} mount, ${gear.focalLengthMinMm === gear.focalLengthMaxMm ? gear.focalLengthMinMm : `${gear.focalLengthMinMm}–${gear.focalLengthMaxMm}`} mm, f/${gear.apertureWideN}`;
    case 'microphone':
      return `${gear.form}, ${gear.pattern ?? 'pattern not stated'}, self-noise ${gear.selfNoiseDbA === undefined ? 'not stated' : `${gear.selfNoiseDbA} dB(A)`}`;
    case 'windscreen':
      return `${gear.cover}, for ${gear.fitsForms.join(', ')}`;
    case 'recorder':
      return `runs ${gear.batteryHours ?? '?'} h${gear.safetyTrack ? ', safety track' : ''}`;
    case 'lamp':
      return `${gear.form}, ${gear.illuminanceAt1mLx ?? '?'} lx at 1 m, ${gear.drawW ?? '?'} W`;
    case 'support':
      return `${gear.form}, carries ${gear.payloadKg ?? '?'} kg${gear.heightMaxM === undefined ? '' : `, to ${lengthWords(gear.heightMaxM, 'metric')}`}`;
    case 'head':
      return `${gear.form}, payload ${gear.payloadKg ?? '?'} kg${gear.ratedAtMm === undefined ? '' : ` up to ${gear.ratedAtMm} mm over the plate`}`;
    case 'sandbag':
      return `${gear.filledKg ?? '?'} kg filled`;
    case 'card':
      return `${gear.cardKind}, ${gear.capacityGb ?? '?'} GB, ${gear.speedClass ?? 'class not stated'}`;
    case 'drive':
      return `${gear.capacityGb ?? '?'} GB`;
    case 'reader':
      return `${gear.cardKind} to ${gear.plug ?? '?'}`;
    case 'battery':
      return `${gear.batteryType}, ${gear.energyWh ?? '?'} Wh${gear.otherMaker ? ', another maker’s' : ''}`;
    case 'mains adapter':
      return `in place of ${gear.batteryType}`;
    case 'power bank':
      return `${gear.energyWh ?? '?'} Wh, ${gear.outputW ?? '?'} W`;
    case 'charger':
      return `${gear.batteryType}, ${gear.bays ?? '?'} ${gear.bays === 1 ? 'bay' : 'bays'}`;
    case 'cable':
      return gear.ports.map((port) => `${port.type} ${port.end}`).join(' to ');
    case 'filter':
      return `${gear.threadMm} mm, ${gear.form}, ${stops(gear.stopsMin, gear.stopsMax)}`;
    case 'step-up ring':
      return `lens ${gear.lensThreadMm} mm, filter ${gear.filterThreadMm} mm`;
    case 'mount adapter':
      return `${gear.lensMount} lens on ${gear.bodyMount} body${gear.keepsFocus ? '' : ', focus by hand'}`;
    case 'thread adapter':
      return gear.ports.map((port) => `${port.type} ${port.end}`).join(' to ');
    case 'computer':
      return `plays load ${gear.editingRating ?? '?'}, ${gear.freeSpaceGb ?? '?'} GB free`;
    case 'solar panel':
      return `${gear.outputW ?? '?'} W in full sun`;
    case 'handle':
      return 'somewhere to hold and to screw on';
    case 'cage':
      return 'more threads and shoes';
    case 'monitor':
      return `${gear.diagonalIn ?? '?'} in, ${gear.luminanceCdM2 ?? '?'} cd/m²`;
    case 'mirror box':
      return 'shows the rear screen to the front';
    case 'capture device':
      return `${gear.pixelsAcross ?? '?'} pixels at ${gear.fps ?? '?'}`;
    case 'small item':
      return gear.use;
  }
}
