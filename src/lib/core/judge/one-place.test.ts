import { describe, expect, it } from 'vitest';
import type { GearOf } from '../model/gear';
import type { Project } from '../model/project';
import { calmKit, judged, ownCopy, swap, walkOutside, without } from './tests/calm-kit';
import { causes } from './tests/causes';

const found = (project: Project, code: string) =>
  judged(project).findings.find((one) => one.code === code);

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
    expect(found(passing, 'B19')).toBeUndefined();
    const overUsb = liveWithMonitor();
    ownCopy<GearOf<'body'>>(overUsb, 'orrowby-linnet-ii', (gear) => (gear.usbVideo = true));
    expect(found(overUsb, 'B19')).toBeUndefined();
    const recorded = liveWithMonitor();
    recorded.scenes[0]!.live = false;
    expect(found(recorded, 'B19')).toBeUndefined();
  });

  it('is silent while there is no body yet whose output it could be', () => {
    const bodiless = liveWithMonitor();
    swap(bodiless, 'tesselind-pane-5', 'tesselind-pane-5-through');
    without(bodiless, 'orrowby-linnet-ii');
    expect(found(bodiless, 'B19')).toBeUndefined();
    for (const finding of judged(bodiless).findings) expect(finding.title()).not.toBe('');
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
