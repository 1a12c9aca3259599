import { batteriesFor } from '../../figures/endurance-rows';
import { figureWords, minutesWords } from '../../figures/figure-words';
import { figureAt } from '../../figures/record';
import { figureIndex } from '../../figures/table';
import { USB_C } from '../../joining/ends';
import { bankWattsNeeded } from '../../relations/power/bank';
import type { AngleContext, AngleFindingRow, Proposal } from '../finding';
import { cheapestOf, oneMoreOf, swapFor } from '../part-candidates';

function mainsOrBank({ rig, shelf, project }: AngleContext): Proposal[] {
  const { body } = rig;
  if (!body) return [];
  const proposals: Proposal[] = [];
  const { drawW, batteryType, runsFromMainsAdapter, runsFromUsb } = body.gear;
  if (rig.hasSocket && drawW !== undefined) {
    proposals.push({
      parts: cheapestOf(
        shelf,
        project,
        'mains adapter',
        (gear) =>
          (gear.outputW ?? 0) >= drawW &&
          ((runsFromMainsAdapter === true && gear.batteryType === batteryType) ||
            (runsFromUsb === true && gear.batteryType === USB_C))
      ),
      label: (gear) => `Use ${gear.model}`
    });
  }
  if ((runsFromUsb === true || runsFromMainsAdapter === true) && drawW !== undefined) {
    const watts = bankWattsNeeded(drawW);
    proposals.push({
      parts: cheapestOf(shelf, project, 'power bank', (gear) => (gear.outputW ?? 0) >= watts),
      label: (gear) => `Add ${gear.model}`
    });
  }
  return proposals;
}

/** P1, P2. */
export const batteryLifeFindings: readonly AngleFindingRow[] = [
  {
    code: 'P1',
    family: 'power',
    scope: 'angle',
    about: 'dies during the longest take',
    reads: ['takePowerShare'],
    judge: (rig, record) => {
      const share = figureAt(record, figureIndex.takePowerShare);
      if (share === undefined || share >= 1 || figureAt(record, figureIndex.takePower) === 0)
        return undefined;
      const have = figureAt(record, figureIndex.takePower)!;
      const need = figureAt(record, figureIndex.longestTake)!;
      return {
        severity: 'stop',
        lineIds: [rig.body!.line.id],
        figure: 'takePower',
        has: have,
        needs: need,
        unit: 'min',
        title: () =>
          `${rig.scene.name}: dark after ${minutesWords(have)} of a ${minutesWords(need)} take`,
        why: () =>
          `One battery of ${figureWords(figureAt(record, figureIndex.batteryEnergy)!, 'Wh')} at ${figureWords(figureAt(record, figureIndex.bodyDraw)!, 'W')} and ${figureWords(figureAt(record, figureIndex.temperature)!, '°C', rig.project.units)} lasts that long, and a battery cannot be changed within a take.`
      };
    },
    propose: (context) => {
      const { rig, shelf, project } = context;
      const type = rig.body?.gear.batteryType;
      const batteries = batteriesFor(rig);
      const best = Math.max(0, ...batteries.map(({ gear }) => gear.energyWh ?? 0));
      return [
        ...mainsOrBank(context),
        {
          parts: cheapestOf(
            shelf,
            project,
            'battery',
            (gear) => gear.batteryType === type && (gear.energyWh ?? 0) > best
          ),
          label: (gear) => `${batteries[0] ? 'Swap to' : 'Add'} ${gear.model}`,
          act: batteries[0] ? swapFor(batteries[0].line.id) : undefined
        }
      ];
    }
  },
  {
    code: 'P2',
    family: 'power',
    scope: 'angle',
    about: 'dies before the day ends',
    reads: ['dayPowerShare'],
    judge: (rig, record) => {
      const share = figureAt(record, figureIndex.dayPowerShare);
      if (share === undefined || share >= 1 || figureAt(record, figureIndex.dayPower) === 0)
        return undefined;
      const have = figureAt(record, figureIndex.dayPower)!;
      const need = figureAt(record, figureIndex.recordedAway)!;
      return {
        severity: 'stop',
        lineIds: [rig.body!.line.id, ...batteriesFor(rig).map(({ line }) => line.id)],
        figure: 'dayPower',
        has: have,
        needs: need,
        unit: 'min',
        title: () =>
          `${rig.scene.name}: batteries last ${minutesWords(have)} (needs ${minutesWords(need)})`,
        why: () =>
          `The best battery lasts ${minutesWords(figureAt(record, figureIndex.minutesPerBattery) ?? 0)} at ${figureWords(figureAt(record, figureIndex.bodyDraw)!, 'W')}; ${figureWords(figureAt(record, figureIndex.batteryCount)!, 'count')} ${figureAt(record, figureIndex.batteryCount) === 1 ? 'is' : 'are'} packed${figureAt(record, figureIndex.bodiesOnBatteries)! > 1 ? `, shared by ${figureAt(record, figureIndex.bodiesOnBatteries)} bodies filming at once` : ''}.`
      };
    },
    propose: (context) => {
      const { rig, shelf, project } = context;
      const type = rig.body?.gear.batteryType;
      return [
        ...batteriesFor(rig).map(({ line, gear }) => ({
          label: `One more ${gear.model}`,
          act: oneMoreOf(line)
        })),
        {
          parts:
            type === undefined
              ? []
              : cheapestOf(shelf, project, 'battery', (gear) => gear.batteryType === type),
          label: (gear) => `Add ${gear.model}`
        },
        ...mainsOrBank(context)
      ];
    }
  }
];
