import { NeededWord, WordList } from '../stated';
import { GearBase } from './base';
import type { MicrophoneForm, Windscreen } from './microphone';
import { microphoneForms, windscreens } from '../word-lists';

export class WindscreenGear extends GearBase {
  kind = 'windscreen' as const;
  @NeededWord(windscreens) cover!: Windscreen;
  @WordList(microphoneForms, 'microphone forms')
  fitsForms!: MicrophoneForm[];
}
