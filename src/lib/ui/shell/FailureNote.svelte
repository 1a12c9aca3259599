<script lang="ts">
  import { InlineNotification } from 'carbon-components-svelte';

  const { says, onclose }: { says: string; onclose: () => void } = $props();
</script>

<InlineNotification
  kind="error"
  lowContrast
  title="That did not work."
  subtitle={says}
  on:close={onclose}
/>
