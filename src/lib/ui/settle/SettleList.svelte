<script lang="ts">
  import type { Finding } from '../../core/findings/finding';
  import type { JointsClosed } from '../../core/judge/close-joints';
  import type { Remedy } from '../../core/judge/settle';
  import type { SettledAll } from '../../core/judge/settle-all';
  import type { Act } from '../../core/acts/act';
  import type { FigureId } from '../../core/figures/table';
  import type { Question } from '../../core/judge/questions';
  import type { Ignored, SchoolId } from '../../core/model/project';
  import FindingRow from './FindingRow.svelte';
  import { isQuestion } from '../../core/findings/finding-codes';
  import { groupFindings } from './group-findings';
  import Lazy from '../shell/Lazy.svelte';

  interface Props {
    findings: readonly Finding[];
    remedies: Readonly<Record<string, readonly Remedy[]>>;
    settling: boolean;
    /** Why remedies could not be looked for; empty when they could. */
    settleFailure: string;
    ontryagain: () => void;
    /** Given while nothing is in the kit. */
    emptyBag:
      { school: SchoolId; onpack: (ontold: (judged: number) => void) => Promise<void> } | undefined;
    currency: string;
    joints: JointsClosed | undefined;
    questions: readonly Question[];
    ignored: readonly Ignored[];
    onanswer: (question: Question, value: number | string | boolean) => void;
    onact: (act: Act) => void;
    onremedy: (finding: Finding, remedy: Remedy) => void;
    /** Changes that unblock every must-do scene, to be looked at first. */
    onsettleall: () => Promise<SettledAll>;
    /** Told which findings are listed, so that their remedies are looked for first. */
    onlisted: (keys: readonly string[]) => void;
    onwhy: (finding: Finding, figure: FigureId) => void;
  }
  const {
    findings,
    remedies,
    settling,
    settleFailure,
    ontryagain,
    emptyBag,
    currency,
    joints,
    questions,
    ignored,
    onact,
    onremedy,
    onsettleall,
    onlisted,
    onanswer,
    onwhy
  }: Props = $props();

  let notesShown = $state(false);
  let letBeShown = $state(false);
  const reasons = $derived(new Map(ignored.map(({ key, reason }) => [key, reason])));

  const grouped = $derived(groupFindings(findings, ignored));
  /** Findings that stand but are ignored, with the reason; a reason outlives its finding unseen. */
  const letBe = $derived(
    findings.flatMap((finding) => {
      const reason = reasons.get(finding.key);
      return reason === undefined ? [] : [{ finding, reason }];
    })
  );
  /** A group said of several scenes is ignored in all of them at once. */
  const keysLike = (finding: Finding) =>
    findings
      .filter(
        (other) =>
          other.code === finding.code &&
          other.severity === finding.severity &&
          other.title() === finding.title()
      )
      .map(({ key }) => key);
  const dismiss = (finding: Finding, reason: string) =>
    onact({
      type: 'batch',
      acts: keysLike(finding).map((key) => ({ type: 'ignore', key, reason }))
    });
  const pressing = $derived(grouped.filter(({ finding }) => finding.severity !== 'note'));
  /** The worst first; a large project has more than anybody reads at once. */
  const MOST_DRAWN = 14;
  let allShown = $state(false);
  const drawn = $derived(allShown ? pressing : pressing.slice(0, MOST_DRAWN));
  $effect(() => onlisted(drawn.map(({ finding }) => finding.key)));
  /** What nobody has stated yet: an all-clear is given only beside it. */
  const openAnswers = $derived(findings.filter(isQuestion).length);
  const notes = $derived(grouped.filter(({ finding }) => finding.severity === 'note'));
  const count = (severity: 'stop' | 'warn') =>
    pressing.filter(({ finding }) => finding.severity === severity).length;
  const many = (number: number, single: string, more: string) =>
    `${number} ${number === 1 ? single : more}`;
</script>

