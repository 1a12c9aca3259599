<script lang="ts">
  import '../app.css';
  import type { Snippet } from 'svelte';
  import { onMount } from 'svelte';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { InlineNotification, SkeletonText } from 'carbon-components-svelte';
  import { satchel } from '$lib/state/project-store.svelte';
  import { theme } from '$lib/state/theme.svelte';
  import KeysDialog from '$lib/ui/shell/KeysDialog.svelte';
  import TopBar from '$lib/ui/shell/TopBar.svelte';
  import PhoneBar from '$lib/ui/shell/PhoneBar.svelte';
  import { views } from '$lib/ui/shell/views';
  import Strap from '$lib/ui/strap/Strap.svelte';

  const { children }: { children: Snippet } = $props();
  let keysOpen = $state(false);
  void theme;

  onMount(async () => {
    await satchel.open();
    if (satchel.status === 'no project' && page.url.searchParams.get('open') === 'demo') {
      await satchel.beginDemo();
      await goto('/satchel', { replaceState: true });
    } else if (satchel.status === 'no project' && page.url.pathname !== '/') {
      await goto('/', { replaceState: true });
    } else if (satchel.status === 'ready' && page.url.pathname === '/') {
      await goto('/satchel', { replaceState: true });
    }
  });

  const typing = (target: EventTarget | null) =>
    target instanceof HTMLElement &&
    (target.matches(
      'input:not([type=radio]):not([type=checkbox]):not([type=range]), textarea, select'
    ) ||
      target.isContentEditable);

  function onkeydown(event: KeyboardEvent) {
    if (
      (event.ctrlKey || event.metaKey) &&
      event.key.toLowerCase() === 'z' &&
      !typing(event.target)
    ) {
      event.preventDefault();
      void (event.shiftKey ? satchel.redo() : satchel.undo());
      return;
    }
    if (event.ctrlKey || event.metaKey || event.altKey || typing(event.target)) return;
    if (event.key === '?') {
      keysOpen = true;
      return;
    }
    const view = views.find((one) => one.key === event.key);
    if (view && satchel.status === 'ready') {
      event.preventDefault();
      void goto(view.path);
    }
  }
</script>

<svelte:window {onkeydown} />

<a class="skip" href="#work">Skip to the work</a>
<TopBar onkeys={() => (keysOpen = true)} />
{#if satchel.judgement}
  <Strap
    money={satchel.judgement.money}
    onpostpone={(lineId) => satchel.act({ type: 'change line', lineId, patch: { step: 'later' } })}
  />
{/if}
{#if satchel.failure}
  <div class="failure">
    <InlineNotification
      kind="error"
      lowContrast
      title="That did not work."
      subtitle={satchel.failure}
      on:close={() => satchel.forgetFailure()}
    />
  </div>
{/if}
<main id="work" tabindex="-1">
  {#if satchel.status === 'loading'}
    <div class="waiting" aria-busy="true">
      <SkeletonText heading /><SkeletonText paragraph lines={4} />
    </div>
  {:else if satchel.status === 'failed'}
    <div class="waiting card">
      <h1>What is kept here cannot be opened</h1>
      <p>{satchel.failure}</p>
      <p>Nothing was changed. Open a satchel file you exported, or begin anew.</p>
    </div>
  {:else}
    {@render children()}
  {/if}
</main>
{#if satchel.status === 'ready'}<PhoneBar />{/if}
<KeysDialog bind:open={keysOpen} />

<style>
  .skip {
    position: absolute;
    top: -4rem;
    left: 0.5rem;
    z-index: 100;
    padding: 0.5rem 1rem;
    border-radius: 0 0 8px 8px;
    background: var(--paper);
  }

  .skip:focus {
    top: 0;
  }

  main {
    padding: 0.35rem 1.1rem 2.5rem;
    outline: none;
  }

  .failure {
    padding: 0 1.1rem;
  }

  .waiting {
    display: grid;
    gap: 1rem;
    max-width: 40rem;
    margin: 3rem auto;
    padding: 1.5rem;
  }

  @media (max-width: 700px) {
    main {
      padding: 0.25rem 0.7rem 5.5rem;
    }
  }

  @media print {
    main {
      padding: 0;
    }
  }
</style>
