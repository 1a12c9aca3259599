<script lang="ts">
  import { isQuestion } from '$lib/core/findings/finding-codes';
  import { Button, Checkbox } from 'carbon-components-svelte';
  import { buyingListCsv, buyingListMarkdown, linesToBuy } from '$lib/core/formats/buying-list';
  import { fullName } from '$lib/core/model/gear';
  import { steps } from '$lib/core/model/word-lists';
  import { formatMoney } from '$lib/core/money/format';
  import { satchel } from '$lib/state/project-store.svelte';
  import { cautionsFor } from '$lib/core/judge/cautions';
  import { keepFocus } from '$lib/ui/shell/keep-focus';
  import { saveFile } from '$lib/ui/shell/save-file';
  import { handSumOf } from '$lib/core/money/hand-sum';
  import LineMoneyDialog from '$lib/ui/buying/LineMoneyDialog.svelte';
  import StepTable from '$lib/ui/buying/StepTable.svelte';
  import { byHandWords } from '$lib/ui/buying/by-hand-words';

  /** Grouped by where each is bought, step by step. */
  let byShop = $state(false);
  const judgement = $derived(satchel.judgement);
  const list = $derived(judgement ? linesToBuy(judgement.money) : []);
  const cautions = $derived(
    judgement ? cautionsFor(judgement).map(({ topic, text }) => `${topic}: ${text}`) : []
  );
  const questions = $derived(judgement?.findings.filter(isQuestion) ?? []);
  const open = $derived(judgement?.findings.filter((finding) => finding.severity === 'stop') ?? []);
  const owned = $derived(judgement?.money.lines.filter(({ line }) => line.state === 'owned') ?? []);
  const stepWords = { now: 'Now', next: 'Next', later: 'Later' } as const;
  const handSum = $derived(judgement && handSumOf(judgement.money));
  /** The line whose money is being said. */
  let openLineId = $state<string | undefined>(undefined);
  const openLine = $derived(judgement?.money.lines.find(({ line }) => line.id === openLineId));
  const fileName = $derived(
    (satchel.project?.name ?? 'kit')
      .replace(/[^\p{L}\p{N}]+/gu, '-')
      .toLowerCase()
      .slice(0, 60)
  );
</script>

