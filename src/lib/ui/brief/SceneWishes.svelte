<script lang="ts">
  import type { Project } from '../../core/model/project';
  import type { Scene, SceneWant } from '../../core/model/scene';
  import { TextInput } from 'carbon-components-svelte';
  import { micPlacesByStyle } from '../../core/rigs/places';
  import { dayWords } from '../shell/day-words';
  import Choice from './Choice.svelte';
  import Measure from './Measure.svelte';
  import Measures from './Measures.svelte';
  import { sceneFields, windowFields } from './scene-fields';
  import { colourWord } from './scene-vocabulary';
  import { shownFigure } from './shown-units';
  import Word from './Word.svelte';

  /** What else there is to say of a scene: said as words once it is, offered as pills until then. */
  interface Props {
    scene: Scene;
    project: Project;
    onscene: (patch: Partial<Omit<Scene, 'id' | 'angles'>>) => void;
  }
  const { scene, project, onscene }: Props = $props();
  const { units } = $derived(project);

  const orientations = {
    wide: 'wide',
    'upright turned': 'upright, the camera turned',
    'upright cropped': 'upright, cut out of the wide one',
    'upright open gate': 'upright, from the whole sensor'
  } as const;
  const toggles = [
    { key: 'onceOnly', said: 'It cannot be filmed again', offer: 'it happens only once' },
    { key: 'roughWeather', said: 'Rain, spray or dust get at it', offer: 'rain or dust' },
    { key: 'wantsPan', said: 'The camera turns with what it films', offer: 'the camera turns' },
    {
      key: 'seenLargeIn4K',
      said: 'It is watched large, in all its pixels',
      offer: 'watched large in 4K'
    },
    { key: 'darkBackground', said: 'Behind me it is dark', offer: 'dark behind me' },
    {
      key: 'hasDeskFeed',
      said: 'The house gives me its sound from the mixing desk',
      offer: 'sound from the house’s mixing desk'
    }
  ] as const;
  const wants: { want: SceneWant; words: string; asked: boolean }[] = $derived([
    { want: 'see self', words: 'seeing myself', asked: scene.wantsSeeSelf },
    { want: 'face sharp', words: 'nose and ears sharp', asked: scene.wantsFaceSharp },
    { want: 'soft background', words: 'the soft background', asked: scene.wantsBlurPercent > 0 }
  ]);
  const nice = $derived(scene.niceToHave ?? []);
  const canHaveDeskFeed = $derived(
    micPlacesByStyle[scene.style].some((place) => place === 'desk feed')
  );
  const openToggles = $derived(
    toggles.filter(({ key }) => scene[key] !== true && (key !== 'hasDeskFeed' || canHaveDeskFeed))
  );
  const said = $derived(toggles.filter(({ key }) => scene[key] === true));

  const sameDay = $derived(
    scene.day === undefined
      ? []
      : project.scenes
          .filter(({ id, day }) => id !== scene.id && day === scene.day)
          .map(({ name }) => name)
  );
  const dayWord = $derived.by(() => {
    const date = scene.filmedOn === undefined ? '' : dayWords(scene.filmedOn);
    if (scene.day !== undefined)
      return `${date || `day ${scene.day}`}${sameDay.length > 0 ? `, with ${sameDay.join(' and ')}` : ''}`;
    return date || 'a day of its own';
  });
  /** As many days as there are scenes, and one that an opened file may bring. */
  const dayChoices = $derived(
    Object.fromEntries([
      ['own', 'a day of its own'],
      ...[
        ...new Set([
          ...project.scenes.map((_, index) => index + 1),
          ...(scene.day ? [scene.day] : [])
        ])
      ]
        .sort((a, b) => a - b)
        .map((day) => [`day ${day}`, `day ${day}`])
    ])
  );

  function setNice(want: SceneWant, on: boolean) {
    const rest = nice.filter((other) => other !== want);
    const now = on ? [...rest, want] : rest;
    onscene({ niceToHave: now.length > 0 ? now : undefined });
  }

  const windowMeasures = [
    { key: 'areaM2', label: 'Area of the glass', step: 0.1 },
    { key: 'distanceM', label: 'Window to face', step: 0.05 }
  ] as const;
