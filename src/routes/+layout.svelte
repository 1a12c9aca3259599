<script lang="ts">
  import '../app.css';
  import type { Snippet } from 'svelte';
  import { onMount } from 'svelte';
  import { goto } from '$app/navigation';
  import { navigating, page } from '$app/state';
  import { SkeletonText } from 'carbon-components-svelte';
  import { arrivals } from '$lib/state/arrivals.svelte';
  import { satchel } from '$lib/state/project-store.svelte';
  import { theme } from '$lib/state/theme.svelte';
  import type { Command } from '$lib/ui/shell/palette-entries';
  import { saveSatchel } from '$lib/ui/shell/save-satchel';
  import TopBar from '$lib/ui/shell/TopBar.svelte';
  import { views } from '$lib/ui/shell/views';
  import Strap from '$lib/ui/strap/Strap.svelte';
  import Lazy from '$lib/ui/shell/Lazy.svelte';

  const { children }: { children: Snippet } = $props();
  let keysOpen = $state(false);
  let plansOpen = $state(false);
  let paletteOpen = $state(false);
  /** Fetched when first opened, then kept. */
  let paletteWanted = $state(false);
  $effect(() => {
    if (paletteOpen) paletteWanted = true;
  });

  function command(what: Command) {
    if (what === 'undo') void satchel.undo();
    else if (what === 'redo') void satchel.redo();
    else if (what === 'theme') theme.set(theme.isDark ? 'light' : 'dark');
    else if (what === 'keys') keysOpen = true;
    else if (what === 'plans') plansOpen = true;
    else if (what === 'branch') void satchel.branchPlan(satchel.plan!.id);
    else if (what === 'new plan') void satchel.beginPlan();
    else void saveSatchel();
  }

  onMount(async () => {
    void import('$lib/ui/drag/touch-drag').then(({ allowTouchDrag }) => allowTouchDrag());
    await satchel.open();
    if (satchel.status === 'no project' && page.url.searchParams.get('open') === 'demo') {
      await satchel.beginDemo();
      await goto('/satchel', { replaceState: true });
    } else if (satchel.status === 'no project' && page.url.pathname !== '/') {
      await goto('/', { replaceState: true });
    } else if (['ready', 'loading'].includes(satchel.status) && page.url.pathname === '/') {
      await goto('/satchel', { replaceState: true });
    }
  });

  /** A view that is not here yet is told after a moment, and again when the network says nothing. */
  const SLOW_MS = 500;
  const SILENT_MS = 8000;
  let opening = $state<'' | 'slow' | 'silent'>('');
  $effect(() => {
    opening = '';
    if (!navigating.to) return;
    const slow = setTimeout(() => (opening = 'slow'), SLOW_MS);
    const silent = setTimeout(() => (opening = 'silent'), SILENT_MS);
    return () => {
      clearTimeout(slow);
      clearTimeout(silent);
    };
  });

  const wordsOf = (error: unknown) =>
    (error instanceof Error ? error.message : String(error)).replace(/\.$/, '');

  /** Closing the page would forget what is not in the database yet. */
  function onbeforeunload(event: BeforeUnloadEvent) {
    if (satchel.saved !== 'saved') event.preventDefault();
  }

  /** What breaks off beside any view is told, not swallowed. */
  function onunhandledrejection(event: PromiseRejectionEvent) {
    event.preventDefault();
    satchel.failure = `Something went wrong: ${wordsOf(event.reason)}. What you did is saved.`;
  }

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
    if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'k') {
      event.preventDefault();
      if (satchel.status === 'ready') paletteOpen = !paletteOpen;
      return;
    }
    if (event.ctrlKey || event.metaKey || event.altKey || typing(event.target)) return;
    if (event.key === '?') {
      keysOpen = true;
      return;
    }
    const view = views.find((view) => view.key === event.key);
    if (view && satchel.status === 'ready') {
      event.preventDefault();
      void goto(view.path);
    }
  }
</script>

<svelte:window {onkeydown} {onbeforeunload} {onunhandledrejection} />

