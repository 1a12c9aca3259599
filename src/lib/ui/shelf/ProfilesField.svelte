<script lang="ts">
  import { Button, Select, SelectItem, TextInput } from 'carbon-components-svelte';
  import type { ProfileDraft } from './part-draft';

  interface Props {
    profiles: ProfileDraft[];
    faultOf: (index: number) => string | undefined;
  }
  let { profiles = $bindable(), faultOf }: Props = $props();
</script>

{#each profiles as profile, position (position)}
  <div class="profile">
    <TextInput
      size="sm"
      labelText="Profile {position + 1}, name"
      hideLabel
      placeholder="name"
      maxlength={60}
      bind:value={profile.name}
    />
    <TextInput
      size="sm"
      labelText="Profile {position + 1}, base ISO"
      hideLabel
      placeholder="base ISO"
      bind:value={profile.baseIso}
    />
    <Select
      size="sm"
      labelText="Profile {position + 1}, flat"
      hideLabel
      selected={profile.flat}
      on:update={({ detail }) => (profile.flat = String(detail))}
    >
      <SelectItem value="" text="flat: not stated" />
      <SelectItem value="yes" text="flat" />
      <SelectItem value="no" text="not flat" />
    </Select>
    <Button
      size="small"
      kind="ghost"
      on:click={() => (profiles = profiles.filter((_, index) => index !== position))}
      >Delete profile {position + 1}</Button
    >
  </div>
  {@const fault = faultOf(position)}
  {#if fault}<p class="fault">{fault}</p>{/if}
{/each}
<Button
  size="small"
  kind="ghost"
  on:click={() => profiles.push({ name: '', baseIso: '', flat: '' })}>Add a picture profile</Button
>

<style>
  .profile {
    display: grid;
    grid-template-columns: minmax(0, 2fr) minmax(0, 1fr) minmax(0, 1fr) auto;
    gap: 0.4rem;
    align-items: center;
  }

  .fault {
    color: var(--brick);
    font-size: 0.8125rem;
  }

  @media (max-width: 700px) {
    .profile {
      grid-template-columns: 1fr 1fr;
    }
  }
</style>
