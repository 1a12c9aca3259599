import { figureWords } from '../../figures/figure-words';
import type { Figures } from '../../figures/record';
import type { SupportGear } from '../../model/gear';
import { payloadNeededKg, payloadVerdict } from '../../relations/support/payload';
import type { KitPart } from '../../rigs/kit';
import { lampStandOf } from '../../rigs/lamp-stand';
import type { PlacedRig } from '../../rigs/placed-rig';
import { type AngleFindingRow, figureRow, type Held } from '../finding';
import { addOne, swapTo } from '../part-candidates';

type Stand = KitPart<SupportGear>;

function overloaded(
  { keyLamp, project }: PlacedRig,
  stand: Stand,
  { lampMass: mass, standPayload: payload }: Figures<'lampMass' | 'standPayload'>
): Held | undefined {
  if (mass === undefined || payload === undefined) return undefined;
  const verdict = payloadVerdict(mass, payload);
  if (verdict === 'fine') return undefined;
  const { part } = keyLamp!;
  return {
    severity: verdict,
    about: 'load',
    lineIds: [stand.line.id, part.line.id],
    figure: 'lampMass',
    has: mass,
    needs: payload,
    unit: 'kg',
    title: () => `${stand.gear.model} cannot safely carry ${part.gear.model}`,
    why: () =>
      `The lamp weighs ${figureWords(mass, 'kg', project.units)} and the stand may carry ${figureWords(payload, 'kg', project.units)}, of which two thirds are prudent. What falls, falls on somebody: follow the maker’s manual.`
  };
}

function tippedByWind(
  { keyLamp, project, scene }: PlacedRig,
  stand: Stand,
  { windOutside: wind, lampTipWind: tips }: Figures<'windOutside' | 'lampTipWind'>
): Held | undefined {
  if (wind === undefined || tips === undefined || wind < tips) return undefined;
  return {
    severity: 'stop',
    about: 'wind',
    lineIds: [stand.line.id, keyLamp!.part.line.id],
    figure: 'lampTipWind',
    has: tips,
    needs: wind,
    unit: 'm/s',
    title: () =>
      `${scene.name}: wind of ${figureWords(wind, 'm/s', project.units)} tips the lamp (from about ${figureWords(tips, 'm/s', project.units)})`,
    why: () => `Weigh it down, keep people away from under it, or take it in.`
  };
}

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
      const load = overloaded(rig, stand, figures);
      // Wind that tips it is not hidden by a stand that is only heavily loaded.
      return load?.severity === 'stop' ? load : (tippedByWind(rig, stand, figures) ?? load);
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
