<script lang="ts">
  import type { MoneyStatement } from '../../core/money/statement';
  import { formatMoney } from '../../core/money/format';
  import { rangeOf } from '../../core/money/price-range';

  /** What is left or over, told large, and beneath it what the price ranges make of it. */
  const { money }: { money: MoneyStatement } = $props();

  const over = $derived(money.remainingMinor < 0);
  const range = $derived(rangeOf(money));
  /** An end is only said where no price can lead past it. */
  const chanceWords = $derived(
    range.worstMinor <= money.spendableMinor
      ? 'never over'
      : range.lowestMinor > money.spendableMinor
        ? 'over at any of these prices'
        : range.chanceOver > 0.995
          ? 'almost certainly over'
          : range.chanceOver < 0.005
            ? 'hardly ever over'
            : `${Math.round(range.chanceOver * 100)} % likely over`
  );
  const short = (minor: number) => formatMoney(minor, money.currency, { short: true });
</script>

<p class="verdict" class:over aria-live="polite">
  <span class="sum figures"
    >{formatMoney(Math.abs(money.remainingMinor), money.currency)} {over ? 'over' : 'left'}</span
  >
  <span class="against figures">of {formatMoney(money.spendableMinor, money.currency)} budget</span>
  {#if range.worstMinor > range.lowestMinor}
    <span class="against figures" title="Prices are ranges: low, likely, high"
      >{short(range.lowestMinor)} to {short(range.worstMinor)}, {chanceWords}</span
    >
  {/if}
  {#if money.afterCashBackMinor < money.firmMinor}<span class="against figures"
      >{formatMoney(money.firmMinor - money.afterCashBackMinor, money.currency)} come back later, not
      counted</span
    >{/if}
  {#if money.laterMinor > 0}<span class="against figures"
      >{formatMoney(money.laterMinor, money.currency)} for later</span
    >{/if}
</p>

<style>
  .verdict {
    display: grid;
    justify-items: end;
    min-width: 12.5rem;
    text-align: right;
  }

  .sum {
    color: var(--moss);
    font-family: var(--display);
    font-size: 1.7rem;
    font-weight: 600;
    line-height: 1.15;
  }

  .verdict.over .sum {
    color: var(--brick);
  }

  .against {
    color: var(--ink-soft);
    font-size: 0.75rem;
  }

  @media (max-width: 700px) {
    .verdict {
      display: flex;
      flex-wrap: wrap;
      gap: 0 0.6rem;
      align-items: baseline;
      justify-content: space-between;
      text-align: left;
    }

    .sum {
      font-size: 1.5rem;
    }
  }
</style>
