import { figureWords } from '../../figures/figure-words';
import { levelAtDistanceDb } from '../../relations/sound/level';
import { type FurtherLamp, hearsVoice, type PlacedRig } from '../../rigs/placed-rig';
import { lampsMoved } from '../../acts/place-lamp';
import { figureRow, type AngleFindingRow, type Severity } from '../finding';
import { cheapestOf, setRig, swapTo } from '../part-candidates';

/** A machine this far under the noise of the place is lost in it. */
const UNDER_PLACE_DB = 3;

/** One rule for fans and motors: louder than the place as heard weakens, near it is worth knowing. */
const machineSeverity = (heardDbA: number, placeDbA: number): Severity | undefined =>
  heardDbA > placeDbA ? 'warn' : heardDbA > placeDbA - UNDER_PLACE_DB ? 'note' : undefined;

/** Of the lamps beside key and fill the one with the loudest fan. */
const loudestOf = ({ furtherLamps }: PlacedRig): FurtherLamp =>
  furtherLamps.reduce((loudest, lamp) =>
    (lamp.part.gear.fanLevelDbA ?? 0) > (loudest.part.gear.fanLevelDbA ?? 0) ? lamp : loudest
  );

const MOTOR_TO_SHOE_M = 0.15;

/** A motor is measured this near, and sits this far from a microphone on the shoe. */
const MOTOR_MEASURED_M = 0.1;

/** A9, L7. */
export const machineNoiseFindings: readonly AngleFindingRow[] = [
  figureRow({
    code: 'A9',
    family: 'sound',
    about: 'a fan is louder than the room',
    reads: ['roomNoiseHeard', 'fanHeard', 'furtherFansHeard', 'computerHeard'],
    judge: (rig, figures) => {
      const room = figures.roomNoiseHeard;
      if (room === undefined || !hearsVoice(rig)) return undefined;
      const lamp = figures.fanHeard ?? -Infinity;
      const further = figures.furtherFansHeard ?? -Infinity;
      const computer = figures.computerHeard ?? -Infinity;
      const loudest = Math.max(lamp, further, computer);
      const severity = machineSeverity(loudest, room);
      if (!severity) return undefined;
      const about = lamp === loudest ? 'lamp' : further === loudest ? 'further lamps' : 'computer';
      const part =
        about === 'lamp'
          ? rig.keyLamp!.part
          : about === 'further lamps'
            ? loudestOf(rig).part
            : rig.kit.of('computer')[0]!;
      return {
        severity,
        about,
        lineIds: [part.line.id],
        figure:
          about === 'lamp'
            ? 'fanHeard'
            : about === 'further lamps'
              ? 'furtherFansHeard'
              : 'computerHeard',
        has: loudest,
        needs: room - UNDER_PLACE_DB,
        unit: 'dB(A)',
        title: () =>
          `${rig.scene.name}: the fan of ${part.gear.model} is heard at ${figureWords(loudest, 'dB(A)')} (the place at ${figureWords(room, 'dB(A)')})`,
        why: () =>
          'A microphone nearer the mouth hears the voice louder than the fan; moving the fan farther off hardly helps in a room.'
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
              lamps: lampsMoved(rig, { key: { distanceM: rig.keyLamp!.distanceM * 1.5 } })
            })
          }
        ];
      if (held.about === 'further lamps') {
        const { part } = loudestOf(rig);
        return [
          swapTo(
            context,
            'lamp',
            part.line.id,
            (gear) => (gear.fanLevelDbA ?? 99) < part.gear.fanLevelDbA!
          )
        ];
      }
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
  }),
  figureRow({
    code: 'L7',
    family: 'lens',
    about: 'the focus motor is heard by a microphone on the camera',
    ownCause: true,
    reads: ['roomNoiseHeard'],
    judge: (rig, figures) => {
      const motor = rig.lens?.gear?.motorLevelDbA;
      const room = figures.roomNoiseHeard;
      if (
        motor === undefined ||
        room === undefined ||
        (rig.micPlace !== 'shoe' && rig.micPlace !== 'side arm')
      )
        return undefined;
      const heard = levelAtDistanceDb(motor, MOTOR_TO_SHOE_M / MOTOR_MEASURED_M);
      const severity = machineSeverity(heard, room);
      if (!severity) return undefined;
      return {
        severity,
        lineIds: [rig.lens!.lineId, rig.mic!.line.id],
        has: heard,
        needs: room - UNDER_PLACE_DB,
        unit: 'dB(A)',
        title: () =>
          `${rig.scene.name}: the focus motor is heard at ${figureWords(heard, 'dB(A)')} (the place at ${figureWords(room, 'dB(A)')})`,
        why: () =>
          `${rig.lens!.name} is a hand’s breadth from a microphone on the camera. Focus by hand, or record the voice nearer the mouth.`
      };
    },
    propose: (context) => {
      const { shelf, project } = context;
      return [
        {
          parts: cheapestOf(shelf, project, 'microphone', (gear) =>
            gear.form.startsWith('lavalier')
          ),
          label: (gear) => `Use ${gear.model} on the lapel`,
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
  })
];
