<script lang="ts">
  import { scaleLinear } from 'd3-scale';
  import { figureWords } from '../../core/figures/figure-words';
  import type { PlacedRig } from '../../core/rigs/placed-rig';
  import { suppliesOfDays } from '../../core/supplies/supplies-of-days';

  /** Who takes what of a day's batteries or cards: each watt-hour and gigabyte once. */
  interface Props {
    rigs: readonly PlacedRig[];
    of: 'energy' | 'cards';
  }
  const { rigs, of }: Props = $props();

  const unit = $derived(of === 'energy' ? 'Wh' : 'GB');
  const days = $derived(suppliesOfDays(rigs).map(({ scenes, ...day }) => ({ scenes, ...day[of] })));
  const told = $derived(
    days.filter(({ shared, unknown }) => !shared || shared.consumers.length + unknown.length > 0)
  );

  /** Bars are as long as what is needed; what is got beyond it is not drawn. */
  const widthOf = (need: number) => scaleLinear([0, need], [0, 100]).clamp(true);
  const shades = ['moss', 'ochre', 'hide', 'tan-line', 'ink-soft'];
</script>

{#if told.length > 0}
  <section class="card" aria-label={of === 'energy' ? 'Power by day' : 'Card space by day'}>
    <h2>{of === 'energy' ? 'Who takes the power' : 'What fills the cards'}</h2>
    {#each told as { scenes, shared, unknown } (scenes[0]!.id)}
      <h3>{scenes.map(({ name }) => name).join(' and ')}</h3>
      {#if !shared}
        <p class="soft">
          Not known: a figure that this rests on is not stated. What to ask is under “To settle”.
        </p>
      {:else}
        {@const stores = shared.stores.filter(
          ({ reaches, amount }) => reaches.size > 0 && amount! > 0
        )}
        <ul class="takers">
          {#each shared.consumers as { part, need, got, share } (part.line.id)}
            {@const width = widthOf(need)}
            <li>
              <span class="name">{part.gear.model}</span>
              <span class="figures" class:short={share < 1}
                >{share < 1
                  ? `${figureWords(got, unit)} of ${figureWords(need, unit)}`
                  : `all ${figureWords(need, unit)}`}</span
              >
              <span class="bar" aria-hidden="true">
                {#each stores as store, index (index)}
                  {@const arrives =
                    (store.taken.get(part.line.id) ?? 0) * (store.reaches.get(part.line.id) ?? 0)}
                  {#if arrives > 0}
                    <span
                      style:width="{width(arrives / Math.max(1, share))}%"
                      style:background="var(--{shades[index % shades.length]})"
                    ></span>
                  {/if}
                {/each}
              </span>
            </li>
          {/each}
        </ul>
        {#if unknown.length > 0}
          <p class="soft">
            {unknown.map(({ gear }) => gear.model).join(' and ')}
            {unknown.length > 1 ? 'take' : 'takes'} from it too; how much is not stated, so the others
            have at most this.
          </p>
        {/if}
        <ul class="stores">
          {#each stores as { name, amount, taken }, index (index)}
            <li>
              <span
                class="swatch"
                style:background="var(--{shades[index % shades.length]})"
                aria-hidden="true"
              ></span>{name}, {figureWords(amount!, unit)}{#if taken.size > 1}, shared by {[
                  ...taken.keys()
                ]
                  .map(
                    (id) =>
                      shared.consumers.find(({ part }) => part.line.id === id)?.part.gear.model
                  )
                  .join(' and ')}{/if}
            </li>
          {/each}
        </ul>
      {/if}
    {/each}
    <p class="soft">
      Each {of === 'energy' ? 'watt-hour' : 'gigabyte'} is used once, and whoever has least gets the most
      there can be. Scenes share a day where the brief says so.
    </p>
  </section>
{/if}

<style>
  .card {
    padding: 0.9rem 1rem;
    margin: 0.75rem 0;
  }

  h2 {
    margin: 0 0 0.25rem;
  }

  h3 {
    font-size: 0.85rem;
    color: var(--ink-soft);
    margin: 0.75rem 0 0.25rem;
  }

  ul {
    list-style: none;
    margin: 0;
    padding: 0;
  }

  .takers li {
    display: grid;
    grid-template-columns: 1fr auto;
    gap: 0.1rem 0.75rem;
    margin-bottom: 0.5rem;
  }

  .name {
    min-width: 0;
    overflow-wrap: anywhere;
  }

  .short {
    color: var(--brick);
    font-weight: 600;
  }

  .bar {
    grid-column: 1 / -1;
    display: flex;
    height: 0.6rem;
    border-radius: 0.3rem;
    overflow: hidden;
    background: var(--canvas-deep);
    border: 1px solid var(--line);
  }

  .stores li {
    font-size: 0.85rem;
    margin-bottom: 0.2rem;
  }

  .swatch {
    display: inline-block;
    width: 0.7rem;
    height: 0.7rem;
    border-radius: 0.2rem;
    margin-right: 0.4rem;
    vertical-align: -0.05rem;
  }

  .soft {
    font-size: 0.85rem;
    color: var(--ink-soft);
  }
</style>
