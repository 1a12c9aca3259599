import { figureWords } from '../../figures/figure-words';
import { fullName } from '../../model/gear';
import { figureRow, type AngleFindingRow } from '../finding';
import { swapTo } from '../part-candidates';

/** Gusts run above the wind that is told: from this share of the limit on a flight is a risk. */
export const CALM_SHARE_OF_LIMIT = 0.67;

/** B17. */
export const flyingFindings: readonly AngleFindingRow[] = [
  figureRow({
    code: 'B17',
    family: 'body',
    about: 'the wind is above what the drone may fly in',
    reads: ['windLimit', 'windOutside'],
    judge: (rig, figures) => {
      const { windLimit: limit, windOutside: wind } = figures;
      if (limit === undefined || wind === undefined || wind <= limit * CALM_SHARE_OF_LIMIT)
        return undefined;
      const { units } = rig.project;
      const over = wind > limit;
      return {
        severity: over ? 'stop' : 'warn',
        lineIds: [rig.body!.line.id],
        figure: 'windLimit',
        has: limit,
        needs: wind,
        unit: 'm/s',
        title: () =>
          over
            ? `${rig.scene.name}: the wind is ${figureWords(wind, 'm/s', units)} and ${rig.body!.gear.model} may fly in ${figureWords(limit, 'm/s', units)}`
            : `${rig.scene.name}: ${figureWords(wind, 'm/s', units)} of wind leaves little below the ${figureWords(limit, 'm/s', units)} that ${rig.body!.gear.model} bears`,
        why: () =>
          `${fullName(rig.body!.gear)} holds its place in wind up to ${figureWords(limit, 'm/s', units)}; gusts are stronger than the wind that is told, and stronger higher up. Local aviation rules come first.`
      };
    },
    propose: (context) => {
      const { rig, figures, project } = context;
      const calmMps = Math.floor(figures.windLimit! * CALM_SHARE_OF_LIMIT * 10) / 10;
      return [
        swapTo(
          context,
          'body',
          rig.body!.line.id,
          (gear) =>
            gear.form === 'drone' &&
            (gear.windLimitMps ?? 0) * CALM_SHARE_OF_LIMIT >= rig.scene.windMps
        ),
        {
          label: `Fly on a day with ${figureWords(calmMps, 'm/s', project.units)} of wind at most`,
          act: { type: 'change scene', sceneId: rig.scene.id, patch: { windMps: calmMps } }
        }
      ];
    }
  })
];
