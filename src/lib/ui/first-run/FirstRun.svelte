<script lang="ts">
  import { Button, Checkbox, InlineLoading, NumberInput } from 'carbon-components-svelte';
  import { goto } from '$app/navigation';
  import { minorPerMajor } from '../../core/money/format';
  import { newProject } from '../../core/model/new-project';
  import { type SchoolId, schoolIds } from '../../core/model/project';
  import type { SceneStyle } from '../../core/model/scene';
  import { schools } from '../../core/merit/schools';
  import { satchel } from '../../state/project-store.svelte';
  import Glyph from '../glyphs/Glyph.svelte';

  const { hasProject }: { hasProject: boolean } = $props();

  const styles: { id: SceneStyle; words: string }[] = [
    { id: 'walk', words: 'I walk and talk' },
    { id: 'seated', words: 'I sit and talk' },
    { id: 'hands', words: 'My hands at work, from above' },
    { id: 'live call', words: 'Live calls' },
    { id: 'evening', words: 'After dusk, with the light there is' }
  ];
  const currency = 'GBP';
  let chosen = $state<Record<SceneStyle, boolean>>({
    walk: true,
    seated: false,
    hands: false,
    'live call': false,
    evening: false
  });
  let limit = $state<number | null>(900);
  let school = $state<SchoolId>('sound and light first');
  let packing = $state(false);
  const picked = $derived(styles.map(({ id }) => id).filter((id) => chosen[id]));
  const fault = $derived(
    picked.length === 0
      ? 'Tick at least one thing you film.'
      : limit === null || !(limit >= 0) || limit > 1_000_000
        ? 'Write what you may spend, from 0 to 1,000,000.'
        : ''
  );

  async function openDemo() {
    await satchel.beginDemo();
    await goto('/satchel');
  }

  async function pack() {
    if (fault) return;
    packing = true;
    const id = `project-${Date.now().toString(36)}`;
    await satchel.beginPacked(
      newProject(id, 'My first kit', {
        styles: picked,
        limitMinor: Math.round((limit ?? 0) * minorPerMajor(currency)),
        school,
        currency,
        mainsHz: 50,
        units: 'metric'
      })
    );
    packing = false;
    await goto('/satchel');
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
      {#each ['short shotgun', 'lamp dome', 'body', 'zoom', 'floor stand', 'card', 'cell', 'filter'] as const as name (name)}
        <Glyph {name} size={54} />
      {/each}
    </div>
    <p class="demo">
      <Button on:click={openDemo}>Open the Saltmarsh loom</Button>
      <span>A weaver’s kit, packed, with real things left to settle.</span>
    </p>
    {#if hasProject}<p><a href="/satchel">Back to the kit that is open</a></p>{/if}
  </section>
  <form
    class="card three"
    onsubmit={(event) => {
      event.preventDefault();
      void pack();
    }}
  >
    <h2>Or answer three questions</h2>
    <fieldset>
      <legend>1 · What do you film?</legend>
      {#each styles as { id, words } (id)}<Checkbox
          labelText={words}
          bind:checked={chosen[id]}
        />{/each}
    </fieldset>
    <fieldset>
      <legend>2 · What may you spend, in pounds?</legend>
      <NumberInput
        labelText="What may be spent, in pounds"
        hideLabel
        bind:value={limit}
        min={0}
        max={1_000_000}
        step={50}
      />
      <p class="hint">A tenth is kept back; you can change that.</p>
    </fieldset>
    <fieldset>
      <legend>3 · How do you choose?</legend>
      <div class="pills">
        {#each schoolIds as id (id)}
          <label class:on={school === id}
            ><input type="radio" name="school" value={id} bind:group={school} />{schools[id]
              .name}</label
          >
        {/each}
      </div>
      <p class="hint">
        <b>They say</b>
        {schools[school].says} <b>Others answer:</b>
        {schools[school].othersAnswer}
      </p>
    </fieldset>
    {#if fault}<p class="fault" role="alert">{fault}</p>{/if}
    {#if packing}
      <InlineLoading description="Trying parts in the whole kit…" />
    {:else}
      <Button type="submit" disabled={fault !== ''}>Pack a first kit</Button>
    {/if}
  </form>
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

  .demo {
    display: flex;
    flex-wrap: wrap;
    gap: 0.9rem;
    align-items: center;
  }

  .demo span,
  .hint {
    color: var(--ink-soft);
    font-size: 0.8125rem;
  }

  .three {
    display: grid;
    gap: 1.1rem;
    padding: 1.4rem 1.5rem 1.6rem;
  }

  fieldset {
    margin: 0;
    padding: 0;
    border: 0;
  }

  legend {
    margin-bottom: 0.4rem;
    font-weight: 600;
  }

  .three > :global(.bx--btn) {
    justify-self: start;
  }

  .pills {
    margin-bottom: 0.4rem;
  }

  .fault {
    color: var(--brick);
  }

  @media (max-width: 860px) {
    .welcome {
      grid-template-columns: 1fr;
      gap: 1.5rem;
      margin: 1rem auto;
    }
  }
</style>
