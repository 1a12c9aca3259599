import { cellsFor } from '../figures/endurance-rows';
import { figureOf } from '../figures/record';
import { figureWords, minutesWords } from '../figures/figure-words';
import { bankWattsNeeded } from '../relations/power/bank';
import type { AngleContext, AngleFindingRow, Proposal } from './finding';
import { cheapestOf, oneMoreOf, swapFor } from './part-candidates';

function mainsOrBank({ rig, shelf, project }: AngleContext): Proposal[] {
  const { body } = rig;
  if (!body) return [];
  const proposals: Proposal[] = [];
  if (rig.hasSocket && body.gear.runsFromMainsBlock) {
    proposals.push({
      parts: cheapestOf(
        shelf,
        project,
        'mains block',
        (gear) =>
          gear.cellType === body.gear.cellType && (gear.outputW ?? 0) >= (body.gear.drawW ?? 0)
      ),
      label: (gear) => `Use ${gear.model}`
    });
  }
  if (body.gear.runsFromUsb && body.gear.drawW !== undefined) {
    const watts = bankWattsNeeded(body.gear.drawW);
    proposals.push({
      parts: cheapestOf(shelf, project, 'bank', (gear) => (gear.outputW ?? 0) >= watts),
      label: (gear) => `Add ${gear.model}`
    });
  }
  return proposals;
}

export const powerFindings: AngleFindingRow[] = [
  {
    code: 'P1',
    family: 'power',
    scope: 'angle',
    about: 'dies during the longest take',
    reads: ['takePowerShare'],
    judge: (rig, record) => {
      const share = figureOf(record, 'takePowerShare');
      if (share === undefined || share >= 1 || figureOf(record, 'takePower') === 0)
        return undefined;
      const have = figureOf(record, 'takePower')!;
      const need = figureOf(record, 'longestTake')!;
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
          `One cell of ${figureWords(figureOf(record, 'cellEnergy')!, 'Wh')} at ${figureWords(figureOf(record, 'bodyDraw')!, 'W')} and ${figureWords(figureOf(record, 'temperature')!, '°C')} lasts that long, and a cell cannot be changed within a take.`
      };
    },
    propose: (context) => {
      const { rig, shelf, project } = context;
      const type = rig.body?.gear.cellType;
      const cells = cellsFor(rig);
      const best = Math.max(0, ...cells.map(({ gear }) => gear.energyWh ?? 0));
      return [
        ...mainsOrBank(context),
        {
          parts: cheapestOf(
            shelf,
            project,
            'cell',
            (gear) => gear.cellType === type && (gear.energyWh ?? 0) > best
          ),
          label: (gear) => `${cells[0] ? 'Swap to' : 'Add'} ${gear.model}`,
          act: cells[0] ? swapFor(cells[0].line.id) : undefined
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
      const share = figureOf(record, 'dayPowerShare');
      if (share === undefined || share >= 1 || figureOf(record, 'dayPower') === 0) return undefined;
      const have = figureOf(record, 'dayPower')!;
      const need = figureOf(record, 'recordedAway')!;
      return {
        severity: 'stop',
        lineIds: [rig.body!.line.id, ...cellsFor(rig).map(({ line }) => line.id)],
        figure: 'dayPower',
        has: have,
        needs: need,
        unit: 'min',
        title: () => `${rig.scene.name}: power for ${minutesWords(have)} of ${minutesWords(need)}`,
        why: () =>
          `One cell lasts ${minutesWords(figureOf(record, 'minutesPerCell') ?? 0)} at ${figureWords(figureOf(record, 'bodyDraw')!, 'W')}; ${figureWords(figureOf(record, 'cellCount')!, 'count')} ${figureOf(record, 'cellCount') === 1 ? 'is' : 'are'} packed.`
      };
    },
    propose: (context) => {
      const { rig, shelf, project } = context;
      const type = rig.body?.gear.cellType;
      return [
        ...cellsFor(rig).map(({ line, gear }) => ({
          label: `One more ${gear.model}`,
          act: oneMoreOf(line)
        })),
        {
          parts:
            type === undefined
              ? []
              : cheapestOf(shelf, project, 'cell', (gear) => gear.cellType === type),
          label: (gear) => `Add ${gear.model}`
        },
        ...mainsOrBank(context)
      ];
    }
  }
];
