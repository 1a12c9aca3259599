<script lang="ts">
  import { createVirtualizer } from '@tanstack/svelte-virtual';
  import { untrack } from 'svelte';
  import type { Candidate, CandidateGroup } from '../../core/judge/candidates';
  import type { Project } from '../../core/model/project';
  import CandidateRow from './CandidateRow.svelte';
  import { groupNames } from './candidate-words';
  import { listRows } from './list-rows';

  /** Candidates in their groups, with a figure a scene; walked by keys, drawn only as far as they are in view. */
  interface Props {
    label: string;
    candidates: readonly Candidate[];
    project: Project;
    chosenId: string | undefined;
    pinnedIds: readonly string[];
    onchoose: (id: string) => void;
    onpin: (id: string) => void;
    ontake: (candidate: Candidate) => void;
  }
  const { label, candidates, project, chosenId, pinnedIds, onchoose, onpin, ontake }: Props =
    $props();
  const MOST_PINNED = 3;

  /** Columns for more scenes would leave no room for the figures. */
  const MOST_SCENES = 3;
  const shown = $derived(project.scenes.slice(0, MOST_SCENES));

  let unfolded = $state<readonly CandidateGroup[]>([]);
  const entries = $derived(listRows(candidates, unfolded, chosenId));
  const folded = $derived(
    entries.flatMap((entry) => (entry.kind === 'group' && entry.folded > 0 ? [entry] : []))
  );
  const parts = $derived(
    entries.flatMap((entry) => (entry.kind === 'part' ? [entry.candidate] : []))
  );

  /** Only the rows in view are drawn, however many there are. */
  const ROW_PX = 46;
  let scroller = $state<HTMLUListElement>();
  const virtual = createVirtualizer<HTMLUListElement, HTMLDivElement>({
    count: 0,
    getScrollElement: () => scroller ?? null,
    estimateSize: () => ROW_PX,
    overscan: 3,
    // Once laid out a row tells its height; asked before, each row would have the page laid out for it alone.
    measureElement: (_, entry) => Math.round(entry?.borderBoxSize[0]?.blockSize ?? ROW_PX)
  });
  $effect(() => {
    // What is measured belongs to the rows of this moment, not to those that come next.
    const rows = entries;
    const count = rows.length;
    void scroller;
    untrack(() =>
      $virtual.setOptions({
        count,
        getScrollElement: () => scroller ?? null,
        getItemKey: (index) => rows[index]?.key ?? index
      })
    );
  });
  const chosenIsDrawn = $derived(
    $virtual.getVirtualItems().some((row) => entries[row.index]?.key === chosenId)
  );
  const measured = (node: HTMLDivElement) => untrack(() => $virtual.measureElement(node));

  function onkeydown(event: KeyboardEvent) {
    if (parts.length === 0) return;
    const index = Math.max(
      0,
      parts.findIndex((part) => part.gear.id === chosenId)
    );
    const chosen = parts[index];
    const go = (to: number) => {
      event.preventDefault();
      const next = parts[Math.min(parts.length - 1, Math.max(0, to))];
      if (!next) return;
      $virtual.scrollToIndex(entries.findIndex((entry) => entry.key === next.gear.id));
      onchoose(next.gear.id);
    };
    if (event.key === 'ArrowDown') go(index + 1);
    else if (event.key === 'ArrowUp') go(index - 1);
    else if (event.key === 'Home') go(0);
    else if (event.key === 'End') go(parts.length - 1);
    else if (event.key === 'Enter' && chosen) {
      event.preventDefault();
      ontake(chosen);
    } else if (
      event.key === ' ' &&
      chosen &&
      (pinnedIds.includes(chosen.gear.id) || pinnedIds.length < MOST_PINNED)
    ) {
      event.preventDefault();
      onpin(chosen.gear.id);
    }
  }
</script>

<div class="columns" aria-hidden="true" style:--scenes={shown.length}>
  <span></span><span></span>
  {#each shown as scene (scene.id)}<span>{scene.name}</span>{/each}
  <span class="right">worth</span><span class="right">true cost</span><span class="right"
    >then left</span
  >
</div>
<ul
  id="candidates"
  bind:this={scroller}
  role="listbox"
  aria-label={label}
  tabindex="0"
  aria-activedescendant={chosenIsDrawn ? `candidate-${chosenId}` : undefined}
  {onkeydown}
>
  {#if candidates.length === 0}
    <li class="none">No part passes the filters. Clear one.</li>
  {/if}
  <li role="presentation" class="rows" style:height="{$virtual.getTotalSize()}px">
    {#each $virtual.getVirtualItems() as row (row.index)}
      {@const entry = entries[row.index]}
      {#if entry?.kind === 'group'}
        <div
          role="presentation"
          class="group"
          data-group={entry.group}
          data-index={row.index}
          style:transform="translateY({row.start}px)"
          use:measured
        >
          <b>{groupNames[entry.group]}</b>
          <span>{entry.count} {entry.count === 1 ? 'part' : 'parts'}</span>
          {#if entry.folded > 0}<span>{entry.folded} more folded</span>{/if}
        </div>
      {:else if entry}
        <CandidateRow
          candidate={entry.candidate}
          currency={project.currency}
          units={project.units}
          {shown}
          id="candidate-{entry.key}"
          place={entry.place}
          of={candidates.length}
          row={row.index}
          startPx={row.start}
          {measured}
          chosen={entry.key === chosenId}
          pinned={pinnedIds.includes(entry.key)}
          onchoose={() => onchoose(entry.key)}
          ontake={() => ontake(entry.candidate)}
        />
      {/if}
    {/each}
  </li>
</ul>
{#if folded.length > 0}
  <p class="unfold">
    {#each folded as entry (entry.key)}
      <button class="text-button" onclick={() => (unfolded = [...unfolded, entry.group])}
        >Show all {entry.count}: {groupNames[entry.group].toLowerCase()}</button
      >
    {/each}
  </p>
{/if}

<style>
  ul {
    max-height: 30rem;
    overflow-y: auto;
    border-top: 1px solid var(--line);
    border-bottom: 1px solid var(--line);
  }

  .rows {
    position: relative;
  }

  .columns {
    display: grid;
    grid-template-columns:
      2rem minmax(8rem, 1.3fr) repeat(var(--scenes), minmax(4.6rem, 1fr))
      2.6rem 4.4rem 4.6rem;
    gap: 0.5rem;
    padding: 0.2rem 0.5rem;
    color: var(--ink-soft);
    font-size: 0.6875rem;
    font-weight: 600;
  }

  .columns span {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }

  .right {
    text-align: right;
  }

  .group {
    position: absolute;
    top: 0;
    right: 0;
    left: 0;
    display: flex;
    gap: 0.6rem;
    align-items: baseline;
    padding: 0.25rem 0.5rem;
    background: var(--tan);
    font-size: 0.75rem;
  }

  .group[data-group='within'] b {
    color: var(--moss);
  }

  .group[data-group='blocks'] b {
    color: var(--brick);
  }

  .unfold {
    display: flex;
    flex-wrap: wrap;
    gap: 0.3rem 1rem;
    padding-top: 0.4rem;
  }

  .unfold button {
    font-size: 0.8125rem;
  }

  .none {
    padding: 1rem;
    color: var(--ink-soft);
  }

  @media (max-width: 700px) {
    .columns {
      display: none;
    }
  }
</style>
