import { lampsHeldBesideKey, lampStandOf } from '../rigs/lamp-stand';
import { isHandheld, isMoving, isRecorded, longestTakeMinOf } from '../model/scene-facts';
import { armMomentNm, holdMinutes } from '../relations/support/arm-hold';
import { memoOn } from '../memo';
import type { GearItem } from '../model/gear';
import { type KitPart, piecesOf } from '../rigs/kit';
import { setUpMinutes } from '../rigs/places';
import { receiverInShoe, receiverKg, selfScreenOf } from '../rigs/on-camera';
import type { PlacedRig } from '../rigs/placed-rig';
import { soundDestinationOf } from '../rigs/sound-path';
import { cardsFor, batteriesFor } from './endurance-rows';
import { feedsBody, isReady } from '../rigs/ready';
import { cageFor } from './heat-rows';
import { type FigureRows, yesNo } from './rows';

/** The body would overheat within the longest take: then its cage is on it, else the cage stays in the bag. */
const warmsUp = ({ mode, scene, angle }: PlacedRig): boolean =>
  mode?.heatMinutesAt20C !== undefined && mode.heatMinutesAt20C < longestTakeMinOf(scene, angle);

/** Parts that sit on the support together with the body, a head bought by itself among them. */
const partsOnSupport = memoOn((rig: PlacedRig): readonly KitPart[] =>
  rig.head ? [...partsOnHead(rig), rig.head] : partsOnHead(rig)
);

/** The body and what rides with it. */
export const partsOnHead = memoOn((rig: PlacedRig): readonly KitPart[] => {
  const parts: KitPart[] = [];
  if (rig.body) parts.push(rig.body);
  const lens = rig.lens && !rig.lens.builtIn ? rig.kit.byLine(rig.lens.lineId) : undefined;
  if (lens) parts.push(lens);
  if (rig.mic && (rig.micPlace === 'shoe' || rig.micPlace === 'side arm')) parts.push(rig.mic);
  const screen = selfScreenOf(rig);
  if (screen) parts.push(screen);
  const cage = cageFor(rig);
  if (cage && warmsUp(rig)) parts.push(cage);
  return parts;
});

/** What these parts weigh with the receiver in the shoe, of which only the whole set states a weight. */
function withReceiverKg(rig: PlacedRig, parts: readonly KitPart[]): number | undefined {
  const [sum, receiver] = [massKg(parts), receiverKg(rig)];
  return sum === undefined || receiver === undefined ? undefined : sum + receiver;
}
export const loadOnHeadKg = (rig: PlacedRig): number | undefined =>
  withReceiverKg(rig, partsOnHead(rig));
const loadOnSupportKg = (rig: PlacedRig): number | undefined =>
  withReceiverKg(rig, partsOnSupport(rig));

/** The part on the support of which nobody states the weight. */
const unweighedOn = (rig: PlacedRig, parts: readonly KitPart[]): KitPart | undefined =>
  [...parts, ...(receiverInShoe(rig) ? [rig.mic!] : [])].find(
    ({ gear }) => gear.massG === undefined
  );
export const unweighedOnHead = (rig: PlacedRig) => unweighedOn(rig, partsOnHead(rig));

/** Every part this scene takes out of the bag, each once; spares stay in and weigh on nobody's ease. */
export const partsOfScene = memoOn((rig: PlacedRig): readonly KitPart[] => {
  const parts = [...partsOnSupport(rig)];
  const take = (part: KitPart | undefined): void => {
    if (part && !parts.includes(part)) parts.push(part);
  };
  take(rig.mic);
  take(rig.coverPart);
  take(rig.keyLamp?.part);
  take(rig.fillLamp?.part);
  for (const { part } of rig.furtherLamps) take(part);
  for (const { holder } of lampsHeldBesideKey(rig)) take(holder);
  take(rig.support);
  take(rig.boom);
  if (rig.keyLamp) take(lampStandOf(rig));
  return parts;
});

/** Parts of a scene beside its body whose switch can be left off; what takes the sound down is one of them. */
export const switchedPartsOf = memoOn((rig: PlacedRig): readonly KitPart[] => {
  const parts = new Set<KitPart>(partsOfScene(rig));
  const into = rig.mic && soundDestinationOf(rig);
  if (into) parts.add(into);
  return [...parts].filter(isSwitched);
});

/** A switch that can be left off. */
export const isSwitched = ({ gear }: KitPart): boolean =>
  gear.kind === 'lamp' || ('hasSwitch' in gear && gear.hasSwitch === true);

