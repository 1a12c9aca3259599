import { figureAt, figureOf, type FigureRecord } from '../figures/record';
import { type FigureId, figureIndex } from '../figures/table';
import { figureWords, lengthWords } from '../figures/figure-words';
import { lampStandOf } from '../rigs/kit';
import { payloadVerdict } from '../relations/support/payload';
import type { LampPlacing } from '../model/plan';
import type { PlacedRig } from '../rigs/placed-rig';
import type { AngleContext, AngleFindingRow, Proposal } from './finding';
import { addOne, cheapestOf, setRig, swapTo } from './part-candidates';

/** Light of the place may swing by this much before two takes no longer match. */
const SWING_STOPS = 1;
/** Bright to dark side off what was asked: seen, and another picture. */
const RATIO_STOPS = { note: 0.5, warn: 1 } as const;

function placings({ keyLamp, fillLamp }: PlacedRig): LampPlacing[] {
  return [keyLamp, fillLamp].flatMap((lamp) =>
    lamp ? [{ lineId: lamp.part.line.id, distanceM: lamp.distanceM, angleDeg: lamp.angleDeg }] : []
  );
}

/** The fill lamp nearer or farther by a factor. */
function moveFill(context: AngleContext, factor: number): Proposal[] {
  const { fillLamp } = context.rig;
  if (!fillLamp) return [];
  const distanceM = Math.round(fillLamp.distanceM * factor * 100) / 100;
  if (distanceM < 0.4 || distanceM > 6) return [];
  return [
    {
      label: `Set the fill at ${lengthWords(distanceM, context.project.units)}`,
      act: setRig(context, {
        lamps: placings(context.rig).map((placing, at) =>
          at === 1 ? { ...placing, distanceM } : placing
        )
      })
    }
  ];
}

/** The end of the day that is further from the ratio asked, and what lights both sides of the face then. */
function brightSide(record: FigureRecord): { have: number; want: number; place: number } {
  const want = figureAt(record, figureIndex.keyToFillWanted)!;
  const dim = figureAt(record, figureIndex.keyToFill)!;
  const bright = figureAt(record, figureIndex.keyToFillBright)!;
  const off = (ratio: number) => Math.abs(Math.log2(ratio / want));
  const light = (place: FigureId, window: FigureId) =>
    (figureOf(record, place) ?? 0) + (figureOf(record, window) ?? 0);
  return off(bright) > off(dim)
    ? { have: bright, want, place: light('lightBright', 'windowBright') }
    : { have: dim, want, place: light('lightDim', 'windowDim') };
}

