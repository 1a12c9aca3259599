import { catalogue } from '$lib/catalogue/load-catalogue';
import { judgePlan } from '$lib/core/judge/judge-plan';
import { activePlan } from '$lib/core/model/active-plan';
import { makeShelf } from '$lib/core/model/shelf';
import { pricedFor } from '$lib/core/money/priced-shelf';
import { dayPlanOf, daysOf } from '$lib/core/rehearse/day-plan';
import { blameWords, dayStory } from '$lib/core/rehearse/day-words';
import { learnedFrom } from '$lib/core/rehearse/logbook';
import { runDays } from '$lib/core/rehearse/many-days';
import { showDay } from '$lib/core/rehearse/shown-day';
import { satchelArgument } from './satchel-argument';

const clock = (minute: number): string => {
  const whole = Math.floor(minute) % (24 * 60);
  return `${String(Math.floor(whole / 60)).padStart(2, '0')}:${String(whole % 60).padStart(2, '0')}`;
};
const percent = (share: number): string => `${Math.round(share * 100)} %`;

/** 0 every day as planned is whole, 1 takes are lost, 2 the file cannot be rehearsed. */
function main(args: readonly string[]): number {
  const file = satchelArgument(args, 'rehearse');
  if (!file) return 2;
  const { project, shelf: own } = file;
  const shelf = pricedFor(project, makeShelf(catalogue.items, own, project.ownGear));
  const { angles } = judgePlan(project, activePlan(project), shelf);
  const days = daysOf(angles).map((day) => {
    const plan = dayPlanOf(project, angles, day, learnedFrom(project));
    const asPlanned = showDay(plan);
    return { plan, asPlanned, story: dayStory(asPlanned), many: runDays(plan) };
  });
  if (args.includes('--json'))
    console.log(
      JSON.stringify(
        days.map(({ plan, asPlanned, story, many }) => ({
          scenes: plan.scenes.map(({ id, name, takes, takeMin }) => ({ id, name, takes, takeMin })),
          days: plan.days,
          seed: plan.seed,
          unsaid: plan.unsaid,
          asPlanned: { ...asPlanned.outcome, segments: asPlanned.segments, story },
          many
        })),
        null,
        2
      )
    );
  else
    for (const { plan, asPlanned, story, many } of days) {
      const { takes, lost } = asPlanned.outcome;
      console.log(plan.scenes.map(({ name }) => name).join(', '));
      console.log(`  as planned: ${takes - lost.length} of ${takes} takes in the can`);
      for (const { atMin, text } of story) console.log(`    ${clock(atMin)} ${text}`);
      for (const unsaid of plan.unsaid) console.log(`    not run, for nobody states it: ${unsaid}`);
      const { whole, meanLost, days: run, seed } = many;
      console.log(
        `  ${run} days of seed ${seed}: ${percent(whole.share)} whole (${percent(whole.low)} to ${percent(whole.high)}), ${meanLost.mean.toFixed(2)} takes lost on the mean`
      );
      for (const blame of many.blames.slice(0, 5))
        console.log(`    ${percent(blame.takes / many.lostTakes)} ${blameWords(blame)}`);
    }
  return days.some(({ asPlanned }) => asPlanned.outcome.lost.length > 0) ? 1 : 0;
}

process.exit(main(process.argv.slice(2)));
