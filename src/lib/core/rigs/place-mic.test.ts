import { describe, expect, it } from 'vitest';
import { catalogue } from '../../catalogue/load-catalogue';
import { calmKit, line, swap, walkOutside, without } from '../judge/tests/calm-kit';
import type { GearOf } from '../model/gear';
import { activePlan } from '../model/active-plan';
import type { Rig } from '../model/plan';
import type { Project } from '../model/project';
import { makeKit } from './kit';
import { coverFor, micPlacesFor, placeMic } from './place-mic';
import { micPlacesByForm, micPlacesByStyle } from './places';

const mic = (id: string) => catalogue.byId.get(id) as GearOf<'microphone'>;
const kitOf = (project: Project) => makeKit(activePlan(project), catalogue);

function placed(project: Project, said?: Partial<Rig>) {
  const kit = kitOf(project);
  const [scene] = project.scenes;
  return placeMic(
    kit,
    scene!,
    scene!.angles[0]!,
    said && { sceneId: 'talk', angleId: 'a', ...said },
    kit.of('body')[0]
  );
}

describe('where a microphone may go', () => {
  it('is where its form and the scene agree, with what the bag holds for it', () => {
    const project = calmKit();
    const [scene] = project.scenes;
    const onCamera = mic('dunmarrow-plover');
    expect(micPlacesFor(kitOf(project), scene!, onCamera)).toEqual(['shoe']);
    activePlan(project).lines.push(line('brackenholt-stand-boom'));
    expect(micPlacesFor(kitOf(project), scene!, onCamera)).toEqual(['shoe', 'boom arm']);
    activePlan(project).lines.push(line('nibsworth-side-arm-shoe'));
    expect(micPlacesFor(kitOf(project), scene!, onCamera)).toEqual([
      'shoe',
      'side arm',
      'boom arm'
    ]);
    expect(micPlacesFor(kitOf(project), scene!, mic('dunmarrow-burr'))).toEqual(['lavalier']);
  });

  it('while walking is never a desk or a boom', () => {
    const project = calmKit();
    walkOutside(project);
    activePlan(project).lines.push(line('brackenholt-stand-boom'));
    for (const gear of catalogue.ofKind('microphone')) {
      const places = micPlacesFor(kitOf(project), project.scenes[0]!, gear);
      expect(places, gear.id).not.toContain('desk');
      expect(places, gear.id).not.toContain('boom arm');
      for (const place of places) {
        expect(micPlacesByForm[gear.form] as readonly string[]).toContain(place);
        expect(micPlacesByStyle.walk as readonly string[]).toContain(place);
      }
    }
  });
});

describe('the cover of a microphone', () => {
  it('is the best that fits its form, its own counted', () => {
    const project = calmKit();
    const foamed = coverFor(kitOf(project), mic('dunmarrow-plover'));
    expect(foamed).toMatchObject({ cover: 'foam', coverPart: undefined });
    activePlan(project).lines.push(
      line('dunmarrow-furry-windscreen-for-short-shotguns'),
      line('dunmarrow-furry-windscreen-for-on-camera-microphones')
    );
    const furred = coverFor(kitOf(project), mic('dunmarrow-plover'));
    expect(furred.cover).toBe('furry');
    expect(furred.coverPart?.gear.id).toBe('dunmarrow-furry-windscreen-for-short-shotguns');
    // Furry windscreen for another form stays in the kit.
    expect(coverFor(kitOf(project), mic('dunmarrow-burr')).cover).toBe('foam');
    expect(
      coverFor(kitOf(project), { ...mic('dunmarrow-burr'), windscreenIncluded: undefined })
    ).toEqual({ cover: 'none', coverPart: undefined });
  });
});

describe('the microphone that is used', () => {
  it('is the one that hears best here', () => {
    const project = calmKit();
    activePlan(project).lines.push(line('nibsworth-button'));
    expect(placed(project).mic?.gear.id).toBe('dunmarrow-burr');
    without(project, 'dunmarrow-burr');
    expect(placed(project)).toMatchObject({ micPlace: 'shoe' });
  });

  it('is the one that was said, where it was said', () => {
    const project = calmKit();
    activePlan(project).lines.push(line('dunmarrow-plover'), line('brackenholt-stand-boom'));
    expect(placed(project, { micLineId: 'dunmarrow-plover' }).mic?.gear.model).toBe('Plover');
    expect(placed(project, { micLineId: 'dunmarrow-plover', micPlace: 'shoe' }).micPlace).toBe(
      'shoe'
    );
    expect(placed(project, { micLineId: 'dunmarrow-plover', micPlace: 'boom arm' }).micPlace).toBe(
      'boom arm'
    );
    // A place it cannot take leaves it in the kit.
    expect(
      placed(project, { micLineId: 'dunmarrow-burr', micPlace: 'boom arm' }).mic
    ).toBeUndefined();
    expect(placed(project, { micLineId: 'sold' }).mic).toBeUndefined();
  });

  it('is none where nobody speaks, and none where none is', () => {
    const silent = calmKit();
    silent.scenes[0]!.voice = 'none';
    expect(placed(silent)).toEqual({ mic: undefined, micPlace: undefined });
    const bare = calmKit();
    without(bare, 'dunmarrow-burr');
    expect(placed(bare)).toEqual({ mic: undefined, micPlace: undefined });
  });

  it('goes aside on its arm when the screen flips up behind the shoe', () => {
    const project = calmKit();
    swap(project, 'orrowby-linnet-ii', 'orrowby-linnet');
    swap(project, 'dunmarrow-burr', 'dunmarrow-plover');
    expect(placed(project).micPlace).toBe('shoe');
    activePlan(project).lines.push(line('nibsworth-side-arm-shoe'));
    expect(placed(project).micPlace).toBe('side arm');
  });
});
