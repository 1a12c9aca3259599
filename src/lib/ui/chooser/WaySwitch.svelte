<script lang="ts">
  import { ContentSwitcher, Select, SelectItem, Switch } from 'carbon-components-svelte';
  import { REPLACE, type WayOfTaking } from '../../core/judge/candidates';
  import type { Scene } from '../../core/model/scene';

  /** How a part of this pocket comes in, where the pocket holds some already. */
  interface Props {
    way: WayOfTaking;
    scenes: readonly Scene[];
    /** A scene can be told which part of this pocket it uses. */
    usable: boolean;
    onway: (way: WayOfTaking) => void;
  }
  const { way, scenes, usable, onway }: Props = $props();

  const ways: readonly { how: WayOfTaking['how']; says: string }[] = $derived([
    { how: 'replace', says: 'Replace' },
    { how: 'add', says: 'Add beside' },
    ...(usable && scenes.length > 1
      ? [{ how: 'use in scene', says: 'For one scene' } as const]
      : [])
  ]);
  const selected = $derived(
    Math.max(
      0,
      ways.findIndex(({ how }) => how === way.how)
    )
  );

  function choose(index: number) {
    const how = ways[index]?.how ?? 'replace';
    if (how === way.how) return;
    onway(
      how === 'use in scene' ? { how, sceneId: scenes[0]!.id } : how === 'add' ? { how } : REPLACE
    );
  }
</script>

<div class="way">
  <span class="soft" id="way-of-taking">A part you choose will</span>
  <ContentSwitcher
    size="sm"
    aria-labelledby="way-of-taking"
    selectedIndex={selected}
    on:change={({ detail }) => choose(detail)}
  >
    {#each ways as { how, says } (how)}<Switch text={says} />{/each}
  </ContentSwitcher>
  {#if way.how === 'use in scene'}
    <Select
      size="sm"
      hideLabel
      labelText="Scene that uses it"
      selected={way.sceneId}
      on:change={(event) =>
        onway({ how: 'use in scene', sceneId: (event.target as HTMLSelectElement).value })}
    >
      {#each scenes as scene (scene.id)}<SelectItem value={scene.id} text={scene.name} />{/each}
    </Select>
  {/if}
</div>

<style>
  .way {
    display: flex;
    flex-wrap: wrap;
    gap: 0.6rem;
    align-items: center;
    margin: 0.5rem 0;
  }

  .way :global(.bx--content-switcher) {
    width: 21rem;
    max-width: 100%;
  }

  .soft {
    font-size: 0.8125rem;
  }
</style>
