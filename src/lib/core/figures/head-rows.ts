import { headMomentNm, headShare } from '../relations/support/head';
import type { KitPart } from '../rigs/kit';
import type { PlacedRig } from '../rigs/placed-rig';
import { receiverKg, selfScreenOf } from '../rigs/on-camera';
import { loadOnHeadKg, partsOnHead, unweighedOnHead } from './handling-rows';
import type { FigureRows } from './rows';

/** What sits in the shoe rides this far above the top of the body; an estimate. */
const OVER_BODY_MM = 40;

/** The middle of the load over the plate: body and lens lie by half the body's height, what is in the shoe on top. */
function loadCentreMm(rig: PlacedRig): number | undefined {
  const bodyMm = rig.body!.gear.sizeMm?.height;
  if (bodyMm === undefined) return undefined;
  const screen = selfScreenOf(rig);
  let grams = 0;
  let turning = 0;
  for (const part of partsOnHead(rig)) {
    const { massG } = part.gear;
    if (massG === undefined) return undefined;
    grams += massG;
    const isOnTop = part === rig.mic || part === screen;
    turning += massG * (isOnTop ? bodyMm + OVER_BODY_MM : bodyMm / 2);
  }
  const receiver = receiverKg(rig);
  if (receiver === undefined) return undefined;
  grams += receiver * 1000;
  turning += receiver * 1000 * (bodyMm + OVER_BODY_MM);
  return turning / grams;
}

const unsaid = (rig: PlacedRig): KitPart | undefined =>
  rig.body?.gear.sizeMm?.height === undefined ? rig.body : unweighedOnHead(rig);

/** What a head bought by itself carries, as a weight and as a moment. */
export const headRows = {
  loadOnHead: {
    name: 'load on the head',
    unit: 'kg',
    source: 'kit',
    asks: {
      question: 'How much does % weigh?',
      between: [0.2, 3],
      field: 'massG',
      perUnit: 1000,
      of: unweighedOnHead
    },
    read: (rig) => (rig.body && rig.head ? loadOnHeadKg(rig) : null)
  },
  headPayload: {
    name: 'payload of the head',
    unit: 'kg',
    source: 'support',
    asks: {
      question: 'What may % carry?',
      between: [0.5, 8],
      field: 'payloadKg',
      of: ({ head }) => head
    },
    read: ({ body, head }) => (body && head ? head.gear.payloadKg : null)
  },
  headRatedHeight: {
    name: 'height up to which the head’s payload holds',
    unit: 'mm',
    source: 'support',
    asks: {
      question: 'How high over the plate may the load of % lie for its payload to hold?',
      between: [30, 120],
      field: 'ratedAtMm',
      of: ({ head }) => head
    },
    read: ({ body, head }) => (body && head ? head.gear.ratedAtMm : null)
  },
  loadCentre: {
    name: 'height of the load over the plate',
    unit: 'mm',
    source: 'kit',
    asks: { question: 'How tall is %, and how much does it weigh?', between: [30, 90], of: unsaid },
    read: (rig) => (rig.body && rig.head ? loadCentreMm(rig) : null)
  },
  headMoment: {
    name: 'moment on the head when it leans',
    unit: 'N·m',
    from: ['loadOnHead', 'loadCentre'],
    relation: 'm·g·h, h the height of the load over the plate',
    compute: (load, height) => headMomentNm(load!, height!)
  },
  headMomentRated: {
    name: 'moment the head is rated for',
    unit: 'N·m',
    from: ['headPayload', 'headRatedHeight'],
    relation: 'payload × g × the height it holds for',
    compute: (payload, height) => headMomentNm(payload!, height!)
  },
  headShare: {
    name: 'what the head is asked against its rating',
    unit: '×',
    from: ['loadOnHead', 'headPayload', 'headMoment', 'headMomentRated'],
    relation: 'the greater of load ÷ payload and moment ÷ rated moment',
    compute: (load, payload, moment, rated) => headShare(load!, payload!, moment!, rated!)
  }
} satisfies FigureRows;
