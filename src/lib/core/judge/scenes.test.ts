import { describe, expect, it } from 'vitest';
import { catalogue, shelfOf } from '../../catalogue/load-catalogue';
import { applyAct } from '../acts/apply-act';
import type { FigureId } from '../figures/table';
import { figureOf } from '../figures/record';
import { activePlan } from '../model/active-plan';
import { newLine } from '../model/new-line';
import { newProject } from '../model/new-project';
import type { Project } from '../model/project';
import type { Scene, SceneStyle } from '../model/scene';
import { NO_PART, sceneStyles } from '../model/word-lists';
import { judgeCandidates } from './candidates';
import { cautionsFor } from './cautions';
import { judgePlan } from './judge-plan';
import { remediesFor } from './settle';
import { settingsOf } from './settings';
import { settleAll } from './settle-all';

function filmed(styles: SceneStyle[], limit: number, change: (scene: Scene) => void = () => {}) {
  const project = newProject('p', 'scenes', {
    styles,
    limitMinor: limit * 100,
    school: 'sound and light first',
    currency: 'GBP',
    mainsHz: 50,
    units: 'metric'
  });
  project.scenes.forEach(change);
  return project;
}
/** What mends an empty kit: the best one is packed, and tested, elsewhere. */
function cheaplyFilmed(style: SceneStyle): Project {
  const start = filmed([style], 3000);
  return applyAct(start, settleAll(start, catalogue).act!);
}
const judged = (project: Project) => judgePlan(project, activePlan(project), shelfOf(project));
const packed = (...ids: string[]) =>
  ids.map((id) => catalogue.byId.get(id) ?? expect.fail(`no part ${id}`));
function holding(project: Project, ...ids: string[]): Project {
  return packed(...ids).reduce(
    (grown, gear) => applyAct(grown, { type: 'add line', line: newLine(activePlan(grown), gear) }),
    project
  );
}
const stops = (project: Project) =>
  judged(project).findings.filter(({ severity }) => severity === 'stop');
const figure = (project: Project, id: FigureId, index = 0) =>
  figureOf(judged(project).angles[index]!.record, id);

describe('every kind of scene', () => {
  it.each(sceneStyles)('%s can be filmed with a kit from the shelf', (style) => {
    const project = cheaplyFilmed(style);
    expect(stops(project).map((finding) => finding.title())).toEqual([]);
    expect(judged(project).merit.mustDoWorking).toBe(1);
  });
});

describe('riding', () => {
  it('meets the air of its own speed, walking that of the wind and of the step', () => {
    const kit = ['dunmarrow-burr', 'ellowen-slip-4'];
    const ride = (rideSpeedMps: number, windMps: number) =>
      figure(
        holding(
          filmed(['ride'], 900, (scene) => Object.assign(scene, { rideSpeedMps, windMps })),
          ...kit
        ),
        'airSpeed'
      );
    expect(ride(6, 3)).toBe(6);
    expect(ride(6, 9)).toBe(9);
    expect(figure(holding(filmed(['walk'], 900), ...kit), 'airSpeed')).toBeCloseTo(4.4, 12);
  });

  it('shakes a camera that nothing stabilises, and brings the caution of filming on the move', () => {
    const shaken = judged(holding(filmed(['ride'], 900), 'ellowen-slip-4'));
    expect(shaken.findings.map(({ code }) => code)).toContain('B9');
    expect(cautionsFor(shaken).map(({ topic }) => topic)).toContain('Filming on the move');
    const steady = judged(holding(filmed(['ride'], 900), 'cobberly-pocketwright-vista'));
    expect(steady.findings.map(({ code }) => code)).not.toContain('B9');
  });

  it('asks for what carries the camera on the chest or the handlebar, strong enough for it', () => {
    for (const place of ['chest', 'handlebar'] as const) {
      const project = holding(
        filmed(['ride'], 900, (scene) => (scene.angles[0]!.cameraPlace = place)),
        'ellowen-slip-4'
      );
      const missing = stops(project).find(({ code }) => code === 'M7')!;
      expect(missing.title()).toMatch(place);
      const [remedy] = remediesFor(project, catalogue, judged(project), missing);
      const after = judged(applyAct(project, remedy!.act));
      expect(after.findings.map(({ code }) => code)).not.toContain('S1');
      expect(after.findings.filter(({ code }) => code === 'M7')).toEqual([]);
    }
  });
});

