import { describe, expect, it } from 'vitest';
import { shelfOf } from '../../../catalogue/load-catalogue';
import { applyAct } from '../../acts/apply-act';
import { remediesFor } from '../../judge/settle';
import { judged, ownCopy, setRig, swap, walkOutside, without } from '../../judge/tests/calm-kit';
import { causes } from '../../judge/tests/causes';
import { add, angle, made, scene, twoAtOnce } from '../../figures/tests/figures-of';
import type { GearOf } from '../../model/gear';
import type { Project } from '../../model/project';
import { cameraPlaces } from '../../model/word-lists';

const body = 'orrowby-linnet-ii';
const lamp = 'quillfeather-ray-65-two-colour-55-cm-dome';

const missing = (project: Project) =>
  judged(project)
    .findings.filter(({ code }) => code === 'M7')
    .map((finding) => finding.title());

const lineIdOf = (project: Project, gearId: string) =>
  project.plans[0]!.lines.find((line) => line.gearId === gearId)!.id;

/** A body of one's own that cannot be charged inside. */
const uncharged = (p: Project) =>
  ownCopy<GearOf<'body'>>(p, body, (gear) => (gear.runsFromUsb = false));

describe('a part without which nothing is filmed', () => {
  it('is nothing in a kit that has all', () => {
    expect(missing(made(() => undefined))).toEqual([]);
  });

  it.each<[string, (p: Project) => void]>([
    ['Nothing to film with', (p) => without(p, body)],
    [
      'Nothing to film the second angle with',
      (p) => scene(p).angles.push({ ...angle(p), id: 'b' })
    ],
    ['No lens for Linnet II', (p) => without(p, 'pellamund-24-f-1-5')],
    [
      'Nothing carries the voice',
      (p) => {
        without(p, 'dunmarrow-burr');
        ownCopy<GearOf<'body'>>(p, body, (gear) => (gear.ownMicrophone = false));
      }
    ],
    ['Nothing to record on', (p) => without(p, 'quillfeather-sd-128-v30')],
    ['Nothing to stand the camera on', (p) => without(p, 'nibsworth-hob-mini-tripod-wide')],
    [
      'Nothing holds the camera above',
      (p) => {
        angle(p).cameraPlace = 'overhead';
      }
    ],
    ['No lamp that runs here', (p) => without(p, lamp)],
    ['The lamp has no stand', (p) => without(p, 'brackenholt-stand-2')],
    [
      'No power for Linnet II',
      (p) => {
        without(p, 'quillfeather-ember-16-battery-twin');
        ownCopy<GearOf<'body'>>(p, body, (gear) => (gear.batteriesIncluded = 0));
      }
    ],
    [
      'Nothing fills the Ember 16 batteries',
      (p) => {
        uncharged(p);
        without(p, 'quillfeather-charger-ember-16-two-bays');
      }
    ]
  ])('%s', (title, change) => {
    expect(missing(made(change))).toContain(title);
  });

  it('names a support that cannot hold the camera there', () => {
    const above = made((p) => {
      angle(p).cameraPlace = 'overhead';
      setRig(p, { supportLineId: 'nibsworth-hob-mini-tripod-wide' });
    });
    expect(missing(above)).toContain('Nothing holds the camera above');
  });

  it('hears with the body’s own microphone where no other is there, and says how well', () => {
    const bare = made((p) => without(p, 'dunmarrow-burr'));
    expect(missing(bare)).not.toContain('Nothing carries the voice');
    const heard = judged(bare).findings.find(({ code }) => code === 'A1')!;
    expect(heard.severity).toBe('warn');
    expect(heard.why()).toMatch(/^The microphone in Orrowby Linnet II hears/);
  });

  it('needs no support in the hand, and no lamp under the sky', () => {
    const walked = made((p) => {
      walkOutside(p);
      without(p, 'nibsworth-hob-mini-tripod-wide');
      without(p, lamp);
    });
    expect(missing(walked)).toEqual([]);
  });

  it.each(cameraPlaces)(
    'at a second angle (%s) is bought with its lens and support in one go',
    (place) => {
      const project = made((p) => {
        p.limitMinor = 1_000_000;
        scene(p).angles.push({
          ...structuredClone(angle(p)),
          id: 'second',
          name: 'Second',
          cameraPlace: place
        });
        // No drone stays up for a whole talk.
        if (place === 'in the air') Object.assign(scene(p), { longestTakeMin: 5, recordedMin: 15 });
      });
      const finding = judged(project).findings.find(({ code }) => code === 'M7')!;
      expect(finding.title()).toBe(
        place === 'in the air' ? 'Nothing that flies' : 'Nothing to film the second angle with'
      );
      const [remedy] = remediesFor(project, shelfOf(project), judged(project), finding);
      expect(remedy?.mends, place).toBe(true);
      expect(missing(applyAct(project, remedy!.act)), remedy!.label).toEqual([]);
    }
  );

  it('is a card for the second camera, where both record on cards', () => {
    const project = made((p) => {
      p.limitMinor = 1_000_000;
      twoAtOnce(p, body);
      p.plans[0]!.lines.find(({ gearId }) => gearId === body)!.quantity = 2;
    });
    expect(missing(project)).toContain('No card left for the second camera');
    const finding = judged(project).findings.find(({ title }) =>
      title().startsWith('No card left')
    )!;
    const [remedy] = remediesFor(project, shelfOf(project), judged(project), finding);
    expect(missing(applyAct(project, remedy!.act))).not.toContain(
      'No card left for the second camera'
    );
    const two = applyAct(project, {
      type: 'step quantity',
      lineId: lineIdOf(project, 'quillfeather-sd-128-v30'),
      by: 1
    });
    expect(missing(two)).not.toContain('No card left for the second camera');
  });

  it('is a support for the second camera, told once and bought with one', () => {
    const project = made((p) => {
      p.limitMinor = 1_000_000;
      causes.S6!(p);
    });
    const told = judged(project).findings.filter(({ title }) => /stand|hold/.test(title()));
    expect(told.map((finding) => `${finding.code} ${finding.title()}`)).toEqual([
      'S6 Nothing to stand the camera on at the second angle'
    ]);
    const [remedy] = remediesFor(project, shelfOf(project), judged(project), told[0]!);
    const settled = judged(applyAct(project, remedy!.act));
    expect(settled.findings.filter(({ code }) => code === 'S6')).toEqual([]);
  });

  it('is no charger where another body fills the same batteries over USB', () => {
    const two = made((p) => {
      without(p, 'quillfeather-charger-ember-16-two-bays');
      uncharged(p);
      twoAtOnce(p, 'own-charging');
      ownCopy<GearOf<'body'>>(p, body, (gear) => {
        gear.id = 'own-charging';
        gear.runsFromUsb = true;
      });
    });
    expect(missing(two)).not.toContain('Nothing fills the Ember 16 batteries');
  });

  it('stops every scene that needs it, and each is named once', () => {
    const project = made((p) => {
      p.scenes.push({ ...structuredClone(scene(p)), id: 'second', name: 'Second' });
      without(p, 'quillfeather-sd-128-v30');
    });
    const [finding, ...others] = judged(project).findings.filter(({ code }) => code === 'M7');
    expect(others).toEqual([]);
    expect(finding!.severity).toBe('stop');
    expect(finding!.sceneIds).toEqual(['talk', 'second']);
    expect(finding!.why()).toContain('Talk, Second');
  });

  it('of another lamp is the battery it runs from', () => {
    const idle = made((p) => {
      swap(p, lamp, 'own-lamp');
      add(p, 'brackenholt-stand-2-6-cushioned');
      ownCopy<GearOf<'lamp'>>(p, 'brackenholt-tile-30', (gear) => {
        gear.id = 'own-lamp';
        gear.runsFromMains = false;
      });
    });
    expect(missing(idle)).toEqual(['No power for Tile 30']);
    const finding = judged(idle).findings.find(({ code }) => code === 'M7')!;
    const [remedy] = remediesFor(idle, shelfOf(idle), judged(idle), finding);
    expect(remedy!.label).toMatch(/^Add Slab 48/);
    expect(missing(applyAct(idle, remedy!.act))).toEqual([]);
  });
});
