import { hasUse } from '../../figures/heat-rows';
import { fullName } from '../../model/gear';
import { chainInBag } from '../../rigs/closings';
import { isMissingPort } from '../../rigs/connection';
import { connectionsOf } from '../../rigs/connections';
import type { PlacedRig } from '../../rigs/placed-rig';
import { figureRow, rigRow, type AngleFindingRow } from '../finding';
import { addOne, cheapestOf, setRig, swapTo } from '../part-candidates';

/** The pieces that let weather in: an adapter without seals, or the open flap of a plug. */
function openPlaces(rig: PlacedRig): string[] {
  const places: string[] = [];
  for (const need of connectionsOf(rig)) {
    if (isMissingPort(need)) continue;
    if (need.purpose === 'lens on body') {
      const adapter = chainInBag(need, rig.kit)?.parts[0];
      if (adapter) places.push(`the joint of ${adapter.gear.model}`);
    }
    if (need.purpose === 'microphone into input' && need.to === rig.body)
      places.push('the open flap of the microphone jack');
  }
  return places;
}

/** B10, B12, B13. */
export const careFindings: readonly AngleFindingRow[] = [
  rigRow({
    code: 'B10',
    family: 'body',
    about: 'loose rings rattle near the microphone',
    judge: (rig) => {
      if (
        rig.body?.gear.looseRings !== true ||
        rig.angle.cameraPlace !== 'hand' ||
        (rig.micPlace !== 'shoe' && rig.micPlace !== 'side arm') ||
        hasUse(rig, 'tape') ||
        hasUse(rig, 'ties')
      )
        return undefined;
      return {
        severity: 'note',
        lineIds: [rig.body.line.id, rig.mic!.line.id],
        title: () => `${rig.scene.name}: loose strap rings rattle near the microphone`,
        why: () =>
          `${fullName(rig.body!.gear)} carries loose rings a hand’s breadth from the microphone on the shoe. Tape them down, tie them, or take them off.`
      };
    },
    propose: (context) => [
      addOne(context, 'small item', (gear) => gear.use === 'ties' || gear.use === 'tape')
    ]
  }),
  figureRow({
    code: 'B12',
    family: 'body',
    about: 'weather gets in through the body, an adapter or an open flap',
    reads: ['weatherCover'],
    judge: (rig, figures) => {
      const covered = figures.weatherCover;
      if (covered === undefined) return undefined;
      const places = covered === 1 ? openPlaces(rig) : [];
      if (covered === 1 && places.length === 0) return undefined;
      return {
        severity: 'warn',
        lineIds: [rig.body!.line.id],
        figure: 'weatherCover',
        has: covered,
        needs: 1,
        unit: 'yes/no',
        about: covered === 1 ? 'open place' : 'body',
        title: () =>
          covered === 1
            ? `${rig.scene.name}: rain finds ${places[0]}`
            : `${rig.body!.gear.model} is not sealed for ${rig.scene.name}`,
        why: () =>
          covered === 1
            ? `${fullName(rig.body!.gear)} is sealed, but not at ${places.join(' and ')}.`
            : `${fullName(rig.body!.gear)} states no seals against rain, spray and dust.`
      };
    },
    propose: (context) => [
      swapTo(context, 'body', context.rig.body!.line.id, (gear) => gear.weatherCover === true),
      {
        parts: cheapestOf(
          context.shelf,
          context.project,
          'microphone',
          (gear) => gear.form === 'lavalier wireless' && gear.recordsItself === true
        ),
        label: (gear) => `Record the voice in ${gear.model}`,
        act: (line) => ({
          type: 'batch',
          acts: [
            { type: 'add line', line },
            setRig(context, { micLineId: line.id, micPlace: undefined })
          ]
        })
      },
      {
        label: 'Film on a dry day',
        act: {
          type: 'change scene',
          sceneId: context.rig.scene.id,
          patch: { roughWeather: false }
        }
      }
    ]
  }),
  rigRow({
    code: 'B13',
    family: 'body',
    about: 'a phone: calls interrupt the take',
    judge: (rig) => {
      if (rig.body?.gear.form !== 'phone') return undefined;
      return {
        severity: 'note',
        about: rig.body.line.id,
        lineIds: [rig.body.line.id],
        title: () => 'A call ends the take',
        why: () =>
          `${fullName(rig.body!.gear)} is a phone: put it out of reach of calls and messages before every take, and hold it in something with a shoe and a thread.`
      };
    },
    propose: (context) => [
      swapTo(context, 'body', context.rig.body!.line.id, (gear) => gear.form !== 'phone')
    ]
  })
];
