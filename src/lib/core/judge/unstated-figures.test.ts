import { describe, expect, it } from 'vitest';
import { demoProject } from '../../catalogue/demos/saltmarsh-loom';
import { shelfOf } from '../../catalogue/load-catalogue';
import { isLeaf } from '../figures/rows';
import { figureOrder, figureTable } from '../figures/table';
import type { GearItem } from '../model/gear';
import type { Project } from '../model/project';
import { activePlan } from '../model/active-plan';
import { calmKit, walkOutside } from './tests/calm-kit';
import { judgePlan } from './judge-plan';
import { Chances, anyProject, silenced, statableFields } from './tests/random-kits';

const outside = (): Project => {
  const project = calmKit();
  walkOutside(project);
  return project;
};
const worlds: [string, Project][] = [
  ['the demo', demoProject()],
  ['a calm kit at a desk', calmKit()],
  ['a calm kit on the way', outside()],
  ...[31, 32, 33, 34].map((seed): [string, Project] => [
    `kit ${seed}`,
    { ...anyProject(new Chances(seed)), ownGear: [] }
  ])
];

const withGear = (project: Project, gear: readonly GearItem[]): Project => ({
  ...project,
  ownGear: [...project.ownGear.filter(({ id }) => !gear.some((gear) => gear.id === id)), ...gear]
});
const judge = (project: Project) => judgePlan(project, activePlan(project), shelfOf(project));
/** What the kit is worth at least, were all that stops it settled. */
const worth = (project: Project) => judge(project).merit.onceSettledHundredths;

const partsOf = (project: Project): GearItem[] => {
  const shelf = shelfOf(project);
  return [...new Set(activePlan(project).lines.map(({ gearId }) => gearId))].flatMap(
    (id) => shelf.byId.get(id) ?? []
  );
};

/** The ends between which an answer lies, for figures a part states by one number of its own. */
const endsByField = new Map(
  figureOrder.flatMap((id) => {
    const row = figureTable[id];
    if (!isLeaf(row) || row.asks?.field === undefined || row.words || row.unit === 'yes/no')
      return [];
    const { field, between, perUnit = 1 } = row.asks;
    return field === 'massG' ? [] : [[field, between.map((end) => end * perUnit)] as const];
  })
);

describe.each(worlds)('in %s', (_, project) => {
  const parts = partsOf(project);
  const fields = parts.flatMap((gear) => statableFields(gear).map((field) => ({ gear, field })));

  it('each figure of each part may be stated by nobody, alone', () => {
    for (const { gear, field } of fields)
      expect(
        () => judge(withGear(project, [silenced(gear, [field])])),
        `${gear.id} ${field}`
      ).not.toThrow();
  });

  it('and in pairs', () => {
    const chances = new Chances(7);
    for (let pair = 0; pair < 150; pair++) {
      const [field, other] = [chances.of(fields), chances.of(fields)];
      const silent =
        field.gear === other.gear
          ? [silenced(field.gear, [field.field, other.field])]
          : [silenced(field.gear, [field.field]), silenced(other.gear, [other.field])];
      expect(
        () => judge(withGear(project, silent)),
        `${field.gear.id} ${field.field}, ${other.gear.id} ${other.field}`
      ).not.toThrow();
    }
  });

  it('and a body may state no mode at all', () => {
    for (const gear of parts) {
      if (gear.kind !== 'body') continue;
      expect(() => judge(withGear(project, [{ ...gear, modes: [] }]))).not.toThrow();
    }
  });

  it('and is never better for it than at its own worse end', () => {
    const better: string[] = [];
    for (const { gear, field } of fields) {
      // A boom that states no feet is clamped or held.
      const isBoom = gear.kind === 'support' && gear.form === 'boom arm';
      // Of several light stands another is taken where nobody states what this one bears.
      const isStand = gear.kind === 'support' && gear.form === 'light stand';
      const ends =
        (isBoom && field === 'footRadiusM') || (isStand && field === 'payloadKg')
          ? undefined
          : endsByField.get(field);
      if (!ends) continue;
      const unsaid = worth(withGear(project, [silenced(gear, [field])]));
      const atEnds = ends.map((end) => worth(withGear(project, [{ ...gear, [field]: end }])));
      if (unsaid > Math.min(...atEnds) + 1)
        better.push(`${gear.id} ${field}: ${unsaid} unsaid, ${atEnds.join(' and ')} said`);
    }
    expect(better).toEqual([]);
  });
});
