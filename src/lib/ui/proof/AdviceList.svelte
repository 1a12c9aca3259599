<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import type { Act } from '../../core/acts/act';
  import type { Advice } from '../../core/takes/sound-verdict';

  /** What to change, in the maker's own terms; what only needs to be said of the scene is one press. */
  interface Props {
    title: string;
    list: readonly Advice[];
    onact: (act: Act) => void;
  }
  const { title, list, onact }: Props = $props();
</script>

{#if list.length > 0}
  <h3>{title}</h3>
  <ul>
    {#each list as { does, brings, act } (does)}
      <li>
        {#if act}
          <Button size="small" kind="tertiary" on:click={() => onact(act)}>{does}</Button>
        {:else}<b>{does}</b>{/if}
        <span class="soft">{brings}</span>
      </li>
    {/each}
  </ul>
{/if}

<style>
  h3 {
    margin-top: 0.5rem;
    font-size: 0.8125rem;
  }

  ul {
    padding: 0;
    margin: 0;
    list-style: none;
  }

  li {
    display: grid;
    gap: 0.15rem;
    padding: 0.3rem 0;
    font-size: 0.8125rem;
  }

  li > b {
    justify-self: start;
    padding: 0.1rem 0.6rem;
    border-radius: 999px;
    background: var(--tan);
  }
</style>
