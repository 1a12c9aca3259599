<script lang="ts">
  import { Button, InlineLoading } from 'carbon-components-svelte';
  import { statementOf } from '$lib/core/money/statement';
  import { bestAgainstBound } from '$lib/core/pack/bound/best-against-bound';
  import { belowAll, frontSteps, spendableOf } from '$lib/core/pack/front-steps';
  import type { Project } from '$lib/core/model/project';
  import { actsToKit } from '$lib/core/pack/kit-changes';
  import { filmsAll, type PackedKit } from '$lib/core/pack/packed-kit';
  import type { PackRules } from '$lib/core/pack/pack-rules';
  import { dayHere } from '$lib/state/as-of-today';
  import { PackSearch } from '$lib/state/pack-search.svelte';
  import { satchel } from '$lib/state/project-store.svelte';
  import { countWords } from '$lib/ui/pack/kits-judged';
  import FrontChart from '$lib/ui/pack/FrontChart.svelte';
  import FrontList from '$lib/ui/pack/FrontList.svelte';
  import KitAgainstPlan from '$lib/ui/pack/KitAgainstPlan.svelte';
  import NothingFilmsAll from '$lib/ui/pack/NothingFilmsAll.svelte';
  import UnlikeKits from '$lib/ui/pack/UnlikeKits.svelte';
  import WaysToChoose from '$lib/ui/pack/WaysToChoose.svelte';
  import WhyThisKit from '$lib/ui/pack/WhyThisKit.svelte';
  import Ladder from '$lib/ui/pack/Ladder.svelte';
  import MendCard from '$lib/ui/pack/MendCard.svelte';
  import Proof from '$lib/ui/pack/Proof.svelte';
  import RulesOfPacking from '$lib/ui/pack/RulesOfPacking.svelte';
  import Guarded from '$lib/ui/shell/Guarded.svelte';

  /** The best kits for every spend, the one chosen beside the plan, how it is bought in goes, and mending. */
  const search = new PackSearch();
  const today = dayHere(new Date());
  /** What the search was begun for: asked again when any of it changes but the plan's own lines. */
  let begunFor = '';
  /** The kit a person looks at; until they choose, the good enough one, else the best for the budget. */
  let chosen = $state.raw<PackedKit | undefined>(undefined);

  const project = $derived(satchel.project);
  const front = $derived(search.progress?.front ?? []);
  const steps = $derived(project ? frontSteps(project, satchel.shelf, front) : []);
  const below = $derived(belowAll(front));
  const best = $derived(steps.find(({ isBestForBudget }) => isBestForBudget));
  const goodEnough = $derived(steps.find(({ isGoodEnough }) => isGoodEnough));
  const kit = $derived<PackedKit | undefined>(
    chosen ??
      (goodEnough && project && goodEnough.priceMinor <= spendableOf(project)
        ? goodEnough
        : best) ??
      steps[0] ??
      front.at(-1)
  );
  const stepIndex = $derived(steps.findIndex(({ priceMinor }) => priceMinor === kit?.priceMinor));
  const plan = $derived(
    satchel.judgement && {
      name: satchel.plan!.name,
      priceMinor: satchel.judgement.money.firmMinor,
      hundredths: satchel.judgement.merit.onceSettledHundredths,
      works: filmsAll(satchel.judgement.merit) && satchel.judgement.merit.stops === 0
    }
  );
  const money = $derived(
    project &&
      kit &&
      statementOf(project, { ...satchel.plan!, lines: kit.lines, rigs: kit.rigs }, satchel.shelf)
  );
  const unlike = $derived(search.progress?.unlike ?? []);
  const makers = $derived([...new Set(satchel.shelf.items.map(({ maker }) => maker))].sort());
  /** What no kit within the budget films, by scene. */
  const unfilmed = $derived.by(() => {
    if (!project || best || !search.progress) return [];
    const within = front.filter(({ priceMinor }) => priceMinor <= spendableOf(project)).at(-1);
    return project.scenes.flatMap(({ name, mustDo }, index) =>
      mustDo && !within?.merit.scenes[index]?.works ? name : []
    );
  });

  /** What of a project kits are packed by; another of these, and the search begins anew. */
  const packedBy = [
    'id',
    'currency',
    'scenes',
    'limitMinor',
    'reserveMinor',
    'pocketLimitsMinor',
    'itemLimitMinor',
    'carriedLimitKg',
    'setUpLimitMin',
    'switchLimit',
    'school',
    'ownWeights',
    'mainsHz',
    'rules'
  ] as const satisfies readonly (keyof Project)[];
  $effect(() => {
    if (!project || !satchel.judgement) return;
    const about = JSON.stringify([packedBy.map((field) => project[field]), search.rules]);
    if (about === begunFor) return;
    begunFor = about;
    chosen = undefined;
    search.mending = undefined;
    void search.search(project);
  });
  $effect(() => () => search.stop());

  /** What is said of a kit is asked for once the search has settled, or when a person chooses another. */
  let saidOf = '';
  $effect(() => {
    if (!project || !kit || search.running) return;
    const about = `${kit.priceMinor} ${kit.merit.meritHundredths} ${JSON.stringify([project.inHandMinor, project.savedPerMonthMinor, project.incomes])} ${begunFor}`;
    if (about === saidOf) return;
    saidOf = about;
    search.lookAtNothing();
    void search.look(project, kit, today);
  });

  function setRules(rules: PackRules) {
    search.rules = rules;
  }
  function packIt(wanted: PackedKit | undefined) {
    const act = wanted && satchel.plan && actsToKit(satchel.plan, wanted);
    if (!act) return;
    search.mending = undefined;
    void satchel.act(act);
  }
  const isDone = $derived(search.progress?.isDone === true);
  /** Nothing within the budget films all of it, as far as was looked. */
  const isStuck = $derived(!best && search.progress !== undefined && (isDone || search.stopped));
  $effect(() => {
    if (project && isStuck && !search.running && !search.waysOut && project.scenes.length > 0)
      void search.lookForWaysOut(project);
  });
  const against = $derived(
    project && search.progress && bestAgainstBound(project, search.progress)
  );
