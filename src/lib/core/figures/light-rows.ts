import { illuminanceNeededLx, highestUsableIso } from '../relations/exposure/exposure';
import { keyToFill } from '../relations/lighting/key-to-fill';
import { lampIlluminanceLx } from '../relations/lighting/lamp-illuminance';
import { monitorContrast, screenReflectance } from '../relations/lighting/monitor-contrast';
import { softnessDeg } from '../relations/lighting/softness';
import { windowIlluminanceLx } from '../relations/lighting/window';
import type { BatteryGear } from '../model/gear';
import { countPieces, type KitPart } from '../rigs/kit';
import { lampRuns } from '../rigs/place-lamps';
import type { FurtherLamp, PlacedLamp, PlacedRig } from '../rigs/placed-rig';
import type { FigureRow, FigureRows } from './rows';

/** A clean picture keeps this much below the sensitivity a body bears; the maker of videos may differ. */
export const CLEAN_STOPS_BELOW_USABLE = 2;

/** Darker than this no camera films; it keeps the swing of a dark place finite. */
const DARKEST_LX = 1e-3;

const BRIGHT_TO_DARK =
  '(key + fill + place)/(fill + place), what hangs overhead counting as of the place; a window is the key where no lamp is, and fills from the other side of one';

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
    read: ({ overrides }) => overrides?.shutterS ?? null
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
  ...lampRows('key', ({ keyLamp }) => keyLamp),
  ...lampRows('fill', ({ fillLamp }) => fillLamp),
  windowArea: {
    name: 'area of the window',
    unit: 'm²',
    source: 'brief',
    read: ({ scene }) => scene.window?.areaM2 ?? null
  },
  windowDistance: {
    name: 'window to face',
    unit: 'm',
    source: 'brief',
    read: ({ scene }) => scene.window?.distanceM ?? null
  },
  windowPass: {
    name: 'what glass and curtain let through',
    unit: '×',
    source: 'brief',
    read: ({ scene }) => scene.window?.transmittance ?? null
  },
  skyDim: {
    name: 'sky in the window at its dimmest',
    unit: 'cd/m²',
    source: 'brief',
    read: ({ scene }) => scene.window?.skyDimCdM2 ?? null
  },
  skyBright: {
    name: 'sky in the window at its brightest',
    unit: 'cd/m²',
    source: 'brief',
    read: ({ scene }) => scene.window?.skyBrightCdM2 ?? null
  },
  windowDim: {
    name: 'light of the window at its dimmest',
    unit: 'lx',
    from: ['skyDim', 'windowPass', 'windowArea', 'windowDistance'],
    relation: 'π·L·τ·R²/(d² + R²), R = √(area/π)',
    compute: windowLight
  },
  windowBright: {
    name: 'light of the window at its brightest',
    unit: 'lx',
    from: ['skyBright', 'windowPass', 'windowArea', 'windowDistance'],
    relation: 'π·L·τ·R²/(d² + R²), R = √(area/π)',
    compute: windowLight
  },
  overheadLight: {
    name: 'light of the lamps overhead at the face',
    unit: 'lx',
    source: 'lamp',
    asks: {
      question: 'How many lux does % give at 1 m, and how large is its shining face?',
      between: [0, 2000],
      of: (rig) => overheadLamps(rig).find((lamp) => lampAtFace(lamp) === undefined)?.part
    },
    read: (rig) => {
      const overhead = overheadLamps(rig);
      if (overhead.length === 0) return null;
      let lx = 0;
      for (const lamp of overhead) {
        const lit = lampAtFace(lamp);
        if (lit === undefined) return undefined;
        lx += lit;
      }
      return lx;
    }
  },
  faceDim: {
    name: 'light on the face at its dimmest',
    unit: 'lx',
    from: ['lightDim', 'windowDim', 'keyLight', 'fillLight', 'overheadLight'],
    whenAbsent: 0,
    relation: 'place + window + key + fill + overhead',
    compute: (place, window, key, fill, overhead) => place! + window! + key! + fill! + overhead!
  },
  faceBright: {
    name: 'light on the face at its brightest',
    unit: 'lx',
    from: ['lightBright', 'windowBright', 'keyLight', 'fillLight', 'overheadLight'],
    whenAbsent: 0,
    relation: 'place + window + key + fill + overhead',
    compute: (place, window, key, fill, overhead) => place! + window! + key! + fill! + overhead!
  },
  keyToFill: {
    name: 'bright to dark side of the face, at the dimmest',
    unit: '×',
    from: ['lightDim', 'keyLight', 'windowDim', 'fillLight', 'overheadLight'],
    whenAbsent: 0,
    relation: BRIGHT_TO_DARK,
    compute: brightToDark
  },
  keyToFillBright: {
    name: 'bright to dark side of the face, at the brightest',
    unit: '×',
    from: ['lightBright', 'keyLight', 'windowBright', 'fillLight', 'overheadLight'],
    whenAbsent: 0,
    relation: BRIGHT_TO_DARK,
    compute: brightToDark
  },
  keyToFillWanted: {
    name: 'bright to dark side as asked',
    unit: '×',
    source: 'brief',
    read: ({ scene }) => scene.wantsKeyToFill ?? null
  },
  keyToFillMiss: {
    name: 'bright to dark side off what was asked',
    unit: 'stops',
    from: ['keyToFill', 'keyToFillBright', 'keyToFillWanted'],
    relation: '|log2(have ÷ asked)|, the worse end of the day',
    compute: (dim, bright, want) =>
      Math.max(Math.abs(Math.log2(dim! / want!)), Math.abs(Math.log2(bright! / want!)))
  },
  lampsSeen: {
    name: 'lamps that shine in the scene',
    unit: 'count',
    source: 'kit',
    read: ({ kit }) => countPieces(kit.of('lamp'), () => true)
  },
  lampEnergy: {
    name: 'energy for the key lamp between sockets',
    unit: 'Wh',
    source: 'lamp',
    asks: {
      question: 'How many watt-hours has %?',
      between: [10, 150],
      field: 'energyWh',
      of: (rig) => lampBatteries(rig).find(({ gear }) => gear.energyWh === undefined)
    },
    read: (rig) => {
      const { keyLamp, hasSocket } = rig;
      if (!keyLamp || (hasSocket && keyLamp.part.gear.runsFromMains === true)) return null;
      const { gear, line } = keyLamp.part;
      // One that is fed by loose batteries only has none inside.
      let wattHours = (gear.internalBatteryWh ?? 0) * line.quantity;
      for (const battery of lampBatteries(rig)) {
        if (battery.gear.energyWh === undefined) return undefined;
        wattHours += battery.gear.energyWh * battery.line.quantity;
      }
      return wattHours;
    }
  },
  lampDraw: {
    name: 'draw of the key lamp at full light',
    unit: 'W',
    source: 'lamp',
    asks: {
      question: 'How many watts does % draw at full light?',
      between: [5, 150],
      field: 'drawW'
    },
    read: ({ keyLamp }) => lampFigure(keyLamp, (lamp) => lamp.part.gear.drawW)
  },
  lampMinutes: {
    name: 'key lamp lasts at full light',
    unit: 'min',
    from: ['lampEnergy', 'lampDraw'],
    relation: '60·Wh/W',
    compute: (wattHours, watts) => (60 * wattHours!) / watts!
  },
  lightSwing: {
    name: 'swing of the light of the place',
    unit: 'stops',
    from: ['lightDim', 'lightBright', 'windowDim', 'windowBright'],
    whenAbsent: 0,
    relation: 'log2(brightest ÷ dimmest), from a thousandth of a lux',
    compute: (dim, bright, windowDim, windowBright) =>
      Math.log2(
        Math.max(bright! + windowBright!, DARKEST_LX) / Math.max(dim! + windowDim!, DARKEST_LX)
      )
  },
  keySoftness: {
    name: 'angle the key lamp fills',
    unit: '°',
    from: ['keyRadius', 'keyDistance'],
    relation: '2·atan(R/d)',
    compute: (radius, d) => softnessDeg(radius!, d!)
  },
  baseIso: {
    name: 'base ISO',
    unit: 'ISO',
    source: 'body',
    asks: {
      question: 'What is the base ISO of %?',
      between: [64, 800],
      field: 'baseIso'
    },
    read: ({ body, overrides }) => {
      if (!body) return null;
      const profile = body.gear.profiles?.find(({ name }) => name === overrides?.profile);
      return profile?.baseIso ?? body.gear.baseIso;
    }
  },
  usableIsoSaid: {
    name: 'highest usable ISO noted on the body',
    unit: 'ISO',
    source: 'body',
    read: ({ body }) => body?.gear.highestUsableIso ?? null
  },
  highestUsableIso: {
    name: 'highest usable ISO of the body, about',
    unit: 'ISO',
    from: ['areaWidth', 'areaHeight', 'usableIsoSaid'],
    whenAbsent: 0,
    relation: '6400·(w·h of the area in use)/729, unless noted on the body',
    compute: (width, height, said) => (said! > 0 ? said! : highestUsableIso(width!, height!))
  },
  lightNeeded: {
    name: 'light a clean picture needs',
    unit: 'lx',
    from: ['lightAperture', 'shutter', 'highestUsableIso'],
    relation: '250·N²/(t·S), two stops below the highest usable ISO of the body',
    compute: (n, t, usable) => illuminanceNeededLx(n!, t!, usable! / 2 ** CLEAN_STOPS_BELOW_USABLE)
  },
  filterMost: {
    name: 'most the filter takes',
    unit: 'stops',
    source: 'filter',
    asks: { question: 'How many stops does % take at most?', between: [2, 10], field: 'stopsMax' },
    read: ({ filter, filterFits }) => (filter && filterFits ? filter.gear.stopsMax : null)
  },
  screenWhite: {
    name: 'white of the monitor',
    unit: 'cd/m²',
    source: 'kit',
    asks: {
      question: 'How bright is the screen of %, in cd/m² (nit)?',
      between: [250, 1500],
      field: 'luminanceCdM2',
      of: ({ kit }) => kit.of('monitor')[0]
    },
    read: ({ kit, index, scene }) => {
      const monitor = kit.of('monitor')[0];
      return monitor && index === 0 && !scene.room ? monitor.gear.luminanceCdM2 : null;
    }
  },
  screenThrowsBack: {
    name: 'share of the light the monitor throws back',
    unit: '×',
    source: 'kit',
    read: ({ kit }) => {
      const monitor = kit.of('monitor')[0];
      if (!monitor) return null;
      return monitor.gear.coated === true ? screenReflectance.coated : screenReflectance.glossy;
    }
  },
  screenContrast: {
    name: 'contrast left on the monitor',
    unit: '×',
    from: ['screenWhite', 'lightBright', 'screenThrowsBack'],
    relation: '1 + π·L/(ρ·E)',
    compute: (white, lx, share) => monitorContrast(white!, lx!, share!)
  }
} satisfies FigureRows;

