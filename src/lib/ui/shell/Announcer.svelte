<script lang="ts">
  import { satchel } from '$lib/state/project-store.svelte';
  import { verdictWords } from './verdict-words';

  /** Tells a screen reader what an act did to the verdict, as the strap tells what it did to the money. */
  let before: string | undefined;
  let said = $state('');
  $effect(() => {
    const { judgement, project } = satchel;
    if (!judgement || !project) return;
    const words = verdictWords(judgement, project.ignored ?? []);
    // What stands when the page opens is read in its place; only a change is told.
    if (before !== undefined && words !== before) said = words;
    before = words;
  });
</script>

<p class="unseen" role="status" data-announces="verdict">{said}</p>
