<script lang="ts">
  import { NumberInput } from 'carbon-components-svelte';
  import { showsFace } from '../../core/model/scene-facts';
  import { lengthWords } from '../../core/figures/figure-words';
  import type { Project } from '../../core/model/project';
  import type { Angle, Scene } from '../../core/model/scene';
  import { distanceForSizeM } from '../../core/relations/optics/picture-size';
  import { framedSize } from '../../core/rigs/framed-size';
  import Choice from './Choice.svelte';
  import Measure from './Measure.svelte';
  import { angleFields } from './scene-fields';
  import { framingWords, placeWords } from './scene-vocabulary';
  import Word from './Word.svelte';

  /** Where a camera stands and what it shows: the part of the sentence every angle has. */
  interface Props {
    scene: Scene;
    angle: Angle;
    project: Project;
    sideMm: number | undefined;
    onangle: (patch: Partial<Omit<Angle, 'id'>>) => void;
  }
  const { scene, angle, project, sideMm, onangle }: Props = $props();
  const { units } = $derived(project);
  const size = $derived(framedSize(scene, angle));
  /** The zoom one owns as a measuring stick: what it reads tells where to stand. */
  let zoomReads = $state<number | undefined>(undefined);
  const zoomDistance = $derived(
    zoomReads !== undefined && zoomReads > 0 && sideMm !== undefined
      ? distanceForSizeM(sideMm, zoomReads, size.sizeM)
      : undefined
  );
</script>

<Word
  ends=","
  word={placeWords[angle.cameraPlace]}
  question="Where is the camera?"
  figure={lengthWords(angle.distanceM, units)}
>
  <Choice
    label="Place of the camera"
    options={placeWords}
    value={angle.cameraPlace}
    onchoose={(cameraPlace) => onangle({ cameraPlace })}
  />
  <Measure
    label="Lens to {showsFace(angle) ? 'face' : 'what is filmed'}"
    value={angle.distanceM}
    field={angleFields.distanceM}
    step={0.01}
    {units}
    onset={(distanceM) => onangle({ distanceM })}
  />
  {#if sideMm !== undefined}
    <span class="zoom">
      <NumberInput
        size="sm"
        labelText="Or frame it with the zoom you own; it reads, mm"
        allowEmpty
        hideSteppers
        min={2}
        max={400}
        bind:value={zoomReads}
      />
      {#if zoomDistance !== undefined}
        <button
          class="pill"
          onclick={() => onangle({ distanceM: Math.round(zoomDistance * 100) / 100 })}
          >Stand at {lengthWords(zoomDistance, units)}</button
        >
      {/if}
    </span>
  {/if}
</Word>{#if angle.backgroundM !== undefined}&#32;the wall <Word
    ends=","
    word="behind"
    question="How far behind is the background?"
    figure={lengthWords(angle.backgroundM, units)}
  >
    <Measure
      label="Face to background"
      value={angle.backgroundM}
      field={angleFields.backgroundM}
      step={0.05}
      {units}
      onset={(backgroundM) => onangle({ backgroundM })}
    />
  </Word>{/if} and shows
<Word
  ends="."
  word={framingWords[angle.framing]}
  question="What shall the picture show?"
  figure="{lengthWords(size.sizeM, units)} {size.side === 'width' ? 'wide' : 'high'}"
>
  <Choice
    label="Framing"
    options={framingWords}
    value={angle.framing}
    onchoose={(framing) => onangle({ framing, framedSizeM: undefined })}
  />
  <Measure
    label="Picture {size.side} at the subject"
    value={size.sizeM}
    field={angleFields.framedSizeM}
    step={0.01}
    {units}
    onset={(framedSizeM) => onangle({ framedSizeM })}
  />
</Word>

<style>
  .zoom {
    display: grid;
    gap: 0.3rem;
    padding-top: 0.5rem;
    border-top: 1px dashed var(--line);
    color: var(--ink-soft);
    font-size: 0.8125rem;
  }
</style>
