<script lang="ts" generics="T extends string">
  import { RadioButton, RadioButtonGroup } from 'carbon-components-svelte';

  /** One of a few words. */
  interface Props {
    options: Readonly<Record<T, string>>;
    value: NoInfer<T>;
    name: string;
    onchoose: (value: T) => void;
  }
  const { options, value, name, onchoose }: Props = $props();
  const entries = $derived(Object.entries(options) as [T, string][]);
</script>

<RadioButtonGroup
  class="pills"
  legendText={name}
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
