import { fullName } from '../../model/gear';
import { portsFor } from '../../model/ports-by-role';
import type { KitPart } from '../../rigs/kit';
import type { PlacedRig } from '../../rigs/placed-rig';
import { type AngleFindingRow, rigRow } from '../finding';
import { leaveOut, swapTo } from '../part-candidates';

/** What shows the picture of a live scene: the device that takes it into the computer, and the monitor beside it. */
function screensOf({ kit, scene, body, index }: PlacedRig): KitPart[] {
  if (!body || !scene.live || index > 0 || body.gear.usbVideo === true) return [];
  const [capture] = kit.of('capture device');
  const [monitor] = kit.of('monitor');
  return capture && monitor ? [capture, monitor] : [];
}

/** Outputs the body has, and those of a monitor that passes the picture on. */
const outputsOf = ({ body, kit }: PlacedRig): number =>
  [...(body ? [body] : []), ...kit.of('monitor')].reduce(
    (count, { gear }) => count + portsFor(gear, 'videoOut').length,
    0
  );

/** B19. */
export const oneVideoOutputFindings: readonly AngleFindingRow[] = [
  rigRow({
    code: 'B19',
    family: 'body',
    about: 'two parts for one video output',
    judge: (rig) => {
      const screens = screensOf(rig);
      const outputs = outputsOf(rig);
      // A body without an output is told by the connection that stays open.
      if (screens.length < 2 || outputs === 0 || outputs >= screens.length) return undefined;
      const [capture, monitor] = screens;
      return {
        severity: 'warn',
        lineIds: screens.map(({ line }) => line.id),
        has: outputs,
        needs: screens.length,
        unit: 'count',
        title: () =>
          `${rig.body!.gear.model} has one video output for ${screens.map(({ gear }) => gear.model).join(' and ')}`,
        why: () =>
          `While callers see the picture, ${fullName(capture!.gear)} is in the output and ${fullName(monitor!.gear)} stays dark. A monitor with an output of its own passes the picture on; a body that is a camera over USB leaves its output free.`
      };
    },
    propose: (context) => {
      const { rig } = context;
      const monitor = rig.kit.of('monitor')[0]!;
      return [
        swapTo(
          context,
          'monitor',
          monitor.line.id,
          (gear) => portsFor(gear, 'videoOut').length > 0
        ),
        leaveOut(monitor.line, monitor.gear.model),
        swapTo(context, 'body', rig.body!.line.id, (gear) => gear.usbVideo === true)
      ];
    }
  })
];
