<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import { goto } from '$app/navigation';
  import { type DemoId, demos } from '../../catalogue/demos';
  import { library } from '../../state/library.svelte';
  import Glyph from '../glyphs/Glyph.svelte';
  import Lazy from '../shell/Lazy.svelte';

  const { hasProject }: { hasProject: boolean } = $props();

  async function openDemo(id: DemoId) {
    await library.openDemo(id);
    if (!library.waiting) await goto('/satchel');
  }
</script>

<div class="welcome">
  <section class="hello">
    <h1>A kit for the way you film, within what you may spend.</h1>
    <p>
      You stand before the lens, behind it, and you pay. Say what you film; every part is judged in
      the whole kit: what it frames, hears, lights, carries, how long it lasts and what it truly
      costs with all its joins.
    </p>
    <div class="row" aria-hidden="true">
      {#each ['short shotgun', 'lamp dome', 'body', 'zoom', 'floor stand', 'card', 'battery', 'filter'] as const as name (name)}
        <Glyph {name} size={54} />
      {/each}
    </div>
    <ul class="demos" aria-label="Demos">
      {#each demos as { id, name, shows }, index (id)}
        <li>
          <Button kind={index === 0 ? 'primary' : 'tertiary'} on:click={() => openDemo(id)}
            >Open the {name}</Button
          >
          <span>{shows}</span>
        </li>
      {/each}
    </ul>
    {#if library.deleted}
      <Lazy load={() => import('../shell/DroppedNote.svelte')}
        >{#snippet children(DroppedNote)}
          <DroppedNote onback={() => goto('/satchel')} />
        {/snippet}</Lazy
      >
    {/if}
    {#if hasProject}<p><a href="/satchel">Back to the kit that is open</a></p>{/if}
  </section>
  <Lazy load={() => import('./FirstQuestions.svelte')}
    >{#snippet children(FirstQuestions)}
      <FirstQuestions />
    {/snippet}</Lazy
  >
</div>

<style>
  .welcome {
    display: grid;
    grid-template-columns: minmax(0, 1.1fr) minmax(20rem, 0.9fr);
    gap: 3rem;
    align-items: center;
    max-width: 72rem;
    margin: 2.5rem auto;
  }

  .hello {
    display: grid;
    gap: 1.3rem;
  }

  h1 {
    font-size: clamp(1.9rem, 4vw, 2.9rem);
    line-height: 1.12;
  }

  .hello p {
    max-width: 34rem;
    font-size: 1rem;
  }

  .row {
    display: flex;
    flex-wrap: wrap;
    gap: 0.9rem;
    padding: 1rem 1.2rem;
    border-radius: 14px 14px 24px 24px;
    background: var(--hide);
    color: var(--hide-ink);
    box-shadow:
      inset 0 0 0 4px var(--hide),
      inset 0 0 0 5.5px var(--thread);
  }

  .demos {
    display: grid;
    gap: 0.6rem;
  }

  .demos li {
    display: grid;
    grid-template-columns: 15.5rem minmax(0, 1fr);
    gap: 0.9rem;
    align-items: center;
  }

  .demos :global(.bx--btn) {
    width: 100%;
    max-width: none;
  }

  .demos span {
    color: var(--ink-soft);
    font-size: 0.8125rem;
  }

  @media (max-width: 860px) {
    .welcome {
      grid-template-columns: 1fr;
      gap: 1.5rem;
      margin: 1rem auto;
    }
  }

  @media (max-width: 560px) {
    .demos li {
      grid-template-columns: 1fr;
      gap: 0.2rem;
    }
  }
</style>
