<script lang="ts">
  import { Button, ContentSwitcher, Switch } from 'carbon-components-svelte';
  import type { Act } from '../../core/acts/act';
  import type { KeptTake } from '../../core/proof/kept-take';
  import type { Box } from '../../core/proof/measure-picture';
  import { pictureVerdict } from '../../core/takes/picture-verdict';
  import type { TakenIn } from '../../core/takes/sound-verdict';
  import AdviceList from './AdviceList.svelte';
  import VerdictTable from './VerdictTable.svelte';

  /** One still: its histogram, the face and something grey pointed at, and what they measure. */
  interface Props {
    take: KeptTake & { kind: 'still' };
    /** Its scene as it is judged. */
    taken: TakenIn | undefined;
    onact: (act: Act) => void;
    onboxes: (boxes: { face?: Box; grey?: Box }) => void;
    onremove: () => void;
  }
  const { take, taken, onact, onboxes, onremove }: Props = $props();

  const { measures } = $derived(take);
  const verdict = $derived(pictureVerdict(measures, taken));
  const address = $derived(URL.createObjectURL(take.file));
  $effect(() => {
    const made = address;
    return () => URL.revokeObjectURL(made);
  });
  /** What a press on the picture points at. */
  let pointing = $state<'face' | 'grey'>('face');
  const HALF = { face: { x: 0.08, y: 0.16 }, grey: { x: 0.03, y: 0.05 } } as const;
  const STEP = 0.02;

  const boxRound = (x: number, y: number): Box => ({
    left: Math.max(0, x - HALF[pointing].x),
    top: Math.max(0, y - HALF[pointing].y),
    right: Math.min(1, x + HALF[pointing].x),
    bottom: Math.min(1, y + HALF[pointing].y)
  });
  const keep = (box: Box) =>
    onboxes({
      ...(take.face ? { face: take.face } : {}),
      ...(take.grey ? { grey: take.grey } : {}),
      [pointing]: box
    });
  function point(event: MouseEvent & { currentTarget: HTMLElement }) {
    // A press by key has no place: it begins in the middle.
    const { left, top, width, height } = event.currentTarget.getBoundingClientRect();
    const byKey = event.detail === 0;
    keep(
      boxRound(
        byKey ? 0.5 : (event.clientX - left) / width,
        byKey ? 0.5 : (event.clientY - top) / height
      )
    );
  }
  function nudge(event: KeyboardEvent) {
    const by = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[
      event.key
    ];
    const box = take[pointing];
    if (!by || !box) return;
    event.preventDefault();
    keep(
      boxRound(
        (box.left + box.right) / 2 + by[0]! * STEP,
        (box.top + box.bottom) / 2 + by[1]! * STEP
      )
    );
  }
  const most = $derived(Math.max(0.001, ...measures.histogram));
</script>

<article class="card" aria-label="Still {take.name}">
  <header>
    <h2>{take.name}</h2>
    <span class="soft figures"
      >{measures.width} × {measures.height}{take.isSimulated ? ' · simulated' : ''}</span
    >
  </header>
  <button
    class="picture"
    aria-label="Point at the {pointing === 'face' ? 'face' : 'grey card'}; arrow keys move it"
    onclick={point}
    onkeydown={nudge}
  >
    <img src={address} alt="" />
    {#each [{ name: 'face', box: take.face }, { name: 'grey', box: take.grey }] as { name, box } (name)}
      {#if box}
        <span
          class="box"
          class:grey={name === 'grey'}
          style:left="{box.left * 100}%"
          style:top="{box.top * 100}%"
          style:width="{(box.right - box.left) * 100}%"
          style:height="{(box.bottom - box.top) * 100}%"
        ></span>
      {/if}
    {/each}
  </button>
  <ContentSwitcher
    size="sm"
    selectedIndex={pointing === 'face' ? 0 : 1}
    on:change={({ detail }) => (pointing = detail === 0 ? 'face' : 'grey')}
  >
    <Switch text="Point at the face" />
    <Switch text="Point at grey" />
  </ContentSwitcher>
  <svg viewBox="0 0 256 60" role="img" aria-label="From dark to bright, all of it and the face">
    {#each measures.histogram as share, index (index)}
      <rect x={index * 4} y={58 - (share / most) * 54} width="3" height={(share / most) * 54} />
    {/each}
    {#if measures.faceHistogram}
      {@const mostFace = Math.max(0.001, ...measures.faceHistogram)}
      {#each measures.faceHistogram as share, index (index)}
        <rect
          class="face"
          x={index * 4 + 1}
          y={58 - (share / mostFace) * 30}
          width="2"
          height={(share / mostFace) * 30}
        />
      {/each}
    {/if}
  </svg>
  <VerdictTable rows={verdict.rows} />
  <AdviceList title="What to change" list={verdict.advice} {onact} />
  <AdviceList title="Measured instead of guessed" list={verdict.takeOver} {onact} />
  <footer>
    <Button size="small" kind="ghost" on:click={onremove}
      >Delete<span class="unseen"> {take.name}</span></Button
    >
  </footer>
</article>

<style>
  article {
    display: grid;
    gap: 0.5rem;
    align-content: start;
    padding: 0.8rem 1rem;
    min-width: 0;
    overflow-wrap: anywhere;
  }

  header {
    display: flex;
    flex-wrap: wrap;
    gap: 0.2rem 0.8rem;
    align-items: baseline;
  }

  .picture {
    position: relative;
    display: block;
    padding: 0;
    border: 0;
    border-radius: 8px;
    overflow: hidden;
    background: none;
    cursor: crosshair;
  }

  img {
    display: block;
    width: 100%;
  }

  .box {
    position: absolute;
    border: 2px dashed #fff;
    box-shadow: 0 0 0 1px rgb(0 0 0 / 60%);
  }

  .box.grey {
    border-style: solid;
  }

  svg {
    width: 100%;
  }

  rect {
    fill: var(--tan-line);
  }

  rect.face {
    fill: var(--ochre);
  }
</style>
