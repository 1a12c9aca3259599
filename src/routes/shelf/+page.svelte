<script lang="ts">
  import { MediaQuery } from 'svelte/reactivity';
  import {
    Button,
    Checkbox,
    NumberInput,
    Search,
    Select,
    SelectItem
  } from 'carbon-components-svelte';
  import { writeShelfCsv } from '$lib/core/formats/csv-file';
  import { newLine } from '$lib/core/model/new-line';
  import { type GearKind, gearKindNames, gearKinds } from '$lib/core/model/gear';
  import { type Pocket, pockets } from '$lib/core/model/pocket';
  import { minorPerMajor } from '$lib/core/money/format';
  import { satchel } from '$lib/state/project-store.svelte';
  import Fold from '$lib/ui/shell/Fold.svelte';
  import { saveFile } from '$lib/ui/shell/save-file';
  import ListDialog from '$lib/ui/shelf/ListDialog.svelte';
  import ImportDialog from '$lib/ui/shelf/ImportDialog.svelte';
  import ShelfRows from '$lib/ui/shelf/ShelfRows.svelte';
  import { indexShelf, noFilter, type ShelfFilter, filterShelf } from '$lib/ui/shelf/shelf-search';

  let shelfFilter = $state<ShelfFilter>({ ...noFilter });
  let importing = $state(false);
  let pasting = $state(false);
  const shelf = $derived(indexShelf(satchel.shelf.items));
  const entries = $derived(shelf.entries);
  const own = $derived(new Set(satchel.project?.ownGear.map((gear) => gear.id) ?? []));
  const inBag = $derived(new Set(satchel.plan?.lines.map((line) => line.gearId) ?? []));
  const owned = $derived(
    new Set(
      satchel.project?.plans.flatMap(({ lines }) =>
        lines.filter(({ state }) => state === 'owned').map(({ gearId }) => gearId)
      ) ?? []
    )
  );
  const found = $derived(filterShelf(shelf, shelfFilter, { owned, own, inBag }));
  const mounts = $derived(
    [
      ...new Set(
        entries.map((entry) => entry.mount).filter((mount): mount is string => mount !== undefined)
      )
    ].sort()
  );
  const kinds = $derived(
    gearKindNames.filter(
      (kind) => shelfFilter.pocket === undefined || gearKinds[kind].pocket === shelfFilter.pocket
    )
  );
  const currency = $derived(satchel.project?.currency ?? 'GBP');

  function take(gearId: string) {
    const gear = satchel.shelf.byId.get(gearId);
    if (gear && satchel.plan)
      void satchel.act({ type: 'add line', line: newLine(satchel.plan, gear) });
  }

  /** On a phone the shelfFilter folds, so that parts are seen first. */
  const wide = new MediaQuery('(min-width: 801px)', true);
</script>

