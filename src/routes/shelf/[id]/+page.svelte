<script lang="ts">
  import { conversionWords } from '$lib/core/money/priced-shelf';
  import { heatTimesDisagree } from '$lib/core/figures/heat-rows';
  import { cautionsOfPart } from '$lib/core/judge/cautions';
  import { Button } from 'carbon-components-svelte';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { partsOfScene } from '$lib/core/figures/handling-rows';
  import { newLine } from '$lib/core/model/new-line';
  import { fullName, gearKinds, pocketOf } from '$lib/core/model/gear';
  import type { Price } from '$lib/core/model/gear/price';
  import type { PriceBasis } from '$lib/core/model/plan';
  import { priceHistory } from '$lib/core/money/price-history';
  import PriceLine from '$lib/ui/ledger/PriceLine.svelte';
  import { formatMoney } from '$lib/core/money/format';
  import { catalogue } from '$lib/catalogue/load-catalogue';
  import { ageWords, boughtDays, monthsSince } from '$lib/core/ledger/owned-age';
  import { dayHere } from '$lib/state/as-of-today';
  import { ownedThings } from '$lib/state/inventory.svelte';
  import { satchel } from '$lib/state/project-store.svelte';
  import { partGist } from '$lib/ui/chooser/candidate-words';
  import ScaleDrawing from '$lib/ui/shelf/ScaleDrawing.svelte';
  import { sheetLines, sheetQuestions } from '$lib/ui/shelf/figure-text';
  import { dayWords } from '$lib/ui/shell/day-words';

  const gear = $derived(satchel.shelf.byId.get(page.params.id ?? ''));
  const isOwn = $derived(satchel.project?.ownGear.some((own) => own.id === gear?.id) ?? false);
  /** What the shelf says of a part that somebody has corrected: the claim beside what was measured. */
  const claimed = $derived.by(() => {
    const stated = isOwn && gear ? catalogue.byId.get(gear.id) : undefined;
    return new Map(
      stated
        ? sheetLines(stated, satchel.project?.units ?? 'metric').map(({ key, text }) => [key, text])
        : []
    );
  });
  const boughtOn = $derived(gear && boughtDays(ownedThings.pieces).get(gear.id));
  const lines = $derived(gear ? sheetLines(gear, satchel.project?.units ?? 'metric') : []);
  const cautions = $derived(gear ? cautionsOfPart(gear) : []);
  const questions = $derived(gear ? sheetQuestions(gear, lines) : []);
  const usedIn = $derived(
    satchel.project?.plans
      .filter((plan) => plan.lines.some((line) => line.gearId === gear?.id))
      .map((plan) => plan.name) ?? []
  );
  const scenes = $derived(
    satchel.judgement?.angles
      .filter(({ rig }) => partsOfScene(rig).some((part) => part.gear.id === gear?.id))
      .map(({ scene }) => scene.name) ?? []
  );

  $effect(() => {
    void ownedThings.open(false);
  });
  async function forget() {
    if (!gear) return;
    await satchel.act({ type: 'remove gear', gearId: gear.id });
    await goto('/shelf');
  }
</script>

