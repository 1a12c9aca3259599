<script lang="ts">
  import { Button, ContentSwitcher, Select, SelectItem, Switch } from 'carbon-components-svelte';
  import { pocketOf } from '../../core/model/gear';
  import type { DayPlan } from '../../core/rehearse/planned-day';
  import type { ShownDay } from '../../core/rehearse/shown-day';
  import type { FilmingDay } from '../../core/supplies/filming-days';
  import type { Kit } from '../../core/rigs/kit';
  import { glyphOf } from '../glyphs/glyph-of';
  import { dayWords } from '../shell/day-words';
  import Guarded from '../shell/Guarded.svelte';
  import { clockWords } from './clock-words';
  import DayChart from './DayChart.svelte';
  import { levelAt } from './strip-at';

  /** One day against the clock: which day, with or without chance, and what is left in each part at a moment. */
  interface Props {
    days: readonly FilmingDay[];
    day: FilmingDay;
    plan: DayPlan;
    shown: ShownDay;
    kit: Kit;
    /** The minute one looks at. */
    atMin: number;
    /** Which of the days run by chance is shown. */
    dayNumber: number;
    byChance: boolean;
    /** How many lines are tried beyond those on the lists; undefined while none are. */
    triedLines: number | undefined;
    onat: (minute: number) => void;
    onday: (to: number) => void;
    /** Another day, by the id of its first scene. */
    onscene: (firstSceneId: string) => void;
    ononeday: () => void;
  }
  let {
    days,
    day,
    plan,
    shown,
    kit,
    atMin,
    dayNumber,
    byChance = $bindable(),
    triedLines,
    onat,
    onday,
    onscene,
    ononeday
  }: Props = $props();

  /** Minutes worth stopping at. */
  const stops = $derived(
    [
      ...new Set([
        ...shown.segments.flatMap(({ kind, fromMin, toMin }) =>
          kind === 'take' ? [fromMin, toMin] : [fromMin]
        ),
        ...shown.events.map(({ atMin }) => atMin),
        ...shown.outcome.lost.map(({ atMin }) => atMin)
      ])
    ].sort((a, b) => a - b)
  );
  function step(by: 1 | -1) {
    const next =
      by > 0
        ? stops.find((stop) => stop > atMin + 1e-6)
        : stops.findLast((stop) => stop < atMin - 1e-6);
    if (next !== undefined) onat(next);
  }
  const doing = $derived(
    shown.segments.find(({ fromMin, toMin }) => fromMin <= atMin + 1e-6 && atMin < toMin) ??
      shown.segments.at(-1)
  );
  const nowWords = $derived(
    doing
      ? `${doing.kind === 'take' ? `take ${doing.take + 1} of ${plan.scenes[doing.scene]!.name}` : doing.kind}: ${shown.strips
          .map(
            (strip) =>
              `${strip.name} ${strip.kind === 'bank' ? '' : `${strip.kind} `}${Math.round(levelAt(strip, atMin) * 100)} %`
          )
          .join(', ')}`
      : ''
  );
  const partOf = (lineId: string) => kit.byLine(lineId);
  const glyphOfLine = (lineId: string) => {
    const part = partOf(lineId);
    return part ? glyphOf(part.gear) : 'battery';
  };
  const colourOfLine = (lineId: string) => {
    const part = partOf(lineId);
    // The camera's battery is the power pocket's business.
    return part && part.gear.kind !== 'body'
      ? `var(--pocket-${pocketOf(part.gear)})`
      : 'var(--pocket-power)';
  };
  const dayName = (scenes: readonly { name: string; filmedOn?: string }[]) => {
    const date = scenes.find(({ filmedOn }) => filmedOn !== undefined)?.filmedOn;
    const names = scenes.map(({ name }) => name).join(', ');
    return date ? `${dayWords(date)}: ${names}` : names;
  };
  const inTheCan = $derived(shown.outcome.takes - shown.outcome.lost.length);
</script>

