<script lang="ts">
  import type { Snippet } from 'svelte';
  import { max } from 'd3-array';
  import { scaleLinear, scaleTime } from 'd3-scale';
  import { curveStepAfter, area } from 'd3-shape';
  import { formatMoney } from '../../core/money/format';
  import type { BuyingStep } from '../../core/ledger/steps';
  import type { Saved } from '../../core/money/savings';
  import { dayWords } from '../shell/day-words';
  import Fold from '../shell/Fold.svelte';
  import MoneyInput from '../buying/MoneyInput.svelte';
  import { fullName } from '../../core/model/gear';
  import { allowLineDrop, droppedLine, startLineDrag } from '../drag/line-drag';
  import type { Step } from '../../core/model/plan';

  /** Now, next and later: what each takes, the day there is money for it, and what one can film by then. */
  interface Props {
    buying: readonly BuyingStep[];
    savings: readonly Saved[];
    currency: string;
    inHandMinor: number | undefined;
    perMonthMinor: number | undefined;
    today: string;
    onset: (patch: { inHandMinor?: number; savedPerMonthMinor?: number }) => void;
    onstep: (lineId: string, step: Step) => void;
    /** What comes in besides, under the two amounts. */
    children?: Snippet;
  }
  const {
    buying,
    savings,
    currency,
    inHandMinor,
    perMonthMinor,
    today,
    onset,
    onstep,
    children
  }: Props = $props();
  const say = (minor: number) => formatMoney(minor, currency);
  const stepNames = { now: 'Now', next: 'Next', later: 'Later' } as const;
  const order = ['now', 'next', 'later'] as const;
  let overStep = $state<Step | undefined>(undefined);

  const WIDE = 330;
  const HIGH = 130;
  const x = $derived(
    scaleTime([new Date(savings[0]!.day), new Date(savings.at(-1)!.day)], [8, WIDE - 70])
  );
  const y = $derived(
    scaleLinear(
      [
        0,
        Math.max(
          1,
          max(savings, ({ minor }) => minor) ?? 0,
          max(buying, (step) => step.togetherMinor) ?? 0
        )
      ],
      [HIGH - 18, 10]
    )
  );
  const path = $derived(
    area<Saved>()
      .x(({ day }) => x(new Date(day)))
      .y0(HIGH - 18)
      .y1(({ minor }) => y(minor))
      .curve(curveStepAfter)(savings) ?? ''
  );
  const words = $derived(
    buying
      .map(
        ({ step, toPayMinor, reachedOn }) =>
          `${step}: ${say(toPayMinor)}, ${reachedOn === undefined ? 'not reached' : reachedOn === today ? 'reached today' : `on ${dayWords(reachedOn)}`}`
      )
      .join('; ')
  );
</script>

