<script lang="ts">
  import { Modal } from 'carbon-components-svelte';
  import type { Why } from '../../core/figures/why';
  import type { UnitSystem } from '../../core/model/project';
  import WhyTree from './WhyTree.svelte';

  interface Props {
    open: boolean;
    title: string;
    why: Why | undefined;
    units: UnitSystem;
  }
  let { open = $bindable(), title, why, units }: Props = $props();
</script>

<Modal bind:open passiveModal modalHeading={title} size="sm">
  {#if why}
    <p class="lead">
      Worked out from what you measured and what the makers state. Open any line to see what it
      stands on.
    </p>
    <WhyTree {why} {units} open />
  {/if}
</Modal>

<style>
  .lead {
    margin-bottom: 0.6rem;
    padding: 0;
    color: var(--ink-soft);
  }
</style>
