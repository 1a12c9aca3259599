import { describe, expect, it } from 'vitest';
import { shelfOf } from '../../catalogue/load-catalogue';
import { applyAct } from '../acts/apply-act';
import { activePlan } from '../model/active-plan';
import type { Project } from '../model/project';
import { lampsInScene, moveLamp } from '../acts/place-lamp';
import { lampStandOf, lampsHeldBesideKey } from '../rigs/lamp-stand';
import { remediesFor } from './settle';
import { add, made, pieces } from '../figures/tests/figures-of';
import { judged, setRig } from './tests/calm-kit';

const lamp = (project: Project): string => {
  const shelf = shelfOf(project);
  return activePlan(project).lines.find(({ gearId }) => shelf.byId.get(gearId)!.kind === 'lamp')!
    .gearId;
};
/** Two of the lamp of a calm kit, the second said to be the fill. */
const filled = (more: (p: Project) => void = () => undefined): Project =>
  made((p) => {
    pieces(p, lamp(p), 2);
    const line = activePlan(p).lines.find(({ gearId }) => gearId === lamp(p))!;
    setRig(p, { keyLampLineId: line.id, fillLampLineId: line.id });
    more(p);
  });
const heldFinding = (project: Project) =>
  judged(project).findings.find(({ code, key }) => code === 'G10' && key.includes('stand'));

describe('a fill light', () => {
  it('needs a stand of its own: the key’s is taken', () => {
    const finding = heldFinding(filled())!;
    expect(finding.severity).toBe('warn');
    expect(finding.title()).toMatch(/: nothing holds .*, the fill light$/);
    expect(judged(filled()).angles[0]!.rig.fillLamp).toBeDefined();
    expect(heldFinding(made(() => undefined))).toBeUndefined();
  });

  it('is held by a second stand, by two of the same, and by nothing that holds the key already', () => {
    const shelf = shelfOf(filled());
    const own = activePlan(filled()).lines.find(
      ({ gearId }) => (shelf.byId.get(gearId) as { form?: string }).form === 'light stand'
    )!;
    const other = shelf
      .ofKind('support')
      .find(({ form, id }) => form === 'light stand' && id !== own.gearId)!;
    expect(heldFinding(filled((p) => add(p, other.id)))).toBeUndefined();
    expect(heldFinding(filled((p) => pieces(p, own.gearId, 2)))).toBeUndefined();
  });

  it('is mended by a stand or done without, and either is gone from what is to settle', () => {
    const project = filled();
    const before = judged(project);
    const finding = heldFinding(project)!;
    const remedies = remediesFor(project, shelfOf(project), before, finding);
    expect(remedies.length).toBeGreaterThanOrEqual(2);
    for (const { act } of remedies) expect(heldFinding(applyAct(project, act))).toBeUndefined();
  });

  it('that nothing holds is not lit where nobody has asked for it', () => {
    const free = made((p) => pieces(p, lamp(p), 2));
    const { rig } = judged(free).angles[0]!;
    expect(heldFinding(free)).toBeUndefined();
    expect(rig.fillLamp).toBeUndefined();
  });
});

describe('a stand a person has chosen for a lamp', () => {
  const STRONG = 'brackenholt-stand-3-steel';
  const LIGHT = 'brackenholt-stand-2';
  /** Key and fill of one line, and both stands; the key goes on the light one unless somebody says otherwise. */
  const withStands = (said: Record<'key' | 'fill', string | undefined>): Project =>
    filled((p) => {
      if (!activePlan(p).lines.some(({ gearId }) => gearId === LIGHT)) add(p, LIGHT);
      add(p, STRONG);
      const idOf = (gearId: string | undefined) =>
        activePlan(p).lines.find((line) => line.gearId === gearId)?.id;
      const placing = { lineId: idOf(lamp(p))!, distanceM: 0.8, angleDeg: 45 };
      activePlan(p).rigs[0]!.lamps = [
        { ...placing, ...(said.key ? { standLineId: idOf(said.key)! } : {}) },
        { ...placing, ...(said.fill ? { standLineId: idOf(said.fill)! } : {}) }
      ];
    });
  const standsIn = (project: Project) => {
    const { rig } = judged(project).angles[0]!;
    return [lampStandOf(rig)?.gear.id, lampsHeldBesideKey(rig)[0]?.holder?.gear.id];
  };

  it('holds it, and the other lamp takes what is left', () => {
    expect(standsIn(withStands({ key: undefined, fill: undefined }))).toEqual([LIGHT, STRONG]);
    expect(standsIn(withStands({ key: STRONG, fill: undefined }))).toEqual([STRONG, LIGHT]);
    expect(standsIn(withStands({ key: undefined, fill: LIGHT }))).toEqual([STRONG, LIGHT]);
    expect(standsIn(withStands({ key: LIGHT, fill: STRONG }))).toEqual([LIGHT, STRONG]);
  });

  it('holds one of them, where both were put on its one piece', () => {
    expect(standsIn(withStands({ key: STRONG, fill: STRONG }))).toEqual([STRONG, LIGHT]);
  });

  it('is forgotten with its line, and is no stand where it cannot hold a lamp', () => {
    const project = withStands({ key: STRONG, fill: undefined });
    const lineId = activePlan(project).lines.find(({ gearId }) => gearId === STRONG)!.id;
    const without = applyAct(project, { type: 'remove line', lineId });
    expect(activePlan(without).rigs[0]!.lamps!.some((lamp) => 'standLineId' in lamp)).toBe(false);
    expect(standsIn(without)[0]).toBe(LIGHT);
    activePlan(project).rigs[0]!.lamps![0]!.standLineId = activePlan(project).lines[0]!.id;
    expect(standsIn(project)[0]).toBe(LIGHT);
  });

  it('is said by the act that moves a lamp, kept when it moves on, and unsaid', () => {
    const project = withStands({ key: undefined, fill: undefined });
    const stand = activePlan(project).lines.find(({ gearId }) => gearId === STRONG)!.id;
    const move = (now: Project, to: Parameters<typeof moveLamp>[2]) => {
      const { rig } = judged(now).angles[0]!;
      return applyAct(now, moveLamp(rig, lampsInScene(rig)[0]!, to));
    };
    const said = move(project, { standLineId: stand });
    expect(standsIn(said)).toEqual([STRONG, LIGHT]);
    const farther = move(said, { distanceM: 1.4 });
    expect(standsIn(farther)).toEqual([STRONG, LIGHT]);
    expect(judged(farther).angles[0]!.rig.keyLamp!.distanceM).toBe(1.4);
    expect(standsIn(move(farther, { standLineId: undefined }))).toEqual([LIGHT, STRONG]);
  });
});
