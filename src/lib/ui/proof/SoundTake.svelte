<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import type { Act } from '../../core/acts/act';
  import type { KeptTake } from '../../core/proof/kept-take';
  import { soundVerdict, type TakenIn } from '../../core/takes/sound-verdict';
  import AdviceList from './AdviceList.svelte';
  import BandBars from './BandBars.svelte';
  import LevelStrip from './LevelStrip.svelte';
  import VerdictTable from './VerdictTable.svelte';

  /** One take of sound: heard, drawn, measured, judged. */
  interface Props {
    take: KeptTake & { kind: 'sound' };
    /** Its scene as it is judged. */
    taken: TakenIn | undefined;
    onact: (act: Act) => void;
    onremove: () => void;
  }
  const { take, taken, onact, onremove }: Props = $props();

  const { measures } = $derived(take);
  const verdict = $derived(soundVerdict(measures, taken));
  const address = $derived(URL.createObjectURL(take.file));
  $effect(() => {
    const made = address;
    return () => URL.revokeObjectURL(made);
  });
</script>

<article class="card" aria-label="Take {take.name}">
  <header>
    <h2>{take.name}</h2>
    <b class={verdict.word === 'clean' ? 'good' : verdict.word === 'usable' ? 'fair' : 'bad'}
      >{verdict.word}</b
    >
    <span class="soft figures"
      >{measures.seconds.toFixed(0)} s · {(measures.sampleRate / 1000).toFixed(1)} kHz · {measures.channels ===
      1
        ? 'mono'
        : `${measures.channels} channels`}{take.isSimulated ? ' · simulated' : ''}</span
    >
  </header>
  <audio controls src={address} aria-label="Listen to {take.name}"></audio>
  <LevelStrip {measures} />
  <p class="legend"><i class="voice"></i> voice <i class="silence"></i> silence</p>
  <BandBars spectrum={measures.spectrum} />
  <VerdictTable rows={verdict.rows} />
  <AdviceList title="What to change" list={verdict.advice} {onact} />
  <AdviceList title="Measured instead of guessed" list={verdict.takeOver} {onact} />
  <footer>
    <a href={address} download={take.name.endsWith('.wav') ? take.name : `${take.name}.wav`}
      >Save file</a
    >
    <Button size="small" kind="ghost" on:click={onremove}
      >Delete<span class="unseen"> {take.name}</span></Button
    >
  </footer>
</article>

<style>
  article {
    display: grid;
    gap: 0.4rem;
    align-content: start;
    padding: 0.8rem 1rem;
    min-width: 0;
    overflow-wrap: anywhere;
  }

  header,
  footer {
    display: flex;
    flex-wrap: wrap;
    gap: 0.2rem 0.8rem;
    align-items: baseline;
  }

  audio {
    width: 100%;
    height: 2rem;
  }

  .good {
    color: var(--moss);
  }

  .fair {
    color: var(--ochre-ink);
  }

  .bad {
    color: var(--brick);
  }

  .soft,
  .legend {
    color: var(--ink-soft);
    font-size: 0.75rem;
  }

  .legend i {
    display: inline-block;
    width: 0.7rem;
    height: 0.6rem;
  }

  .voice {
    background: var(--pocket-sound);
  }

  .silence {
    background: var(--tan-line);
  }

  footer {
    font-size: 0.8125rem;
  }
</style>
