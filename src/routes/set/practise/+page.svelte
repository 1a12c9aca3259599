<script lang="ts">
  import { onMount } from 'svelte';
  import { Button, Select, SelectItem } from 'carbon-components-svelte';
  import { figureWords, shutterWords } from '$lib/core/figures/figure-words';
  import { figureOf } from '$lib/core/figures/record';
  import { type Skill, skills } from '$lib/core/practise/attempt';
  import { type Drill, drillFor, nearestMark, type Settings } from '$lib/core/practise/drill';
  import { histogramOf } from '$lib/core/practise/histogram';
  import {
    BETWEEN_MARKS_STOPS,
    type Marks,
    markAttempt,
    readSettings
  } from '$lib/core/practise/mark';
  import { nextSkill, skillStates } from '$lib/core/practise/schedule';
  import { MIRED_DIFFERENCE } from '$lib/core/relations/lighting/colour';
  import { isIndoors } from '$lib/core/model/scene-facts';
  import { layOut } from '$lib/core/set/layout';
  import { pictureThroughLens } from '$lib/core/set/through-lens';
  import { practice } from '$lib/state/practice.svelte';
  import { satchel } from '$lib/state/project-store.svelte';
  import Meter from '$lib/ui/practise/Meter.svelte';
  import SkillCurve from '$lib/ui/practise/SkillCurve.svelte';
  import ThroughLens from '$lib/ui/set/ThroughLens.svelte';

  let skillWanted = $state<Skill | ''>('');
  let drill = $state.raw<Drill | undefined>(undefined);
  let settings = $state.raw<Settings | undefined>(undefined);
  let marks = $state.raw<Marks | undefined>(undefined);
  let seed = $state(0);
  let now = $state(Date.now());

  const judged = $derived(
    satchel.judgement?.angles.find(({ scene }) => scene.id === satchel.sceneId) ??
      satchel.judgement?.angles[0]
  );
  const states = $derived(skillStates(practice.attempts, now));
  const possible = $derived(
    new Set<Skill>(judged ? skills.filter((skill) => drillFor(judged, skill, 1, 1)) : [])
  );

  onMount(() => {
    void practice.open().then(() => {
      seed = practice.attempts.length;
      begin();
    });
  });

  /** The scene the drill on screen belongs to. */
  let drillOf: string | undefined;
  $effect(() => {
    const id = judged?.scene.id;
    if (drillOf !== undefined && id !== drillOf) begin();
  });

  function begin() {
    if (!judged) return;
    now = Date.now();
    const wanted =
      skillWanted !== '' && possible.has(skillWanted)
        ? states.find(({ skill }) => skill === skillWanted)
        : nextSkill(states, possible);
    marks = undefined;
    drillOf = judged.scene.id;
    drill = wanted && drillFor(judged, wanted.skill, wanted.level, (seed += 1));
    settings = drill?.start;
  }

  function take() {
    if (!drill || !settings || marks) return;
    marks = markAttempt(drill, settings);
    void practice.keep({
      at: Date.now(),
      skill: drill.skill,
      level: drill.level,
      sceneName: drill.sceneName,
      score: marks.score,
      lossStops: marks.lossStops
    });
  }

  const reading = $derived(drill && settings ? readSettings(drill, settings) : undefined);
  const picture = $derived.by(() => {
    if (!judged || !drill || !settings || !reading) return undefined;
    const drawn = pictureThroughLens(judged, layOut(judged));
    const used = figureOf(judged.record, 'aperture') ?? settings.apertureN;
    return (
      drawn && {
        ...drawn,
        // Blur falls as one over the f-number.
        backgroundBlurPercent: (drawn.backgroundBlurPercent * used) / settings.apertureN,
        faceIsSharp: reading.noseIsSharp,
        offStops: reading.offStops,
        iso: settings.iso,
        castMired: reading.castMired,
        flickerPercent: reading.flickerPercent
      }
    );
  });
  const histogram = $derived(histogramOf(reading?.offStops ?? 0));

  const dials = $derived(
    drill && settings
      ? ([
          {
            key: 'shutterS',
            name: 'Shutter',
            marks: drill.dials.shutters,
            say: (value: number) => shutterWords(value)
          },
          {
            key: 'apertureN',
            name: 'Aperture',
            marks: drill.dials.apertures,
            say: (value: number) => figureWords(value, 'f/')
          },
          {
            key: 'iso',
            name: 'ISO',
            marks: drill.dials.isos,
            say: (value: number) => String(Math.round(value))
          },
          {
            key: 'densityStops',
            name: 'Neutral density (ND)',
            marks: drill.dials.densities,
            say: (value: number) => (value === 0 ? 'off' : figureWords(value, 'stops'))
          },
          {
            key: 'whiteBalanceK',
            name: 'White balance',
            marks: drill.dials.kelvins,
            say: (value: number) => `${value} K`
          }
        ] as const)
      : []
  );
  const bestWords = $derived(
    marks &&
      [
        shutterWords(marks.best.shutterS),
        figureWords(marks.best.apertureN, 'f/'),
        `ISO ${nearestMark(drill!.dials.isos, marks.best.iso)}`,
        ...(marks.best.densityStops > 0
          ? [`${figureWords(marks.best.densityStops, 'stops')} of ND`]
          : []),
        `${drill!.lightK} K`
      ].join(' · ')
  );
