<script lang="ts" generics="T extends string">
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

<span class="pills" role="radiogroup" aria-label={name}>
  {#each entries as [id, words] (id)}
    <label class:on={id === value}>
      <input
        type="radio"
        {name}
        value={id}
        checked={id === value}
        onchange={() => onchoose(id)}
      />{words}
    </label>
  {/each}
</span>
