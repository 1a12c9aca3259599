import { fullName } from '../../model/gear';
import { chainInBag } from '../../rigs/closings';
import { isMissingPort } from '../../rigs/connection';
import { connectionsOf } from '../../rigs/connections';
import { chainProposals } from '../chain-proposals';
import { rigRow, type AngleFindingRow } from '../finding';
import { lensLine, otherLens } from '../lens-proposals';

/** L1. */
export const mountFindings: readonly AngleFindingRow[] = [
  rigRow({
    code: 'L1',
    family: 'lens',
    about: 'the mount differs',
    judge: (rig) => {
      const need = connectionsOf(rig).find(({ purpose }) => purpose === 'lens on body');
      if (!need) return undefined;
      const lineIds = [...lensLine(rig), rig.body!.line.id];
      if (isMissingPort(need)) {
        return {
          severity: 'stop',
          has: 0,
          needs: 1,
          unit: 'yes/no',
          lineIds,
          title: () => `${fullName(need.part.gear)} takes no lenses`,
          why: () =>
            `${rig.lens!.name} has nowhere to go: ${fullName(need.part.gear)} has no lens mount.`
        };
      }
      const chain = chainInBag(need, rig.kit);
      if (!chain) {
        return {
          severity: 'stop',
          has: 0,
          needs: 1,
          unit: 'yes/no',
          lineIds,
          title: () => `${need.fromPorts[0]!.type} lens, ${need.toPorts[0]!.type} body`,
          why: () =>
            `${rig.lens!.name} does not mount on ${fullName(rig.body!.gear)}, and no adapter is in the kit.`
        };
      }
      const lame = chain.parts.find(
        ({ gear }) =>
          gear.kind === 'mount adapter' &&
          (gear.keepsFocus === false || gear.keepsAperture === false)
      );
      if (!lame) return undefined;
      return {
        severity: 'warn',
        has: 0,
        needs: 1,
        unit: 'yes/no',
        lineIds: [...lineIds, ...(lame.lineId ? [lame.lineId.split('#')[0]!] : [])],
        title: () => 'The adapter loses focus or aperture',
        why: () =>
          `${fullName(lame.gear)} does not pass on everything, so the face is not followed by itself.`
      };
    },
    propose: (context) => [
      ...chainProposals(context, 'lens on body'),
      ...otherLens(context, () => true)
    ]
  })
];
