<script lang="ts">
  import type { Act } from '../../core/acts/act';
  import { figureOf } from '../../core/figures/record';
  import type { AngleJudgement } from '../../core/judge/incremental';
  import type { Project } from '../../core/model/project';
  import type { Scene } from '../../core/model/scene';
  import SceneSentence from './SceneSentence.svelte';
  import SceneWishes from './SceneWishes.svelte';
  import Vignette from './Vignette.svelte';

  interface Props {
    scene: Scene;
    project: Project;
    angle: AngleJudgement | undefined;
    onact: (act: Act) => void;
  }
  const { scene, project, angle, onact }: Props = $props();
  const shares = $derived(project.scenes.reduce((sum, one) => sum + one.sharePercent, 0));
  const sideMm = $derived(
    angle &&
      figureOf(
        angle.record,
        figureOf(angle.record, 'framedSide') === 1 ? 'areaWidth' : 'areaHeight'
      )
  );
  function addAngle() {
    let number = scene.angles.length;
    while (scene.angles.some((one) => one.id === `angle-${number}`)) number += 1;
    onact({
      type: 'add angle',
      sceneId: scene.id,
      angle: {
        ...scene.angles[0]!,
        id: `angle-${number}`,
        name: 'another',
        cameraPlace: 'tabletop',
        framing: 'waist'
      }
    });
  }
  const rename = (name: string) => {
    const text = name.trim().slice(0, 120);
    if (text && text !== scene.name)
      onact({ type: 'change scene', sceneId: scene.id, patch: { name: text } });
  };
</script>

<article class="card" aria-label={scene.name}>
  <div class="drawing"><Vignette {scene} units={project.units} /></div>
  <div class="said">
    <header>
      <input
        class="name"
        aria-label="Name of the scene"
        value={scene.name}
        maxlength="120"
        onchange={(event) => rename(event.currentTarget.value)}
      />
      <label class="share">
        <input
          class="figures"
          type="number"
          min="0"
          max="100"
          step="5"
          value={scene.sharePercent}
          aria-label="Share of what you make, percent"
          onchange={(event) => {
            const percent = Math.round(Number(event.currentTarget.value));
            if (percent >= 0 && percent <= 100)
              onact({ type: 'change scene', sceneId: scene.id, patch: { sharePercent: percent } });
            else event.currentTarget.value = String(scene.sharePercent);
          }}
        />
        % of what I make{shares !== 100 && shares > 0
          ? `, ${Math.round((100 * scene.sharePercent) / shares)} of 100`
          : ''}
      </label>
      <label class="must">
        <input
          type="checkbox"
          checked={scene.mustDo}
          onchange={(event) =>
            onact({
              type: 'change scene',
              sceneId: scene.id,
              patch: { mustDo: event.currentTarget.checked }
            })}
        />
        must work
      </label>
      <button
        class="drop"
        aria-label="Delete {scene.name}"
        onclick={() => onact({ type: 'remove scene', sceneId: scene.id })}>delete</button
      >
    </header>
    <SceneSentence
      {scene}
      {project}
      {sideMm}
      onscene={(patch) => onact({ type: 'change scene', sceneId: scene.id, patch })}
      onangle={(patch) =>
        onact({ type: 'change angle', sceneId: scene.id, angleId: scene.angles[0]!.id, patch })}
      onotherangle={(angleId, patch) =>
        onact({ type: 'change angle', sceneId: scene.id, angleId, patch })}
      onaddangle={addAngle}
      ondropangle={(angleId) => onact({ type: 'remove angle', sceneId: scene.id, angleId })}
    />
    <SceneWishes
      {scene}
      {project}
      onscene={(patch) => onact({ type: 'change scene', sceneId: scene.id, patch })}
    />
  </div>
</article>

<style>
  article {
    display: grid;
    grid-template-columns: minmax(11rem, 15rem) minmax(0, 1fr);
  }

  .drawing {
    overflow: hidden;
    border-right: 1px dashed var(--tan-line);
    border-radius: calc(var(--round) - 1px) 0 0 calc(var(--round) - 1px);
  }

  .said {
    padding: 0.8rem 1.1rem 1rem;
  }

  header {
    display: flex;
    flex-wrap: wrap;
    gap: 0.2rem 1rem;
    align-items: baseline;
    margin-bottom: 0.2rem;
    color: var(--ink-soft);
    font-size: 0.8125rem;
  }

  .name {
    flex: 1 1 8rem;
    min-width: 6rem;
    padding: 0 0.15rem;
    border: 0;
    border-radius: 4px;
    background: transparent;
    color: var(--ink);
    font-family: var(--display);
    font-size: 1.2rem;
    font-weight: 600;
  }

  .name:hover {
    background: var(--canvas-deep);
  }

  .share input {
    width: 3.2rem;
    padding: 0 0.2rem;
    border: 0;
    border-bottom: 2px solid var(--moss);
    background: transparent;
    color: var(--ink);
    font-weight: 600;
    text-align: right;
  }

  .must input {
    accent-color: var(--moss);
  }

  .drop {
    padding: 0;
    border: 0;
    background: none;
    color: var(--brick);
    text-decoration: underline;
    cursor: pointer;
  }

  @media (max-width: 760px) {
    article {
      grid-template-columns: 1fr;
    }

    .drawing {
      height: 9rem;
      border-right: 0;
      border-bottom: 1px dashed var(--tan-line);
      border-radius: calc(var(--round) - 1px) calc(var(--round) - 1px) 0 0;
    }
  }
</style>
