<script lang="ts">
  import {
    Accordion,
    AccordionItem,
    Button,
    ContentSwitcher,
    Select,
    SelectItem,
    Switch
  } from 'carbon-components-svelte';
  import type { Act } from '$lib/core/acts/act';
  import { pocketOf } from '$lib/core/model/gear';
  import type { HabitId } from '$lib/core/model/rehearsal';
  import { dayPlanOf, daysOf } from '$lib/core/rehearse/day-plan';
  import { dayStory } from '$lib/core/rehearse/day-words';
  import { learnedFrom } from '$lib/core/rehearse/logbook';
  import type { Luck } from '$lib/core/rehearse/day-outcome';
  import { showDay } from '$lib/core/rehearse/shown-day';
  import { rehearsing } from '$lib/core/rehearse/what-saves';
  import { satchel } from '$lib/state/project-store.svelte';
  import { RehearsalRun } from '$lib/state/rehearsal-run.svelte';
  import { glyphOf } from '$lib/ui/glyphs/glyph-of';
  import { clockWords } from '$lib/ui/rehearse/clock-words';
  import DayChart from '$lib/ui/rehearse/DayChart.svelte';
  import DayFrame from '$lib/ui/rehearse/DayFrame.svelte';
  import DayStory from '$lib/ui/rehearse/DayStory.svelte';
  import LevelsTable from '$lib/ui/rehearse/LevelsTable.svelte';
  import ListAndChances from '$lib/ui/rehearse/ListAndChances.svelte';
  import ManyDays from '$lib/ui/rehearse/ManyDays.svelte';
  import Savings from '$lib/ui/rehearse/Savings.svelte';
  import { levelAt } from '$lib/ui/rehearse/strip-at';
  import { dayWords } from '$lib/ui/shell/day-words';
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
  const at = $derived(
    Math.min(
      shown?.endsAtMin ?? 0,
      Math.max(shown?.startsAtMin ?? 0, cursor ?? story[0]?.atMin ?? 0)
    )
  );
  /** Minutes worth stopping at. */
  const stops = $derived(
    shown
      ? [
          ...new Set([
            ...shown.segments.flatMap(({ kind, fromMin, toMin }) =>
              kind === 'take' ? [fromMin, toMin] : [fromMin]
            ),
            ...shown.events.map(({ atMin }) => atMin),
            ...shown.outcome.lost.map(({ atMin }) => atMin)
          ])
        ].sort((one, other) => one - other)
      : []
  );
  function step(by: 1 | -1) {
    const next =
      by > 0 ? stops.find((one) => one > at + 1e-6) : stops.findLast((one) => one < at - 1e-6);
    if (next !== undefined) cursor = next;
  }
  const doing = $derived(
    shown?.segments.find(({ fromMin, toMin }) => fromMin <= at + 1e-6 && at < toMin) ??
      shown?.segments.at(-1)
  );
  const nowWords = $derived(
    doing && plan && shown
      ? `${doing.kind === 'take' ? `take ${doing.take + 1} of ${plan.scenes[doing.scene]!.name}` : doing.kind}: ${shown.strips
          .map(
            (strip) =>
              `${strip.name} ${strip.kind === 'bank' ? '' : `${strip.kind} `}${Math.round(levelAt(strip, at) * 100)} %`
          )
          .join(', ')}`
      : ''
  );
  const partOf = (lineId: string) => satchel.judgement?.kit.byLine(lineId);
  const glyphOfLine = (lineId: string) => {
    const part = partOf(lineId);
    return part ? glyphOf(part.gear) : 'battery';
  };
  const colourOfLine = (lineId: string) => {
    const part = partOf(lineId);
    // The camera's battery is the power pocket's business.
    return part && part.gear.kind !== 'body'
      ? `var(--pocket-${pocketOf(part.gear)})`
      : 'var(--pocket-power)';
  };
  const dayName = (scenes: readonly { name: string; filmedOn?: string }[]) => {
    const date = scenes.find(({ filmedOn }) => filmedOn !== undefined)?.filmedOn;
    const names = scenes.map(({ name }) => name).join(', ');
    return date ? `${dayWords(date)}: ${names}` : names;
  };
  const act = (one: Act) => void satchel.act(one);

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
  const inTheCan = $derived(shown ? shown.outcome.takes - shown.outcome.lost.length : 0);
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
        <section class="card day" aria-label="One day">
          <header>
            <h2>
              {dayName(day.scenes)}{plan.days > 1
                ? `, ${plan.days} days ${plan.hasSocketAtNight ? 'in a row' : 'away'}`
                : ''}
            </h2>
            <span class="clock">
              <button aria-label="To the moment before" onclick={() => step(-1)}>◂</button>
              <b class="figures">{clockWords(at, plan.days)}</b>
              <button aria-label="To the next moment" onclick={() => step(1)}>▸</button>
            </span>
            <p class="can">
              <b class:bad={inTheCan < shown.outcome.takes}
                >{inTheCan} of {shown.outcome.takes} takes in the can</b
              > · what is left in each
            </p>
          </header>
          <div class="choose">
            {#if days.length > 1}
              <Select
                size="sm"
                labelText="Which day"
                selected={day.scenes[0]!.id}
                on:update={({ detail }) => {
                  sceneId = String(detail);
                  chosenDay = undefined;
                }}
              >
                {#each days as { scenes } (scenes[0]!.id)}<SelectItem
                    value={scenes[0]!.id}
                    text={dayName(scenes)}
                  />{/each}
              </Select>
              <Button size="small" kind="ghost" on:click={filmOnOneDay}
                >Film all scenes on one day</Button
              >
            {/if}
            <ContentSwitcher
              size="sm"
              selectedIndex={byChance ? 1 : 0}
              on:change={({ detail }) => (byChance = detail === 1)}
            >
              <Switch text="As planned" />
              <Switch text="With chance" />
            </ContentSwitcher>
            {#if byChance}
              <span class="pager">
                <Button
                  size="small"
                  kind="ghost"
                  disabled={dayNumber === 0}
                  on:click={() => (chosenDay = dayNumber - 1)}>Day before</Button
                >
                <span class="figures"
                  >day {(dayNumber + 1).toLocaleString()} of seed {plan.seed}</span
                >
                <Button size="small" kind="ghost" on:click={() => (chosenDay = dayNumber + 1)}
                  >Next day</Button
                >
              </span>
            {/if}
            {#if trying}<b class="trying">tried with {trying.length} lines more on your lists</b
              >{/if}
          </div>
          <Guarded what="The day"
            ><DayChart
              {plan}
              {shown}
              {at}
              {glyphOfLine}
              {colourOfLine}
              onat={(minute) => (cursor = minute)}
            /></Guarded
          >
          <p class="now figures" role="status">{clockWords(at, plan.days)} · {nowWords}</p>
          {#if plan.unsaid.length > 0}
            <p class="soft">
              Not run, for nobody states it: {plan.unsaid.join('; ')}.
              <a href="/satchel#to-settle">What to ask</a>
            </p>
          {/if}
        </section>
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
              (trying = habits?.filter((one): one is HabitId => one !== undefined))}
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

  .day {
    padding: 0.8rem 1rem;
    outline: 1px dashed var(--tan-line);
    outline-offset: -6px;
  }

  header {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem 1.2rem;
    align-items: baseline;
  }

  h2 {
    font-size: 1.1rem;
  }

  .can {
    margin-left: auto;
    color: var(--ink-soft);
    font-size: 0.8125rem;
  }

  .can b {
    color: var(--moss);
  }

  .can b.bad {
    color: var(--ink);
  }

  .clock {
    display: inline-flex;
    align-items: center;
    border-radius: 999px;
    background: var(--ink);
    color: var(--canvas);
    font-size: 0.8125rem;
  }

  .clock button {
    min-width: 1.7rem;
    min-height: 1.5rem;
    border: 0;
    background: none;
    color: inherit;
    cursor: pointer;
  }

  .choose {
    display: flex;
    flex-wrap: wrap;
    gap: 0.5rem 0.9rem;
    align-items: end;
    margin: 0.5rem 0;
    font-size: 0.8125rem;
  }

  .choose :global(.bx--form-item) {
    flex: 0 1 16rem;
  }

  .choose :global(.bx--content-switcher) {
    width: 15rem;
  }

  .pager {
    display: inline-flex;
    align-items: center;
  }

  .trying {
    color: var(--moss);
  }

  .now,
  .soft {
    color: var(--ink-soft);
    font-size: 0.75rem;
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
