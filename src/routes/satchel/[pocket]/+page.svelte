<script lang="ts">
  import Guarded from '$lib/ui/shell/Guarded.svelte';
  import { proxy } from 'comlink';
  import { goto } from '$app/navigation';
  import { bestFirst, type Candidate, REPLACE, type WayOfTaking } from '$lib/core/judge/candidates';
  import type { CandidateRow } from '$lib/workers/judge-protocol';
  import { fullName, pocketOf } from '$lib/core/model/gear';
  import type { Pocket } from '$lib/core/model/pocket';
  import type { Project } from '$lib/core/model/project';
  import { satchel } from '$lib/state/project-store.svelte';
  import { proposals } from '$lib/state/proposals';
  import { asOfToday } from '$lib/state/as-of-today';
  import { askJudges, isCancelled } from '$lib/workers/connect-judge';
  import Chooser from '$lib/ui/chooser/Chooser.svelte';
  import IfTaken from '$lib/ui/chooser/IfTaken.svelte';
  import DaySupplies from '$lib/ui/supplies/DaySupplies.svelte';
  import AfterPaint from '$lib/ui/shell/AfterPaint.svelte';
  import InTurn from '$lib/ui/shell/InTurn.svelte';
  import Lazy from '$lib/ui/shell/Lazy.svelte';
  import SceneRail from '$lib/ui/scenes/SceneRail.svelte';

  const { data }: { data: { pocket: Pocket } } = $props();

  /** While the rest is judged the list is drawn anew no more often than this. */
  const SHOWN_EVERY_MS = 400;
  /** A pocket of this many parts is judged in a moment and shown whole; of a larger one the first screen comes first. */
  const SHOWN_WHOLE = 150;
  const SHOWN_FIRST_MS = { whole: 600, begun: 60 };

  let candidates = $state.raw<Candidate[] | undefined>(undefined);
  let chosenId = $state<string | undefined>(undefined);
  let pinnedIds = $state<string[]>([]);
  let fault = $state('');
  /** Counted up to ask anew after a fault. */
  let asked = $state(0);
  let way = $state.raw<WayOfTaking>(REPLACE);
  let openPocket: Pocket | undefined;
  /** The way the candidates on screen were judged for. */
  let openWay: WayOfTaking | undefined;
  /** The project the candidates were judged for. */
  let judgedFor: Project | undefined;

  // A newer question makes an older answer stale.
  $effect(() => {
    const { project } = satchel;
    const { pocket } = data;
    if (!project) return;
    let stale = false;
    if (pocket !== openPocket) {
      candidates = undefined;
      chosenId = undefined;
      pinnedIds = [];
      way = REPLACE;
      openPocket = pocket;
    }
    if (way !== openWay) {
      // Other figures and another order: no row of the old list is to be clicked for one of the new.
      candidates = undefined;
      openWay = way;
    }
    const { shelf } = satchel;
    const judged: Candidate[] = [];
    let shownAt = 0;
    const wanted = onShelf.length;
    let waiting: ReturnType<typeof setTimeout> | undefined;
    const show = () => {
      if (stale) return;
      clearTimeout(waiting);
      waiting = undefined;
      shownAt = performance.now();
      candidates = [...judged].sort(bestFirst);
      judgedFor = project;
      // What is chosen may be among those still to be judged.
      const isGone =
        judged.length >= wanted && !judged.some((candidate) => candidate.gear.id === chosenId);
      if (chosenId === undefined || isGone)
        chosenId = (candidates.find((candidate) => candidate.packed) ?? candidates[0])?.gear.id;
    };
    const take = (part: CandidateRow[]) => {
      if (stale) return;
      for (const { gearId, ...row } of part) {
        const gear = shelf.byId.get(gearId);
        if (gear) judged.push({ gear, ...row });
      }
      if (judged.length >= wanted) show();
      // A list that is whole in a moment is shown once: rows do not move under the pointer.
      else if (shownAt === 0) showSoon();
      else if (performance.now() - shownAt > SHOWN_EVERY_MS) show();
    };
    const patience = wanted <= SHOWN_WHOLE ? SHOWN_FIRST_MS.whole : SHOWN_FIRST_MS.begun;
    const showSoon = () => (waiting ??= setTimeout(show, patience));
    void asked;
    fault = '';
    const asWanted = way;
    askJudges((judge, send, share) =>
      judge.candidates(send(asOfToday(project)), pocket, asWanted, share, proxy(take))
    )
      .then(() => {
        // Parts come by another way than the answer, and the last of them may come after it.
        if (!stale && judged.length < wanted) showSoon();
      })
      .catch((error: unknown) => {
        if (!isCancelled(error)) fault = error instanceof Error ? error.message : String(error);
      });
    return () => {
      stale = true;
      clearTimeout(waiting);
      void askJudges((judge) => judge.leavePocket()).catch(() => undefined);
    };
  });

  const chosen = $derived(candidates?.find((candidate) => candidate.gear.id === chosenId));
  /** A part that is looked at, with what it is compared to. */
  const looked = $derived(
    satchel.asJudged && satchel.judgement
      ? { project: satchel.asJudged, judgement: satchel.judgement, chosen }
      : undefined
  );
  const replacedNameOf = ({ replaces }: Candidate) => {
    const line = satchel.plan?.lines.find((line) => line.id === replaces);
    const gear = line && satchel.shelf.byId.get(line.gearId);
    return gear && fullName(gear);
  };

  const onShelf = $derived(satchel.shelf.items.filter((gear) => pocketOf(gear) === data.pocket));

  const sceneNameOf = (sceneId: string) =>
    satchel.project?.scenes.find(({ id }) => id === sceneId)?.name;

  function take(candidate: Candidate) {
    void proposals.choose(judgedFor, candidate, way);
  }

  function pin(id: string) {
    pinnedIds = pinnedIds.includes(id)
      ? pinnedIds.filter((other) => other !== id)
      : [...pinnedIds, id].slice(-3);
  }
