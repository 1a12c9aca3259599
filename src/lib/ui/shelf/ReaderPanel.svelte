<script lang="ts">
  import { formatMoney } from '../../core/money/format';
  import { Checkbox, TextArea } from 'carbon-components-svelte';
  import type { GearKind } from '../../core/model/gear';
  import { wholeSheet } from '../../core/model/gear/spec-sheet';
  import {
    type Proposal,
    readSpecification,
    SPECIFICATION_MOST_CHARACTERS
  } from '../../core/reading/specification';

  /** Pasted specification text: the words each figure was read from, and a yes or no for each. */
  interface Props {
    /** What a sign of several currencies is taken for. */
    currency: string;
    kind: GearKind;
    onkind: (kind: GearKind) => void;
    onaccept: (proposals: Proposal[]) => void;
  }
  const { currency, kind, onkind, onaccept }: Props = $props();
  let text = $state('');
  let refused = $state.raw<ReadonlySet<number>>(new Set());
  const guessed = $derived(text.trim() ? readSpecification(text).kind : undefined);
  const proposals = $derived(text.trim() ? readSpecification(text, kind, currency).proposals : []);

  /** The text cut at the words that were read, each piece knowing its proposals. */
  const pieces = $derived.by(() => {
    const cuts: { text: string; numbers: number[] }[] = [];
    let place = 0;
    proposals.forEach((proposal, number) => {
      const last = cuts.at(-1);
      if (last && last.numbers.length > 0 && proposal.from < place) {
        last.numbers.push(number);
        return;
      }
      if (proposal.from > place) cuts.push({ text: text.slice(place, proposal.from), numbers: [] });
      cuts.push({ text: text.slice(proposal.from, proposal.to), numbers: [number] });
      place = proposal.to;
    });
    cuts.push({ text: text.slice(place), numbers: [] });
    return cuts;
  });

  function valueWords(proposal: Proposal): string {
    const { key, value } = proposal;
    if (key === 'priceNew') {
      const { likely, currency } = value as { likely: number; currency: string };
      return `${formatMoney(likely, currency)} (${currency})`;
    }
    if (key === 'sizeMm') {
      const { width, height, depth } = value as { width: number; height: number; depth: number };
      return `${width} × ${height} × ${depth} mm`;
    }
    if (key === 'modes') {
      const mode = value as {
        pixelsAcross: number;
        pixelsDown: number;
        fps: number;
        bitRateMbps: number;
      };
      return `${mode.pixelsAcross}×${mode.pixelsDown}, ${mode.fps} frames, ${mode.bitRateMbps} Mb/s`;
    }
    if (typeof value === 'boolean') return value ? 'yes' : 'no';
    const ask = wholeSheet(kind).find((field) => field.key === key)?.ask;
    const unit = ask?.type === 'number' && ask.unit !== 'count' ? ask.unit : '';
    return unit === 'f/' || unit === 'T'
      ? `${unit}${String(value as number)}`
      : `${String(value as number)} ${unit}`.trim();
  }

  function toggle(number: number) {
    refused = refused.has(number)
      ? new Set([...refused].filter((other) => other !== number))
      : new Set([...refused, number]);
  }

  function accept() {
    onaccept(proposals.filter((_, number) => !refused.has(number)));
    text = '';
    refused = new Set();
  }
</script>

<section class="reader card" aria-label="Read what it says">
  <h2>Read what it says</h2>
  <p class="soft">
    Paste the text of a specification. Figures are recognised where they stand; you say which to
    take.
  </p>
  <TextArea
    rows={4}
    hideLabel
    labelText="Specification text"
    bind:value={text}
    placeholder="Weight: 431 g&#10;Battery: 7.2 V 2600 mAh …"
    on:input={() => (refused = new Set())}
  />
  {#if text.length > SPECIFICATION_MOST_CHARACTERS}
    <p class="soft">
      Only the first {SPECIFICATION_MOST_CHARACTERS} characters are read; paste the part with the figures.
    </p>
  {/if}
  {#if guessed && guessed !== kind}
    <p>
      It reads like a {guessed}.
      <button class="word" onclick={() => onkind(guessed)}>Make it one</button>
    </p>
  {/if}
  {#if text.trim()}
    <p class="shown" aria-hidden="true">
      {#each pieces as piece, index (index)}{#if piece.numbers.length > 0}<mark
            class:no={piece.numbers.every((number) => refused.has(number))}
            >{piece.text}<sup>{piece.numbers.map((number) => number + 1).join(' ')}</sup></mark
          >{:else}{piece.text}{/if}{/each}
    </p>
    {#if proposals.length === 0}
      <p class="soft">No figure is recognised for this kind.</p>
    {:else}
      <ul>
        {#each proposals as proposal, number (number)}
          <li>
            <Checkbox
              checked={!refused.has(number)}
              on:check={({ detail }) => {
                if (detail === refused.has(number)) toggle(number);
              }}
            >
              <svelte:fragment slot="labelChildren">
                <span class:no={refused.has(number)}>
                  <sup>{number + 1}</sup>
                  {proposal.name}: <b class="figures">{valueWords(proposal)}</b>
                  <span class="soft">from “{text.slice(proposal.from, proposal.to).trim()}”</span>
                </span>
              </svelte:fragment>
            </Checkbox>
          </li>
        {/each}
      </ul>
      <button class="take" onclick={accept}>Take {proposals.length - refused.size} figures</button>
    {/if}
  {/if}
</section>

<style>
  .reader {
    display: grid;
    gap: 0.5rem;
    padding: 0.9rem 1rem;
  }

  .soft {
    font-size: 0.8125rem;
  }

  .shown {
    max-height: 12rem;
    overflow: auto;
    padding: 0.5rem 0.7rem;
    border-radius: 8px;
    background: var(--canvas);
    white-space: pre-wrap;
    overflow-wrap: anywhere;
  }

  mark {
    padding: 0 0.15rem;
    border-bottom: 2.5px solid var(--moss);
    background: var(--moss-wash);
    color: inherit;
  }

  mark.no {
    border-bottom-style: dotted;
    background: transparent;
    text-decoration: line-through;
  }

  .take,
  .word {
    justify-self: start;
    padding: 0.28rem 0.9rem;
    border: 0;
    border-radius: 999px;
    background: var(--moss);
    color: var(--on-moss);
    font-weight: 600;
    cursor: pointer;
  }
</style>
