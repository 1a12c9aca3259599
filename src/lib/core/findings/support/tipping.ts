import { againstNeed, figureWords, lengthWords } from '../../figures/figure-words';
import { TIP_WARN_DEG } from '../../relations/support/tipping';
import { figureRow, type AngleFindingRow } from '../finding';
import { addOne, swapTo } from '../part-candidates';

/** A bag this small is made up by the legs. */
const BAG_TOLERANCE_KG = 0.2;

/** Legs are not measured finer than this. */
const SAME_DEG = 0.5;

/** S4. */
export const tippingFindings: readonly AngleFindingRow[] = [
  figureRow({
    code: 'S4',
    family: 'support',
    about: 'it may tip',
    reads: ['tipAngle', 'loadOnSupport', 'supportFootRadius', 'supportHeight'],
    judge: (rig, figures) => {
      const lean = figures.tipAngle;
      if (lean !== undefined && lean < TIP_WARN_DEG - SAME_DEG)
        return {
          severity: lean <= 0 ? 'stop' : 'warn',
          about: 'legs',
          lineIds: [rig.support!.line.id],
          figure: 'tipAngle',
          has: lean,
          needs: TIP_WARN_DEG,
          unit: '°',
          title: () =>
            `Tip angle of ${rig.support!.gear.model} is ${againstNeed(lean, TIP_WARN_DEG, '°')}`,
          why: () => {
            const { units } = rig.project;
            const load = figures.loadOnSupport;
            const under = load === undefined ? '' : ` under ${figureWords(load, 'kg', units)}`;
            return `Feet ${lengthWords(figures.supportFootRadius!, units)} wide${under} at ${lengthWords(figures.supportHeight!, units)}: a snagged cable is enough to tip it. Add a sandbag or lower it.`;
          }
        };
      return undefined;
    },
    propose: (context) => {
      const { rig } = context;
      return [
        swapTo(
          context,
          'support',
          rig.support!.line.id,
          (gear) =>
            gear.form === rig.support!.gear.form &&
            (gear.footRadiusM ?? 0) > (rig.support!.gear.footRadiusM ?? 0)
        )
      ];
    }
  }),
  figureRow({
    code: 'S4',
    family: 'support',
    about: 'the stand of the boom needs a counterweight',
    reads: ['boomBag', 'sandbag', 'boomReach'],
    judge: (rig, figures) => {
      const bag = figures.boomBag;
      const have = figures.sandbag ?? 0;
      if (bag === undefined || bag <= have + BAG_TOLERANCE_KG) return undefined;
      return {
        severity: 'warn',
        about: 'boom arm',
        lineIds: [rig.boom!.line.id],
        figure: 'boomBag',
        has: have,
        needs: bag,
        unit: 'kg',
        title: () =>
          `${rig.boom!.gear.model} needs ${figureWords(bag, 'kg', rig.project.units)} of sand`,
        why: () =>
          `The microphone hangs over a person at ${lengthWords(figures.boomReach!, rig.project.units)}; with half as much again for safety the stand needs that much over its legs, and ${figureWords(have, 'kg', rig.project.units)} are there. Tie a safety line as well.`
      };
    },
    propose: (context, held) => {
      return [
        addOne(
          context,
          'sandbag',
          (gear) => (gear.filledKg ?? 0) + held.has! + BAG_TOLERANCE_KG >= held.needs!
        ),
        addOne(context, 'sandbag')
      ];
    }
  })
];
