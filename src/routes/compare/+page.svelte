<script lang="ts">
  import { Button, Checkbox } from 'carbon-components-svelte';
  import { comparePlans, takeAcross } from '$lib/core/ledger/compare-plans';
  import { axes } from '$lib/core/merit/axis-curves';
  import type { PlanLine } from '$lib/core/model/plan';
  import { formatMoney } from '$lib/core/money/format';
  import { satchel } from '$lib/state/project-store.svelte';
  import MeritAgainstSpend from '$lib/ui/ledger/MeritAgainstSpend.svelte';
  import Guarded from '$lib/ui/shell/Guarded.svelte';

  /** Two to four plans of one project side by side: only what differs. */
  const MOST = 4;
  let left = $state.raw<readonly string[]>([]);
  const plans = $derived(satchel.project?.plans ?? []);
  /** All of them at first; whoever takes one out leaves it out. */
  const chosen = $derived(plans.filter(({ id }) => !left.includes(id)).slice(0, MOST));
  const comparison = $derived(
    satchel.asJudged && chosen.length > 1
      ? comparePlans(satchel.asJudged, satchel.shelf, chosen)
      : undefined
  );
  const currency = $derived(satchel.project?.currency ?? 'GBP');
  const say = (minor: number) => formatMoney(minor, currency);

  function choiceWords(line: PlanLine | undefined): string {
    if (!line) return '—';
    const words = [line.quantity > 1 ? `${line.quantity} pieces` : '1 piece', line.basis];
    if (line.step !== 'now') words.push(line.step);
    if (line.state !== 'wanted') words.push(line.state);
    return words.join(', ');
  }
  /** The axis in which the plans lie farthest apart in a scene, as the reason for its figure. */
  function reasonOf(index: number): string {
    if (!comparison) return '';
    let most = { axis: '', apart: 0 };
    for (const axis of axes) {
      const points = comparison.plans.flatMap(
        ({ judgement }) => judgement.merit.scenes[index]?.axes[axis]?.low ?? []
      );
      const apart = Math.max(...points) - Math.min(...points);
      if (points.length > 1 && apart > most.apart) most = { axis, apart };
    }
    return most.apart >= 1
      ? `most in ${most.axis}, ${Math.round(most.apart)} points apart`
      : 'alike';
  }
</script>

