import { describe, expect, it } from 'vitest';
import { catalogue, shelfOf } from '../../catalogue/load-catalogue';
import { cardsOf } from '../cards/cards';
import { applyAct } from '../acts/apply-act';
import { chooseBestInScene, doWithoutInScene, useInScene } from '../acts/use-in-scene';
import { activePlan } from '../model/active-plan';
import type { GearOf } from '../model/gear';
import type { Project } from '../model/project';
import { soundDestinationOf } from '../rigs/sound-path';
import { evaluationOf } from './evaluation';
import { settingsOf } from './settings';
import { calmKit, codes, judged, line, ownCopy, swap, without } from './tests/calm-kit';

const bodyId = 'orrowby-linnet-ii';
const recorderId = 'withrick-pocket-scribe';
/** The calm kit with a body that takes no microphone; its recorder lies beside the speaker. */
function withoutInput(): Project {
  const project = calmKit();
  ownCopy<GearOf<'body'>>(project, bodyId, (gear) => {
    gear.ports = gear.ports.filter(({ role }) => role !== 'audioIn');
    gear.ownMicrophone = true;
  });
  return project;
}
const into = (project: Project) => soundDestinationOf(judged(project).angles[0]!.rig)?.gear.id;
const figure = (project: Project, id: 'inputNoise' | 'inputFullScale') =>
  judged(project).angles[0]!.record[id];

describe('the voice', () => {
  it('goes into the camera where the kit leads there, a recorder beside it or not', () => {
    expect(into(calmKit())).toBe(bodyId);
    expect(figure(calmKit(), 'inputNoise')).toBe(
      (judged(calmKit()).kit.of('body')[0]!.gear as GearOf<'body'>).inputNoiseDbV
    );
  });

  it('goes into a recorder where the camera takes none, judged by that one’s own noise', () => {
    const project = withoutInput();
    expect(into(project)).toBe(recorderId);
    expect(codes(project)).not.toContain('B3');
    expect(figure(project, 'inputNoise')).toBe(-112);
    // It sets its own level.
    expect(figure(project, 'inputFullScale')).toBeUndefined();
    expect(settingsOf(judged(project).angles[0]!)).toContainEqual(
      expect.objectContaining({
        name: 'Voice recorded on',
        set: 'Pocket Scribe, beside the speaker'
      })
    );
    without(project, recorderId);
    expect(codes(project)).toContain('B3');
  });

  it('goes where somebody has said, while that is in the kit: the recorder, or the camera', () => {
    const project = calmKit();
    const scene = project.scenes[0]!;
    const line = activePlan(project).lines.find(({ gearId }) => gearId === recorderId)!;
    const gear = catalogue.byId.get(recorderId)!;
    const beside = applyAct(project, useInScene(scene, line, gear)!);
    expect(into(beside)).toBe(recorderId);
    // The recorder is quieter, so the voice stands no lower over what is heard.
    expect(figure(beside, 'inputNoise')).toBe(-112);
    expect(into(applyAct(beside, chooseBestInScene(scene, 'recorder')!))).toBe(bodyId);
    expect(into(applyAct(beside, { type: 'remove line', lineId: line.id }))).toBe(bodyId);
    const far = {
      ...project,
      scenes: [{ ...scene, angles: [{ ...scene.angles[0]!, distanceM: 8 }] }]
    };
    expect(into(far)).toBe(recorderId);
    const toCamera = applyAct(far, doWithoutInScene(scene, 'recorder')!);
    expect(into(toCamera)).toBe(bodyId);
    expect(codes(toCamera)).toContain('A11');
  });

  it('of a microphone on USB goes into the computer: laid together by a clap, or by what the camera hears', () => {
    const project = calmKit();
    without(project, recorderId);
    swap(project, 'dunmarrow-burr', 'nibsworth-table');
    const apart = (kit: Project) =>
      settingsOf(judged(kit).angles[0]!).find(({ name }) => name === 'Voice recorded on')?.set;
    expect(apart(project)).toBe('the computer, over USB');
    const computer = catalogue.ofKind('computer')[0]!;
    activePlan(project).lines.push(line(computer.id));
    expect(apart(project)).toBe(`${computer.model}, over USB`);
    const { scenes } = evaluationOf(
      project,
      activePlan(project),
      shelfOf(project),
      judged(project)
    );
    const own = activePlan(project).lines.find(({ gearId }) => gearId === computer.id)!;
    expect(scenes[0]!.rig.recordsIntoLineId).toBe(own.id);
    expect(codes(project)).not.toContain('A8');
    ownCopy<GearOf<'body'>>(project, bodyId, (gear) => (gear.ownMicrophone = false));
    expect(codes(project)).toContain('A8');
    expect(
      cardsOf(project, judged(project))
        .flatMap(({ groups }) => groups)
        .flatMap(({ items }) => items.map(({ text }) => text))
        .join('\n')
    ).toContain('records Table');
    project.scenes[0]!.live = true;
    expect(apart(project)).toBeUndefined();
    expect(codes(project)).not.toContain('A8');
  });

  it('goes into a recorder where the cable to the camera is not there or too short', () => {
    const project = calmKit();
    project.scenes[0]!.angles[0]!.distanceM = 8;
    expect(codes(project)).not.toContain('A11');
    expect(into(project)).toBe(recorderId);
    without(project, recorderId);
    expect(codes(project)).toContain('A11');
  });

  it('needs sync sound then, and the recorder its own battery and card', () => {
    const deaf = withoutInput();
    ownCopy<GearOf<'body'>>(deaf, bodyId, (gear) => {
      gear.ports = gear.ports.filter(({ role }) => role !== 'audioIn');
      gear.ownMicrophone = false;
    });
    deaf.ownGear = [deaf.ownGear.at(-1)!];
    expect(codes(deaf)).toContain('A8');

    const withSlot = withoutInput();
    ownCopy<GearOf<'recorder'>>(withSlot, recorderId, (gear) => {
      delete gear.internalStorageGb;
      gear.batteryType = 'Thimble cell';
      gear.ports.push({ family: 'card', type: 'microSD', end: 'socket', role: 'card' });
    });
    const severity = (code: string) =>
      judged(withSlot).findings.find((finding) => finding.code === code)?.severity;
    expect([severity('T5'), severity('P7')]).toEqual(['stop', 'stop']);
    // Beside a camera that hears, neither stops anything.
    const beside = calmKit();
    beside.ownGear = [withSlot.ownGear.at(-1)!];
    const there = judged(beside).findings.filter(({ code }) => code === 'T5' || code === 'P7');
    expect(there.map((finding) => finding.severity)).toEqual(['note', 'note']);
  });
});
