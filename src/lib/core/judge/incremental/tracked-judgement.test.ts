import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoProject } from '$lib/catalogue/demos/saltmarsh-loom';
import { catalogue, shelfOf } from '$lib/catalogue/load-catalogue';
import type { Act } from '../../acts/act';
import { applyAct } from '../../acts/apply-act';
import { figureOf } from '../../figures/record';
import { swapFor } from '../../findings/part-candidates';
import { newLine } from '../../model/new-line';
import type { Project } from '../../model/project';
import { activePlan } from '../../model/active-plan';
import { judgePlan } from '../judge-plan';
import type { Judgement } from '../judgement';
import { trackJudgement } from '.';

const demo = demoProject();
const shelf = shelfOf(demo);
const lines = activePlan(demo).lines;
const parts = catalogue.items;

/** Everything a judgement says, words included. */
function said({ angles, findings, merit, money }: Judgement) {
  return {
    figures: angles.map(({ record }) => [...record.states, ...record.values]),
    findings: findings.map((finding) => ({
      key: finding.key,
      severity: finding.severity,
      has: finding.has,
      needs: finding.needs,
      lines: finding.lineIds,
      words: `${finding.title()} ${finding.why()}`
    })),
    merit,
    firm: money.firmMinor
  };
}

function judged(project: Project, before?: Judgement): Judgement {
  return judgePlan(
    project,
    activePlan(project),
    shelfOf(project),
    before ? { before: trackJudgement(demo, before) } : {}
  );
}

const anyPart = fc.nat(parts.length - 1).map((index) => parts[index]!);
const anyLine = fc.nat(lines.length - 1).map((index) => lines[index]!);
const anyAngle = fc
  .nat(demo.scenes.length - 1)
  .map((index) => demo.scenes[index]!)
  .map(({ id, angles }) => ({ sceneId: id, angleId: angles[0]!.id }));

/** What people and remedies do to a plan, and to the brief beside it. */
const anyAct: fc.Arbitrary<Act> = fc.oneof(
  {
    weight: 4,
    arbitrary: fc
      .tuple(anyLine, anyPart)
      .map(([line, gear]): Act => swapFor(line.id)(newLine(activePlan(demo), gear)))
  },
  {
    weight: 4,
    arbitrary: anyPart.map((gear): Act => ({
      type: 'add line',
      line: newLine(activePlan(demo), gear)
    }))
  },
  { weight: 2, arbitrary: anyLine.map((line): Act => ({ type: 'remove line', lineId: line.id })) },
  anyLine.map((line): Act => ({ type: 'change line', lineId: line.id, patch: { step: 'later' } })),
  anyLine.map((line): Act => ({ type: 'change line', lineId: line.id, patch: { quantity: 2 } })),
  anyLine.map((line): Act => ({ type: 'move line', lineId: line.id, before: lines[0]!.id })),
  fc
    .tuple(anyAngle, fc.double({ min: 1.4, max: 16, noNaN: true }))
    .map(([angle, apertureN]): Act => ({ type: 'set rig', ...angle, patch: { apertureN } })),
  fc
    .tuple(anyAngle, fc.constantFrom('boom arm', 'shoe', 'lavalier'))
    .map(([angle, micPlace]): Act => ({ type: 'set rig', ...angle, patch: { micPlace } }) as Act),
  fc
    .tuple(anyAngle, fc.integer({ min: 0, max: 9 }))
    .map(([{ sceneId }, windMps]): Act => ({ type: 'change scene', sceneId, patch: { windMps } })),
  fc.constantFrom<Act>(
    { type: 'set project', patch: { units: 'imperial' } },
    { type: 'set project', patch: { mainsHz: 60 } },
    { type: 'set project', patch: { carriedLimitKg: 0.5 } },
    { type: 'set project', patch: { school: 'buy once' } }
  )
);

describe('a plan judged incrementally', () => {
  const before = judged(demo);

  it('is judged as if it were judged from nothing, figure by figure and word by word', () => {
    fc.assert(
      fc.property(fc.array(anyAct, { minLength: 1, maxLength: 3 }), (acts) => {
        let project = demo;
        for (const act of acts) {
          try {
            project = applyAct(project, act);
          } catch {
            // A second act may name a line the first took out: nobody can do that either.
          }
        }
        expect(said(judged(project, before))).toEqual(said(judged(project)));
      }),
      { numRuns: 400 }
    );
  });

  it('is judged so with two angles, unknown figures and open joints too', () => {
    const bare: Project = {
      ...demo,
      scenes: demo.scenes.map((scene) => ({
        ...scene,
        angles: [...scene.angles, { ...scene.angles[0]!, id: 'second', name: 'second' }]
      })),
      ownGear: parts.slice(0, 60).map((gear) => ({ ...gear, massG: undefined }) as never)
    };
    const first = judgePlan(bare, activePlan(bare), shelfOf(bare));
    fc.assert(
      fc.property(anyAct, (act) => {
        const project = applyAct(bare, act);
        const again = judgePlan(project, activePlan(project), shelfOf(project), {
          before: trackJudgement(bare, first)
        });
        expect(said(again)).toEqual(
          said(judgePlan(project, activePlan(project), shelfOf(project)))
        );
      }),
      { numRuns: 150 }
    );
  });

  it('supposes an answer as a whole judging does', () => {
    const linnet = shelf.byId.get('orrowby-linnet')!;
    const project: Project = {
      ...demo,
      ownGear: [{ ...linnet, drawW: undefined } as never]
    };
    const known = shelfOf(project);
    const first = judgePlan(project, activePlan(project), known);
    const lineId = lines.find((line) => line.gearId === linnet.id)!.id;
    const question = first.findings.find(
      (finding) => finding.code === 'Q1' && finding.lineIds?.includes(lineId)
    )!;
    for (const value of [3, 6, 12]) {
      const answer = { leaf: question.figure!, lineId, value };
      const again = judgePlan(project, activePlan(project), known, {
        answer,
        before: trackJudgement(project, first)
      });
      expect(said(again)).toEqual(said(judgePlan(project, activePlan(project), known, { answer })));
      expect(figureOf(again.angles[0]!.record, question.figure!)).toBe(value);
    }
  });

  it('keeps the very findings a swap leaves alone', () => {
    const mic = before.kit.of('microphone')[0]!;
    const other = catalogue.ofKind('microphone').find((gear) => gear.id !== mic.gear.id)!;
    const project = applyAct(demo, swapFor(mic.line.id)(newLine(activePlan(demo), other)));
    const again = judged(project, before);
    const kept = again.findings.filter((finding) => before.findings.includes(finding));
    expect(kept.length).toBeGreaterThan(5);
    const last = demo.scenes.length - 1;
    expect(again.angles[last]!.record).toBe(before.angles[last]!.record);
  });
});
