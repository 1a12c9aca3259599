import { fullName, type GearItem } from '../../model/gear';
import { portsFor } from '../../model/ports-by-role';
import type { KitPart } from '../../rigs/kit';
import type { PlacedRig } from '../../rigs/placed-rig';
import { cheapestClosing, joiningPartsOfShelf } from '../../rigs/closings';
import { connect } from '../../rigs/connection';
import { passingMonitor } from '../../rigs/connections';
import {
  type AngleContext,
  type AngleFindingRow,
  type PartProposal,
  rigRow,
  type SettingProposal
} from '../finding';
import { addAll, cheapestOf, leaveOut, swapFor, swapTo } from '../part-candidates';

/** What shows the picture of a live scene: the device that takes it into the computer, and the monitor beside it. */
function screensOf({ kit, scene, body, index }: PlacedRig): KitPart[] {
  if (!body || !scene.live || index > 0 || body.gear.usbVideo === true) return [];
  const [capture] = kit.of('capture device');
  const [monitor] = kit.of('monitor');
  return capture && monitor ? [capture, monitor] : [];
}

const passesOn = ({ gear }: Pick<KitPart, 'gear'>): boolean =>
  portsFor(gear, 'videoOut').length > 0;

/** What leads from an output of a monitor into the computer, as the shelf has it cheapest. */
function leadsFrom(
  { rig, shelf, project }: AngleContext,
  monitor: KitPart,
  capture: KitPart
): { gear: GearItem; quantity: number }[] {
  const need = connect(
    'picture out',
    monitor,
    capture,
    portsFor(monitor.gear, 'videoOut'),
    portsFor(capture.gear, 'videoIn'),
    () => undefined
  );
  const chain = cheapestClosing(need, rig.kit, joiningPartsOfShelf(shelf.items, project));
  return (chain?.parts ?? [])
    .filter(({ lineId }) => lineId === undefined)
    .map(({ gear }) => ({ gear, quantity: 1 }));
}

/** The lead a monitor that could pass the picture on still lacks. */
function leadOn(context: AngleContext, monitor: KitPart, capture: KitPart): SettingProposal[] {
  const leads = passesOn(monitor) ? leadsFrom(context, monitor, capture) : [];
  return leads.length === 0
    ? []
    : [
        {
          label: `Add ${leads.map(({ gear }) => gear.model).join(' + ')}`,
          act: addAll(context, leads)
        }
      ];
}

/** A monitor that passes the picture on in place of one that does not, with the lead that takes. */
function passingInstead(context: AngleContext, monitor: KitPart, capture: KitPart): PartProposal {
  const { project, shelf } = context;
  return {
    parts: cheapestOf(shelf, project, 'monitor', (gear) => passesOn({ gear })),
    label: (gear) => `Swap to ${gear.model}`,
    act: (line) => {
      const gear = shelf.byId.get(line.gearId);
      const leads = gear ? leadsFrom(context, { ...monitor, gear }, capture) : [];
      const plan = { ...context.plan, lines: [...context.plan.lines, line] };
      return {
        type: 'batch',
        acts: [swapFor(monitor.line.id)(line), addAll({ project, plan }, leads)]
      };
    }
  };
}

/** B19. */
export const oneVideoOutputFindings: readonly AngleFindingRow[] = [
  rigRow({
    code: 'B19',
    family: 'body',
    about: 'two parts for one video output',
    judge: (rig) => {
      const screens = screensOf(rig);
      const outputs = rig.body ? portsFor(rig.body.gear, 'videoOut').length : 0;
      // A body without an output is told by the connection that stays open.
      if (screens.length < 2 || outputs === 0 || outputs >= screens.length) return undefined;
      const [capture, monitor] = screens;
      if (passingMonitor(rig, capture!)) return undefined;
      return {
        severity: 'warn',
        lineIds: screens.map(({ line }) => line.id),
        has: outputs,
        needs: screens.length,
        unit: 'count',
        title: () =>
          `${rig.body!.gear.model} has one video output for ${screens.map(({ gear }) => gear.model).join(' and ')}`,
        why: () =>
          `While callers see the picture, ${fullName(capture!.gear)} is in the output and ${fullName(monitor!.gear)} stays dark. A monitor with an output of its own passes the picture on by a second lead; a body that is a camera over USB leaves its output free.`
      };
    },
    propose: (context) => {
      const { rig } = context;
      const [capture, monitor] = screensOf(rig);
      if (!capture || !monitor) return [];
      return [
        ...leadOn(context, monitor, capture),
        passingInstead(context, monitor, capture),
        leaveOut(monitor.line, monitor.gear.model),
        swapTo(context, 'body', rig.body!.line.id, (gear) => gear.usbVideo === true)
      ];
    }
  })
];
