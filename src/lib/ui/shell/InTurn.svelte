<script lang="ts" generics="Value">
  import { type Snippet, untrack } from 'svelte';
  import { inTurn } from './turns';

  /** A part of a view that follows a value when its turn comes; what stands before it in the page comes first. */
  interface Props {
    value: Value;
    children: Snippet<[Value]>;
  }
  const { value, children }: Props = $props();

  let shown = $state.raw(untrack(() => value));
  $effect(() => {
    const next = value;
    if (next === untrack(() => shown)) return;
    return inTurn(() => (shown = next));
  });
</script>

{@render children(shown)}
