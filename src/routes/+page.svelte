<script lang="ts">
  import { satchel } from '$lib/state/project-store.svelte';
  import FirstRun from '$lib/ui/first-run/FirstRun.svelte';
</script>

<svelte:head><title>Hearty Satchel</title></svelte:head>
<FirstRun hasProject={satchel.status === 'ready'} />
