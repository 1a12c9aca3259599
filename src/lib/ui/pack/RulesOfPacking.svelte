<script lang="ts">
  import { RadioButton, RadioButtonGroup, Select, SelectItem } from 'carbon-components-svelte';
  import { type Pocket, pockets } from '../../core/model/pocket';
  import { type PackRules, usedChoices } from '../../core/pack/pack-rules';

  /** What the packer may change, and where it takes nothing from. */
  interface Props {
    rules: PackRules;
    makers: readonly string[];
    onset: (rules: PackRules) => void;
  }
  const { rules, makers, onset }: Props = $props();

  function toggle(pocket: Pocket) {
    const { lockedPockets } = rules;
    onset({
      ...rules,
      lockedPockets: lockedPockets.includes(pocket)
        ? lockedPockets.filter((other) => other !== pocket)
        : [...lockedPockets, pocket]
    });
  }
</script>

<section class="card" aria-label="What may change">
  <h2>What may change</h2>
  <div class="pockets" role="group" aria-label="Locked pockets">
    {#each pockets as pocket (pocket)}
      <button
        aria-pressed={rules.lockedPockets.includes(pocket)}
        style:--colour="var(--pocket-{pocket})"
        onclick={() => toggle(pocket)}
        >{pocket}<span class="unseen"
          >: {rules.lockedPockets.includes(pocket) ? 'locked' : 'free'}</span
        ></button
      >
    {/each}
  </div>
  <p class="soft">
    A pocket pressed in stays as it is. What is owned, paid or locked in the kit always stays.
  </p>
  <RadioButtonGroup
    orientation="vertical"
    legendText="Bought used"
    selected={rules.used ?? 'by your rules'}
    on:change={({ detail }) => {
      const used = usedChoices.find((choice) => choice === detail);
      if (used !== rules.used) onset({ ...rules, used });
    }}
  >
    <RadioButton labelText="by your rules" value="by your rules" />
    {#each usedChoices as choice (choice)}<RadioButton labelText={choice} value={choice} />{/each}
  </RadioButtonGroup>
  <div class="makers">
    {#each rules.excludedMakers as maker (maker)}
      <button
        class="chip"
        aria-label="Take from {maker} again"
        onclick={() =>
          onset({
            ...rules,
            excludedMakers: rules.excludedMakers.filter((other) => other !== maker)
          })}>{maker} ×</button
      >
    {/each}
    <Select
      size="sm"
      labelText="Nothing from"
      selected=""
      on:update={({ detail }) => {
        if (detail !== '')
          onset({ ...rules, excludedMakers: [...rules.excludedMakers, String(detail)] });
      }}
    >
      <SelectItem value="" text="choose a maker" />
      {#each makers.filter((maker) => !rules.excludedMakers.includes(maker)) as maker (maker)}<SelectItem
          value={maker}
          text={maker}
        />{/each}
    </Select>
  </div>
</section>

<style>
  .card {
    padding: 0.8rem 1rem;
  }

  .pockets {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(6.2rem, 1fr));
    gap: 0.35rem;
    margin: 0.4rem 0;
  }

  .pockets button {
    min-height: 2rem;
    padding: 0 0.5rem;
    border: 1px solid var(--line);
    border-left: 5px solid var(--colour);
    border-radius: 8px;
    background: var(--paper);
    color: var(--ink);
    text-align: left;
    cursor: pointer;
  }

  .pockets button[aria-pressed='true'] {
    background: var(--hide);
    color: var(--hide-ink);
  }

  .soft {
    padding-bottom: 0.5rem;
  }

  .makers {
    display: grid;
    gap: 0.4rem;
    margin-top: 0.6rem;
  }

  .chip {
    justify-self: start;
    min-height: 1.8rem;
    padding: 0 0.7rem;
    border: 1px solid var(--tan-line);
    border-radius: 1rem;
    background: var(--tan);
    color: var(--ink);
    cursor: pointer;
  }
</style>
