import { fullName } from '../model/gear';
import type { Project } from '../model/project';
import { activePlan } from '../model/active-plan';
import type { Shelf } from '../model/shelf';
import type { Act } from './act';

/** What an act does, for the undo button and the log. `project` is the state before it. */
export function actWords(act: Act, project: Project, shelf: Shelf): string {
  const nameOfLine = (lineId: string) => {
    const line = activePlan(project).lines.find((one) => one.id === lineId);
    const gear = line && shelf.byId.get(line.gearId);
    return gear ? fullName(gear) : 'a part';
  };
  const nameOfScene = (sceneId: string) =>
    project.scenes.find((scene) => scene.id === sceneId)?.name ?? 'a scene';
  switch (act.type) {
    case 'add line': {
      const gear = shelf.byId.get(act.line.gearId);
      return `take ${gear ? fullName(gear) : 'a part'}`;
    }
    case 'change line':
      if (act.patch.step === 'later') return `put ${nameOfLine(act.lineId)} off`;
      if (act.patch.state === 'owned') return `own ${nameOfLine(act.lineId)} already`;
      return `change ${nameOfLine(act.lineId)}`;
    case 'step quantity':
      return `change ${nameOfLine(act.lineId)}`;
    case 'remove line':
      return `leave ${nameOfLine(act.lineId)}`;
    case 'move line':
      return `move ${nameOfLine(act.lineId)}`;
    case 'set rig':
      return `set up ${nameOfScene(act.sceneId)}`;
    case 'set project':
      return 'change the plan’s frame';
    case 'set pocket limit':
      return `limit the ${act.pocket} pocket`;
    case 'add scene':
      return `film ${act.scene.name}`;
    case 'change scene':
    case 'change angle':
      return `change ${nameOfScene(act.sceneId)}`;
    case 'remove scene':
      return `drop ${nameOfScene(act.sceneId)}`;
    case 'put gear':
      return `note ${fullName(act.gear)}`;
    case 'put many gear':
      return `note ${act.gear.length} parts`;
    case 'remove gear': {
      const gear = shelf.byId.get(act.gearId);
      return `forget ${gear ? fullName(gear) : 'a part'}`;
    }
    case 'add angle':
      return `film ${nameOfScene(act.sceneId)} from another angle`;
    case 'remove angle':
      return `drop an angle of ${nameOfScene(act.sceneId)}`;
    case 'add plan':
      return `begin ${act.plan.name}`;
    case 'show plan':
      return 'show another plan';
    case 'rename plan':
      return `call a plan ${act.name}`;
    case 'remove plan':
      return `drop ${project.plans.find(({ id }) => id === act.planId)?.name ?? 'a plan'}`;
    case 'dismiss':
      return 'let a finding be';
    case 'recall':
      return 'bring a finding back';
    case 'replace project':
      return `open ${act.project.name}`;
    case 'together':
      return act.acts[0] ? actWords(act.acts[0], project, shelf) : 'nothing';
  }
}
