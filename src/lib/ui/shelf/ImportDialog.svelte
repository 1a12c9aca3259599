<script lang="ts">
  import '../shell/import-steps.css';
  import type { Act } from '../../core/acts/act';
  import { putLineActs } from '../../core/acts/put-lines';
  import { formatMoney } from '../../core/money/format';
  import { proxy } from 'comlink';
  import {
    Button,
    FileUploaderDropContainer,
    InlineNotification,
    Modal,
    ProgressBar,
    Select,
    SelectItem
  } from 'carbon-components-svelte';
  import {
    type ColumnMatch,
    csvFields,
    type CsvReading,
    guessColumns
  } from '../../core/formats/csv-columns';
  import { sameGear } from '../../core/formats/compare-projects';
  import { readCsvText } from '../../core/formats/csv-file';
  import { decodeText, type TextEncoding, textEncodings } from '../../core/formats/decode-text';
  import { faultSentence } from '../../core/formats/faults';
  import { fullName, type GearKind, gearKindNames, gearKinds } from '../../core/model/gear';
  import { dayHere } from '$lib/state/as-of-today';
  import { satchel } from '../../state/project-store.svelte';
  import { askJudge, isCancelled } from '../../workers/connect-judge';
  import { partGist } from '../chooser/candidate-words';

  /** A spreadsheet of parts: columns are matched, refused rows are shown with why, and then all or nothing. */
  let { open = $bindable(false) }: { open?: boolean } = $props();
  const SHOWN = 6;

  let headers = $state.raw<string[]>([]);
  let rows = $state.raw<string[][]>([]);
  let columns = $state.raw<ColumnMatch[]>([]);
  let kind = $state<GearKind | ''>('');
  let fileName = $state('');
  let fault = $state('');
  let bytes = $state.raw<Uint8Array | undefined>(undefined);
  let encoding = $state<TextEncoding>('utf-8');
  let certain = $state(true);
  let reading = $state.raw<CsvReading | undefined>(undefined);
  /** Share of the rows read so far; undefined when none are being read. */
  let share = $state<number | undefined>(undefined);
  let stopped = $state(false);
  const hasKind = $derived(columns.includes('kind'));
  /** A row that says what the shelf says already changes nothing of it. */
  const changed = $derived(
    (reading?.gear ?? []).filter((gear) => {
      const there = satchel.shelf.byId.get(gear.id);
      return !there || !sameGear(there, gear);
    })
  );
  /** Rows whose names are those of parts that are there already: they stand before them from then on. */
  const shadows = $derived(changed.filter(({ id }) => satchel.shelf.byId.has(id)));
  /** In which currencies the prices of the file are read, the commonest first. */
  const pricesBy = $derived.by(() => {
    const counts: Record<string, number> = {};
    for (const { priceNew } of reading?.gear ?? [])
      if (priceNew) counts[priceNew.currency] = (counts[priceNew.currency] ?? 0) + 1;
    return Object.entries(counts)
      .map(([currency, count]) => ({ currency, count }))
      .sort((a, b) => b.count - a.count);
  });
  const foreignPrices = $derived(
    pricesBy.some(({ currency }) => currency !== satchel.project?.currency)
  );

  // Rows are read in the worker, which a newer question stops.
  $effect(() => {
    if (headers.length === 0) {
      reading = undefined;
      return;
    }
    let stale = false;
    // Told by another channel than the answer: what it says may come after the answer, or after Stop.
    let done = false;
    share = 0;
    stopped = false;
    const defaults = {
      currency: satchel.project?.currency ?? 'GBP',
      day: dayHere(new Date()),
      source: fileName || 'spreadsheet',
      kind: kind === '' ? undefined : kind
    };
    const tell = proxy((soFar: number) => {
      if (!stale && !done && !stopped) share = soFar;
    });
    askJudge((judge) => judge.readRows(headers, rows, columns, defaults, tell))
      .then((read) => {
        if (!stale) reading = read;
      })
      .catch((error: unknown) => {
        if (!stale && !isCancelled(error))
          fault = error instanceof Error ? error.message : String(error);
      })
      .finally(() => {
        done = true;
        if (!stale) share = undefined;
      });
    return () => {
      stale = true;
    };
  });

  async function stop() {
    stopped = true;
    share = undefined;
    await askJudge((judge) => judge.stopReadingRows());
  }

  async function choose(file: File | undefined) {
    if (!file) return;
    fileName = file.name;
    bytes = new Uint8Array(await file.arrayBuffer());
    decode();
  }

  /** Reads the bytes as the text they seem to be, or as a person says they are. */
  function decode(as?: TextEncoding) {
    if (!bytes) return;
    const decoded = decodeText(bytes, as);
    ({ encoding, certain } = decoded);
    const parsed = readCsvText(decoded.text);
    if (!parsed.ok) {
      fault = parsed.says;
      headers = [];
      return;
    }
    fault = '';
    headers = parsed.headers;
    rows = parsed.rows;
    columns = guessColumns(parsed.headers);
  }

  function match(column: number, key: string) {
    columns = columns.map((own, index) =>
      index === column ? key || undefined : own === key ? undefined : own
    );
  }

  async function takeAll() {
    if (!reading || reading.refused.length > 0 || reading.gear.length === 0) return;
    const byId = new Map(reading.gear.map((gear) => [gear.id, gear]));
    const put: Act = { type: 'put many gear', gear: changed };
    const lines = satchel.plan
      ? putLineActs(
          satchel.plan,
          reading.lines.map(({ gearId, ...standing }) => ({
            gear: byId.get(gearId)!,
            ...standing
          }))
        )
      : [];
    const acts: Act[] = [...(changed.length > 0 ? [put] : []), ...lines];
    if (acts.length > 0) await satchel.act(acts.length === 1 ? acts[0]! : { type: 'batch', acts });
    headers = [];
    open = false;
  }
