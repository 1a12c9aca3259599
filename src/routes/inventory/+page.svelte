<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import {
    CHECK_AFTER_DAYS,
    inventoryCsv,
    inventoryOf,
    type InventoryRow
  } from '$lib/core/ledger/inventory';
  import type { OwnedPiece } from '$lib/core/model/owned-piece';
  import { formatMoney } from '$lib/core/money/format';
  import { dayHere } from '$lib/state/as-of-today';
  import { ownedThings } from '$lib/state/inventory.svelte';
  import { satchel } from '$lib/state/project-store.svelte';
  import Glyph from '$lib/ui/glyphs/Glyph.svelte';
  import { glyphOf } from '$lib/ui/glyphs/glyph-of';
  import PieceDialog from '$lib/ui/ledger/PieceDialog.svelte';
  import { dayWords } from '$lib/ui/shell/day-words';
  import { saveFile } from '$lib/ui/shell/save-file';

  /** What is owned over all projects: what it would cost again, how old it is, and where it is. */
  const today = dayHere(new Date());
  const currency = $derived(satchel.project?.currency ?? 'GBP');
  const say = (minor: number) => formatMoney(minor, currency);
  $effect(() => void ownedThings.open(true));

  /** The open project as it is now, the others as they lie. */
  const projects = $derived(
    satchel.project
      ? [
          { project: satchel.project, shelf: satchel.shelf },
          ...ownedThings.others.filter(({ project }) => project.id !== satchel.project!.id)
        ]
      : []
  );
  const inventory = $derived(
    inventoryOf(projects, ownedThings.pieces, satchel.shelf, currency, today)
  );
  const inHand = $derived(
    inventory.rows.filter(
      ({ record }) => !record || record.state === 'here' || record.state === 'lent'
    )
  );
  const gone = $derived(inventory.rows.filter((row) => !inHand.includes(row)));
  const toCheck = $derived(
    inHand.filter(({ checkedDays }) => checkedDays === undefined || checkedDays > CHECK_AFTER_DAYS)
  );
  let open = $state.raw<InventoryRow | undefined>(undefined);

  /** What is written down of a row, or what would be: a plan alone says how many there are. */
  const recordOf = (row: InventoryRow): OwnedPiece =>
    row.record ?? {
      id: `piece-${crypto.randomUUID().slice(0, 12)}`,
      gearId: row.gearId,
      name: row.name.slice(0, 200),
      quantity: row.quantity,
      state: 'here',
      ...(row.boughtOn === undefined ? {} : { boughtOn: row.boughtOn })
    };
  const ageWords = (days: number | undefined) =>
    days === undefined
      ? 'not said'
      : days < 60
        ? `${days} ${days === 1 ? 'day' : 'days'}`
        : days < 730
          ? `${Math.round(days / 30.44)} months`
          : `${(days / 365.25).toFixed(1)} years`;

  function whereWords({ record }: InventoryRow): string {
    if (record?.state === 'lent' && record.lentTo) return `lent to ${record.lentTo}`;
    if (record?.state === 'sold' && record.soldMinor !== undefined)
      return `sold for ${formatMoney(record.soldMinor, record.currency ?? currency)}`;
    return record?.state ?? 'here';
  }

  async function keep(piece: OwnedPiece, counts: boolean) {
    open = undefined;
    await ownedThings.put(piece);
    if (counts && piece.soldMinor !== undefined && piece.soldOn !== undefined)
      await satchel.act({
        type: 'put income',
        income: {
          id: `sale-${piece.id}`.slice(0, 60),
          label: `sale of ${piece.name}`.slice(0, 120),
          date: piece.soldOn,
          amountMinor: piece.soldMinor
        }
      });
  }
  /** Takes what is not at hand out of the plan shown here. */
  function takeOut(gearId: string) {
    const lines = satchel.plan?.lines.filter((line) => line.gearId === gearId) ?? [];
    if (lines.length > 0)
      void satchel.act({
        type: 'batch',
        acts: lines.map(({ id }) => ({ type: 'remove line' as const, lineId: id }))
      });
  }
  const inThisPlan = ({ countedIn }: InventoryRow) =>
    countedIn.some(({ projectId }) => projectId === satchel.project?.id);
</script>

