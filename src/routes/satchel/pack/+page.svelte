<script lang="ts">
  import { Button, InlineLoading } from 'carbon-components-svelte';
  import { statementOf } from '$lib/core/money/statement';
  import { formatMoney } from '$lib/core/money/format';
  import { belowAll, costOfPoint, frontSteps, spendableOf } from '$lib/core/pack/front-steps';
  import { actsToKit, changesBetween } from '$lib/core/pack/kit-changes';
  import { filmsAll, type PackedKit } from '$lib/core/pack/packed-kit';
  import type { PackRules } from '$lib/core/pack/pack-rules';
  import { dayHere } from '$lib/state/as-of-today';
  import { PackSearch } from '$lib/state/pack-search.svelte';
  import { satchel } from '$lib/state/project-store.svelte';
  import FrontChart from '$lib/ui/pack/FrontChart.svelte';
  import FrontList from '$lib/ui/pack/FrontList.svelte';
  import KitAgainstPlan from '$lib/ui/pack/KitAgainstPlan.svelte';
  import { points } from '$lib/ui/pack/kit-words';
  import type { RunnerUp } from '$lib/core/pack/runners-up';
  import Ladder from '$lib/ui/pack/Ladder.svelte';
  import MendCard from '$lib/ui/pack/MendCard.svelte';
  import RulesOfPacking from '$lib/ui/pack/RulesOfPacking.svelte';
  import Guarded from '$lib/ui/shell/Guarded.svelte';

  /** The best kits for every spend, the one chosen beside the plan, how it is bought in goes, and mending. */
  const search = new PackSearch();
  const today = dayHere(new Date());
  /** What the search was begun for: asked again when any of it changes but the plan's own lines. */
  let begunFor = '';
  /** The kit a person looks at; until they choose, the good enough one, else the best for the budget. */
  let chosen = $state.raw<PackedKit | undefined>(undefined);
  let worthWanted = $state(70);

  const project = $derived(satchel.project);
  const say = (minor: number) => formatMoney(minor, project?.currency ?? 'GBP', { short: true });
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
  const at = $derived(steps.findIndex(({ priceMinor }) => priceMinor === kit?.priceMinor));
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
  const cheapestWorth = $derived(
    steps.find(({ merit }) => merit.meritHundredths >= worthWanted * 100)
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

  $effect(() => {
    if (!project || !satchel.judgement) return;
    const { scenes, limitMinor, reserveMinor, pocketLimitsMinor, school, rules } = project;
    const about = JSON.stringify([
      project.id,
      scenes,
      limitMinor,
      reserveMinor,
      pocketLimitsMinor,
      school,
      rules,
      search.rules
    ]);
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
  const MOST_NAMED = 3;
  const unlikeWords = (one: PackedKit) => {
    const from = unlike[0];
    if (!from || one === from) return 'the best found for the budget';
    const { comesIn } = changesBetween(from.lines, one.lines, satchel.shelf);
    return `with ${[...comesIn]
      .sort((a, b) => (b.gear.priceNew?.likely ?? 0) - (a.gear.priceNew?.likely ?? 0))
      .slice(0, MOST_NAMED)
      .map(({ gear }) => gear.model)
      .join(', ')}`;
  };
  /** What the next best part of a pocket would lose, or save. */
  function lossWords(one: RunnerUp): string {
    const dearer = one.priceMinor - (money?.firmMinor ?? one.priceMinor);
    return [
      one.loses
        ? `stops ${one.loses}`
        : one.most
          ? `${one.most.axis} in ${one.most.scene} −${one.most.points.toFixed(0)}`
          : '',
      dearer > 0 ? `${say(dearer)} dearer` : dearer < 0 ? `${say(-dearer)} cheaper` : ''
    ]
      .filter(Boolean)
      .join(', ');
  }
  const pointWords = (hundredths: number) => {
    const tenths = Math.round(hundredths / 10);
    return tenths === 0 ? '0' : `${tenths > 0 ? '+' : '−'}${(Math.abs(tenths) / 10).toFixed(1)}`;
  };
  const isDone = $derived(search.progress?.isDone === true);
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
              chosen={at}
              {plan}
              onchoose={(to) => (chosen = steps[to])}
            /></Guarded
          >
          <FrontList {project} {steps} chosen={at} onchoose={(to) => (chosen = steps[to])} />
        {:else if search.running}
          <p class="wait">
            <InlineLoading description="trying kits, {search.progress?.judged ?? 0} judged" />
          </p>
        {/if}
        {#if !best && search.progress && (isDone || search.stopped)}
          <div class="cannot" role="status">
            <h3>
              {project.scenes.length === 0
                ? 'Nothing is to be filmed yet'
                : `Nothing found for ${say(spendableOf(project))} films all of it`}
            </h3>
            {#if unfilmed.length > 0}<p>What is missing: {unfilmed.join(', ')}.</p>{/if}
            <ul>
              {#if steps[0]}
                {@const needed = steps[0].priceMinor + project.reserveMinor}
                <li>
                  The cheapest kit found that does costs {say(steps[0].priceMinor)}.
                  <Button
                    size="small"
                    kind="tertiary"
                    on:click={() =>
                      void satchel.act({
                        type: 'set project',
                        patch: { limitMinor: Math.ceil(needed / 1000) * 1000 }
                      })}>Raise the limit to {say(Math.ceil(needed / 1000) * 1000)}</Button
                  >
                </li>
              {/if}
              {#if project.reserveMinor > 0}<li>
                  {say(project.reserveMinor)} are set aside.
                  <Button
                    size="small"
                    kind="tertiary"
                    on:click={() =>
                      void satchel.act({ type: 'set project', patch: { reserveMinor: 0 } })}
                    >Set nothing aside</Button
                  >
                </li>{/if}
              {#if search.rules.lockedPockets.length > 0}<li>
                  {search.rules.lockedPockets.join(', ')} stay as they are.
                  <Button
                    size="small"
                    kind="tertiary"
                    on:click={() => setRules({ ...search.rules, lockedPockets: [] })}
                    >Unlock them</Button
                  >
                </li>{/if}
              {#if search.rules.used !== 'where cheaper'}<li>
                  Parts are taken {search.rules.used ?? 'by your rules'}.
                  <Button
                    size="small"
                    kind="tertiary"
                    on:click={() => setRules({ ...search.rules, used: 'where cheaper' })}
                    >Buy used where it is cheaper</Button
                  >
                </li>{/if}
              {#each project.scenes.filter(({ mustDo, name }) => mustDo && unfilmed.includes(name)) as scene (scene.id)}
                <li>
                  {scene.name} must work.
                  <Button
                    size="small"
                    kind="tertiary"
                    on:click={() =>
                      void satchel.act({
                        type: 'change scene',
                        sceneId: scene.id,
                        patch: { mustDo: false }
                      })}>Make {scene.name} one that need not</Button
                  >
                </li>
              {/each}
            </ul>
          </div>
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
            description="{search.progress?.judged ?? 0} kits judged, {search.progress?.waiting ??
              0} still to look round from"
          />
          <Button size="small" kind="tertiary" on:click={() => search.stop()}>Stop</Button>
        {:else if search.progress}
          <p>
            <b class="figures">{search.progress.judged.toLocaleString('en')}</b> kits judged in {search.seconds.toFixed(
              1
            )} s. {isDone
              ? 'No single change, with what joins it, betters any of these.'
              : 'Stopped: there may be better ones.'}
          </p>
          <p class="soft">The best found, not proven best.</p>
          {#if !isDone}<Button
              size="small"
              kind="tertiary"
              on:click={() => void search.search(project)}>Search again</Button
            >{/if}
        {/if}
      </section>
      <section class="card" aria-label="Three ways to choose">
        <ul>
          {#if best}<li>
              <button onclick={() => (chosen = best)}
                >best for {say(spendableOf(project))}:
                <b class="figures"
                  >{say(best.priceMinor)}, worth {points(best.merit.meritHundredths)}</b
                ></button
              >
            </li>{/if}
          {#if goodEnough}<li>
              <button onclick={() => (chosen = goodEnough)}
                >good enough: <b class="figures"
                  >{say(goodEnough.priceMinor)}, worth {points(goodEnough.merit.meritHundredths)}</b
                ></button
              >
              <span class="soft">past it no {say(costOfPoint(project))} more brings a point</span>
            </li>{/if}
          <li>
            <label
              >cheapest worth <input
                type="number"
                min="0"
                max="100"
                bind:value={worthWanted}
              /></label
            >
            {#if cheapestWorth}<button onclick={() => (chosen = cheapestWorth)}
                ><b class="figures"
                  >{say(cheapestWorth.priceMinor)}, worth {points(
                    cheapestWorth.merit.meritHundredths
                  )}</b
                ></button
              >{:else}<span class="soft">none found</span>{/if}
          </li>
        </ul>
      </section>
      {#if unlike.length > 0}
        <section class="card" aria-label="Good kits that differ">
          <h2>Good kits that differ</h2>
          <ul>
            {#each unlike as one, index (index)}
              <li>
                <button onclick={() => (chosen = one)}
                  ><b class="figures">{say(one.priceMinor)} · {points(one.merit.meritHundredths)}</b
                  >
                  {unlikeWords(one)}</button
                >
              </li>
            {/each}
          </ul>
        </section>
      {/if}
      {#if search.runnersUp.length > 0}
        <section class="card" aria-label="Why this kit">
          <h2>Why this kit</h2>
          <p class="soft">The next best in each pocket, and what the kit loses by it.</p>
          <ul class="why">
            {#each search.runnersUp as one (one.pocket)}
              <li style:--colour="var(--pocket-{one.pocket})">
                <span>{one.gear.model} <span class="soft">for {one.replaces.model}</span></span>
                <b class="figures" class:better={one.gainHundredths > 0}
                  >{pointWords(one.gainHundredths)}</b
                >
                <span class="soft">{lossWords(one)}</span>
              </li>
            {/each}
          </ul>
        </section>
      {/if}
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
          onshow={(one) => (chosen = one)}
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

  h2 {
    font-size: 1.05rem;
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

  .cannot {
    padding: 0.6rem 0.9rem;
  }

  .cannot h3 {
    color: var(--brick);
    font-size: 1rem;
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

  ul {
    display: grid;
    gap: 0.4rem;
    margin: 0.2rem 0;
    padding: 0;
    list-style: none;
  }

  .soft {
    color: var(--ink-soft);
    font-size: 0.75rem;
  }

  button {
    min-height: 1.5rem;
    padding: 0;
    border: 0;
    background: none;
    color: var(--moss);
    text-align: left;
    text-decoration: underline;
    cursor: pointer;
  }

  input {
    width: 3.6rem;
    min-height: 1.8rem;
    border: 1px solid var(--tan-line);
    border-radius: 6px;
    background: var(--paper);
    color: var(--ink);
  }

  .why li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 0 0.5rem;
    padding-left: 0.5rem;
    border-left: 4px solid var(--colour);
  }

  .better {
    color: var(--moss);
  }

  @media (max-width: 1000px) {
    .bench {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
