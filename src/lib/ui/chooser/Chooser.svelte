<script lang="ts">
  import { Button, Checkbox, Search, SkeletonText } from 'carbon-components-svelte';
  import type { Candidate, WayOfTaking } from '../../core/judge/candidates';
  import type { Judgement } from '../../core/judge/judgement';
  import { fullName, type GearItem } from '../../core/model/gear';
  import { type Pocket } from '../../core/model/pocket';
  import type { Project } from '../../core/model/project';
  import { schools } from '../../core/merit/schools';
  import { formatMoney } from '../../core/money/format';
  import LeatherBag from '../bag/LeatherBag.svelte';
  import CandidateList from './CandidateList.svelte';
  import { pocketQuestions } from './candidate-words';
  import { keepFocus } from '../shell/keep-focus';
  import { makePartSearch } from '../search/part-search';
  import InTurn from '../shell/InTurn.svelte';
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
    /** Parts of the shelf that belong in the pocket. */
    onShelf: readonly GearItem[];
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
  const order = $derived(schools[project.school].pocketOrder);
  const currency = $derived(project.currency);
  let onlyWorking = $state(false);
  let onlyWithin = $state(false);
  let words = $state('');
  const search = $derived(makePartSearch(onShelf));
  const foundIds = $derived.by(() => {
    const found = search(words);
    return found && new Set(found.map((gear) => gear.id));
  });
  const listed = $derived(
    candidates?.filter(
      (candidate) =>
        (candidate.packed && !foundIds) ||
        ((!foundIds || foundIds.has(candidate.gear.id)) &&
          (!onlyWorking || !candidate.breaks.some((change) => change.severity === 'stop')) &&
          (!onlyWithin || candidate.remainingMinor >= 0))
    )
  );
  const stopped = $derived(
    candidates?.filter((candidate) => candidate.breaks.some((change) => change.severity === 'stop'))
      .length ?? 0
  );
  const packedCostIn = ({ money }: Judgement) => money.pockets[pocket].firmMinor;
  /** What the chart shows: it follows the list a moment later. */
  const drawn = $derived({ listed: listed ?? [], chosenId, judgement });
  const pinned = $derived(
    (candidates ?? []).filter((candidate) => pinnedIds.includes(candidate.gear.id))
  );

  const holdsSome = $derived(
    judgement.money.lines.some((line) => line.pocket === pocket && line.inKit)
  );
  const usable = $derived(
    judgement.money.lines.some(
      (line) => line.pocket === pocket && line.gear && usableInScene.has(line.gear.kind)
    )
  );
</script>

<LeatherBag
  label="{pocket} pocket, opened"
  heading="{pocket} pocket"
  facts={candidates
    ? `${
        candidates.length < onShelf.length
          ? `${candidates.length} of ${onShelf.length} judged so far`
          : `${onShelf.length} on the shelf`
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
      <InTurn value={drawn}
        >{#snippet children({ listed, chosenId, judgement })}<WorthScatter
            nowHundredths={judgement.merit.onceSettledHundredths}
            candidates={listed}
            {chosenId}
            {currency}
            colour="var(--pocket-{pocket})"
            mayCostMinor={judgement.money.remainingMinor + packedCostIn(judgement)}
            {onchoose}
          />{/snippet}</InTurn
      >
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
      <CandidateList
        label="Candidates for the {pocket} pocket"
        candidates={listed}
        {project}
        {chosenId}
        {pinnedIds}
        {onchoose}
        {onpin}
        {ontake}
      />
      <PinBoard {pinned} scenes={project.scenes} {currency} units={project.units} onunpin={onpin} />
    {:else}
      <div class="waiting" aria-busy="true"><SkeletonText paragraph lines={8} /></div>
    {/if}
    {#if chosenId && listed?.find((candidate) => candidate.gear.id === chosenId && !candidate.packed)}
      {@const chosen = listed.find((candidate) => candidate.gear.id === chosenId)!}
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

  .waiting {
    padding: 1rem 0;
  }

  .thumb-bar {
    display: none;
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
