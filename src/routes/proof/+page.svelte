<script lang="ts">
  import {
    Button,
    FileUploaderDropContainer,
    ProgressBar,
    Select,
    SelectItem
  } from 'carbon-components-svelte';
  import { figureOf } from '$lib/core/figures/record';
  import { soundVerdict, type TakenIn } from '$lib/core/takes/sound-verdict';
  import type { KeptTake } from '$lib/core/proof/kept-take';
  import { satchel } from '$lib/state/project-store.svelte';
  import { Takes } from '$lib/state/takes.svelte';
  import { dayHere } from '$lib/state/as-of-today';
  import ClapVideo from '$lib/ui/proof/ClapVideo.svelte';
  import CompareTakes from '$lib/ui/proof/CompareTakes.svelte';
  import LiveTake from '$lib/ui/proof/LiveTake.svelte';
  import LockCard from '$lib/ui/proof/LockCard.svelte';
  import SimulateTake from '$lib/ui/proof/SimulateTake.svelte';
  import SoundTake from '$lib/ui/proof/SoundTake.svelte';
  import StillTake from '$lib/ui/proof/StillTake.svelte';
  import TakesTried from '$lib/ui/proof/TakesTried.svelte';
  import Guarded from '$lib/ui/shell/Guarded.svelte';

  /** Short takes, measured and compared, beside what the kit told. */
  const takes = new Takes();
  let sceneId = $state('');
  /** Takes laid side by side, three at most, the oldest choice giving way. */
  let pickedIds = $state.raw<readonly string[]>([]);

  const project = $derived(satchel.project);
  const angles = $derived(satchel.judgement?.angles ?? []);
  const scene = $derived(project?.scenes.find(({ id }) => id === sceneId) ?? project?.scenes[0]);
  /** The first camera position of a scene hears its voice. */
  const takenIn = (id: string | undefined): TakenIn | undefined => {
    const judged = angles.find((angle) => angle.scene.id === id);
    return judged && { scene: judged.scene, record: judged.record, mic: judged.rig.mic?.gear };
  };
  const taken = $derived(takenIn(scene?.id));
  const judgedAngles = $derived(angles.filter((angle) => angle.scene.id === scene?.id));
  const today = dayHere(new Date());
  let openedFor = '';
  $effect(() => {
    if (!project || project.id === openedFor) return;
    openedFor = project.id;
    void takes.open(project.id);
  });
  $effect(() => () => takes.stop());

  const picked = $derived(
    pickedIds.flatMap((id) => takes.list.find((take) => take.id === id) ?? [])
  );
  const shown = $derived(picked.length > 0 ? picked : takes.list.slice(0, 1));
  const sounds = $derived(
    picked.filter((take): take is KeptTake & { kind: 'sound' } => take.kind === 'sound')
  );
  /** What proves a lock: the takes that are laid out, else all of the scene. */
  const evidence = $derived(
    (picked.length > 0 ? picked : takes.list)
      .filter((take) => take.sceneId === scene?.id)
      .slice(0, 12)
      .map((take) => ({ takeId: take.id, name: take.name, word: wordOf(take) }))
  );
  /** Sound takes of the scene in hand, each as it is judged. */
  const tried = $derived(
    takes.list.flatMap((take) =>
      take.kind === 'sound' && take.sceneId === scene?.id
        ? { take, verdict: soundVerdict(take.measures, takenIn(take.sceneId)) }
        : []
    )
  );
  function pick(id: string) {
    pickedIds = pickedIds.includes(id)
      ? pickedIds.filter((other) => other !== id)
      : [...pickedIds, id].slice(-3);
  }
  const sceneName = (id: string | undefined) =>
    project?.scenes.find((scene) => scene.id === id)?.name ?? 'no scene';
  function wordOf(take: KeptTake): string {
    return take.kind === 'still'
      ? 'still'
      : soundVerdict(take.measures, takenIn(take.sceneId)).word;
  }
  const numberOf = (kind: KeptTake['kind']) =>
    takes.list.filter((take) => take.kind === kind).length + 1;
  function placeWords(): string {
    const distance = taken && figureOf(taken.record, 'micDistance');
    return distance === undefined ? '' : `, ${distance.toFixed(2)} m`;
  }
  async function choseBlind(chosen: KeptTake, others: readonly KeptTake[]) {
    for (const take of [chosen, ...others])
      await takes.change({
        ...take,
        heardBlind: (take.heardBlind ?? 0) + 1,
        chosenBlind: (take.chosenBlind ?? 0) + (take === chosen ? 1 : 0)
      });
  }
  const megabytes = (bytes: number) => (bytes / 1024 / 1024).toFixed(1);
  const addFiles = (files: readonly File[]) => {
    if (project) void takes.bringIn(files, project.id, scene?.id);
  };
</script>

