import { figureWords, lengthWords } from '../figures/figure-words';
import { figureOf } from '../figures/record';
import type { AngleJudgement } from '../judge/incremental';
import { exposureSettings } from '../judge/exposure-settings';
import type { SetLayout } from './layout';

/** One thing to put up again, and what the tape has to read. */
export interface TapeLine {
  what: string;
  reads: string;
}

const besideWords = { left: 'on the left', right: 'on the right' } as const;
export const micPlaceWords = {
  shoe: 'on the camera',
  'side arm': 'beside the camera',
  'boom arm': 'on a boom',
  lavalier: 'on the chest',
  desk: 'on the desk',
  hand: 'in the hand',
  'desk feed': 'of the house, by its mixing desk'
} as const;

/** Everything a tape has to find so that the set stands again next week as it stands now. */
export function tapeList({ rig, record }: AngleJudgement, layout: SetLayout): TapeLine[] {
  const { units } = rig.project;
  const length = (metres: number) => lengthWords(metres, units);
  const lines: TapeLine[] = [];
  const whole = layout.showsFace ? 'face' : 'work';
  if (layout.cameraName)
    lines.push({
      what: layout.cameraName,
      reads: layout.looksDown
        ? `${length(layout.camera.z - layout.subject.z)} above the ${whole}`
        : `lens ${length(-layout.camera.x)} from the ${whole}, ${length(layout.camera.z)} above the floor`
    });
  const focalLength = figureOf(record, 'focalLength');
  if (rig.lens && focalLength !== undefined)
    lines.push({ what: rig.lens.name, reads: `set to ${figureWords(focalLength, 'mm')}` });
  if (layout.background)
    lines.push({
      what: 'Background',
      reads: `${length(layout.background.x)} behind the ${whole}`
    });
  if (layout.window)
    lines.push({ what: 'Window', reads: `${length(layout.window.y)} beside the ${whole}` });
  for (const lamp of layout.lamps)
    lines.push({
      what: `${lamp.name}, ${lamp.role}`,
      reads:
        lamp.role === 'overhead'
          ? `${length(lamp.distanceM)} from the ${whole}, ${lamp.angleDeg}° up`
          : `${length(lamp.distanceM)} from the ${whole}, ${lamp.angleDeg}° off the camera${lamp.side ? `, ${besideWords[lamp.side]}` : ''}`
    });
  for (const { name, mainsM } of layout.lamps)
    if (mainsM !== undefined)
      lines.push({
        what: `Mains cable of ${name}`,
        reads: `${length(mainsM)} at least to the nearest wall, taped down where people walk`
      });
  if (layout.mic)
    lines.push({
      what: layout.mic.name,
      reads: `${micPlaceWords[layout.mic.place]}, ${length(layout.mic.distanceM)} from the mouth`
    });
  if (layout.mic?.cableM !== undefined)
    lines.push({
      what: 'Cable of the microphone',
      reads: `${length(layout.mic.cableM)} at least, taped down where people walk`
    });
  if (layout.mic?.bagKg !== undefined && layout.mic.bagKg > 0.05)
    lines.push({
      what: 'Sandbag',
      reads: `${figureWords(layout.mic.bagKg, 'kg', units)} on the boom’s stand`
    });
  return lines;
}

/** What the camera is set to there, in the order one goes through it. */
export const setSettings = (judged: AngleJudgement): TapeLine[] =>
  exposureSettings(judged).map(({ name, set }) => ({ what: name, reads: set }));
