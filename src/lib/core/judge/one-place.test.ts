import { describe, expect, it } from 'vitest';
import type { GearOf } from '../model/gear';
import type { Project } from '../model/project';
import { shelfOf } from '../../catalogue/load-catalogue';
import { remediesFor } from './settle';
import { activePlan } from '../model/active-plan';
import { calmKit, judged, line, ownCopy, swap, walkOutside, without } from './tests/calm-kit';
import { causes } from './tests/causes';

const found = (project: Project, code: string) =>
  judged(project).findings.find((finding) => finding.code === code);

describe('a video output that is used once', () => {
  const liveWithMonitor = (): Project => {
    const project = calmKit();
    causes.B19!(project);
    return project;
  };

  it('is told where callers and a monitor want it', () => {
    expect(found(liveWithMonitor(), 'B19')?.title()).toBe(
      'Linnet II has one video output for Weir Plus and Pane 5'
    );
  });

  it('is silent where the monitor passes the picture on, where the body is a camera over USB, and off the air', () => {
    const passing = liveWithMonitor();
    swap(passing, 'tesselind-pane-5', 'tesselind-pane-5-through');
    expect(found(passing, 'B19'), 'without the lead that goes on').toBeDefined();
    activePlan(passing).lines.push(line('nibsworth-hdmi-cable-a-to-a-2-m'));
    expect(found(passing, 'B19')).toBeUndefined();
    const overUsb = liveWithMonitor();
    ownCopy<GearOf<'body'>>(overUsb, 'orrowby-linnet-ii', (gear) => (gear.usbVideo = true));
    expect(found(overUsb, 'B19')).toBeUndefined();
    const recorded = liveWithMonitor();
    recorded.scenes[0]!.live = false;
    expect(found(recorded, 'B19')).toBeUndefined();
  });

  it('is mended by the lead a passing monitor lacks, and by such a monitor with its lead', () => {
    const labels = (project: Project) => {
      const judgement = judged(project);
      const told = judgement.findings.find(({ code }) => code === 'B19')!;
      return remediesFor(project, shelfOf(project), judgement, told)
        .filter(({ mends }) => mends)
        .map(({ label }) => label);
    };
    expect(labels(liveWithMonitor()).join()).toContain('Swap to Pane 5 through');
    const passing = liveWithMonitor();
    swap(passing, 'tesselind-pane-5', 'tesselind-pane-5-through');
    expect(labels(passing)).toContain('Add HDMI cable A to A, 2 m');
  });

  it('is silent while there is no body yet whose output it could be', () => {
    const bodiless = liveWithMonitor();
    swap(bodiless, 'tesselind-pane-5', 'tesselind-pane-5-through');
    without(bodiless, 'orrowby-linnet-ii');
    expect(found(bodiless, 'B19')).toBeUndefined();
    for (const finding of judged(bodiless).findings) expect(finding.title()).not.toBe('');
  });
});

