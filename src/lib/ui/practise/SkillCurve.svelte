<script lang="ts">
  import { scaleLinear } from 'd3-scale';
  import { line } from 'd3-shape';
  import type { SkillState } from '../../core/practise/schedule';
  import { dayWords } from '../shell/day-words';

  /** Scores of one skill, attempt by attempt, and when it is due again. */
  const { state, now }: { state: SkillState; now: number } = $props();
  const width = 150;
  const height = 34;
  const scores = $derived(state.attempts.slice(-20).map(({ score }) => score));
  const x = $derived(scaleLinear([0, Math.max(1, scores.length - 1)], [5, width - 5]));
  const y = scaleLinear([0, 100], [height - 5, 5]);
  const path = $derived(
    line<number>(
      (_, index) => x(index),
      (score) => y(score)
    )(scores) ?? ''
  );
  const words = $derived(
    scores.length === 0
      ? 'not tried yet'
      : `${state.attempts.length} ${state.attempts.length === 1 ? 'attempt' : 'attempts'}, last ${scores.at(-1)} of 100, level ${state.level}, ${state.dueAt <= now ? 'due now' : `due ${dayWords(new Date(state.dueAt).toISOString().slice(0, 10))}`}`
  );
</script>

<li>
  <span class="name">{state.skill}</span>
  <svg
    {width}
    {height}
    viewBox="0 0 {width} {height}"
    role="img"
    aria-label="{state.skill}: {words}"
  >
    <path d="M5 {y(75)}H{width - 5}" class="good" />
    <path d={path} class="curve" />
    {#each scores as score, index (index)}<circle cx={x(index)} cy={y(score)} r="2.6" />{/each}
  </svg>
  <span class="soft">{words}</span>
</li>

<style>
  li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 0 0.6rem;
    align-items: center;
    font-size: 0.8125rem;
  }

  .soft {
    grid-column: 1 / -1;
  }

  .name {
    font-weight: 600;
  }

  .name::first-letter {
    text-transform: uppercase;
  }

  .good {
    stroke: var(--line);
    stroke-dasharray: 3 3;
  }

  .curve {
    fill: none;
    stroke: var(--moss);
    stroke-width: 1.6px;
  }

  circle {
    fill: var(--moss);
  }
</style>
