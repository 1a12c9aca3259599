import { describe, expect, it } from 'vitest';
import { shelfOf } from '../../catalogue/load-catalogue';
import { applyAct } from '../acts/apply-act';
import { severityRank } from '../findings/finding';
import { findingTable } from '../findings/table';
import type { GearOf } from '../model/gear';
import type { Project } from '../model/project';
import { activePlan } from '../model/active-plan';
import { calmKit, codes, judged, line, ownCopy } from './tests/calm-kit';
import { causes } from './tests/causes';
import { remediesFor } from './settle';

/** Codes that always carry the figure they have and the figure they need. */
const withFigures = new Set(
  'B2 B3 B4 B5 B8 L1 L2 L3 L4 L5 L6 L8 A1 A2 A3 A4 G1 G2 G5 S1 S5 T1 T2 P1 P2 P3 P7 M1 M2 M4 M7 B11 B12 B14 B15 L9 A11 A13 G4 G7 G8 G9 S3 S4 S6 S7 P4 P5 M3 M5 M6 W1 W2 W3'.split(
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
    const codes = (list: string[]) => [...new Set(list)].sort();
    expect(codes(Object.keys(causes).map((key) => key.split('/')[0]!))).toEqual(
      codes(findingTable.map((row) => row.code))
    );
  });
});

describe.each(Object.entries(causes))('%s', (name, spoil) => {
  const [code, about] = name.split('/') as [string, string?];
  const project = calmKit();
  spoil(project);
  const judgement = judged(project);
  const isIt = (finding: { code: string; about?: string | undefined }) =>
    finding.code === code && (about === undefined || (finding.about ?? '').includes(about));
  const finding = judgement.findings.find(isIt)!;

  it('appears when its cause is there and not without it', () => {
    expect(judged(calmKit()).findings.some(isIt)).toBe(false);
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
      const rest = after.findings.find((other) => other.key === finding.key);
      if (remedy.mends) expect(rest, remedy.label).toBeUndefined();
      else expect(rest, remedy.label).toBeDefined();
      expect(after.money.firmMinor - judgement.money.firmMinor, remedy.label).toBe(
        remedy.costMinor
      );
      const before = new Map(
        judgement.findings.map((finding) => [finding.key, severityRank(finding.severity)])
      );
      const newStops = after.findings.filter(
        (finding) =>
          finding.severity === 'stop' && (before.get(finding.key) ?? -1) < severityRank('stop')
      );
      expect(
        newStops.map((finding) => finding.title()),
        remedy.label
      ).toEqual([]);
    }
  });
});

describe('a want that is only nice to have', () => {
  it('is told as good to know, not as a cost', () => {
    const project = calmKit();
    project.scenes[0]!.wantsBlurPercent = 3;
    const severity = () => judged(project).findings.find(({ code }) => code === 'L5')!.severity;
    expect(severity()).toBe('warn');
    project.scenes[0]!.niceToHave = ['soft background'];
    expect(severity()).toBe('note');
  });
});

describe('a monitor', () => {
  it('needs a lead of the right ends, and its remedy brings it', () => {
    const project = calmKit();
    activePlan(project).lines.push(line('tesselind-pane-5'));
    const judgement = judged(project);
    const lead = judgement.findings.find((finding) => finding.code === 'B5')!;
    expect([lead.severity, lead.title()]).toEqual(['note', 'No cable for the video output']);
    const [remedy] = remediesFor(project, shelfOf(project), judgement, lead);
    expect(remedy!.label).toBe('Add HDMI cable D to A, 1 m');
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

  it('of feet, stands and heights are asked for where they decide whether something falls', () => {
    const indoors = calmKit();
    ownCopy<GearOf<'support'>>(
      indoors,
      'nibsworth-hob-mini-tripod-wide',
      (gear) => delete gear.footRadiusM
    );
    ownCopy<GearOf<'support'>>(indoors, 'brackenholt-stand-2', (gear) => {
      delete gear.payloadKg;
      delete gear.footRadiusM;
      delete gear.heightMaxM;
    });
    const asked = (project: Project) =>
      judged(project)
        .findings.filter(({ code }) => code === 'Q1')
        .map((finding) => finding.title());
    expect(asked(indoors)).toContain(
      'How wide do the feet of Nibsworth Hob mini tripod wide stand?'
    );
    expect(asked(indoors)).toContain('What may Brackenholt Stand 2 carry?');
    expect(asked(indoors)).not.toContain('How high does Brackenholt Stand 2 rise?');
    const outside = structuredClone(indoors);
    delete outside.scenes[0]!.room;
    outside.scenes[0]!.windMps = 7;
    expect(asked(outside)).toContain('How high does Brackenholt Stand 2 rise?');
  });

  it('never pass for fine: an unsaid payload, screen or price shows', () => {
    const project = calmKit();
    ownCopy<GearOf<'support'>>(
      project,
      'nibsworth-hob-mini-tripod-wide',
      (gear) => delete gear.payloadKg
    );
    expect(
      judged(project).findings.some(
        (finding) =>
          finding.code === 'Q1' &&
          finding.title() === 'What may Nibsworth Hob mini tripod wide carry?'
      )
    ).toBe(true);
  });
});
