<script lang="ts">
  import { extent, max, minIndex } from 'd3-array';
  import { scaleLinear } from 'd3-scale';
  import { curveStepAfter, line } from 'd3-shape';
  import type { Candidate } from '../../core/judge/candidates';
  import { nonDominated } from '../../core/merit/front';
  import { fullName } from '../../core/model/gear';
  import { formatMoney } from '../../core/money/format';

  /** Worth to the whole kit against what it truly costs. Dots nothing beats are joined by a stitched edge. */
  interface Props {
    candidates: readonly Candidate[];
    chosenId: string | undefined;
    /** What the kit is worth now, all stops settled, hundredths of a point. */
    nowHundredths: number;
    currency: string;
    colour: string;
    /** What this pocket may still cost before the limit is passed. */
    mayCostMinor: number;
    onchoose: (id: string) => void;
  }
  const { candidates, chosenId, nowHundredths, currency, colour, mayCostMinor, onchoose }: Props =
    $props();

  let width = $state(680);
  const height = 132;
  const pad = { left: 34, right: 18, top: 20, bottom: 24 };

  const dots = $derived(
    candidates.map((candidate) => ({
      candidate,
      id: candidate.gear.id,
      priceMinor: candidate.trueCostMinor,
      merit: kitWorth(candidate)
    }))
  );
  const stopsMore = (candidate: Candidate) =>
    candidate.breaks.some((change) => change.severity === 'stop');
  function kitWorth(candidate: Candidate): number {
    return (nowHundredths + candidate.gainHundredths) / 100;
  }
  const x = $derived(
    scaleLinear(
      [
        0,
        Math.max(
          1,
          max(dots, (dot) => dot.priceMinor) ?? 0,
          mayCostMinor > 0 ? Math.min(mayCostMinor, 3e5) * 0.2 : 0
        ) * 1.06
      ],
      [pad.left, width - pad.right]
    ).nice()
  );
  /** Packed parts with room for a word above them; near ones share it. */
  const labelled = $derived.by(() => {
    let free = -Infinity;
    const packed = dots.filter(({ candidate }) => candidate.packed);
    return new Set(
      packed
        .sort((a, b) => a.priceMinor - b.priceMinor)
        .flatMap(({ id, priceMinor }) => {
          if (x(priceMinor) < free) return [];
          free = x(priceMinor) + LABEL_WIDTH;
          return id;
        })
    );
  });
  const LABEL_WIDTH = 76;

  const y = $derived.by(() => {
    const [low = 0, high = 100] = extent(dots, (dot) => dot.merit);
    const room = Math.max(2, (high - low) * 0.12);
    return scaleLinear(
      [Math.max(0, low - room), Math.min(100, high + room)],
      [height - pad.bottom, pad.top]
    ).nice();
  });
  const edge = $derived(nonDominated(dots.filter((dot) => !stopsMore(dot.candidate))));
  const edgePath = $derived(
    line<(typeof dots)[number]>(
      (dot) => x(dot.priceMinor),
      (dot) => y(dot.merit)
    ).curve(curveStepAfter)(edge) ?? ''
  );
  const onEdge = $derived(new Set(edge.map((dot) => dot.id)));
  /** Past so many dots those on the edge, the packed and the chosen ones are drawn apart, the rest as one. */
  const MOST_SINGLES = 120;
  const stands = (dot: (typeof dots)[number]) =>
    dots.length <= MOST_SINGLES ||
    onEdge.has(dot.id) ||
    dot.candidate.packed ||
    dot.id === chosenId;
  const singles = $derived(dots.filter(stands));
  const crowd = $derived(dots.filter((dot) => !stands(dot)));
  const crowdPath = $derived(
    crowd
      .map(
        (dot) =>
          `M${x(dot.priceMinor).toFixed(1)},${y(dot.merit).toFixed(1)}m-3,0a3,3 0 1,0 6,0a3,3 0 1,0 -6,0`
      )
      .join('')
  );
  /** In a crowd the dot nearest to the pointer is meant. */
  function chooseNearest(event: MouseEvent) {
    if (crowd.length === 0) return;
    const box = (event.currentTarget as SVGElement).getBoundingClientRect();
    const off = (dot: (typeof dots)[number]) =>
      Math.hypot(
        x(dot.priceMinor) - (event.clientX - box.left),
        y(dot.merit) - (event.clientY - box.top)
      );
    const nearest = dots[minIndex(dots, off)];
    if (nearest && off(nearest) < 12) onchoose(nearest.id);
  }
  const words = $derived(
    `Worth against true cost. Nothing beats: ${edge.map((dot) => `${fullName(dot.candidate.gear)}, ${formatMoney(dot.priceMinor, currency, { short: true })}, worth ${dot.merit.toFixed(0)}`).join('; ')}.`
  );
