<script lang="ts">
  import { untrack } from 'svelte';
  import { Button, NumberInput, TextArea, TextInput } from 'carbon-components-svelte';
  import type { GearItem } from '../../core/model/gear';
  import type { DayLog } from '../../core/model/rehearsal';

  /** One page of the logbook: what was reckoned stands there, what really was is typed over it. */
  interface Props {
    log: DayLog;
    gearOfLine: (lineId: string) => GearItem | undefined;
    onkeep: (log: DayLog) => void;
    oncancel: () => void;
  }
  const { log, gearOfLine, onkeep, oncancel }: Props = $props();

  let draft = $state(untrack(() => structuredClone($state.snapshot(log))));
  const isDay = $derived(
    /^\d{4}-\d{2}-\d{2}$/.test(draft.date) && !Number.isNaN(Date.parse(draft.date))
  );
  const tooMany = $derived(draft.takesLost > draft.takes);
  const number = (detail: unknown, most: number): number | undefined =>
    typeof detail === 'number' && Number.isFinite(detail) && detail >= 0 && detail <= most
      ? detail
      : undefined;

  function keep() {
    if (!isDay || tooMany) return;
    const { note, ...rest } = $state.snapshot(draft);
    onkeep({ ...rest, ...(note === undefined || note.trim() === '' ? {} : { note }) });
  }
</script>

<form
  class="card"
  aria-label="A day of the logbook"
  onsubmit={(event) => {
    event.preventDefault();
    keep();
  }}
>
  <h2>{draft.scenes}</h2>
  <div class="row">
    <TextInput
      size="sm"
      type="date"
      labelText="Filmed on"
      invalid={!isDay}
      invalidText="A day, as 2026-11-24."
      value={draft.date}
      on:change={({ detail }) => (draft.date = String(detail ?? ''))}
    />
    <NumberInput
      size="sm"
      labelText="Takes"
      value={draft.takes}
      min={0}
      max={10000}
      hideSteppers
      on:change={({ detail }) => (draft.takes = Math.round(number(detail, 10_000) ?? draft.takes))}
    />
    <NumberInput
      size="sm"
      labelText="Takes lost"
      value={draft.takesLost}
      min={0}
      max={10000}
      invalid={tooMany}
      invalidText="No more than were made."
      hideSteppers
      on:change={({ detail }) =>
        (draft.takesLost = Math.round(number(detail, 10_000) ?? draft.takesLost))}
    />
    <NumberInput
      size="sm"
      labelText="Setting up, min (reckoned {draft.setUpReckonedMin ?? 0})"
      value={draft.setUpMin ?? null}
      allowEmpty
      min={0}
      max={10000}
      hideSteppers
      on:change={({ detail }) => {
        const minutes = number(detail, 10_000);
        if (minutes === undefined) delete draft.setUpMin;
        else draft.setUpMin = minutes;
      }}
    />
  </div>
  {#if draft.tallies.length > 0}
    <h3>What happened, how often</h3>
    <div class="row">
      {#each draft.tallies as tally, index (tally.chance)}
        <NumberInput
          size="sm"
          labelText="{tally.chance} (of {Math.round(tally.opportunities)})"
          value={tally.happened}
          min={0}
          max={Math.max(1, Math.ceil(tally.opportunities))}
          hideSteppers
          on:change={({ detail }) =>
            (draft.tallies[index]!.happened = Math.round(number(detail, 10_000) ?? tally.happened))}
        />
      {/each}
    </div>
  {/if}
  {#if draft.batteries.length > 0}
    <h3>How long a battery lasted, min</h3>
    <div class="row">
      {#each draft.batteries as { lineId, minutes, reckonedMin }, index (lineId)}
        <NumberInput
          size="sm"
          labelText="{gearOfLine(lineId)?.model ?? 'battery'} (reckoned {Math.round(reckonedMin)})"
          value={minutes ?? null}
          allowEmpty
          min={0.1}
          max={10000}
          step={0.1}
          hideSteppers
          on:change={({ detail }) => {
            const typed = number(detail, 10_000);
            if (typed !== undefined && typed >= 0.1) draft.batteries[index]!.minutes = typed;
            else delete draft.batteries[index]!.minutes;
          }}
        />
      {/each}
    </div>
  {/if}
  <TextArea
    labelText="Note"
    rows={2}
    maxCount={2000}
    value={draft.note ?? ''}
    on:input={({ currentTarget }) => (draft.note = (currentTarget as HTMLTextAreaElement).value)}
  />
  <div class="row">
    <Button size="small" type="submit" disabled={!isDay || tooMany}>Write it down</Button>
    <Button size="small" kind="ghost" on:click={oncancel}>Cancel</Button>
  </div>
</form>

<style>
  form {
    display: grid;
    gap: 0.6rem;
    padding: 0.9rem 1.1rem;
  }

  h3 {
    font-size: 0.875rem;
  }

  .row {
    display: flex;
    flex-wrap: wrap;
    gap: 0.6rem 0.9rem;
    align-items: end;
  }

  .row > :global(.bx--form-item) {
    flex: 0 1 13rem;
  }
</style>
