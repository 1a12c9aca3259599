import { cardsFor } from '../../figures/endurance-rows';
import { figureWords, minutesWords } from '../../figures/figure-words';
import { figureAt } from '../../figures/record';
import { figureIndex } from '../../figures/table';
import type { AngleFindingRow } from '../finding';
import { cheapestOf, oneMoreOf, swapFor } from '../part-candidates';
import { cardKindsOf } from './card-kinds';

/** T1. */
export const capacityFindings: readonly AngleFindingRow[] = [
  {
    code: 'T1',
    family: 'storage',
    scope: 'angle',
    about: 'fills before the day ends',
    reads: ['storageShare'],
    judge: (rig, record) => {
      const share = figureAt(record, figureIndex.storageShare);
      if (share === undefined || share >= 1 || figureAt(record, figureIndex.cardSpace) === 0)
        return undefined;
      const have = figureAt(record, figureIndex.cardMinutes)!;
      const need = figureAt(record, figureIndex.recordedAway)!;
      return {
        severity: 'stop',
        lineIds: cardsFor(rig).map(({ line }) => line.id),
        figure: 'cardMinutes',
        has: have,
        needs: need,
        unit: 'min',
        title: () =>
          `${rig.scene.name}: cards full at ${minutesWords(have)} of ${minutesWords(need)}`,
        why: () =>
          `${figureWords(figureAt(record, figureIndex.bitRate)!, 'Mb/s')} (${figureWords(figureAt(record, figureIndex.writeNeeded)!, 'MB/s')}) write ${figureWords(figureAt(record, figureIndex.sizeNeeded)!, 'GB')}; ${figureWords(figureAt(record, figureIndex.cardSpace)!, 'GB')} are in the kit.`
      };
    },
    propose: ({ rig, shelf, project }) => {
      const cards = cardsFor(rig);
      const kinds = cardKindsOf(rig);
      return [
        ...cards.map(({ line, gear }) => ({
          label: `One more ${gear.model}`,
          act: oneMoreOf(line)
        })),
        ...cards.slice(0, 1).map(({ line, gear }) => ({
          parts: cheapestOf(
            shelf,
            project,
            'card',
            (card) =>
              card.cardKind === gear.cardKind && (card.capacityGb ?? 0) > (gear.capacityGb ?? 0)
          ),
          label: (card: { model: string }) => `Swap to ${card.model}`,
          act: swapFor(line.id)
        })),
        {
          parts: cheapestOf(shelf, project, 'card', (card) => kinds.includes(card.cardKind)),
          label: (card) => `Add ${card.model}`
        }
      ];
    }
  }
];
