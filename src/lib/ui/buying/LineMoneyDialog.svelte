<script lang="ts">
  import { Modal, NumberInput, Select, SelectItem, TextInput } from 'carbon-components-svelte';
  import { fullName } from '../../core/model/gear';
  import { lineStates } from '../../core/model/word-lists';
  import type { PlanLine } from '../../core/model/plan';
  import { formatMoney } from '../../core/money/format';
  import type { StatementLine } from '../../core/money/statement';
  import MoneyInput from './MoneyInput.svelte';

  /** What a line costs besides its price, what comes back of it, and what a sum by hand says is left. */
  interface Props {
    statement: StatementLine | undefined;
    currency: string;
    onchange: (patch: Partial<Omit<PlanLine, 'id'>>) => void;
    /** Told once it is seen for so little. */
    alertMinor?: number;
    onalert?: (atMostMinor: number | undefined) => void;
    onclose: () => void;
  }
  const { statement, currency, onchange, alertMinor, onalert, onclose }: Props = $props();

  const DAY = /^\d{4}-\d{2}-\d{2}$/;
  const name = $derived(
    statement?.gear ? fullName(statement.gear) : (statement?.line.gearId ?? '')
  );

  function setDiscount(value: number | null | undefined) {
    if (value === null || value === undefined || value === 0)
      onchange({ discountPercent: undefined });
    else if (value > 0 && value <= 100) onchange({ discountPercent: value });
  }

  function setUntil(value: string) {
    if (value === '') onchange({ cashBackUntil: undefined });
    else if (DAY.test(value)) onchange({ cashBackUntil: value });
  }
</script>

<Modal
  open={statement !== undefined}
  passiveModal
  size="sm"
  modalHeading="Money of {name}"
  on:close={onclose}
>
  {#if statement}
    {@const { line } = statement}
    <div class="fields">
      <Select
        size="sm"
        labelText="State"
        selected={line.state}
        on:change={(event) =>
          onchange({ state: (event.target as HTMLSelectElement).value as PlanLine['state'] })}
      >
        {#each lineStates as state (state)}<SelectItem value={state} text={state} />{/each}
      </Select>
      <NumberInput
        size="sm"
        labelText="Pieces"
        min={1}
        step={1}
        value={line.quantity}
        on:change={(event) => {
          const pieces = event.detail;
          if (pieces !== null && Number.isInteger(pieces) && pieces >= 1)
            onchange({ quantity: pieces });
        }}
      />
      {#if line.state === 'bought' || line.state === 'ordered' || line.state === 'returned'}
        <MoneyInput
          label="Paid in all"
          hint="With shipping, less discount; it stands in place of the price."
          value={line.paidMinor}
          {currency}
          onset={(paidMinor) => onchange({ paidMinor })}
        />
        <TextInput
          size="sm"
          type="date"
          labelText="Paid on"
          value={line.paidOn ?? ''}
          on:change={(event) => {
            const day = String(event.detail ?? '');
            if (day === '' || DAY.test(day)) onchange({ paidOn: day === '' ? undefined : day });
          }}
        />
      {/if}
      {#if line.state === 'returned'}
        <MoneyInput
          label="Refunded"
          hint="What did not come back still counts."
          value={line.refundMinor}
          {currency}
          onset={(refundMinor) => onchange({ refundMinor })}
        />
      {/if}
      <MoneyInput
        label="Shipping"
        value={line.shippingMinor}
        {currency}
        onset={(shippingMinor) => onchange({ shippingMinor })}
      />
      <NumberInput
        size="sm"
        labelText="Discount now, %"
        allowEmpty
        hideSteppers
        min={0}
        max={100}
        value={line.discountPercent ?? null}
        on:change={(event) => setDiscount(event.detail)}
      />
      <NumberInput
        size="sm"
        labelText="Tax, %"
        allowEmpty
        hideSteppers
        min={0}
        max={100}
        value={line.taxPercent ?? null}
        on:change={({ detail }) => {
          if (detail === null || (detail >= 0 && detail <= 100))
            onchange({ taxPercent: detail === null || detail === 0 ? undefined : detail });
        }}
      />
      <Select
        size="sm"
        labelText="The tax is"
        selected={line.taxAdded ? 'added' : 'included'}
        on:change={(event) =>
          onchange({
            taxAdded: (event.target as HTMLSelectElement).value === 'added' ? true : undefined
          })}
      >
        <SelectItem value="included" text="in the price" />
        <SelectItem value="added" text="added when it is paid" />
      </Select>
      {#if onalert}
        <MoneyInput
          label="Alert at or below"
          hint="Told in the ledger once it is seen for so little."
          value={alertMinor}
          {currency}
          onset={onalert}
        />
      {/if}
      <MoneyInput
        label="Cash-back later"
        hint="Shown beside the total, never counted in it."
        value={line.cashBackMinor}
        {currency}
        onset={(cashBackMinor) => onchange({ cashBackMinor })}
      />
      <TextInput
        size="sm"
        type="date"
        labelText="To be claimed until"
        value={line.cashBackUntil ?? ''}
        on:change={(event) => setUntil(String(event.detail ?? ''))}
      />
      <MoneyInput
        label="Resale hoped for"
        value={line.resaleMinor}
        {currency}
        onset={(resaleMinor) => onchange({ resaleMinor })}
      />
      <MoneyInput
        label="Left after it by hand"
        hint="From your own sum; −11 or 11 over where it is over. It is checked."
        value={line.handRemainingMinor}
        {currency}
        maySink
        onset={(handRemainingMinor) => onchange({ handRemainingMinor })}
      />
    </div>
    <p class="figures">
      It costs <b>{formatMoney(statement.firmMinor, currency)}</b> in all; truly
      <b
        >{formatMoney(Math.abs(statement.remainingMinor), currency)}
        {statement.remainingMinor < 0 ? 'over' : 'left'}</b
      > after it.
    </p>
  {/if}
</Modal>

<style>
  .fields {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 0.9rem;
  }

  p {
    margin-top: 1rem;
  }

  @media (max-width: 520px) {
    .fields {
      grid-template-columns: 1fr;
    }
  }
</style>
