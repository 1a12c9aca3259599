<script lang="ts">
  import { TextInput } from 'carbon-components-svelte';
  import type { FigureId } from '../../core/figures/table';
  import type { Finding } from '../../core/findings/finding';
  import type { Remedy } from '../../core/judge/settle';
  import { formatMoney } from '../../core/money/format';
  import RemedyButton from './RemedyButton.svelte';
  import { partly, priceOf } from './remedy-words';

  type RemedySearch = 'going on' | 'done' | 'broken off';
  interface Props {
    finding: Finding;
    remedies: readonly Remedy[] | undefined;
    /** How far looking for remedies has come. */
    search: RemedySearch;
    currency: string;
    onremedy: (remedy: Remedy) => void;
    onwhy: (finding: Finding, figure: FigureId) => void;
    /** Lets the finding be, with a reason that is kept. */
    onignore: (reason: string) => void;
  }
  const { finding, remedies, search, currency, onremedy, onwhy, onignore }: Props = $props();

  let asking = $state(false);
  let reason = $state('');
  /** The reason was asked for and not given. */
  let missing = $state(false);
  const price = (remedy: Remedy) =>
    priceOf(remedy, (minor) => formatMoney(minor, currency, { short: true }));

  let reasonInput = $state<HTMLInputElement | null>(null);
  $effect(() => reasonInput?.focus());

  function letBe(event: SubmitEvent) {
    event.preventDefault();
    if (reason.trim() === '') {
      missing = true;
      reasonInput?.focus();
      return;
    }
    onignore(reason.trim());
    asking = false;
  }
</script>

<div class="whole">
  <p class="reason">
    {finding.why()}
    {#if finding.figure && finding.sceneId}
      <button class="text-button how" onclick={() => onwhy(finding, finding.figure!)}
        >How is that worked out?</button
      >
    {/if}
  </p>
  <div class="remedies">
    {#each remedies ?? [] as remedy, index (index)}
      <span class="remedy">
        <RemedyButton
          label={remedy.label}
          price={price(remedy)}
          first={index === 0}
          ontake={() => onremedy(remedy)}
        />
        {#if !remedy.mends}<span class="aside">{partly(remedy)}</span>{/if}
        {#each remedy.brings as brought, index (index)}<span class="aside"
            >side effects: {brought}</span
          >{/each}
      </span>
    {:else}
      {#if search === 'going on'}<span class="aside">looking for remedies…</span>
      {:else if search === 'done'}<span class="aside"
          >Nothing on the shelf mends it; change the scene or the limit.</span
        >{/if}
    {/each}
    {#if !asking}
      <button
        class="text-button how be"
        onclick={() => (asking = true)}
        aria-label="Ignore: {finding.title()}">ignore</button
      >
    {/if}
  </div>
  {#if asking}
    <form onsubmit={letBe}>
      <TextInput
        size="sm"
        labelText="Why can it be ignored?"
        bind:value={reason}
        bind:ref={reasonInput}
        maxlength={500}
        invalid={missing && reason.trim() === ''}
        invalidText="Write the reason first; it is shown beside the finding."
        on:keydown={(event) => {
          if (event.key === 'Escape') asking = false;
        }}
      />
      <button class="text-button how">Save the reason</button>
      <button class="text-button how" type="button" onclick={() => (asking = false)}>Cancel</button>
    </form>
  {/if}
</div>

<style>
  .whole {
    padding: 0.1rem 0.8rem 0.65rem 1.5rem;
  }

  .how {
    font-size: 0.8125rem;
  }

  .remedies {
    display: flex;
    flex-wrap: wrap;
    gap: 0.35rem;
    align-items: center;
  }

  .remedy {
    display: inline-flex;
    flex-wrap: wrap;
    gap: 0.35rem;
    align-items: center;
  }

  .aside {
    color: var(--ink-soft);
    font-size: 0.75rem;
    font-style: italic;
  }

  .be {
    margin-left: auto;
    color: var(--ink-soft);
  }

  form {
    display: flex;
    flex-wrap: wrap;
    gap: 0.3rem 0.8rem;
    align-items: end;
    margin-top: 0.5rem;
  }
</style>
