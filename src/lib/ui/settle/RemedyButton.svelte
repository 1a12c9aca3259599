<script lang="ts">
  interface Props {
    label: string;
    /** What it costs or saves, already in words; left out where it is no purchase. */
    price?: string;
    /** The one that stands first is the one most would take. */
    first?: boolean;
    ontake: () => void;
  }
  const { label, price, first = false, ontake }: Props = $props();
</script>

<button class:first onclick={ontake}
  >{price ? `${label} ` : label}{#if price}<span class="figures">{price}</span>{/if}</button
>

<style>
  button {
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

  button:hover {
    background: var(--moss-wash);
  }

  span {
    white-space: nowrap;
  }

  .first {
    background: var(--moss);
    color: var(--on-moss);
  }

  .first:hover {
    background: var(--moss-deep);
  }

  @media (max-width: 900px) {
    button {
      min-height: 2.6rem;
      padding: 0.45rem 1rem;
    }
  }
</style>
