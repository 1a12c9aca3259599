<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import { formatISO } from 'date-fns';
  import { calendarOf } from '$lib/core/ledger/calendar';
  import { buyingSteps, moneyDays, savingsByMonth } from '$lib/core/ledger/steps';
  import { fullName } from '$lib/core/model/gear';
  import type { Step } from '$lib/core/model/plan';
  import { daysBetween, STALE_AFTER_DAYS } from '$lib/core/money/days';
  import { formatMoney } from '$lib/core/money/format';
  import { handSumOf } from '$lib/core/money/hand-sum';
  import { rangeOf } from '$lib/core/money/price-range';
  import { isPaid, type StatementLine } from '$lib/core/money/statement';
  import { satchel } from '$lib/state/project-store.svelte';
  import { catalogue } from '$lib/catalogue/load-catalogue';
  import { type Quote, withQuote } from '$lib/core/ledger/shops';
  import AskTheShops from '$lib/ui/ledger/AskTheShops.svelte';
  import LineMoneyDialog from '$lib/ui/buying/LineMoneyDialog.svelte';
  import RunningAccount from '$lib/ui/ledger/RunningAccount.svelte';
  import Steps from '$lib/ui/ledger/Steps.svelte';
  import Guarded from '$lib/ui/shell/Guarded.svelte';
  import { dayWords } from '$lib/ui/shell/day-words';
  import { saveFile } from '$lib/ui/shell/save-file';

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
  const days = $derived(money ? moneyDays(money, buying, today, say) : []);
  const range = $derived(money && rangeOf(money));
  const paidMinor = $derived(
    money?.lines.reduce((sum, { line, firmMinor }) => (isPaid(line) ? sum + firmMinor : sum), 0) ??
      0
  );
  const paidLines = $derived(money?.lines.filter(({ line }) => isPaid(line)).length ?? 0);
  const toPay = $derived(
    (money?.lines ?? []).filter(({ line, inKit, gear }) => inKit && gear && line.state === 'wanted')
  );
  const handSum = $derived(money && handSumOf(money));
  const slips = $derived(new Set(handSum?.slips.map(({ one }) => one.line.id)));
  const byHand = (minor: number) => (minor < 0 ? `${say(-minor)} over` : say(minor));
  /** Prices of what is still to pay, oldest first. */
  const ages = $derived(
    (money?.lines ?? [])
      .filter(({ line, price, inKit }) => inKit && price && !isPaid(line) && line.state !== 'owned')
      .map((one) => ({ one, age: daysBetween(one.price!.date, today) }))
      .sort((a, b) => b.age - a.age)
      .slice(0, 6)
  );
  const chance = $derived(
    !range || !money
      ? ''
      : range.lowestMinor > money.spendableMinor
        ? 'over at any of these prices'
        : range.worstMinor <= money.spendableMinor
          ? 'never over at these prices'
          : `over in ${Math.round(100 * range.chanceOver)} of 100 when prices move apart, ${Math.round(100 * range.chanceOverTogether)} when they move together`
  );

  /** The part as it is kept: on the shelf of the project its prices are converted already. */
  function takeQuote({ line }: StatementLine, quote: Quote) {
    const gear =
      satchel.project?.ownGear.find(({ id }) => id === line.gearId) ??
      catalogue.byId.get(line.gearId);
    if (gear) void satchel.act({ type: 'put gear', gear: withQuote(gear, quote) });
  }

  function setStep(lineId: string, step: Step) {
    void satchel.act({ type: 'change line', lineId, patch: { step } });
  }
  function saveCalendar() {
    if (!satchel.project) return;
    saveFile(
      'money-days.ics',
      'text/calendar',
      calendarOf(satchel.project.name, satchel.project.id, days, new Date())
    );
  }
</script>

