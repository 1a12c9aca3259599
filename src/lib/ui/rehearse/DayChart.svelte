<script lang="ts">
  import { scaleLinear } from 'd3-scale';
  import { area, line } from 'd3-shape';
  import type { DayPlan } from '../../core/rehearse/planned-day';
  import type { ShownDay, Strip } from '../../core/rehearse/shown-day';
  import Glyph from '../glyphs/Glyph.svelte';
  import type { GlyphName } from '../glyphs/glyph-shapes';
  import { clockWords } from './clock-words';

  /** One day against the clock: every battery, card and bank as a level that falls and is filled again. */
  interface Props {
    plan: DayPlan;
    shown: ShownDay;
    /** The minute one looks at. */
    atMin: number;
    glyphOfLine: (lineId: string) => GlyphName;
    colourOfLine: (lineId: string) => string;
    onat: (minute: number) => void;
  }
  const { plan, shown, atMin, glyphOfLine, colourOfLine, onat }: Props = $props();

  /** Drawn at the size it is shown, so that its words keep theirs; a phone scrolls along it. */
  const LEAST_WIDE = 640;
  let frameWide = $state(900);
  const wide = $derived(Math.max(LEAST_WIDE, frameWide));
  const LEFT = 132;
  const HEAD = 46;
  const ROW = 56;
  const LEVEL = 40;
  const NIGHT_PX = 14;
  /** Nearer to the right edge a time written about its middle would be cut off. */
  const HALF_A_TIME = 30;
  const high = $derived(HEAD + shown.strips.length * ROW + 22);

  /** Nights away are squeezed: nothing is filmed in them. */
  const x = $derived.by(() => {
    const nights = shown.segments.filter(({ kind }) => kind === 'night');
    const lit =
      shown.endsAtMin -
      shown.startsAtMin -
      nights.reduce((sum, night) => sum + night.toMin - night.fromMin, 0);
    const perMin = (wide - LEFT - 6 - nights.length * NIGHT_PX) / Math.max(1, lit);
    const domain = [shown.startsAtMin];
    const range = [LEFT];
    for (const { fromMin, toMin } of nights) {
      range.push(range.at(-1)! + (fromMin - domain.at(-1)!) * perMin);
      domain.push(fromMin);
      range.push(range.at(-1)! + NIGHT_PX);
      domain.push(toMin);
    }
    range.push(wide - 6);
    domain.push(shown.endsAtMin);
    return scaleLinear(domain, range);
  });
  const lostKeys = $derived(
    new Set(shown.outcome.lost.map(({ day, scene, take }) => `${day} ${scene} ${take}`))
  );
  /** Which day away a minute lies in. */
  const dayOf = (minute: number) => Math.max(0, Math.floor(minute / (24 * 60)));
  const takes = $derived(
    shown.segments
      .filter(({ kind }) => kind === 'take')
      .map((segment) => ({
        ...segment,
        isLost: lostKeys.has(`${dayOf(segment.fromMin)} ${segment.scene} ${segment.take}`)
      }))
  );
  /** Brackets over the scenes, once a day. */
  const brackets = $derived.by(() => {
    const found: { scene: number; from: number; to: number }[] = [];
    for (const { kind, scene, fromMin, toMin } of shown.segments) {
      if (kind === 'carried' || kind === 'waiting' || kind === 'night' || kind === 'evening')
        continue;
      const last = found.at(-1);
      if (last?.scene === scene && fromMin - last.to < 1) last.to = toMin;
      else found.push({ scene, from: fromMin, to: toMin });
    }
    return found.map((event) => ({ ...event, name: plan.scenes[event.scene]!.name }));
  });
  const walks = $derived(shown.segments.filter(({ kind }) => kind === 'carried'));
  const hours = $derived.by(() => {
    const spanH = (shown.endsAtMin - shown.startsAtMin) / 60;
    const step = plan.days > 3 ? 24 : plan.days > 1 ? 12 : spanH > 14 ? 2 : 1;
    const list: number[] = [];
    for (
      let hour = Math.ceil(shown.startsAtMin / 60 / step) * step;
      hour * 60 < shown.endsAtMin;
      hour += step
    )
      list.push(hour * 60);
    const nights = shown.segments.filter(({ kind }) => kind === 'night');
    return list.filter(
      (minute) => !nights.some(({ fromMin, toMin }) => minute > fromMin && minute < toMin)
    );
  });
  const top = (row: number) => HEAD + row * ROW + 8;
  const pathOf = (strip: Strip, row: number) => {
    const y = scaleLinear([0, 1], [top(row) + LEVEL, top(row)]);
    const points = strip.points as [number, number][];
    return {
      cloth:
        area<[number, number]>()
          .x(([minute]) => x(minute))
          .y0(top(row) + LEVEL)
          .y1(([, level]) => y(level))(points) ?? '',
      edge:
        line<[number, number]>()
          .x(([minute]) => x(minute))
          .y(([, level]) => y(level))(points) ?? ''
    };
  };
  const colourOf = ({ kind, lineId }: Strip) =>
    kind === 'card'
      ? 'var(--pocket-storage)'
      : kind === 'bank'
        ? 'var(--pocket-accessories)'
        : kind === 'heat'
          ? 'var(--pocket-body)'
          : colourOfLine(lineId);
  const stripWords: Record<Strip['kind'], string> = {
    battery: 'battery',
    card: 'card',
    bank: '',
    heat: 'heat'
  };
  /** Where a strip shows what a lost take was lost to. */
  const marks = $derived(
    shown.strips.map(({ kind, lineId }) => ({
      lost: shown.outcome.lost.filter(
        (event) =>
          event.lineId === lineId &&
          ((kind === 'battery' && event.cause === 'battery empty') ||
            (kind === 'card' && event.cause === 'card full') ||
            (kind === 'heat' && event.cause === 'overheated'))
      ),
      swaps: shown.events.filter(
        (event) =>
          event.lineId === lineId &&
          ((kind === 'battery' && event.kind === 'swap') ||
            (kind === 'card' && event.kind === 'card swapped'))
      )
    }))
  );
  function look(event: MouseEvent & { currentTarget: SVGElement }) {
    const box = event.currentTarget.getBoundingClientRect();
    const along = ((event.clientX - box.left) / box.width) * wide;
    if (along >= LEFT) onat(x.invert(along));
  }
