<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import type { Act } from '../../core/acts/act';
  import type { Project } from '../../core/model/project';
  import { formatMoney } from '../../core/money/format';
  import { spendableOf } from '../../core/pack/front-steps';
  import type { PackRules } from '../../core/pack/pack-rules';
  import type { PackedKit } from '../../core/pack/packed-kit';

  /** Nothing within the budget films all that must be filmed: the smallest things that would let it. */
  interface Props {
    project: Project;
    /** Scenes that must work and do not, by name. */
    unfilmed: readonly string[];
    /** The cheapest kit found that films all. */
    cheapest: PackedKit | undefined;
    rules: PackRules;
    onrules: (rules: PackRules) => void;
    onact: (act: Act) => void;
  }
  const { project, unfilmed, cheapest, rules, onrules, onact }: Props = $props();

  const say = (minor: number) => formatMoney(minor, project.currency, { short: true });
  /** A limit one would set: in whole tens of the currency. */
  const ROUND_MINOR = 1000;
  const raisedMinor = $derived(
    cheapest && Math.ceil((cheapest.priceMinor + project.reserveMinor) / ROUND_MINOR) * ROUND_MINOR
  );
  const inTheWay = $derived(
    project.scenes.filter(({ mustDo, name }) => mustDo && unfilmed.includes(name))
  );
</script>

<div class="cannot" role="status">
  <h3>
    {project.scenes.length === 0
      ? 'Nothing is to be filmed yet'
      : `Nothing found for ${say(spendableOf(project))} films all of it`}
  </h3>
  {#if unfilmed.length > 0}<p>What is missing: {unfilmed.join(', ')}.</p>{/if}
  <ul>
    {#if cheapest && raisedMinor !== undefined}<li>
        The cheapest kit found that does costs {say(cheapest.priceMinor)}.
        <Button
          size="small"
          kind="tertiary"
          on:click={() => onact({ type: 'set project', patch: { limitMinor: raisedMinor } })}
          >Raise the limit to {say(raisedMinor)}</Button
        >
      </li>{/if}
    {#if project.reserveMinor > 0}<li>
        {say(project.reserveMinor)} are set aside.
        <Button
          size="small"
          kind="tertiary"
          on:click={() => onact({ type: 'set project', patch: { reserveMinor: 0 } })}
          >Set nothing aside</Button
        >
      </li>{/if}
    {#if rules.lockedPockets.length > 0}<li>
        {rules.lockedPockets.join(', ')} stay as they are.
        <Button
          size="small"
          kind="tertiary"
          on:click={() => onrules({ ...rules, lockedPockets: [] })}>Unlock them</Button
        >
      </li>{/if}
    {#if rules.used !== 'where cheaper'}<li>
        Parts are taken {rules.used === undefined
          ? 'by your rules'
          : rules.used === 'never'
            ? 'new'
            : 'used only'}.
        <Button
          size="small"
          kind="tertiary"
          on:click={() => onrules({ ...rules, used: 'where cheaper' })}
          >Buy used where it is cheaper</Button
        >
      </li>{/if}
    {#each inTheWay as scene (scene.id)}
      <li>
        {scene.name} must work.
        <Button
          size="small"
          kind="tertiary"
          on:click={() =>
            onact({ type: 'change scene', sceneId: scene.id, patch: { mustDo: false } })}
          >Make {scene.name} one that need not</Button
        >
      </li>
    {/each}
  </ul>
</div>

<style>
  .cannot {
    padding: 0.6rem 0.9rem;
  }

  h3 {
    color: var(--brick);
    font-size: 1rem;
  }

  ul {
    display: grid;
    gap: 0.4rem;
    margin: 0.2rem 0;
    padding: 0;
    list-style: none;
  }
</style>
