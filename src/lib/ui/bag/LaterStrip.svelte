<script lang="ts">
  import { fullName } from '../../core/model/gear';
  import { formatMoney } from '../../core/money/format';
  import type { StatementLine } from '../../core/money/statement';
  import { allowLineDrop, droppedLine, startLineDrag } from '../drag/line-drag';
  import { keepFocus } from '../shell/keep-focus';
  import Glyph from '../glyphs/Glyph.svelte';
  import { glyphOf } from '../glyphs/glyph-of';

  /** What is moved to later: dragged here from the bag or the strap, dragged back to the kit, or brought back by its button. */
  interface Props {
    lines: readonly StatementLine[];
    currency: string;
    onpostpone: (lineId: string) => void;
    onbring: (lineId: string) => void;
  }
  const { lines, currency, onpostpone, onbring }: Props = $props();
  const later = $derived(lines.filter(({ line }) => line.step === 'later'));
  let over = $state(false);
</script>

<section
  class="later"
  class:over
  aria-label="Later"
  use:keepFocus
  ondragenter={(event) => {
    allowLineDrop(event);
    event.stopPropagation();
  }}
  ondragover={(event) => {
    over = allowLineDrop(event);
    event.stopPropagation();
  }}
  ondragleave={() => (over = false)}
  ondrop={(event) => {
    over = false;
    // The bag around it would bring the part straight back.
    event.stopPropagation();
    const lineId = droppedLine(event);
    if (lineId !== undefined) onpostpone(lineId);
  }}
>
  <h2>Later</h2>
  {#if later.length === 0}
    <p>Drag a part here to buy it later. It is not counted now and not used in the scenes.</p>
  {:else}
    <ul>
      {#each later as { line, gear, laterMinor } (line.id)}
        <li draggable="true" ondragstart={(event) => startLineDrag(event, line.id)}>
          <Glyph name={gear ? glyphOf(gear) : 'small item'} size={30} />
          <span>{gear ? gear.model : line.gearId}</span>
          <span class="figures">{formatMoney(laterMinor, currency, { short: true })}</span>
          <button
            class="text-button"
            aria-label="Bring {gear ? fullName(gear) : line.gearId} back to the kit"
            onclick={() => onbring(line.id)}>bring back</button
          >
        </li>
      {/each}
    </ul>
  {/if}
</section>

<style>
  .later {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem 1rem;
    align-items: center;
    margin-top: 0.8rem;
    padding: 0.5rem 1rem;
    border: 1.6px dashed var(--tan-line);
    border-radius: 16px;
  }

  .later.over {
    border-color: var(--moss);
    background: var(--moss-wash);
  }

  h2 {
    font-size: 1rem;
  }

  p {
    color: var(--ink-soft);
    font-size: 0.8125rem;
  }

  ul {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem;
    margin: 0;
    padding: 0;
    list-style: none;
  }

  li {
    display: flex;
    gap: 0.5rem;
    align-items: center;
    padding: 0.15rem 0.7rem;
    border: 1px solid var(--line);
    border-radius: 999px;
    background: var(--paper);
    font-size: 0.8125rem;
    cursor: grab;
  }
</style>
