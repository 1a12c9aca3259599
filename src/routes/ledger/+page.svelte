<script lang="ts">
  import { formatISO } from 'date-fns';
  import { buyingSteps, moneyDays, savingsByMonth } from '$lib/core/ledger/steps';
  import type { Step } from '$lib/core/model/plan';
  import { formatMoney } from '$lib/core/money/format';
  import { isPaid, type StatementLine } from '$lib/core/money/statement';
  import { satchel } from '$lib/state/project-store.svelte';
  import { catalogue } from '$lib/catalogue/load-catalogue';
  import { shootEvenings } from '$lib/core/ledger/evenings';
  import { observationOf, type Quote } from '$lib/core/ledger/shops';
  import { withObservation } from '$lib/core/money/price-history';
  import { ownedThings } from '$lib/state/inventory.svelte';
  import Incomes from '$lib/ui/ledger/Incomes.svelte';
  import PricesByAge from '$lib/ui/ledger/PricesByAge.svelte';
  import AskTheShops from '$lib/ui/ledger/AskTheShops.svelte';
  import LineMoneyDialog from '$lib/ui/buying/LineMoneyDialog.svelte';
  import RunningAccount from '$lib/ui/ledger/RunningAccount.svelte';
  import DaysThatMatter from '$lib/ui/ledger/DaysThatMatter.svelte';
  import HandSum from '$lib/ui/ledger/HandSum.svelte';
  import Steps from '$lib/ui/ledger/Steps.svelte';
  import Totals from '$lib/ui/ledger/Totals.svelte';
  import Guarded from '$lib/ui/shell/Guarded.svelte';
  import { dayWords } from '$lib/ui/shell/day-words';

  const money = $derived(satchel.judgement?.money);
  const currency = $derived(satchel.project?.currency ?? 'GBP');
  const say = (minor: number) => formatMoney(minor, currency);
  const today = $derived(
    satchel.asJudged?.pricesAsOf ?? formatISO(new Date(), { representation: 'date' })
  );
  let openLineId = $state<string | undefined>(undefined);
  const openLine = $derived(money?.lines.find(({ line }) => line.id === openLineId));

  const buying = $derived(
    satchel.asJudged && money ? buyingSteps(satchel.asJudged, satchel.shelf, money, today) : []
  );
  const savings = $derived(
    satchel.asJudged && buying.length > 0 ? savingsByMonth(satchel.asJudged, buying, today) : []
  );
  const days = $derived(
    money && satchel.project
      ? [
          ...moneyDays(money, buying, today, say, satchel.project),
          ...shootEvenings(satchel.project, today)
        ].sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0))
      : []
  );
  $effect(() => void ownedThings.open(false));
  const paidLines = $derived(money?.lines.filter(({ line }) => isPaid(line)).length ?? 0);
  const toPay = $derived(
    (money?.lines ?? []).filter(({ line, inKit, gear }) => inKit && gear && line.state === 'wanted')
  );

  /** The part as it is kept: on the shelf of the project its prices are converted already. */
  function takeQuote({ line }: StatementLine, quote: Quote) {
    const gear =
      satchel.project?.ownGear.find(({ id }) => id === line.gearId) ??
      catalogue.byId.get(line.gearId);
    const seen = observationOf(quote);
    if (gear && seen) void satchel.act({ type: 'put gear', gear: withObservation(gear, seen) });
  }
  /** What the shops said is written down; the plan goes on with its own prices. */
  function noteQuotes(quotes: readonly Quote[]) {
    const observations = quotes.flatMap((quote) => observationOf(quote) ?? []);
    if (observations.length > 0) void satchel.act({ type: 'note prices', observations });
  }

  function setStep(lineId: string, step: Step) {
    void satchel.act({ type: 'change line', lineId, patch: { step } });
  }
</script>

<svelte:head><title>Ledger · Hearty Satchel</title></svelte:head>
<h1 class="unseen">Ledger</h1>
{#if satchel.project && money}
  <div class="bench">
    <div class="account">
      <section class="card" aria-label="The running account">
        <header>
          <h2>The running account</h2>
          <span class="soft"
            >in buying order · {paidLines === 1 ? '1 line' : `${paidLines} lines`} paid · {dayWords(
              today
            )} · <a href="/compare">compare plans</a> · <a href="/inventory">inventory</a></span
          >
        </header>
        <Guarded what="The running account"
          ><RunningAccount
            {money}
            pieces={ownedThings.pieces}
            itemLimitMinor={satchel.project.itemLimitMinor}
            onopen={(lineId) => (openLineId = lineId)}
          /></Guarded
        >
        {#if money.lines.length === 0}
          <p>Nothing is chosen yet. <a href="/satchel">Open the satchel</a>.</p>
        {/if}
      </section>
      <Totals {money} project={satchel.project} onact={(act) => void satchel.act(act)} />
      <Guarded what="The shops"
        ><AskTheShops
          lines={toPay}
          day={today}
          project={satchel.project}
          ontake={takeQuote}
          onanswered={noteQuotes}
        /></Guarded
      >
    </div>
    <div class="beside">
      <Guarded what="The steps"
        ><Steps
          {buying}
          {savings}
          {currency}
          inHandMinor={satchel.project.inHandMinor}
          perMonthMinor={satchel.project.savedPerMonthMinor}
          {today}
          onset={(patch) => void satchel.act({ type: 'set project', patch })}
          onstep={setStep}
        >
          <Incomes
            incomes={satchel.project.incomes ?? []}
            {currency}
            {today}
            onact={(act) => void satchel.act(act)}
          />
        </Steps></Guarded
      >
      <DaysThatMatter {days} project={satchel.project} />
      <Guarded what="The prices"
        ><PricesByAge
          project={satchel.project}
          shelf={satchel.shelf}
          {money}
          {today}
          onopen={(lineId) => (openLineId = lineId)}
          onact={(act) => void satchel.act(act)}
        /></Guarded
      >
      <HandSum {money} />
    </div>
  </div>
  <LineMoneyDialog
    statement={openLine}
    {currency}
    alertMinor={satchel.project.priceAlerts?.find(
      ({ gearId, basis }) => gearId === openLine?.line.gearId && basis === openLine?.line.basis
    )?.atMostMinor}
    onalert={(atMostMinor) =>
      openLine &&
      void satchel.act({
        type: 'set price alert',
        alert: { gearId: openLine.line.gearId, basis: openLine.line.basis, atMostMinor }
      })}
    onchange={(patch) =>
      openLineId !== undefined && satchel.act({ type: 'change line', lineId: openLineId, patch })}
    onclose={() => (openLineId = undefined)}
  />
{/if}

<style>
  .bench {
    display: grid;
    overflow-wrap: anywhere;
    grid-template-columns: minmax(0, 2.6fr) minmax(18rem, 1fr);
    gap: 0.9rem;
    align-items: start;
  }

  .account,
  .beside {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    gap: 0.9rem;
  }

  .card {
    min-width: 0;
    padding: 0.8rem 1rem;
  }

  header {
    display: flex;
    flex-wrap: wrap;
    gap: 0.2rem 1rem;
    align-items: baseline;
    justify-content: space-between;
    margin-bottom: 0.4rem;
  }

  p {
    padding: 0.1rem 0;
    font-size: 0.8125rem;
  }

  @media (max-width: 1000px) {
    .bench {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
