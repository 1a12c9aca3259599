<script lang="ts">
  import type { Project } from '../../core/model/project';
  import { formatMoney } from '../../core/money/format';
  import { type FrontStep, spendableOf } from '../../core/pack/front-steps';
  import { changeWords, points } from './kit-words';

  /** The steps of the front as a list: the way through them by key, and for those who do not see the drawing. */
  interface Props {
    project: Project;
    steps: readonly FrontStep[];
    chosen: number;
    onchoose: (index: number) => void;
  }
  const { project, steps, chosen, onchoose }: Props = $props();
  const spendable = $derived(spendableOf(project));
  let list = $state<HTMLElement>();

  /** Left and right go along the steps. */
  function walk(event: KeyboardEvent) {
    const by = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
    const to = chosen + by;
    if (by === 0 || to < 0 || to >= steps.length) return;
    event.preventDefault();
    onchoose(to);
    list?.querySelectorAll('button')[to]?.focus();
  }
</script>

<ol bind:this={list} aria-label="Kits by what they cost">
  {#each steps as step, index (step.priceMinor)}
    <li>
      <button
        aria-pressed={index === chosen}
        tabindex={index === chosen || (chosen < 0 && index === 0) ? 0 : -1}
        class:over={step.priceMinor > spendable}
        onkeydown={walk}
        onclick={() => onchoose(index)}
        ><b class="figures">{formatMoney(step.priceMinor, project.currency, { short: true })}</b>
        <span class="figures">{points(step.merit.meritHundredths)}</span><span class="unseen"
          >{step.changes ? changeWords(step.changes, project) : 'films all of it'}{step.isGoodEnough
            ? ', good enough'
            : ''}{step.isBestForBudget ? ', best for the budget' : ''}</span
        ></button
      >
    </li>
  {/each}
</ol>

<style>
  ol {
    display: flex;
    flex-wrap: wrap;
    gap: 0.25rem;
    margin: 0;
    padding: 0.3rem 0.5rem 0.5rem;
    list-style: none;
  }

  button {
    display: grid;
    min-width: 3.2rem;
    min-height: 2.2rem;
    padding: 0.1rem 0.4rem;
    border: 1px solid var(--line);
    border-radius: 8px;
    background: var(--linen);
    color: var(--ink);
    font-size: 0.75rem;
    cursor: pointer;
  }

  button.over {
    border-style: dashed;
    border-color: var(--brick);
  }

  button[aria-pressed='true'] {
    border-color: var(--moss);
    background: var(--moss);
    color: var(--on-moss);
  }
</style>
