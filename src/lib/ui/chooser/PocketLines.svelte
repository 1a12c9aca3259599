<script lang="ts">
  import { OverflowMenu, OverflowMenuItem } from 'carbon-components-svelte';
  import type { Act } from '../../core/acts/act';
  import {
    chooseBestInScene,
    doWithoutInScene,
    usableInScene,
    useInScene
  } from '../../core/acts/use-in-scene';
  import type { Scene } from '../../core/model/scene';
  import type { Judgement } from '../../core/judge/judgement';
  import { fullName } from '../../core/model/gear';
  import type { Pocket } from '../../core/model/pocket';
  import { formatMoney } from '../../core/money/format';

  /** What is in the pocket now: pieces, new or used, owned, moved to later, locked, removed. */
  interface Props {
    pocket: Pocket;
    judgement: Judgement;
    scenes: readonly Scene[];
    onact: (act: Act) => void;
  }
  const { pocket, judgement, scenes, onact }: Props = $props();
  const { currency } = $derived(judgement.money);
  const lines = $derived(judgement.money.lines.filter((line) => line.pocket === pocket));
  type Patch = Extract<Act, { type: 'change line' }>['patch'];
  const change = (lineId: string, patch: Patch) => onact({ type: 'change line', lineId, patch });
</script>

{#if lines.length > 0}
  <ul aria-label="In this pocket">
    {#each lines as { line, gear, firmMinor, laterMinor, inKit } (line.id)}
      {@const name = gear ? fullName(gear) : line.gearId}
      <li class:aside={!inKit}>
        <b>{name}</b>
        <span class="pieces">
          <button
            aria-label="One {name} fewer"
            disabled={line.quantity <= 1}
            title={line.quantity <= 1 ? 'One is the least; remove it instead' : undefined}
            onclick={() => onact({ type: 'step quantity', lineId: line.id, by: -1 })}>−</button
          >
          <span class="figures">{line.quantity}</span>
          <button
            aria-label="One {name} more"
            disabled={line.quantity >= 999}
            onclick={() => onact({ type: 'step quantity', lineId: line.id, by: 1 })}>+</button
          >
        </span>
        <span class="figures sum"
          >{line.step === 'later'
            ? `${formatMoney(laterMinor, currency, { short: true })} later`
            : line.state === 'owned'
              ? 'owned'
              : formatMoney(firmMinor, currency, { short: true })}</span
        >
        <span class="acts">
          {#if gear?.priceUsed && line.state !== 'owned'}
            <button
              class="text-button word"
              onclick={() => change(line.id, { basis: line.basis === 'used' ? 'new' : 'used' })}
              >{line.basis === 'used' ? 'buy it new' : 'buy it used'}</button
            >
          {/if}
          <button
            class="text-button word"
            onclick={() => change(line.id, { state: line.state === 'owned' ? 'wanted' : 'owned' })}
            >{line.state === 'owned' ? 'not owned any more' : 'mark as owned'}</button
          >
          <button
            class="text-button word"
            onclick={() => change(line.id, { step: line.step === 'later' ? 'now' : 'later' })}
            >{line.step === 'later' ? 'bring back' : 'move to later'}</button
          >
          {#if gear && usableInScene.has(gear.kind)}
            <OverflowMenu aria-label="Use {name} in a scene" icon={undefined} size="sm">
              <span slot="menu" class="text-button word use">use in…</span>
              {#each scenes as scene (scene.id)}<OverflowMenuItem
                  text={scene.name}
                  on:click={() => {
                    const act = useInScene(scene, line, gear);
                    if (act) onact(act);
                  }}
                />{/each}
              {#each scenes as scene (scene.id)}
                {@const without = doWithoutInScene(scene, gear.kind)}
                {#if without}<OverflowMenuItem
                    text="None in {scene.name}"
                    on:click={() => onact(without)}
                  />{/if}
              {/each}
              {#each scenes as scene (scene.id)}
                {@const best = chooseBestInScene(scene, gear.kind)}
                {#if best}<OverflowMenuItem
                    text="The best in {scene.name}"
                    on:click={() => onact(best)}
                  />{/if}
              {/each}
            </OverflowMenu>
          {/if}
          <button
            class="text-button word"
            onclick={() => change(line.id, { worn: line.worn ? undefined : true })}
            >{line.worn ? 'not worn on the body' : 'worn on the body'}</button
          >
          <button
            class="text-button word"
            aria-pressed={line.locked}
            onclick={() => change(line.id, { locked: !line.locked })}
            >{line.locked ? 'unlock' : 'lock'}</button
          >
          <button
            class="text-button word out"
            onclick={() => onact({ type: 'remove line', lineId: line.id })}>remove</button
          >
        </span>
      </li>
    {/each}
  </ul>
{/if}

<style>
  li :global(.bx--overflow-menu) {
    display: inline-flex;
    width: auto;
    height: auto;
    min-height: 0;
    white-space: nowrap;
  }

  .use {
    color: var(--moss);
    text-decoration: underline;
  }

  ul {
    margin-bottom: 0.7rem;
    padding-bottom: 0.4rem;
    border-bottom: 1px solid var(--line);
  }

  /* Names, pieces and prices stand in columns; what can be done with a part takes what is left. */
  li {
    display: grid;
    grid-template-columns: minmax(8rem, 11rem) auto 4.2rem minmax(0, 1fr);
    gap: 0.2rem 0.8rem;
    align-items: center;
    padding: 0.15rem 0;
    font-size: 0.8125rem;
  }

  .acts {
    display: flex;
    flex-wrap: wrap;
    gap: 0.2rem 0.8rem;
    align-items: center;
  }

  @media (width <= 44rem) {
    li {
      grid-template-columns: minmax(0, 1fr) auto auto;
      padding: 0.4rem 0;
    }

    .acts {
      grid-column: 1 / -1;
    }
  }

  li b {
    font-weight: 600;
    overflow-wrap: anywhere;
  }

  .aside b {
    color: var(--ink-soft);
    font-style: italic;
  }

  .pieces {
    display: inline-flex;
    gap: 0.35rem;
    align-items: center;
  }

  .pieces button {
    width: 1.5rem;
    height: 1.5rem;
    border: 1px solid var(--tan-line);
    border-radius: 999px;
    background: var(--paper);
    line-height: 1;
    cursor: pointer;
  }

  .pieces button:disabled {
    opacity: 0.4;
  }

  .sum {
    text-align: right;
  }

  .word {
    padding: 0.1rem 0;
    text-underline-offset: 2px;
  }

  .out {
    color: var(--brick);
  }
</style>
