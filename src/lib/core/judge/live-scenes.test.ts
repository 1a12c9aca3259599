import { describe, expect, it } from 'vitest';
import { activePlan } from '../model/active-plan';
import type { GearOf } from '../model/gear';
import type { Project } from '../model/project';
import { suppliesOfDays } from '../supplies/supplies-of-days';
import { calmKit, codes, judged, line, ownCopy, without } from './tests/calm-kit';

/** The calm talk going out live by USB, in takes longer than the body's clips and on a card too small. */
function live(isRecorded?: true): Project {
  const project = calmKit();
  ownCopy<GearOf<'body'>>(project, 'orrowby-linnet-ii', (gear) => {
    gear.usbVideo = true;
    for (const mode of gear.modes) {
      delete mode.noRecordLimit;
      mode.recordLimitMin = 29;
    }
  });
  Object.assign(project.scenes[0]!, {
    live: true,
    liveIsRecorded: isRecorded,
    longestTakeMin: 55,
    recordedMin: 55
  });
  return project;
}

describe('a scene that only goes out live', () => {
  it('is recorded nowhere: no card is missing or full, no clip ends, no copy is asked for', () => {
    const project = live();
    without(project, 'quillfeather-sd-128-v30');
    without(project, 'pellamund-cellar-1-tb');
    const found = codes(project);
    for (const code of ['T1', 'T2', 'T3', 'T4', 'B4', 'A7', 'B11'] as const)
      expect(found, code).not.toContain(code);
    const { findings, angles } = judged(project);
    expect(findings.map((finding) => finding.title())).not.toContain('Nothing to record on');
    const { record } = angles[0]!;
    expect([record.sizeNeeded, record.recordLimit, record.recordings, record.copies]).toEqual([
      undefined,
      undefined,
      undefined,
      undefined
    ]);
  });

  it('is recorded after all where the brief says so', () => {
    const project = live(true);
    expect(codes(project)).toContain('B4');
    without(project, 'quillfeather-sd-128-v30');
    expect(judged(project).findings.map((finding) => finding.title())).toContain(
      'Nothing to record on'
    );
  });

  it('leaves the cards to the scenes that are recorded', () => {
    const project = live();
    const recorded = { ...structuredClone(project.scenes[0]!), id: 'later', live: false };
    project.scenes.push({ ...recorded, longestTakeMin: 5, recordedMin: 20 });
    without(project, 'quillfeather-sd-128-v30');
    const missing = judged(project).findings.find(
      (finding) => finding.title() === 'Nothing to record on'
    );
    expect(missing?.sceneIds).toEqual(['later']);
  });
});

describe('the chain of a live scene', () => {
  const found = (project: Project, code: string) =>
    judged(project).findings.some((finding) => finding.code === code);

  it('is held by a clamp or a cage, and is nobody’s worry where nothing goes out', () => {
    const project = live();
    expect(found(project, 'B21')).toBe(true);
    const clamped = live();
    activePlan(clamped).lines.push(line('nibsworth-cable-clamp'));
    expect(found(clamped, 'B21')).toBe(false);
    expect(found(calmKit(), 'B21')).toBe(false);
  });

  it('needs a network outdoors, which a router or a phone that films brings', () => {
    const outside = live();
    delete outside.scenes[0]!.room;
    expect(found(outside, 'B20')).toBe(true);
    activePlan(outside).lines.push(line('nibsworth-relay-pocket'));
    expect(found(outside, 'B20')).toBe(false);
    expect(found(live(), 'B20')).toBe(false);
  });

  it('has its router run on what it holds: a long day away empties it', () => {
    const outside = live();
    delete outside.scenes[0]!.room;
    Object.assign(outside.scenes[0]!, { daysWithoutSocket: 1, recordedMin: 400 });
    activePlan(outside).lines.push(line('nibsworth-relay-pocket'));
    const rigs = judged(outside).angles.map(({ rig }) => rig);
    const { shared } = suppliesOfDays(rigs)[0]!.energy;
    const router = shared!.consumers.find(({ part }) => part.gear.kind === 'router')!;
    // 2.6 W for 400 minutes out of 11.1 Wh; the bank of the kit, if any, does not reach it.
    expect(router.need).toBeCloseTo(17.33, 2);
    expect(router.got).toBeLessThan(router.need);
  });
});

describe('a live picture over HDMI', () => {
  const told = (body: Partial<GearOf<'body'>>, ...more: string[]) => {
    const project = live();
    ownCopy<GearOf<'body'>>(project, 'orrowby-linnet-ii', (gear) => Object.assign(gear, body));
    activePlan(project).lines.push(...more.map((id) => line(id)));
    const found = judged(project).findings.find(({ code }) => code === 'B5');
    return found && [found.severity, found.title()];
  };
  const menus = ['stop', 'The live picture carries the menus'];
  const lead = ['stop', 'No cable for the video output'];
  const unstated = ['note', 'It is not stated whether the live picture is clean'];
  const capture = 'nibsworth-weir-plus';
  const cable = 'nibsworth-hdmi-cable-d-to-a-1-m';

  it('is stopped by the body before any lead is looked at: a missing one does not hide the menus', () => {
    for (const more of [[], [capture], [capture, cable], ['tesselind-pane-5']])
      expect(told({ usbVideo: false, cleanOutput: false }, ...more), more.join()).toEqual(menus);
  });

  it('wants its way into the computer, lead and all, from a body that sends it clean', () => {
    const clean = { usbVideo: false, cleanOutput: true };
    expect(told(clean)).toEqual(['stop', 'The computer cannot take the picture']);
    expect(told(clean, capture)).toEqual(lead);
    expect(told(clean, capture, cable)).toBeUndefined();
    // The lead to the monitor alone is a thing of the bag.
    expect(told({ usbVideo: true, cleanOutput: true }, 'tesselind-pane-5')).toEqual([
      'note',
      'No cable for the video output'
    ]);
  });

  it('is asked about where nobody states what would decide it', () => {
    for (const cleanOutput of [undefined, false])
      expect(told({ usbVideo: undefined, cleanOutput } as never, capture, cable)).toEqual(unstated);
    expect(told({ usbVideo: undefined, cleanOutput: true } as never, capture, cable)).toBe(
      undefined
    );
  });
});
