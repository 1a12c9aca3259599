<script lang="ts">
  import { Accordion, AccordionItem } from 'carbon-components-svelte';
  import type { Snippet } from 'svelte';

  /** What is looked at only when it is wanted: a line to press, and under it what it opens. */
  interface Props {
    title: string;
    open?: boolean;
    children: Snippet;
  }
  let { title, open = $bindable(false), children }: Props = $props();
</script>

<div class="fold">
  <Accordion size="sm" align="start">
    <AccordionItem bind:open {title} lazy>{@render children()}</AccordionItem>
  </Accordion>
</div>

<style>
  .fold :global(.bx--accordion__item),
  .fold :global(.bx--accordion__item:last-child) {
    border: 0;
  }

  .fold :global(.bx--accordion__heading) {
    align-items: center;
    padding: 0.2rem 0;
  }

  .fold :global(.bx--accordion__arrow) {
    margin: 0;
    fill: var(--moss);
  }

  .fold :global(.bx--accordion__title) {
    margin: 0 0 0 0.45rem;
    color: var(--moss);
    font-size: 0.8125rem;
    font-weight: 600;
    letter-spacing: 0;
  }

  .fold :global(.bx--accordion--start .bx--accordion__content) {
    margin: 0;
    padding-right: 0;
    padding-left: 0;
  }

  .fold :global(.bx--accordion__item--active .bx--accordion__content) {
    padding-top: 0.2rem;
    padding-bottom: 0.5rem;
  }

  @media (max-width: 900px) {
    .fold :global(.bx--accordion__heading) {
      min-height: 2.75rem;
    }
  }
</style>
