import { figureAt } from '../figures/record';
import { figureIndex } from '../figures/table';
import { figureWords, lengthWords } from '../figures/figure-words';
import { fullName } from '../model/gear';
import { directToLateBands, echoWord } from '../relations/sound/critical-distance';
import {
  speechToNoiseBands,
  speechWord,
  UNINTELLIGIBLE_BELOW_DB
} from '../relations/sound/speech-to-noise';
import { STILL_BELOW_MPS } from '../relations/sound/wind';
import type { PlacedRig } from '../rigs/placed-rig';
import type { AngleContext, AngleFindingRow, Proposal } from './finding';
import { cheapestOf, newLine, setRig, swapFor } from './part-candidates';

/** From a breeze on, an open capsule is lost. */
const WIND_WARN_MPS = 3;

const micLine = (rig: PlacedRig) => (rig.mic ? [rig.mic.line.id] : []);

/** A boom for the microphone that is there, with the microphone put on it. */
function boomIt(context: AngleContext): Proposal {
  const { shelf, project, rig } = context;
  return {
    parts: cheapestOf(shelf, project, 'support', (gear) => gear.form === 'boom arm'),
    label: (gear) => `Boom it: ${gear.model}`,
    act: (line) => ({
      type: 'batch',
      acts: [
        { type: 'add line', line },
        setRig(context, { micLineId: rig.mic?.line.id, micPlace: 'boom arm' })
      ]
    })
  };
}

/** Another microphone beside or for the one that is there, used in this scene. */
function otherMic(
  context: AngleContext,
  passes: (form: string) => boolean,
  verb: string
): Proposal {
  const { shelf, project } = context;
  return {
    parts: cheapestOf(shelf, project, 'microphone', (gear) => passes(gear.form)),
    label: (gear) => `${verb} ${gear.model}`,
    act: (line) => ({
      type: 'batch',
      acts: [
        { type: 'add line', line },
        setRig(context, { micLineId: line.id, micPlace: undefined })
      ]
    })
  };
}

function wayNearer(context: AngleContext): Proposal[] {
  const { rig } = context;
  const canBoom =
    rig.scene.room !== undefined &&
    (rig.mic?.gear.form === 'shoe' || rig.mic?.gear.form === 'short shotgun');
  return [
    ...(canBoom ? [boomIt(context)] : []),
    otherMic(context, (form) => form.startsWith('lavalier'), 'Add'),
    ...(rig.scene.room
      ? [otherMic(context, (form) => form === 'desk' || form === 'dynamic', 'Add')]
      : [])
  ];
}

function furryCover(context: AngleContext): Proposal[] {
  const { rig, shelf, project } = context;
  if (!rig.mic) return [];
  const { form } = rig.mic.gear;
  return [
    {
      parts: cheapestOf(shelf, project, 'windscreen', (gear) => gear.fitsForms.includes(form)),
      label: (gear) => `Add ${gear.model}`
    }
  ];
}

/** Speaking up is the oldest remedy and costs nothing but breath. */
function louder({ rig }: AngleContext): Proposal[] {
  if (rig.scene.voice !== 'normal') return [];
  return [
    {
      label: 'Speak up',
      act: { type: 'change scene', sceneId: rig.scene.id, patch: { voice: 'raised' } }
    }
  ];
}

