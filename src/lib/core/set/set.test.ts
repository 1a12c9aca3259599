import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demos } from '$lib/catalogue/demos';
import { demoProject } from '$lib/catalogue/demos/saltmarsh-loom';
import { shelfOf } from '$lib/catalogue/load-catalogue';
import { applyAct } from '../acts/apply-act';
import type { Act } from '../acts/act';
import { figureOf } from '../figures/record';
import { judgePlan } from '../judge/judge-plan';
import { activePlan } from '../model/active-plan';
import type { Project } from '../model/project';
import { startScene } from '../model/scene-starts';
import { cameraPlaces, sceneStyles } from '../model/word-lists';
import { seekBestSpot, spotGoals, type SpotGoal } from './best-spot';
import { cautionsOnSet } from './cautions';
import { isInPicture, layOut, type SetLayout, type Spot, wallThrough } from './layout';
import { lightByHour } from './light-by-hour';
import { lampLightAtLx } from './light-field';
import { type Movable, moveOnSet } from './move-on-set';
import { blanketEffects, farthestMic, soundAtEachPlace } from './sound-sheet';
import { tapeList } from './tape-list';
import { judgeWhileDragged } from './while-dragged';
import { pictureThroughLens, projected } from './through-lens';

const demo = demoProject();
const judgementOf = (project: Project) => judgePlan(project, activePlan(project), shelfOf(project));
const judgedIn = (project: Project, scene: number) => judgementOf(project).angles[scene]!;
const lesson = (acts: Act[] = []) => judgedIn(acts.reduce(applyAct, demo), 1);
const ids = { sceneId: 'loom-lesson', angleId: demo.scenes[1]!.angles[0]!.id };
const put = (patch: Extract<Act, { type: 'set rig' }>['patch']): Act => ({
  type: 'set rig',
  ...ids,
  patch
});

describe('the set of a seated lesson', () => {
  const judged = lesson();
  const layout = layOut(judged);

  it('stands to scale: 0.90 m to the lens, 1.40 m to the wall, in a room of 3.50 by 3.00 m', () => {
    expect(layout.camera.x).toBeCloseTo(-0.9, 9);
    expect(layout.background!.x).toBeCloseTo(1.4, 9);
    expect(layout.room).toEqual({ xMin: -2.1, xMax: 1.4, yMin: -1.5, yMax: 1.5, heightM: 2.4 });
  });

  it('has the key where 0.80 m and 45° put it, on the left', () => {
    const [key] = layout.lamps;
    expect(key!.spot.x).toBeCloseTo(-0.566, 3);
    expect(key!.spot.y).toBeCloseTo(-0.566, 3);
    expect(key!.side).toBe('left');
  });

  it('gives the light of the judge where the face is, and none behind the lamp', () => {
    expect(lampLightAtLx(layout, 0, 0)).toBeCloseTo(figureOf(judged.record, 'keyLight')!, 6);
    // Behind the lamp, as the camera faces, nothing arrives.
    expect(lampLightAtLx(layout, -1, -0.566)).toBe(0);
  });

  it('says by the tape what has to stand where', () => {
    const lines = tapeList(judged, layout).map(({ what, reads }) => `${what}: ${reads}`);
    expect(lines).toContain('Background: 1.40 m behind the face');
    expect(lines.find((line) => line.includes('key'))).toContain(
      '0.80 m from the face, 45° off the camera, on the left'
    );
    expect(cautionsOnSet(judged, layout).join(' ')).toContain('Loads overhead');
  });

  it('draws the face as wide as the figures say', () => {
    const picture = pictureThroughLens(judged, layout)!;
    expect(picture.widthM).toBeCloseTo(figureOf(judged.record, 'pictureWidth')!, 9);
    // The wall is (0.9 + 1.4)/0.9 times as far, so that much more of it fills the width.
    const away = figureOf(judged.record, 'subjectDistance')!;
    expect(picture.backgroundWidthM! / picture.widthM).toBeCloseTo((away + 1.4) / away, 6);
    expect(picture.people[0]!.x).toBeCloseTo(0.5, 9);
    // The eyes stand on the upper third.
    expect(picture.people[0]!.y).toBeCloseTo(1 / 3, 6);
  });

  it('keeps a boom just out of the picture', () => {
    const boomed: SetLayout = {
      ...layout,
      mic: undefined
    };
    const top = boomed.subject.z - boomed.picture!.heightM / 6 + boomed.picture!.heightM / 2;
    expect(isInPicture(boomed, { x: 0, y: 0, z: top - 0.01 })).toBe(true);
    expect(isInPicture(boomed, { x: 0, y: 0, z: top + 0.01 })).toBe(false);
    expect(projected(boomed, { x: 0, y: 0, z: top }).y).toBeCloseTo(0, 9);
  });

  it('knows the walls, the floor and the ceiling', () => {
    const room = layout.room!;
    expect(wallThrough(room, { x: 0, y: 0, z: 1 })).toBeUndefined();
    expect(wallThrough(room, { x: 0, y: 0, z: 2.5 })).toBe('the ceiling');
    expect(wallThrough(room, { x: 0, y: 0, z: -0.1 })).toBe('the floor');
    expect(wallThrough(room, { x: -2.2, y: 0, z: 1 })).toBe('the wall behind the camera');
    expect(wallThrough(room, { x: 1.5, y: 0, z: 1 })).toBe('the wall behind the background');
    expect(wallThrough(room, { x: 0, y: -1.6, z: 1 })).toBe('the wall on the left');
    expect(wallThrough(room, { x: 0, y: 1.6, z: 1 })).toBe('the wall on the right');
  });

  it('says what does not fit', () => {
    const far = lesson([{ type: 'change angle', ...ids, patch: { distanceM: 2.5 } }]);
    expect(layOut(far).faults.join(' ')).toContain('camera and background need 3.90 m');
    const inside = lesson([put({ lamps: [{ lineId: 'line-2', distanceM: 0.5, angleDeg: 175 }] })]);
    expect(layOut(inside).faults.join(' ')).toContain('stands in the picture');
  });
});

