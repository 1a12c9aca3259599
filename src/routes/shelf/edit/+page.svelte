<script lang="ts">
  import type { Price } from '$lib/core/model/gear/price';
  import { formatMoney } from '$lib/core/money/format';
  import { convertedMinor, rateInto } from '$lib/core/money/rates';
  import { dayWords } from '$lib/ui/shell/day-words';
  import { Button, Checkbox, Select, SelectItem, TextInput } from 'carbon-components-svelte';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { newLine } from '$lib/core/model/new-line';
  import { capital } from '$lib/core/findings/sentence';
  import { dayHere } from '$lib/state/as-of-today';
  import { type GearKind, gearKindNames, gearKinds } from '$lib/core/model/gear';
  import { builtInLensSheet, type SheetField, specSheet } from '$lib/core/model/gear/spec-sheet';
  import { microphoneForms } from '$lib/core/model/word-lists';
  import type { Proposal } from '$lib/core/reading/specification';
  import { satchel } from '$lib/state/project-store.svelte';
  import { heatNote } from '$lib/ui/shelf/heat-note';
  import ModesField from '$lib/ui/shelf/ModesField.svelte';
  import { ownId } from '$lib/ui/shelf/own-id';
  import PortsField from '$lib/ui/shelf/PortsField.svelte';
  import ProfilesField from '$lib/ui/shelf/ProfilesField.svelte';
  import ReaderPanel from '$lib/ui/shelf/ReaderPanel.svelte';
  import {
    amountText,
    draftOf,
    pricesIn,
    emptyDraft,
    type PartDraft,
    readDraft,
    statesLens
  } from '$lib/ui/shelf/part-draft';

  const source = $derived(satchel.shelf.byId.get(page.url.searchParams.get('id') ?? ''));
  const copying = $derived(page.url.searchParams.get('copy') !== null);
  const currency = $derived(satchel.project?.currency ?? 'GBP');
  let draft = $state<PartDraft>(emptyDraft('microphone'));

  /** An answer of a list; not stated is left out. */
  function setField(key: string, word: string) {
    if (word === '') delete draft.fields[key];
    else draft.fields[key] = word;
  }
  function setFits(form: string, fits: boolean) {
    if (draft.fitsForms.includes(form) === fits) return;
    draft.fitsForms = microphoneForms.filter((micForm) =>
      micForm === form ? fits : draft.fitsForms.includes(micForm)
    );
  }
  let opened = '';
  let tried = $state(false);
  const today = dayHere(new Date());

  $effect(() => {
    const key = `${source?.id ?? ''} ${copying}`;
    if (!satchel.project || key === opened) return;
    opened = key;
    if (!source) return;
    draft = draftOf($state.snapshot(source) as typeof source, currency);
    if (copying) draft.model = `${draft.model} (copy)`;
  });

  const sheet = $derived(specSheet(draft.kind));
  const newId = $derived.by(() => {
    if (source && !copying) return source.id;
    return ownId(`${draft.maker} ${draft.model}`, (id) => satchel.shelf.byId.has(id));
  });
  const reading = $derived(readDraft($state.snapshot(draft) as PartDraft, newId, currency, today));
  /** What a price written in another currency counts as here. */
  const priceNotes = $derived.by(() => {
    const noteOf = (price: Price | undefined) => {
      if (!price || price.currency === currency || !satchel.project) return '';
      const rate = rateInto(satchel.project, price.currency);
      if (!rate)
        return `Kept in ${price.currency}; state its rate under Budget in the brief, or it is left out.`;
      const counted = convertedMinor(price.likely, price.currency, currency, rate.perUnit);
      return `Kept as ${formatMoney(price.likely, price.currency)}; counts as ${formatMoney(counted, currency)} at ${rate.perUnit}, ${rate.rough ? 'a rough rate' : 'your rate'} of ${dayWords(rate.date)}. Change it under Budget in the brief.`;
    };
    const prices = pricesIn($state.snapshot(draft) as PartDraft, currency, today);
    return { priceNew: noteOf(prices.priceNew), priceUsed: noteOf(prices.priceUsed) };
  });
  const faults = $derived(tried ? reading.faults : {});

  function take(proposals: Proposal[]) {
    for (const { key, value } of proposals) {
      if (key === 'priceNew') {
        const price = value as { likely: number; currency: string };
        draft.prices.priceNew.likely = amountText(price.likely, price.currency, currency);
      } else if (key === 'sizeMm') {
        const { width, height, depth } = value as Record<string, number>;
        draft.size = [String(width), String(height), String(depth)];
      } else if (key === 'modes') {
        draft.modes.push(
          Object.fromEntries(
            Object.entries(value as object).map(([name, stated]) => [name, String(stated)])
          )
        );
      } else
        draft.fields[key] =
          typeof value === 'boolean' ? (value ? 'yes' : 'no') : String(value as string | number);
    }
  }

  async function keep() {
    tried = true;
    // Once it is kept its id is taken, and the form would read as a new part.
    const { gear } = reading;
    if (!gear) {
      document.querySelector<HTMLElement>('[aria-invalid="true"]')?.focus();
      return;
    }
    const put = { type: 'put gear' as const, gear };
    const owned = page.url.searchParams.get('owned') !== null && satchel.plan;
    await satchel.act(
      owned
        ? {
            type: 'batch',
            acts: [put, { type: 'add line', line: { ...newLine(owned, gear), state: 'owned' } }]
          }
        : put
    );
    await goto(owned ? '/brief' : `/shelf/${encodeURIComponent(gear.id)}`);
  }
