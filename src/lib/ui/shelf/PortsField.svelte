<script lang="ts">
  import { Button, Select, SelectItem } from 'carbon-components-svelte';
  import { catalogue } from '$lib/catalogue/load-catalogue';
  import type { Port } from '$lib/core/model/ports';
  import { portEnds, portRoles } from '$lib/core/model/word-lists';

  let { ports = $bindable() }: { ports: Port[] } = $props();

  const types = [
    ...new Set(
      [...catalogue.items.flatMap((gear) => gear.ports), ...ports].map(
        ({ family, type }) => `${family}|${type}`
      )
    )
  ].sort();
  const uses = {
    audioIn: 'takes sound in',
    audioOut: 'gives sound',
    videoOut: 'gives a picture',
    videoIn: 'takes a picture in',
    stands: 'stands on it',
    carries: 'carries another',
    lens: 'holds the lens',
    filter: 'holds a filter',
    power: 'takes power',
    card: 'takes a card',
    joins: 'leads on'
  } as const satisfies Record<Port['role'], string>;

  function change(position: number, patch: Partial<Port>) {
    const port = ports[position]!;
    if (Object.entries(patch).every(([key, value]) => port[key as keyof Port] === value)) return;
    ports = ports.map((port, index) => (index === position ? { ...port, ...patch } : port));
  }
</script>

{#each ports as port, position (position)}
  <div class="row">
    <Select
      size="sm"
      hideLabel
      labelText="Port {position + 1}, what"
      selected="{port.family}|{port.type}"
      on:update={({ detail }) => {
        const [family, type] = String(detail).split('|') as [Port['family'], string];
        change(position, { family, type });
      }}
    >
      {#each types as type (type)}<SelectItem
          value={type}
          text="{type.split('|')[1]} ({type.split('|')[0]})"
        />{/each}
    </Select>
    <Select
      size="sm"
      hideLabel
      labelText="Port {position + 1}, half"
      selected={port.end}
      on:update={({ detail }) => change(position, { end: detail as Port['end'] })}
    >
      {#each portEnds as end (end)}<SelectItem value={end} text={end} />{/each}
    </Select>
    <Select
      size="sm"
      hideLabel
      labelText="Port {position + 1}, use"
      selected={port.role}
      on:update={({ detail }) => change(position, { role: detail as Port['role'] })}
    >
      {#each portRoles as role (role)}<SelectItem value={role} text={uses[role]} />{/each}
    </Select>
    <Button
      size="small"
      kind="ghost"
      on:click={() => (ports = ports.filter((_, index) => index !== position))}>Delete</Button
    >
  </div>
{/each}
<Button
  size="small"
  kind="ghost"
  on:click={() =>
    (ports = [...ports, { family: 'mechanical', type: '1/4-20', end: 'socket', role: 'stands' }])}
  >Add a port</Button
>

<style>
  .row {
    display: grid;
    grid-template-columns: 2fr 1fr 1.4fr auto;
    gap: 0.4rem;
    align-items: center;
    margin-top: 0.3rem;
  }

  @media (max-width: 700px) {
    .row {
      grid-template-columns: 1fr 1fr;
    }
  }
</style>
