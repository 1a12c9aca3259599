<script lang="ts">
  import { Button, Modal, TextInput } from 'carbon-components-svelte';
  import { goto } from '$app/navigation';
  import { library } from '$lib/state/library.svelte';
  import { satchel } from '$lib/state/project-store.svelte';
  import { dayHere } from '$lib/state/as-of-today';
  import { dayWords } from './day-words';
  import { keepFocus } from './keep-focus';
  import DroppedNote from './DroppedNote.svelte';
  import Fold from './Fold.svelte';

  /** Plans of this project and the projects kept here: begin, branch, rename, show, drop. */
  let { open = $bindable(false) }: { open?: boolean } = $props();
  let projects = $state.raw<{ id: string; name: string }[]>([]);
  let done = $state.raw<string[]>([]);
  let copies = $state.raw<Awaited<ReturnType<typeof library.copies>>>([]);

  async function refresh() {
    [projects, copies] = await Promise.all([library.list(), library.copies()]);
  }

  async function bringBack(number: number) {
    await library.bringBack(number);
    open = false;
    await goto('/satchel');
  }

  /** The open one by the name it has now; the list was read when the dialog opened. */
  const named = $derived(
    projects.map((project) =>
      project.id === satchel.project?.id ? { ...project, name: satchel.project.name } : project
    )
  );

  $effect(() => {
    if (open) {
      void refresh();
      void satchel.recentActs().then((list) => (done = list));
    }
  });

  async function toProject(id: string) {
    await library.open(id);
    open = false;
    await goto('/satchel');
  }

  async function dropProject(id: string) {
    await library.remove(id);
    await refresh();
    if (satchel.status === 'no project') {
      open = false;
      await goto('/');
    }
  }
</script>

<Modal bind:open passiveModal modalHeading="Plans and projects" size="sm">
  {#if satchel.project && satchel.plan}
    {@const project = satchel.project}
    <div class="block">
      <TextInput
        size="sm"
        labelText="Name of the project"
        value={project.name}
        maxlength={200}
        on:change={(event) => {
          const name = String(event.detail ?? '').trim();
          if (name && name !== project.name)
            void satchel.act({ type: 'set project', patch: { name } });
        }}
      />
    </div>
    <h3>Plans: other ways to spend the same limit</h3>
    <ul use:keepFocus>
      {#each project.plans as plan (plan.id)}
        <li class:on={plan.id === project.activePlanId}>
          <TextInput
            size="sm"
            hideLabel
            labelText="Name of {plan.name}"
            value={plan.name}
            maxlength={120}
            on:change={({ detail }) => {
              const name = String(detail ?? '').trim();
              if (name && name !== plan.name)
                void satchel.act({ type: 'rename plan', planId: plan.id, name });
            }}
          />
          <span class="soft">{plan.lines.length} {plan.lines.length === 1 ? 'line' : 'lines'}</span>
          {#if plan.id === project.activePlanId}
            <span class="soft">shown</span>
          {:else}
            <button
              class="text-button"
              aria-label="Show {plan.name}"
              onclick={() => satchel.act({ type: 'show plan', planId: plan.id })}>show</button
            >
          {/if}
          <button
            class="text-button"
            aria-label="Branch {plan.name}"
            onclick={() => satchel.branchPlan(plan.id)}>branch</button
          >
          {#if project.plans.length > 1}
            <button
              class="text-button out"
              aria-label="Delete {plan.name}"
              onclick={() => satchel.act({ type: 'remove plan', planId: plan.id })}>delete</button
            >
          {/if}
        </li>
      {/each}
    </ul>
    <p class="soft">A deleted plan comes back with undo.</p>
    <Button size="small" kind="tertiary" on:click={() => satchel.beginPlan()}
      >Begin an empty plan</Button
    >
  {/if}
  {#if done.length > 0}
    <Fold title="What was done last">
      <ol use:keepFocus>
        {#each done as label, index (index)}
          <li>
            <span>{label}</span>
            <button
              class="text-button"
              aria-label="Take back to before: {label}"
              onclick={async () => {
                await satchel.undoLast(index + 1);
                done = await satchel.recentActs();
              }}>back to before this</button
            >
          </li>
        {/each}
      </ol>
    </Fold>
  {/if}
  <h3>Projects saved in this browser</h3>
  <ul use:keepFocus>
    {#each named as listed (listed.id)}
      <li class:on={listed.id === satchel.project?.id}>
        <b>{listed.name}</b>
        {#if listed.id === satchel.project?.id}<span class="soft">open</span>{:else}
          <button
            class="text-button"
            aria-label="Open {listed.name}"
            onclick={() => toProject(listed.id)}>open</button
          >
        {/if}
        <button
          class="text-button out"
          aria-label="Delete {listed.name}"
          onclick={() => dropProject(listed.id)}>delete</button
        >
      </li>
    {/each}
  </ul>
  {#if copies.length > 0}
    <h3>Kept for 30 days after they were replaced or deleted</h3>
    <ul use:keepFocus>
      {#each copies as { number, name, at, why } (number)}
        <li>
          <b>{name}</b>
          <span class="soft">{why} on {dayWords(dayHere(new Date(at)))}</span>
          <button
            class="text-button"
            aria-label="Bring {name} back"
            onclick={() => bringBack(number)}>bring back</button
          >
        </li>
      {/each}
    </ul>
  {/if}
  <DroppedNote onback={async () => await refresh()} />
  <Button
    size="small"
    kind="tertiary"
    on:click={async () => {
      open = false;
      await goto('/');
    }}>Begin a new project</Button
  >
</Modal>

<style>
  h3 {
    margin: 0.9rem 0 0.3rem;
    font-size: 1rem;
  }

  ol {
    margin: 0.3rem 0;
    padding: 0;
    list-style: none;
  }

  ul {
    display: grid;
    gap: 0.25rem;
    margin-bottom: 0.4rem;
    padding: 0;
    list-style: none;
  }

  li {
    display: flex;
    flex-wrap: wrap;
    gap: 0.2rem 0.8rem;
    align-items: center;
    padding: 0.25rem 0.5rem;
    border-left: 4px solid var(--line);
  }

  li.on {
    border-left-color: var(--hide);
    background: var(--paper);
  }

  li button {
    font-size: 0.8125rem;
  }

  li .out {
    color: var(--brick);
  }
</style>
