import { describe, expect, it } from 'vitest';
import { demoProject } from '../../catalogue/demos/saltmarsh-loom';
import { catalogue } from '../../catalogue/load-catalogue';
import { applyAct } from '../../core/acts/apply-act';
import { judgePlan } from '../../core/judge/judge-plan';
import { remediesOfEach } from '../../core/judge/settle';
import { activePlan } from '../../core/model/active-plan';
import { firstEntries, paletteEntries } from './palette-entries';
import { paletteSearch } from './palette-search';

const project = demoProject();
const judgement = judgePlan(project, activePlan(project), catalogue);
const remedies = remediesOfEach(project, catalogue, judgement);
const entries = paletteEntries({
  project,
  shelf: catalogue,
  judgement,
  remedies: Object.fromEntries(
    judgement.findings.map((finding, index) => [finding.key, remedies[index]!])
  ),
  undo: 'add a lens',
  redo: undefined
});
const find = (words: string) => paletteSearch(entries, 6)(words)!.map(({ name }) => name);

describe('search-and-do', () => {
  it('finds parts, views, acts and remedies by what people type', () => {
    expect(find('shelf')[0]).toBe('Shelf');
    expect(find('pack for me')[0]).toBe('Pack for me');
    expect(find('inventory')[0]).toBe('Inventory');
    expect(find('dark theme')[0]).toBe('Switch between light and dark theme');
    expect(find('undo')[0]).toBe('Undo: add a lens');
    expect(find('dunmarrow burr')).toContain('Dunmarrow Burr');
    expect(find('put dunmarow bur in the kit')).toContain('Add Dunmarrow Burr to kit');
    expect(find('ring 62').join()).toContain('Step-up ring 62 to 67');
  });

  it('names each thing once, and every act it offers can be done', () => {
    expect(new Set(entries.map(({ id }) => id)).size).toBe(entries.length);
    for (const { name, run } of entries)
      if ('act' in run) expect(() => applyAct(project, run.act), name).not.toThrow();
  });

  it('begins with what presses, then what can be done, then where to go', () => {
    const first = firstEntries(entries, 12);
    expect(first[0]!.group).toBe('to settle');
    expect(first.some(({ group }) => group === 'part')).toBe(false);
  });
});
