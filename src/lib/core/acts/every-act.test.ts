import { describe, expect, it } from 'vitest';
import { demoProject } from '../../catalogue/demos/saltmarsh-loom';
import { catalogue, shelfOf } from '../../catalogue/load-catalogue';
import { activePlan } from '../model/active-plan';
import type { GearItem } from '../model/gear';
import type { Project } from '../model/project';
import type { DayLog } from '../model/rehearsal';
import type { SceneLock } from '../model/scene-lock';
import { startScene } from '../model/scene-starts';
import type { Act } from './act';
import { actWords } from './act-words';
import { ActError, applyAct } from './apply-act';
import { applyPatches } from './drafts';
import { applyRecorded } from './record-act';

const demo = demoProject();
const ownPart: GearItem = {
  ...structuredClone(catalogue.ofKind('small item')[0]!),
  id: 'own-tin',
  maker: 'Own make',
  model: 'Tin of screws'
};
const newScene = { ...startScene('hands', [], 50), id: 'tabletop', name: 'Bench close-up' };
const otherAngle = { ...demo.scenes[0]!.angles[0]!, id: 'second' };
const newLine = { ...activePlan(demo).lines[0]!, id: 'line-new', gearId: 'dunmarrow-burr' };
const withOwn = applyAct(demo, { type: 'put gear', gear: ownPart });
const withTwoAngles = applyAct(demo, {
  type: 'add angle',
  sceneId: 'marsh-path',
  angle: otherAngle
});
const withPlan = applyAct(demo, {
  type: 'add plan',
  plan: { id: 'plan-c', name: 'plan C', lines: [], rigs: [] }
});
const ignored = applyAct(demo, { type: 'ignore', key: 'A4 marsh-path a', reason: 'I look' });
const seen = {
  gearId: 'dunmarrow-plover',
  basis: 'new',
  priceMinor: 12_100,
  currency: 'GBP',
  date: '2026-11-28',
  source: 'corner counter'
} as const;
const alertOn = { gearId: 'dunmarrow-plover', basis: 'new' } as const;
const income = { id: 'income-1', label: 'a commission', date: '2027-01-15', amountMinor: 40_000 };
const dayLog: DayLog = {
  id: 'day-1',
  date: '2026-11-24',
  scenes: 'Marsh path',
  takes: 9,
  takesLost: 1,
  tallies: [],
  batteries: [],
  used: []
};
const lock: SceneLock = {
  sceneId: 'marsh-path',
  angleId: 'a',
  lockedOn: '2026-11-24',
  figures: [{ name: 'camera', value: 'Linnet' }],
  evidence: [],
  angle: demo.scenes[0]!.angles[0]!
};
const lines = (project: Project) => activePlan(project).lines.map(({ id }) => id);
const scene = (project: Project, id = 'marsh-path') =>
  project.scenes.find((scene) => scene.id === id)!;

interface Case {
  act: Act;
  /** The state it is done to, where that is not the demo. */
  on?: Project;
  says: string;
  /** What is different afterwards. */
  makes: (project: Project) => unknown;
  to: unknown;
}

