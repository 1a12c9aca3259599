import { headForms } from '../model/word-lists';
import { figureAt } from '../figures/record';
import { figureIndex } from '../figures/table';
import { figureWords, lengthWords } from '../figures/figure-words';
import { staysAtHome } from '../figures/stability-rows';
import { fullName, type HeadGear } from '../model/gear';
import { TIP_WARN_DEG } from '../relations/support/tipping';
import { supportsByPlace } from '../rigs/places';
import type { AngleContext, AngleFindingRow, PartProposal } from './finding';
import { addOne, cheapestOf, leaveOut, swapTo } from './part-candidates';
import { sentence } from './sentence';

/** A bag this small is made up by the legs. */
const BAG_TOLERANCE_KG = 0.2;

/** Bare legs want a fluid head, or another one in place of the head they carry. */
function headProposals(context: AngleContext): PartProposal[] {
  const { support, head } = context.rig;
  if (support?.gear.head !== 'none') return [];
  const fluid = (gear: HeadGear) => gear.form === 'fluid';
  return [head ? swapTo(context, 'head', head.line.id, fluid) : addOne(context, 'head', fluid)];
}

/** Whether what stands stays standing, turns as wanted, and can be carried there. */
export const stabilityFindings: AngleFindingRow[] = [
  {
    code: 'S3',
    family: 'support',
    scope: 'angle',
    about: 'a pan is wanted without a fluid head',
    reads: ['supportHead'],
    judge: (rig, record) => {
      const head = figureAt(record, figureIndex.supportHead);
      if (head === undefined || headForms[head] === 'fluid' || rig.support?.gear.form === 'gimbal')
        return undefined;
      return {
        severity: 'warn',
        lineIds: [(rig.head ?? rig.support!).line.id],
        has: 0,
        needs: 1,
        unit: 'yes/no',
        title: () => `${(rig.head ?? rig.support!).gear.model} turns in jerks`,
        why: () =>
          `${fullName(rig.support!.gear)} has ${headForms[head] === 'none' ? 'no head' : `a ${headForms[head]} head`}; following what moves needs a fluid one, or a gimbal.`
      };
    },
    propose: (context) => [
      ...headProposals(context),
      swapTo(
        context,
        'support',
        context.rig.support!.line.id,
        (gear) =>
          gear.head === 'fluid' &&
          (supportsByPlace[context.rig.angle.cameraPlace] as readonly string[]).includes(gear.form)
      ),
      {
        label: 'Keep the camera still',
        act: {
          type: 'change scene',
          sceneId: context.rig.scene.id,
          patch: { wantsPan: false }
        }
      }
    ]
  },
  {
    code: 'S4',
    family: 'support',
    scope: 'angle',
    about: 'it may tip',
    reads: ['tipAngle', 'boomBag'],
    judge: (rig, record) => {
      const lean = figureAt(record, figureIndex.tipAngle);
      if (lean !== undefined && lean < TIP_WARN_DEG)
        return {
          severity: lean <= 0 ? 'stop' : 'warn',
          about: 'legs',
          lineIds: [rig.support!.line.id],
          figure: 'tipAngle',
          has: lean,
          needs: TIP_WARN_DEG,
          unit: '°',
          title: () =>
            `Tip angle of ${rig.support!.gear.model} is ${figureWords(lean, '°')} (needs ${figureWords(TIP_WARN_DEG, '°')})`,
          why: () => {
            const { units } = rig.project;
            const load = figureAt(record, figureIndex.loadOnSupport);
            const under = load === undefined ? '' : ` under ${figureWords(load, 'kg', units)}`;
            return `Feet ${lengthWords(figureAt(record, figureIndex.supportFootRadius)!, units)} wide${under} at ${lengthWords(figureAt(record, figureIndex.supportHeight)!, units)}: a snagged cable is enough to tip it. Add a sandbag or lower it.`;
          }
        };
      const bag = figureAt(record, figureIndex.boomBag);
      const have = figureAt(record, figureIndex.sandbag) ?? 0;
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
          `The microphone hangs over a person at ${lengthWords(figureAt(record, figureIndex.boomReach)!, rig.project.units)}; with half as much again for safety the stand needs that much over its legs, and ${figureWords(have, 'kg', rig.project.units)} are there. Tie a safety line as well.`
      };
    },
    propose: (context, held) => {
      const { rig } = context;
      if (held.about === 'boom arm')
        return [
          addOne(
            context,
            'sandbag',
            (gear) => (gear.filledKg ?? 0) + held.has! + BAG_TOLERANCE_KG >= held.needs!
          ),
          addOne(context, 'sandbag')
        ];
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
  },
  {
    code: 'S6',
    family: 'support',
    scope: 'angle',
    about: 'the second angle has no support',
    reads: [],
    judge: (rig) => {
      if (rig.index === 0 || rig.support || !rig.body || rig.angle.cameraPlace === 'hand')
        return undefined;
      return {
        severity: 'stop',
        lineIds: [rig.body.line.id],
        has: 0,
        needs: 1,
        unit: 'count',
        title: () => `${rig.scene.name}: nothing holds the second camera`,
        why: () =>
          sentence(
            `${rig.angle.name} films at the same time as the first angle, and every support of the kit is in use`
          )
      };
    },
    propose: (context) => {
      const forms: readonly string[] = supportsByPlace[context.rig.angle.cameraPlace];
      return [addOne(context, 'support', (gear) => forms.includes(gear.form))];
    }
  },
  {
    code: 'S7',
    family: 'support',
    scope: 'angle',
    about: 'the carried weight is over the limit',
    reads: ['carriedMass'],
    judge: (rig, record) => {
      const have = figureAt(record, figureIndex.carriedMass);
      const limit = rig.project.carriedLimitKg;
      const first = rig.index === 0 && rig.scene === rig.project.scenes[0];
      if (!first || have === undefined || limit === undefined || have <= limit) return undefined;
      return {
        severity: 'warn',
        figure: 'carriedMass',
        has: have,
        needs: limit,
        unit: 'kg',
        title: () => `The kit weighs ${figureWords(have, 'kg', rig.project.units)}`,
        why: () =>
          `${figureWords(limit, 'kg', rig.project.units)} is what you said you carry; computer, drives, reader and sand stay at home and are not counted.`
      };
    },
    propose: (context) => {
      const { rig, project, shelf } = context;
      const heaviest = rig.kit.parts
        .filter(({ gear, line }) => !staysAtHome.has(gear.kind) && !line.locked)
        .sort(
          (a, b) => (b.gear.massG ?? 0) * b.line.quantity - (a.gear.massG ?? 0) * a.line.quantity
        );
      return [
        ...heaviest.slice(0, 4).map((part) => ({
          parts: cheapestOf(
            shelf,
            project,
            part.gear.kind,
            (gear) => (gear.massG ?? Infinity) < (part.gear.massG ?? 0) * 0.8
          ).slice(0, 8),
          label: (gear: { model: string }) => `Swap to ${gear.model}`,
          act: swapTo(context, part.gear.kind, part.line.id).act!
        })),
        ...heaviest.slice(0, 6).map((part) => leaveOut(part.line, part.gear.model)),
        {
          label: `Carry ${figureWords(figureAt(context.record, figureIndex.carriedMass)!, 'kg', project.units)}`,
          act: {
            type: 'set project' as const,
            patch: {
              carriedLimitKg:
                Math.ceil(figureAt(context.record, figureIndex.carriedMass)! * 10) / 10
            }
          }
        }
      ];
    }
  }
];
