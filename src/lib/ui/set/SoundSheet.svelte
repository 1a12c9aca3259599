<script lang="ts">
  import { onDestroy } from 'svelte';
  import { Button } from 'carbon-components-svelte';
  import { max } from 'd3-array';
  import { scaleLinear } from 'd3-scale';
  import { voiceLike } from '../../core/set/voice-signal';
  import { figureOf } from '../../core/figures/record';
  import { lengthWords } from '../../core/figures/figure-words';
  import type { AngleJudgement } from '../../core/judge/incremental';
  import type { UnitSystem } from '../../core/model/project';
  import { echoWord } from '../../core/relations/sound/critical-distance';
  import {
    BLANKET_AREA_M2,
    type BlanketEffect,
    type FarthestMic,
    type SoundAtPlace
  } from '../../core/set/sound-sheet';
  import type { MicPlace } from '../../core/model/plan';
  import { micPlaceWords } from '../../core/set/tape-list';

  /** The voice against all that is not the voice, at every place the microphone can have in this room. */
  interface Props {
    sounds: readonly SoundAtPlace[];
    farthest: FarthestMic | undefined;
    blankets: readonly BlanketEffect[];
    judged: AngleJudgement;
    units: UnitSystem;
    onplace: (place: MicPlace) => void;
  }
  const { sounds, farthest, blankets, judged, units, onplace }: Props = $props();

  /** Nearer than this nobody puts a microphone to a mouth. */
  const NEAREST_MIC_M = 0.08;
  /** The place one hears just now. */
  let playing = $state<MicPlace | undefined>(undefined);
  let deaf = $state('');
  let audio: AudioContext | undefined;
  const SECONDS_A_PLACE = 3;

  /** Each place in turn, the one in use first; nothing leaves the browser. */
  async function play() {
    deaf = '';
    try {
      audio ??= new AudioContext();
      await audio.resume();
    } catch {
      deaf = 'This browser plays no sound here.';
      return;
    }
    const reverberationS = figureOf(judged.record, 'reverberation');
    const inTurn = [...sounds].sort((a, b) => Number(b.inUse) - Number(a.inUse));
    for (const { place, speechToNoiseDb, directToReverberantDb } of inTurn) {
      if (speechToNoiseDb === undefined || !audio) continue;
      playing = place;
      const samples = voiceLike(audio.sampleRate, SECONDS_A_PLACE, {
        speechToNoiseDb,
        directToReverberantDb,
        reverberationS
      });
      const buffer = audio.createBuffer(1, samples.length, audio.sampleRate);
      buffer.copyToChannel(samples as Float32Array<ArrayBuffer>, 0);
      const source = audio.createBufferSource();
      source.buffer = buffer;
      source.connect(audio.destination);
      source.start();
      await new Promise((resolve) => setTimeout(resolve, SECONDS_A_PLACE * 1000));
      if (playing !== place) return;
    }
    playing = undefined;
  }
  function stop() {
    playing = undefined;
    void audio?.close();
    audio = undefined;
  }
  onDestroy(stop);

  const loudest = $derived(
    Math.max(
      70,
      max(sounds, ({ voiceDbA }) => voiceDbA) ?? 0,
      max(sounds, ({ noiseDbA }) => noiseDbA) ?? 0
    )
  );
  const along = $derived(scaleLinear([0, loudest], [0, 100]).clamp(true));
  const dB = (value: number | undefined) =>
    value === undefined ? '?' : Math.floor(value).toString();
  const parts = ({ roomDbA, windDbA, selfNoiseDbA }: SoundAtPlace) =>
    [
      ['room', roomDbA],
      ['wind', windDbA],
      ['its own noise', selfNoiseDbA]
    ]
      .flatMap(([name, level]) => (level === undefined ? [] : `${name} ${dB(level as number)}`))
      .join(', ');
</script>

