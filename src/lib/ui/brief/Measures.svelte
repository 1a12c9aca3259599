<script lang="ts" generics="K extends string">
  import type { UnitSystem } from '../../core/model/project';
  import Measure from './Measure.svelte';
  import type { NumberAsk } from './scene-fields';

  /** Several figures of one thing, each asked for within its own range. */
  interface Props {
    of: Readonly<Record<NoInfer<K>, number>>;
    fields: Readonly<Record<NoInfer<K>, NumberAsk>>;
    asked: readonly { key: K; label: string; step: number }[];
    units?: UnitSystem;
    onset: (patch: Partial<Record<NoInfer<K>, number>>) => void;
  }
  const { of, fields, asked, units = 'metric', onset }: Props = $props();
</script>

{#each asked as { key, label, step } (key)}
  <Measure
    {label}
    value={of[key]}
    field={fields[key]}
    {step}
    {units}
    onset={(value) => onset({ [key]: value } as Partial<Record<K, number>>)}
  />
{/each}
