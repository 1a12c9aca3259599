import { describe, expect, it } from 'vitest';
import { demoProject } from '../../catalogue/demos/saltmarsh-loom';
import { catalogue } from '../../catalogue/load-catalogue';
import { judgePlan } from '../judge/judge-plan';
import { line } from '../judge/tests/calm-kit';
import type { Project } from '../model/project';
import { activePlan } from '../model/active-plan';
import { makeKit } from './kit';
import { chooseMode } from './choose-mode';
import { filterScrewsOn } from './place-filter';
import { widestApertureN } from './place-lens';
import { micPlacesFor } from './place-mic';
import { isMissingPort } from './connection';
import { connectionsOf } from './connections';

function rigOf(sceneId: string, change: (project: Project) => void = () => {}) {
  const project = structuredClone(demoProject());
  change(project);
  return judgePlan(project, activePlan(project), catalogue).angles.find(
    (angle) => angle.scene.id === sceneId
  )!.rig;
}
const pack =
  (...gearIds: string[]) =>
  (project: Project) => {
    activePlan(project).lines = gearIds.map((id) => line(id));
    activePlan(project).rigs = [];
  };

describe('where a new part goes', () => {
  it('a zoom follows the framing, a fixed lens stays itself', () => {
    const zoomed = rigOf('loom-lesson', pack('orrowby-linnet', 'orrowby-15-43-f-3-5-5-6'));
    expect(zoomed.focalLengthMm).toBeCloseTo(20.1, 1);
    expect(rigOf('loom-lesson', pack('orrowby-linnet', 'pellamund-33-f-1-5')).focalLengthMm).toBe(
      33
    );
  });

  it('of two lenses the one that frames as wanted is used, unless the person says', () => {
    const both = pack('orrowby-linnet', 'pellamund-58-f-1-6', 'pellamund-24-f-1-5');
    expect(rigOf('loom-lesson', both).lens!.name).toContain('24');
    const said = rigOf('loom-lesson', (project) => {
      both(project);
      activePlan(project).rigs = [
        { sceneId: 'loom-lesson', angleId: 'a', lensLineId: 'pellamund-58-f-1-6' }
      ];
    });
    expect(said.lens!.name).toContain('58');
  });

  it('a lens that does not mount is the last to be taken', () => {
    expect(
      rigOf('loom-lesson', pack('orrowby-linnet', 'harkelow-26-f-2-8', 'pellamund-58-f-1-6')).lens!
        .name
    ).toContain('58');
  });

  it('a shoe microphone is boomed at the desk when there is a boom, and worn or shod outdoors', () => {
    const boomed = rigOf(
      'loom-lesson',
      pack(
        'orrowby-linnet',
        'orrowby-15-43-f-3-5-5-6',
        'dunmarrow-plover',
        'brackenholt-desk-boom',
        'nibsworth-extension-trs-2-m',
        'nibsworth-shoe-on-3-8-thread'
      )
    );
    expect([boomed.micPlace, boomed.boom?.gear.model]).toEqual(['boom arm', 'Desk boom']);
    // Without a cable that reaches, the boom is of no use.
    expect(
      rigOf('loom-lesson', pack('orrowby-linnet', 'dunmarrow-plover', 'brackenholt-desk-boom'))
        .micPlace
    ).toBe('shoe');
    expect(
      rigOf('marsh-path', pack('orrowby-linnet', 'dunmarrow-plover', 'brackenholt-desk-boom'))
        .micPlace
    ).toBe('shoe');
    expect(
      rigOf('marsh-path', pack('orrowby-linnet', 'dunmarrow-plover', 'withrick-thimble-one'))
        .micPlace
    ).toBe('lavalier');
  });

  it('the lamp that lights best is the key, a fill is set where one is named, and none is lit under the sky', () => {
    const lamps = pack('orrowby-linnet', 'brackenholt-tile-12', 'quillfeather-ray-110-90-cm-dome');
    const lit = rigOf('loom-lesson', lamps);
    expect([lit.keyLamp!.part.gear.model, lit.fillLamp]).toEqual([
      'Ray 110 + 90 cm dome',
      undefined
    ]);
    const filled = rigOf('loom-lesson', (project) => {
      lamps(project);
      const { lines } = activePlan(project);
      const tile = lines.find(({ gearId }) => gearId === 'brackenholt-tile-12')!;
      activePlan(project).rigs = [
        { sceneId: 'loom-lesson', angleId: 'a', fillLampLineId: tile.id }
      ];
    });
    expect(filled.fillLamp!.part.gear.model).toBe('Tile 12');
    expect(
      rigOf('marsh-path', pack('orrowby-linnet', 'brackenholt-tile-12')).keyLamp
    ).toBeUndefined();
  });

  it('a lamp that needs the mains is left at home where there is no socket', () => {
    const away = (project: Project) => {
      pack('orrowby-linnet', 'quillfeather-ray-65-55-cm-dome', 'brackenholt-tile-12')(project);
      project.scenes.find((scene) => scene.id === 'loom-lesson')!.daysWithoutSocket = 2;
    };
    expect(rigOf('loom-lesson', away).keyLamp!.part.gear.model).toBe('Tile 12');
  });

  it('two angles at once take two bodies, and the voice is recorded with the first', () => {
    const project = structuredClone(demoProject());
    pack(
      'orrowby-linnet',
      'orrowby-linnet-ii',
      'dunmarrow-burr',
      'pellamund-24-f-1-5',
      'pellamund-33-f-1-5'
    )(project);
    const scene = project.scenes.find((scene) => scene.id === 'loom-lesson')!;
    scene.angles.push({ ...scene.angles[0]!, id: 'b', name: 'side' });
    const [first, second] = judgePlan(project, activePlan(project), catalogue).angles.filter(
      (angle) => angle.scene === scene
    );
    expect(first!.rig.body!.line.id).not.toBe(second!.rig.body!.line.id);
    expect(first!.rig.lens!.lineId).not.toBe(second!.rig.lens!.lineId);
    expect([first!.rig.mic?.gear.model, second!.rig.mic]).toEqual(['Burr', undefined]);
  });
});

