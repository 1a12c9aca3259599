<script lang="ts">
  import { page } from '$app/state';
  import { satchel } from '$lib/state/project-store.svelte';
  import { groupFindings } from '../settle/group-findings';
  import { views } from './views';

  const open = $derived(
    groupFindings(satchel.judgement?.findings ?? [], satchel.project?.ignored).filter(
      ({ finding }) => finding.severity !== 'note'
    ).length
  );
  const here = $derived(page.url.pathname + page.url.hash);
</script>

<nav aria-label="Views on the phone">
  {#each views as view (view.path)}
    <a href={view.path} aria-current={here === view.path ? 'page' : undefined}>
      <span class="glyph" aria-hidden="true">{view.glyph}</span>{view.name}
    </a>
    {#if view.path === '/satchel'}
      <a
        href="/satchel#to-settle"
        aria-current={here === '/satchel#to-settle' ? 'page' : undefined}
      >
        <span class="glyph count" aria-hidden="true">{open}</span>To settle<span class="unseen"
          >, {open} open</span
        >
      </a>
    {/if}
  {/each}
</nav>

<style>
  nav {
    position: fixed;
    inset: auto 0 0;
    z-index: 30;
    display: none;
    grid-auto-columns: 1fr;
    grid-auto-flow: column;
    border-top: 1px solid var(--line);
    background: var(--linen);
  }

  a {
    display: grid;
    justify-items: center;
    padding: 0.45rem 0.2rem 0.6rem;
    color: var(--ink-soft);
    font-size: 0.75rem;
    font-weight: 500;
    text-decoration: none;
  }

  a[aria-current] {
    color: var(--moss);
    font-weight: 600;
  }

  .glyph {
    font-size: 1.15rem;
    line-height: 1.3;
  }

  .count {
    font-family: var(--display);
    font-weight: 600;
  }

  @media (max-width: 900px) {
    nav {
      display: grid;
    }
  }

  @media print {
    nav {
      display: none;
    }
  }
</style>