</script>

<div class="scroll" bind:clientWidth={frameWide}>
  <!-- The buttons above go along the same day by key. -->
  <!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_noninteractive_element_interactions -->
  <svg
    viewBox="0 0 {wide} {high}"
    role="img"
    aria-label="What is left in each part through the day; the table below has the figures"
    onclick={look}
  >
    <defs>
      <pattern id="lost-take" width="6" height="6" patternUnits="userSpaceOnUse"
        ><path d="M0 6L6 0" class="hatch" /></pattern
      >
      <pattern id="carried" width="9" height="9" patternUnits="userSpaceOnUse"
        ><path d="M2 3l3 2" class="step" /></pattern
      >
    </defs>
    {#each walks as { fromMin, toMin } (fromMin)}
      <rect
        x={x(fromMin)}
        y={HEAD}
        width={Math.max(0, x(toMin) - x(fromMin))}
        height={high - HEAD - 22}
        fill="url(#carried)"
      />
    {/each}
    {#each takes as { fromMin, toMin, isLost } (fromMin)}
      <rect
        x={x(fromMin)}
        y={HEAD}
        width={Math.max(1, x(toMin) - x(fromMin))}
        height={high - HEAD - 22}
        class={isLost ? 'lost' : 'take'}
        fill={isLost ? 'url(#lost-take)' : undefined}
      />
    {/each}
    {#each brackets as { scene, from, to, name } (from)}
      <path d="M{x(from)} {HEAD - 2}v-6H{x(to)}v6" class="bracket" />
      {#if x(to) - x(from) > name.length * 5.4 || plan.days === 1}
        <text x={(x(from) + x(to)) / 2} y="13" text-anchor="middle" class="scene">{name}</text>
        <text x={(x(from) + x(to)) / 2} y="29" text-anchor="middle" class="soft"
          >{plan.scenes[scene]!.takes} × {Math.round(plan.scenes[scene]!.takeMin)} min{x(to) -
            x(from) >
          130
            ? `, ${Math.round(plan.scenes[scene]!.celsius)} °C`
            : ''}</text
        >
      {/if}
    {/each}
    {#each shown.strips as strip, row (`${strip.kind} ${strip.lineId}`)}
      {@const { cloth, edge } = pathOf(strip, row)}
      <g style:--strip={colourOf(strip)}>
        <path d={cloth} class="cloth" />
        <path d="M{LEFT} {top(row) + LEVEL}H{wide - 6}" class="seam" />
        <path d={edge} class="edge" />
        <g transform="translate(2 {top(row) + 8})"
          ><Glyph name={glyphOfLine(strip.lineId)} size={24} /></g
        >
        <text x="32" y={top(row) + 10} class="name">{strip.name.slice(0, 16)}</text>
        <text x="32" y={top(row) + 23} class="soft">{stripWords[strip.kind] || 'power bank'}</text>
        <text x="32" y={top(row) + 35} class="soft">{strip.detail.slice(0, 18)}</text>
        {#each marks[row]!.swaps as { atMin } (atMin)}
          <circle cx={x(atMin)} cy={top(row) + 14} r="6" class="swap" />
          <path
            d="M{x(atMin) - 2} {top(row) + 12}v4M{x(atMin) + 2} {top(row) + 12}v4"
            class="stitch"
          />
        {/each}
        {#each marks[row]!.lost.slice(0, 1) as { atMin } (atMin)}
          <circle cx={x(atMin)} cy={top(row) + LEVEL - 4} r="7.5" class="fault" />
          <path d="M{x(atMin) - 3} {top(row) + LEVEL - 7}l6 6m0 -6l-6 6" class="cross" />
          <text
            x={x(atMin) + (x(atMin) > wide - 160 ? -12 : 12)}
            y={top(row) + 10}
            text-anchor={x(atMin) > wide - 160 ? 'end' : 'start'}
            class="fault-words"
            >{clockWords(atMin, plan.days)}
            {marks[row]!.lost.length}
            {marks[row]!.lost.length === 1 ? 'take' : 'takes'} lost</text
          >
        {/each}
      </g>
    {/each}
    {#if plan.days > 1}
      {#each Array.from({ length: plan.days }, (_, day) => day) as day (day)}
        <text x={x(day * 24 * 60 + plan.startsAtMin) + 3} y={high - 6} class="scene"
          >day {day + 1}</text
        >
      {/each}
    {/if}
    {#each hours as minute (minute)}
      <path d="M{x(minute)} {high - 22}v4" class="bracket" />
      <text
        x={x(minute)}
        y={high - 6}
        text-anchor={x(minute) > wide - HALF_A_TIME ? 'end' : 'middle'}
        class="soft figures">{clockWords(minute)}</text
      >
    {/each}
    <path d="M{x(atMin)} {HEAD - 4}V{high - 22}" class="now" />
    <circle cx={x(atMin)} cy={HEAD - 4} r="4" class="knob" />
  </svg>
</div>

<style>
  .scroll {
    position: relative;
    overflow-x: auto;
  }

  svg {
    display: block;
    width: 100%;
    min-width: 640px;
    font-size: 11.5px;
    cursor: crosshair;
  }

  text {
    fill: var(--ink);
  }

  .soft {
    fill: var(--ink-soft);
    font-size: 11px;
  }

  .scene {
    font-weight: 600;
  }

  .name {
    font-weight: 600;
  }

  .take {
    fill: var(--ochre);
    opacity: 0.2;
  }

  .hatch {
    stroke: var(--brick);
    stroke-width: 1.3;
    opacity: 0.6;
  }

  .step {
    stroke: var(--ink-soft);
    stroke-width: 1.4;
    stroke-linecap: round;
    opacity: 0.4;
  }

  .bracket {
    fill: none;
    stroke: var(--ink-soft);
  }

  .cloth {
    fill: var(--strip);
    opacity: 0.26;
  }

  .edge {
    fill: none;
    stroke: var(--strip);
    stroke-width: 2;
    stroke-linejoin: round;
  }

  .seam {
    stroke: var(--line);
    stroke-dasharray: 3 3;
  }

  .swap {
    fill: var(--strip);
  }

  .stitch {
    stroke: var(--paper);
    stroke-width: 1.4;
  }

  .fault {
    fill: var(--paper);
    stroke: var(--brick);
    stroke-width: 1.8;
  }

  .cross {
    fill: none;
    stroke: var(--brick);
    stroke-width: 2;
  }

  .fault-words {
    fill: var(--brick);
    font-weight: 600;
    paint-order: stroke;
    stroke: var(--paper);
    stroke-width: 3px;
  }

  .now {
    stroke: var(--ink);
  }

  .knob {
    fill: var(--brick);
  }
</style>
