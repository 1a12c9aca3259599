import { cardsFor } from '../../figures/endurance-rows';
import { figureWords } from '../../figures/figure-words';
import {
  classNeededMBps,
  megabytesPerSecond,
  speedClassMBps,
  sustainedWriteVerdict
} from '../../relations/storage/sustained-write';
import { figureRow, type AngleFindingRow } from '../finding';
import { cheapestOf, swapFor } from '../part-candidates';

/** T2. */
export const writeSpeedFindings: readonly AngleFindingRow[] = [
  figureRow({
    code: 'T2',
    family: 'storage',
    about: 'sustained write below the mode’s bit rate',
    reads: ['bitRate', 'writePromised'],
    judge: (rig, figures) => {
      const rate = figures.bitRate;
      const promised = figures.writePromised;
      if (rate === undefined || promised === undefined) return undefined;
      const verdict = sustainedWriteVerdict(rate, promised);
      if (verdict === 'fine') return undefined;
      const slow = cardsFor(rig).find(
        ({ gear }) => gear.speedClass !== undefined && speedClassMBps[gear.speedClass] === promised
      )!;
      return {
        severity: verdict,
        lineIds: [slow.line.id],
        figure: 'writePromised',
        has: promised,
        needs: megabytesPerSecond(rate),
        unit: 'MB/s',
        title: () =>
          `${slow.gear.model} promises ${promised} MB/s; the mode writes ${figureWords(megabytesPerSecond(rate), 'MB/s')}`,
        why: () =>
          `${figureWords(rate, 'Mb/s')} are ${figureWords(megabytesPerSecond(rate), 'MB/s')}. ${verdict === 'stop' ? 'The recording breaks off.' : 'Less than a tenth of room is left for peaks.'} The read speed on the label says nothing about it.`
      };
    },
    propose: ({ rig, figures, shelf, project }) => {
      const needs = classNeededMBps(figures.bitRate!);
      const slow = cardsFor(rig).find(
        ({ gear }) => gear.speedClass !== undefined && speedClassMBps[gear.speedClass] < needs
      );
      if (!slow) return [];
      return [
        {
          parts: cheapestOf(
            shelf,
            project,
            'card',
            (card) =>
              card.cardKind === slow.gear.cardKind &&
              card.speedClass !== undefined &&
              speedClassMBps[card.speedClass] >= needs
          ),
          label: (card) => `Swap to ${card.model}`,
          act: (line) => swapFor(slow.line.id)({ ...line, quantity: slow.line.quantity })
        }
      ];
    }
  })
];
