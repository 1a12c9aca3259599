import type { Project } from '../../core/model/project';
import { startScene } from '../../core/model/scene-starts';
import { line, scene } from './demo-parts';

/**
 * The Saltmarsh loom: a weaver films the walk to the marsh, lessons at the loom and the shuttle from
 * above. Packed so that real things stand to be settled.
 */
export function demoProject(): Project {
  return {
    id: 'saltmarsh-loom',
    name: 'Saltmarsh loom',
    currency: 'GBP',
    units: 'metric',
    mainsHz: 50,
    school: 'sound and light first',
    limitMinor: 122_000,
    reserveMinor: 7_000,
    pocketLimitsMinor: { lens: 26_000 },
    scenes: [
      scene(
        'marsh-path',
        'Marsh path',
        40,
        startScene('walk', [], 40),
        { windMps: 6, temperatureC: 8, noiseDbA: 42, voice: 'raised' },
        { distanceM: 0.65 }
      ),
      scene(
        'loom-lesson',
        'Loom lesson',
        45,
        startScene('seated', [], 45),
        {
          room: { lengthM: 3.5, widthM: 3, heightM: 2.4, feel: 'lived-in' },
          longestTakeMin: 25,
          recordedMin: 95,
          lightDimLx: 8,
          lightBrightLx: 20,
          temperatureC: 18,
          wantsBlurPercent: 0.6
        },
        { distanceM: 0.9, backgroundM: 1.4 }
      ),
      scene(
        'shuttle-hands',
        'Shuttle hands',
        15,
        startScene('hands', [], 15),
        { lightDimLx: 8, lightBrightLx: 20, temperatureC: 18 },
        { distanceM: 0.7 }
      )
    ],
    plans: [
      {
        id: 'plan-b',
        name: 'plan B',
        lines: [
          line(1, 'dunmarrow-plover'),
          line(2, 'quillfeather-ray-65-55-cm-dome'),
          line(3, 'orrowby-linnet', { basis: 'used' }),
          line(4, 'pellamund-17-f-1-5'),
          line(5, 'brackenholt-stand-2'),
          line(6, 'vantlow-palm-grip'),
          line(7, 'cobberly-bench-overhead-arm'),
          line(8, 'nibsworth-hob-mini-tripod'),
          line(9, 'quillfeather-sd-64-v30'),
          line(11, 'quillfeather-charger-ember-8-two-bays'),
          line(12, 'pellamund-dusk-2-5-67-mm'),
          line(13, 'nibsworth-remote-button'),
          line(14, 'orrowby-15-43-f-3-5-5-6', { state: 'owned' }),
          line(15, 'pellamund-cellar-1-tb')
        ],
        rigs: [
          { sceneId: 'marsh-path', angleId: 'a', lensLineId: 'line-4', supportLineId: 'line-6' }
        ]
      }
    ],
    activePlanId: 'plan-b',
    ownGear: []
  };
}
