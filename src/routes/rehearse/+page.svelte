<script lang="ts">
  import { Accordion, AccordionItem, Button } from 'carbon-components-svelte';
  import type { Act } from '$lib/core/acts/act';
  import type { HabitId } from '$lib/core/model/rehearsal';
  import { dayPlanOf, daysOf } from '$lib/core/rehearse/day-plan';
  import { dayStory } from '$lib/core/rehearse/day-words';
  import { learnedFrom } from '$lib/core/rehearse/logbook';
  import type { Luck } from '$lib/core/rehearse/day-outcome';
  import { showDay } from '$lib/core/rehearse/shown-day';
  import { rehearsing } from '$lib/core/rehearse/what-saves';
  import { satchel } from '$lib/state/project-store.svelte';
  import { RehearsalRun } from '$lib/state/rehearsal-run.svelte';
  import OneDay from '$lib/ui/rehearse/OneDay.svelte';
  import DayFrame from '$lib/ui/rehearse/DayFrame.svelte';
  import DayStory from '$lib/ui/rehearse/DayStory.svelte';
  import LevelsTable from '$lib/ui/rehearse/LevelsTable.svelte';
  import ListAndChances from '$lib/ui/rehearse/ListAndChances.svelte';
  import ManyDays from '$lib/ui/rehearse/ManyDays.svelte';
  import Savings from '$lib/ui/rehearse/Savings.svelte';
  import Guarded from '$lib/ui/shell/Guarded.svelte';

  /** The day of filming before it happens: one day against the clock, a thousand of them, and what would save them. */
  const many = new RehearsalRun();
  let sceneId = $state('');
  let byChance = $state(true);
  let chosenDay = $state<number | undefined>(undefined);
  let cursor = $state<number | undefined>(undefined);
  /** Lines tried on the day on screen, and kept nowhere. */
  let trying = $state.raw<readonly HabitId[] | undefined>(undefined);

  /** The change a sentence of the day has led to. */
  let marked = $state<string | undefined>(undefined);

  const project = $derived(satchel.project);
  const angles = $derived(satchel.judgement?.angles ?? []);
  const days = $derived(daysOf(angles));
  const day = $derived(
    days.find(({ scenes }) => scenes.some(({ id }) => id === sceneId)) ?? days[0]
  );
  const plan = $derived.by(() => {
    if (!project || !day) return undefined;
    const habits = [...(project.rehearsal?.habits ?? []), ...(trying ?? [])];
    return dayPlanOf(
      trying ? { ...project, rehearsal: { ...project.rehearsal, habits } } : project,
      angles,
      day,
      learnedFrom(project)
    );
  });
  /** Until one is chosen, a day that loses as many takes as the middle one of all that were run. */
  const dayNumber = $derived(chosenDay ?? many.days?.middleDay ?? 0);
  const luck = $derived<Luck | undefined>(
    byChance && plan ? { seed: plan.seed, day: dayNumber } : undefined
  );
  const shown = $derived(plan && plan.scenes.length > 0 ? showDay(plan, luck) : undefined);
  const story = $derived(shown ? dayStory(shown) : []);
  const atMin = $derived(
    Math.min(
      shown?.endsAtMin ?? 0,
      Math.max(shown?.startsAtMin ?? 0, cursor ?? story[0]?.atMin ?? 0)
    )
  );
  const act = (act: Act) => void satchel.act(act);

  /** What the days are run for: anew when any of it changes. */
  let ranFor = '';
  $effect(() => {
    if (!project || !day || !satchel.judgement) return;
    const about = JSON.stringify([
      project.id,
      day.scenes,
      project.rehearsal,
      project.logbook,
      satchel.plan?.lines,
      satchel.plan?.rigs
    ]);
    if (about === ranFor) return;
    ranFor = about;
    trying = undefined;
    cursor = undefined;
    marked = undefined;
    void many.run(project, day.scenes[0]!.id, luck);
  });
  $effect(() => () => many.stop());

  function filmOnOneDay() {
    if (!project) return;
    act({
      type: 'batch',
      acts: project.scenes.map(({ id }) => ({
        type: 'change scene' as const,
        sceneId: id,
        patch: { day: 1 }
      }))
    });
  }
