import { describe, expect, it } from 'vitest';
import { demoProject } from '../../catalogue/demos/saltmarsh-loom';
import { catalogue, shelfOf } from '../../catalogue/load-catalogue';
import { answerAct } from '../acts/answer-act';
import { applyAct } from '../acts/apply-act';
import { calmKit, judged, line, setRig, swap, walkOutside } from '../judge/tests/calm-kit';
import { activePlan } from '../model/active-plan';
import type { GearItem, GearKind, GearOf } from '../model/gear';
import type { Project } from '../model/project';
import type { Scene } from '../model/scene';
import { isQuestion } from '../findings/finding-codes';
import { absent, figureOf, known, stateOf, unknown } from './record';
import { isLeaf, type LeafRow } from './rows';
import { type FigureId, figureOrder, figureTable } from './table';
import { partOfLeaf } from './why';

const all = <K extends GearKind>(kind: K) => catalogue.ofKind(kind).map(({ id }) => line(id));

/** A bag with one of everything a figure could be stated on, in a scene that asks for it. */
function fullBag(change: (project: Project, scene: Scene) => void = () => undefined): Project {
  const project = calmKit();
  const scene = project.scenes[0]!;
  activePlan(project).lines.push(
    line('cobberly-cobble-ball'),
    line('brackenholt-tile-12'),
    ...(['computer', 'monitor', 'solar panel', 'recorder', 'sandbag', 'charger'] as const).map(
      (kind) => line(catalogue.ofKind(kind)[0]!.id)
    )
  );
  project.carriedLimitKg = 8;
  Object.assign(scene, { wantsPan: true, live: true, roughWeather: true });
  change(project, scene);
  return project;
}

/** Scenes that between them ask for every figure a part can state. */
const worlds: Project[] = [
  demoProject(),
  fullBag(),
  fullBag((project, { angles }) => {
    angles[0]!.cameraPlace = 'tripod';
    swap(project, 'nibsworth-hob-mini-tripod-wide', 'cobberly-meadow-tripod-bare');
  }),
  fullBag((project) => {
    walkOutside(project);
    activePlan(project).lines.push(...all('filter'), ...all('step-up ring'));
  }),
  fullBag((project, scene) => {
    walkOutside(project);
    // In full sun with a soft background asked for, how much the filter takes decides.
    Object.assign(scene, { lightSource: 'sky', lightDimLx: 100_000, lightBrightLx: 100_000 });
    scene.wantsBlurPercent = 1;
    activePlan(project).lines.push(line(catalogue.ofKind('filter').find(isFixed)!.id));
    activePlan(project).lines.push(...all('step-up ring'));
  }),
  fullBag((project, scene) => {
    delete scene.room;
    project.scenes[0]!.lightSource = 'lamps';
  }),
  // Two lamps, and the camera held on a grip.
  fullBag((project) => {
    setRig(project, {
      keyLampLineId: 'quillfeather-ray-65-two-colour-55-cm-dome',
      fillLampLineId: 'brackenholt-tile-12'
    });
  }),
  // A third lamp overhead, with a fan.
  fullBag((project) => {
    const lineId = 'quillfeather-ray-40-pocket-40-cm-dome';
    activePlan(project).lines.push(line(lineId), line('cobberly-bench-overhead-arm-heavy'));
    setRig(project, { lamps: [{ lineId, role: 'overhead', distanceM: 0.8, angleDeg: 40 }] });
  }),
  fullBag((project) => {
    walkOutside(project);
    activePlan(project).lines.push(line('vantlow-palm-grip'));
    setRig(project, { supportLineId: 'vantlow-palm-grip' });
  }),
  // A drone in the wind.
  fullBag((project, scene) => {
    delete scene.room;
    scene.windMps = 9;
    scene.angles[0]!.cameraPlace = 'in the air';
    project.ownGear.push({
      ...(catalogue.byId.get('orrowby-linnet-ii') as GearOf<'body'>),
      form: 'drone',
      windLimitMps: 12
    });
  }),
  // A lamp that lives by batteries, away from mains.
  fullBag((project, scene) => {
    scene.daysWithoutSocket = 1;
    swap(project, 'quillfeather-ray-65-two-colour-55-cm-dome', 'brackenholt-tile-45-cloth');
    activePlan(project).lines.push(line('brackenholt-slab-48-block'));
  }),
  fullBag((project, scene) => {
    scene.daysWithoutSocket = 2;
    swap(project, 'dunmarrow-burr', 'withrick-thimble-one');
    activePlan(project).lines.push(...all('power bank'), ...all('cable'));
  }),
  fullBag((project) => {
    swap(project, 'dunmarrow-burr', catalogue.ofKind('microphone').find(isDesk)!.id);
    activePlan(project).lines.push(...all('capture device'));
  }),
  fullBag((project) => {
    swap(project, 'dunmarrow-burr', catalogue.ofKind('microphone').find(isShotgun)!.id);
    activePlan(project).lines.push(
      ...catalogue
        .ofKind('support')
        .filter(({ form, footRadiusM }) => form === 'boom arm' && footRadiusM !== undefined)
        .map(({ id }) => line(id))
    );
    setRig(project, { micPlace: 'boom arm' });
  }),
  // What goes out live is recorded, and cut, too.
  fullBag((_, scene) => {
    scene.liveIsRecorded = true;
  }),
  // Warm lamps that stay on over the key lamp.
  fullBag((project) => {
    for (const scene of project.scenes)
      if (scene.room)
        Object.assign(scene, { lightColourK: 2700, lightDimLx: 200, lightBrightLx: 400 });
  })
];
function isFixed({ form, threadMm }: GearOf<'filter'>): boolean {
  return form === 'fixed density' && threadMm === 67;
}
function isDesk({ form }: GearOf<'microphone'>): boolean {
  return form === 'desk';
}
function isShotgun({ form }: GearOf<'microphone'>): boolean {
  return form === 'short shotgun';
}

