import { figureAt } from '../figures/record';
import { figureIndex } from '../figures/table';
import { figureWords, lengthWords } from '../figures/figure-words';
import { bandsExpected, FLICKER_PERCENT, flickerLeftPercent } from '../relations/exposure/flicker';
import { shutterForRateS, shutterSteps } from '../relations/exposure/shutter';
import { lampDistanceForM } from '../relations/lighting/lamp-illuminance';
import { softnessWord } from '../relations/lighting/softness';
import { widestApertureN } from '../rigs/place-rig';
import type { AngleFindingRow, Proposal } from './finding';
import { cheapestOf, setRig } from './part-candidates';

/** A third of a stop is below what anyone sees. */
const LIGHT_TOLERANCE_STOPS = 0.33;
const LIGHT_WARN_STOPS = 1;
/** Nearer than this a lamp is in the picture or in the face. */
const NEAREST_LAMP_M = 0.4;
const SOFTNESS_NOTE_DEG = 15;

export const lightFindings: AngleFindingRow[] = [
  {
    code: 'G1',
    family: 'light',
    scope: 'angle',
    about: 'too little light for the settings',
    reads: ['lightMargin'],
    judge: (rig, record) => {
      if (!rig.scene.room || rig.scene.lightSource === 'existing light') return undefined;
      const margin = figureAt(record, figureIndex.lightMargin);
      if (margin === undefined || margin >= -LIGHT_TOLERANCE_STOPS) return undefined;
      const have = figureAt(record, figureIndex.faceDim)!;
      const need = figureAt(record, figureIndex.lightNeeded)!;
      return {
        severity: margin < -LIGHT_WARN_STOPS ? 'warn' : 'note',
        lineIds: rig.keyLamp ? [rig.keyLamp.part.line.id] : [],
        figure: 'faceDim',
        has: have,
        needs: need,
        unit: 'lx',
        title: () =>
          `${rig.scene.name}: ${figureWords(have, 'lx')} of ${figureWords(need, 'lx')} wanted`,
        why: () =>
          `At ${figureWords(rig.apertureN!, 'f/')} and ${figureWords(figureAt(record, figureIndex.shutter)!, 's')} a clean picture needs that much on the face; now it is made up with ${figureWords(figureAt(record, figureIndex.isoNeededDim)!, 'ISO')}.`
      };
    },
    propose: (context) => {
      const { rig, record, shelf, project } = context;
      const proposals: Proposal[] = [];
      const need = figureAt(record, figureIndex.lightNeeded)!;
      const rest =
        need -
        figureAt(record, figureIndex.lightDim)! -
        (figureAt(record, figureIndex.fillLight) ?? 0);
      const { keyLamp } = rig;
      if (keyLamp && rest > 0) {
        const { illuminanceAt1mLx, sourceRadiusM } = keyLamp.part.gear;
        if (illuminanceAt1mLx !== undefined && sourceRadiusM !== undefined) {
          const distanceM =
            Math.floor(
              lampDistanceForM(illuminanceAt1mLx, 1, sourceRadiusM, rest, 0, keyLamp.angleDeg) * 100
            ) / 100;
          if (distanceM >= NEAREST_LAMP_M && distanceM < keyLamp.distanceM) {
            const others = (rig.said?.lamps ?? []).filter(
              (lamp) => lamp.lineId !== keyLamp.part.line.id
            );
            proposals.push({
              label: `Lamp to ${lengthWords(distanceM, project.units)}`,
              act: setRig(context, {
                lamps: [
                  { lineId: keyLamp.part.line.id, distanceM, angleDeg: keyLamp.angleDeg },
                  ...others
                ]
              })
            });
          }
        }
      }
      if (rig.lens && rig.apertureN! > widestApertureN(rig.lens, rig.focalLengthMm!) + 0.01) {
        proposals.push({
          label: 'Open the aperture',
          act: setRig(context, { apertureN: undefined })
        });
      }
      proposals.push({
        parts: cheapestOf(shelf, project, 'lamp'),
        label: (gear) => `Add ${gear.model}`
      });
      return proposals;
    }
  },
  {
    code: 'G2',
    family: 'light',
    scope: 'angle',
    about: 'the source is small: hard shadows',
    reads: ['keySoftness'],
    judge: (rig, record) => {
      const degrees = figureAt(record, figureIndex.keySoftness);
      if (
        degrees === undefined ||
        degrees >= SOFTNESS_NOTE_DEG ||
        figureAt(record, figureIndex.faceInPicture) === undefined
      )
        return undefined;
      return {
        severity: 'note',
        lineIds: rig.keyLamp ? [rig.keyLamp.part.line.id] : [],
        figure: 'keySoftness',
        has: degrees,
        needs: SOFTNESS_NOTE_DEG,
        unit: '°',
        title: () => `${rig.scene.name}: ${softnessWord(degrees)} shadows`,
        why: () =>
          `The key lamp fills ${figureWords(degrees, '°')} as the face sees it; from ${SOFTNESS_NOTE_DEG}° on shadows turn soft.`
      };
    },
    propose: (context) => {
      const { rig, shelf, project } = context;
      const lamp = rig.keyLamp!;
      const radius = lamp.part.gear.sourceRadiusM ?? 0;
      const distanceM =
        Math.floor((radius / Math.tan((SOFTNESS_NOTE_DEG * Math.PI) / 360)) * 100) / 100;
      return [
        ...(distanceM >= NEAREST_LAMP_M && distanceM < lamp.distanceM
          ? [
              {
                label: `Lamp to ${lengthWords(distanceM, project.units)}`,
                act: setRig(context, {
                  lamps: [{ lineId: lamp.part.line.id, distanceM, angleDeg: lamp.angleDeg }]
                })
              }
            ]
          : []),
        {
          parts: cheapestOf(
            shelf,
            project,
            'lamp',
            (gear) =>
              (gear.sourceRadiusM ?? 0) > radius &&
              (gear.illuminanceAt1mLx ?? 0) > (lamp.part.gear.illuminanceAt1mLx ?? 0)
          ),
          label: (gear) => `Add ${gear.model}`
        }
      ];
    }
  },
  {
    code: 'G5',
    family: 'light',
    scope: 'angle',
    about: 'flicker: shutter and mains frequency disagree',
    reads: ['flickerLeft'],
    judge: (rig, record) => {
      if (rig.scene.lightSource === 'window') return undefined;
      const left = figureAt(record, figureIndex.flickerLeft);
      const shutter = figureAt(record, figureIndex.shutter);
      if (left === undefined || shutter === undefined) return undefined;
      const bands = bandsExpected(shutter, rig.project.mainsHz);
      if (left < FLICKER_PERCENT.fine && !bands) return undefined;
      return {
        severity: left > FLICKER_PERCENT.warn || bands ? 'warn' : 'note',
        figure: 'flickerLeft',
        has: left,
        needs: FLICKER_PERCENT.fine,
        unit: '%',
        title: () =>
          `${rig.scene.name}: ${figureWords(shutter, 's')} under ${rig.project.mainsHz} Hz lamps ${bands ? 'bands' : 'flickers'}`,
        why: () =>
          `Up to ${figureWords(left, '%')} of a mains lamp’s ripple stays in the picture; below ${FLICKER_PERCENT.fine} % nobody sees it. Lamps with a good driver ripple less.`
      };
    },
    propose: (context) => {
      const { rig, record, project } = context;
      const mains = project.mainsHz;
      const shutter = figureAt(record, figureIndex.shutter)!;
      const safe = shutterSteps
        .filter(
          (step) =>
            step >= rig.scene.fps &&
            flickerLeftPercent(1 / step, mains) < FLICKER_PERCENT.fine &&
            !bandsExpected(1 / step, mains)
        )
        .sort((a, b) => Math.abs(Math.log2(a * shutter)) - Math.abs(Math.log2(b * shutter)));
      const proposals: Proposal[] = [];
      if (
        rig.said?.shutterS !== undefined &&
        Math.abs(shutterForRateS(rig.scene.fps, mains) - shutter) > 1e-9
      ) {
        proposals.push({
          label: 'Shutter by the frame rate',
          act: setRig(context, { shutterS: undefined })
        });
      }
      if (safe[0] !== undefined) {
        proposals.push({
          label: `Set 1/${safe[0]} s`,
          act: setRig(context, { shutterS: 1 / safe[0] })
        });
      }
      const calmRate = mains === 50 ? 25 : 30;
      if (rig.scene.fps !== calmRate) {
        proposals.push({
          label: `Film at ${calmRate} frames`,
          act: {
            type: 'batch',
            acts: [
              { type: 'change scene', sceneId: rig.scene.id, patch: { fps: calmRate } },
              setRig(context, { shutterS: undefined })
            ]
          }
        });
      }
      return proposals;
    }
  }
];
