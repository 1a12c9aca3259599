import { cardsFor } from '../../figures/endurance-rows';
import { fullName, type GearOf } from '../../model/gear';
import { portsFor } from '../../model/ports-by-role';
import { isRecorded } from '../../model/scene-facts';
import type { PlacedRig } from '../../rigs/placed-rig';
import { rigRow, type AngleFindingRow } from '../finding';
import { cheapestOf, swapFor } from '../part-candidates';
import { cardKindsOf } from './card-kinds';

/** Something else of the kit has a slot for the card. */
const goesIntoAnother = ({ kit, body }: PlacedRig, { cardKind }: GearOf<'card'>): boolean =>
  kit.parts.some(
    ({ gear }) =>
      gear !== body?.gear && portsFor(gear, 'card').some(({ type }) => type === cardKind)
  );

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
      const needsCard = rig.body.gear.internalStorageGb === undefined;
      // They are for another camera or a recorder of the kit.
      if (!needsCard && strays.every(({ gear }) => goesIntoAnother(rig, gear))) return undefined;
      return {
        // A body that records inside does without; the cards just stay in the bag.
        severity: needsCard ? 'stop' : 'note',
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
