<script lang="ts">
  import { minutesWords } from '../../core/figures/figure-words';
  import { plainNumber } from '../../core/model/measure-words';
  import type { Project } from '../../core/model/project';
  import { isMoving, showsFace } from '../../core/model/scene-facts';
  import { sceneStarts } from '../../core/model/scene-starts';
  import type { Angle, Scene } from '../../core/model/scene';
  import AngleMinutes from './AngleMinutes.svelte';
  import AngleWords from './AngleWords.svelte';
  import Choice from './Choice.svelte';
  import Measure from './Measure.svelte';
  import Measures from './Measures.svelte';
  import { roomFields, sceneFields } from './scene-fields';
  import {
    awayWord,
    feelWords,
    lightWord,
    noiseWord,
    ordinaryRoom,
    rideWord,
    sourceWords,
    styleWords,
    voiceWords,
    windWord
  } from './scene-vocabulary';
  import { roomFigure, shownFigure } from './shown-units';
  import Word from './Word.svelte';

  interface Props {
    scene: Scene;
    project: Project;
    /** Side of the picture area the framing is measured on, mm; unknown without a body. */
    sideMm: number | undefined;
    onscene: (patch: Partial<Omit<Scene, 'id' | 'angles'>>) => void;
    onangle: (patch: Partial<Omit<Angle, 'id'>>) => void;
    onotherangle: (angleId: string, patch: Partial<Omit<Angle, 'id'>>) => void;
    onaddangle: () => void;
    ondropangle: (angleId: string) => void;
  }
  const MOST_ANGLES = 4;
  const { scene, project, sideMm, onscene, onangle, onotherangle, onaddangle, ondropangle }: Props =
    $props();
  const { units } = $derived(project);
  const angle = $derived(scene.angles[0]!);
  const outdoors = $derived(scene.room === undefined);
  const lx = (value: number) => plainNumber(value, 0);
  const fpsWord = $derived(String(scene.fps) as '24' | '25' | '30' | '50' | '60');
  const yesNo = { yes: 'yes', no: 'no' } as const;

  const roomMeasures = [
    { key: 'lengthM', label: 'Length', step: 0.05 },
    { key: 'widthM', label: 'Width', step: 0.05 },
    { key: 'heightM', label: 'Height', step: 0.05 }
  ] as const;
</script>

