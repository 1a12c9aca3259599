<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import type { Act } from '../../core/acts/act';
  import { figureWords, lengthWords } from '../../core/figures/figure-words';
  import { figureTable } from '../../core/figures/table';
  import type { AngleJudgement } from '../../core/judge/incremental';
  import type { Judgement } from '../../core/judge/judgement';
  import type { Project, UnitSystem } from '../../core/model/project';
  import type { Shelf } from '../../core/model/shelf';
  import { type BestSpot, seekBestSpot, type SpotGoal, spotGoals } from '../../core/set/best-spot';

  /** Where the camera would stand best for one want, without a finding that is not there now. */
  interface Props {
    project: Project;
    shelf: Shelf;
    judgement: Judgement;
    judged: AngleJudgement;
    units: UnitSystem;
    onact: (act: Act) => void;
  }
  const { project, shelf, judgement, judged, units, onact }: Props = $props();

  /** What was asked for and when: an answer to another state of the project is no answer. */
  let answer = $state.raw<
    { goal: SpotGoal; of: AngleJudgement; spot: BestSpot | undefined } | undefined
  >(undefined);
  const shown = $derived(answer?.of === judged ? answer : undefined);
  const goals = Object.keys(spotGoals) as SpotGoal[];
  /** So long at a time, and then the page may draw. */
  const SLICE_MS = 10;
  let asked = 0;
  async function seek(goal: SpotGoal) {
    const mine = (asked += 1);
    const of = judged;
    const seeking = seekBestSpot(project, shelf, judgement, of, goal);
    for (;;) {
      const end = performance.now() + SLICE_MS;
      let step = seeking.next();
      while (!step.done && performance.now() < end) step = seeking.next();
      if (step.done) {
        answer = { goal, of, spot: step.value };
        return;
      }
      await new Promise((resolve) => setTimeout(resolve));
      if (mine !== asked || of !== judged) return;
    }
  }

  const say = (spot: BestSpot, value: number) =>
    figureWords(value, figureTable[spotGoals[spot.goal].figure].unit, units);
</script>

<section class="card" aria-label="Best spot">
  <h2>Best spot for the camera</h2>
  <div class="goals">
    {#each goals as goal (goal)}
      <Button
        size="small"
        kind={shown?.goal === goal ? 'secondary' : 'tertiary'}
        on:click={() => void seek(goal)}>{goal}</Button
      >
    {/each}
  </div>
  {#if shown}
    <div role="status">
      {#if !shown.spot}
        <p>
          Nothing can be said of it here: a figure it needs is missing, or no place is free of new
          findings.
        </p>
      {:else}
        {@const { spot } = shown}
        <p>
          <b class="figures">{lengthWords(spot.distanceM, units)}</b> from lens to subject: {say(
            spot,
            spot.value
          )}{#if spot.before !== undefined}, now {say(spot, spot.before)}{/if}.
          {#if spot.bindsBy}<span class="soft">A centimetre on: {spot.bindsBy}</span>{/if}
        </p>
        {#if Math.abs(spot.distanceM - judged.angle.distanceM) > 0.004}
          <Button size="small" on:click={() => onact(spot.act)}>Put the camera there</Button>
        {/if}
      {/if}
    </div>
  {/if}
</section>

<style>
  .card {
    padding: 0.7rem 0.9rem 0.8rem;
  }

  h2 {
    margin-bottom: 0.3rem;
  }

  .goals {
    display: flex;
    flex-wrap: wrap;
    gap: 0.3rem;
  }

  p {
    padding: 0.5rem 0;
    font-size: 0.8125rem;
  }

  .soft {
    font-size: inherit;
  }
</style>
