import { figureWords, massWords } from '../../figures/figure-words';
import { headMomentNm, headShare } from '../../relations/support/head';
import {
  PAYLOAD_WARN_SHARE,
  payloadNeededKg,
  payloadVerdict
} from '../../relations/support/payload';
import { figureRow, type AngleFindingRow } from '../finding';
import { cheapestOf, swapFor, swapTo } from '../part-candidates';

/** S1. */
export const payloadFindings: readonly AngleFindingRow[] = [
  figureRow({
    code: 'S1',
    family: 'support',
    about: 'payload exceeded',
    reads: ['loadOnSupport', 'payload'],
    judge: (rig, figures) => {
      const load = figures.loadOnSupport;
      const rating = figures.payload;
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
          `${rig.support!.gear.model} carries ${massWords(load, units)} (${verdict === 'stop' ? 'rated for' : 'two thirds of its rating are'} ${massWords(verdict === 'stop' ? rating : rating * PAYLOAD_WARN_SHARE, units)})`,
        why: () =>
          `${verdict === 'stop' ? 'That is past its rating: it may sag or fall.' : 'Above two thirds of its rating it sags and shakes.'} Body, lens and what rides with them count (${figureWords((100 * load) / rating, '%')}).`
      };
    },
    propose: ({ rig, figures, shelf, project }) => {
      const load = figures.loadOnSupport ?? 0;
      return [
        {
          parts: cheapestOf(
            shelf,
            project,
            'support',
            (gear) =>
              gear.form === rig.support!.gear.form && (gear.payloadKg ?? 0) >= payloadNeededKg(load)
          ),
          label: (gear) => `Swap to ${gear.model}`,
          act: swapFor(rig.support!.line.id)
        }
      ];
    }
  }),
  figureRow({
    code: 'S1',
    family: 'support',
    about: 'the head has a lower payload than the load, as a weight or as a moment',
    reads: ['headShare', 'loadOnHead', 'headPayload', 'loadCentre', 'headRatedHeight'],
    judge: (rig, figures) => {
      const share = figures.headShare;
      if (share === undefined) return undefined;
      const verdict = payloadVerdict(share, 1);
      if (verdict === 'fine') return undefined;
      const { units } = rig.project;
      const high = share > figures.loadOnHead! / figures.headPayload!;
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
          `${massWords(figures.loadOnHead!, units)} lie on a head for ${massWords(figures.headPayload!, units)}${high ? `, and ${figureWords(figures.loadCentre!, 'mm')} over the plate where the rating holds to ${figureWords(figures.headRatedHeight!, 'mm')}` : ''}: it ${verdict === 'stop' ? 'nods over once it leans' : 'creeps after it is locked'}.`
      };
    },
    propose: (context) => {
      const { rig, figures } = context;
      const load = figures.loadOnHead ?? 0;
      const moment = figures.headMoment ?? 0;
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
  })
];
