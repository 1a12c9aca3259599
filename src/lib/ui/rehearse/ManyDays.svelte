<script lang="ts">
  import { Button, NumberInput, ProgressBar } from 'carbon-components-svelte';
  import { scaleLinear, scaleLog } from 'd3-scale';
  import { area, line } from 'd3-shape';
  import { blameWords } from '../../core/rehearse/day-words';
  import { type ManyDays, wilson } from '../../core/rehearse/many-days';

  /** A thousand such days: how many are whole, how many takes the others lose, and to what. */
  interface Props {
    days: ManyDays | undefined;
    seed: number;
    running: boolean;
    stopped: boolean;
    onseed: (seed: number) => void;
    onrun: () => void;
    onstop: () => void;
    onday: (day: number) => void;
  }
  const { days, seed, running, stopped, onseed, onrun, onstop, onday }: Props = $props();

  /** Columns of the drawing: days that lose none, and the others in groups of equal width, the last one open. */
  const COLUMNS = 7;
  const DAYS_A_STITCH = 10;
  const groups = $derived.by(() => {
    const byLost = days?.byLost ?? [];
    const run = days?.days ?? 0;
    // So that the open group holds few: all but two in a hundred days find a column of their own.
    let most = 0;
    let sum = byLost[0] ?? 0;
    while (most < byLost.length - 1 && sum < 0.98 * run) sum += byLost[++most]!;
    const wide = Math.max(1, Math.ceil(most / (COLUMNS - 1)));
    const between = (from: number, to: number) =>
      byLost.slice(from, to).reduce((all, value) => all + value, 0);
    return Array.from({ length: COLUMNS }, (_, index) => {
      if (index === 0) return { name: 'none lost', days: byLost[0] ?? 0 };
      const from = 1 + (index - 1) * wide;
      const isLast = index === COLUMNS - 1;
      return {
        name: isLast ? `${from} or more` : wide === 1 ? `${from}` : `${from} to ${from + wide - 1}`,
        days: between(from, isLast ? byLost.length : from + wide)
      };
    });
  });
  const inHundred = (share: number) => Math.round(share * 100);
  /** So many takes nine days of ten do not lose more than. */
  const nineInTen = $derived.by(() => {
    if (!days) return 0;
    let sum = 0;
    for (const [lost, count] of days.byLost.entries()) {
      sum += count;
      if (sum >= 0.9 * days.days) return lost;
    }
    return days.byLost.length - 1;
  });
  const blames = $derived.by(() => {
    if (!days || days.lostTakes === 0) return [];
    const shown = days.blames.slice(0, 5);
    const rest = days.lostTakes - shown.reduce((sum, { takes }) => sum + takes, 0);
    return [
      ...shown.map((other) => ({ name: blameWords(other), takes: other.takes })),
      ...(rest > 0 ? [{ name: 'other', takes: rest }] : [])
    ].map((other) => ({ ...other, share: other.takes / days.lostTakes }));
  });
  const shades = ['brick', 'ochre', 'pocket-storage', 'pocket-power', 'pocket-lens', 'tan-line'];

  const WIDE = 220;
  const HIGH = 56;
  const settling = $derived(days?.settling ?? []);
  const x = $derived(scaleLog([10, Math.max(20, days?.of ?? 1000)], [2, WIDE - 2]));
  const y = $derived.by(() => {
    const share = days?.whole.share ?? 0.5;
    return scaleLinear(
      [Math.max(0, share - 0.25), Math.min(1, share + 0.25)],
      [HIGH - 14, 2]
    ).clamp(true);
  });
  const cloth = $derived(
    area<readonly [number, number]>()
      .x(([count]) => x(count))
      .y0(([count, share]) => y(wilson(Math.round(share * count), count).low))
      .y1(([count, share]) => y(wilson(Math.round(share * count), count).high))(settling) ?? ''
  );
  const edge = $derived(
    line<readonly [number, number]>()
      .x(([count]) => x(count))
      .y(([, share]) => y(share))(settling) ?? ''
  );
</script>