<svelte:head><title>Compare plans · Hearty Satchel</title></svelte:head>
<p class="back"><a href="/ledger">← the ledger</a></p>
<h1>Compare plans</h1>
{#if satchel.project && satchel.plan}
  <div class="choose card">
    {#each plans as plan (plan.id)}
      <Checkbox
        labelText={plan.name}
        checked={chosen.includes(plan)}
        disabled={!chosen.includes(plan) && chosen.length >= MOST}
        on:check={({ detail }) =>
          (left = detail ? left.filter((id) => id !== plan.id) : [...left, plan.id])}
      />
    {/each}
    <Button size="small" kind="tertiary" on:click={() => void satchel.branchPlan(satchel.plan!.id)}
      >Branch {satchel.plan.name}</Button
    >
  </div>
  {#if !comparison}
    <p class="card none">
      Two plans are needed to compare. Branch this one, change what you doubt in the branch, and
      look here again.
    </p>
  {:else}
    <Guarded what="The comparison">
      <div class="card sheet">
        <table>
          <thead>
            <tr>
              <th scope="col"></th>
              {#each comparison.plans as plan (plan.plan.id)}
                <th scope="col"
                  >{plan.plan.name}{plan.plan.id === satchel.plan.id ? ' (shown)' : ''}</th
                >
              {/each}
            </tr>
          </thead>
          <tbody>
            <tr>
              <th scope="row">Firm</th>
              {#each comparison.plans as { plan, judgement } (plan.id)}<td class="figures"
                  >{say(judgement.money.firmMinor)}</td
                >{/each}
            </tr>
            <tr>
              <th scope="row">Left of the budget</th>
              {#each comparison.plans as { plan, judgement } (plan.id)}<td
                  class="figures"
                  class:over={judgement.money.remainingMinor < 0}
                  >{say(Math.abs(judgement.money.remainingMinor))}
                  {judgement.money.remainingMinor < 0 ? 'over' : 'left'}</td
                >{/each}
            </tr>
            <tr>
              <th scope="row"
                >Worth{comparison.plans.some((plan) => plan.judgement.merit.stops > 0)
                  ? ', once unblocked'
                  : ''}</th
              >
              {#each comparison.plans as { plan, judgement } (plan.id)}<td class="figures"
                  >{(judgement.merit.onceSettledHundredths / 100).toFixed(0)}{judgement.merit
                    .stops > 0
                    ? `, ${judgement.merit.stops} ${judgement.merit.stops === 1 ? 'stop' : 'stops'}`
                    : ''}</td
                >{/each}
            </tr>
            {#each satchel.project.scenes as scene, index (scene.id)}
              <tr>
                <th scope="row">{scene.name} <span class="soft">{reasonOf(index)}</span></th>
                {#each comparison.plans as { plan, judgement } (plan.id)}
                  {@const merit = judgement.merit.scenes[index]}
                  <td class="figures"
                    >{merit ? Math.round(merit.low) : ''}{merit && !merit.works
                      ? ', blocked'
                      : ''}</td
                  >
                {/each}
              </tr>
            {/each}
            <tr class="group"
              ><th scope="rowgroup" colspan={comparison.plans.length + 1}
                >Parts that differ; {comparison.alike} are alike</th
              ></tr
            >
            {#each comparison.lines as row (row.gearId)}
              <tr data-gear={row.gearId}>
                <th scope="row">{row.name}</th>
                {#each row.lines as line, index (comparison.plans[index]!.plan.id)}
                  {@const act = takeAcross(satchel.plan, row, line)}
                  <td
                    >{choiceWords(line)}
                    {#if act && comparison.plans[index]!.plan.id !== satchel.plan.id}
                      <Button size="small" kind="ghost" on:click={() => void satchel.act(act)}
                        >{line ? 'take it' : 'leave it out'}<span class="unseen"
                          >, {row.name}, as in {comparison.plans[index]!.plan.name}</span
                        ></Button
                      >
                    {/if}</td
                  >
                {/each}
              </tr>
            {/each}
            {#if comparison.lines.length === 0}<tr
                ><td colspan={comparison.plans.length + 1}>Nothing differs.</td></tr
              >{/if}
            {#if comparison.findings.length > 0}
              <tr class="group"
                ><th scope="rowgroup" colspan={comparison.plans.length + 1}
                  >What stands in the way</th
                ></tr
              >
              {#each comparison.findings as finding, row (row)}
                <tr>
                  <th scope="row">{finding.title}</th>
                  {#each finding.stands as stands, index (comparison.plans[index]!.plan.id)}
                    <td class:over={stands && finding.severity === 'stop'}
                      >{stands ? (finding.severity === 'stop' ? 'blocks' : 'weakens') : '—'}</td
                    >
                  {/each}
                </tr>
              {/each}
            {/if}
          </tbody>
        </table>
        <div class="chart">
          <MeritAgainstSpend
            plans={comparison.plans}
            {currency}
            spendableMinor={comparison.plans[0]!.judgement.money.spendableMinor}
          />
          <p class="soft">
            Hollow where something still blocks: what it would be worth once unblocked.
          </p>
        </div>
      </div>
    </Guarded>
  {/if}
{/if}

<style>
  h1 {
    font-size: 1.3rem;
  }

  .back {
    font-size: 0.8125rem;
  }

  .choose {
    display: flex;
    overflow-wrap: anywhere;
    flex-wrap: wrap;
    gap: 0.4rem 1.4rem;
    align-items: center;
    margin: 0.5rem 0 0.8rem;
    padding: 0.6rem 1rem;
  }

  .choose :global(.bx--btn) {
    max-width: 100%;
    overflow-wrap: anywhere;
    white-space: normal;
  }

  .choose :global(.bx--form-item) {
    flex: 0 1 auto;
  }

  .none {
    padding: 1rem;
  }

  .sheet {
    padding: 1rem;
    overflow-x: auto;
  }

  table {
    width: 100%;
    border-collapse: collapse;
    font-size: 0.8125rem;
  }

  th,
  td {
    padding: 0.35rem 0.6rem;
    border-bottom: 1px dashed var(--line);
    text-align: left;
    vertical-align: baseline;
  }

  thead th {
    border-bottom: 1.5px solid var(--tan-line);
    font-family: var(--display);
  }

  th[scope='row'] {
    font-weight: 400;
  }

  .group th {
    padding-top: 1rem;
    font-family: var(--display);
  }

  .over {
    color: var(--brick);
    font-weight: 600;
  }

  .chart {
    max-width: 30rem;
    margin-top: 1rem;
  }
</style>
