<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import { LiveCamera, LiveMicrophone, MOST_RECORDED_S } from '../../state/live-takes.svelte';
  import ProofCard from './ProofCard.svelte';

  /** A take with the microphone or the camera of this machine, where the browser offers one. */
  interface Props {
    busy: boolean;
    ontake: (file: File) => void;
  }
  const { busy, ontake }: Props = $props();

  const microphone = new LiveMicrophone();
  const camera = new LiveCamera();
  let shown = $state<HTMLVideoElement | undefined>(undefined);
  $effect(() => {
    if (shown) shown.srcObject = camera.stream ?? null;
  });
  $effect(() => () => {
    microphone.letGo();
    camera.close();
  });
  async function end() {
    const file = await microphone.stop();
    if (file) ontake(file);
  }
  async function still() {
    const file = shown && (await camera.still(shown));
    if (file) ontake(file);
  }
  const levelDb = $derived(microphone.level > 0 ? 20 * Math.log10(microphone.level) : -60);
</script>

<ProofCard title="With this machine" label="Made here">
  {#if LiveMicrophone.isOffered()}
    {#if microphone.seconds === undefined}
      <p class="soft">
        The browser asks first. The sound is taken as it comes, with nothing cleaned or levelled, up
        to {MOST_RECORDED_S} seconds.
      </p>
      <Button
        size="small"
        kind="tertiary"
        disabled={busy}
        on:click={() => void microphone.start(() => void end())}>Record with the microphone</Button
      >
    {:else}
      <p class="recording figures" role="status">
        Recording, {microphone.seconds.toFixed(0)} s
      </p>
      <div
        class="level"
        role="meter"
        aria-label="Level of the microphone"
        aria-valuemin={-60}
        aria-valuemax={0}
        aria-valuenow={Math.round(levelDb)}
        aria-valuetext="{Math.round(levelDb)} dBFS"
      >
        <span
          class:hot={levelDb > -6}
          style:width="{Math.max(0, Math.min(1, 1 + levelDb / 60)) * 100}%"
        ></span>
      </div>
      <Button size="small" on:click={() => void end()}>End and measure</Button>
    {/if}
  {/if}
  {#if microphone.failure}<p class="fault" role="alert">{microphone.failure}</p>{/if}
  {#if LiveCamera.isOffered()}
    {#if camera.stream}
      <video bind:this={shown} autoplay playsinline muted aria-label="What the camera sees"></video>
      <div class="row">
        <Button size="small" disabled={busy} on:click={() => void still()}>Take a still</Button>
        <Button size="small" kind="ghost" on:click={() => camera.close()}>Close the camera</Button>
      </div>
    {:else}
      <Button size="small" kind="tertiary" on:click={() => void camera.open()}
        >Open the camera</Button
      >
    {/if}
  {:else}
    <p class="soft">This browser offers neither microphone nor camera to this page: bring files.</p>
  {/if}
  {#if camera.failure}<p class="fault" role="alert">{camera.failure}</p>{/if}
</ProofCard>

<style>
  .level {
    width: 100%;
    height: 0.6rem;
    border: 1px solid var(--line);
    border-radius: 4px;
    overflow: hidden;
  }

  .level span {
    display: block;
    height: 100%;
    background: var(--moss);
  }

  .level .hot {
    background: var(--brick);
  }

  .recording {
    color: var(--brick);
    font-weight: 600;
  }
</style>
