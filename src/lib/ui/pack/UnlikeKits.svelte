<script lang="ts">
  import type { Shelf } from '../../core/model/shelf';
  import { formatMoney } from '../../core/money/format';
  import { changesBetween } from '../../core/pack/kit-changes';
  import type { PackedKit } from '../../core/pack/packed-kit';
  import { points } from './kit-words';

  /** Good kits that rest on other parts, each by what it has that the best has not. */
  interface Props {
    unlike: readonly PackedKit[];
    shelf: Shelf;
    currency: string;
    onchoose: (kit: PackedKit) => void;
  }
  const { unlike, shelf, currency, onchoose }: Props = $props();

  const MOST_NAMED = 3;
  function words(kit: PackedKit): string {
    const from = unlike[0];
    if (!from || kit === from) return 'the best found for the budget';
    const { comesIn } = changesBetween(from.lines, kit.lines, shelf);
    return `with ${[...comesIn]
      .sort((a, b) => (b.gear.priceNew?.likely ?? 0) - (a.gear.priceNew?.likely ?? 0))
      .slice(0, MOST_NAMED)
      .map(({ gear }) => gear.model)
      .join(', ')}`;
  }
</script>

<section class="card" aria-label="Good kits that differ">
  <h2>Good kits that differ</h2>
  <ul>
    {#each unlike as kit, index (index)}
      <li>
        <button class="text-button" onclick={() => onchoose(kit)}
          ><b class="figures"
            >{formatMoney(kit.priceMinor, currency, { short: true })} · {points(
              kit.merit.meritHundredths
            )}</b
          >
          {words(kit)}</button
        >
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
</style>
