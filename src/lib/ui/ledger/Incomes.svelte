<script lang="ts">
  import { Button, TextInput } from 'carbon-components-svelte';
  import type { Act } from '../../core/acts/act';
  import type { Income } from '../../core/model/price-observation';
  import { formatMoney } from '../../core/money/format';
  import MoneyInput from '../buying/MoneyInput.svelte';
  import { dayWords } from '../shell/day-words';

  /** Money that comes in once: a commission, a part that is sold. */
  interface Props {
    incomes: readonly Income[];
    currency: string;
    today: string;
    onact: (act: Act) => void;
  }
  const { incomes, currency, today, onact }: Props = $props();

  const DAY = /^\d{4}-\d{2}-\d{2}$/;
  let adding = $state(false);
  let label = $state('');
  let date = $state('');
  let amountMinor = $state<number | undefined>(undefined);
  const complete = $derived(label.trim() !== '' && DAY.test(date) && amountMinor !== undefined);

  function add() {
    if (!complete) return;
    onact({
      type: 'put income',
      income: {
        id: `income-${crypto.randomUUID().slice(0, 8)}`,
        label: label.trim().slice(0, 120),
        date,
        amountMinor: amountMinor!
      }
    });
    label = '';
    date = '';
    amountMinor = undefined;
    adding = false;
  }
</script>

<div class="incomes">
  {#if incomes.length > 0}
    <ul>
      {#each incomes as income (income.id)}
        <li>
          <span>{income.label}</span>
          <b class="figures">{formatMoney(income.amountMinor, currency)}</b>
          <span class="soft figures"
            >{dayWords(income.date)}{income.date <= today ? ', in hand by now' : ''}</span
          >
          <button
            class="text-button"
            aria-label="Delete {income.label}"
            onclick={() => onact({ type: 'remove income', incomeId: income.id })}>delete</button
          >
        </li>
      {/each}
    </ul>
  {/if}
  {#if adding}
    <div class="fields">
      <TextInput
        size="sm"
        labelText="What comes in"
        placeholder="a commission, the old lens"
        bind:value={label}
      />
      <MoneyInput
        label="How much"
        value={amountMinor}
        {currency}
        onset={(minor) => (amountMinor = minor)}
      />
      <TextInput size="sm" type="date" labelText="On" bind:value={date} />
      <div class="do">
        <Button size="small" disabled={!complete} on:click={add}>Add it</Button>
        <Button size="small" kind="ghost" on:click={() => (adding = false)}>Cancel</Button>
      </div>
    </div>
  {:else}
    <Button size="small" kind="ghost" on:click={() => (adding = true)}
      >Add money that comes in once</Button
    >
  {/if}
</div>

<style>
  .incomes {
    margin-top: 0.4rem;
  }

  ul {
    margin: 0;
    padding: 0.2rem 0;
    font-size: 0.8125rem;
    list-style: none;
  }

  li {
    display: flex;
    flex-wrap: wrap;
    gap: 0.2rem 0.6rem;
    align-items: baseline;
  }

  li span:first-child {
    flex: 1;
    min-width: 6rem;
  }

  .fields {
    display: grid;
    gap: 0.6rem;
  }

  .do {
    display: flex;
    gap: 0.5rem;
  }
</style>