describe('moving things on the set', () => {
  const judged = lesson();
  const layout = layOut(judged);
  const went = (movable: Movable, to: Spot) => {
    const move = moveOnSet(judged, layout, movable, to);
    if ('refused' in move) throw new Error(move.refused);
    const after = judgedIn(applyAct(demo, move.act), 1);
    return { after, layout: layOut(after) };
  };
  const refusal = (movable: Movable, to: Spot) => {
    const move = moveOnSet(judged, layout, movable, to);
    return 'refused' in move ? move.refused : 'it went there';
  };

  it('carries the camera along its axis', () => {
    const { after } = went({ what: 'camera' }, { x: -1.2, y: 0.4, z: 1 });
    expect(after.angle.distanceM).toBe(1.2);
    expect(after.angle.backgroundM).toBe(1.4);
  });

  it('moves the person between the camera and the wall, which stay', () => {
    const { after } = went({ what: 'person' }, { x: 0.25, y: 0, z: 1 });
    expect(after.angle.distanceM).toBe(1.15);
    expect(after.angle.backgroundM).toBe(1.15);
  });

  it('puts a lamp where it is dropped, on either side', () => {
    const { layout: there } = went({ what: 'lamp', at: 0 }, { x: -0.3, y: 0.4, z: 1 });
    expect(there.lamps[0]!.distanceM).toBe(0.5);
    // atan2(0.4, 0.3) is 53°.
    expect(there.lamps[0]!.angleDeg).toBe(53);
    expect(there.lamps[0]!.side).toBe('right');
    expect(there.lamps[0]!.spot.y).toBeCloseTo(0.399, 3);
  });

  it('keeps a lamp that lights the face beside the picture', () => {
    // Behind the face and 10 cm off the axis it would be seen: it goes to the edge, and a little past it.
    const { layout: there } = went({ what: 'lamp', at: 0 }, { x: 0.5, y: 0.1, z: 1.1 });
    expect(there.faults.join(' ')).not.toContain('stands in the picture');
    const [key] = there.lamps;
    const half = ((layout.picture!.widthM / 2) * 1.4) / 0.9;
    expect(key!.side).toBe('right');
    expect(key!.spot.y).toBeCloseTo(half + key!.radiusM! + 0.03, 1);
  });

  it('counts the mains cable to the nearest wall, and tells the tape', () => {
    // The key stands 1.50 − 0.566 m from the wall on the left; a cable hangs and bends by 15 %.
    expect(layout.lamps[0]!.mainsM).toBeCloseTo((1.5 - 0.8 * Math.SQRT1_2) * 1.15, 6);
    const tape = tapeList(judged, layout).find(({ what }) => what.startsWith('Mains cable'))!;
    expect(tape.reads).toContain('1.07 m at least');
    expect(layOut(judgedIn(demo, 0)).lamps).toEqual([]);
  });

  it('refuses what lies in a wall, in a word', () => {
    expect(refusal({ what: 'camera' }, { x: -2.4, y: 0, z: 1 })).toContain(
      'wall behind the camera'
    );
    expect(refusal({ what: 'camera' }, { x: -0.02, y: 0, z: 1 })).toContain('0.10 m');
    expect(refusal({ what: 'lamp', at: 0 }, { x: -0.3, y: 1.7, z: 1 })).toContain(
      'the wall on the right'
    );
    expect(refusal({ what: 'background' }, { x: 3, y: 0, z: 1 })).toContain('2.60 m');
    expect(refusal({ what: 'background' }, { x: 0, y: 0, z: 1 })).toContain('behind at least');
    expect(refusal({ what: 'person' }, { x: -0.85, y: 0, z: 1 })).toContain('0.10 m');
    expect(refusal({ what: 'person' }, { x: 1.38, y: 0, z: 1 })).toContain('reached');
  });

  it('is judged while it is dragged as it will be once let go, with the parts it has', () => {
    const judgement = judgementOf(demo);
    for (const [index, judged] of judgement.angles.entries()) {
      const act: Act = {
        type: 'change angle',
        sceneId: judged.scene.id,
        angleId: judged.angle.id,
        patch: { distanceM: judged.angle.distanceM + 0.02 }
      };
      const dragged = judgeWhileDragged(demo, shelfOf(demo), judgement, judged, act)!;
      const after = judgedIn(applyAct(demo, act), index);
      expect(dragged.rig.lens?.lineId).toBe(judged.rig.lens?.lineId);
      for (const figure of ['pictureWidth', 'faceDim', 'speechToNoise', 'backgroundBlur'] as const)
        expect(figureOf(dragged.record, figure)).toBe(figureOf(after.record, figure));
    }
  });

  it('comes back to where it was', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -2, max: -0.11, noNaN: true }),
        fc.double({ min: -1.4, max: 1.4, noNaN: true }),
        (x, y) => {
          // What would be seen is moved aside.
          if (isInPicture(layout, { x, y, z: 1.1 })) return;
          const there = moveOnSet(judged, layout, { what: 'lamp', at: 0 }, { x, y, z: 1.1 });
          if ('refused' in there) return;
          const spot = layOut(judgedIn(applyAct(demo, there.act), 1)).lamps[0]!.spot;
          // Whole centimetres and whole degrees: a lamp two metres off may land 2 cm beside.
          expect(Math.hypot(spot.x - x, spot.y - y)).toBeLessThan(0.03);
        }
      ),
      { numRuns: 60 }
    );
  });
});

