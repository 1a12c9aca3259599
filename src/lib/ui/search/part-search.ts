import { fullName, type GearItem, gearKinds } from '../../core/model/gear';
import { partGist } from '../chooser/candidate-words';
import { synonymsOf } from './synonyms';
import { makeWordSearch, type WordSearch } from './word-search';

/** What stands beside the name of a part and finds it too. */
export const partDetail = (gear: GearItem): string =>
  `${gearKinds[gear.kind].name} ${partGist(gear)} ${synonymsOf(gear)}`;

/** Parts by name, kind, figures and the field's other words for them, typing errors borne. */
export const makePartSearch = (items: readonly GearItem[]): WordSearch<GearItem> =>
  makeWordSearch(items, fullName, partDetail);
