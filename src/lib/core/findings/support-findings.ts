import { figureAt } from '../figures/record';
import { figureIndex } from '../figures/table';
import { figureWords, massWords } from '../figures/figure-words';
import { fullName } from '../model/gear';
import { headMomentNm, headShare } from '../relations/support/head';
import { PAYLOAD_WARN_SHARE, payloadVerdict } from '../relations/support/payload';
import { isClosedInBag, whyOpen } from '../rigs/closings';
import { type Connection, isMissingPort, type MissingPort } from '../rigs/connection';
import { connectionsOf } from '../rigs/connections';
import type { PlacedRig } from '../rigs/placed-rig';
import { chainProposals } from './chain-proposals';
import { capital, sentence } from './sentence';
import type { AngleFindingRow } from './finding';
import { cheapestOf, swapFor, swapTo } from './part-candidates';

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
      const load = figureAt(record, figureIndex.loadOnSupport);
      const rating = figureAt(record, figureIndex.payload);
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
      const load = figureAt(record, figureIndex.loadOnSupport) ?? 0;
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
    code: 'S1',
    family: 'support',
    scope: 'angle',
    about: 'the head has a lower payload than the load, as a weight or as a moment',
    reads: ['headShare'],
    judge: (rig, record) => {
      const share = figureAt(record, figureIndex.headShare);
      if (share === undefined) return undefined;
      const verdict = payloadVerdict(share, 1);
      if (verdict === 'fine') return undefined;
      const { units } = rig.project;
      const high =
        share >
        figureAt(record, figureIndex.loadOnHead)! / figureAt(record, figureIndex.headPayload)!;
      return {
        severity: verdict,
        about: 'head',
        lineIds: [rig.head!.line.id],
        figure: 'headShare',
        has: share,
        needs: PAYLOAD_WARN_SHARE,
        unit: '×',
        title: () =>
          `${rig.head!.gear.model} is asked ${figureWords(100 * share, '%')} of what it may bear`,
        why: () =>
          `${massWords(figureAt(record, figureIndex.loadOnHead)!, units)} lie on a head for ${massWords(figureAt(record, figureIndex.headPayload)!, units)}${high ? `, and ${figureWords(figureAt(record, figureIndex.loadCentre)!, 'mm')} over the plate where the rating holds to ${figureWords(figureAt(record, figureIndex.headRatedHeight)!, 'mm')}` : ''}: it ${verdict === 'stop' ? 'nods over once it leans' : 'creeps after it is locked'}.`
      };
    },
    propose: (context) => {
      const { rig, record } = context;
      const load = figureAt(record, figureIndex.loadOnHead) ?? 0;
      const moment = figureAt(record, figureIndex.headMoment) ?? 0;
      return [
        swapTo(
          context,
          'head',
          rig.head!.line.id,
          ({ form, payloadKg, ratedAtMm }) =>
            (form === rig.head!.gear.form || form === 'fluid') &&
            payloadKg !== undefined &&
            ratedAtMm !== undefined &&
            headShare(load, payloadKg, moment, headMomentNm(payloadKg, ratedAtMm)) <=
              PAYLOAD_WARN_SHARE
        )
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
            : capital(
                `${need.fromPorts[0]!.type} meets ${need.toPorts[0]!.type}: nothing joins them`
              ),
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
