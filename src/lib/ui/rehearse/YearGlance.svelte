<script lang="ts">
  import type { LogYear } from '../../core/rehearse/logbook';
  import { dayWords } from '../shell/day-words';

  /** A year of filming at a glance: a stitch a day, and what it lost. */
  interface Props {
    year: LogYear;
    onopen: (logId: string) => void;
  }
  const { year, onopen }: Props = $props();
</script>

<div class="year">
  {#each year.months as { name, days } (name)}
    <div>
      <span class="month">{name}</span>
      <span class="days">
        {#each days as { id, date, scenes, takes, takesLost } (id)}
          <button
            class:bad={takesLost > 0}
            aria-label="{dayWords(date)}, {scenes}: {takes - takesLost} of {takes} takes"
            title="{dayWords(date)}: {takes - takesLost} of {takes}"
            onclick={() => onopen(id)}>{takesLost > 0 ? '×' : '○'}</button
          >
        {/each}
      </span>
    </div>
  {/each}
</div>

<style>
  .year {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(3.6rem, 1fr));
    gap: 0.4rem;
  }

  .year > div {
    display: grid;
    align-content: start;
    gap: 0.2rem;
    min-height: 3rem;
    border-top: 2px solid var(--tan-line);
  }

  .month {
    color: var(--ink-soft);
    font-size: 0.75rem;
  }

  .days {
    display: flex;
    flex-wrap: wrap;
    gap: 0.15rem;
  }

  button {
    min-width: 1.5rem;
    min-height: 1.5rem;
    padding: 0;
    border: 0;
    border-radius: 6px;
    background: var(--moss-wash);
    color: var(--moss);
    cursor: pointer;
  }

  button.bad {
    background: var(--brick-wash);
    color: var(--brick);
  }
</style>
