<script lang="ts">
  import type { VerdictRow } from '../../core/takes/sound-verdict';

  /** What a take measures, figure by figure, beside what the kit told. */
  interface Props {
    rows: readonly VerdictRow[];
  }
  const { rows }: Props = $props();

  const told = ({ predicted, name, told: words }: VerdictRow) =>
    predicted === undefined
      ? ''
      : (words ?? `told ${predicted.toFixed(name === 'reverberation' ? 2 : 1).replace('-', '−')}`);
  const glyphs = { good: '✓', fair: '≈', bad: '!' } as const;
</script>

<table>
  <caption class="unseen">What it measures</caption>
  <tbody>
    {#each rows as row (row.name)}
      <tr>
        <th scope="row">{row.name}</th>
        <td class="n figures"><b>{row.shown}</b></td>
        <td class="word {row.tone}"
          ><span aria-hidden="true">{glyphs[row.tone]}</span> {row.word}</td
        >
        <td class="n soft figures"
          >{told(row)}{#if row.gap}<br /><span class="gap">{row.gap}</span>{/if}</td
        >
      </tr>
      {#if row.explains}
        <tr class="explains"><td></td><td colspan="3" class="soft">{row.explains}</td></tr>
      {/if}
    {/each}
  </tbody>
</table>

<style>
  table {
    width: 100%;
    border-collapse: collapse;
    font-size: 0.8125rem;
  }

  th,
  td {
    padding: 0.2rem 0.3rem;
    border-bottom: 1px dashed var(--line);
    text-align: left;
    vertical-align: baseline;
  }

  th {
    font-weight: 400;
  }

  tr:has(+ .explains) > * {
    border-bottom: 0;
  }

  .word {
    white-space: nowrap;
  }

  .n {
    text-align: right;
  }

  .good {
    color: var(--moss);
  }

  .fair {
    color: var(--ochre-ink);
  }

  .bad,
  .gap {
    color: var(--brick);
  }
</style>