</script>

<svelte:head><title>Rehearse · Hearty Satchel</title></svelte:head>
<h1 class="unseen">Rehearse</h1>
{#if project && satchel.judgement}
  {#if !plan || !shown || !day}
    <section class="card empty">
      <p>No scene is in the brief yet, so there is no day to run.</p>
      <a href="/brief">Say what you film</a>
    </section>
  {:else}
    <div class="bench">
      <div class="wide">
        <OneDay
          {days}
          {day}
          {plan}
          {shown}
          kit={satchel.judgement.kit}
          {atMin}
          {dayNumber}
          bind:byChance
          triedLines={trying?.length}
          onat={(minute) => (cursor = minute)}
          onday={(to) => (chosenDay = to)}
          onscene={(first) => {
            sceneId = first;
            chosenDay = undefined;
          }}
          ononeday={filmOnOneDay}
        />
        <Guarded what="Many days"
          ><ManyDays
            days={many.days}
            seed={plan.seed}
            running={many.running && (many.days?.days ?? 0) < (many.days?.of ?? 1)}
            stopped={many.stopped}
            onseed={(seed) => act(rehearsing(project, { seed }))}
            onrun={() => void many.run(project, day.scenes[0]!.id, luck)}
            onstop={() => many.stop()}
            onday={(to) => {
              byChance = true;
              chosenDay = to;
              cursor = undefined;
            }}
          /></Guarded
        >
        <section class="card more" aria-label="More of the day">
          <Accordion>
            <AccordionItem title="When it begins, and its takes">
              <DayFrame {project} {plan} onact={act} />
            </AccordionItem>
            <AccordionItem title="My lists, and how likely it is that something happens">
              <ListAndChances {project} onact={act} />
            </AccordionItem>
            <AccordionItem title="The day as a table">
              <LevelsTable {plan} {shown} />
            </AccordionItem>
          </Accordion>
        </section>
      </div>
      <aside>
        <DayStory
          {story}
          days={plan.days}
          savings={many.savings?.list ?? []}
          onat={(minute) => (cursor = minute)}
          onsaving={({ label }) => (marked = label)}
        />
        {#if many.failure}
          <p class="card fault" role="alert">
            The days broke off: {many.failure}
            <Button
              size="small"
              kind="ghost"
              on:click={() => void many.run(project, day.scenes[0]!.id, luck)}>Try again</Button
            >
          </p>
        {/if}
        <Guarded what="What would have saved it"
          ><Savings
            {project}
            savings={many.savings}
            takes={shown.outcome.takes}
            running={many.running}
            onact={act}
            ontry={(habits) =>
              (trying = habits?.filter((habit): habit is HabitId => habit !== undefined))}
            isTrying={trying !== undefined}
            {marked}
          /></Guarded
        >
        <p class="card to-log">
          <a href="/rehearse/logbook">Logbook</a>
          <span class="soft"
            >the real day afterwards, so that the next one is run from experience</span
          >
        </p>
      </aside>
    </div>
  {/if}
{/if}

<style>
  .bench {
    display: grid;
    grid-template-columns: minmax(0, 2.8fr) minmax(17rem, 1fr);
    gap: 0.9rem;
    align-items: start;
    overflow-wrap: anywhere;
  }

  .wide,
  aside {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    gap: 0.9rem;
  }

  .more :global(.bx--accordion__content) {
    padding-right: 1rem;
  }

  .more,
  .to-log,
  .empty,
  .fault {
    padding: 0.6rem 1rem;
    font-size: 0.8125rem;
  }

  .fault {
    color: var(--brick);
  }

  .to-log {
    display: grid;
  }

  @media (max-width: 1000px) {
    .bench {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
