<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import type { Act } from '$lib/core/acts/act';
  import { applyAct } from '$lib/core/acts/apply-act';
  import { figureWords, lengthWords } from '$lib/core/figures/figure-words';
  import type { AngleJudgement } from '$lib/core/judge/incremental';
  import { plainNumber } from '$lib/core/model/measure-words';
  import type { MicPlace } from '$lib/core/model/plan';
  import { layOut, type SetLayout, type Spot } from '$lib/core/set/layout';
  import { type Movable, moveOnSet } from '$lib/core/set/move-on-set';
  import { blanketEffects, farthestMic, soundAtEachPlace } from '$lib/core/set/sound-sheet';
  import { judgeWhileDragged } from '$lib/core/set/while-dragged';
  import { satchel } from '$lib/state/project-store.svelte';
  import BestSpots from '$lib/ui/set/BestSpots.svelte';
  import ComparedPicture from '$lib/ui/set/ComparedPicture.svelte';
  import Dials from '$lib/ui/set/Dials.svelte';
  import FromAbove from '$lib/ui/set/FromAbove.svelte';
  import FromTheSide from '$lib/ui/set/FromTheSide.svelte';
  import LightSheet from '$lib/ui/set/LightSheet.svelte';
  import Readouts from '$lib/ui/set/Readouts.svelte';
  import { frameFromAbove, frameFromTheSide } from '$lib/ui/set/set-view';
  import SetCard from '$lib/ui/set/SetCard.svelte';
  import SoundSheet from '$lib/ui/set/SoundSheet.svelte';
  import Guarded from '$lib/ui/shell/Guarded.svelte';

  /** The angle looked at, by scene and place among its angles. */
  let angleAt = $state(0);
  /** What a drag or a row of keys has come to and is not kept yet. */
  let draft = $state.raw<Act | undefined>(undefined);
  /** Where things stood when the drag began: every move is counted from there. */
  let base = $state.raw<
    { judged: AngleJudgement; layout: SetLayout; movable: Movable } | undefined
  >(undefined);
  let refused = $state('');

  const scene = $derived(
    satchel.project?.scenes.find(({ id }) => id === satchel.sceneId) ?? satchel.project?.scenes[0]
  );
  const angle = $derived(scene?.angles[Math.min(angleAt, scene.angles.length - 1)]);
  const kept = $derived(satchel.judgement);
  const keptAngle = $derived(
    kept?.angles.find((judged) => judged.scene.id === scene?.id && judged.angle.id === angle?.id)
  );
  /** The angle as it is, or as it would be with what is being dragged. */
  const judged = $derived(
    draft && base && satchel.asJudged
      ? judgeWhileDragged(satchel.asJudged, satchel.shelf, kept!, base.judged, draft)
      : keptAngle
  );
  const shownProject = $derived(
    satchel.asJudged && (draft ? applyAct(satchel.asJudged, draft) : satchel.asJudged)
  );
  const layout = $derived(judged && layOut(judged));
  const still = $derived(base?.layout ?? layout);
  const above = $derived(still && frameFromAbove(still));
  const side = $derived(still && frameFromTheSide(still));
  /** The camera and the walls stay where they are drawn when the person is moved. */
  const shiftX = $derived(
    base && layout && base.movable.what === 'person' ? base.layout.camera.x - layout.camera.x : 0
  );
  const units = $derived(satchel.project?.units ?? 'metric');

  /** What stands still while something is dragged, so that a frame has time for what moves. */
  const calm = $derived.by(() => {
    const still = draft && keptAngle ? keptAngle : judged;
    return still && { judged: still, layout: still === judged ? layout! : layOut(still) };
  });
  const sounds = $derived(
    satchel.asJudged && kept && keptAngle
      ? soundAtEachPlace(satchel.asJudged, satchel.shelf, kept, keptAngle)
      : []
  );

  let frame = 0;
  let waiting: { movable: Movable; to: Spot } | undefined;
  function move(movable: Movable, to: Spot) {
    if (!judged || !layout) return;
    base ??= { judged, layout, movable };
    waiting = { movable, to };
    frame ||= requestAnimationFrame(follow);
  }
  /** Judges where the pointer is now, once a frame. */
  function follow() {
    frame = 0;
    if (!base || !waiting) return;
    const moved = moveOnSet(base.judged, base.layout, waiting.movable, waiting.to);
    if ('refused' in moved) refused = moved.refused;
    else {
      refused = '';
      draft = moved.act;
    }
  }
  async function keep() {
    if (frame) {
      cancelAnimationFrame(frame);
      follow();
    }
    const act = draft;
    if (act) await satchel.act(act);
    // Keys pressed while it was being kept have drawn on: they are kept by their own turn.
    if (draft !== act) return;
    draft = undefined;
    base = undefined;
    waiting = undefined;
  }

  /** A row of key presses is kept as one act, shortly after the last. */
  const KEYS_KEPT_MS = 500;
  let keyed: ReturnType<typeof setTimeout> | undefined;
  function moveByKey(movable: Movable, to: Spot) {
    clearTimeout(keyed);
    if (!judged || !layout) return;
    const moved = moveOnSet(judged, layout, movable, to);
    if ('refused' in moved) refused = moved.refused;
    else {
      refused = '';
      base ??= { judged, layout, movable };
      draft = draft ? { type: 'batch', acts: [draft, moved.act] } : moved.act;
    }
    keyed = setTimeout(() => void keep(), KEYS_KEPT_MS);
  }

  function putMic(place: MicPlace) {
    if (!keptAngle?.rig.mic) return;
    void satchel.act({
      type: 'set rig',
      sceneId: keptAngle.scene.id,
      angleId: keptAngle.angle.id,
      patch: { micLineId: keptAngle.rig.mic.line.id, micPlace: place }
    });
  }
  const weather = $derived(
    !scene || scene.room ? '' : `wind ${figureWords(scene.windMps, 'm/s', units)}`
  );
  const light = $derived({
    dim: figureWords(scene?.lightDimLx ?? 0, 'lx', units),
    bright: figureWords(scene?.lightBrightLx ?? 0, 'lx', units)
  });
  const roomWords = $derived.by(() => {
    if (!scene) return '';
    const { room } = scene;
    if (!room)
      return `out of doors, ${plainNumber(scene.lightDimLx, 0)} to ${figureWords(scene.lightBrightLx, 'lx', units)} · 1 square ${lengthWords(0.25, units)}`;
    const size = [room.lengthM, room.widthM, room.heightM]
      .map((metres) => lengthWords(metres, units))
      .join(' × ');
    return `room ${size} · ${room.feel} · 1 square ${lengthWords(0.25, units)}`;
  });
