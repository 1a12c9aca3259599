<script lang="ts">
  import { Button, InlineLoading } from 'carbon-components-svelte';
  import type { Act } from '../../core/acts/act';
  import type { Project } from '../../core/model/project';
  import { formatMoney } from '../../core/money/format';
  import { spendableOf } from '../../core/pack/front-steps';
  import type { PackRules } from '../../core/pack/pack-rules';
  import type { PackedKit } from '../../core/pack/packed-kit';
  import type { WaysOut } from '../../core/pack/ways-out';
  import { points } from './kit-words';

  /** Nothing within the budget films all that must be filmed: the smallest things that would let it. */
  interface Props {
    project: Project;
    /** Scenes that must work and do not, by name. */
    unfilmed: readonly string[];
    /** The cheapest kit found that films all. */
    cheapest: PackedKit | undefined;
    /** Single changes that were tried and let a kit film all; undefined before it is looked for them. */
    waysOut: WaysOut | undefined;
    onrules: (rules: PackRules) => void;
    onact: (act: Act) => void;
  }
  const { project, unfilmed, cheapest, waysOut, onrules, onact }: Props = $props();

  const say = (minor: number) => formatMoney(minor, project.currency, { short: true });
  /** A limit one would set: in whole tens of the currency. */
  const ROUND_MINOR = 1000;
  const raisedMinor = $derived(
    cheapest && Math.ceil((cheapest.priceMinor + project.reserveMinor) / ROUND_MINOR) * ROUND_MINOR
  );
</script>

<div class="cannot" role="status">
  <h3>
    {project.scenes.length === 0
      ? 'Nothing is to be filmed yet'
      : `Nothing found for ${say(spendableOf(project))} films all of it`}
  </h3>
  {#if unfilmed.length > 0}<p>What is missing: {unfilmed.join(', ')}.</p>{/if}
  <ul>
    {#if cheapest && raisedMinor !== undefined}<li>
        <Button
          size="small"
          kind="tertiary"
          on:click={() => onact({ type: 'set project', patch: { limitMinor: raisedMinor } })}
          >Raise the limit to {say(raisedMinor)}</Button
        >
        <span class="soft"
          >the cheapest kit found that films all costs {say(cheapest.priceMinor)}</span
        >
      </li>{/if}
    {#each waysOut?.ways ?? [] as { label, act, rules, kit } (label)}
      <li>
        <Button
          size="small"
          kind="tertiary"
          on:click={() => {
            if (act) onact(act);
            if (rules) onrules(rules);
          }}>{label}</Button
        >
        <span class="soft"
          >then a kit for {say(kit.priceMinor)} films all, worth {points(
            kit.merit.meritHundredths
          )}</span
        >
      </li>
    {/each}
  </ul>
  {#if waysOut && !waysOut.isDone}
    <InlineLoading description="looking for what else would let a kit film all" />
  {:else if waysOut && waysOut.ways.length === 0 && !cheapest}
    <p>No single change of what is set was found to be enough.</p>
  {/if}
</div>

<style>
  .cannot {
    padding: 0.6rem 0.9rem;
  }

  h3 {
    color: var(--brick);
    font-size: 1rem;
  }

  ul {
    display: grid;
    gap: 0.4rem;
    margin: 0.2rem 0;
    padding: 0;
    list-style: none;
  }

  li {
    display: flex;
    flex-wrap: wrap;
    gap: 0.2rem 0.6rem;
    align-items: center;
  }
</style>
