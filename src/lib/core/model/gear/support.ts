import { NeededWord, StatedNumber, StatedWord } from '../stated';
import { GearBase } from './base';
import { supportForms, headForms } from '../word-lists';

export type SupportForm = (typeof supportForms)[number];

export class SupportGear extends GearBase {
  kind = 'support' as const;
  @NeededWord(supportForms) form!: SupportForm;
  @StatedNumber('kg', 0.05, 100) payloadKg?: number;
  @StatedNumber('m', 0.01, 8) heightMaxM?: number;
  /** How far an arm, boom, grip or pole holds the load from its own foot or from the hand. */
  @StatedNumber('m', 0.01, 8) reachM?: number;
  @StatedNumber('m', 0.01, 3) footRadiusM?: number;
  @StatedWord(headForms) head?: (typeof headForms)[number];
}
