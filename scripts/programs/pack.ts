import { catalogue } from '$lib/catalogue/load-catalogue';
import { fullName } from '$lib/core/model/gear';
import type { Project } from '$lib/core/model/project';
import { makeShelf, type Shelf } from '$lib/core/model/shelf';
import { formatMoney } from '$lib/core/money/format';
import { pricedFor } from '$lib/core/money/priced-shelf';
import { frontSteps } from '$lib/core/pack/front-steps';
import { packAnswerOf } from '$lib/core/pack/pack-answer';
import { noRules } from '$lib/core/pack/pack-rules';
import { pack } from '$lib/core/pack/packing';
import { waysOut } from '$lib/core/pack/ways-out';
import { satchelArgument } from './satchel-argument';

/** 0 a kit within the budget films all, 1 none was found, 2 the file cannot be packed. */
function main(args: readonly string[]): number {
  const file = satchelArgument(args, 'pack');
  if (!file) return 2;
  const { project, shelf: own } = file;
  const shelf = pricedFor(project, makeShelf(catalogue.items, own, project.ownGear));
  const found = pack(project, shelf);
  const answer = packAnswerOf(project, shelf, found);
  if (args.includes('--json')) console.log(JSON.stringify(answer, null, 2));
  else {
    const say = (minor: number) => formatMoney(minor, project.currency);
    const share = answer.bound
      ? answer.isProven
        ? `no kit for ${say(answer.spendableMinor)} is worth more than the best found: proven`
        : `no kit for ${say(answer.spendableMinor)} can be worth more than ${(answer.bound.hundredths / 100).toFixed(1)}; the best found is within ${answer.bound.gapPercent} % of that`
      : 'the best found, not proven best';
    console.log(`${answer.judged} kits judged; ${share}.\n`);
    for (const step of frontSteps(project, shelf, found.front)) {
      const marks = [
        step.isGoodEnough ? 'good enough' : '',
        step.isBestForBudget ? `best for ${say(answer.spendableMinor)}` : ''
      ].filter(Boolean);
      console.log(
        `${say(step.priceMinor).padStart(12)}  worth ${(step.merit.meritHundredths / 100).toFixed(1)}  ${marks.join(', ')}`
      );
    }
    const { best } = answer;
    if (best) {
      console.log(`\nFor ${say(answer.spendableMinor)}, ${say(best.priceMinor)}:`);
      for (const { gearId, quantity, basis } of best.lines) {
        const gear = shelf.byId.get(gearId);
        console.log(`  ${quantity} × ${gear ? fullName(gear) : gearId}, ${basis}`);
      }
    }
  }
  const films = answer.best && answer.best.mustDoWorking === answer.best.mustDoScenes;
  if (!films && !args.includes('--json')) tellWaysOut(project, shelf);
  return films ? 0 : 1;
}

/** What of all that is set stands in the way, each change by itself. */
function tellWaysOut(project: Project, shelf: Shelf): void {
  const looking = waysOut(project, shelf, noRules);
  let step = looking.next();
  while (step.done !== true) step = looking.next();
  const { ways } = step.value;
  console.log(
    ways.length > 0
      ? '\nWhat would let a kit film all that must be filmed:'
      : '\nNo single change of what is set was found to be enough.'
  );
  for (const { label, kit } of ways)
    console.log(
      `  ${label}: then a kit for ${formatMoney(kit.priceMinor, project.currency)} films all`
    );
}

process.exit(main(process.argv.slice(2)));
