<script lang="ts">
  import { Select, SelectItem } from 'carbon-components-svelte';
  import type { Act } from '../../core/acts/act';
  import { moveLamp } from '../../core/acts/place-lamp';
  import { figureOf } from '../../core/figures/record';
  import { figureWords } from '../../core/figures/figure-words';
  import type { AngleJudgement } from '../../core/judge/incremental';
  import { apertureSteps } from '../../core/relations/exposure/aperture-steps';
  import type { SetLayout } from '../../core/set/layout';
  import Measure from '../brief/Measure.svelte';
  import { angleFields, lampFields } from '../brief/scene-fields';

  /** The same distances as in the drawings, to type or to slide. */
  interface Props {
    judged: AngleJudgement;
    layout: SetLayout;
    onact: (act: Act) => void;
  }
  const { judged, layout, onact }: Props = $props();
  const units = $derived(judged.rig.project.units);
  const ids = $derived({ sceneId: judged.scene.id, angleId: judged.angle.id });
  const setAngle = (patch: Extract<Act, { type: 'change angle' }>['patch']) =>
    onact({ type: 'change angle', ...ids, patch });
  const whole = $derived(layout.showsFace ? 'face' : 'work');
  const named = (role: string) => role[0]!.toUpperCase() + role.slice(1);
  const widest = $derived(figureOf(judged.record, 'apertureWidest'));
  const smallest = $derived(figureOf(judged.record, 'apertureSmallest'));
  const apertures = $derived(
    widest === undefined || smallest === undefined
      ? []
      : apertureSteps.filter((stop) => stop >= widest && stop <= smallest)
  );
  const said = $derived(judged.rig.overrides?.apertureN);
  const planned = $derived(figureOf(judged.record, 'aperture'));
</script>

<section class="card" aria-label="Dials">
  <Measure
    label={layout.showsFace ? 'Face to lens' : 'Work to lens'}
    value={judged.angle.distanceM}
    field={angleFields.distanceM}
    step={0.01}
    {units}
    onset={(distanceM) => setAngle({ distanceM })}
  />
  {#if judged.angle.backgroundM !== undefined && !layout.looksDown}
    <Measure
      label="Face to background"
      value={judged.angle.backgroundM}
      field={angleFields.backgroundM}
      step={0.01}
      {units}
      onset={(backgroundM) => setAngle({ backgroundM })}
    />
  {/if}
  {#each layout.lamps as lamp, index (`${lamp.role} ${index}`)}
    <Measure
      label="{named(lamp.role)} to {whole}"
      value={lamp.distanceM}
      field={lampFields.distanceM}
      step={0.01}
      {units}
      onset={(distanceM) => onact(moveLamp(judged.rig, lamp.lamp, { distanceM }))}
    />
    <Measure
      label="{named(lamp.role)} angle"
      value={lamp.angleDeg}
      field={lampFields.angleDeg}
      step={1}
      {units}
      onset={(angleDeg) => onact(moveLamp(judged.rig, lamp.lamp, { angleDeg }))}
    />
  {/each}
  {#if apertures.length > 0}
    <Select
      size="sm"
      labelText="Aperture"
      selected={said === undefined ? '' : String(said)}
      on:change={(event) => {
        const { value } = event.target as HTMLSelectElement;
        onact({
          type: 'set rig',
          ...ids,
          patch: { apertureN: value === '' ? undefined : Number(value) }
        });
      }}
    >
      <SelectItem
        value=""
        text={planned === undefined
          ? 'as the light asks'
          : `as the light asks: ${figureWords(planned, 'f/')}`}
      />
      {#each apertures as stop (stop)}<SelectItem value={String(stop)} text="f/{stop}" />{/each}
    </Select>
  {/if}
</section>

<style>
  .card {
    display: grid;
    grid-template-columns: repeat(2, minmax(0, 1fr));
    gap: 0.7rem 1rem;
    padding: 0.8rem 0.9rem;
  }

  .card :global(.measure) {
    min-width: 0;
  }
  @media (max-width: 700px) {
    .card {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
