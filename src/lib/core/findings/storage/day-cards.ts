import { cardsFor } from '../../figures/endurance-rows';
import { cardSpaceOfDay } from '../../supplies/card-space-of-day';
import type { FilmingDay } from '../../supplies/filming-days';
import { aboutDay, daysApart, heldOfDay, type ShortDay, shortDays } from '../day-supplies';
import type { Held, PlanContext, PlanFindingRow } from '../finding';
import { addOne, oneMore } from '../part-candidates';
import { cardKindsOf } from './card-kinds';

/** In a scene that shares its day with none, cards that are too small are told there, by minutes. */
const toldAlone =
  ({ angles }: PlanContext) =>
  (lineId: string, { scenes }: FilmingDay): boolean =>
    scenes.length === 1 &&
    angles.some(
      ({ rig, record }) =>
        rig.body?.line.id === lineId && scenes.includes(rig.scene) && (record.storageShare ?? 1) < 1
    );

const shortOfSpace = (context: PlanContext): ShortDay[] =>
  shortDays(context, cardSpaceOfDay, toldAlone(context));

const heldOf = (found: ShortDay): Held =>
  heldOfDay(found, found.short[0]!, { severity: 'stop', unit: 'GB', gets: 'has room for' });

/** T1, over all scenes and bodies of a day. */
export const dayCardsFindings: readonly PlanFindingRow[] = [
  {
    code: 'T1',
    family: 'storage',
    scope: 'plan',
    ownCause: true,
    about: 'one day’s cards, each used once, fill before it ends',
    judge: (context) => shortOfSpace(context).map(heldOf),
    propose: (context, held) => {
      const found = shortOfSpace(context).find(({ day }) => aboutDay(day) === held.about);
      if (!found) return [];
      const { day, short } = found;
      return [
        ...daysApart(day).slice(0, 1),
        ...short.flatMap(({ part }) => {
          const rig = day.rigs.find(({ body }) => body === part)!;
          const kinds = cardKindsOf(rig);
          return [
            ...cardsFor(rig).flatMap((card) => oneMore(context, card)),
            addOne(context, 'card', ({ cardKind }) => kinds.includes(cardKind))
          ];
        })
      ];
    }
  }
];
