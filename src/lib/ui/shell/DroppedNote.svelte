<script lang="ts">
  import { library } from '$lib/state/library.svelte';

  const { onback }: { onback: () => void } = $props();

  async function bringBack() {
    if (library.deleted) await library.bringBack(library.deleted.number);
    onback();
  }
</script>

{#if library.deleted}
  <p role="status">
    <b>{library.deleted.name}</b> is deleted; a copy is kept for 30 days, under Plans and projects.
    <button onclick={bringBack}>bring back</button>
  </p>
{/if}

<style>
  button {
    min-height: 1.5rem;
    padding: 0;
    border: 0;
    background: none;
    color: var(--moss);
    font-weight: 600;
    text-decoration: underline;
    cursor: pointer;
  }
</style>
