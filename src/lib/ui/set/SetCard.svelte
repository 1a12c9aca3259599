<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import type { AngleJudgement } from '../../core/judge/incremental';
  import type { SetLayout } from '../../core/set/layout';
  import { setSettings, tapeList } from '../../core/set/tape-list';
  import { cautionsOnSet } from '../../core/set/cautions';
  import { drawingOf, pngOf } from './drawing-file';
  import { saveFile } from '../shell/save-file';

  /** What a tape has to find to put the set up again, to print; and the drawing as a file. */
  interface Props {
    judged: AngleJudgement;
    layout: SetLayout;
    sceneName: string;
  }
  const { judged, layout, sceneName }: Props = $props();
  const tape = $derived(tapeList(judged, layout));
  const settings = $derived(setSettings(judged));
  const cautions = $derived(cautionsOnSet(judged, layout));
  const name = $derived(
    `set-${sceneName
      .replace(/[^\p{L}\p{N}]+/gu, '-')
      .toLowerCase()
      .slice(0, 60)}`
  );
  const drawing = () =>
    document.querySelector<SVGSVGElement>('section[aria-label="From above"] svg[role="group"]');
  let fault = $state('');
  function saveSvg() {
    const svg = drawing();
    if (svg) saveFile(`${name}.svg`, 'image/svg+xml', drawingOf(svg));
  }
  async function savePng() {
    const svg = drawing();
    if (!svg) return;
    try {
      saveFile(`${name}.png`, 'image/png', await pngOf(svg));
    } catch {
      fault = 'This browser could not make a picture of the drawing. Save it as SVG instead.';
    }
  }
</script>

<section class="card" aria-label="Set card">
  <header>
    <h2>Set card: {sceneName}</h2>
    <div class="do">
      <Button size="small" on:click={() => window.print()}>Print</Button>
      <Button size="small" kind="tertiary" on:click={saveSvg}>Save as SVG</Button>
      <Button size="small" kind="tertiary" on:click={() => void savePng()}>Save as PNG</Button>
    </div>
  </header>
  {#if fault}<p class="fault" role="alert">{fault}</p>{/if}
  <div class="columns">
    <dl aria-label="By the tape">
      {#each tape as line, index (index)}<div>
          <dt>{line.what}</dt>
          <dd class="figures">{line.reads}</dd>
        </div>{/each}
    </dl>
    <dl aria-label="Camera settings">
      {#each settings as line (line.what)}<div>
          <dt>{line.what}</dt>
          <dd class="figures">{line.reads}</dd>
        </div>{/each}
    </dl>
  </div>
  {#if cautions.length > 0}
    <ul class="cautions" aria-label="Cautions">
      {#each cautions as caution (caution)}<li>{caution}</li>{/each}
    </ul>
  {/if}
</section>

<style>
  .card {
    padding: 0.8rem 1rem;
  }

  header {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem 1rem;
    align-items: baseline;
    justify-content: space-between;
    margin-bottom: 0.5rem;
  }

  .do {
    display: flex;
    flex-wrap: wrap;
    gap: 0.3rem;
  }

  .columns {
    display: grid;
    gap: 0.6rem;
  }

  dl {
    display: grid;
    gap: 0.2rem;
    margin: 0;
    font-size: 0.8125rem;
  }

  dl div {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 1.4fr);
    gap: 0.6rem;
    padding-bottom: 0.15rem;
    border-bottom: 1px dashed var(--tan-line);
  }

  dt {
    color: var(--ink-soft);
  }

  dd {
    margin: 0;
  }

  .cautions {
    padding: 0.6rem 0 0 1rem;
    color: var(--ink-soft);
    font-size: 0.75rem;
    list-style: disc;
  }

  .fault {
    color: var(--brick);
  }

  @media print {
    .do {
      display: none;
    }
  }
</style>
