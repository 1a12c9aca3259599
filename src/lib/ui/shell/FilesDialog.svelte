<script lang="ts">
  import {
    Button,
    FileUploaderDropContainer,
    InlineNotification,
    Modal
  } from 'carbon-components-svelte';
  import { goto } from '$app/navigation';
  import { type DemoId, demos } from '$lib/catalogue/demos';
  import { library } from '$lib/state/library.svelte';
  import { satchel } from '$lib/state/project-store.svelte';
  import { saveFile } from './save-file';
  import { saveSatchel } from './save-satchel';

  interface Props {
    open?: boolean;
    /** Opens what is kept of plans and projects: a narrow page has no other way to it but by searching. */
    onplans: () => void;
  }
  let { open = $bindable(false), onplans }: Props = $props();
  let faults = $state<string[]>([]);
  let opened = $state('');
  const MOST_SHOWN = 8;
  let projects = $state.raw<{ id: string; name: string }[]>([]);

  $effect(() => {
    if (open) void library.list().then((list) => (projects = list));
  });

  async function saveBackup() {
    const bytes = await library.backup();
    saveFile('hearty-satchel-backup.zip', 'application/zip', bytes);
  }

  async function restore(file: File | undefined) {
    if (!file) return;
    faults = await library.importBackup(new Uint8Array(await file.arrayBuffer()));
    if (faults.length === 0) await arrived();
  }

  async function openProject(id: string) {
    await library.open(id);
    await arrived();
  }

  /** What came in is open, or waits for a choice in a dialog of its own. */
  async function arrived() {
    open = false;
    if (!library.waiting && ['ready', 'loading'].includes(satchel.status)) await goto('/satchel');
  }

  async function importFile(file: File | undefined) {
    if (!file) return;
    opened = '';
    faults = await library.importText(await file.text());
    if (faults.length > 0) return;
    if (!library.waiting) opened = `${file.name} is open.`;
    await arrived();
  }

  async function openDemo(id: DemoId) {
    await library.openDemo(id);
    await arrived();
  }
</script>

<Modal bind:open passiveModal modalHeading="Files" size="sm" on:close={() => (faults = [])}>
  <div class="choices">
    {#if satchel.project}
      <div>
        <p>
          Everything of <strong>{satchel.project.name}</strong> in one file: scenes, limits, plans, parts
          and prices.
        </p>
        <div class="buttons">
          <Button size="small" on:click={saveSatchel}>Save a satchel file</Button>
          <Button
            size="small"
            kind="tertiary"
            on:click={() => {
              open = false;
              onplans();
            }}>Plans and projects</Button
          >
        </div>
      </div>
    {/if}
    <div>
      <p>Open a satchel file. It is checked whole first; a file with a fault changes nothing.</p>
      <FileUploaderDropContainer
        accept={['.json', 'application/json']}
        labelText="Satchel file: drop it here or choose it"
        on:change={({ detail }) => importFile(detail[0])}
      />
    </div>
    <div>
      <p>
        The demos as they ship. Where you changed one, you are asked first whether to keep both.
      </p>
      <div class="buttons">
        {#each demos as { id, name } (id)}
          <Button size="small" kind="tertiary" on:click={() => openDemo(id)}>Open the {name}</Button
          >
        {/each}
      </div>
    </div>
    {#if projects.some(({ id }) => id !== satchel.project?.id)}
      <div>
        <p>Other projects saved here:</p>
        <ul class="projects">
          {#each projects.filter((project) => project.id !== satchel.project?.id) as other (other.id)}
            <li>
              <button class="text-button word" onclick={() => openProject(other.id)}
                >{other.name}</button
              >
            </li>
          {/each}
        </ul>
      </div>
    {/if}
    <div>
      <p>Everything saved here in one ZIP, to move to another machine or to put away.</p>
      {#if satchel.project}<div class="buttons apart">
          <Button size="small" on:click={saveBackup}>Save a backup</Button>
        </div>{/if}
      <FileUploaderDropContainer
        accept={['.zip', 'application/zip']}
        labelText="Backup file: drop it here or choose it"
        on:change={({ detail }) => restore(detail[0])}
      />
    </div>
    {#if faults.length > 0}
      <InlineNotification
        kind="error"
        lowContrast
        hideCloseButton
        title="The file was not opened; nothing has changed."
      />
      <ul class="faults">
        {#each faults.slice(0, MOST_SHOWN) as fault, index (index)}<li>{fault}</li>{/each}
        {#if faults.length > MOST_SHOWN}<li>and {faults.length - MOST_SHOWN} more</li>{/if}
      </ul>
    {/if}
    <p class="unseen" role="status">{opened}</p>
  </div>
</Modal>

<style>
  .choices {
    display: grid;
    gap: 1.1rem;
  }

  .choices p {
    margin-bottom: 0.4rem;
    padding: 0;
  }

  .buttons {
    display: flex;
    flex-wrap: wrap;
    gap: 0.5rem;
  }

  .apart {
    margin-bottom: 0.5rem;
  }

  .projects {
    padding-left: 1rem;
    list-style: disc;
  }

  .word {
    font-weight: 600;
  }

  .faults {
    padding-left: 1rem;
    list-style: disc;
    overflow-wrap: anywhere;
  }
</style>