export function massKg(parts: readonly KitPart[]): number | undefined {
  let grams = 0;
  for (const { gear } of parts) {
    if (gear.massG === undefined) return undefined;
    grams += gear.massG;
  }
  return grams / 1000;
}

export function minutesFor(gear: GearItem, rig: PlacedRig): number {
  switch (gear.kind) {
    case 'body':
      return setUpMinutes.body;
    case 'lens':
      return setUpMinutes.lens;
    case 'microphone':
      return gear.form.startsWith('lavalier')
        ? setUpMinutes['lavalier microphone']
        : rig.micPlace === 'boom arm'
          ? setUpMinutes['boomed microphone']
          : setUpMinutes.microphone;
    case 'lamp':
      return setUpMinutes.lamp;
    case 'support':
      return setUpMinutes[gear.form];
    case 'head':
      return setUpMinutes.head;
    case 'recorder':
      return setUpMinutes.recorder;
    default:
      return 0;
  }
}

/** A small phone in the bare hand: one changes hands and goes on; an estimate. */
const TIRELESS_MOMENT_NM = 1.5;
const TIRELESS_SHARE = 3;

/** What holds the picture still, worst to best. */
export const steadyings = [
  'nothing',
  'electronic',
  'lens or sensor',
  'lens and sensor',
  'gimbal',
  'stands'
] as const;

