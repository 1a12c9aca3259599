<script lang="ts">
  import { Button, InlineLoading } from 'carbon-components-svelte';
  import type { Act } from '../../core/acts/act';
  import type { SettledAll, SettlingWay } from '../../core/judge/settle-all';
  import { formatMoney } from '../../core/money/format';
  import Fold from '../shell/Fold.svelte';
  import { priceOf } from './remedy-words';

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

  function take(act: Act | undefined) {
    if (act) onact(act);
    found = undefined;
  }

  const others = $derived.by(() => {
    if (!found) return [];
    const { fewestChanges, mostWorth } = found;
    const worth = (way: SettlingWay) => (way.meritHundredths / 100).toFixed(1);
    return [
      ...(fewestChanges ? [{ name: 'With fewer changes', way: fewestChanges }] : []),
      ...(mostWorth
        ? [{ name: `Worth ${worth(mostWorth)} in place of ${worth(found)}`, way: mostWorth }]
        : [])
    ];
  });
</script>

{#snippet changes(way: SettlingWay)}
  <ol>
    {#each way.steps as step, index (index)}
      <li>
        <span class="label">{step.label}</span>
        <span class="figures">{priceOf(step, money) || 'free'}</span>
        <span class="for">{step.finding}</span>
      </li>
    {/each}
  </ol>
  {#if way.left.length > 0}<p class="left">Still blocked: {way.left.join('; ')}</p>{/if}
{/snippet}

<div class="all" aria-live="polite">
  {#if found}
    <div class="card found">
      <h3>
        {found.steps.length === 0
          ? 'Nothing on the shelf unblocks the rest'
          : `${found.workingAfter} of ${found.mustDoScenes} must-do scenes work, ${priceOf(found, money) || 'for free'}`}
      </h3>
      {@render changes(found)}
      <div class="buttons">
        {#if found.act}<Button size="small" on:click={() => take(found?.act)}
            >Make these {found.steps.length === 1
              ? 'one change'
              : `${found.steps.length} changes`}</Button
          >{/if}
        <Button size="small" kind="ghost" on:click={() => (found = undefined)}>Cancel</Button>
      </div>
      {#each others as { name, way } (name)}
        <Fold title="{name}: {priceOf(way, money) || 'free'}">
          {@render changes(way)}
          <Button size="small" kind="tertiary" on:click={() => take(way.act)}
            >Make these instead<span class="unseen">, {name}</span></Button
          >
        </Fold>
      {/each}
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
    margin-bottom: 0.4rem;
  }
</style>