<section class="card" aria-label="One day">
  <header>
    <h2>
      {dayName(day.scenes)}{plan.days > 1
        ? `, ${plan.days} days ${plan.hasSocketAtNight ? 'in a row' : 'away'}`
        : ''}
    </h2>
    <span class="clock">
      <button aria-label="To the moment before" onclick={() => step(-1)}>◂</button>
      <b class="figures">{clockWords(atMin, plan.days)}</b>
      <button aria-label="To the next moment" onclick={() => step(1)}>▸</button>
    </span>
    <p class="can">
      <b class:bad={inTheCan < shown.outcome.takes}
        >{inTheCan} of {shown.outcome.takes} takes in the can</b
      > · what is left in each
    </p>
  </header>
  <div class="choose">
    {#if days.length > 1}
      <Select
        size="sm"
        labelText="Which day"
        selected={day.scenes[0]!.id}
        on:update={({ detail }) => onscene(String(detail))}
      >
        {#each days as { scenes } (scenes[0]!.id)}<SelectItem
            value={scenes[0]!.id}
            text={dayName(scenes)}
          />{/each}
      </Select>
      <Button size="small" kind="ghost" on:click={ononeday}>Film all scenes on one day</Button>
    {/if}
    <ContentSwitcher
      size="sm"
      selectedIndex={byChance ? 1 : 0}
      on:change={({ detail }) => (byChance = detail === 1)}
    >
      <Switch text="As planned" />
      <Switch text="With chance" />
    </ContentSwitcher>
    {#if byChance}
      <span class="pager">
        <Button
          size="small"
          kind="ghost"
          disabled={dayNumber === 0}
          on:click={() => onday(dayNumber - 1)}>Day before</Button
        >
        <span class="figures">day {(dayNumber + 1).toLocaleString()} of seed {plan.seed}</span>
        <Button size="small" kind="ghost" on:click={() => onday(dayNumber + 1)}>Next day</Button>
      </span>
    {/if}
    {#if triedLines !== undefined}<b class="trying"
        >tried with {triedLines} lines more on your lists</b
      >{/if}
  </div>
  <Guarded what="The day"
    ><DayChart {plan} {shown} {atMin} {glyphOfLine} {colourOfLine} {onat} /></Guarded
  >
  <p class="now figures" role="status">{clockWords(atMin, plan.days)} · {nowWords}</p>
  {#if plan.unsaid.length > 0}
    <p class="soft">
      Not run, because nobody states it: {plan.unsaid.join('; ')}.
      <a href="/satchel#to-settle">What to ask</a>
    </p>
  {/if}
</section>

<style>
  .card {
    padding: 0.8rem 1rem;
    outline: 1px dashed var(--tan-line);
    outline-offset: -6px;
  }

  header {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem 1.2rem;
    align-items: baseline;
  }

  h2 {
    font-size: 1.1rem;
  }

  .can {
    margin-left: auto;
    color: var(--ink-soft);
    font-size: 0.8125rem;
  }

  .can b {
    color: var(--moss);
  }

  .can b.bad {
    color: var(--ink);
  }

  .clock {
    display: inline-flex;
    align-items: center;
    border-radius: 999px;
    background: var(--ink);
    color: var(--canvas);
    font-size: 0.8125rem;
  }

  .clock button {
    min-width: 1.7rem;
    min-height: 1.5rem;
    border: 0;
    background: none;
    color: inherit;
    cursor: pointer;
  }

  .choose {
    display: flex;
    flex-wrap: wrap;
    gap: 0.5rem 0.9rem;
    align-items: end;
    margin: 0.5rem 0;
    font-size: 0.8125rem;
  }

  .choose :global(.bx--form-item) {
    flex: 0 1 16rem;
  }

  .choose :global(.bx--content-switcher) {
    width: 15rem;
  }

  .pager {
    display: inline-flex;
    gap: 0.4rem;
    align-items: center;
  }

  .trying {
    color: var(--moss);
  }

  .now {
    color: var(--ink-soft);
    font-size: 0.75rem;
  }
</style>