const cases: Case[] = [
  {
    act: { type: 'add line', line: newLine, before: 'line-2' },
    says: 'add Dunmarrow Burr',
    makes: (p) => lines(p).slice(0, 3),
    to: ['line-1', 'line-new', 'line-2']
  },
  {
    act: { type: 'add line', line: { ...newLine, gearId: 'nobody-knows' } },
    says: 'add a part',
    makes: (p) => lines(p).at(-1),
    to: 'line-new'
  },
  {
    act: { type: 'change line', lineId: 'line-3', patch: { quantity: 2, shippingMinor: 450 } },
    says: 'change Orrowby Linnet',
    makes: (p) => activePlan(p).lines[2]!.shippingMinor,
    to: 450
  },
  {
    act: { type: 'change line', lineId: 'line-3', patch: { state: 'owned' } },
    says: 'mark Orrowby Linnet as owned',
    makes: (p) => activePlan(p).lines[2]!.state,
    to: 'owned'
  },
  {
    act: { type: 'change line', lineId: 'line-3', patch: { step: 'later' } },
    says: 'move Orrowby Linnet to later',
    makes: (p) => activePlan(p).lines[2]!.step,
    to: 'later'
  },
  {
    act: { type: 'step quantity', lineId: 'line-3', by: 3 },
    says: 'change Orrowby Linnet',
    makes: (p) => activePlan(p).lines[2]!.quantity,
    to: 4
  },
  {
    act: { type: 'step quantity', lineId: 'line-3', by: 5000 },
    says: 'change Orrowby Linnet',
    makes: (p) => activePlan(p).lines[2]!.quantity,
    to: 999
  },
  {
    act: { type: 'remove line', lineId: 'line-3' },
    says: 'remove Orrowby Linnet',
    makes: (p) => lines(p).includes('line-3'),
    to: false
  },
  {
    act: { type: 'move line', lineId: 'line-3', before: 'line-1' },
    says: 'move Orrowby Linnet',
    makes: (p) => lines(p)[0],
    to: 'line-3'
  },
  {
    act: { type: 'move line', lineId: 'line-1', before: undefined },
    says: 'move Dunmarrow Plover',
    makes: (p) => lines(p).at(-1),
    to: 'line-1'
  },
  {
    act: { type: 'set rig', sceneId: 'shuttle-hands', angleId: 'a', patch: { apertureN: 5.6 } },
    says: 'set up Shuttle hands',
    makes: (p) => activePlan(p).rigs.find((rig) => rig.sceneId === 'shuttle-hands')!.apertureN,
    to: 5.6
  },
  {
    act: { type: 'set project', patch: { limitMinor: 90_000, itemLimitMinor: 30_000 } },
    says: 'change the settings',
    makes: (p) => [p.limitMinor, p.itemLimitMinor],
    to: [90_000, 30_000]
  },
  {
    act: { type: 'change currency', currency: 'EUR', perUnit: 1.2, date: '2026-11-28' },
    says: 'keep the money in EUR',
    makes: (p) => [p.currency, p.limitMinor, p.rates],
    to: ['EUR', 146_400, [{ currency: 'GBP', perUnit: 1.2, date: '2026-11-28' }]]
  },
  {
    act: { type: 'set pocket limit', pocket: 'sound', limitMinor: 12_000 },
    says: 'set the sound pocket limit',
    makes: (p) => p.pocketLimitsMinor?.sound,
    to: 12_000
  },
  {
    act: { type: 'set pocket limit', pocket: 'light', limitMinor: undefined },
    on: applyAct(demo, { type: 'set pocket limit', pocket: 'light', limitMinor: 100 }),
    says: 'set the light pocket limit',
    makes: (p) => 'light' in (p.pocketLimitsMinor ?? {}),
    to: false
  },
  {
    act: { type: 'note prices', observations: [seen, { ...seen, priceMinor: 11_900 }] },
    says: 'note 2 prices',
    // The same day at the same shop: the later one stands.
    makes: (p) => p.priceObservations?.map(({ priceMinor }) => priceMinor),
    to: [11_900]
  },
  {
    act: { type: 'set price alert', alert: { ...alertOn, atMostMinor: 12_000 } },
    on: applyAct(demo, { type: 'set price alert', alert: { ...alertOn, atMostMinor: 9_000 } }),
    says: 'set a price alert',
    makes: (p) => p.priceAlerts,
    to: [{ ...alertOn, atMostMinor: 12_000 }]
  },
  {
    act: { type: 'set price alert', alert: alertOn },
    on: applyAct(demo, { type: 'set price alert', alert: { ...alertOn, atMostMinor: 9_000 } }),
    says: 'take a price alert away',
    makes: (p) => p.priceAlerts,
    to: []
  },
  {
    act: { type: 'put income', income },
    on: applyAct(demo, { type: 'put income', income: { ...income, amountMinor: 1 } }),
    says: 'note a commission',
    makes: (p) => p.incomes,
    to: [income]
  },
  {
    act: { type: 'remove income', incomeId: 'income-1' },
    on: applyAct(demo, { type: 'put income', income }),
    says: 'delete a commission',
    makes: (p) => p.incomes,
    to: []
  },
  {
    act: { type: 'lock angle', lock },
    on: applyAct(demo, { type: 'lock angle', lock: { ...lock, lockedOn: '2026-01-01' } }),
    says: 'lock Marsh path',
    makes: (p) => p.locks,
    to: [lock]
  },
  {
    act: { type: 'unlock angle', sceneId: 'marsh-path', angleId: 'a' },
    on: applyAct(demo, { type: 'lock angle', lock }),
    says: 'unlock Marsh path',
    makes: (p) => p.locks,
    to: []
  },
  {
    act: { type: 'put day log', log: dayLog },
    on: applyAct(demo, { type: 'put day log', log: { ...dayLog, takesLost: 3 } }),
    says: 'write the day of 2026-11-24 into the logbook',
    makes: (p) => p.logbook,
    to: [dayLog]
  },
  {
    act: { type: 'remove day log', logId: 'day-1' },
    on: applyAct(demo, { type: 'put day log', log: dayLog }),
    says: 'delete the day of 2026-11-24',
    makes: (p) => p.logbook,
    to: []
  },
  {
    act: { type: 'add scene', scene: newScene },
    says: 'add scene Bench close-up',
    makes: (p) => p.scenes.at(-1)!.name,
    to: 'Bench close-up'
  },
  {
    act: { type: 'change scene', sceneId: 'marsh-path', patch: { windMps: 9 } },
    says: 'change Marsh path',
    makes: (p) => scene(p).windMps,
    to: 9
  },
  {
    act: { type: 'change angle', sceneId: 'marsh-path', angleId: 'a', patch: { distanceM: 0.9 } },
    says: 'change Marsh path',
    makes: (p) => scene(p).angles[0]!.distanceM,
    to: 0.9
  },
  {
    act: { type: 'add angle', sceneId: 'marsh-path', angle: otherAngle },
    says: 'add an angle to Marsh path',
    makes: (p) => scene(p).angles.map(({ id }) => id),
    to: ['a', 'second']
  },
  {
    act: { type: 'remove angle', sceneId: 'marsh-path', angleId: 'a' },
    on: withTwoAngles,
    says: 'delete an angle of Marsh path',
    makes: (p) => [
      scene(p).angles.map(({ id }) => id),
      activePlan(p).rigs.some((rig) => rig.sceneId === 'marsh-path' && rig.angleId === 'a')
    ],
    to: [['second'], false]
  },
  {
    act: { type: 'remove scene', sceneId: 'marsh-path' },
    says: 'delete Marsh path',
    makes: (p) => [
      p.scenes.length,
      p.plans.some((plan) => plan.rigs.some((rig) => rig.sceneId === 'marsh-path'))
    ],
    to: [demo.scenes.length - 1, false]
  },
  {
    act: { type: 'put gear', gear: ownPart },
    says: 'save Own make Tin of screws',
    makes: (p) => p.ownGear.map(({ model }) => model),
    to: ['Tin of screws']
  },
  {
    act: { type: 'put gear', gear: { ...ownPart, model: 'Box of screws' } },
    on: withOwn,
    says: 'save Own make Box of screws',
    makes: (p) => p.ownGear.map(({ model }) => model),
    to: ['Box of screws']
  },
  {
    act: {
      type: 'put many gear',
      gear: [
        { ...ownPart, model: 'Bag of screws' },
        { ...ownPart, id: 'own-rag', model: 'Rag' }
      ]
    },
    on: withOwn,
    says: 'save 2 parts',
    makes: (p) => p.ownGear.map(({ model }) => model),
    to: ['Bag of screws', 'Rag']
  },
  {
    act: { type: 'remove gear', gearId: 'own-tin' },
    on: withOwn,
    says: 'delete Own make Tin of screws',
    makes: (p) => p.ownGear.length,
    to: 0
  },
  {
    act: { type: 'add plan', plan: { id: 'plan-c', name: 'plan C', lines: [], rigs: [] } },
    says: 'add plan C',
    makes: (p) => p.plans.at(-1)!.name,
    to: 'plan C'
  },
  {
    act: { type: 'show plan', planId: 'plan-c' },
    on: withPlan,
    says: 'show another plan',
    makes: (p) => activePlan(p).name,
    to: 'plan C'
  },
  {
    act: { type: 'rename plan', planId: 'plan-c', name: 'winter' },
    on: withPlan,
    says: 'rename a plan to winter',
    makes: (p) => p.plans.at(-1)!.name,
    to: 'winter'
  },
  {
    act: { type: 'remove plan', planId: demo.activePlanId },
    on: withPlan,
    says: `delete ${activePlan(demo).name}`,
    makes: (p) => [p.plans.some(({ id }) => id === demo.activePlanId), p.activePlanId],
    to: [false, withPlan.plans.find(({ id }) => id !== demo.activePlanId)!.id]
  },
  {
    act: { type: 'ignore', key: 'A4 marsh-path a', reason: 'a strip of tape holds it' },
    on: ignored,
    says: 'ignore a finding',
    makes: (p) => p.ignored,
    to: [{ key: 'A4 marsh-path a', reason: 'a strip of tape holds it' }]
  },
  {
    act: { type: 'bring back', key: 'A4 marsh-path a' },
    on: ignored,
    says: 'bring a finding back',
    makes: (p) => p.ignored,
    to: []
  },
  {
    act: { type: 'replace project', project: { ...demo, name: 'Another loom' } },
    says: 'open Another loom',
    makes: (p) => p.name,
    to: 'Another loom'
  },
  {
    act: {
      type: 'batch',
      acts: [
        { type: 'remove line', lineId: 'line-1' },
        { type: 'remove line', lineId: 'line-2' }
      ]
    },
    says: 'remove Dunmarrow Plover',
    makes: (p) => lines(p)[0],
    to: 'line-3'
  },
  { act: { type: 'batch', acts: [] }, says: 'nothing', makes: (p) => p.name, to: demo.name }
];

