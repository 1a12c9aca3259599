import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoProject } from '../../catalogue/demos/saltmarsh-loom';
import { catalogue, shelfOf } from '../../catalogue/load-catalogue';
import type { Act } from '../acts/act';
import { applyAct } from '../acts/apply-act';
import { chainProposals } from '../findings/chain-proposals';
import type { Finding } from '../findings/finding';
import { morePieces } from '../findings/handling/contested-joints';
import { swapFor } from '../findings/part-candidates';
import type { GearItem } from '../model/gear';
import { newLine } from '../model/new-line';
import { activePlan } from '../model/active-plan';
import type { Project } from '../model/project';
import type { ConnectionPurpose } from '../rigs/connection';
import { completeKit } from './complete-kit';
import { completeJudgement, judgePlan } from './judge-plan';
import type { Judgement } from './judgement';
import { calmKit, judged, line, swap, without } from './tests/calm-kit';
import { PlanEvaluation, trackJudgement } from './incremental';

/** Which joints each code speaks of, written down a second time on purpose. */
const purposes: Record<string, ConnectionPurpose[]> = {
  A11: ['microphone into input'],
  B3: ['microphone into input'],
  B5: ['picture out'],
  G10: ['lamp beside the key held'],
  L1: ['lens on body'],
  L8: ['filter on lens'],
  P3: ['power into body'],
  P7: ['power for its own'],
  T3: ['card in its slot'],
  W6: [],
  S5: ['camera held', 'microphone held', 'lamp held', 'monitor held']
};
const ROUNDS = 6;

const judgedWhole = (project: Project): Judgement =>
  judgePlan(project, activePlan(project), shelfOf(project));

/** The cheapest way to close one finding, asked of a judgement made from nothing. */
function closing(project: Project, judgement: Judgement, open: Finding): Act | undefined {
  const shelf = shelfOf(project);
  const plan = activePlan(project);
  if (open.row.scope === 'plan') {
    const { kit, money, angles } = judgement;
    const rigs = angles.map(({ rig }) => rig);
    const [first] = open.row.propose({ project, plan, shelf, kit, money, rigs, angles }, open);
    if (first && !('parts' in first)) return first.act;
    return first?.parts[0] ? { type: 'add line', line: newLine(plan, first.parts[0]) } : undefined;
  }
  const angle = judgement.angles.find(
    (angle) => angle.scene.id === open.sceneId && angle.angle.id === open.angleId
  )!;
  if (open.code === 'W6') return morePieces({ shelf, project, plan }, [angle.rig])[0]?.act;
  for (const purpose of purposes[open.code]!) {
    const [first] = chainProposals({ rig: angle.rig, shelf, project, plan }, purpose);
    if (first) return first.act;
  }
  return undefined;
}

/** As if what joins a part and comes along with it were there. */
const judgedBesideComing = (project: Project): Judgement =>
  completeJudgement(
    new PlanEvaluation(project, activePlan(project), shelfOf(project), undefined, undefined, {
      besideComing: true
    })
  );

/** Joint after joint, the whole judged from nothing each time: slow and plainly right. */
function completedByTrying(before: Judgement, changed: Project) {
  const keys = new Set(before.findings.map(({ key }) => key));
  const tried = new Set<string>();
  const acts: Act[] = [];
  let project = changed;
  let judgement = judgedBesideComing(project);
  for (let round = 0; round < ROUNDS; round++) {
    const open = judgement.findings.find(
      (finding) =>
        ((finding.row.scope !== 'plan' && finding.code in purposes) ||
          finding.comesAlong === true) &&
        !tried.has(finding.key) &&
        !keys.has(finding.key)
    );
    if (!open) break;
    tried.add(open.key);
    const act = closing(project, judgement, open);
    if (!act) continue;
    acts.push(act);
    project = applyAct(project, act);
    judgement = judgedBesideComing(project);
  }
  return { acts, judgement: judgedWhole(project) };
}

const said = ({ findings, merit, money }: Judgement) => ({
  findings: findings.map((finding) => [
    finding.key,
    finding.severity,
    finding.title(),
    finding.why()
  ]),
  merit,
  lines: money.lines.map(({ line: { gearId, quantity } }) => `${quantity} ${gearId}`),
  firm: money.firmMinor
});

