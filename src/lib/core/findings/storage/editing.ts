import { figureWords } from '../../figures/figure-words';
import { fullName } from '../../model/gear';
import { EDITING_SHARE, LIGHTER_COPY_MBPS } from '../../relations/storage/editing-load';
import { figureRow, type AngleFindingRow, type Held, type PlanFindingRow } from '../finding';
import { swapTo } from '../part-candidates';
import { chainsFor, openOnce } from './open-connections';

/** W4. */
export const editingFindings: readonly AngleFindingRow[] = [
  figureRow({
    code: 'W4',
    family: 'whole',
    about: 'the computer cannot play the mode, or has no room for the files',
    reads: ['editingShare', 'freeSpace', 'sizeNeeded'],
    judge: (rig, figures) => {
      const computer = rig.kit.of('computer')[0];
      if (!computer || rig.index > 0) return undefined;
      const share = figures.editingShare;
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
      const room = figures.freeSpace;
      const need = figures.sizeNeeded;
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
  })
];

/** W4. */
export const editingPlanFindings: readonly PlanFindingRow[] = [
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
