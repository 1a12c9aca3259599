<script lang="ts">
  import type { Snippet } from 'svelte';

  /** The leather and its stitching, with a name on the flap: what both the satchel and an opened pocket lie in. */
  interface Props {
    label: string;
    heading: string;
    facts: string;
    /** A way on, at the end of the flap. */
    link?: { href: string; words: string };
    children: Snippet;
  }
  const { label, heading, facts, link, children }: Props = $props();
</script>

<section class="bag" aria-label={label}>
  <div class="flap">
    <h2>{heading}</h2>
    <span class="figures">{facts}</span>
    {#if link}<a href={link.href}>{link.words}</a>{/if}
  </div>
  {@render children()}
</section>

<style>
  .bag {
    position: relative;
    padding: 0.9rem 0.95rem 1rem;
    border-radius: 26px 26px 30px 30px;
    background: radial-gradient(
      120% 80% at 50% 0%,
      color-mix(in srgb, var(--hide) 82%, white) 0%,
      var(--hide) 55%,
      var(--hide-deep) 130%
    );
    box-shadow:
      inset 0 0 0 2px var(--hide-deep),
      0 8px 24px var(--shade);
    color: var(--hide-ink);
  }

  .bag::before {
    content: '';
    position: absolute;
    inset: 6px;
    border: 1.6px dashed var(--thread);
    border-radius: 21px 21px 25px 25px;
    pointer-events: none;
  }

  .flap {
    display: flex;
    flex-wrap: wrap;
    gap: 0.15rem 1rem;
    align-items: baseline;
    justify-content: space-between;
    padding: 0.1rem 0.9rem 0.55rem;
    font-size: 0.8125rem;
  }

  a {
    color: var(--hide-ink);
    font-weight: 600;
  }

  h2::first-letter {
    text-transform: uppercase;
  }

  @media (max-width: 700px) {
    .bag {
      padding: 0.8rem 0.75rem;
    }
  }
</style>
