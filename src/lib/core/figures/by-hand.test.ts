import { describe, expect, it } from 'vitest';
import { calmKit, judged, line, ownCopy, setRig, swap, walkOutside } from '../judge/tests/calm-kit';
import type { GearOf } from '../model/gear';
import type { Project } from '../model/project';
import { activePlan } from '../model/active-plan';
import { figureOf } from './record';
import type { FigureId } from './table';

/** Figures of the calm kit, worked out here with nothing but the textbook and the numbers stated. */
function figures(project: Project, index = 0): (id: FigureId) => number {
  const { record } = judged(project).angles[index]!;
  return (id) => {
    const value = figureOf(record, id);
    if (value === undefined) throw new Error(`${id} is not known`);
    return value;
  };
}
const scene = (project: Project) => project.scenes[0]!;
const angle = (project: Project) => scene(project).angles[0]!;
const lens = 'pellamund-24-f-1-5';
const lamp = 'quillfeather-ray-65-two-colour-55-cm-dome';

/** APS-C, 16:9: 23.5 mm across. */
const WIDE_MM = 23.5;
const HIGH_MM = (WIDE_MM * 9) / 16;

describe('the background', () => {
  it('loses what is finer than the cone of light is wide there, and is not asked of one without an end', () => {
    const project = calmKit();
    angle(project).distanceM = 0.8;
    angle(project).backgroundM = 1.6;
    setRig(project, { apertureN: 2 });
    // The opening is 24/2 = 12 mm wide, and 1.6 m behind a point 0.8 m away the cone is twice that.
    expect(figures(project)('vanishingDetail')).toBeCloseTo(24, 9);
    delete angle(project).backgroundM;
    expect(() => figures(project)('vanishingDetail')).toThrow('not known');
  });
});

describe('the light that arrives', () => {
  it('is less close up by (1 + m)², m = f/(d − f)', () => {
    const project = calmKit();
    angle(project).distanceM = 0.524;
    setRig(project, { apertureN: 1.5, shutterS: 1 / 50 });
    scene(project).lightSource = 'existing light';
    scene(project).lightDimLx = scene(project).lightBrightLx = 40;
    const figure = figures(project);
    const m = 24 / (524 - 24);
    expect(figure('magnification')).toBeCloseTo(m, 12);
    expect(figure('lightAperture')).toBeCloseTo(1.5 * (1 + m), 12);
    expect(figure('isoNeededDim')).toBeCloseTo((250 * (1.5 * (1 + m)) ** 2 * 50) / 40, 6);
  });

  it('is less through glass that keeps some back: N/√τ, τ from the T-number', () => {
    const inDimLight = () => {
      const kit = calmKit();
      setRig(kit, { apertureN: 1.5, shutterS: 1 / 50 });
      scene(kit).lightSource = 'existing light';
      scene(kit).lightDimLx = scene(kit).lightBrightLx = 40;
      return kit;
    };
    const bare = figures(inDimLight());
    const project = inDimLight();
    ownCopy<GearOf<'lens'>>(project, lens, (gear) => (gear.apertureWideT = 1.5 * Math.SQRT2));
    const dimmed = figures(project);
    expect(dimmed('lensPasses')).toBeCloseTo(0.5, 12);
    // Half the light is one stop, whatever the aperture.
    expect(dimmed('isoNeededDim') / bare('isoNeededDim')).toBeCloseTo(2, 9);
    setRig(project, { apertureN: 4 });
    const closed = figures(project);
    const m = closed('magnification');
    expect(closed('lightAperture')).toBeCloseTo(4 * Math.SQRT2 * (1 + m), 9);
  });

  it('of a lamp falls as the near-field disc: E₁(1 + R²)/(d² + R²)·cos Θ', () => {
    const project = calmKit();
    ownCopy<GearOf<'lamp'>>(project, lamp, (gear) => {
      gear.illuminanceAt1mLx = 1400;
      gear.sourceRadiusM = 0.3;
    });
    setRig(project, { lamps: [{ lineId: lamp, distanceM: 0.8, angleDeg: 45 }] });
    const expected = ((1400 * (1 + 0.09)) / (0.64 + 0.09)) * Math.SQRT1_2;
    expect(figures(project)('keyLight')).toBeCloseTo(expected, 6);
    expect(figures(project)('keySoftness')).toBeCloseTo(
      (2 * Math.atan(0.3 / 0.8) * 180) / Math.PI,
      9
    );
  });

  it('of a window is π·L·τ·R²/(d² + R²), at both ends of its sky', () => {
    const project = calmKit();
    scene(project).window = {
      areaM2: Math.PI * 0.25,
      distanceM: 1.5,
      skyDimCdM2: 2000,
      skyBrightCdM2: 8000,
      transmittance: 0.8
    };
    const figure = figures(project);
    const share = (Math.PI * 0.8 * 0.25) / (2.25 + 0.25);
    expect(figure('windowDim')).toBeCloseTo(2000 * share, 6);
    expect(figure('windowBright')).toBeCloseTo(8000 * share, 6);
    expect(figure('faceBright') - figure('faceDim')).toBeCloseTo(
      6000 * share + scene(project).lightBrightLx - scene(project).lightDimLx,
      6
    );
  });
});

