<script lang="ts">
  import { Button, InlineLoading } from 'carbon-components-svelte';
  import type { Plan } from '../../core/model/plan';
  import type { Project } from '../../core/model/project';
  import type { Shelf } from '../../core/model/shelf';
  import { formatMoney } from '../../core/money/format';
  import { changesBetween, scenesChosenAnew } from '../../core/pack/kit-changes';
  import type { MendedKit, Mending } from '../../core/pack/mend';
  import type { PackedKit } from '../../core/pack/packed-kit';
  import { countWords } from './kits-judged';
  import { points } from './kit-words';

  /** The smallest change that unblocks all that must be filmed, and what a little less or more money would do. */
  interface Props {
    project: Project;
    plan: Plan;
    shelf: Shelf;
    firmMinor: number;
    mending: Mending | undefined;
    running: boolean;
    /** The kits nothing found beats, for what less or more money brings. */
    front: readonly PackedKit[];
    onlook: () => void;
    onpack: (kit: PackedKit) => void;
    onshow: (kit: PackedKit) => void;
  }
  const {
    project,
    plan,
    shelf,
    firmMinor,
    mending,
    running,
    front,
    onlook,
    onpack,
    onshow
  }: Props = $props();

  const say = (minor: number) => formatMoney(minor, project.currency, { short: true });
  function words(kit: MendedKit): string {
    const { comesIn, goesOut } = changesBetween(plan.lines, kit.lines, shelf);
    const list = (parts: typeof comesIn) =>
      parts.map(({ gear, pieces }) => (pieces > 1 ? `${pieces} × ${gear.model}` : gear.model));
    const anew = scenesChosenAnew(plan, kit).map(
      (id) => project.scenes.find((scene) => scene.id === id)?.name ?? id
    );
    return [
      anew.length > 0 ? `the best of the kit in ${anew.join(', ')}` : '',
      comesIn.length > 0 ? `in: ${list(comesIn).join(', ')}` : '',
      goesOut.length > 0 ? `out: ${list(goesOut).join(', ')}` : ''
    ]
      .filter(Boolean)
      .join('; ');
  }
  const priceWords = ({ priceMinor }: PackedKit) =>
    priceMinor > firmMinor
      ? `${say(priceMinor - firmMinor)} more`
      : priceMinor < firmMinor
        ? `${say(firmMinor - priceMinor)} less`
        : 'for the same money';
  const ways = $derived.by(() => {
    if (!mending) return [];
    const { fewestLines, leastMoney } = mending;
    return [
      ...(fewestLines ? [{ name: 'by fewest lines', kit: fewestLines }] : []),
      ...(leastMoney && leastMoney !== fewestLines
        ? [{ name: 'by least money', kit: leastMoney }]
        : [])
    ];
  });
  /** A round amount that is felt: a sixth of the budget, in whole tens. */
  const step = $derived(Math.max(1000, Math.round(project.limitMinor / 6 / 1000) * 1000));
  const bestFor = (mostMinor: number) =>
    front.filter(({ priceMinor }) => priceMinor <= mostMinor).at(-1);
  const asides = $derived(
    [
      { name: `for ${say(step)} less than now`, kit: bestFor(firmMinor - step) },
      { name: 'for what it costs now', kit: bestFor(firmMinor) },
      { name: `for ${say(step)} more than now`, kit: bestFor(firmMinor + step) }
    ].filter((mended): mended is { name: string; kit: PackedKit } => mended.kit !== undefined)
  );
</script>

<section class="card" aria-label="Mend this plan">
  <h2>Mend {plan.name}</h2>
  {#if !mending}
    <p class="soft">
      The fewest lines, or the least money, that unblock every scene that must work. What is locked,
      paid or owned stays.
    </p>
  {:else if mending.isWhole}
    <p>Every scene that must work does.</p>
  {:else}
    <ul>
      {#each ways as { name, kit } (name)}
        <li>
          <b>{name}: {kit.changed} {kit.changed === 1 ? 'line' : 'lines'}, {priceWords(kit)}</b>
          <span class="soft">{words(kit)}</span>
          <Button size="small" kind="tertiary" on:click={() => onpack(kit)}
            >Make {kit.changed === 1 ? 'this change' : 'these changes'}<span class="unseen">
              {name}</span
            ></Button
          >
        </li>
      {/each}
    </ul>
    {#if ways.length === 0 && mending.isDone}
      <p>
        Nothing found within five changes unblocks all of it. The nearest films {mending.nearest
          .merit.mustDoWorking} of {mending.nearest.merit.mustDoScenes}: {words(mending.nearest) ||
          'the plan as it is'}.
      </p>
    {/if}
    {#if mending.isDone}<p class="soft figures">
        The best of {countWords(mending.judged)} kits looked at.
      </p>{/if}
  {/if}
  {#if running}<InlineLoading description="looking, {countWords(mending?.judged)} kits judged" />
  {:else if !mending}<Button size="small" kind="tertiary" on:click={onlook}>Look for it</Button
    >{/if}
  {#if asides.length > 0}
    <h3>Less or more money</h3>
    <ul>
      {#each asides as { name, kit } (name)}
        <li>
          <button class="text-button" onclick={() => onshow(kit)}
            >{name}: {kit.merit.mustDoWorking === kit.merit.mustDoScenes
              ? `worth ${points(kit.merit.meritHundredths)}`
              : `films ${kit.merit.mustDoWorking} of ${kit.merit.mustDoScenes}`}</button
          >
        </li>
      {/each}
    </ul>
  {/if}
</section>

<style>
  .card {
    padding: 0.8rem 1rem;
    overflow-wrap: anywhere;
  }

  h3 {
    margin-top: 0.5rem;
    font-size: 0.85rem;
  }

  ul {
    display: grid;
    gap: 0.5rem;
    margin: 0.3rem 0;
    padding: 0;
    list-style: none;
  }

  li {
    display: grid;
    gap: 0.2rem;
    justify-items: start;
    font-size: 0.8125rem;
  }
</style>
