import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../catalogue/demos/saltmarsh-loom';
import { catalogue, shelfOf } from '../../../catalogue/load-catalogue';
import type { GearItem } from '../../model/gear';
import { newLine } from '../../model/new-line';
import { activePlan } from '../../model/active-plan';
import { newProject } from '../../model/new-project';
import type { PlanLine } from '../../model/plan';
import type { Project } from '../../model/project';
import { chooseRigs, rememberRigs } from './place-best-rigs';
import { completeKit } from '../complete-kit';
import { trackJudgement } from '../incremental';
import { judgePlan } from '../judge-plan';
import type { Judgement } from '../judgement';

/** The demo with a second of every kind that is chosen for an angle, so that there is something to choose. */
function kitWithChoices(): Project {
  const project = demoProject();
  const plan = activePlan(project);
  const shelf = shelfOf(project);
  const had = new Set(plan.lines.map(({ gearId }) => gearId));
  for (const kind of ['body', 'lens', 'support', 'microphone', 'lamp'] as const) {
    const more = shelf.ofKind(kind).filter(({ id }) => !had.has(id));
    for (const gear of [more[0]!, more[Math.floor(more.length / 2)]!])
      plan.lines.push(newLine(plan, gear));
  }
  return project;
}

const judged = (project: Project) => judgePlan(project, activePlan(project), shelfOf(project));
const usedIn = ({ angles }: Judgement) =>
  angles.map(({ rig }) => [
    rig.body?.line.id,
    rig.lens?.lineId,
    rig.support?.line.id,
    rig.mic?.line.id,
    rig.micPlace,
    rig.keyLamp?.part.line.id,
    rig.fillLamp?.part.line.id
  ]);
const said = (judgement: Judgement) =>
  judgement.findings.map((finding) => [finding.key, finding.severity, finding.title()]);

describe('parts chosen for an angle', () => {
  it('may be chosen elsewhere, and are taken up as plain data to the same judgement', () => {
    const alone = judged(kitWithChoices());
    const elsewhere = kitWithChoices();
    const chosen = structuredClone(
      chooseRigs(elsewhere, activePlan(elsewhere), shelfOf(elsewhere))
    );
    expect(chosen.some(({ way }) => way !== undefined)).toBe(true);
    const here = kitWithChoices();
    // A choice that is not the best shows that nothing is chosen again.
    const other = chosen.map((choice) => ({ ...choice, way: undefined }));
    rememberRigs(here, activePlan(here), shelfOf(here), other);
    expect(usedIn(judged(here))).not.toEqual(usedIn(alone));
    rememberRigs(here, activePlan(here), shelfOf(here), chosen);
    expect(usedIn(judged(here))).toEqual(usedIn(alone));
    expect(said(judged(here))).toEqual(said(alone));
  });

  it('are kept as before when asked to, but for what is new or gone', () => {
    const project = kitWithChoices();
    const before = judged(project);
    const shelf = shelfOf(project);
    const tryWith = (change: (now: Project) => void) => {
      const now = { ...project, plans: structuredClone(project.plans) };
      change(now);
      const tracked = trackJudgement(project, before);
      return completeKit(tracked, now, shelf, { howToPlace: 'as before' }).judgement;
    };
    const nothing = tryWith(() => undefined);
    expect(usedIn(nothing)).toEqual(usedIn(before));
    expect(nothing.merit).toEqual(before.merit);

    // Whatever is taken out or put in, each angle is equipped, and with nothing that is not there.
    for (const lineId of new Set(usedIn(before).flat())) {
      if (!activePlan(project).lines.some(({ id }) => id === lineId)) continue;
      const without = tryWith((now) => {
        const plan = activePlan(now);
        plan.lines = plan.lines.filter(({ id }) => id !== lineId);
      });
      expect(usedIn(without).flat()).not.toContain(lineId);
    }
    const gain = (gear: GearItem) => {
      const exact = { ...project, plans: structuredClone(project.plans) };
      activePlan(exact).lines.push(newLine(activePlan(exact), gear));
      const kept = tryWith((now) => activePlan(now).lines.push(newLine(activePlan(now), gear)));
      return [kept.merit.onceSettledHundredths, judged(exact).merit.onceSettledHundredths] as const;
    };
    const mics = shelf.ofKind('microphone');
    const gains = mics.map(gain);
    // What is new is tried: the best of them counts for all it is worth, to half a point.
    const best = (index: 0 | 1) => Math.max(...gains.map((gain) => gain[index]));
    expect(Math.abs(best(0) - best(1))).toBeLessThan(50);
    expect(best(0)).toBeGreaterThan(before.merit.onceSettledHundredths);
  });

  it('are the support and the lamps that are best together: a clamp holds the camera or the light', () => {
    const call = newProject('p', 'a call', {
      styles: ['live call'],
      limitMinor: 100_000,
      school: 'sound and light first',
      currency: 'GBP',
      mainsHz: 50,
      units: 'metric'
    });
    const { plans } = call;
    const ids = ['ellowen-slip-4', 'nibsworth-nip-clamp', 'nibsworth-phone-clamp'];
    const bulb = 'harkelow-bulb-daylight';
    const withParts = (...gearIds: string[]): Project => {
      const plan = { ...activePlan(call), lines: [] as PlanLine[] };
      for (const id of gearIds) {
        const pieces = id === bulb ? 2 : 1;
        plan.lines.push(newLine(plan, catalogue.byId.get(id)!, pieces));
      }
      return { ...call, plans: plans.map((other) => (other === activePlan(call) ? plan : other)) };
    };
    const placed = (project: Project) => {
      const { angles, merit } = judgePlan(project, activePlan(project), catalogue);
      const { support, fillLamp } = angles[0]!.rig;
      return {
        holds: support?.gear.id,
        fill: fillLamp?.part.gear.id,
        merit: merit.meritHundredths
      };
    };
    const both = placed(withParts(...ids, bulb, 'brackenholt-reed-60', 'harkelow-plain-tripod'));
    expect(both.holds).toBe('harkelow-plain-tripod');
    expect(both.fill).toBe('brackenholt-reed-60');
    // With the bulbs alone the clamp serves as well, and by the tripod alone nothing is gained.
    const bulbs = placed(withParts(...ids, bulb, 'harkelow-plain-tripod'));
    expect(bulbs.holds).toBe('nibsworth-nip-clamp');
    expect(both.merit).toBeGreaterThan(bulbs.merit);
  });
});
