import { figureAt } from '../figures/record';
import { figureIndex } from '../figures/table';
import { figureWords, lengthWords, minutesWords } from '../figures/figure-words';
import { fullName } from '../model/gear';
import { SYNC_NOTICED_MS } from '../relations/sound/sync';
import { isClosedInBag, openConnection } from '../rigs/closings';
import { hearsVoice, type PlacedRig } from '../rigs/placed-rig';
import { chainProposals } from './chain-proposals';
import type { AngleContext, AngleFindingRow, Proposal } from './finding';
import { cheapestOf, leaveOut, setRig, swapTo } from './part-candidates';

/** A frame of drift is seen on the lips. */
const FRAMES_OF_DRIFT = 1;
/** A fan this far under the room is lost in it. */
const FAN_UNDER_ROOM_DB = 3;

/** A microphone taken in and used here. */
function useMic(context: AngleContext, passes: (form: string) => boolean): Proposal {
  return {
    parts: cheapestOf(context.shelf, context.project, 'microphone', (gear) => passes(gear.form)),
    label: (gear) => `Add ${gear.model}`,
    act: (line) => ({
      type: 'batch',
      acts: [
        { type: 'add line', line },
        setRig(context, { micLineId: line.id, micPlace: undefined })
      ]
    })
  };
}

/** What else sends or hums near the microphone's own radio or unbalanced cable. */
function disturber(rig: PlacedRig): { lineId: string; model: string; says: string } | undefined {
  const mic = rig.mic!.gear;
  if (mic.form === 'lavalier wireless') {
    const phone = rig.kit.of('body').find(({ gear }) => gear.form === 'phone');
    if (phone && phone !== rig.body)
      return { lineId: phone.line.id, model: phone.gear.model, says: 'sends on the same band' };
    const drone = rig.kit.of('body').find(({ gear }) => gear.form === 'drone');
    if (drone && drone !== rig.body)
      return {
        lineId: drone.line.id,
        model: drone.gear.model,
        says: 'is steered on the same band'
      };
  }
  if (mic.power === 'plug-in' && rig.hasSocket) {
    const block = rig.kit.of('mains adapter')[0];
    if (block)
      return {
        lineId: block.line.id,
        model: block.gear.model,
        says: 'is a switching supply on the same chassis as an unbalanced cable'
      };
  }
  return undefined;
}

