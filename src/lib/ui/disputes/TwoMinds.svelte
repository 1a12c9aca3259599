<script lang="ts">
  import { SkeletonText } from 'carbon-components-svelte';
  import type { Act } from '../../core/acts/act';
  import type { DisputeView } from '../../core/judge/disputes';
  import type { Pocket } from '../../core/model/pocket';
  import type { Project } from '../../core/model/project';
  import { asOfToday } from '../../state/as-of-today';
  import { askJudge } from '../../workers/connect-judge';
  import Fold from '../shell/Fold.svelte';
  import { effectWords } from './effect-words';

  interface Props {
    project: Project;
    /** Only what is decided there. */
    where?: 'brief' | Pocket;
    summary: string;
    onact: (act: Act) => void;
  }
  const { project, where, summary, onact }: Props = $props();
  let open = $state(false);
  let views = $state.raw<readonly DisputeView[] | undefined>(undefined);
  let failure = $state('');

  $effect(() => {
    if (!open) return;
    let stale = false;
    failure = '';
    askJudge((judge, send) => judge.disputes(send(asOfToday(project)), where))
      .then((found) => {
        if (!stale) views = found;
      })
      .catch((error: unknown) => {
        if (!stale) failure = error instanceof Error ? error.message : String(error);
      });
    return () => {
      stale = true;
    };
  });
</script>

<Fold title={summary} bind:open>
  {#if failure}
    <p role="alert" class="soft">The sides could not be weighed here: {failure}.</p>
  {:else if !views}
    <div aria-busy="true"><SkeletonText paragraph lines={4} /></div>
  {:else}
    <ul>
      {#each views as { id, question, sides } (id)}
        <li>
          <h3>{question}</h3>
          {#each sides as { name, says, stands, otherWay }, index (index)}
            <div class="side" class:stands>
              <p>
                <b>{name}</b>{#if stands}<span class="here">here</span>{/if}
                <span class="says">{says}</span>
              </p>
              {#if otherWay}
                {@const words = effectWords(otherWay, project.currency)}
                <p class="effect">
                  {words.sum}
                  {#if words.settles}<span class="good">{words.settles}</span>{/if}
                  {#if words.breaks}<span class="bad">{words.breaks}</span>{/if}
                  <button
                    class="text-button"
                    onclick={() => onact(otherWay.act)}
                    aria-label="Go this way: {name}">go this way</button
                  >
                </p>
              {/if}
            </div>
          {/each}
        </li>
      {:else}
        <li class="soft">Nothing of this kit turns on a question people disagree about.</li>
      {/each}
    </ul>
  {/if}
</Fold>

<style>
  ul {
    columns: 22rem;
    column-gap: 1.6rem;
    padding-top: 0.4rem;
  }

  li {
    margin-bottom: 0.8rem;
    padding-bottom: 0.4rem;
    border-bottom: 1px dashed var(--line);
    break-inside: avoid;
  }

  h3 {
    margin-bottom: 0.3rem;
    font-size: 0.95rem;
    font-weight: 600;
  }

  .side {
    margin-bottom: 0.35rem;
    padding-left: 0.6rem;
    border-left: 3px solid var(--line);
    font-size: 0.8125rem;
  }

  .side.stands {
    border-left-color: var(--moss);
  }

  .here {
    margin-left: 0.35rem;
    padding: 0 0.4rem;
    border-radius: 999px;
    background: var(--moss-wash);
    color: var(--moss);
    font-size: 0.75rem;
    font-weight: 600;
  }

  .says {
    display: block;
  }

  .effect {
    color: var(--ink-soft);
  }

  .good,
  .bad {
    display: block;
  }

  .good::before {
    content: '✓ ';
    color: var(--moss);
  }

  .bad::before {
    content: '✗ ';
    color: var(--brick);
  }

  button {
    font-weight: 600;
  }

  .soft {
    font-size: 0.8125rem;
  }

  @media (max-width: 900px) {
    button {
      min-height: 2.6rem;
    }
  }
</style>
