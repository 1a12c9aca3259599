<script lang="ts">
  import { formatMoney } from '../../core/money/format';
  import { dayWords } from '../shell/day-words';
  import type { StrapLength } from './strap-layout';

  /** What a length of the strap stands for: its part, its price and where the sum stands after it. */
  interface Props {
    length: StrapLength;
    name: string;
    currency: string;
    onpostpone: (lineId: string) => void;
  }
  const { length, name, currency, onpostpone }: Props = $props();
  const { statement } = $derived(length);
</script>

<div
  class="slip card"
  style:left={length.fromPercent > 60 ? undefined : `${length.fromPercent}%`}
  style:right={length.fromPercent > 60
    ? `${100 - length.fromPercent - length.widthPercent}%`
    : undefined}
>
  <strong>{name}</strong>
  <span class="figures"
    >{formatMoney(statement.firmMinor, currency)}{statement.line.basis === 'used'
      ? ', used'
      : ''}</span
  >
  {#if statement.price}<span class="soft"
      >price of {dayWords(statement.price.date)}, {statement.price.source}</span
    >{/if}
  <span class="soft figures">
    together {formatMoney(statement.runningMinor, currency)},
    {statement.remainingMinor < 0
      ? `${formatMoney(-statement.remainingMinor, currency)} over`
      : `${formatMoney(statement.remainingMinor, currency)} left after it`}
  </span>
  <button class="put-off" tabindex="-1" onclick={() => onpostpone(statement.line.id)}>Later</button>
</div>

<style>
  .slip {
    position: absolute;
    top: 2.7rem;
    z-index: 20;
    display: grid;
    gap: 0.1rem;
    width: max-content;
    max-width: 18rem;
    padding: 0.6rem 0.8rem;
    box-shadow: 0 10px 30px var(--shade);
    font-size: 0.8125rem;
  }

  .soft {
    font-size: inherit;
  }

  .put-off {
    justify-self: start;
    margin-top: 0.3rem;
    padding: 0.2rem 0.75rem;
    border: 1.5px solid var(--moss);
    border-radius: 999px;
    background: transparent;
    color: var(--moss);
    font-weight: 600;
    cursor: pointer;
  }

  @media (max-width: 700px) {
    .slip {
      top: 1.9rem;
    }
  }
</style>
