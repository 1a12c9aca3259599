<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import { pocketOf } from '../../core/model/gear';
  import { type Pocket, pockets } from '../../core/model/pocket';
  import type { Plan } from '../../core/model/plan';
  import type { Project } from '../../core/model/project';
  import type { Shelf } from '../../core/model/shelf';
  import { formatMoney } from '../../core/money/format';
  import type { MoneyStatement } from '../../core/money/statement';
  import type { KitMerit } from '../../core/merit/kit-merit';
  import { changesBetween } from '../../core/pack/kit-changes';
  import type { PackedKit } from '../../core/pack/packed-kit';
  import Glyph from '../glyphs/Glyph.svelte';
  import { glyphOf } from '../glyphs/glyph-of';
  import { points } from './kit-words';

  /** A kit beside the plan, pocket by pocket: what is new in, what stays, what goes. */
  interface Props {
    project: Project;
    plan: Plan;
    planMerit: KitMerit;
    shelf: Shelf;
    kit: PackedKit;
    /** What the kit costs, line by line. */
    money: MoneyStatement;
    isLocked: (pocket: Pocket) => boolean;
    onpack: () => void;
  }
  const { project, plan, planMerit, shelf, kit, money, isLocked, onpack }: Props = $props();

  const changes = $derived(changesBetween(plan.lines, kit.lines, shelf));
  const differs = $derived(changes.comesIn.length + changes.goesOut.length > 0);
  const partsIn = (pocket: Pocket) =>
    kit.lines.flatMap((line) => {
      const gear = shelf.byId.get(line.gearId);
      return gear && pocketOf(gear) === pocket && line.state !== 'returned' && line.step !== 'later'
        ? [{ line, gear }]
        : [];
    });
  const within = (
    list: { gear: { kind: unknown } & Parameters<typeof pocketOf>[0] }[],
    pocket: Pocket
  ) => list.filter(({ gear }) => pocketOf(gear) === pocket);
  function standing(pocket: Pocket): { words: string; kind: string } {
    if (isLocked(pocket)) return { words: 'locked', kind: 'locked' };
    const comes = within(changes.comesIn, pocket).length;
    const goes = within(changes.goesOut, pocket).length;
    const stays = changes.stays.filter((gear) => pocketOf(gear) === pocket).length;
    const words = [
      stays > 0 ? `${stays} ${stays === 1 ? 'stays' : 'stay'}` : '',
      comes > 0 ? `${comes} new in` : '',
      goes > 0 ? `${goes} out` : ''
    ].filter(Boolean);
    if (words.length === 0) return { words: 'empty', kind: 'stays' };
    return { words: words.join(', '), kind: comes > 0 ? 'new' : goes > 0 ? 'out' : 'stays' };
  }
  const usually = ({ meritHundredths, onceSettledHundredths }: KitMerit) =>
    meritHundredths || onceSettledHundredths;
</script>

<div class="kit">
  <header>
    <h3>This kit against {plan.name}</h3>
    <span class="figures"
      >worth {points(planMerit.onceSettledHundredths)}{planMerit.stops > 0 ? ' once unblocked' : ''} →
      <b>{points(usually(kit.merit))}</b>: {project.scenes
        .map(
          ({ name }, index) =>
            `${name} ${planMerit.scenes[index]?.works ? '' : '(blocked) '}${Math.round(planMerit.scenes[index]?.low ?? 0)} → ${Math.round(kit.merit.scenes[index]?.low ?? 0)}${kit.merit.scenes[index]?.works ? '' : ' (blocked)'}`
        )
        .join(', ')}</span
    >
    <Button size="small" disabled={!differs} on:click={onpack}
      >{differs ? 'Pack it' : 'It is the plan'}</Button
    >
  </header>
  <ul>
    {#each pockets as pocket (pocket)}
      {@const parts = partsIn(pocket)}
      {@const { words, kind } = standing(pocket)}
      <li style:--colour="var(--pocket-{pocket})">
        <div class="top">
          <b>{pocket}</b>
          <span class="figures"
            >{formatMoney(money.pockets[pocket].firmMinor, money.currency, { short: true })}</span
          >
        </div>
        <div class="glyphs" aria-hidden="true">
          {#each parts.slice(0, 4) as { gear, line } (line.id)}<Glyph
              name={glyphOf(gear)}
              size={26}
            />{/each}
        </div>
        <p>
          {parts.length === 0
            ? 'nothing'
            : parts
                .map(
                  ({ gear, line }) =>
                    `${line.quantity > 1 ? `${line.quantity} × ` : ''}${gear.model}${line.basis === 'used' ? ', used' : ''}`
                )
                .join(' · ')}
        </p>
        <span class="mark {kind}">{words}</span>
      </li>
    {/each}
  </ul>
</div>

<style>
  header {
    display: flex;
    flex-wrap: wrap;
    gap: 0.3rem 1rem;
    align-items: center;
    padding: 0.5rem 0.3rem;
  }

  header span {
    flex: 1;
    min-width: 12rem;
    font-size: 0.8125rem;
  }

  h3 {
    color: var(--hide-ink);
    font-size: 1rem;
  }

  ul {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(11.5rem, 1fr));
    gap: 0.5rem;
    margin: 0;
    padding: 0;
    list-style: none;
  }

  li {
    display: grid;
    grid-template-rows: auto auto 1fr auto;
    gap: 0.3rem;
    min-width: 0;
    padding: 0.45rem 0.55rem 0.5rem;
    border-top: 4px solid var(--colour);
    border-radius: 10px;
    background: var(--linen);
    color: var(--ink);
    overflow-wrap: anywhere;
  }

  .top {
    display: flex;
    justify-content: space-between;
  }

  .top b {
    font-family: var(--display);
  }

  .top b::first-letter {
    text-transform: uppercase;
  }

  .glyphs {
    display: flex;
    gap: 0.2rem;
    min-height: 26px;
  }

  p {
    font-size: 0.75rem;
  }

  .mark {
    padding: 0.15rem 0.5rem;
    border-radius: 6px;
    background: var(--tan);
    color: var(--ink);
    font-size: 0.75rem;
    font-weight: 600;
  }

  .mark.new {
    background: var(--moss);
    color: var(--on-moss);
  }

  .mark.locked {
    background: var(--hide);
    color: var(--hide-ink);
  }

  .mark.out {
    background: var(--ochre-wash);
  }
</style>