function brightToDark(
  place?: number,
  lamp?: number,
  window?: number,
  fill?: number,
  overhead?: number
): number {
  const allOver = place! + overhead!;
  const ratio =
    lamp! > 0 ? keyToFill(lamp!, fill! + window!, allOver) : keyToFill(window!, fill!, allOver);
  return ratio ?? Infinity;
}

/** Lamps with a role of their own light the face only from overhead: the others shine past it. */
const overheadLamps = ({ furtherLamps, kit, hasSocket }: PlacedRig): readonly FurtherLamp[] =>
  furtherLamps.filter(
    ({ role, part }) => role === 'overhead' && lampRuns(part.gear, kit, hasSocket)
  );

/** Lux at the face; undefined where its sheet does not say. */
export function lampAtFace({ part, distanceM, angleDeg }: PlacedLamp): number | undefined {
  const { illuminanceAt1mLx, sourceRadiusM } = part.gear;
  return illuminanceAt1mLx === undefined || sourceRadiusM === undefined
    ? undefined
    : lampIlluminanceLx(illuminanceAt1mLx, 1, sourceRadiusM, distanceM, 0, angleDeg);
}

function windowLight(sky?: number, pass?: number, areaM2?: number, distanceM?: number): number {
  return windowIlluminanceLx(sky!, pass!, Math.sqrt(areaM2! / Math.PI), distanceM!);
}

