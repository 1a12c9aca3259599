import { pricedFor } from '../../src/lib/core/money/priced-shelf';
import { catalogue } from '$lib/catalogue/load-catalogue';
import { evaluate } from '$lib/core/judge/evaluation';
import { evaluationText } from '$lib/core/judge/evaluation-text';
import { activePlan } from '$lib/core/model/active-plan';
import { makeShelf } from '$lib/core/model/shelf';
import { satchelArgument } from './satchel-argument';

/** 0 nothing stops the kit, 1 a stop stands, 2 the file cannot be judged. */
function main(args: readonly string[]): number {
  const file = satchelArgument(args, 'judge');
  if (!file) return 2;
  const { project, shelf } = file;
  const plan = activePlan(project);
  const evaluation = evaluate(
    project,
    plan,
    pricedFor(project, makeShelf(catalogue.items, shelf, project.ownGear))
  );
  if (args.includes('--json')) console.log(JSON.stringify(evaluation, null, 2));
  else {
    const scenes = Object.fromEntries(project.scenes.map((scene) => [scene.id, scene.name]));
    console.log(evaluationText(evaluation, { project: project.name, plan: plan.name, scenes }));
  }
  return evaluation.merit.stops > 0 ? 1 : 0;
}

process.exitCode = main(process.argv.slice(2));
