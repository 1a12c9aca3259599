<script lang="ts">
  import type { SceneFigure } from '../../core/judge/pocket-figures';

  /** A pocket's own figure in one scene: a level against what is wanted, with its words. */
  const { figure, sceneName }: { figure: SceneFigure | undefined; sceneName: string } = $props();
</script>

{#if figure}
  <span class="meter" title="{sceneName}: {figure.words}, {figure.verdict}">
    <span class="place" aria-hidden="true">{sceneName}</span>
    <span class="top">
      <span class="well" aria-hidden="true"
        ><span class="fill {figure.level}" style:width="{Math.max(4, 100 * figure.share)}%"
        ></span></span
      >
      <span class="figures">{figure.words}</span>
    </span>
    <span class="verdict {figure.level}"
      ><span class="unseen">{sceneName}: </span>{figure.verdict}</span
    >
  </span>
{:else}
  <span class="meter none" title="{sceneName}: means nothing here"
    ><span class="place" aria-hidden="true">{sceneName}</span><span class="unseen"
      >{sceneName}: means nothing here</span
    ></span
  >
{/if}

<style>
  .place {
    display: none;
  }

  .meter {
    display: grid;
    gap: 0.1rem;
    min-width: 0;
    font-size: 0.75rem;
  }

  .none {
    width: 1.4rem;
    height: 1.5rem;
    border-radius: 3px;
    background: repeating-linear-gradient(45deg, transparent 0 3px, var(--line) 3px 4px);
  }

  .top {
    display: flex;
    gap: 0.35rem;
    align-items: center;
  }

  .well {
    flex: 0 0 2.4rem;
    height: 0.55rem;
    overflow: hidden;
    border-radius: 2px;
    background: var(--tan);
  }

  .fill {
    display: block;
    height: 100%;
  }

  .fill.good {
    background: var(--moss);
  }

  .fill.fair {
    background: repeating-linear-gradient(
      0deg,
      var(--ochre) 0 2px,
      color-mix(in srgb, var(--ochre) 70%, var(--linen)) 2px 3px
    );
  }

  .fill.poor {
    background: repeating-linear-gradient(90deg, var(--brick) 0 2px, transparent 2px 4px);
  }

  .figures {
    font-weight: 600;
    white-space: nowrap;
  }

  .verdict {
    overflow: hidden;
    color: var(--ink-soft);
    font-size: 0.6875rem;
    text-overflow: ellipsis;
    white-space: nowrap;
  }

  .verdict.good {
    color: var(--moss);
  }

  .verdict.poor {
    color: var(--brick);
  }

  /* Where there are no columns, each names its scene. */
  @media (max-width: 700px) {
    .place {
      display: block;
      overflow: hidden;
      color: var(--ink-soft);
      font-size: 0.6875rem;
      text-overflow: ellipsis;
      white-space: nowrap;
    }

    .none {
      width: auto;
      height: auto;
    }
  }
</style>
