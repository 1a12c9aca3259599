<script lang="ts">
  import { Button, Checkbox, NumberInput } from 'carbon-components-svelte';
  import { type Mishaps, soundRecipeOf, stillRecipeOf } from '../../core/takes/recipes';
  import type { SoundRecipe } from '../../core/takes/simulated-sound';
  import type { StillRecipe } from '../../core/takes/simulated-still';
  import type { TakenIn } from '../../core/takes/sound-verdict';
  import ProofCard from './ProofCard.svelte';

  /** A take made from the kit's own figures, so that all of this works with no microphone at hand. */
  interface Props {
    taken: TakenIn;
    mainsHz: number;
    busy: boolean;
    onsound: (recipe: SoundRecipe) => void;
    onstill: (recipe: StillRecipe) => void;
  }
  const { taken, mainsHz, busy, onsound, onstill }: Props = $props();

  let hum = $state(false);
  let gainDb = $state(0);
  let balanceLeft = $state(false);
  let seed = $state(1);
  const SECONDS = 24;
  const mishaps = $derived<Mishaps>({ hum, gainDb, balanceLeft });
  const sound = $derived(soundRecipeOf(taken.record, mainsHz, SECONDS, seed, mishaps));
  const still = $derived(stillRecipeOf(taken.record, taken.scene, seed, mishaps));
</script>

<ProofCard title="No microphone at hand" label="A simulated take">
  <p class="soft">
    The kit’s own figures make a take: the voice, the room, the noise and the light.
  </p>
  <Checkbox labelText="The microphone cable lies along a mains cable" bind:checked={hum} />
  <Checkbox labelText="White balance left at daylight" bind:checked={balanceLeft} />
  <NumberInput
    size="sm"
    labelText="Gain past what is wanted, dB"
    min={-30}
    max={30}
    value={gainDb}
    hideSteppers
    on:change={({ detail }) => {
      if (typeof detail === 'number' && Math.abs(detail) <= 30) gainDb = detail;
    }}
  />
  <div class="row">
    <Button
      size="small"
      disabled={busy || !sound}
      on:click={() => {
        if (sound) onsound(sound);
        seed += 1;
      }}>Simulate a sound take</Button
    >
    <Button
      size="small"
      kind="tertiary"
      disabled={busy || !still}
      on:click={() => {
        if (still) onstill(still);
        seed += 1;
      }}>Simulate a still</Button
    >
  </div>
  {#if !sound}<p class="soft">
      No sound: the judge does not know the voice over noise of this scene yet.
    </p>{/if}
</ProofCard>
