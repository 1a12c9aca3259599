import { hasWindow, isMoving, isRecorded, showsFace } from '../model/scene-facts';
import { figureOf } from '../figures/record';
import { figureWords, minutesWords } from '../figures/figure-words';
import type { FigureId } from '../figures/table';
import { fullName } from '../model/gear';
import { AIM_PEAK_DBFS, LAUGH_DB } from '../relations/sound/level-set-up';
import { practiceSettings } from './practice-settings';
import { exposureSettings, type Setting } from './exposure-settings';

export type { Setting };
import type { AngleJudgement } from './incremental';
import { DAYLIGHT_K } from '../relations/lighting/colour';

/** Colour of daylight through a window or under the sky. */
/** Lamps that go from warm to cool stand best in the middle of the room's own colour. */
const WARM_ROOM_K = 4300;

/**
 * The settings that follow for one angle, in the order one goes through the camera. Nothing is
 * decided here that the figures do not say; where they are unknown, the setting says what to measure.
 */
export function settingsOf({ rig, record, scene, angle }: AngleJudgement): Setting[] {
  const { body, mode, lens, mic, overrides, project } = rig;
  if (!body || !mode) return [];
  const figure = (id: FigureId) => figureOf(record, id);
  const list: Setting[] = [];
  list.push({
    name: 'Mode',
    set: `${mode.pixelsAcross} × ${mode.pixelsDown}, ${figureWords(mode.bitRateMbps, 'Mb/s')}`,
    why:
      mode.pixelsAcross >= scene.pixelsAcross
        ? `${scene.pixelsAcross} pixels are wanted across, and this mode writes the least that gives them.`
        : `${scene.pixelsAcross} pixels are wanted; this is the most ${fullName(body.gear)} has at this rate.`,
    others:
      mode.pixelsAcross >= 3840
        ? 'Small files edit easily: film in 1920 unless you crop later.'
        : 'Film in 3840 and crop later.',
    figure: 'pixelsAcross'
  });
  if (lens && rig.focalLengthMm !== undefined && lens.focalLengthMinMm < lens.focalLengthMaxMm)
    list.push({
      name: 'Zoom',
      set: figureWords(rig.focalLengthMm, 'mm'),
      why: 'The framing at the measured distance; mark it on the ring with tape.',
      figure: 'focalLength'
    });
  list.push(...exposureSettings({ rig, record, scene, angle }));
  list.push(whiteBalance({ rig, record, scene, angle }));
  const flat = body.gear.profiles?.find(({ name }) => name === overrides?.profile);
  list.push({
    name: 'Picture profile',
    set: flat?.name ?? 'the ordinary one',
    why: flat?.flat
      ? 'Keeps more range for grading; every clip has to be graded.'
      : 'What is recorded is what is watched; nothing has to be graded.',
    others: flat?.flat
      ? 'The ordinary profile, right in the camera.'
      : 'A flat profile, graded afterwards.'
  });
  if (mic && rig.index === 0) {
    if ((mic.gear.boostDb ?? 0) > 0)
      list.push({
        name: 'Boost on the microphone',
        set: overrides?.boostOn === false ? 'off' : `on, ${figureWords(mic.gear.boostDb!, 'dB')}`,
        why: 'A strong microphone lets the noisier input of the camera stay low.',
        figure: 'inputNoiseAsLevel'
      });
    const gain = figure('gainForPeaks');
    list.push({
      name: 'Sound level',
      set:
        gain === undefined
          ? `peaks at ${AIM_PEAK_DBFS} dBFS`
          : `${figureWords(gain, 'dB')} of gain, peaks at ${AIM_PEAK_DBFS} dBFS`,
      why: `Automatic level off: it lifts the room in every pause. A laugh comes ${LAUGH_DB} dB louder and clips by ${LAUGH_DB + AIM_PEAK_DBFS} dB; a safety track set ${-AIM_PEAK_DBFS} dB lower holds it.`,
      ...(gain === undefined ? {} : { figure: 'gainForPeaks' as const })
    });
    if (mic.gear.hasSwitch === true)
      list.push({
        name: `Switch of ${mic.gear.model}`,
        set: 'on, and lit',
        why: 'Left off, the take is silent and nothing says so.'
      });
  }
  const shown =
    scene.live || rig.kit.of('monitor').length > 0 || rig.kit.of('capture device').length > 0;
  if (shown)
    list.push({
      name: 'Output display',
      set: body.gear.cleanOutput === false ? 'marks cannot be hidden' : 'clean, marks off',
      why: scene.live
        ? 'Callers see whatever stands in the picture.'
        : 'The monitor shows the picture, the body’s own screen the marks.'
    });
  const onStand = !isMoving(rig.angle);
  if (body.gear.stabilised === true || lens?.stabilised === true)
    list.push({
      name: 'Stabiliser',
      set: onStand ? 'off' : 'on',
      why: onStand
        ? 'On a stand it hunts for motion that is not there.'
        : 'The camera moves. Electronic steadying crops as well, and does not take the smear of a step away.',
      figure: 'steadying'
    });
  if (!showsFace(rig.angle))
    list.push({
      name: 'Focus',
      set: `once, on what is filmed, at ${figureWords(rig.angle.distanceM, 'm', project.units)}`,
      why: 'No face is there to follow; left free, focus hunts whenever a hand or a leaf passes.'
    });
  else
    list.push({
      name: 'Face following',
      set: mode.faceFocus === false ? 'not in this mode: focus by hand' : 'on, eyes first',
      why:
        mode.faceFocus === false
          ? `Set ${figureWords(rig.angle.distanceM, 'm', project.units)} and tape the ring.`
          : 'Alone before the lens nobody pulls focus.'
    });
  if (isRecorded(scene) && mode.recordLimitMin !== undefined && mode.recordLimitMin < 60)
    list.push({
      name: 'Clip length',
      set: minutesWords(mode.recordLimitMin),
      why: 'The body ends the clip there; start again before it does.',
      figure: 'recordLimit'
    });
  list.push(...practiceSettings({ rig, scene }));
  return list;
}

function whiteBalance({ rig, scene }: AngleJudgement): Setting {
  const name = 'White balance';
  const others = 'Automatic: it follows the light, and drifts within a take.';
  const key = rig.keyLamp?.part.gear;
  if (scene.room && key?.colourMinK !== undefined && key.colourMaxK !== undefined) {
    const kelvin =
      scene.lightColourK !== undefined || hasWindow(scene)
        ? Math.min(key.colourMaxK, Math.max(key.colourMinK, scene.lightColourK ?? DAYLIGHT_K))
        : key.colourMinK === key.colourMaxK
          ? key.colourMinK
          : Math.min(key.colourMaxK, Math.max(key.colourMinK, WARM_ROOM_K));
    return {
      name,
      set: `fixed, ${figureWords(kelvin, 'K')}`,
      why: `Set ${key.model} and the camera to the same colour; every lamp in the picture with it.`,
      others
    };
  }
  if (scene.lightColourK !== undefined)
    return {
      name,
      set: `fixed, ${figureWords(scene.lightColourK, 'K')}`,
      why: 'That is the colour of the light that is there.',
      others
    };
  return scene.lightSource === 'existing light'
    ? {
        name,
        set: 'fixed, from a grey card in this light',
        why: 'Nobody knows the colour of lamps found on the spot.',
        others
      }
    : {
        name,
        set: `fixed, ${figureWords(DAYLIGHT_K, 'K')}`,
        why: 'Daylight; clouds make it cooler, a low sun warmer, and both belong to the place.',
        others
      };
}
