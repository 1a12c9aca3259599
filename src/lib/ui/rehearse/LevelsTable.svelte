<script lang="ts">
  import type { DayPlan } from '../../core/rehearse/planned-day';
  import type { ShownDay } from '../../core/rehearse/shown-day';
  import { clockWords } from './clock-words';
  import { levelAt } from './strip-at';

  /** The drawing in figures: what is left in each part after every take. */
  interface Props {
    plan: DayPlan;
    shown: ShownDay;
  }
  const { plan, shown }: Props = $props();

  const lost = $derived(
    new Map(shown.outcome.lost.map((loss) => [`${loss.scene} ${loss.take} ${loss.day}`, loss]))
  );
  const rows = $derived(
    shown.segments.filter(({ kind }) => kind !== 'pause' && kind !== 'carried')
  );
  const dayOf = (minute: number) => Math.max(0, Math.floor(minute / (24 * 60)));
  const percent = (level: number) => `${Math.round(level * 100)} %`;
</script>

<div class="scroll">
  <table>
    <caption class="unseen">What is left in each part after every stretch of the day</caption>
    <thead>
      <tr>
        <th scope="col">until</th>
        <th scope="col">what</th>
        {#each shown.strips as { kind, name, lineId } (`${kind} ${lineId}`)}<th
            scope="col"
            class="n">{name}, {kind === 'bank' ? 'power bank' : kind}</th
          >{/each}
        <th scope="col">in the can</th>
      </tr>
    </thead>
    <tbody>
      {#each rows as { kind, scene, take, fromMin, toMin } (`${fromMin} ${kind}`)}
        {@const gone = lost.get(`${scene} ${take} ${dayOf(fromMin)}`)}
        <tr>
          <td class="figures">{clockWords(toMin, plan.days)}</td>
          <td>{kind === 'take' ? `${plan.scenes[scene]!.name}, take ${take + 1}` : kind}</td>
          {#each shown.strips as strip (`${strip.kind} ${strip.lineId}`)}<td class="n figures"
              >{percent(levelAt(strip, toMin))}</td
            >{/each}
          <td class:lost={gone}>{kind !== 'take' ? '' : gone ? `lost: ${gone.cause}` : 'yes'}</td>
        </tr>
      {/each}
    </tbody>
  </table>
</div>

<style>
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
    padding: 0.25rem 0.5rem;
    border-bottom: 1px dashed var(--line);
    text-align: left;
    vertical-align: baseline;
  }

  .n {
    text-align: right;
  }

  .lost {
    color: var(--brick);
    font-weight: 600;
  }
</style>
