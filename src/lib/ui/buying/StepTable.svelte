<script lang="ts">
  import { Checkbox } from 'carbon-components-svelte';
  import { linesByShop } from '../../core/formats/buying-list';
  import { fullName } from '../../core/model/gear';
  import { formatMoney } from '../../core/money/format';
  import { handSumOf } from '../../core/money/hand-sum';
  import { conversionWords } from '../../core/money/priced-shelf';
  import type { MoneyStatement, StatementLine } from '../../core/money/statement';
  import Glyph from '../glyphs/Glyph.svelte';
  import { glyphOf } from '../glyphs/glyph-of';
  import { dayWords } from '../shell/day-words';
  import { byHandWords } from './by-hand-words';

  /** What one step still has to buy, by shop or not, and what is left after each line. */
  interface Props {
    lines: StatementLine[];
    money: MoneyStatement;
    byShop: boolean;
    /** Lines of a later step take nothing from the budget yet. */
    isLater: boolean;
    onbought: (lineId: string) => void;
    onmoney: (lineId: string) => void;
  }
  const { lines, money, byShop, isLater, onbought, onmoney }: Props = $props();

  const handSum = $derived(handSumOf(money));
  const slips = $derived(new Set(handSum?.slips.map(({ statement }) => statement.line.id)));
</script>

<table>
  <thead>
    <tr
      ><th scope="col"><span class="unseen">Bought</span></th><th scope="col">Part</th><th
        scope="col"
        class="n">Pieces</th
      ><th scope="col" class="n">Each</th><th scope="col" class="n">Together</th><th
        scope="col"
        class="n">Left after it</th
      >{#if handSum}<th scope="col" class="n">By hand</th>{/if}<th scope="col">Price seen</th></tr
    >
  </thead>
  {#each byShop ? linesByShop(lines) : [{ shop: '', lines, togetherMinor: 0 }] as group (group.shop)}
    <tbody>
      {#if byShop}<tr class="shop"
          ><th></th><th scope="rowgroup" colspan="3">{group.shop}</th><th class="n figures"
            >{formatMoney(group.togetherMinor, money.currency)}</th
          ></tr
        >{/if}
      {#each group.lines as line (line.line.id)}
        {@const name = line.gear ? fullName(line.gear) : line.line.gearId}
        <tr>
          <td
            ><Checkbox
              hideLabel
              labelText="{name} is bought"
              checked={false}
              on:check={({ detail }) => detail && onbought(line.line.id)}
            /></td
          >
          <td
            ><span class="part"
              ><Glyph name={line.gear ? glyphOf(line.gear) : 'small item'} size={30} /><span
                >{name}{line.line.basis === 'used' ? ', used' : ''}<span class="where"
                  >{line.pocket ?? ''}</span
                ></span
              ></span
            ></td
          >
          <td class="n figures">{line.line.quantity}</td>
          <td class="n figures"
            >{line.unitMinor === undefined
              ? 'no price'
              : formatMoney(line.unitMinor, money.currency)}</td
          >
          <td class="n figures"
            ><button
              class="text-button"
              aria-label="Money of {name}"
              title="Shipping, discount, cash-back, a sum by hand"
              onclick={() => onmoney(line.line.id)}
              >{formatMoney(isLater ? line.laterMinor : line.firmMinor, money.currency)}</button
            ></td
          >
          <td class="n figures" class:over={line.remainingMinor < 0}
            >{isLater ? '' : formatMoney(line.remainingMinor, money.currency)}</td
          >
          {#if handSum}
            {@const claimed = line.line.handRemainingMinor}
            <td class="n figures hand" class:over={slips.has(line.line.id)}
              >{#if claimed !== undefined}{byHandWords(claimed, money.currency)}
                {slips.has(line.line.id) ? '✗' : '✓'}<span class="unseen"
                  >{slips.has(line.line.id) ? ', goes wrong here' : ', right by itself'}</span
                >{/if}</td
            >
          {/if}
          <td class="soft seen"
            >{line.price
              ? `${dayWords(line.price.date)}, ${line.price.source}${conversionWords(line.price) ? `; ${conversionWords(line.price)}` : ''}`
              : ''}</td
          >
        </tr>
      {/each}
    </tbody>
  {/each}
</table>

<style>
  .where {
    display: block;
    color: var(--ink-soft);
    font-size: 0.75rem;
  }

  .soft {
    font-size: 0.8125rem;
  }

  table {
    width: 100%;
    border-collapse: collapse;
  }

  th {
    padding: 0.2rem 0.5rem;
    border-bottom: 1.5px solid var(--tan-line);
    color: var(--ink-soft);
    font-size: 0.75rem;
    font-weight: 600;
    text-align: left;
  }

  td {
    padding: 0.3rem 0.5rem;
    border-bottom: 1px dashed var(--line);
  }

  .n {
    text-align: right;
    white-space: nowrap;
  }

  .part :global(svg) {
    flex: none;
  }

  .part {
    display: flex;
    gap: 0.6rem;
    align-items: center;
  }

  .over {
    color: var(--brick);
  }

  .shop th {
    padding-top: 0.7rem;
    font-family: var(--display);
    font-weight: 600;
    text-align: left;
  }

  .shop th.n {
    text-align: right;
  }

  @media (max-width: 760px) {
    thead {
      display: none;
    }

    tr {
      display: grid;
      grid-template-columns: 1.8rem 1fr auto;
      border-bottom: 1px dashed var(--line);
    }

    td {
      border: 0;
    }

    td:nth-child(3),
    td:nth-child(4),
    td:nth-child(6),
    .seen {
      display: none;
    }

    .hand {
      grid-column: 2 / -1;
    }

    .hand:not(:empty)::before {
      content: 'by hand ';
      color: var(--ink-soft);
    }
  }
</style>