type LampPrefix = 'key' | 'fill';
type LampRowId<P extends LampPrefix> = `${P}${'At1m' | 'Radius' | 'Distance' | 'Angle' | 'Light'}`;

/** The figures of one lamp: what its maker states, where it stands, and what arrives at the face. */
function lampRows<P extends LampPrefix>(
  prefix: P,
  lampOf: (rig: PlacedRig) => PlacedLamp | undefined
): Record<LampRowId<P>, FigureRow> {
  const rows: Record<LampRowId<LampPrefix>, FigureRow> | Record<string, FigureRow> = {
    [`${prefix}At1m`]: {
      name: `${prefix} lamp at 1 m`,
      unit: 'lx',
      source: 'lamp',
      asks: {
        question: 'How many lux does % give at 1 m?',
        between: [100, 8000],
        field: 'illuminanceAt1mLx',
        of: (rig) => lampOf(rig)?.part
      },
      read: (rig) => lampFigure(lampOf(rig), (lamp) => lamp.part.gear.illuminanceAt1mLx)
    },
    [`${prefix}Radius`]: {
      name: `radius of the ${prefix} source`,
      unit: 'm',
      source: 'lamp',
      asks: {
        question: 'How large is the shining face of %?',
        between: [0.03, 0.45],
        field: 'sourceRadiusM',
        of: (rig) => lampOf(rig)?.part
      },
      read: (rig) => lampFigure(lampOf(rig), (lamp) => lamp.part.gear.sourceRadiusM)
    },
    [`${prefix}Distance`]: {
      name: `${prefix} lamp to face`,
      unit: 'm',
      source: 'setting',
      read: (rig) => lampOf(rig)?.distanceM ?? null
    },
    [`${prefix}Angle`]: {
      name: `${prefix} lamp off the face`,
      unit: '°',
      source: 'setting',
      read: (rig) => lampOf(rig)?.angleDeg ?? null
    },
    [`${prefix}Light`]: {
      name: `${prefix} light at the face`,
      unit: 'lx',
      from: [`${prefix}At1m`, `${prefix}Radius`, `${prefix}Distance`, `${prefix}Angle`],
      relation: 'E₁·(1 + R²)/(d² + R²)·cos Θ',
      compute: (lx?: number, radius?: number, d?: number, angle?: number) =>
        lampIlluminanceLx(lx!, 1, radius!, d!, 0, angle!)
    }
  };
  return rows as Record<LampRowId<P>, FigureRow>;
}

/** Loose batteries of the kit that the key lamp takes. */
function lampBatteries({ kit, keyLamp }: PlacedRig): readonly KitPart<BatteryGear>[] {
  const type = keyLamp?.part.gear.batteryType;
  return type === undefined
    ? []
    : kit.of('battery').filter(({ gear }) => gear.batteryType === type);
}

export function lampFigure(
  lamp: PlacedLamp | undefined,
  figure: (lamp: PlacedLamp) => number | undefined
): number | undefined | null {
  return lamp ? figure(lamp) : null;
}
