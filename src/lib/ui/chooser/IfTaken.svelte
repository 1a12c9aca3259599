<script lang="ts">
  import { conversionWords } from '../../core/money/priced-shelf';
  import { Button } from 'carbon-components-svelte';
  import type { Candidate } from '../../core/judge/candidates';
  import type { Judgement } from '../../core/judge/judgement';
  import { findingWeightRanges, type WeightRange } from '../../core/judge/verdicts';
  import { compareKits } from '../../core/merit/kit-merit';
  import { weightsOf } from '../../core/merit/schools';
  import type { Project } from '../../core/model/project';
  import { fullName } from '../../core/model/gear';
  import { formatMoney } from '../../core/money/format';
  import { dayWords } from '../shell/day-words';

  /** What would change with the candidate looked at. */
  interface Props {
    candidate: Candidate | undefined;
    pinned: boolean;
    currency: string;
    replacedName: string | undefined;
    /** The one scene it is taken for. */
    sceneName: string | undefined;
    ontake: () => void;
    onpin: () => void;
    project: Project;
    judgement: Judgement;
  }
  const {
    candidate,
    pinned,
    currency,
    replacedName,
    sceneName,
    ontake,
    onpin,
    project,
    judgement
  }: Props = $props();

  const better = $derived(
    candidate !== undefined && compareKits(candidate.merit, judgement.merit) > 0
  );
  /** Hundreds of weights are tried for this, so it waits until somebody stays with a part. */
  const STAYED_MS = 200;
  let ranges = $state.raw<WeightRange[]>([]);
  $effect(() => {
    const [looked, packed, brief] = [candidate, judgement, project];
    ranges = [];
    if (!looked?.act) return;
    const [chosen, other] = better ? [looked, packed] : [packed, looked];
    const finding = findingWeightRanges(brief, chosen, other, weightsOf(brief));
    const found: WeightRange[] = [];
    let waiting = setTimeout(look, STAYED_MS);
    function look() {
      const { done, value } = finding.next();
      if (value) found.push(value);
      if (done) ranges = found;
      else waiting = setTimeout(look);
    }
    return () => clearTimeout(waiting);
  });
</script>

<h2 class="section-name">If you add it</h2>
{#if !candidate}
  <p class="card none">Go through the list; what each part would change is told here.</p>
{:else}
  <div class="card head">
    <p class="name">{fullName(candidate.gear)}</p>
    <p>
      {candidate.packed
        ? 'It is in the kit now.'
        : replacedName
          ? `Takes the place of ${replacedName}.`
          : 'Comes in beside what is there.'}
      {#if sceneName && candidate.act}{sceneName} uses it; the other scenes keep what they use.{/if}
      {#if candidate.joins.length > 0}Needs {candidate.joins.join(', ')}, counted in.{/if}
    </p>
    {#if candidate.gear.priceNew}
      <p class="soft figures">
        {formatMoney(candidate.gear.priceNew.likely, currency, { short: true })} new{candidate.gear
          .priceUsed
          ? `, ${formatMoney(candidate.gear.priceUsed.likely, currency, { short: true })} used`
          : ''}; {candidate.gear.priceNew.source}, {dayWords(
          candidate.gear.priceNew.date
        )}{#if conversionWords(candidate.gear.priceNew)}; seen as {conversionWords(
            candidate.gear.priceNew
          )}{/if}
      </p>
    {/if}
  </div>
  {@const ownSettles = candidate.settles.filter(
    ({ title }) => !candidate.settledByEmptyPlace.includes(title)
  )}
  <ul>
    {#each ownSettles as change, index (index)}
      <li class="card good"><span class="soft">settles</span>{change.title}</li>
    {/each}
    {#each candidate.settledByEmptyPlace as title, index (index)}
      <li class="card">
        <span class="soft"
          >gone with {replacedName ?? 'what it replaces'}, whatever takes its place</span
        >{title}
      </li>
    {/each}
    {#each candidate.breaks as change, index (index)}
      <li class="card {change.severity === 'stop' ? 'stop' : 'bad'}">
        <span class="soft">{change.severity === 'stop' ? 'would stop' : 'brings'}</span
        >{change.title}
      </li>
    {/each}
    {#if candidate.act && candidate.settles.length === 0 && candidate.breaks.length === 0}
      <li class="card">
        <span class="soft">Nothing is settled and nothing breaks; only the figures move.</span>
      </li>
    {/if}
  </ul>
  {#if ranges.length > 0}
    <p class="ranges">
      {better ? 'It stays the better choice' : 'What is packed stays the better choice'} while
      {#each ranges as { axis, from, to }, index (axis)}{index > 0
          ? index === ranges.length - 1
            ? ' and '
            : ', '
          : ''}{axis}
        weighs
        {from === 0 ? `at most ${to}` : to === 60 ? `${from} or more` : `${from} to ${to}`}{/each}.
    </p>
  {/if}
  {#if candidate.act}
    <div class="do">
      <Button on:click={ontake}
        >{candidate.packed ? `Use it in ${sceneName ?? ''}` : 'Add to kit'}</Button
      >
      <Button kind="tertiary" on:click={onpin}
        >{pinned ? 'Remove from comparison' : 'Compare side by side'}</Button
      >
    </div>
  {/if}
{/if}

<style>
  .ranges {
    margin: 0.3rem 0 0.6rem;
    color: var(--ink-soft);
    font-size: 0.8125rem;
    font-style: italic;
  }

  .none,
  .head {
    padding: 0.7rem 0.8rem;
  }

  .head {
    margin-bottom: 0.6rem;
    font-size: 0.8125rem;
  }

  .name {
    font-family: var(--display);
    font-size: 1.05rem;
    font-weight: 600;
  }

  .soft {
    display: block;
  }

  ul {
    display: grid;
    gap: 0.5rem;
  }

  li {
    padding: 0.5rem 0.8rem;
    border-left: 5px solid var(--line);
    font-weight: 600;
    overflow-wrap: anywhere;
  }

  li .soft {
    font-weight: 400;
  }

  .good {
    border-left-color: var(--moss);
  }

  .bad {
    border-left-color: var(--ochre);
    border-left-style: double;
  }

  .stop {
    border-left-color: var(--brick);
  }

  .do {
    display: flex;
    gap: 0.5rem;
    margin-top: 0.8rem;
  }
</style>