</script>

<Modal
  bind:open
  modalHeading="Import a spreadsheet"
  primaryButtonText={reading
    ? `Import ${reading.gear.length} ${reading.gear.length === 1 ? 'part' : 'parts'}`
    : 'Import'}
  secondaryButtonText="Cancel"
  primaryButtonDisabled={!reading || reading.refused.length > 0 || reading.gear.length === 0}
  on:click:button--secondary={() => (open = false)}
  on:submit={takeAll}
>
  <div class="import-steps">
    <div class="file">
      <p>
        A CSV file: with commas or semicolons, decimal points or commas, figures with their units or
        without.
      </p>
      <FileUploaderDropContainer
        accept={['.csv', 'text/csv', 'text/plain']}
        labelText="Spreadsheet file: drop it here or choose it"
        on:change={({ detail }) => choose(detail[0])}
      />
    </div>
    {#if fault}<InlineNotification
        kind="error"
        lowContrast
        hideCloseButton
        title="The file cannot be read."
        subtitle={fault}
      />{/if}
    {#if headers.length > 0 && (!certain || encoding !== 'utf-8')}
      <Select
        size="sm"
        labelText="How letters are written"
        helperText="{certain
          ? 'Recognised by the file itself.'
          : 'The file does not say; this is a guess.'} Look at the names below before you take them."
        selected={encoding}
        on:update={({ detail }) => {
          if (detail !== encoding) decode(detail as TextEncoding);
        }}
      >
        {#each Object.entries(textEncodings) as [name, words] (name)}<SelectItem
            value={name}
            text={words}
          />{/each}
      </Select>
    {/if}
    {#if share !== undefined && rows.length > 500}
      <div class="reading">
        <ProgressBar
          value={share * 100}
          labelText="Reading {rows.length} rows"
          helperText="{Math.round(share * rows.length)} read"
        />
        <Button size="small" kind="tertiary" on:click={stop}>Stop</Button>
      </div>
    {:else if stopped}
      <p>Reading was stopped. Nothing was imported; choose the file again to go on.</p>
    {/if}
    {#if headers.length > 0}
      <section>
        <h3>Which column is what?</h3>
        {#if !hasKind}
          <Select
            size="sm"
            labelText="Kind of all rows"
            helperText="No column says what kind each part is."
            bind:selected={kind}
          >
            <SelectItem value="" text="— choose —" />
            {#each gearKindNames as name (name)}<SelectItem
                value={name}
                text={gearKinds[name].name}
              />{/each}
          </Select>
        {/if}
        <ul class="columns">
          {#each headers as header, index (index)}
            <li>
              <span
                ><b>{header || `column ${index + 1}`}</b><span class="soft"
                  >{rows[0]?.[index] ?? ''}</span
                ></span
              >
              <Select
                size="sm"
                hideLabel
                labelText="Column {header} is"
                selected={columns[index] ?? ''}
                on:update={({ detail }) => {
                  if (detail !== (columns[index] ?? '')) match(index, String(detail));
                }}
              >
                <SelectItem value="" text="leave out" />
                {#each csvFields as field (field.key)}<SelectItem
                    value={field.key}
                    text={field.name}
                  />{/each}
              </Select>
            </li>
          {/each}
        </ul>
      </section>
    {/if}
    {#if headers.length === 0 && !fault}
      <p class="soft">
        Nothing is imported until a file is chosen and its rows have been looked at.
      </p>
    {/if}
    {#if reading}
      <section aria-live="polite">
        <h3>{reading.gear.length} of {rows.length} rows can be imported</h3>
        {#if reading.refused.length > 0}
          <p class="refused">
            {reading.refused.length}
            {reading.refused.length === 1 ? 'row is' : 'rows are'} refused. Nothing is imported until
            every row is well: mend the file, or leave a column out.
          </p>
          <ul class="faults">
            {#each reading.refused.slice(0, SHOWN * 2) as row, index (index)}
              <li>
                <b class="figures">line {row.line}</b>
                {row.faults.map(faultSentence).join(' ')}
              </li>
            {/each}
            {#if reading.refused.length > SHOWN * 2}<li>
                and {reading.refused.length - SHOWN * 2} more
              </li>{/if}
          </ul>
        {/if}
        {#if shadows.length > 0}
          <p class="shadows">
            {shadows.length === 1 ? 'One row has' : `${shadows.length} rows have`} the name of a part
            that is on the shelf already, and will stand in its place, in every plan:
            {shadows.slice(0, SHOWN).map(fullName).join(', ')}{shadows.length > SHOWN
              ? ` and ${shadows.length - SHOWN} more`
              : ''}.
          </p>
        {/if}
        {#if changed.length < reading.gear.length}
          <p class="soft">
            {reading.gear.length - changed.length} of them are on the shelf already, just as the file
            has them.
          </p>
        {/if}
        {#if reading.lines.length > 0}
          <p class="soft">
            {reading.lines.length}
            {reading.lines.length === 1 ? 'row goes' : 'rows go'} into {satchel.plan?.name} with the quantity
            the file says, {reading.lines.filter(({ owned }) => owned).length} of them as owned.
          </p>
        {/if}
        {#if pricesBy.length > 0}
          <p class="soft">
            Prices are read in {pricesBy
              .map(({ currency, count }) => `${currency} (${count})`)
              .join(', ')}{foreignPrices
              ? ', kept so, and counted at the rates under Budget in the brief'
              : ''}. The first ones, as they are read:
          </p>
        {/if}
        <ul class="preview">
          {#each reading.gear.slice(0, SHOWN) as gear, index (index)}<li>
              <b>{fullName(gear)}</b>
              <span class="soft"
                >{gearKinds[gear.kind].name}: {partGist(gear, satchel.project?.units)}</span
              >
              {#if gear.priceNew}<span class="figures"
                  >{formatMoney(gear.priceNew.likely, gear.priceNew.currency)}</span
                >{/if}
            </li>{/each}
        </ul>
      </section>
    {/if}
  </div>
</Modal>

<style>
  .file {
    display: grid;
    gap: 0.5rem;
  }

  .columns {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(14rem, 1fr));
    gap: 0.5rem;
  }

  .columns li {
    display: grid;
    gap: 0.2rem;
    padding: 0.45rem 0.6rem;
    border: 1px solid var(--line);
    border-radius: 8px;
    background: var(--paper);
  }

  .columns li > span {
    display: flex;
    gap: 0.5rem;
    justify-content: space-between;
    overflow: hidden;
    white-space: nowrap;
  }

  .reading {
    display: grid;
    gap: 0.5rem;
    justify-items: start;
  }

  .shadows {
    padding: 0.4rem 0.6rem;
    border-left: 4px solid var(--ochre);
    background: var(--paper);
  }

  .preview {
    padding-left: 1rem;
    list-style: disc;
  }
</style>
