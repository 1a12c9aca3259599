import { Ajv2020 } from 'ajv/dist/2020.js';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoProject } from '../../catalogue/demos/saltmarsh-loom';
import { catalogue } from '../../catalogue/load-catalogue';
import { judged } from '../judge/tests/calm-kit';
import { lockOf } from '../judge/scene-lock';
import { chanceIds, habitIds } from '../model/word-lists';
import type { Project } from '../model/project';
import type { DayLog, Rehearsal } from '../model/rehearsal';
import { checkSatchel, makeSatchel, readSatchel, writeSatchel } from './satchel-file';
import { satchelSchema } from './satchel-schema';

const validate = new Ajv2020({ strict: false, allErrors: true }).compile(satchelSchema());

/** A project with everything a rehearsal, a logbook and a lock can hold. */
function lived(): Project {
  const project = demoProject();
  const [, lesson] = judged(project).angles;
  const rehearsal: Rehearsal = {
    startsAtMin: 430,
    endsAtMin: 1200,
    lunchAtMin: 750,
    lunchMin: 40,
    seed: 5,
    daysInARow: 3,
    habits: [...habitIds],
    chances: chanceIds.map((chance, index) => ({ chance, percent: index })),
    sceneOrder: ['shuttle-hands', 'marsh-path']
  };
  const log: DayLog = {
    id: 'day-1',
    date: '2026-11-24',
    scenes: 'Marsh path, Loom lesson',
    takes: 12,
    takesLost: 2,
    setUpMin: 21,
    setUpReckonedMin: 12.7,
    tallies: [{ chance: 'gust', opportunities: 9.6, happened: 1 }],
    batteries: [
      { lineId: 'line-3', minutes: 62, reckonedMin: 74 },
      { lineId: 'line-1', reckonedMin: 90 }
    ],
    used: [{ gearId: 'orrowby-linnet', name: 'Orrowby Linnet', pieces: 1, minutes: 140 }],
    note: 'The lamp was off.'
  };
  Object.assign(project.scenes[0]!, { takes: 9, pauseMin: 4, carryMin: 25, notBeforeMin: 480 });
  return {
    ...project,
    rehearsal,
    logbook: [log, { ...log, id: 'day-2', tallies: [], batteries: [], used: [] }],
    locks: [
      lockOf(project, lesson!, '2026-11-15', [{ takeId: 'take-2', name: 'Take 2', word: 'clean' }])
    ]
  };
}
const file = () =>
  JSON.parse(writeSatchel(makeSatchel(lived(), catalogue))) as { project: Project };

type Path = (string | number)[];
function paths(value: unknown, path: Path = []): Path[] {
  if (typeof value !== 'object' || value === null) return [path];
  return [
    path,
    ...Object.entries(value).flatMap(([key, inner]) =>
      paths(inner, [...path, Array.isArray(value) ? Number(key) : key])
    )
  ];
}
function put(whole: unknown, path: Path, value: unknown): void {
  let target = whole as Record<string | number, unknown>;
  for (const step of path.slice(0, -1)) target = target[step] as Record<string | number, unknown>;
  if (value === undefined) delete target[path.at(-1)!];
  else target[path.at(-1)!] = value;
}

describe('a file with a rehearsal, a logbook and a lock', () => {
  it('is taken by the schema and by the classes, and comes back whole', () => {
    expect(validate(file()), JSON.stringify(validate.errors?.slice(0, 3))).toBe(true);
    const reading = readSatchel(writeSatchel(makeSatchel(lived(), catalogue)));
    if (!reading.ok) throw new Error(JSON.stringify(reading.faults));
    const { rehearsal, logbook, locks, scenes } = lived();
    expect(reading.file.project).toMatchObject({ rehearsal, logbook, locks, scenes });
  });

  it('is refused or taken by both alike with any one of its new places spoilt', () => {
    const whole = file();
    const places = paths(whole).filter(
      ([first, second]) =>
        first === 'project' &&
        (second === 'rehearsal' || second === 'logbook' || second === 'locks')
    );
    expect(places.length).toBeGreaterThan(100);
    const spoils = fc.constantFrom<unknown>(
      null,
      -1,
      1e15,
      'nonsense',
      true,
      [],
      {},
      0.5,
      '',
      undefined
    );
    fc.assert(
      fc.property(fc.constantFrom(...places), spoils, (path, value) => {
        // Ids that must differ are the classes' alone.
        fc.pre(path.at(-1) !== 'id');
        // What is taken out of a list leaves no hole in a file.
        fc.pre(value !== undefined || typeof path.at(-1) !== 'number');
        const spoilt = structuredClone(whole);
        put(spoilt, path, value);
        expect(
          validate(spoilt),
          `${path.join('.')} = ${JSON.stringify(value)}: ${JSON.stringify(checkSatchel(spoilt)).slice(0, 200)}`
        ).toBe(checkSatchel(spoilt).ok);
      }),
      { numRuns: 700 }
    );
  });

  it('says in a sentence what is wrong and where', () => {
    const faultsWith = (path: Path, value: unknown) => {
      const spoilt = file();
      put(spoilt, ['project', ...path], value);
      const reading = checkSatchel(spoilt);
      return reading.ok ? [] : reading.faults;
    };
    for (const [path, value] of [
      [['rehearsal', 'startsAtMin'], 1440],
      [['rehearsal', 'habits'], ['sing']],
      [['rehearsal', 'chances', 0, 'percent'], 101],
      [
        ['rehearsal', 'sceneOrder'],
        ['a', 'a']
      ],
      [['logbook', 0, 'date'], '2026-02-30'],
      [['logbook', 0, 'takesLost'], -1],
      [['locks', 0, 'figures', 0, 'value'], 'x'.repeat(301)]
    ] as [Path, unknown][]) {
      const [fault] = faultsWith(path, value);
      expect(fault?.field, path.join('.')).toContain(String(path[0]));
      expect(fault!.says.length).toBeGreaterThan(10);
    }
    // Ids twice, and one angle locked twice.
    expect(faultsWith(['logbook', 1, 'id'], 'day-1')[0]!.says).toContain('"day-1" twice');
    const twice = file();
    twice.project.locks!.push(structuredClone(twice.project.locks![0]!));
    const reading = checkSatchel(twice);
    expect(reading.ok).toBe(false);
  });
});
