import { describe, expect, it } from 'vitest';
import { demoProject } from '../../catalogue/demos/saltmarsh-loom';
import { shelfOf } from '../../catalogue/load-catalogue';
import { activePlan } from '../model/active-plan';
import { type Pocket, pockets } from '../model/pocket';
import type { Project } from '../model/project';
import { Angle, Room, Scene, Window } from '../model/scene';
import { type FieldAsk, fieldsOfClass } from '../model/stated';
import { judgeCandidates } from './candidates';
import { cautionsFor } from './cautions';
import { disputesOf } from './disputes';
import { judgePlan } from './judge-plan';
import { questionsOf } from './questions';
import { remediesOfEach } from './settle';
import { settingsOf } from './settings';
import { faultsOfForm } from './tests/sentence-form';

/** A window, for scenes of the demo that have none. */
const aWindow: Window = {
  areaM2: 1.5,
  distanceM: 1.2,
  skyDimCdM2: 2000,
  skyBrightCdM2: 8000,
  transmittance: 0.8
};
const aRoom: Room = { lengthM: 4, widthM: 3, heightM: 2.4, feel: 'lived-in' };

/** The objects of a scene whose fields a brief asks for, by class. */
const asked: readonly [
  name: string,
  fields: Map<string, FieldAsk>,
  of: (scene: Scene) => object
][] = [
  ['scene', fieldsOfClass(Scene), (scene) => scene],
  ['angle', fieldsOfClass(Angle), (scene) => scene.angles[0]!],
  ['room', fieldsOfClass(Room), (scene) => (scene.room ??= { ...aRoom })],
  ['window', fieldsOfClass(Window), (scene) => (scene.window ??= { ...aWindow })]
];

/** Each answer a field of the brief can be pushed to: both ends of a number, every word, both of yes and no. */
function endsOf(ask: FieldAsk): unknown[] {
  if (ask.type === 'number') return [...new Set([ask.min, ask.max, ...(ask.usual ?? [])])];
  if (ask.type === 'word') return [...ask.words];
  return ask.type === 'text' ? [] : [true, false];
}

const pushed = asked.flatMap(([name, fields, of]) =>
  [...fields].flatMap(([key, ask]) =>
    endsOf(ask).map((value): [string, (scene: Scene) => void] => [
      `${name}.${key} at ${String(value)}`,
      (scene) => Object.assign(of(scene), { [key]: value })
    ])
  )
);
const allAt = (end: 'min' | 'max') => (scene: Scene) => {
  for (const [, fields, of] of asked)
    for (const [key, ask] of fields)
      if (ask.type === 'number') Object.assign(of(scene), { [key]: ask[end] });
};

/** A list that is drawn by key must not hold one twice: the page would stand still. */
function expectOnce(keys: readonly string[], where: string) {
  expect([...keys].sort(), where).toEqual([...new Set(keys)].sort());
}

/** @param looked pockets whose every part is judged */
function walk(project: Project, looked: readonly Pocket[] = pockets) {
  const shelf = shelfOf(project);
  const judgement = judgePlan(project, activePlan(project), shelf);
  const faults: string[] = [];
  const check = (words: string) => faults.push(...faultsOfForm(words));
  expectOnce(
    judgement.findings.map(({ key }) => key),
    'findings'
  );
  const remediesOf = remediesOfEach(project, shelf, judgement);
  for (const [index, finding] of judgement.findings.entries()) {
    check(finding.title());
    check(finding.why());
    const remedies = remediesOf[index]!;
    expectOnce(
      remedies.map(({ label }) => label),
      finding.title()
    );
    for (const { label } of remedies) check(label);
  }
  for (const angle of judgement.angles) {
    const settings = settingsOf(angle);
    expectOnce(
      settings.map(({ name }) => name),
      'settings'
    );
    for (const { set, why } of settings) check(`${set} — ${why}`);
  }
  expectOnce(
    questionsOf(project, shelf, judgement).map(({ key }) => key),
    'questions'
  );
  expectOnce(
    disputesOf(project, shelf, judgement).map(({ id }) => id),
    'disputes'
  );
  cautionsFor(judgement);
  for (const pocket of looked) {
    const candidates = judgeCandidates(project, shelf, pocket);
    expectOnce(
      candidates.map(({ gear }) => gear.id),
      pocket
    );
    for (const { figures, unusable } of candidates) {
      check(unusable);
      for (const figure of figures) if (figure) check(`${figure.words} ${figure.verdict}`);
    }
  }
  expect(faults).toEqual([]);
}

describe('the demo with the brief pushed to its ends', () => {
  // Each answer with one of the pockets, in turn: all with all of them take five minutes.
  it.each(pushed.map(([name, push], index) => [name, push, index] as const))(
    'is judged whole, remedies and pockets: %s',
    (_, push, index) => {
      const project = demoProject();
      push(project.scenes[0]!);
      walk(project, [pockets[index % pockets.length]!]);
    }
  );

  it.each(['min', 'max'] as const)('is judged whole with every figure at its %s', (end) => {
    const project = demoProject();
    project.scenes.forEach(allAt(end));
    walk(project);
  });
});
