<script lang="ts">
  import { goto } from '$app/navigation';
  import type { MoneyStatement } from '../../core/money/statement';
  import { fullName } from '../../core/model/gear';
  import { formatMoney, minorPerMajor } from '../../core/money/format';
  import { allowLineDrop, droppedLine, startLineDrag } from '../drag/line-drag';
  import { layStrap, type StrapLength } from './strap-layout';
  import Lazy from '../shell/Lazy.svelte';
  import StrapVerdict from './StrapVerdict.svelte';

  interface Props {
    money: MoneyStatement;
    onpostpone: (lineId: string) => void;
  }
  const { money, onpostpone }: Props = $props();

  let widthPx = $state(0);
  const layout = $derived(layStrap(money, widthPx || undefined));
  /** A length narrower than this has no room for its name and price. */
  const LEAST_NAMED_PX = 52;
  const short = (minor: number) => formatMoney(minor, money.currency, { short: true });
  /** In whole units: what is written small beneath is for the eye. */
  const bare = (minor: number) => {
    const perMajor = minorPerMajor(money.currency);
    return short(Math.round(minor / perMajor) * perMajor).replace(/[^\d.,\s-]/g, '');
  };

  let hovered = $state<string | undefined>(undefined);
  let walked = $state<string | undefined>(undefined);
  let focused = $state(false);
  let dragging = $state(false);
  const walkedAt = $derived(
    Math.max(
      0,
      layout.lengths.findIndex((length) => length.statement.line.id === walked)
    )
  );
  const shown = $derived.by(() => {
    if (hovered !== undefined)
      return layout.lengths.find((length) => length.statement.line.id === hovered);
    return focused ? layout.lengths[walkedAt] : undefined;
  });

  function nameOf(length: StrapLength): string {
    const { gear, line } = length.statement;
    return `${gear ? fullName(gear) : line.gearId}${line.quantity > 1 ? ` × ${line.quantity}` : ''}`;
  }

  function open(length: StrapLength) {
    void goto(`/satchel/${length.statement.pocket}`);
  }

  function onkeydown(event: KeyboardEvent) {
    const last = layout.lengths.length - 1;
    const to = { ArrowRight: walkedAt + 1, ArrowLeft: walkedAt - 1, Home: 0, End: last }[event.key];
    const here = layout.lengths[walkedAt];
    if (to !== undefined)
      walked = layout.lengths[Math.min(last, Math.max(0, to))]?.statement.line.id;
    else if (event.key === 'Enter' && here) open(here);
    else if ((event.key === 'Delete' || event.key.toLowerCase() === 'l') && here)
      onpostpone(here.statement.line.id);
    else if (event.key === 'Escape') focused = false;
    else return;
    event.preventDefault();
  }
</script>

