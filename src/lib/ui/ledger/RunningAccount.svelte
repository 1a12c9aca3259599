<script lang="ts">
  import { scaleLinear } from 'd3-scale';
  import { conversionWords } from '../../core/money/priced-shelf';
  import { formatMoney } from '../../core/money/format';
  import type { OwnedPiece } from '../../core/model/owned-piece';
  import { fullName } from '../../core/model/gear';
  import {
    isPaid,
    type MoneyStatement,
    plannedMinor,
    type StatementLine
  } from '../../core/money/statement';
  import Glyph from '../glyphs/Glyph.svelte';
  import { glyphOf } from '../glyphs/glyph-of';
  import { dayWords } from '../shell/day-words';

  /** Every line in buying order, planned against paid, and what is left after it as a staircase of money. */
  interface Props {
    money: MoneyStatement;
    /** What is written down of owned things, to say which of them are away. */
    pieces: readonly OwnedPiece[];
    itemLimitMinor: number | undefined;
    onopen: (lineId: string) => void;
  }
  const { money, pieces, itemLimitMinor, onopen }: Props = $props();

  const say = (minor: number) => formatMoney(minor, money.currency);
  const counted = $derived(
    money.lines.filter(({ line }) => line.state !== 'owned' && line.step !== 'later')
  );
  const owned = $derived(money.lines.filter(({ line }) => line.state === 'owned'));
  const later = $derived(money.lines.filter(({ line }) => line.step === 'later'));
  const WIDE = 260;
  const ROW = 44;
  const x = $derived.by(() => {
    const least = Math.min(
      -money.reserveMinor,
      ...counted.map(({ remainingMinor, range }) => remainingMinor - (range.high - range.likely))
    );
    return scaleLinear([least * 1.08 - 1, Math.max(1, money.spendableMinor)], [2, WIDE - 2]);
  });
  /** Low and high of a remainder: the spread of all lines so far that are not paid. */
  const spreads = $derived.by(() => {
    let low = 0;
    let high = 0;
    return counted.map(({ firmMinor, range }) => {
      low += firmMinor - range.low;
      high += range.high - firmMinor;
      return { low, high };
    });
  });
  function extras({ line, price }: StatementLine): string {
    const words: string[] = [];
    if (line.quantity > 1) words.push(`${line.quantity} pieces`);
    if (line.discountPercent) words.push(`${line.discountPercent} % off`);
    if (line.shippingMinor) words.push(`shipping ${say(line.shippingMinor)}`);
    if (line.cashBackMinor)
      words.push(
        `${say(line.cashBackMinor)} back${line.cashBackUntil ? ` by ${dayWords(line.cashBackUntil)}` : ''}`
      );
    if (line.state === 'returned')
      words.push(
        `sent back${line.refundMinor === undefined ? '' : `, ${say(line.refundMinor)} refunded`}`
      );
    const converted = price && conversionWords(price);
    if (converted) words.push(converted);
    if (line.taxPercent)
      words.push(`tax ${line.taxPercent} % ${line.taxAdded ? 'added' : 'included'}`);
    return words.join(' · ');
  }
  /** Where an owned thing is when it is not at hand. */
  function whereabouts(gearId: string): string {
    const away = pieces.find((piece) => piece.gearId === gearId && piece.state !== 'here');
    if (!away) return '';
    if (away.state !== 'lent') return ` (${away.state})`;
    return ` (lent${away.lentTo ? ` to ${away.lentTo}` : ''}${away.lentUntil ? ` until ${dayWords(away.lentUntil)}` : ''})`;
  }
</script>

