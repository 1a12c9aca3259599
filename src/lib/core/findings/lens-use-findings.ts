import { figureAt } from '../figures/record';
import { figureIndex } from '../figures/table';
import { figureWords, lengthWords, minutesWords } from '../figures/figure-words';
import { fullName } from '../model/gear';
import { stoppedDownTo } from '../relations/exposure/aperture-steps';
import { CORNER_CHANGE_WARN_STOPS } from '../relations/exposure/variable-density-corners';
import { MIRED_DIFFERENCE } from '../relations/lighting/colour';
import { MONITOR_CONTRAST } from '../relations/lighting/monitor-contrast';
import { EDGE_STRETCH_WARN } from '../relations/optics/stretch';
import type { UnitSystem } from '../model/project';
import type { AngleFindingRow } from './finding';
import { leaveOut, setRig, swapTo } from './part-candidates';

const lensLines = (lens: { lineId: string } | undefined) => (lens ? [lens.lineId] : []);

/** What a camera is held by: the bare hand, or something that holds it off. */
const heldWords = (reachM: number, units: UnitSystem) =>
  reachM > 0 ? `on a grip of ${lengthWords(reachM, units)}` : 'in the bare hand';

/** What a lens, its filter and its weight do in use, beyond framing and focus. */
export const lensUseFindings: AngleFindingRow[] = [
  {
    code: 'L3',
    family: 'lens',
    scope: 'angle',
    about: 'a face at the edge is pulled outwards',
    reads: [],
    judge: (rig, record) => {
      const stretch = figureAt(record, figureIndex.edgeStretch);
      if (stretch === undefined || stretch <= EDGE_STRETCH_WARN) return undefined;
      return {
        severity: 'warn',
        about: 'edge',
        lineIds: lensLines(rig.lens),
        figure: 'edgeStretch',
        has: stretch,
        needs: EDGE_STRETCH_WARN,
        unit: '×',
        title: () => `${rig.scene.name}: the outer faces are pulled wide`,
        why: () =>
          `${rig.angle.people} people beside each other stand so far off the axis at ${lengthWords(rig.angle.distanceM, rig.project.units)} that the outermost are drawn ${figureWords(stretch, '×')} as wide. From farther away it settles.`
      };
    },
    propose: ({ rig, record, project }) => {
      const x = figureAt(record, figureIndex.edgeFace)!;
      // 1/cos θ = w where tan θ = x/d.
      const distanceM = Math.ceil((x / Math.sqrt(EDGE_STRETCH_WARN ** 2 - 1)) * 100) / 100;
      return [
        {
          label: `Move back to ${lengthWords(distanceM, project.units)}`,
          act: {
            type: 'change angle',
            sceneId: rig.scene.id,
            angleId: rig.angle.id,
            patch: { distanceM }
          }
        }
      ];
    }
  },
  {
    code: 'L4',
    family: 'lens',
    scope: 'angle',
    about: 'the row is deeper than the depth in focus',
    reads: [],
    judge: (rig, record) => {
      const margin = figureAt(record, figureIndex.rowFocusMargin);
      if (margin === undefined || margin >= -0.05) return undefined;
      const need = figureAt(record, figureIndex.apertureForRow)!;
      return {
        severity: 'warn',
        about: 'row',
        lineIds: lensLines(rig.lens),
        figure: 'aperture',
        has: rig.apertureN!,
        needs: need,
        unit: 'f/',
        title: () => `${rig.scene.name}: not everyone is sharp`,
        why: () =>
          `Focused at ${lengthWords(figureAt(record, figureIndex.rowFocus)!, rig.project.units)} the whole row needs ${figureWords(need, 'f/')}; the lens stands at ${figureWords(rig.apertureN!, 'f/')}.`
      };
    },
    propose: (context) => {
      const need = figureAt(context.record, figureIndex.apertureForRow);
      if (need === undefined) return [];
      const apertureN = stoppedDownTo(need);
      return [
        { label: `Stop down to f/${apertureN}`, act: setRig(context, { apertureN }) },
        {
          label: 'Stand in one line',
          act: {
            type: 'change angle',
            sceneId: context.rig.scene.id,
            angleId: context.rig.angle.id,
            patch: { rowDepthM: undefined }
          }
        }
      ];
    }
  },
  {
    code: 'L8',
    family: 'lens',
    scope: 'angle',
    about: 'a variable filter darkens the corners of a wide picture',
    reads: [],
    judge: (rig, record) => {
      const change = figureAt(record, figureIndex.cornerChange);
      if (change === undefined || change <= CORNER_CHANGE_WARN_STOPS) return undefined;
      return {
        severity: 'note',
        about: 'corners',
        lineIds: [rig.filter!.line.id, ...lensLines(rig.lens)],
        figure: 'cornerChange',
        has: change,
        needs: CORNER_CHANGE_WARN_STOPS,
        unit: 'stops',
        title: () => `${rig.scene.name}: the filter shades two corners`,
        why: () =>
          `Set to ${figureWords(figureAt(record, figureIndex.densityNeeded)!, 'stops')} at ${figureWords(figureAt(record, figureIndex.equivalentFocalLength)!, 'mm')} equivalent, ${fullName(rig.filter!.gear)} makes two corners ${figureWords(change, 'stops')} darker than the middle. A fixed one does not.`
      };
    },
    propose: (context) => {
      const { rig, record } = context;
      const need = figureAt(record, figureIndex.densityNeeded)!;
      return [
        swapTo(
          context,
          'filter',
          rig.filter!.line.id,
          (gear) =>
            gear.form === 'fixed density' &&
            gear.threadMm >= (rig.lens?.gear?.filterThreadMm ?? 0) &&
            (gear.stopsMax ?? 0) >= need - 1
        )
      ];
    }
  },
  {
    code: 'B2',
    family: 'body',
    scope: 'angle',
    about: 'the monitor is too dark for this light',
    reads: [],
    judge: (rig, record) => {
      const contrast = figureAt(record, figureIndex.screenContrast);
      if (contrast === undefined || contrast >= MONITOR_CONTRAST.frame) return undefined;
      const monitor = rig.kit.of('monitor')[0]!;
      return {
        severity: 'note',
        about: 'glare',
        lineIds: [monitor.line.id],
        figure: 'screenContrast',
        has: contrast,
        needs: MONITOR_CONTRAST.frame,
        unit: '×',
        title: () => `${monitor.gear.model} is too dark for ${rig.scene.name}`,
        why: () =>
          `In ${figureWords(figureAt(record, figureIndex.lightBright)!, 'lx')} its picture keeps a contrast of ${figureWords(contrast, '×')}; to frame by it ${MONITOR_CONTRAST.frame}× are needed, to judge by it ${MONITOR_CONTRAST.judge}×.`
      };
    },
    propose: (context) => {
      const monitor = context.rig.kit.of('monitor')[0]!;
      return [
        swapTo(
          context,
          'monitor',
          monitor.line.id,
          (gear) => (gear.luminanceCdM2 ?? 0) > (monitor.gear.luminanceCdM2 ?? 0)
        ),
        leaveOut(monitor.line, monitor.gear.model)
      ];
    }
  },
  {
    code: 'L9',
    family: 'lens',
    scope: 'angle',
    about: 'heavy or long for the arm',
    reads: ['holdMinutes'],
    judge: (rig, record) => {
      const hold = figureAt(record, figureIndex.holdMinutes);
      if (hold === undefined || hold >= rig.scene.longestTakeMin) return undefined;
      return {
        severity: hold < rig.scene.longestTakeMin / 2 ? 'warn' : 'note',
        lineIds: [...(rig.body ? [rig.body.line.id] : []), ...lensLines(rig.lens)],
        figure: 'holdMinutes',
        has: hold,
        needs: rig.scene.longestTakeMin,
        unit: 'min',
        title: () =>
          `${rig.scene.name}: the arm tires after about ${minutesWords(hold)} (takes of ${minutesWords(rig.scene.longestTakeMin)})`,
        why: () =>
          `${figureWords(figureAt(record, figureIndex.heldOut)!, 'kg', rig.project.units)} ${heldWords(figureAt(record, figureIndex.heldReach)!, rig.project.units)} pull ${figureWords(figureAt(record, figureIndex.armMoment)!, 'N·m')} at the shoulder; takes of ${minutesWords(rig.scene.longestTakeMin)} are wanted.`
      };
    },
    propose: (context) => {
      const { rig } = context;
      const mount = rig.lens?.gear?.mount;
      const mass = rig.lens?.gear?.massG ?? 0;
      return [
        {
          label: `Film takes of ${minutesWords(Math.max(1, Math.floor(figureAt(context.record, figureIndex.holdMinutes)!)))}`,
          act: {
            type: 'change scene',
            sceneId: rig.scene.id,
            patch: {
              longestTakeMin: Math.max(
                1,
                Math.floor(figureAt(context.record, figureIndex.holdMinutes)!)
              )
            }
          }
        },
        ...(rig.lens?.gear
          ? [
              swapTo(
                context,
                'lens',
                rig.lens.lineId,
                (gear) =>
                  gear.mount === mount &&
                  (gear.massG ?? Infinity) < mass &&
                  Math.abs(Math.log2(gear.focalLengthMinMm / (rig.focalLengthMm ?? 1))) < 0.3
              )
            ]
          : []),
        ...(rig.support && (rig.support.gear.reachM ?? 0) > 0
          ? [leaveOut(rig.support.line, rig.support.gear.model)]
          : []),
        ...(rig.body
          ? [
              swapTo(
                context,
                'body',
                rig.body.line.id,
                (gear) => (gear.massG ?? Infinity) < (rig.body!.gear.massG ?? 0)
              )
            ]
          : [])
      ];
    }
  },
  {
    code: 'L10',
    family: 'lens',
    scope: 'angle',
    about: 'a filter’s colour cast, or a diffusion filter’s lost contrast',
    reads: ['filterCast'],
    judge: (rig, record) => {
      const cast = figureAt(record, figureIndex.filterCast);
      if (
        cast !== undefined &&
        cast >= MIRED_DIFFERENCE.seen &&
        (figureAt(record, figureIndex.densityNeeded) ?? 0) > 0
      )
        return {
          severity: cast >= MIRED_DIFFERENCE.strong ? 'warn' : 'note',
          about: 'cast',
          lineIds: [rig.filter!.line.id],
          figure: 'filterCast',
          has: cast,
          needs: MIRED_DIFFERENCE.seen,
          unit: 'mired',
          title: () => `${rig.filter!.gear.model} colours the picture`,
          why: () =>
            `It shifts the white by ${figureWords(cast, 'mired')}; from ${MIRED_DIFFERENCE.seen} on it is seen. Set the white balance with the filter on.`
        };
      const haze = rig.kit.of('filter').find(({ gear }) => gear.form === 'diffusion');
      if (!haze || !rig.lens || rig.lens.builtIn) return undefined;
      return {
        severity: 'note',
        about: 'diffusion',
        lineIds: [haze.line.id],
        title: () => `${haze.gear.model} takes contrast away`,
        why: () =>
          'A diffusion filter softens skin and lets lights glow, and lifts the blacks of the whole picture; it cannot be taken out again afterwards.'
      };
    },
    propose: (context, held) => {
      const { rig } = context;
      if (held.about === 'cast')
        return [
          swapTo(
            context,
            'filter',
            rig.filter!.line.id,
            (gear) =>
              (gear.castMired ?? Infinity) < MIRED_DIFFERENCE.seen &&
              gear.threadMm >= (rig.lens?.gear?.filterThreadMm ?? 0) &&
              (gear.stopsMax ?? 0) >= (figureAt(context.record, figureIndex.densityNeeded) ?? 0) - 1
          )
        ];
      const haze = rig.kit.of('filter').find(({ gear }) => gear.form === 'diffusion')!;
      return [leaveOut(haze.line, haze.gear.model)];
    }
  }
];
