<script lang="ts">
  import { cautionsFor } from '../../core/judge/cautions';
  import type { Judgement } from '../../core/judge/judgement';

  const { judgement }: { judgement: Judgement } = $props();
  const cautions = $derived(cautionsFor(judgement));
</script>

{#if cautions.length > 0}
  <details class="card">
    <summary>Usual cautions · {cautions.map(({ topic }) => topic.toLowerCase()).join(', ')}</summary
    >
    <dl>
      {#each cautions as { topic, text }, at (at)}
        <dt>{topic}</dt>
        <dd>{text}</dd>
      {/each}
    </dl>
  </details>
{/if}

<style>
  details {
    padding: 0.55rem 0.8rem;
    border-left: 5px dashed var(--ochre);
    font-size: 0.8125rem;
  }

  summary {
    cursor: pointer;
  }

  dl {
    margin-top: 0.4rem;
  }

  dt {
    font-family: var(--display);
    font-weight: 600;
  }

  dd {
    margin-bottom: 0.4rem;
    color: var(--ink-soft);
  }
</style>
