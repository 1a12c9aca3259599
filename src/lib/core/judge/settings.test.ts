import { describe, expect, it } from 'vitest';
import type { GearOf } from '../model/gear';
import type { Project } from '../model/project';
import { activePlan } from '../model/active-plan';
import { calmKit, judged, line, ownCopy, setRig, swap, walkOutside } from './tests/calm-kit';
import { settingsOf } from './settings';

function settings(project: Project, index = 0) {
  return new Map(
    settingsOf(judged(project).angles[index]!).map((setting) => [setting.name, setting])
  );
}
const scene = (project: Project) => project.scenes[0]!;
function changed(change: (project: Project) => void) {
  const project = calmKit();
  change(project);
  return settings(project);
}
const lens = 'pellamund-24-f-1-5';

describe('what is set', () => {
  it('nothing without a body', () => {
    const project = calmKit();
    activePlan(project).lines = [];
    expect(settings(project).size).toBe(0);
  });

  it('a rate in step with the mains, and a shutter that leaves lamps steady', () => {
    expect(settings(calmKit()).get('Shutter')!.set).toBe('1/50 s');
    const sixty = changed((project) => {
      project.mainsHz = 60;
      scene(project).fps = 30;
    });
    expect(sixty.get('Frame rate')!.why).toContain('30 fps keeps step');
    const off = changed((project) => {
      scene(project).fps = 24;
      ownCopy<GearOf<'body'>>(project, 'orrowby-linnet-ii', (gear) =>
        gear.modes.forEach((mode) => (mode.fps = 24))
      );
    });
    expect(off.get('Frame rate')!.why).toContain('25 and 50 fps would keep step, at 24');
    expect(sixty.get('Shutter')!.set).toBe('1/60 s');
    expect(sixty.get('Shutter')!.why).toContain('0 % of flicker left');
  });

  it('tells of a slow dimmer where its pulses show, and of a fast one not', () => {
    const lamp = 'quillfeather-ray-65-two-colour-55-cm-dome';
    const dimmedAt = (pwmHz: number) =>
      changed((project) =>
        ownCopy<GearOf<'lamp'>>(project, lamp, (gear) => (gear.pwmHz = pwmHz))
      ).get('Shutter')!.why;
    // 1 ÷ (π · 400 Hz · 1/50 s)
    expect(dimmedAt(400)).toContain('pulses 400 times a second and leaves up to 3.98 % of ripple');
    expect(dimmedAt(25_000)).not.toContain('ripple');
  });

  it('the rate the scene asks for under the sky, where no lamp beats', () => {
    const outside = changed(walkOutside);
    expect(outside.get('Frame rate')!.why).toContain('no lamp flickers');
    expect(outside.get('Shutter')!.why).toBe('Half the frame time: natural motion.');
  });

  it('a sensitivity that is a step of the dial, never below the lowest', () => {
    const bright = changed(
      (project) => (scene(project).lightDimLx = scene(project).lightBrightLx = 4000)
    );
    const lowest = Number(/^ISO (\d+)$/.exec(bright.get('ISO')!.set)![1]);
    expect([100, 125, 160, 200, 800]).toContain(lowest);
    const dim = changed((project) => {
      setRig(project, { apertureN: 11 });
      scene(project).lightDimLx = 50;
      scene(project).lightSource = 'existing light';
    });
    const high = Number(/^ISO (\d+)$/.exec(dim.get('ISO')!.set)![1]);
    expect(high).toBeGreaterThan(lowest);
    expect(dim.get('ISO')!.why).toContain('noise shows');
    expect(dim.has('Your lamps')).toBe(false);
    expect(settings(calmKit()).get('Your lamps')!.set).toMatch(/^turned down to \d+ %/);
  });

  it('an aperture with the other school beside it, whichever is chosen', () => {
    expect(settings(calmKit()).get('Aperture')).toMatchObject({ set: 'f/1.5', figure: 'aperture' });
    expect(settings(calmKit()).get('Aperture')!.others).toContain('One stop down');
    const closed = changed((project) => {
      scene(project).wantsFaceSharp = true;
    }).get('Aperture')!;
    expect(closed.set).toBe('f/4');
    expect(closed.why).toBe('Stopped down until all that should be sharp is.');
    expect(closed.others).toContain('Wide open');
    const own = changed((project) => setRig(project, { apertureN: 2 })).get('Aperture')!;
    expect(own.why).toBe('As you have set it.');
  });

  it('a zoom ring only on a zoom', () => {
    expect(settings(calmKit()).has('Zoom')).toBe(false);
    const zoom = changed((project) => swap(project, lens, 'orrowby-15-43-f-3-5-5-6'));
    expect(zoom.get('Zoom')!.set).toMatch(/^\d+(\.\d)? mm$/);
  });

  it('a filter outdoors: off in the shade, in place in the sun, wanted where none is on', () => {
    const out = (lx: number, filter?: string, more: (p: Project) => void = () => undefined) =>
      changed((project) => {
        walkOutside(project);
        more(project);
        Object.assign(scene(project), { lightSource: 'sky', lightDimLx: lx, lightBrightLx: lx });
        if (filter) activePlan(project).lines.push(line(filter));
        ownCopy<GearOf<'lens'>>(project, lens, (gear) => {
          gear.filterThreadMm = 62;
          gear.ports.forEach((port) => port.family === 'thread' && (port.type = '62 mm'));
        });
      }).get('Neutral density (ND)')!;
    expect(out(20)).toMatchObject({
      set: 'off',
      why: expect.stringContaining('no more light') as string
    });
    expect(out(100_000)).toMatchObject({
      set: 'off',
      why: expect.stringContaining('would keep natural') as string
    });
    const on = (p: Project) => setRig(p, { filterLineId: 'pellamund-dusk-2-5-62-mm' });
    expect(out(100_000, 'pellamund-dusk-2-5-62-mm', on).set).toMatch(
      /^Dusk 2–5, 62 mm at \d(\.\d)? stops$/
    );
    expect(settings(calmKit()).has('Neutral density (ND)')).toBe(false);
  });

  it('a colour: the lamp’s own indoors, daylight under the sky, a grey card where lamps are found', () => {
    const white = (change: (project: Project) => void) => changed(change).get('White balance')!;
    expect(white(() => undefined).set).toMatch(/^fixed, \d[ \u00a0]?\d{3} K$/);
    expect(white((project) => (scene(project).lightSource = 'existing light')).set).toMatch(
      /grey card|fixed, /
    );
    const sky = white((project) => {
      walkOutside(project);
      scene(project).lightSource = 'sky';
    });
    expect(sky.set).toMatch(/^fixed, 5[ \u00a0]?600 K$/);
    expect(sky.others).toMatch(/^Automatic/);
  });

  it('a flat profile only where it is chosen, and what it costs is said', () => {
    const profile = changed((project) => {
      ownCopy<GearOf<'body'>>(
        project,
        'orrowby-linnet-ii',
        (gear) => (gear.profiles = [{ name: 'Meadow flat', baseIso: 800, flat: true }])
      );
      setRig(project, { profile: 'Meadow flat' });
    }).get('Picture profile')!;
    expect(profile.set).toBe('Meadow flat');
    expect(profile.why).toContain('has to be graded');
    expect(settings(calmKit()).get('Picture profile')!.set).toBe('the ordinary one');
  });

  it('a switch only on a microphone that has one', () => {
    const named = (project: Project) =>
      [...settings(project).keys()].filter((name) => /^Switch of/.test(name));
    const without = calmKit();
    ownCopy<GearOf<'microphone'>>(without, 'dunmarrow-burr', (gear) => (gear.hasSwitch = false));
    expect(named(without)).toEqual([]);
    const onCamera = calmKit();
    swap(onCamera, 'dunmarrow-burr', 'dunmarrow-plover');
    expect(named(onCamera)).toEqual(['Switch of Plover']);
  });

  it('the stabiliser on in the hand, off on a stand', () => {
    const steadied = (change: (project: Project) => void) =>
      changed((project) => {
        ownCopy<GearOf<'body'>>(project, 'orrowby-linnet-ii', (gear) => (gear.stabilised = true));
        change(project);
      }).get('Stabiliser')!.set;
    expect(steadied(() => undefined)).toBe('off');
    expect(steadied(walkOutside)).toBe('on');
  });

  it('focus by hand where the mode loses the face', () => {
    expect(settings(calmKit()).get('Face following')!.set).toBe('on, eyes first');
    const lost = changed((project) =>
      ownCopy<GearOf<'body'>>(project, 'orrowby-linnet-ii', (gear) =>
        gear.modes.forEach((mode) => (mode.faceFocus = false))
      )
    ).get('Face following')!;
    expect(lost.set).toBe('not in this mode: focus by hand');
    expect(lost.why).toMatch(/^Set 0\.\d+ m and tape the ring\.$/);
  });

  it('the display clean while others look on', () => {
    expect(settings(calmKit()).has('Output display')).toBe(false);
    expect(changed((project) => (scene(project).live = true)).get('Output display')!.why).toContain(
      'Callers see'
    );
  });

  it('the clip’s length where the body ends it early', () => {
    const short = changed((project) =>
      ownCopy<GearOf<'body'>>(project, 'orrowby-linnet-ii', (gear) =>
        gear.modes.forEach((mode) => (mode.recordLimitMin = 29))
      )
    );
    expect(short.get('Clip length')!.set).toBe('29 min');
  });

  it('what one does beside the camera: listening, looking, standing clear, clapping', () => {
    const talk = settings(calmKit());
    expect(talk.get('Headphones')!.set).toContain('test take');
    expect(talk.get('Eye line')!.set).toContain('into the lens');
    expect(talk.has('Own shadow')).toBe(false);
    expect(talk.has('Clap')).toBe(false);
    const call = changed((project) => (scene(project).live = true));
    expect(call.get('Headphones')!.why).toMatch(/echo/);
    const mute = changed((project) => (scene(project).voice = 'none'));
    expect(mute.has('Headphones')).toBe(false);
    const above = changed((project) => {
      Object.assign(scene(project).angles[0]!, { cameraPlace: 'overhead', framing: 'hands' });
    });
    expect(above.get('Own shadow')!.set).toContain('side');
    expect(above.has('Eye line')).toBe(false);
  });

  it('tells how far the clocks of two cameras run apart in a take', () => {
    const project = calmKit();
    scene(project).longestTakeMin = 60;
    scene(project).angles.push({ ...scene(project).angles[0]!, id: 'b', name: 'side' });
    activePlan(project).lines.push(line('tesselind-vale'));
    // 40 ppm for an hour is 144 ms: 3.6 frames at 25.
    expect(settings(project).get('Clap')).toMatchObject({
      set: 'at the start and at the end of each take',
      why: expect.stringContaining('3.6 frames')
    });
    scene(project).longestTakeMin = 1;
    expect(settings(project).get('Clap')!.why).toContain('less than a tenth of a frame');
  });
});
