import { describe, expect, it } from 'vitest';
import { demoProject } from '../../catalogue/demo-project';
import { catalogue, shelfOf } from '../../catalogue/load-catalogue';
import { applyAct } from '../acts/apply-act';
import { severityRank } from '../findings/finding';
import { findingTable } from '../findings/table';
import type { GearItem, GearOf } from '../model/gear';
import type { PlanLine } from '../model/plan';
import { activePlan, type Project } from '../model/project';
import { startScene } from '../model/scene-starts';
import { judgePlan } from './judge-plan';
import { remediesFor } from './settle';

const line = (gearId: string, more: Partial<PlanLine> = {}): PlanLine => ({
  id: gearId,
  gearId,
  quantity: 1,
  basis: 'new',
  state: 'wanted',
  step: 'now',
  locked: false,
  ...more
});

/** A seated talk with a kit nothing presses on: each test spoils one thing of it. */
function calmKit(): Project {
  const scene = {
    ...startScene('seated', [], 100),
    id: 'talk',
    name: 'Talk',
    wantsBlurPercent: 0,
    wantsFaceSharp: false,
    noiseDbA: 28
  };
  return {
    ...demoProject(),
    pocketLimitsMinor: {},
    limitMinor: 300_000,
    reserveMinor: 0,
    scenes: [scene],
    plans: [
      {
        id: 'plan-b',
        name: 'calm',
        rigs: [],
        lines: [
          line('dunmarrow-burr'),
          line('nibsworth-lead-trrs-to-trs'),
          line('quillfeather-ray-65-two-colour-55-cm-dome'),
          line('brackenholt-post-2'),
          line('orrowby-linnet-ii'),
          line('pellamund-24-f-1-5'),
          line('nibsworth-hob-legs-wide'),
          line('quillfeather-sd-128-v30'),
          line('quillfeather-ember-16-cell-twin'),
          line('quillfeather-dish-ember-16-two-bays'),
          line('withrick-pocket-scribe'),
          line('pellamund-cellar-1-tb'),
          line('nibsworth-reader-sd')
        ]
      }
    ]
  };
}

function judged(project: Project) {
  return judgePlan(project, activePlan(project), shelfOf(project));
}
const codes = (project: Project) =>
  new Set(judged(project).findings.map((finding) => finding.code));

function without(project: Project, gearId: string): void {
  const plan = activePlan(project);
  plan.lines = plan.lines.filter((one) => one.gearId !== gearId);
}
function swap(project: Project, from: string, to: string): void {
  const plan = activePlan(project);
  plan.lines = plan.lines.map((one) =>
    one.gearId === from ? line(to, { quantity: one.quantity }) : one
  );
}
function setRig(project: Project, rig: object): void {
  activePlan(project).rigs = [{ sceneId: 'talk', angleId: 'a', ...rig }];
}
function ownCopy<G extends GearItem>(
  project: Project,
  id: string,
  change: (gear: G) => void
): void {
  const copy = structuredClone(catalogue.byId.get(id)) as G;
  change(copy);
  project.ownGear.push(copy);
}