<section class="card" aria-label="In steps">
  <h2>In steps: what is still to pay</h2>
  <div class="fields">
    <MoneyInput
      label="I have"
      value={inHandMinor}
      {currency}
      onset={(minor) => onset({ inHandMinor: minor })}
    />
    <MoneyInput
      label="I save a month"
      value={perMonthMinor}
      {currency}
      onset={(minor) => onset({ savedPerMonthMinor: minor })}
    />
  </div>
  {@render children?.()}
  <ul class="bags">
    {#each buying as buyingStep (buyingStep.step)}
      <li
        class={buyingStep.step}
        class:over={overStep === buyingStep.step}
        data-step={buyingStep.step}
        ondragenter={(event) => void allowLineDrop(event)}
        ondragover={(event) => {
          if (allowLineDrop(event)) overStep = buyingStep.step;
        }}
        ondragleave={() => (overStep = undefined)}
        ondrop={(event) => {
          overStep = undefined;
          const lineId = droppedLine(event);
          if (lineId !== undefined) onstep(lineId, buyingStep.step);
        }}
      >
        <b>{stepNames[buyingStep.step]}</b>
        <span class="sum figures">{say(buyingStep.toPayMinor)}</span>
        <span class="soft"
          >{buyingStep.toPayMinor === 0
            ? 'nothing to pay'
            : buyingStep.reachedOn === undefined
              ? 'not reached by saving'
              : buyingStep.reachedOn === today
                ? 'there is money for it'
                : `on ${dayWords(buyingStep.reachedOn)}`}</span
        >
        {#if buyingStep.lines.length > 0}<span class="films"
            >{buyingStep.works.length === 0
              ? 'no scene works yet'
              : `${buyingStep.works.join(', ')} ${buyingStep.works.length === 1 ? 'works' : 'work'}`}</span
          >{/if}
        <Fold title="{buyingStep.lines.length} {buyingStep.lines.length === 1 ? 'line' : 'lines'}">
          <ul class="lines">
            {#each buyingStep.lines as { line, gear } (line.id)}
              <li draggable="true" ondragstart={(event) => startLineDrag(event, line.id)}>
                <span>{gear ? fullName(gear) : line.gearId}</span>
                {#each order.filter((step) => step !== buyingStep.step) as step (step)}
                  <button class="text-button" onclick={() => onstep(line.id, step)}
                    ><span class="unseen">{gear ? gear.model : line.gearId}</span> to {step}</button
                  >
                {/each}
              </li>
            {/each}
          </ul>
        </Fold>
      </li>
    {/each}
  </ul>
  <svg
    width="100%"
    viewBox="0 0 {WIDE} {HIGH}"
    role="img"
    aria-label="Savings against the steps. {words}"
  >
    <path d={path} class="saved" />
    {#each buying.filter(({ toPayMinor }) => toPayMinor > 0) as step (step.step)}
      <path d="M8 {y(step.togetherMinor)}H{WIDE - 68}" class="level" />
      <text x={WIDE - 64} y={y(step.togetherMinor) + 4}
        >{stepNames[step.step]} {formatMoney(step.togetherMinor, currency, { short: true })}</text
      >
      {#if step.reachedOn !== undefined}<circle
          cx={x(new Date(step.reachedOn))}
          cy={y(step.togetherMinor)}
          r="4.5"
        />{/if}
    {/each}
    <text x="8" y={HIGH - 4}>{dayWords(today)}</text>
    <text x={WIDE - 70} y={HIGH - 4} text-anchor="end">{dayWords(savings.at(-1)!.day)}</text>
  </svg>
</section>

<style>
  .card {
    padding: 0.8rem 1rem;
  }

  h2 {
    margin-bottom: 0.4rem;
  }

  .fields {
    display: grid;
    grid-template-columns: repeat(2, minmax(0, 1fr));
    gap: 0.7rem;
  }

  .bags {
    display: grid;
    grid-template-columns: repeat(3, minmax(0, 1fr));
    gap: 0.5rem;
    margin: 0.8rem 0 0.5rem;
    padding: 0;
    list-style: none;
  }

  .bags > li {
    display: grid;
    gap: 0.1rem;
    align-content: start;
    padding: 0.9rem 0.5rem 0.6rem;
    border: 2px solid var(--tan-line);
    border-radius: 14px 14px 26px 26px / 10px 10px 20px 20px;
    background: var(--tan);
    font-size: 0.75rem;
    text-align: center;
    box-shadow: inset 0 9px 0 -7px var(--thread);
  }

  .bags > li.next {
    background: color-mix(in srgb, var(--tan) 55%, var(--paper));
  }

  .bags > li.later {
    border-style: dashed;
    background: var(--paper);
  }

  .bags > li.over {
    outline: 2px dashed var(--moss);
  }

  .bags b {
    font-family: var(--display);
    font-size: 0.95rem;
  }

  .sum {
    font-family: var(--display);
    font-size: 1.05rem;
    font-weight: 600;
  }

  .films {
    color: var(--moss);
    font-weight: 600;
  }

  .lines {
    display: grid;
    gap: 0.3rem;
    padding: 0.3rem 0;
    text-align: left;
    list-style: none;
  }

  .lines li {
    display: flex;
    flex-wrap: wrap;
    gap: 0.1rem 0.5rem;
  }

  .soft {
    color: var(--ink);
  }

  /* One under the other: three side by side leave no room for the names of parts. */
  @media (max-width: 480px) {
    .bags {
      grid-template-columns: 1fr;
    }

    .lines li {
      gap: 0 1rem;
      align-items: center;
      min-height: 2.75rem;
    }

    .lines li > span {
      flex: 1;
    }
  }

  .saved {
    fill: var(--moss-wash);
    stroke: var(--moss);
    stroke-width: 1.6px;
  }

  .level {
    stroke: var(--ink-soft);
    stroke-dasharray: 4 3;
  }

  circle {
    fill: var(--paper);
    stroke: var(--moss);
    stroke-width: 2px;
  }

  text {
    fill: var(--ink);
    font-size: 10.5px;
  }
</style>
