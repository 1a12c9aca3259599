<script lang="ts">
  import type { Project } from '../../core/model/project';
  import { formatMoney } from '../../core/money/format';
  import type { BestAgainstBound } from '../../core/pack/bound/best-against-bound';
  import { spendableOf } from '../../core/pack/front-steps';

  /** How far the best kit found can be from the best there is. */
  interface Props {
    project: Project;
    against: BestAgainstBound | undefined;
    /** The search went to its end and could not be bounded. */
    isTooLarge: boolean;
  }
  const { project, against, isTooLarge }: Props = $props();
  const spend = $derived(formatMoney(spendableOf(project), project.currency, { short: true }));
  const points = (hundredths: number) => (hundredths / 100).toFixed(1);
</script>

<p class="soft" data-proof={against ? (against.isProven ? 'proven' : 'bounded') : 'none'}>
  {#if !against}
    The best found, not proven best{isTooLarge
      ? ': there are too many parts to say how good a kit can be'
      : ''}.
  {:else if against.isProven}
    Proven: no kit for {spend} is worth more than the best found, {points(against.foundHundredths)}.
  {:else}
    No kit for {spend} can be worth more than
    <b class="figures">{points(against.boundHundredths)}</b>. The best found is worth
    <b class="figures">{points(against.foundHundredths)}</b>: at most
    {points(against.boundHundredths - against.foundHundredths)} points, {(
      100 * against.gap
    ).toFixed(1)} %, are open. Any number of bodies, lenses and lamps counts.
  {/if}
</p>
