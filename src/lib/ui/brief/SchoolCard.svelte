<script lang="ts">
  import type { Act } from '../../core/acts/act';
  import { judgePlan, type Judgement } from '../../core/judge/judge-plan';
  import { schools } from '../../core/merit/schools';
  import { activePlan, type Project, type SchoolId, schoolIds } from '../../core/model/project';
  import type { Shelf } from '../../core/model/shelf';

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
  const points = (low: number) => Math.round(low);
</script>

<div class="card school">
  <div class="pills" role="radiogroup" aria-label="School of thought">
    {#each schoolIds as id (id)}
      <label
        class:on={project.school === id}
        onmouseenter={() => (looked = id)}
        onmouseleave={() => (looked = undefined)}
      >
        <input
          type="radio"
          name="school"
          checked={project.school === id}
          onfocus={() => (looked = id)}
          onblur={() => (looked = undefined)}
          onchange={() => onact({ type: 'set project', patch: { school: id } })}
        />
        {schools[id].name}
      </label>
    {/each}
  </div>
  <div class="sides">
    <p><b>They say</b> — {schools[shown].says}</p>
    <p><b>Others answer</b> — {schools[shown].othersAnswer}</p>
    <p>
      <b class="here">Here</b> —
      {#if otherwise}
        by <i>{schools[shown].name.toLowerCase()}</i> this kit reads
        {#each project.scenes as scene, at (scene.id)}
          {at > 0 ? ', ' : ''}{scene.name}
          <span class="figures"
            >{points(judgement.merit.scenes[at]!.low)} → {points(otherwise.scenes[at]!.low)}</span
          >
        {/each}.
      {:else}
        pockets are filled in this order: {schools[shown].pocketOrder.join(', ')}.
      {/if}
    </p>
  </div>
</div>

<style>
  .school {
    padding: 0.9rem 1rem;
  }

  .pills {
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

  .here {
    color: var(--moss);
  }
</style>
