<script lang="ts">
  import { changeMains, scenesMovedBy } from '$lib/core/acts/change-mains';
  import Guarded from '$lib/ui/shell/Guarded.svelte';
  import { startScene } from '$lib/core/model/scene-starts';
  import type { SceneStyle } from '$lib/core/model/scene';
  import { sceneStyles } from '$lib/core/model/word-lists';
  import { satchel } from '$lib/state/project-store.svelte';
  import { keepFocus } from '$lib/ui/shell/keep-focus';
  import Choice from '$lib/ui/brief/Choice.svelte';
  import OwnedCard from '$lib/ui/brief/OwnedCard.svelte';
  import RulesCard from '$lib/ui/brief/RulesCard.svelte';
  import SceneCard from '$lib/ui/brief/SceneCard.svelte';
  import TwoMinds from '$lib/ui/disputes/TwoMinds.svelte';
  import SchoolCard from '$lib/ui/brief/SchoolCard.svelte';
  import SpendCard from '$lib/ui/brief/SpendCard.svelte';
  import { styleWords } from '$lib/ui/brief/scene-vocabulary';

  const project = $derived(satchel.project);
  const judgement = $derived(satchel.judgement);

  let mainsNote = $state('');
  function setMains(mainsHz: 50 | 60) {
    if (!project || project.mainsHz === mainsHz) return;
    const moved = scenesMovedBy(project, mainsHz).length;
    mainsNote =
      moved === 0
        ? ''
        : `${moved === 1 ? 'One scene moves' : `${moved} scenes move`} to a frame rate that keeps step with lamps on ${mainsHz} Hz. Undo takes it back.`;
    void satchel.act(changeMains(project, mainsHz));
  }

  function addScene(style: SceneStyle) {
    if (!project) return;
    const scene = startScene(style, project.scenes, project.scenes.length === 0 ? 100 : 20);
    scene.fps = project.mainsHz === 50 ? 25 : 30;
    void satchel.act({ type: 'add scene', scene });
  }
</script>

<svelte:head><title>Brief · Hearty Satchel</title></svelte:head>
<h1 class="unseen">Brief</h1>
{#if project && judgement && satchel.plan}
  <div class="bench">
    <section aria-label="What I film">
      <h2 class="section-name">
        What I film, in sentences · every underlined word changes, every figure can be measured
      </h2>
      <div class="scenes" use:keepFocus={'article'}>
        {#each project.scenes as scene (scene.id)}
          <Guarded what="The scene"
            ><SceneCard
              {scene}
              {project}
              angle={judgement.angles.find((angle) => angle.scene.id === scene.id)}
              onact={(act) => satchel.act(act)}
            /></Guarded
          >
        {:else}
          <p class="card none">
            Nothing is filmed yet. Choose below what you do before the lens, and the sentence writes
            itself.
          </p>
        {/each}
      </div>
      <div class="add">
        <span>I also</span>
        {#each sceneStyles as style (style)}<button onclick={() => addScene(style)}
            >{styleWords[style]}</button
          >{/each}
      </div>
      <div class="card minds">
        <TwoMinds
          {project}
          summary="Where people disagree, and what it would do here"
          onact={(act) => satchel.act(act)}
        />
      </div>
    </section>
    <aside>
      <h2 class="section-name">Budget</h2>
      <Guarded what="The budget"
        ><SpendCard
          {project}
          {judgement}
          shelf={satchel.shelf}
          onact={(act) => satchel.act(act)}
        /></Guarded
      >
      <h2 class="section-name">Other limits, and rules of mine</h2>
      <Guarded what="The limits"
        ><RulesCard {project} {judgement} onact={(act) => satchel.act(act)} /></Guarded
      >
      <h2 class="section-name">How I choose</h2>
      <Guarded what="How you choose"
        ><SchoolCard
          {project}
          shelf={satchel.shelf}
          {judgement}
          onact={(act) => satchel.act(act)}
        /></Guarded
      >
      <h2 class="section-name">What I own</h2>
      <Guarded what="The list of what you own"
        ><OwnedCard
          plan={satchel.plan}
          shelf={satchel.shelf}
          onact={(act) => satchel.act(act)}
        /></Guarded
      >
      <h2 class="section-name">Mains frequency and units</h2>
      <div class="card here">
        <Choice
          label="Mains frequency"
          options={{ '50': '50 Hz mains', '60': '60 Hz mains' }}
          value={String(project.mainsHz) as '50' | '60'}
          onchoose={(value) => setMains(value === '50' ? 50 : 60)}
        />
        <Choice
          label="Units"
          options={{ metric: 'metres, kilograms', imperial: 'inches, pounds' }}
          value={project.units}
          onchoose={(units) => satchel.act({ type: 'set project', patch: { units } })}
        />
        {#if mainsNote}<p class="soft" role="status">{mainsNote}</p>{/if}
      </div>
    </aside>
  </div>
{/if}

<style>
  .bench {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(17rem, 23rem);
    gap: 1.2rem;
    align-items: start;
  }

  .scenes {
    display: grid;
    gap: 0.9rem;
  }

  .none {
    padding: 1.2rem;
  }

  .add {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem;
    align-items: center;
    padding: 0.9rem 0.2rem;
    font-family: var(--display);
  }

  .add button {
    padding: 0.2rem 0.8rem;
    border: 1.5px dashed var(--moss);
    border-radius: 999px;
    background: transparent;
    color: var(--moss);
    font-family: var(--text);
    font-size: 0.8125rem;
    font-weight: 600;
    cursor: pointer;
  }

  .add button:hover {
    background: var(--moss-wash);
  }

  aside h2:not(:first-child) {
    margin-top: 1rem;
  }

  .here {
    display: grid;
    gap: 0.5rem;
    padding: 0.8rem 1rem;
  }

  @media (max-width: 1000px) {
    .bench {
      grid-template-columns: minmax(0, 1fr);
    }
  }

  .minds {
    margin-top: 0.6rem;
    padding: 0.6rem 1rem;
  }
</style>