/** What brings each code into the calm kit. */
const causes: Record<string, (project: Project) => void> = {
  B1: (p) => swap(p, 'orrowby-linnet-ii', 'tesselind-vale'),
  B2: (p) => {
    swap(p, 'orrowby-linnet-ii', 'orrowby-linnet');
    swap(p, 'dunmarrow-burr', 'dunmarrow-perch-plain');
    activePlan(p).lines.push(line('quillfeather-ember-8-cell-twin'));
  },
  B3: (p) => without(p, 'nibsworth-lead-trrs-to-trs'),
  B4: (p) => {
    swap(p, 'orrowby-linnet-ii', 'orrowby-linnet');
    p.scenes[0]!.longestTakeMin = 40;
  },
  B5: (p) => {
    swap(p, 'orrowby-linnet-ii', 'orrowby-linnet');
    p.scenes[0]!.live = true;
  },
  B8: (p) => (p.scenes[0]!.fps = 60),
  L1: (p) => swap(p, 'pellamund-24-f-1-5', 'harkelow-26-f-2-8'),
  L2: (p) => swap(p, 'pellamund-24-f-1-5', 'pellamund-58-f-1-6'),
  L3: (p) => (p.scenes[0]!.angles[0]!.distanceM = 0.4),
  L4: (p) => {
    p.scenes[0]!.wantsFaceSharp = true;
  },
  L5: (p) => (p.scenes[0]!.wantsBlurPercent = 3),
  L6: (p) => {
    without(p, 'quillfeather-ray-65-two-colour-55-cm-dome');
    p.scenes[0]!.lightSource = 'as found';
    p.scenes[0]!.lightDimLx = 1;
  },
  L8: (p) => {
    delete p.scenes[0]!.room;
    p.scenes[0]!.lightSource = 'sky';
    p.scenes[0]!.lightDimLx = 20_000;
    p.scenes[0]!.lightBrightLx = 100_000;
  },
  A1: (p) => (p.scenes[0]!.noiseDbA = 44),
  A2: (p) => {
    swap(p, 'dunmarrow-burr', 'nibsworth-button');
    p.scenes[0]!.room!.feel = 'bare';
    p.scenes[0]!.angles[0]!.distanceM = 1.5;
  },
  A3: (p) => {
    delete p.scenes[0]!.room;
    p.scenes[0]!.windMps = 5;
    p.scenes[0]!.lightSource = 'as found';
    p.scenes[0]!.lightDimLx = p.scenes[0]!.lightBrightLx = 800;
    ownCopy<GearOf<'microphone'>>(p, 'dunmarrow-burr', (gear) => (gear.coverIncluded = 'none'));
  },
  A4: (p) => {
    swap(p, 'dunmarrow-burr', 'dunmarrow-perch');
  },
  A5: (p) => {
    swap(p, 'dunmarrow-burr', 'withrick-thimble-one');
    p.scenes[0]!.recordedMin = 400;
  },
  G1: (p) => {
    swap(p, 'quillfeather-ray-65-two-colour-55-cm-dome', 'brackenholt-tile-12');
    setRig(p, { apertureN: 8 });
  },
  G2: (p) => swap(p, 'quillfeather-ray-65-two-colour-55-cm-dome', 'brackenholt-tile-12'),
  G5: (p) => setRig(p, { shutterS: 1 / 60 }),
  S1: (p) =>
    ownCopy<GearOf<'support'>>(p, 'nibsworth-hob-legs-wide', (gear) => (gear.payloadKg = 0.7)),
  S5: (p) => {
    swap(p, 'quillfeather-ray-65-two-colour-55-cm-dome', 'brackenholt-reed-60');
  },
  T1: (p) => {
    swap(p, 'quillfeather-sd-128-v30', 'quillfeather-sd-64-v30');
    p.scenes[0]!.pixelsAcross = 3840;
    p.scenes[0]!.recordedMin = 110;
    activePlan(p).lines.find((one) => one.gearId === 'quillfeather-ember-16-cell-twin')!.quantity =
      3;
  },
  T2: (p) => {
    swap(p, 'quillfeather-sd-128-v30', 'quillfeather-sd-64-u1');
    p.scenes[0]!.pixelsAcross = 3840;
    p.scenes[0]!.recordedMin = 40;
  },
  T3: (p) => swap(p, 'quillfeather-sd-128-v30', 'quillfeather-microsd-128-v30'),
  P1: (p) => (p.scenes[0]!.longestTakeMin = p.scenes[0]!.recordedMin = 200),
  P2: (p) => {
    p.scenes[0]!.recordedMin = 330;
    activePlan(p).lines.find((one) => one.gearId === 'quillfeather-sd-128-v30')!.quantity = 4;
  },
  B6: (p) =>
    ownCopy<GearOf<'body'>>(p, 'orrowby-linnet-ii', (gear) =>
      gear.modes.forEach((mode) => (mode.faceFocus = mode.pixelsAcross > 1920))
    ),
  B7: (p) => {
    ownCopy<GearOf<'body'>>(
      p,
      'orrowby-linnet-ii',
      (gear) => (gear.runsFromMainsBlock = gear.runsFromUsb = false)
    );
    p.scenes[0]!.longestTakeMin = 60;
  },
  B9: (p) => {
    const scene = p.scenes[0]!;
    delete scene.room;
    Object.assign(scene, {
      style: 'walk',
      lightSource: 'as found',
      lightDimLx: 600,
      lightBrightLx: 600
    });
    scene.angles[0]!.cameraPlace = 'hand';
  },
  L7: (p) => {
    swap(p, 'dunmarrow-burr', 'nibsworth-button');
    p.scenes[0]!.noiseDbA = 20;
    p.scenes[0]!.angles[0]!.distanceM = 0.5;
    ownCopy<GearOf<'lens'>>(p, 'pellamund-24-f-1-5', (gear) => (gear.motorLevelDbA = 45));
  },
  A7: (p) => without(p, 'withrick-pocket-scribe'),
  A12: (p) => {
    swap(p, 'dunmarrow-burr', 'withrick-thimble-plug');
    swap(p, 'orrowby-linnet-ii', 'ellowen-slip-6');
    activePlan(p).lines.push(line('nibsworth-phone-jaw'));
    p.scenes[0]!.angles[0]!.distanceM = 9;
  },
  G3: (p) =>
    activePlan(p).lines.push(
      line('harkelow-paper-globe-40-bulb'),
      line('nibsworth-globe-clamp-on-stud')
    ) &&
    ownCopy<GearOf<'lamp'>>(
      p,
      'quillfeather-ray-65-two-colour-55-cm-dome',
      (gear) => (gear.colourMinK = 5600)
    ),
  G6: (p) => {
    swap(p, 'quillfeather-ray-65-two-colour-55-cm-dome', 'brackenholt-tile-12');
    activePlan(p).lines.push(line('nibsworth-spigot-5-8-to-1-4'));
  },
  S2: (p) => {
    swap(p, 'nibsworth-hob-legs-wide', 'harkelow-plain-legs');
    p.scenes[0]!.angles[0]!.cameraPlace = 'floor';
    p.scenes[0]!.style = 'evening';
  },
  P7: (p) => swap(p, 'dunmarrow-burr', 'harkelow-narrow'),
  T4: (p) => without(p, 'pellamund-cellar-1-tb'),
  T5: (p) => swap(p, 'withrick-pocket-scribe', 'withrick-scribe-float'),
  P6: (p) => activePlan(p).lines.push(line('pellamund-hearth-148')),
  W4: (p) => without(p, 'nibsworth-reader-sd'),
  M1: (p) => (p.limitMinor = 135_000),
  M2: (p) => (p.pocketLimitsMinor = { lens: 22_000 }),
  M4: (p) => {
    ownCopy<GearOf<'lens'>>(p, 'pellamund-24-f-1-5', (gear) => delete gear.priceUsed);
    activePlan(p).lines.find((one) => one.gearId === 'pellamund-24-f-1-5')!.basis = 'used';
  },
  M7: (p) => without(p, 'nibsworth-hob-legs-wide')
};

