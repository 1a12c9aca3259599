<script lang="ts">
  import { axes } from '../../core/merit/axis-curves';
  import type { SceneMerit } from '../../core/merit/scene-merit';
  import { axisLevel, axisSentence, axisShort } from './axis-words';

  interface Props {
    merit: SceneMerit;
    named?: boolean;
  }
  const { merit, named = true }: Props = $props();
</script>

<ul class="bars" aria-label="How the kit does here">
  {#each axes as axis (axis)}
    {@const score = merit.axes[axis]}
    <li class:absent={!score} title={axisSentence(axis, score)}>
      <span class="well" aria-hidden="true">
        {#if score}
          <span class="fill {axisLevel(score.low)}" style:height="{Math.max(4, score.low)}%"></span>
          {#if score.high - score.low > 2}
            <span class="maybe" style:bottom="{score.low}%" style:height="{score.high - score.low}%"
            ></span>
          {/if}
        {/if}
      </span>
      {#if named}<span class="short" aria-hidden="true">{axisShort[axis]}</span>{/if}
      <span class="unseen">{axisSentence(axis, score)}</span>
    </li>
  {/each}
</ul>

<style>
  .bars {
    display: grid;
    grid-template-columns: repeat(7, 1fr);
    gap: 3px;
  }

  li {
    display: grid;
    justify-items: stretch;
    text-align: center;
  }

  .well {
    position: relative;
    display: block;
    height: 1.75rem;
    overflow: hidden;
    border-radius: 3px;
    background: var(--tan);
  }

  .absent .well {
    background: repeating-linear-gradient(45deg, transparent 0 3px, var(--line) 3px 4px);
  }

  .fill {
    position: absolute;
    right: 0;
    bottom: 0;
    left: 0;
    border-radius: 2px 2px 0 0;
    transition: height 160ms;
  }

  .good {
    background: var(--moss);
  }

  .fair {
    background: repeating-linear-gradient(
      0deg,
      var(--ochre) 0 3px,
      color-mix(in srgb, var(--ochre) 78%, var(--linen)) 3px 4px
    );
  }

  .poor {
    background: repeating-linear-gradient(
      -45deg,
      var(--brick) 0 3px,
      color-mix(in srgb, var(--brick) 72%, var(--linen)) 3px 5px
    );
  }

  .maybe {
    position: absolute;
    right: 0;
    left: 0;
    background: repeating-linear-gradient(90deg, var(--moss) 0 1px, transparent 1px 4px);
    opacity: 0.6;
  }

  .short {
    overflow-wrap: normal;
    margin-top: 1px;
    color: var(--ink-soft);
    font-size: 0.625rem;
  }
</style>
