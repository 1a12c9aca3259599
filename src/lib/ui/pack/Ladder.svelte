<script lang="ts">
  import type { Project } from '../../core/model/project';
  import type { Shelf } from '../../core/model/shelf';
  import { formatMoney } from '../../core/money/format';
  import type { Rung } from '../../core/pack/ladder';
  import Glyph from '../glyphs/Glyph.svelte';
  import { glyphOf } from '../glyphs/glyph-of';
  import { dayWords } from '../shell/day-words';
  import { points } from './kit-words';

  /** A kit bought in goes: nothing twice, and each go films something. */
  interface Props {
    project: Project;
    shelf: Shelf;
    rungs: readonly Rung[];
    today: string;
  }
  const { project, shelf, rungs, today }: Props = $props();
  const names = ['now', 'next', 'then', 'later'];
  const say = (minor: number) => formatMoney(minor, project.currency, { short: true });
  const loses = $derived(
    rungs
      .slice(0, -1)
      .map(({ belowFrontHundredths, kit }) =>
        belowFrontHundredths === undefined
          ? `at ${say(kit.priceMinor)} another kit films more`
          : belowFrontHundredths >= 50
            ? `${points(belowFrontHundredths)} below the best at ${say(kit.priceMinor)}`
            : ''
      )
      .filter(Boolean)
  );
</script>

<section aria-label="The ladder">
  <header>
    <h3>The ladder</h3>
    <span
      >this kit in {rungs.length}
      {rungs.length === 1 ? 'go' : 'goes'}, nothing bought twice · in hand {say(
        project.inHandMinor ?? 0
      )}, saving {say(project.savedPerMonthMinor ?? 0)} a month
      <a href="/ledger">change it</a></span
    >
  </header>
  <ol>
    {#each rungs as rung, index (rung.kit.priceMinor)}
      <li style:--up="{(rungs.length - 1 - index) * 0.55}rem">
        <div class="rung">
          <b>{names[index]}</b>
          <span
            >{rung.reachedOn === undefined
              ? 'not reached by saving'
              : rung.reachedOn === today
                ? 'there is money for it'
                : dayWords(rung.reachedOn)}</span
          >
          <b class="figures">{say(rung.costMinor)}</b>
        </div>
        <div class="glyphs" aria-hidden="true">
          {#each rung.bought.slice(0, 6) as gearId (gearId)}
            {@const gear = shelf.byId.get(gearId)}
            {#if gear}<Glyph name={glyphOf(gear)} size={22} />{/if}
          {/each}
        </div>
        <p>{rung.bought.map((gearId) => shelf.byId.get(gearId)?.model ?? gearId).join(', ')}</p>
        <p class="films">
          {rung.films.length === 0 ? 'films nothing yet' : `films ${rung.films.join(', ')}`}
        </p>
        <p class="figures">
          <b>{say(rung.kit.priceMinor)}</b> so far, worth {points(
            rung.kit.merit.meritHundredths || rung.kit.merit.onceSettledHundredths
          )}
        </p>
      </li>
    {/each}
  </ol>
  <p class="soft">
    {loses.length === 0
      ? 'Buying in this order costs nothing on the way.'
      : `What this order costs on the way: ${loses.join('; ')}.`} It is taken apart from the whole kit
    downwards; another last kit might come apart better.
  </p>
</section>

<style>
  section {
    padding: 0.7rem 0.9rem;
    border-radius: 16px;
    margin-top: 0.7rem;
    background: var(--linen);
    color: var(--ink);
    overflow-wrap: anywhere;
  }

  header {
    display: flex;
    flex-wrap: wrap;
    gap: 0.2rem 0.8rem;
    align-items: baseline;
    font-size: 0.8125rem;
  }

  h3 {
    font-size: 1.05rem;
  }

  ol {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(10.5rem, 1fr));
    gap: 0.8rem;
    margin: 0.4rem 0;
    padding: 0;
    list-style: none;
  }

  li {
    padding-top: var(--up);
    font-size: 0.75rem;
  }

  .rung {
    display: flex;
    gap: 0.4rem;
    justify-content: space-between;
    align-items: baseline;
    padding-bottom: 0.2rem;
    border-bottom: 5px solid var(--hide);
    border-radius: 2px;
    margin-bottom: 0.4rem;
  }

  .rung b {
    white-space: nowrap;
    font-family: var(--display);
    font-size: 0.95rem;
  }

  .glyphs {
    display: flex;
    gap: 0.15rem;
  }

  .films {
    color: var(--moss);
    font-weight: 600;
  }
</style>