{#snippet row(owned: InventoryRow)}
  <tr data-gear={owned.gearId}>
    <th scope="row"
      ><span class="part"
        ><Glyph name={owned.gear ? glyphOf(owned.gear) : 'small item'} size={26} /><span
          >{#if owned.gear}<a href="/shelf/{encodeURIComponent(owned.gearId)}">{owned.name}</a
            >{:else}{owned.name}{/if}{owned.quantity > 1 ? `, ${owned.quantity} pieces` : ''}
          {#if owned.fits.length > 0}<span class="soft"
              >fits {owned.fits.join(' and ')}{owned.fits.length > 1 ? ': shared' : ''}</span
            >{/if}
          {#if owned.missing}<span class="missing"
              >{owned.missing}
              {#if inThisPlan(owned)}<button
                  class="text-button"
                  onclick={() => takeOut(owned.gearId)}>take it out of {satchel.plan?.name}</button
                >{/if}</span
            >{/if}</span
        ></span
      ></th
    >
    <td
      >{whereWords(owned)}{#if owned.record?.state === 'lent' && owned.record.lentUntil}<span
          class="soft"
          class:late={owned.record.lentUntil < today}
          >{owned.record.lentUntil < today ? 'due back since' : 'until'}
          {dayWords(owned.record.lentUntil)}</span
        >{/if}{#if owned.record?.state === 'sold' && owned.record.soldOn}<span class="soft"
          >{dayWords(owned.record.soldOn)}</span
        >{/if}</td
    >
    <td class="n figures">{ageWords(owned.ageDays)}</td>
    <td class="n figures"
      >{owned.checkedDays === undefined
        ? 'never'
        : ageWords(
            owned.checkedDays
          )}{#if owned.record?.state !== 'sold' && owned.record?.state !== 'retired'}
        <button
          class="text-button"
          aria-label="{owned.name} is checked today"
          onclick={() => void ownedThings.put({ ...recordOf(owned), checkedOn: today })}
          >checked today</button
        >{/if}</td
    >
    <td class="n figures"
      >{owned.replacementMinor === undefined ? 'no price' : say(owned.replacementMinor)}</td
    >
    <td class="soft"
      >{owned.countedIn.length === 0
        ? 'no plan'
        : owned.countedIn
            .map(({ name, pieces }) => (pieces > 1 ? `${name} (${pieces})` : name))
            .join(', ')}</td
    >
    <td
      ><button
        class="text-button"
        aria-label="What is known of {owned.name}"
        onclick={() => (open = owned)}>change</button
      ></td
    >
  </tr>
{/snippet}

{#snippet table(rows: readonly InventoryRow[], caption: string)}
  <div class="scroll">
    <table>
      <caption class="unseen">{caption}</caption>
      <thead>
        <tr
          ><th scope="col">Part</th><th scope="col">Where</th><th scope="col" class="n">Age</th><th
            scope="col"
            class="n">Checked</th
          ><th scope="col" class="n">To replace it</th><th scope="col">Counted on by</th><th
            scope="col"><span class="unseen">Change</span></th
          ></tr
        >
      </thead>
      <tbody>
        {#each rows as owned (owned.record?.id ?? owned.gearId)}{@render row(owned)}{/each}
      </tbody>
    </table>
  </div>
{/snippet}

<svelte:head><title>Inventory · Hearty Satchel</title></svelte:head>
<p class="back"><a href="/ledger">← the ledger</a></p>
{#if satchel.project}
  <article class="sheet card">
    <header>
      <div>
        <h1>Inventory</h1>
        <p class="soft">
          What is owned {projects.length === 1
            ? 'in this project'
            : `over ${projects.length} projects`}. It would cost
          <b class="figures">{say(inventory.replacementMinor)}</b>
          again{inventory.unpriced > 0 ? `, ${inventory.unpriced} without a price` : ''}; {toCheck.length ===
          0
            ? 'everything was checked within a year'
            : `${toCheck.length} not checked within a year`}.
        </p>
      </div>
      <Button
        size="small"
        kind="tertiary"
        disabled={inventory.rows.length === 0}
        on:click={() => saveFile('inventory.csv', 'text/csv', inventoryCsv(inventory, currency))}
        >Save as CSV</Button
      >
    </header>
    {#if ownedThings.failure}<p class="missing" role="alert">{ownedThings.failure}</p>{/if}
    {#if inventory.rows.length === 0}
      <p>
        No plan says yet that you own something. Mark a part as owned on the <a href="/shelf"
          >shelf</a
        >, or a line as bought in the <a href="/ledger">ledger</a>.
      </p>
    {:else}
      {@render table(inHand, 'What is owned')}
      {#if gone.length > 0}
        <h2>Retired and sold</h2>
        {@render table(gone, 'Retired and sold')}
      {/if}
    {/if}
  </article>
  {#if open}
    {#key open}
      <PieceDialog
        piece={recordOf(open)}
        {currency}
        {today}
        isKept={open.record !== undefined}
        onkeep={keep}
        onforget={(id) => {
          open = undefined;
          void ownedThings.remove(id);
        }}
        onclose={() => (open = undefined)}
      />
    {/key}
  {/if}
{/if}

<style>
  .back {
    max-width: 70rem;
    margin: 0 auto 0.4rem;
    font-size: 0.8125rem;
  }

  .sheet {
    overflow-wrap: anywhere;
    max-width: 70rem;
    margin: 0 auto;
    padding: 1.1rem 1.4rem 1.6rem;
    background: var(--paper);
  }

  header {
    display: flex;
    flex-wrap: wrap;
    gap: 0.6rem 1rem;
    align-items: start;
    justify-content: space-between;
  }

  h1 {
    font-size: 1.6rem;
  }

  h2 {
    margin-top: 1.2rem;
  }

  .scroll {
    /* What only a reader hears is placed in here, and cut off with the rest. */
    position: relative;
    overflow-x: auto;
  }

  table {
    width: 100%;
    min-width: 44rem;
    margin-top: 0.6rem;
    border-collapse: collapse;
    font-size: 0.8125rem;
  }

  th,
  td {
    padding: 0.45rem 0.5rem;
    border-bottom: 1px dashed var(--line);
    text-align: left;
    vertical-align: top;
  }

  thead th {
    color: var(--ink-soft);
    font-size: 0.75rem;
    font-weight: 400;
  }

  tbody th {
    font-weight: 600;
  }

  .part {
    display: flex;
    gap: 0.6rem;
  }

  tbody th a {
    color: var(--ink);
  }

  .n {
    text-align: right;
  }

  .soft,
  .missing {
    display: block;
    color: var(--ink-soft);
    font-size: 0.75rem;
    font-weight: 400;
  }

  td.soft {
    display: table-cell;
  }

  .missing,
  .late {
    color: var(--brick);
  }

  button {
    display: inline-block;
    font-size: 0.75rem;
  }

  .n button {
    display: block;
    margin-left: auto;
  }
</style>
