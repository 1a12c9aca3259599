import { lampStandOf } from '../rigs/lamp-stand';
import { isSeated, pans } from '../model/scene-facts';
import { headForms } from '../model/word-lists';
import { boomBagKg, tipAngleDeg } from '../relations/support/tipping';
import { tippingWindMps } from '../relations/support/wind-tip';
import { EYE_LEVEL_M } from '../rigs/places';
import type { PlacedRig } from '../rigs/placed-rig';
import { type FigureRows, wordIndex } from './rows';

/** Centre of mass of legs, as a share of their height; an estimate. */
const LEGS_CENTRE_SHARE = 0.4;
/** A lens carries its own weight this far before the middle of the legs; an estimate. */
const LENS_FORWARD_M = 0.06;
/** Share of a boom that is its pole; the rest stands on the floor. */
const POLE_SHARE = 0.3;
/** A pole hangs by its middle. */
const POLE_CENTRE_SHARE = 0.5;
/** Drag of a dome or cloth set square to the wind. */
const DOME_DRAG = 1.2;

const onFloor = (rig: PlacedRig) =>
  rig.support?.gear.form === 'tripod' || rig.support?.gear.form === 'mini tripod';

/** Kilograms of grams that may be unsaid. */
const kg = (grams: number | undefined) => (grams === undefined ? undefined : grams / 1000);