</script>

<svelte:head><title>Pack for me · Hearty Satchel</title></svelte:head>
<h1 class="unseen">Pack for me</h1>
{#if project && satchel.plan && satchel.judgement && plan}
  <div class="bench">
    <section class="bag" aria-label="Pack for me">
      <header>
        <a href="/satchel">← open bag</a>
        <h2>Pack for me</h2>
        <span>each dot is a whole kit that nothing found beats at its price</span>
      </header>
      {#if search.failure}<p class="sheet fault" role="alert">
          The search broke off: {search.failure}
          <button
            class="text-button"
            onclick={() => {
              begunFor = '';
              void search.search(project);
            }}>Try again</button
          >
        </p>{/if}
      <div class="sheet">
        {#if steps.length > 0}
          <Guarded what="The chart"
            ><FrontChart
              {project}
              {steps}
              {below}
              mustDoScenes={satchel.judgement.merit.mustDoScenes}
              chosen={stepIndex}
              {plan}
              bound={search.progress?.bound ?? []}
              onchoose={(to) => (chosen = steps[to])}
            /></Guarded
          >
          <FrontList {project} {steps} chosen={stepIndex} onchoose={(to) => (chosen = steps[to])} />
        {:else if search.running}
          <p class="wait">
            <InlineLoading
              description="trying kits, {countWords(search.progress?.judged)} judged"
            />
          </p>
        {/if}
        {#if isStuck}
          <NothingFilmsAll
            {project}
            {unfilmed}
            cheapest={steps[0]}
            waysOut={search.waysOut}
            onrules={setRules}
            onact={(act) => void satchel.act(act)}
          />
        {/if}
      </div>
      {#if kit && money}
        <Guarded what="The kit"
          ><KitAgainstPlan
            {project}
            plan={satchel.plan}
            planMerit={satchel.judgement.merit}
            shelf={satchel.shelf}
            {kit}
            {money}
            isLocked={(pocket) => search.rules.lockedPockets.includes(pocket)}
            onpack={() => packIt(kit)}
          /></Guarded
        >
      {/if}
      {#if search.ladder.length > 0}
        <Guarded what="The ladder"
          ><Ladder {project} shelf={satchel.shelf} rungs={search.ladder} {today} /></Guarded
        >
      {/if}
    </section>
    <aside>
      <RulesOfPacking rules={search.rules} {makers} onset={setRules} />
      <section class="card" aria-label="How far the search is" role="status">
        {#if search.running}
          <InlineLoading
            description={search.progress?.waiting === 0
              ? `${countWords(search.progress.judged)} kits judged; working out how good any kit can be`
              : `${countWords(search.progress?.judged)} kits judged, ${countWords(search.progress?.waiting)} still to look round from`}
          />
          <Button size="small" kind="tertiary" on:click={() => search.stop()}>Stop</Button>
        {:else if search.progress}
          <p>
            <b class="figures">{countWords(search.progress.judged)}</b> kits judged in {search.seconds.toFixed(
              1
            )} s. {isDone
              ? 'The search came to its end: nothing it tried betters these.'
              : 'Stopped: there may be better ones.'}
          </p>
          <Proof {project} {against} isTooLarge={isDone && !search.progress.bound} />
          {#if !isDone}<Button
              size="small"
              kind="tertiary"
              on:click={() => void search.search(project)}>Search again</Button
            >{/if}
        {/if}
      </section>
      <WaysToChoose {project} {steps} onchoose={(packed) => (chosen = packed)} />
      {#if unlike.length > 0}<UnlikeKits
          {unlike}
          shelf={satchel.shelf}
          currency={project.currency}
          onchoose={(packed) => (chosen = packed)}
        />{/if}
      {#if search.runnersUp.length > 0 && money}<WhyThisKit
          runnersUp={search.runnersUp}
          firmMinor={money.firmMinor}
          currency={project.currency}
        />{/if}
      <Guarded what="Mending"
        ><MendCard
          {project}
          plan={satchel.plan}
          shelf={satchel.shelf}
          firmMinor={plan.priceMinor}
          mending={search.mending}
          running={search.mendRunning}
          {front}
          onlook={() => void search.mend(project)}
          onpack={packIt}
          onshow={(packed) => (chosen = packed)}
        /></Guarded
      >
    </aside>
  </div>
{/if}

<style>
  .bench {
    display: grid;
    grid-template-columns: minmax(0, 2.7fr) minmax(17rem, 1fr);
    gap: 0.9rem;
    align-items: start;
    overflow-wrap: anywhere;
  }

  .bag {
    min-width: 0;
    padding: 0.7rem 0.8rem 0.9rem;
    border-radius: 22px;
    background: radial-gradient(
      120% 80% at 50% 0%,
      color-mix(in srgb, var(--hide) 82%, white) 0%,
      var(--hide) 55%,
      var(--hide-deep) 130%
    );
    color: var(--hide-ink);
    box-shadow: 0 8px 24px var(--shade);
  }

  .bag > header {
    display: flex;
    flex-wrap: wrap;
    gap: 0.3rem 1rem;
    align-items: baseline;
    padding: 0 0.3rem 0.5rem;
    font-size: 0.8125rem;
  }

  .bag > header a,
  .bag > header h2 {
    color: var(--hide-ink);
  }

  .sheet {
    padding: 0.3rem;
    border-radius: 16px;
    background: var(--linen);
    color: var(--ink);
  }

  .fault,
  .wait {
    padding: 0.8rem 1rem;
    margin-bottom: 0.5rem;
  }

  .fault {
    color: var(--brick);
  }

  aside {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    gap: 0.9rem;
  }

  .card {
    padding: 0.8rem 1rem;
    font-size: 0.8125rem;
  }

  @media (max-width: 1000px) {
    .bench {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
