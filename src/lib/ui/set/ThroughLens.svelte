<script lang="ts">
  import { range } from 'd3-array';
  import type { LensPicture } from '../../core/set/through-lens';

  /**
   * The picture the camera would make, drawn from the judge's figures: sizes to scale, the blur of the background by
   * its computed circle, exposure, noise, cast and flicker as they come out.
   */
  interface Props {
    picture: LensPicture;
    /** What is behind: a room, or the open. */
    indoors: boolean;
    handsAtWork: boolean;
    label: string;
    id: string;
  }
  const { picture, indoors, handsAtWork, label, id }: Props = $props();

  let frameWidth = $state(400);
  const TALLEST = 300;
  const width = $derived(Math.min(frameWidth, TALLEST * picture.aspect));
  const height = $derived(width / picture.aspect);
  const longSide = $derived(Math.max(width, height));

  /** A disc of diameter D looks like a bell of a quarter of it. */
  const DISC_TO_BELL = 1 / 4;
  const blurPx = $derived((picture.backgroundBlurPercent / 100) * longSide * DISC_TO_BELL);
  const EARS_BLUR_PX = 1.6;

  /** The darker side of the face against the brighter, as a screen shows it. */
  const dark = $derived(
    picture.keyToFill === undefined ? 0.92 : Math.max(0.12, picture.keyToFill ** (-1 / 2.2))
  );
  const slope = $derived(2 ** Math.max(-6, Math.min(6, picture.offStops)));
  /** Stops past what is clean: from four stops below usable on it is seen. */
  const grain = $derived(
    picture.iso !== undefined && picture.usableIso !== undefined
      ? Math.max(0, Math.min(0.5, 0.06 * Math.log2((4 * picture.iso) / picture.usableIso)))
      : 0
  );
  const cast = $derived(Math.min(0.4, Math.abs(picture.castMired) / 180));
  const castColour = $derived(picture.castMired > 0 ? '#ff9a3d' : '#4f8dff');
  const skins = ['#d9a883', '#8d5a3c', '#f0c7a5', '#6d4530', '#c68f6a', '#e5b491'] as const;
  const coats = [
    'var(--pocket-storage)',
    'var(--pocket-power)',
    'var(--pocket-support)',
    'var(--pocket-lens)',
    'var(--pocket-sound)',
    'var(--pocket-body)'
  ] as const;
  const kx = $derived(
    picture.backgroundWidthM === undefined ? undefined : width / picture.backgroundWidthM
  );
  const lightFirst = $derived(picture.keySide === 'left');
</script>

