import { demoOf, demos } from '$lib/catalogue/demos';
import { shelfOf } from '$lib/catalogue/load-catalogue';
import { judgePlan } from '$lib/core/judge/judge-plan';
import { activePlan } from '$lib/core/model/active-plan';
import type { Project } from '$lib/core/model/project';
import { dayPlanOf, daysOf } from '$lib/core/rehearse/day-plan';
import { type DayPlan } from '$lib/core/rehearse/planned-day';
import { DAYS_RUN, runDays } from '$lib/core/rehearse/many-days';
import { showDay } from '$lib/core/rehearse/shown-day';
import { lookingForSavings } from '$lib/core/rehearse/what-saves';
import { median, sampleMicroseconds } from './measure';

/** All scenes of a project on one day. */
function oneDay(project: Project): { project: Project; plan: DayPlan } {
  for (const scene of project.scenes) scene.day = 1;
  const { angles } = judgePlan(project, activePlan(project), shelfOf(project));
  return { project, plan: dayPlanOf(project, angles, daysOf(angles)[0]!) };
}

/** Segments of a day: every take, pause, way and swap is one. */
const eventsOf = (plan: DayPlan): number => {
  const { segments, events } = showDay(plan);
  return segments.length + events.length;
};

function line(name: string, plan: DayPlan, days = DAYS_RUN): number {
  const ms = median(sampleMicroseconds(5, () => void runDays(plan, days))) / 1000;
  const events = eventsOf(plan) * days;
  console.log(
    `${name.padEnd(46)} ${ms.toFixed(0).padStart(5)} ms, ${(events / ms / 1000).toFixed(1)} million events a second`
  );
  return ms;
}

const scaled = (plan: DayPlan, times: number): DayPlan => ({
  ...plan,
  scenes: plan.scenes.map((scene) => ({ ...scene, takes: scene.takes * times })),
  endsAtMin: 1e6
});

/** The same day with every device several times over, each on batteries of its own. */
function crowded(plan: DayPlan, times: number): DayPlan {
  const { devices, pieces } = plan;
  const more = Array.from({ length: times - 1 }, (_, index) => index + 1);
  return {
    ...plan,
    pieces: [...pieces, ...more.flatMap(() => pieces)],
    devices: [
      ...devices,
      ...more.flatMap((index) =>
        devices.map((device) => ({
          ...device,
          kind: 'lamp' as const,
          pieces: device.pieces.map((piece) => piece + index * pieces.length)
        }))
      )
    ],
    scenes: plan.scenes.map((scene) => ({
      ...scene,
      uses: [
        ...scene.uses,
        ...more.flatMap((index) =>
          devices.map((_, device) => ({
            device: device + index * devices.length,
            watts: 1,
            minutes: 1
          }))
        )
      ]
    }))
  };
}

console.log(`${DAYS_RUN} days, median of one run\n`);
for (const { id, name } of demos) line(`${name}, all on one day`, oneDay(await demoOf(id)).plan);

const { plan, project } = oneDay(await demoOf('saltmarsh-loom'));
console.log('\nGrowth, the loom');
for (const days of [250, 1000, 4000]) line(`${days} days`, plan, days);
for (const times of [1, 4, 16]) line(`${times} × the takes`, scaled(plan, times));
for (const times of [1, 4, 16]) line(`${times} × the devices`, crowded(plan, times));

const began = performance.now();
const savings = lookingForSavings(project, shelfOf(project), project.scenes[0]!.id, undefined);
let steps = 0;
for (;;) {
  steps += 1;
  if (savings.next().done === true) break;
}
console.log(
  `\nWhat would have saved it: ${steps} steps in ${Math.round(performance.now() - began)} ms; heap ${Math.round(process.memoryUsage().heapUsed / 1e6)} MB`
);
