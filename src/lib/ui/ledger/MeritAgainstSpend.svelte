<script lang="ts">
  import { extent } from 'd3-array';
  import { scaleLinear } from 'd3-scale';
  import { formatMoney } from '../../core/money/format';
  import type { ComparedPlan } from '../../core/ledger/compare-plans';

  /** What each plan is worth, all stops settled, against what it costs. */
  interface Props {
    plans: readonly ComparedPlan[];
    currency: string;
    spendableMinor: number;
  }
  const { plans, currency, spendableMinor }: Props = $props();
  const WIDE = 360;
  const HIGH = 170;
  const worth = ({ judgement }: ComparedPlan) => judgement.merit.onceSettledHundredths / 100;
  const cost = ({ judgement }: ComparedPlan) => judgement.money.firmMinor;
  const x = $derived(
    scaleLinear([0, Math.max(spendableMinor, ...plans.map(cost), 1) * 1.08], [34, WIDE - 20]).nice()
  );
  const y = $derived.by(() => {
    const [low = 0, high = 100] = extent(plans, worth);
    return scaleLinear([Math.max(0, low - 4), Math.min(100, high + 4)], [HIGH - 26, 18]).nice();
  });
  const words = $derived(
    plans
      .map(
        (plan) =>
          `${plan.plan.name}: worth ${worth(plan).toFixed(0)} for ${formatMoney(cost(plan), currency)}${plan.judgement.merit.stops > 0 ? ', once unblocked' : ''}`
      )
      .join('; ')
  );
</script>

<svg width="100%" viewBox="0 0 {WIDE} {HIGH}" role="img" aria-label="Worth against cost. {words}">
  <path d="M{x(spendableMinor)} 10V{HIGH - 24}" class="budget" />
  <text x={x(spendableMinor) - 4} y="14" text-anchor="end">budget</text>
  {#each y.ticks(4) as tick (tick)}
    <path d="M34 {y(tick)}H{WIDE - 20}" class="rule" />
    <text x="30" y={y(tick) + 4} text-anchor="end">{tick}</text>
  {/each}
  {#each x.ticks(4) as tick (tick)}<text x={x(tick)} y={HIGH - 8} text-anchor="middle"
      >{formatMoney(tick, currency, { short: true })}</text
    >{/each}
  {#each plans as plan, index (plan.plan.id)}
    <circle
      cx={x(cost(plan))}
      cy={y(worth(plan))}
      r="7"
      class:hollow={plan.judgement.merit.stops > 0}
    />
    <text
      x={x(cost(plan))}
      y={y(worth(plan)) + (index % 2 === 0 ? -12 : 20)}
      text-anchor="middle"
      class="name">{plan.plan.name}</text
    >
  {/each}
</svg>

<style>
  .budget {
    stroke: var(--brick);
    stroke-dasharray: 4 3;
  }

  .rule {
    stroke: var(--line);
  }

  circle {
    fill: var(--moss);
    stroke: var(--moss);
    stroke-width: 2px;
  }

  circle.hollow {
    fill: var(--paper);
  }

  text {
    fill: var(--ink-soft);
    font-size: 10.5px;
  }

  .name {
    fill: var(--ink);
    font-weight: 600;
    paint-order: stroke;
    stroke: var(--paper);
    stroke-width: 3px;
  }
</style>
