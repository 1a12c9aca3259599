<script lang="ts">
  import {
    Modal,
    RadioButton,
    RadioButtonGroup,
    Select,
    SelectItem,
    SelectItemGroup,
    TextArea,
    TextInput
  } from 'carbon-components-svelte';
  import { dayHere } from '$lib/state/as-of-today';
  import { satchel } from '../../state/project-store.svelte';
  import type { Act } from '../../core/acts/act';
  import { putLineActs } from '../../core/acts/put-lines';
  import { capital } from '../../core/findings/sentence';
  import { fullName, type GearKind, gearKindNames, gearKinds } from '../../core/model/gear';
  import { formatMoney } from '../../core/money/format';
  import { convertedMinor, rateInto } from '../../core/money/rates';
  import type { Amount } from '../../core/reading/amount';
  import { MeasureError } from '../../core/reading/measure';
  import { readPartList } from '../../core/reading/part-list';
  import { makePartSearch } from '../search/part-search';
  import {
    asNew,
    type MatchedPart,
    matchListed,
    neededOf,
    readMatched,
    type TakenFor
  } from './listed-parts';
  import { ownId } from './own-id';

  /** A list as people keep it, a part a line: matched to the shelf, or made as parts of one's own. */
  interface Props {
    open: boolean;
    /** Where the parts go unless a person says otherwise. */
    goes?: 'owned' | 'kit' | 'shelf';
  }
  let { open = $bindable(), goes = 'kit' }: Props = $props();

  let text = $state('');
  /** Chosen by hand; until then where the page says. */
  let chosenGoes = $state<'owned' | 'kit' | 'shelf' | undefined>(undefined);
  const goesTo = $derived(chosenGoes ?? goes);
  let changed = $state.raw<Readonly<Record<string, MatchedPart>>>({});
  const today = dayHere(new Date());
  const currency = $derived(satchel.project?.currency ?? 'GBP');
  const search = $derived(makePartSearch(satchel.shelf.items));
  const makers = $derived([...new Set(satchel.shelf.items.map(({ maker }) => maker))]);
  const listed = $derived.by(() => {
    try {
      return { parts: readPartList(text, currency), fault: '' };
    } catch (error) {
      if (!(error instanceof MeasureError)) throw error;
      return { parts: [], fault: error.message };
    }
  });
  const keyOf = ({ listed: { line, text: words } }: MatchedPart) => `${line} ${words}`;
  const matches = $derived(
    matchListed(listed.parts, search, makers).map((match) => changed[keyOf(match)] ?? match)
  );
  const readings = $derived.by(() => {
    const taken: Record<string, true> = {};
    return matches.map((match) => {
      const id = ownId(match.listed.name, (id) => taken[id] || satchel.shelf.byId.has(id));
      const reading = readMatched(match, satchel.shelf.byId, id, currency, today);
      if (reading.gear) taken[reading.gear.id] = true;
      return reading;
    });
  });
  const taken = $derived(
    matches.flatMap((match, index) => {
      const { gear } = readings[index]!;
      const { quantity, remaining } = match.listed;
      return gear
        ? [{ gear, quantity, ...(remaining ? { handRemainingMinor: remaining.minor } : {}) }]
        : [];
    })
  );
  const unanswered = $derived(
    readings.filter(({ faults }) => Object.keys(faults).length > 0).length
  );

  /** As written, and what it counts as here. */
  function priceWords(price: Amount): string {
    const written = formatMoney(price.minor, price.currency);
    const rate =
      satchel.project && price.currency !== currency
        ? rateInto(satchel.project, price.currency)
        : undefined;
    return rate
      ? `${written}, about ${formatMoney(convertedMinor(price.minor, price.currency, currency, rate.perUnit), currency, { short: true })}`
      : written;
  }

  function change(match: MatchedPart) {
    changed = { ...changed, [keyOf(match)]: match };
  }

  function choose(match: MatchedPart, value: string) {
    const [what, ...rest] = value.split(' ');
    const word = rest.join(' ');
    if (what === 'nothing') change({ ...match, takenFor: 'nothing' });
    else if (what === 'gear') change({ ...match, takenFor: { gearId: word } });
    else change(asNew(match, (word || undefined) as GearKind | undefined));
  }
  const valueOf = (takenFor: TakenFor) =>
    takenFor === 'nothing'
      ? 'nothing'
      : 'gearId' in takenFor
        ? `gear ${takenFor.gearId}`
        : `new ${takenFor.kind ?? ''}`;

  async function takeAll() {
    if (unanswered > 0 || taken.length === 0 || !satchel.plan) return;
    const gear = matches.flatMap((_, index) => {
      const reading = readings[index]!;
      return reading.changed && reading.gear ? [reading.gear] : [];
    });
    const acts: Act[] = [
      ...(gear.length > 0 ? [{ type: 'put many gear' as const, gear }] : []),
      ...(goesTo === 'shelf'
        ? []
        : putLineActs(
            satchel.plan,
            taken.map((part) => ({ ...part, owned: goesTo === 'owned' }))
          ))
    ];
    if (acts.length > 0) await satchel.act({ type: 'batch', acts });
    text = '';
    changed = {};
    open = false;
  }
</script>

<Modal
  bind:open
  modalHeading="Paste a list"
  primaryButtonText="Take {taken.length} {taken.length === 1 ? 'part' : 'parts'}"
  secondaryButtonText="Cancel"
  primaryButtonDisabled={unanswered > 0 || taken.length === 0}
  on:click:button--secondary={() => (open = false)}
  on:submit={takeAll}
