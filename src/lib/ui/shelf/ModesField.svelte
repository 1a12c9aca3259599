<script lang="ts">
  import { Button, Select, SelectItem, TextInput } from 'carbon-components-svelte';
  import { type ModeDraft, modeChoices, modeKeys } from './part-draft';

  interface Props {
    modes: ModeDraft[];
    faultOf: (index: number) => string | undefined;
    /** What does not go together in a mode and yet can be kept. */
    noteOf: (index: number) => string | undefined;
  }
  let { modes = $bindable(), faultOf, noteOf }: Props = $props();

  const names = {
    pixelsAcross: 'px across',
    pixelsDown: 'px down',
    fps: 'frames/s',
    bitRateMbps: 'Mb/s',
    crop: 'crop ×',
    recordLimitMin: 'clip, min',
    heatMinutesAt20C: 'hot after, min',
    heatMinutesAt40C: 'at 40 °C, min'
  } as const;
  const choiceNames = {
    codec: 'codec',
    faceFocus: 'follows faces',
    noRecordLimit: 'no clip limit',
    noHeatLimit: 'never overheats'
  } as const;
</script>

{#each modes as mode, position (position)}
  <div class="mode">
    {#each modeKeys as key (key)}
      <TextInput
        size="sm"
        labelText={names[key]}
        placeholder="?"
        value={mode[key] ?? ''}
        on:input={({ detail }) => (mode[key] = String(detail ?? ''))}
        aria-label="Mode {position + 1}, {names[key]}"
      />
    {/each}
    {#each Object.entries(modeChoices) as [key, choices] (key)}
      {@const choice = key as keyof typeof modeChoices}
      <div class="wide">
        <Select
          size="sm"
          labelText={choiceNames[choice]}
          aria-label="Mode {position + 1}, {choiceNames[choice]}"
          selected={mode[choice] ?? ''}
          on:update={({ detail }) => (mode[choice] = (detail as string) || undefined)}
        >
          <SelectItem value="" text="not stated" />
          {#each choices as word (word)}<SelectItem value={word} text={word} />{/each}
        </Select>
      </div>
    {/each}
    <Button
      size="small"
      kind="ghost"
      on:click={() => (modes = modes.filter((_, index) => index !== position))}>Delete</Button
    >
  </div>
  {@const fault = faultOf(position)}
  {#if fault}<p class="fault">{fault}</p>{/if}
  {@const note = noteOf(position)}
  {#if note}<p class="note" role="status">{note}</p>{/if}
{/each}
<Button size="small" kind="ghost" on:click={() => modes.push({})}>Add a mode</Button>

<style>
  .mode {
    display: grid;
    grid-template-columns: repeat(7, minmax(0, 1fr));
    gap: 0.3rem 0.4rem;
    align-items: end;
    padding: 0.5rem 0;
    border-bottom: 1px dashed var(--line);
  }

  .wide {
    grid-column: span 2;
  }

  .fault {
    color: var(--brick);
  }

  .note {
    color: var(--ink-soft);
  }

  @media (max-width: 700px) {
    .mode {
      grid-template-columns: repeat(4, minmax(0, 1fr));
    }
  }
</style>
