import { fullName } from '../../model/gear';
import { soundDestinationOf } from '../../rigs/sound-path';
import type { Held, PlanFindingRow } from '../finding';
import { chainsFor, openOnce } from './open-connections';

/** T5. */
export const missingCardFindings: readonly PlanFindingRow[] = [
  {
    code: 'T5',
    family: 'storage',
    scope: 'plan',
    about: 'a recorder has no card',
    judge: ({ rigs }): Held[] =>
      openOnce(rigs, 'card in its slot')
        .filter(({ from }) => from.gear.kind !== 'body')
        .map(({ from: { line, gear }, fromPorts }): Held => ({
          // Where the voice is recorded on it, nothing is heard without one.
          severity: rigs.some((rig) => soundDestinationOf(rig)?.line === line) ? 'stop' : 'note',
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
  }
];
