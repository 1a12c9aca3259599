<script lang="ts">
  import { shuffle } from 'd3-array';
  import { Button, InlineLoading } from 'carbon-components-svelte';
  import type { Alignment } from '../../core/proof/align';
  import { differenceWords } from '../../core/takes/sound-verdict';
  import type { KeptTake } from '../../core/proof/kept-take';

  type SoundTake = KeptTake & { kind: 'sound' };
  /** Two or three takes beside each other: how they differ, which is liked best unseen, and how they lie to the first in time. */
  interface Props {
    takes: readonly SoundTake[];
    fps: number;
    onchosen: (chosen: KeptTake, others: readonly KeptTake[]) => void;
    onalign: (first: SoundTake, other: SoundTake) => Promise<Alignment | undefined>;
  }
  const { takes, fps, onchosen, onalign }: Props = $props();

  const first = $derived(takes[0]!);
  const places = ['first', 'second', 'third'] as const;
  const others = $derived(
    takes.slice(1).map((take, index) => {
      const place = places[index + 1] as 'second' | 'third';
      return { take, place, words: differenceWords(first.measures, take.measures, place) };
    })
  );
  let aligning = $state('');
  let laid = $state.raw<{ place: string; alignment: Alignment | undefined } | undefined>(undefined);
  let alignSays = $state('');

  async function lay(place: string, take: SoundTake) {
    aligning = place;
    alignSays = '';
    laid = undefined;
    try {
      const alignment = await onalign(first, take);
      if (alignment) laid = { place, alignment };
      else alignSays = 'Nothing is heard in both: they are of different moments.';
    } catch {
      alignSays = 'One of them cannot be read any more.';
    } finally {
      aligning = '';
    }
  }
  const ms = (seconds: number) => Math.round(seconds * 1000);
  const frames = (seconds: number) => Math.abs(seconds * fps).toFixed(1);

  /** In which order they are called A, B and C, hidden until one is chosen. */
  const shuffled = () => shuffle(takes.map((_, index) => index));
  let order = $state.raw(shuffled());
  let chosen = $state<KeptTake | undefined>(undefined);
  const hidden = $derived(
    order.flatMap((index, place) =>
      takes[index] ? [{ name: 'ABC'[place]!, take: takes[index] }] : []
    )
  );
  let player: HTMLAudioElement | undefined;
  const loudness = ({ measures }: SoundTake) => measures.speechDb ?? measures.rmsADb;
  /** The louder ones are turned down to the softest. */
  function volumeOf(take: SoundTake): number {
    const least = Math.min(...takes.map(loudness));
    return Math.max(0.01, Math.min(1, 10 ** ((least - loudness(take)) / 20)));
  }
  function play(take: SoundTake) {
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
    onchosen(
      take,
      takes.filter(({ id }) => id !== take.id)
    );
  }
  function again() {
    chosen = undefined;
    order = shuffled();
  }
  const tally = ({ heardBlind = 0, chosenBlind = 0 }: KeptTake) =>
    heardBlind === 0 ? '' : `chosen ${chosenBlind} of ${heardBlind} times`;
</script>

<section
  class="card"
  aria-label={takes.length === 2 ? 'Two takes compared' : 'Three takes compared'}
>
  <h2>{takes.map(({ name }) => name).join(', ')}</h2>
  {#each others as { take, place, words } (take.id)}
    {#if others.length > 1}<h3>The {place}, {take.name}, against the first</h3>{/if}
    <ul>
      {#each words as word (word)}<li>{word}</li>{/each}
    </ul>
  {/each}
  <h3>Which is {takes.length === 2 ? 'better' : 'best'}? Names hidden till you choose</h3>
  <div class="blind">
    {#each hidden as { name, take } (name)}
      <div>
        <Button size="small" kind="tertiary" on:click={() => play(take)}>Play {name}</Button>
        <Button size="small" disabled={chosen !== undefined} on:click={() => choose(take)}
          >{name} is {takes.length === 2 ? 'better' : 'best'}</Button
        >
        {#if chosen}<b class:won={chosen.id === take.id}>{take.name}</b>
          <span class="soft">{tally(take)}</span>{/if}
      </div>
    {/each}
  </div>
  <p class="soft">
    Equally loud: the louder ones are turned down.
    {#if chosen}<Button size="small" kind="ghost" on:click={again}>Listen again, shuffled</Button
      >{/if}
  </p>
  <h3>Recorder and camera together</h3>
  {#if aligning}<InlineLoading description="laying the {aligning} on the first" />{:else}
    <div class="blind">
      {#each others as { take, place } (take.id)}
        <Button size="small" kind="tertiary" on:click={() => void lay(place, take)}
          >Lay the {place} on the first</Button
        >
      {/each}
    </div>
  {/if}
  {#if laid?.alignment}
    {@const { offsetS, driftPpm, stretch } = laid.alignment}
    <p role="status">
      {Math.abs(offsetS) < 0.0005
        ? 'Both begin together.'
        : `Move the ${laid.place} ${offsetS > 0 ? 'forward' : 'back'} by ${ms(Math.abs(offsetS))} ms, ${frames(offsetS)} frames at ${fps}.`}
      {#if driftPpm === undefined}
        Too short to tell their clocks apart.
      {:else}
        Its clock runs {driftPpm >= 0 ? 'fast' : 'slow'} by {Math.abs(driftPpm).toFixed(0)} ppm: {Math.abs(
          driftPpm * 3.6
        ).toFixed(0)} ms, {frames(driftPpm * 0.0036)} frames apart after an hour; play it at {(
          stretch * 100
        ).toFixed(4)} % speed.
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
</style>
