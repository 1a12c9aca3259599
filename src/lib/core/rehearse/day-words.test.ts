import { describe, expect, it } from 'vitest';
import { blameWords, dayStory } from './day-words';
import { causes } from './day-outcome';
import { showDay } from './shown-day';
import { battery, day, device, noChance, scene } from './tests/made-day';

describe('a day in sentences', () => {
  it('begins with what cost most, and tells each thing once', () => {
    const plan = day({
      devices: [device(), device({ lineId: 'lamp', name: 'Lamp', pieces: [2] })],
      pieces: [battery(0), battery(1), battery(2, 10)],
      scenes: [scene({ uses: [{ device: 1, watts: 10, minutes: 25 }] })]
    });
    const story = dayStory(showDay(plan));
    expect(story.map(({ text, lost }) => [lost, text])).toEqual([
      // The lamp holds two takes and 10 minutes, the camera four and 10.
      [3, 'The battery in Lamp is empty; 3 takes are lost.'],
      [0, 'The battery in Camera is swapped in a pause.']
    ]);
  });

  it('says when all is well, and by how little', () => {
    const plan = day({ scenes: [scene({ takes: 4 })], pieces: [battery(0), battery(1, 8.4)] });
    const texts = dayStory(showDay(plan)).map(({ text }) => text);
    expect(texts[0]).toBe('All 4 takes are in the can.');
    expect(texts.at(-1)).toBe(
      'Camera comes down to 1 %: of all that held, its battery held by the least.'
    );
  });

  it('tells of what was left on and what was noticed', () => {
    const plan = day({
      pieces: [battery(0, 1000), battery(1, 1000), battery(2, 1000)],
      devices: [
        device(),
        device({ lineId: 'rec', name: 'Recorder', canBeLeftOn: true, pieces: [2] })
      ],
      scenes: [
        scene({
          uses: [{ device: 1, watts: 6, minutes: 25 }],
          switches: [{ name: 'Recorder', lineId: 'rec', key: 9, device: 1 }]
        })
      ],
      habits: new Set(['first take played back']),
      chances: { ...noChance, 'left on in between': 1, 'switch left off': 1 }
    });
    const texts = dayStory(showDay(plan, { seed: 1, day: 0 })).map(({ text }) => text);
    expect(texts).toContain('Recorder stays on and drains on.');
    expect(texts).toContain('Somebody notices: Recorder.');
    expect(texts[0]).toBe(
      'The switch of Recorder was left off; 1 take is lost before somebody notices.'
    );
  });

  it('has a name for everything a take can be lost to', () => {
    for (const cause of causes) {
      const words = blameWords({ cause, name: 'Linnet' });
      expect(words).not.toContain('undefined');
      expect(words.length).toBeGreaterThan(3);
    }
  });
});
