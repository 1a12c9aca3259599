import { describe, expect, it } from 'vitest';
import { shelfOf } from '../../catalogue/load-catalogue';
import { applyAct } from '../acts/apply-act';
import { activePlan } from '../model/active-plan';
import type { Project } from '../model/project';
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
