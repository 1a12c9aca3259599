<script lang="ts">
  import { fullName, type GearItem } from '../../core/model/gear';
  import { Button } from 'carbon-components-svelte';
  import type { Act } from '../../core/acts/act';
  import type { Project } from '../../core/model/project';
  import { type Lessons, PRIOR, takeOverBattery } from '../../core/rehearse/logbook';

  /** What one's own days have taught: every figure before and after. */
  interface Props {
    lessons: Lessons;
    project: Project;
    gearOfLine: (lineId: string) => GearItem | undefined;
    onact: (act: Act) => void;
  }
  const { lessons, project, gearOfLine, onact }: Props = $props();

  /** Batteries whose measured energy may stand in the place of the sheet's. */
  const takeOvers = $derived(
    lessons.batteries.flatMap((lesson) => {
      const gear = gearOfLine(lesson.lineId);
      const found = takeOverBattery(project, lesson, gear);
      return found && gear
        ? [
            {
              ...found,
              name: gear.kind === 'battery' ? gear.model : `the battery of ${gear.model}`
            }
          ]
        : [];
    })
  );

  const rows = $derived([
    ...lessons.chances.map(({ chance, happened, opportunities, beforePercent, afterPercent }) => ({
      name: chance,
      before: `${beforePercent.toFixed(1)} %`,
      seen: `${happened} in ${Math.round(opportunities)}`,
      after: `${afterPercent.toFixed(1)} %`,
      isWorse: afterPercent > beforePercent
    })),
    ...(lessons.setUp
      ? [
          {
            name: 'setting up',
            before: '× 1.00',
            seen: `${Math.round(lessons.setUp.measuredMin)} min for ${Math.round(lessons.setUp.reckonedMin)} reckoned`,
            after: `× ${lessons.setUp.factor.toFixed(2)}`,
            isWorse: lessons.setUp.factor > 1
          }
        ]
      : []),
    ...lessons.batteries.map(({ lineId, measuredMin, reckonedMin, health }) => {
      const gear = gearOfLine(lineId);
      return {
        name: `battery: ${gear ? fullName(gear) : 'not in this plan any more'}`,
        before: '100 %',
        seen: `${Math.round(measuredMin)} min for ${Math.round(reckonedMin)} reckoned`,
        after: `${Math.round(health * 100)} %`,
        isWorse: health < 1
      };
    })
  ]);
</script>

{#if rows.length === 0}
  <p class="soft">Nothing to learn from yet: write down what happened on a day.</p>
{:else}
  <div class="scroll">
    <table>
      <caption class="unseen">What the logbook teaches</caption>
      <thead>
        <tr>
          <th scope="col">figure</th><th scope="col" class="n">before</th>
          <th scope="col" class="n">your days</th><th scope="col" class="n">after</th>
        </tr>
      </thead>
      <tbody>
        {#each rows as { name, before, seen, after, isWorse } (name)}
          <tr>
            <th scope="row">{name}</th><td class="n figures">{before}</td>
            <td class="n figures">{seen}</td>
            <td class="n figures" class:worse={isWorse}><b>{after}</b></td>
          </tr>
        {/each}
      </tbody>
    </table>
  </div>
  {#each takeOvers as { name, wattHours, statedWh, act } (name)}
    <p class="take">
      <Button size="small" kind="tertiary" on:click={() => onact(act)}
        >Take {wattHours.toFixed(1)} Wh as what {name} holds</Button
      >
      <span class="soft">instead of {statedWh} Wh: the judge then goes by it too</span>
    </p>
  {/each}
  <p class="soft">
    A usual figure weighs as much as {PRIOR.opportunities} times of your own, {PRIOR.setUpMin} min of
    setting up, {PRIOR.batteryMin} min of a battery. The rehearsal runs on the figures after.
  </p>
{/if}

<style>
  .take {
    display: flex;
    flex-wrap: wrap;
    gap: 0.3rem 0.6rem;
    align-items: center;
    margin: 0.6rem 0;
  }

  .scroll {
    position: relative;
    overflow-x: auto;
  }

  table {
    width: 100%;
    border-collapse: collapse;
    font-size: 0.8125rem;
  }

  th,
  td {
    padding: 0.3rem 0.5rem;
    border-bottom: 1px dashed var(--line);
    text-align: left;
  }

  tbody th {
    font-weight: 400;
  }

  .n {
    text-align: right;
  }

  .worse {
    color: var(--brick);
  }
</style>