<p class="sentence">
  I <Word word={styleWords[scene.style]} question="What do you do here?">
    <Choice
      label="Shooting style"
      options={styleWords}
      value={scene.style}
      onchoose={(style) =>
        onscene({
          style,
          rideSpeedMps:
            style === 'ride' ? (scene.rideSpeedMps ?? sceneStarts.ride.rideSpeedMps) : undefined
        })}
    />
  </Word>
  {#if scene.rideSpeedMps !== undefined}
    at <Word
      word={rideWord(scene.rideSpeedMps)}
      question="How fast do you ride?"
      figure={shownFigure(scene.rideSpeedMps, 'm/s', units)}
    >
      <Measure
        label="Speed"
        value={scene.rideSpeedMps}
        field={sceneFields.rideSpeedMps}
        step={0.5}
        {units}
        onset={(rideSpeedMps) => onscene({ rideSpeedMps })}
      />
    </Word>
  {/if}
  {#if scene.room}
    in a room
    <Word
      word="this large"
      question="How large is the room?"
      figure={roomFigure(scene.room, units)}
    >
      {@const room = scene.room}
      <Measures
        of={room}
        fields={roomFields}
        asked={roomMeasures}
        {units}
        onset={(patch) => onscene({ room: { ...room, ...patch } })}
      />
    </Word>
    that is
    <Word word={feelWords[scene.room.feel]} question="How does the room feel?">
      {@const room = scene.room}
      <Choice
        label="Acoustics of the room"
        options={feelWords}
        value={room.feel}
        onchoose={(feel) => onscene({ room: { ...room, feel } })}
      />
    </Word>
    and
  {:else}
    <Word ends="," word="outdoors" question="Indoors or out?">
      <Choice
        label="Outdoors or in a room"
        options={{ out: 'outdoors', in: 'in a room' }}
        value="out"
        onchoose={(value) => value === 'in' && onscene({ room: ordinaryRoom, windMps: 0 })}
      />
    </Word> where it is
  {/if}
  <Word
    ends={outdoors ? '' : '.'}
    word={noiseWord(scene.noiseDbA)}
    question="How loud is the place before you speak?"
    figure="{scene.noiseDbA} dB"
  >
    <Measure
      label="Noise of the place"
      value={scene.noiseDbA}
      field={sceneFields.noiseDbA}
      step={1}
      onset={(noiseDbA) => onscene({ noiseDbA })}
    />
    {#if scene.room}
      <button class="pill" onclick={() => onscene({ room: undefined })}>It is outdoors</button>
    {/if}
  </Word>{#if outdoors}&#32;and <Word
      ends="."
      word={windWord(scene.windMps)}
      question="How strong is the wind?"
      figure={shownFigure(scene.windMps, 'm/s', units)}
    >
      <Measure
        label="Wind"
        value={scene.windMps}
        field={sceneFields.windMps}
        step={0.5}
        {units}
        onset={(windMps) => onscene({ windMps })}
      />
    </Word>{/if} The camera {isMoving(angle) ? 'is' : 'stands'}
  <AngleWords {scene} {angle} {project} {sideMm} {onangle} /> I <Word
    word={voiceWords[scene.voice]}
    question="How do you speak?"
  >
    <Choice
      label="How one speaks"
      options={voiceWords}
      value={scene.voice}
      onchoose={(voice) => onscene({ voice })}
    />
  </Word>
  in <Word ends="," word={sourceWords[scene.lightSource]} question="Whose light is it?">
    <Choice
      label="Light there is"
      options={sourceWords}
      value={scene.lightSource}
      onchoose={(lightSource) => onscene({ lightSource })}
    />
  </Word> the place itself
  <Word
    word={lightWord(scene.lightDimLx, outdoors) === lightWord(scene.lightBrightLx, outdoors)
      ? lightWord(scene.lightDimLx, outdoors)
      : `${lightWord(scene.lightDimLx, outdoors)} to ${lightWord(scene.lightBrightLx, outdoors)}`}
    question="How dark and how bright does it get, without your lamps?"
    figure="{lx(scene.lightDimLx)}–{lx(scene.lightBrightLx)} lx"
  >
    <Measure
      label="At its dimmest"
      value={scene.lightDimLx}
      field={sceneFields.lightDimLx}
      step={1}
      decades
      onset={(dim) =>
        onscene({ lightDimLx: dim, lightBrightLx: Math.max(dim, scene.lightBrightLx) })}
    />
    <Measure
      label="At its brightest"
      value={scene.lightBrightLx}
      field={sceneFields.lightBrightLx}
      step={1}
      decades
      onset={(bright) =>
        onscene({ lightBrightLx: bright, lightDimLx: Math.min(bright, scene.lightDimLx) })}
    />
  </Word>
  and <Word
    ends="."
    word={shownFigure(scene.temperatureC, '°C', units)}
    question="How cold or warm is it?"
  >
    <Measure
      label="Air"
      value={scene.temperatureC}
      field={sceneFields.temperatureC}
      step={1}
      {units}
      onset={(temperatureC) => onscene({ temperatureC })}
    />
  </Word> Takes run
  <Word
    ends=","
    word="up to {minutesWords(scene.longestTakeMin)}"
    question="How long is the longest take?"
  >
    <Measure
      label="Longest take"
      value={scene.longestTakeMin}
      field={sceneFields.longestTakeMin}
      step={0.5}
      onset={(longest) =>
        onscene({ longestTakeMin: longest, recordedMin: Math.max(longest, scene.recordedMin) })}
    />
  </Word>
  <Word
    ends=","
    word="{minutesWords(scene.recordedMin)} in a day"
    question="How much is recorded in a day?"
  >
    <Measure
      label="Recorded in a day"
      value={scene.recordedMin}
      field={sceneFields.recordedMin}
      step={1}
      onset={(recorded) =>
        onscene({
          recordedMin: recorded,
          longestTakeMin: Math.min(recorded, scene.longestTakeMin)
        })}
    />
  </Word>
  <Word
    ends=","
    word={awayWord(scene.daysWithoutSocket)}
    question="How many days away from a socket?"
  >
    <Measure
      label="Days without a socket"
      value={scene.daysWithoutSocket}
      field={sceneFields.daysWithoutSocket}
      step={1}
      onset={(daysWithoutSocket) => onscene({ daysWithoutSocket })}
    />
  </Word> in
  <Word
    ends="."
    word="{scene.pixelsAcross >= 3840 ? '4K' : '1080'} at {scene.fps} frames"
    question="Which picture, how many frames?"
  >
    <Choice
      label="Resolution"
      options={{ '1920': '1080: small files', '3840': '4K: crop later' }}
      value={scene.pixelsAcross >= 3840 ? '3840' : '1920'}
      onchoose={(value) => onscene({ pixelsAcross: Number(value) })}
    />
    <Choice
      label="Frame rate"
      options={{ '24': '24', '25': '25', '30': '30', '50': '50', '60': '60' }}
      value={fpsWord}
      onchoose={(value) => onscene({ fps: Number(value) })}
    />
    <span class="soft"
      >Under {project.mainsHz} Hz lamps {project.mainsHz === 50 ? '25 or 50' : '30 or 60'} frames keep
      flicker away; some film one rate everywhere and accept the shutter that goes with it.</span
    >
  </Word>
  {#if showsFace(angle)}
    I want <Word
      ends=","
      word={scene.wantsSeeSelf ? 'to see myself' : 'no screen to the front'}
      question="Do you need to see yourself while filming?"
    >
      <Choice
        label="Seeing oneself"
        options={yesNo}
        value={scene.wantsSeeSelf ? 'yes' : 'no'}
        onchoose={(value) => onscene({ wantsSeeSelf: value === 'yes' })}
      />
    </Word>
    <Word
      word={scene.wantsFaceSharp ? 'nose and ears sharp' : 'eyes sharp, the rest as it falls'}
      question="How much of the face shall be sharp?"
    >
      <Choice
        label="How much of the face is sharp"
        options={{ yes: 'nose and ears', no: 'the eyes are enough' }}
        value={scene.wantsFaceSharp ? 'yes' : 'no'}
        onchoose={(value) => onscene({ wantsFaceSharp: value === 'yes' })}
      />
    </Word>
    and <Word
      ends="."
      word={scene.wantsBlurPercent > 0 ? 'the background soft' : 'the background as it is'}
      question="How soft shall the background be?"
      figure={scene.wantsBlurPercent > 0 ? `${scene.wantsBlurPercent} %` : undefined}
    >
      <Measure
        label="Blur of the picture width"
        value={scene.wantsBlurPercent}
        field={sceneFields.wantsBlurPercent}
        step={0.1}
        onset={(wantsBlurPercent) => onscene({ wantsBlurPercent })}
      />
      <span class="soft">0.3 softened, 1 soft, 2.5 melted; 0 asks for none.</span>
    </Word>
  {/if}
  {#each scene.angles.slice(1) as other, index (other.id)}
    At the same time {index === 0 ? 'a second' : 'another'} camera {isMoving(other)
      ? 'is'
      : 'stands'}
    <AngleWords
      {scene}
      angle={other}
      {project}
      {sideMm}
      onangle={(patch) => onotherangle(other.id, patch)}
    />
    <AngleMinutes {scene} angle={other} onangle={(patch) => onotherangle(other.id, patch)} />
    <button class="pill" onclick={() => ondropangle(other.id)}>delete this angle</button>
  {/each}
  {#if scene.angles.length < MOST_ANGLES}
    <button class="pill" onclick={onaddangle}>film it from another angle too</button>
  {/if}
</p>

<style>
  .sentence {
    font-family: var(--display);
    font-size: 1.05rem;
    line-height: 1.75;
  }
</style>
