import { memoOf } from '../../memo';
import { energyOfDay, looseBatteriesOf } from '../../supplies/energy-of-day';
import { type FilmingDay, minutesBeforeSocket } from '../../supplies/filming-days';
import { bankWattsNeeded } from '../../relations/power/bank';
import { aboutDay, daysApart, heldOfDay, type ShortDay, shortDays } from '../day-supplies';
import type { Held, PlanContext, PlanFindingRow, Proposal } from '../finding';
import { addOne, oneMore } from '../part-candidates';

/** In a scene that shares its day with none, what its body and its key lamp lack alone is told there, by minutes. */
const toldAlone =
  ({ angles }: PlanContext) =>
  (lineId: string, { scenes }: FilmingDay): boolean =>
    scenes.length === 1 &&
    angles.some(
      ({ rig, record }) =>
        scenes.includes(rig.scene) &&
        ((rig.body?.line.id === lineId &&
          ((record.dayPowerShare ?? 1) < 1 || (record.awayShare ?? 1) < 1)) ||
          (rig.keyLamp?.part.line.id === lineId &&
            (record.lampMinutes ?? Infinity) < minutesBeforeSocket(rig.scene, rig.angle)))
    );

/** Reckoned once for both rows that ask. */
const shortOfEnergy = memoOf((context: PlanContext): ShortDay[] =>
  shortDays(context, energyOfDay, toldAlone(context))
);

const isBody = ({ short }: ShortDay): boolean =>
  short.some(({ part }) => part.gear.kind === 'body');

const heldOf = (found: ShortDay): Held =>
  heldOfDay(found, found.short.find(({ part }) => part.gear.kind === 'body') ?? found.short[0]!, {
    severity: isBody(found) ? 'stop' : 'warn',
    unit: 'Wh',
    gets: 'gets'
  });

function propose(context: PlanContext, held: Held): Proposal[] {
  const found = shortOfEnergy(context).find(({ day }) => aboutDay(day) === held.about);
  if (!found) return [];
  const { day, short } = found;
  const proposals: Proposal[] = daysApart(day).slice(0, 1);
  for (const { part } of short) {
    const rig = day.rigs.find((rig) => rig.body === part) ?? day.rigs[0]!;
    const batteries = looseBatteriesOf(rig, part);
    for (const battery of batteries) proposals.push(...oneMore(context, battery));
    const type = 'batteryType' in part.gear ? part.gear.batteryType : undefined;
    if (type !== undefined)
      proposals.push(addOne(context, 'battery', ({ batteryType }) => batteryType === type));
    const draw = 'drawW' in part.gear ? part.gear.drawW : undefined;
    if (draw !== undefined)
      proposals.push(
        addOne(context, 'power bank', ({ outputW }) => (outputW ?? 0) >= bankWattsNeeded(draw))
      );
  }
  return proposals;
}

/** P2 and P7, over all that live on one day's batteries and banks. */
export const dayEnergyFindings: readonly PlanFindingRow[] = [
  {
    code: 'P2',
    family: 'power',
    scope: 'plan',
    ownCause: true,
    about: 'one day’s batteries and banks, each used once, do not cover the body',
    judge: (context) => shortOfEnergy(context).filter(isBody).map(heldOf),
    propose
  },
  {
    code: 'P7',
    family: 'power',
    scope: 'plan',
    ownCause: true,
    about: 'one day’s batteries and banks, each used once, do not cover the other parts',
    judge: (context) =>
      shortOfEnergy(context)
        .filter((found) => !isBody(found))
        .map(heldOf),
    propose
  }
];
