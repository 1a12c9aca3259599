import type { Project } from '../../core/model/project';
import { startScene } from '../../core/model/scene-starts';
import { line, scene } from './demo-parts';

/**
 * The drovers' road: three days by bicycle without a socket. The way from the chest, the high ground from a tripod, the
 * camp at nightfall from the hand; everything is carried.
 */
export function droversRoad(): Project {
  const away = { daysWithoutSocket: 3, sunHoursPerDay: 4, temperatureC: 7 };
  return {
    id: 'drovers-road',
    name: 'Drovers’ road',
    currency: 'GBP',
    units: 'metric',
    mainsHz: 50,
    school: 'light on the back',
    limitMinor: 165_000,
    reserveMinor: 15_000,
    carriedLimitKg: 4,
    scenes: [
      scene(
        'the-way',
        'The way',
        45,
        startScene('ride', [], 45),
        { ...away, rideSpeedMps: 5, windMps: 4, recordedMin: 50, longestTakeMin: 12 },
        { distanceM: 4, framedSizeM: 11 }
      ),
      scene(
        'high-ground',
        'High ground',
        25,
        startScene('landscape', [], 25),
        { ...away, windMps: 7, recordedMin: 25, roughWeather: true },
        { distanceM: 60, framedSizeM: 60 }
      ),
      scene(
        'camp-at-nightfall',
        'Camp at nightfall',
        30,
        startScene('evening', [], 30),
        { ...away, windMps: 2, lightDimLx: 8, lightBrightLx: 300, recordedMin: 15 },
        { distanceM: 0.6 }
      )
    ],
    plans: [
      {
        id: 'plan-a',
        name: 'plan A',
        lines: [
          line(1, 'ellowen-pebblecam', { basis: 'used' }),
          line(2, 'nibsworth-harness-broad'),
          line(3, 'cobberly-pocketwright-vista', { basis: 'used' }),
          line(4, 'withrick-thimble-one'),
          line(5, 'cobberly-stile-tripod-light'),
          line(6, 'quillfeather-microsd-128-v30'),
          line(7, 'quillfeather-sd-128-v30'),
          line(8, 'quillfeather-pebble-5-battery-twin', { quantity: 2 }),
          line(9, 'orrowby-ember-8-battery', { state: 'owned' }),
          line(10, 'pellamund-hearth-37'),
          line(11, 'pellamund-meadow-14'),
          line(12, 'nibsworth-usb-c-cable-c-to-c-short'),
          line(13, 'vantlow-palm-grip')
        ],
        rigs: [
          { sceneId: 'the-way', angleId: 'a', bodyLineId: 'line-1' },
          { sceneId: 'high-ground', angleId: 'a', bodyLineId: 'line-3' },
          { sceneId: 'camp-at-nightfall', angleId: 'a', bodyLineId: 'line-3' }
        ]
      }
    ],
    activePlanId: 'plan-a',
    ownGear: []
  };
}