<svelte:head><title>Ledger · Hearty Satchel</title></svelte:head>
<h1 class="unseen">Ledger</h1>
{#if satchel.project && money && range}
  <div class="bench">
    <div class="account">
      <section class="card" aria-label="The running account">
        <header>
          <h2>The running account</h2>
          <span class="soft"
            >in buying order · {paidLines === 1 ? '1 line' : `${paidLines} lines`} paid · {dayWords(
              today
            )} · <a href="/compare">compare plans</a></span
          >
        </header>
        <Guarded what="The running account"
          ><RunningAccount {money} onopen={(lineId) => (openLineId = lineId)} /></Guarded
        >
        {#if money.lines.length === 0}
          <p>Nothing is chosen yet. <a href="/satchel">Open the satchel</a>.</p>
        {/if}
      </section>
      <div class="totals">
        <section class="card firm" class:over={money.remainingMinor < 0} aria-label="Firm">
          <h3>Firm: the verdict is on this</h3>
          <b class="figures">{say(money.firmMinor)}</b>
          <p class="soft figures">
            {say(paidMinor)} paid, {say(money.firmMinor - paidMinor)} not yet
          </p>
          <p class="figures verdict">
            {say(Math.abs(money.remainingMinor))}
            {money.remainingMinor < 0 ? 'over' : 'left of'} the budget of {say(
              money.spendableMinor
            )}
          </p>
          <p class="soft figures">
            {say(range.lowestMinor)} to {say(range.worstMinor)}: {chance}
          </p>
        </section>
        <section class="card" aria-label="After cash-back">
          <h3>After cash-back</h3>
          <b class="figures">{say(money.afterCashBackMinor)}</b>
          <p class="soft">if every claim is paid; shown beside it, never counted</p>
        </section>
        <section class="card" aria-label="After resale">
          <h3>After resale</h3>
          <b class="figures">{say(money.afterResaleMinor)}</b>
          <p class="soft">if it sells again as hoped; never counted</p>
        </section>
      </div>
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
        /></Guarded
      >
      <section class="card" aria-label="Days that matter">
        <header>
          <h2>Days that matter</h2>
          {#if days.length > 0}<Button size="small" kind="tertiary" on:click={saveCalendar}
              >Save as a calendar (.ics)</Button
            >{/if}
        </header>
        {#if days.length === 0}
          <p class="soft">
            No cash-back ends and no step lies ahead. Say what you put aside each month, or when a
            claim ends, in the money of a line.
          </p>
        {:else}
          <ul class="days">
            {#each days as one (one.day + one.what)}
              <li><b class="figures">{dayWords(one.day)}</b> {one.what}</li>
            {/each}
          </ul>
        {/if}
      </section>
      <section class="card" aria-label="Prices by age">
        <h2>Prices by age</h2>
        {#if ages.length === 0}
          <p class="soft">Nothing is left to pay.</p>
        {:else}
          <ul class="ages">
            {#each ages as { one, age } (one.line.id)}
              <li>
                <span>{one.gear ? one.gear.model : one.line.gearId}</span>
                <span class="thread" aria-hidden="true"
                  ><span
                    class:frayed={age > STALE_AFTER_DAYS}
                    style:width="{Math.min(100, (100 * age) / (STALE_AFTER_DAYS * 1.5))}%"
                  ></span></span
                >
                <span class="figures soft" class:stale={age > STALE_AFTER_DAYS}
                  >{age} {age === 1 ? 'day' : 'days'}, {dayWords(one.price!.date)}</span
                >
              </li>
            {/each}
          </ul>
          <p class="soft">Past {STALE_AFTER_DAYS} days a price is asked for again.</p>
        {/if}
      </section>
      <Guarded what="The shops"
        ><AskTheShops lines={toPay} day={today} ontake={takeQuote} /></Guarded
      >
      <section class="card" aria-label="A sum done by hand">
        <h2>A sum done by hand</h2>
        {#if !handSum}
          <p class="soft">
            Write what was left after a line by your own sum in the money of that line, or paste a
            list with its remainders on the <a href="/shelf">shelf</a>: the line at which it goes
            wrong is found here.
          </p>
        {:else}
          <ul class="days">
            {#each money.lines.filter(({ line }) => line.handRemainingMinor !== undefined) as one (one.line.id)}
              <li class:slip={slips.has(one.line.id)}>
                {one.gear ? one.gear.model : one.line.gearId}: by hand
                <i class="figures">{byHand(one.line.handRemainingMinor!)}</i>, truly
                <b class="figures">{byHand(one.remainingMinor)}</b>
                {#if slips.has(one.line.id)}
                  {@const slip = handSum.slips.find((found) => found.one === one)!}
                  <span
                    >goes wrong here: {byHand(slip.fromMinor)} less {say(slip.costMinor)} leaves {byHand(
                      slip.expectedMinor
                    )}.</span
                  >
                {/if}
              </li>
            {/each}
          </ul>
          {#if handSum.last.claimedMinor !== handSum.last.trulyMinor}
            <p>
              After {handSum.last.one.gear
                ? fullName(handSum.last.one.gear)
                : handSum.last.one.line.gearId} it is truly
              <b class="figures">{byHand(handSum.last.trulyMinor)}</b>.
            </p>
          {/if}
        {/if}
      </section>
    </div>
  </div>
  <LineMoneyDialog
    one={openLine}
    {currency}
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

  h2 {
    font-size: 1.05rem;
  }

  h3 {
    font-size: 0.85rem;
  }

  .totals {
    display: grid;
    grid-template-columns: 1.6fr 1fr 1fr;
    gap: 0.9rem;
  }

  .totals b {
    font-family: var(--display);
    font-size: 1.35rem;
  }

  .firm.over {
    border-color: var(--brick);
    background: var(--brick-wash);
  }

  .verdict {
    font-weight: 600;
  }

  .firm.over .verdict {
    color: var(--brick);
  }

  p {
    padding: 0.1rem 0;
    font-size: 0.8125rem;
  }

  .soft {
    color: var(--ink-soft);
    font-size: 0.75rem;
  }

  .days,
  .ages {
    display: grid;
    gap: 0.35rem;
    margin: 0;
    padding: 0.3rem 0;
    font-size: 0.8125rem;
    list-style: none;
  }

  .slip {
    color: var(--brick);
  }

  .slip span {
    display: block;
  }

  .ages li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 5rem auto;
    gap: 0.6rem;
    align-items: center;
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

  @media (max-width: 1000px) {
    .bench,
    .totals {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
