<script lang="ts">
  import { Button, InlineNotification } from 'carbon-components-svelte';
  import { satchel } from '$lib/state/project-store.svelte';
  import { saveSatchel } from './save-satchel';

  const MOST_NAMED = 6;
  const named = $derived(satchel.unsaved.slice(0, MOST_NAMED).join('; '));
  const more = $derived(satchel.unsaved.length - MOST_NAMED);
</script>

<InlineNotification
  kind="error"
  lowContrast
  hideCloseButton
  title="Not saved yet: {named}{more > 0 ? ` and ${more} more` : ''}."
  subtitle="{satchel.unsavedWhy} It is tried again by itself; do not close the page before it says “all saved”."
>
  <svelte:fragment slot="actions">
    <span class="ways">
      <Button size="small" on:click={() => satchel.writeAgain()}>Try again now</Button>
      <Button size="small" kind="tertiary" on:click={saveSatchel}>Export now</Button>
    </span>
  </svelte:fragment>
</InlineNotification>

<style>
  .ways {
    display: flex;
    flex-wrap: wrap;
    gap: 0.5rem;
    align-items: center;
    padding: 0.4rem;
  }
</style>
