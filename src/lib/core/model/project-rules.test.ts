import { describe, expect, it } from 'vitest';
import { demoProject } from '../../catalogue/demos/saltmarsh-loom';
import { faultSentence } from '../formats/faults';
import { checkProject } from '../formats/satchel-file';
import { activePlan } from './active-plan';
import type { Project } from './project';

type Spoil = (project: Project) => void;

/** One thing wrong each, the field it is told at, and what it says. */
const wrong: Record<string, [Spoil, string, RegExp]> = {
  'a plan shown that is not there': [
    (p) => (p.activePlanId = 'nowhere'),
    'activePlanId',
    /names no plan of this project: "nowhere"/
  ],
  'a pocket nobody has': [
    (p) => (p.pocketLimitsMinor = { trousers: 5 } as never),
    'pocketLimitsMinor.trousers',
    /is not a pocket; the pockets are .*sound/
  ],
  'half a penny for a pocket': [
    (p) => (p.pocketLimitsMinor = { sound: 10.5 }),
    'pocketLimitsMinor.sound',
    /whole number of minor units/
  ],
  'less than nothing for a pocket': [
    (p) => (p.pocketLimitsMinor = { sound: -1 }),
    'pocketLimitsMinor.sound',
    /not negative/
  ],
  'a weight past a hundred': [
    (p) => (p.ownWeights = { sound: 101 } as never),
    'ownWeights.sound',
    /from 0 to 100/
  ],
  'a weight that is not a number': [
    (p) => (p.ownWeights = { sound: 'much' } as never),
    'ownWeights.sound',
    /from 0 to 100/
  ],
  'a dim end brighter than the bright one': [
    (p) => (p.scenes[1]!.lightDimLx = p.scenes[1]!.lightBrightLx + 1),
    'scenes[1].lightDimLx',
    /must not be brighter/
  ],
  'a take longer than the day': [
    (p) => (p.scenes[0]!.longestTakeMin = p.scenes[0]!.recordedMin + 1),
    'scenes[0].longestTakeMin',
    /must not be longer than recordedMin/
  ],
  'two scenes of one name inside': [
    (p) => (p.scenes[1]!.id = p.scenes[0]!.id),
    'scenes',
    /uses the id "marsh-path" twice/
  ],
  'two plans of one id': [
    (p) => p.plans.push({ ...structuredClone(activePlan(p)), name: 'copy' }),
    'plans',
    /twice; ids must differ/
  ],
  'two lines of one id': [
    (p) => activePlan(p).lines.push({ ...activePlan(p).lines[0]! }),
    'plan "plan B" lines',
    /uses the id "line-1" twice/
  ],
  'a currency that is no code': [(p) => (p.currency = 'pounds'), 'currency', /three-letter/],
  'mains of another world': [(p) => (p.mainsHz = 55 as never), 'mainsHz', /50 or 60 Hz/],
  'a school nobody has heard of': [
    (p) => (p.school = 'loudest first' as never),
    'school',
    /must be/
  ],
  'no scene list at all': [(p) => (p.scenes = 'many' as never), 'scenes', /must be a list/],
  'a distance of nothing': [
    (p) => (p.scenes[0]!.angles[0]!.distanceM = 0),
    'scenes[0].angles[0].distanceM',
    /\d/
  ],
  'a line of no pieces': [
    (p) => (activePlan(p).lines[0]!.quantity = 0),
    'plans[0].lines[0].quantity',
    /at least one piece/
  ]
};

describe('the rules of a project', () => {
  it('are kept by the demo', () => {
    expect(checkProject(demoProject())).toEqual([]);
  });

  it.each(Object.entries(wrong))(
    'refuse %s, where it stands and why',
    (_name, [spoil, place, says]) => {
      const project = structuredClone(demoProject());
      spoil(project);
      const faults = checkProject(project);
      const told = faults.find(({ field }) => field === `project.${place}`);
      expect(told, faults.map(faultSentence).join('\n')).toBeDefined();
      expect(told!.says).toMatch(says);
      expect(faultSentence(told!)).toMatch(/\.$/);
    }
  );

  it('tell every fault at once, not the first alone', () => {
    const project = structuredClone(demoProject());
    for (const name of ['a plan shown that is not there', 'a take longer than the day'])
      wrong[name]![0](project);
    expect(checkProject(project).map(({ field }) => field)).toEqual(
      expect.arrayContaining(['project.activePlanId', 'project.scenes[0].longestTakeMin'])
    );
  });

  it.each([undefined, null, 7, 'text', [], [[]], { scenes: {} }])(
    'never throw over %j',
    (value) => {
      expect(checkProject(value).length).toBeGreaterThan(0);
    }
  );
});
