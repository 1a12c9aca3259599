<script lang="ts">
  import type { Candidate } from '../../core/judge/candidates';
  import { fullName } from '../../core/model/gear';
  import { formatMoney } from '../../core/money/format';
  import Glyph from '../glyphs/Glyph.svelte';
  import { glyphOf } from '../glyphs/glyph-of';
  import type { UnitSystem } from '../../core/model/project';
  import type { Scene } from '../../core/model/scene';
  import { gainWords, partGist } from './candidate-words';
  import SceneMeter from './SceneMeter.svelte';

  interface Props {
    candidate: Candidate;
    chosen: boolean;
    pinned: boolean;
    currency: string;
    units: UnitSystem;
    id: string;
    /** Its place in the whole list, of which only what is in view is drawn. */
    place: number;
    of: number;
    /** Its row among all that are drawn, headings included. */
    row: number;
    startPx: number;
    measured: (node: HTMLDivElement) => void;
    onchoose: () => void;
    ontake: () => void;
    /** The scenes a column is drawn for. */
    shown: readonly Scene[];
  }
  const {
    candidate,
    chosen,
    pinned,
    currency,
    units,
    id,
    place,
    of,
    row,
    startPx,
    measured,
    onchoose,
    ontake,
    shown
  }: Props = $props();
  const left = $derived(candidate.remainingMinor);
</script>

<!-- svelte-ignore a11y_click_events_have_key_events -->
<div
  {id}
  role="option"
  tabindex="-1"
  data-index={row}
  aria-posinset={place + 1}
  aria-setsize={of}
  style:transform="translateY({startPx}px)"
  style:--scenes={shown.length}
  use:measured
  aria-selected={chosen}
  class:chosen
  class:packed={candidate.packed}
  onclick={onchoose}
  ondblclick={ontake}
>
  <Glyph name={glyphOf(candidate.gear)} size={28} />
  <span class="name">
    <b title={fullName(candidate.gear)}>{fullName(candidate.gear)}</b>
    <span class="gist"
      >{candidate.packed ? 'packed · ' : ''}{pinned ? 'compared · ' : ''}{partGist(
        candidate.gear,
        units
      )}</span
    >
  </span>
  {#if candidate.unusable}
    <span class="unusable" style:grid-column="span {shown.length}">{candidate.unusable}</span>
  {:else}
    <span class="meters">
      {#each shown as scene, index (scene.id)}
        <SceneMeter figure={candidate.figures[index]} sceneName={scene.name} />
      {/each}
    </span>
  {/if}
  <span
    class="worth figures"
    class:falls={candidate.gainHundredths <= -50}
    title="How the worth of the whole kit changes, once nothing blocks a scene"
    >{candidate.packed ? '' : gainWords(candidate.gainHundredths)}</span
  >
  <span class="cost figures">
    <b>{formatMoney(candidate.trueCostMinor, currency, { short: true })}</b>
    <span class="gist" title={candidate.joins.join(', ')}
      >{candidate.joins.length > 0 ? `with ${candidate.joins.length} more` : ''}</span
    >
  </span>
  <span class="left figures" class:over={left < 0}
    >{formatMoney(Math.abs(left), currency, { short: true })} {left < 0 ? 'over' : 'left'}</span
  >
</div>

<style>
  div {
    position: absolute;
    top: 0;
    right: 0;
    left: 0;
    display: grid;
    grid-template-columns:
      2rem minmax(8rem, 1.3fr) repeat(var(--scenes), minmax(4.6rem, 1fr))
      2.6rem 4.4rem 4.6rem;
    gap: 0.5rem;
    align-items: center;
    min-height: 44px;
    padding: 0.2rem 0.5rem;
    border-bottom: 1px dashed var(--line);
    cursor: pointer;
  }

  div.chosen {
    border-radius: 8px;
    background: var(--ochre-wash);
    box-shadow: inset 3px 0 0 var(--moss);
  }

  .name {
    min-width: 0;
    font-size: 0.8125rem;
  }

  .name b {
    font-weight: 600;
  }

  .name b,
  .gist {
    display: block;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }

  .gist {
    color: var(--ink-soft);
    font-size: 0.75rem;
    font-weight: 400;
  }

  .unusable {
    overflow: hidden;
    color: var(--ink-soft);
    font-size: 0.75rem;
    line-height: 1.25;
  }

  .falls {
    color: var(--brick);
  }

  .worth,
  .cost b {
    font-family: var(--display);
    font-size: 1rem;
  }

  .cost b {
    font-weight: 600;
  }

  .worth,
  .cost,
  .left {
    text-align: right;
  }

  .left {
    color: var(--moss);
    font-weight: 600;
    white-space: nowrap;
  }

  .left.over {
    color: var(--brick);
  }

  .meters {
    display: contents;
  }

  /* A phone has no room for columns: the part and its cost, then the scenes, then what it brings. */
  @media (max-width: 700px) {
    div {
      grid-template-columns: 2rem minmax(0, 1fr) auto;
      gap: 0.25rem 0.5rem;
      padding: 0.5rem;
    }

    .cost {
      grid-area: 1 / 3;
    }

    .meters {
      display: grid;
      grid-template-columns: repeat(var(--scenes), minmax(0, 1fr));
      grid-area: 2 / 1 / auto / -1;
      gap: 0.5rem;
    }

    .unusable {
      grid-area: 2 / 2 / auto / -1 !important;
    }

    .worth {
      grid-area: 3 / 1 / auto / 3;
      text-align: left;
    }

    .worth:not(:empty)::after {
      color: var(--ink-soft);
      content: ' worth';
      font-family: var(--text);
      font-size: 0.75rem;
    }

    .left {
      grid-area: 3 / 3;
    }
  }
</style>
