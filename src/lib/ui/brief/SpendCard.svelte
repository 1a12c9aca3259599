<script lang="ts">
  import { NumberInput } from 'carbon-components-svelte';
  import type { Act } from '../../core/acts/act';
  import type { Judgement } from '../../core/judge/judgement';
  import { schools } from '../../core/merit/schools';
  import { pockets } from '../../core/model/pocket';
  import type { Project } from '../../core/model/project';
  import { formatMoney, minorPerMajor } from '../../core/money/format';
  import { minor, splitByWeights } from '../../core/money/minor';
  import type { Shelf } from '../../core/model/shelf';
  import CurrencyFields from './CurrencyFields.svelte';
  import ShareBar from './ShareBar.svelte';

  interface Props {
    project: Project;
    judgement: Judgement;
    shelf: Shelf;
    onact: (act: Act) => void;
  }
  const { project, judgement, shelf, onact }: Props = $props();
  const perMajor = $derived(minorPerMajor(project.currency));
  const school = $derived(schools[project.school]);
  const order = $derived(school.pocketOrder);
  const shares = $derived(
    splitByWeights(
      minor(Math.max(0, judgement.money.spendableMinor)),
      order.map((pocket) => school.split[pocket])
    )
  );
  const whole = $derived(Math.max(1, judgement.money.spendableMinor, judgement.money.firmMinor));
  const symbol = $derived(
    formatMoney(0, project.currency, { short: true }).replace(/[\d.,\s]/g, '')
  );
  const MOST = 1_000_000;
  let limitsOpen = $state(false);
  /** Limits of all pockets in order; undefined while a pocket has none. */
  const everyLimit = $derived.by(() => {
    const limits = order.map((pocket) => project.pocketLimitsMinor?.[pocket]);
    return limits.every((limit) => limit !== undefined) ? (limits as number[]) : undefined;
  });
  function shareOut() {
    onact({
      type: 'batch',
      acts: order.map((pocket, index) => ({
        type: 'set pocket limit',
        pocket,
        limitMinor: shares[index]!
      }))
    });
  }

  function setMoney(key: 'limitMinor' | 'reserveMinor', value: number | null | undefined) {
    if (value === null || value === undefined || !(value >= 0) || value > MOST) return;
    const amount = Math.round(value * perMajor);
    if (amount !== project[key]) onact({ type: 'set project', patch: { [key]: amount } });
  }
</script>

