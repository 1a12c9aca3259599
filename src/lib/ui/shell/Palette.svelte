<script lang="ts">
  import { tick } from 'svelte';
  import { goto } from '$app/navigation';
  import { satchel } from '$lib/state/project-store.svelte';
  import { proposals } from '$lib/state/proposals';
  import { type Command, firstEntries, type PaletteEntry, paletteEntries } from './palette-entries';
  import { paletteSearch } from './palette-search';

  interface Props {
    open: boolean;
    oncommand: (command: Command) => void;
  }
  let { open = $bindable(), oncommand }: Props = $props();
  const MOST_SHOWN = 9;

  let dialog = $state<HTMLDialogElement>();
  let words = $state('');
  let place = $state(0);
  const entries = $derived(
    open && satchel.asJudged && satchel.judgement
      ? paletteEntries({
          project: satchel.asJudged,
          shelf: satchel.shelf,
          judgement: satchel.judgement,
          remedies: satchel.advice.remedies,
          undo: satchel.undoState.undo,
          redo: satchel.undoState.redo
        })
      : []
  );
  const search = $derived(paletteSearch(entries, MOST_SHOWN));
  const found = $derived(search(words) ?? firstEntries(entries, MOST_SHOWN));
  const chosen = $derived(Math.min(place, Math.max(0, found.length - 1)));

  $effect(() => {
    if (!dialog) return;
    if (open && !dialog.open) {
      words = '';
      place = 0;
      dialog.showModal();
      void tick().then(() => dialog?.querySelector('input')?.focus());
    } else if (!open && dialog.open) dialog.close();
  });

  function run(entry: PaletteEntry | undefined) {
    if (!entry) return;
    open = false;
    if ('go' in entry.run) void goto(entry.run.go);
    else if ('remedy' in entry.run)
      void proposals.settleWith(entry.run.findingKey, entry.run.remedy);
    else if ('act' in entry.run) void satchel.act(entry.run.act);
    else oncommand(entry.run.command);
  }

  function onkeydown(event: KeyboardEvent) {
    if (event.key === 'ArrowDown') place = Math.min(found.length - 1, chosen + 1);
    else if (event.key === 'ArrowUp') place = Math.max(0, chosen - 1);
    else if (event.key === 'Enter') run(found[chosen]);
    else return;
    event.preventDefault();
  }
</script>

<dialog
  bind:this={dialog}
  aria-label="Search and do"
  onclose={() => {
    // The browser tells of a closing a moment late: by then it may be open again.
    if (!dialog?.open) open = false;
  }}
  onclick={(event) => {
    if (event.target === dialog) open = false;
  }}
>
  <input
    type="text"
    role="combobox"
    aria-label="Find a part, an act, a view or a finding"
    aria-expanded="true"
    aria-controls="palette-list"
    aria-activedescendant={found.length > 0 ? `palette-${chosen}` : undefined}
    placeholder="Find and do"
    autocomplete="off"
    bind:value={words}
    oninput={() => (place = 0)}
    {onkeydown}
  />
  <ul id="palette-list" role="listbox" aria-label="Found">
    {#each found as entry, index (entry.id)}
      <!-- svelte-ignore a11y_click_events_have_key_events -->
      <li
        role="option"
        id="palette-{index}"
        aria-selected={index === chosen}
        onclick={() => run(entry)}
        onpointermove={() => (place = index)}
      >
        <span class="group">{entry.group}</span>
        <span class="name">{entry.name}</span>
        <span class="detail">{entry.detail}</span>
      </li>
    {:else}
      <li role="option" aria-selected="false" aria-disabled="true" class="none">
        Nothing goes by that name. Try a part, a scene’s trouble, or “undo”.
      </li>
    {/each}
  </ul>
</dialog>

<style>
  dialog {
    width: min(38rem, calc(100vw - 1.5rem));
    margin: 5rem auto auto;
    padding: 0;
    overflow: hidden;
    border: 1px solid var(--tan-line);
    border-radius: 16px;
    background: var(--linen);
    color: var(--ink);
    box-shadow: 0 18px 50px rgb(0 0 0 / 35%);
  }

  dialog::backdrop {
    background: rgb(30 20 10 / 35%);
  }

  input {
    width: 100%;
    padding: 0.9rem 1.1rem;
    border: 0;
    border-bottom: 1.5px dashed var(--tan-line);
    background: var(--paper);
    color: var(--ink);
    font-family: var(--display);
    font-size: 1.15rem;
  }

  input:focus-visible {
    outline: 2px solid var(--moss);
    outline-offset: -2px;
  }

  ul {
    max-height: 60vh;
    margin: 0;
    padding: 0.35rem;
    overflow: auto;
    list-style: none;
  }

  li {
    display: grid;
    grid-template-columns: 4.6rem 1fr;
    gap: 0 0.8rem;
    padding: 0.4rem 0.7rem;
    border-radius: 9px;
    cursor: pointer;
  }

  li[aria-selected='true'] {
    background: var(--tan);
  }

  li[aria-selected='true'] span {
    color: var(--ink);
  }

  .group {
    grid-row: span 2;
    color: var(--ink-soft);
    font-size: 0.75rem;
    font-style: italic;
  }

  .name {
    font-weight: 600;
    overflow-wrap: anywhere;
  }

  .detail {
    color: var(--ink-soft);
    font-size: 0.75rem;
    overflow-wrap: anywhere;
  }

  .none {
    display: block;
    color: var(--ink-soft);
  }
</style>