<svelte:head><title>Buying list · Hearty Satchel</title></svelte:head>
{#if satchel.project && judgement}
  {@const { money } = judgement}
  <article class="sheet card" use:keepFocus={'tbody tr, ul.plain > li'}>
    <header>
      <div>
        <h1>Buying list</h1>
        <p class="soft">
          {satchel.project.name}, {satchel.plan?.name} · {satchel.project.scenes
            .map((scene) => scene.name)
            .join(', ')}
        </p>
      </div>
      <div class="do">
        <a class="cards" href="/cards">Packing, pre-roll and other cards →</a>
        <Button size="small" on:click={() => window.print()}>Print</Button>
        <Button
          size="small"
          kind="tertiary"
          on:click={() =>
            saveFile(
              `${fileName}-buying-list.md`,
              'text/markdown',
              buyingListMarkdown(satchel.project!.name, money, cautions)
            )}>Save as Markdown</Button
        >
        <Button
          size="small"
          kind="tertiary"
          on:click={() => saveFile(`${fileName}-buying-list.csv`, 'text/csv', buyingListCsv(money))}
          >Save as CSV</Button
        >
      </div>
    </header>
    {#if open.length > 0}
      <p class="warn">
        {open.length === 1 ? 'One finding still blocks' : `${open.length} findings still block`} the kit:
        {open.map((finding) => finding.title()).join('; ')}.
        <a href="/satchel#to-settle">Solve it first</a>
      </p>
    {/if}
    {#if list.length > 0}<div class="grouped">
        <Checkbox bind:checked={byShop} labelText="Grouped by shop" />
      </div>{/if}
    {#each steps as step (step)}
      {@const lines = list.filter(({ line }) => line.step === step)}
      {#if lines.length > 0}
        <h2>{stepWords[step]}</h2>
        <StepTable
          {lines}
          {money}
          {byShop}
          isLater={step === 'later'}
          onbought={(lineId) =>
            void satchel.act({ type: 'change line', lineId, patch: { state: 'bought' } })}
          onmoney={(lineId) => (openLineId = lineId)}
        />
      {/if}
    {/each}
    {#if list.length === 0}<p class="none">
        Nothing is left to buy. <a href="/satchel">Back to the satchel</a>
      </p>{/if}
    <p class="total figures">
      Together <b>{formatMoney(money.firmMinor, money.currency)}</b> of {formatMoney(
        money.spendableMinor,
        money.currency
      )} of the budget (limit {formatMoney(money.limitMinor, money.currency)}, set aside {formatMoney(
        money.reserveMinor,
        money.currency
      )}):
      <b class:over={money.remainingMinor < 0}
        >{formatMoney(Math.abs(money.remainingMinor), money.currency)}
        {money.remainingMinor < 0 ? 'over' : 'left'}</b
      >
    </p>
    {#if money.afterResaleMinor !== money.firmMinor}
      <p class="soft figures">
        After cash-back {formatMoney(money.afterCashBackMinor, money.currency)}, after resale {formatMoney(
          money.afterResaleMinor,
          money.currency
        )}: hoped for, and not counted.
      </p>
    {/if}
    {#if handSum && handSum.last.claimedMinor !== handSum.last.trulyMinor}
      <p class="warn">
        By hand {byHandWords(handSum.last.claimedMinor, money.currency)}
        {handSum.last.claimedMinor < 0 ? '' : 'were left'} after {handSum.last.statement.gear
          ?.model ?? handSum.last.statement.line.gearId}; truly it is {byHandWords(
          handSum.last.trulyMinor,
          money.currency
        )}{handSum.last.trulyMinor < 0 ? '' : ' left'}.
      </p>
    {/if}
    {#if judgement.money.lines.some(({ line }) => line.state === 'bought')}
      <h2>Bought</h2>
      <ul class="plain">
        {#each judgement.money.lines.filter(({ line }) => line.state === 'bought') as statement (statement.line.id)}
          <li>
            {statement.gear ? fullName(statement.gear) : statement.line.gearId}, {formatMoney(
              statement.firmMinor,
              money.currency
            )}
            <button
              class="text-button"
              onclick={() =>
                satchel.act({
                  type: 'change line',
                  lineId: statement.line.id,
                  patch: { state: 'wanted' }
                })}>not yet</button
            >
          </li>
        {/each}
      </ul>
    {/if}
    {#if questions.length > 0}
      <h2>Ask before paying</h2>
      <ul class="plain">
        {#each questions as finding (finding.key)}<li>
            “{finding.title()}” <span class="soft">{finding.why()}</span>
          </li>{/each}
      </ul>
    {/if}
    {#if owned.length > 0}
      <h2>What I own</h2>
      <p>
        {owned
          .map((statement) => (statement.gear ? fullName(statement.gear) : statement.line.gearId))
          .join(', ')}
      </p>
    {/if}
    {#if cautions.length > 0}
      <h2>Mind</h2>
      <ul class="plain">
        {#each cautions as caution, index (index)}<li>{caution}</li>{/each}
      </ul>
    {/if}
  </article>
  <LineMoneyDialog
    statement={openLine}
    currency={money.currency}
    onchange={(patch) =>
      openLineId !== undefined && satchel.act({ type: 'change line', lineId: openLineId, patch })}
    onclose={() => (openLineId = undefined)}
  />
{/if}

<style>
  .sheet {
    max-width: 62rem;
    margin: 0 auto;
    padding: 1.3rem 1.6rem 1.8rem;
    background: var(--paper);
    box-shadow: 0 10px 30px var(--shade);
  }

  header {
    display: flex;
    flex-wrap: wrap;
    gap: 0.8rem;
    align-items: flex-start;
    justify-content: space-between;
  }

  h1 {
    font-size: 1.7rem;
  }

  h2 {
    margin: 1.1rem 0 0.3rem;
    font-size: 1.1rem;
  }

  .cards {
    align-self: center;
    font-size: 0.8125rem;
  }

  @media print {
    .cards {
      display: none;
    }
  }

  .do {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem;
  }

  .soft {
    font-size: 0.8125rem;
  }

  .warn {
    margin-top: 0.8rem;
    padding: 0.5rem 0.8rem;
    border-left: 5px solid var(--brick);
    border-radius: 6px;
    background: var(--brick-wash);
  }

  .over {
    color: var(--brick);
  }

  .total {
    margin-top: 0.8rem;
    font-size: 1rem;
  }

  .total b {
    font-family: var(--display);
    font-size: 1.15rem;
  }

  .plain {
    padding-left: 1.1rem;
    list-style: disc;
  }

  .plain li {
    margin-bottom: 0.25rem;
  }

  .none {
    margin-top: 0.8rem;
  }

  @media (max-width: 760px) {
    .sheet {
      padding: 1rem;
    }
  }

  @media print {
    .sheet {
      max-width: none;
      border: 0;
      box-shadow: none;
      padding: 0;
      background: #fff;
    }

    .do {
      display: none;
    }
  }
  @media print {
    .grouped {
      display: none;
    }
  }
</style>