describe('what a part can do', () => {
  const linnet = catalogue.ofKind('body').find((body) => body.id === 'orrowby-linnet')!;

  it('the mode that answers the scene is chosen, the nearest when none does', () => {
    const [scene] = demoProject().scenes;
    expect(chooseMode(linnet.modes, scene!)).toMatchObject({
      pixelsAcross: 1920,
      fps: 25,
      bitRateMbps: 28
    });
    expect(chooseMode(linnet.modes, { ...scene!, pixelsAcross: 3840 })).toMatchObject({
      pixelsAcross: 3840
    });
    expect(chooseMode(linnet.modes, { ...scene!, fps: 60 })).toMatchObject({ fps: 50 });
    expect(chooseMode([], scene!)).toBeUndefined();
  });

  it('a zoom closes evenly towards its long end', () => {
    const zoom = {
      focalLengthMinMm: 15,
      focalLengthMaxMm: 43,
      apertureWideN: 3.5,
      apertureTeleN: 5.6
    } as never;
    expect(widestApertureN(zoom, 15)).toBe(3.5);
    expect(widestApertureN(zoom, 29)).toBeCloseTo(4.55);
    expect(widestApertureN(zoom, 90)).toBe(5.6);
  });

  it('a filter screws on by its own thread or over rings, in a row if need be', () => {
    const kit = (...ids: string[]) =>
      makeKit({ id: 'p', name: 'p', rigs: [], lines: ids.map((id) => line(id)) }, catalogue);
    expect(filterScrewsOn(kit(), 67, 67)).toBe(true);
    expect(filterScrewsOn(kit(), 67, 62)).toBe(false);
    expect(filterScrewsOn(kit('nibsworth-step-up-ring-62-to-67'), 67, 62)).toBe(true);
    expect(
      filterScrewsOn(
        kit('nibsworth-step-up-ring-62-to-67', 'nibsworth-step-up-ring-67-to-77'),
        77,
        62
      )
    ).toBe(true);
    expect(filterScrewsOn(kit('nibsworth-step-up-ring-62-to-67'), 67, undefined)).toBe(false);
  });

  it('a side arm and a boom open places to a microphone', () => {
    const [walk, talk] = demoProject().scenes;
    const perch = catalogue.ofKind('microphone').find((mic) => mic.id === 'dunmarrow-plover')!;
    const kit = makeKit(
      {
        id: 'p',
        name: 'p',
        rigs: [],
        lines: [line('nibsworth-side-arm-shoe'), line('brackenholt-stand-boom')]
      },
      catalogue
    );
    expect(micPlacesFor(kit, talk!, perch)).toEqual(['shoe', 'side arm', 'boom arm']);
    expect(micPlacesFor(kit, walk!, perch)).toEqual(['shoe', 'side arm']);
  });
});

