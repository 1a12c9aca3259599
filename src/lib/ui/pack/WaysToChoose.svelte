<script lang="ts">
  import { NumberInput } from 'carbon-components-svelte';
  import type { Project } from '../../core/model/project';
  import { formatMoney } from '../../core/money/format';
  import { costOfPoint, type FrontStep, spendableOf } from '../../core/pack/front-steps';
  import type { PackedKit } from '../../core/pack/packed-kit';
  import { points } from './kit-words';

  /** Three ways to choose among the steps: all the budget buys, good enough, or cheapest for a worth one names. */
  interface Props {
    project: Project;
    steps: readonly FrontStep[];
    onchoose: (kit: PackedKit) => void;
  }
  const { project, steps, onchoose }: Props = $props();

  let worthWanted = $state(70);
  const say = (minor: number) => formatMoney(minor, project.currency, { short: true });
  const best = $derived(steps.find(({ isBestForBudget }) => isBestForBudget));
  const goodEnough = $derived(steps.find(({ isGoodEnough }) => isGoodEnough));
  const cheapest = $derived(steps.find(({ merit }) => merit.meritHundredths >= worthWanted * 100));
</script>

{#snippet way(words: string, kit: FrontStep)}
  <button class="text-button" onclick={() => onchoose(kit)}
    >{words}<b class="figures">{say(kit.priceMinor)}, worth {points(kit.merit.meritHundredths)}</b
    ></button
  >
{/snippet}

<section class="card" aria-label="Three ways to choose">
  <ul class="plain-list">
    {#if best}<li>{@render way(`best for ${say(spendableOf(project))}: `, best)}</li>{/if}
    {#if goodEnough}<li>
        {@render way('good enough: ', goodEnough)}
        <span class="soft">past it no {say(costOfPoint(project))} more brings a point</span>
      </li>{/if}
    <li class="cheapest">
      <NumberInput
        size="sm"
        labelText="Cheapest worth"
        hideSteppers
        min={0}
        max={100}
        value={worthWanted}
        on:input={({ detail }) => {
          if (detail !== null) worthWanted = Math.min(100, Math.max(0, detail));
        }}
      />
      {#if cheapest}{@render way('', cheapest)}{:else}<span class="soft">none found</span>{/if}
    </li>
  </ul>
</section>

<style>
  .card {
    padding: 0.8rem 1rem;
    font-size: 0.8125rem;
  }

  .cheapest {
    display: grid;
    grid-template-columns: 9.5rem minmax(0, 1fr);
    gap: 0.6rem;
    align-items: end;
  }
</style>