</script>

<div class="frame" bind:clientWidth={width}>
  <!-- The list beside it is the keyboard's way; the picture only adds the pointer's. -->
  <!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_noninteractive_element_interactions -->
  <svg
    {width}
    {height}
    viewBox="0 0 {width} {height}"
    role="img"
    aria-label={words}
    onclick={chooseNearest}
  >
    {#if mayCostMinor < (x.domain()[1] ?? 0)}
      <rect
        x={Math.max(pad.left, x(Math.max(0, mayCostMinor)))}
        y={pad.top - 12}
        width={Math.max(0, width - pad.right - x(Math.max(0, mayCostMinor)))}
        height={height - pad.top - pad.bottom + 12}
        class="past"
      />
      <line
        x1={x(Math.max(0, mayCostMinor))}
        x2={x(Math.max(0, mayCostMinor))}
        y1={pad.top - 12}
        y2={height - pad.bottom}
        class="limit"
      />
      <text
        x={Math.min(width - 140, x(Math.max(0, mayCostMinor)) + 5)}
        y={pad.top - 3}
        class="past-word">over budget</text
      >
    {/if}
    {#each y.ticks(4) as tick (tick)}
      <line x1={pad.left} x2={width - pad.right} y1={y(tick)} y2={y(tick)} class="rule" />
      <text x={pad.left - 6} y={y(tick) + 3} text-anchor="end">{tick}</text>
    {/each}
    {#each x.ticks(5) as tick (tick)}
      <text x={x(tick)} y={height - 8} text-anchor="middle"
        >{formatMoney(tick, currency, { short: true })}</text
      >
    {/each}
    <path d={edgePath} class="edge" stroke={colour} />
    {#if crowd.length > 0}<path d={crowdPath} class="crowd" />{/if}
    {#each singles as dot (dot.id)}
      <!-- The list beside it is the keyboard's way; the dots only add the pointer's. -->
      <!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
      <g class="dot" onclick={() => onchoose(dot.id)}>
        <circle cx={x(dot.priceMinor)} cy={y(dot.merit)} r="9" fill="transparent" />
        <circle
          cx={x(dot.priceMinor)}
          cy={y(dot.merit)}
          r={onEdge.has(dot.id) ? 5.5 : 4}
          fill={stopsMore(dot.candidate)
            ? 'var(--linen)'
            : onEdge.has(dot.id)
              ? colour
              : 'var(--tan-line)'}
          stroke={dot.candidate.packed
            ? 'var(--ink)'
            : stopsMore(dot.candidate)
              ? 'var(--brick)'
              : 'none'}
          stroke-width="2"
          stroke-dasharray={dot.candidate.packed ? '2.5 2' : undefined}
        />
        {#if dot.id === chosenId}<circle
            cx={x(dot.priceMinor)}
            cy={y(dot.merit)}
            r="9"
            class="ring"
          />{/if}
        {#if labelled.has(dot.id)}<text
            x={Math.max(pad.left + 30, x(dot.priceMinor))}
            y={y(dot.merit) - 13}
            text-anchor="middle"
            class="packed">packed now</text
          >{/if}
      </g>
    {/each}
  </svg>
</div>

<style>
  .frame {
    width: 100%;
    overflow: hidden;
  }

  .crowd {
    fill: var(--tan-line);
  }

  .packed {
    paint-order: stroke;
    stroke: var(--paper);
    stroke-width: 4px;
    stroke-linejoin: round;
  }

  text {
    fill: var(--ink-soft);
    font-size: 11px;
    font-variant-numeric: tabular-nums;
  }

  .rule {
    stroke: var(--line);
  }

  .past {
    fill: var(--brick-wash);
    opacity: 0.6;
  }

  .past-word {
    fill: var(--brick);
  }

  .limit {
    stroke: var(--brick);
    stroke-dasharray: 4 3;
  }

  .edge {
    fill: none;
    stroke-width: 1.8;
    stroke-dasharray: 6 3;
  }

  .dot {
    cursor: pointer;
  }

  .ring {
    fill: none;
    stroke: var(--moss);
    stroke-width: 3;
  }
</style>
