import { figureWords, minutesRange, minutesWords } from '../../figures/figure-words';
import type { Figures } from '../../figures/record';
import { cageFor, hasUse, heatEnds } from '../../figures/heat-rows';
import { fullName } from '../../model/gear';
import { heatRelief } from '../../relations/power/heat';
import type { PlacedRig } from '../../rigs/placed-rig';
import { figureRow, type AngleFindingRow } from '../finding';
import { addOne, swapTo, takesOf } from '../part-candidates';
import { bodyLine } from './body-line';

/** What cage and fan would still take off the warming. */
function leftToRelieve(rig: PlacedRig): number {
  return (cageFor(rig) ? 1 : heatRelief.cage) * (hasUse(rig, 'fan') ? 1 : heatRelief.fan);
}

/** Minutes a take lasts with the cage and the fan that are not there yet. */
const relievedMin = (
  rig: PlacedRig,
  figures: Figures<'heatAt20' | 'heatRelief' | 'temperature' | 'heatQuick' | 'heatSlow'>
): number =>
  Math.min(
    ...heatEnds(
      figures.heatAt20!,
      figures.heatRelief! * leftToRelieve(rig),
      1,
      figures.temperature!,
      figures.heatQuick!,
      figures.heatSlow!
    )
  );

/** The minutes its maker states, as stated, and what air, sun and relief make of them here. */
function heatCorrectedWords(
  rig: PlacedRig,
  figures: Figures<
    'heatAt20' | 'heatRelief' | 'temperature' | 'sunLoad' | 'heatMinutes' | 'heatMinutesMost'
  >
): string {
  const { units } = rig.project;
  const air = figures.temperature!;
  const by = [
    ...(air === 20 ? [] : [`at ${figureWords(air, '°C', units)}`]),
    ...(figures.sunLoad! > 1 ? ['in full sun'] : []),
    ...(figures.heatRelief! < 1 ? ['with what cools it'] : [])
  ];
  const here = minutesRange(figures.heatMinutes!, figures.heatMinutesMost!);
  const stated = `overheats after ${minutesWords(figures.heatAt20!)} in this mode as stated, in the shade at ${figureWords(20, '°C', units)}`;
  return by.length === 0 ? stated : `${stated}, and here, ${by.join(' and ')}, after about ${here}`;
}

/** B15, B4. */
export const recordingFindings: readonly AngleFindingRow[] = [
  figureRow({
    code: 'B15',
    family: 'body',
    about: 'heat relief would carry the take',
    reads: [
      'heatMinutes',
      'longestTake',
      'heatAt20',
      'heatRelief',
      'temperature',
      'heatMinutesMost',
      'sunLoad',
      'heatQuick',
      'heatSlow',
      'recordLimit'
    ],
    judge: (rig, figures) => {
      const minutes = figures.heatMinutes;
      const take = figures.longestTake!;
      if (minutes === undefined || minutes >= take) return undefined;
      const relieved = relievedMin(rig, figures);
      if (relieved < take || (figures.recordLimit ?? Infinity) < minutes) return undefined;
      return {
        severity: rig.scene.live ? 'stop' : 'warn',
        lineIds: [rig.body!.line.id],
        figure: 'heatMinutes',
        has: minutes,
        needs: take,
        unit: 'min',
        title: () =>
          `${rig.scene.name}: overheats after about ${minutesWords(minutes)} (takes of ${minutesWords(take)}) unless it is cooled`,
        why: () =>
          `${fullName(rig.body!.gear)} ${heatCorrectedWords(rig, figures)}; ${Number.isFinite(relieved) ? `in shade, a cage or with a fan it lasts ${minutesWords(relieved)} or more` : 'in shade, a cage or with a fan it lasts the whole take'}. Turn the screen off the body as well.`
      };
    },
    propose: (context) => [
      addOne(context, 'small item', (gear) => gear.use === 'shade'),
      addOne(context, 'cage', (gear) => gear.fitsBodyId === context.rig.body!.gear.id),
      addOne(context, 'small item', (gear) => gear.use === 'fan')
    ]
  }),
  figureRow({
    code: 'B4',
    family: 'body',
    about: 'the longest take exceeds the record limit or the heat limit',
    reads: [
      'recordLimit',
      'heatMinutes',
      'longestTake',
      'heatMinutesMost',
      'temperature',
      'heatAt20',
      'heatRelief',
      'sunLoad',
      'heatQuick',
      'heatSlow'
    ],
    judge: (rig, figures) => {
      const clip = figures.recordLimit ?? Infinity;
      const heat = figures.heatMinutes ?? Infinity;
      const take = figures.longestTake;
      if (take === undefined || take <= Math.min(clip, heat)) return undefined;
      // Where something to keep it cool is enough, that is told instead, and the clip ends all the same.
      const hot = heat < clip && relievedMin(rig, figures) < take;
      const limit = hot ? heat : clip;
      if (take <= limit) return undefined;
      return {
        severity: rig.scene.live ? 'stop' : 'warn',
        lineIds: bodyLine(rig),
        about: hot ? 'heat' : '',
        figure: hot ? 'heatMinutes' : 'recordLimit',
        has: limit,
        needs: take,
        unit: 'min',
        title: () =>
          hot
            ? `${rig.scene.name}: overheats after about ${minutesWords(limit)} (takes of ${minutesWords(take)})`
            : `${rig.scene.name}: clips end after ${minutesWords(limit)} (takes of ${minutesWords(take)})`,
        why: () =>
          hot
            ? `${fullName(rig.body!.gear)} ${heatCorrectedWords(rig, figures)}.`
            : `${fullName(rig.body!.gear)} stops this mode after ${minutesWords(limit)} and has to be started again.`
      };
    },
    propose: (context, held) => {
      const { rig, figures } = context;
      const hot = held.figure === 'heatMinutes';
      const lighter = rig.body!.gear.modes.find(
        (mode) =>
          mode.fps === rig.scene.fps &&
          mode.pixelsAcross < rig.scene.pixelsAcross &&
          (mode.recordLimitMin ?? Infinity) >= figures.longestTake!
      );
      const take = figures.longestTake!;
      return [
        ...(hot
          ? [
              addOne(context, 'small item', (gear) => gear.use === 'fan' || gear.use === 'shade'),
              addOne(context, 'cage', (gear) => gear.fitsBodyId === rig.body!.gear.id)
            ]
          : []),
        ...(hot && lighter
          ? [
              {
                label: `Film at ${lighter.pixelsAcross} pixels`,
                act: {
                  type: 'change scene' as const,
                  sceneId: rig.scene.id,
                  patch: { pixelsAcross: lighter.pixelsAcross }
                }
              }
            ]
          : []),
        {
          label: `Film takes of ${minutesWords(Math.floor(held.has!))}`,
          act: takesOf(rig, Math.max(1, Math.floor(Math.min(take, held.has!))))
        },
        swapTo(context, 'body', rig.body!.line.id)
      ];
    }
  })
];
