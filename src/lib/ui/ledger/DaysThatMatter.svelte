<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import { calendarOf } from '../../core/ledger/calendar';
  import type { MoneyDay } from '../../core/ledger/steps';
  import type { Project } from '../../core/model/project';
  import { dayWords } from '../shell/day-words';
  import { saveFile } from '../shell/save-file';

  interface Props {
    days: readonly MoneyDay[];
    project: Project;
  }
  const { days, project }: Props = $props();

  function saveCalendar() {
    saveFile(
      'money-days.ics',
      'text/calendar',
      calendarOf(project.name, project.id, days, new Date())
    );
  }
</script>

<section class="card" aria-label="Days that matter">
  <header>
    <h2>Days that matter</h2>
    {#if days.length > 0}<Button size="small" kind="tertiary" on:click={saveCalendar}
        >Save as a calendar (.ics)</Button
      >{/if}
  </header>
  {#if days.length === 0}
    <p class="soft">
      No deal or cash-back ends, no step lies ahead and no scene has its day. Say what you put aside
      each month, when a claim ends, or in the brief when a scene is filmed.
    </p>
  {:else}
    <ul class="days">
      {#each days as day (day.day + day.what)}
        <li><b class="figures">{dayWords(day.day)}</b> {day.what}</li>
      {/each}
    </ul>
  {/if}
</section>

<style>
  .card {
    min-width: 0;
    padding: 0.8rem 1rem;
  }

  header {
    display: flex;
    flex-wrap: wrap;
    gap: 0.2rem 1rem;
    align-items: baseline;
    justify-content: space-between;
    margin-bottom: 0.4rem;
  }

  .soft {
    padding: 0.1rem 0;
  }

  .days {
    display: grid;
    gap: 0.35rem;
    margin: 0;
    padding: 0.3rem 0;
    font-size: 0.8125rem;
    list-style: none;
  }
</style>
