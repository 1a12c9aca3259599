import { cardsFor } from '../figures/endurance-rows';
import { figureAt } from '../figures/record';
import { figureIndex } from '../figures/table';
import { figureWords, minutesWords } from '../figures/figure-words';
import { fullName } from '../model/gear';
import { speedClassMBps, sustainedWriteVerdict } from '../relations/storage/sustained-write';
import type { PlacedRig } from '../rigs/placed-rig';
import type { AngleFindingRow } from './finding';
import { cheapestOf, oneMoreOf, swapFor } from './part-candidates';

function cardKindsOf(rig: PlacedRig): string[] {
  return rig.body?.gear.ports.filter((port) => port.role === 'card').map((port) => port.type) ?? [];
}

export const storageFindings: AngleFindingRow[] = [
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
  },
  {
    code: 'T2',
    family: 'storage',
    scope: 'angle',
    about: 'sustained write below the mode’s bit rate',
    reads: ['bitRate', 'writePromised'],
    judge: (rig, record) => {
      const rate = figureAt(record, figureIndex.bitRate);
      const promised = figureAt(record, figureIndex.writePromised);
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
        needs: rate / 8,
        unit: 'MB/s',
        title: () =>
          `${slow.gear.model} promises ${promised} MB/s; the mode writes ${figureWords(rate / 8, 'MB/s')}`,
        why: () =>
          `${figureWords(rate, 'Mb/s')} are ${figureWords(rate / 8, 'MB/s')}. ${verdict === 'stop' ? 'The recording breaks off.' : 'Less than a tenth of room is left for peaks.'} The read speed on the label says nothing about it.`
      };
    },
    propose: ({ rig, record, shelf, project }) => {
      const needs = (figureAt(record, figureIndex.bitRate)! / 8) * 1.1;
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
  },
  {
    code: 'T3',
    family: 'storage',
    scope: 'angle',
    about: 'the card kind does not fit',
    reads: [],
    judge: (rig) => {
      const kinds = cardKindsOf(rig);
      const strays = rig.kit.of('card').filter(({ gear }) => !kinds.includes(gear.cardKind));
      if (!rig.body || strays.length === 0 || cardsFor(rig).length > 0) return undefined;
      return {
        severity: 'stop',
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
  }
];
