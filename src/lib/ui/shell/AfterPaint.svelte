<script lang="ts">
  import type { Snippet } from 'svelte';

  /**
   * What is drawn in a task of its own, after the browser has shown what stands before it: a large view at once would hold
   * up a slow machine.
   */
  interface Props {
    children: Snippet;
  }
  const { children }: Props = $props();

  let shown = $state(false);
  $effect(() => {
    let task: ReturnType<typeof setTimeout> | undefined;
    const frame = requestAnimationFrame(() => {
      task = setTimeout(() => (shown = true));
    });
    return () => {
      cancelAnimationFrame(frame);
      clearTimeout(task);
    };
  });
</script>

{#if shown}{@render children()}{/if}
