import {
  illuminanceNeededLx,
  isoNeeded,
  neutralDensityStops,
  usableIso
} from '../relations/exposure/exposure';
import { flickerLeftPercent } from '../relations/exposure/flicker';
import { shutterForRateS } from '../relations/exposure/shutter';
import { keyToFill } from '../relations/lighting/key-to-fill';
import { lampIlluminanceLx } from '../relations/lighting/lamp-illuminance';
import { softnessDeg } from '../relations/lighting/softness';
import type { PlacedLamp } from '../rigs/placed-rig';
import type { FigureRows } from './rows';

/** A clean picture keeps this much below the sensitivity a body bears; the maker of videos may differ. */
export const CLEAN_STOPS_BELOW_USABLE = 2;

const lampFigure = (lamp: PlacedLamp | undefined, figure: number | undefined) =>
  lamp ? figure : null;

export const lightRows = {
  fps: {
    name: 'frames a second',
    unit: 'fps',
    source: 'brief',
    read: ({ mode, scene }) => mode?.fps ?? scene.fps
  },
  flickerMains: {
    name: 'mains frequency of the lamps in the picture',
    unit: 'Hz',
    source: 'brief',
    read: ({ scene, project }) => (scene.room ? project.mainsHz : null)
  },
  shutterSaid: {
    name: 'shutter set by hand',
    unit: 's',
    source: 'setting',
    read: ({ said }) => said?.shutterS ?? null
  },
  shutter: {
    name: 'shutter',
    unit: 's',
    from: ['fps', 'flickerMains', 'shutterSaid'],
    whenAbsent: 0,
    relation: '1/(2·fps) at the nearest step, from the flicker-safe steps first',
    compute: (fps, mains, said) =>
      said! > 0 ? said! : shutterForRateS(fps!, mains! > 0 ? mains! : undefined)
  },
  flickerLeft: {
    name: 'flicker left in the picture',
    unit: '%',
    from: ['shutter', 'flickerMains'],
    relation: '|sin πx/(πx)|, x = 2·f·t',
    compute: (t, mains) => flickerLeftPercent(t!, mains!)
  },
  lightDim: {
    name: 'light of the place at its dimmest',
    unit: 'lx',
    source: 'brief',
    read: ({ scene }) => scene.lightDimLx
  },
  lightBright: {
    name: 'light of the place at its brightest',
    unit: 'lx',
    source: 'brief',
    read: ({ scene }) => scene.lightBrightLx
  },
  keyAt1m: {
    name: 'key lamp at 1 m',
    unit: 'lx',
    source: 'lamp',
    asks: 'How many lux does % give at 1 m?',
    read: ({ keyLamp }) => lampFigure(keyLamp, keyLamp?.part.gear.illuminanceAt1mLx)
  },
  keyRadius: {
    name: 'radius of the key source',
    unit: 'm',
    source: 'lamp',
    asks: 'How large is the shining face of %?',
    read: ({ keyLamp }) => lampFigure(keyLamp, keyLamp?.part.gear.sourceRadiusM)
  },
  keyDistance: {
    name: 'key lamp to face',
    unit: 'm',
    source: 'setting',
    read: ({ keyLamp }) => keyLamp?.distanceM ?? null
  },
  keyAngle: {
    name: 'key lamp off the face',
    unit: '°',
    source: 'setting',
    read: ({ keyLamp }) => keyLamp?.angleDeg ?? null
  },
  keyLight: {
    name: 'key light at the face',
    unit: 'lx',
    from: ['keyAt1m', 'keyRadius', 'keyDistance', 'keyAngle'],
    relation: 'E₁·(1 + R²)/(d² + R²)·cos Θ',
    compute: (lx, radius, d, angle) => lampIlluminanceLx(lx!, 1, radius!, d!, 0, angle!)
  },
  fillAt1m: {
    name: 'fill lamp at 1 m',
    unit: 'lx',
    source: 'lamp',
    asks: 'How many lux does % give at 1 m?',
    read: ({ fillLamp }) => lampFigure(fillLamp, fillLamp?.part.gear.illuminanceAt1mLx)
  },
  fillRadius: {
    name: 'radius of the fill source',
    unit: 'm',
    source: 'lamp',
    asks: 'How large is the shining face of %?',
    read: ({ fillLamp }) => lampFigure(fillLamp, fillLamp?.part.gear.sourceRadiusM)
  },
  fillDistance: {
    name: 'fill lamp to face',
    unit: 'm',
    source: 'setting',
    read: ({ fillLamp }) => fillLamp?.distanceM ?? null
  },
  fillAngle: {
    name: 'fill lamp off the face',
    unit: '°',
    source: 'setting',
    read: ({ fillLamp }) => fillLamp?.angleDeg ?? null
  },
  fillLight: {
    name: 'fill light at the face',
    unit: 'lx',
    from: ['fillAt1m', 'fillRadius', 'fillDistance', 'fillAngle'],
    relation: 'E₁·(1 + R²)/(d² + R²)·cos Θ',
    compute: (lx, radius, d, angle) => lampIlluminanceLx(lx!, 1, radius!, d!, 0, angle!)
  },
  faceDim: {
    name: 'light on the face at its dimmest',
    unit: 'lx',
    from: ['lightDim', 'keyLight', 'fillLight'],
    whenAbsent: 0,
    relation: 'place + key + fill',
    compute: (place, key, fill) => place! + key! + fill!
  },
  faceBright: {
    name: 'light on the face at its brightest',
    unit: 'lx',
    from: ['lightBright', 'keyLight', 'fillLight'],
    whenAbsent: 0,
    relation: 'place + key + fill',
    compute: (place, key, fill) => place! + key! + fill!
  },
  keyToFill: {
    name: 'bright to dark side of the face',
    unit: '×',
    from: ['keyLight', 'fillLight', 'lightDim'],
    whenAbsent: 0,
    relation: '(key + fill + place)/(fill + place)',
    compute: (key, fill, place) => keyToFill(key!, fill!, place!) ?? Infinity
  },
  keySoftness: {
    name: 'angle the key lamp fills',
    unit: '°',
    from: ['keyRadius', 'keyDistance'],
    relation: '2·atan(R/d)',
    compute: (radius, d) => softnessDeg(radius!, d!)
  },
  baseIso: {
    name: 'lowest sensitivity',
    unit: 'ISO',
    source: 'body',
    asks: 'What is the lowest video sensitivity of %?',
    read: ({ body }) => (body ? body.gear.baseIso : null)
  },
  usableIsoSaid: {
    name: 'usable sensitivity noted on the body',
    unit: 'ISO',
    source: 'body',
    read: ({ body }) => body?.gear.usableIso ?? null
  },
  usableIso: {
    name: 'sensitivity the body bears, about',
    unit: 'ISO',
    from: ['areaWidth', 'areaHeight', 'usableIsoSaid'],
    whenAbsent: 0,
    relation: '6400·(w·h of the area in use)/729, unless noted on the body',
    compute: (width, height, said) => (said! > 0 ? said! : usableIso(width!, height!))
  },
  isoNeededDim: {
    name: 'sensitivity needed at the dim end',
    unit: 'ISO',
    from: ['aperture', 'shutter', 'faceDim'],
    relation: '250·N²/(t·E)',
    compute: (n, t, e) => isoNeeded(n!, t!, e!)
  },
  isoMargin: {
    name: 'sensitivity left at the dim end',
    unit: 'stops',
    from: ['usableIso', 'isoNeededDim'],
    relation: 'log2(usable ÷ needed)',
    compute: (usable, needed) => Math.log2(usable! / needed!)
  },
  lightNeeded: {
    name: 'light a clean picture needs',
    unit: 'lx',
    from: ['aperture', 'shutter', 'usableIso'],
    relation: '250·N²/(t·S), two stops below the sensitivity the body bears',
    compute: (n, t, usable) => illuminanceNeededLx(n!, t!, usable! / 2 ** CLEAN_STOPS_BELOW_USABLE)
  },
  lightMargin: {
    name: 'light past what a clean picture needs',
    unit: 'stops',
    from: ['faceDim', 'lightNeeded'],
    relation: 'log2(light ÷ light needed)',
    compute: (have, need) => Math.log2(have! / need!)
  },
  // Lamps of one's own are turned down when they are too much; only the place's light has to be borne.
  densityNeeded: {
    name: 'neutral density needed at the bright end of the place',
    unit: 'stops',
    from: ['aperture', 'shutter', 'lightBright', 'baseIso'],
    relation: 'log2(E·t·S/(250·N²)), not below zero',
    compute: (n, t, e, s) => neutralDensityStops(n!, t!, e!, s!)
  },
  filterMost: {
    name: 'most the filter takes',
    unit: 'stops',
    source: 'filter',
    asks: 'How many stops does % take at most?',
    read: ({ filter, filterFits }) => (filter && filterFits ? filter.gear.stopsMax : null)
  },
  densityShort: {
    name: 'neutral density missing',
    unit: 'stops',
    from: ['densityNeeded', 'filterMost'],
    whenAbsent: 0,
    relation: 'needed − most of the filter, not below zero',
    compute: (need, most) => Math.max(0, need! - most!)
  }
} satisfies FigureRows;
