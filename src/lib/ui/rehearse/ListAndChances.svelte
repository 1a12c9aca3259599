<script lang="ts">
  import { Checkbox, NumberInput } from 'carbon-components-svelte';
  import type { Act } from '../../core/acts/act';
  import type { Project } from '../../core/model/project';
  import type { ChanceId, HabitId } from '../../core/model/rehearsal';
  import { habits } from '../../core/model/habits';
  import { chances } from '../../core/rehearse/chances';
  import { lessonsOf } from '../../core/rehearse/logbook';
  import { rehearsing } from '../../core/rehearse/what-saves';

  /** What stands on the lists one carries, and how likely it is that something happens all the same. */
  interface Props {
    project: Project;
    onact: (act: Act) => void;
  }
  const { project, onact }: Props = $props();

  const kept = $derived(new Set(project.rehearsal?.habits));
  const lessons = $derived(
    new Map(lessonsOf(project).chances.map((chance) => [chance.chance, chance]))
  );
  const ids = Object.keys(chances) as ChanceId[];
  const habitIds = Object.keys(habits) as HabitId[];
  const percentOf = (id: ChanceId) =>
    project.rehearsal?.chances?.find(({ chance }) => chance === id)?.percent ?? chances[id].percent;

  function keep(habit: HabitId, is: boolean) {
    const list = habitIds.filter((other) => (other === habit ? is : kept.has(other)));
    onact(rehearsing(project, { habits: list }));
  }
  function setPercent(chance: ChanceId, percent: number) {
    const others = (project.rehearsal?.chances ?? []).filter((other) => other.chance !== chance);
    onact(
      rehearsing(project, {
        chances: percent === chances[chance].percent ? others : [...others, { chance, percent }]
      })
    );
  }
</script>

<div class="both">
  <fieldset>
    <legend>On my lists</legend>
    {#each habitIds as habit (habit)}
      <Checkbox
        checked={kept.has(habit)}
        labelText={habits[habit].line}
        helperText="{habits[habit].when === 'evening' ? 'Evening' : 'Pre-roll'} list"
        on:check={({ detail }) => {
          if (detail !== kept.has(habit)) keep(habit, detail);
        }}
      />
    {/each}
  </fieldset>
  <div>
    <h3>How likely</h3>
    <ul>
      {#each ids as id (id)}
        {@const { per, does, reason } = chances[id]}
        {@const lesson = lessons.get(id)}
        <li>
          <NumberInput
            size="sm"
            labelText="{id}, %"
            value={percentOf(id)}
            min={0}
            max={100}
            step={0.1}
            hideSteppers
            invalidText="From 0 to 100."
            on:change={({ detail }) => {
              if (
                typeof detail === 'number' &&
                detail >= 0 &&
                detail <= 100 &&
                detail !== percentOf(id)
              )
                setPercent(id, detail);
            }}
          />
          <span
            >Of each {per}: {does}.
            <span class="soft">Usual {chances[id].percent} %: {reason}.</span>
            {#if lesson}<b class="figures"
                >Your {lesson.happened} in {Math.round(lesson.opportunities)} make it {lesson.afterPercent.toFixed(
                  1
                )} %.</b
              >{/if}</span
          >
        </li>
      {/each}
    </ul>
  </div>
</div>

<style>
  .both {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 1.6fr);
    gap: 1.2rem;
    font-size: 0.8125rem;
  }

  fieldset {
    border: 0;
    padding: 0;
  }

  legend,
  h3 {
    font-size: 0.875rem;
    font-weight: 600;
  }

  ul {
    padding: 0;
    margin: 0;
    list-style: none;
  }

  li {
    display: grid;
    grid-template-columns: 10.5rem minmax(0, 1fr);
    gap: 0.8rem;
    align-items: center;
    padding: 0.35rem 0;
    border-bottom: 1px dashed var(--line);
  }

  .soft {
    font-size: inherit;
  }

  @media (max-width: 820px) {
    .both,
    li {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
