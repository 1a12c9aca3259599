import { figureWords, minutesWords } from '../../figures/figure-words';
import { figureAt } from '../../figures/record';
import { figureIndex } from '../../figures/table';
import { fullName } from '../../model/gear';
import { hearsVoice } from '../../rigs/placed-rig';
import type { AngleFindingRow } from '../finding';
import { cheapestOf, leaveOut, swapTo } from '../part-candidates';

/** A frame of drift is seen on the lips. */
const FRAMES_OF_DRIFT = 1;

/** A8, A7. */
export const recordingsFindings: readonly AngleFindingRow[] = [
  {
    code: 'A8',
    family: 'sound',
    scope: 'angle',
    about: 'off-camera recording without sync sound',
    reads: ['recorderDrift'],
    judge: (rig, record) => {
      const recorder = rig.kit.of('recorder')[0];
      if (!recorder || !rig.body || !hearsVoice(rig)) return undefined;
      if (rig.body.gear.ownMicrophone === false)
        return {
          severity: 'warn',
          about: 'no guide track',
          lineIds: [recorder.line.id, rig.body.line.id],
          has: 0,
          needs: 1,
          unit: 'count',
          title: () => `${rig.body!.gear.model} hears nothing to line the sound up by`,
          why: () =>
            `${fullName(recorder.gear)} records the voice, but ${fullName(rig.body!.gear)} has no microphone of its own: clap where both see and hear it, at the start and at the end.`
        };
      const drift = figureAt(record, figureIndex.recorderDrift);
      const fps = figureAt(record, figureIndex.fps)!;
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
          `Its clock runs off by ${figureAt(record, figureIndex.recorderClock)!} parts in a million; in ${minutesWords(figureAt(record, figureIndex.longestTake)!)} that is ${figureWords(drift, 'ms')}. Clap at both ends and stretch it in the cut.`
      };
    },
    propose: (context) => {
      const recorder = context.rig.kit.of('recorder')[0]!;
      return [
        swapTo(
          context,
          'recorder',
          recorder.line.id,
          (gear) => (gear.clockPpm ?? Infinity) < (recorder.gear.clockPpm ?? Infinity)
        ),
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
        leaveOut(recorder.line, recorder.gear.model)
      ];
    }
  },
  {
    code: 'A7',
    family: 'sound',
    scope: 'angle',
    about: 'no second recording',
    reads: [],
    judge: (rig, record) => {
      if (
        !hearsVoice(rig) ||
        !rig.scene.mustDo ||
        (figureAt(record, figureIndex.recordings) ?? 2) >= 2
      )
        return undefined;
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
  }
];
