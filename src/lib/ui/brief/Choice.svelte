<script lang="ts" generics="T extends string">
  import { RadioButton, RadioButtonGroup } from 'carbon-components-svelte';

  /** One of a few words. */
  interface Props {
    options: Readonly<Record<T, string>>;
    value: NoInfer<T>;
    /** What is chosen, as a reader of the screen hears it. */
    label: string;
    onchoose: (value: T) => void;
  }
  const { options, value, label, onchoose }: Props = $props();
  const name = $props.id();
  const entries = $derived(Object.entries(options) as [T, string][]);
</script>

<RadioButtonGroup
  class="pills"
  legendText={label}
  hideLegend
  {name}
  selected={value}
  on:change={({ detail }) => {
    // Carbon tells of a value it is given as of one that was chosen.
    if (detail !== undefined && detail !== value) onchoose(detail);
  }}
>
  {#each entries as [id, words] (id)}<RadioButton value={id} labelText={words} />{/each}
</RadioButtonGroup>