describe('every act', () => {
  it.each(cases.map((each) => [each.act.type, each.says, each] as const))(
    '%s does what it says: %s',
    (_type, says, { act, on = demo, makes, to }) => {
      expect(actWords(act, on, shelfOf(on))).toBe(says);
      expect(makes(applyAct(on, act))).toEqual(to);
    }
  );

  it.each(cases.map((each) => [each.act.type, each.says, each] as const))(
    '%s is taken back whole and done again: %s',
    (_type, _says, { act, on = demo }) => {
      const kept = structuredClone(on);
      const { project: after, change } = applyRecorded(on, act);
      expect(on).toEqual(kept);
      expect(after).toEqual(applyAct(on, act));
      expect(applyPatches(after, change.inverse)).toEqual(on);
      expect(applyPatches(applyPatches(after, change.inverse), change.patches)).toEqual(after);
    }
  );

  it('is one of every kind there is', () => {
    const kinds: Record<Act['type'], true> = {
      'add line': true,
      'change line': true,
      'step quantity': true,
      'remove line': true,
      'move line': true,
      'set rig': true,
      'set project': true,
      'change currency': true,
      'set pocket limit': true,
      'note prices': true,
      'set price alert': true,
      'put income': true,
      'remove income': true,
      'lock angle': true,
      'unlock angle': true,
      'put day log': true,
      'remove day log': true,
      'add scene': true,
      'change scene': true,
      'change angle': true,
      'add angle': true,
      'remove angle': true,
      'remove scene': true,
      'put gear': true,
      'put many gear': true,
      'remove gear': true,
      'add plan': true,
      'show plan': true,
      'rename plan': true,
      'remove plan': true,
      ignore: true,
      'bring back': true,
      'replace project': true,
      batch: true
    };
    expect(new Set(cases.map(({ act }) => act.type))).toEqual(new Set(Object.keys(kinds)));
  });
});

