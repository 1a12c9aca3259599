<script lang="ts">
  import { massWords, minutesWords } from '../../core/figures/figure-words';
  import { figureOf } from '../../core/figures/record';
  import type { AngleJudgement } from '../../core/judge/incremental';
  import type { Judgement } from '../../core/judge/judgement';
  import { schools } from '../../core/merit/schools';
  import type { Pocket } from '../../core/model/pocket';
  import type { Project } from '../../core/model/project';
  import BodyChecks from './BodyChecks.svelte';
  import LeatherBag from './LeatherBag.svelte';
  import { pocketSummaries } from './pocket-summary';
  import PocketPanel from './PocketPanel.svelte';
  import Lazy from '../shell/Lazy.svelte';

  interface Props {
    project: Project;
    judgement: Judgement;
    angle: AngleJudgement | undefined;
  }
  const { project, judgement, angle }: Props = $props();

  const order = $derived(schools[project.school].pocketOrder);
  const large: readonly Pocket[] = ['sound', 'light', 'body', 'lens'];
  /** Pockets with a picture stand large, the others small, each in the school's order. */
  const arranged = $derived([
    ...order.filter((pocket) => large.includes(pocket)),
    ...order.filter((pocket) => !large.includes(pocket))
  ]);
  /** What is carried in a day beside its limit, where one is set. */
  function carriedWords(carriedKg: number | undefined): string {
    const { carriedLimitKg, units } = project;
    if (carriedLimitKg === undefined) return '';
    const limit = massWords(carriedLimitKg, units);
    return carriedKg === undefined
      ? `carried weight unknown, limit ${limit}`
      : `${massWords(carriedKg, units)} carried of ${limit}`;
  }
  /** The first angles of the other scenes, as many as a pocket has lines for. */
  const MOST_OTHERS = 3;
  const others = $derived(
    judgement.angles
      .filter(({ scene, rig }) => rig.index === 0 && scene.id !== angle?.scene.id)
      .slice(0, MOST_OTHERS)
  );
  const facts = $derived.by(() => {
    if (!angle) return '';
    const mass = figureOf(angle.record, 'rigMass');
    const setUp = figureOf(angle.record, 'setUp');
    const switches = figureOf(angle.record, 'switches');
    return [
      mass === undefined ? 'weight unknown' : massWords(mass, project.units),
      carriedWords(figureOf(angle.record, 'carriedMass')),
      switches === undefined
        ? ''
        : `${switches} ${switches === 1 ? 'switch' : 'switches'} to remember`,
      setUp === undefined ? '' : `about ${minutesWords(Math.round(setUp))} to the first take`
    ]
      .filter(Boolean)
      .join(' · ');
  });
</script>

<LeatherBag
  label="The satchel"
  heading="Packed for {angle ? angle.scene.name : 'nothing yet'}"
  {facts}
  link={{ href: '/satchel/pack', words: 'Pack for me →' }}
>
  <div class="pockets">
    {#each arranged as pocket (pocket)}
      {@const money = judgement.money.pockets[pocket]}
      {#snippet picture()}
        {#if angle}
          {#if pocket === 'sound'}<Lazy load={() => import('./LevelBars.svelte')}
              >{#snippet children(LevelBars)}<LevelBars record={angle.record} />{/snippet}</Lazy
            >
          {:else if pocket === 'light'}
            {#if angle.rig.keyLamp}<Lazy load={() => import('./LightFalloff.svelte')}
                >{#snippet children(LightFalloff)}<LightFalloff
                    {angle}
                    units={project.units}
                  />{/snippet}</Lazy
              >{:else}<Lazy load={() => import('./DensityScale.svelte')}
                >{#snippet children(DensityScale)}<DensityScale
                    record={angle.record}
                  />{/snippet}</Lazy
              >{/if}
          {:else if pocket === 'body'}<BodyChecks {angle} />
          {:else if pocket === 'lens'}<Lazy load={() => import('./FramingThumb.svelte')}
              >{#snippet children(FramingThumb)}<FramingThumb {angle} />{/snippet}</Lazy
            >{/if}
        {/if}
      {/snippet}
      <PocketPanel
        {pocket}
        lines={judgement.money.lines.filter((line) => line.pocket === pocket)}
        firmMinor={money.firmMinor}
        limitMinor={money.limitMinor}
        currency={judgement.money.currency}
        summary={angle
          ? pocketSummaries[pocket](angle, judgement)
          : { left: '', right: '', filled: undefined, short: false }}
        large={large.includes(pocket)}
        elsewhere={others.map((other) => ({
          scene: other.scene.name,
          summary: pocketSummaries[pocket](other, judgement)
        }))}
        {picture}
      />
    {/each}
  </div>
</LeatherBag>

<style>
  .pockets {
    position: relative;
    display: grid;
    grid-template-columns: repeat(4, minmax(0, 1fr));
    gap: 0.7rem;
  }

  .pockets > :global(.large) {
    grid-column: span 2;
  }

  /* Beside the findings a quarter of the bag is too narrow for a pocket's name and price. */
  @media (min-width: 701px) and (max-width: 980px) {
    .pockets > :global(*) {
      grid-column: span 2;
    }
  }

  @media (max-width: 700px) {
    .pockets > :global(*) {
      grid-column: 1 / -1 !important;
    }
  }
</style>
