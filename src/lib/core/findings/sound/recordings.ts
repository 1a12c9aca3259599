import { figureWords, minutesWords } from '../../figures/figure-words';
import { fullName } from '../../model/gear';
import { isRecorded } from '../../model/scene-facts';
import { hearsVoice } from '../../rigs/placed-rig';
import { recordedApart } from '../../rigs/sound-path';
import { figureRow, type AngleFindingRow } from '../finding';
import { cheapestOf, leaveOut, swapTo } from '../part-candidates';

/** A frame of drift is seen on the lips. */
const FRAMES_OF_DRIFT = 1;

/** A8, A7. */
export const recordingsFindings: readonly AngleFindingRow[] = [
  figureRow({
    code: 'A8',
    family: 'sound',
    about: 'off-camera recording without sync sound',
    reads: ['recorderDrift', 'fps', 'recorderClock', 'longestTake'],
    judge: (rig, figures) => {
      const recorder = rig.kit.of('recorder')[0];
      const byComputer = recordedApart(rig) === 'computer';
      if (!rig.body || !hearsVoice(rig) || !(recorder || byComputer)) return undefined;
      const heard = byComputer ? rig.mic! : recorder!;
      if (rig.body.gear.ownMicrophone === false)
        return {
          severity: 'warn',
          about: 'no guide track',
          lineIds: [heard.line.id, rig.body.line.id],
          has: 0,
          needs: 1,
          unit: 'count',
          title: () => `${rig.body!.gear.model} hears nothing to line the sound up by`,
          why: () =>
            `${byComputer ? `The computer records ${fullName(heard.gear)}` : `${fullName(heard.gear)} records the voice`}, but ${fullName(rig.body!.gear)} has no microphone of its own: clap where both see and hear it, at the start and at the end.`
        };
      if (!recorder) return undefined;
      const drift = figures.recorderDrift;
      const fps = figures.fps!;
      if (drift === undefined || (drift / 1000) * fps < FRAMES_OF_DRIFT) return undefined;
      return {
        severity: 'note',
        about: 'drift',
        lineIds: [recorder.line.id],
        figure: 'recorderDrift',
        has: drift,
        needs: (FRAMES_OF_DRIFT * 1000) / fps,
        unit: 'ms',
        title: () =>
          `${recorder.gear.model} runs ${((drift / 1000) * fps).toFixed(1)} frames apart in a take`,
        why: () =>
          `Its clock runs off by ${figures.recorderClock!} parts in a million; in ${minutesWords(figures.longestTake!)} that is ${figureWords(drift, 'ms')}. Clap at both ends and stretch it in the cut.`
      };
    },
    propose: (context) => {
      const recorder = context.rig.kit.of('recorder')[0];
      return [
        ...(recorder
          ? [
              swapTo(
                context,
                'recorder',
                recorder.line.id,
                (gear) => (gear.clockPpm ?? Infinity) < (recorder.gear.clockPpm ?? Infinity)
              )
            ]
          : []),
        ...(context.rig.body!.gear.ownMicrophone === false
          ? [
              swapTo(
                context,
                'body',
                context.rig.body!.line.id,
                (gear) => gear.ownMicrophone === true
              )
            ]
          : []),
        ...(recorder ? [leaveOut(recorder.line, recorder.gear.model)] : [])
      ];
    }
  }),
  figureRow({
    code: 'A7',
    family: 'sound',
    about: 'no second recording',
    onlyNotes: true,
    reads: ['recordings'],
    judge: (rig, figures) => {
      // What cannot be repeated is told of the picture already.
      if (!hearsVoice(rig) || !rig.scene.mustDo || rig.scene.onceOnly === true) return undefined;
      if (!isRecorded(rig.scene) || (figures.recordings ?? 2) >= 2) return undefined;
      return {
        severity: 'note',
        figure: 'recordings',
        has: 1,
        needs: 2,
        unit: 'count',
        title: () => `${rig.scene.name}: single recording, no backup`,
        why: () =>
          'One card and one sound: what fails on the day is gone. A second recording somewhere else keeps it.'
      };
    },
    propose: ({ shelf, project }) => [
      { parts: cheapestOf(shelf, project, 'recorder'), label: (gear) => `Add ${gear.model}` }
    ]
  })
];
