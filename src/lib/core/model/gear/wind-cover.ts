import { NeededWord, WordList } from '../stated';
import { GearBase } from './base';
import type { MicrophoneForm, WindCover } from './microphone';
import { microphoneForms, windCovers } from '../word-lists';

export class WindCoverGear extends GearBase {
  kind = 'wind cover' as const;
  @NeededWord(windCovers) cover!: WindCover;
  @WordList(microphoneForms, 'microphone forms')
  fitsForms!: MicrophoneForm[];
}