<section class="strap" aria-label="The strap: what the kit costs against the budget">
  <div class="band" role="presentation" onmouseleave={() => (hovered = undefined)}>
    {#if money.reserveMinor > 0}
      <div
        class="reserve"
        style:left="{layout.spendablePercent}%"
        style:width="{layout.limitPercent - layout.spendablePercent}%"
        aria-hidden="true"
      ></div>
    {/if}
    <div
      role="listbox"
      bind:clientWidth={widthPx}
      aria-label="Chosen lines in order"
      aria-orientation="horizontal"
      tabindex="0"
      class="lengths"
      aria-activedescendant={focused && layout.lengths[walkedAt]
        ? `length-${layout.lengths[walkedAt].statement.line.id}`
        : undefined}
      onfocus={() => (focused = true)}
      onblur={() => (focused = false)}
      {onkeydown}
    >
      {#each layout.lengths as length (length.statement.line.id)}
        {@const { statement } = length}
        <!-- svelte-ignore a11y_click_events_have_key_events -->
        <div
          role="option"
          id="length-{statement.line.id}"
          tabindex="-1"
          aria-selected={focused && length === layout.lengths[walkedAt]}
          aria-label="{nameOf(length)}, {statement.pocket}, {short(
            statement.firmMinor
          )}, together {short(
            statement.runningMinor
          )}. Enter opens its pocket, L moves it to later."
          class="length"
          class:over={length.over}
          class:shown={shown === length}
          data-pocket={statement.pocket}
          style:left="{length.fromPercent}%"
          style:width="{length.widthPercent}%"
          style:background="var(--pocket-{statement.pocket})"
          draggable="true"
          ondragstart={(event) => {
            startLineDrag(event, statement.line.id);
            hovered = undefined;
            dragging = true;
          }}
          ondragend={() => (dragging = false)}
          onmouseenter={() => (hovered = statement.line.id)}
          onclick={() => open(length)}
        >
          <span class="face">
            {#if (length.widthPercent * (widthPx || 950)) / 100 > LEAST_NAMED_PX}
              <span class="name">{statement.gear?.model ?? statement.line.gearId}</span>
              <span class="price figures">{short(statement.firmMinor)}</span>
            {/if}
          </span>
        </div>
      {/each}
    </div>
    {#each layout.lengths.filter((length) => length.tick) as length (length.statement.line.id)}
      <span
        class="tick figures"
        aria-hidden="true"
        style:left="{length.fromPercent + length.widthPercent}%"
        >{bare(length.statement.runningMinor)}</span
      >
    {/each}
    {#if shown}
      {@const length = shown}
      <Lazy load={() => import('./StrapSlip.svelte')}
        >{#snippet children(StrapSlip)}<StrapSlip
            {length}
            name={nameOf(length)}
            currency={money.currency}
            {onpostpone}
          />{/snippet}</Lazy
      >
    {/if}
    {#if dragging}
      <div
        class="later"
        role="presentation"
        ondragenter={(event) => void allowLineDrop(event)}
        ondragover={(event) => void allowLineDrop(event)}
        ondrop={(event) => {
          const lineId = droppedLine(event);
          dragging = false;
          if (lineId !== undefined) onpostpone(lineId);
        }}
      >
        drop it here to move it to later
      </div>
    {/if}
    <div
      class="buckle"
      class:over={money.remainingMinor < 0}
      style:left="{layout.limitPercent}%"
      aria-hidden="true"
    ></div>
    <span
      class="limit-word figures"
      class:inward={layout.limitPercent > 90}
      style:left="{layout.limitPercent}%"
      aria-hidden="true"
    >
      limit {bare(money.limitMinor)}{money.reserveMinor > 0
        ? ` · set aside ${bare(money.reserveMinor)}`
        : ''}
    </span>
  </div>
  <StrapVerdict {money} />
</section>

<style>
  .strap {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 1.75rem;
    align-items: start;
    padding: 0.85rem 1.1rem 0.35rem;
  }

  .band {
    position: relative;
    height: 4.4rem;
  }

  .band::before {
    content: '';
    position: absolute;
    inset: 0 0 auto 0;
    height: 2.4rem;
    border-radius: 7px 999px 999px 7px;
    background: var(--canvas-deep);
    box-shadow: inset 0 0 0 1px var(--line);
  }

  .later {
    position: absolute;
    top: 2.6rem;
    right: 0;
    left: 0;
    z-index: 5;
    padding: 0.3rem;
    border: 1.6px dashed var(--moss);
    border-radius: 10px;
    background: var(--linen);
    color: var(--moss);
    font-size: 0.8125rem;
    text-align: center;
  }

  .lengths {
    position: absolute;
    inset: 0 0 auto;
    height: 2.4rem;
    border-radius: 6px;
  }

  .length {
    position: absolute;
    top: 0;
    cursor: pointer;
    height: 2.4rem;
    border-radius: 4px;
    box-shadow: inset 0 0 0 0.5px rgb(255 255 255 / 45%);
    transition:
      left 120ms,
      width 120ms;
  }

  .length.shown {
    z-index: 5;
    box-shadow:
      0 0 0 2.5px var(--linen),
      0 0 0 4.5px var(--ink);
  }

  .face {
    position: relative;
    display: flex;
    flex-direction: column;
    justify-content: center;
    width: 100%;
    height: 100%;
    padding: 0 0.45rem;
    overflow: hidden;
    border-radius: 4px;
    color: var(--on-pocket);
    font-size: 0.6875rem;
    line-height: 1.2;
    text-align: left;
    white-space: nowrap;
  }

  .face::before,
  .face::after {
    content: '';
    position: absolute;
    right: 1px;
    left: 1px;
    border-top: 1.5px dashed rgb(255 250 235 / 55%);
  }

  .face::before {
    top: 3px;
  }

  .face::after {
    bottom: 3px;
  }

  .length[data-pocket='light'] .face {
    color: var(--on-pocket-light);
  }

  .length.over {
    background: repeating-linear-gradient(
      -55deg,
      var(--brick) 0 7px,
      color-mix(in srgb, var(--brick) 80%, black) 7px 9px
    ) !important;
  }

  .length.over .face {
    color: var(--linen);
  }

  .name {
    overflow: hidden;
    text-overflow: ellipsis;
  }

  .tick {
    position: absolute;
    top: 2.4rem;
    padding-top: 0.3rem;
    transform: translateX(-50%);
    color: var(--ink-soft);
    font-size: 0.6875rem;
  }

  .tick::before {
    content: '';
    position: absolute;
    top: 0;
    left: 50%;
    height: 0.3rem;
    border-left: 1px solid var(--ink-soft);
  }

  .reserve {
    position: absolute;
    top: 0;
    height: 2.4rem;
    background: repeating-linear-gradient(-60deg, var(--tan) 0 6px, var(--tan-line) 6px 9px);
    pointer-events: none;
  }

  .buckle {
    position: absolute;
    top: -0.4rem;
    width: 1.7rem;
    height: 3.15rem;
    transform: translateX(-50%);
    border: 4px solid var(--ochre);
    border-radius: 8px;
    box-shadow: 0 2px 4px var(--shade);
    pointer-events: none;
  }

  .buckle::after {
    content: '';
    position: absolute;
    top: 50%;
    left: -3px;
    width: 0.95rem;
    border-top: 4px solid var(--ochre);
    transform: translateY(-50%);
  }

  .buckle.over {
    border-color: var(--brick);
  }

  .buckle.over::after {
    border-color: var(--brick);
  }

  .limit-word {
    position: absolute;
    top: 3.45rem;
    transform: translateX(-50%);
    color: var(--ink-soft);
    font-size: 0.6875rem;
    white-space: nowrap;
  }

  .limit-word.inward {
    transform: translateX(-88%);
  }

  @media (max-width: 700px) {
    .strap {
      grid-template-columns: 1fr;
      gap: 0.2rem;
      padding: 0.7rem 0.9rem 0.2rem;
    }

    .band {
      height: 2.5rem;
    }

    .band::before,
    .lengths,
    .length,
    .reserve {
      height: 1.6rem;
    }

    .name,
    .price,
    .tick,
    .limit-word {
      display: none;
    }

    .buckle {
      top: -0.3rem;
      height: 2.2rem;
      border-width: 3px;
    }
  }

  @media print {
    .strap {
      display: none;
    }
  }
</style>
