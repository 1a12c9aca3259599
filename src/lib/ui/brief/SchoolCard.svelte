<script lang="ts">
  import { RadioButton, RadioButtonGroup, Slider } from 'carbon-components-svelte';
  import type { Act } from '../../core/acts/act';
  import { judgePlan } from '../../core/judge/judge-plan';
  import type { Judgement } from '../../core/judge/judgement';
  import { verdictsUnderSchools } from '../../core/judge/verdicts';
  import { axes, type Axis } from '../../core/merit/axis-curves';
  import { schools, weightsOf } from '../../core/merit/schools';
  import type { Project, SchoolId } from '../../core/model/project';
  import { activePlan } from '../../core/model/active-plan';
  import { schoolIds } from '../../core/model/word-lists';
  import type { Shelf } from '../../core/model/shelf';
  import Fold from '../shell/Fold.svelte';

  interface Props {
    project: Project;
    shelf: Shelf;
    judgement: Judgement;
    onact: (act: Act) => void;
  }
  const { project, shelf, judgement, onact }: Props = $props();
  let looked = $state<SchoolId | undefined>(undefined);
  const shown = $derived(looked ?? project.school);
  /** The same kit under another school: only the weights differ. */
  const otherwise = $derived(
    shown === project.school
      ? undefined
      : judgePlan({ ...project, school: shown }, activePlan(project), shelf).merit
  );
  let weighing = $state(false);
  $effect(() => {
    if (project.ownWeights !== undefined) weighing = true;
  });
  const weights = $derived(weightsOf(project));
  const verdicts = $derived(verdictsUnderSchools(project, activePlan(project), shelf, judgement));
  /** Carbon tells of a value it is given as of one that was chosen. */
  function weigh(axis: Axis, weight: number) {
    if (weight !== weights[axis])
      onact({ type: 'set project', patch: { ownWeights: { ...weights, [axis]: weight } } });
  }
  const points = (low: number) => Math.round(low);
</script>

<div class="card school">
  <div class="schools">
    <RadioButtonGroup
      class="pills"
      legendText="Priorities"
      hideLegend
      name="school"
      selected={project.school}
      on:change={({ detail }) => {
        if (detail !== undefined && detail !== project.school)
          onact({ type: 'set project', patch: { school: detail } });
      }}
    >
      {#each schoolIds as id (id)}
        <RadioButton
          value={id}
          labelText={schools[id].name}
          onmouseenter={() => (looked = id)}
          onmouseleave={() => (looked = undefined)}
          on:focus={() => (looked = id)}
          on:blur={() => (looked = undefined)}
        />
      {/each}
    </RadioButtonGroup>
  </div>
  <div class="sides">
    <p><b>They say</b> — {schools[shown].says}</p>
    <p><b>Others answer</b> — {schools[shown].othersAnswer}</p>
    <p>
      <b class="here">Here</b> —
      {#if otherwise}
        by <i>{schools[shown].name.toLowerCase()}</i> this kit reads
        {#each project.scenes as scene, index (scene.id)}
          {index > 0 ? ', ' : ''}{scene.name}
          <span class="figures"
            >{points(judgement.merit.scenes[index]!.low)} → {points(
              otherwise.scenes[index]!.low
            )}</span
          >
        {/each}.
      {:else}
        pockets are filled in this order: {schools[shown].pocketOrder.join(', ')}.
      {/if}
    </p>
  </div>
  <div class="all">
    <Fold title="What all six say of this kit">
      <ul class="verdicts">
        {#each verdicts as { school, merit } (school)}
          <li class:own={school === project.school}>
            {schools[school].name}
            <b class="figures">{points(merit.onceSettledHundredths / 100)}</b>
            <span class="soft">
              {project.scenes
                .map((scene, index) => `${scene.name} ${points(merit.scenes[index]!.low)}`)
                .join(' · ')}
            </span>
          </li>
        {/each}
      </ul>
      <p class="soft">
        Once what blocks it is solved; each set of priorities weighs the same figures otherwise.
      </p>
    </Fold>
    <Fold title="Weigh it my own way" bind:open={weighing}>
      <div class="weights">
        {#each axes as axis (axis)}
          <Slider
            labelText="Weight of {axis}"
            min={0}
            max={60}
            value={weights[axis]}
            fullWidth
            on:change={({ detail }) => weigh(axis, detail)}
          />
        {/each}
      </div>
      {#if axes.every((axis) => weights[axis] === 0)}
        <p class="soft">With every weight at zero the seven count alike.</p>
      {/if}
      {#if project.ownWeights}
        <button
          class="text-button back"
          onclick={() => onact({ type: 'set project', patch: { ownWeights: undefined } })}
          >take the standard weights again</button
        >
      {/if}
    </Fold>
  </div>
</div>

<style>
  .school {
    padding: 0.9rem 1rem;
  }

  .schools {
    padding-bottom: 0.7rem;
    border-bottom: 1px dashed var(--line);
  }

  .sides {
    display: grid;
    gap: 0.25rem;
    padding-top: 0.6rem;
    font-size: 0.8125rem;
  }

  .sides b {
    font-family: var(--display);
  }

  .all {
    padding-top: 0.6rem;
    font-size: 0.8125rem;
  }

  .all ul {
    display: grid;
    gap: 0.15rem;
    margin: 0.3rem 0;
    padding: 0;
    list-style: none;
  }

  .own {
    font-weight: 600;
  }

  .soft {
    font-size: inherit;
    font-weight: 400;
  }

  .weights {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(15rem, 1fr));
    gap: 0.2rem 1.2rem;
    margin-top: 0.4rem;
  }

  .back {
    margin-top: 0.3rem;
  }

  .here {
    color: var(--moss);
  }
</style>
