<script lang="ts">
  import { NumberInput, Select, SelectItem } from 'carbon-components-svelte';
  import type { Act } from '../../core/acts/act';
  import type { Project } from '../../core/model/project';
  import type { Shelf } from '../../core/model/shelf';
  import { statedElsewhere } from '../../core/money/priced-shelf';
  import { rateInto, rateOfChange, usualCurrencies } from '../../core/money/rates';
  import { dayHere } from '../../state/as-of-today';
  import { dayWords } from '../shell/day-words';

  /** The currency of the project, and what prices in other ones are converted at. */
  interface Props {
    project: Project;
    shelf: Shelf;
    onact: (act: Act) => void;
  }
  const { project, shelf, onact }: Props = $props();

  const names = new Intl.DisplayNames(undefined, { type: 'currency' });
  const offered = $derived(
    [...new Set([project.currency, ...usualCurrencies])].filter(
      (code) => code === project.currency || rateOfChange(project, code) !== undefined
    )
  );
  /** Currencies in which some part of the shelf has a price. */
  const foreign = $derived(
    [
      ...new Set(
        shelf.items.flatMap(({ priceNew, priceUsed }) =>
          [priceNew, priceUsed].flatMap((price) =>
            price ? (statedElsewhere(price)?.currency ?? price.currency) : []
          )
        )
      )
    ]
      .filter((code) => code !== project.currency)
      .sort()
  );

  function changeCurrency(currency: string) {
    const perUnit = rateOfChange(project, currency);
    if (currency === project.currency || perUnit === undefined) return;
    onact({ type: 'change currency', currency, perUnit, date: dayHere(new Date()) });
  }

  const LEAST = 0.000001;
  const MOST = 1_000_000;
  function setRate(currency: string, perUnit: number | null | undefined) {
    if (typeof perUnit !== 'number' || !(perUnit >= LEAST && perUnit <= MOST)) return;
    if (rateInto(project, currency)?.perUnit === perUnit) return;
    const others = (project.rates ?? []).filter((rate) => rate.currency !== currency);
    onact({
      type: 'set project',
      patch: { rates: [...others, { currency, perUnit, date: dayHere(new Date()) }] }
    });
  }

  function forgetRate(currency: string) {
    const others = (project.rates ?? []).filter((rate) => rate.currency !== currency);
    onact({ type: 'set project', patch: { rates: others.length > 0 ? others : undefined } });
  }
</script>

<div class="currency">
  <Select
    size="sm"
    labelText="Currency"
    helperText="Changing it converts your limits; one undo takes it back."
    selected={project.currency}
    on:change={(event) => changeCurrency((event.target as HTMLSelectElement).value)}
  >
    {#each offered as code (code)}<SelectItem
        value={code}
        text="{code} · {names.of(code) ?? code}"
      />{/each}
  </Select>
  {#each foreign as code (code)}
    {@const rate = rateInto(project, code)}
    <div class="rate">
      <NumberInput
        size="sm"
        hideSteppers
        labelText="1 {code} in {project.currency}"
        helperText={rate === undefined
          ? 'No rate yet: prices in it are left out.'
          : rate.rough
            ? `A rough rate of ${dayWords(rate.date)}; write today’s.`
            : `Yours, of ${dayWords(rate.date)}.`}
        value={rate?.perUnit ?? null}
        allowEmpty
        min={LEAST}
        max={MOST}
        step={0.0001}
        invalidText="A rate above zero."
        on:change={(event) => setRate(code, event.detail)}
      />
      {#if rate && !rate.rough}
        <button class="text-button fold" onclick={() => forgetRate(code)}
          >back to the rough rate</button
        >
      {/if}
    </div>
  {/each}
</div>

<style>
  .currency {
    display: grid;
    gap: 0.6rem;
    margin-top: 0.7rem;
  }

  .fold {
    font-size: 0.8125rem;
    font-weight: 600;
  }
</style>