describe('windows', () => {
  it('are open, curtained or blocked by what they let through', () => {
    const hung = (transmittance: number) =>
      layOut(
        judgedIn(
          applyAct(demo, {
            type: 'change scene',
            sceneId: 'loom-lesson',
            patch: {
              window: {
                areaM2: 1.2,
                distanceM: 1,
                skyDimCdM2: 500,
                skyBrightCdM2: 5000,
                transmittance
              }
            }
          }),
          1
        )
      ).window;
    expect(hung(0.8)).toMatchObject({ y: 1, hung: 'open' });
    expect(hung(0.3)!.hung).toBe('curtained');
    expect(hung(0.02)!.hung).toBe('blocked');
    // √1.2 m of glass, and the wall it is in a metre to the right of the face.
    expect(hung(0.8)!.widthM).toBeCloseTo(1.095, 3);
  });
});

describe('a scene filmed from two angles', () => {
  const [first] = demo.scenes[1]!.angles;
  const two: Project = {
    ...demo,
    scenes: demo.scenes.map((scene, index) =>
      index === 1
        ? { ...scene, angles: [first!, { ...first!, id: 'b', name: 'side', distanceM: 1.2 }] }
        : scene
    )
  };
  const judged = judgedIn(two, 1);

  it('shows the other camera where it is said to stand, and lets it be put elsewhere', () => {
    const layout = layOut(judged);
    // 35° round, to the right: −1.2·cos 35°, 1.2·sin 35°.
    expect(layout.others).toHaveLength(1);
    expect(layout.others[0]!.spot.x).toBeCloseTo(-0.983, 3);
    expect(layout.others[0]!.spot.y).toBeCloseTo(0.688, 3);
    const move = moveOnSet(judged, layout, { what: 'other camera', at: 0 }, { x: 0, y: -1, z: 1 });
    if ('refused' in move) throw new Error(move.refused);
    const after = applyAct(two, move.act);
    const [, second] = after.scenes[1]!.angles;
    expect(second).toMatchObject({ distanceM: 1, turnDeg: -90 });
    expect(layOut(judgedIn(after, 1)).others[0]!.spot.y).toBeCloseTo(-1, 9);
    // Seen from its own side the first stands as far round the other way.
    expect(layOut(judgedIn(after, 2)).others[0]!.turnDeg).toBe(90);
    const walled = moveOnSet(judged, layout, { what: 'other camera', at: 0 }, { x: 0, y: 2, z: 1 });
    expect('refused' in walled && walled.refused).toContain('the wall on the right');
  });
});

