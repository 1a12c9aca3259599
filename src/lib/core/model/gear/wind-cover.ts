import { IsArray } from 'class-validator';
import { NeededWord } from '../stated';
import { GearBase } from './base';
import { type MicrophoneForm, type WindCover, windCovers } from './microphone';

export class WindCoverGear extends GearBase {
  kind = 'wind cover' as const;
  @NeededWord(windCovers) cover!: WindCover;
  @IsArray({ message: 'must be a list of microphone forms' }) fitsForms!: MicrophoneForm[];
}
