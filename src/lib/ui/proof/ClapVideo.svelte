<script lang="ts">
  import { Button, FileUploaderButton } from 'carbon-components-svelte';
  import { clapAtS, soundLate, soundLateWords } from '../../core/proof/clap';
  import { decodedSound } from '../../state/takes.svelte';
  import ProofCard from './ProofCard.svelte';

  /** A clip with a clap in it: how late its sound lies against its picture. It is looked at and not kept. */
  interface Props {
    fps: number;
  }
  const { fps }: Props = $props();

  let address = $state('');
  let name = $state('');
  let heardS = $state<number | undefined>(undefined);
  let seenS = $state<number | undefined>(undefined);
  let says = $state('');
  let shown = $state<HTMLVideoElement | undefined>(undefined);
  $effect(() => {
    const made = address;
    return () => {
      if (made) URL.revokeObjectURL(made);
    };
  });
  async function open(file: File | undefined) {
    if (!file) return;
    says = '';
    heardS = seenS = undefined;
    name = file.name;
    try {
      const { channels, sampleRate } = await decodedSound(file);
      heardS = clapAtS(channels[0]!, sampleRate);
      if (heardS === undefined) says = 'No clap is heard in it: clap once, near the microphone.';
      address = URL.createObjectURL(file);
    } catch {
      address = '';
      says = `${name} cannot be decoded here. Export it as MP4 or WebM with its sound, and choose it again.`;
    }
  }
  /** The clip opens a little before the clap: there the hands are on their way. */
  function begin() {
    if (shown && heardS !== undefined) shown.currentTime = Math.max(0, heardS - 0.2);
  }
  function step(by: number) {
    if (!shown) return;
    shown.pause();
    shown.currentTime = Math.max(0, shown.currentTime + by / fps);
  }
  const touch = () => (seenS = shown?.currentTime);
  // A frame is shown from its beginning; where in it the player stands says nothing.
  const frameStart = $derived(
    seenS === undefined ? undefined : Math.floor(seenS * fps + 1e-6) / fps
  );
</script>

<ProofCard title="Sound against picture">
  <p class="soft">
    Choose a clip with one clap in it, go to the first frame in which the hands touch, and press.
  </p>
  <FileUploaderButton
    size="small"
    kind="tertiary"
    labelText="Choose a clip"
    disableLabelChanges
    accept={['video/*']}
    on:change={({ detail }) => void open(detail[0])}
  />
  {#if address}
    <!-- svelte-ignore a11y_media_has_caption -->
    <video
      bind:this={shown}
      src={address}
      controls
      playsinline
      onloadeddata={begin}
      aria-label="Clip {name}"
    ></video>
    <div class="row">
      <Button size="small" kind="ghost" on:click={() => step(-1)}>A frame back</Button>
      <Button size="small" kind="ghost" on:click={() => step(1)}>A frame on</Button>
      <Button size="small" disabled={heardS === undefined} on:click={touch}
        >The hands touch here</Button
      >
    </div>
  {/if}
  {#if heardS !== undefined}
    <p class="figures">The clap is heard at {heardS.toFixed(3)} s.</p>
  {/if}
  {#if heardS !== undefined && frameStart !== undefined}
    <p role="status">{soundLateWords(soundLate(heardS, frameStart, fps))}</p>
  {/if}
  {#if says}<p class="fault" role="alert">{says}</p>{/if}
</ProofCard>
