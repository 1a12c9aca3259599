<script lang="ts">
  import type { FigureId } from '../../core/figures/table';
  import type { Finding } from '../../core/findings/finding';
  import type { Remedy } from '../../core/judge/settle';
  import { formatMoney } from '../../core/money/format';
  import Lazy from '../shell/Lazy.svelte';
  import RemedyButton from './RemedyButton.svelte';
  import { partly, priceOf } from './remedy-words';
  import { severityGlyphs, severityWords } from './severity-words';

  interface Props {
    finding: Finding;
    scenes: readonly string[];
    remedies: readonly Remedy[] | undefined;
    /** How far looking for remedies has come. */
    search: 'going on' | 'done' | 'broken off';
    currency: string;
    onremedy: (remedy: Remedy) => void;
    onwhy: (finding: Finding, figure: FigureId) => void;
    onignore: (reason: string) => void;
  }
  const { finding, scenes, remedies, search, currency, onremedy, onwhy, onignore }: Props =
    $props();

  let open = $state(false);
  const best = $derived(remedies?.[0]);
  const bodyId = $derived(`finding-${finding.key.replace(/[^A-Za-z0-9]+/g, '-')}`);
</script>

<li class="card {finding.severity}" data-code={finding.code}>
  <button class="line" aria-expanded={open} aria-controls={bodyId} onclick={() => (open = !open)}>
    <span class="glyph" aria-hidden="true">{severityGlyphs[finding.severity]}</span>
    <span class="words">
      <span class="title">{finding.title()}</span>
      <span class="kind"
        >{severityWords[finding.severity]}{scenes.length > 0 ? ` · ${scenes.join(', ')}` : ''}</span
      >
    </span>
    <span class="fold" aria-hidden="true">{open ? '−' : '+'}</span>
  </button>
  {#if !open}
    <div class="best">
      {#if best}
        <span class="remedy">
          <RemedyButton
            label={best.label}
            price={priceOf(best, (minor) => formatMoney(minor, currency, { short: true }))}
            ontake={() => onremedy(best)}
          />
          {#if !best.mends}<span class="aside">{partly(best)}</span>{/if}
          {#if best.brings.length > 0}<span class="aside">with side effects</span>{/if}
        </span>
        {#if (remedies?.length ?? 0) > 1}<button
            class="text-button more"
            onclick={() => (open = true)}>{remedies!.length - 1} more</button
          >{/if}
      {:else if search === 'going on'}<span class="aside">looking for remedies…</span>
      {:else if search === 'done'}<span class="aside">no remedy on the shelf</span>{/if}
    </div>
  {:else}
    <div id={bodyId}>
      <Lazy load={() => import('./FindingCard.svelte')}
        >{#snippet children(FindingCard)}
          <FindingCard {finding} {remedies} {search} {currency} {onremedy} {onwhy} {onignore} />
        {/snippet}</Lazy
      >
    </div>
  {/if}
</li>

<style>
  li {
    border-left: 5px solid var(--line);
  }

  .stop {
    border-left-color: var(--brick);
  }

  .warn {
    border-left-color: var(--ochre);
    border-left-style: double;
  }

  .note {
    border-left-color: var(--pocket-body);
    border-left-style: dotted;
  }

  .line {
    display: flex;
    gap: 0.45rem;
    align-items: baseline;
    width: 100%;
    padding: 0.4rem 0.6rem 0.15rem;
    border: 0;
    background: none;
    color: inherit;
    font: inherit;
    text-align: left;
    cursor: pointer;
  }

  .words {
    flex: 1;
    min-width: 0;
  }

  .title {
    display: block;
    font-size: 0.8125rem;
    font-weight: 600;
    line-height: 1.3;
    overflow-wrap: anywhere;
  }

  .kind {
    color: var(--ink-soft);
    font-size: 0.6875rem;
  }

  .glyph {
    font-size: 0.7rem;
  }

  .stop .glyph {
    color: var(--brick);
  }

  .warn .glyph {
    color: var(--ochre-ink);
  }

  .fold {
    color: var(--ink-soft);
    font-weight: 600;
  }

  .best {
    display: flex;
    flex-wrap: wrap;
    gap: 0.3rem 0.5rem;
    align-items: center;
    padding: 0.1rem 0.6rem 0.5rem 1.5rem;
  }

  .remedy {
    display: inline-flex;
    flex-wrap: wrap;
    gap: 0.3rem 0.5rem;
    align-items: center;
  }

  .aside {
    color: var(--ink-soft);
    font-size: 0.75rem;
    font-style: italic;
  }

  .more {
    font-size: 0.75rem;
  }

  @media (max-width: 900px) {
    .line {
      min-height: 2.75rem;
    }
  }
</style>