</script>

<svelte:head><title>Set · Hearty Satchel</title></svelte:head>
<h1 class="unseen">Set</h1>
{#if satchel.project && scene && angle && judged && layout && calm && above && side}
  <nav class="scenes" aria-label="Scenes">
    {#each satchel.project.scenes as other (other.id)}
      <Button
        size="small"
        kind={other.id === scene.id ? 'primary' : 'ghost'}
        aria-pressed={other.id === scene.id}
        on:click={() => {
          satchel.sceneId = other.id;
          angleAt = 0;
        }}>{other.name}</Button
      >
    {/each}
    {#if scene.angles.length > 1}
      <span class="soft">camera</span>
      {#each scene.angles as other, index (other.id)}
        <Button
          size="small"
          kind={other.id === angle.id ? 'secondary' : 'ghost'}
          aria-pressed={other.id === angle.id}
          on:click={() => (angleAt = index)}>{other.name}</Button
        >
      {/each}
    {/if}
    <a class="practise" href="/set/practise">Practise with this camera →</a>
  </nav>
  <p class="refused" role="status">{refused}</p>
  <div class="bench">
    <div class="drawings">
      <section class="card" aria-label="From above">
        <header>
          <h2>From above</h2>
          <span class="soft">{roomWords}</span>
        </header>
        <Guarded what="The set from above"
          ><FromAbove
            {layout}
            frame={above}
            {shiftX}
            {units}
            onmove={move}
            ondone={() => void keep()}
            onkey={moveByKey}
          /></Guarded
        >
        {#if layout.faults.length > 0}
          <ul class="faults">
            {#each layout.faults as fault (fault)}<li>{fault}</li>{/each}
          </ul>
        {/if}
      </section>
      <section class="card" aria-label="From the side">
        <header>
          <h2>From the side</h2>
          <span class="soft">drag any part, or the arrow keys: 1 cm, with Shift 10 cm</span>
        </header>
        <Guarded what="The set from the side"
          ><FromTheSide
            {layout}
            {weather}
            {light}
            frame={side}
            {shiftX}
            {units}
            onmove={move}
            ondone={() => void keep()}
            onkey={moveByKey}
          /></Guarded
        >
      </section>
      <Guarded what="The sound"
        ><SoundSheet
          {sounds}
          farthest={keptAngle && farthestMic(keptAngle)}
          blankets={keptAngle ? blanketEffects(keptAngle) : []}
          judged={calm.judged}
          {units}
          onplace={putMic}
        /></Guarded
      >
      <Guarded what="The light"><LightSheet judged={calm.judged} layout={calm.layout} /></Guarded>
    </div>
    <div class="beside">
      <section class="card" aria-label="Through the lens">
        <header>
          <h2>Through the lens</h2>
        </header>
        {#if layout.picture && shownProject}
          <Guarded what="The picture"
            ><ComparedPicture
              project={shownProject}
              shelf={satchel.shelf}
              {judged}
              {layout}
            /></Guarded
          >
        {:else}
          <p class="soft">
            No body and lens of the kit see this scene yet. <a href="/satchel/lens">Choose a lens</a
            >.
          </p>
        {/if}
      </section>
      <Guarded what="The dials"
        ><Dials {judged} {layout} onact={(act) => void satchel.act(act)} /></Guarded
      >
      <Guarded what="The readouts"><Readouts {judged} /></Guarded>
      {#if kept && keptAngle && satchel.asJudged}
        <Guarded what="The best spot"
          ><BestSpots
            project={satchel.asJudged}
            shelf={satchel.shelf}
            judgement={kept}
            judged={keptAngle}
            {units}
            onact={(act) => void satchel.act(act)}
          /></Guarded
        >
      {/if}
      <Guarded what="The set card"
        ><SetCard judged={calm.judged} layout={calm.layout} sceneName={scene.name} /></Guarded
      >
    </div>
  </div>
{:else if satchel.project}
  <p class="card none">
    Nothing is filmed yet. <a href="/brief">Say what you film</a>, and its set is drawn here.
  </p>
{/if}

<style>
  .scenes {
    display: flex;
    flex-wrap: wrap;
    gap: 0.3rem;
    align-items: center;
    margin-bottom: 0.4rem;
  }

  .scenes :global(.bx--btn) {
    max-width: 100%;
    overflow-wrap: anywhere;
    white-space: normal;
  }

  .practise {
    margin-left: auto;
    font-size: 0.8125rem;
  }

  .refused {
    min-height: 1.1rem;
    color: var(--brick);
    font-size: 0.8125rem;
  }

  .bench {
    display: grid;
    grid-template-columns: minmax(0, 1.75fr) minmax(17rem, 1fr);
    gap: 0.9rem;
    align-items: start;
    overflow-wrap: anywhere;
  }

  .drawings,
  .beside {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    gap: 0.9rem;
    min-width: 0;
  }

  section.card {
    min-width: 0;
    padding: 0.7rem 0.9rem 0.8rem;
  }

  @media print {
    .scenes,
    .refused,
    .bench :global(section:not([aria-label='Set card'], [aria-label='From above'])),
    .bench :global(.readouts) {
      display: none;
    }

    .bench {
      grid-template-columns: minmax(0, 1fr);
    }
  }

  header {
    display: flex;
    flex-wrap: wrap;
    gap: 0.2rem 1rem;
    align-items: baseline;
    justify-content: space-between;
    margin-bottom: 0.3rem;
  }

  .faults {
    padding: 0.4rem 0 0;
    color: var(--brick);
    font-size: 0.8125rem;
    list-style: none;
  }

  .none {
    padding: 1rem;
  }

  @media (max-width: 900px) {
    .bench {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
