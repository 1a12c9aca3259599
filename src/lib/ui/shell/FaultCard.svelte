<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import { goto } from '$app/navigation';
  import { library } from '$lib/state/library.svelte';
  import { satchel } from '$lib/state/project-store.svelte';
  import { saveFile } from './save-file';

  /** A way out of any fault: what happened, what is safe, and what can be done. */
  interface Props {
    title: string;
    says: string;
    /** Draws the view again; left out where there is nothing to draw. */
    onagain?: () => void;
  }
  const { title, says, onagain }: Props = $props();

  let others = $state.raw<{ id: string; name: string }[]>([]);
  const MOST_WRONG = 5;
  let wrong = $state.raw<string[]>([]);
  $effect(() => {
    satchel.whatIsWrong().then(
      (sentences) => (wrong = sentences.slice(0, MOST_WRONG)),
      () => (wrong = [])
    );
  });
  const openId = $derived(satchel.project?.id ?? satchel.unreadableId);
  $effect(() => {
    void openId;
    library.list().then(
      (list) => (others = list.filter(({ id }) => id !== openId)),
      () => (others = [])
    );
  });

  async function saveAsItLies() {
    saveFile('project-as-it-lies.json', 'application/json', await satchel.rawText());
  }

  async function undo() {
    await satchel.undo();
    onagain?.();
  }

  async function openAnother(id: string) {
    await library.open(id);
    if (satchel.project?.id !== id) return;
    onagain?.();
    await goto('/satchel');
  }

  async function beginBeside() {
    satchel.beginBeside();
    onagain?.();
    await goto('/');
  }
</script>

<div class="card fault" role="alert">
  <h1>{title}</h1>
  <p>{says}</p>
  {#if wrong.length > 0}
    <ul class="wrong">
      {#each wrong as sentence, index (index)}<li>{sentence}</li>{/each}
    </ul>
  {/if}
  <p>
    Nothing was changed, and nothing is lost. Export the project as it lies here, to mend it or to
    send it on; or go on with something else: it stays where it is.
  </p>
  <p class="ways">
    {#if onagain}<Button size="small" on:click={onagain}>Try again</Button>{/if}
    {#if satchel.undoState.undo}
      <Button size="small" kind="tertiary" on:click={undo}>Undo the last change</Button>
    {/if}
    <Button size="small" kind="tertiary" on:click={saveAsItLies}
      >Export this project as it lies</Button
    >
    <Button size="small" kind="tertiary" on:click={beginBeside}>Begin a new project</Button>
  </p>
  {#if others.length > 0}
    <h2>Open another</h2>
    <ul>
      {#each others as { id, name } (id)}
        <li><button class="text-button" onclick={() => openAnother(id)}>{name}</button></li>
      {/each}
    </ul>
  {/if}
</div>

<style>
  .fault {
    display: grid;
    gap: 1rem;
    max-width: 44rem;
    margin: 3rem auto;
    padding: 1.5rem;
    overflow-wrap: anywhere;
  }

  h2 {
    font-size: 1rem;
  }

  .wrong {
    padding-left: 1rem;
    list-style: disc;
  }

  .ways {
    display: flex;
    flex-wrap: wrap;
    gap: 0.6rem;
  }

  ul {
    display: grid;
    gap: 0.3rem;
    padding: 0;
    list-style: none;
  }

  li button {
    font-weight: 600;
  }
</style>
