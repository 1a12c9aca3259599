<script lang="ts">
  import { page } from '$app/state';

  const isLost = $derived(page.status === 404);
</script>

<div class="card lost">
  <h1>{isLost ? 'Nothing is saved there' : 'This view could not be opened'}</h1>
  {#if isLost}
    <p>{page.error?.message}</p>
  {:else}
    <p>
      A part of the app could not be fetched: the network may be gone, or a newer version has taken
      its place. What you did is saved.
    </p>
    <!-- A plain link: this page is fetched with every first view, and works with nothing else fetched. -->
    <p><a role="button" href={page.url.href} data-sveltekit-reload>Try again</a></p>
  {/if}
  <p><a href="/satchel">Back to the satchel</a></p>
</div>

<style>
  .lost {
    display: grid;
    gap: 0.6rem;
    max-width: 32rem;
    margin: 3rem auto;
    padding: 1.5rem;
  }
</style>
