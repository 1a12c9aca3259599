<script lang="ts">
  import { page } from '$app/state';
</script>

<div class="card lost">
  <h1>{page.status === 404 ? 'Nothing is kept there' : 'That went wrong'}</h1>
  <p>{page.error?.message}</p>
  <p><a href="/satchel">Back to the open bag</a></p>
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
