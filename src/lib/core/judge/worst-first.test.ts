import { describe, expect, it } from 'vitest';
import { activePlan } from '../model/active-plan';
import type { GearOf } from '../model/gear';
import type { Project } from '../model/project';
import { lampPlaces } from '../rigs/places';
import { calmKit, judged, line, ownCopy, setRig, swap } from './tests/calm-kit';
import { causes } from './tests/causes';

/** A calm kit spoilt in several ways at once, each of which its code could tell. */
function told(code: string, ...spoil: (string | ((project: Project) => void))[]) {
  const project = calmKit();
  for (const cause of spoil) (typeof cause === 'string' ? causes[cause]! : cause)(project);
  return judged(project)
    .findings.filter((finding) => finding.code === code)
    .map(({ severity, about }) => [severity, about ?? '']);
}

const onBareLegs = (project: Project) => {
  swap(project, 'nibsworth-hob-mini-tripod-wide', 'cobberly-acre-tripod-bare');
  project.scenes[0]!.angles[0]!.cameraPlace = 'tripod';
};
const boomedWithoutThread = (project: Project) => {
  swap(project, 'dunmarrow-burr', 'dunmarrow-ledge');
  activePlan(project).lines.push(line('brackenholt-stand-boom'));
  setRig(project, { micPlace: 'boom arm' });
};

describe('of several things one code could tell of an angle', () => {
  it('a camera that nothing holds comes before the microphone and the lamp', () => {
    expect(told('S5', boomedWithoutThread)).toEqual([['warn', 'microphone held']]);
    expect(told('S5', onBareLegs)).toEqual([['stop', 'camera held']]);
    expect(told('S5', boomedWithoutThread, 'S5', onBareLegs)).toEqual([['stop', 'camera held']]);
  });

  it('a wind that tips a lamp comes before a stand that is heavily loaded', () => {
    const heavy = (project: Project) =>
      ownCopy<GearOf<'support'>>(project, 'brackenholt-stand-2', (gear) => (gear.payloadKg = 2.2));
    expect(told('G7', heavy)).toEqual([['warn', 'load']]);
    expect(told('G7', heavy, 'G7/wind')).toEqual([['stop', 'wind']]);
    expect(told('G7', 'G7/load', 'G7/wind')).toEqual([['stop', 'load']]);
  });

  it('a lamp that falls comes before one that has no power', () => {
    const both = (project: Project) => {
      causes['G10/load']!(project);
      activePlan(project).lines.push(line('brackenholt-tile-45-cloth'));
      project.scenes[0]!.daysWithoutSocket = 1;
      setRig(project, {
        lamps: [
          { lineId: 'brackenholt-tile-45-cloth', role: 'back', ...lampPlaces.back },
          { lineId: 'quillfeather-ray-220-90-cm-dome', role: 'overhead', ...lampPlaces.overhead }
        ]
      });
    };
    expect(told('G10', both)).toEqual([['stop', 'load of quillfeather-ray-220-90-cm-dome']]);
  });

  it('a clip that ends is not hidden by heat that could be relieved', () => {
    const shortClips = (project: Project) =>
      project.ownGear.forEach((gear) => {
        if (gear.kind !== 'body') return;
        for (const mode of gear.modes) {
          delete mode.noRecordLimit;
          mode.recordLimitMin = 26.5;
        }
      });
    expect(told('B4', 'B15')).toEqual([]);
    expect(told('B4', 'B15', shortClips)).toEqual([['warn', '']]);
    expect(told('B15', 'B15', shortClips)).toHaveLength(1);
  });

  it('legs that tip and a boom without its sand are both told', () => {
    const abouts = told('S4', 'S4/boom', 'S4/legs').map(([, about]) => about);
    expect(abouts.sort()).toEqual(['boom arm', 'legs']);
  });
});