describe('a piece that joins one place at a time', () => {
  const spoilt = (cause: string): Project => {
    const project = calmKit();
    causes[cause]!(project);
    return project;
  };
  const more = (project: Project, gearId: string) => {
    activePlan(project).lines.find((line) => line.gearId === gearId)!.quantity = 2;
    return project;
  };

  it('is told where two lamps want the one stud adapter, and neither is a reason to stop', () => {
    const told = found(spoilt('W6'), 'W6')!;
    expect([told.severity, told.title()]).toEqual([
      'warn',
      'Talk: one Stud adapter 5/8 to 1/4 for Tile 12 to Stand 2 and Ember clip to Stand 2.6 cushioned'
    ]);
  });

  it('stops a scene of two angles whose cameras want the one thread adapter', () => {
    const told = found(spoilt('W6/angles'), 'W6')!;
    expect(told.severity).toBe('stop');
    expect(told.title()).toBe(
      'Talk: one Thread adapter 1/4 in 3/8 for Linnet II to Acre tripod bare and Linnet to Acre tripod bare'
    );
  });

  it('is told of the one video cable before and behind a monitor that passes the picture on', () => {
    const live = spoilt('B19');
    swap(live, 'tesselind-pane-5', 'tesselind-pane-5-through');
    ownCopy<GearOf<'body'>>(live, 'orrowby-linnet-ii', (gear) => {
      gear.usbVideo = false;
      for (const port of gear.ports) if (port.family === 'video') port.type = 'HDMI A';
    });
    activePlan(live).lines.push(line('nibsworth-hdmi-cable-a-to-a-2-m'));
    expect(found(live, 'B19')).toBeUndefined();
    expect(found(live, 'W6')?.title()).toBe(
      'Talk: one HDMI cable A to A, 2 m for Linnet II to Pane 5 through and Pane 5 through to Weir Plus'
    );
    expect(found(more(live, 'nibsworth-hdmi-cable-a-to-a-2-m'), 'W6')).toBeUndefined();
  });

  it('counts two of one part as two', () => {
    const alike = spoilt('W6/angles');
    without(alike, 'orrowby-linnet');
    activePlan(alike).lines.find(({ gearId }) => gearId === 'orrowby-linnet-ii')!.quantity = 2;
    expect(found(alike, 'W6')?.severity).toBe('stop');
  });

  it('is silent with one for each, with one joint alone, and where a lamp holds itself', () => {
    expect(found(more(spoilt('W6'), 'nibsworth-stud-adapter-5-8-to-1-4'), 'W6')).toBeUndefined();
    expect(
      found(more(spoilt('W6/angles'), 'nibsworth-thread-adapter-1-4-in-3-8'), 'W6')
    ).toBeUndefined();
    const oneLamp = spoilt('W6');
    without(oneLamp, 'brackenholt-ember-clip');
    expect(found(oneLamp, 'W6')).toBeUndefined();
    const oneAngle = spoilt('W6/angles');
    oneAngle.scenes[0]!.angles.pop();
    expect(found(oneAngle, 'W6')).toBeUndefined();
  });

  it('is silent where another way round leaves a piece for each', () => {
    // The stand of one lamp may be reached through a clamp with a stud as well.
    const project = spoilt('W6');
    activePlan(project).lines.push(
      line('nibsworth-thread-adapter-1-4-in-3-8'),
      line('nibsworth-stud-adapter-5-8-to-1-4', { id: 'another' })
    );
    expect(found(project, 'W6')).toBeUndefined();
  });
});

describe('minutes to the heat limit', () => {
  const hot = (change: (project: Project) => void): string | undefined => {
    const project = calmKit();
    ownCopy<GearOf<'body'>>(project, 'orrowby-linnet-ii', (gear) =>
      gear.modes.forEach((mode) => (mode.heatMinutesAt20C = 30))
    );
    project.scenes[0]!.longestTakeMin = 200;
    change(project);
    return (found(project, 'B4') ?? found(project, 'B15'))?.why();
  };

  it('are told as stated where nothing differs from what was stated', () => {
    const why = hot((project) => (project.scenes[0]!.temperatureC = 20));
    expect(why).toContain('overheats after 30 min in this mode as stated, in the shade at 20 °C');
    expect(why).not.toContain('and here');
  });

  it('are corrected to the air and the sun of the place, and say by what', () => {
    const warm = hot((project) => (project.scenes[0]!.temperatureC = 30));
    expect(warm).toMatch(/as stated, in the shade at 20 °C, and here, at 30 °C, after about \d/);
    const sunny = hot((project) => {
      walkOutside(project);
      Object.assign(project.scenes[0]!, {
        temperatureC: 28,
        lightSource: 'sky',
        lightBrightLx: 100_000,
        longestTakeMin: 200
      });
    });
    expect(sunny).toMatch(/and here, at 28 °C and in full sun, after about \d/);
  });
});

describe('a camera on the floor', () => {
  it('is held by legs: what clamps to a shelf holds it on the bench alone', () => {
    const clamped = (cameraPlace: 'tripod' | 'tabletop'): Project => {
      const project = calmKit();
      swap(project, 'nibsworth-hob-mini-tripod-wide', 'nibsworth-nip-clamp-strong');
      project.scenes[0]!.angles[0]!.cameraPlace = cameraPlace;
      return project;
    };
    expect(judged(clamped('tabletop')).angles[0]!.rig.support?.gear.form).toBe('clamp');
    expect(judged(clamped('tripod')).angles[0]!.rig.support).toBeUndefined();
    expect(found(clamped('tripod'), 'M7')?.title()).toBe('Nothing to stand the camera on');
  });
});
