<script lang="ts">
  import type { Finding } from '../../core/findings/finding';
  import type { JointsClosed } from '../../core/judge/close-joints';
  import type { Remedy } from '../../core/judge/settle';
  import { formatMoney } from '../../core/money/format';
  import type { Act } from '../../core/acts/act';
  import type { FigureId } from '../../core/figures/table';

  interface Props {
    findings: readonly Finding[];
    remedies: Readonly<Record<string, readonly Remedy[]>>;
    settling: boolean;
    currency: string;
    joints: JointsClosed | undefined;
    onact: (act: Act) => void;
    onwhy: (finding: Finding, figure: FigureId) => void;
  }
  const { findings, remedies, settling, currency, joints, onact, onwhy }: Props = $props();

  const severityWords = { stop: 'stops', warn: 'costs', note: 'worth knowing' } as const;
  const severityGlyphs = { stop: '■', warn: '▲', note: '○' } as const;
  let notesShown = $state(false);

  /** One finding said of several scenes in the same words is shown once. */
  const grouped = $derived.by(() => {
    // eslint-disable-next-line svelte/prefer-svelte-reactivity -- made anew each time, never kept
    const groups = new Map<string, { finding: Finding; scenes: string[] }>();
    for (const finding of findings) {
      const sameEverywhere = !finding.title().startsWith(finding.sceneName ?? '\u0000');
      const key = sameEverywhere
        ? `${finding.code}|${finding.title()}|${finding.severity}`
        : finding.key;
      const group = groups.get(key) ?? { finding, scenes: [] };
      if (finding.sceneName) group.scenes.push(finding.sceneName);
      groups.set(key, group);
    }
    return [...groups.values()];
  });
  const pressing = $derived(grouped.filter(({ finding }) => finding.severity !== 'note'));
  const notes = $derived(grouped.filter(({ finding }) => finding.severity === 'note'));
  const count = (severity: 'stop' | 'warn') =>
    pressing.filter(({ finding }) => finding.severity === severity).length;
  const many = (number: number, one: string, more: string) =>
    `${number} ${number === 1 ? one : more}`;
  const price = (remedy: Remedy) =>
    remedy.costMinor === 0
      ? ''
      : ` ${remedy.costMinor < 0 ? '−' : '+'}${formatMoney(Math.abs(remedy.costMinor), currency, { short: true })}`;
</script>

