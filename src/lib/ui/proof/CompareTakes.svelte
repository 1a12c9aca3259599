<script lang="ts">
  import { Button, InlineLoading } from 'carbon-components-svelte';
  import type { Alignment } from '../../core/proof/align';
  import { differenceWords } from '../../core/takes/sound-verdict';
  import type { KeptTake } from '../../core/proof/kept-take';

  /** Two takes beside each other: how they differ, which is liked better unseen, and how they lie to each other in time. */
  interface Props {
    first: KeptTake & { kind: 'sound' };
    second: KeptTake & { kind: 'sound' };
    fps: number;
    onchosen: (chosen: KeptTake, other: KeptTake) => void;
    onalign: () => Promise<Alignment | undefined>;
  }
  const { first, second, fps, onchosen, onalign }: Props = $props();

  const words = $derived(differenceWords(first.measures, second.measures));
  let aligning = $state(false);
  let alignment = $state.raw<Alignment | undefined>(undefined);
  let alignSays = $state('');

  async function lay() {
    aligning = true;
    alignSays = '';
    alignment = undefined;
    try {
      alignment = await onalign();
      if (!alignment) alignSays = 'Nothing is heard in both: they are of different moments.';
    } catch {
      alignSays = 'One of them cannot be read any more.';
    } finally {
      aligning = false;
    }
  }
  const ms = (seconds: number) => Math.round(seconds * 1000);
  const frames = (seconds: number) => Math.abs(seconds * fps).toFixed(1);

  /** Which of both is called the left one, hidden until one is chosen. */
  let swapped = $state(Math.random() < 0.5);
  let chosen = $state<KeptTake | undefined>(undefined);
  const left = $derived(swapped ? second : first);
  const right = $derived(swapped ? first : second);
  let player: HTMLAudioElement | undefined;
  /** The louder one is turned down to the other. */
  function volumeOf(take: KeptTake & { kind: 'sound' }): number {
    const loudness = (one: KeptTake & { kind: 'sound' }) =>
      one.measures.speechDb ?? one.measures.rmsADb;
    const least = Math.min(loudness(first), loudness(second));
    return Math.max(0.01, Math.min(1, 10 ** ((least - loudness(take)) / 20)));
  }
  function play(take: KeptTake & { kind: 'sound' }) {
    stop();
    const address = URL.createObjectURL(take.file);
    player = new Audio(address);
    player.volume = volumeOf(take);
    player.addEventListener('ended', () => URL.revokeObjectURL(address), { once: true });
    void player.play().catch(() => undefined);
  }
  function stop() {
    player?.pause();
    player = undefined;
  }
  $effect(() => stop);
  function choose(take: KeptTake) {
    stop();
    chosen = take;
    onchosen(take, take.id === first.id ? second : first);
  }
  function again() {
    chosen = undefined;
    swapped = Math.random() < 0.5;
  }
  const tally = ({ heardBlind = 0, chosenBlind = 0 }: KeptTake) =>
    heardBlind === 0 ? '' : `chosen ${chosenBlind} of ${heardBlind} times`;
</script>

<section class="card" aria-label="Two takes compared">
  <h2>{first.name} and {second.name}</h2>
  <ul>
    {#each words as one (one)}<li>{one}</li>{/each}
  </ul>
  <h3>Which is better? Names hidden till you choose</h3>
  <div class="blind">
    {#each [{ name: 'One', take: left }, { name: 'Other', take: right }] as { name, take } (name)}
      <div>
        <Button size="small" kind="tertiary" on:click={() => play(take)}
          >Play the {name.toLowerCase()}</Button
        >
        <Button size="small" disabled={chosen !== undefined} on:click={() => choose(take)}
          >{name} is better</Button
        >
        {#if chosen}<b class:won={chosen.id === take.id}>{take.name}</b>
          <span class="soft">{tally(take)}</span>{/if}
      </div>
    {/each}
  </div>
  <p class="soft">
    Equally loud: the louder one is turned down.
    {#if chosen}<Button size="small" kind="ghost" on:click={again}>Listen again, shuffled</Button
      >{/if}
  </p>
  <h3>Recorder and camera together</h3>
  {#if aligning}<InlineLoading description="laying one on the other" />{:else}
    <Button size="small" kind="tertiary" on:click={lay}>Lay the second on the first</Button>
  {/if}
  {#if alignment}
    <p role="status">
      {Math.abs(alignment.offsetS) < 0.0005
        ? 'Both begin together.'
        : `Move the second ${alignment.offsetS > 0 ? 'forward' : 'back'} by ${ms(Math.abs(alignment.offsetS))} ms, ${frames(alignment.offsetS)} frames at ${fps}.`}
      {#if alignment.driftPpm === undefined}
        Too short to tell their clocks apart.
      {:else}
        Its clock runs {alignment.driftPpm >= 0 ? 'fast' : 'slow'} by {Math.abs(
          alignment.driftPpm
        ).toFixed(0)} ppm: {Math.abs(alignment.driftPpm * 3.6).toFixed(0)} ms, {frames(
          alignment.driftPpm * 0.0036
        )} frames apart after an hour; play it at {(alignment.stretch * 100).toFixed(4)} % speed.
      {/if}
    </p>
  {:else if alignSays}<p role="status">{alignSays}</p>{/if}
</section>

<style>
  section {
    display: grid;
    gap: 0.4rem;
    align-content: start;
    padding: 0.8rem 1rem;
    font-size: 0.8125rem;
    overflow-wrap: anywhere;
  }

  h2 {
    font-size: 1rem;
  }

  h3 {
    margin-top: 0.4rem;
    font-size: 0.875rem;
  }

  ul {
    padding: 0;
    margin: 0;
    list-style: none;
  }

  li {
    padding: 0.3rem 0.6rem;
    margin-bottom: 0.25rem;
    border: 1px dashed var(--tan-line);
    border-radius: 8px;
  }

  li:first-child {
    border-style: solid;
    background: var(--moss);
    color: var(--on-moss);
    font-weight: 600;
  }

  .blind {
    display: flex;
    flex-wrap: wrap;
    gap: 0.8rem;
  }

  .blind > div {
    display: grid;
    gap: 0.3rem;
  }

  .won {
    color: var(--moss);
  }

  .soft {
    color: var(--ink-soft);
    font-size: 0.75rem;
  }
</style>
