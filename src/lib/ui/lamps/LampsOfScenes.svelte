<script lang="ts">
  import { Select, SelectItem } from 'carbon-components-svelte';
  import type { Act } from '../../core/acts/act';
  import {
    changeLampRole,
    type LampInScene,
    type LampRole,
    lampsInScene,
    moveLamp,
    rolesOpenTo
  } from '../../core/acts/place-lamp';
  import { figureWords } from '../../core/figures/figure-words';
  import { figureOf } from '../../core/figures/record';
  import { lampRoleWords } from '../../core/findings/light/further-lamps';
  import { holdersFor, lampsHeldBesideKey, lampStandOf } from '../../core/rigs/lamp-stand';
  import type { PlacedRig } from '../../core/rigs/placed-rig';
  import type { Judgement } from '../../core/judge/judgement';
  import Measure from '../brief/Measure.svelte';
  import { lampFields } from '../brief/scene-fields';

  /** What each lamp of the kit does in each scene, and how far off it stands. */
  interface Props {
    judgement: Judgement;
    onact: (act: Act) => void;
  }
  const { judgement, onact }: Props = $props();

  const words: Record<LampRole, string> = { key: 'key', ...lampRoleWords, fill: 'fill' };
  const angles = $derived(
    judgement.angles.filter(({ rig }) => rig.index === 0 && rig.kit.of('lamp').length > 0)
  );

  const standsOf = ({ kit }: PlacedRig, role: LampRole) =>
    kit.of('support').filter(({ gear }) => holdersFor({ role }).includes(gear.form));
  /** What it stands on while nobody says which. */
  const holderWords = (rig: PlacedRig, { placed, role }: LampInScene): string => {
    const holder =
      role === 'key'
        ? lampStandOf(rig)
        : lampsHeldBesideKey(rig).find(
            ({ lamp }) => lamp.part === placed?.part && lamp.role === role
          )?.holder;
    return holder ? `${holder.gear.model}, chosen for you` : 'nothing that is left';
  };

  /** What arrives at the face from the lamps that are for it. */
  const lightOf = ({ role }: LampInScene, { record }: Judgement['angles'][number]) =>
    role === 'key'
      ? figureOf(record, 'keyLight')
      : role === 'fill'
        ? figureOf(record, 'fillLight')
        : undefined;
</script>

{#if angles.length > 0}
  <section class="card" aria-label="Lamps by scene">
    <h2>What each lamp does</h2>
    {#each angles as angle (angle.scene.id)}
      {@const { rig, scene } = angle}
      <h3>{scene.name}</h3>
      <ul>
        {#each lampsInScene(rig) as lamp, index (`${lamp.part.line.id} ${lamp.role} ${index}`)}
          {@const lx = lightOf(lamp, angle)}
          {@const { model } = lamp.part.gear}
          <li>
            <span class="name">{model}</span>
            {#if lx !== undefined}<span class="figures soft"
                >{figureWords(lx, 'lx')} at the face</span
              >{/if}
            <Select
              size="sm"
              labelText="Role of {model} in {scene.name}"
              hideLabel
              selected={lamp.role ?? ''}
              on:change={(event) => {
                const role = (event.target as HTMLSelectElement).value as LampRole | '';
                onact(changeLampRole(rig, lamp, role === '' ? undefined : role));
              }}
            >
              <SelectItem value="" text="stays in the bag" />
              {#each rolesOpenTo(rig, lamp) as role (role)}<SelectItem
                  value={role}
                  text={words[role]}
                />{/each}
            </Select>
            {#if lamp.placed && lamp.role && standsOf(rig, lamp.role).length > 0 && lamp.role !== 'practical' && lamp.part.gear.form !== 'bulb'}
              <Select
                size="sm"
                labelText="What holds {model} in {scene.name}"
                hideLabel
                selected={lamp.placed.standLineId ?? ''}
                on:change={(event) => {
                  const lineId = (event.target as HTMLSelectElement).value;
                  onact(moveLamp(rig, lamp, { standLineId: lineId === '' ? undefined : lineId }));
                }}
              >
                <SelectItem value="" text="on {holderWords(rig, lamp)}" />
                {#each standsOf(rig, lamp.role) as stand (stand.line.id)}<SelectItem
                    value={stand.line.id}
                    text="always on {stand.gear.model}"
                  />{/each}
              </Select>
            {/if}
            {#if lamp.placed}
              <Measure
                label="Distance of {model}"
                value={lamp.placed.distanceM}
                field={lampFields.distanceM}
                step={0.05}
                units={rig.project.units}
                onset={(distanceM) => onact(moveLamp(rig, lamp, { distanceM }))}
              />
            {/if}
          </li>
        {/each}
      </ul>
    {/each}
    <p class="soft">
      Key and fill light the face and are chosen unless you say so. A back light parts you from what
      is behind, a background light shines on it, a practical is seen in the picture. Each needs a
      stand and power of its own; what hangs overhead is tied with a safety line.
    </p>
  </section>
{/if}

<style>
  .card {
    padding: 0.9rem 1rem;
  }

  h2 {
    margin: 0 0 0.25rem;
  }

  h3 {
    margin: 0.75rem 0 0.25rem;
    color: var(--ink-soft);
    font-size: 0.85rem;
  }

  ul {
    display: grid;
    gap: 0.6rem;
    margin: 0;
    padding: 0;
    list-style: none;
  }

  li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 0.15rem 0.6rem;
    align-items: baseline;
    font-size: 0.8125rem;
  }

  li > :global(:not(span:first-child, .soft)) {
    grid-column: 1 / -1;
  }

  .name {
    min-width: 0;
    font-weight: 600;
    overflow-wrap: anywhere;
  }

  .soft {
    font-size: 0.8125rem;
  }
</style>
