import { aboutAgainstLimit, minutesWords } from '../../figures/figure-words';
import { partsOfScene } from '../../figures/handling-rows';
import { fullName } from '../../model/gear';
import type { KitPart } from '../../rigs/kit';
import type { PlacedRig } from '../../rigs/placed-rig';
import { setUpMinutes } from '../../rigs/places';
import {
  figureRow,
  type AngleContext,
  type AngleFindingRow,
  type SettingProposal
} from '../finding';
import { leaveOut, swapTo } from '../part-candidates';

function slowest(rig: PlacedRig): string {
  const minutes = (part: KitPart) =>
    part.gear.kind === 'support'
      ? setUpMinutes[part.gear.form]
      : part.gear.kind === 'lamp'
        ? setUpMinutes.lamp
        : 0;
  const [most] = [...partsOfScene(rig)].sort((a, b) => minutes(b) - minutes(a));
  return most ? fullName(most.gear) : 'the camera';
}

/** Parts one can leave at home and still film. */
function spareable(rig: PlacedRig): KitPart[] {
  const parts: KitPart[] = [...rig.kit.of('monitor'), ...rig.kit.of('recorder')];
  const fill = rig.fillLamp?.part;
  if (fill && fill.line.id !== rig.keyLamp?.part.line.id) parts.unshift(fill);
  return parts.filter(({ line }) => !line.locked);
}

const leaveSpareable = ({ rig }: AngleContext): SettingProposal[] =>
  spareable(rig).map(({ line, gear }) => leaveOut(line, gear.model));

/** More switches than this are forgotten, unless a person says otherwise. */
export const SWITCHES_REMEMBERED = 6;

/** W1, W2. */
export const setUpFindings: readonly AngleFindingRow[] = [
  figureRow({
    code: 'W1',
    family: 'whole',
    about: 'set-up takes longer than wanted',
    reads: ['setUp'],
    judge: (rig, figures) => {
      const minutes = figures.setUp;
      const limit = rig.project.setUpLimitMin;
      if (limit === undefined || minutes === undefined || minutes <= limit) return undefined;
      return {
        severity: 'warn',
        figure: 'setUp',
        has: minutes,
        needs: limit,
        unit: 'min',
        title: () => `${rig.scene.name}: set-up takes ${aboutAgainstLimit(minutes, limit, 'min')}`,
        why: () =>
          `That is how long the parts of this scene take to set up; what takes longest is ${slowest(rig)}.`
      };
    },
    propose: (context) => [
      ...leaveSpareable(context),
      {
        label: `Raise the set-up limit to ${minutesWords(Math.ceil(context.figures.setUp!))}`,
        act: {
          type: 'set project',
          patch: { setUpLimitMin: Math.ceil(context.figures.setUp!) }
        }
      }
    ]
  }),
  figureRow({
    code: 'W2',
    family: 'whole',
    about: 'too many switches to remember',
    onlyNotes: true,
    reads: ['switches'],
    judge: (rig, figures) => {
      const switches = figures.switches;
      const limit = rig.project.switchLimit ?? SWITCHES_REMEMBERED;
      if (switches === undefined || switches <= limit) return undefined;
      return {
        severity: 'note',
        figure: 'switches',
        has: switches,
        needs: limit,
        unit: 'count',
        title: () => `${rig.scene.name}: ${switches} switches before every take (limit ${limit})`,
        why: () =>
          `Camera, lamps, microphones and recorders may each have one that can be left off; past ${limit} one is forgotten sooner or later. One multiple socket that turns everything on is the old remedy.`
      };
    },
    propose: (context) => {
      const { rig, figures } = context;
      return [
        ...leaveSpareable(context),
        ...(rig.mic?.gear.hasSwitch
          ? [
              swapTo(
                context,
                'microphone',
                rig.mic.line.id,
                (gear) => gear.hasSwitch === false && gear.form === rig.mic!.gear.form
              )
            ]
          : []),
        {
          label: `Raise the switch limit to ${figures.switches!}`,
          act: {
            type: 'set project',
            patch: { switchLimit: figures.switches! }
          }
        }
      ];
    }
  })
];
