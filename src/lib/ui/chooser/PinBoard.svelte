<script lang="ts">
  import { axes } from '../../core/merit/axis-curves';
  import type { Candidate } from '../../core/judge/candidates';
  import { fullName } from '../../core/model/gear';
  import { figureWords } from '../../core/figures/figure-words';
  import type { UnitSystem } from '../../core/model/project';
  import type { Scene } from '../../core/model/scene';
  import { formatMoney } from '../../core/money/format';
  import { partGist } from './candidate-words';

  /** Pinned candidates side by side: only what differs. */
  interface Props {
    pinned: readonly Candidate[];
    scenes: readonly Scene[];
    currency: string;
    units: UnitSystem;
    onunpin: (id: string) => void;
  }
  const { pinned, scenes, currency, units, onunpin }: Props = $props();

  const rows = $derived.by(() => {
    const list: { words: string; batteries: string[] }[] = [];
    const add = (words: string, batteries: string[]) => {
      if (new Set(batteries).size > 1) list.push({ words, batteries });
    };
    add(
      'true cost',
      pinned.map((candidate) => formatMoney(candidate.trueCostMinor, currency, { short: true }))
    );
    scenes.forEach((scene, index) => {
      add(
        scene.name,
        pinned.map((candidate) =>
          candidate.merit.scenes[index]?.works
            ? Math.round(candidate.merit.scenes[index].low).toFixed(0)
            : 'blocked'
        )
      );
      for (const axis of axes) {
        const points = pinned.map((candidate) => candidate.merit.scenes[index]?.axes[axis]?.low);
        const [first] = points;
        if (
          first !== undefined &&
          points.some((value) => value !== undefined && Math.abs(value - first) >= 3)
        ) {
          add(
            `${scene.name}: ${axis}`,
            points.map((value) => (value === undefined ? '—' : value.toFixed(0)))
          );
        }
      }
    });
    add(
      'weight',
      pinned.map((candidate) =>
        candidate.gear.massG === undefined
          ? 'not stated'
          : figureWords(candidate.gear.massG, 'g', units)
      )
    );
    return list;
  });
</script>

{#if pinned.length > 0}
  <section class="board card" aria-label="Compared side by side">
    <table>
      <thead>
        <tr>
          <th scope="col"><span class="unseen">What differs</span></th>
          {#each pinned as candidate (candidate.gear.id)}
            <th scope="col">
              {fullName(candidate.gear)}
              <button
                aria-label="Remove from comparison: {fullName(candidate.gear)}"
                onclick={() => onunpin(candidate.gear.id)}>×</button
              >
              <span>{partGist(candidate.gear, units)}</span>
            </th>
          {/each}
        </tr>
      </thead>
      <tbody>
        {#each rows as row, index (index)}
          <tr>
            <th scope="row">{row.words}</th>
            {#each row.batteries as battery, index (index)}<td class="figures">{battery}</td>{/each}
          </tr>
        {/each}
      </tbody>
    </table>
    {#if pinned.length === 1}<p class="hint">
        Add another with Space to compare side by side.
      </p>{/if}
  </section>
{/if}

<style>
  .board {
    margin-top: 0.7rem;
    padding: 0.5rem 0.8rem;
    overflow-x: auto;
  }

  table {
    width: 100%;
    border-collapse: collapse;
    font-size: 0.8125rem;
  }

  th {
    padding: 0.2rem 0.5rem 0.2rem 0;
    font-weight: 600;
    text-align: left;
    vertical-align: top;
  }

  thead span {
    display: block;
    color: var(--ink-soft);
    font-size: 0.75rem;
    font-weight: 400;
  }

  tbody th {
    color: var(--ink-soft);
    font-weight: 400;
  }

  td {
    padding: 0.15rem 0.5rem 0.15rem 0;
    border-top: 1px dashed var(--line);
  }

  button {
    border: 0;
    background: none;
    color: var(--brick);
    cursor: pointer;
  }

  .hint {
    color: var(--ink-soft);
    font-size: 0.75rem;
    font-style: italic;
  }
</style>
