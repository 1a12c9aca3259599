import { figureAt } from '../figures/record';
import { figureIndex } from '../figures/table';
import { fullName } from '../model/gear';
import { levelAtDistanceDb } from '../relations/sound/level';
import { hearsVoice } from '../rigs/placed-rig';
import { figureWords, lengthWords } from '../figures/figure-words';
import type { AngleFindingRow } from './finding';
import { cheapestOf, setRig, swapFor } from './part-candidates';

/** A motor is measured this near, and sits this far from a microphone on the shoe. */
const MOTOR_MEASURED_M = 0.1;
const MOTOR_TO_SHOE_M = 0.15;

/** What the sound hangs on: a quiet motor, a second recording, a radio that reaches. */
export const soundRelianceFindings: AngleFindingRow[] = [
  {
    code: 'L7',
    family: 'lens',
    scope: 'angle',
    about: 'the focus motor is heard by a microphone on the camera',
    reads: [],
    judge: (rig, record) => {
      const motor = rig.lens?.gear?.motorLevelDbA;
      const noise = figureAt(record, figureIndex.noiseAtMic);
      if (
        motor === undefined ||
        noise === undefined ||
        (rig.micPlace !== 'shoe' && rig.micPlace !== 'side arm')
      )
        return undefined;
      const heard = levelAtDistanceDb(motor, MOTOR_TO_SHOE_M / MOTOR_MEASURED_M);
      if (heard <= noise) return undefined;
      return {
        severity: 'note',
        lineIds: [rig.lens!.lineId, rig.mic!.line.id],
        has: heard,
        needs: noise,
        unit: 'dB(A)',
        title: () => `${rig.scene.name}: the focus motor is heard`,
        why: () =>
          `${rig.lens!.name} hums at ${figureWords(heard, 'dB(A)')} where the microphone sits; the rest of the noise there is ${figureWords(noise, 'dB(A)')}.`
      };
    },
    propose: (context) => {
      const { shelf, project } = context;
      return [
        {
          parts: cheapestOf(shelf, project, 'microphone', (gear) =>
            gear.form.startsWith('lavalier')
          ),
          label: (gear) => `Lapel: ${gear.model}`,
          act: (line) => ({
            type: 'batch',
            acts: [
              { type: 'add line', line },
              setRig(context, { micLineId: line.id, micPlace: undefined })
            ]
          })
        }
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
  },
  {
    code: 'A12',
    family: 'sound',
    scope: 'angle',
    about: 'radio reach is shorter than the scene needs',
    reads: ['radioReach'],
    judge: (rig, record) => {
      const reach = figureAt(record, figureIndex.radioReach);
      if (reach === undefined || reach >= rig.angle.distanceM) return undefined;
      const stated = figureAt(record, figureIndex.radioStated)!;
      return {
        severity: 'warn',
        lineIds: [rig.mic!.line.id],
        figure: 'radioReach',
        has: reach,
        needs: rig.angle.distanceM,
        unit: 'm',
        title: () =>
          `${rig.scene.name}: the radio reaches about ${lengthWords(reach, rig.project.units)}`,
        why: () =>
          `${fullName(rig.mic!.gear)} states ${lengthWords(stated, rig.project.units)} in the open; turned away, with your body between, it is about a tenth, and the camera is ${lengthWords(rig.angle.distanceM, rig.project.units)} off.`
      };
    },
    propose: ({ rig, shelf, project }) => [
      {
        parts: cheapestOf(
          shelf,
          project,
          'microphone',
          (gear) =>
            gear.form === 'lavalier wireless' &&
            (gear.radioRangeM ?? 0) > rig.mic!.gear.radioRangeM!
        ),
        label: (gear) => `Swap to ${gear.model}`,
        act: swapFor(rig.mic!.line.id)
      },
      {
        label: 'Come nearer',
        act: {
          type: 'change angle',
          sceneId: rig.scene.id,
          angleId: rig.angle.id,
          patch: { distanceM: 4 }
        }
      }
    ]
  }
];