describe('flying', () => {
  it('wants a drone, which brings its card, and is held by nothing', () => {
    const project = filmed(['flying'], 900);
    const [missing] = stops(holding(project, 'ellowen-slip-4'));
    expect(missing!.title()).toBe('Nothing that flies');
    const with1 = holding(project, 'ellowen-slip-4');
    const [remedy] = remediesFor(with1, catalogue, judged(with1), missing!);
    expect(stops(applyAct(with1, remedy!.act))).toEqual([]);
  });

  it('takes no camera’s place, and is of no use where nothing is filmed from the air', () => {
    const grounded = holding(filmed(['walk'], 2000), 'cobberly-pocketwright-vista');
    const drone = judgeCandidates(grounded, catalogue, 'body').find(
      ({ gear }) => gear.id === 'ellowen-hawker'
    )!;
    expect(drone.unusable).toBe('No scene is filmed from the air, so it would stay in the bag.');
    expect(drone.replaces).toBeUndefined();
    const shaky = holding(filmed(['ride'], 2000), 'ellowen-pebblecam', 'nibsworth-harness-broad');
    for (const finding of judged(shaky).findings)
      for (const { label } of remediesFor(shaky, catalogue, judged(shaky), finding))
        expect(label).not.toMatch(/Damselfly|Dragonfly|Hawker/);
  });

  it('leaves the drone in the air: a scene on the ground is filmed with the camera', () => {
    const both = holding(
      filmed(['walk', 'flying'], 2000),
      'ellowen-hawker',
      'cobberly-pocketwright-vista'
    );
    const [walk, air] = judged(both).angles;
    expect(walk!.rig.body!.gear.id).toBe('cobberly-pocketwright-vista');
    expect(air!.rig.body!.gear.id).toBe('ellowen-hawker');
  });
});

describe('a scene without people', () => {
  it.each(['product', 'landscape', 'flying'] as const)('%s asks for no face', (style) => {
    const project = cheaplyFilmed(style);
    const codes = judged(project).findings.map(({ code }) => code);
    for (const code of ['B1', 'B6', 'L3', 'L4', 'G2', 'A1']) expect(codes).not.toContain(code);
    const settings = settingsOf(judged(project).angles[0]!).map(({ name }) => name);
    expect(settings).toContain('Focus');
    expect(settings).not.toContain('Face following');
  });
});

