<script lang="ts">
  import { Modal } from 'carbon-components-svelte';
  import type { AngleJudgement } from '../../core/judge/incremental';
  import { settingsOf } from '../../core/judge/settings';
  import { whyOf } from '../../core/figures/why';
  import type { UnitSystem } from '../../core/model/project';
  import Fold from '../shell/Fold.svelte';
  import WhyTree from '../why/WhyTree.svelte';

  interface Props {
    open: boolean;
    angles: readonly AngleJudgement[];
    units: UnitSystem;
  }
  let { open = $bindable(), angles, units }: Props = $props();
  const scene = $derived(angles[0]?.scene.name ?? '');
</script>

<Modal bind:open passiveModal modalHeading="Settings for {scene}">
  {#each angles as angle (angle.angle.id)}
    {#if angles.length > 1}<h3>{angle.angle.name}</h3>{/if}
    <dl>
      {#each settingsOf(angle) as setting, index (index)}
        <dt>{setting.name}</dt>
        <dd>
          <b class="figures">{setting.set}</b>
          <span>{setting.why}</span>
          {#if setting.others}<span class="others">Others: {setting.others}</span>{/if}
          {#if setting.figure}
            <Fold title="worked out from">
              <WhyTree why={whyOf(angle.record, setting.figure)} {units} open />
            </Fold>
          {/if}
        </dd>
      {:else}
        <p>There is no body in the kit yet, so there is nothing to set.</p>
      {/each}
    </dl>
  {/each}
  <p class="lead">Set them once, write them down, and leave them; test with a short take.</p>
</Modal>

<style>
  h3 {
    margin-top: 0.6rem;
    font-size: 1.05rem;
  }

  dl {
    display: grid;
    grid-template-columns: minmax(7rem, max-content) minmax(0, 1fr);
    gap: 0.55rem 1.1rem;
  }

  dt {
    font-family: var(--display);
    font-weight: 600;
  }

  dd {
    display: grid;
    gap: 0.1rem;
    padding-bottom: 0.5rem;
    border-bottom: 1px dashed var(--line);
    font-size: 0.875rem;
  }

  dd b {
    font-size: 1rem;
  }

  dd > span,
  .lead {
    color: var(--ink-soft);
  }

  .others {
    font-style: italic;
  }

  .lead {
    margin-top: 0.8rem;
    padding: 0;
  }

  @media (max-width: 600px) {
    dl {
      grid-template-columns: minmax(0, 1fr);
      gap: 0.1rem;
    }
  }
</style>
