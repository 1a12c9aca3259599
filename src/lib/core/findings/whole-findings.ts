import { fullName } from '../model/gear';
import { AIR_TRAVEL_WH } from '../relations/power/off-grid';
import type { Held, PlanFindingRow } from './finding';
import { cheapestOf, swapFor } from './part-candidates';

/** What the whole kit lacks or brings, whatever the scene. */
export const wholeFindings: PlanFindingRow[] = [
  {
    code: 'T4',
    family: 'storage',
    scope: 'plan',
    about: 'no second copy',
    judge: ({ kit, rigs }): Held[] => {
      if (kit.of('body').length === 0 || rigs.length === 0 || kit.of('drive').length > 0) return [];
      return [
        {
          severity: 'note',
          has: 1,
          needs: 2,
          unit: 'count',
          title: () => 'The files are kept in one place',
          why: () => 'Until they lie on a second one, a lost card is a lost day.'
        }
      ];
    },
    propose: ({ shelf, project }) => [
      { parts: cheapestOf(shelf, project, 'drive'), label: (gear) => `Add ${gear.model}` }
    ]
  },
  {
    code: 'T5',
    family: 'storage',
    scope: 'plan',
    about: 'a recorder has no card',
    judge: ({ kit }): Held[] =>
      kit.of('recorder').flatMap(({ line, gear }): Held[] => {
        const slots = gear.ports.filter((port) => port.role === 'card').map((port) => port.type);
        if (
          gear.internalStorageGb !== undefined ||
          slots.length === 0 ||
          kit.of('card').some((card) => slots.includes(card.gear.cardKind))
        )
          return [];
        return [
          {
            severity: 'warn',
            about: line.id,
            lineIds: [line.id],
            has: 0,
            needs: 1,
            unit: 'count',
            title: () => `${gear.model} has no card`,
            why: () => `${fullName(gear)} records to ${slots.join(' or ')} and none is in the bag.`
          }
        ];
      }),
    propose: ({ kit, shelf, project }, held) => {
      const recorder = kit.byLine(held.about)?.gear;
      const slots =
        recorder?.ports.filter((port) => port.role === 'card').map((port) => port.type) ?? [];
      return [
        {
          parts: cheapestOf(shelf, project, 'card', (gear) => slots.includes(gear.cardKind)),
          label: (gear) => `Add ${gear.model}`
        }
      ];
    }
  },
  {
    code: 'P6',
    family: 'power',
    scope: 'plan',
    about: 'the air-travel watt-hour limit',
    judge: ({ kit }): Held[] =>
      [...kit.of('bank'), ...kit.of('cell')].flatMap(({ line, gear }): Held[] => {
        const wattHours = gear.energyWh ?? 0;
        if (wattHours <= AIR_TRAVEL_WH.ask) return [];
        const refused = wattHours > AIR_TRAVEL_WH.refuse;
        return [
          {
            severity: refused ? 'warn' : 'note',
            about: line.id,
            lineIds: [line.id],
            has: wattHours,
            needs: AIR_TRAVEL_WH.ask,
            unit: 'Wh',
            title: () =>
              `${gear.model}: ${refused ? 'normally refused on a flight' : 'ask the airline before you fly'}`,
            why: () =>
              `It holds ${wattHours} Wh. Above ${AIR_TRAVEL_WH.ask} the airline decides, above ${AIR_TRAVEL_WH.refuse} it normally refuses; its own rules come first.`
          }
        ];
      }),
    propose: ({ kit, shelf, project }, held) => {
      const part = kit.byLine(held.about);
      if (!part || part.gear.kind !== 'bank')
        return [{ label: 'Leave it at home', act: { type: 'remove line', lineId: held.about! } }];
      return [
        {
          parts: cheapestOf(
            shelf,
            project,
            'bank',
            (gear) => (gear.energyWh ?? Infinity) <= AIR_TRAVEL_WH.ask
          ).reverse(),
          label: (gear) => `Swap to ${gear.model}`,
          act: swapFor(part.line.id)
        }
      ];
    }
  },
  {
    code: 'W4',
    family: 'whole',
    scope: 'plan',
    about: 'nothing reads the cards',
    judge: ({ kit }): Held[] => {
      const kinds = new Set(kit.of('card').map(({ gear }) => gear.cardKind));
      const missing = [...kinds].filter(
        (kind) =>
          !kit.of('reader').some(({ gear }) => gear.cardKind === kind) &&
          !kit.of('computer').some(({ gear }) => gear.hasReader === true)
      );
      return missing.map((kind): Held => ({
        severity: 'note',
        about: kind,
        has: 0,
        needs: 1,
        unit: 'count',
        title: () => `Nothing reads the ${kind} card`,
        why: () =>
          'The files come off through a reader, and neither one nor a computer with one is in the list. If your computer has one, enter it as owned.'
      }));
    },
    propose: ({ shelf, project }, held) => [
      {
        parts: cheapestOf(shelf, project, 'reader', (gear) => gear.cardKind === held.about),
        label: (gear) => `Add ${gear.model}`
      }
    ]
  }
];
