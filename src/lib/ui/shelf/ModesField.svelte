<script lang="ts">
  import { type ModeDraft, modeChoices, modeKeys } from './part-draft';

  interface Props {
    modes: ModeDraft[];
    faultOf: (at: number) => string | undefined;
  }
  let { modes = $bindable(), faultOf }: Props = $props();

  const names = {
    pixelsAcross: 'px across',
    pixelsDown: 'px down',
    fps: 'frames/s',
    bitRateMbps: 'Mb/s',
    crop: 'crop ×',
    recordLimitMin: 'clip, min',
    heatMinutesAt20C: 'hot after, min'
  } as const;
  const choiceNames = {
    codec: 'codec',
    faceFocus: 'follows faces',
    noHeatLimit: 'never overheats'
  } as const;
</script>

{#each modes as mode, at (at)}
  <div class="mode">
    {#each modeKeys as key (key)}
      <label
        ><span>{names[key]}</span><input
          aria-label="Mode {at + 1}, {names[key]}"
          placeholder="?"
          bind:value={mode[key]}
        /></label
      >
    {/each}
    {#each Object.entries(modeChoices) as [key, choices] (key)}
      {@const choice = key as keyof typeof modeChoices}
      <label class="wide"
        ><span>{choiceNames[choice]}</span>
        <select aria-label="Mode {at + 1}, {choiceNames[choice]}" bind:value={mode[choice]}>
          <option value={undefined}>not stated</option>
          {#each choices as word (word)}<option>{word}</option>{/each}
        </select></label
      >
    {/each}
    <button type="button" onclick={() => (modes = modes.filter((_, index) => index !== at))}
      >delete</button
    >
  </div>
  {@const fault = faultOf(at)}
  {#if fault}<p class="fault">{fault}</p>{/if}
{/each}
<button type="button" onclick={() => modes.push({})}>add a mode</button>

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

  label {
    display: grid;
    gap: 0.1rem;
    min-width: 0;
  }

  span {
    color: var(--ink-soft);
    font-size: 0.75rem;
  }

  input,
  select {
    width: 100%;
    min-width: 0;
    padding: 0.35rem 0.45rem;
    border: 1px solid var(--tan-line);
    border-radius: 8px;
    background: var(--paper);
    color: var(--ink);
    font: inherit;
  }

  button {
    justify-self: start;
    padding: 0.3rem 0;
    border: 0;
    background: none;
    color: var(--moss);
    font-weight: 600;
    cursor: pointer;
  }

  .fault {
    color: var(--brick);
  }

  @media (max-width: 700px) {
    .mode {
      grid-template-columns: repeat(4, minmax(0, 1fr));
    }
  }
</style>