</script>

{#snippet figure({ key, name, ask }: SheetField)}
  {#if ask.type === 'word' || ask.type === 'yes/no'}
    <Select
      size="sm"
      labelText={capital(name)}
      selected={draft.fields[key] ?? ''}
      invalid={faults[key] !== undefined}
      invalidText={faults[key]}
      on:update={({ detail }) => setField(key, String(detail))}
    >
      <SelectItem value="" text={ask.needed ? '— choose —' : 'not stated'} />
      {#each ask.type === 'word' ? ask.words : ['yes', 'no'] as word (word)}<SelectItem
          value={word}
          text={word}
        />{/each}
    </Select>
  {:else}
    <TextInput
      size="sm"
      labelText="{capital(name)}{ask.type === 'number' &&
      ask.unit !== 'count' &&
      !name.endsWith(ask.unit)
        ? `, ${ask.unit}`
        : ''}"
      bind:value={draft.fields[key]}
      placeholder={ask.needed ? 'needed' : 'not stated'}
      invalid={faults[key] !== undefined}
      invalidText={faults[key]}
    />
  {/if}
{/snippet}

{#snippet wrong(field: string)}{#if faults[field]}<span class="fault" id="fault-{field}"
      >{faults[field]}</span
    >{/if}{/snippet}

<svelte:head><title>A part · Hearty Satchel</title></svelte:head>
<p class="back">
  <a href={source ? `/shelf/${encodeURIComponent(source.id)}` : '/shelf'}>← back</a>
</p>
{#if satchel.project}
  <div class="bench">
    <form
      class="card"
      novalidate
      onsubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
    >
      <h1>
        {source && !copying ? 'Change a part' : copying ? 'Copy a part' : 'A part of your own'}
      </h1>
      <p class="soft">
        Write figures as the sheet gives them, with their units: 0.9 lb, 1 1/4", 2600 mAh 7.2 V,
        f/1.8. Leave empty what is not stated; it stays unknown and is asked about.
      </p>
      <div class="fields">
        <Select
          size="sm"
          labelText="Kind"
          selected={draft.kind}
          disabled={source !== undefined}
          helperText={source ? 'A part keeps its kind; enter a new part for another.' : ''}
          on:update={({ detail }) => {
            if (detail !== draft.kind)
              draft = {
                ...emptyDraft(detail as GearKind),
                maker: draft.maker,
                model: draft.model
              };
          }}
        >
          {#each gearKindNames as kind (kind)}<SelectItem
              value={kind}
              text={gearKinds[kind].name}
            />{/each}
        </Select>
        <TextInput
          size="sm"
          labelText="Maker"
          bind:value={draft.maker}
          maxlength={120}
          invalid={faults.maker !== undefined}
          invalidText={faults.maker}
        />
        <TextInput
          size="sm"
          labelText="Model"
          bind:value={draft.model}
          maxlength={200}
          invalid={faults.model !== undefined}
          invalidText={faults.model}
        />
        {#each sheet as field (field.key)}{@render figure(field)}{/each}
      </div>
      <fieldset>
        <legend>Size, mm</legend>
        <div class="row">
          {#each ['width', 'height', 'depth'] as side, index (side)}<TextInput
              size="sm"
              labelText={side}
              hideLabel
              placeholder={side}
              bind:value={draft.size[index]}
            />{/each}
        </div>
        {@render wrong('size')}
      </fieldset>
      {#each [['priceNew', 'price new'], ['priceUsed', 'price used']] as const as [key, words] (key)}
        <fieldset>
          <legend
            >{capital(words)}, in {currency} or with its currency (649,00 €): low, likely, high; seen
            on, where</legend
          >
          <div class="row price">
            {#each ['low', 'likely', 'high'] as const as end (end)}<TextInput
                size="sm"
                labelText="{words}, {end}"
                hideLabel
                placeholder={end}
                bind:value={draft.prices[key][end]}
              />{/each}
            <TextInput
              size="sm"
              type="date"
              labelText="{words}, day"
              hideLabel
              bind:value={draft.prices[key].date}
            />
            <TextInput
              size="sm"
              labelText="{words}, source"
              hideLabel
              placeholder="where"
              bind:value={draft.prices[key].source}
            />
          </div>
          {#if priceNotes[key]}<p class="hint figures">{priceNotes[key]}</p>{/if}
          {@render wrong(key)}
        </fieldset>
      {/each}
      {#if statesLens(draft)}
        <fieldset>
          <legend
            >The lens it cannot take off: real focal lengths, or “24 mm equivalent” worked back by
            the sensor</legend
          >
          <div class="fields">
            {#each builtInLensSheet as field (field.key)}{@render figure(field)}{/each}
          </div>
        </fieldset>
      {/if}
      {#if draft.kind === 'windscreen'}
        <fieldset>
          <legend>Fits these microphones</legend>
          <div class="checks">
            {#each microphoneForms as form (form)}<Checkbox
                labelText={form}
                checked={draft.fitsForms.includes(form)}
                on:check={({ detail }) => setFits(form, detail)}
              />{/each}
          </div>
        </fieldset>
      {/if}
      {#if draft.kind === 'body'}
        <fieldset>
          <legend>Picture profiles</legend>
          <ProfilesField
            bind:profiles={draft.profiles}
            faultOf={(index) => (tried ? reading.faults[`profile ${index}`] : undefined)}
          />
        </fieldset>
        <fieldset>
          <legend>Recording modes</legend>
          <ModesField
            bind:modes={draft.modes}
            faultOf={(index) => (tried ? reading.faults[`mode ${index}`] : undefined)}
            noteOf={(index) => heatNote(draft.modes[index]!)}
          />
        </fieldset>
      {/if}
      <fieldset>
        <legend>Connections (threads, plugs, shoes)</legend>
        <PortsField bind:ports={draft.ports} />
      </fieldset>
      {#if tried && Object.keys(reading.faults).length > 0}
        <p class="fault" role="alert">
          {Object.keys(reading.faults).length === 1
            ? 'One thing is'
            : `${Object.keys(reading.faults).length} things are`} not well yet: {Object.values(
            reading.faults
          )
            .slice(0, 3)
            .join(' ')}
        </p>
      {/if}
      <Button type="submit">Save the part</Button>
    </form>
    <ReaderPanel
      {currency}
      kind={draft.kind}
      onkind={(kind) => (draft = { ...emptyDraft(kind), maker: draft.maker, model: draft.model })}
      onaccept={take}
    />
  </div>
{/if}

<style>
  .back {
    margin-bottom: 0.5rem;
    font-size: 0.8125rem;
    font-weight: 600;
  }

  .bench {
    display: grid;
    grid-template-columns: minmax(0, 1.4fr) minmax(18rem, 1fr);
    gap: 1rem;
    align-items: start;
  }

  form {
    display: grid;
    gap: 0.9rem;
    justify-items: start;
    padding: 1.1rem 1.3rem 1.4rem;
  }

  h1 {
    font-size: 1.4rem;
  }

  .soft {
    font-size: 0.8125rem;
  }

  .fields {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(12.5rem, 1fr));
    gap: 0.7rem 1rem;
    width: 100%;
  }

  fieldset {
    width: 100%;
    margin: 0;
    padding: 0;
    border: 0;
  }

  legend {
    padding: 0;
    color: var(--ink-soft);
    font-size: 0.8125rem;
  }

  .checks {
    display: flex;
    flex-wrap: wrap;
    gap: 0 1.2rem;
  }

  .row {
    display: grid;
    grid-auto-columns: minmax(0, 1fr);
    grid-auto-flow: column;
    gap: 0.4rem;
    margin-top: 0.3rem;
  }

  /* A whole day has to be read; amounts are short. */
  .price {
    grid-template-columns: repeat(3, minmax(0, 1fr)) minmax(10.5rem, 1.5fr) minmax(0, 1.3fr);
  }

  .fault {
    color: var(--brick);
    font-size: 0.8125rem;
  }

  @media (max-width: 860px) {
    .bench {
      grid-template-columns: minmax(0, 1fr);
    }

    .row,
    .price {
      grid-auto-flow: row;
      grid-template-columns: 1fr 1fr;
    }
  }
</style>