describe('the sound sheet', () => {
  it('judges every place as the judge does when the microphone is put there', async () => {
    const project = await demos[1].project();
    const judgement = judgementOf(project);
    for (const judged of judgement.angles) {
      const sounds = soundAtEachPlace(project, shelfOf(project), judgement, judged);
      if (!judged.rig.mic) {
        expect(sounds).toEqual([]);
        continue;
      }
      expect(sounds.filter(({ inUse }) => inUse)).toHaveLength(1);
      for (const { place, speechToNoiseDb } of sounds) {
        const there = applyAct(project, {
          type: 'set rig',
          sceneId: judged.scene.id,
          angleId: judged.angle.id,
          patch: { micLineId: judged.rig.mic.line.id, micPlace: place }
        });
        const again = judgementOf(there).angles.find(
          ({ scene, angle }) => scene.id === judged.scene.id && angle.id === judged.angle.id
        )!;
        expect(speechToNoiseDb).toBe(figureOf(again.record, 'speechToNoise'));
      }
    }
  });

  it('says how far the microphone may go: there the limit is met exactly', () => {
    const judged = lesson();
    const { distanceM, limit } = farthestMic(judged)!;
    expect(limit).toBe('noise');
    // 60 dB(A) at 1 m less the noise less the 35 dB of a clean voice.
    const noise = figureOf(judged.record, 'noiseAtMic')!;
    expect(60 - 20 * Math.log10(distanceM) - noise).toBeCloseTo(35, 6);
  });

  it('hangs blankets: 4 m² of 0.6 over 0.2 in a room of 52.2 m²', () => {
    const effects = blanketEffects(lesson());
    expect(effects.map(({ blankets }) => blankets)).toEqual([0, 1, 2, 4]);
    // ᾱ = 0.2 + 4·0.4/52.2 = 0.2307; 0.161·25.2/(−52.2·ln(1 − 0.2307)) = 0.2964 s.
    expect(effects[2]!.reverberationS).toBeCloseTo(0.2964, 3);
    expect(effects[3]!.directToReverberantDb).toBeGreaterThan(effects[0]!.directToReverberantDb);
  });
});

