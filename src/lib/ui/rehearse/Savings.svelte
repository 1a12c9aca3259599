<script lang="ts">
  import { tick } from 'svelte';
  import { Button, InlineLoading } from 'carbon-components-svelte';
  import type { Act } from '../../core/acts/act';
  import type { Project } from '../../core/model/project';
  import { formatMoney } from '../../core/money/format';
  import type { Saving, Savings } from '../../core/rehearse/what-saves';

  /** What would have kept takes, free first, then by what a pound keeps. */
  interface Props {
    project: Project;
    savings: Savings | undefined;
    /** Takes of the day on screen. */
    takes: number;
    running: boolean;
    onact: (act: Act) => void;
    /** Looks at the day as it would go with these lines, changing nothing. */
    ontry: (habits: Saving['habit'][] | undefined) => void;
    isTrying: boolean;
    /** The one a sentence of the day has led to. */
    marked: string | undefined;
  }
  const { project, savings, takes, running, onact, ontry, isTrying, marked }: Props = $props();

  const MOST_SHOWN = 7;
  let all = $state(false);
  $effect(() => {
    if (marked === undefined) return;
    all = true;
    void tick().then(() => {
      const row = document.querySelector(`[data-saving="${CSS.escape(marked)}"]`);
      row?.scrollIntoView({ block: 'nearest' });
      row?.querySelector('button')?.focus();
    });
  });
  const list = $derived(savings?.list ?? []);
  const most = $derived(Math.max(1, ...list.map(({ savedPer100Days }) => savedPer100Days)));
  const stitches = (saved: number) => Math.max(1, Math.round((16 * saved) / most));
  const together = $derived(savings?.together);
</script>

<section aria-label="What would have saved it">
  <h2>What would have saved it <span class="soft">takes saved in 100 days</span></h2>
  <div class="card">
    {#if list.length === 0}
      <p class="none">
        {#if running}<InlineLoading
            description="trying changes on the same days"
          />{:else if savings?.isDone}
          Nothing tried saves a take worth telling.
        {:else}Not looked for yet.{/if}
      </p>
    {/if}
    <ul>
      {#each all ? list : list.slice(0, MOST_SHOWN) as saving (saving.label + saving.detail)}
        <li data-saving={saving.label} class:marked={saving.label === marked}>
          <span class="price figures" class:free={saving.costMinor <= 0}
            >{saving.costMinor <= 0
              ? 'free'
              : formatMoney(saving.costMinor, project.currency, { short: true })}</span
          >
          <span class="what"><b>{saving.label}</b><span class="soft">{saving.detail}</span></span>
          <span class="row">
            <span class="stitches" class:paid={saving.costMinor > 0} aria-hidden="true"
              >{#each Array.from({ length: stitches(saving.savedPer100Days) }, (_, index) => index) as mark (mark)}<i
                ></i>{/each}</span
            >
            <b class="figures">{Math.round(saving.savedPer100Days)}</b>
            {#if saving.savedPerMajor !== undefined}<span class="soft figures"
                >{saving.savedPerMajor.toFixed(1)} for {formatMoney(100, project.currency, {
                  short: true
                })}</span
              >{/if}
            <Button size="small" kind="ghost" on:click={() => onact(saving.act)}
              >{saving.costMinor > 0 ? 'Take it' : saving.habit ? 'Put on my list' : 'Do so'}<span
                class="unseen">: {saving.label}, {saving.detail}</span
              ></Button
            >
          </span>
        </li>
      {/each}
    </ul>
    {#if list.length > MOST_SHOWN}
      <Button size="small" kind="ghost" on:click={() => (all = !all)}
        >{all ? 'Show fewer' : `Show all ${list.length}`}</Button
      >
    {/if}
    {#if together}
      <div class="together">
        <p>
          {together.habits.length === 1
            ? 'The free line'
            : `The ${together.habits.length} free lines together`}:
          <b>{takes - together.lostThisDay} of {takes}</b>
          on this day, <b>{Math.round(together.whole.share * 100)} in 100</b> such days whole.
        </p>
        <div class="pair">
          <Button size="small" on:click={() => onact(together.act)}>Put them on my list</Button>
          <Button
            size="small"
            kind="tertiary"
            on:click={() => ontry(isTrying ? undefined : [...together.habits])}
            >{isTrying ? 'Show the day as it is' : 'Try the day so'}</Button
          >
        </div>
      </div>
    {/if}
    {#if running && list.length > 0}<InlineLoading description="trying more" />{/if}
  </div>
</section>

<style>
  h2 {
    display: flex;
    flex-wrap: wrap;
    gap: 0.2rem 0.8rem;
    justify-content: space-between;
    align-items: baseline;
    padding: 0 0.2rem 0.3rem;
    font-size: 0.9375rem;
  }

  ul {
    padding: 0;
    margin: 0;
    list-style: none;
  }

  li {
    display: grid;
    grid-template-columns: 3rem minmax(0, 1fr);
    gap: 0.15rem 0.6rem;
    align-items: start;
    padding: 0.35rem 0.7rem;
    font-size: 0.8125rem;
  }

  li.marked {
    background: var(--moss-wash);
  }

  li + li {
    border-top: 1px dashed var(--line);
  }

  .price {
    padding: 0.1rem 0.3rem;
    border: 1px dashed var(--ochre);
    border-radius: 6px;
    text-align: center;
    font-weight: 600;
  }

  .price.free {
    border: 1px solid var(--moss);
    background: var(--moss);
    color: var(--on-moss);
  }

  .what {
    display: grid;
    gap: 0.1rem;
    min-width: 0;
  }

  .row {
    display: flex;
    grid-column: 2;
    gap: 0.5rem;
    align-items: center;
  }

  .row > :global(.bx--btn) {
    margin-left: auto;
  }

  .stitches i {
    display: inline-block;
    width: 3px;
    height: 8px;
    margin-right: 2px;
    background: var(--moss);
    transform: skewX(-22deg);
  }

  .stitches.paid i {
    background: var(--ochre);
  }

  .soft {
    font-weight: 400;
  }

  .none,
  .together {
    padding: 0.7rem 0.9rem;
    font-size: 0.8125rem;
  }

  .together {
    border-radius: 0 0 var(--round) var(--round);
    background: var(--moss-wash);
  }

  .pair {
    display: flex;
    flex-wrap: wrap;
    gap: 0.5rem;
    margin-top: 0.5rem;
  }
</style>
