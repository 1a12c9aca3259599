<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import { formatISO } from 'date-fns';
  import { calendarOf } from '$lib/core/ledger/calendar';
  import { buyingSteps, moneyDays, savingsByMonth } from '$lib/core/ledger/steps';
  import { fullName } from '$lib/core/model/gear';
  import type { Step } from '$lib/core/model/plan';
  import { formatMoney } from '$lib/core/money/format';
  import { handSumOf } from '$lib/core/money/hand-sum';
  import { rangeOf } from '$lib/core/money/price-range';
  import { isPaid, type StatementLine } from '$lib/core/money/statement';
  import { satchel } from '$lib/state/project-store.svelte';
  import { catalogue } from '$lib/catalogue/load-catalogue';
  import { shootEvenings } from '$lib/core/ledger/evenings';
  import { observationOf, type Quote } from '$lib/core/ledger/shops';
  import { costPerVideo } from '$lib/core/money/cost-per-video';
  import { withObservation } from '$lib/core/money/price-history';
  import { ownedThings } from '$lib/state/inventory.svelte';
  import Incomes from '$lib/ui/ledger/Incomes.svelte';
  import Limits from '$lib/ui/ledger/Limits.svelte';
  import PricesByAge from '$lib/ui/ledger/PricesByAge.svelte';
  import MoneyInput from '$lib/ui/buying/MoneyInput.svelte';
  import { NumberInput } from 'carbon-components-svelte';
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
  const days = $derived(
    money && satchel.project
      ? [
          ...moneyDays(money, buying, today, say, satchel.project),
          ...shootEvenings(satchel.project, today)
        ].sort((one, other) => (one.day < other.day ? -1 : one.day > other.day ? 1 : 0))
      : []
  );
  const perVideo = $derived(money && satchel.project && costPerVideo(satchel.project, money));
  $effect(() => void ownedThings.open(false));
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
      <div class="totals">
        <section class="card firm" class:over={money.remainingMinor < 0} aria-label="Firm">
          <h3>Firm: the verdict is on this</h3>
          <b class="figures">{say(money.firmMinor)}</b>
          <p class="soft figures">
            {say(paidMinor)} paid, {say(money.firmMinor - paidMinor)} not yet{money.taxMinor > 0
              ? `; ${say(money.taxMinor)} of it is tax`
              : ''}
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
        <section class="card video" aria-label="Per finished video">
          <h3>Per finished video</h3>
          {#if perVideo}
            <b class="figures">{say(perVideo.eachMinor)}</b>
            <p class="soft figures">
              {say(money.firmMinor)}{perVideo.resaleMinor > 0
                ? ` less ${say(perVideo.resaleMinor - perVideo.feeMinor)} of resale`
                : ''}{perVideo.consumablesMinor > 0
                ? ` and ${say(perVideo.consumablesMinor)} used up`
                : ''}, over {perVideo.videos}
              {perVideo.videos === 1 ? 'video' : 'videos'}
            </p>
          {:else}<p class="soft">Say how many videos it is to make.</p>{/if}
          <div class="fields">
            <NumberInput
              size="sm"
              labelText="Videos"
              allowEmpty
              hideSteppers
              min={1}
              max={100000}
              value={satchel.project.videosPlanned ?? null}
              on:change={({ detail }) => {
                if (
                  detail === null ||
                  (Number.isInteger(detail) && detail >= 1 && detail <= 100000)
                )
                  void satchel.act({
                    type: 'set project',
                    patch: { videosPlanned: detail ?? undefined }
                  });
              }}
            />
            <MoneyInput
              label="Used up in all"
              value={satchel.project.consumablesMinor}
              {currency}
              onset={(consumablesMinor) =>
                void satchel.act({ type: 'set project', patch: { consumablesMinor } })}
            />
            <NumberInput
              size="sm"
              labelText="Fee on resale, %"
              allowEmpty
              hideSteppers
              min={0}
              max={100}
              value={satchel.project.resaleFeePercent ?? null}
              on:change={({ detail }) => {
                if (detail === null || (detail >= 0 && detail <= 100))
                  void satchel.act({
                    type: 'set project',
                    patch: { resaleFeePercent: detail ?? undefined }
                  });
              }}
            />
          </div>
        </section>
        <Limits {money} itemLimitMinor={satchel.project.itemLimitMinor} />
      </div>
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
      <section class="card" aria-label="Days that matter">
        <header>
          <h2>Days that matter</h2>
          {#if days.length > 0}<Button size="small" kind="tertiary" on:click={saveCalendar}
              >Save as a calendar (.ics)</Button
            >{/if}
        </header>
        {#if days.length === 0}
          <p class="soft">
            No deal or cash-back ends, no step lies ahead and no scene has its day. Say what you put
            aside each month, when a claim ends, or in the brief when a scene is filmed.
          </p>
        {:else}
          <ul class="days">
            {#each days as one (one.day + one.what)}
              <li><b class="figures">{dayWords(one.day)}</b> {one.what}</li>
            {/each}
          </ul>
        {/if}
      </section>
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

  .days {
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

  .video {
    grid-column: 1 / 2;
  }

  .totals > :global([aria-label='Limits']) {
    grid-column: 2 / -1;
  }

  .fields {
    display: grid;
    grid-template-columns: repeat(3, minmax(0, 1fr));
    gap: 0.6rem;
    margin-top: 0.4rem;
  }

  .fields :global(input) {
    min-width: 0;
  }

  @media (max-width: 1000px) {
    .bench,
    .totals {
      grid-template-columns: minmax(0, 1fr);
    }

    .video,
    .totals > :global([aria-label='Limits']) {
      grid-column: auto;
    }
  }
</style>
