<script lang="ts">
  import { cautionsFor } from '../../core/judge/cautions';
  import type { Judgement } from '../../core/judge/judgement';
  import Fold from '../shell/Fold.svelte';

  const { judgement }: { judgement: Judgement } = $props();
  const cautions = $derived(cautionsFor(judgement));
</script>

{#if cautions.length > 0}
  <div class="card cautions">
    <Fold title="Usual cautions · {cautions.map(({ topic }) => topic.toLowerCase()).join(', ')}">
      <dl>
        {#each cautions as { topic, text }, index (index)}
          <dt>{topic}</dt>
          <dd>{text}</dd>
        {/each}
      </dl>
    </Fold>
  </div>
{/if}

<style>
  .cautions {
    padding: 0.35rem 0.8rem;
    border-left: 5px dashed var(--ochre);
    font-size: 0.8125rem;
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
