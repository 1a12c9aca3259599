import { describe, expect, it } from 'vitest';
import { demos } from '$lib/catalogue/demos';
import { demoProject } from '$lib/catalogue/demos/saltmarsh-loom';
import { shelfOf } from '$lib/catalogue/load-catalogue';
import { figureOf } from '../../core/figures/record';
import { judgePlan } from '../../core/judge/judge-plan';
import { activePlan } from '../../core/model/active-plan';
import type { Project } from '../../core/model/project';
import { layOut, type SetLayout } from '../../core/set/layout';
import { readoutsFor } from './readouts';
import { frameFromAbove, frameFromTheSide, linesOfLight, scaleFor } from './set-view';

const anglesOf = (project: Project) =>
  judgePlan(project, activePlan(project), shelfOf(project)).angles;
const lesson = anglesOf(demoProject())[1]!;
const layout = layOut(lesson);

describe('the frame of a set', () => {
  it('holds the whole room, and a hand’s breadth around it', () => {
    const frame = frameFromAbove(layout);
    // The room of 3.50 by 3.00 m reaches from −2.10 to 1.40 and from −1.50 to 1.50.
    expect(frame.left).toBeCloseTo(-2.22, 9);
    expect(frame.right).toBeCloseTo(1.52, 9);
    expect(frame.top).toBeCloseTo(-1.62, 9);
    expect(frame.bottom).toBeCloseTo(1.62, 9);
    const side = frameFromTheSide(layout);
    expect(side.top).toBeCloseTo(-2.5, 9);
    expect(side.left).toBe(frame.left);
  });

  it('holds everything that stands on every set of every demo', async () => {
    for (const { project } of demos)
      for (const judged of anglesOf(await project())) {
        const laid: SetLayout = layOut(judged);
        const frame = frameFromAbove(laid);
        for (const { x, y } of [
          laid.camera,
          ...laid.people,
          ...laid.lamps.map(({ spot }) => spot)
        ]) {
          expect(x).toBeGreaterThan(frame.left);
          expect(x).toBeLessThan(frame.right);
          expect(y).toBeGreaterThan(frame.top);
          expect(y).toBeLessThan(frame.bottom);
        }
        const side = frameFromTheSide(laid);
        expect(-laid.camera.z).toBeGreaterThan(side.top);
        expect(side.bottom).toBeGreaterThan(0);
      }
  });
});

describe('the scale', () => {
  const frame = { left: -2, right: 2, top: -1, bottom: 1 };

  it('is the same across and down, centred, and can be read backwards', () => {
    // Four metres in 800 px, two in 300: the height decides, 150 px a metre.
    const scale = scaleFor(frame, 800, 300);
    expect(scale.k).toBe(150);
    expect(scale.x(0)).toBe(400);
    expect(scale.y(0)).toBe(150);
    expect(scale.x(1) - scale.x(0)).toBe(150);
    for (const metres of [-1.7, 0, 0.33, 1.9]) {
      expect(scale.toX(scale.x(metres))).toBeCloseTo(metres, 12);
      expect(scale.toY(scale.y(metres))).toBeCloseTo(metres, 12);
    }
  });
});

describe('lines of equal light', () => {
  const frame = frameFromAbove(layout);
  const scale = scaleFor(frame, 700, 400);

  it('are a stop apart, from twice the light of the face down', () => {
    const lines = linesOfLight(layout, frame, scale);
    const face = figureOf(lesson.record, 'keyLight')!;
    expect(lines.map(({ stops }) => stops)).toEqual([1, 0, -1, -2, -3]);
    expect(lines.map(({ lx }) => lx / face)).toEqual(
      [2, 1, 0.5, 0.25, 0.125].map((share) => expect.closeTo(share, 6))
    );
    for (const { path } of lines) expect(path).toMatch(/^M[\d.,L-]+Z/);
  });

  it('pass through the face where they say so', () => {
    const [, ofFace] = linesOfLight(layout, frame, scale);
    const points = ofFace!.path
      .match(/-?[\d.]+,-?[\d.]+/g)!
      .map((pair) => pair.split(',').map(Number));
    const off = Math.min(
      ...points.map(([x, y]) => Math.hypot(x! - scale.x(0), y! - scale.y(0)) / scale.k)
    );
    // Within a cell of the grid, some eight centimetres.
    expect(off).toBeLessThan(0.09);
  });

  it('are none where no lamp burns', () => {
    const dark = layOut(anglesOf(demoProject())[0]!);
    expect(linesOfLight(dark, frameFromAbove(dark), scale)).toEqual([]);
  });
});

describe('the readouts', () => {
  const verdictOf = (figure: string, value: number, wanted?: number) =>
    readoutsFor.find((readout) => readout.figure === figure)!.verdict(value, wanted, lesson);

  it('call a figure good by what is wanted of it, in the words of the craft', () => {
    expect(verdictOf('faceDim', 400, 321)).toEqual({ good: true });
    expect(verdictOf('faceDim', 300, 321)).toEqual({ good: false });
    expect(verdictOf('keySoftness', 38)).toEqual({ word: 'very soft' });
    expect(verdictOf('keySoftness', 4)).toEqual({ word: 'hard' });
    expect(verdictOf('keyToFill', 4)).toEqual({});
    expect(verdictOf('keyToFill', 211)).toEqual({ text: 'no fill' });
    expect(verdictOf('backgroundBlur', 0.7, 0.6)).toEqual({ word: 'softened', good: true });
    expect(verdictOf('backgroundBlur', 0.7, 0)).toEqual({ word: 'softened' });
    expect(verdictOf('speechToNoise', 35)).toEqual({ word: 'clean', good: true });
    expect(verdictOf('speechToNoise', 34.9)).toEqual({ word: 'usable', good: false });
    expect(verdictOf('directToReverberant', 5)).toEqual({ word: 'echoing', good: false });
    expect(verdictOf('nearStretch', 1.26)).toEqual({ good: false });
  });

  it('never round a tip angle up to the limit', () => {
    expect(verdictOf('tipAngle', 9.96)).toEqual({ text: '9.9°', good: false });
    expect(verdictOf('tipAngle', 10)).toEqual({ text: '10.0°', good: true });
  });
});
