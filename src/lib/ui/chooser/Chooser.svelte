<script lang="ts">
  import { createVirtualizer } from '@tanstack/svelte-virtual';
  import { Button, Checkbox, Search, SkeletonText } from 'carbon-components-svelte';
  import { untrack } from 'svelte';
  import {
    type Candidate,
    type CandidateGroup,
    candidateGroups,
    type WayOfTaking
  } from '../../core/judge/candidates';
  import type { Judgement } from '../../core/judge/judgement';
  import { fullName } from '../../core/model/gear';
  import { type Pocket } from '../../core/model/pocket';
  import type { Project } from '../../core/model/project';
  import { schools } from '../../core/merit/schools';
  import { formatMoney } from '../../core/money/format';
  import LeatherBag from '../bag/LeatherBag.svelte';
  import CandidateRow from './CandidateRow.svelte';
  import { groupNames, pocketQuestions } from './candidate-words';
  import { keepFocus } from '../shell/keep-focus';
  import { makePartSearch } from '../search/part-search';
  import PinBoard from './PinBoard.svelte';
  import PocketLines from './PocketLines.svelte';
  import TwoMinds from '../disputes/TwoMinds.svelte';
  import WaySwitch from './WaySwitch.svelte';
  import WorthScatter from './WorthScatter.svelte';
  import type { Act } from '../../core/acts/act';
  import { usableInScene } from '../../core/acts/use-in-scene';

  interface Props {
    pocket: Pocket;
    project: Project;
    judgement: Judgement;
    /** Those judged so far; undefined before the first. */
    candidates: readonly Candidate[] | undefined;
    /** How many parts of the shelf belong in the pocket. */
    onShelf: number;
    chosenId: string | undefined;
    pinnedIds: readonly string[];
    way: WayOfTaking;
    onway: (way: WayOfTaking) => void;
    onchoose: (id: string) => void;
    onpin: (id: string) => void;
    ontake: (candidate: Candidate) => void;
    onact: (act: Act) => void;
  }
  const {
    pocket,
    project,
    judgement,
    candidates,
    onShelf,
    chosenId,
    pinnedIds,
    way,
    onway,
    onchoose,
    onpin,
    ontake,
    onact
  }: Props = $props();
  const MOST_PINNED = 3;

  const order = $derived(schools[project.school].pocketOrder);
  const currency = $derived(project.currency);
  let onlyWorking = $state(false);
  let onlyWithin = $state(false);
  let words = $state('');
  const search = $derived(makePartSearch((candidates ?? []).map(({ gear }) => gear)));
  const foundIds = $derived.by(() => {
    const found = search(words);
    return found && new Set(found.map((gear) => gear.id));
  });
  const listed = $derived(
    candidates?.filter(
      (one) =>
        (one.packed && !foundIds) ||
        ((!foundIds || foundIds.has(one.gear.id)) &&
          (!onlyWorking || !one.breaks.some((change) => change.severity === 'stop')) &&
          (!onlyWithin || one.remainingMinor >= 0))
    )
  );
  const stopped = $derived(
    candidates?.filter((one) => one.breaks.some((change) => change.severity === 'stop')).length ?? 0
  );
  const packedCost = $derived(judgement.money.pockets[pocket].firmMinor);
  const mayCost = $derived(judgement.money.remainingMinor + packedCost);
  const pinned = $derived((candidates ?? []).filter((one) => pinnedIds.includes(one.gear.id)));

  const holdsSome = $derived(
    judgement.money.lines.some((line) => line.pocket === pocket && line.inKit)
  );
  const usable = $derived(
    judgement.money.lines.some(
      (line) => line.pocket === pocket && line.gear && usableInScene.has(line.gear.kind)
    )
  );

  /** Columns for more scenes would leave no room for the figures. */
  const MOST_SCENES = 3;
  const shown = $derived(project.scenes.slice(0, MOST_SCENES));

  /** Rows as they are drawn: a heading before each group, all of it shown once asked for. */
  type Entry =
    | { kind: 'group'; key: string; group: CandidateGroup; count: number; folded: number }
    | { kind: 'part'; key: string; candidate: Candidate; place: number };
  const FOLDED_TO = 3;
  let unfolded = $state<readonly CandidateGroup[]>([]);
  const entries = $derived.by(() => {
    const rows: Entry[] = [];
    let place = 0;
    for (const group of candidateGroups) {
      const parts = (listed ?? []).filter((one) => one.group === group);
      if (parts.length === 0) continue;
      // Only what is within the budget opens in full; the part looked at always shows.
      const isOpen = group === 'within' || unfolded.includes(group);
      const drawn = isOpen
        ? parts
        : parts.filter((one, at) => at < FOLDED_TO || one.gear.id === chosenId);
      rows.push({
        kind: 'group',
        key: `group ${group}`,
        group,
        count: parts.length,
        folded: parts.length - drawn.length
      });
      for (const candidate of drawn)
        rows.push({ kind: 'part', key: candidate.gear.id, candidate, place: place++ });
    }
    return rows;
  });
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
    overscan: 3
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
        getItemKey: (at) => rows[at]?.key ?? at
      })
    );
  });
  const chosenIsDrawn = $derived(
    $virtual.getVirtualItems().some((row) => entries[row.index]?.key === chosenId)
  );
  const measured = (node: HTMLDivElement) => untrack(() => $virtual.measureElement(node));

  function onkeydown(event: KeyboardEvent) {
    if (parts.length === 0) return;
    const at = Math.max(
      0,
      parts.findIndex((one) => one.gear.id === chosenId)
    );
    const chosen = parts[at];
    const go = (to: number) => {
      event.preventDefault();
      const next = parts[Math.min(parts.length - 1, Math.max(0, to))];
      if (!next) return;
      $virtual.scrollToIndex(entries.findIndex((entry) => entry.key === next.gear.id));
      onchoose(next.gear.id);
    };
    if (event.key === 'ArrowDown') go(at + 1);
    else if (event.key === 'ArrowUp') go(at - 1);
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

<LeatherBag
  label="{pocket} pocket, opened"
  heading="{pocket} pocket"
  facts={candidates
    ? `${
        candidates.length < onShelf
          ? `${candidates.length} of ${onShelf} judged so far`
          : `${onShelf} on the shelf`
      }${stopped > 0 ? ` · ${stopped} would block a scene` : ''} · judged in all ${project.scenes.length} scenes`
    : 'judging every part in the whole kit…'}
>
  <nav aria-label="Pockets" class="tabs">
    {#each order as tab (tab)}
      <a
        href="/satchel/{tab}"
        aria-current={tab === pocket ? 'page' : undefined}
        data-pocket={tab}
        style:--colour="var(--pocket-{tab})"
      >
        <b>{tab}</b><span class="figures"
          >{formatMoney(judgement.money.pockets[tab].firmMinor, currency, { short: true })}</span
        >
      </a>
    {/each}
  </nav>
  <div class="sheet" use:keepFocus={'[aria-label="In this pocket"] > li'}>
    <PocketLines scenes={project.scenes} {pocket} {judgement} {onact} />
    <div class="head">
      <h3>{pocketQuestions[pocket]}</h3>
      <span class="soft"
        >worth to the whole kit against what it truly costs, accessories included</span
      >
    </div>
    {#if holdsSome}<WaySwitch {way} scenes={project.scenes} {usable} {onway} />{/if}
    <TwoMinds
      {project}
      where={pocket}
      summary="Where people disagree about the {pocket} pocket"
      {onact}
    />
    {#if listed}
      <WorthScatter
        nowHundredths={judgement.merit.onceSettledHundredths}
        candidates={listed}
        {chosenId}
        {currency}
        colour="var(--pocket-{pocket})"
        mayCostMinor={mayCost}
        {onchoose}
      />
      <div class="filters">
        <div class="find">
          <Search
            size="sm"
            labelText="Find among the candidates"
            placeholder="Find among them"
            bind:value={words}
          />
        </div>
        <Checkbox labelText="Leave out what would block a scene" bind:checked={onlyWorking} />
        <Checkbox labelText="Only within budget" bind:checked={onlyWithin} />
        <span class="soft">↑ ↓ go · Enter adds · Space compares</span>
      </div>
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
        aria-label="Candidates for the {pocket} pocket"
        tabindex="0"
        aria-activedescendant={chosenIsDrawn ? `candidate-${chosenId}` : undefined}
        {onkeydown}
      >
        {#if listed.length === 0}
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
                {currency}
                units={project.units}
                {shown}
                id="candidate-{entry.key}"
                place={entry.place}
                of={listed.length}
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
            <button onclick={() => (unfolded = [...unfolded, entry.group])}
              >Show all {entry.count}: {groupNames[entry.group].toLowerCase()}</button
            >
          {/each}
        </p>
      {/if}
      <PinBoard {pinned} scenes={project.scenes} {currency} units={project.units} onunpin={onpin} />
    {:else}
      <div class="waiting" aria-busy="true"><SkeletonText paragraph lines={8} /></div>
    {/if}
    {#if chosenId && listed?.find((one) => one.gear.id === chosenId && !one.packed)}
      {@const chosen = listed.find((one) => one.gear.id === chosenId)!}
      <div class="thumb-bar">
        <Button size="small" on:click={() => ontake(chosen)}
          >Add {fullName(chosen.gear)} to kit</Button
        >
      </div>
    {/if}
  </div>
</LeatherBag>

<style>
  .tabs {
    position: relative;
    display: grid;
    grid-template-columns: repeat(8, minmax(0, 1fr));
    gap: 0.35rem;
    margin-bottom: 0.5rem;
  }

  .tabs a {
    display: flex;
    flex-wrap: wrap;
    gap: 0 0.4rem;
    justify-content: space-between;
    padding: 0.3rem 0.55rem;
    border-radius: 8px;
    background: var(--linen);
    color: var(--ink);
    font-size: 0.75rem;
    text-decoration: none;
    box-shadow: inset 0 4px 0 var(--colour);
  }

  .tabs b {
    font-family: var(--display);
    font-size: 0.875rem;
  }

  .tabs b::first-letter {
    text-transform: uppercase;
  }

  .tabs a[aria-current] {
    background: var(--colour);
    color: var(--on-pocket);
  }

  .tabs a[aria-current][data-pocket='light'] {
    color: var(--on-pocket-light);
  }

  .sheet {
    position: relative;
    padding: 0.8rem 0.95rem 1rem;
    border-radius: 12px 12px 20px 20px;
    background: var(--linen);
    color: var(--ink);
  }

  .head {
    display: flex;
    flex-wrap: wrap;
    gap: 0.2rem 1rem;
    align-items: baseline;
    justify-content: space-between;
  }

  h3 {
    font-size: 1.15rem;
  }

  .soft {
    color: var(--ink-soft);
    font-size: 0.75rem;
  }

  .filters {
    display: flex;
    flex-wrap: wrap;
    gap: 0.3rem 1.2rem;
    align-items: center;
    padding: 0.3rem 0;
    font-size: 0.8125rem;
  }

  .find {
    flex: 0 1 13rem;
  }

  .filters .soft {
    margin-left: auto;
  }

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
    padding: 0;
    border: 0;
    background: none;
    color: var(--moss);
    font-size: 0.8125rem;
    text-decoration: underline;
    cursor: pointer;
  }

  .none {
    padding: 1rem;
    color: var(--ink-soft);
  }

  .waiting {
    padding: 1rem 0;
  }

  .thumb-bar {
    display: none;
  }

  @media (max-width: 700px) {
    .columns {
      display: none;
    }
  }

  @media (max-width: 900px) {
    .tabs {
      grid-template-columns: repeat(4, minmax(0, 1fr));
    }

    .tabs a {
      padding: 0.3rem 0.35rem;
    }

    .tabs b {
      font-size: 0.75rem;
    }

    .thumb-bar {
      position: sticky;
      bottom: 4.2rem;
      display: block;
      padding-top: 0.5rem;
    }
  }
</style>
