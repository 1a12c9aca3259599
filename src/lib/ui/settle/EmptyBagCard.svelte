<script lang="ts">
  import { schools } from '../../core/merit/schools';
  import type { SchoolId } from '../../core/model/project';
  import { kitsJudged } from '../pack/kits-judged';
  import RemedyButton from './RemedyButton.svelte';

  interface Props {
    school: SchoolId;
    /** Packs a first kit, telling how many kits were judged; rejects with what went wrong. */
    onpack: (ontold: (judged: number) => void) => Promise<void>;
  }
  const { school, onpack }: Props = $props();
  let packing = $state(false);
  let judged = $state(0);
  let failure = $state('');
  const first = $derived(schools[school].pocketOrder[0]!);

  async function pack() {
    packing = true;
    failure = '';
    try {
      await onpack((kits) => (judged = kits));
    } catch (error) {
      failure = error instanceof Error ? error.message : String(error);
    }
    packing = false;
  }
</script>

<div class="card empty">
  <h3>The kit is empty</h3>
  <p>
    Open any pocket and choose: each part is judged in the whole kit as you go. By
    <b>{schools[school].name}</b> one begins with <a href="/satchel/{first}">the {first} pocket</a>.
  </p>
  <p>Or have a first kit packed within the budget. Undo takes it out again.</p>
  {#if failure}<p role="alert" class="fault">No kit could be packed: {failure}.</p>{/if}
  {#if packing}
    <p><span role="status">Trying parts in the whole kit…</span> {kitsJudged(judged)}</p>
  {:else}
    <RemedyButton label="Pack a first kit" first ontake={pack} />
  {/if}
</div>

<style>
  .empty {
    display: grid;
    gap: 0.5rem;
    justify-items: start;
    margin-bottom: 0.6rem;
    padding: 0.8rem 0.9rem;
    border-left: 5px solid var(--moss);
    font-size: 0.875rem;
  }

  h3 {
    font-size: 1.1rem;
  }

  .fault {
    color: var(--brick);
  }
</style>