/** Codes that always carry the figure they have and the figure they need. */
const withFigures = new Set(
  'B2 B3 B4 B5 B8 L1 L2 L3 L4 L5 L6 L8 A1 A2 A3 A4 G1 G2 G5 S1 S5 T1 T2 P1 P2 M1 M2 M4 M7'.split(
    ' '
  )
);

describe('the calm kit', () => {
  it('has nothing that presses', () => {
    expect(
      judged(calmKit())
        .findings.filter((finding) => finding.severity !== 'note')
        .map((finding) => finding.title())
    ).toEqual([]);
  });

  it('knows a cause for every finding of the table', () => {
    expect(Object.keys(causes).sort()).toEqual(findingTable.map((row) => row.code).sort());
  });
});

describe.each(Object.entries(causes))('%s', (code, spoil) => {
  const project = calmKit();
  spoil(project);
  const judgement = judged(project);
  const finding = judgement.findings.find((one) => one.code === code)!;

  it('appears when its cause is there and not without it', () => {
    expect(codes(calmKit()).has(code)).toBe(false);
    expect(finding, [...codes(project)].join(' ')).toBeDefined();
    expect(finding.title().length).toBeGreaterThan(5);
    expect(finding.why()).toMatch(/[.?]$/);
    if (withFigures.has(code))
      expect([finding.has, finding.needs, finding.unit], code).not.toContain(undefined);
    for (const text of [finding.title(), finding.why()])
      expect(text).not.toMatch(/undefined|NaN|null/);
  });

  it('has remedies that mend it, or ease it, without a new stop', () => {
    const remedies = remediesFor(project, shelfOf(project), judgement, finding);
    expect(remedies.length, 'remedies').toBeGreaterThan(0);
    for (const remedy of remedies) {
      const after = judged(applyAct(project, remedy.act));
      const rest = after.findings.find((one) => one.key === finding.key);
      if (remedy.mends) expect(rest, remedy.label).toBeUndefined();
      else expect(rest, remedy.label).toBeDefined();
      expect(after.money.firmMinor - judgement.money.firmMinor, remedy.label).toBe(
        remedy.costMinor
      );
      const before = new Map(
        judgement.findings.map((one) => [one.key, severityRank(one.severity)])
      );
      const newStops = after.findings.filter(
        (one) => one.severity === 'stop' && (before.get(one.key) ?? -1) < severityRank('stop')
      );
      expect(
        newStops.map((one) => one.title()),
        remedy.label
      ).toEqual([]);
    }
  });
});

