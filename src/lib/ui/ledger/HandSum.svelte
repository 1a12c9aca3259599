<script lang="ts">
  import { fullName } from '../../core/model/gear';
  import { formatMoney } from '../../core/money/format';
  import { handSumOf } from '../../core/money/hand-sum';
  import type { MoneyStatement } from '../../core/money/statement';
  import { byHandWords } from '../buying/by-hand-words';

  /** What somebody reckoned by hand after each line, beside what it truly is. */
  interface Props {
    money: MoneyStatement;
  }
  const { money }: Props = $props();

  const say = (minor: number) => formatMoney(minor, money.currency);
  const handSum = $derived(handSumOf(money));
  const slips = $derived(new Set(handSum?.slips.map(({ statement }) => statement.line.id)));
  const byHand = (minor: number) => byHandWords(minor, money.currency);
</script>

<section class="card" aria-label="A sum done by hand">
  <h2>A sum done by hand</h2>
  {#if !handSum}
    <p class="soft">
      Write what was left after a line by your own sum in the money of that line, or paste a list
      with its remainders on the <a href="/shelf">shelf</a>: the line at which it goes wrong is
      found here.
    </p>
  {:else}
    <ul class="lines">
      {#each money.lines.filter(({ line }) => line.handRemainingMinor !== undefined) as statement (statement.line.id)}
        <li class:slip={slips.has(statement.line.id)}>
          {statement.gear ? statement.gear.model : statement.line.gearId}: by hand
          <i class="figures">{byHand(statement.line.handRemainingMinor!)}</i>, truly
          <b class="figures">{byHand(statement.remainingMinor)}</b>
          {#if slips.has(statement.line.id)}
            {@const slip = handSum.slips.find((found) => found.statement === statement)!}
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
        After {handSum.last.statement.gear
          ? fullName(handSum.last.statement.gear)
          : handSum.last.statement.line.gearId} it is truly
        <b class="figures">{byHand(handSum.last.trulyMinor)}</b>.
      </p>
    {/if}
  {/if}
</section>

<style>
  .card {
    min-width: 0;
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

  .lines {
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
</style>
