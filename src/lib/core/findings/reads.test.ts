import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { demoProject } from '$lib/catalogue/demos/saltmarsh-loom';
import { catalogue, shelfOf } from '$lib/catalogue/load-catalogue';
import { FigureRecord } from '../figures/record';
import { type FigureId, figureOrder } from '../figures/table';
import { judgePlan } from '../judge/judge-plan';
import { calmKit, line, ownCopy, swap } from '../judge/tests/calm-kit';
import { causes } from '../judge/tests/causes';
import { activePlan } from '../model/active-plan';
import type { GearOf } from '../model/gear';
import type { Project } from '../model/project';
import { startScene } from '../model/scene-starts';
import { sceneStyles } from '../model/word-lists';
import { angleFindings, looksAtFigures } from './table';

/** A microphone so sensitive that the voice alone fills the input. */
function loudMicrophone(): Project {
  const project = calmKit();
  ownCopy<GearOf<'microphone'>>(project, 'dunmarrow-burr', (mic) => (mic.sensitivityDbVPerPa = 0));
  return project;
}

/** Kits of any parts for scenes of every style, and those that are known to bring each finding. */
function kits(): Project[] {
  const anyKit = fc
    .record({
      style: fc.constantFrom(...sceneStyles),
      parts: fc.array(fc.nat(catalogue.items.length - 1), { maxLength: 40 })
    })
    .map(({ style, parts }) => {
      const project = demoProject();
      project.scenes = [startScene(style, [], 30)];
      const plan = activePlan(project);
      plan.rigs = [];
      plan.lines = parts.map((index, line) => ({
        id: `line-${line}`,
        gearId: catalogue.items[index]!.id,
        quantity: 1,
        basis: 'new',
        state: 'wanted',
        step: 'now',
        locked: false
      }));
      return project;
    });
  // Legs that came without a head, with a head that is too weak for what stands on it.
  const onWeakHead = calmKit();
  onWeakHead.scenes[0]!.angles[0]!.cameraPlace = 'tripod';
  swap(onWeakHead, 'nibsworth-hob-mini-tripod-wide', 'cobberly-meadow-tripod-bare');
  activePlan(onWeakHead).lines.push(line('cobberly-cobble-ball'));
  ownCopy<GearOf<'head'>>(onWeakHead, 'cobberly-cobble-ball', (head) => {
    head.payloadKg = 0.5;
    head.ratedAtMm = 20;
  });
  return [
    onWeakHead,
    loudMicrophone(),
    demoProject(),
    calmKit(),
    ...Object.values(causes).map((cause) => {
      const project = calmKit();
      cause(project);
      return project;
    }),
    ...fc.sample(anyKit, { numRuns: 300, seed: 11 })
  ];
}

/** What each row reads while it judges and puts its finding in words, over all those kits. */
const read = angleFindings.map(() => new Set<FigureId>());

beforeAll(() => {
  for (const project of kits()) {
    const { angles } = judgePlan(project, activePlan(project), shelfOf(project));
    for (const { rig, record } of angles)
      angleFindings.forEach((row, index) => {
        const noting = new Proxy(record.states, {
          get(target, key) {
            read[index]!.add(figureOrder[Number(key)]!);
            return target[Number(key)];
          }
        });
        const held = row.judge(rig, new FigureRecord(record.values, noting));
        held?.title();
        held?.why();
      });
  }
});

describe('what a row of the finding table says it reads', () => {
  it.each(angleFindings.map((row, index) => [`${row.code}: ${row.about}`, index] as const))(
    '%s',
    (_, index) => {
      const { reads } = angleFindings[index]!;
      expect(looksAtFigures[index]).toBe(reads !== undefined);
      const declared = new Set(reads ?? []);
      expect(
        [...read[index]!].filter((id) => !declared.has(id)),
        'read, and not declared'
      ).toEqual([]);
      expect(
        [...declared].filter((id) => !read[index]!.has(id)),
        'declared, and never read'
      ).toEqual([]);
    }
  );
});