const asked = figureOrder.filter((id) => {
  const row = figureTable[id];
  return isLeaf(row) && row.asks !== undefined;
});
const rowOf = (id: FigureId) => figureTable[id] as LeafRow;

interface Place {
  world: Project;
  index: number;
  gear: GearItem;
}

/** Somewhere the leaf is stated on a part by the field its question fills. */
function statedPlace(id: FigureId): Place | undefined {
  const field = rowOf(id).asks!.field;
  if (field === undefined) return undefined;
  for (const world of worlds) {
    const { angles } = judged(world);
    for (const [index, { rig, record }] of angles.entries()) {
      if (stateOf(record, id) !== known) continue;
      // Whom the question would go to is only known once nobody has stated it.
      for (const part of rig.kit.parts) {
        if ((part.gear as unknown as Record<string, unknown>)[field] === undefined) continue;
        const silent = withoutField(world, part.gear, field);
        const there = judged(silent).angles[index]!;
        if (
          stateOf(there.record, id) === unknown &&
          partOfLeaf(there.rig, id)?.lineId === part.line.id
        )
          return { world, index, gear: part.gear };
      }
    }
  }
  return undefined;
}

function withoutField(world: Project, gear: GearItem, field: string): Project {
  const silent = structuredClone(gear) as unknown as Record<string, unknown>;
  delete silent[field];
  return applyAct(world, { type: 'put gear', gear: silent as unknown as GearItem });
}

describe('a figure nobody has stated', () => {
  const byField = asked.filter((id) => rowOf(id).asks!.field !== undefined);

  it.each(byField)('%s is unknown, is asked of its part, and is known once answered', (id) => {
    const place = statedPlace(id);
    expect(place, `no world states ${id}`).toBeDefined();
    const { world, index, gear } = place!;
    const { field, perUnit = 1, question } = rowOf(id).asks!;
    const value = (gear as unknown as Record<string, number | string | boolean>)[field!]!;
    const silent = withoutField(world, gear, field!);
    expect(question).toContain('%');
    const partOf = partOfLeaf(judged(silent).angles[index]!.rig, id)!;
    expect(partOf.name).toBe(`${gear.maker} ${gear.model}`);

    const hushed = shelfOf(silent).byId.get(gear.id)!;
    const answered = applyAct(silent, answerAct(hushed, field!, value));
    const after = judged(answered).angles[index]!.record;
    expect(stateOf(after, id)).toBe(known);
    expect(figureOf(after, id)).toBe(figureOf(judged(world).angles[index]!.record, id));
    if (typeof value === 'number') expect(perUnit).toBeGreaterThan(0);
  });

  it.each(byField)('%s is asked for in some kit, for it decides a verdict there', (id) => {
    const field = rowOf(id).asks!.field!;
    const isAsked = worlds.some((world) =>
      judged(world).kit.parts.some(
        ({ gear }) =>
          (gear as unknown as Record<string, unknown>)[field] !== undefined &&
          judged(withoutField(world, gear, field)).findings.some(
            (finding) =>
              isQuestion(finding) &&
              finding.figure !== undefined &&
              rowOf(finding.figure).asks?.field === field
          )
      )
    );
    expect(isAsked).toBe(true);
  });

  it('lies near the two ends that are tried for it, wherever the shelf states it', () => {
    const outliers: string[] = [];
    for (const id of byField) {
      const [low, high] = rowOf(id).asks!.between;
      const { world, index } = statedPlace(id)!;
      const figure = figureOf(judged(world).angles[index]!.record, id)!;
      // The ends are what a seller may well say, not all that is possible.
      const span = high - low;
      if (figure < low - 2 * span || figure > high + 2 * span)
        outliers.push(`${id}: ${figure} outside ${low} to ${high}`);
    }
    expect(outliers).toEqual([]);
  });

  it('never passes for a figure further up: what rests on it is unknown or absent', () => {
    for (const id of byField) {
      const place = statedPlace(id);
      if (!place) continue;
      const silent = withoutField(place.world, place.gear, rowOf(id).asks!.field!);
      const { record } = judged(silent).angles[place.index]!;
      for (const above of figureOrder) {
        const row = figureTable[above];
        if (isLeaf(row) || !row.from.includes(id)) continue;
        // The first input may be absent, and an input may be stood in for only where it is absent.
        expect([unknown, absent], `${above} over ${id}`).toContain(stateOf(record, above));
      }
    }
  });
});