{#snippet price(words: string, basis: PriceBasis, seen: Price | undefined)}
  <div>
    <dt>{words}</dt>
    <dd>
      {#if seen}
        <b class="figures">{formatMoney(seen.likely, seen.currency, { short: true })}</b>
        {#if seen.low !== undefined && seen.high !== undefined}<span class="soft figures"
            >between {formatMoney(seen.low, seen.currency, { short: true })} and {formatMoney(
              seen.high,
              seen.currency,
              { short: true }
            )}</span
          >{/if}
        <span class="soft">{seen.source}, {dayWords(seen.date)}</span>
        {#if conversionWords(seen)}<span class="soft figures">{conversionWords(seen)}</span>{/if}
      {:else}<span class="soft">not seen</span>{/if}
      {#if gear && satchel.project}
        {@const points = priceHistory(satchel.project, gear, basis)}
        {#if points.length > 1}<span
            ><PriceLine {points} currency={satchel.project.currency} wide={200} high={44} /></span
          ><span class="soft figures">{points.length} prices since {dayWords(points[0]!.date)}</span
          >{/if}
      {/if}
    </dd>
  </div>
{/snippet}

<svelte:head><title>{gear ? fullName(gear) : 'Shelf'} · Hearty Satchel</title></svelte:head>
<p class="back"><a href="/shelf">← the shelf</a></p>
{#if gear}
  <article class="sheet card" style:--colour="var(--pocket-{pocketOf(gear)})">
    <header>
      <div>
        <p class="kind">
          {gearKinds[gear.kind].name}, {pocketOf(gear)} pocket{isOwn ? ' · your own entry' : ''}
        </p>
        <h1>{fullName(gear)}</h1>
        <p class="soft">{partGist(gear, satchel.project?.units)}</p>
      </div>
      <div class="do">
        <Button
          size="small"
          on:click={() =>
            satchel.plan && satchel.act({ type: 'add line', line: newLine(satchel.plan, gear) })}
          >Add to kit</Button
        >
        <Button
          size="small"
          kind="tertiary"
          on:click={() =>
            satchel.plan &&
            satchel.act({
              type: 'add line',
              line: { ...newLine(satchel.plan, gear), state: 'owned' }
            })}>mark as owned</Button
        >
        <Button size="small" kind="tertiary" href="/shelf/edit?id={encodeURIComponent(gear.id)}"
          >{isOwn ? 'Change it' : 'Correct it'}</Button
        >
        <Button
          size="small"
          kind="tertiary"
          href="/shelf/edit?id={encodeURIComponent(gear.id)}&copy=yes">Copy it</Button
        >
        {#if isOwn}<Button size="small" kind="danger-tertiary" on:click={forget}
            >Forget my entry</Button
          >{/if}
      </div>
    </header>
    <div class="columns">
      <section>
        <h2>To scale</h2>
        <ScaleDrawing {gear} units={satchel.project?.units ?? 'metric'} />
        <h2>Prices seen</h2>
        <dl class="prices">
          {@render price('new', 'new', gear.priceNew)}{@render price(
            'used',
            'used',
            gear.priceUsed
          )}
        </dl>
        <h2>Where it is used</h2>
        <p>
          {usedIn.length === 0
            ? 'In no plan yet.'
            : `In ${usedIn.join(', ')}${scenes.length > 0 ? `; now for ${[...new Set(scenes)].join(', ')}` : ''}.`}
        </p>
        {#if boughtOn !== undefined}
          <p>
            Yours since {dayWords(boughtOn)}: {ageWords(monthsSince(boughtOn, dayHere(new Date())))} old.
          </p>
        {/if}
        {#if gear.ports.length > 0}
          <h2>Connections</h2>
          <ul class="ports">
            {#each gear.ports as port, index (index)}<li>
                {port.type}
                {port.end} <span class="soft">{port.family}, {port.role}</span>
              </li>{/each}
          </ul>
        {/if}
      </section>
      <section>
        <h2>What is stated</h2>
        <dl>
          {#each lines.filter((line) => line.text !== undefined) as line (line.key)}
            <div>
              <dt>{line.name}</dt>
              <dd class="figures">
                {line.text}
                {#if claimed.has(line.key) && claimed.get(line.key) !== line.text}<span class="soft"
                    >{claimed.get(line.key) === undefined
                      ? 'the shelf states nothing'
                      : `the shelf says ${claimed.get(line.key)}`}</span
                  >{/if}
              </dd>
            </div>
          {/each}
        </dl>
        {#if gear.kind === 'body' && gear.modes.length > 0}
          <h2>Recording modes</h2>
          <ul class="ports figures">
            {#each gear.modes as mode, index (index)}
              <li>
                {mode.pixelsAcross}×{mode.pixelsDown}, {mode.fps} frames, {mode.bitRateMbps} Mb/s{mode.crop &&
                mode.crop !== 1
                  ? `, crop ${mode.crop}×`
                  : ''}{mode.recordLimitMin
                  ? `, ${mode.recordLimitMin} min a clip`
                  : mode.noRecordLimit
                    ? ', no clip limit'
                    : ''}{mode.heatMinutesAt20C
                  ? `, overheats after ${mode.heatMinutesAt20C} min at 20 °C${mode.heatMinutesAt40C ? ` and ${mode.heatMinutesAt40C} min at 40 °C` : ''}${heatTimesDisagree(mode) ? ' (the two times do not go together; the one at 20 °C is used)' : ''}`
                  : ''}{mode.faceFocus === false ? ', loses the face' : ''}
              </li>
            {/each}
          </ul>
        {/if}
        {#if cautions.length > 0}
          <h2>Take care</h2>
          <ul class="ports">
            {#each cautions as { topic, text }, index (index)}<li><b>{topic}.</b> {text}</li>{/each}
          </ul>
        {/if}
        {#if questions.length > 0}
          <h2>Not stated</h2>
          <ul class="ports">
            {#each questions as question, index (index)}<li>{question}</li>{/each}
          </ul>
          <p class="soft">
            What is unknown is never taken for fine. Ask a seller, then correct the entry.
          </p>
        {/if}
      </section>
    </div>
  </article>
{:else}
  <div class="card none">
    <h1>Not on the shelf</h1>
    <p>There is no part of that name. It may have been forgotten, or belongs to another project.</p>
  </div>
{/if}

<style>
  .back {
    margin-bottom: 0.5rem;
    font-size: 0.8125rem;
    font-weight: 600;
  }

  .sheet {
    max-width: 66rem;
    margin: 0 auto;
    padding: 1.2rem 1.5rem 1.6rem;
    border-top: 6px solid var(--colour);
  }

  header {
    display: flex;
    flex-wrap: wrap;
    gap: 0.8rem;
    align-items: flex-start;
    justify-content: space-between;
  }

  h1 {
    font-size: 1.6rem;
  }

  h2 {
    margin: 1rem 0 0.35rem;
  }

  .kind,
  .soft {
    color: var(--ink-soft);
    font-weight: 400;
    font-size: 0.8125rem;
  }

  .do {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem;
  }

  .columns {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 2rem;
  }

  dl div {
    display: flex;
    gap: 1rem;
    justify-content: space-between;
    padding: 0.22rem 0;
    border-bottom: 1px dashed var(--line);
  }

  dt {
    color: var(--ink-soft);
  }

  dd {
    font-weight: 600;
    text-align: right;
  }

  .prices dd {
    display: grid;
    font-weight: 400;
  }

  .prices b {
    font-family: var(--display);
    font-size: 1.1rem;
  }

  .ports {
    padding-left: 1.1rem;
    list-style: disc;
  }

  .none {
    padding: 2rem;
  }

  @media (max-width: 760px) {
    .columns {
      grid-template-columns: 1fr;
      gap: 0;
    }

    .sheet {
      padding: 1rem;
    }
  }
</style>