<section class="card" aria-label="Many such days">
  <div class="days">
    <h2>
      {(days?.of ?? 1000).toLocaleString()} such days
      <span class="soft"
        >a stitch is ten days{days && days.days > 0
          ? `; nine in ten lose ${nineInTen === 0 ? 'none' : `${nineInTen} ${nineInTen === 1 ? 'take' : 'takes'} or fewer`}`
          : ''}</span
      >
    </h2>
    <div class="columns">
      {#each groups as { name, days: count }, lost (name)}
        <div>
          <span class="stack" class:none={lost === 0} aria-hidden="true"
            >{#each Array.from({ length: Math.ceil(count / DAYS_A_STITCH) }, (_, index) => index) as stitch (stitch)}<i
                >{lost === 0 ? '○' : '×'}</i
              >{/each}</span
          >
          <b class:whole={lost === 0}>{name}</b>
          <span class="figures soft">{count}</span>
        </div>
      {/each}
    </div>
  </div>
  <div class="verdict">
    {#if days && days.days > 0}
      <div class="head">
        <p>
          <b class="big" class:whole={days.whole.share >= 0.9}
            >{inHundred(days.whole.share)} in 100</b
          ><br />have everything in the can
          <span class="soft figures"
            >({inHundred(days.whole.low)} to {inHundred(days.whole.high)})</span
          ><br /><span class="soft figures"
            >{days.meanLost.mean.toFixed(2)} takes of {days.takes} lost on the mean ({days.meanLost.low.toFixed(
              2
            )} to {days.meanLost.high.toFixed(2)})</span
          >
        </p>
        <svg
          width={WIDE}
          height={HIGH}
          viewBox="0 0 {WIDE} {HIGH}"
          role="img"
          aria-label="The share of whole days as it settles: after {days.days} days {inHundred(
            days.whole.share
          )} in 100, within {inHundred(days.whole.low)} and {inHundred(days.whole.high)}"
        >
          <path d={cloth} class="cloth" />
          <path d={edge} class="edge" />
          {#each [10, 100, 1000] as tick (tick)}<text
              x={x(tick)}
              y={HIGH - 2}
              text-anchor={tick === 10 ? 'start' : tick === 1000 ? 'end' : 'middle'}
              >{tick === 1000 ? `${tick.toLocaleString()} days` : tick}</text
            >{/each}
        </svg>
      </div>
      {#if blames.length > 0}
        <h3>What the lost takes were lost to</h3>
        <div class="bar" aria-hidden="true">
          {#each blames as { name, share }, index (name)}<span
              style:width="{share * 100}%"
              style:background="var(--{shades[index]})"
            ></span>{/each}
        </div>
        <ul class="blames">
          {#each blames as { name, share }, index (name)}
            <li>
              <i style:background="var(--{shades[index]})" aria-hidden="true"></i>{name}
              <b class="figures">{share < 0.01 ? '< 1' : Math.round(share * 100)} %</b>
            </li>
          {/each}
        </ul>
      {/if}
    {:else}
      <p class="soft">Not run yet.</p>
    {/if}
    <div class="foot">
      <NumberInput
        size="sm"
        labelText="Seed: the same number gives the same days"
        value={seed}
        min={0}
        max={999999}
        step={1}
        hideSteppers
        on:change={({ detail }) => {
          if (typeof detail === 'number' && Number.isInteger(detail) && detail !== seed)
            onseed(detail);
        }}
      />
      {#if running}
        <ProgressBar
          size="sm"
          labelText="{days?.days ?? 0} of {(days?.of ?? 1000).toLocaleString()}"
          value={days?.days ?? 0}
          max={days?.of ?? 1000}
        />
        <Button size="small" kind="tertiary" on:click={onstop}>Stop</Button>
      {:else}
        <Button size="small" kind="tertiary" on:click={onrun}>Run again</Button>
        {#if days && days.days > 0}
          <Button size="small" kind="ghost" on:click={() => onday(days.middleDay)}
            >Look at a middling day</Button
          >
          <Button size="small" kind="ghost" on:click={() => onday(days.worstDay)}
            >Look at the worst</Button
          >
        {/if}
        {#if stopped}<span class="soft">Stopped after {days?.days ?? 0} days.</span>{/if}
      {/if}
    </div>
  </div>
</section>

<style>
  section {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 1.1fr);
    gap: 1.2rem;
    padding: 0.8rem 1rem;
  }

  h3 {
    margin-top: 0.5rem;
    font-size: 0.8125rem;
  }

  .soft {
    font-weight: 400;
  }

  .columns {
    display: grid;
    grid-template-columns: repeat(7, minmax(0, 1fr));
    gap: 0.4rem;
    align-items: end;
    margin-top: 0.6rem;
    text-align: center;
    font-size: 0.75rem;
  }

  .columns > div {
    display: grid;
    gap: 0.1rem;
  }

  .stack {
    display: flex;
    flex-flow: row-reverse wrap-reverse;
    justify-content: center;
    min-height: 1rem;
    border-bottom: 1.5px solid var(--ink-soft);
    color: var(--brick);
    line-height: 0.62rem;
  }

  .stack.none {
    color: var(--moss);
  }

  .stack i {
    width: 0.55rem;
    font-style: normal;
    font-size: 0.6875rem;
  }

  .whole {
    color: var(--moss);
  }

  .head {
    display: flex;
    flex-wrap: wrap;
    gap: 0.6rem 1.2rem;
    justify-content: space-between;
    font-size: 0.8125rem;
  }

  .big {
    color: var(--brick);
    font-family: var(--display);
    font-size: 1.6rem;
  }

  .big.whole {
    color: var(--moss);
  }

  .cloth {
    fill: var(--moss);
    opacity: 0.18;
  }

  .edge {
    fill: none;
    stroke: var(--moss);
    stroke-width: 1.4;
  }

  svg text {
    fill: var(--ink-soft);
    font-size: 10px;
  }

  .bar {
    display: flex;
    gap: 2px;
    height: 1.1rem;
    margin: 0.25rem 0;
  }

  .bar span {
    min-width: 2px;
    border-radius: 3px;
    box-shadow: inset 0 -3px 0 -1.5px rgb(255 255 255 / 40%);
  }

  .blames {
    display: flex;
    flex-wrap: wrap;
    gap: 0.15rem 0.9rem;
    padding: 0;
    margin: 0;
    list-style: none;
    font-size: 0.75rem;
  }

  .blames i {
    display: inline-block;
    width: 0.6rem;
    height: 0.6rem;
    margin-right: 0.3rem;
    border-radius: 2px;
  }

  .foot {
    display: flex;
    flex-wrap: wrap;
    gap: 0.5rem 0.8rem;
    align-items: end;
    margin-top: 0.7rem;
  }

  .foot > :global(.bx--form-item) {
    flex: 0 1 14rem;
  }

  .foot > :global(.bx--progress-bar) {
    flex: 1 1 8rem;
  }

  @media (max-width: 820px) {
    section {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