/** Sound that fails because of where things are and what stands beside them. */
export const soundPlaceFindings: AngleFindingRow[] = [
  {
    code: 'A6',
    family: 'sound',
    scope: 'angle',
    about: 'radio or charger may interfere',
    reads: [],
    judge: (rig) => {
      const other = rig.mic && disturber(rig);
      if (!other) return undefined;
      return {
        severity: 'note',
        lineIds: [rig.mic!.line.id, other.lineId],
        title: () => `${rig.scene.name}: ${other.model} may be heard`,
        why: () =>
          `${other.model} ${other.says} as ${fullName(rig.mic!.gear)}. Listen before the take; film from batteries, or with a wired or balanced microphone, if it hums or drops out.`
      };
    },
    propose: (context) => {
      const other = disturber(context.rig)!;
      const part = context.rig.kit.byLine(other.lineId)!;
      return [
        ...(part.gear.kind === 'mains adapter' ? [leaveOut(part.line, part.gear.model)] : []),
        useMic(context, (form) => form === 'lavalier wired' || form === 'shoe')
      ];
    }
  },
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
    code: 'A9',
    family: 'sound',
    scope: 'angle',
    about: 'a fan is louder than the room',
    reads: ['fanHeard', 'computerHeard'],
    judge: (rig, record) => {
      const room = figureAt(record, figureIndex.roomNoiseHeard);
      if (room === undefined || !hearsVoice(rig)) return undefined;
      const lamp = figureAt(record, figureIndex.fanHeard) ?? -Infinity;
      const computer = figureAt(record, figureIndex.computerHeard) ?? -Infinity;
      const loudest = Math.max(lamp, computer);
      if (loudest <= room - FAN_UNDER_ROOM_DB) return undefined;
      const isLamp = lamp >= computer;
      const part = isLamp ? rig.keyLamp!.part : rig.kit.of('computer')[0]!;
      return {
        severity: loudest > room ? 'warn' : 'note',
        about: isLamp ? 'lamp' : 'computer',
        lineIds: [part.line.id],
        figure: isLamp ? 'fanHeard' : 'computerHeard',
        has: loudest,
        needs: room - FAN_UNDER_ROOM_DB,
        unit: 'dB(A)',
        title: () => `${rig.scene.name}: the fan of ${part.gear.model} is heard`,
        why: () =>
          `It arrives with ${figureWords(loudest, 'dB(A)')}; the room itself with ${figureWords(room, 'dB(A)')}. Nearer the mouth is louder than the fan; farther off hardly helps in a room.`
      };
    },
    propose: (context, held) => {
      const { rig } = context;
      if (held.about === 'lamp')
        return [
          swapTo(
            context,
            'lamp',
            rig.keyLamp!.part.line.id,
            (gear) => (gear.fanLevelDbA ?? 99) < rig.keyLamp!.part.gear.fanLevelDbA!
          ),
          {
            label: `Set ${rig.keyLamp!.part.gear.model} farther off`,
            act: setRig(context, {
              lamps: [
                {
                  lineId: rig.keyLamp!.part.line.id,
                  distanceM: rig.keyLamp!.distanceM * 1.5,
                  angleDeg: rig.keyLamp!.angleDeg
                }
              ]
            })
          }
        ];
      const computer = rig.kit.of('computer')[0]!;
      return [
        swapTo(
          context,
          'computer',
          computer.line.id,
          (gear) => (gear.fanLevelDbA ?? 99) < computer.gear.fanLevelDbA!
        )
      ];
    }
  },
  {
    code: 'A10',
    family: 'sound',
    scope: 'angle',
    about: 'the microphone is in the picture, or the boom does not reach',
    reads: [],
    judge: (rig, record) => {
      if (rig.micPlace === 'hand')
        return {
          severity: 'note',
          about: 'in the picture',
          lineIds: [rig.mic!.line.id],
          title: () => `${rig.scene.name}: the microphone is in the picture`,
          why: () =>
            `${fullName(rig.mic!.gear)} is held before the mouth; that is seen, and may be wanted.`
        };
      if (rig.micPlace !== 'boom arm') return undefined;
      const reach = figureAt(record, figureIndex.boomReach);
      const need = figureAt(record, figureIndex.boomReachNeeded);
      if (reach === undefined || need === undefined || reach >= need) return undefined;
      return {
        severity: 'warn',
        about: 'boom arm',
        lineIds: [rig.boom!.line.id],
        figure: 'boomReach',
        has: reach,
        needs: need,
        unit: 'm',
        title: () => `${rig.boom!.gear.model} does not reach over the picture`,
        why: () =>
          `It reaches ${lengthWords(reach, rig.project.units)}; its stand is only out of the picture with ${lengthWords(need, rig.project.units)}.`
      };
    },
    propose: (context) => {
      const { rig, record } = context;
      const need = figureAt(record, figureIndex.boomReachNeeded) ?? 0;
      return [
        ...(rig.boom
          ? [
              swapTo(
                context,
                'support',
                rig.boom.line.id,
                (gear) => gear.form === 'boom arm' && (gear.reachM ?? 0) >= need
              )
            ]
          : []),
        useMic(context, (form) => form.startsWith('lavalier'))
      ];
    }
  },
  {
    code: 'A11',
    family: 'sound',
    scope: 'angle',
    about: 'the cable is too short',
    reads: [],
    judge: (rig) => {
      const short = shortLead(rig);
      if (!short) return undefined;
      const has = rig.mic!.gear.cableM ?? 0;
      return {
        severity: 'stop',
        lineIds: [rig.mic!.line.id],
        has,
        needs: short.lengthNeededM!,
        unit: 'm',
        title: () => `${rig.mic!.gear.model} does not reach the camera`,
        why: () =>
          `${lengthWords(short.lengthNeededM!, rig.project.units)} of cable are needed from the mouth to the camera, slack included; ${lengthWords(has, rig.project.units)} hang on the microphone, and what is in the kit does not make up the rest.`
      };
    },
    propose: (context) => [
      ...chainProposals(context, 'microphone into body'),
      useMic(context, (form) => form === 'lavalier wireless'),
      {
        label: 'Come nearer',
        act: {
          type: 'change angle',
          sceneId: context.rig.scene.id,
          angleId: context.rig.angle.id,
          patch: { distanceM: Math.max(0.8, context.rig.angle.distanceM / 2) }
        }
      }
    ]
  },
  {
    code: 'A13',
    family: 'sound',
    scope: 'angle',
    about: 'sound arrives apart from the picture in the live chain',
    reads: ['pictureLag'],
    judge: (rig, record) => {
      const lag = figureAt(record, figureIndex.pictureLag);
      if (lag === undefined || (lag < SYNC_NOTICED_MS.early && lag > -SYNC_NOTICED_MS.late))
        return undefined;
      return {
        severity: 'warn',
        lineIds: [rig.mic!.line.id, ...rig.kit.of('capture device').map(({ line }) => line.id)],
        figure: 'pictureLag',
        has: lag,
        needs: SYNC_NOTICED_MS.early,
        unit: 'ms',
        title: () => `${rig.scene.name}: the voice comes ${figureWords(lag, 'ms')} before the lips`,
        why: () =>
          `The picture takes the way over the capture device, the voice straight into the computer. From ${SYNC_NOTICED_MS.early} ms on it is noticed; delay the sound by the difference, or send it through the camera.`
      };
    },
    propose: (context) => {
      const device = context.rig.kit.of('capture device')[0]!;
      return [
        swapTo(
          context,
          'capture device',
          device.line.id,
          (gear) => (gear.lagFrames ?? Infinity) < device.gear.lagFrames!
        ),
        useMic(context, (form) => form === 'shoe' || form === 'lavalier wired')
      ];
    }
  }
];

/** The lead that would do if only it were longer. */
export function shortLead(rig: PlacedRig) {
  const open = openConnection(rig, 'microphone into body');
  return open?.withoutLength &&
    isClosedInBag({ ...open, limit: open.withoutLength, inBag: undefined }, rig.kit)
    ? open
    : undefined;
}
