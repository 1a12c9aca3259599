<script lang="ts">
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

  function change(at: number, patch: Partial<Port>) {
    ports = ports.map((port, index) => (index === at ? { ...port, ...patch } : port));
  }
</script>

{#each ports as port, at (at)}
  <div class="row">
    <select
      aria-label="Port {at + 1}, what"
      value="{port.family}|{port.type}"
      onchange={(event) => {
        const [family, type] = event.currentTarget.value.split('|') as [Port['family'], string];
        change(at, { family, type });
      }}
    >
      {#each types as type (type)}<option value={type}
          >{type.split('|')[1]} ({type.split('|')[0]})</option
        >{/each}
    </select>
    <select
      aria-label="Port {at + 1}, half"
      value={port.end}
      onchange={(event) => change(at, { end: event.currentTarget.value as Port['end'] })}
      >{#each portEnds as end (end)}<option>{end}</option>{/each}</select
    >
    <select
      aria-label="Port {at + 1}, use"
      value={port.role}
      onchange={(event) => change(at, { role: event.currentTarget.value as Port['role'] })}
      >{#each portRoles as role (role)}<option value={role}>{uses[role]}</option>{/each}</select
    >
    <button type="button" onclick={() => (ports = ports.filter((_, index) => index !== at))}
      >delete</button
    >
  </div>
{/each}
<button
  type="button"
  onclick={() =>
    (ports = [...ports, { family: 'mechanical', type: '1/4-20', end: 'socket', role: 'stands' }])}
  >add a port</button
>

<style>
  .row {
    display: grid;
    grid-template-columns: 2fr 1fr 1.4fr auto;
    gap: 0.4rem;
    align-items: center;
    margin-top: 0.3rem;
  }

  select {
    min-width: 0;
    padding: 0.35rem 0.45rem;
    border: 1px solid var(--tan-line);
    border-radius: 8px;
    background: var(--paper);
    color: var(--ink);
    font: inherit;
  }

  button {
    justify-self: start;
    padding: 0.3rem 0;
    border: 0;
    background: none;
    color: var(--moss);
    font-weight: 600;
    cursor: pointer;
  }

  @media (max-width: 700px) {
    .row {
      grid-template-columns: 1fr 1fr;
    }
  }
</style>
