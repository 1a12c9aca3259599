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

<span class="choice" role="radiogroup" aria-label={name}>
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

<style>
  .choice {
    display: flex;
    flex-wrap: wrap;
    gap: 0.35rem;
  }

  label {
    padding: 0.2rem 0.75rem;
    border: 1.5px solid var(--moss);
    border-radius: 999px;
    color: var(--moss);
    font-weight: 600;
    font-size: 0.8125rem;
    cursor: pointer;
  }

  label.on {
    background: var(--moss);
    color: var(--on-moss);
  }

  label:has(:focus-visible) {
    outline: 2.5px solid var(--moss);
    outline-offset: 2px;
  }

  input {
    position: absolute;
    opacity: 0;
    pointer-events: none;
  }
</style>
