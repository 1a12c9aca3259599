<script lang="ts">
  import type { KeptTake } from '../../core/proof/kept-take';
  import type { SoundVerdict } from '../../core/takes/sound-verdict';

  /** Places and levels tried in a scene, a row a take; it fills itself. The cleanest stands first. */
  interface Props {
    takes: readonly { take: KeptTake & { kind: 'sound' }; verdict: SoundVerdict }[];
    onpick: (id: string) => void;
  }
  const { takes, onpick }: Props = $props();

  const byWorth = $derived(
    [...takes].sort(
      (a, b) => (b.take.measures.speechToNoiseDb ?? -1) - (a.take.measures.speechToNoiseDb ?? -1)
    )
  );
  const shownOf = ({ rows }: SoundVerdict, name: string) =>
    rows.find((row) => row.name.startsWith(name));
  const columns = ['voice over noise', 'peaks of the voice', 'hum', 'reverberation'] as const;
</script>

<section class="card" aria-label="Places and levels tried">
  <h2>Tried so far</h2>
  <div class="scroll">
    <table>
      <caption class="unseen">Takes of this scene, the cleanest first</caption>
      <thead>
        <tr>
          <th scope="col">take</th>
          {#each columns as column (column)}<th scope="col" class="n">{column}</th>{/each}
          <th scope="col">worth</th>
        </tr>
      </thead>
      <tbody>
        {#each byWorth as { take, verdict } (take.id)}
          <tr>
            <th scope="row"
              ><button class="text-button" onclick={() => onpick(take.id)}>{take.name}</button></th
            >
            {#each columns as column (column)}
              {@const row = shownOf(verdict, column)}
              <td class="n figures" class:bad={row?.tone === 'bad'}>{row?.shown ?? 'no clap'}</td>
            {/each}
            <td class="worth">{verdict.word}</td>
          </tr>
        {/each}
      </tbody>
    </table>
  </div>
</section>

<style>
  section {
    grid-column: 1 / -1;
    padding: 0.8rem 1rem;
    min-width: 0;
    font-size: 0.8125rem;
  }

  .scroll {
    position: relative;
    overflow-x: auto;
  }

  table {
    width: 100%;
    border-collapse: collapse;
  }

  th,
  td {
    padding: 0.25rem 0.5rem;
    border-bottom: 1px dashed var(--line);
    text-align: left;
  }

  .n {
    text-align: right;
  }

  .worth {
    white-space: nowrap;
  }

  .bad {
    color: var(--brick);
  }
</style>
