import { cardsFor } from '../../figures/endurance-rows';
import { fullName } from '../../model/gear';
import { isRecorded } from '../../model/scene-facts';
import { rigRow, type AngleFindingRow } from '../finding';
import { cheapestOf, swapFor } from '../part-candidates';
import { cardKindsOf } from './card-kinds';

/** T3. */
export const cardKindFindings: readonly AngleFindingRow[] = [
  rigRow({
    code: 'T3',
    family: 'storage',
    about: 'the card kind does not fit',
    judge: (rig) => {
      if (!isRecorded(rig.scene)) return undefined;
      const kinds = cardKindsOf(rig);
      const strays = rig.kit.of('card').filter(({ gear }) => !kinds.includes(gear.cardKind));
      if (!rig.body || strays.length === 0 || cardsFor(rig).length > 0) return undefined;
      return {
        // A body that records inside does without; the cards just stay in the bag.
        severity: rig.body.gear.internalStorageGb === undefined ? 'stop' : 'note',
        lineIds: strays.map(({ line }) => line.id),
        title: () => `${strays[0]!.gear.model} does not go into ${rig.body!.gear.model}`,
        why: () =>
          `${fullName(rig.body!.gear)} takes ${kinds.length > 0 ? kinds.join(' or ') : 'no cards'}.`
      };
    },
    propose: ({ rig, shelf, project }) => {
      const stray = rig.kit.of('card')[0]!;
      const kinds = cardKindsOf(rig);
      return [
        {
          parts: cheapestOf(shelf, project, 'card', (card) => kinds.includes(card.cardKind)),
          label: (card) => `Swap to ${card.model}`,
          act: swapFor(stray.line.id)
        }
      ];
    }
  })
];