{#snippet skipTo(id: string, words: string)}
  <a
    class="skip"
    href="#{id}"
    onclick={(event) => {
      // Without a change of address, which the router would answer by moving the focus itself.
      event.preventDefault();
      const target = document.getElementById(id);
      target?.scrollIntoView({ block: 'nearest' });
      target?.focus();
    }}>{words}</a
  >
{/snippet}
{@render skipTo('work', 'Skip to the work')}
{#if page.url.pathname === '/satchel'}
  {@render skipTo('to-settle', 'Skip to the findings')}
{:else if page.url.pathname.startsWith('/satchel/')}
  {@render skipTo('candidates', 'Skip to the candidates')}
{/if}
<TopBar bind:plansOpen onkeys={() => (keysOpen = true)} onfind={() => (paletteOpen = true)} />
{#if satchel.judgement}
  {@const { money } = satchel.judgement}
  <svelte:boundary>
    <Strap
      {money}
      onpostpone={(lineId) =>
        satchel.act({ type: 'change line', lineId, patch: { step: 'later' } })}
    />
    {#snippet failed()}<p class="tab-only" role="note">The strap could not be drawn.</p>{/snippet}
  </svelte:boundary>
{/if}
{#if opening}
  <p class="tab-only" role="status">
    {#if opening === 'slow'}
      Fetching the view…
    {:else}
      The network does not answer. What you did is saved.
      <button class="text-button" onclick={() => location.reload()}>Try again</button>
    {/if}
  </p>
{/if}
{#if satchel.keeping === 'tab'}
  <p class="tab-only" role="note">
    <b>This browser does not save anything here:</b> a private window, or storage turned off for this
    site. Work as you like, undo and all; then save a satchel file (File, at the top) before you close
    the tab.
  </p>
{/if}
{#if satchel.failure && satchel.status !== 'failed'}
  <div class="failure">
    <Lazy load={() => import('$lib/ui/shell/FailureNote.svelte')}>
      {#snippet children(FailureNote)}
        <FailureNote says={satchel.failure} onclose={() => satchel.forgetFailure()} />
      {/snippet}
    </Lazy>
  </div>
{/if}
{#if satchel.unsaved.length > 0}
  <div class="failure">
    <Lazy load={() => import('$lib/ui/shell/UnsavedNote.svelte')}>
      {#snippet children(UnsavedNote)}<UnsavedNote />{/snippet}
    </Lazy>
  </div>
{/if}
{#snippet faultCard(title: string, says: string, onagain?: () => void)}
  <Lazy load={() => import('$lib/ui/shell/FaultCard.svelte')}>
    {#snippet children(FaultCard)}<FaultCard {title} {says} {onagain} />{/snippet}
  </Lazy>
{/snippet}
<main id="work" tabindex="-1">
  {#if satchel.status === 'loading'}
    <div class="waiting" aria-busy="true">
      <SkeletonText heading /><SkeletonText paragraph lines={4} />
    </div>
  {:else if satchel.status === 'failed'}
    {@render faultCard('The saved project cannot be opened', satchel.failure)}
  {:else if satchel.judgeFault !== undefined}
    {@render faultCard(
      'This project cannot be judged',
      `Something in it was not expected: ${wordsOf(satchel.judgeFault)}.`
    )}
  {:else}
    {#key satchel.project?.id}
      <svelte:boundary>
        {@render children()}
        {#snippet failed(error, reset)}
          {@render faultCard(
            'This view could not be drawn',
            `Something in it was not expected: ${wordsOf(error)}.`,
            reset
          )}
        {/snippet}
      </svelte:boundary>
    {/key}
  {/if}
</main>
{#if arrivals.waiting}
  <Lazy load={() => import('$lib/ui/shell/ArrivalsDialog.svelte')}>
    {#snippet children(ArrivalsDialog)}<ArrivalsDialog />{/snippet}
  </Lazy>
{/if}
{#if satchel.status === 'ready'}
  <Lazy load={() => import('$lib/ui/shell/Announcer.svelte')}>
    {#snippet children(Announcer)}<Announcer />{/snippet}
  </Lazy>
  <Lazy load={() => import('$lib/ui/shell/PhoneBar.svelte')}>
    {#snippet children(PhoneBar)}<PhoneBar />{/snippet}
  </Lazy>
{/if}
{#if keysOpen}
  <Lazy load={() => import('$lib/ui/shell/KeysDialog.svelte')}
    >{#snippet children(KeysDialog)}
      <KeysDialog bind:open={keysOpen} />
    {/snippet}</Lazy
  >
{/if}
{#if paletteWanted}
  <Lazy load={() => import('$lib/ui/shell/Palette.svelte')}
    >{#snippet children(Palette)}
      <Palette bind:open={paletteOpen} oncommand={command} />
    {/snippet}</Lazy
  >
{/if}

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

  .tab-only {
    margin: 0.4rem 1.1rem 0;
    padding: 0.5rem 0.9rem;
    border: 1px dashed var(--ochre);
    border-radius: 10px;
    background: var(--linen);
    font-size: 0.875rem;
  }

  .tab-only button {
    padding: 0 0.25rem;
    font-weight: 600;
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
