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
      const cards = cardsFor(rig);
      // Where the class is only supposed, no card states it.
      const slow =
        cards.find(
          ({ gear }) =>
            gear.speedClass !== undefined && speedClassMBps[gear.speedClass] === promised
        ) ?? cards.find(({ gear }) => gear.speedClass === undefined);
      const card = slow?.gear.model ?? 'The card';
      const needs = verdict === 'stop' ? megabytesPerSecond(rate) : classNeededMBps(rate);
      return {
        severity: verdict,
        lineIds: slow ? [slow.line.id] : [],
        figure: 'writePromised',
        has: promised,
        needs,
        unit: 'MB/s',
        title: () =>
          `${card} sustains ${figureWords(promised, 'MB/s')} (the mode needs ${figureWords(needs, 'MB/s')}${verdict === 'stop' ? '' : ' with room for peaks'})`,
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
