<script lang="ts">
  import { NumberInput } from 'carbon-components-svelte';
  import type { UnitSystem } from '../../core/model/project';
  import type { NumberAsk } from './scene-fields';
  import { shownUnit } from './shown-units';

  /** A figure one slides or types; kept when let go. Figures follow the person's units. */
  interface Props {
    label: string;
    value: number;
    /** The field's own unit, bounds and usual range: the slider spans what is usual, typed is what is allowed. */
    field: NumberAsk;
    step: number;
    units?: UnitSystem;
    /** Lux and the like span decades: the slider then goes by equal ratios. */
    decades?: boolean;
    onset: (value: number) => void;
  }
  const { label, value, field, step, units = 'metric', decades = false, onset }: Props = $props();

  const { unit, min, max } = $derived(field);
  const [least, most] = $derived(field.usual ?? [field.min, field.max]);

  const own = $derived(shownUnit(unit, units));
  const unitShown = $derived(own?.unit ?? unit);
  const shown = (si: number) =>
    own ? Math.round(own.fromSi(si) * 10) / 10 : Math.round(si / step) * step;
  const kept = (typed: number) => (own ? own.toSi(typed) : typed);
  const clean = (number: number) => Number(number.toPrecision(6));
  // The slider starts just above nothing, where a ratio has a meaning.
  const floor = $derived(decades ? Math.max(1, least) : least);
  const toSlider = (si: number) =>
    decades
      ? Math.log(Math.max(floor, si) / floor) / Math.log(most / floor)
      : (si - least) / (most - least);
  const fromSlider = (along: number) =>
    decades ? floor * (most / floor) ** along : least + (most - least) * along;
  const roundTo = (number: number) =>
    decades ? Number(number.toPrecision(2)) : Math.round(number / step) * step;
  let sliding = $state<number | undefined>(undefined);
  const now = $derived(sliding ?? value);

  function setTyped(typed: number | null | undefined) {
    if (typed === null || typed === undefined || Number.isNaN(typed)) return;
    const si = clean(kept(typed));
    if (si >= min && si <= max && si !== value) onset(si);
  }
</script>

<span class="measure">
  <NumberInput
    size="sm"
    labelText="{label}, {unitShown}"
    value={clean(shown(now))}
    min={clean(shown(min))}
    max={clean(shown(max))}
    step={own?.step ?? step}
    invalidText="From {clean(shown(min))} to {clean(shown(max))} {unitShown}."
    hideSteppers
    on:change={(event) => setTyped(event.detail)}
  />
  <input
    type="range"
    min="0"
    max="1"
    step="0.005"
    value={toSlider(now)}
    aria-label={label}
    aria-valuetext="{clean(shown(now))} {unitShown === 'in' ? 'inches' : unitShown}"
    oninput={(event) => (sliding = clean(roundTo(fromSlider(Number(event.currentTarget.value)))))}
    onchange={() => {
      if (sliding !== undefined && sliding !== value) onset(Math.min(max, Math.max(min, sliding)));
      sliding = undefined;
    }}
  />
  {#if unitShown === 'in'}<span class="soft figures">{(now * 100).toFixed(0)} cm</span>{/if}
</span>

<style>
  .measure {
    display: grid;
    gap: 0.35rem;
    min-width: 15rem;
  }

  input[type='range'] {
    width: 100%;
    accent-color: var(--moss);
  }
</style>
