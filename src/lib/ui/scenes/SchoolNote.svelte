<script lang="ts">
  import { schools } from '../../core/merit/schools';
  import type { SchoolId } from '../../core/model/project';

  const { school }: { school: SchoolId } = $props();
  const chosen = $derived(schools[school]);
</script>

<h2 class="section-name">How you choose</h2>
<div class="card note">
  <p class="name">{chosen.name}</p>
  <p>They say {chosen.says} Others answer: {chosen.othersAnswer}</p>
  <a href="/brief">Choose otherwise</a>
</div>

<style>
  h2 {
    margin-top: 1rem;
  }

  .note {
    padding: 0.6rem 0.75rem;
    font-size: 0.8125rem;
  }

  .name {
    font-family: var(--display);
    font-weight: 600;
  }

  .note p + p {
    color: var(--ink-soft);
  }
</style>