describe('light that stays on', () => {
  const lit = (lightColourK: number | undefined, lx: number, lamp: string) =>
    holding(
      filmed(['seated'], 2000, (scene) =>
        Object.assign(scene, { lightColourK, lightDimLx: lx, lightBrightLx: lx })
      ),
      'cobberly-pocketwright-vista',
      lamp,
      'brackenholt-stand-2'
    );
  const daylightLamp = catalogue
    .ofKind('lamp')
    .find(({ colourMinK, colourMaxK }) => colourMinK === 5600 && colourMaxK === 5600)!.id;

  it('of another colour than the lamp is seen from 15 mired and an eighth of the light on', () => {
    const mixed = judged(lit(2700, 400, daylightLamp));
    const finding = mixed.findings.find(({ code }) => code === 'G3')!;
    // 10⁶/2700 − 10⁶/5600 = 370.4 − 178.6
    expect(finding.has).toBeCloseTo(191.8, 1);
    expect(finding.severity).toBe('warn');
    for (const calm of [lit(5600, 400, daylightLamp), lit(2700, 1, daylightLamp)])
      expect(judged(calm).findings.map(({ code }) => code)).not.toContain('G3');
    expect(
      judged(lit(undefined, 400, daylightLamp)).findings.map(({ code }) => code)
    ).not.toContain('G3');
  });

  it('is switched off, or met by a lamp of its colour', () => {
    const mixed = lit(2700, 400, daylightLamp);
    const finding = judged(mixed).findings.find(({ code }) => code === 'G3')!;
    const remedies = remediesFor(mixed, catalogue, judged(mixed), finding);
    expect(remedies.map(({ label }) => label)).toContain('That light can be switched off');
    for (const { act, mends } of remedies.filter((remedy) => remedy.mends)) {
      expect(mends).toBe(true);
      expect(judged(applyAct(mixed, act)).findings.map(({ code }) => code)).not.toContain('G3');
    }
  });

  it('through a window is daylight unless somebody says otherwise', () => {
    const warmLamp = catalogue
      .ofKind('lamp')
      .find(
        ({ colourMinK, colourMaxK, form }) =>
          colourMinK !== undefined && (colourMaxK ?? 9e9) < 3500 && form === 'bulb'
      )!;
    const atValue = (lightColourK: number | undefined, lightSource: 'window' | 'lamps') =>
      holding(
        filmed(['seated'], 2000, (scene) =>
          Object.assign(scene, { lightColourK, lightSource, lightDimLx: 400, lightBrightLx: 400 })
        ),
        'cobberly-pocketwright-vista',
        warmLamp.id,
        'brackenholt-stand-2'
      );
    const mixed = atValue(undefined, 'window');
    const finding = judged(mixed).findings.find(({ code }) => code === 'G3')!;
    // 10⁶/K of the lamp against 10⁶/5600.
    expect(finding.has).toBeCloseTo(1e6 / warmLamp.colourMaxK! - 1e6 / 5600, 6);
    expect(finding.why()).toContain('the window gives');
    const remedies = remediesFor(mixed, catalogue, judged(mixed), finding);
    expect(remedies.map(({ label }) => label)).toContain('The window can be covered');
    for (const { act } of remedies)
      expect(judged(applyAct(mixed, act)).findings.map(({ code }) => code)).not.toContain('G3');
    // Of lamps that stay on nobody knows the colour, and of a window somebody may.
    for (const calm of [atValue(undefined, 'lamps'), atValue(warmLamp.colourMaxK, 'window')])
      expect(judged(calm).findings.map(({ code }) => code)).not.toContain('G3');
  });

  it('of a back light counts on the person, of a background or a lamp in the picture does not', () => {
    const project = holding(
      filmed(['seated'], 2000, (scene) =>
        Object.assign(scene, { lightSource: 'lamps', lightDimLx: 5, lightBrightLx: 5 })
      ),
      'cobberly-pocketwright-vista',
      daylightLamp,
      'brackenholt-stand-2'
    );
    const plan = activePlan(project);
    const bulb = catalogue
      .ofKind('lamp')
      .find(({ colourMaxK, form }) => (colourMaxK ?? 9e9) < 3500 && form === 'bulb')!;
    plan.lines.push({ ...plan.lines[0]!, id: 'warm', gearId: bulb.id });
    const key = plan.lines.find(({ gearId }) => gearId === daylightLamp)!;
    const [scene] = project.scenes;
    const as = (role: 'back' | 'overhead' | 'background' | 'practical') => {
      plan.rigs = [
        {
          sceneId: scene!.id,
          angleId: scene!.angles[0]!.id,
          keyLampLineId: key.id,
          fillLampLineId: NO_PART,
          lamps: [{ lineId: 'warm', role, distanceM: 1.5, angleDeg: 150 }]
        }
      ];
      return judged(project).findings.find(({ code }) => code === 'G3');
    };
    for (const role of ['background', 'practical'] as const) expect(as(role)).toBeUndefined();
    for (const role of ['overhead', 'back'] as const) {
      const finding = as(role)!;
      expect(finding.severity).toBe('warn');
      expect(finding.has).toBeCloseTo(1e6 / bulb.colourMaxK! - 1e6 / 5600, 6);
      expect(finding.lineIds).toEqual([key.id, 'warm']);
    }
    const finding = as('back')!;
    expect(finding.title()).toMatch(/: the back light is .* mired from the key/);
    const remedies = remediesFor(project, catalogue, judged(project), finding);
    expect(remedies.length).toBeGreaterThanOrEqual(1);
    for (const { act } of remedies)
      expect(judged(applyAct(project, act)).findings.map(({ code }) => code)).not.toContain('G3');
  });

  it('sets the white balance', () => {
    const found = filmed(['evening'], 900, (scene) => (scene.lightColourK = 3200));
    const [angle] = judged(holding(found, 'cobberly-pocketwright-vista')).angles;
    const balance = settingsOf(angle!).find(({ name }) => name === 'White balance')!;
    expect(balance.set).toBe('fixed, 3\u00a0200 K');
  });
});
