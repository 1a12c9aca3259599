import { connectionsOf } from '../../rigs/connections';
import { isMissingPort } from '../../rigs/connection';
import { isClosedInBag } from '../../rigs/closings';
import type { PlacedRig } from '../../rigs/placed-rig';
import { type AngleFindingRow, rigRow } from '../finding';
import { addOne } from '../part-candidates';
import { bodyLine } from './body-line';

/** A cage or a clamp takes the pull of a lead, so that the small socket does not. */
const isHeld = ({ kit, body }: PlacedRig): boolean =>
  kit.of('small item').some(({ gear }) => gear.use === 'cable clamp') ||
  kit.of('cage').some(({ gear }) => gear.fitsBodyId === body?.gear.id);

/** The lead a live picture goes out by hangs in a socket of the body. */
const hangsByLead = (rig: PlacedRig): boolean =>
  rig.body?.gear.usbVideo === true ||
  connectionsOf(rig).some(
    (need) => need.purpose === 'picture out' && !isMissingPort(need) && isClosedInBag(need, rig.kit)
  );

/** B20, B21. */
export const liveChainFindings: readonly AngleFindingRow[] = [
  rigRow({
    code: 'B20',
    family: 'body',
    about: 'a live scene with no network stated',
    onlyNotes: true,
    judge: (rig) => {
      const { scene, index, kit, body } = rig;
      if (!scene.live || index > 0 || scene.room || !body) return undefined;
      // A phone that films brings its own network.
      if (kit.of('router').length > 0 || body.gear.form === 'phone') return undefined;
      return {
        severity: 'note',
        lineIds: bodyLine(rig),
        has: 0,
        needs: 1,
        unit: 'count',
        title: () => `${scene.name}: nothing brings the network out there`,
        why: () =>
          'Outdoors a live picture goes out over a phone’s hotspot or a router of its own. Test the upload on the spot, at the hour it will be filmed, and mind what a phone’s battery has to carry beside it.'
      };
    },
    propose: (context) => [addOne(context, 'router')]
  }),
  rigRow({
    code: 'B21',
    family: 'body',
    about: 'a pulled lead ends the call',
    onlyNotes: true,
    judge: (rig) => {
      const { scene, index, body } = rig;
      if (!scene.live || index > 0 || !body || isHeld(rig) || !hangsByLead(rig)) return undefined;
      return {
        severity: 'note',
        lineIds: bodyLine(rig),
        has: 0,
        needs: 1,
        unit: 'count',
        title: () => `${scene.name}: nothing holds the lead in ${body.gear.model}`,
        why: () =>
          'The picture hangs by one small socket: a foot or a sleeve pulls the plug out, or breaks the socket. A clamp on the body or its cage takes the pull.'
      };
    },
    propose: (context) => [
      addOne(context, 'small item', (gear) => gear.use === 'cable clamp'),
      addOne(context, 'cage', (gear) => gear.fitsBodyId === context.rig.body!.gear.id)
    ]
  })
];
