import { figureOf } from '../figures/record';
import { figureWords, massWords } from '../figures/figure-words';
import { fullName } from '../model/gear';
import { payloadVerdict } from '../relations/support/payload';
import { isClosedInBag, whyOpen } from '../rigs/closings';
import {
  type Connection,
  connectionsOf,
  isMissingPort,
  type MissingPort
} from '../rigs/connections';
import type { PlacedRig } from '../rigs/placed-rig';
import { chainProposals } from './chain-proposals';
import { sentence } from './sentence';
import type { AngleFindingRow } from './finding';
import { cheapestOf, swapFor } from './part-candidates';

const heldPurposes = ['camera held', 'microphone held', 'lamp held'] as const;

function openJoint(rig: PlacedRig): Connection | MissingPort | undefined {
  return connectionsOf(rig).find(
    (need) =>
      heldPurposes.includes(need.purpose as (typeof heldPurposes)[number]) &&
      (isMissingPort(need) || !isClosedInBag(need, rig.kit))
  );
}

export const supportFindings: AngleFindingRow[] = [
  {
    code: 'S1',
    family: 'support',
    scope: 'angle',
    about: 'payload exceeded',
    reads: ['loadOnSupport', 'payload'],
    judge: (rig, record) => {
      const load = figureOf(record, 'loadOnSupport');
      const rating = figureOf(record, 'payload');
      if (load === undefined || rating === undefined) return undefined;
      const verdict = payloadVerdict(load, rating);
      if (verdict === 'fine') return undefined;
      const { units } = rig.project;
      return {
        severity: verdict,
        lineIds: [rig.support!.line.id],
        figure: 'loadOnSupport',
        has: load,
        needs: rating,
        unit: 'kg',
        title: () =>
          `${rig.support!.gear.model} carries ${massWords(load, units)} of ${massWords(rating, units)}`,
        why: () =>
          `${verdict === 'stop' ? 'That is past its rating: it may sag or fall.' : 'Above two thirds of its rating it sags and shakes.'} Body, lens and what rides with them count (${figureWords((100 * load) / rating, '%')}).`
      };
    },
    propose: ({ rig, record, shelf, project }) => {
      const load = figureOf(record, 'loadOnSupport') ?? 0;
      return [
        {
          parts: cheapestOf(
            shelf,
            project,
            'support',
            (gear) =>
              gear.form === rig.support!.gear.form && (gear.payloadKg ?? 0) * (2 / 3) >= load
          ),
          label: (gear) => `Swap to ${gear.model}`,
          act: swapFor(rig.support!.line.id)
        }
      ];
    }
  },
  {
    code: 'S5',
    family: 'support',
    scope: 'angle',
    about: 'the chain of threads and plates is broken',
    reads: [],
    judge: (rig) => {
      const need = openJoint(rig);
      if (!need) return undefined;
      return {
        severity: need.purpose === 'camera held' ? 'stop' : 'warn',
        has: 0,
        needs: 1,
        unit: 'yes/no',
        about: need.purpose,
        lineIds: isMissingPort(need)
          ? [need.part.line.id]
          : [need.from, need.to].flatMap((part) => (part ? [part.line.id] : [])),
        title: () =>
          isMissingPort(need)
            ? `${fullName(need.part.gear)} has nowhere to screw on`
            : `${need.fromPorts[0]!.type} meets ${need.toPorts[0]!.type}: nothing joins them`,
        why: () =>
          isMissingPort(need)
            ? `Something has to hold it, and it has neither thread nor foot for that.`
            : sentence(whyOpen(need, rig.kit))
      };
    },
    propose: (context) => {
      const need = openJoint(context.rig);
      return need ? chainProposals(context, need.purpose) : [];
    }
  }
];
