<script lang="ts">
  import { Select, SelectItem, TextInput } from 'carbon-components-svelte';
  import type { Question } from '../../core/judge/questions';
  import { MeasureError, readMeasure } from '../../core/reading/measure';

  interface Props {
    questions: readonly Question[];
    /** An answer for the part's own field. */
    onanswer: (question: Question, value: number | string | boolean) => void;
  }
  const { questions, onanswer }: Props = $props();
  const SHOWN_FIRST = 3;
  let all = $state(false);
  let open = $state<string | undefined>(undefined);
  let typed = $state('');
  let fault = $state('');
  const shown = $derived(all ? questions : questions.slice(0, SHOWN_FIRST));

  function begin(key: string) {
    open = open === key ? undefined : key;
    typed = '';
    fault = '';
  }

  function answer(event: SubmitEvent, question: Question) {
    event.preventDefault();
    const ask = question.field!.ask;
    if (typed.trim() === '') {
      fault = 'Give the answer first.';
      return;
    }
    try {
      if (ask.type === 'number') {
        const value = readMeasure(typed, ask.unit);
        if (value < ask.min || value > ask.max) {
          fault = `It must lie between ${ask.min} and ${ask.max} ${ask.unit}.`;
          return;
        }
        onanswer(question, value);
      } else if (ask.type === 'yes/no') onanswer(question, typed === 'yes');
      else if (typed !== '') onanswer(question, typed);
      open = undefined;
    } catch (error) {
      if (!(error instanceof MeasureError)) throw error;
      fault = error.message;
    }
  }
</script>

{#if questions.length > 0}
  <section class="card ask" aria-labelledby="ask-before">
    <h3 id="ask-before">Ask before you pay</h3>
    <p class="lead">These are not stated, and the answer may move the verdict.</p>
    <ol>
      {#each shown as question (question.key)}
        <li>
          <p class="question">{question.question}</p>
          <dl>
            {#each question.effects as { answer: end, brings, best } (end)}
              <dt class="figures">{end}</dt>
              <dd>
                {brings.length > 0 ? brings.join('; ') : 'nothing is in the way'}{best
                  ? `; then ${best} is the best of its pocket`
                  : ''}
              </dd>
            {/each}
          </dl>
          {#if question.field}
            <button
              class="text-button how"
              aria-expanded={open === question.key}
              onclick={() => begin(question.key)}>I have the answer</button
            >
            {#if open === question.key}
              {@const ask = question.field.ask}
              <form onsubmit={(event) => answer(event, question)}>
                {#if ask.type === 'number'}
                  <TextInput
                    size="sm"
                    labelText="Answer in {ask.unit}"
                    bind:value={typed}
                    invalid={fault !== ''}
                    invalidText={fault}
                  />
                {:else}
                  <Select
                    size="sm"
                    labelText="Answer"
                    bind:selected={typed}
                    invalid={fault !== '' && typed === ''}
                    invalidText={fault}
                  >
                    <SelectItem value="" text="choose" />
                    {#each ask.type === 'word' ? ask.words : ['yes', 'no'] as word (word)}<SelectItem
                        value={word}
                        text={word}
                      />{/each}
                  </Select>
                {/if}
                <button class="text-button how">note it on the part</button>
              </form>
            {/if}
          {/if}
        </li>
      {/each}
    </ol>
    {#if questions.length > SHOWN_FIRST}
      <button class="text-button how" onclick={() => (all = !all)}
        >{all ? 'Fold away' : `Show all ${questions.length} questions`}</button
      >
    {/if}
  </section>
{/if}

<style>
  .ask {
    margin-bottom: 0.6rem;
    padding: 0.6rem 0.8rem 0.7rem;
    border-left: 5px dashed var(--pocket-body);
  }

  h3 {
    font-size: 1rem;
  }

  .lead {
    color: var(--ink-soft);
    font-size: 0.75rem;
  }

  ol {
    display: grid;
    gap: 0.55rem;
    margin: 0.5rem 0 0.3rem;
    padding: 0;
    list-style: none;
  }

  .question {
    font-size: 0.8125rem;
    font-weight: 600;
    overflow-wrap: anywhere;
  }

  dl {
    display: grid;
    grid-template-columns: max-content 1fr;
    gap: 0.05rem 0.5rem;
    color: var(--ink-soft);
    font-size: 0.75rem;
  }

  dt {
    color: var(--ink);
  }

  .how {
    padding: 0.1rem 0;
    font-size: 0.8125rem;
  }

  .how:disabled {
    color: var(--ink-soft);
    cursor: default;
  }

  form {
    display: grid;
    gap: 0.3rem;
    justify-items: start;
    margin-top: 0.25rem;
  }
</style>
