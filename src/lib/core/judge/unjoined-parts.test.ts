import { expect, it } from 'vitest';
import { demoProject } from '../../catalogue/demos/saltmarsh-loom';
import { catalogue, shelfOf } from '../../catalogue/load-catalogue';
import type { Act } from '../acts/act';
import { applyAct } from '../acts/apply-act';
import { newLine } from '../model/new-line';
import { activePlan } from '../model/active-plan';
import { judgeCandidates } from './candidates';
import { judged } from './tests/calm-kit';
import { anyProject, Chances } from './tests/random-kits';
import { remediesOfEach } from './settle';

/**
 * A studio microphone that nothing in the bag joins would sound best of all, joined. What joins it is not what a
 * lens or a longer reach of the arm brings along.
 */
const phantom = catalogue.byId.get('nibsworth-phantom-box-xlr-to-trs')!;
const condensers = catalogue.ofKind('microphone').filter(({ form }) => form === 'condenser');

const flat = (act: Act): Act[] => (act.type === 'batch' ? act.acts.flatMap(flat) : [act]);

/** What is only wished for otherwise, or allowed: no part has to meet another for it. */
const isWish = (act: Act): boolean =>
  act.type === 'set project' ||
  (act.type === 'change scene' &&
    Object.keys(act.patch).every((field) =>
      ['wantsBlurPercent', 'longestTakeMin', 'wantsKeyToFill'].includes(field)
    ));

it.each([1, 2, 5, 7, 11, 15, 20, 21])(
  'a wish that is given up costs nothing, whatever lies in the bag: kit %i',
  (seed) => {
    const project = anyProject(new Chances(seed * 977));
    const judgement = judged(project);
    const remedies = remediesOfEach(project, shelfOf(project), judgement).flat();
    for (const { act, label } of remedies.filter(({ act }) => flat(act).some(isWish)))
      expect(
        flat(act).filter(({ type }) => type === 'add line'),
        label
      ).toEqual([]);
  }
);

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