<div class="frame" bind:clientWidth={frameWidth}>
  <svg
    {width}
    {height}
    viewBox="0 0 {width} {height}"
    role="img"
    aria-label={label}
    data-blur-px={(blurPx / DISC_TO_BELL).toFixed(2)}
    data-off-stops={picture.offStops.toFixed(2)}
  >
    <defs>
      <clipPath id="{id}-edge"><rect {width} {height} rx="6" /></clipPath>
      <linearGradient id="{id}-face" x1={lightFirst ? 0 : 1} x2={lightFirst ? 1 : 0} y1="0" y2="0">
        <stop offset="0.25" stop-color="black" stop-opacity="0" />
        <stop offset="0.85" stop-color="black" stop-opacity={1 - dark} />
      </linearGradient>
      <linearGradient id="{id}-cast" x1={lightFirst ? 0 : 1} x2={lightFirst ? 1 : 0} y1="0" y2="0">
        <stop offset="0.35" stop-color={castColour} stop-opacity="0" />
        <stop offset="1" stop-color={castColour} stop-opacity={cast} />
      </linearGradient>
      <filter
        id="{id}-exposure"
        color-interpolation-filters="linearRGB"
        x="0"
        y="0"
        width="1"
        height="1"
      >
        <feComponentTransfer>
          <feFuncR type="linear" {slope} /><feFuncG type="linear" {slope} /><feFuncB
            type="linear"
            {slope}
          />
        </feComponentTransfer>
      </filter>
      <filter id="{id}-grain" x="0" y="0" width="1" height="1">
        <feTurbulence type="fractalNoise" baseFrequency="0.9" numOctaves="2" seed="7" />
        <feColorMatrix type="saturate" values="0.3" />
      </filter>
      <filter id="{id}-soft" x="-0.2" y="-0.2" width="1.4" height="1.4"
        ><feGaussianBlur stdDeviation={blurPx} /></filter
      >
      <filter id="{id}-ears"><feGaussianBlur stdDeviation={EARS_BLUR_PX} /></filter>
    </defs>
    <g clip-path="url(#{id}-edge)">
      <g filter={Math.abs(picture.offStops) > 0.05 ? `url(#${id}-exposure)` : undefined}>
        <g filter={blurPx > 0.3 ? `url(#${id}-soft)` : undefined}>
          {#if handsAtWork}
            <rect x={-width} y={-height} width={3 * width} height={3 * height} class="bench" />
            {#each range(-6, 7) as board (board)}<rect
                x={width / 2 + (board * width) / 6}
                y={-height}
                width="1.5"
                height={3 * height}
                class="seam"
              />{/each}
          {:else if indoors}
            {@const k = kx ?? width / 4}
            <rect x={-width} y={-height} width={3 * width} height={3 * height} class="wall" />
            <g transform="translate({width / 2} {height / 3})">
              <rect x={-1.25 * k} y={-0.5 * k} width={0.62 * k} height={0.85 * k} class="loom" />
              {#each range(0, 9) as thread (thread)}<rect
                  x={(-1.18 + thread * 0.06) * k}
                  y={-0.42 * k}
                  width={0.018 * k}
                  height={0.7 * k}
                  class="warp"
                />{/each}
              <rect x={0.3 * k} y={-0.28 * k} width={1.3 * k} height={0.05 * k} class="board" />
              <rect x={0.4 * k} y={-0.55 * k} width={0.13 * k} height={0.27 * k} class="book one" />
              <rect x={0.55 * k} y={-0.5 * k} width={0.1 * k} height={0.22 * k} class="book two" />
              <rect
                x={0.67 * k}
                y={-0.53 * k}
                width={0.12 * k}
                height={0.25 * k}
                class="book three"
              />
              <circle cx={1.25 * k} cy={-0.42 * k} r={0.12 * k} class="glow" />
              <rect x={-2.5 * k} y={1.5 * k} width={6 * k} height={2 * k} class="floor" />
            </g>
          {:else}
            <rect x={-width} y={-height} width={3 * width} height={3 * height} class="sky" />
            <path
              d="M{-width} {height * 0.5}L{width * 0.12} {height * 0.36}L{width * 0.4} {height *
                0.47}L{width * 0.72} {height * 0.3}L{width * 2} {height * 0.52}V{height *
                2}H{-width}Z"
              class="hills"
            />
            <path
              d="M{-width} {height * 0.56}Q{width * 0.4} {height * 0.48} {width * 2} {height *
                0.6}V{height * 2}H{-width}Z"
              class="marsh"
            />
            {#each range(0, 12) as reed (reed)}<rect
                x={(reed * width) / 11}
                y={height * (0.52 + 0.04 * Math.sin(reed * 2))}
                width="2"
                height={height * 0.2}
                class="warp"
              />{/each}
          {/if}
        </g>
        {#if handsAtWork}
          {@const k = width / picture.widthM}
          <g transform="translate({width / 2} {height / 2})">
            <rect
              x={-0.14 * k}
              y={-0.02 * k}
              width={0.28 * k}
              height={0.05 * k}
              rx={0.02 * k}
              class="work"
            />
            <ellipse cx={-0.13 * k} cy={0.05 * k} rx={0.075 * k} ry={0.045 * k} fill={skins[0]} />
            <ellipse cx={0.13 * k} cy={0.05 * k} rx={0.075 * k} ry={0.045 * k} fill={skins[0]} />
            <path
              d="M{-0.2 * k} {0.04 * k}L{-0.34 * k} {0.6 * k}H{-0.16 * k}L{-0.07 * k} {0.08 *
                k}ZM{0.2 * k} {0.04 * k}L{0.34 * k} {0.6 * k}H{0.16 * k}L{0.07 * k} {0.08 * k}Z"
              fill={coats[0]}
            />
            <rect
              x={-0.4 * k}
              y={-0.4 * k}
              width={0.8 * k}
              height={0.9 * k}
              fill="url(#{id}-face)"
              opacity="0.5"
            />
          </g>
        {:else}
          {#each picture.people as person, index (index)}
            {@const k = width / person.widthM}
            {@const near = picture.stretch / 1.146}
            <g
              filter={picture.focusIsLost ? `url(#${id}-ears)` : undefined}
              transform="translate({person.x * width} {person.y * height})"
              data-person={index}
            >
              <path
                d="M{-0.25 * k} {0.62 * k}V{0.36 * k}Q{-0.25 * k} {0.23 * k} {-0.06 * k} {0.2 *
                  k}H{0.06 * k}Q{0.25 * k} {0.23 * k} {0.25 * k} {0.36 * k}V{2 * k}H{-0.25 * k}Z"
                fill={coats[index % coats.length]}
              />
              <rect
                x={-0.045 * k}
                y={0.06 * k}
                width={0.09 * k}
                height={0.16 * k}
                fill={skins[index % skins.length]}
              />
              <g filter={picture.faceIsSharp ? undefined : `url(#${id}-ears)`}>
                <ellipse
                  cx={-0.082 * k}
                  cy={0.02 * k}
                  rx={0.014 * k}
                  ry={0.03 * k}
                  fill={skins[index % skins.length]}
                />
                <ellipse
                  cx={0.082 * k}
                  cy={0.02 * k}
                  rx={0.014 * k}
                  ry={0.03 * k}
                  fill={skins[index % skins.length]}
                />
                <ellipse cx="0" cy={-0.045 * k} rx={0.088 * k} ry={0.095 * k} class="hair" />
              </g>
              <ellipse
                class="face"
                cx="0"
                cy={0.012 * k}
                rx={0.078 * k}
                ry={0.108 * k}
                fill={skins[index % skins.length]}
              />
              <path
                d="M{-0.08 * k} {-0.03 * k}Q{-0.02 * k} {-0.1 * k} {0.08 * k} {-0.045 * k}Q{0.07 *
                  k} {-0.13 * k} 0 {-0.135 * k}Q{-0.08 * k} {-0.12 * k} {-0.08 * k} {-0.03 * k}Z"
                class="hair"
              />
              <circle cx={-0.032 * k} cy="0" r={0.007 * k} class="eye" />
              <circle cx={0.032 * k} cy="0" r={0.007 * k} class="eye" />
              <ellipse
                cx="0"
                cy={0.035 * k}
                rx={0.012 * k * near ** 2}
                ry={0.02 * k * near ** 2}
                fill="black"
                opacity="0.14"
              />
              <path
                d="M{-0.025 * k} {0.072 * k}Q0 {0.084 * k} {0.025 * k} {0.072 * k}"
                class="mouth"
              />
              <ellipse cx="0" cy={0} rx={0.092 * k} ry={0.13 * k} fill="url(#{id}-face)" />
              <path
                d="M{-0.25 * k} {0.62 * k}V{0.36 * k}Q{-0.25 * k} {0.23 * k} {-0.06 * k} {0.2 *
                  k}H{0.06 * k}Q{0.25 * k} {0.23 * k} {0.25 * k} {0.36 * k}V{2 * k}H{-0.25 * k}Z"
                fill="url(#{id}-face)"
              />
              {#if cast > 0.02}<ellipse
                  cx="0"
                  cy={0}
                  rx={0.092 * k}
                  ry={0.13 * k}
                  fill="url(#{id}-cast)"
                />{/if}
            </g>
          {/each}
        {/if}
        {#each picture.lampsInPicture as lamp, index (index)}
          <circle
            cx={lamp.x * width}
            cy={lamp.y * height}
            r={(0.12 * width) / lamp.widthM}
            class="glow"
          />
        {/each}
        {#if picture.micInPicture}
          {@const mic = picture.micInPicture}
          {@const k = width / mic.widthM}
          <rect
            x={mic.x * width - 0.02 * k}
            y={mic.y * height - 0.07 * k}
            width={0.04 * k}
            height={0.14 * k}
            rx={0.02 * k}
            class="mic"
          />
        {/if}
      </g>
      {#if grain > 0.01}<rect {width} {height} filter="url(#{id}-grain)" opacity={grain} />{/if}
      {#if picture.flickerPercent > 2}
        {#each range(0, 6) as band (band)}<rect
            y={(band * height) / 6}
            {width}
            height={height / 12}
            fill="black"
            opacity={Math.min(0.5, picture.flickerPercent / 100)}
          />{/each}
      {/if}
      <path
        d="M{width / 3} 0V{height}M{(2 * width) / 3} 0V{height}M0 {height / 3}H{width}M0 {(2 *
          height) /
          3}H{width}"
        class="thirds"
      />
    </g>
  </svg>
</div>

<style>
  .frame {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    justify-items: center;
    width: 100%;
    min-width: 0;
    overflow: hidden;
  }

  svg {
    display: block;
  }

  .wall {
    fill: #8f8371;
  }

  .floor {
    fill: #5d4d3c;
  }

  .loom {
    fill: #4b3320;
  }

  .warp {
    fill: #a3977f;
  }

  .board {
    fill: #3f2c1c;
  }

  .book.one {
    fill: #9c4a37;
  }

  .book.two {
    fill: #2f6f6d;
  }

  .book.three {
    fill: #c09a55;
  }

  .glow {
    fill: #ffe9a8;
  }

  .sky {
    fill: #bcd3dc;
  }

  .hills {
    fill: #7f8f86;
  }

  .marsh {
    fill: #8c8a58;
  }

  .bench {
    fill: #b08a5e;
  }

  .seam {
    fill: #7d5c39;
  }

  .work {
    fill: #efe3cb;
  }

  .hair {
    fill: #38291f;
  }

  .eye {
    fill: #241a13;
  }

  .mouth {
    fill: none;
    stroke: #7a4034;
    stroke-width: 1.5px;
  }

  .mic {
    fill: #35302a;
  }

  .thirds {
    fill: none;
    stroke: #fff;
    stroke-opacity: 0.35;
  }
</style>