<div class="scroll">
  <ol aria-label="The running account" style:--wide="{WIDE}px">
    <li class="head" aria-hidden="true">
      <span></span><span></span><span></span><span>part, and what comes with it</span>
      <span class="n">planned</span><span class="n">paid</span><span class="n">left after it</span>
      <svg width={WIDE} height="20" viewBox="0 0 {WIDE} 20">
        {#each x.ticks(4) as tick (tick)}<text x={x(tick)} y="14" text-anchor="middle"
            >{formatMoney(tick, money.currency, { short: true })}</text
          >{/each}
      </svg>
    </li>
    {#each counted as statement, index (statement.line.id)}
      {@const name = statement.gear ? fullName(statement.gear) : statement.line.gearId}
      {@const before = statement.remainingMinor + statement.firmMinor}
      {@const paid = isPaid(statement.line) && statement.line.paidMinor !== undefined}
      {@const planned = plannedMinor(statement)}
      {@const spread = spreads[index]!}
      <li
        data-line={statement.line.id}
        style:--colour="var(--pocket-{statement.pocket ?? 'accessories'})"
      >
        <span class="swatch"></span>
        <span class="figures soft">{index + 1}</span>
        <Glyph name={statement.gear ? glyphOf(statement.gear) : 'small item'} size={26} />
        <span class="what">
          <button onclick={() => onopen(statement.line.id)} aria-label="Money of {name}"
            >{name}</button
          >
          <span class="soft">{statement.line.basis} {extras(statement)}</span>
          {#if itemLimitMinor !== undefined && (statement.unitMinor ?? 0) > itemLimitMinor}<span
              class="soft over">over the {say(itemLimitMinor)} for one part</span
            >{/if}
        </span>
        <span class="n figures">{planned > 0 ? say(planned) : 'no price'}</span>
        <span class="n figures">
          {#if paid}
            {say(statement.firmMinor)}
            <span class="soft" class:dearer={statement.firmMinor > planned}
              >{statement.line.paidOn ? dayWords(statement.line.paidOn) : ''}
              {statement.firmMinor > planned
                ? `${say(statement.firmMinor - planned)} dearer`
                : statement.firmMinor < planned
                  ? `${say(planned - statement.firmMinor)} cheaper`
                  : ''}</span
            >
          {:else if statement.line.state === 'returned'}<em>{say(statement.firmMinor)} lost</em>
          {:else}<em>{isPaid(statement.line) ? 'at its price' : 'not yet'}</em>
            <span class="soft">{statement.line.step === 'next' ? 'in next' : ''}</span>{/if}
        </span>
        <b class="n figures" class:over={statement.remainingMinor < 0}
          >{say(Math.abs(statement.remainingMinor))}{#if statement.remainingMinor < 0}<span
              class="soft over">over</span
            >{/if}</b
        >
        <svg
          width={WIDE}
          height={ROW}
          viewBox="0 0 {WIDE} {ROW}"
          preserveAspectRatio="none"
          class="stair"
          role="img"
          aria-label="{say(statement.firmMinor)} of {say(before)}"
        >
          {#if statement.remainingMinor > 0}<rect
              x={x(0)}
              y="0"
              width={x(statement.remainingMinor) - x(0)}
              height={ROW}
              class="cloth"
            />{/if}
          {#if money.reserveMinor > 0}<rect
              x={x(-money.reserveMinor)}
              y="0"
              width={x(0) - x(-money.reserveMinor)}
              height={ROW}
              class="reserve"
            />{/if}
          <rect
            x={x(statement.remainingMinor)}
            y="8"
            width={Math.max(1, x(before) - x(statement.remainingMinor))}
            height={ROW - 16}
            class="bar"
            class:past={statement.remainingMinor < 0}
          />
          <path d="M{x(statement.remainingMinor)} {ROW / 2}V{ROW}" class="step" />
          <path d="M{x(0)} 0V{ROW}" class="budget" />
          <path d="M{x(-money.reserveMinor)} 0V{ROW}" class="limit" />
          {#if spread.low + spread.high > 0}
            <path
              d="M{x(statement.remainingMinor - spread.high)} {ROW / 2 - 4}v8m0 -4H{x(
                statement.remainingMinor + spread.low
              )}m0 -4v8"
              class="whisker"
            />
          {/if}
        </svg>
      </li>
    {/each}
  </ol>
</div>
{#if owned.length > 0}
  <p class="soft">
    Already yours, counting nothing: {owned
      .map(({ gear, line }) => (gear ? fullName(gear) : line.gearId) + whereabouts(line.gearId))
      .join(', ')}.
  </p>
{/if}
{#if later.length > 0}
  <p class="soft">
    Moved to later, {say(money.laterMinor)}: {later
      .map(({ gear, line }) => (gear ? fullName(gear) : line.gearId))
      .join(', ')}.
  </p>
{/if}

<style>
  .scroll {
    overflow-x: auto;
  }

  ol {
    min-width: 46rem;
    margin: 0;
    padding: 0;
    list-style: none;
  }

  li {
    display: grid;
    grid-template-columns: 7px 1.2rem 28px minmax(10rem, 1fr) 4.6rem 6rem 5.4rem var(--wide);
    gap: 0 0.5rem;
    align-items: center;
    min-height: 44px;
    border-bottom: 1px dashed var(--tan-line);
    font-size: 0.8125rem;
  }

  .head {
    min-height: 20px;
    color: var(--ink-soft);
    font-size: 0.75rem;
  }

  .swatch {
    align-self: stretch;
    border-radius: 3px;
    background: repeating-linear-gradient(var(--colour) 0 7px, transparent 7px 9px);
  }

  .what button {
    display: block;
    padding: 0;
    border: 0;
    background: none;
    color: var(--ink);
    font-weight: 600;
    text-align: left;
    cursor: pointer;
  }

  .what button:hover {
    text-decoration: underline;
  }

  .n {
    text-align: right;
  }

  .n .soft {
    display: block;
  }

  em {
    color: var(--ink-soft);
  }

  .over,
  .dearer {
    color: var(--brick);
  }

  .stair {
    align-self: stretch;
    height: 100%;
  }

  .cloth {
    fill: var(--tan);
    opacity: 0.6;
  }

  .reserve {
    fill: var(--tan-line);
    opacity: 0.4;
  }

  .bar {
    fill: var(--colour);
  }

  .bar.past {
    fill: var(--brick);
  }

  .step,
  .budget {
    stroke: var(--ink-soft);
    stroke-dasharray: 3 3;
  }

  .limit {
    stroke: var(--brick);
    stroke-width: 2px;
  }

  .whisker {
    fill: none;
    stroke: var(--ink);
    stroke-width: 1.4px;
  }

  text {
    fill: var(--ink-soft);
    font-size: 11px;
  }

  p {
    padding: 0.4rem 0 0;
  }
</style>
