<script lang="ts">
  import { Button, InlineLoading } from 'carbon-components-svelte';
  import type { Act } from '../../core/acts/act';
  import type { SettledAll } from '../../core/judge/settle-all';
  import { formatMoney } from '../../core/money/format';
  import { priceOf } from './remedy-price';

  interface Props {
    currency: string;
    /** Looks for the changes; they are shown before they are made. */
    onlook: () => Promise<SettledAll>;
    onact: (act: Act) => void;
  }
  const { currency, onlook, onact }: Props = $props();

  let looking = $state(false);
  let failure = $state('');
  let found = $state.raw<SettledAll | undefined>(undefined);
  const money = (minor: number) => formatMoney(minor, currency, { short: true });

  async function look() {
    looking = true;
    failure = '';
    try {
      found = await onlook();
    } catch (error) {
      failure = error instanceof Error ? error.message : String(error);
    } finally {
      looking = false;
    }
  }

  function take() {
    if (found?.act) onact(found.act);
    found = undefined;
  }
</script>

<div class="all" aria-live="polite">
  {#if found}
    <div class="card found">
      <h3>
        {found.steps.length === 0
          ? 'Nothing on the shelf unblocks the rest'
          : `${found.workingAfter} of ${found.mustDoScenes} must-do scenes work, ${priceOf(found, money) || 'for free'}`}
      </h3>
      <ol>
        {#each found.steps as step, at (at)}
          <li>
            <span class="label">{step.label}</span>
            <span class="figures">{priceOf(step, money) || 'free'}</span>
            <span class="for">{step.finding}</span>
          </li>
        {/each}
      </ol>
      {#if found.left.length > 0}<p class="left">Still blocked: {found.left.join('; ')}</p>{/if}
      <div class="buttons">
        {#if found.act}<Button size="small" on:click={take}
            >Make these {found.steps.length === 1
              ? 'one change'
              : `${found.steps.length} changes`}</Button
          >{/if}
        <Button size="small" kind="ghost" on:click={() => (found = undefined)}>Cancel</Button>
      </div>
    </div>
  {:else if looking}
    <InlineLoading description="Looking for the cheapest changes…" />
  {:else}
    <Button size="small" kind="tertiary" on:click={look}>Settle all that blocks</Button>
    {#if failure}<p class="left" role="alert">It could not be looked for: {failure}</p>{/if}
  {/if}
</div>

<style>
  .all {
    margin-bottom: 0.6rem;
  }

  .found {
    padding: 0.6rem 0.8rem 0.7rem;
    border-left: 5px solid var(--moss);
  }

  h3 {
    font-family: var(--text);
    font-size: 0.875rem;
    font-weight: 600;
  }

  ol {
    display: grid;
    gap: 0.35rem;
    margin: 0.4rem 0 0.6rem;
    padding-left: 1.1rem;
    list-style: decimal;
    font-size: 0.8125rem;
  }

  .label {
    font-weight: 600;
    overflow-wrap: anywhere;
  }

  .for,
  .left {
    display: block;
    color: var(--ink-soft);
    font-size: 0.75rem;
  }

  .buttons {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem;
  }
</style>
