<script lang="ts">
  import { figureWords } from '../../core/figures/figure-words';
  import type { Why } from '../../core/figures/why';
  import type { UnitSystem } from '../../core/model/project';
  import WhyTree from './WhyTree.svelte';

  interface Props {
    why: Why;
    units: UnitSystem;
    open?: boolean;
  }
  const { why, units, open = false }: Props = $props();

  const sourceWords = {
    brief: 'you said so in the brief',
    body: 'stated of the body',
    lens: 'stated of the lens',
    microphone: 'stated of the microphone',
    lamp: 'stated of the lamp',
    support: 'stated of the support',
    card: 'stated of the card',
    battery: 'stated of the battery',
    filter: 'stated of the filter',
    setting: 'as it is set or placed',
    kit: 'counted in the kit'
  } as const;
  const value = $derived(
    why.state === 'unknown'
      ? 'unknown'
      : (why.word ?? (why.value === undefined ? '' : figureWords(why.value, why.unit, units)))
  );
</script>

{#if why.inputs.length > 0}
  <details {open}>
    <summary><span class="name">{why.name}</span> <b class="figures">{value}</b></summary>
    <p class="relation">{why.relation}</p>
    {#if why.refused}<p class="relation">{why.refused}</p>{/if}
    <ul>
      {#each why.inputs as input, index (index)}<li><WhyTree why={input} {units} /></li>{/each}
    </ul>
  </details>
{:else}
  <p class="leaf">
    <span class="name">{why.name}</span> <b class="figures">{value}</b>
    <span class="source">{why.source ? sourceWords[why.source] : ''}</span>
  </p>
{/if}

<style>
  details {
    margin: 0.15rem 0;
  }

  summary {
    cursor: pointer;
  }

  ul {
    margin-left: 0.45rem;
    padding-left: 0.9rem;
    border-left: 1.5px dashed var(--tan-line);
  }

  .relation {
    padding: 0 0 0.15rem 1.1rem;
    color: var(--ink-soft);
    font-family: var(--code);
    font-size: 0.75rem;
  }

  .leaf {
    margin: 0.15rem 0;
    padding: 0 0 0 1.05rem;
  }

  .source {
    color: var(--ink-soft);
    font-size: 0.75rem;
    font-style: italic;
  }
</style>
