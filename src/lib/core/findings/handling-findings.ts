import { figureAt } from '../figures/record';
import { figureIndex } from '../figures/table';
import { steadyings } from '../figures/handling-rows';
import { figureWords, lengthWords, minutesWords } from '../figures/figure-words';
import { fullName } from '../model/gear';
import { miredDifference, MIRED_DIFFERENCE } from '../relations/lighting/colour';
import { levelAtDistanceDb } from '../relations/sound/level';
import type { PlacedLamp, PlacedRig } from '../rigs/placed-rig';
import { hearsVoice } from '../rigs/placed-rig';
import type { AngleFindingRow } from './finding';
import { cheapestOf, setRig, swapFor } from './part-candidates';

/** A motor is measured this near, and sits this far from a microphone on the shoe. */
const MOTOR_MEASURED_M = 0.1;
const MOTOR_TO_SHOE_M = 0.15;
/** Takes from here on are a session: nobody wants to count cells in them. */
const SESSION_MIN = 45;
/** Lens height for a face at eye level. */
const EYE_LEVEL_M = { seated: 1.1, standing: 1.5 } as const;

/** Colours a lamp can be set to. */
function colours(lamp: PlacedLamp): { from: number; to: number } | undefined {
  const { colourMinK, colourMaxK } = lamp.part.gear;
  return colourMinK === undefined || colourMaxK === undefined
    ? undefined
    : { from: colourMinK, to: colourMaxK };
}

/** Least difference two lamps can be brought to, in mired. */
function leastDifference(rig: PlacedRig): number | undefined {
  if (!rig.keyLamp || !rig.fillLamp) return undefined;
  const key = colours(rig.keyLamp);
  const fill = colours(rig.fillLamp);
  if (!key || !fill) return undefined;
  if (key.from <= fill.to && fill.from <= key.to) return 0;
  return key.from > fill.to
    ? miredDifference(key.from, fill.to)
    : miredDifference(fill.from, key.to);
}

/** Minutes a lamp runs where there is no socket for it; Infinity on the mains. */
function lampMinutes(rig: PlacedRig, lamp: PlacedLamp): number | undefined {
  const { gear, line } = lamp.part;
  if (rig.hasSocket && gear.runsFromMains) return Infinity;
  if (gear.drawW === undefined) return undefined;
  const cells = rig.kit
    .of('cell')
    .filter((cell) => gear.cellType !== undefined && cell.gear.cellType === gear.cellType);
  const wattHours =
    (gear.internalCellWh ?? 0) * line.quantity +
    cells.reduce((sum, cell) => sum + (cell.gear.energyWh ?? 0) * cell.line.quantity, 0);
  return (60 * wattHours) / gear.drawW;
}

