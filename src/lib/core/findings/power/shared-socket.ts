import { USB_C } from '../../model/gear/supply-end';
import { isClosedInBag } from '../../rigs/closings';
import { type Connection, type ConnectionPurpose, isMissingPort } from '../../rigs/connection';
import { connectionsOf } from '../../rigs/connections';
import type { PlacedRig } from '../../rigs/placed-rig';
import { type AngleFindingRow, figureRow } from '../finding';
import { leaveOut, swapTo } from '../part-candidates';

/** A connection that the kit closes and that ends in the one USB-C socket of the body. */
function intoUsb(rig: PlacedRig, purpose: ConnectionPurpose): Connection | undefined {
  for (const need of connectionsOf(rig))
    if (
      !isMissingPort(need) &&
      need.purpose === purpose &&
      need.to?.line === rig.body?.line &&
      need.toPorts.some(({ type }) => type === USB_C) &&
      // Power may come through the contacts of the battery instead.
      (purpose !== 'power into body' || need.fromPorts.some(({ type }) => type === USB_C)) &&
      isClosedInBag(need, rig.kit)
    )
      return need;
  return undefined;
}

/** What wants the USB-C socket of the body while it films. */
function plugsOf(rig: PlacedRig): { words: string; power?: Connection; mic?: Connection }[] {
  const mic = rig.mic && intoUsb(rig, 'microphone into input');
  const power = intoUsb(rig, 'power into body');
  const toComputer =
    rig.scene.live && rig.body?.gear.usbVideo === true && rig.kit.of('capture device').length === 0;
  return [
    ...(mic ? [{ words: 'the microphone', mic }] : []),
    ...(toComputer ? [{ words: 'the computer' }] : []),
    ...(power ? [{ words: power.from.gear.model, power }] : [])
  ];
}

/** B16. */
export const sharedSocketFindings: readonly AngleFindingRow[] = [
  figureRow({
    code: 'B16',
    family: 'power',
    about: 'several plugs for one USB-C socket',
    reads: ['takePower', 'bankMinutes', 'longestTake'],
    judge: (rig, figures) => {
      const { body } = rig;
      const plugs = plugsOf(rig);
      if (!body || plugs.length < 2) return undefined;
      const withoutBank = (figures.takePower ?? 0) - (figures.bankMinutes ?? 0);
      const lasts = withoutBank >= (figures.longestTake ?? 0);
      const power = plugs.find((plug) => plug.power)?.power;
      // Power that is not needed while a take runs can wait until the other plug is out.
      const canWait = power !== undefined && plugs.length === 2 && lasts;
      return {
        severity: canWait ? 'note' : 'warn',
        lineIds: [body.line.id, ...plugs.flatMap(({ mic }) => mic?.from.line.id ?? [])],
        has: 1,
        needs: plugs.length,
        unit: 'count',
        title: () =>
          `${body.gear.model} has one USB-C socket for ${plugs.map(({ words }) => words).join(' and ')}`,
        why: () =>
          canWait
            ? `One plug fits at a time; the battery lasts the longest take, so plug in ${power.from.gear.model} between takes.`
            : `One plug fits at a time, as far as its ports are stated. An adapter that passes power and sound through, or one of them by another way, lets both work.`
      };
    },
    propose: (context) => {
      const { rig } = context;
      const plugs = plugsOf(rig);
      const power = plugs.find((plug) => plug.power)?.power;
      return [
        ...(rig.mic
          ? [swapTo(context, 'microphone', rig.mic.line.id, (gear) => gear.recordsItself === true)]
          : []),
        ...(power ? [leaveOut(power.from.line, power.from.gear.model)] : [])
      ];
    }
  })
];