</script>

<svelte:head><title>{data.pocket} pocket · Hearty Satchel</title></svelte:head>
<svelte:window
  onkeydown={(event) => {
    if (event.key === 'Escape' && !document.querySelector('.bx--modal.is-visible'))
      void goto('/satchel');
  }}
/>
<h1 class="unseen">{data.pocket} pocket</h1>
{#if looked && satchel.project && satchel.judgement}
  <p class="back"><a href="/satchel">← the satchel</a></p>
  <div class="bench">
    <div>
      {#if fault}<p role="alert" class="card fault">
          The parts could not be judged: {fault}.
          <button class="word" onclick={() => (asked += 1)}>Try again</button>
        </p>{/if}
      <Guarded what="The pocket"
        ><Chooser
          pocket={data.pocket}
          project={satchel.project}
          judgement={satchel.judgement}
          {candidates}
          {onShelf}
          {chosenId}
          {pinnedIds}
          {way}
          onway={(wanted) => (way = wanted)}
          onchoose={(id) => (chosenId = id)}
          onpin={pin}
          ontake={take}
          onact={(act) => satchel.act(act)}
        /></Guarded
      >
    </div>
    <div class="beside">
      <aside class="then" aria-label="If you add it">
        <Guarded what="What the part would change"
          ><InTurn value={looked}
            >{#snippet children({ project, judgement, chosen })}<IfTaken
                {project}
                {judgement}
                candidate={chosen}
                pinned={chosen !== undefined && pinnedIds.includes(chosen.gear.id)}
                currency={project.currency}
                replacedName={chosen && replacedNameOf(chosen)}
                sceneName={way.how === 'use in scene' ? sceneNameOf(way.sceneId) : undefined}
                ontake={() => chosen && take(chosen)}
                onpin={() => chosen && pin(chosen.gear.id)}
              />{/snippet}</InTurn
          ></Guarded
        >
      </aside>
      <AfterPaint>
        {#if data.pocket === 'power' || data.pocket === 'storage'}
          <Guarded what="The supplies of a day"
            ><DaySupplies
              rigs={satchel.judgement.angles.map(({ rig }) => rig)}
              of={data.pocket === 'power' ? 'energy' : 'cards'}
            /></Guarded
          >
        {/if}
        {#if data.pocket === 'light'}
          <Guarded what="The lamps of each scene"
            ><Lazy load={() => import('$lib/ui/lamps/LampsOfScenes.svelte')}
              >{#snippet children(LampsOfScenes)}<LampsOfScenes
                  judgement={satchel.judgement!}
                  onact={(act) => void satchel.act(act)}
                />{/snippet}</Lazy
            ></Guarded
          >
        {/if}
        <aside class="scenes" aria-label="Scenes">
          <Guarded what="The list of scenes"
            ><InTurn value={looked}
              >{#snippet children({ project, judgement, chosen })}<SceneRail
                  scenes={project.scenes}
                  merits={judgement.merit.scenes}
                  then={chosen && !chosen.packed ? chosen.merit.scenes : undefined}
                  chosen={satchel.sceneId}
                  units={project.units}
                  onchoose={(id) => (satchel.sceneId = id)}
                />{/snippet}</InTurn
            ></Guarded
          >
        </aside>
      </AfterPaint>
    </div>
  </div>
{/if}

<style>
  .bench {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(15rem, 18rem);
    gap: 1rem;
    align-items: start;
  }

  .beside {
    display: grid;
    gap: 1rem;
  }

  .back {
    margin-bottom: 0.5rem;
    font-size: 0.8125rem;
    font-weight: 600;
  }

  .fault {
    margin-bottom: 0.6rem;
    padding: 0.7rem;
  }

  @media (max-width: 1080px) {
    .bench {
      grid-template-columns: minmax(0, 1fr);
    }

    .scenes :global(.rail) {
      grid-template-columns: repeat(auto-fit, minmax(12rem, 1fr));
    }
  }
</style>
