<script lang="ts" generics="Loaded">
  import type { Snippet } from 'svelte';

  /** A part of the page fetched when it is wanted. Where it cannot be fetched it says so in its place. */
  interface Props {
    load: () => Promise<{ default: Loaded }>;
    /** Shown while it is fetched; nothing unless given. */
    waiting?: Snippet;
    children: Snippet<[Loaded]>;
  }
  const { load, waiting, children }: Props = $props();

  /** A network that says nothing is told after this long. */
  const PATIENCE_MS = 8000;
  let asked = $state(0);

  function patiently(wanted: () => Promise<{ default: Loaded }>): Promise<{ default: Loaded }> {
    let timer: ReturnType<typeof setTimeout> | undefined;
    const late = new Promise<never>((_, reject) => {
      timer = setTimeout(() => reject(new Error('the network does not answer')), PATIENCE_MS);
    });
    return Promise.race([wanted(), late]).finally(() => clearTimeout(timer));
  }
  const loading = $derived.by(() => {
    void asked;
    return patiently(load);
  });
</script>

{#await loading}
  {@render waiting?.()}
{:then loaded}
  {@render children(loaded.default)}
{:catch}
  <p class="lost" role="alert">
    This part of the app could not be fetched. What you did is saved.
    <button class="text-button" onclick={() => (asked += 1)}>Try again</button>
    {#if asked > 0}<button class="text-button" onclick={() => location.reload()}
        >Load the page again</button
      >{/if}
  </p>
{/await}

<style>
  .lost {
    padding: 0.6rem 0.9rem;
    border: 1px dashed var(--brick);
    border-radius: 10px;
    background: var(--linen);
    font-size: 0.875rem;
  }

  button {
    padding: 0 0.25rem;
    font-weight: 600;
  }
</style>
