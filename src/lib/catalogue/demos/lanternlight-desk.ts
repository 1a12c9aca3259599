import type { Project } from '../../core/model/project';
import { startScene } from '../../core/model/scene-starts';
import { line, scene } from './demo-parts';

/**
 * The Lanternlight desk: a language tutor gives lessons live all day and records short explanations after them, under
 * office lamps that cannot be switched off.
 */
export function lanternlightDesk(): Project {
  return {
    id: 'lanternlight-desk',
    name: 'Lanternlight desk',
    currency: 'GBP',
    units: 'metric',
    mainsHz: 50,
    school: 'buy once',
    limitMinor: 115_000,
    reserveMinor: 5_000,
    scenes: [
      scene(
        'live-lesson',
        'Live lesson',
        75,
        startScene('live call', [], 75),
        {
          room: { lengthM: 3.2, widthM: 2.6, heightM: 2.5, feel: 'bare' },
          noiseDbA: 41,
          lightDimLx: 180,
          lightBrightLx: 260,
          lightColourK: 4000,
          longestTakeMin: 55,
          recordedMin: 275,
          temperatureC: 23
        },
        { distanceM: 0.75, backgroundM: 1 }
      ),
      scene(
        'short-explanation',
        'Short explanation',
        25,
        startScene('seated', [], 25),
        {
          room: { lengthM: 3.2, widthM: 2.6, heightM: 2.5, feel: 'bare' },
          noiseDbA: 41,
          lightDimLx: 180,
          lightBrightLx: 260,
          lightColourK: 4000,
          longestTakeMin: 8,
          recordedMin: 40,
          temperatureC: 23,
          wantsBlurPercent: 0.4
        },
        { distanceM: 0.75, backgroundM: 1 }
      )
    ],
    plans: [
      {
        id: 'plan-a',
        name: 'plan A',
        lines: [
          line(1, 'nibsworth-table-wide'),
          line(2, 'brackenholt-tile-45-cloth'),
          line(3, 'brackenholt-stand-2'),
          line(4, 'harkelow-outset-turn'),
          line(5, 'harkelow-18-52-f-3-5-5-6', { state: 'owned' }),
          line(6, 'nibsworth-hob-mini-tripod-wide'),
          line(7, 'nibsworth-weir'),
          line(8, 'quillfeather-sd-64-v30'),
          line(9, 'quillfeather-ember-8-battery-twin')
        ],
        rigs: []
      }
    ],
    activePlanId: 'plan-a',
    ownGear: []
  };
}