{#snippet card(finding: Finding, scenes: readonly string[])}
  <FindingRow
    {finding}
    {scenes}
    remedies={remedies[finding.key]}
    search={settling ? 'going on' : settleFailure ? 'broken off' : 'done'}
    {currency}
    onremedy={(remedy) => onremedy(finding, remedy)}
    {onwhy}
    onignore={(reason) => dismiss(finding, reason)}
  />
{/snippet}

<h2 class="section-name" id="to-settle" tabindex="-1">
  To settle{pressing.length > 0
    ? ` · ${many(count('stop'), 'blocks a scene', 'block a scene')}, ${many(count('warn'), 'weakens one', 'weaken one')}`
    : ''}
</h2>
{#if emptyBag}
  <Lazy load={() => import('./EmptyBagCard.svelte')}
    >{#snippet children(EmptyBagCard)}
      <EmptyBagCard school={emptyBag.school} onpack={emptyBag.onpack} />
    {/snippet}</Lazy
  >
{/if}
{#if settleFailure}
  <div class="card settled broken" role="alert">
    <p>
      Remedies could not be looked for: {settleFailure}. What is found below stands.
    </p>
    <button class="notes" onclick={ontryagain}>Try again</button>
  </div>
{/if}
{#if pressing.length === 0}
  <div class="card settled">
    {#if openAnswers > 0}
      <p class="done">Nothing that is stated stands in the way.</p>
      <p>
        {openAnswers === 1
          ? 'One figure nobody has stated could still change that; it is asked'
          : `${openAnswers} figures nobody has stated could still change that; they are asked`} below.
      </p>
    {:else}
      <p class="done">Nothing stands in the way.</p>
      <p>Every scene works within the budget. The buying list is ready.</p>
    {/if}
    <a href="/buying">To the buying list</a>
  </div>
{/if}
{#if count('stop') > 0 && !emptyBag}
  <Lazy load={() => import('./SettleAllCard.svelte')}
    >{#snippet children(SettleAllCard)}
      <SettleAllCard {currency} onlook={onsettleall} {onact} />
    {/snippet}</Lazy
  >
{/if}
<ul class="list">
  {#each drawn as { finding, scenes } (finding.key)}{@render card(finding, scenes)}{/each}
</ul>
{#if pressing.length > drawn.length}
  <button class="notes" onclick={() => (allShown = true)}>
    Show {pressing.length - drawn.length} more
  </button>
{/if}
{#if questions.length > 0}
  <Lazy load={() => import('./AskList.svelte')}
    >{#snippet children(AskList)}
      <AskList {questions} {onanswer} />
    {/snippet}</Lazy
  >
{/if}
{#if joints?.act}
  <Lazy load={() => import('./JointsCard.svelte')}
    >{#snippet children(JointsCard)}
      <JointsCard {joints} {currency} {onact} />
    {/snippet}</Lazy
  >
{/if}
{#if notes.length > 0}
  <button class="notes" aria-expanded={notesShown} onclick={() => (notesShown = !notesShown)}>
    {notesShown ? 'Fold away' : 'Show'}
    {many(notes.length, 'thing', 'things')} good to know
  </button>
  {#if notesShown}
    <ul class="list">
      {#each notes as { finding, scenes } (finding.key)}{@render card(finding, scenes)}{/each}
    </ul>
  {/if}
{/if}
{#if letBe.length > 0}
  <button class="notes" aria-expanded={letBeShown} onclick={() => (letBeShown = !letBeShown)}>
    {letBeShown ? 'Fold away' : 'Show'}
    {many(letBe.length, 'finding', 'findings')} ignored
  </button>
  {#if letBeShown}
    <ul class="list">
      {#each letBe as { finding, reason } (finding.key)}
        <li class="card be">
          <h3>{finding.title()}</h3>
          <p class="reason">{finding.sceneName ? `${finding.sceneName}: ` : ''}“{reason}”</p>
          <button
            class="text-button bring"
            onclick={() => onact({ type: 'bring back', key: finding.key })}>bring back</button
          >
        </li>
      {/each}
    </ul>
  {/if}
{/if}

<style>
  .be {
    padding: 0.55rem 0.8rem 0.65rem;
    border-left: 5px solid var(--line);
  }

  .bring {
    font-size: 0.8125rem;
  }

  .list {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(min(100%, 15rem), 1fr));
    align-items: start;
    gap: 0.4rem;
    margin-bottom: 0.6rem;
  }

  h3 {
    font-family: var(--text);
    font-size: 0.875rem;
    font-weight: 600;
    overflow-wrap: anywhere;
  }

  .settled {
    display: grid;
    gap: 0.3rem;
    margin-bottom: 0.6rem;
    padding: 0.8rem 0.9rem;
    border-left: 5px solid var(--moss);
  }

  .broken {
    border-left-color: var(--brick);
  }

  .done {
    font-family: var(--display);
    font-size: 1.1rem;
    font-weight: 600;
  }

  .notes {
    margin: 0.7rem 0;
    padding: 0.2rem 0;
    border: 0;
    background: none;
    color: var(--moss);
    font-weight: 600;
    cursor: pointer;
  }
</style>
