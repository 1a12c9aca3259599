<script lang="ts">
  import { Button, Select, SelectItem } from 'carbon-components-svelte';
  import type { DayLog } from '$lib/core/model/rehearsal';
  import { dayPlanOf, daysOf } from '$lib/core/rehearse/day-plan';
  import {
    draftLog,
    happenedWords,
    lessonsOf,
    logbookCsv,
    logbookMarkdown,
    wearOf,
    yearOf
  } from '$lib/core/rehearse/logbook';
  import { ageWords, boughtDays } from '$lib/core/ledger/owned-age';
  import { showDay } from '$lib/core/rehearse/shown-day';
  import { dayHere } from '$lib/state/as-of-today';
  import { ownedThings } from '$lib/state/inventory.svelte';
  import { satchel } from '$lib/state/project-store.svelte';
  import Lessons from '$lib/ui/rehearse/Lessons.svelte';
  import LogPage from '$lib/ui/rehearse/LogPage.svelte';
  import YearGlance from '$lib/ui/rehearse/YearGlance.svelte';
  import { dayWords } from '$lib/ui/shell/day-words';
  import { saveFile } from '$lib/ui/shell/save-file';

  /** The real days, afterwards: what happened, what it teaches, and how much each part has worked. */
  const today = dayHere(new Date());
  const project = $derived(satchel.project);
  const angles = $derived(satchel.judgement?.angles ?? []);
  const days = $derived(daysOf(angles));
  const logbook = $derived(project?.logbook ?? []);
  const pages = $derived([...logbook].sort((a, b) => (a.date < b.date ? 1 : -1)));
  const years = $derived(
    [...new Set([today.slice(0, 4), ...logbook.map(({ date }) => date.slice(0, 4))])]
      .sort()
      .reverse()
  );
  let yearChosen = $state('');
  const year = $derived(
    yearOf(logbook, Number(years.includes(yearChosen) ? yearChosen : years[0]))
  );
  const wear = $derived(wearOf(logbook, today, boughtDays(ownedThings.pieces)));
  $effect(() => {
    void ownedThings.open(false);
  });
  let open = $state.raw<DayLog | undefined>(undefined);
  let sceneId = $state('');

  const gearOfLine = (lineId: string) => satchel.judgement?.kit.byLine(lineId)?.gear;
  const dayName = (scenes: readonly { name: string }[]) =>
    scenes.map(({ name }) => name).join(', ');
  /** A page begins with what was reckoned when new, not with what was learned: it is what was learned from. */
  function begin() {
    const day = days.find(({ scenes }) => scenes.some(({ id }) => id === sceneId)) ?? days[0];
    if (!project || !day) return;
    const plan = dayPlanOf(project, angles, day);
    const date = day.scenes.find(({ filmedOn }) => filmedOn !== undefined)?.filmedOn ?? today;
    const id = `day-${crypto.randomUUID().slice(0, 12)}`;
    open = draftLog(plan, showDay(plan), angles, id, date);
  }
  const ageInWords = (months: number, isSinceFirstDay: boolean) =>
    isSinceFirstDay
      ? `${months > 0 ? 'over ' : ''}${ageWords(months)} in this book`
      : ageWords(months);
  function keep(log: DayLog) {
    open = undefined;
    void satchel.act({ type: 'put day log', log });
  }
  const nameOfFile = (ending: string) => `${project?.id ?? 'logbook'}-logbook.${ending}`;
</script>