export const soundFindings: AngleFindingRow[] = [
  {
    code: 'A1',
    family: 'sound',
    scope: 'angle',
    about: 'speech-to-noise is too low',
    reads: ['speechToNoise'],
    judge: (rig, record) => {
      const db = figureAt(record, figureIndex.speechToNoise);
      if (db === undefined) return undefined;
      const place = rig.scene.room ? 'indoors' : 'outdoors';
      const band = speechToNoiseBands[place];
      if (db >= band.cleanDb) return undefined;
      return {
        severity: db < UNINTELLIGIBLE_BELOW_DB ? 'stop' : db < band.usableDb ? 'warn' : 'note',
        lineIds: micLine(rig),
        figure: 'speechToNoise',
        has: db,
        needs: band.cleanDb,
        unit: 'dB',
        title: () =>
          db < 0
            ? `${rig.scene.name}: voice is ${figureWords(Math.round(-db), 'dB')} below the noise`
            : `${rig.scene.name}: voice is ${figureWords(Math.round(db), 'dB')} above the noise`,
        why: () =>
          `${fullName(rig.mic!.gear)} hears ${figureWords(figureAt(record, figureIndex.voiceAtMic)!, 'dB(A)')} of voice from ${lengthWords(figureAt(record, figureIndex.micDistance)!, rig.project.units)} and ${figureWords(figureAt(record, figureIndex.noiseAtMic)!, 'dB(A)')} of everything else: ${speechWord(db, place)}; clean begins at ${band.cleanDb} dB here.`
      };
    },
    propose: (context) => [
      ...furryCover(context),
      ...louder(context),
      ...(context.rig.said?.boostOn === false
        ? [{ label: 'Switch the boost on', act: setRig(context, { boostOn: true }) }]
        : []),
      ...wayNearer(context)
    ]
  },
  {
    code: 'A2',
    family: 'sound',
    scope: 'angle',
    about: 'echo: beyond what the room allows',
    reads: ['directToLate'],
    judge: (rig, record) => {
      const db = figureAt(record, figureIndex.directToLate);
      if (db === undefined || db >= directToLateBands.dryDb) return undefined;
      return {
        severity: db < directToLateBands.roomyDb ? 'warn' : 'note',
        lineIds: micLine(rig),
        figure: 'directToLate',
        has: db,
        needs: directToLateBands.dryDb,
        unit: 'dB',
        title: () => `${rig.scene.name}: the room is heard, ${echoWord(db)}`,
        why: () =>
          `From ${lengthWords(figureAt(record, figureIndex.micDistance)!, rig.project.units)} the voice stands about ${figureWords(db, 'dB')} over the echo; dry begins at ${directToLateBands.dryDb} dB. The room takes over at ${lengthWords(figureAt(record, figureIndex.criticalDistance)!, rig.project.units)}.`
      };
    },
    propose: (context) => {
      const { room } = context.rig.scene;
      const proposals = wayNearer(context);
      if (room && room.feel !== 'treated') {
        const feel = room.feel === 'bare' ? ('lived-in' as const) : ('treated' as const);
        proposals.push({
          label:
            feel === 'treated' ? 'Hang blankets round the talk' : 'Bring in a sofa, rugs, curtains',
          act: {
            type: 'change scene',
            sceneId: context.rig.scene.id,
            patch: { room: { ...room, feel } }
          }
        });
      }
      return proposals;
    }
  },
  {
    code: 'A3',
    family: 'sound',
    scope: 'angle',
    about: 'wind without a cover',
    reads: ['airSpeed'],
    judge: (rig, record) => {
      const v = figureAt(record, figureIndex.airSpeed);
      if (v === undefined || v < STILL_BELOW_MPS || !rig.mic || rig.cover !== 'none')
        return undefined;
      return {
        severity: v >= WIND_WARN_MPS ? 'warn' : 'note',
        lineIds: micLine(rig),
        figure: 'airSpeed',
        has: v,
        needs: STILL_BELOW_MPS,
        unit: 'm/s',
        title: () => `${rig.scene.name}: wind on a bare microphone`,
        why: () =>
          `${figureWords(v, 'm/s', rig.project.units)} of air, walking included, rumbles at about ${figureWords(figureAt(record, figureIndex.windNoise) ?? NaN, 'dB(A)')} in ${fullName(rig.mic!.gear)} without a cover.`
      };
    },
    propose: (context) => [
      ...furryCover(context),
      otherMic(context, (form) => form.startsWith('lavalier'), 'Add')
    ]
  },
  {
    code: 'A4',
    family: 'sound',
    scope: 'angle',
    about: 'a switch that can be forgotten',
    reads: [],
    judge: (rig) => {
      if (!rig.mic?.gear.hasSwitch) return undefined;
      return {
        severity: 'note',
        lineIds: micLine(rig),
        has: 1,
        needs: 0,
        unit: 'count',
        title: () => `${rig.mic!.gear.model} has a power switch that can be left off`,
        why: () =>
          'Left off, the take is silent and nothing says so. It stands on the list before rolling; some makers of videos prefer a microphone without one.'
      };
    },
    propose: (context) => {
      const { rig, shelf, project } = context;
      const form = rig.mic!.gear.form;
      return [
        {
          parts: cheapestOf(
            shelf,
            project,
            'microphone',
            (gear) => gear.form === form && gear.hasSwitch === false
          ),
          label: (gear) => `Without one: ${gear.model}`,
          act: swapFor(rig.mic!.line.id)
        }
      ];
    }
  },
  {
    code: 'A5',
    family: 'sound',
    scope: 'angle',
    about: 'the microphone’s own battery is shorter than the day',
    reads: [],
    judge: (rig) => {
      const hours = rig.mic?.gear.batteryHours;
      if (hours === undefined) return undefined;
      const batteries = rig.mic!.gear.batteryType
        ? 1 +
          rig.kit
            .of('battery')
            .filter(({ gear }) => gear.batteryType === rig.mic!.gear.batteryType)
            .reduce((sum, { line }) => sum + line.quantity, 0)
        : 1;
      const need = rig.scene.recordedMin * Math.max(1, rig.scene.daysWithoutSocket);
      const have = hours * 60 * batteries;
      if (have >= need) return undefined;
      return {
        severity: 'warn',
        lineIds: micLine(rig),
        has: have,
        needs: need,
        unit: 'min',
        title: () => `${rig.mic!.gear.model} runs out first`,
        why: () =>
          `Its own battery lasts ${figureWords(have, 'min')}; ${figureWords(need, 'min')} are recorded before the next socket.`
      };
    },
    propose: ({ rig, shelf, project, plan }) => {
      const { batteryType, form, batteryHours } = rig.mic!.gear;
      const [battery] =
        batteryType === undefined
          ? []
          : cheapestOf(shelf, project, 'battery', (gear) => gear.batteryType === batteryType);
      return [
        ...(battery
          ? [
              {
                label: `Add ${battery.model}`,
                act: { type: 'add line' as const, line: newLine(plan, battery) }
              }
            ]
          : []),
        {
          parts: cheapestOf(
            shelf,
            project,
            'microphone',
            (gear) => gear.form === form && (gear.batteryHours ?? Infinity) > (batteryHours ?? 0)
          ),
          label: (gear) => `Swap to ${gear.model}`,
          act: swapFor(rig.mic!.line.id)
        }
      ];
    }
  }
];
