import { describe, expect, it } from 'vitest';
import { demoProject } from '../../catalogue/demos/saltmarsh-loom';
import { catalogue, shelfOf } from '../../catalogue/load-catalogue';
import { applyAct } from '../acts/apply-act';
import { calmKit, judged, without } from '../judge/tests/calm-kit';
import { gearKindNames } from '../model/gear';
import { activePlan } from '../model/active-plan';
import { makeShelf } from '../model/shelf';
import { minor } from '../money/minor';
import { payableMinor } from '../money/payable-price';
import { joiningPartsOfShelf } from '../rigs/closings';
import { newLine } from '../model/new-line';
import { chainProposals } from './chain-proposals';
import { addOne, cheapestOf, leaveOut, oneMore, setRig, swapFor, swapTo } from './part-candidates';

const project = demoProject();
const shelf = shelfOf(project);
const plan = activePlan(project);

describe('one more of what is owned', () => {
  it('is bought beside it, at its price, and what nobody sells is not proposed', () => {
    const line = { ...plan.lines[0]!, state: 'owned' as const };
    const gear = shelf.byId.get(line.gearId)!;
    const owning = {
      ...project,
      plans: [{ ...plan, lines: [line, ...plan.lines.slice(1)] }],
      activePlanId: plan.id
    };
    const [proposal] = oneMore({ plan: activePlan(owning), project: owning }, { line, gear });
    const after = applyAct(owning, proposal!.act);
    expect(judged(after).money.firmMinor - judged(owning).money.firmMinor).toBe(
      payableMinor(owning, gear)
    );
    expect(activePlan(after).lines.filter(({ gearId }) => gearId === gear.id)).toHaveLength(2);
    const unpriced = { ...gear, priceNew: undefined, priceUsed: undefined };
    expect(oneMore({ plan, project }, { line, gear: unpriced as typeof gear })).toEqual([]);
  });
});

describe('the cheapest of a kind', () => {
  it.each(gearKindNames)('%s: cheapest first, only what is priced here and passes', (kind) => {
    const parts = cheapestOf(shelf, project, kind);
    expect(parts.length).toBeGreaterThan(0);
    for (let index = 1; index < parts.length; index++)
      expect(parts[index]!.priceNew!.likely).toBeGreaterThanOrEqual(
        parts[index - 1]!.priceNew!.likely
      );
    expect(parts.every((gear) => gear.priceNew?.currency === 'GBP')).toBe(true);
    const heavy = cheapestOf(shelf, project, kind, ({ massG }) => (massG ?? 0) > 200);
    expect(heavy).toEqual(parts.filter(({ massG }) => (massG ?? 0) > 200));
    expect(cheapestOf(shelf, { ...project, currency: 'EUR' }, kind)).toEqual([]);
  });

  it('counts what is paid: used by the person’s rule, and where nobody sells it new', () => {
    const [new1] = cheapestOf(shelf, project, 'card');
    const usedOnly = {
      ...new1!,
      id: 'own-used-card',
      priceNew: undefined,
      priceUsed: { ...new1!.priceNew!, likely: minor(100) }
    };
    const with1 = makeShelf(shelf.items, [usedOnly]);
    expect(cheapestOf(with1, project, 'card')[0]!.id).toBe('own-used-card');
    expect(joiningPartsOfShelf(with1.items, project).length).toBe(
      joiningPartsOfShelf(shelf.items, project).length + 1
    );
    const both = {
      ...usedOnly,
      id: 'own-both',
      priceNew: { ...new1!.priceNew!, likely: minor(1) }
    };
    const withBoth = makeShelf(shelf.items, [both]);
    expect(payableMinor(project, both)).toBe(1);
    const prefersUsed = { ...project, rules: { preferUsed: true } };
    expect(payableMinor(prefersUsed, both)).toBe(100);
    expect(cheapestOf(withBoth, prefersUsed, 'card')[0]!.id).toBe('own-both');
  });

  it('leaves the shelf as it was', () => {
    const before = shelf.ofKind('lens').map(({ id }) => id);
    cheapestOf(shelf, project, 'lens');
    expect(shelf.ofKind('lens').map(({ id }) => id)).toEqual(before);
  });
});

describe('a fresh line', () => {
  it('has a name no line has, and the same one for the same plan', () => {
    const gear = catalogue.items[0]!;
    const first = newLine(plan, gear);
    expect(plan.lines.map(({ id }) => id)).not.toContain(first.id);
    expect(newLine(plan, gear)).toEqual(first);
    const grown = { ...plan, lines: [...plan.lines, first] };
    expect(newLine(grown, gear).id).not.toBe(first.id);
    expect(newLine(plan, gear, 3)).toMatchObject({ quantity: 3, basis: 'new', state: 'wanted' });
  });
});

describe('what is proposed', () => {
  const mic = plan.lines.find(({ gearId }) => catalogue.byId.get(gearId)?.kind === 'microphone')!;

  it('in place of a part stands where that stood', () => {
    const index = plan.lines.indexOf(mic);
    const gear = catalogue.ofKind('microphone')[0]!;
    const after = activePlan(applyAct(project, swapFor(mic.id)(newLine(plan, gear))));
    expect(after.lines).toHaveLength(plan.lines.length);
    expect(after.lines[index]!.gearId).toBe(gear.id);
    expect(after.lines.some(({ id }) => id === mic.id)).toBe(false);
  });

  it('says what it is', () => {
    const context = { shelf, project };
    const gear = catalogue.ofKind('card')[0]!;
    const swap = swapTo(context, 'card', mic.id);
    expect(swap.label(gear)).toBe(`Swap to ${gear.model}`);
    expect(swap.act!(newLine(plan, gear))).toEqual(swapFor(mic.id)(newLine(plan, gear)));
    const add = addOne(context, 'card', ({ cardKind }) => cardKind === 'SD');
    expect(add.label(gear)).toBe(`Add ${gear.model}`);
    expect(add.parts.every((gear) => gear.kind === 'card' && gear.cardKind === 'SD')).toBe(true);
    expect(leaveOut(mic, 'Plover')).toEqual({
      label: 'Remove Plover from kit',
      act: { type: 'remove line', lineId: mic.id }
    });
    const own = shelf.byId.get(mic.gearId)!;
    expect(oneMore({ plan, project }, { line: { ...mic, quantity: 2 }, gear: own })).toEqual([
      {
        label: `One more ${own.model}`,
        act: { type: 'step quantity', lineId: mic.id, by: 1 }
      }
    ]);
    expect(setRig({ rig: { scene: { id: 's' }, angle: { id: 'a' } } }, { apertureN: 4 })).toEqual({
      type: 'set rig',
      sceneId: 's',
      angleId: 'a',
      patch: { apertureN: 4 }
    });
  });
});

describe('a chain that closes a joint', () => {
  it('is one act that takes all its parts, named in its label', () => {
    const open = calmKit();
    without(open, 'nibsworth-cable-trrs-to-trs');
    const { rig } = judged(open).angles[0]!;
    const context = { rig, shelf: shelfOf(open), project: open, plan: activePlan(open) };
    const [proposal, ...others] = chainProposals(context, 'microphone into input');
    expect(others).toEqual([]);
    expect(proposal!.label).toBe('Add Cable TRRS to TRS');
    const closed = applyAct(open, proposal!.act);
    expect(activePlan(closed).lines).toHaveLength(activePlan(open).lines.length + 1);
    expect(
      chainProposals({ ...context, rig: judged(closed).angles[0]!.rig }, 'microphone into input')
    ).toEqual([]);
    expect(chainProposals(context, 'filter on lens')).toEqual([]);
  });
});