describe('a kit completed after a change', () => {
  const demo = demoProject();
  const shelf = shelfOf(demo);
  const before = judgedWhole(demo);
  const lines = activePlan(demo).lines;
  const anyPart = fc.nat(catalogue.items.length - 1).map((index) => catalogue.items[index]!);

  const compare = (gear: GearItem, replacedAt: number | undefined) => {
    const fresh = newLine(activePlan(demo), gear);
    const act: Act =
      replacedAt === undefined
        ? { type: 'add line', line: fresh }
        : swapFor(lines[replacedAt]!.id)(fresh);
    const changed = applyAct(demo, act);
    const quick = completeKit(trackJudgement(demo, before), changed, shelf);
    const slow = completedByTrying(before, changed);
    expect(quick.acts, gear.id).toEqual(slow.acts);
    expect(said(quick.judgement), gear.id).toEqual(said(slow.judgement));
    expect(quick.project).toEqual(
      quick.acts.reduce((project, act) => applyAct(project, act), changed)
    );
  };

  it('comes out as if all had been judged from nothing after every joint, whatever part comes', () => {
    for (const gear of catalogue.items) compare(gear, undefined);
  });

  it('and whatever it comes in place of', () => {
    fc.assert(
      fc.property(anyPart, fc.nat(lines.length - 1), (gear, index) => compare(gear, index)),
      { numRuns: 60 }
    );
  });

  it('leaves alone what was open before the change', () => {
    const project = calmKit();
    without(project, 'nibsworth-cable-trrs-to-trs');
    const open = judged(project);
    expect(open.findings.some(({ code }) => code === 'B3')).toBe(true);
    const changed = applyAct(project, {
      type: 'add line',
      line: line('quillfeather-sd-128-v30', { id: 'one more' })
    });
    const { acts, judgement } = completeKit(
      trackJudgement(project, open),
      changed,
      shelfOf(project)
    );
    expect(acts).toEqual([]);
    expect(judgement.findings.some(({ code }) => code === 'B3')).toBe(true);
  });

  it('closes it all the same when that is what is being mended', () => {
    const project = calmKit();
    without(project, 'nibsworth-cable-trrs-to-trs');
    const open = judged(project);
    const mending = open.findings.find(({ code }) => code === 'B3')!;
    const { acts, judgement } = completeKit(
      trackJudgement(project, open),
      project,
      shelfOf(project),
      { mending: mending.key }
    );
    expect(acts).toHaveLength(1);
    expect(judgement.findings.some(({ code }) => code === 'B3')).toBe(false);
    expect(judgement.money.lines.map(({ gear }) => gear?.model)).toContain('Cable TRRS to TRS');
  });

  it('brings the stand a lamp needs, and says so in its lines', () => {
    const project = calmKit();
    without(project, 'quillfeather-ray-65-two-colour-55-cm-dome');
    without(project, 'brackenholt-stand-2');
    const bare = judged(project);
    const changed = applyAct(project, {
      type: 'add line',
      line: line('quillfeather-ray-65-two-colour-55-cm-dome')
    });
    const { acts, judgement } = completeKit(
      trackJudgement(project, bare),
      changed,
      shelfOf(project)
    );
    expect(acts.length).toBeGreaterThan(0);
    expect(
      judgement.money.lines.some(
        ({ gear }) => gear?.kind === 'support' && gear.form === 'light stand'
      )
    ).toBe(true);
  });

  it('gives up on a joint nothing on the shelf closes, and goes on with the rest', () => {
    const project = calmKit();
    const before = judged(project);
    const changed = structuredClone(project);
    // No adapter carries this lens; its microphone all the same gets its lead.
    swap(changed, 'pellamund-24-f-1-5', 'tesselind-21-f-2');
    without(changed, 'nibsworth-cable-trrs-to-trs');
    const bareShelf = {
      ...shelfOf(project),
      items: catalogue.items.filter(({ kind }) => kind !== 'mount adapter'),
      ofKind: ((kind) =>
        kind === 'mount adapter' ? [] : catalogue.ofKind(kind)) as typeof catalogue.ofKind
    };
    const { judgement } = completeKit(trackJudgement(project, before), changed, bareShelf);
    const codes = judgement.findings.map(({ code }) => code);
    expect(codes).toContain('L1');
    expect(codes).not.toContain('B3');
  });
});
