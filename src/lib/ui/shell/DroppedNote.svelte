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
    <button class="text-button" onclick={bringBack}>bring back</button>
  </p>
{/if}

<style>
  button {
    font-weight: 600;
  }
</style>