</script>

<svelte:head><title>Practise · Hearty Satchel</title></svelte:head>
<p class="back"><a href="/set">← the set</a></p>
<h1>Practise: set your own camera by hand</h1>
{#if satchel.project && judged}
  <nav class="scenes" aria-label="Scenes">
    {#each satchel.project.scenes as scene (scene.id)}
      <Button
        size="small"
        kind={scene.id === judged.scene.id ? 'primary' : 'ghost'}
        aria-pressed={scene.id === judged.scene.id}
        on:click={() => (satchel.sceneId = scene.id)}>{scene.name}</Button
      >
    {/each}
  </nav>
  <div class="bench">
    <div class="card camera">
      {#if drill && settings && reading}
        <p class="tells" aria-live="polite">
          <b>{drill.skill}, level {drill.level}</b>
          {drill.tells}
        </p>
        {#if picture}
          <ThroughLens
            {picture}
            indoors={isIndoors(judged.scene) && drill.skill !== 'out into the sun'}
            handsAtWork={picture.people.length === 0 && isIndoors(judged.scene)}
            label="The picture it would make"
            id="practise"
          />
        {/if}
        <Meter
          offStops={reading.offStops}
          {histogram}
          metered={drill.metered || marks !== undefined}
        />
        <div class="dials" role="group" aria-label="Camera dials">
          {#each dials as dial (dial.key)}
            <Select
              size="sm"
              labelText={dial.name}
              disabled={marks !== undefined}
              selected={String(dial.marks.findIndex((mark) => mark === settings![dial.key]))}
              on:change={(event) => {
                const index = Number((event.target as HTMLSelectElement).value);
                settings = { ...settings!, [dial.key]: dial.marks[index]! };
              }}
            >
              {#each dial.marks as mark, index (index)}<SelectItem
                  value={String(index)}
                  text={dial.say(mark)}
                />{/each}
            </Select>
          {/each}
        </div>
        <p class="words" role="status">
          {#if drill.metered || marks}{Math.abs(reading.offStops) <= BETWEEN_MARKS_STOPS
              ? 'Exposed right.'
              : `${figureWords(Math.abs(reading.offStops), 'stops')} ${reading.offStops > 0 ? 'over' : 'under'}.`}{/if}
          {reading.flickerPercent > 2 ? `Bands run through the picture.` : ''}
          {Math.abs(reading.castMired) >= MIRED_DIFFERENCE.seen
            ? `The face looks ${reading.castMired > 0 ? 'warm' : 'cool'}.`
            : ''}
          {reading.noseIsSharp ? '' : 'The ears are out of focus.'}
        </p>
        <div class="do">
          <Button size="small" disabled={marks !== undefined} on:click={take}>Take it</Button>
          <Button size="small" kind="tertiary" on:click={begin}
            >{marks ? 'Next drill' : 'Another drill'}</Button
          >
        </div>
        {#if marks}
          <section class="marks" aria-label="How it went" aria-live="polite">
            <h2>{marks.score} of 100</h2>
            {#if marks.faults.length === 0}
              <p>Nothing was off that anybody would see.</p>
            {:else}
              <ul>
                {#each marks.faults as fault (fault.what)}
                  <li><b>{fault.what}</b> {fault.why}</li>
                {/each}
              </ul>
            {/if}
            <p class="soft">
              The best these dials can do here: <span class="figures">{bestWords}</span>. What you
              set costs {figureWords(marks.lossStops, 'stops')} more.
            </p>
          </section>
        {/if}
      {:else}
        <p>
          This scene cannot be practised yet: it wants a body and a lens in the kit, and some light.
          <a href="/satchel">Go to the satchel</a>.
        </p>
      {/if}
    </div>
    <aside class="card" aria-label="Your skills">
      <h2>Your skills</h2>
      <Select
        size="sm"
        labelText="Practise"
        selected={skillWanted}
        on:change={(event) => {
          skillWanted = (event.target as HTMLSelectElement).value as Skill | '';
          begin();
        }}
      >
        <SelectItem value="" text="what is due" />
        {#each skills as skill (skill)}<SelectItem
            value={skill}
            text={skill}
            disabled={!possible.has(skill)}
          />{/each}
      </Select>
      <ul class="plain-list">
        {#each states as state (state.skill)}<SkillCurve {state} {now} />{/each}
      </ul>
      <p class="soft">
        Marked by what a setting costs the picture, in stops; the dashed line is 75 of 100. What
        goes badly comes back sooner. Kept in this browser only.
      </p>
      {#if practice.failure}<p class="fault" role="alert">{practice.failure}</p>{/if}
      {#if practice.attempts.length > 0}
        <Button size="small" kind="ghost" on:click={() => void practice.forget()}
          >Forget all attempts</Button
        >
      {/if}
    </aside>
  </div>
{/if}

<style>
  h1 {
    font-size: 1.3rem;
  }

  .back {
    font-size: 0.8125rem;
  }

  .scenes {
    display: flex;
    flex-wrap: wrap;
    gap: 0.3rem;
    margin: 0.4rem 0 0.6rem;
  }

  .scenes :global(.bx--btn) {
    max-width: 100%;
    overflow-wrap: anywhere;
    white-space: normal;
  }

  .bench {
    display: grid;
    overflow-wrap: anywhere;
    grid-template-columns: minmax(0, 1.8fr) minmax(16rem, 1fr);
    gap: 0.9rem;
    align-items: start;
  }

  .card {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    gap: 0.7rem;
    min-width: 0;
    padding: 0.9rem 1rem;
  }

  .tells b {
    display: block;
    font-family: var(--display);
  }

  .tells b::first-letter {
    text-transform: uppercase;
  }

  .dials {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(min(8.5rem, 100%), 1fr));
    gap: 0.6rem;
  }

  .words {
    min-height: 1.2rem;
    color: var(--ink-soft);
    font-size: 0.8125rem;
  }

  .do {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem;
  }

  .marks {
    padding: 0.7rem 0.9rem;
    border-left: 4px solid var(--moss);
    background: var(--paper);
    font-size: 0.8125rem;
  }

  .marks ul {
    display: grid;
    gap: 0.4rem;
    padding: 0.3rem 0;
    list-style: none;
  }

  h2 {
    font-size: 1.1rem;
  }

  .fault {
    color: var(--brick);
    font-size: 0.8125rem;
  }

  @media (max-width: 900px) {
    .bench {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