/** Whether what stands also stays standing. */
export const stabilityRows = {
  supportHead: {
    name: 'head of the support',
    unit: 'word',
    words: headForms,
    source: 'support',
    asks: { question: 'Which head has %?', between: [0, headForms.length - 1], field: 'head' },
    read: ({ support, head, scene, angle }) =>
      support && pans(scene, angle)
        ? wordIndex(headForms, head ? head.gear.form : support.gear.head)
        : null
  },
  supportMass: {
    name: 'mass of the support',
    unit: 'kg',
    source: 'support',
    asks: { question: 'How much does % weigh?', between: [0.2, 5], field: 'massG', perUnit: 1000 },
    read: (rig) => (onFloor(rig) ? kg(rig.support!.gear.massG) : null)
  },
  supportHeight: {
    name: 'height of the camera on the support',
    unit: 'm',
    source: 'support',
    asks: { question: 'How high does % rise?', between: [0.2, 1.5], field: 'heightMaxM' },
    read: (rig) => {
      if (!onFloor(rig)) return null;
      const most = rig.support!.gear.heightMaxM;
      // No higher than a face: legs used higher look down on people.
      return most === undefined
        ? undefined
        : Math.min(most, isSeated(rig.scene) ? EYE_LEVEL_M.seated : EYE_LEVEL_M.standing);
    }
  },
  supportFootRadius: {
    name: 'foot radius of the support',
    unit: 'm',
    source: 'support',
    asks: {
      question: 'How wide do the feet of % stand?',
      between: [0.15, 0.65],
      field: 'footRadiusM'
    },
    read: (rig) => (onFloor(rig) ? rig.support!.gear.footRadiusM : null)
  },
  lensMass: {
    name: 'mass of the lens',
    unit: 'kg',
    source: 'lens',
    asks: {
      question: 'How much does % weigh?',
      between: [0.1, 1.5],
      field: 'massG',
      perUnit: 1000
    },
    read: ({ lens }) => (lens?.gear ? kg(lens.gear.massG) : null)
  },
  tipAngle: {
    name: 'tip angle',
    unit: '°',
    from: ['supportFootRadius', 'supportMass', 'supportHeight', 'loadOnSupport', 'lensMass'],
    whenAbsent: 0,
    relation: 'atan((r/2 − e)/h), h = Σmz/Σm',
    compute: (radius, legs, height, load, lens) =>
      tipAngleDeg(
        radius!,
        [
          { kg: legs!, heightM: height! * LEGS_CENTRE_SHARE },
          { kg: load!, heightM: height! }
        ],
        (lens! * LENS_FORWARD_M) / (legs! + load!)
      )
  },
  boomMass: {
    name: 'mass of the boom with its stand',
    unit: 'kg',
    source: 'support',
    asks: {
      question: 'How much does % weigh?',
      between: [0.7, 4],
      field: 'massG',
      perUnit: 1000,
      of: ({ boom }) => boom
    },
    read: ({ boom }) => (boom?.gear.footRadiusM === undefined ? null : kg(boom.gear.massG))
  },
  boomFoot: {
    name: 'foot radius of the boom’s stand',
    unit: 'm',
    source: 'support',
    read: ({ boom }) => boom?.gear.footRadiusM ?? null
  },
  micMass: {
    name: 'mass of the microphone',
    unit: 'kg',
    source: 'microphone',
    asks: {
      question: 'How much does % weigh?',
      between: [0.02, 0.8],
      field: 'massG',
      perUnit: 1000
    },
    read: ({ mic }) => (mic ? kg(mic.gear.massG) : null)
  },
  standMass: {
    name: 'mass of the stand',
    unit: 'kg',
    source: 'kit',
    asks: {
      question: 'How much does % weigh?',
      between: [0.8, 6],
      field: 'massG',
      perUnit: 1000,
      of: lampStandOf
    },
    read: (rig) => {
      const stand = lampStandOf(rig);
      return stand ? kg(stand.gear.massG) : null;
    }
  },
  standRadius: {
    name: 'foot radius of the stand',
    unit: 'm',
    source: 'kit',
    asks: {
      question: 'How wide do the feet of % stand?',
      between: [0.3, 0.65],
      field: 'footRadiusM',
      of: lampStandOf
    },
    // Only wind tips a stand that stands square.
    read: (rig) => {
      const stand = lampStandOf(rig);
      return stand && !rig.scene.room ? stand.gear.footRadiusM : null;
    }
  },
  boomBag: {
    name: 'sandbag for the boom’s stand',
    unit: 'kg',
    from: ['boomMass', 'boomReach', 'micMass', 'boomFoot'],
    relation: '1.5·M/e − stand, M = Σ mᵢ(Lᵢ − e), e = r/2; three tenths of the boom are its pole',
    compute: (boom, reach, mic, radius) =>
      boomBagKg(
        [
          { kg: mic!, armM: reach! },
          { kg: boom! * POLE_SHARE, armM: reach! * POLE_CENTRE_SHARE }
        ],
        boom! * (1 - POLE_SHARE),
        radius!,
        false
      )
  },
  sandbag: {
    name: 'bags of sand or water',
    unit: 'kg',
    source: 'kit',
    read: ({ kit }) => {
      let sum = 0;
      for (const { gear, line } of kit.of('sandbag')) sum += (gear.filledKg ?? 0) * line.quantity;
      return sum;
    }
  },
  lampMass: {
    name: 'mass of the key lamp',
    unit: 'kg',
    source: 'lamp',
    asks: { question: 'How much does % weigh?', between: [0.1, 4], field: 'massG', perUnit: 1000 },
    read: (rig) => (rig.keyLamp && lampStandOf(rig) ? kg(rig.keyLamp.part.gear.massG) : null)
  },
  standPayload: {
    name: 'payload of the lamp’s stand',
    unit: 'kg',
    source: 'kit',
    asks: {
      question: 'What may % carry?',
      between: [1, 12],
      field: 'payloadKg',
      of: lampStandOf
    },
    read: (rig) => {
      const stand = lampStandOf(rig);
      return rig.keyLamp && stand ? stand.gear.payloadKg : null;
    }
  },
  lampLoadShare: {
    name: 'lamp against what its stand may carry',
    unit: '×',
    from: ['lampMass', 'standPayload'],
    relation: 'mass ÷ payload',
    compute: (mass, payload) => mass! / payload!
  },
  standHeight: {
    name: 'height of the lamp',
    unit: 'm',
    source: 'kit',
    asks: {
      question: 'How high does % rise?',
      between: [1.8, 3],
      field: 'heightMaxM',
      of: lampStandOf
    },
    read: (rig) => {
      const stand = lampStandOf(rig);
      return rig.keyLamp && stand && !rig.scene.room ? stand.gear.heightMaxM : null;
    }
  },
  lampTipWind: {
    name: 'wind that tips the lamp',
    unit: 'm/s',
    from: ['lampMass', 'standMass', 'sandbag', 'standRadius', 'keyRadius', 'standHeight'],
    relation: '√(m·g·(r/2)/(½·1.2·Cd·A·H))',
    compute: (lamp, stand, bag, radius, source, height) =>
      tippingWindMps(lamp! + stand! + bag!, radius!, DOME_DRAG, Math.PI * source! ** 2, height!)
  },
  windLimit: {
    name: 'wind the drone may fly in',
    unit: 'm/s',
    source: 'body',
    asks: {
      question: 'Up to which wind may % fly?',
      between: [5, 14],
      field: 'windLimitMps'
    },
    read: ({ scene, body }) =>
      scene.room || body?.gear.form !== 'drone' ? null : body.gear.windLimitMps
  },
  windOutside: {
    name: 'wind',
    unit: 'm/s',
    source: 'brief',
    read: ({ scene }) => (scene.room ? null : scene.windMps)
  },
  carriedMass: {
    name: 'what is carried in a day',
    unit: 'kg',
    source: 'kit',
    asks: {
      question: 'How much does % weigh?',
      between: [1, 15],
      field: 'massG',
      perUnit: 1000,
      of: ({ kit }) =>
        kit.parts.find(({ gear }) => gear.massG === undefined && !staysAtHome.has(gear.kind))
    },
    read: ({ kit, project }) => {
      if (project.carriedLimitKg === undefined) return null;
      let grams = 0;
      for (const { gear, line } of kit.parts) {
        if (staysAtHome.has(gear.kind)) continue;
        if (gear.massG === undefined) return undefined;
        grams += gear.massG * line.quantity;
      }
      return grams / 1000;
    }
  }
} satisfies FigureRows;

/** Kinds that are not in the kit on the way. */
export const staysAtHome: ReadonlySet<string> = new Set(['computer', 'drive', 'reader', 'sandbag']);