{#snippet filters()}
  <div class="filters">
    <Select
      size="sm"
      labelText="Kind"
      selected={shelfFilter.kind ?? ''}
      on:update={({ detail }) => (shelfFilter.kind = (detail || undefined) as GearKind | undefined)}
    >
      <SelectItem value="" text="any" />
      {#each kinds as kind (kind)}<SelectItem value={kind} text={gearKinds[kind].name} />{/each}
    </Select>
    <Select size="sm" labelText="Mount" bind:selected={shelfFilter.mount}>
      <SelectItem value="" text="any" />
      {#each mounts as mount (mount)}<SelectItem value={mount} text={mount} />{/each}
    </Select>
    <NumberInput
      size="sm"
      labelText="New for at most"
      placeholder="no limit"
      allowEmpty
      hideSteppers
      min={0}
      value={shelfFilter.mostMinor === undefined
        ? null
        : shelfFilter.mostMinor / minorPerMajor(currency)}
      on:input={({ detail }) =>
        (shelfFilter.mostMinor =
          typeof detail === 'number' ? detail * minorPerMajor(currency) : undefined)}
    />
    <div>
      <Checkbox labelText="In the kit" bind:checked={shelfFilter.inBagOnly} />
      <Checkbox labelText="What I own" bind:checked={shelfFilter.ownedOnly} />
      <Checkbox labelText="My own entries" bind:checked={shelfFilter.ownOnly} />
    </div>
  </div>
{/snippet}

<svelte:head><title>Shelf · Hearty Satchel</title></svelte:head>
{#if satchel.project}
  <div class="head">
    <h1>The shelf</h1>
    <p class="figures" role="status">
      {found.length === entries.length
        ? `${entries.length} parts`
        : `${found.length} of ${entries.length} parts`}
    </p>
    <div class="do">
      <Button size="small" href="/shelf/edit">Add a part</Button>
      <Button size="small" kind="tertiary" on:click={() => (importing = true)}
        >Import a spreadsheet</Button
      >
      <Button size="small" kind="tertiary" on:click={() => (pasting = true)}>Paste a list</Button>
      <Button
        size="small"
        kind="tertiary"
        on:click={() =>
          saveFile(
            'shelf.csv',
            'text/csv',
            writeShelfCsv(
              found.map(({ gear }) => gear),
              satchel.plan?.lines
            )
          )}>Save these as CSV</Button
      >
    </div>
  </div>
  <div class="bench">
    <aside class="card" aria-label="Narrow the shelf">
      <Search
        size="sm"
        labelText="Find a part"
        placeholder="Find a part"
        bind:value={shelfFilter.words}
      />
      <div class="pockets" role="group" aria-label="Pocket">
        {#each pockets as pocket (pocket)}
          <button
            aria-pressed={shelfFilter.pocket === pocket}
            style:--colour="var(--pocket-{pocket})"
            onclick={() => {
              shelfFilter.pocket = shelfFilter.pocket === pocket ? undefined : (pocket as Pocket);
              shelfFilter.kind = undefined;
            }}>{pocket}</button
          >
        {/each}
      </div>
      {#if wide.current}
        {@render filters()}
      {:else}
        <Fold title="narrow it further">{@render filters()}</Fold>
      {/if}
      <button class="text-button clear" onclick={() => (shelfFilter = { ...noFilter })}
        >Show all</button
      >
    </aside>
    {#if found.length > 0}
      <ShelfRows
        units={satchel.project.units}
        entries={found}
        {inBag}
        {own}
        {currency}
        ontake={take}
      />
    {:else}
      <div class="card none">
        <p>Nothing on the shelf passes. Clear filters, or add the part yourself.</p>
      </div>
    {/if}
  </div>
  <ImportDialog bind:open={importing} />
  <ListDialog bind:open={pasting} />
{/if}

<style>
  .head {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem 1rem;
    align-items: baseline;
    margin-bottom: 0.7rem;
  }

  h1 {
    font-size: 1.5rem;
  }

  .do {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem;
    margin-left: auto;
  }

  .bench {
    display: grid;
    grid-template-columns: 15rem minmax(0, 1fr);
    gap: 1rem;
    align-items: start;
  }

  aside {
    display: grid;
    gap: 0.7rem;
    padding: 0.9rem;
  }

  .pockets {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 0.35rem;
  }

  .filters {
    display: grid;
    gap: 0.7rem;
  }

  .pockets button {
    min-width: 0;
    padding: 0.3rem 0.2rem;
    font-size: clamp(0.75rem, 2.9vw, 1rem);
    border: 1px solid var(--line);
    border-radius: 8px;
    background: var(--paper);
    font-family: var(--display);
    box-shadow: inset 0 3.5px 0 var(--colour);
    cursor: pointer;
  }

  .pockets button[aria-pressed='true'] {
    background: var(--tan);
    font-weight: 600;
  }

  .clear {
    justify-self: start;
    font-weight: 600;
    text-decoration: none;
  }

  .none {
    padding: 2rem;
  }

  @media (max-width: 800px) {
    .bench {
      grid-template-columns: minmax(0, 1fr);
    }

    .pockets {
      grid-template-columns: repeat(4, minmax(0, 1fr));
    }
  }
</style>