export const handlingRows = {
  loadBare: {
    name: 'load on the support, without a filter',
    unit: 'kg',
    source: 'kit',
    asks: {
      question: 'How much does % weigh?',
      between: [0.2, 3],
      field: 'massG',
      perUnit: 1000,
      of: (rig) => unweighedOn(rig, partsOnSupport(rig))
    },
    read: (rig) => (rig.body && rig.support ? loadOnSupportKg(rig) : null)
  },
  loadOnSupport: {
    name: 'load on the support',
    unit: 'kg',
    from: ['loadBare', 'filterMass'],
    whenAbsent: 0,
    relation: 'body, lens and what rides with them + filter in use',
    compute: (bare, filter) => bare! + filter!
  },
  payload: {
    name: 'payload of the support',
    unit: 'kg',
    source: 'support',
    asks: { question: 'What may % carry?', between: [0.5, 8], field: 'payloadKg' },
    read: ({ support }) => (support ? support.gear.payloadKg : null)
  },
  payloadShare: {
    name: 'load against payload',
    unit: '×',
    from: ['loadOnSupport', 'payload', 'headShare'],
    whenAbsent: 0,
    relation: 'load ÷ payload, or the head’s share where that is more',
    compute: (load, rating, head) => Math.max(load! / rating!, head!)
  },
  heldBare: {
    name: 'weight held out by hand, without a filter',
    unit: 'kg',
    source: 'kit',
    asks: {
      question: 'How much does % weigh?',
      between: [0.1, 2],
      field: 'massG',
      perUnit: 1000,
      of: (rig) => unweighedOn(rig, partsOnSupport(rig))
    },
    read: (rig) => (rig.body && isHandheld(rig.angle) ? loadOnSupportKg(rig) : null)
  },
  heldOut: {
    name: 'weight held out by hand',
    unit: 'kg',
    from: ['heldBare', 'filterMass'],
    whenAbsent: 0,
    relation: 'body, lens and what rides with them + filter in use',
    compute: (bare, filter) => bare! + filter!
  },
  heldReach: {
    name: 'reach of the grip',
    unit: 'm',
    source: 'support',
    asks: {
      question: 'How far does % hold the camera off?',
      between: [0.1, 1],
      field: 'reachM'
    },
    // The bare hand holds it off by nothing.
    read: ({ support, angle }) => (isHandheld(angle) ? (support ? support.gear.reachM : 0) : null)
  },
  armMoment: {
    name: 'moment at the shoulder',
    unit: 'N·m',
    from: ['heldOut', 'heldReach'],
    relation: 'm·g·(0.60 + reach)',
    compute: (kg, reach) => armMomentNm(kg!, reach!)
  },
  holdMinutes: {
    name: 'an arm holds it for about',
    unit: 'min',
    from: ['armMoment'],
    relation: '−1.5 + 2.1/F − 0.6/F² + 0.1/F³, F = (10 + moment)/50',
    compute: (moment) => holdMinutes(moment!)
  },
  holdShare: {
    name: 'minutes an arm holds it against the longest take',
    unit: '×',
    from: ['holdMinutes', 'longestTake', 'armMoment'],
    relation: 'minutes ÷ longest take; three times where the moment is too small to tire',
    compute: (minutes, take, moment) =>
      moment! <= TIRELESS_MOMENT_NM ? TIRELESS_SHARE : minutes! / take!
  },
  steadying: {
    name: 'what holds the picture still',
    unit: 'word',
    words: steadyings,
    source: 'body',
    asks: { question: 'Does % steady the picture on its sensor?', between: [0, 2] },
    read: ({ body, lens, support, angle }) => {
      if (!body) return null;
      if (support?.gear.form === 'gimbal') return steadyings.indexOf('gimbal');
      if (!isMoving(angle)) {
        return steadyings.indexOf(support ? 'stands' : 'nothing');
      }
      const sensor = yesNo(body.gear.stabilised);
      const glass = lens ? yesNo(lens.stabilised) : 0;
      if (sensor === undefined && glass !== 1) return undefined;
      const both = (sensor ?? 0) + (glass ?? 0);
      return steadyings.indexOf(
        both === 2 ? 'lens and sensor' : both === 1 ? 'lens or sensor' : 'nothing'
      );
    }
  },
  weatherCover: {
    name: 'the body is sealed against weather',
    unit: 'yes/no',
    source: 'body',
    asks: {
      question: 'Is % sealed against rain and dust?',
      between: [0, 1],
      field: 'weatherCover'
    },
    read: ({ body, scene }) =>
      body && scene.roughWeather === true ? yesNo(body.gear.weatherCover) : null
  },
  rigMassBare: {
    name: 'weight of what this scene takes out, without a filter',
    unit: 'kg',
    source: 'kit',
    asks: {
      question: 'How much does % weigh?',
      between: [0.3, 8],
      field: 'massG',
      perUnit: 1000,
      of: (rig) => partsOfScene(rig).find(({ gear }) => gear.massG === undefined)
    },
    read: (rig) => (rig.body ? massKg(partsOfScene(rig)) : null)
  },
  rigMass: {
    name: 'weight of what this scene takes out',
    unit: 'kg',
    from: ['rigMassBare', 'filterMass'],
    whenAbsent: 0,
    relation: 'parts of the scene + filter in use',
    compute: (bare, filter) => bare! + filter!
  },
  setUpBare: {
    name: 'minutes to the first take without a filter, about',
    unit: 'min',
    source: 'kit',
    read: (rig) => {
      if (!rig.body) return null;
      let minutes = 0;
      for (const { gear } of partsOfScene(rig)) minutes += minutesFor(gear, rig);
      return minutes;
    }
  },
  setUp: {
    name: 'minutes to the first take, about',
    unit: 'min',
    from: ['setUpBare', 'filterMass'],
    whenAbsent: 0,
    relation: 'parts of the scene + filter in use',
    compute: (bare, filter) => bare! + (filter! > 0 ? setUpMinutes.filter : 0)
  },
  switches: {
    name: 'switches to remember',
    unit: 'count',
    source: 'kit',
    read: (rig) => {
      if (!rig.body) return null;
      // The camera's own, and of a radio both halves'.
      let count = 1;
      for (const { gear } of switchedPartsOf(rig))
        count += gear.kind === 'microphone' && gear.form === 'lavalier wireless' ? 2 : 1;
      return count;
    }
  },
  recordings: {
    name: 'recordings made at once',
    unit: 'count',
    source: 'kit',
    read: (rig) => {
      if (!rig.body || !isRecorded(rig.scene)) return null;
      const cards = piecesOf(cardsFor(rig));
      const pictures = (rig.body.gear.cardSlots ?? 1) >= 2 && cards >= 2 ? 2 : 1;
      const sounds =
        rig.scene.voice !== 'none' &&
        (rig.kit.of('recorder').some((part) => isReady(rig, part)) ||
          rig.mic?.gear.recordsItself === true)
          ? 1
          : 0;
      return pictures + sounds;
    }
  },
  spareBatteries: {
    name: 'batteries beyond the first, and banks that reach the body',
    unit: 'count',
    source: 'kit',
    read: (rig) => {
      if (!rig.body) return null;
      const batteries = (rig.body.gear.batteriesIncluded ?? 0) + piecesOf(batteriesFor(rig));
      const banks = rig.kit.of('power bank').filter((bank) => feedsBody(rig, bank));
      return Math.max(0, batteries - 1) + banks.length;
    }
  },
  copies: {
    name: 'places the files are kept',
    unit: 'count',
    source: 'kit',
    read: ({ kit, body, scene }) =>
      body && isRecorded(scene) ? 1 + piecesOf(kit.of('drive')) : null
  }
} satisfies FigureRows;
