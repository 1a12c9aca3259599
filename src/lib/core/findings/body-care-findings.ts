import { cageFor, hasUse, heatEnds } from '../figures/heat-rows';
import { cardsFor } from '../figures/endurance-rows';
import { figureWords, minutesWords } from '../figures/figure-words';
import { figureAt } from '../figures/record';
import { figureIndex } from '../figures/table';
import { fullName } from '../model/gear';
import { heatRelief } from '../relations/power/heat';
import { chainInBag } from '../rigs/closings';
import { isMissingPort } from '../rigs/connection';
import { connectionsOf } from '../rigs/connections';
import type { PlacedRig } from '../rigs/placed-rig';
import type { AngleFindingRow } from './finding';
import { addOne, cheapestOf, oneMoreOf, setRig, swapTo } from './part-candidates';

/** A flat picture this far above the ordinary base ISO needs that much more filter. */
const stopsBetween = (high: number, low: number) => Math.log2(high / low);

/** The pieces that let weather in: an adapter without seals, or the open flap of a plug. */
function openPlaces(rig: PlacedRig): string[] {
  const places: string[] = [];
  for (const need of connectionsOf(rig)) {
    if (isMissingPort(need)) continue;
    if (need.purpose === 'lens on body') {
      const adapter = chainInBag(need, rig.kit)?.parts[0];
      if (adapter) places.push(`the joint of ${adapter.gear.model}`);
    }
    if (need.purpose === 'microphone into body')
      places.push('the open flap of the microphone jack');
  }
  return places;
}

const pictureCards = (rig: PlacedRig) =>
  cardsFor(rig).reduce((pieces, { line }) => pieces + line.quantity, 0);
const recordsTwice = (rig: PlacedRig) =>
  ((rig.body?.gear.cardSlots ?? 1) >= 2 && pictureCards(rig) >= 2) ||
  rig.kit.of('monitor').some(({ gear }) => gear.recordsItself === true);

/** What a body needs to be spared: noise, loss, weather, heat. */
export const bodyCareFindings: AngleFindingRow[] = [
  {
    code: 'B10',
    family: 'body',
    scope: 'angle',
    about: 'loose rings rattle near the microphone',
    reads: [],
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
  },
  {
    code: 'B11',
    family: 'body',
    scope: 'angle',
    about: 'one recording of what cannot be repeated',
    reads: [],
    judge: (rig) => {
      if (rig.scene.onceOnly !== true || !rig.body || recordsTwice(rig)) return undefined;
      return {
        severity: 'warn',
        lineIds: [rig.body.line.id],
        has: 1,
        needs: 2,
        unit: 'count',
        title: () => `${rig.scene.name} cannot be repeated and has a single recording`,
        why: () =>
          `${fullName(rig.body!.gear)} writes to one card at a time here; if that card fails, nothing is left of the day.`
      };
    },
    propose: (context) => {
      const { rig } = context;
      const twoSlots = (rig.body!.gear.cardSlots ?? 1) >= 2;
      return [
        ...(twoSlots
          ? cardsFor(rig)
              .slice(0, 1)
              .map(({ line, gear }) => ({
                label: `One more ${gear.model}`,
                act: oneMoreOf(line)
              }))
          : [swapTo(context, 'body', rig.body!.line.id, (gear) => (gear.cardSlots ?? 1) >= 2)]),
        addOne(context, 'monitor', (gear) => gear.recordsItself === true)
      ];
    }
  },
  {
    code: 'B12',
    family: 'body',
    scope: 'angle',
    about: 'weather gets in through the body, an adapter or an open flap',
    reads: ['weatherCover'],
    judge: (rig, record) => {
      const covered = figureAt(record, figureIndex.weatherCover);
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
        label: 'Film it on a dry day',
        act: {
          type: 'change scene',
          sceneId: context.rig.scene.id,
          patch: { roughWeather: false }
        }
      }
    ]
  },
  {
    code: 'B13',
    family: 'body',
    scope: 'angle',
    about: 'a phone: calls interrupt the take',
    reads: [],
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
  },
  {
    code: 'B14',
    family: 'body',
    scope: 'angle',
    about: 'a flat picture raises the base ISO and wants grading',
    reads: [],
    judge: (rig) => {
      const profile = rig.body?.gear.profiles?.find(({ name }) => name === rig.said?.profile);
      const base = rig.body?.gear.baseIso;
      if (profile?.flat !== true || base === undefined) return undefined;
      const stops = Math.max(0, stopsBetween(profile.baseIso, base));
      return {
        severity: 'note',
        lineIds: [rig.body!.line.id],
        figure: 'baseIso',
        has: profile.baseIso,
        needs: base,
        unit: 'ISO',
        title: () => `${profile.name} needs ${figureWords(stops, 'stops')} more filter`,
        why: () =>
          `It keeps more range but begins at ISO ${profile.baseIso} instead of ${base}, and every clip has to be graded before it is watched.`
      };
    },
    propose: (context) => {
      const ordinary = context.rig.body!.gear.profiles!.find(({ flat }) => flat !== true);
      return [
        {
          label: ordinary ? `Film in ${ordinary.name}` : 'Film in the ordinary profile',
          act: setRig(context, { profile: ordinary?.name })
        }
      ];
    }
  },
  {
    code: 'B15',
    family: 'body',
    scope: 'angle',
    about: 'heat relief would carry the take',
    reads: ['heatMinutes'],
    judge: (rig, record) => {
      const minutes = figureAt(record, figureIndex.heatMinutes);
      const take = figureAt(record, figureIndex.longestTake)!;
      if (minutes === undefined || minutes >= take) return undefined;
      const relieved = Math.min(
        ...heatEnds(
          figureAt(record, figureIndex.heatAt20)!,
          figureAt(record, figureIndex.heatRelief)! * leftToRelieve(rig),
          1,
          figureAt(record, figureIndex.temperature)!
        )
      );
      if (relieved < take) return undefined;
      return {
        severity: 'note',
        lineIds: [rig.body!.line.id],
        figure: 'heatMinutes',
        has: minutes,
        needs: take,
        unit: 'min',
        title: () => 'Shade, a cage or a fan would carry the take',
        why: () =>
          `${fullName(rig.body!.gear)} overheats after ${minutesWords(minutes)} to ${minutesWords(figureAt(record, figureIndex.heatMinutesMost)!)}, about; kept cool it lasts ${minutesWords(relieved)} or more. Turn the screen off the body as well.`
      };
    },
    propose: (context) => [
      addOne(context, 'small item', (gear) => gear.use === 'shade'),
      addOne(context, 'cage', (gear) => gear.fitsBodyId === context.rig.body!.gear.id),
      addOne(context, 'small item', (gear) => gear.use === 'fan')
    ]
  }
];

/** What cage and fan would still take off the warming. */
function leftToRelieve(rig: PlacedRig): number {
  return (cageFor(rig) ? 1 : heatRelief.cage) * (hasUse(rig, 'fan') ? 1 : heatRelief.fan);
}
