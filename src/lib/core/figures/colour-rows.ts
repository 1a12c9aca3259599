import { hasWindow } from '../model/scene-facts';
import { DAYLIGHT_K, leastMiredBetween, leastMiredDifference } from '../relations/lighting/colour';
import type { FurtherLamp, PlacedRig } from '../rigs/placed-rig';
import { lampFigure } from './light-rows';
import type { FigureRows } from './rows';

/** Its colour matters where a second lamp or a light of known colour shines beside it. */
const meetsOtherLight = (rig: PlacedRig): boolean =>
  rig.scene.lightColourK !== undefined ||
  hasWindow(rig.scene) ||
  rig.fillLamp !== undefined ||
  lampsOnPerson(rig).length > 0;

/** Lamps beside key and fill whose light falls on the person; a background and a lamp in the picture may be of any colour. */
export const lampsOnPerson = ({ furtherLamps }: PlacedRig): readonly FurtherLamp[] =>
  furtherLamps.length === 0
    ? furtherLamps
    : furtherLamps.filter(({ role }) => role === 'back' || role === 'overhead');

const isColourStated = ({ part: { gear } }: FurtherLamp): boolean =>
  gear.colourMinK !== undefined && gear.colourMaxK !== undefined;

/** The colours of the lamps and of the light that is there, and how far apart they stay at best. */
export const colourRows = {
  placeColour: {
    name: 'colour of the light that is there, of a window daylight unless stated',
    unit: 'K',
    source: 'brief',
    read: ({ scene }) => scene.lightColourK ?? (hasWindow(scene) ? DAYLIGHT_K : null)
  },
  keyWarmest: {
    name: 'warmest colour of the key lamp',
    unit: 'K',
    source: 'lamp',
    asks: {
      question: 'How warm can % be set, in kelvin?',
      between: [2700, 5600],
      field: 'colourMinK'
    },
    read: (rig) =>
      meetsOtherLight(rig) ? lampFigure(rig.keyLamp, (lamp) => lamp.part.gear.colourMinK) : null
  },
  keyCoolest: {
    name: 'coolest colour of the key lamp',
    unit: 'K',
    source: 'lamp',
    asks: {
      question: 'How cool can % be set, in kelvin?',
      between: [2700, 6500],
      field: 'colourMaxK'
    },
    read: (rig) =>
      meetsOtherLight(rig) ? lampFigure(rig.keyLamp, (lamp) => lamp.part.gear.colourMaxK) : null
  },
  fillWarmest: {
    name: 'warmest colour of the fill lamp',
    unit: 'K',
    source: 'lamp',
    asks: {
      question: 'How warm can % be set, in kelvin?',
      between: [2700, 5600],
      field: 'colourMinK',
      of: ({ fillLamp }) => fillLamp?.part
    },
    read: ({ fillLamp }) => lampFigure(fillLamp, (lamp) => lamp.part.gear.colourMinK)
  },
  fillCoolest: {
    name: 'coolest colour of the fill lamp',
    unit: 'K',
    source: 'lamp',
    asks: {
      question: 'How cool can % be set, in kelvin?',
      between: [2700, 6500],
      field: 'colourMaxK',
      of: ({ fillLamp }) => fillLamp?.part
    },
    read: ({ fillLamp }) => lampFigure(fillLamp, (lamp) => lamp.part.gear.colourMaxK)
  },
  lampColourGap: {
    name: 'the two lamps, apart at least',
    unit: 'mired',
    from: ['keyWarmest', 'keyCoolest', 'fillWarmest', 'fillCoolest'],
    relation: '|10⁶/K − 10⁶/K| where both are set as near as they can be',
    compute: (keyFrom, keyTo, fillFrom, fillTo) =>
      leastMiredBetween(
        [Math.min(keyFrom!, keyTo!), keyTo!],
        [Math.min(fillFrom!, fillTo!), fillTo!]
      )
  },
  furtherColourGap: {
    name: 'back and overhead light, apart from the key at least',
    unit: 'mired',
    source: 'lamp',
    asks: {
      question: 'How cool can % be set, in kelvin?',
      between: [2700, 6500],
      of: (rig) =>
        [
          ...(rig.keyLamp ? [{ ...rig.keyLamp, role: 'back' as const }] : []),
          ...lampsOnPerson(rig)
        ].find((lamp) => !isColourStated(lamp))?.part
    },
    read: (rig) => {
      const others = lampsOnPerson(rig);
      if (!rig.keyLamp || others.length === 0) return null;
      const { colourMinK: from, colourMaxK: to } = rig.keyLamp.part.gear;
      if (from === undefined || to === undefined || !others.every(isColourStated)) return undefined;
      return Math.max(
        ...others.map(({ part: { gear } }) =>
          leastMiredBetween([from, to], [gear.colourMinK!, gear.colourMaxK!])
        )
      );
    }
  },
  placeColourGap: {
    name: 'the key lamp and the light that is there, apart at least',
    unit: 'mired',
    from: ['placeColour', 'keyWarmest', 'keyCoolest'],
    relation: '|10⁶/K − 10⁶/K| to the nearest colour the lamp can be set to',
    compute: (place, from, to) => leastMiredDifference(place!, Math.min(from!, to!), to!)
  },
  placeShare: {
    name: 'share of the light that is there of all on the face',
    unit: '×',
    from: ['placeLightBright', 'faceBright'],
    relation: 'place ÷ all, at the brightest',
    compute: (place, all) => (all! > 0 ? place! / all! : 0)
  }
} satisfies FigureRows;
