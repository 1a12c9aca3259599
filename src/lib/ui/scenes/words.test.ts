import { describe, expect, it } from 'vitest';
import { demoProject } from '../../catalogue/demos/saltmarsh-loom';
import { axes } from '../../core/merit/axis-curves';
import { startScene } from '../../core/model/scene-starts';
import { sceneStyles } from '../../core/model/word-lists';
import { axisLevel, axisSentence, axisShort } from './axis-words';
import { sceneGist } from './scene-words';

describe('a bar in words', () => {
  it('changes its level at 45 and at 70', () => {
    expect([0, 44.9, 45, 69.9, 70, 100].map(axisLevel)).toEqual([
      'poor',
      'poor',
      'fair',
      'fair',
      'good',
      'good'
    ]);
  });

  it('says a range while something is unknown, and one number when nothing is', () => {
    const score = (low: number, high: number) =>
      ({ axis: 'sound', angleId: 'a', low, high }) as const;
    expect(axisSentence('sound', score(31.6, 31.6))).toBe('sound: 32 of 100');
    expect(axisSentence('sound', score(20, 64))).toBe('sound: 20 to 64 of 100');
    expect(axisSentence('sound', undefined)).toBe('sound: not wanted here');
  });

  it('has a short name of its own for every axis', () => {
    expect(new Set(axes.map((axis) => axisShort[axis])).size).toBe(axes.length);
    for (const axis of axes) expect(axisShort[axis].length).toBeLessThanOrEqual(5);
  });
});

describe('a scene in one breath', () => {
  it('is what, from where, and in what air or room', () => {
    const [path, lesson] = demoProject().scenes;
    expect(sceneGist(path!, 'metric')).toBe('walking and talking · 0.65 m · wind 6 m/s');
    expect(sceneGist(lesson!, 'metric')).toBe(
      'sitting and talking · 0.90 m · lived-in room, 38 dB'
    );
    expect(sceneGist(path!, 'imperial')).toContain('25.6 in');
    expect(sceneGist(path!, 'imperial')).toContain('wind 13 mph');
  });

  it('is said of every style', () => {
    for (const style of sceneStyles)
      expect(sceneGist(startScene(style, [], 50), 'metric')).not.toMatch(/undefined|NaN/);
  });
});