<section class="card" aria-label="Sound">
  <h2>Sound at each place</h2>
  {#if sounds.length === 0}
    <p class="soft">
      {judged.scene.voice === 'none'
        ? 'Nobody speaks here.'
        : 'No microphone of the kit goes here; the body’s own is all there is.'}
    </p>
  {:else}
    <ul class="plain-list">
      {#each sounds as sound (sound.place)}
        <li class:used={sound.inUse} data-place={sound.place}>
          <button
            class="text-button"
            aria-pressed={sound.inUse}
            onclick={() => onplace(sound.place)}
            title="Put the microphone {micPlaceWords[sound.place]}"
            >{micPlaceWords[sound.place]}</button
          >
          <span class="figures"
            >{sound.distanceM === undefined ? '' : lengthWords(sound.distanceM, units)}</span
          >
          <span class="bars" aria-hidden="true">
            <span class="voice" style:width="{along(sound.voiceDbA ?? 0)}%"></span>
            <span class="noise" style:width="{along(Math.max(0, sound.noiseDbA ?? 0))}%"></span>
          </span>
          <span class="figures strong"
            >{dB(sound.speechToNoiseDb)} dB{#if sound.cleanDb !== undefined && (sound.speechToNoiseDb ?? 0) >= sound.cleanDb}&nbsp;clean{/if}</span
          >
          <span class="soft"
            >voice {dB(sound.voiceDbA)} against {dB(sound.noiseDbA)} dB(A): {parts(
              sound
            )}{#if sound.directToReverberantDb !== undefined}&nbsp;· room {echoWord(
                sound.directToReverberantDb
              )}{/if}</span
          >
        </li>
      {/each}
    </ul>
  {/if}
  {#if sounds.length > 0}
    <p class="soft">
      <Button
        size="small"
        kind="tertiary"
        disabled={sounds.every(({ speechToNoiseDb }) => speechToNoiseDb === undefined)}
        on:click={() => (playing ? stop() : void play())}>{playing ? 'Stop' : 'Hear it'}</Button
      >
      {playing
        ? `Now: ${micPlaceWords[playing]}.`
        : 'A synthesised voice at each place in turn, with the noise and the room there. Turn the volume down first: headphones at full volume hurt.'}
    </p>
    {#if deaf}<p class="fault" role="alert">{deaf}</p>{/if}
  {/if}
  {#if farthest}
    <p>
      {#if farthest.distanceM < NEAREST_MIC_M}
        Here this microphone is clean at no distance: the noise is too loud for it.
      {:else}As it is, this microphone may go <b class="figures"
          >{lengthWords(farthest.distanceM, units)}</b
        >
        from the mouth; past that {farthest.limit === 'noise'
          ? 'the noise is heard'
          : 'the room is heard'}.{/if}
    </p>
  {/if}
  {#if blankets.length > 1}
    <p class="soft">
      {#each blankets as blanket, index (blanket.blankets)}{index > 0
          ? ' · '
          : ''}{blanket.blankets === 0
          ? 'as it is'
          : `${blanket.blankets} ${blanket.blankets === 1 ? 'blanket' : 'blankets'}`}: reverberation {blanket.reverberationS.toFixed(
          2
        )} s, {echoWord(blanket.directToReverberantDb)}{/each}. A blanket is {BLANKET_AREA_M2} m², hung
      free of the wall or in a corner; about.
    </p>
  {/if}
</section>

<style>
  .card {
    padding: 0.8rem 1rem;
  }

  h2 {
    margin: 0 0 0.4rem;
  }

  li {
    display: grid;
    grid-template-columns: 7.5rem 3.6rem minmax(4rem, 1fr) 6rem;
    gap: 0.1rem 0.6rem;
    align-items: center;
    padding: 0.2rem 0.4rem;
    border-left: 3px solid transparent;
    font-size: 0.8125rem;
  }

  li.used {
    border-left-color: var(--pocket-sound);
    background: var(--paper);
  }

  li .soft {
    grid-column: 1 / -1;
  }

  button {
    font-weight: 600;
  }

  li.used button {
    color: var(--ink);
    text-decoration: none;
  }

  .bars {
    display: grid;
    gap: 2px;
  }

  .voice,
  .noise {
    height: 7px;
    border-radius: 4px;
  }

  .voice {
    background: var(--pocket-sound);
  }

  .noise {
    background: repeating-linear-gradient(45deg, var(--ink-soft) 0 2px, transparent 2px 5px);
  }

  .strong {
    font-weight: 600;
    text-align: right;
  }

  .fault {
    color: var(--brick);
  }

  p {
    padding: 0.4rem 0 0;
    font-size: 0.8125rem;
  }

  .soft {
    color: var(--ink-soft);
    font-size: 0.75rem;
  }
  @media (max-width: 700px) {
    li {
      grid-template-columns: minmax(0, 1fr) auto auto;
    }

    .bars {
      grid-row: 2;
      grid-column: 1 / -1;
    }
  }
</style>
