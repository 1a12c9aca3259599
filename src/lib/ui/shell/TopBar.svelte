<script lang="ts">
  import { online } from 'svelte/reactivity/window';
  import { page } from '$app/state';
  import Redo from 'carbon-icons-svelte/lib/Redo.svelte';
  import Undo from 'carbon-icons-svelte/lib/Undo.svelte';
  import { satchel } from '$lib/state/project-store.svelte';
  import { theme } from '$lib/state/theme.svelte';
  import { views } from './views';
  import Lazy from './Lazy.svelte';

  interface Props {
    onkeys: () => void;
    onfind: () => void;
    plansOpen: boolean;
  }
  let { onkeys, onfind, plansOpen = $bindable() }: Props = $props();
  let filesOpen = $state(false);
  let filesWanted = $state(false);
  let plansWanted = $state(false);
  $effect(() => {
    if (plansOpen) plansWanted = true;
  });
  const savedWords = $derived(
    satchel.saved === 'saving'
      ? 'saving…'
      : satchel.saved === 'failed'
        ? 'not saved'
        : satchel.keeping === 'tab'
          ? 'saved in this tab only'
          : online.current === false
            ? 'offline'
            : 'all saved'
  );
  /** Nothing one has to know; a phone has no room for it. */
  const asUsual = $derived(savedWords === 'all saved' || savedWords === 'saving…');
</script>

