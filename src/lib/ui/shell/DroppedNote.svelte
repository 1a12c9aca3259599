<script lang="ts">
  import { satchel } from '$lib/state/project-store.svelte';

  const { onback }: { onback: () => void } = $props();

  async function bringBack() {
    await satchel.bringBack();
    onback();
  }
</script>

{#if satchel.dropped}
  <p role="status">
    <b>{satchel.dropped.row.project.name}</b> is dropped, and gone once this tab is closed.
    <button onclick={bringBack}>bring it back</button>
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
