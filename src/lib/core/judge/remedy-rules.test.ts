import { describe, expect, it } from 'vitest';
import { demoProject } from '../../catalogue/demos/saltmarsh-loom';
import { catalogue, shelfOf } from '../../catalogue/load-catalogue';
import type { Act } from '../acts/act';
import { applyAct } from '../acts/apply-act';
import { newLine } from '../model/new-line';
import { activePlan } from '../model/active-plan';
import { newProject } from '../model/new-project';
import type { Rig } from '../model/plan';
import type { Project } from '../model/project';
import { judgePlan } from './judge-plan';
import { remediesFor, remediesOfEach, TriedKits } from './settle';
import { anyProject, Chances } from './tests/random-kits';

const judged = (project: Project) => judgePlan(project, activePlan(project), shelfOf(project));
const flat = (act: Act): Act[] => (act.type === 'batch' ? act.acts.flatMap(flat) : [act]);

describe('a remedy', () => {
  it.each([1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12])(
    'never swaps a part for itself, nor mends overspending with what costs more: kit %i',
    (seed) => {
      const project = anyProject(new Chances(seed * 31));
      const judgement = judged(project);
      const settled = judgement.findings.slice(0, 10);
      const remedies = remediesOfEach(project, shelfOf(project), judgement, settled);
      for (const [index, finding] of settled.entries())
        for (const { act, label, costMinor } of remedies[index]!) {
          const acts = flat(act);
          const added = acts.flatMap((act) => (act.type === 'add line' ? act.line.gearId : []));
          for (const act of acts)
            if (act.type === 'remove line') {
              const gone = activePlan(project).lines.find(({ id }) => id === act.lineId);
              expect(added, label).not.toContain(gone?.gearId);
            }
          if (['M1', 'M2', 'M3', 'M6'].includes(finding.code))
            expect(costMinor, label).toBeLessThanOrEqual(0);
        }
    }
  );

  it('that frees one setting is not taken for one that frees another', () => {
    const project = demoProject();
    const kits = new TriedKits(project, catalogue, judged(project));
    const [scene] = project.scenes;
    const free = (patch: Partial<Rig>): Act => ({
      type: 'set rig',
      sceneId: scene!.id,
      angleId: scene!.angles[0]!.id,
      patch
    });
    const aperture = free({ apertureN: undefined });
    const shutter = free({ shutterS: undefined });
    expect(kits.atBest(aperture)).toBe(kits.atBest(aperture));
    expect(kits.atBest(aperture)).not.toBe(kits.atBest(shutter));
    expect(kits.atBest(shutter)).not.toBe(kits.atBest(free({})));
  });

  it('buys all that is sold used in one act, where only used is the rule', () => {
    const project: Project = { ...demoProject(), rules: { onlyUsed: true } };
    const judgement = judged(project);
    const finding = judgement.findings.find(({ title }) => title().endsWith('breaks your rule'))!;
    const [remedy] = remediesFor(project, catalogue, judgement, finding);
    expect(remedy!.label).toMatch(/^Buy all \d+ used that are sold used/);
    const after = applyAct(project, remedy!.act);
    for (const { line, gear } of judged(after).money.lines)
      if (line.state !== 'owned' && gear?.priceUsed && gear.priceNew)
        expect(line.basis, gear.id).toBe('used');
  });

  it('offers a drone nothing to stand on and no clamp', () => {
    for (const style of ['walk', 'seated', 'hands'] as const) {
      const empty = newProject('p', 'flying', {
        styles: [style],
        limitMinor: 300_000,
        school: 'body first',
        currency: 'GBP',
        mainsHz: 50,
        units: 'metric'
      });
      const drone = catalogue.byId.get('ellowen-dragonfly')!;
      const project = applyAct(empty, {
        type: 'add line',
        line: newLine(activePlan(empty), drone)
      });
      const judgement = judged(project);
      for (const finding of judgement.findings) {
        expect(finding.title()).not.toMatch(/stand the camera|holds the camera/);
        for (const { label } of remediesFor(project, catalogue, judgement, finding))
          expect(label).not.toMatch(/[Cc]lamp/);
      }
    }
  });
});
