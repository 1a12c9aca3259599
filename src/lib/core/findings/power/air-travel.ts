import { AIR_TRAVEL_WH } from '../../relations/power/off-grid';
import type { Held, PlanFindingRow } from '../finding';
import { cheapestOf, swapFor } from '../part-candidates';

/** P6. */
export const airTravelFindings: readonly PlanFindingRow[] = [
  {
    code: 'P6',
    family: 'power',
    scope: 'plan',
    about: 'the air-travel watt-hour limit',
    judge: ({ kit }): Held[] =>
      [...kit.of('power bank'), ...kit.of('battery')].flatMap(({ line, gear }): Held[] => {
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
      if (!part || part.gear.kind !== 'power bank')
        return [{ label: 'Remove it from kit', act: { type: 'remove line', lineId: held.about! } }];
      return [
        {
          parts: cheapestOf(
            shelf,
            project,
            'power bank',
            (gear) => (gear.energyWh ?? Infinity) <= AIR_TRAVEL_WH.ask
          ).reverse(),
          label: (gear) => `Swap to ${gear.model}`,
          act: swapFor(part.line.id)
        }
      ];
    }
  }
];
