import { cardsFor } from '../../figures/endurance-rows';
import { againstNeed, figureWords } from '../../figures/figure-words';
import { sharesDay } from '../../supplies/filming-days';
import { figureRow, type AngleFindingRow } from '../finding';
import { cheapestOf, oneMore, swapFor } from '../part-candidates';
import { cardKindsOf } from './card-kinds';

/** T1. */
export const capacityFindings: readonly AngleFindingRow[] = [
  figureRow({
    code: 'T1',
    family: 'storage',
    about: 'fills before the day ends',
    reads: [
      'storageShare',
      'cardSpace',
      'cardMinutes',
      'recordedAway',
      'bitRate',
      'writeNeeded',
      'sizeNeeded'
    ],
    judge: (rig, figures) => {
      const share = figures.storageShare;
      if (share === undefined || share >= 1 || figures.cardSpace === 0) return undefined;
      if (sharesDay(rig.scene, rig.project.scenes)) return undefined;
      const have = figures.cardMinutes!;
      const need = figures.recordedAway!;
      return {
        severity: 'stop',
        lineIds: cardsFor(rig).map(({ line }) => line.id),
        figure: 'cardMinutes',
        has: have,
        needs: need,
        unit: 'min',
        title: () => `${rig.scene.name}: cards hold ${againstNeed(have, need, 'min')}`,
        why: () =>
          `${figureWords(figures.bitRate!, 'Mb/s')} (${figureWords(figures.writeNeeded!, 'MB/s')}) write ${figureWords(figures.sizeNeeded!, 'GB')}; ${figureWords(figures.cardSpace!, 'GB')} are in the kit.`
      };
    },
    propose: (context) => {
      const { rig, shelf, project } = context;
      const cards = cardsFor(rig);
      const kinds = cardKindsOf(rig);
      return [
        ...cards.flatMap((card) => oneMore(context, card)),
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
  })
];
