import { cardsFor } from '../../figures/endurance-rows';
import { fullName } from '../../model/gear';
import { isRecorded } from '../../model/scene-facts';
import type { PlacedRig } from '../../rigs/placed-rig';
import { rigRow, type AngleFindingRow, type Held, type PlanFindingRow } from '../finding';
import { addOne, cheapestOf, oneMore, swapTo } from '../part-candidates';

const pictureCards = (rig: PlacedRig) =>
  cardsFor(rig).reduce((pieces, { line }) => pieces + line.quantity, 0);

const recordsTwice = (rig: PlacedRig) =>
  ((rig.body?.gear.cardSlots ?? 1) >= 2 && pictureCards(rig) >= 2) ||
  rig.kit.of('monitor').some(({ gear }) => gear.recordsItself === true);

/** B11. */
export const backupFindings: readonly AngleFindingRow[] = [
  rigRow({
    code: 'B11',
    family: 'body',
    about: 'one recording of what cannot be repeated',
    judge: (rig) => {
      if (rig.scene.onceOnly !== true || !isRecorded(rig.scene)) return undefined;
      if (!rig.body || recordsTwice(rig)) return undefined;
      return {
        severity: 'warn',
        lineIds: [rig.body.line.id],
        has: 1,
        needs: 2,
        unit: 'count',
        title: () => `${rig.scene.name} cannot be repeated and has a single recording`,
        why: () =>
          `${fullName(rig.body!.gear)} writes to one card at a time here; if that card fails, nothing is left of the day.`
      };
    },
    propose: (context) => {
      const { rig } = context;
      const twoSlots = (rig.body!.gear.cardSlots ?? 1) >= 2;
      return [
        ...(twoSlots
          ? cardsFor(rig)
              .slice(0, 1)
              .flatMap((card) => oneMore(context, card))
          : [swapTo(context, 'body', rig.body!.line.id, (gear) => (gear.cardSlots ?? 1) >= 2)]),
        addOne(context, 'monitor', (gear) => gear.recordsItself === true)
      ];
    }
  })
];

/** T4. */
export const backupPlanFindings: readonly PlanFindingRow[] = [
  {
    code: 'T4',
    family: 'storage',
    scope: 'plan',
    about: 'no second copy',
    judge: ({ kit, rigs }): Held[] => {
      if (kit.of('body').length === 0 || kit.of('drive').length > 0) return [];
      if (!rigs.some(({ scene }) => isRecorded(scene))) return [];
      return [
        {
          severity: 'note',
          has: 1,
          needs: 2,
          unit: 'count',
          title: () => 'The files are kept in one place',
          why: () => 'Until they lie on a second one, a lost card is a lost day.'
        }
      ];
    },
    propose: ({ shelf, project }) => [
      { parts: cheapestOf(shelf, project, 'drive'), label: (gear) => `Add ${gear.model}` }
    ]
  }
];
