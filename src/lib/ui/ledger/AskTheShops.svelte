<script lang="ts">
  import { Button, ProgressBar } from 'carbon-components-svelte';
  import { type Quote, shops } from '../../core/ledger/shops';
  import { fullName } from '../../core/model/gear';
  import type { Project } from '../../core/model/project';
  import { convertedMinor, rateInto } from '../../core/money/rates';
  import { formatMoney } from '../../core/money/format';
  import type { StatementLine } from '../../core/money/statement';
  import { quotes } from '../../state/quotes.svelte';
  import { dayWords } from '../shell/day-words';

  /** Asks simulated shops for what is still to pay; a price changes nothing until a person takes it. */
  interface Props {
    lines: readonly StatementLine[];
    day: string;
    project: Pick<Project, 'currency' | 'rates'>;
    ontake: (line: StatementLine, quote: Quote) => void;
    /** All that could be answered is. */
    onanswered: (quotes: readonly Quote[]) => void;
  }
  const { lines, day, project, ontake, onanswered }: Props = $props();

  async function ask() {
    const whole = await quotes.ask([...new Set(lines.map(({ line }) => line.gearId))], day);
    if (whole) onanswered(quotes.quotes);
  }
  /** What a shop asks in the project's money; undefined where nobody knows a rate. */
  function ownMinor({ priceMinor, currency }: Quote): number | undefined {
    const rate = currency === project.currency ? undefined : rateInto(project, currency);
    if (currency === project.currency) return priceMinor;
    return rate && convertedMinor(priceMinor!, currency, project.currency, rate.perUnit);
  }
  const nameOf = (id: Quote['shop']) => shops.find((shop) => shop.id === id)!.name;
  /** The cheapest offers on the basis a line is bought on, against what it is planned at. */
  const offers = $derived(
    lines.flatMap((line) => {
      const own = quotes.quotes
        .filter(
          ({ gearId, basis, priceMinor }) =>
            gearId === line.line.gearId && basis === line.line.basis && priceMinor !== undefined
        )
        .sort((a, b) => a.priceMinor! - b.priceMinor!);
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
      <Button size="small" kind="tertiary" disabled={lines.length === 0} on:click={ask}
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
        {@const own = ownMinor(best)}
        <li>
          <span>{line.gear ? fullName(line.gear) : line.line.gearId}</span>
          <span class="figures"
            ><b>{formatMoney(best.priceMinor!, best.currency)}</b>
            {#if own !== undefined && best.currency !== project.currency}
              <span class="soft">{formatMoney(own, project.currency)} here</span>{/if}
            {#if planned !== undefined && own !== undefined && own !== planned}
              <span class:cheaper={own < planned} class="soft"
                >{formatMoney(Math.abs(own - planned), project.currency)}
                {own < planned ? 'cheaper' : 'dearer'}</span
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

  ul {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(17rem, 1fr));
    gap: 0.4rem 1.4rem;
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

  .cheaper {
    color: var(--moss);
    font-weight: 600;
  }
</style>
