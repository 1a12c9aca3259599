import { describe, expect, it } from 'vitest';
import { demoProject } from '../../catalogue/demos/saltmarsh-loom';
import { catalogue, shelfOf } from '../../catalogue/load-catalogue';
import { partsOfScene } from '../figures/handling-rows';
import { calmKit, line, ownCopy, setRig, swap, without } from '../judge/tests/calm-kit';
import type { GearOf } from '../model/gear';
import { activePlan } from '../model/active-plan';
import type { Project } from '../model/project';
import { isClosedInBag, joiningPartsOfKit } from './closings';
import { type Connection, isMissingPort, type MissingPort } from './connection';
import { connectionsOf } from './connections';
import { makeKit, piecesOf } from './kit';
import { lampStandOf } from './lamp-stand';
import { chooseMode } from './choose-mode';
import { placeRig } from './place-rig';
import type { Allocated } from './allocated';
import type { PlacedRig } from './placed-rig';

/** Every angle of a project in one bag, as a judgement places them. */
function placed(project: Project): PlacedRig[] {
  const plan = activePlan(project);
  const kit = makeKit(plan, shelfOf(project));
  return project.scenes.flatMap((scene) => {
    const allocated: Allocated = new Map();
    return scene.angles.map((angle) => placeRig(project, plan, kit, scene, angle, allocated));
  });
}
/** The same, each angle in a bag of its own, so that nothing is kept from one to the next. */
function placedApart(project: Project): PlacedRig[] {
  const plan = activePlan(project);
  return project.scenes.flatMap((scene) => {
    const allocated: Allocated = new Map();
    return scene.angles.map((angle) =>
      placeRig(project, plan, makeKit(plan, shelfOf(project)), scene, angle, allocated)
    );
  });
}

const inWords = (need: Connection | MissingPort, rig: PlacedRig) =>
  isMissingPort(need)
    ? `${need.purpose}: ${need.part.gear.model} lacks ${need.role}`
    : [
        need.purpose,
        need.from.gear.model,
        need.to?.gear.model ?? 'whatever is there',
        need.fromPorts.map(({ type, end }) => `${type} ${end}`).join('/'),
        need.toPorts.map(({ type, end }) => `${type} ${end}`).join('/'),
        need.lengthNeededM?.toFixed(3) ?? 'any length',
        isClosedInBag(need, rig.kit) ? 'closed' : 'open'
      ].join(' · ');
const joints = (rig: PlacedRig) => connectionsOf(rig).map((need) => inWords(need, rig));

const kits: [string, () => Project][] = [
  ['the demo', demoProject],
  ['the calm kit', calmKit],
  [
    'a kit without its lead',
    () => {
      const project = calmKit();
      without(project, 'nibsworth-cable-trrs-to-trs');
      return project;
    }
  ],
  [
    'a kit of another mount',
    () => {
      const project = calmKit();
      swap(project, 'pellamund-24-f-1-5', 'tesselind-21-f-2');
      return project;
    }
  ],
  [
    'a kit with a bank, a block, a monitor and a recorder of its own',
    () => {
      const project = calmKit();
      activePlan(project).lines.push(
        line('pellamund-hearth-74'),
        line('quillfeather-dummy-battery-ember-16'),
        line('tesselind-pane-5'),
        line('nibsworth-usb-c-cable-c-to-c-1-m')
      );
      return project;
    }
  ],
  [
    'two angles at once with two bodies',
    () => {
      const project = calmKit();
      const [scene] = project.scenes;
      scene!.angles.push({ ...scene!.angles[0]!, id: 'b', distanceM: 2.4 });
      activePlan(project).lines.push(line('orrowby-linnet'), line('orrowby-15-43-f-3-5-5-6'));
      return project;
    }
  ]
];

describe.each(kits)('what is remembered of %s', (_, kitOf) => {
  it('is what every angle would find in a kit of its own', () => {
    const together = placed(kitOf());
    const apart = placedApart(kitOf());
    expect(together.map(joints)).toEqual(apart.map(joints));
    // Asked again, and the other way round, it says the same.
    expect([...together].reverse().map(joints)).toEqual([...apart].reverse().map(joints));
  });

  it('is found once: the same joints, parts and lenses for all angles', () => {
    const rigs = placed(kitOf());
    for (const rig of rigs) {
      expect(connectionsOf(rig)).toBe(connectionsOf(rig));
      expect(partsOfScene(rig)).toBe(partsOfScene(rig));
      expect(joiningPartsOfKit(rig.kit)).toBe(joiningPartsOfKit(rig.kit));
    }
    const held = rigs.flatMap((rig) =>
      connectionsOf(rig).filter(({ purpose }) => purpose === 'camera held')
    );
    const bodies = new Set(rigs.map((rig) => `${rig.body?.line.id} ${rig.support?.line.id}`));
    expect(new Set(held).size).toBeLessThanOrEqual(bodies.size);
  });

  it('takes each part of a scene once', () => {
    for (const rig of placed(kitOf())) {
      const parts = partsOfScene(rig);
      expect(new Set(parts).size).toBe(parts.length);
      for (const part of [rig.body, rig.mic, rig.support, rig.keyLamp?.part])
        if (part) expect(parts).toContain(part);
    }
  });
});

