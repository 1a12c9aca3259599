<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import { goto } from '$app/navigation';
  import { satchel } from '$lib/state/project-store.svelte';
  import { saveFile } from './save-file';

  async function saveAsItIs() {
    saveFile('kept-as-it-is.json', 'application/json', await satchel.unreadableText());
  }

  async function beginBeside() {
    satchel.beginBeside();
    await goto('/');
  }
</script>

<div class="card unreadable">
  <h1>What is kept here cannot be opened</h1>
  <p>{satchel.failure}</p>
  <p>
    Nothing was changed. Save it as it is, to mend or to send on; open a satchel file you saved
    before (File, at the top); or begin anew: what is kept stays where it is.
  </p>
  <p class="ways">
    <Button size="small" on:click={saveAsItIs}>Save it as it is</Button>
    <Button size="small" kind="tertiary" on:click={beginBeside}>Begin anew</Button>
  </p>
</div>

<style>
  .unreadable {
    display: grid;
    gap: 1rem;
    max-width: 40rem;
    margin: 3rem auto;
    padding: 1.5rem;
  }

  .ways {
    display: flex;
    flex-wrap: wrap;
    gap: 0.6rem;
  }
</style>
