import { IsArray, IsIn } from 'class-validator';
import { NeededWord } from '../stated';
import { GearBase } from './base';
import type { MicrophoneForm, WindCover } from './microphone';
import { microphoneForms, windCovers } from '../word-lists';

export class WindCoverGear extends GearBase {
  kind = 'wind cover' as const;
  @NeededWord(windCovers) cover!: WindCover;
  @IsArray({ message: 'must be a list of microphone forms' })
  @IsIn([...microphoneForms], {
    each: true,
    message: `must each be one of: ${microphoneForms.join(', ')}`
  })
  fitsForms!: MicrophoneForm[];
}