<svelte:head><title>Proof · Hearty Satchel</title></svelte:head>
<h1 class="unseen">Proof</h1>
{#if project && satchel.judgement}
  <div class="bench">
    <aside>
      <section class="card" aria-label="Bring takes in">
        <h2>Takes</h2>
        <Select
          size="sm"
          labelText="Of which scene"
          selected={scene?.id ?? ''}
          on:update={({ detail }) => (sceneId = String(detail))}
        >
          {#each project.scenes as scene (scene.id)}<SelectItem
              value={scene.id}
              text={scene.name}
            />{/each}
        </Select>
        <FileUploaderDropContainer
          multiple
          labelText="Drop a WAV or a still here, or choose one"
          accept={['.wav', '.mp3', '.m4a', '.ogg', '.flac', '.png', '.jpg', '.jpeg']}
          on:change={({ detail }) => addFiles(detail)}
        />
        {#if takes.measuring}
          <ProgressBar
            size="sm"
            labelText="Measuring {takes.measuring.name}"
            value={takes.measuring.share * 100}
          />
          <Button size="small" kind="ghost" on:click={() => takes.stop()}>Stop</Button>
        {/if}
        {#each takes.refused as { name, says } (name)}
          <p class="fault" role="alert"><b>{name}</b>: {says}</p>
        {/each}
        {#if takes.failure}<p class="fault" role="alert">{takes.failure}</p>{/if}
        {#if takes.list.length > 0}
          <ul aria-label="Takes kept">
            {#each takes.list as take (take.id)}
              <li>
                <button aria-pressed={pickedIds.includes(take.id)} onclick={() => pick(take.id)}>
                  <b>{take.name}</b>
                  <span class="soft">{sceneName(take.sceneId)} · {wordOf(take)}</span>
                </button>
              </li>
            {/each}
          </ul>
          <p class="soft figures">
            {megabytes(takes.bytes)} MB in this browser; they are never sent anywhere, and no backup holds
            them: save the files you need. Press two or three to lay them side by side.
          </p>
        {:else}
          <p class="soft">
            A short take in the place, with the microphone where it will be: speak a sentence, be
            silent, clap once.
          </p>
        {/if}
      </section>
      <LiveTake busy={takes.measuring !== undefined} ontake={(file) => addFiles([file])} />
      <ClapVideo fps={scene?.fps ?? 25} />
      {#if taken}
        <SimulateTake
          {taken}
          mainsHz={project.mainsHz}
          busy={takes.measuring !== undefined}
          onsound={(recipe) =>
            void takes.simulateSound(
              recipe,
              project.id,
              taken.scene.id,
              `Take ${numberOf('sound')}${placeWords()}`
            )}
          onstill={(recipe) =>
            void takes.simulateStill(
              recipe,
              project.id,
              taken.scene.id,
              `Still ${numberOf('still')}`
            )}
        />
      {/if}
    </aside>
    <div class="looked">
      {#if shown.length === 0}
        <section class="card empty">
          <h2>Hear it before you rely on it</h2>
          <p>
            Every take is measured against what the kit promises for {scene?.name ?? 'a scene'}:
            voice over noise, peaks, hum, echo; for a still the face, the colour, what is clipped.
          </p>
        </section>
      {/if}
      {#each shown as take (take.id)}
        <Guarded what="This take">
          {#if take.kind === 'sound'}
            <SoundTake
              {take}
              taken={takenIn(take.sceneId)}
              onact={(act) => void satchel.act(act)}
              onremove={() => void takes.remove(take)}
            />
          {:else}
            <StillTake
              {take}
              taken={takenIn(take.sceneId)}
              onact={(act) => void satchel.act(act)}
              onboxes={(boxes) => void takes.setBoxes(take, boxes)}
              onremove={() => void takes.remove(take)}
            />
          {/if}
        </Guarded>
      {/each}
      {#if sounds.length >= 2}
        <Guarded what="The comparison">
          {#key pickedIds.join(' ')}
            <CompareTakes
              takes={sounds}
              fps={scene?.fps ?? 25}
              onchosen={(chosen, others) => void choseBlind(chosen, others)}
              onalign={(first, other) => takes.align(first, other)}
            />
          {/key}
        </Guarded>
      {/if}
      {#if tried.length > 1}
        <Guarded what="What was tried"><TakesTried takes={tried} onpick={pick} /></Guarded>
      {/if}
      {#each judgedAngles as judged (judged.angle.id)}
        <Guarded what="The lock">
          <LockCard {project} {judged} {evidence} {today} onact={(act) => void satchel.act(act)} />
        </Guarded>
      {/each}
    </div>
  </div>
{/if}

<style>
  .bench {
    display: grid;
    grid-template-columns: minmax(16rem, 1fr) minmax(0, 3.2fr);
    gap: 0.9rem;
    align-items: start;
    overflow-wrap: anywhere;
  }

  aside,
  .looked {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    gap: 0.9rem;
  }

  .looked {
    grid-template-columns: repeat(auto-fill, minmax(min(100%, 24rem), 1fr));
    align-items: start;
  }

  section {
    display: grid;
    gap: 0.5rem;
    align-content: start;
    padding: 0.8rem 1rem;
    font-size: 0.8125rem;
  }

  ul {
    padding: 0;
    margin: 0;
    list-style: none;
  }

  li button {
    display: grid;
    width: 100%;
    padding: 0.4rem 0.6rem;
    border: 1px solid transparent;
    border-bottom: 1px dashed var(--line);
    background: none;
    color: inherit;
    text-align: left;
    cursor: pointer;
  }

  li button[aria-pressed='true'] {
    border: 1px solid var(--moss);
    border-radius: 8px;
    background: var(--moss-wash);
  }

  .fault {
    color: var(--brick);
  }

  @media (max-width: 900px) {
    .bench {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
