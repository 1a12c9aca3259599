import { batteriesFor } from '../../figures/endurance-rows';
import { againstNeed, figureWords, minutesWords } from '../../figures/figure-words';
import { USB_C } from '../../model/gear/supply-end';
import { sharesDay } from '../../supplies/filming-days';
import { bankWattsNeeded } from '../../relations/power/bank';
import { figureRow, type AngleContext, type AngleFindingRow, type Proposal } from '../finding';
import { cheapestOf, oneMore, swapFor } from '../part-candidates';

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
  figureRow({
    code: 'P1',
    family: 'power',
    about: 'dies during the longest take',
    reads: [
      'takePowerShare',
      'takePower',
      'longestTake',
      'batteryEnergy',
      'bodyDraw',
      'temperature'
    ],
    judge: (rig, figures) => {
      const share = figures.takePowerShare;
      if (share === undefined || share >= 1 || figures.takePower === 0) return undefined;
      const have = figures.takePower!;
      const need = figures.longestTake!;
      return {
        severity: 'stop',
        lineIds: [rig.body!.line.id],
        figure: 'takePower',
        has: have,
        needs: need,
        unit: 'min',
        title: () =>
          `${rig.scene.name}: one battery lasts ${minutesWords(have)} (takes of ${minutesWords(need)})`,
        why: () =>
          `One battery of ${figureWords(figures.batteryEnergy!, 'Wh')} at ${figureWords(figures.bodyDraw!, 'W')} and ${figureWords(figures.temperature!, '°C', rig.project.units)} lasts that long, and a battery cannot be changed within a take.`
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
  }),
  figureRow({
    code: 'P2',
    family: 'power',
    about: 'dies before the day ends',
    reads: [
      'dayPowerShare',
      'dayPower',
      'recordedAway',
      'minutesPerBattery',
      'bodyDraw',
      'batteryCount',
      'bodiesOnBatteries'
    ],
    judge: (rig, figures) => {
      const share = figures.dayPowerShare;
      if (share === undefined || share >= 1 || figures.dayPower === 0) return undefined;
      if (sharesDay(rig.scene, rig.project.scenes)) return undefined;
      const have = figures.dayPower!;
      const need = figures.recordedAway!;
      return {
        severity: 'stop',
        lineIds: [rig.body!.line.id, ...batteriesFor(rig).map(({ line }) => line.id)],
        figure: 'dayPower',
        has: have,
        needs: need,
        unit: 'min',
        title: () => `${rig.scene.name}: batteries last ${againstNeed(have, need, 'min')}`,
        why: () =>
          `The best battery lasts ${minutesWords(figures.minutesPerBattery ?? 0)} at ${figureWords(figures.bodyDraw!, 'W')}; ${figureWords(figures.batteryCount!, 'count')} ${figures.batteryCount === 1 ? 'is' : 'are'} packed${figures.bodiesOnBatteries! > 1 ? `, shared by ${figures.bodiesOnBatteries} bodies filming at once` : ''}.`
      };
    },
    propose: (context) => {
      const { rig, shelf, project } = context;
      const type = rig.body?.gear.batteryType;
      return [
        ...batteriesFor(rig).flatMap((battery) => oneMore(context, battery)),
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
  })
];
