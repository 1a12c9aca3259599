<script lang="ts">
  import { figureWords } from '../../core/figures/figure-words';
  import { figureOf } from '../../core/figures/record';
  import type { FigureId } from '../../core/figures/table';
  import { figureTable } from '../../core/figures/table';
  import { type Why, whyOf } from '../../core/figures/why';
  import type { AngleJudgement } from '../../core/judge/incremental';
  import { showsFace } from '../../core/model/scene-facts';
  import WhyDialog from '../why/WhyDialog.svelte';
  import { readoutsFor } from './readouts';

  /** What comes of where things stand: each figure with what is wanted of it, a word, and its why. */
  const { judged }: { judged: AngleJudgement } = $props();
  const units = $derived(judged.rig.project.units);
  const shown = $derived(
    readoutsFor.flatMap((readout) => {
      const value = figureOf(judged.record, readout.figure);
      if (value === undefined || !Number.isFinite(value)) return [];
      const wanted = readout.wanted ? figureOf(judged.record, readout.wanted) : undefined;
      const verdict = readout.verdict(value, wanted, judged);
      return [
        { ...readout, value, wanted, wantedId: readout.wanted, ...verdict, name: nameOf(readout) }
      ];
    })
  );
  const nameOf = ({ name, nameOfWork }: (typeof readoutsFor)[number]) =>
    showsFace(judged.angle) ? name : (nameOfWork ?? name);
  const say = (value: number, figure: FigureId) => {
    const { unit } = figureTable[figure];
    return figureWords(unit === 'lx' ? Math.round(value) : value, unit, units);
  };
  let whyOpen = $state(false);
  let whyTitle = $state('');
  let why = $state.raw<Why | undefined>(undefined);
</script>

<ul class="readouts" aria-label="What comes of it">
  {#each shown as readout (readout.figure)}
    <li>
      <button
        data-figure={readout.figure}
        data-value={readout.value}
        onclick={() => {
          whyTitle = readout.name;
          why = whyOf(judged.record, readout.figure);
          whyOpen = true;
        }}
      >
        <span class="name"
          >{readout.name}{#if readout.wanted !== undefined && readout.wanted > 0}&nbsp;· {readout.wantedWord}
            {say(readout.wanted, readout.wantedId!)}{/if}</span
        >
        <b
          class="figures"
          data-verdict={readout.good === undefined ? 'plain' : readout.good ? 'good' : 'bad'}
          >{readout.text ??
            say(readout.value, readout.figure)}{#if readout.word}&nbsp;{readout.word}{/if}</b
        >
      </button>
    </li>
  {/each}
</ul>
<WhyDialog bind:open={whyOpen} title={whyTitle} {why} {units} />

<style>
  .readouts {
    display: grid;
    grid-template-columns: repeat(2, minmax(0, 1fr));
    gap: 0.5rem;
    margin: 0;
    padding: 0;
    list-style: none;
  }

  button {
    display: grid;
    gap: 0.1rem;
    width: 100%;
    height: 100%;
    padding: 0.45rem 0.65rem;
    border: 1px solid var(--line);
    border-radius: 10px;
    background: var(--paper);
    color: var(--ink);
    text-align: left;
    cursor: pointer;
  }

  .name {
    color: var(--ink-soft);
    font-size: 0.75rem;
  }

  b {
    font-family: var(--display);
    font-size: 1.02rem;
  }

  b[data-verdict='good'] {
    color: var(--moss);
  }

  b[data-verdict='bad'] {
    color: var(--brick);
  }
</style>
