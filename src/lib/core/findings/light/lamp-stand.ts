import { lampStandOf } from '../../rigs/lamp-stand';
import { figureWords } from '../../figures/figure-words';
import { payloadNeededKg, payloadVerdict } from '../../relations/support/payload';
import { figureRow, type AngleFindingRow } from '../finding';
import { addOne, swapTo } from '../part-candidates';

/** G7. */
export const lampStandFindings: readonly AngleFindingRow[] = [
  figureRow({
    code: 'G7',
    family: 'light',
    about: 'the lamp’s stand is overloaded, or the wind tips it',
    reads: ['lampMass', 'standPayload', 'windOutside', 'lampTipWind'],
    judge: (rig, figures) => {
      const stand = lampStandOf(rig);
      if (!rig.keyLamp || !stand) return undefined;
      const mass = figures.lampMass;
      const payload = figures.standPayload;
      if (mass !== undefined && payload !== undefined) {
        const verdict = payloadVerdict(mass, payload);
        if (verdict !== 'fine')
          return {
            severity: verdict,
            about: 'load',
            lineIds: [stand.line.id, rig.keyLamp.part.line.id],
            figure: 'lampMass',
            has: mass,
            needs: payload,
            unit: 'kg',
            title: () => `${stand.gear.model} cannot safely carry ${rig.keyLamp!.part.gear.model}`,
            why: () =>
              `The lamp weighs ${figureWords(mass, 'kg', rig.project.units)} and the stand may carry ${figureWords(payload, 'kg', rig.project.units)}, of which two thirds are prudent. What falls, falls on somebody: follow the maker’s manual.`
          };
      }
      const wind = figures.windOutside;
      const tips = figures.lampTipWind;
      if (wind === undefined || tips === undefined || wind < tips) return undefined;
      return {
        severity: 'stop',
        about: 'wind',
        lineIds: [stand.line.id, rig.keyLamp.part.line.id],
        figure: 'lampTipWind',
        has: tips,
        needs: wind,
        unit: 'm/s',
        title: () =>
          `${rig.scene.name}: wind of ${figureWords(wind, 'm/s', rig.project.units)} tips the lamp (from about ${figureWords(tips, 'm/s', rig.project.units)})`,
        why: () => `Weigh it down, keep people away from under it, or take it in.`
      };
    },
    propose: (context) => {
      const { rig } = context;
      const stand = lampStandOf(rig)!;
      const mass = (rig.keyLamp!.part.gear.massG ?? 0) / 1000;
      return [
        addOne(context, 'sandbag'),
        swapTo(
          context,
          'support',
          stand.line.id,
          (gear) => gear.form === 'light stand' && (gear.payloadKg ?? 0) >= payloadNeededKg(mass)
        ),
        swapTo(
          context,
          'lamp',
          rig.keyLamp!.part.line.id,
          (gear) => (gear.massG ?? Infinity) < (rig.keyLamp!.part.gear.massG ?? 0)
        )
      ];
    }
  })
];
