<script lang="ts">
  import { scaleLinear, scaleLog } from 'd3-scale';
  import { area, curveMonotoneX } from 'd3-shape';
  import { lightByHour } from '../../core/set/light-by-hour';
  import { figureWords } from '../../core/figures/figure-words';
  import { figureOf } from '../../core/figures/record';
  import type { FigureId } from '../../core/figures/table';
  import { exposureSettings } from '../../core/judge/exposure-settings';
  import type { AngleJudgement } from '../../core/judge/incremental';
  import { plainNumber } from '../../core/model/measure-words';
  import { MIRED_DIFFERENCE } from '../../core/relations/lighting/colour';
  import type { SetLayout } from '../../core/set/layout';

  /** What each light gives at the face, what it comes to, and what the camera is set to for it. */
  interface Props {
    judged: AngleJudgement;
    layout: SetLayout;
  }
  const { judged, layout }: Props = $props();
  const units = $derived(judged.rig.project.units);
  const of = (figure: FigureId) => figureOf(judged.record, figure);
  const lx = (value: number) => figureWords(Math.round(value), 'lx', units);

  /** Lux at its dimmest and brightest, lamp by lamp. */
  const sources = $derived([
    ...layout.lamps.flatMap(({ name, role, faceLx }) =>
      faceLx === undefined ? [] : [{ name: `${name}, ${role}`, dim: faceLx, bright: faceLx }]
    ),
    ...(of('windowDim') === undefined
      ? []
      : [
          { name: 'window', dim: of('windowDim')!, bright: of('windowBright') ?? of('windowDim')! }
        ]),
    { name: 'light of the place', dim: of('lightDim') ?? 0, bright: of('lightBright') ?? 0 }
  ]);
  const most = $derived(Math.max(1, of('faceBright') ?? 1));
  const share = (value: number) =>
    Math.max(0, Math.min(100, (100 * Math.log2(1 + value)) / Math.log2(1 + most)));
  const range = (dim: number, bright: number) =>
    Math.round(dim) === Math.round(bright)
      ? lx(dim)
      : `${plainNumber(Math.round(dim), 0)}–${lx(bright)}`;
  const settings = $derived(exposureSettings(judged));
  const hours = $derived(lightByHour(judged));
  const hourX = scaleLinear([6, 18], [24, 376]);
  const hourY = $derived(
    scaleLog([Math.max(1, (hours[0]?.lx ?? 1) / 2), Math.max(10, hours[6]?.lx ?? 10)], [52, 18])
  );
  const skyPath = $derived(
    area<(typeof hours)[number]>()
      .x(({ hour }) => hourX(hour))
      .y0(52)
      .y1(({ lx: light }) => hourY(light))
      .curve(curveMonotoneX)(hours) ?? ''
  );
  const gap = $derived(of('placeColourGap') ?? of('lampColourGap'));
  const needed = $derived(of('lightNeeded'));
</script>

<section class="card" aria-label="Light">
  <h2>Light at the {layout.showsFace ? 'face' : 'work'}</h2>
  <ul>
    {#each sources as source (source.name)}
      <li>
        <span class="name">{source.name}</span>
        <span class="bar" aria-hidden="true"
          ><span class="bright" style:width="{share(source.bright)}%"></span><span
            class="dim"
            style:width="{share(source.dim)}%"
          ></span></span
        >
        <span class="figures strong">{range(source.dim, source.bright)}</span>
      </li>
    {/each}
    <li class="sum">
      <span class="name">all together</span>
      <span class="soft">{needed === undefined ? '' : `a clean picture wants ${lx(needed)}`}</span>
      <span class="figures strong">{range(of('faceDim') ?? 0, of('faceBright') ?? 0)}</span>
    </li>
  </ul>
  {#if gap !== undefined}
    <p class="soft">
      Colours of light {Math.round(gap)} mired apart: {gap < MIRED_DIFFERENCE.seen
        ? 'unseen'
        : gap <= MIRED_DIFFERENCE.strong
          ? 'seen'
          : 'strong'}.
    </p>
  {/if}
  {#if hours.length > 0}
    <svg
      class="day"
      width="100%"
      height="70"
      viewBox="0 0 400 70"
      role="img"
      aria-label="Light through the day, about: {lx(hours[0]!.lx)} at sunrise, {lx(
        hours[6]!.lx
      )} at noon"
    >
      <path d={skyPath} class="sky" />
      {#each hours.filter(({ hour }) => hour % 3 === 0) as light (light.hour)}
        <text x={hourX(light.hour)} y="66" text-anchor="middle">{light.hour} h</text>
        <text x={hourX(light.hour)} y={hourY(light.lx) - 5} text-anchor="middle"
          >{plainNumber(Number(light.lx.toPrecision(2)), 0)}</text
        >
      {/each}
    </svg>
    <p class="soft">Through a day of twelve hours of sun, about; clouds take a stop or more.</p>
  {/if}
  <h3>What to set</h3>
  <dl>
    {#each settings as setting (setting.name)}
      <div>
        <dt>{setting.name}</dt>
        <dd><b class="figures">{setting.set}</b> <span class="soft">{setting.why}</span></dd>
      </div>
    {/each}
  </dl>
</section>

<style>
  .name {
    min-width: 0;
  }

  .card {
    padding: 0.8rem 1rem;
  }

  h2 {
    margin: 0 0 0.4rem;
  }

  h3 {
    margin: 0.7rem 0 0.3rem;
    font-size: 0.9rem;
  }

  ul {
    display: grid;
    gap: 0.35rem;
    margin: 0;
    padding: 0;
    list-style: none;
  }

  li {
    display: grid;
    grid-template-columns: minmax(7rem, 1.3fr) minmax(3rem, 1fr) 8.5rem;
    gap: 0.6rem;
    align-items: center;
    font-size: 0.8125rem;
  }

  .sum {
    padding-top: 0.3rem;
    border-top: 1.5px dashed var(--tan-line);
  }

  .strong {
    font-weight: 600;
    text-align: right;
  }

  .bar {
    position: relative;
    height: 9px;
    border-radius: 5px;
    background: var(--canvas-deep);
  }

  .bar span {
    position: absolute;
    inset: 0 auto 0 0;
    border-radius: 5px;
  }

  .bright {
    background: color-mix(in srgb, var(--pocket-light) 45%, transparent);
  }

  .dim {
    background: var(--pocket-light);
  }

  .day {
    margin-top: 0.5rem;
  }

  .sky {
    fill: color-mix(in srgb, var(--pocket-light) 35%, transparent);
    stroke: var(--pocket-light);
  }

  .day text {
    fill: var(--ink);
    font-size: 11px;
  }

  dl {
    display: grid;
    gap: 0.3rem;
    margin: 0;
    font-size: 0.8125rem;
  }

  dl div {
    display: grid;
    grid-template-columns: 7rem 1fr;
    gap: 0.6rem;
  }

  dt {
    color: var(--ink-soft);
  }

  dd {
    margin: 0;
  }

  @media (max-width: 700px) {
    li {
      grid-template-columns: minmax(0, 1fr) auto;
    }

    .bar,
    li .soft {
      grid-row: 2;
      grid-column: 1 / -1;
    }

    dl div {
      grid-template-columns: minmax(0, 1fr);
      gap: 0;
    }
  }
</style>
