import { figureWords, minutesWords } from '../figures/figure-words';
import { looksDown, showsFace } from '../model/scene-facts';
import { recordedApart, voiceGoesInto } from '../rigs/sound-path';
import { driftMs, USUAL_CLOCKS_APART_PPM } from '../relations/sound/sync';
import type { AngleJudgement } from './incremental';
import type { Setting } from './exposure-settings';

/** What one does beside the camera: listening, looking, standing, clapping. */
export function practiceSettings({ rig, scene }: Pick<AngleJudgement, 'rig' | 'scene'>): Setting[] {
  const { body, mic } = rig;
  const list: Setting[] = [];
  if (scene.voice !== 'none' && rig.index === 0 && (mic || body?.gear.ownMicrophone))
    list.push({
      name: 'Headphones',
      set: scene.live ? 'closed ones, all through the call' : 'closed ones, for a test take',
      why: scene.live
        ? 'Over loudspeakers the callers’ voices come back into the microphone, and they hear themselves as an echo.'
        : 'Listen for wind, cloth, hum and a loose plug before the take; keep them closed and low, or what they play leaks back into the microphone as an echo.',
      others: 'Play the test take back instead, where the camera has no headphone socket.'
    });
  const into = voiceGoesInto(rig);
  const apart = recordedApart(rig);
  if (apart)
    list.push({
      name: 'Voice recorded on',
      set:
        apart === 'computer'
          ? `${into?.gear.model ?? 'the computer'}, over USB`
          : `${into!.gear.model}, beside the speaker`,
      why:
        body?.gear.ownMicrophone === false
          ? 'The camera hears nothing: clap where both see and hear it, at the start and at the end.'
          : 'Leave the camera’s own microphone on as a guide, and clap at the start: by it the two are laid together in the cut.'
    });
  if (showsFace(rig.angle))
    list.push({
      name: 'Eye line',
      set:
        rig.kit.of('mirror box').length > 0
          ? 'into the mirror box'
          : 'into the lens, not the screen',
      why:
        body?.gear.screen === 'side hinge'
          ? 'The screen stands beside the lens: whoever looks at it looks past the viewer. Check the framing on it, then look into the glass.'
          : 'A look beside the lens is seen at once. A mark beside the front glass helps; turn the screen away once the framing stands.',
      others: 'For an interview: at the person who asks, close beside the lens.'
    });
  if (looksDown(rig.angle))
    list.push({
      name: 'Own shadow',
      set: rig.keyLamp ? 'key from the side of the idle hand, low' : 'light from the side, low',
      why: 'Under a lamp or a ceiling light above the camera, the camera, its arm and one’s own head throw shadows on the table.',
      others: 'Two soft lamps, one on each side, fill each other’s shadows.'
    });
  if (rig.bodiesAtOnce.length > 1) {
    const apartMs = driftMs(USUAL_CLOCKS_APART_PPM, scene.longestTakeMin / 60);
    const frames = (apartMs / 1000) * scene.fps;
    list.push({
      name: 'Clap',
      set: frames >= 1 ? 'at the start and at the end of each take' : 'at the start of each take',
      why: `The clocks of two cameras usually run up to ${USUAL_CLOCKS_APART_PPM} ppm apart: after ${minutesWords(scene.longestTakeMin)} ${frames < 0.1 ? 'that is less than a tenth of a frame' : `up to ${figureWords(frames, 'frames')}`}. Two claps tell the offset and the drift.`
    });
  }
  return list;
}
