<script lang="ts">
  import { pockets } from '../../core/model/pocket';
  import { formatMoney } from '../../core/money/format';
  import type { MoneyStatement } from '../../core/money/statement';

  /** What is spent against every limit: pocket by pocket, one part, and what is set aside. */
  interface Props {
    money: MoneyStatement;
    itemLimitMinor: number | undefined;
  }
  const { money, itemLimitMinor }: Props = $props();

  const say = (minor: number) => formatMoney(minor, money.currency);
  const spent = $derived(
    pockets.filter((pocket) => {
      const { firmMinor, limitMinor } = money.pockets[pocket];
      return firmMinor > 0 || limitMinor !== undefined;
    })
  );
  const widest = $derived(
    Math.max(
      1,
      ...spent.map((pocket) =>
        Math.max(money.pockets[pocket].firmMinor, money.pockets[pocket].limitMinor ?? 0)
      )
    )
  );
  const counted = $derived(
    money.lines.filter(
      ({ line, inKit, unitMinor }) => inKit && line.state !== 'owned' && unitMinor !== undefined
    )
  );
  const dearest = $derived([...counted].sort((a, b) => b.unitMinor! - a.unitMinor!)[0]);
  const tooDear = $derived(
    itemLimitMinor === undefined
      ? []
      : counted.filter(({ unitMinor }) => unitMinor! > itemLimitMinor)
  );
  const reserveEaten = $derived(Math.min(money.reserveMinor, Math.max(0, -money.remainingMinor)));
</script>

<section class="card" aria-label="Limits">
  <h2>Limits</h2>
  <ul>
    {#each spent as pocket (pocket)}
      {@const { firmMinor, limitMinor } = money.pockets[pocket]}
      <li style:--colour="var(--pocket-{pocket})">
        <span>{pocket}</span>
        <span class="bar" aria-hidden="true">
          <i style:width="{(100 * firmMinor) / widest}%"></i>
          {#if limitMinor !== undefined}<u style:left="{(100 * limitMinor) / widest}%"></u>{/if}
        </span>
        <span class="figures" class:over={limitMinor !== undefined && firmMinor > limitMinor}
          >{say(firmMinor)}{limitMinor === undefined
            ? ''
            : firmMinor > limitMinor
              ? `, ${say(firmMinor - limitMinor)} over ${say(limitMinor)}`
              : ` of ${say(limitMinor)}`}</span
        >
      </li>
    {/each}
  </ul>
  <p class:over={tooDear.length > 0}>
    {#if itemLimitMinor === undefined}
      One part: no limit is set{dearest
        ? `; the dearest is ${dearest.gear?.model ?? dearest.line.gearId}, ${say(dearest.unitMinor!)}`
        : ''}.
    {:else if tooDear.length > 0}
      One part may cost {say(itemLimitMinor)}: {tooDear
        .map(
          ({ gear, line, unitMinor }) => `${gear?.model ?? line.gearId} costs ${say(unitMinor!)}`
        )
        .join(', ')}.
    {:else}
      One part may cost {say(itemLimitMinor)}: none costs more.
    {/if}
  </p>
  <p class:over={reserveEaten > 0}>
    Set aside {say(money.reserveMinor)}{reserveEaten > 0
      ? `: ${say(reserveEaten)} of it are spent`
      : ': untouched'}.
  </p>
</section>

<style>
  .card {
    padding: 0.8rem 1rem;
  }

  ul {
    display: grid;
    gap: 0.3rem;
    margin: 0;
    padding: 0.3rem 0;
    font-size: 0.8125rem;
    list-style: none;
  }

  li {
    display: grid;
    grid-template-columns: 5.6rem minmax(2rem, 1fr) minmax(0, auto);
    gap: 0.5rem;
    align-items: center;
  }

  .bar {
    position: relative;
    height: 0.6rem;
    border-radius: 3px;
    background: var(--canvas);
  }

  .bar i {
    position: absolute;
    inset: 0 auto 0 0;
    border-radius: 3px;
    background: var(--colour);
  }

  .bar u {
    position: absolute;
    top: -2px;
    bottom: -2px;
    border-left: 2px solid var(--brick);
  }

  .over {
    color: var(--brick);
    font-weight: 600;
  }

  p {
    padding: 0.1rem 0;
    font-size: 0.8125rem;
  }
</style>