describe('what is sharp', () => {
  it('is twice as strict where it is seen large in 4K', () => {
    const usual = figures(calmKit());
    const project = calmKit();
    scene(project).seenLargeIn4K = true;
    const large = figures(project);
    expect(usual('circleOfConfusion')).toBeCloseTo(Math.hypot(WIDE_MM, HIGH_MM) / 1500, 12);
    expect(large('circleOfConfusion')).toBeCloseTo(Math.hypot(WIDE_MM, HIGH_MM) / 3000, 12);
    expect(large('hyperfocal')).toBeGreaterThan(1.9 * usual('hyperfocal'));
    expect(large('farLimit')).toBeLessThan(usual('farLimit'));
  });

  it('runs from d(H − f)/(H + d − 2f) to d(H − f)/(H − d)', () => {
    const project = calmKit();
    angle(project).distanceM = 1.1;
    const figure = figures(project);
    const c = Math.hypot(WIDE_MM, HIGH_MM) / 1500;
    const h = (24 ** 2 / (1.5 * c) + 24) / 1000;
    expect(figure('hyperfocal')).toBeCloseTo(h, 9);
    expect(figure('nearLimit')).toBeCloseTo((1.1 * (h - 0.024)) / (h + 1.1 - 0.048), 9);
    expect(figure('farLimit')).toBeCloseTo((1.1 * (h - 0.024)) / (h - 1.1), 9);
  });

  it('asks for f²·|D − d|/(c·D·(d − f)) at the ears, which are farther off than the nose is near', () => {
    const project = calmKit();
    scene(project).wantsFaceSharp = true;
    angle(project).distanceM = 0.9;
    const c = Math.hypot(WIDE_MM, HIGH_MM) / 1500 / 1000;
    const ears = (0.024 ** 2 * 0.1) / (c * 1.0 * (0.9 - 0.024));
    expect(figures(project)('apertureForFace')).toBeCloseTo(ears, 9);
  });
});

describe('a tape held at the sensor mark', () => {
  it('stands off by d = (s + √(s² − 4fs))/2, and the zoom is set for that', () => {
    const project = calmKit();
    swap(project, lens, 'orrowby-15-43-f-3-5-5-6');
    angle(project).distanceM = 0.9;
    const atLens = figures(project)('focalLength');
    angle(project).measuredFrom = 'sensor mark';
    const figure = figures(project);
    const f = figure('focalLength') / 1000;
    expect(figure('subjectDistance')).toBeCloseTo((0.9 + Math.sqrt(0.81 - 4 * f * 0.9)) / 2, 9);
    expect(figure('focalLength')).toBeLessThan(atLens);
    // What is framed is what was asked, to a fiftieth.
    expect(figure('framingRatio')).toBeGreaterThan(0.98);
    expect(figure('framingRatio')).toBeLessThan(1.02);
  });
});

describe('a fan', () => {
  const withFan = () => {
    const project = calmKit();
    ownCopy<GearOf<'lamp'>>(project, lamp, (gear) => (gear.fanLevelDbA = 30));
    ownCopy<GearOf<'microphone'>>(project, 'dunmarrow-burr', (gear) => (gear.pattern = 'omni'));
    return project;
  };

  it('in a room is heard straight and off the walls', () => {
    const project = withFan();
    const figure = figures(project);
    const rc0 = 0.057 * Math.sqrt(figure('roomVolume') / figure('reverberation'));
    const d = figure('keyDistance');
    expect(figure('fanHeard')).toBeCloseTo(30 + 10 * Math.log10(1 / d ** 2 + 1 / rc0 ** 2), 9);
  });

  it('under the sky is heard straight alone', () => {
    const project = withFan();
    walkOutside(project);
    Object.assign(scene(project), { style: 'evening', lightSource: 'lamps', daysWithoutSocket: 0 });
    const figure = figures(project);
    expect(figure('fanHeard')).toBeCloseTo(30 - 20 * Math.log10(figure('keyDistance')), 9);
  });
});

describe('storage', () => {
  it('is Mb/s ÷ 8 × s ÷ 1000, on 98 % of the label less what is kept for the swap', () => {
    const project = calmKit();
    ownCopy<GearOf<'body'>>(project, 'orrowby-linnet-ii', (gear) =>
      gear.modes.forEach((mode) => (mode.bitRateMbps = 100))
    );
    scene(project).recordedMin = 90;
    const figure = figures(project);
    expect(figure('sizeNeeded')).toBeCloseTo(67.5, 9);
    expect(figure('cardSpace')).toBe(128);
    expect(figure('cardMinutes')).toBeCloseTo((128 * 0.98 * 0.95 * 8000) / 100 / 60, 6);
  });
});

describe('power from a bank', () => {
  it('is 0.85 of the label at the plug and 0.9 of that in the body', () => {
    const project = calmKit();
    scene(project).daysWithoutSocket = 1;
    activePlan(project).lines.push(
      line('pellamund-hearth-74'),
      line('nibsworth-usb-c-cable-c-to-c-1-m')
    );
    ownCopy<GearOf<'body'>>(project, 'orrowby-linnet-ii', (gear) => (gear.drawW = 6));
    const { record } = judged(project).angles[0]!;
    const bank = figureOf(record, 'bankEnergy');
    expect(bank).toBe(74);
    expect(figureOf(record, 'bankMinutes')).toBeCloseTo((60 * 0.85 * 74 * 0.9) / 6, 6);
  });
});