describe('the stand of the key lamp', () => {
  it('is one that carries the lamp, and the one the lamp is joined to', () => {
    const project = calmKit();
    activePlan(project).lines.unshift(line('own-weak-stand'));
    const weak = structuredClone(catalogue.byId.get('brackenholt-stand-2')) as GearOf<'support'>;
    project.ownGear.push({ ...weak, id: 'own-weak-stand', payloadKg: 0.5 });
    const [rig] = placed(project);
    const stand = lampStandOf(rig!)!;
    expect(stand.gear.id).toBe('brackenholt-stand-2');
    const held = connectionsOf(rig!).find(({ purpose }) => purpose === 'lamp held')!;
    expect(isMissingPort(held) ? undefined : held.to).toBe(stand);
    expect(partsOfScene(rig!)).toContain(stand);
    expect(partsOfScene(rig!).map(({ gear }) => gear.id)).not.toContain('own-weak-stand');
  });

  it('is none where there is none, and is looked for once', () => {
    const project = calmKit();
    without(project, 'brackenholt-stand-2');
    const [rig] = placed(project);
    expect(lampStandOf(rig!)).toBeUndefined();
    expect(connectionsOf(rig!).some(({ purpose }) => purpose === 'lamp held')).toBe(false);
  });

  it('with no payload stated still holds a lamp when nothing else is there', () => {
    const project = calmKit();
    ownCopy<GearOf<'support'>>(project, 'brackenholt-stand-2', (gear) => delete gear.payloadKg);
    expect(lampStandOf(placed(project)[0]!)?.gear.id).toBe('brackenholt-stand-2');
  });
});

describe('two angles of one scene', () => {
  it('hold a body, a lens and a support each; the last takes from nobody', () => {
    const project = calmKit();
    const scene = project.scenes[0]!;
    scene.angles.push({ ...scene.angles[0]!, id: 'b' });
    activePlan(project).lines.push(line('orrowby-linnet'), line('orrowby-15-43-f-3-5-5-6'));
    const [first, second] = placed(project);
    // By their names, whatever the order of choosing.
    expect(first!.body!.gear.id).toBe('orrowby-linnet');
    expect(second!.body!.gear.id).toBe('orrowby-linnet-ii');
    expect(second!.lens!.lineId).not.toBe(first!.lens!.lineId);
    // One pair of legs: the second angle stands on nothing.
    expect(first!.support).toBeDefined();
    expect(second!.support).toBeUndefined();
    // With two pieces it stands.
    const two = structuredClone(project);
    activePlan(two).lines.find(
      ({ gearId }) => gearId === 'nibsworth-hob-mini-tripod-wide'
    )!.quantity = 2;
    expect(placed(two)[1]!.support?.gear.id).toBe('nibsworth-hob-mini-tripod-wide');
  });

  it('give a chosen body, support and filter to the angle that chose them', () => {
    const project = calmKit();
    activePlan(project).lines.push(
      line('orrowby-linnet'),
      line('cobberly-meadow-tripod', { id: 'tall legs' })
    );
    setRig(project, { bodyLineId: 'orrowby-linnet', supportLineId: 'tall legs' });
    const [rig] = placed(project);
    expect(rig!.body!.gear.id).toBe('orrowby-linnet');
    expect(rig!.support!.line.id).toBe('tall legs');
    // What is not in the kit any more is passed over.
    setRig(project, { bodyLineId: 'sold', supportLineId: 'sold' });
    const [again] = placed(project);
    expect(again!.body!.gear.id).toBe('orrowby-linnet');
    expect(again!.support!.gear.id).toBe('nibsworth-hob-mini-tripod-wide');
  });
});

describe('the mode chosen for a scene', () => {
  const linnet = catalogue.byId.get('orrowby-linnet-ii') as GearOf<'body'>;
  it('is the same when asked again, and another when something else is asked', () => {
    const asked = { fps: 25, pixelsAcross: 3840 };
    const mode = chooseMode(linnet.modes, asked);
    expect(chooseMode(linnet.modes, { ...asked })).toBe(mode);
    const small = chooseMode(linnet.modes, { fps: 25, pixelsAcross: 1920 });
    expect(small).not.toBe(mode);
    expect(small).toMatchObject({ fps: 25, pixelsAcross: 1920 });
  });

  it('of another body is that body’s', () => {
    const other = catalogue.byId.get('tesselind-vale') as GearOf<'body'>;
    const asked = { fps: 25, pixelsAcross: 3840 };
    expect(other.modes).toContain(chooseMode(other.modes, asked));
    expect(linnet.modes).toContain(chooseMode(linnet.modes, asked));
  });
});

describe('pieces', () => {
  it('are counted line by line', () => {
    const project = calmKit();
    activePlan(project).lines.push(line('quillfeather-sd-128-v30', { id: 'more', quantity: 3 }));
    const { kit } = placed(project)[0]!;
    expect(piecesOf(kit.of('card'))).toBe(4);
    expect(piecesOf(kit.of('drive'))).toBe(1);
    expect(piecesOf([])).toBe(0);
  });

  it('that join are one entry each, told apart by line and number', () => {
    const project = calmKit();
    activePlan(project).lines.find(
      ({ gearId }) => gearId === 'nibsworth-cable-trrs-to-trs'
    )!.quantity = 2;
    const { kit } = placed(project)[0]!;
    const leads = joiningPartsOfKit(kit).filter(({ gear }) => gear.kind === 'cable');
    expect(leads.map(({ lineId }) => lineId)).toEqual([
      'nibsworth-cable-trrs-to-trs#0',
      'nibsworth-cable-trrs-to-trs#1'
    ]);
    expect(leads.every(({ costMinor }) => costMinor === 0)).toBe(true);
  });
});