/** Where the light comes from, how it changes, and whether its stand stays up. */
export const lightPlaceFindings: AngleFindingRow[] = [
  {
    code: 'G4',
    family: 'light',
    scope: 'angle',
    about: 'daylight changes',
    reads: [],
    judge: (rig, record) => {
      const swing = figureAt(record, figureIndex.lightSwing);
      if (
        (rig.scene.lightSource !== 'window' && rig.scene.window === undefined) ||
        swing === undefined ||
        swing <= SWING_STOPS
      )
        return undefined;
      return {
        severity: 'warn',
        figure: 'lightSwing',
        has: swing,
        needs: SWING_STOPS,
        unit: 'stops',
        title: () => `${rig.scene.name}: the daylight swings by ${figureWords(swing, 'stops')}`,
        why: () =>
          `Clouds and the hour take the window from ${figureWords(figureAt(record, figureIndex.faceDim)!, 'lx')} to ${figureWords(figureAt(record, figureIndex.faceBright)!, 'lx')} on the face; takes cut together will not match. Some like it free and alive, others block it and light with lamps.`
      };
    },
    propose: (context) => {
      const { rig } = context;
      const blocked = {
        type: 'change scene' as const,
        sceneId: rig.scene.id,
        patch: {
          lightSource: 'lamps' as const,
          window: undefined,
          lightDimLx: Math.min(rig.scene.lightDimLx, 20),
          lightBrightLx: Math.min(rig.scene.lightDimLx, 20)
        }
      };
      return [
        {
          label: 'Film it all within the hour',
          act: {
            type: 'change scene',
            sceneId: rig.scene.id,
            patch: {
              lightBrightLx: rig.scene.lightDimLx * 2,
              ...(rig.scene.window
                ? {
                    window: {
                      ...rig.scene.window,
                      skyBrightCdM2: rig.scene.window.skyDimCdM2 * 2
                    }
                  }
                : {})
            }
          }
        },
        {
          parts: cheapestOf(
            context.shelf,
            context.project,
            'small item',
            (gear) => gear.use === 'foil'
          ),
          label: (gear) => `Block the window with ${gear.model}`,
          act: (line) => ({ type: 'batch', acts: [{ type: 'add line', line }, blocked] })
        }
      ];
    }
  },
  {
    code: 'G7',
    family: 'light',
    scope: 'angle',
    about: 'the lamp’s stand is overloaded, or the wind tips it',
    reads: ['lampLoadShare', 'lampTipWind'],
    judge: (rig, record) => {
      const stand = lampStandOf(rig.kit);
      if (!rig.keyLamp || !stand) return undefined;
      const mass = figureAt(record, figureIndex.lampMass);
      const payload = figureAt(record, figureIndex.standPayload);
      if (mass !== undefined && payload !== undefined) {
        const verdict = payloadVerdict(mass, payload);
        if (verdict !== 'fine')
          return {
            severity: verdict,
            about: 'load',
            lineIds: [stand.line.id, rig.keyLamp.part.line.id],
            figure: 'lampMass',
            has: mass,
            needs: payload,
            unit: 'kg',
            title: () => `${stand.gear.model} cannot safely carry ${rig.keyLamp!.part.gear.model}`,
            why: () =>
              `The lamp weighs ${figureWords(mass, 'kg', rig.project.units)} and the stand may carry ${figureWords(payload, 'kg', rig.project.units)}, of which two thirds are prudent. What falls, falls on somebody: follow the maker’s manual.`
          };
      }
      const wind = figureAt(record, figureIndex.windOutside);
      const tips = figureAt(record, figureIndex.lampTipWind);
      if (wind === undefined || tips === undefined || wind < tips) return undefined;
      return {
        severity: 'stop',
        about: 'wind',
        lineIds: [stand.line.id, rig.keyLamp.part.line.id],
        figure: 'lampTipWind',
        has: tips,
        needs: wind,
        unit: 'm/s',
        title: () => `${rig.scene.name}: the wind tips the lamp`,
        why: () =>
          `${figureWords(tips, 'm/s', rig.project.units)} are enough to tip it, about; ${figureWords(wind, 'm/s', rig.project.units)} blow. Weigh it down, keep people away from under it, or take it in.`
      };
    },
    propose: (context) => {
      const { rig } = context;
      const stand = lampStandOf(rig.kit)!;
      const mass = (rig.keyLamp!.part.gear.massG ?? 0) / 1000;
      return [
        addOne(context, 'sandbag'),
        swapTo(
          context,
          'support',
          stand.line.id,
          (gear) => gear.form === 'light stand' && (gear.payloadKg ?? 0) * (2 / 3) >= mass
        ),
        swapTo(
          context,
          'lamp',
          rig.keyLamp!.part.line.id,
          (gear) => (gear.massG ?? Infinity) < (rig.keyLamp!.part.gear.massG ?? 0)
        )
      ];
    }
  },
  {
    code: 'G8',
    family: 'light',
    scope: 'angle',
    about: 'no separation from a dark background',
    reads: [],
    judge: (rig, record) => {
      if (rig.scene.darkBackground !== true || !rig.keyLamp || rig.index > 0) return undefined;
      const have = figureAt(record, figureIndex.lampsSeen) ?? 0;
      const need = rig.fillLamp ? 3 : 2;
      if (have >= need) return undefined;
      return {
        severity: 'note',
        lineIds: [rig.keyLamp.part.line.id],
        figure: 'lampsSeen',
        has: have,
        needs: need,
        unit: 'count',
        title: () => `${rig.scene.name}: hair and shoulders sink into the dark`,
        why: () =>
          'Behind you it is dark and no lamp shines from there; a small one from behind or a lamp seen in the picture parts you from it. One big near lamp alone is a look of its own.'
      };
    },
    propose: (context) => [
      addOne(context, 'lamp', (gear) => gear.form === 'practical'),
      addOne(context, 'lamp', (gear) => gear.form === 'tube' || gear.form === 'panel'),
      {
        label: 'The dark is wanted',
        act: {
          type: 'change scene',
          sceneId: context.rig.scene.id,
          patch: { darkBackground: false }
        }
      }
    ]
  },
  {
    code: 'G9',
    family: 'light',
    scope: 'angle',
    about: 'bright to dark side is not what was asked',
    reads: ['keyToFillMiss'],
    judge: (rig, record) => {
      const miss = figureAt(record, figureIndex.keyToFillMiss);
      if (miss === undefined || miss <= RATIO_STOPS.note) return undefined;
      const { have, want } = brightSide(record);
      return {
        severity: miss > RATIO_STOPS.warn ? 'warn' : 'note',
        lineIds: [rig.keyLamp, rig.fillLamp].flatMap((lamp) => (lamp ? [lamp.part.line.id] : [])),
        figure: 'keyToFill',
        has: have,
        needs: want,
        unit: '×',
        title: () =>
          `${rig.scene.name}: the shadow side is ${have > want ? 'too dark' : 'too bright'}`,
        why: () =>
          `The bright side gets ${figureWords(have, '×')} the light of the dark one; ${figureWords(want, '×')} is asked.`
      };
    },
    propose: (context) => {
      const { rig, record } = context;
      const { have, want, place } = brightSide(record);
      const key = figureAt(record, figureIndex.keyLight) ?? 0;
      const fillNow = figureAt(record, figureIndex.fillLight) ?? 0;
      const fillNeeded = want > 1 ? key / (want - 1) - place : Infinity;
      return [
        ...(fillNow > 0 && Number.isFinite(fillNeeded) && fillNeeded > 0
          ? moveFill(context, Math.sqrt(fillNow / fillNeeded))
          : []),
        ...((have > want && !rig.fillLamp) || (have < want && !rig.keyLamp)
          ? [addOne(context, 'lamp')]
          : []),
        {
          label: `Keep ${figureWords(have, '×')}`,
          act: {
            type: 'change scene',
            sceneId: rig.scene.id,
            patch: { wantsKeyToFill: Math.min(64, Math.max(1, Math.round(have * 10) / 10)) }
          }
        }
      ];
    }
  }
];