describe('a monitor', () => {
  it('wants a lead of the right ends, and its remedy brings it', () => {
    const project = calmKit();
    activePlan(project).lines.push(line('tesselind-pane-5'));
    const judgement = judged(project);
    const lead = judgement.findings.find((finding) => finding.code === 'B5')!;
    expect([lead.severity, lead.title()]).toEqual(['warn', 'No lead carries the picture out']);
    const [remedy] = remediesFor(project, shelfOf(project), judgement, lead);
    expect(remedy!.label).toBe('Add Picture lead D to A, 1 m');
    expect(codes(applyAct(project, remedy!.act)).has('B5')).toBe(false);
  });
});

describe('unknown figures', () => {
  it('raise a question that names the part instead of a verdict', () => {
    const project = calmKit();
    ownCopy<GearOf<'body'>>(project, 'orrowby-linnet-ii', (gear) => delete gear.drawW);
    const { findings, merit } = judged(project);
    const question = findings.find((finding) => finding.code === 'Q1')!;
    expect(question.title()).toBe('How many watts does Orrowby Linnet II draw while recording?');
    const scene = merit.scenes[0]!;
    expect(scene.axes.endurance!.low).toBeLessThan(scene.axes.endurance!.high);
    expect(scene.low).toBeLessThan(judged(calmKit()).merit.scenes[0]!.low);
  });

  it('never pass for fine: an unsaid payload, screen or price shows', () => {
    const project = calmKit();
    ownCopy<GearOf<'support'>>(project, 'nibsworth-hob-legs-wide', (gear) => delete gear.payloadKg);
    expect(
      judged(project).findings.some(
        (finding) =>
          finding.code === 'Q1' && finding.title() === 'What may Nibsworth Hob legs wide carry?'
      )
    ).toBe(true);
  });
});