{#snippet card(finding: Finding, scenes: readonly string[])}
  <li class="card {finding.severity}" data-code={finding.code}>
    <p class="kind">
      <span aria-hidden="true">{severityGlyphs[finding.severity]}</span>
      {severityWords[finding.severity]}{scenes.length > 0 ? ` · ${scenes.join(', ')}` : ''}
    </p>
    <h3>{finding.title()}</h3>
    <p class="why">
      {finding.why()}
      {#if finding.figure && finding.sceneId}
        <button class="how" onclick={() => onwhy(finding, finding.figure!)}
          >How is that worked out?</button
        >
      {/if}
    </p>
    <div class="remedies">
      {#each remedies[finding.key] ?? [] as remedy, index (remedy.label)}
        <span class="remedy">
          <button class:first={index === 0} onclick={() => onact(remedy.act)}>
            {remedy.label}<span class="figures">{price(remedy)}</span>
          </button>
          {#if !remedy.mends}<span class="aside">eases it</span>{/if}
          {#each remedy.brings as brought, at (at)}<span class="aside">but then: {brought}</span
            >{/each}
        </span>
      {:else}
        {#if settling}<span class="aside">looking for remedies…</span
          >{:else if finding.code !== 'Q1'}<span class="aside"
            >Nothing on the shelf mends it; change the scene or the limit.</span
          >{/if}
      {/each}
    </div>
  </li>
{/snippet}

<h2 class="section-name" id="to-settle">
  To settle{pressing.length > 0
    ? ` · ${many(count('stop'), 'stop', 'stops')}, ${many(count('warn'), 'cost', 'costs')}`
    : ''}
</h2>
{#if pressing.length === 0}
  <div class="card settled">
    <p class="done">Nothing stands in the way.</p>
    <p>Every scene works within what may be spent. The buying list is ready.</p>
    <a href="/buying">To the buying list</a>
  </div>
{/if}
{#if joints?.act}
  <div class="card joints">
    <h3>Every open end closed at once</h3>
    <p class="why">
      {joints.buy
        .map(({ model, quantity }) => `${quantity > 1 ? `${quantity} × ` : ''}${model}`)
        .join(', ')}: the cheapest parts that join what is in the bag, in all scenes.
    </p>
    <details>
      <summary>How it goes together</summary>
      <ul class="steps">
        {#each joints.steps as joint, at (at)}<li>
            {joint.sceneName}: {joint.steps.join(', then ')}
          </li>{/each}
      </ul>
    </details>
    <span class="remedy"
      ><button class="first" onclick={() => joints.act && onact(joints.act)}
        >Close them <span class="figures"
          >+{formatMoney(joints.costMinor, currency, { short: true })}</span
        ></button
      ></span
    >
  </div>
{/if}
<ul class="list">
  {#each pressing as { finding, scenes } (finding.key)}{@render card(finding, scenes)}{/each}
</ul>
{#if notes.length > 0}
  <button class="notes" aria-expanded={notesShown} onclick={() => (notesShown = !notesShown)}>
    {notesShown ? 'Fold away' : 'Show'}
    {many(notes.length, 'thing', 'things')} worth knowing
  </button>
  {#if notesShown}
    <ul class="list">
      {#each notes as { finding, scenes } (finding.key)}{@render card(finding, scenes)}{/each}
    </ul>
  {/if}
{/if}

<style>
  .list {
    display: grid;
    gap: 0.6rem;
  }

  li {
    padding: 0.55rem 0.8rem 0.65rem;
    border-left: 5px solid var(--line);
  }

  .stop {
    border-left-color: var(--brick);
  }

  .warn {
    border-left-color: var(--ochre);
    border-left-style: double;
  }

  .note {
    border-left-color: var(--pocket-body);
    border-left-style: dotted;
  }

  .kind {
    color: var(--ink-soft);
    font-size: 0.6875rem;
  }

  .stop .kind span {
    color: var(--brick);
  }

  .warn .kind span {
    color: var(--ochre-ink);
  }

  h3 {
    font-family: var(--text);
    font-size: 0.875rem;
    font-weight: 600;
    overflow-wrap: anywhere;
  }

  .why {
    margin: 0.15rem 0 0.5rem;
    color: var(--ink-soft);
    font-size: 0.8125rem;
    overflow-wrap: anywhere;
  }

  .how {
    padding: 0;
    border: 0;
    background: none;
    color: var(--moss);
    font-size: 0.8125rem;
    text-decoration: underline;
    cursor: pointer;
  }

  .remedies {
    display: flex;
    flex-wrap: wrap;
    gap: 0.35rem;
    align-items: center;
  }

  .remedy {
    display: inline-flex;
    flex-wrap: wrap;
    gap: 0.35rem;
    align-items: center;
  }

  .remedy button {
    padding: 0.24rem 0.8rem;
    border: 1.5px solid var(--moss);
    border-radius: 999px;
    background: transparent;
    color: var(--moss);
    font-size: 0.8125rem;
    font-weight: 600;
    text-align: left;
    cursor: pointer;
  }

  .remedy button:hover {
    background: var(--moss-wash);
  }

  .remedy button.first {
    background: var(--moss);
    color: var(--on-moss);
  }

  .remedy button.first:hover {
    background: var(--moss-deep);
  }

  .aside {
    color: var(--ink-soft);
    font-size: 0.75rem;
    font-style: italic;
  }

  .joints {
    margin-bottom: 0.6rem;
    padding: 0.6rem 0.8rem 0.7rem;
    border-left: 5px solid var(--pocket-joining);
  }

  .joints details {
    margin-bottom: 0.5rem;
    color: var(--ink-soft);
    font-size: 0.75rem;
  }

  .steps {
    padding-left: 1rem;
    list-style: disc;
  }

  .settled {
    display: grid;
    gap: 0.3rem;
    margin-bottom: 0.6rem;
    padding: 0.8rem 0.9rem;
    border-left: 5px solid var(--moss);
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

  @media (max-width: 900px) {
    .remedy button {
      min-height: 2.6rem;
      padding: 0.45rem 1rem;
    }
  }
</style>
