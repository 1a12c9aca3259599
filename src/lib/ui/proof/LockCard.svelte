<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import type { Act } from '../../core/acts/act';
  import type { AngleJudgement } from '../../core/judge/incremental';
  import { backToLock, changesSinceLock, lockOf } from '../../core/judge/scene-lock';
  import type { Project } from '../../core/model/project';
  import type { LockEvidence } from '../../core/model/scene-lock';
  import { dayWords } from '../shell/day-words';

  /** Settings and places that worked, with what proved it; and what has changed since. */
  interface Props {
    project: Project;
    judged: AngleJudgement;
    /** Takes laid side by side, or all of the scene. */
    evidence: readonly LockEvidence[];
    today: string;
    onact: (act: Act) => void;
  }
  const { project, judged, evidence, today, onact }: Props = $props();

  /** Of a scene with several cameras each is locked by itself. */
  const name = $derived(
    judged.scene.angles.length > 1
      ? `${judged.scene.name}, ${judged.angle.name}`
      : judged.scene.name
  );
  const lock = $derived(
    project.locks?.find(
      ({ sceneId, angleId }) => sceneId === judged.scene.id && angleId === judged.angle.id
    )
  );
  const changes = $derived(lock ? changesSinceLock(lock, judged) : []);
  const changed = $derived(new Set(changes.map(({ name }) => name)));
  const lockIt = () =>
    onact({ type: 'lock angle', lock: lockOf(project, judged, today, evidence) });
</script>

<section class="card" aria-label="The lock of {name}">
  {#if lock}
    <h2>
      {changes.length === 0
        ? `${name} is locked with these settings`
        : `${name} is no longer as it was locked`}
    </h2>
    <p class="soft">
      locked on {dayWords(lock.lockedOn)}{lock.evidence.length > 0
        ? `; proved by ${lock.evidence.map(({ name, word }) => `${name} (${word})`).join(', ')}`
        : '; no take was kept as proof'}
    </p>
    <ul class="chips">
      {#each lock.figures as { name: what, value } (what)}
        <li class:changed={changed.has(what)}><span class="soft">{what}</span> {value}</li>
      {/each}
    </ul>
    {#if changes.length > 0}
      <h3>What changed since</h3>
      <ul aria-label="What changed since">
        {#each changes as { name: what, was, is } (what)}
          <li>
            <span aria-hidden="true">✗</span>
            {what}: {was ?? 'nothing'} then, {is ?? 'nothing'} now
          </li>
        {/each}
      </ul>
    {/if}
    <div class="row">
      {#if changes.length > 0}
        <Button size="small" on:click={() => onact(backToLock(lock))}>Put it back</Button>
        <Button size="small" kind="tertiary" on:click={lockIt}>Lock it as it is now</Button>
      {/if}
      <Button
        size="small"
        kind="ghost"
        on:click={() =>
          onact({ type: 'unlock angle', sceneId: lock.sceneId, angleId: lock.angleId })}
        >Unlock</Button
      >
      <a href="/cards">Settings card</a>
    </div>
  {:else}
    <h2>Lock what works</h2>
    <p class="soft">
      Keeps every setting, part and place of {name} as it stands{evidence.length > 0
        ? `, with ${evidence.map(({ name }) => name).join(', ')} as proof`
        : ''}, and says so when one of them changes.
    </p>
    <Button size="small" on:click={lockIt}>Lock {name}</Button>
  {/if}
</section>

<style>
  section {
    display: grid;
    gap: 0.5rem;
    grid-column: 1 / -1;
    padding: 0.9rem 1.1rem;
    outline: 1px dashed var(--tan-line);
    outline-offset: -6px;
    font-size: 0.8125rem;
    overflow-wrap: anywhere;
  }

  h3 {
    font-size: 0.875rem;
  }

  ul {
    padding: 0;
    margin: 0;
    list-style: none;
  }

  .chips {
    display: flex;
    flex-wrap: wrap;
    gap: 0.35rem;
  }

  .chips li {
    padding: 0.15rem 0.6rem;
    border: 1.5px solid transparent;
    border-radius: 8px;
    background: var(--tan);
  }

  .chips li.changed {
    border-color: var(--brick);
    background: var(--paper);
    color: var(--brick);
  }

  .row {
    display: flex;
    flex-wrap: wrap;
    gap: 0.5rem 0.9rem;
    align-items: center;
  }

  .chips .soft {
    font-size: 0.6875rem;
  }
</style>
