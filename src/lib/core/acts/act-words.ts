import { fullName } from '../model/gear';
import type { Project } from '../model/project';
import { activePlan } from '../model/active-plan';
import type { Shelf } from '../model/shelf';
import type { Act } from './act';

/** What an act does, for the undo button and the log. `project` is the state before it. */
export function actWords(act: Act, project: Project, shelf: Shelf): string {
  const nameOfLine = (lineId: string) => {
    const line = activePlan(project).lines.find((line) => line.id === lineId);
    const gear = line && shelf.byId.get(line.gearId);
    return gear ? fullName(gear) : 'a part';
  };
  const nameOfScene = (sceneId: string) =>
    project.scenes.find((scene) => scene.id === sceneId)?.name ?? 'a scene';
  switch (act.type) {
    case 'add line': {
      const gear = shelf.byId.get(act.line.gearId);
      return `add ${gear ? fullName(gear) : 'a part'}`;
    }
    case 'change line':
      if (act.patch.step === 'later') return `move ${nameOfLine(act.lineId)} to later`;
      if (act.patch.state === 'owned') return `mark ${nameOfLine(act.lineId)} as owned`;
      return `change ${nameOfLine(act.lineId)}`;
    case 'step quantity':
      return `change ${nameOfLine(act.lineId)}`;
    case 'remove line':
      return `remove ${nameOfLine(act.lineId)}`;
    case 'move line':
      return `move ${nameOfLine(act.lineId)}`;
    case 'set rig':
      return `set up ${nameOfScene(act.sceneId)}`;
    case 'set project':
      return 'change the settings';
    case 'change currency':
      return `keep the money in ${act.currency}`;
    case 'set pocket limit':
      return `set the ${act.pocket} pocket limit`;
    case 'note prices':
      return `note ${act.observations.length} ${act.observations.length === 1 ? 'price' : 'prices'}`;
    case 'set price alert':
      return act.alert.atMostMinor === undefined ? 'take a price alert away' : 'set a price alert';
    case 'put income':
      return `note ${act.income.label}`;
    case 'remove income':
      return `delete ${project.incomes?.find(({ id }) => id === act.incomeId)?.label ?? 'an income'}`;
    case 'lock angle':
      return `lock ${nameOfScene(act.lock.sceneId)}`;
    case 'unlock angle':
      return `unlock ${nameOfScene(act.sceneId)}`;
    case 'put day log':
      return `write the day of ${act.log.date} into the logbook`;
    case 'remove day log':
      return `delete the day of ${project.logbook?.find(({ id }) => id === act.logId)?.date ?? 'the logbook'}`;
    case 'add scene':
      return `add scene ${act.scene.name}`;
    case 'change scene':
    case 'change angle':
      return `change ${nameOfScene(act.sceneId)}`;
    case 'remove scene':
      return `delete ${nameOfScene(act.sceneId)}`;
    case 'put gear':
      return `save ${fullName(act.gear)}`;
    case 'put many gear':
      return `save ${act.gear.length} parts`;
    case 'remove gear': {
      const gear = shelf.byId.get(act.gearId);
      return `delete ${gear ? fullName(gear) : 'a part'}`;
    }
    case 'add angle':
      return `add an angle to ${nameOfScene(act.sceneId)}`;
    case 'remove angle':
      return `delete an angle of ${nameOfScene(act.sceneId)}`;
    case 'add plan':
      return `add ${act.plan.name}`;
    case 'show plan':
      return 'show another plan';
    case 'rename plan':
      return `rename a plan to ${act.name}`;
    case 'remove plan':
      return `delete ${project.plans.find(({ id }) => id === act.planId)?.name ?? 'a plan'}`;
    case 'ignore':
      return 'ignore a finding';
    case 'bring back':
      return 'bring a finding back';
    case 'replace project':
      return `open ${act.project.name}`;
    case 'batch':
      return act.acts[0] ? actWords(act.acts[0], project, shelf) : 'nothing';
  }
}
