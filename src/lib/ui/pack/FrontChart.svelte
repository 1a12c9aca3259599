<script lang="ts">
  import { extent } from 'd3-array';
  import { scaleLinear } from 'd3-scale';
  import { curveStepAfter, curveStepBefore, area, line } from 'd3-shape';
  import type { Project } from '../../core/model/project';
  import { formatMoney } from '../../core/money/format';
  import type { BoundStep } from '../../core/pack/bound/kit-bound';
  import { type FrontStep, spendableOf } from '../../core/pack/front-steps';
  import { changeWords, points } from './kit-words';

  /** What every spend buys: each dot is a whole kit that nothing found beats at its price. */
  interface Props {
    project: Project;
    steps: readonly FrontStep[];
    /** Below the first step: from which spend on how many scenes work. */
    below: readonly { fromMinor: number; works: number }[];
    mustDoScenes: number;
    chosen: number;
    /** The plan as it is; hollow while something stops it. */
    plan: { priceMinor: number; hundredths: number; works: boolean; name: string };
    /** What no kit can be worth more than; none while it is not known. */
    bound: readonly BoundStep[];
    onchoose: (index: number) => void;
  }
  const { project, steps, below, mustDoScenes, chosen, plan, bound, onchoose }: Props = $props();

  /** Drawn at the size it is shown, so that a phone can read it. */
  const LEAST_WIDE = 300;
  let shownWide = $state(840);
  const wide = $derived(Math.max(LEAST_WIDE, shownWide));
  const HIGH = 262;
  const LEFT = 34;
  const BOTTOM = 24;
  const TOP = 18;
  const spendable = $derived(spendableOf(project));
  const say = (minor: number) => formatMoney(minor, project.currency, { short: true });
  const x = $derived.by(() => {
    const [least = 0, most = 1] = extent(
      [...steps.map(({ priceMinor }) => priceMinor), project.limitMinor, plan.priceMinor],
      (minor) => minor
    );
    return scaleLinear([Math.max(0, least * 0.82), most * 1.03], [LEFT, wide - 8]);
  });
  /** What is shown of the bound: from the first kit that films all to the right edge. */
  const ceiling = $derived.by((): Stair[] => {
    const [from = 0, to = 0] = [steps[0]?.priceMinor, x.domain()[1]];
    const within = bound.filter(({ upToMinor }) => upToMinor >= from);
    const first = within[0];
    if (!first) return [];
    return [
      { priceMinor: from, hundredths: first.hundredths },
      ...within.map(({ upToMinor, hundredths }) => ({
        priceMinor: Math.min(upToMinor, to),
        hundredths
      }))
    ];
  });
  const y = $derived.by(() => {
    const [least = 0, most = 1] = extent(
      [
        ...steps.map(({ merit }) => merit.meritHundredths),
        plan.hundredths,
        ...ceiling.map(({ hundredths }) => hundredths)
      ],
      (hundredths) => hundredths
    );
    return scaleLinear(
      [Math.max(0, least - 700), Math.min(10_000, most + 500)],
      [HIGH - BOTTOM, TOP]
    );
  });
  /** The stairs go on to the right edge: more money buys at least as much. */
  const stairs = $derived(
    steps.length === 0
      ? []
      : [
          ...steps.map(({ priceMinor, merit }) => ({
            priceMinor,
            hundredths: merit.meritHundredths
          })),
          {
            priceMinor: x.domain()[1]!,
            hundredths: steps.at(-1)!.merit.meritHundredths
          }
        ]
  );
  type Stair = { priceMinor: number; hundredths: number };
  const path = $derived(
    line<Stair>()
      .x(({ priceMinor }) => x(priceMinor))
      .y(({ hundredths }) => y(hundredths))
      .curve(curveStepAfter)(stairs) ?? ''
  );
  const roof = $derived(
    line<Stair>()
      .x(({ priceMinor }) => x(priceMinor))
      .y(({ hundredths }) => y(hundredths))
      .curve(curveStepBefore)(ceiling) ?? ''
  );
  const cloth = $derived(
    area<Stair>()
      .x(({ priceMinor }) => x(priceMinor))
      .y0(HIGH - BOTTOM)
      .y1(({ hundredths }) => y(hundredths))
      .curve(curveStepAfter)(stairs) ?? ''
  );
  /** Where the roof is named, at the right end of it. */
  const roofName = $derived(
    ceiling.length > 0
      ? {
          text: 'no kit can be worth more',
          top: y(ceiling.at(-1)!.hundredths) - 6,
          right: wide - 10
        }
      : undefined
  );
  /** Names that fit above each other and beside the roof’s; the first, the chosen and the marked ones come before the rest. */
  const labels = $derived.by(() => {
    const wanted = steps.map((step, index) => ({
      index,
      text:
        index === 0
          ? 'films all of it'
          : `${changeWords(step.changes!, project)}${step.isGoodEnough ? ' · good enough' : ''}`,
      rank:
        index === chosen ? 0 : step.isGoodEnough || step.isBestForBudget ? 1 : index === 0 ? 2 : 3
    }));
    const placed: { index: number; text: string; top: number; right: number }[] = [];
    const isClear = (text: string, top: number, right: number) =>
      [...placed, ...(roofName ? [roofName] : [])].every(
        (other) =>
          Math.abs(other.top - top) > 12 ||
          other.right < right - text.length * 5.6 ||
          right < other.right - other.text.length * 5.6
      );
    for (const label of [...wanted].sort((a, b) => a.rank - b.rank || a.index - b.index)) {
      const step = steps[label.index]!;
      const top = y(step.merit.meritHundredths) - 7;
      const right = x(step.priceMinor) - 8;
      if (isClear(label.text, top, right) && right - label.text.length * 5.6 > LEFT - 24)
        placed.push({ index: label.index, text: label.text, top, right });
    }
    return placed;
  });
  const first = $derived(steps[0]);
  const cannot = $derived(
    first
      ? `below ${say(first.priceMinor)} nothing found films all of it${
          below.length > 0 && mustDoScenes > 1
            ? `; ${Math.max(...below.map(({ works }) => works))} of ${mustDoScenes} at most`
            : ''
        }`
      : ''
  );
  const words = $derived(
    `${steps.length} kits from ${first ? say(first.priceMinor) : ''} to ${steps.length > 0 ? say(steps.at(-1)!.priceMinor) : ''}; the list below has them all`
  );
