import { costPerVideo } from '../money/cost-per-video';
import { rangeOf } from '../money/price-range';
import { figureWords } from '../figures/figure-words';
import { absent, known } from '../figures/record';
import { isLeaf, type LightEnd } from '../figures/rows';
import { figureIndex, figureOrder, figureTable } from '../figures/table';
import { type AxisPart, type AxisScore, partsOfAxis } from '../merit/axis-scores';
import { judgedAxes } from '../merit/scene-merit';
import type { Plan } from '../model/plan';
import type { Project } from '../model/project';
import type { Shelf } from '../model/shelf';
import { type SuppliesOfDay, suppliesOfDays, type Taken } from '../supplies/supplies-of-days';
import type { AngleJudgement } from './incremental';
import type { Judgement } from './judgement';
import { closeJoints } from './close-joints';
import { voiceGoesInto } from '../rigs/sound-path';
import { judgePlan } from './judge-plan';
import { questionsOf } from './questions';
import { remediesOfEach } from './settle';
import { settingsOf } from './settings';
import { verdictsUnderSchools } from './verdicts';

/** A number JSON can carry: levels of nothing and endless ranges become words. */
function jsonNumber(value: number): number | 'unlimited' | 'none' {
  return value === Infinity ? 'unlimited' : value === -Infinity ? 'none' : value;
}

const takenData = ({ shared, unknown }: Taken) =>
  shared
    ? {
        unknownLineIds: unknown.map(({ line }) => line.id),
        consumers: shared.consumers.map(({ part, need, got, share }) => ({
          lineId: part.line.id,
          need,
          got,
          share
        })),
        supplies: shared.stores.map(({ name, lineId, amount, taken }) => ({
          name,
          lineId: lineId === '' ? null : lineId,
          amount,
          taken: Object.fromEntries(taken)
        }))
      }
    : null;

/** Batteries and banks in Wh, cards in GB; null where something they rest on is not stated. */
const daysData = ({ scenes, energy, cards }: SuppliesOfDay) => ({
  sceneIds: scenes.map(({ id }) => id),
  energyWh: takenData(energy),
  cardsGb: takenData(cards)
});

/** The judgement as plain data: what `POST /api/evaluate` answers with. */
export function evaluationOf(project: Project, plan: Plan, shelf: Shelf, judgement: Judgement) {
  const { money, merit } = judgement;
  const joints = closeJoints(project, shelf, judgement);
  return {
    project: project.id,
    plan: plan.id,
    money: {
      currency: money.currency,
      limitMinor: money.limitMinor,
      reserveMinor: money.reserveMinor,
      spendableMinor: money.spendableMinor,
      firmMinor: money.firmMinor,
      remainingMinor: money.remainingMinor,
      laterMinor: money.laterMinor,
      afterCashBackMinor: money.afterCashBackMinor,
      afterResaleMinor: money.afterResaleMinor,
      // Left out where no line states a tax and nobody says how many videos there will be.
      taxMinor: money.taxMinor || undefined,
      costPerVideoMinor: costPerVideo(project, money)?.eachMinor,
      range: rangeOf(money),
      pockets: money.pockets,
      lines: money.lines.map((statement) => ({
        lineId: statement.line.id,
        gearId: statement.line.gearId,
        pocket: statement.pocket,
        unitMinor: statement.unitMinor,
        quantity: statement.line.quantity,
        firmMinor: statement.firmMinor,
        taxMinor: statement.taxMinor || undefined,
        runningMinor: statement.runningMinor,
        remainingMinor: statement.remainingMinor,
        handRemainingMinor: statement.line.handRemainingMinor
      }))
    },
    scenes: judgement.angles.map(({ scene, angle, record, rig }) => ({
      sceneId: scene.id,
      angleId: angle.id,
      rig: {
        bodyLineId: rig.body?.line.id,
        lensLineId: rig.lens?.lineId,
        micLineId: rig.mic?.line.id,
        micPlace: rig.micPlace,
        supportLineId: rig.support?.line.id,
        filterLineId: rig.filter?.line.id,
        keyLampLineId: rig.keyLamp?.part.line.id,
        fillLampLineId: rig.fillLamp?.part.line.id,
        recordsIntoLineId: voiceGoesInto(rig)?.line.id,
        furtherLamps: rig.furtherLamps.map(({ part, role, distanceM, angleDeg }) => ({
          lineId: part.line.id,
          role,
          distanceM,
          angleDeg
        }))
      },
      figures: Object.fromEntries(
        figureOrder.flatMap((id) => {
          const place = figureIndex[id];
          const state = record.states[place];
          if (state === absent) return [];
          const row = figureTable[id];
          const { unit, words, wordOf } = row;
          // Why: the relation and its inputs, or who stated it.
          const why = isLeaf(row)
            ? { source: row.source }
            : { relation: row.relation, from: row.from };
          const value = record.values[place]!;
          return [
            [
              id,
              state === known
                ? {
                    value: wordOf
                      ? wordOf(value)
                      : words
                        ? (words[value] ?? value)
                        : jsonNumber(value),
                    unit,
                    words: words || wordOf ? undefined : figureWords(value, unit, project.units),
                    ...why
                  }
                : {
                    value: null,
                    unit,
                    unknown: true,
                    refused: record.refused?.get(id)?.message,
                    ...why
                  }
            ]
          ];
        })
      ),
      settings: settingsOf({ scene, angle, record, rig })
    })),
    days: suppliesOfDays(judgement.angles.map(({ rig }) => rig)).map(daysData),
    joints: joints.steps,
    openJoints: joints.open,
    findings: judgement.findings.map((finding) => ({
      code: finding.code,
      severity: finding.severity,
      sceneId: finding.sceneId,
      angleId: finding.angleId,
      lineIds: finding.lineIds ?? [],
      figure: finding.figure,
      has: finding.has === undefined ? undefined : jsonNumber(finding.has),
      needs: finding.needs === undefined ? undefined : jsonNumber(finding.needs),
      unit: finding.unit,
      title: finding.title(),
      why: finding.why()
    })),
    merit: {
      mustDoWorking: merit.mustDoWorking,
      mustDoScenes: merit.mustDoScenes,
      stops: merit.stops,
      meritHundredths: merit.meritHundredths,
      onceSettledHundredths: merit.onceSettledHundredths,
      scenes: merit.scenes.map((scene) => ({
        sceneId: scene.sceneId,
        low: scene.low,
        high: scene.high,
        works: scene.works,
        heldBackBy: scene.heldBackBy,
        axes: Object.fromEntries(
          judgedAxes(scene.axes).map((score) => [
            score.axis,
            {
              low: score.low,
              high: score.high,
              parts: partsOf(judgement, scene.sceneId, score).map((part) => ({
                ...part,
                value: part.value === undefined ? null : jsonNumber(part.value)
              }))
            }
          ])
        )
      })),
      underSchools: verdictsUnderSchools(project, plan, shelf, judgement).map(
        ({ school, merit: verdict }) => ({
          school,
          meritHundredths: verdict.meritHundredths,
          onceSettledHundredths: verdict.onceSettledHundredths
        })
      )
    },
    questions: questionsOf(project, shelf, judgement)
  };
}

