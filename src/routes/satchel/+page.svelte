<script lang="ts">
  import type { Finding } from '$lib/core/findings/finding';
  import type { FigureId } from '$lib/core/figures/table';
  import { type Why, whyOf } from '$lib/core/figures/why';
  import { satchel } from '$lib/state/project-store.svelte';
  import Bag from '$lib/ui/bag/Bag.svelte';
  import SceneRail from '$lib/ui/scenes/SceneRail.svelte';
  import SchoolNote from '$lib/ui/scenes/SchoolNote.svelte';
  import SettleList from '$lib/ui/settle/SettleList.svelte';
  import WhyDialog from '$lib/ui/why/WhyDialog.svelte';

  const judgement = $derived(satchel.judgement);
  const angle = $derived(
    judgement?.angles.find((one) => one.scene.id === satchel.sceneId) ?? judgement?.angles[0]
  );
  let whyOpen = $state(false);
  let whyTitle = $state('');
  let why = $state.raw<Why | undefined>(undefined);

  function showWhy(finding: Finding, figure: FigureId) {
    const own = judgement?.angles.find(
      (one) => one.scene.id === finding.sceneId && one.angle.id === finding.angleId
    );
    if (!own) return;
    whyTitle = finding.title();
    why = whyOf(own.record, figure);
    whyOpen = true;
  }
</script>

<svelte:head><title>Satchel · Hearty Satchel</title></svelte:head>
<h1 class="unseen">Satchel</h1>
{#if satchel.project && judgement}
  <div class="bench">
    <aside class="scenes" aria-label="Scenes">
      <h2 class="section-name">Scenes</h2>
      {#if satchel.project.scenes.length === 0}
        <p class="card none">
          Nothing is filmed yet. <a href="/brief">Say what you film</a>, and the kit is judged for
          it.
        </p>
      {/if}
      <SceneRail
        scenes={satchel.project.scenes}
        merits={judgement.merit.scenes}
        chosen={satchel.sceneId}
        units={satchel.project.units}
        onchoose={(id) => (satchel.sceneId = id)}
      />
      <SchoolNote school={satchel.project.school} />
    </aside>
    <Bag project={satchel.project} {judgement} {angle} />
    <aside class="settle" aria-label="To settle">
      <SettleList
        findings={judgement.findings}
        remedies={satchel.remedies}
        settling={satchel.settling}
        currency={satchel.project.currency}
        joints={satchel.joints}
        onact={(act) => satchel.act(act)}
        onwhy={showWhy}
      />
    </aside>
  </div>
  <WhyDialog bind:open={whyOpen} title={whyTitle} {why} units={satchel.project.units} />
{/if}

<style>
  .bench {
    display: grid;
    grid-template-columns: minmax(12rem, 14rem) minmax(0, 1fr) minmax(15rem, 17.5rem);
    gap: 1rem;
    align-items: start;
  }

  .none {
    padding: 0.8rem;
  }

  @media (max-width: 1080px) {
    .bench {
      grid-template-columns: minmax(0, 1fr) minmax(15rem, 18rem);
    }

    .scenes {
      grid-column: 1 / -1;
    }

    .scenes :global(.rail) {
      grid-template-columns: repeat(auto-fit, minmax(13rem, 1fr));
    }
  }

  @media (max-width: 760px) {
    .bench {
      grid-template-columns: minmax(0, 1fr);
    }

    .scenes {
      grid-row: 3;
    }
  }
</style>
