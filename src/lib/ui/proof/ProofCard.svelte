<script lang="ts">
  import type { Snippet } from 'svelte';

  /** A card beside the takes: its name, what one does in it, and how that is set. */
  interface Props {
    title: string;
    /** What it is called aloud, where its title does not say it. */
    label?: string;
    children: Snippet;
  }
  const { title, label = title, children }: Props = $props();
</script>

<section class="card" aria-label={label}>
  <h2>{title}</h2>
  {@render children()}
</section>

<style>
  section {
    display: grid;
    gap: 0.4rem;
    align-content: start;
    padding: 0.8rem 1rem;
    font-size: 0.8125rem;
    overflow-wrap: anywhere;
  }

  h2 {
    font-size: 1rem;
  }

  /* A button is as wide as its words. */
  section > :global(.bx--btn) {
    justify-self: start;
  }

  section :global(video) {
    width: 100%;
    border-radius: 8px;
  }

  section :global(.row) {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem;
  }

  section :global(.fault) {
    color: var(--brick);
  }
</style>
