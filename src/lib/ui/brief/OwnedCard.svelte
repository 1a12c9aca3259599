<script lang="ts">
  import { Button, ComboBox, Modal } from 'carbon-components-svelte';
  import type { Act } from '../../core/acts/act';
  import { newLine } from '../../core/model/new-line';
  import { fullName } from '../../core/model/gear';
  import type { Plan } from '../../core/model/plan';
  import type { Shelf } from '../../core/model/shelf';
  import { makePartSearch } from '../search/part-search';
  import { keepFocus } from '../shell/keep-focus';
  import Lazy from '../shell/Lazy.svelte';
  import Glyph from '../glyphs/Glyph.svelte';
  import { glyphOf } from '../glyphs/glyph-of';

  interface Props {
    plan: Plan;
    shelf: Shelf;
    onact: (act: Act) => void;
  }
  const { plan, shelf, onact }: Props = $props();
  const owned = $derived(plan.lines.filter((line) => line.state === 'owned'));
  let open = $state(false);
  let pasting = $state(false);
  let selectedId = $state<string | undefined>(undefined);
  const search = $derived(makePartSearch(shelf.items));
  const items = $derived(
    shelf.items
      .map((gear) => ({ id: gear.id, text: fullName(gear) }))
      .sort((a, b) => a.text.localeCompare(b.text))
  );
  /** The list asks for each part anew; the search is made once for what is typed. */
  let typed = '';
  let found: ReadonlySet<string> | undefined;
  function isFound(id: string, words: string): boolean {
    if (words !== typed) {
      typed = words;
      const gear = search(words);
      found = gear && new Set(gear.map((part) => part.id));
    }
    return found === undefined || found.has(id);
  }

  function add() {
    const gear = selectedId === undefined ? undefined : shelf.byId.get(selectedId);
    if (!gear) return;
    onact({ type: 'add line', line: { ...newLine(plan, gear), state: 'owned' } });
    selectedId = undefined;
    open = false;
  }
</script>

<div class="card owned" use:keepFocus={'figure'}>
  {#each owned as line (line.id)}
    {@const gear = shelf.byId.get(line.gearId)}
    <figure>
      <Glyph name={gear ? glyphOf(gear) : 'small item'} size={44} />
      <figcaption>
        {gear ? gear.model : line.gearId}
        <button
          class="text-button"
          aria-label="{gear ? fullName(gear) : line.gearId} is not owned"
          onclick={() => onact({ type: 'remove line', lineId: line.id })}>not owned</button
        >
      </figcaption>
    </figure>
  {:else}
    <p class="soft">Nothing yet. What you own costs nothing and counts in the kit.</p>
  {/each}
  <Button size="small" kind="tertiary" on:click={() => (open = true)}>Add what I own</Button>
  <button class="text-button" onclick={() => (pasting = true)}>Paste a list of what I own</button>
  <a href="/shelf/edit?owned=1">Something not on the shelf</a>
</div>
{#if pasting}
  <Lazy load={() => import('../shelf/ListDialog.svelte')}>
    {#snippet children(ListDialog)}<ListDialog bind:open={pasting} goes="owned" />{/snippet}
  </Lazy>
{/if}
<Modal
  bind:open
  modalHeading="What do you own?"
  primaryButtonText="It is mine"
  secondaryButtonText="Cancel"
  primaryButtonDisabled={selectedId === undefined}
  size="sm"
  on:click:button--secondary={() => (open = false)}
  on:submit={add}
>
  <div class="pick">
    <ComboBox
      labelText="Find it on the shelf"
      placeholder="Name of the part"
      {items}
      bind:selectedId
      helperText={selectedId === undefined ? 'Choose the part first.' : ''}
      shouldFilterItem={(item, value) => isFound(item.id, value)}
    />
  </div>
</Modal>

<style>
  .owned {
    display: flex;
    flex-wrap: wrap;
    gap: 0.9rem;
    align-items: center;
    padding: 0.8rem 1rem;
  }

  figure {
    display: grid;
    justify-items: center;
  }

  figcaption {
    display: grid;
    justify-items: center;
    max-width: 8rem;
    font-size: 0.75rem;
    text-align: center;
  }

  figcaption button {
    font-size: 0.75rem;
  }

  .soft {
    font-size: 0.8125rem;
  }

  .pick {
    min-height: 16rem;
  }
</style>
