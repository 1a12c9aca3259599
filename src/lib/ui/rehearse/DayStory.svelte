<script lang="ts">
  import type { DaySentence } from '../../core/rehearse/day-words';
  import type { Saving } from '../../core/rehearse/what-saves';
  import { clockWords } from './clock-words';

  /** The day in sentences, the dearest first; each is a way to its minute. */
  interface Props {
    story: readonly DaySentence[];
    days: number;
    /** Changes that were tried, the best first. */
    savings: readonly Saving[];
    onat: (minute: number) => void;
    onsaving: (saving: Saving) => void;
  }
  const { story, days, savings, onat, onsaving }: Props = $props();

  const savingOf = ({ cause, lineId }: DaySentence) =>
    cause && savings.find(({ mostly }) => mostly?.cause === cause && mostly.lineId === lineId);

  const MOST_SENTENCES = 7;
</script>

<section aria-label="The day in sentences">
  <h2>The day in sentences <span class="soft">worst first</span></h2>
  <ul class="card">
    {#each story.slice(0, MOST_SENTENCES) as sentence, index (index)}
      {@const { atMin, lost, text } = sentence}
      {@const saving = savingOf(sentence)}
      <li class:bad={lost > 0}>
        <button onclick={() => onat(atMin)}>
          <b class="figures">{clockWords(atMin, days)}</b>
          {#if lost > 0}<span class="lost">{lost} lost</span>{/if}
        </button>
        <span
          >{text}
          {#if saving}<button class="saved" onclick={() => onsaving(saving)}
              >Saved by: {saving.label}</button
            >{/if}</span
        >
      </li>
    {/each}
  </ul>
</section>

<style>
  h2 {
    padding: 0 0.2rem 0.3rem;
    font-size: 0.9375rem;
  }

  ul {
    padding: 0;
    margin: 0;
    list-style: none;
  }

  li {
    display: grid;
    grid-template-columns: minmax(4.2rem, auto) 1fr;
    gap: 0.6rem;
    padding: 0.5rem 0.8rem;
    border-left: 5px solid var(--moss);
    font-size: 0.8125rem;
  }

  li + li {
    border-top: 1px dashed var(--line);
  }

  li.bad {
    border-left-color: var(--brick);
  }

  button {
    display: grid;
    align-content: start;
    min-height: 1.5rem;
    padding: 0;
    border: 0;
    background: none;
    color: inherit;
    text-align: left;
    cursor: pointer;
  }

  .saved {
    color: var(--moss);
    text-decoration: underline;
  }

  button b {
    text-decoration: underline dotted;
  }

  .lost {
    color: var(--brick);
    font-weight: 600;
  }

  .soft {
    font-weight: 400;
  }
</style>
