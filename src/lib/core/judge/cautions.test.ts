import { describe, expect, it } from 'vitest';
import { demoProject } from '../../catalogue/demos/saltmarsh-loom';
import { catalogue } from '../../catalogue/load-catalogue';
import { activePlan } from '../model/active-plan';
import { cautionsFor, cautionsOfPart } from './cautions';
import { judgePlan } from './judge-plan';

describe('cautions', () => {
  it('are brought by parts and scenes, each once, and defer to others', () => {
    const project = demoProject();
    const said = cautionsFor(judgePlan(project, activePlan(project), catalogue));
    expect(said.map(({ topic }) => topic)).toEqual([
      'Loads overhead',
      'Hot lamps, mains',
      'Filming on the move'
    ]);
    expect(said[0]!.text).toMatch(/trained people; follow the makers’ manuals/);
    expect(said[1]!.text).toMatch(/licensed people; follow local codes/);
  });

  it('fall silent when what brings them is gone', () => {
    const project = demoProject();
    project.scenes = project.scenes.filter(({ style }) => style !== 'walk');
    activePlan(project).lines = [];
    expect(cautionsFor(judgePlan(project, activePlan(project), catalogue))).toEqual([]);
  });

  it.each([
    ['ellowen-dragonfly', 'Flying'],
    ['pellamund-hearth-148', 'Lithium batteries'],
    ['brackenholt-stand-boom', 'Loads overhead'],
    ['withrick-pocket-scribe', 'Loud listening']
  ])('%s brings %s', (id, topic) => {
    expect(cautionsOfPart(catalogue.byId.get(id)!).map((caution) => caution.topic)).toContain(
      topic
    );
  });
});
