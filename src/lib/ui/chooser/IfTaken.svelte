<script lang="ts">
  import { conversionWords } from '../../core/money/priced-shelf';
  import { Button } from 'carbon-components-svelte';
  import type { Candidate } from '../../core/judge/candidates';
  import { ActError, applyAct } from '../../core/acts/apply-act';
  import { judgePlan } from '../../core/judge/judge-plan';
  import type { Judgement } from '../../core/judge/judgement';
  import { weightRanges } from '../../core/judge/verdicts';
  import { compareKits } from '../../core/merit/kit-merit';
  import { weightsOf } from '../../core/merit/schools';
  import type { Project } from '../../core/model/project';
  import { activePlan } from '../../core/model/active-plan';
  import type { Shelf } from '../../core/model/shelf';
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
    shelf: Shelf;
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
    judgement,
    shelf
  }: Props = $props();

  /** The kit with the candidate in it, weighed against the one that is packed. */
  const after = $derived.by(() => {
    if (!candidate?.act) return undefined;
    try {
      const changed = applyAct(project, candidate.act);
      return judgePlan(changed, activePlan(changed), shelf);
    } catch (error) {
      // The candidate was judged for a bag that has changed since; the new judgement is on its way.
      if (error instanceof ActError) return undefined;
      throw error;
    }
  });
  const better = $derived(after !== undefined && compareKits(after.merit, judgement.merit) > 0);
  const ranges = $derived(
    after === undefined
      ? []
      : better
        ? weightRanges(project, after, judgement, weightsOf(project))
        : weightRanges(project, judgement, after, weightsOf(project))
  );
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
    {#each ownSettles as change, at (at)}
      <li class="card good"><span class="soft">settles</span>{change.title}</li>
    {/each}
    {#each candidate.settledByEmptyPlace as title, at (at)}
      <li class="card">
        <span class="soft"
          >gone with {replacedName ?? 'what it replaces'}, whatever takes its place</span
        >{title}
      </li>
    {/each}
    {#each candidate.breaks as change, at (at)}
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
      {#each ranges as { axis, from, to }, at (axis)}{at > 0
          ? at === ranges.length - 1
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
    color: var(--ink-soft);
    font-size: 0.75rem;
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
