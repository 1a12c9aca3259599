<script lang="ts">
  import { Modal } from 'carbon-components-svelte';
  import { keys } from './views';

  let { open = $bindable(false) }: { open?: boolean } = $props();
</script>

<Modal bind:open passiveModal modalHeading="Keys" size="sm">
  <dl>
    {#each keys as { keys: press, does } (press)}
      <dt>{press}</dt>
      <dd>{does}</dd>
    {/each}
  </dl>
</Modal>

<style>
  dl {
    display: grid;
    grid-template-columns: max-content 1fr;
    gap: 0.4rem 1.25rem;
  }

  dt {
    font-family: var(--code);
    font-size: 0.8125rem;
  }
</style>