describe('what has to meet', () => {
  it('names each joint once, and what has no port for it', () => {
    const rig = rigOf('marsh-path');
    const needs = connectionsOf(rig).map(
      (need) => `${need.purpose}${isMissingPort(need) ? ' missing' : ''}`
    );
    expect(needs).toEqual([
      'lens on body',
      'filter on lens',
      'microphone into input',
      'microphone held',
      'camera held',
      'card in its slot',
      'files into computer'
    ]);
    const silent = rigOf('marsh-path', (project) => {
      pack('ellowen-dragonfly', 'dunmarrow-burr')(project);
      activePlan(project).rigs = [
        { sceneId: 'marsh-path', angleId: 'a', bodyLineId: 'ellowen-dragonfly' }
      ];
    });
    expect(
      connectionsOf(silent)
        .filter(isMissingPort)
        .map(({ purpose }) => purpose)
    ).toEqual(['microphone into input']);
  });

  it('wants cable for the way from a lapel to the camera, and phantom where a microphone lives by it', () => {
    const far = rigOf('loom-lesson', (project) => {
      pack('orrowby-linnet', 'dunmarrow-burr')(project);
      project.scenes.find((scene) => scene.id === 'loom-lesson')!.angles[0]!.distanceM = 3;
    });
    const sound = connectionsOf(far).find((need) => need.purpose === 'microphone into input')!;
    expect(!isMissingPort(sound) && sound.limit([])).toMatch(
      /the cable reaches 1.60 m of the 3.4\d m needed/
    );
    const phantom = rigOf('loom-lesson', pack('orrowby-linnet', 'dunmarrow-ledge-wide'));
    const hungry = connectionsOf(phantom).find((need) => need.purpose === 'microphone into input')!;
    expect(!isMissingPort(hungry) && hungry.limit([])).toMatch(/needs phantom power/);
  });

  it('wants plug-in power for a capsule that lives by it, and a pad between line level and a microphone input', () => {
    const limitOf = (...ids: string[]) => {
      const need = connectionsOf(rigOf('loom-lesson', pack(...ids))).find(
        (connection) => connection.purpose === 'microphone into input'
      )!;
      return isMissingPort(need) ? 'no port' : need.limit([]);
    };
    expect(limitOf('ellowen-slip-6', 'dunmarrow-burr')).toMatch(
      /lives by plug-in power and Ellowen Slip 6 feeds none/
    );
    expect(limitOf('orrowby-linnet', 'dunmarrow-burr')).toBeUndefined();
    expect(limitOf('orrowby-linnet', 'withrick-thimble-three')).toMatch(/gives line level/);
    expect(limitOf('orrowby-linnet-ii', 'withrick-thimble-three')).toBeUndefined();
  });
});