<header>
  <a class="brand" href="/">Hearty Satchel</a>
  {#if satchel.project && satchel.plan}
    <button
      class="project"
      onclick={() => (plansOpen = true)}
      aria-label="Plans and projects: {satchel.project.name}, {satchel.plan.name}"
      >{satchel.project.name} · {satchel.plan.name}</button
    >
    <span
      class="saved"
      class:failed={satchel.saved === 'failed' || satchel.keeping === 'tab'}
      class:usual={asUsual}
      title={online.current === false
        ? 'No network. Everything works without one; what you do is saved here.'
        : undefined}
      role="status"
      >{savedWords}{#if savedWords === 'offline'}<span class="more">, all saved</span>{/if}</span
    >
    <div class="tools">
      <button
        class="tool"
        disabled={satchel.undoState.undo === undefined}
        title={satchel.undoState.undo ? `Undo: ${satchel.undoState.undo}` : 'Nothing to undo'}
        aria-label={satchel.undoState.undo ? `Undo: ${satchel.undoState.undo}` : 'Undo'}
        onclick={() => satchel.undo()}><Undo size={20} /></button
      >
      <button
        class="tool"
        disabled={satchel.undoState.redo === undefined}
        title={satchel.undoState.redo ? `Redo: ${satchel.undoState.redo}` : 'Nothing to redo'}
        aria-label={satchel.undoState.redo ? `Redo: ${satchel.undoState.redo}` : 'Redo'}
        onclick={() => satchel.redo()}><Redo size={20} /></button
      >
    </div>
  {/if}
  <nav aria-label="Views">
    {#if satchel.status === 'ready'}
      {#each views as view (view.path)}
        <a
          href={view.path}
          aria-current={page.url.pathname.startsWith(view.path) ? 'page' : undefined}
        >
          {view.name}<kbd aria-hidden="true">{view.key}</kbd>
        </a>
      {/each}
    {/if}
  </nav>
  <div class="tools end">
    <button
      class="tool wordy"
      aria-label={theme.isDark ? 'Switch to the light theme' : 'Switch to the dark theme'}
      onclick={() => theme.set(theme.isDark ? 'light' : 'dark')}
      >{theme.isDark ? 'light' : 'dark'}</button
    >
    {#if satchel.status === 'ready'}<button
        class="tool wordy"
        onclick={onfind}
        title="Find and do, Ctrl K">find</button
      >{/if}
    <button class="tool wordy keys" aria-label="Show the keys" onclick={onkeys}>?</button>
    <button class="file" onclick={() => (filesOpen = filesWanted = true)}>File</button>
  </div>
</header>
{#if filesWanted}
  <Lazy load={() => import('./FilesDialog.svelte')}
    >{#snippet children(FilesDialog)}
      <FilesDialog bind:open={filesOpen} onplans={() => (plansOpen = true)} />
    {/snippet}</Lazy
  >
{/if}
{#if plansWanted}
  <Lazy load={() => import('./PlanMenu.svelte')}
    >{#snippet children(PlanMenu)}
      <PlanMenu bind:open={plansOpen} />
    {/snippet}</Lazy
  >
{/if}

<style>
  .file {
    height: 2rem;
    padding: 0 0.85rem;
    border: 1px solid color-mix(in srgb, var(--hide-ink) 45%, transparent);
    border-radius: 999px;
    background: transparent;
    color: var(--hide-ink);
    font-size: 0.8125rem;
    cursor: pointer;
  }

  header {
    display: flex;
    gap: 0.9rem;
    align-items: center;
    min-height: 2.9rem;
    padding: 0.25rem 1.1rem;
    background: linear-gradient(var(--hide-deep), color-mix(in srgb, var(--hide-deep) 88%, black));
    color: var(--hide-ink);
    box-shadow: inset 0 -5px 0 -3.5px var(--thread);
  }

  .brand {
    color: var(--hide-ink);
    font-family: var(--display);
    font-size: 1.25rem;
    font-weight: 600;
    text-decoration: none;
    white-space: nowrap;
  }

  .wordy {
    white-space: nowrap;
  }

  .project {
    padding: 0 0 0 0.9rem;
    border: 0;
    background: none;
    color: inherit;
    cursor: pointer;
    overflow: hidden;
    border-left: 1px solid color-mix(in srgb, var(--hide-ink) 35%, transparent);
    font-size: 0.8125rem;
    text-overflow: ellipsis;
    white-space: nowrap;
  }

  .saved {
    opacity: 0.85;
    font-size: 0.75rem;
    font-style: italic;
    white-space: nowrap;
  }

  .saved.failed {
    padding: 0.05rem 0.5rem;
    border-radius: 999px;
    background: #ffd9cd;
    color: #6d1a0a;
    opacity: 1;
  }

  nav {
    display: flex;
    gap: 0.15rem;
    margin-left: auto;
  }

  nav a {
    padding: 0.35rem 0.6rem;
    border-radius: 999px;
    color: var(--hide-ink);
    font-size: 0.8125rem;
    text-decoration: none;
    white-space: nowrap;
  }

  nav a:hover {
    background: rgb(255 255 255 / 10%);
  }

  nav a[aria-current] {
    background: var(--linen);
    color: var(--ink);
    font-weight: 600;
  }

  kbd {
    margin-left: 0.4rem;
    opacity: 0.7;
    font-family: inherit;
    font-size: 0.75rem;
  }

  .tools {
    display: flex;
    gap: 0.15rem;
    align-items: center;
  }

  .tool {
    display: inline-grid;
    place-items: center;
    min-width: 2rem;
    height: 2rem;
    padding: 0 0.4rem;
    border: 0;
    border-radius: 999px;
    background: transparent;
    color: var(--hide-ink);
    cursor: pointer;
  }

  .tool:hover:not(:disabled) {
    background: rgb(255 255 255 / 12%);
  }

  .tool:disabled {
    opacity: 0.4;
    cursor: default;
  }

  .wordy {
    font-size: 0.8125rem;
  }

  header :global(:focus-visible) {
    outline-color: var(--hide-ink);
  }

  @media (max-width: 1200px) {
    nav a {
      padding: 0.35rem 0.5rem;
    }

    kbd {
      display: none;
    }
  }

  @media (max-width: 900px) {
    nav {
      display: none;
    }

    .end {
      margin-left: auto;
    }
  }

  @media (max-width: 700px) {
    header {
      gap: 0.5rem;
      padding: 0.25rem 0.8rem;
    }

    .project,
    .keys,
    .saved .more {
      display: none;
    }

    .saved {
      max-width: 5.2rem;
      line-height: 1.15;
      white-space: normal;
    }

    /* Heard still, and not seen. */
    .saved.usual {
      position: absolute;
      width: 1px;
      height: 1px;
      overflow: hidden;
      clip-path: inset(50%);
    }

    .brand {
      font-size: 1.05rem;
    }

    .tools {
      gap: 0;
    }
  }

  @media print {
    header {
      display: none;
    }
  }
</style>
