<script lang="ts">
  import { Checkbox, NumberInput, TextInput } from 'carbon-components-svelte';
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
  const shares = $derived(project.scenes.reduce((sum, scene) => sum + scene.sharePercent, 0));
  const sideMm = $derived(
    angle &&
      figureOf(
        angle.record,
        figureOf(angle.record, 'framedSide') === 1 ? 'areaWidth' : 'areaHeight'
      )
  );
  function addAngle() {
    let number = scene.angles.length;
    while (scene.angles.some((angle) => angle.id === `angle-${number}`)) number += 1;
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
      <TextInput
        size="sm"
        hideLabel
        labelText="Name of the scene"
        value={scene.name}
        maxlength={120}
        on:change={({ detail }) => rename(String(detail ?? ''))}
      />
      <span class="share">
        <NumberInput
          size="sm"
          hideLabel
          hideSteppers
          labelText="Share of what you make, percent"
          min={0}
          max={100}
          value={scene.sharePercent}
          on:change={({ detail }) => {
            const percent = Math.round(Number(detail));
            if (detail !== null && percent >= 0 && percent <= 100 && percent !== scene.sharePercent)
              onact({ type: 'change scene', sceneId: scene.id, patch: { sharePercent: percent } });
          }}
        />
        % of what I make{shares !== 100 && shares > 0
          ? `, ${Math.round((100 * scene.sharePercent) / shares)} of 100`
          : ''}
      </span>
      <Checkbox
        labelText="must work"
        checked={scene.mustDo}
        on:check={({ detail }) => {
          if (detail !== scene.mustDo)
            onact({ type: 'change scene', sceneId: scene.id, patch: { mustDo: detail } });
        }}
      />
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
    gap: 0.4rem 1rem;
    align-items: center;
    margin-bottom: 0.2rem;
    color: var(--ink-soft);
    font-size: 0.8125rem;
  }

  header > :global(.bx--form-item) {
    flex: 1 1 10rem;
  }

  header > :global(.bx--checkbox-wrapper) {
    flex: 0 0 auto;
  }

  header :global(.bx--text-input) {
    font: 600 1.1rem var(--display);
  }

  .share {
    display: flex;
    gap: 0.4rem;
    align-items: center;
  }

  .share :global(.bx--number) {
    width: 4rem;
  }

  .share :global(input) {
    min-width: 0;
    padding-inline: 0.6rem;
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
