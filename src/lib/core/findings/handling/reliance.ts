import { batteriesFor, cardsFor } from '../../figures/endurance-rows';
import { partsOfScene } from '../../figures/handling-rows';
import { hasUse } from '../../figures/heat-rows';
import { fullName } from '../../model/gear';
import type { KitPart } from '../../rigs/kit';
import type { PlacedRig } from '../../rigs/placed-rig';
import { rigRow, type AngleContext, type AngleFindingRow, type Proposal } from '../finding';
import { addOne, oneMore, swapTo } from '../part-candidates';

/** Parts of which there is one, that are cheap to have twice, and that stop the day when they fail. */
function singles(
  rig: PlacedRig
): { name: string; double: (context: AngleContext) => Proposal[] }[] {
  const list: ReturnType<typeof singles> = [];
  const body = rig.body!.gear;
  const batteries =
    (body.batteriesIncluded ?? 0) +
    batteriesFor(rig).reduce((sum, { line }) => sum + line.quantity, 0);
  if (body.batteryType !== undefined && batteries === 1)
    list.push({
      name: 'one battery',
      double: (context) => [
        addOne(context, 'battery', (gear) => gear.batteryType === body.batteryType)
      ]
    });
  const cards = cardsFor(rig);
  const pieces = cards.reduce((sum, { line }) => sum + line.quantity, 0);
  if (pieces === 1)
    list.push({
      name: 'one card',
      double: (context) => oneMore(context, cards[0]!)
    });
  return list;
}

/** Two doublings in one act, where both are plain. */
function bothOf(ways: readonly Proposal[][]): Proposal[] {
  const first = ways[0]![0];
  const second = ways[1]![0];
  if (!first || !second || !('parts' in first) || 'parts' in second) return [];
  return [
    {
      parts: first.parts,
      label: (gear) => `${first.label(gear)} and ${second.label.toLowerCase()}`,
      act: (line) => ({ type: 'batch', acts: [{ type: 'add line', line }, second.act] })
    }
  ];
}

/** What is worn, made at home or sticks out, and is used in this scene. */
function frail(rig: PlacedRig): { part: KitPart; says: string } | undefined {
  for (const part of partsOfScene(rig)) {
    if (part.line.worn === true) return { part, says: 'is worn' };
    if (part.gear.ownMade === true) return { part, says: 'is made at home' };
    if (
      part.gear.kind === 'lens' &&
      part.gear.protrudingFront === true &&
      !hasUse(rig, 'lens cover')
    )
      return { part, says: 'has a front element that sticks out, and no cover' };
  }
  for (const part of batteriesFor(rig))
    if (part.line.worn === true) return { part, says: 'is worn' };
  return undefined;
}

/** W3, W5. */
export const relianceFindings: readonly AngleFindingRow[] = [
  rigRow({
    code: 'W3',
    family: 'whole',
    about: 'one part whose failure stops the day',
    judge: (rig) => {
      if (rig.scene.onceOnly !== true || !rig.body) return undefined;
      const alone = singles(rig);
      if (alone.length === 0) return undefined;
      return {
        severity: 'warn',
        lineIds: [rig.body.line.id],
        has: 1,
        needs: 2,
        unit: 'count',
        title: () => `${rig.scene.name} hangs on ${alone.map(({ name }) => name).join(' and ')}`,
        why: () => 'It cannot be filmed again, and what costs little to have twice is there once.'
      };
    },
    propose: (context) => {
      const ways = singles(context.rig).map(({ double }) => double(context));
      const both = ways.length > 1 ? bothOf(ways) : [];
      return [...both, ...ways.flat()];
    }
  }),
  rigRow({
    code: 'W5',
    family: 'whole',
    about: 'a worn, home-made or protruding part the day depends on',
    judge: (rig) => {
      const weak = rig.body && frail(rig);
      if (!weak) return undefined;
      return {
        severity: 'note',
        about: weak.part.line.id,
        lineIds: [weak.part.line.id],
        title: () => `${rig.scene.name} depends on ${weak.part.gear.model}`,
        why: () =>
          `${fullName(weak.part.gear)} ${weak.says}. It may do for years; have a second way ready. Mains wiring made at home is for licensed people to look at.`
      };
    },
    propose: (context) => {
      const { part, says } = frail(context.rig)!;
      return [
        ...(says.includes('cover')
          ? [addOne(context, 'small item', (gear) => gear.use === 'lens cover')]
          : []),
        ...(part.line.worn === true
          ? [
              {
                label: 'Mark it as mended',
                act: {
                  type: 'change line' as const,
                  lineId: part.line.id,
                  patch: { worn: undefined }
                }
              }
            ]
          : []),
        swapTo(context, part.gear.kind, part.line.id, (gear) => gear.id !== part.gear.id)
      ];
    }
  })
];
