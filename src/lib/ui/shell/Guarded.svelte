<script lang="ts">
  import type { Snippet } from 'svelte';

  /** A part of a view that stands alone: what goes wrong while it is drawn is told in its place, and the rest works. */
  interface Props {
    /** As a sentence begins: "The list of candidates". */
    what: string;
    children: Snippet;
  }
  const { what, children }: Props = $props();

  const wordsOf = (error: unknown) =>
    (error instanceof Error ? error.message : String(error)).replace(/\.$/, '');
</script>

<svelte:boundary>
  {@render children()}
  {#snippet failed(error, reset)}
    <p class="card lost" role="alert">
      {what} could not be drawn: {wordsOf(error)}. What you did is saved.
      <button class="text-button" onclick={reset}>Try again</button>
    </p>
  {/snippet}
</svelte:boundary>

<style>
  .lost {
    padding: 0.7rem 0.9rem;
    font-size: 0.875rem;
  }

  button {
    padding: 0 0.25rem;
    font-weight: 600;
  }
</style>