describe('an act that names what is not there', () => {
  const refused: [Act, RegExp, Project?][] = [
    [{ type: 'add line', line: { ...newLine, id: 'line-1' } }, /already in the plan/],
    [{ type: 'change line', lineId: 'gone', patch: {} }, /no line "gone"/],
    [{ type: 'remove line', lineId: 'gone' }, /no line "gone"/],
    [{ type: 'move line', lineId: 'gone', before: undefined }, /no line "gone"/],
    [{ type: 'change scene', sceneId: 'gone', patch: {} }, /no scene "gone"/],
    [{ type: 'remove scene', sceneId: 'gone' }, /no scene "gone"/],
    [{ type: 'add angle', sceneId: 'gone', angle: otherAngle }, /no scene "gone"/],
    [
      { type: 'change angle', sceneId: 'marsh-path', angleId: 'gone', patch: {} },
      /no angle "gone"/
    ],
    [{ type: 'remove angle', sceneId: 'marsh-path', angleId: 'a' }, /at least one angle/],
    [
      { type: 'remove angle', sceneId: 'marsh-path', angleId: 'gone' },
      /no angle "gone"/,
      withTwoAngles
    ],
    [{ type: 'remove income', incomeId: 'gone' }, /no income "gone"/],
    [{ type: 'lock angle', lock: { ...lock, angleId: 'gone' } }, /no angle "gone"/],
    [{ type: 'remove day log', logId: 'gone' }, /no day of the logbook "gone"/],
    [{ type: 'remove gear', gearId: 'gone' }, /no part of your own "gone"/],
    [{ type: 'show plan', planId: 'gone' }, /no plan "gone"/],
    [{ type: 'rename plan', planId: 'gone', name: 'x' }, /no plan "gone"/],
    [{ type: 'remove plan', planId: 'gone' }, /no plan "gone"/, withPlan],
    [
      { type: 'remove plan', planId: 'only' },
      /at least one plan/,
      { ...demo, plans: [{ id: 'only', name: 'only', lines: [], rigs: [] }] }
    ],
    [
      {
        type: 'batch',
        acts: [
          { type: 'remove line', lineId: 'line-1' },
          { type: 'remove line', lineId: 'gone' }
        ]
      },
      /no line "gone"/
    ]
  ];

  it.each(refused)('is refused with a sentence: %j', (act, says, on = demo) => {
    const kept = structuredClone(on);
    expect(() => applyAct(on, act)).toThrow(ActError);
    expect(() => applyAct(on, act)).toThrow(says);
    expect(on).toEqual(kept);
  });
});

describe('a part that leaves', () => {
  it('is forgotten by every rig that used it, with what hung on it', () => {
    const rigged = applyAct(demo, {
      type: 'set rig',
      sceneId: 'loom-lesson',
      angleId: 'a',
      patch: {
        bodyLineId: 'line-3',
        lensLineId: 'line-4',
        focalLengthMm: 17,
        apertureN: 4,
        micLineId: 'line-1',
        micPlace: 'boom arm',
        supportLineId: 'line-5',
        filterLineId: 'line-6',
        lamps: [{ lineId: 'line-2', distanceM: 1, angleDeg: 40 }]
      }
    });
    const left = ['line-1', 'line-2', 'line-3', 'line-4', 'line-5', 'line-6'].reduce(
      (project, lineId) => applyAct(project, { type: 'remove line', lineId }),
      rigged
    );
    const rig = activePlan(left).rigs.find((rig) => rig.sceneId === 'loom-lesson')!;
    expect(rig).toEqual({ sceneId: 'loom-lesson', angleId: 'a', lamps: [] });
  });
});