>
  <div class="steps">
    <TextArea
      rows={5}
      labelText="One part a line: how many, its name, its price"
      placeholder="2 × Ember 8 battery – 24,90 €&#10;Plover 132, left 451"
      bind:value={text}
      invalid={listed.fault !== ''}
      invalidText={listed.fault}
    />
    <RadioButtonGroup
      legendText="Where they go"
      selected={goesTo}
      on:change={({ detail }) => (chosenGoes = detail as 'owned' | 'kit' | 'shelf')}
    >
      <RadioButton value="owned" labelText="Into the kit, as owned" />
      <RadioButton value="kit" labelText="Into the kit, to buy" />
      <RadioButton value="shelf" labelText="On the shelf only" />
    </RadioButtonGroup>
    {#if matches.length > 0}
      <p class="soft" role="status">
        {taken.length} of {matches.length} lines are clear{unanswered > 0
          ? `; ${unanswered} ${unanswered === 1 ? 'needs' : 'need'} an answer below, or “leave out”`
          : ''}.
      </p>
      <ul>
        {#each matches as match, index (index)}
          {@const { faults } = readings[index]!}
          {@const { takenFor } = match}
          <li class:open={Object.keys(faults).length > 0}>
            <div class="line">
              <span class="what">
                <b
                  >{match.listed.quantity > 1 ? `${match.listed.quantity} × ` : ''}{match.listed
                    .name}</b
                >
                {#if match.listed.price}<span class="figures">{priceWords(match.listed.price)}</span
                  >{/if}
                {#if match.listed.remaining}{@const { minor } = match.listed.remaining}<span
                    class="figures soft"
                    >{formatMoney(Math.abs(minor), currency)}
                    {minor < 0 ? 'over' : 'left'} by hand</span
                  >{/if}
              </span>
              <Select
                size="sm"
                hideLabel
                labelText="“{match.listed.name}” is"
                selected={valueOf(takenFor)}
                on:update={({ detail }) => {
                  if (detail !== valueOf(takenFor)) choose(match, String(detail));
                }}
              >
                {#if match.candidates.length > 0}
                  <SelectItemGroup label="On the shelf">
                    {#each match.candidates as gear (gear.id)}<SelectItem
                        value="gear {gear.id}"
                        text={fullName(gear)}
                      />{/each}
                  </SelectItemGroup>
                {/if}
                <SelectItemGroup label="A new part">
                  <SelectItem value="new " text="new: which kind?" />
                  {#each gearKindNames as kind (kind)}<SelectItem
                      value="new {kind}"
                      text="new: {gearKinds[kind].name}"
                    />{/each}
                </SelectItemGroup>
                <SelectItem value="nothing" text="leave out" />
              </Select>
            </div>
            {#if takenFor !== 'nothing' && 'kind' in takenFor && takenFor.kind}
              <div
                class="needed"
                role="group"
                aria-label="What a new {takenFor.kind} has to state: {match.listed.name}"
              >
                <TextInput
                  size="sm"
                  labelText="Maker"
                  placeholder="not stated"
                  maxlength={80}
                  value={match.maker}
                  on:input={({ detail }) => change({ ...match, maker: String(detail ?? '') })}
                />
                <TextInput
                  size="sm"
                  labelText="Model"
                  maxlength={120}
                  value={match.model}
                  on:input={({ detail }) => change({ ...match, model: String(detail ?? '') })}
                />
                {#each neededOf(takenFor.kind) as { key, name, ask } (key)}
                  {#if ask.type === 'word'}
                    <Select
                      size="sm"
                      labelText={capital(name)}
                      selected={match.fields[key] ?? ''}
                      on:update={({ detail }) => {
                        if (detail !== (match.fields[key] ?? ''))
                          change({ ...match, fields: { ...match.fields, [key]: String(detail) } });
                      }}
                    >
                      <SelectItem value="" text="— choose —" />
                      {#each ask.words as word (word)}<SelectItem value={word} text={word} />{/each}
                    </Select>
                  {:else}
                    <TextInput
                      size="sm"
                      labelText="{capital(name)}{ask.type === 'number' && ask.unit !== 'count'
                        ? `, ${ask.unit}`
                        : ''}"
                      value={match.fields[key] ?? ''}
                      on:input={({ detail }) =>
                        change({
                          ...match,
                          fields: { ...match.fields, [key]: String(detail ?? '') }
                        })}
                      invalid={faults[key] !== undefined && (match.fields[key] ?? '') !== ''}
                      invalidText={faults[key]}
                    />
                  {/if}
                {/each}
              </div>
            {/if}
            {#if faults.line ?? faults.kind}<p class="fault">{faults.line ?? faults.kind}</p>{/if}
          </li>
        {/each}
      </ul>
    {/if}
  </div>
</Modal>

<style>
  .steps {
    display: grid;
    gap: 1rem;
    min-height: 16rem;
  }

  .soft {
    font-size: 0.8125rem;
  }

  ul {
    display: grid;
    gap: 0.5rem;
  }

  li {
    padding: 0.45rem 0.7rem;
    border: 1px solid var(--line);
    border-left: 4px solid var(--moss);
    border-radius: 8px;
    background: var(--paper);
  }

  li.open {
    border-left-color: var(--ochre);
  }

  .line {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(12rem, 1fr);
    gap: 0.6rem;
    align-items: center;
  }

  .what {
    display: flex;
    gap: 0.6rem;
    justify-content: space-between;
    overflow-wrap: anywhere;
  }

  .needed {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(11rem, 1fr));
    gap: 0.4rem 0.7rem;
    align-items: end;
    padding-top: 0.5rem;
  }

  .fault {
    color: var(--brick);
    font-size: 0.8125rem;
  }

  @media (max-width: 600px) {
    .line {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