/** The exposure plan of both ends of the light as plain data; null where a figure it needs is unknown. */
function exposureWords({ record, rig }: AngleJudgement) {
  const plain = (end: LightEnd) => {
    const solved = record.exposures[end];
    if (!solved) return null;
    const { plan, task } = solved;
    const place = plan.filter ? task.filters.indexOf(plan.filter) : -1;
    return {
      apertureN: plan.apertureN,
      shutterS: plan.shutterS,
      iso: plan.iso,
      filterLineId: rig.densityFilters[place]?.line.id,
      densityStops: plan.densityStops,
      lampShare: plan.lampShare,
      illuminanceLx: plan.lx,
      offStops: plan.offStops,
      costStops: plan.cost,
      costs: plan.costs,
      blocks: plan.blocks
    };
  };
  return { dim: plain('dim'), bright: plain('bright') };
}

/** What an axis of a scene is made of: the figures of the angle that speaks for it. */
function partsOf(judgement: Judgement, sceneId: string, { axis, angleId }: AxisScore): AxisPart[] {
  const { rig, record } = judgement.angles.find(
    ({ scene, angle }) => scene.id === sceneId && angle.id === angleId
  )!;
  return partsOfAxis(axis, rig, record);
}

export type Evaluation = ReturnType<typeof evaluationOf>;

/** Judges and describes in one go; of every angle its exposure plan, of every finding what would mend it. */
export function evaluate(project: Project, plan: Plan, shelf: Shelf) {
  const judgement = judgePlan(project, plan, shelf);
  // Remedies are tried on the plan that is shown; another one is judged as if it were.
  const asked = { ...project, activePlanId: plan.id };
  const evaluation = evaluationOf(project, plan, shelf, judgement);
  const remedies = remediesOfEach(asked, shelf, judgement);
  return {
    ...evaluation,
    scenes: evaluation.scenes.map((scene, index) => ({
      ...scene,
      exposure: exposureWords(judgement.angles[index]!)
    })),
    findings: evaluation.findings.map((finding, index) => ({
      ...finding,
      remedies: remedies[index]!.map(({ label, act, costMinor, brings, mends, unblocks }) => ({
        label,
        act,
        costMinor,
        mends,
        unblocks,
        brings
      }))
    }))
  };
}
