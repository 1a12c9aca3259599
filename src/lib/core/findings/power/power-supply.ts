import { USB_C } from '../../model/gear/supply-end';
import type { GearOf } from '../../model/gear';
import { bankWattsNeeded } from '../../relations/power/bank';
import { reachesByPlug, whyOpen } from '../../rigs/closings';
import { openConnection } from '../../rigs/open-connections';
import { chainProposals } from '../chain-proposals';
import { rigRow, type AngleFindingRow } from '../finding';
import { cheapestOf, swapFor } from '../part-candidates';
import { sentence } from '../sentence';

/** P3. */
export const powerSupplyFindings: readonly AngleFindingRow[] = [
  rigRow({
    code: 'P3',
    family: 'power',
    about: 'a bank or block gives too few watts, or its plug differs',
    judge: (rig) => {
      const open = openConnection(rig, 'power into body');
      if (!open) return undefined;
      const source = open.from.gear as GearOf<'power bank' | 'mains adapter'>;
      const body = open.to!.gear as GearOf<'body'>;
      const needs =
        body.drawW === undefined || !reachesByPlug(open, rig.kit)
          ? undefined
          : source.kind === 'power bank'
            ? bankWattsNeeded(body.drawW)
            : body.drawW;
      const weak = needs !== undefined && source.outputW !== undefined && source.outputW < needs;
      return {
        // What does not fit stays in the bag; whether the power lasts is told by itself.
        severity: 'note',
        about: open.from.line.id,
        lineIds: [open.from.line.id, open.to!.line.id],
        has: weak ? source.outputW! : 0,
        needs: weak ? needs : 1,
        unit: weak ? 'W' : 'count',
        title: () => `${source.model} does not keep ${body.model} going`,
        why: () => sentence(whyOpen(open, rig.kit))
      };
    },
    propose: (context) => {
      const { rig, shelf, project } = context;
      const open = openConnection(rig, 'power into body');
      if (!open) return [];
      const source = open.from.gear as GearOf<'power bank' | 'mains adapter'>;
      const draw = rig.body?.gear.drawW;
      if (draw === undefined) return [];
      return [
        ...chainProposals(context, 'power into body'),
        source.kind === 'power bank'
          ? {
              parts: cheapestOf(
                shelf,
                project,
                'power bank',
                (gear) => (gear.outputW ?? 0) >= bankWattsNeeded(draw)
              ),
              label: (gear) => `Swap to ${gear.model}`,
              act: swapFor(open.from.line.id)
            }
          : {
              parts: cheapestOf(
                shelf,
                project,
                'mains adapter',
                (gear) =>
                  (gear.outputW ?? 0) >= draw &&
                  (gear.batteryType === rig.body!.gear.batteryType || gear.batteryType === USB_C)
              ),
              label: (gear) => `Swap to ${gear.model}`,
              act: swapFor(open.from.line.id)
            },
        {
          label: `Remove ${source.model} from kit`,
          act: { type: 'remove line', lineId: open.from.line.id }
        }
      ];
    }
  })
];
