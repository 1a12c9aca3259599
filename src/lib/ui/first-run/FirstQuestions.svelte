<script lang="ts">
  import { Button, Checkbox, NumberInput, Select, SelectItem } from 'carbon-components-svelte';
  import { goto } from '$app/navigation';
  import { minorPerMajor } from '../../core/money/format';
  import { usualCurrencies } from '../../core/money/rates';
  import { newProject } from '../../core/model/new-project';
  import { usualOf } from '../../core/model/usual-of-region';
  import { catalogue } from '../../catalogue/load-catalogue';
  import { applyAct } from '../../core/acts/apply-act';
  import { newLine } from '../../core/model/new-line';
  import { activePlan } from '../../core/model/active-plan';
  import { fullName } from '../../core/model/gear';
  import type { Project, SchoolId } from '../../core/model/project';
  import { schoolIds } from '../../core/model/word-lists';
  import type { SceneStyle } from '../../core/model/scene';
  import { schools } from '../../core/merit/schools';
  import { satchel } from '../../state/project-store.svelte';
  import Choice from '../brief/Choice.svelte';
  import { kitsJudged } from '../pack/kits-judged';

  const styles: { id: SceneStyle; words: string }[] = [
    { id: 'walk', words: 'I walk and talk' },
    { id: 'seated', words: 'I sit and talk' },
    { id: 'hands', words: 'My hands at work, from above' },
    { id: 'live call', words: 'Live calls' },
    { id: 'evening', words: 'In the evening, in the light there is' },
    { id: 'ride', words: 'I ride, the camera on me' },
    { id: 'event', words: 'A talk, from two angles' },
    { id: 'interview', words: 'An interview of two' },
    { id: 'product', words: 'A thing on the table' },
    { id: 'landscape', words: 'The land, without people' },
    { id: 'flying', words: 'From the air' }
  ];
  const usual = usualOf(typeof navigator === 'undefined' ? '' : navigator.language);
  const currencyNames = new Intl.DisplayNames(undefined, { type: 'currency' });
  let currency = $state(usual.currency);
  let chosen = $state<Partial<Record<SceneStyle, boolean>>>({ walk: true });
  const haves = {
    nothing: 'nothing yet',
    phone: 'a phone that films',
    camera: 'a camera'
  } as const;
  let has = $state<keyof typeof haves>('nothing');
  const schoolNames = Object.fromEntries(schoolIds.map((id) => [id, schools[id].name])) as Record<
    SchoolId,
    string
  >;
  let preferUsed = $state(false);
  let bodyId = $state('');
  let lensId = $state('');
  const bodies = $derived(
    catalogue.ofKind('body').filter(({ form }) => (form === 'phone') === (has === 'phone'))
  );
  const ownedBody = $derived(
    has === 'nothing' ? undefined : (bodies.find(({ id }) => id === bodyId) ?? bodies[0])
  );
  /** Lenses that go on the owned body as they are. */
  const lenses = $derived.by(() => {
    const mount = ownedBody?.ports.find((port) => port.family === 'mount')?.type;
    return mount === undefined
      ? []
      : catalogue.ofKind('lens').filter((lens) => lens.mount === mount);
  });
  const owned = $derived(
    [ownedBody, lenses.find(({ id }) => id === lensId)].filter((gear) => gear !== undefined)
  );
  let limit = $state<number | null>(900);
  let school = $state<SchoolId>('sound and light first');
  let packing = $state(false);
  let judged = $state(0);
  let failure = $state('');
  const picked = $derived(styles.map(({ id }) => id).filter((id) => chosen[id]));
  const fault = $derived(
    picked.length === 0
      ? 'Tick at least one thing you film.'
      : limit === null || !(limit >= 0) || limit > 1_000_000
        ? 'Write what you may spend, from 0 to 1,000,000.'
        : ''
  );

  async function pack() {
    if (fault) return;
    packing = true;
    judged = 0;
    failure = '';
    const id = `project-${Date.now().toString(36)}`;
    const begun = newProject(id, 'My first kit', {
      styles: picked,
      limitMinor: Math.round((limit ?? 0) * minorPerMajor(currency)),
      school,
      currency,
      mainsHz: usual.mainsHz,
      units: usual.units
    });
    let withOwned: Project = preferUsed ? { ...begun, rules: { preferUsed } } : begun;
    for (const gear of owned)
      withOwned = applyAct(withOwned, {
        type: 'add line',
        line: { ...newLine(activePlan(withOwned), gear), state: 'owned' }
      });
    try {
      await satchel.beginPacked(withOwned, (kits) => (judged = kits));
      await goto('/satchel');
    } catch (error) {
      failure = error instanceof Error ? error.message : String(error);
    }
    packing = false;
  }
</script>