describe('light through the day', () => {
  it('goes from the dim end to the bright end at noon, where there is a sky', () => {
    const path = judgedIn(demo, 0);
    const hours = lightByHour(path);
    expect(hours.map(({ hour }) => hour)).toEqual([6, 7, 8, 9, 10, 11, 12, 13, 14, 15, 16, 17, 18]);
    expect(hours[0]!.lx).toBeCloseTo(10_000, 6);
    // Half the height of the sun at eight: 10 000 + 90 000/2.
    expect(hours[2]!.lx).toBeCloseTo(55_000, 6);
    expect(hours[6]!.lx).toBeCloseTo(100_000, 6);
    expect(lightByHour(lesson())).toEqual([]);
  });
});

describe('the best spot', () => {
  const judgement = judgementOf(demo);
  it.each(Object.keys(spotGoals) as SpotGoal[])(
    'for the %s is no worse than here, and nothing new breaks',
    (goal) => {
      const judged = judgement.angles[1]!;
      const seeking = seekBestSpot(demo, shelfOf(demo), judgement, judged, goal);
      let step = seeking.next();
      while (!step.done) step = seeking.next();
      const spot = step.value;
      expect(spot).toBeDefined();
      const { more } = spotGoals[goal];
      expect(more ? spot!.value : -spot!.value).toBeGreaterThanOrEqual(
        (more ? spot!.before! : -spot!.before!) - 1e-9
      );
      const codes = new Set(
        judgement.findings
          .filter(({ severity }) => severity === 'stop' || severity === 'warn')
          .map(({ code }) => code)
      );
      const after = judgementOf(applyAct(demo, spot!.act));
      for (const { severity, code } of after.findings)
        if (severity === 'stop' || severity === 'warn') expect(codes).toContain(code);
      expect(figureOf(after.angles[1]!.record, spotGoals[goal].figure)).toBeCloseTo(spot!.value, 9);
    }
  );
});

describe('the set of every kind of scene', () => {
  it('is laid out, drawn and taped in figures that are numbers, every camera place included', async () => {
    const projects: Project[] = [];
    for (const { project } of demos) projects.push(await project());
    for (const style of sceneStyles)
      for (const cameraPlace of cameraPlaces) {
        const scene = startScene(style, [], 100);
        scene.angles[0]!.cameraPlace = cameraPlace;
        projects.push({ ...demo, scenes: [scene] });
      }
    for (const project of projects)
      for (const judged of judgementOf(project).angles) {
        const layout = layOut(judged);
        const spots = [
          layout.camera,
          layout.subject,
          ...layout.people,
          ...layout.lamps.map(({ spot }) => spot),
          ...(layout.mic ? [layout.mic.spot] : [])
        ];
        for (const spot of spots)
          for (const along of Object.values(spot)) expect(Number.isFinite(along)).toBe(true);
        const picture = pictureThroughLens(judged, layout);
        if (picture) expect(picture.aspect).toBeGreaterThan(0);
        expect(Number.isFinite(lampLightAtLx(layout, 0.1, 0.1))).toBe(true);
        for (const { what, reads } of tapeList(judged, layout))
          expect(`${what} ${reads}`).not.toMatch(/NaN|undefined|Infinity/);
        for (const fault of layout.faults) expect(fault).toMatch(/\.$/);
        for (const what of ['camera', 'person', 'background', 'microphone'] as const) {
          const move = moveOnSet(judged, layout, { what }, { x: 0.4, y: 0.3, z: 1.3 });
          if ('act' in move) applyAct(project, move.act);
          else expect(move.refused).toMatch(/\.$/);
        }
      }
  });
});