</script>

<p class="sentence">
  The picture stands <Word
    ends={scene.live ? ',' : '.'}
    word={orientations[scene.orientation]}
    question="Wide or upright?"
  >
    <Choice
      label="Orientation"
      options={orientations}
      value={scene.orientation}
      onchoose={(orientation) => onscene({ orientation })}
    />
    <span class="soft"
      >Turned keeps the whole sensor; cut out keeps the wide picture as well, with fewer pixels.</span
    >
  </Word>{#if scene.live}
    and it goes out <Word
      ends="."
      word={scene.liveIsRecorded ? 'live and is recorded too' : 'live'}
      question="Live or recorded?"
    >
      <Choice
        label="Live or recorded"
        options={{ live: 'live', both: 'live, and recorded in the camera', recorded: 'recorded' }}
        value={scene.liveIsRecorded ? 'both' : 'live'}
        onchoose={(value) =>
          onscene({
            live: value !== 'recorded',
            liveIsRecorded: value === 'both' ? true : undefined
          })}
      />
      <span class="soft">What only goes out live needs no card, and no clip ends.</span>
    </Word>{/if}
  {#each said as { key, said: words } (key)}
    <button
      class="said"
      aria-label="{words}: no longer"
      onclick={() => onscene({ [key]: undefined })}>{words}</button
    >.
  {/each}
  {#if scene.wantsKeyToFill !== undefined}
    The bright side of the face gets <Word
      ends="."
      word="so much more light"
      question="How much brighter than the dark side?"
      figure="{scene.wantsKeyToFill}×"
    >
      <Measure
        label="Bright to dark side"
        value={scene.wantsKeyToFill}
        field={sceneFields.wantsKeyToFill}
        step={0.5}
        onset={(wantsKeyToFill) => onscene({ wantsKeyToFill })}
      />
      <button class="pill" onclick={() => onscene({ wantsKeyToFill: undefined })}
        >as it falls</button
      >
    </Word>
  {/if}
  {#if scene.lightColourK !== undefined}
    The light that is there stays on and is <Word
      ends="."
      word={colourWord(scene.lightColourK)}
      question="Which colour has it?"
      figure={shownFigure(scene.lightColourK, 'K', units)}
    >
      <Measure
        label="Colour"
        value={scene.lightColourK}
        field={sceneFields.lightColourK}
        step={100}
        onset={(lightColourK) => onscene({ lightColourK })}
      />
      <span class="soft"
        >Warm bulbs have about 2 700 K, office tubes 4 000, daylight 5 600 and more. It is often
        printed on the lamp.</span
      >
      <button class="pill" onclick={() => onscene({ lightColourK: undefined })}>not known</button>
    </Word>
  {/if}
  {#if scene.window}
    {@const window = scene.window}
    A <Word
      word="window"
      question="How large is it, how far, and what sky does it show?"
      figure={shownFigure(window.areaM2, 'm²', units)}
    >
      <Measures
        of={window}
        fields={windowFields}
        asked={windowMeasures}
        {units}
        onset={(patch) => onscene({ window: { ...window, ...patch } })}
      />
      <Measure
        label="Sky at its dimmest"
        value={window.skyDimCdM2}
        field={windowFields.skyDimCdM2}
        step={50}
        onset={(skyDimCdM2) =>
          onscene({
            window: {
              ...window,
              skyDimCdM2,
              skyBrightCdM2: Math.max(skyDimCdM2, window.skyBrightCdM2)
            }
          })}
      />
      <Measure
        label="Sky at its brightest"
        value={window.skyBrightCdM2}
        field={windowFields.skyBrightCdM2}
        step={50}
        onset={(skyBrightCdM2) =>
          onscene({
            window: {
              ...window,
              skyBrightCdM2,
              skyDimCdM2: Math.min(skyBrightCdM2, window.skyDimCdM2)
            }
          })}
      />
      <span class="soft">Overcast shows about 2 000, bright cloud about 8 000.</span>
      <button class="pill" onclick={() => onscene({ window: undefined })}>no window</button>
    </Word> helps.
  {/if}
  It is filmed on <Word
    ends="."
    word={dayWord}
    question={project.scenes.length > 1
      ? 'Which scenes share a day, and when is it?'
      : 'Which day?'}
  >
    {#if scene.day !== undefined || project.scenes.length > 1}
      <Choice
        label="Day of the shoot"
        options={dayChoices}
        value={scene.day === undefined ? 'own' : `day ${scene.day}`}
        onchoose={(value) =>
          onscene({ day: value === 'own' ? undefined : Number(value.slice('day '.length)) })}
      />
      <span class="soft"
        >Scenes of one day share its batteries, power banks and cards; whoever has least gets the
        most there can be. A night with a socket fills them again.</span
      >
    {/if}
    <TextInput
      size="sm"
      type="date"
      labelText="Date, where it is known"
      helperText="The evenings before and after it go into the calendar of the ledger."
      value={scene.filmedOn ?? ''}
      on:change={({ detail }) => {
        const date = String(detail ?? '');
        if (date === '' || /^\d{4}-\d{2}-\d{2}$/.test(date))
          onscene({ filmedOn: date === '' ? undefined : date });
      }}
    />
  </Word>
  {#if scene.daysWithoutSocket > 1}
    Each day there are <Word
      ends="."
      word="{scene.sunHoursPerDay ?? 0} h of sun and {scene.drivenHoursPerDay ?? 0} h in the car"
      question="What charges on the way?"
    >
      <Measure
        label="Sun on a panel"
        value={scene.sunHoursPerDay ?? 0}
        field={sceneFields.sunHoursPerDay}
        step={0.5}
        onset={(sunHoursPerDay) => onscene({ sunHoursPerDay })}
      />
      <Measure
        label="Hours driven"
        value={scene.drivenHoursPerDay ?? 0}
        field={sceneFields.drivenHoursPerDay}
        step={0.5}
        onset={(drivenHoursPerDay) => onscene({ drivenHoursPerDay })}
      />
    </Word>
  {/if}
  {#each wants.filter(({ want, asked }) => asked && nice.includes(want)) as { want, words } (want)}
    <button
      class="said"
      aria-label="{words} is needed after all"
      onclick={() => setNice(want, false)}>{words} would be nice, no more</button
    >.
  {/each}
</p>
<p class="offers">
  <span class="soft">Also:</span>
  {#each openToggles as { key, offer } (key)}
    <button class="pill" onclick={() => onscene({ [key]: true })}>{offer}</button>
  {/each}
  {#if !scene.live}<button class="pill" onclick={() => onscene({ live: true })}
      >it goes out live</button
    >{/if}
  {#if scene.room && scene.wantsKeyToFill === undefined}
    <button class="pill" onclick={() => onscene({ wantsKeyToFill: 2 })}
      >shape the face by light</button
    >
  {/if}
  {#if scene.lightColourK === undefined}
    <button
      class="pill"
      onclick={() => onscene({ lightColourK: scene.lightSource === 'lamps' ? 2700 : 4000 })}
      >lamps that stay on</button
    >
  {/if}
  {#if scene.room && !scene.window}
    <button
      class="pill"
      onclick={() =>
        onscene({
          window: {
            areaM2: 1.5,
            distanceM: 1.5,
            skyDimCdM2: 1000,
            skyBrightCdM2: 4000,
            transmittance: 0.7
          }
        })}>measure a window</button
    >
  {/if}
  {#each wants.filter(({ want, asked }) => asked && !nice.includes(want)) as { want, words } (want)}
    <button class="pill" onclick={() => setNice(want, true)}>{words} is only nice to have</button>
  {/each}
</p>

<style>
  .sentence {
    font-family: var(--display);
    font-size: 1.05rem;
    line-height: 1.75;
  }

  .said {
    padding: 0;
    border: 0;
    border-bottom: 2px solid var(--moss);
    background: none;
    color: inherit;
    font: inherit;
    font-weight: 600;
    cursor: pointer;
  }

  .offers {
    display: flex;
    flex-wrap: wrap;
    gap: 0.3rem;
    align-items: center;
    margin-top: 0.35rem;
  }

  .offers .pill {
    padding: 0.12rem 0.6rem;
    font-size: 0.75rem;
  }
</style>