<svelte:head><title>Logbook · Hearty Satchel</title></svelte:head>
{#if project && satchel.judgement}
  <div class="bench">
    <header>
      <a href="/rehearse">← Rehearse</a>
      <h1>Logbook</h1>
      <span class="soft">the real day, afterwards</span>
    </header>
    {#if open}
      {#key open.id}
        <LogPage log={open} {gearOfLine} onkeep={keep} oncancel={() => (open = undefined)} />
      {/key}
    {:else}
      <section class="card begin" aria-label="Write a day down">
        {#if days.length === 0}
          <p>No scene is in the brief yet. <a href="/brief">Say what you film</a></p>
        {:else}
          <Select
            size="sm"
            labelText="Which day was filmed"
            selected={sceneId || days[0]!.scenes[0]!.id}
            on:update={({ detail }) => (sceneId = String(detail))}
          >
            {#each days as { scenes } (scenes[0]!.id)}<SelectItem
                value={scenes[0]!.id}
                text={dayName(scenes)}
              />{/each}
          </Select>
          <Button size="small" on:click={begin}>Write a day down</Button>
        {/if}
      </section>
    {/if}
    <section class="card" aria-label="The year">
      <div class="head">
        <h2>{year.year}</h2>
        <span class="soft figures"
          >{year.takes - year.lost} of {year.takes} takes in the can; a ring is a whole day</span
        >
        {#if years.length > 1}
          <Select
            size="sm"
            labelText="Year"
            selected={`${year.year}`}
            on:update={({ detail }) => (yearChosen = String(detail))}
          >
            {#each years as year (year)}<SelectItem value={year} text={year} />{/each}
          </Select>
        {/if}
      </div>
      <YearGlance {year} onopen={(id) => (open = logbook.find((day) => day.id === id))} />
    </section>
    <div class="pair">
      <section class="card" aria-label="Days written down">
        <div class="head">
          <h2>Days</h2>
          {#if pages.length > 0}
            <Button
              size="small"
              kind="ghost"
              on:click={() => saveFile(nameOfFile('csv'), 'text/csv', logbookCsv(logbook))}
              >Save CSV</Button
            >
            <Button
              size="small"
              kind="ghost"
              on:click={() =>
                saveFile(nameOfFile('md'), 'text/markdown', logbookMarkdown(project.name, logbook))}
              >Save Markdown</Button
            >
          {/if}
        </div>
        {#if pages.length === 0}
          <p class="soft">None yet. Write the first one down after you have filmed.</p>
        {/if}
        <ul>
          {#each pages as log (log.id)}
            <li>
              <b>{dayWords(log.date)}: {log.scenes}</b>
              <span class="figures"
                >{log.takes - log.takesLost} of {log.takes} takes{log.setUpMin === undefined
                  ? ''
                  : `, set up in ${log.setUpMin} min`}{happenedWords(log) === ''
                  ? ''
                  : `; ${happenedWords(log)}`}</span
              >
              {#if log.note}<span class="soft">{log.note}</span>{/if}
              <span class="acts">
                <Button size="small" kind="ghost" on:click={() => (open = log)}
                  >Correct<span class="unseen"> {dayWords(log.date)}</span></Button
                >
                <Button
                  size="small"
                  kind="ghost"
                  on:click={() => void satchel.act({ type: 'remove day log', logId: log.id })}
                  >Delete<span class="unseen"> {dayWords(log.date)}</span></Button
                >
              </span>
            </li>
          {/each}
        </ul>
      </section>
      <div class="column">
        <section class="card" aria-label="What it teaches">
          <h2>What it teaches</h2>
          <Lessons
            lessons={lessonsOf(project)}
            {project}
            {gearOfLine}
            onact={(act) => void satchel.act(act)}
          />
        </section>
        <section class="card" aria-label="How much each part has worked">
          <h2>How much each part has worked</h2>
          {#if wear.length === 0}<p class="soft">Nothing written down yet.</p>{:else}
            <div class="scroll">
              <table>
                <thead
                  ><tr
                    ><th scope="col">part</th><th scope="col" class="n">days</th><th
                      scope="col"
                      class="n">recorded</th
                    ><th scope="col">age</th><th scope="col">first and last</th></tr
                  ></thead
                >
                <tbody>
                  {#each wear as { gearId, name, days: count, hours, firstOn, lastOn, ageMonths, isAgeSinceFirstDay } (gearId)}
                    <tr>
                      <th scope="row">{name}</th>
                      <td class="n figures">{count}</td>
                      <td class="n figures">{hours.toFixed(1)} h</td>
                      <td class="age">{ageInWords(ageMonths, isAgeSinceFirstDay)}</td>
                      <td class="figures"
                        >{dayWords(firstOn)}{lastOn === firstOn
                          ? ''
                          : ` to ${dayWords(lastOn)}`}</td
                      >
                    </tr>
                  {/each}
                </tbody>
              </table>
            </div>
          {/if}
        </section>
      </div>
    </div>
  </div>
{/if}

<style>
  .bench,
  .column {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    gap: 0.9rem;
    align-content: start;
    overflow-wrap: anywhere;
  }

  .pair {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 1.1fr);
    gap: 0.9rem;
    align-items: start;
  }

  header,
  .head,
  .begin {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem 1rem;
    align-items: baseline;
  }

  .begin {
    align-items: end;
  }

  .begin :global(.bx--form-item),
  .head :global(.bx--form-item) {
    flex: 0 1 18rem;
  }

  h1 {
    font-size: 1.4rem;
  }

  section {
    padding: 0.8rem 1rem;
    font-size: 0.8125rem;
  }

  ul {
    padding: 0;
    margin: 0;
    list-style: none;
  }

  li {
    display: grid;
    gap: 0.15rem;
    padding: 0.5rem 0;
    border-top: 1px dashed var(--line);
  }

  .acts {
    display: flex;
    gap: 0.4rem;
  }

  .scroll {
    position: relative;
    overflow-x: auto;
  }

  table {
    width: 100%;
    border-collapse: collapse;
  }

  th,
  td {
    padding: 0.25rem 0.5rem;
    border-bottom: 1px dashed var(--line);
    text-align: left;
  }

  tbody th {
    font-weight: 400;
  }

  .n {
    text-align: right;
  }

  @media (max-width: 900px) {
    .pair {
      grid-template-columns: minmax(0, 1fr);
    }
  }

  .age {
    min-width: 7.5rem;
    overflow-wrap: normal;
  }
</style>
