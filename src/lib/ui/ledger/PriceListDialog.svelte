<script lang="ts">
  import '../shell/import-steps.css';
  import {
    Checkbox,
    FileUploaderDropContainer,
    InlineNotification,
    Modal,
    Select,
    SelectItem
  } from 'carbon-components-svelte';
  import type { Act } from '../../core/acts/act';
  import type { ColumnMatch } from '../../core/formats/csv-columns';
  import { readCsvText } from '../../core/formats/csv-file';
  import { decodeText } from '../../core/formats/decode-text';
  import { faultSentence } from '../../core/formats/faults';
  import {
    guessPriceColumns,
    priceListColumns,
    readPriceRows
  } from '../../core/formats/price-list';
  import { fullName, type GearItem } from '../../core/model/gear';
  import type { Shelf } from '../../core/model/shelf';
  import { formatMoney } from '../../core/money/format';
  import { withObservation } from '../../core/money/price-history';
  import { dayHere } from '../../state/as-of-today';

  /** A price list: columns are matched, refused rows are shown with why, and then all of it is noted or nothing. */
  interface Props {
    open: boolean;
    shelf: Shelf;
    currency: string;
    onact: (act: Act) => void;
  }
  let { open = $bindable(), shelf, currency, onact }: Props = $props();
  const SHOWN = 8;

  let headers = $state.raw<string[]>([]);
  let rows = $state.raw<string[][]>([]);
  let columns = $state.raw<ColumnMatch[]>([]);
  let fileName = $state('');
  let fault = $state('');
  /** The newest price of each part becomes the one that is planned with. */
  let planWith = $state(false);
  const reading = $derived(
    headers.length === 0
      ? undefined
      : readPriceRows(headers, rows, columns, shelf.items, {
          currency,
          day: dayHere(new Date()),
          source: fileName || 'price list'
        })
  );

  async function choose(file: File | undefined) {
    if (!file) return;
    fileName = file.name;
    const parsed = readCsvText(decodeText(new Uint8Array(await file.arrayBuffer())).text);
    fault = parsed.ok ? '' : parsed.says;
    headers = parsed.ok ? parsed.headers : [];
    rows = parsed.ok ? parsed.rows : [];
    columns = guessPriceColumns(headers);
  }

  function match(column: number, key: string) {
    columns = columns.map((own, index) =>
      index === column ? key || undefined : own === key ? undefined : own
    );
  }

  function take() {
    if (!reading || reading.refused.length > 0) return;
    const { observations } = reading;
    const acts: Act[] = [{ type: 'note prices', observations }];
    if (planWith) {
      const changed: Record<string, GearItem> = {};
      for (const seen of [...observations].sort((a, b) => (a.date < b.date ? -1 : 1))) {
        const gear = changed[seen.gearId] ?? shelf.byId.get(seen.gearId);
        if (gear) changed[seen.gearId] = withObservation(gear, seen);
      }
      acts.push({ type: 'put many gear', gear: Object.values(changed) });
    }
    onact(acts.length === 1 ? acts[0]! : { type: 'batch', acts });
    headers = [];
    rows = [];
    open = false;
  }
</script>

<Modal
  bind:open
  modalHeading="Import a price list"
  primaryButtonText={reading
    ? `Note ${reading.observations.length} ${reading.observations.length === 1 ? 'price' : 'prices'}`
    : 'Note the prices'}
  secondaryButtonText="Cancel"
  primaryButtonDisabled={!reading ||
    reading.refused.length > 0 ||
    reading.observations.length === 0}
  on:click:button--secondary={() => (open = false)}
  on:submit={take}
>
  <div class="import-steps">
    <p>
      A CSV file, a price a row: the part by its id or by maker and model, the price, and where they
      are known its currency, day, source and the last day it holds.
    </p>
    <FileUploaderDropContainer
      accept={['.csv', 'text/csv', 'text/plain']}
      labelText="Price list: drop it here or choose it"
      on:change={({ detail }) => choose(detail[0])}
    />
    {#if fault}<InlineNotification
        kind="error"
        lowContrast
        hideCloseButton
        title="The file cannot be read."
        subtitle={fault}
      />{/if}
    {#if reading}
      <ul class="columns">
        {#each headers as header, index (index)}
          <li>
            <Select
              size="sm"
              labelText="{header || `column ${index + 1}`}: {rows[0]?.[index] ?? ''}"
              selected={columns[index] ?? ''}
              on:update={({ detail }) => {
                if (detail !== (columns[index] ?? '')) match(index, String(detail));
              }}
            >
              <SelectItem value="" text="leave out" />
              {#each priceListColumns as { key, name } (key)}<SelectItem
                  value={key}
                  text={name}
                />{/each}
            </Select>
          </li>
        {/each}
      </ul>
      <section aria-live="polite">
        <h3>{reading.observations.length} of {rows.length} rows can be noted</h3>
        {#if reading.refused.length > 0}
          <p class="refused">
            {reading.refused.length}
            {reading.refused.length === 1 ? 'row is' : 'rows are'} refused; correct the file and choose
            it again. Nothing is noted until every row can be.
          </p>
          <ul class="faults">
            {#each reading.refused.slice(0, SHOWN) as { line, faults } (line)}<li>
                Line {line}: {faults.map(faultSentence).join(' ')}
              </li>{/each}
          </ul>
        {:else}
          <ul class="faults">
            {#each reading.observations.slice(0, SHOWN) as seen, index (index)}
              <li>
                {shelf.byId.get(seen.gearId)
                  ? fullName(shelf.byId.get(seen.gearId)!)
                  : seen.gearId},
                {seen.basis}:
                <b class="figures">{formatMoney(seen.priceMinor, seen.currency)}</b> at the {seen.source},
                {seen.date}
              </li>
            {/each}
          </ul>
          <Checkbox
            bind:checked={planWith}
            labelText="Plan with these prices: each part's newest becomes its own"
          />
        {/if}
      </section>
    {/if}
  </div>
</Modal>

<style>
  .columns {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(13rem, 1fr));
    gap: 0.6rem;
  }
</style>
