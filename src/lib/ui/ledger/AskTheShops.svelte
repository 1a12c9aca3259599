<script lang="ts">
  import { Button, ProgressBar } from 'carbon-components-svelte';
  import { type Quote, shops } from '../../core/ledger/shops';
  import { fullName } from '../../core/model/gear';
  import { formatMoney } from '../../core/money/format';
  import type { StatementLine } from '../../core/money/statement';
  import { quotes } from '../../state/quotes.svelte';
  import { dayWords } from '../shell/day-words';

  /** Asks simulated shops for what is still to pay; a price changes nothing until a person takes it. */
  interface Props {
    lines: readonly StatementLine[];
    day: string;
    ontake: (line: StatementLine, quote: Quote) => void;
  }
  const { lines, day, ontake }: Props = $props();

  const nameOf = (id: Quote['shop']) => shops.find((shop) => shop.id === id)!.name;
  /** The cheapest offers on the basis a line is bought on, against what it is planned at. */
  const offers = $derived(
    lines.flatMap((line) => {
      const own = quotes.quotes
        .filter(
          ({ gearId, basis, priceMinor }) =>
            gearId === line.line.gearId && basis === line.line.basis && priceMinor !== undefined
        )
        .sort((one, other) => one.priceMinor! - other.priceMinor!);
      const [best] = own;
      return best ? [{ line, best, planned: line.unitMinor }] : [];
    })
  );
  const soldOut = $derived(
    lines.filter(
      ({ line }) =>
        quotes.quotes.some(({ gearId }) => gearId === line.gearId) &&
        !offers.some((offer) => offer.line.line === line)
    )
  );
  const isTaken = (line: StatementLine, best: Quote) =>
    line.price?.source === nameOf(best.shop) && line.price.date === best.day;
</script>

<section class="card" aria-label="Ask the shops">
  <header>
    <h2>Ask the shops</h2>
    {#if quotes.running}
      <Button size="small" kind="tertiary" on:click={() => quotes.stop()}>Stop</Button>
    {:else}
      <Button
        size="small"
        kind="tertiary"
        disabled={lines.length === 0}
        on:click={() => void quotes.ask([...new Set(lines.map(({ line }) => line.gearId))], day)}
        >Ask for {lines.length} {lines.length === 1 ? 'part' : 'parts'}</Button
      >
    {/if}
  </header>
  {#if quotes.running}
    <ProgressBar
      size="sm"
      labelText="{quotes.answered} of {quotes.asked} answers"
      value={quotes.answered}
      max={quotes.asked}
    />
  {/if}
  {#if offers.length > 0}
    <ul>
      {#each offers as { line, best, planned } (line.line.id)}
        <li>
          <span>{line.gear ? fullName(line.gear) : line.line.gearId}</span>
          <span class="figures"
            ><b>{formatMoney(best.priceMinor!, best.currency)}</b>
            {#if planned !== undefined && best.currency === line.price?.currency && best.priceMinor !== planned}
              <span class:cheaper={best.priceMinor! < planned} class="soft"
                >{formatMoney(Math.abs(best.priceMinor! - planned), best.currency)}
                {best.priceMinor! < planned ? 'cheaper' : 'dearer'}</span
              >
            {/if}</span
          >
          <span class="soft"
            >{nameOf(best.shop)}{best.saleEnds ? `, sale to ${dayWords(best.saleEnds)}` : ''}</span
          >
          {#if isTaken(line, best)}<span class="soft">taken</span>
          {:else}<Button size="small" kind="ghost" on:click={() => ontake(line, best)}
              >take this price<span class="unseen">
                for {line.gear ? line.gear.model : line.line.gearId}</span
              ></Button
            >{/if}
        </li>
      {/each}
    </ul>
  {/if}
  {#if !quotes.running && soldOut.length > 0}
    <p class="soft">
      Sold out everywhere today: {soldOut
        .map(({ gear, line }) => gear?.model ?? line.gearId)
        .join(', ')}.
    </p>
  {/if}
  {#if !quotes.running && quotes.unanswered.length > 0}
    <p class="soft" role="alert">
      {quotes.unanswered.length}
      {quotes.unanswered.length === 1 ? 'question was' : 'questions were'} not answered: {[
        ...new Set(quotes.unanswered.map(({ why }) => why))
      ].join(' ')}
    </p>
  {/if}
  <p class="soft">
    Simulated shops that ship with the app. A price changes nothing until you take it.
  </p>
</section>

<style>
  .card {
    padding: 0.8rem 1rem;
  }

  header {
    display: flex;
    flex-wrap: wrap;
    gap: 0.3rem 1rem;
    align-items: baseline;
    justify-content: space-between;
  }

  h2 {
    font-size: 1.05rem;
  }

  ul {
    display: grid;
    gap: 0.4rem;
    margin: 0;
    padding: 0.4rem 0;
    font-size: 0.8125rem;
    list-style: none;
  }

  li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 0 0.6rem;
    align-items: center;
    border-bottom: 1px dashed var(--line);
  }

  .soft {
    color: var(--ink-soft);
    font-size: 0.75rem;
  }

  .cheaper {
    color: var(--moss);
    font-weight: 600;
  }
</style>
