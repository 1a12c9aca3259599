<script lang="ts">
  import { Button, NumberInput, TextInput } from 'carbon-components-svelte';
  import type { Act } from '../../core/acts/act';
  import { MOST_DAYS_IN_A_ROW } from '../../core/model/limits';
  import type { Project } from '../../core/model/project';
  import type { Rehearsal } from '../../core/model/rehearsal';
  import type { DayPlan } from '../../core/rehearse/planned-day';
  import { rehearsing } from '../../core/rehearse/what-saves';
  import { minuteOf, timeOf } from './clock-words';

  /** When the day begins and ends, and in how many takes each scene comes. */
  interface Props {
    project: Project;
    plan: DayPlan;
    onact: (act: Act) => void;
  }
  const { project, plan, onact }: Props = $props();

  const set = (patch: Partial<Rehearsal>) => onact(rehearsing(project, patch));
  const times = $derived([
    { key: 'startsAtMin', label: 'Out of the house at', value: plan.startsAtMin },
    { key: 'lunchAtMin', label: 'Lunch from', value: plan.lunchAtMin },
    { key: 'endsAtMin', label: 'No take begins after', value: plan.endsAtMin }
  ] as const);
  function move(index: number, by: number) {
    const order = plan.scenes.map(({ id }) => id);
    const [id] = order.splice(index, 1);
    order.splice(index + by, 0, id!);
    set({ sceneOrder: order });
  }
  const number = (detail: unknown): number | undefined =>
    typeof detail === 'number' && Number.isFinite(detail) ? detail : undefined;
</script>

<div class="frame">
  <div class="times">
    {#each times as { key, label, value } (key)}
      <TextInput
        size="sm"
        type="time"
        labelText={label}
        value={timeOf(value)}
        on:change={({ detail }) => {
          const minute = minuteOf(String(detail ?? ''));
          if (minute !== undefined && minute !== value) set({ [key]: minute });
        }}
      />
    {/each}
    <NumberInput
      size="sm"
      labelText="Lunch, min"
      value={plan.lunchMin}
      min={0}
      max={240}
      hideSteppers
      on:change={({ detail }) => {
        const lunchMin = number(detail);
        if (lunchMin !== undefined && lunchMin !== plan.lunchMin) set({ lunchMin });
      }}
    />
    {#if plan.hasSocketAtNight}
      <NumberInput
        size="sm"
        labelText="Days in a row, a socket each night"
        value={plan.days}
        min={1}
        max={MOST_DAYS_IN_A_ROW}
        invalidText="From 1 to {MOST_DAYS_IN_A_ROW} days."
        hideSteppers
        on:change={({ detail }) => {
          const daysInARow = Math.round(number(detail) ?? plan.days);
          if (daysInARow !== plan.days && daysInARow >= 1 && daysInARow <= MOST_DAYS_IN_A_ROW)
            set({ daysInARow });
        }}
      />
    {/if}
  </div>
  {#each plan.scenes as { id, name, takes, takeMin, pauseMin, carryMin, notBeforeMin }, index (id)}
    <fieldset>
      <legend>{name}: {takes} × {takeMin.toFixed(1)} min</legend>
      {#each [{ key: 'takes', label: 'Takes', value: takes, min: 1, max: 400 }, { key: 'pauseMin', label: 'Between two, min', value: pauseMin, min: 0, max: 240 }, { key: 'carryMin', label: 'Way there, min', value: carryMin, min: 0, max: 480 }] as const as field (field.key)}
        <NumberInput
          size="sm"
          labelText={field.label}
          value={field.value}
          min={field.min}
          max={field.max}
          hideSteppers
          invalidText="From {field.min} to {field.max}."
          on:change={({ detail }) => {
            const typed = number(detail);
            if (
              typed !== undefined &&
              typed !== field.value &&
              typed >= field.min &&
              typed <= field.max
            )
              onact({
                type: 'change scene',
                sceneId: id,
                patch: { [field.key]: field.key === 'takes' ? Math.round(typed) : typed }
              });
          }}
        />
      {/each}
      <TextInput
        size="sm"
        type="time"
        labelText="Not before"
        value={notBeforeMin > 0 ? timeOf(notBeforeMin) : ''}
        on:change={({ detail }) => {
          const minute = minuteOf(String(detail ?? '')) ?? 0;
          if (minute !== notBeforeMin)
            onact({ type: 'change scene', sceneId: id, patch: { notBeforeMin: minute } });
        }}
      />
      {#if plan.scenes.length > 1}
        <Button size="small" kind="ghost" disabled={index === 0} on:click={() => move(index, -1)}
          >Earlier<span class="unseen">: {name}</span></Button
        >
        <Button
          size="small"
          kind="ghost"
          disabled={index === plan.scenes.length - 1}
          on:click={() => move(index, 1)}>Later<span class="unseen">: {name}</span></Button
        >
      {/if}
    </fieldset>
  {/each}
</div>

<style>
  .frame {
    display: grid;
    gap: 0.8rem;
  }

  .times,
  fieldset {
    display: flex;
    flex-wrap: wrap;
    gap: 0.6rem;
    align-items: end;
  }

  fieldset {
    padding: 0.4rem 0 0;
    border: 0;
    border-top: 1px dashed var(--line);
  }

  legend {
    padding-right: 0.5rem;
    font-size: 0.8125rem;
    font-weight: 600;
  }

  .frame :global(.bx--form-item) {
    flex: 0 1 9rem;
  }
</style>
