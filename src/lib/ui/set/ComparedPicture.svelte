<script lang="ts">
  import { Select, SelectItem, SelectItemGroup, Slider } from 'carbon-components-svelte';
  import type { Act } from '../../core/acts/act';
  import { applyAct } from '../../core/acts/apply-act';
  import { figureWords, lengthWords } from '../../core/figures/figure-words';
  import { figureOf } from '../../core/figures/record';
  import type { AngleJudgement } from '../../core/judge/incremental';
  import { isoToSet } from '../../core/judge/exposure-settings';
  import { judgePlan } from '../../core/judge/judge-plan';
  import { activePlan } from '../../core/model/active-plan';
  import { fullName } from '../../core/model/gear';
  import type { Project } from '../../core/model/project';
  import { isIndoors } from '../../core/model/scene-facts';
  import type { Shelf } from '../../core/model/shelf';
  import { wholeApertures } from '../../core/relations/exposure/aperture-steps';
  import { layOut, type SetLayout } from '../../core/set/layout';
  import { pictureThroughLens } from '../../core/set/through-lens';
  import ThroughLens from './ThroughLens.svelte';

  /** The picture, and beside it, half and half, what another lens, body or aperture would make of the same set. */
  interface Props {
    project: Project;
    shelf: Shelf;
    judged: AngleJudgement;
    layout: SetLayout;
  }
  const { project, shelf, judged, layout }: Props = $props();
  const units = $derived(project.units);
  const picture = $derived(pictureThroughLens(judged, layout));

  let otherKey = $state('');
  let split = $state(50);

  type RigPatch = Extract<Act, { type: 'set rig' }>['patch'];
  interface Choice {
    key: string;
    label: string;
    patch: RigPatch;
  }
  const lenses = $derived(
    judged.rig.kit
      .of('lens')
      .flatMap(({ line, gear }): Choice[] =>
        line.id === judged.rig.lens?.lineId
          ? []
          : [{ key: `lens ${line.id}`, label: fullName(gear), patch: { lensLineId: line.id } }]
      )
  );
  const bodies = $derived(
    judged.rig.kit
      .of('body')
      .flatMap(({ line, gear }): Choice[] =>
        line.id === judged.rig.body?.line.id
          ? []
          : [{ key: `body ${line.id}`, label: fullName(gear), patch: { bodyLineId: line.id } }]
      )
  );
  const apertures = $derived.by((): Choice[] => {
    const widest = figureOf(judged.record, 'apertureWidest');
    const smallest = figureOf(judged.record, 'apertureSmallest');
    if (widest === undefined || smallest === undefined) return [];
    return wholeApertures
      .filter((stop) => stop >= widest && stop <= smallest)
      .map((apertureN) => ({
        key: `aperture ${apertureN}`,
        label: figureWords(apertureN, 'f/'),
        patch: { apertureN }
      }));
  });
  const other = $derived([...lenses, ...bodies, ...apertures].find(({ key }) => key === otherKey));
  const compared = $derived.by(() => {
    if (!other) return undefined;
    const changed = applyAct(project, {
      type: 'set rig',
      sceneId: judged.scene.id,
      angleId: judged.angle.id,
      patch: other.patch
    });
    const there = judgePlan(changed, activePlan(changed), shelf).angles.find(
      (angle) => angle.scene.id === judged.scene.id && angle.angle.id === judged.angle.id
    );
    const drawn = there && pictureThroughLens(there, layOut(there));
    return drawn && { drawn, record: there.record };
  });
  const handsAtWork = $derived(layout.looksDown || (!layout.showsFace && isIndoors(judged.scene)));
  const said = (record: AngleJudgement['record']) =>
    (
      [
        ['focalLength', 'mm'],
        ['aperture', 'f/'],
        ['shutter', 's'],
        ['isoDim', 'ISO']
      ] as const
    )
      .flatMap(([figure, unit]) => {
        const value = figureOf(record, figure);
        return value === undefined
          ? []
          : unit === 'ISO'
            ? `ISO ${isoToSet(value)}`
            : figureWords(value, unit, units);
      })
      .join(' · ');
</script>

{#if picture}
  <div class="both">
    <ThroughLens
      {picture}
      indoors={isIndoors(judged.scene)}
      {handsAtWork}
      label="The picture at the dimmest: {lengthWords(
        picture.widthM,
        units
      )} wide at the {layout.showsFace ? 'face' : 'work'}"
      id="lens"
    />
    {#if compared}
      <div class="other" style:clip-path="inset(0 0 0 {split}%)">
        <ThroughLens
          picture={compared.drawn}
          indoors={isIndoors(judged.scene)}
          {handsAtWork}
          label="The same with {other!.label}: {lengthWords(compared.drawn.widthM, units)} wide"
          id="other"
        />
      </div>
    {/if}
  </div>
  <p class="soft figures">
    {said(judged.record)}{#if picture.focusIsLost}, the focus does not follow a face in this mode{/if}{#if compared}&nbsp;|
      {other!.label}: {said(compared.record)}{/if}
  </p>
  <div class="choose">
    <Select size="sm" labelText="Beside it" bind:selected={otherKey}>
      <SelectItem value="" text="nothing" />
      {#if lenses.length > 0}
        <SelectItemGroup label="another lens of the kit">
          {#each lenses as lens (lens.key)}<SelectItem value={lens.key} text={lens.label} />{/each}
        </SelectItemGroup>
      {/if}
      {#if bodies.length > 0}
        <SelectItemGroup label="another body of the kit">
          {#each bodies as body (body.key)}<SelectItem value={body.key} text={body.label} />{/each}
        </SelectItemGroup>
      {/if}
      {#if apertures.length > 0}
        <SelectItemGroup label="another aperture">
          {#each apertures as aperture (aperture.key)}<SelectItem
              value={aperture.key}
              text={aperture.label}
            />{/each}
        </SelectItemGroup>
      {/if}
    </Select>
    {#if compared}
      <Slider
        labelText="Where the pictures meet, %"
        min={0}
        max={100}
        step={1}
        bind:value={split}
        hideTextInput
        fullWidth
      />
    {/if}
  </div>
{/if}

<style>
  .both {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
  }

  .both > :global(*) {
    grid-area: 1 / 1;
  }

  .other {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
  }

  .choose {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(12rem, 100%), 1fr));
    gap: 1rem;
    margin-top: 0.3rem;
  }

  .choose :global(.bx--slider) {
    min-width: 5rem;
  }

  .soft {
    padding-top: 0.3rem;
  }
</style>
