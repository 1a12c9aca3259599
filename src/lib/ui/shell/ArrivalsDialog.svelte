<script lang="ts">
  import { Modal, RadioButton, RadioButtonGroup } from 'carbon-components-svelte';
  import { goto } from '$app/navigation';
  import { type Choice, library } from '$lib/state/library.svelte';
  import type { Standing } from '$lib/core/formats/compare-projects';

  /** What comes in and meets something kept here: project by project, nothing is replaced unasked. */
  const standingWords: Record<Standing, string> = {
    new: 'is not saved here yet',
    same: 'is already saved here, exactly as in the file',
    older: 'in the file is older: the project here has gone on from it',
    newer:
      'in the file is newer: it has gone on from the project here, which has not changed since',
    'both changed': 'has changed both here and in the file since they parted',
    unknown: 'differs from the project here, and nothing says which of them is newer'
  };
  const choiceWords: Record<Choice, string> = {
    'keep both': 'Keep both',
    replace: 'Replace the one here',
    'leave out': 'Leave the one here as it is'
  };
  const usual: Record<Standing, Choice> = {
    new: 'keep both',
    same: 'leave out',
    older: 'leave out',
    newer: 'replace',
    'both changed': 'keep both',
    unknown: 'keep both'
  };

  const arrivals = $derived(library.waiting ?? []);
  let choices = $state<Record<string, Choice>>({});
  const choiceOf = (key: string, standing: Standing) => choices[key] ?? usual[standing];
  let open = $state(true);

  async function take() {
    const chosen = Object.fromEntries(
      arrivals.map(({ key, standing }) => [key, choiceOf(key, standing)])
    );
    await library.take(arrivals, chosen);
    await goto('/satchel');
  }
</script>

<Modal
  bind:open
  size="sm"
  modalHeading={arrivals.length === 1
    ? 'This project is already saved here'
    : 'What is in the file'}
  primaryButtonText={arrivals.length === 1 ? 'Go on' : 'Take as chosen'}
  secondaryButtonText="Cancel"
  on:click:button--primary={take}
  on:click:button--secondary={() => library.leave()}
  on:close={() => library.leave()}
>
  <ul>
    {#each arrivals as { key, project, standing, meets } (key)}
      <li>
        <p><b>{project.name}</b> {standingWords[standing]}.</p>
        {#if standing !== 'new' && standing !== 'same'}
          <RadioButtonGroup
            orientation="vertical"
            legendText="What to do with {project.name}"
            hideLegend
            selected={choiceOf(key, standing)}
            on:change={({ detail }) => (choices[key] = detail as Choice)}
          >
            {#each ['keep both', 'replace', 'leave out'] as const as choice (choice)}
              <RadioButton value={choice} labelText={choiceWords[choice]} />
            {/each}
          </RadioButtonGroup>
          {#if choiceOf(key, standing) === 'replace'}
            <p class="soft">
              {meets?.name} as it is now is kept for 30 days, under Plans and projects; undo takes it
              back.
            </p>
          {/if}
        {/if}
      </li>
    {/each}
  </ul>
</Modal>

<style>
  ul {
    display: grid;
    gap: 1.1rem;
    padding: 0;
    list-style: none;
  }

  li p {
    margin-bottom: 0.4rem;
    padding: 0;
    overflow-wrap: anywhere;
  }

  .soft {
    font-size: 0.8125rem;
  }
</style>
