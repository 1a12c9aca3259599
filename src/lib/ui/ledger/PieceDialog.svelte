<script lang="ts">
  import {
    Button,
    Checkbox,
    Modal,
    NumberInput,
    Select,
    SelectItem,
    TextInput
  } from 'carbon-components-svelte';
  import type { OwnedPiece, PieceState } from '../../core/model/owned-piece';
  import { pieceStates } from '../../core/model/word-lists';
  import MoneyInput from '../buying/MoneyInput.svelte';

  /** What a person knows of something they own: since when, where it is, what became of it. */
  interface Props {
    piece: OwnedPiece;
    currency: string;
    today: string;
    isKept: boolean;
    /** @param counts what it was sold for is counted as money that comes in */
    onkeep: (piece: OwnedPiece, counts: boolean) => void;
    onforget: (id: string) => void;
    onclose: () => void;
  }
  const { piece, currency, today, isKept, onkeep, onforget, onclose }: Props = $props();

  const DAY = /^\d{4}-\d{2}-\d{2}$/;
  // The dialog is made anew for every piece.
  // svelte-ignore state_referenced_locally
  let draft = $state<OwnedPiece>({ ...piece });
  let counts = $state(true);
  const paidIn = $derived(draft.currency ?? currency);

  const dayOr = (value: unknown) => {
    const day = String(value ?? '');
    return DAY.test(day) ? day : undefined;
  };
  const textOr = (value: unknown, most: number) =>
    String(value ?? '')
      .trim()
      .slice(0, most) || undefined;

  /** What belongs to another state is left out, so that nothing lent is sold at once. */
  function keep() {
    const { lentTo, lentUntil, soldMinor, soldOn, ...rest } = $state.snapshot(draft);
    const money = rest.paidMinor !== undefined || soldMinor !== undefined;
    const kept: OwnedPiece = {
      ...rest,
      ...(money ? { currency: paidIn } : {}),
      ...(rest.state === 'lent' ? { lentTo, lentUntil } : {}),
      ...(rest.state === 'sold' ? { soldMinor, soldOn: soldOn ?? today } : {})
    };
    const clean = Object.fromEntries(
      Object.entries(kept).filter(([, value]) => value !== undefined)
    ) as unknown as OwnedPiece;
    onkeep(clean, counts && clean.state === 'sold');
  }
</script>

<Modal
  open
  size="sm"
  modalHeading={piece.name}
  primaryButtonText="Save"
  secondaryButtonText="Cancel"
  on:click:button--secondary={onclose}
  on:close={onclose}
  on:submit={keep}
>
  <div class="fields">
    <Select
      size="sm"
      labelText="Where it is"
      selected={draft.state}
      on:change={(event) => (draft.state = (event.target as HTMLSelectElement).value as PieceState)}
    >
      {#each pieceStates as state (state)}<SelectItem value={state} text={state} />{/each}
    </Select>
    <NumberInput
      size="sm"
      labelText="Pieces"
      min={1}
      max={999}
      step={1}
      value={draft.quantity}
      on:change={({ detail }) => {
        if (detail !== null && Number.isInteger(detail) && detail >= 1) draft.quantity = detail;
      }}
    />
    {#if draft.state === 'lent'}
      <TextInput
        size="sm"
        labelText="Lent to"
        value={draft.lentTo ?? ''}
        on:input={({ detail }) => (draft.lentTo = textOr(detail, 120))}
      />
      <TextInput
        size="sm"
        type="date"
        labelText="Back by"
        value={draft.lentUntil ?? ''}
        on:change={({ detail }) => (draft.lentUntil = dayOr(detail))}
      />
    {:else if draft.state === 'sold'}
      <MoneyInput
        label="Sold for"
        value={draft.soldMinor}
        currency={paidIn}
        onset={(minor) => (draft.soldMinor = minor)}
      />
      <TextInput
        size="sm"
        type="date"
        labelText="Paid to you on"
        value={draft.soldOn ?? today}
        on:change={({ detail }) => (draft.soldOn = dayOr(detail))}
      />
      <div class="whole">
        <Checkbox
          bind:checked={counts}
          labelText="Count it in the steps of this project as money that comes in"
        />
      </div>
    {/if}
    <TextInput
      size="sm"
      type="date"
      labelText="Bought on"
      value={draft.boughtOn ?? ''}
      on:change={({ detail }) => (draft.boughtOn = dayOr(detail))}
    />
    <MoneyInput
      label="Paid for it"
      value={draft.paidMinor}
      currency={paidIn}
      onset={(minor) => (draft.paidMinor = minor)}
    />
    <TextInput
      size="sm"
      type="date"
      labelText="Last checked"
      value={draft.checkedOn ?? ''}
      on:change={({ detail }) => (draft.checkedOn = dayOr(detail))}
    />
    <TextInput
      size="sm"
      labelText="Note"
      placeholder="serial number, a scratch"
      value={draft.note ?? ''}
      on:input={({ detail }) => (draft.note = textOr(detail, 500))}
    />
  </div>
  {#if isKept}
    <Button size="small" kind="ghost" on:click={() => onforget(piece.id)}
      >Forget what is written here</Button
    >
  {/if}
</Modal>

<style>
  .fields {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 0.9rem;
    margin-bottom: 0.8rem;
  }

  .whole {
    grid-column: 1 / -1;
  }

  @media (max-width: 520px) {
    .fields {
      grid-template-columns: 1fr;
    }
  }
</style>
