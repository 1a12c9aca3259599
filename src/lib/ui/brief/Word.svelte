<script lang="ts">
  import { tick, type Snippet } from 'svelte';

  /** An underlined word of a sentence that opens a small control, with its figure beside it. */
  interface Props {
    word: string;
    /** The question the control answers. */
    question: string;
    figure?: string;
    /** The mark that follows, which must not begin a line by itself. */
    ends?: string;
    children: Snippet;
  }
  const { word, question, figure, ends = '', children }: Props = $props();

  let open = $state(false);
  let root = $state<HTMLElement>();
  let trigger = $state<HTMLButtonElement>();
  let panel = $state<HTMLElement>();
  let shiftPx = $state(0);

  async function toggle() {
    open = !open;
    shiftPx = 0;
    if (!open) return;
    await tick();
    const box = panel?.getBoundingClientRect();
    // Keep the slip on the page however far right its word stands.
    if (box)
      shiftPx =
        Math.min(0, document.documentElement.clientWidth - 12 - box.right) +
        Math.max(0, 12 - box.left);
    panel?.querySelector<HTMLElement>('input, button, select')?.focus();
  }

  function close() {
    open = false;
    trigger?.focus();
  }
</script>

<svelte:window
  onpointerdown={(event) => {
    if (open && root && !root.contains(event.target as Node)) open = false;
  }}
/>
{#snippet underlined()}<button
    bind:this={trigger}
    class="trigger"
    aria-expanded={open}
    aria-haspopup="dialog"
    onclick={toggle}
  >
    <span class="unseen">{question} </span>{word}{#if figure}<span class="unseen">, {figure}</span
      >{/if}
  </button>{/snippet}
<span class="word" bind:this={root}>
  {#if figure}{@render underlined()}<span class="together"
      ><button class="figure figures" tabindex="-1" aria-hidden="true" onclick={toggle}
        >{figure}</button
      >{ends}</span
    >{:else}<span class="together">{@render underlined()}{ends}</span>{/if}
  {#if open}
    <span
      class="slip card"
      role="dialog"
      tabindex="-1"
      aria-label={question}
      bind:this={panel}
      style:transform="translateX({shiftPx}px)"
      onkeydown={(event) => {
        if (event.key === 'Escape') {
          event.stopPropagation();
          close();
        }
      }}
    >
      <span class="question">{question}</span>
      {@render children()}
    </span>
  {/if}
</span>

<style>
  .word {
    position: relative;
    display: inline-block;
  }

  .together {
    white-space: nowrap;
  }

  .trigger {
    padding: 0 0.05rem;
    border: 0;
    border-bottom: 2.5px solid var(--moss);
    background: transparent;
    font: inherit;
    font-weight: 600;
    line-height: 1.25;
    cursor: pointer;
  }

  .trigger:hover,
  .trigger[aria-expanded='true'] {
    background: var(--moss-wash);
  }

  .figure {
    margin-left: 0.3rem;
    padding: 0.05rem 0.45rem;
    border: 0;
    border-radius: 6px;
    background: var(--tan);
    font-family: var(--text);
    font-size: 0.75rem;
    font-weight: 600;
    vertical-align: 0.12rem;
    cursor: pointer;
  }

  .slip {
    position: absolute;
    top: calc(100% + 0.45rem);
    left: 0;
    z-index: 25;
    display: grid;
    gap: 0.6rem;
    width: max-content;
    max-width: min(21rem, 92vw);
    padding: 0.8rem 0.9rem;
    border-color: var(--moss);
    background: var(--paper);
    box-shadow: 0 14px 36px var(--shade);
    font-family: var(--text);
    font-size: 0.875rem;
    line-height: 1.4;
  }

  .question {
    font-weight: 600;
  }
</style>
