<script lang="ts">
  import { minutesWords } from '../../core/figures/figure-words';
  import { longestTakeMinOf, pans, recordedMinOf } from '../../core/model/scene-facts';
  import type { Angle, Scene } from '../../core/model/scene';
  import Choice from './Choice.svelte';
  import Measure from './Measure.svelte';
  import { angleFields } from './scene-fields';
  import Word from './Word.svelte';

  /** What a further camera films otherwise than the first: its minutes, and whether it turns. */
  interface Props {
    scene: Scene;
    angle: Angle;
    onangle: (patch: Partial<Omit<Angle, 'id'>>) => void;
  }
  const { scene, angle, onangle }: Props = $props();

  const recorded = $derived(recordedMinOf(scene, angle));
  const longest = $derived(longestTakeMinOf(scene, angle));
  const isOwn = $derived(angle.recordedMin !== undefined || angle.longestTakeMin !== undefined);
</script>

It runs <Word
  word={isOwn
    ? `${minutesWords(recorded)} a day, up to ${minutesWords(longest)} at once`
    : 'as long as the first'}
  question="How long does this camera film?"
>
  <Measure
    label="Longest take of this camera"
    value={longest}
    field={angleFields.longestTakeMin}
    step={0.5}
    onset={(longestTakeMin) =>
      onangle({ longestTakeMin, recordedMin: Math.max(longestTakeMin, recorded) })}
  />
  <Measure
    label="Recorded by this camera in a day"
    value={recorded}
    field={angleFields.recordedMin}
    step={1}
    onset={(recordedMin) =>
      onangle({ recordedMin, longestTakeMin: Math.min(longest, recordedMin) })}
  />
  {#if isOwn}
    <button
      class="pill"
      onclick={() => onangle({ recordedMin: undefined, longestTakeMin: undefined })}
      >as long as the first</button
    >
  {/if}
</Word>
and <Word
  ends="."
  word={pans(scene, angle) ? 'turns with what it films' : 'looks one way'}
  question="Does this camera turn?"
>
  <Choice
    label="Whether the camera turns"
    options={{ turns: 'it turns with what it films', still: 'it looks one way' }}
    value={pans(scene, angle) ? 'turns' : 'still'}
    onchoose={(value) => onangle({ wantsPan: value === 'turns' })}
  />
</Word>
