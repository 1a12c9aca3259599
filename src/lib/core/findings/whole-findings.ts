import { figureWords } from '../figures/figure-words';
import { figureAt } from '../figures/record';
import { figureIndex } from '../figures/table';
import { fullName } from '../model/gear';
import { EDITING_SHARE, LIGHTER_COPY_MBPS } from '../relations/storage/editing-load';
import { AIR_TRAVEL_WH } from '../relations/power/off-grid';
import { openConnections } from '../rigs/closings';
import type { Connection, ConnectionPurpose } from '../rigs/connection';
import type { PlacedRig } from '../rigs/placed-rig';
import { chainProposal } from './chain-proposals';
import type { AngleFindingRow, Held, PlanContext, PlanFindingRow, Proposal } from './finding';
import { cheapestOf, swapFor, swapTo } from './part-candidates';

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
    judge: ({ rigs }): Held[] =>
      openOnce(rigs, 'card in its slot')
        .filter(({ from }) => from.gear.kind !== 'body')
        .map(({ from: { line, gear }, fromPorts }): Held => ({
          severity: 'warn',
          about: line.id,
          lineIds: [line.id],
          has: 0,
          needs: 1,
          unit: 'count',
          title: () => `${gear.model} has no card`,
          why: () =>
            `${fullName(gear)} records to ${fromPorts.map((port) => port.type).join(' or ')} and none is in the kit.`
        })),
    propose: (context, held) =>
      chainsFor(context, 'card in its slot', ({ from }) => from.line.id === held.about)
  },
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
        return [{ label: 'Leave it at home', act: { type: 'remove line', lineId: held.about! } }];
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
  },
  {
    code: 'W4',
    family: 'whole',
    scope: 'plan',
    about: 'nothing reads the cards',
    judge: ({ rigs }): Held[] => {
      const kinds = new Set(
        openOnce(rigs, 'files into computer').map(({ fromPorts }) => fromPorts[0]!.type)
      );
      return [...kinds].map((kind): Held => ({
        severity: 'note',
        about: kind,
        has: 0,
        needs: 1,
        unit: 'count',
        title: () => `No reader for the ${kind} card`,
        why: () =>
          'The files come off through a reader, and neither one nor a computer with one is in the list. If your computer has one, enter it as owned.'
      }));
    },
    propose: (context, held) =>
      chainsFor(
        context,
        'files into computer',
        ({ fromPorts }) => fromPorts[0]!.type === held.about
      )
  }
];

/** What cutting asks of the computer, judged where the heaviest files come from. */
export const cuttingFindings: AngleFindingRow[] = [
  {
    code: 'W4',
    family: 'whole',
    scope: 'angle',
    about: 'the computer cannot play the mode, or has no room for the files',
    reads: ['editingShare', 'freeSpace'],
    judge: (rig, record) => {
      const computer = rig.kit.of('computer')[0];
      if (!computer || rig.index > 0) return undefined;
      const share = figureAt(record, figureIndex.editingShare);
      if (share !== undefined && share > EDITING_SHARE.plays)
        return {
          severity: share > EDITING_SHARE.lighterCopies ? 'warn' : 'note',
          about: 'plays',
          lineIds: [computer.line.id],
          figure: 'editingShare',
          has: share,
          needs: EDITING_SHARE.plays,
          unit: '×',
          title: () => `${computer.gear.model} stutters over ${rig.scene.name}`,
          why: () =>
            `Cutting it asks ${figureWords(share, '×')} of what ${fullName(computer.gear)} plays. ${share > EDITING_SHARE.lighterCopies ? 'Even lighter copies will be slow.' : `Lighter copies at ${LIGHTER_COPY_MBPS} Mb/s, 20 GB an hour, make it smooth.`}`
        };
      const room = figureAt(record, figureIndex.freeSpace);
      const need = figureAt(record, figureIndex.sizeNeeded);
      if (room === undefined || need === undefined || need <= room) return undefined;
      return {
        severity: 'warn',
        about: 'room',
        lineIds: [computer.line.id],
        figure: 'freeSpace',
        has: room,
        needs: need,
        unit: 'GB',
        title: () => `${computer.gear.model} has no room for ${rig.scene.name}`,
        why: () =>
          `The recordings need ${figureWords(need, 'GB')} and ${figureWords(room, 'GB')} are free; cut from a drive, or clear some first.`
      };
    },
    propose: (context, held) => {
      const { rig } = context;
      const computer = rig.kit.of('computer')[0]!;
      const smaller = rig.body?.gear.modes.find(
        (mode) => mode.fps === rig.scene.fps && mode.pixelsAcross < (rig.mode?.pixelsAcross ?? 0)
      );
      return [
        ...(smaller
          ? [
              {
                label: `Film at ${smaller.pixelsAcross} pixels`,
                act: {
                  type: 'change scene' as const,
                  sceneId: rig.scene.id,
                  patch: { pixelsAcross: smaller.pixelsAcross }
                }
              }
            ]
          : []),
        swapTo(context, 'computer', computer.line.id, (gear) =>
          held.about === 'plays'
            ? (gear.editingRating ?? 0) > (computer.gear.editingRating ?? 0)
            : (gear.freeSpaceGb ?? 0) > held.needs!
        )
      ];
    }
  }
];

/** What the angles leave open of a purpose, each part named once though many scenes need it. */
function openOnce(rigs: readonly PlacedRig[], purpose: ConnectionPurpose): Connection[] {
  const byLine = new Map<string, Connection>();
  for (const rig of rigs)
    for (const need of openConnections(rig, purpose)) byLine.set(need.from.line.id, need);
  return [...byLine.values()];
}

/** The cheapest chain for one of them. */
function chainsFor(
  { rigs, project, plan, shelf }: PlanContext,
  purpose: ConnectionPurpose,
  which: (need: Connection) => boolean
): Proposal[] {
  for (const rig of rigs) {
    const need = openConnections(rig, purpose).find(which);
    if (need) return chainProposal({ rig, project, plan, shelf }, need);
  }
  return [];
}
