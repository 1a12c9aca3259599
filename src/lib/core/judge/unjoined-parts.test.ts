import { expect, it } from 'vitest';
import { demoProject } from '../../catalogue/demos/saltmarsh-loom';
import { catalogue } from '../../catalogue/load-catalogue';
import type { Act } from '../acts/act';
import { applyAct } from '../acts/apply-act';
import { newLine } from '../model/new-line';
import { activePlan } from '../model/active-plan';
import { judgeCandidates } from './candidates';
import { judged } from './tests/calm-kit';
import { remediesOfEach } from './settle';

/**
 * A studio microphone that nothing in the bag joins would sound best of all, joined. What joins it is not what a
 * lens or a longer reach of the arm brings along.
 */
const phantom = catalogue.byId.get('nibsworth-phantom-box-xlr-to-trs')!;
const condensers = catalogue.ofKind('microphone').filter(({ form }) => form === 'condenser');

const isAboutMicrophones = (act: Act): boolean =>
  act.type === 'batch'
    ? act.acts.some(isAboutMicrophones)
    : act.type === 'add line'
      ? catalogue.byId.get(act.line.gearId)?.kind === 'microphone'
      : act.type === 'set rig' && act.patch.micLineId !== undefined;

it.each(condensers.map((gear) => [gear.model, gear] as const))(
  'what joins %s, which lies in the bag unjoined, comes with microphones alone',
  (_, gear) => {
    const demo = demoProject();
    const project = applyAct(demo, { type: 'add line', line: newLine(activePlan(demo), gear) });
    const judgement = judged(project);
    expect(judgement.angles.every(({ rig }) => rig.mic?.gear !== gear)).toBe(true);
    for (const pocket of ['lens', 'light', 'support'] as const)
      for (const { joins, gear: taken } of judgeCandidates(project, catalogue, pocket))
        expect(joins, taken.model).not.toContain(phantom.model);
    for (const { label, act } of remediesOfEach(project, catalogue, judgement).flat())
      if (!isAboutMicrophones(act)) expect(label).not.toContain(phantom.model);
  }
);
