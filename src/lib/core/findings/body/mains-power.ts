import { minutesWords } from '../../figures/figure-words';
import { fullName } from '../../model/gear';
import { longestTakeMinOf } from '../../model/scene-facts';
import { rigRow, type AngleFindingRow } from '../finding';
import { cheapestOf, swapFor } from '../part-candidates';

/** Takes from here on are a session: nobody wants to count batteries in them. */
const SESSION_MIN = 45;

/** B7. */
export const mainsPowerFindings: readonly AngleFindingRow[] = [
  rigRow({
    code: 'B7',
    family: 'body',
    about: 'no way to run from mains for long sessions',
    judge: (rig) => {
      const { body, scene } = rig;
      const longestMin = longestTakeMinOf(scene, rig.angle);
      if (
        !body ||
        !rig.hasSocket ||
        longestMin < SESSION_MIN ||
        body.gear.runsFromMainsAdapter !== false ||
        body.gear.runsFromUsb !== false
      )
        return undefined;
      return {
        severity: 'warn',
        lineIds: [body.line.id],
        has: 0,
        needs: 1,
        unit: 'yes/no',
        title: () => `${body.gear.model} cannot run from the socket`,
        why: () =>
          `${scene.name} has takes of ${minutesWords(longestMin)} beside a socket, and neither a mains adapter nor USB keeps ${fullName(body.gear)} going.`
      };
    },
    propose: ({ rig, shelf, project }) => [
      {
        parts: cheapestOf(
          shelf,
          project,
          'body',
          (gear) => gear.runsFromMainsAdapter === true || gear.runsFromUsb === true
        ),
        label: (gear) => `Swap to ${gear.model}`,
        act: swapFor(rig.body!.line.id)
      }
    ]
  })
];