<form
  class="card three"
  onsubmit={(event) => {
    event.preventDefault();
    void pack();
  }}
>
  <h2>Or answer four questions</h2>
  <fieldset>
    <legend>1 · What do you film?</legend>
    <div class="styles">
      {#each styles as { id, words } (id)}<Checkbox
          labelText={words}
          checked={chosen[id] === true}
          on:check={({ detail }) => (chosen[id] = detail)}
        />{/each}
    </div>
  </fieldset>
  <fieldset>
    <legend>2 · What may you spend?</legend>
    <div class="money">
      <NumberInput
        labelText="Budget, in {currency}"
        hideLabel
        bind:value={limit}
        min={0}
        max={1_000_000}
        step={50}
      />
      <Select labelText="Currency" hideLabel bind:selected={currency}>
        {#each usualCurrencies as code (code)}<SelectItem
            value={code}
            text="{code} · {currencyNames.of(code) ?? code}"
          />{/each}
      </Select>
    </div>
    <p class="hint">
      A tenth is set aside. The kit begins with {usual.mainsHz} Hz mains and {usual.units ===
      'metric'
        ? 'metres and kilograms'
        : 'inches and pounds'}, as usual where you are. All of it can be changed in the brief.
    </p>
  </fieldset>
  <fieldset>
    <legend>3 · What do you have?</legend>
    <Choice label="What I have" options={haves} value={has} onchoose={(choice) => (has = choice)} />
    {#if has !== 'nothing'}
      <Select
        size="sm"
        labelText={has === 'phone' ? 'The one most like my phone' : 'The one most like my camera'}
        selected={ownedBody?.id}
        on:change={(event) => (bodyId = (event.target as HTMLSelectElement).value)}
      >
        {#each bodies as body (body.id)}<SelectItem value={body.id} text={fullName(body)} />{/each}
      </Select>
      {#if lenses.length > 0}
        <Select
          size="sm"
          labelText="With the lens"
          selected={lensId}
          on:change={(event) => (lensId = (event.target as HTMLSelectElement).value)}
        >
          <SelectItem value="" text="none yet" />
          {#each lenses as lens (lens.id)}<SelectItem
              value={lens.id}
              text={fullName(lens)}
            />{/each}
        </Select>
      {/if}
      <p class="hint">
        It costs nothing and stays. Its own figures, and whatever else you have, go in under “What I
        own” in the brief.
      </p>
    {/if}
    <Choice
      label="How I buy"
      options={{ new: 'I buy new', used: 'I buy used where I can' }}
      value={preferUsed ? 'used' : 'new'}
      onchoose={(choice) => (preferUsed = choice === 'used')}
    />
  </fieldset>
  <fieldset>
    <legend>4 · How do you choose?</legend>
    <Choice
      label="How I choose"
      options={schoolNames}
      value={school}
      onchoose={(choice) => (school = choice)}
    />
    <p class="hint">
      <b>They say</b>
      {schools[school].says} <b>Others answer:</b>
      {schools[school].othersAnswer}
    </p>
  </fieldset>
  {#if fault}<p class="fault" role="alert">{fault}</p>{/if}
  {#if failure}<p class="fault" role="alert">
      No kit could be packed: {failure}. Nothing is lost; try again, or open the demo.
    </p>{/if}
  {#if packing}
    <p><span role="status">Trying parts in the whole kit…</span> {kitsJudged(judged)}</p>
  {:else}
    <Button type="submit" disabled={fault !== ''}>Pack a first kit</Button>
  {/if}
</form>

<style>
  h2 {
    font-size: 2rem;
  }

  .hint {
    color: var(--ink-soft);
    font-size: 0.8125rem;
  }

  .three {
    display: grid;
    gap: 1.1rem;
    padding: 1.4rem 1.5rem 1.6rem;
  }

  .styles {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(13rem, 1fr));
    gap: 0 0.8rem;
    align-items: start;
  }

  .money {
    display: grid;
    grid-template-columns: minmax(8rem, 1fr) minmax(9rem, 1.2fr);
    gap: 0.6rem;
    align-items: end;
  }

  fieldset {
    margin: 0;
    padding: 0;
    border: 0;
  }

  legend {
    margin-bottom: 0.4rem;
    font-weight: 600;
  }

  .three :global(.pills + .pills),
  .hint + :global(.pills) {
    margin-top: 0.6rem;
  }

  .three > :global(.bx--btn) {
    justify-self: start;
  }

  .three :global(.pills) {
    margin-bottom: 0.4rem;
  }

  .fault {
    color: var(--brick);
  }

  /* The first of a column stands as the others do. */
  .styles :global(.bx--form-item.bx--checkbox-wrapper) {
    margin: 0 0 0.25rem;
  }

  /* Beside the currency there is no room for a budget of four figures. */
  @media (max-width: 480px) {
    .money {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
