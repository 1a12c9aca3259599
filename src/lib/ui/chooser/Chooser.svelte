<script lang="ts">
  import { createVirtualizer } from '@tanstack/svelte-virtual';
  import { Button, Checkbox, SkeletonText } from 'carbon-components-svelte';
  import { untrack } from 'svelte';
  import type { Candidate } from '../../core/judge/candidates';
  import type { Judgement } from '../../core/judge/judgement';
  import { fullName } from '../../core/model/gear';
  import { type Pocket } from '../../core/model/pocket';
  import type { Project } from '../../core/model/project';
  import { schools } from '../../core/merit/schools';
  import { formatMoney } from '../../core/money/format';
  import LeatherBag from '../bag/LeatherBag.svelte';
  import CandidateRow from './CandidateRow.svelte';
  import { pocketQuestions } from './candidate-words';
  import PinBoard from './PinBoard.svelte';
  import PocketLines from './PocketLines.svelte';
  import TwoMinds from '../disputes/TwoMinds.svelte';
  import WorthScatter from './WorthScatter.svelte';
  import type { Act } from '../../core/acts/act';

  interface Props {
    pocket: Pocket;
    project: Project;
    judgement: Judgement;
    candidates: readonly Candidate[] | undefined;
    chosenId: string | undefined;
    pinnedIds: readonly string[];
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
    chosenId,
    pinnedIds,
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
  const listed = $derived(
    candidates?.filter(
      (one) =>
        one.packed ||
        ((!onlyWorking || !one.breaks.some((change) => change.severity === 'stop')) &&
          (!onlyWithin || one.remainingMinor >= 0))
    )
  );
  const stopped = $derived(
    candidates?.filter((one) => one.breaks.some((change) => change.severity === 'stop')).length ?? 0
  );
  const packedCost = $derived(judgement.money.pockets[pocket].firmMinor);
  const mayCost = $derived(judgement.money.remainingMinor + packedCost);
  const pinned = $derived((candidates ?? []).filter((one) => pinnedIds.includes(one.gear.id)));

  /** Only the rows in view are drawn, however many there are. */
  const ROW_PX = 54;
  let scroller = $state<HTMLUListElement>();
  const virtual = createVirtualizer<HTMLUListElement, HTMLDivElement>({
    count: 0,
    getScrollElement: () => scroller ?? null,
    estimateSize: () => ROW_PX,
    overscan: 3
  });
  $effect(() => {
    const count = listed?.length ?? 0;
    void scroller;
    untrack(() =>
      $virtual.setOptions({
        count,
        getScrollElement: () => scroller ?? null,
        getItemKey: (at) => listed?.[at]?.gear.id ?? at
      })
    );
  });
  const chosenIsDrawn = $derived(
    $virtual.getVirtualItems().some((row) => listed?.[row.index]?.gear.id === chosenId)
  );
  const measured = (node: HTMLDivElement) => untrack(() => $virtual.measureElement(node));

  function onkeydown(event: KeyboardEvent) {
    if (!listed || listed.length === 0) return;
    const at = Math.max(
      0,
      listed.findIndex((one) => one.gear.id === chosenId)
    );
    const chosen = listed[at];
    const go = (to: number) => {
      event.preventDefault();
      const place = Math.min(listed.length - 1, Math.max(0, to));
      const next = listed[place];
      if (!next) return;
      $virtual.scrollToIndex(place);
      onchoose(next.gear.id);
    };
    if (event.key === 'ArrowDown') go(at + 1);
    else if (event.key === 'ArrowUp') go(at - 1);
    else if (event.key === 'Home') go(0);
    else if (event.key === 'End') go(listed.length - 1);
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
    ? `${candidates.length} on the shelf${stopped > 0 ? ` · ${stopped} would block a scene` : ''} · judged in all ${project.scenes.length} scenes`
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
  <div class="sheet">
    <PocketLines scenes={project.scenes} {pocket} {judgement} {onact} />
    <div class="head">
      <h3>{pocketQuestions[pocket]}</h3>
      <span class="soft"
        >worth to the whole kit against what it truly costs, accessories included</span
      >
    </div>
    <TwoMinds
      {project}
      where={pocket}
      summary="Where people disagree about the {pocket} pocket"
      {onact}
    />
    {#if listed}
      <WorthScatter
        candidates={listed}
        {chosenId}
        {currency}
        colour="var(--pocket-{pocket})"
        mayCostMinor={mayCost}
        {onchoose}
      />
      <div class="filters">
        <Checkbox labelText="Leave out what would block a scene" bind:checked={onlyWorking} />
        <Checkbox labelText="Only within budget" bind:checked={onlyWithin} />
        <span class="soft">↑ ↓ go · Enter adds · Space compares</span>
      </div>
      <ul
        bind:this={scroller}
        role="listbox"
        aria-label="Candidates for the {pocket} pocket"
        tabindex="0"
        aria-activedescendant={chosenIsDrawn ? `candidate-${chosenId}` : undefined}
        {onkeydown}
      >
        {#if listed.length === 0}
          <li class="none">No part passes both filters. Clear one.</li>
        {/if}
        <li role="presentation" class="rows" style:height="{$virtual.getTotalSize()}px">
          {#each $virtual.getVirtualItems() as row (row.key)}
            {@const candidate = listed[row.index]}
            {#if candidate}
              <CandidateRow
                {candidate}
                {currency}
                id="candidate-{candidate.gear.id}"
                place={row.index}
                of={listed.length}
                startPx={row.start}
                {measured}
                chosen={candidate.gear.id === chosenId}
                pinned={pinnedIds.includes(candidate.gear.id)}
                onchoose={() => onchoose(candidate.gear.id)}
                ontake={() => ontake(candidate)}
              />
            {/if}
          {/each}
        </li>
      </ul>
      <PinBoard {pinned} scenes={project.scenes} {currency} onunpin={onpin} />
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
    grid-template-columns: repeat(8, 1fr);
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

  .filters .soft {
    margin-left: auto;
  }

  ul {
    max-height: 24rem;
    overflow-y: auto;
    border-top: 1px solid var(--line);
    border-bottom: 1px solid var(--line);
  }

  .rows {
    position: relative;
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

  @media (max-width: 900px) {
    .tabs {
      grid-template-columns: repeat(4, 1fr);
    }

    .thumb-bar {
      position: sticky;
      bottom: 4.2rem;
      display: block;
      padding-top: 0.5rem;
    }
  }
</style>