</script>

<div bind:clientWidth={shownWide}>
  <svg viewBox="0 0 {wide} {HIGH}" role="img" aria-label="What every spend buys: {words}">
    <defs>
      <pattern id="pack-reserve" width="7" height="7" patternUnits="userSpaceOnUse"
        ><path d="M0 7L7 0" class="hatch" /></pattern
      >
    </defs>
    <text x={LEFT - 28} y="11">worth, of 100</text>
    {#each y.ticks(4) as tick (tick)}
      <path d="M{LEFT} {y(tick)}H{wide - 8}" class="grid" />
      <text x={LEFT - 6} y={y(tick) + 4} text-anchor="end">{points(tick)}</text>
    {/each}
    {#if first}
      <rect
        x={LEFT}
        y={HIGH - BOTTOM - 26}
        width={Math.max(0, x(first.priceMinor) - LEFT)}
        height="26"
        fill="url(#pack-reserve)"
        class="cannot"
      />
    {/if}
    <path d={cloth} class="cloth" />
    <rect
      x={x(spendable)}
      y={TOP - 6}
      width={Math.max(0, x(project.limitMinor) - x(spendable))}
      height={HIGH - BOTTOM - TOP + 6}
      fill="url(#pack-reserve)"
      class="reserve"
    />
    <rect
      x={x(project.limitMinor)}
      y={TOP - 6}
      width={Math.max(0, wide - 8 - x(project.limitMinor))}
      height={HIGH - BOTTOM - TOP + 6}
      class="past"
    />
    <path d="M{x(project.limitMinor)} {TOP - 6}V{HIGH - BOTTOM}" class="limit" />
    <text
      x={Math.min(wide - 36, Math.max(LEFT + 110, x(project.limitMinor)))}
      y="10"
      text-anchor="middle">limit {say(project.limitMinor)}</text
    >
    {#if first}
      <text
        x={Math.max(4, Math.min(x(first.priceMinor) + 6, wide - 8 - cannot.length * 6.2))}
        y={HIGH - BOTTOM - 8}
        class="cannot-words">{cannot}</text
      >
    {/if}
    <path d={path} class="stairs" />
    {#if roofName}
      <path d={roof} class="roof" />
      <text x={roofName.right} y={roofName.top} text-anchor="end" class="roof-words"
        >{roofName.text}</text
      >
    {/if}
    {#each labels as { index, text, top, right } (index)}
      <text x={right} y={top} text-anchor="end" class="what" class:chosen={index === chosen}
        >{text}</text
      >
    {/each}
    {#each steps as step, index (step.priceMinor)}
      <!-- The list beside the drawing has the same steps as buttons. -->
      <!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
      <circle
        cx={x(step.priceMinor)}
        cy={y(step.merit.meritHundredths)}
        r={index === chosen ? 7 : 4.5}
        class="dot"
        class:chosen={index === chosen}
        class:enough={step.isGoodEnough}
        onclick={() => onchoose(index)}
      />
    {/each}
    <g class="plan" class:hollow={!plan.works}>
      <path d="M{x(plan.priceMinor)} {y(plan.hundredths) - 7}l7 7-7 7-7-7z" />
      <text
        x={x(plan.priceMinor)}
        y={y(plan.hundredths) + 22}
        text-anchor={x(plan.priceMinor) > wide - 160 ? 'end' : 'middle'}
        >{plan.name}: {say(plan.priceMinor)}, worth {points(plan.hundredths)}{plan.works
          ? ''
          : ' once unblocked'}</text
      >
    </g>
    {#each x.ticks(Math.min(6, Math.floor(wide / 70))) as tick (tick)}
      <text x={x(tick)} y={HIGH - 6} text-anchor="middle">{say(tick)}</text>
    {/each}
    <path d="M{LEFT} {HIGH - BOTTOM}H{wide - 8}" class="axis" />
  </svg>
</div>

<style>
  svg {
    display: block;
    width: 100%;
    height: auto;
  }

  text {
    fill: var(--ink-soft);
    font-size: 11px;
  }

  .grid {
    stroke: var(--line);
    stroke-dasharray: 2 4;
  }

  .axis {
    stroke: var(--tan-line);
  }

  .hatch {
    stroke: var(--tan-line);
    stroke-width: 1.4px;
  }

  .cloth {
    fill: var(--moss-wash);
  }

  .reserve {
    opacity: 0.8;
  }

  .past {
    fill: var(--brick-wash);
  }

  .cannot {
    opacity: 0.9;
  }

  .cannot-words {
    fill: var(--brick);
    font-weight: 600;
  }

  .limit {
    stroke: var(--ochre);
    stroke-width: 3px;
  }

  .stairs {
    fill: none;
    stroke: var(--moss);
    stroke-width: 2.4px;
  }

  .roof {
    fill: none;
    stroke: var(--ink-soft);
    stroke-width: 1.4px;
    stroke-dasharray: 6 4;
  }

  .roof-words {
    font-style: italic;
  }

  .roof-words,
  .what {
    paint-order: stroke;
    stroke: var(--paper);
    stroke-width: 3px;
  }

  .what {
    fill: var(--ink);
    font-size: 10.5px;
  }

  .what.chosen {
    fill: var(--moss);
    font-weight: 700;
  }

  .dot {
    fill: var(--paper);
    stroke: var(--moss);
    stroke-width: 2px;
    cursor: pointer;
  }

  .dot.enough {
    fill: var(--ochre);
  }

  .dot.chosen {
    fill: var(--moss);
  }

  .plan path {
    fill: var(--hide);
    stroke: var(--hide);
    stroke-width: 2px;
  }

  .plan.hollow path {
    fill: var(--paper);
  }

  .plan text {
    fill: var(--hide);
    font-weight: 600;
  }

  :global(:root[data-theme='dark']) .plan text,
  :global(:root[data-theme='dark']) .plan path {
    fill: var(--thread);
    stroke: var(--thread);
  }

  :global(:root[data-theme='dark']) .plan text {
    stroke: none;
  }
</style>
