<script lang="ts">
  import { formatMoney } from '../../core/money/format';
  import type { RunnerUp } from '../../core/pack/runners-up';

  /** Pocket by pocket the next best part, and what the kit would lose or save by it. */
  interface Props {
    runnersUp: readonly RunnerUp[];
    firmMinor: number;
    currency: string;
  }
  const { runnersUp, firmMinor, currency }: Props = $props();

  const say = (minor: number) => formatMoney(minor, currency, { short: true });
  function lossWords({ loses, most, priceMinor }: RunnerUp): string {
    const dearer = priceMinor - firmMinor;
    return [
      loses
        ? `blocks ${loses}`
        : most
          ? `${most.axis} in ${most.scene} −${most.points.toFixed(0)}`
          : '',
      dearer > 0 ? `${say(dearer)} dearer` : dearer < 0 ? `${say(-dearer)} cheaper` : ''
    ]
      .filter(Boolean)
      .join(', ');
  }
  function pointWords(hundredths: number): string {
    const tenths = Math.round(hundredths / 10);
    return tenths === 0 ? '0' : `${tenths > 0 ? '+' : '−'}${(Math.abs(tenths) / 10).toFixed(1)}`;
  }
</script>

<section class="card" aria-label="Why this kit">
  <h2>Why this kit</h2>
  <p class="soft">The next best in each pocket, and what the kit loses by it.</p>
  <ul>
    {#each runnersUp as runner (runner.pocket)}
      <li style:--colour="var(--pocket-{runner.pocket})">
        <span>{runner.gear.model} <span class="soft">for {runner.replaces.model}</span></span>
        <b class="figures" class:better={runner.gainHundredths > 0}
          >{pointWords(runner.gainHundredths)}</b
        >
        <span class="soft">{lossWords(runner)}</span>
      </li>
    {/each}
  </ul>
</section>

<style>
  .card {
    padding: 0.8rem 1rem;
    font-size: 0.8125rem;
  }

  ul {
    display: grid;
    gap: 0.4rem;
    margin: 0.2rem 0 0;
    padding: 0;
    list-style: none;
  }

  li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 0 0.5rem;
    padding-left: 0.5rem;
    border-left: 4px solid var(--colour);
  }

  .better {
    color: var(--moss);
  }
</style>
