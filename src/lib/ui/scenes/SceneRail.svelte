<script lang="ts">
  import type { SceneMerit } from '../../core/merit/scene-merit';
  import type { Scene } from '../../core/model/scene';
  import type { UnitSystem } from '../../core/model/project';
  import { allowLineDrop, droppedLine } from '../drag/line-drag';
  import AxisBars from './AxisBars.svelte';
  import { sceneGist } from './scene-words';

  interface Props {
    scenes: readonly Scene[];
    merits: readonly SceneMerit[];
    /** What they would be with the candidate looked at. */
    then?: readonly SceneMerit[];
    chosen: string;
    units: UnitSystem;
    onchoose: (sceneId: string) => void;
    /** A part dragged onto a scene is used there. */
    onuse?: (sceneId: string, lineId: string) => void;
    /** Shows what to set for a scene; left out where there is no room for it. */
    onsettings?: (sceneId: string) => void;
  }
  const { scenes, merits, then, chosen, units, onchoose, onuse, onsettings }: Props = $props();
  let overId = $state<string | undefined>(undefined);
  const points = (merit: SceneMerit) => String(Math.round(merit.low));
</script>

<ul class="rail">
  {#each scenes as scene, index (scene.id)}
    {@const now = merits[index]}
    {@const next = then?.[index]}
    {#if now}
      <li
        class="card"
        class:chosen={scene.id === chosen}
        class:over={overId === scene.id}
        ondragenter={(event) => void allowLineDrop(event)}
        ondragover={(event) => {
          if (onuse && allowLineDrop(event)) overId = scene.id;
        }}
        ondragleave={() => (overId = undefined)}
        ondrop={(event) => {
          overId = undefined;
          const lineId = droppedLine(event);
          if (lineId !== undefined) onuse?.(scene.id, lineId);
        }}
      >
        <button class="pick" aria-pressed={scene.id === chosen} onclick={() => onchoose(scene.id)}>
          <span class="name">{scene.name}</span>
          <span class="points figures">
            {#if now.works}{points(now)}{:else}<span class="stopped">blocked</span>{/if}
            {#if next && (now.works || next.works) && (Math.round(next.low) !== Math.round(now.low) || next.works !== now.works)}
              <span class="arrow" aria-label="would become">→</span>{next.works
                ? points(next)
                : 'blocked'}
            {/if}
          </span>
          <span class="gist">{sceneGist(scene, units)}</span>
        </button>
        <AxisBars merit={next ?? now} />
        {#if !now.works}
          <p class="held">
            would be <b class="figures">{points(now)}</b
            >{#if next && !next.works && Math.round(next.low) !== Math.round(now.low)}
              &nbsp;→&nbsp;<b class="figures">{points(next)}</b>{/if} once unblocked
          </p>
        {:else if now.heldBackBy}
          <p class="held">held back by {now.heldBackBy}</p>
        {/if}
        {#if onsettings}
          <button
            class="text-button settings"
            onclick={() => onsettings(scene.id)}
            aria-label="Settings for {scene.name}">what to set</button
          >
        {/if}
      </li>
    {/if}
  {/each}
</ul>

<style>
  .rail {
    display: grid;
    gap: 0.6rem;
  }

  li {
    padding: 0.6rem 0.75rem 0.55rem;
    border-left: 4px solid var(--line);
  }

  li.over {
    outline: 2px dashed var(--moss);
    outline-offset: 2px;
  }

  li.chosen {
    border-left-color: var(--hide);
    background: var(--paper);
    box-shadow: 0 2px 8px var(--shade);
  }

  .pick {
    display: grid;
    grid-template-columns: 1fr auto;
    width: 100%;
    margin-bottom: 0.4rem;
    padding: 0;
    border: 0;
    background: transparent;
    text-align: left;
    cursor: pointer;
  }

  .name,
  .points {
    font-family: var(--display);
    font-size: 1rem;
    font-weight: 600;
  }

  .stopped {
    color: var(--brick);
    font-family: var(--text);
    font-size: 0.75rem;
  }

  .arrow {
    padding: 0 0.2rem;
  }

  .gist {
    grid-column: 1 / -1;
    color: var(--ink-soft);
    font-size: 0.75rem;
  }

  .settings {
    margin-top: 0.2rem;
    font-size: 0.75rem;
  }

  .held {
    margin-top: 0.25rem;
    color: var(--ink-soft);
    font-size: 0.75rem;
    font-style: italic;
  }
</style>