<div class="card spend">
  <div class="inputs">
    <NumberInput
      size="sm"
      labelText="Limit, {symbol}"
      value={project.limitMinor / perMajor}
      min={0}
      max={MOST}
      step={1}
      hideSteppers
      invalidText="From 0 to 1,000,000."
      on:change={(event) => setMoney('limitMinor', event.detail)}
    />
    <NumberInput
      size="sm"
      labelText="Set aside, {symbol}"
      value={project.reserveMinor / perMajor}
      min={0}
      max={MOST}
      step={1}
      hideSteppers
      invalidText="From 0 to 1,000,000."
      on:change={(event) => setMoney('reserveMinor', event.detail)}
    />
  </div>
  <CurrencyFields {project} {shelf} {onact} />
  <p class="may figures">
    <b>{formatMoney(judgement.money.spendableMinor, project.currency)}</b> budget
  </p>
  <div
    class="bars"
    role="img"
    aria-label="Spent by pocket against how {school.name} would share it: {order
      .map(
        (pocket, index) =>
          `${pocket} ${formatMoney(judgement.money.pockets[pocket].firmMinor, project.currency, { short: true })} of ${formatMoney(shares[index]!, project.currency, { short: true })}`
      )
      .join(', ')}"
  >
    <div class="ghost">
      {#each order as pocket, index (pocket)}<span
          style:flex-grow={shares[index]! + 1}
          style:--colour="var(--pocket-{pocket})">{shares[index]! / whole > 0.1 ? pocket : ''}</span
        >{/each}
    </div>
    <div class="spent">
      {#each order as pocket (pocket)}
        {@const { firmMinor } = judgement.money.pockets[pocket]}
        {#if firmMinor > 0}<span
            style:width="{(100 * firmMinor) / whole}%"
            style:--colour="var(--pocket-{pocket})"
            data-pocket={pocket}>{firmMinor / whole > 0.1 ? pocket : ''}</span
          >{/if}
      {/each}
    </div>
  </div>
  <p class="soft">
    Dashed above: how <i>{school.name.toLowerCase()}</i> would share it. Stitched below: what is in the
    kit.
  </p>
  <button
    class="text-button fold"
    aria-expanded={limitsOpen}
    onclick={() => (limitsOpen = !limitsOpen)}
    >{limitsOpen ? 'Fold the pocket limits away' : 'Limit single pockets'}</button
  >
  {#if limitsOpen}
    {#if everyLimit}
      <ShareBar
        {order}
        limits={everyLimit}
        currency={project.currency}
        onset={(changes) =>
          onact({
            type: 'batch',
            acts: changes.map(({ pocket, limitMinor }) => ({
              type: 'set pocket limit',
              pocket,
              limitMinor
            }))
          })}
      />
      <p class="soft">
        Drag a seam, or move it with the arrow keys; what one pocket gives, the next takes.
      </p>
    {:else}
      <button class="text-button fold" onclick={() => shareOut()}
        >Share it out as {school.name.toLowerCase()} would, then drag the seams</button
      >
    {/if}
    <div class="limits">
      {#each pockets as pocket (pocket)}
        {@const limit = project.pocketLimitsMinor?.[pocket]}
        <NumberInput
          size="sm"
          allowEmpty
          labelText="{pocket}, {symbol}"
          value={limit === undefined ? null : limit / perMajor}
          min={0}
          max={MOST}
          hideSteppers
          invalidText="From 0 to 1,000,000, or empty."
          on:change={(event) => {
            const value = event.detail;
            if (value === null) {
              if (limit !== undefined)
                onact({ type: 'set pocket limit', pocket, limitMinor: undefined });
            } else if (value >= 0 && value <= MOST && Math.round(value * perMajor) !== limit) {
              onact({ type: 'set pocket limit', pocket, limitMinor: Math.round(value * perMajor) });
            }
          }}
        />
      {/each}
    </div>
    <p class="soft">Empty: no limit of its own.</p>
  {/if}
</div>

<style>
  .spend {
    display: grid;
    gap: 0.5rem;
    padding: 0.9rem 1rem;
  }

  .inputs,
  .limits {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 0.6rem;
  }

  .may b {
    font-family: var(--display);
    font-size: 1.35rem;
  }

  .bars {
    display: grid;
    gap: 2px;
  }

  .ghost,
  .spent {
    display: flex;
    height: 1.35rem;
    overflow: hidden;
    border-radius: 5px;
    font-size: 0.6875rem;
    line-height: 1.35rem;
  }

  .ghost span {
    flex-basis: 0;
    min-width: 0;
    overflow: hidden;
    padding-left: 0.3rem;
    border: 1.2px dashed var(--colour);
    border-left-width: 0;
    color: var(--ink-soft);
    white-space: nowrap;
  }

  .ghost span:first-child {
    border-left-width: 1.2px;
  }

  .spent {
    background: var(--canvas-deep);
  }

  .spent span {
    overflow: hidden;
    padding-left: 0.3rem;
    background: var(--colour);
    color: var(--on-pocket);
    white-space: nowrap;
    box-shadow:
      inset 0 0 0 0.5px rgb(255 255 255 / 50%),
      inset 0 3px 0 -1.5px rgb(255 255 255 / 30%);
  }

  .spent span[data-pocket='light'] {
    color: var(--on-pocket-light);
  }

  .fold {
    justify-self: start;
    font-weight: 600;
    text-decoration: none;
  }
</style>