/** What goes wrong in the hand, at the stand and between the parts, beyond the first families. */
export const handlingFindings: AngleFindingRow[] = [
  {
    code: 'B6',
    family: 'body',
    scope: 'angle',
    about: 'no face-following, or it is lost in this mode',
    reads: [],
    judge: (rig, record) => {
      if (
        !rig.body ||
        rig.mode?.faceFocus !== false ||
        figureAt(record, figureIndex.faceInPicture) === undefined
      )
        return undefined;
      return {
        severity: 'warn',
        lineIds: [rig.body.line.id],
        title: () => `${rig.scene.name}: the focus does not follow a face`,
        why: () =>
          `${fullName(rig.body!.gear)} does not follow faces in this mode, and alone before the lens nobody pulls the focus.`
      };
    },
    propose: ({ rig, shelf, project }) => {
      const better = rig.body!.gear.modes.find((mode) => mode.faceFocus === true);
      return [
        ...(better
          ? [
              {
                label: `Film at ${better.pixelsAcross} pixels, ${better.fps} frames`,
                act: {
                  type: 'change scene' as const,
                  sceneId: rig.scene.id,
                  patch: { pixelsAcross: better.pixelsAcross, fps: better.fps }
                }
              }
            ]
          : []),
        {
          parts: cheapestOf(shelf, project, 'body', (gear) =>
            gear.modes.some((mode) => mode.faceFocus === true)
          ),
          label: (gear) => `Swap to ${gear.model}`,
          act: swapFor(rig.body!.line.id)
        }
      ];
    }
  },
  {
    code: 'B7',
    family: 'body',
    scope: 'angle',
    about: 'no way to run from mains for long sessions',
    reads: [],
    judge: (rig) => {
      const { body, scene } = rig;
      if (
        !body ||
        !rig.hasSocket ||
        scene.longestTakeMin < SESSION_MIN ||
        body.gear.runsFromMainsBlock !== false ||
        body.gear.runsFromUsb !== false
      )
        return undefined;
      return {
        severity: 'warn',
        lineIds: [body.line.id],
        has: 0,
        needs: 1,
        unit: 'yes/no',
        title: () => `${body.gear.model} cannot run from the socket`,
        why: () =>
          `${scene.name} has takes of ${minutesWords(scene.longestTakeMin)} beside a socket, and neither a mains block nor USB keeps ${fullName(body.gear)} going.`
      };
    },
    propose: ({ rig, shelf, project }) => [
      {
        parts: cheapestOf(
          shelf,
          project,
          'body',
          (gear) => gear.runsFromMainsBlock === true || gear.runsFromUsb === true
        ),
        label: (gear) => `Swap to ${gear.model}`,
        act: swapFor(rig.body!.line.id)
      }
    ]
  },
  {
    code: 'B9',
    family: 'body',
    scope: 'angle',
    about: 'walking with neither sensor nor lens stabilisation',
    reads: ['steadying'],
    judge: (rig, record) => {
      if (
        figureAt(record, figureIndex.walking) !== 1 ||
        figureAt(record, figureIndex.steadying) !== steadyings.indexOf('nothing')
      )
        return undefined;
      return {
        severity: 'warn',
        lineIds: rig.body ? [rig.body.line.id] : [],
        figure: 'steadying',
        has: 0,
        needs: 1,
        unit: 'count',
        title: () => `${rig.scene.name}: every step shakes the picture`,
        why: () =>
          `Neither ${fullName(rig.body!.gear)} nor the lens steadies it. Steadying it electronically afterwards crops, and leaves the smear of each step.`
      };
    },
    propose: (context) => {
      const { rig, shelf, project } = context;
      const steady = rig.kit
        .of('lens')
        .filter(({ gear, line }) => gear.stabilised === true && line.id !== rig.lens?.lineId);
      return [
        ...steady.map(({ line, gear }) => ({
          label: `Use the ${gear.model} here`,
          act: setRig(context, {
            lensLineId: line.id,
            focalLengthMm: undefined,
            apertureN: undefined
          })
        })),
        {
          parts: cheapestOf(shelf, project, 'support', (gear) => gear.form === 'gimbal'),
          label: (gear) => `Add ${gear.model}`
        },
        {
          parts: cheapestOf(shelf, project, 'body', (gear) => gear.stabilised === true),
          label: (gear) => `Swap to ${gear.model}`,
          act: swapFor(rig.body!.line.id)
        }
      ];
    }
  },
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
          parts: cheapestOf(shelf, project, 'microphone', (gear) => gear.form.startsWith('lapel')),
          label: (gear) => `Lapel: ${gear.model}`,
          act: (line) => ({
            type: 'together',
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
        title: () => `${rig.scene.name} is recorded once`,
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
            gear.form === 'lapel wireless' && (gear.radioRangeM ?? 0) > rig.mic!.gear.radioRangeM!
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
  },
  {
    code: 'G3',
    family: 'light',
    scope: 'angle',
    about: 'colour temperatures mix',
    reads: [],
    judge: (rig) => {
      const difference = leastDifference(rig);
      if (difference === undefined || difference < MIRED_DIFFERENCE.seen) return undefined;
      return {
        severity: difference > MIRED_DIFFERENCE.strong ? 'warn' : 'note',
        lineIds: [rig.keyLamp!.part.line.id, rig.fillLamp!.part.line.id],
        has: difference,
        needs: MIRED_DIFFERENCE.seen,
        unit: 'count',
        title: () => `${rig.scene.name}: two colours of light`,
        why: () =>
          `${fullName(rig.keyLamp!.part.gear)} and ${fullName(rig.fillLamp!.part.gear)} cannot be brought nearer than ${Math.round(difference)} mired; from ${MIRED_DIFFERENCE.seen} on it is seen, and no white balance serves both.`
      };
    },
    propose: ({ rig, shelf, project }) => [
      {
        label: `Leave ${rig.fillLamp!.part.gear.model} out`,
        act: { type: 'remove line', lineId: rig.fillLamp!.part.line.id }
      },
      {
        parts: cheapestOf(
          shelf,
          project,
          'lamp',
          (gear) => (gear.colourMinK ?? 9e9) <= 3200 && (gear.colourMaxK ?? 0) >= 5600
        ),
        label: (gear) => `Swap to ${gear.model}`,
        act: swapFor(rig.fillLamp!.part.line.id)
      }
    ]
  },
  {
    code: 'G6',
    family: 'light',
    scope: 'angle',
    about: 'the lamp runs out of battery',
    reads: [],
    judge: (rig) => {
      const minutes = rig.keyLamp && lampMinutes(rig, rig.keyLamp);
      const need = rig.scene.recordedMin * Math.max(1, rig.scene.daysWithoutSocket);
      if (minutes === undefined || minutes >= need) return undefined;
      return {
        severity: 'warn',
        lineIds: [rig.keyLamp!.part.line.id],
        has: minutes,
        needs: need,
        unit: 'min',
        title: () => `${rig.scene.name}: the lamp is out after ${minutesWords(minutes)}`,
        why: () =>
          `${fullName(rig.keyLamp!.part.gear)} draws ${figureWords(rig.keyLamp!.part.gear.drawW!, 'W')} at full light; ${minutesWords(need)} are recorded before it can be charged. Turned down it lasts longer.`
      };
    },
    propose: ({ rig, shelf, project }) => [
      {
        parts: cheapestOf(
          shelf,
          project,
          'lamp',
          (gear) =>
            (rig.hasSocket && gear.runsFromMains === true) ||
            (gear.internalCellWh ?? 0) > (rig.keyLamp!.part.gear.internalCellWh ?? 0)
        ),
        label: (gear) => `Swap to ${gear.model}`,
        act: swapFor(rig.keyLamp!.part.line.id)
      }
    ]
  },
  {
    code: 'S2',
    family: 'support',
    scope: 'angle',
    about: 'below eye level',
    reads: [],
    judge: (rig) => {
      const height = rig.support?.gear.heightMaxM;
      if (rig.angle.cameraPlace !== 'floor' || height === undefined) return undefined;
      const need =
        rig.scene.style === 'seated' || rig.scene.style === 'live call'
          ? EYE_LEVEL_M.seated
          : EYE_LEVEL_M.standing;
      if (height >= need) return undefined;
      return {
        severity: 'note',
        lineIds: [rig.support!.line.id],
        has: height,
        needs: need,
        unit: 'm',
        title: () => `${rig.support!.gear.model} stays below the eyes`,
        why: () =>
          `It rises to ${lengthWords(height, rig.project.units)}; a face at eye level here wants ${lengthWords(need, rig.project.units)}.`
      };
    },
    propose: ({ rig, shelf, project }) => [
      {
        parts: cheapestOf(
          shelf,
          project,
          'support',
          (gear) => gear.form === 'floor legs' && (gear.heightMaxM ?? 0) >= EYE_LEVEL_M.standing
        ),
        label: (gear) => `Swap to ${gear.model}`,
        act: swapFor(rig.support!.line.id)
      }
    ]
  }
];
