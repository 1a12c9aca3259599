<script lang="ts">
  import { KG_PER_POUND } from '../../core/model/imperial';
  import { Checkbox, NumberInput, Select, SelectItem, TextInput } from 'carbon-components-svelte';
  import type { Act } from '../../core/acts/act';
  import type { Judgement } from '../../core/judge/judgement';
  import { fullName } from '../../core/model/gear';
  import type { OwnRules, Project } from '../../core/model/project';
  import { formatMoney, minorPerMajor } from '../../core/money/format';

  /** Limits that are not money alone, and rules one buys by. */
  interface Props {
    project: Project;
    judgement: Judgement;
    onact: (act: Act) => void;
  }
  const { project, judgement, onact }: Props = $props();
  const perMajor = $derived(minorPerMajor(project.currency));
  const symbol = $derived(
    formatMoney(0, project.currency, { short: true }).replace(/[\d.,\s]/g, '')
  );
  const imperial = $derived(project.units === 'imperial');
  type Patch = Extract<Act, { type: 'set project' }>['patch'];
  type LimitKey = 'itemLimitMinor' | 'carriedLimitKg' | 'setUpLimitMin' | 'switchLimit';

  const limits = $derived([
    {
      key: 'itemLimitMinor' as LimitKey,
      label: `Each part at most, ${symbol}`,
      per: perMajor,
      most: 1_000_000,
      step: 1
    },
    {
      key: 'carriedLimitKg' as LimitKey,
      label: imperial ? 'Carried in a day, lb' : 'Carried in a day, kg',
      per: imperial ? KG_PER_POUND : 1,
      most: 100,
      step: 0.1
    },
    {
      key: 'setUpLimitMin' as LimitKey,
      label: 'To the first take, min',
      per: 1,
      most: 240,
      step: 0.5
    },
    { key: 'switchLimit' as LimitKey, label: 'Switches I remember', per: 1, most: 40, step: 1 }
  ]);

  function setLimit(key: LimitKey, per: number, most: number, typed: number | null | undefined) {
    if (typed === null || typed === undefined) {
      if (project[key] !== undefined) onact(patch({ [key]: undefined }));
      return;
    }
    if (!(typed > 0) || typed > most) return;
    const value = key === 'itemLimitMinor' ? Math.round(typed * per) : typed * per;
    if (value !== project[key]) onact(patch({ [key]: value }));
  }
  const patch = (change: Patch): Act => ({ type: 'set project', patch: change });

  function setRule(change: Partial<OwnRules>) {
    const rules = { ...project.rules, ...change };
    const kept = Object.fromEntries(
      Object.entries(rules).filter(([, value]) => value !== undefined && value !== '')
    );
    onact(patch({ rules: Object.keys(kept).length > 0 ? kept : undefined }));
  }
  const shown = (key: LimitKey, per: number) => {
    const value = project[key];
    return value === undefined ? null : Number((value / per).toFixed(2));
  };
</script>

<div class="card rules">
  <div class="limits">
    {#each limits as { key, label, per, most, step } (key)}
      <NumberInput
        size="sm"
        allowEmpty
        hideSteppers
        labelText={label}
        value={shown(key, per)}
        min={0}
        max={most}
        {step}
        invalidText="Above 0, at most {most}, or empty."
        on:change={(event) => setLimit(key, per, most, event.detail)}
      />
    {/each}
  </div>
  <p class="soft">Empty: no limit of its own.</p>
  <Checkbox
    labelText="Propose used parts where they are sold"
    checked={project.rules?.preferUsed === true}
    on:check={(event) => {
      if (event.detail !== (project.rules?.preferUsed === true))
        setRule({ preferUsed: event.detail ? true : undefined });
    }}
  />
  <Checkbox
    labelText="Only used parts"
    checked={project.rules?.onlyUsed === true}
    on:check={(event) => {
      if (event.detail !== (project.rules?.onlyUsed === true))
        setRule({ onlyUsed: event.detail ? true : undefined });
    }}
  />
  <TextInput
    size="sm"
    labelText="Only from (words of the price’s source)"
    placeholder="anywhere"
    maxlength={200}
    value={project.rules?.onlyFrom ?? ''}
    on:change={(event) => {
      const words = String(event.detail ?? '').trim();
      if (words !== (project.rules?.onlyFrom ?? '')) setRule({ onlyFrom: words || undefined });
    }}
  />
  <Select
    size="sm"
    labelText="Maximum price per part: the price of"
    selected={project.rules?.noDearerThanGearId ?? ''}
    on:change={(event) => {
      const id = (event.target as HTMLSelectElement).value;
      if (id !== (project.rules?.noDearerThanGearId ?? ''))
        setRule({ noDearerThanGearId: id || undefined });
    }}
  >
    <SelectItem value="" text="no such rule" />
    {#each judgement.money.lines as { line, gear } (line.id)}
      {#if gear}<SelectItem value={gear.id} text={fullName(gear)} />{/if}
    {/each}
  </Select>
</div>

<style>
  .rules {
    display: grid;
    gap: 0.6rem;
    padding: 0.9rem 1rem;
  }

  .limits {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 0.6rem;
  }
</style>
