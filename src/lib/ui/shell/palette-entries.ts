import { isQuestion } from '../../core/findings/finding-codes';
import type { Act } from '../../core/acts/act';
import type { Remedy } from '../../core/judge/settle';
import type { Judgement } from '../../core/judge/judgement';
import { newLine } from '../../core/model/new-line';
import { fullName, gearKinds, pocketOf } from '../../core/model/gear';
import type { Project } from '../../core/model/project';
import { activePlan } from '../../core/model/active-plan';
import type { Shelf } from '../../core/model/shelf';
import { formatMoney } from '../../core/money/format';
import { partDetail } from '../search/part-search';
import { views } from './views';

/** One thing that can be found and done. */
export interface PaletteEntry {
  id: string;
  group: 'go to' | 'do' | 'to settle' | 'part';
  name: string;
  /** What stands beside it, searched as well. */
  detail: string;
  /** Other words it is found by, not shown. */
  alsoCalled?: string;
  run:
    { go: string } | { act: Act } | { command: Command } | { findingKey: string; remedy: Remedy };
}

/** What the page itself does: it has no act of its own. */
export type Command =
  'undo' | 'redo' | 'theme' | 'keys' | 'plans' | 'branch' | 'new plan' | 'save file';

export interface PaletteSource {
  project: Project;
  shelf: Shelf;
  judgement: Judgement;
  remedies: Readonly<Record<string, readonly Remedy[]>>;
  undo: string | undefined;
  redo: string | undefined;
}

/** Pages that no key opens. */
const pagesBeside = [
  { path: '/satchel/pack', name: 'Pack for me', detail: 'the best kits at every spend, mending' },
  { path: '/rehearse/logbook', name: 'Logbook', detail: 'real days of filming, afterwards' },
  { path: '/inventory', name: 'Inventory', detail: 'what is owned, over all projects' },
  { path: '/compare', name: 'Compare plans', detail: 'side by side, only what differs' },
  { path: '/cards', name: 'Cards', detail: 'packing, pre-roll, settings, set-up, evening' },
  { path: '/set/practise', name: 'Practise', detail: 'set the camera by hand' }
] as const;

/** Everything that can be found: views, scenes, acts, findings with their remedies, parts. */
export function paletteEntries(source: PaletteSource): PaletteEntry[] {
  const { project, shelf, judgement, remedies } = source;
  const plan = activePlan(project);
  const money = (minor: number) => formatMoney(minor, project.currency, { short: true });
  const entries: PaletteEntry[] = views.map((view) => ({
    id: `view ${view.path}`,
    group: 'go to',
    name: view.name,
    detail: `view, key ${view.key}`,
    run: { go: view.path }
  }));
  for (const { path, name, detail } of pagesBeside)
    entries.push({ id: `page ${path}`, group: 'go to', name, detail, run: { go: path } });
  for (const pocket of Object.keys(judgement.money.pockets))
    entries.push({
      id: `pocket ${pocket}`,
      group: 'go to',
      name: `${pocket} pocket`,
      detail: 'choose a part',
      run: { go: `/satchel/${pocket}` }
    });
  const command = (name: string, detail: string, what: Command) =>
    entries.push({ id: what, group: 'do', name, detail, run: { command: what } });
  if (source.undo) command(`Undo: ${source.undo}`, 'Ctrl Z', 'undo');
  if (source.redo) command(`Redo: ${source.redo}`, 'Ctrl Shift Z', 'redo');
  command('Switch between light and dark theme', 'theme', 'theme');
  command('Show the keys', '?', 'keys');
  command('Plans and projects', 'rename, branch, delete, open another', 'plans');
  command('Save a satchel file', 'everything in one file', 'save file');
  command(`Branch ${plan.name}`, 'another plan that begins as this one', 'branch');
  command('Begin an empty plan', 'another way to spend it', 'new plan');
  for (const other of project.plans)
    if (other.id !== plan.id)
      entries.push({
        id: `plan ${other.id}`,
        group: 'do',
        name: `Show ${other.name}`,
        detail: `plan of ${other.lines.length} lines`,
        run: { act: { type: 'show plan', planId: other.id } }
      });
  const said = new Set<string>();
  for (const finding of judgement.findings) {
    if (isQuestion(finding) || said.has(finding.title())) continue;
    said.add(finding.title());
    for (const remedy of remedies[finding.key] ?? [])
      entries.push({
        id: `remedy ${finding.key} ${remedy.label}`,
        group: 'to settle',
        name: remedy.label,
        detail: `settles “${finding.title()}”${remedy.costMinor === 0 ? '' : `, ${money(remedy.costMinor)}`}`,
        run: { findingKey: finding.key, remedy }
      });
  }
  for (const gear of shelf.items) {
    const alsoCalled = partDetail(gear);
    entries.push({
      id: `part ${gear.id}`,
      group: 'part',
      name: fullName(gear),
      detail: `${gearKinds[gear.kind].name}${gear.priceNew ? `, ${money(gear.priceNew.likely)}` : ''}`,
      alsoCalled,
      run: { go: `/shelf/${gear.id}` }
    });
    entries.push({
      id: `take ${gear.id}`,
      group: 'part',
      name: `Add ${fullName(gear)} to kit`,
      detail: `${pocketOf(gear)} pocket`,
      alsoCalled,
      run: { act: { type: 'add line', line: newLine(plan, gear) } }
    });
  }
  return entries;
}

/** Shown before anything is typed: where one goes, what one does, what presses. */
export function firstEntries(entries: readonly PaletteEntry[], most: number): PaletteEntry[] {
  const shown = entries.filter(({ group }) => group !== 'part');
  return [
    ...shown.filter(({ group }) => group === 'to settle').slice(0, 4),
    ...shown.filter(({ group }) => group === 'do'),
    ...shown.filter(({ group }) => group === 'go to')
  ].slice(0, most);
}
