<script lang="ts">
  import { NumberInput } from 'carbon-components-svelte';
  import type { Act } from '../../core/acts/act';
  import type { Project } from '../../core/model/project';
  import { costPerVideo } from '../../core/money/cost-per-video';
  import { formatMoney } from '../../core/money/format';
  import { rangeOf } from '../../core/money/price-range';
  import { isPaid, type MoneyStatement } from '../../core/money/statement';
  import MoneyInput from '../buying/MoneyInput.svelte';
  import Limits from './Limits.svelte';

  /** What the plan costs: firm, after what is hoped for, per finished video, and each limit. */
  interface Props {
    money: MoneyStatement;
    project: Project;
    onact: (act: Act) => void;
  }
  const { money, project, onact }: Props = $props();

  const currency = $derived(project.currency);
  const say = (minor: number) => formatMoney(minor, currency);
  const perVideo = $derived(costPerVideo(project, money));
  const range = $derived(rangeOf(money));
  const paidMinor = $derived(
    money.lines.reduce((sum, { line, firmMinor }) => (isPaid(line) ? sum + firmMinor : sum), 0)
  );
  const chance = $derived(
    range.lowestMinor > money.spendableMinor
      ? 'over at any of these prices'
      : range.worstMinor <= money.spendableMinor
        ? 'never over at these prices'
        : `over in ${Math.round(100 * range.chanceOver)} of 100 when prices move apart, ${Math.round(100 * range.chanceOverTogether)} when they move together`
  );
</script>

<div class="totals">
  <section class="card firm" class:over={money.remainingMinor < 0} aria-label="Firm">
    <h3>Firm: the verdict is on this</h3>
    <b class="figures">{say(money.firmMinor)}</b>
    <p class="soft figures">
      {say(paidMinor)} paid, {say(money.firmMinor - paidMinor)} not yet{money.taxMinor > 0
        ? `; ${say(money.taxMinor)} of it is tax`
        : ''}
    </p>
    <p class="figures verdict">
      {say(Math.abs(money.remainingMinor))}
      {money.remainingMinor < 0 ? 'over' : 'left of'} the budget of {say(money.spendableMinor)}
    </p>
    <p class="soft figures">
      {say(range.lowestMinor)} to {say(range.worstMinor)}: {chance}
    </p>
  </section>
  <section class="card" aria-label="After cash-back">
    <h3>After cash-back</h3>
    <b class="figures">{say(money.afterCashBackMinor)}</b>
    <p class="soft">if every claim is paid; shown beside it, never counted</p>
  </section>
  <section class="card" aria-label="After resale">
    <h3>After resale</h3>
    <b class="figures">{say(money.afterResaleMinor)}</b>
    <p class="soft">if it sells again as hoped; never counted</p>
  </section>
  <section class="card video" aria-label="Per finished video">
    <h3>Per finished video</h3>
    {#if perVideo}
      <b class="figures">{say(perVideo.eachMinor)}</b>
      <p class="soft figures">
        {say(money.firmMinor)}{perVideo.resaleMinor > 0
          ? ` less ${say(perVideo.resaleMinor - perVideo.feeMinor)} of resale`
          : ''}{perVideo.consumablesMinor > 0
          ? ` and ${say(perVideo.consumablesMinor)} used up`
          : ''}, over {perVideo.videos}
        {perVideo.videos === 1 ? 'video' : 'videos'}
      </p>
    {:else}<p class="soft">Say how many videos it is to make.</p>{/if}
    <div class="fields">
      <NumberInput
        size="sm"
        labelText="Videos"
        allowEmpty
        hideSteppers
        min={1}
        max={100000}
        value={project.videosPlanned ?? null}
        on:change={({ detail }) => {
          if (detail === null || (Number.isInteger(detail) && detail >= 1 && detail <= 100000))
            onact({
              type: 'set project',
              patch: { videosPlanned: detail ?? undefined }
            });
        }}
      />
      <MoneyInput
        label="Used up in all"
        value={project.consumablesMinor}
        {currency}
        onset={(consumablesMinor) => onact({ type: 'set project', patch: { consumablesMinor } })}
      />
      <NumberInput
        size="sm"
        labelText="Fee on resale, %"
        allowEmpty
        hideSteppers
        min={0}
        max={100}
        value={project.resaleFeePercent ?? null}
        on:change={({ detail }) => {
          if (detail === null || (detail >= 0 && detail <= 100))
            onact({
              type: 'set project',
              patch: { resaleFeePercent: detail ?? undefined }
            });
        }}
      />
    </div>
  </section>
  <Limits {money} itemLimitMinor={project.itemLimitMinor} />
</div>

<style>
  .card {
    min-width: 0;
    padding: 0.8rem 1rem;
  }

  h3 {
    font-size: 0.85rem;
  }

  .totals {
    display: grid;
    grid-template-columns: 1.6fr 1fr 1fr;
    gap: 0.9rem;
  }

  .totals b {
    font-family: var(--display);
    font-size: 1.35rem;
  }

  .firm.over {
    border-color: var(--brick);
    background: var(--brick-wash);
  }

  .verdict {
    font-weight: 600;
  }

  .firm.over .verdict {
    color: var(--brick);
  }

  p {
    padding: 0.1rem 0;
    font-size: 0.8125rem;
  }

  .soft {
    color: var(--ink-soft);
    font-size: 0.75rem;
  }

  .video {
    grid-column: 1 / 2;
  }

  .totals > :global([aria-label='Limits']) {
    grid-column: 2 / -1;
  }

  .fields {
    display: grid;
    grid-template-columns: repeat(3, minmax(0, 1fr));
    gap: 0.6rem;
    margin-top: 0.4rem;
  }

  .fields :global(input) {
    min-width: 0;
  }

  @media (max-width: 1000px) {
    .totals {
      grid-template-columns: minmax(0, 1fr);
    }

    .video,
    .totals > :global([aria-label='Limits']) {
      grid-column: auto;
    }
  }
</style>
