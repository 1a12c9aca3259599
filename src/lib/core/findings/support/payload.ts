import { figureWords, massWords } from '../../figures/figure-words';
import { figureAt } from '../../figures/record';
import { figureIndex } from '../../figures/table';
import { headMomentNm, headShare } from '../../relations/support/head';
import { PAYLOAD_WARN_SHARE, payloadVerdict } from '../../relations/support/payload';
import type { AngleFindingRow } from '../finding';
import { cheapestOf, swapFor, swapTo } from '../part-candidates';

/** S1. */
export const payloadFindings: readonly AngleFindingRow[] = [
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
          `${rig.head!.gear.model} is loaded to ${figureWords(100 * share, '%')} of its payload`,
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
  }
];
