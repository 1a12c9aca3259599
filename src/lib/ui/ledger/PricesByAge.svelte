<script lang="ts">
  import { Button, NumberInput } from 'carbon-components-svelte';
  import type { Act } from '../../core/acts/act';
  import { writePriceList } from '../../core/formats/price-list';
  import type { Project } from '../../core/model/project';
  import type { Shelf } from '../../core/model/shelf';
  import { daysBetween, STALE_AFTER_DAYS } from '../../core/money/days';
  import { formatMoney } from '../../core/money/format';
  import { OFFER_LASTS_DAYS, priceHistory, ringingAlerts } from '../../core/money/price-history';
  import { isPaid, type MoneyStatement } from '../../core/money/statement';
  import { dayWords } from '../shell/day-words';
  import { saveFile } from '../shell/save-file';
  import PriceListDialog from './PriceListDialog.svelte';
  import PriceLine from './PriceLine.svelte';

  /** Prices of what is still to pay, oldest first, how they went, and which are as low as was asked for. */
  interface Props {
    project: Project;
    shelf: Shelf;
    money: MoneyStatement;
    today: string;
    onopen: (lineId: string) => void;
    onact: (act: Act) => void;
  }
  const { project, shelf, money, today, onopen, onact }: Props = $props();

  let importing = $state(false);
  const MOST_SHOWN = 8;
  const staleAfter = $derived(project.staleAfterDays ?? STALE_AFTER_DAYS);
  const ages = $derived(
    money.lines
      .filter(({ line, price, inKit }) => inKit && price && !isPaid(line) && line.state !== 'owned')
      .map((line) => ({
        statement: line,
        age: daysBetween(line.price!.date, today),
        points: line.gear ? priceHistory(project, line.gear, line.line.basis) : []
      }))
      .sort((a, b) => b.age - a.age)
  );
  const ringing = $derived(ringingAlerts(project, shelf.byId, today));
  const noted = $derived(project.priceObservations ?? []);
  /** What was noted, and the prices the plan goes on. */
  const list = $derived(
    money.lines.flatMap(({ gear, line }) => (gear ? priceHistory(project, gear, line.basis) : []))
  );
  const others = $derived(
    noted.filter(
      ({ gearId, basis }) => !list.some((other) => other.gearId === gearId && other.basis === basis)
    )
  );
</script>

<section class="card" aria-label="Prices by age">
  <h2>Prices by age</h2>
  {#each ringing as { alert, seen } (alert.gearId + alert.basis)}
    <p class="rings" role="status">
      <b>{shelf.byId.get(alert.gearId)?.model ?? alert.gearId}</b> was
      <b class="figures">{formatMoney(seen.priceMinor, seen.currency)}</b>
      {alert.basis} at the {seen.source}, {dayWords(seen.date)}: as low as you asked to be told of ({formatMoney(
        alert.atMostMinor,
        project.currency
      )}).
      {#if seen.dealEnds}It ends {dayWords(seen.dealEnds)}.{/if}
    </p>
  {/each}
  {#if ages.length === 0}
    <p class="soft">Nothing is left to pay.</p>
  {:else}
    <ul class="ages">
      {#each ages.slice(0, MOST_SHOWN) as { statement, age, points } (statement.line.id)}
        <li>
          <button onclick={() => onopen(statement.line.id)}
            >{statement.gear ? statement.gear.model : statement.line.gearId}</button
          >
          {#if points.length > 1}<PriceLine {points} currency={project.currency} />{:else}<span
              class="thread"
              aria-hidden="true"
              ><span
                class:frayed={age > staleAfter}
                style:width="{Math.min(100, (100 * Math.max(0, age)) / (staleAfter * 1.5))}%"
              ></span></span
            >{/if}
          <span class="figures soft" class:stale={age > staleAfter}
            >{age} {age === 1 ? 'day' : 'days'}, {dayWords(statement.price!.date)}</span
          >
        </li>
      {/each}
    </ul>
    {#if ages.length > MOST_SHOWN}<p class="soft">
        and {ages.length - MOST_SHOWN} younger ones
      </p>{/if}
  {/if}
  <div class="row">
    <NumberInput
      size="sm"
      labelText="Stale after, days"
      hideSteppers
      min={1}
      max={1000}
      value={staleAfter}
      on:change={({ detail }) => {
        if (detail !== null && detail >= 1 && detail <= 1000 && detail !== staleAfter)
          onact({ type: 'set project', patch: { staleAfterDays: Math.round(detail) } });
      }}
    />
    <span class="do">
      <Button size="small" kind="tertiary" on:click={() => (importing = true)}
        >Import a price list</Button
      >
      <Button
        size="small"
        kind="ghost"
        disabled={list.length + others.length === 0}
        on:click={() =>
          saveFile('prices.csv', 'text/csv', writePriceList([...list, ...others], shelf.byId))}
        >Save prices as CSV</Button
      >
    </span>
  </div>
  <p class="soft">
    {noted.length === 0
      ? 'No further price was noted yet: ask the shops, or import a list.'
      : `${noted.length} ${noted.length === 1 ? 'price' : 'prices'} noted.`} An alert is set in the money
    of a line; it looks back {OFFER_LASTS_DAYS} days.
  </p>
</section>
<PriceListDialog bind:open={importing} {shelf} currency={project.currency} {onact} />

<style>
  .card {
    padding: 0.8rem 1rem;
  }

  p {
    padding: 0.1rem 0;
    font-size: 0.8125rem;
  }

  .soft {
    color: var(--ink-soft);
    font-size: 0.75rem;
  }

  .rings {
    padding: 0.4rem 0.6rem;
    border-left: 4px solid var(--moss);
    margin: 0.3rem 0;
    background: var(--canvas);
  }

  .ages {
    display: grid;
    gap: 0.35rem;
    margin: 0;
    padding: 0.3rem 0;
    font-size: 0.8125rem;
    list-style: none;
  }

  .ages li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 5.3rem auto;
    gap: 0.6rem;
    align-items: center;
  }

  .ages button {
    padding: 0;
    border: 0;
    background: none;
    color: var(--ink);
    text-align: left;
    cursor: pointer;
    overflow-wrap: anywhere;
  }

  .ages button:hover {
    text-decoration: underline;
  }

  .thread span {
    display: block;
    height: 0;
    border-top: 3px dashed var(--hide);
  }

  .thread .frayed {
    border-top-style: dotted;
    border-color: var(--ochre);
  }

  .stale {
    color: var(--ochre-ink);
    font-weight: 600;
  }

  .row {
    display: grid;
    gap: 0.5rem;
    margin: 0.4rem 0;
  }

  .do {
    display: flex;
    flex-wrap: wrap;
    gap: 0.5rem;
  }
</style>
