import { describe, expect, it } from 'vitest';
import { demoProject } from '$lib/catalogue/demos/saltmarsh-loom';
import { shelfOf } from '$lib/catalogue/load-catalogue';
import { applyAct } from '../acts/apply-act';
import { activePlan } from '../model/active-plan';
import type { OwnedPiece } from '../model/owned-piece';
import type { Project } from '../model/project';
import { readCsvText } from '../formats/csv-file';
import { inventoryCsv, inventoryOf } from './inventory';
import { shootEvenings } from './evenings';

const demo = demoProject();
const shelf = shelfOf(demo);
const TODAY = '2026-11-29';
const bought = (project: Project, ...lineIds: string[]) =>
  lineIds.reduce(
    (project, lineId) =>
      applyAct(project, {
        type: 'change line',
        lineId,
        patch: { state: 'bought', paidOn: '2026-05-29' }
      }),
    project
  );
const lens = activePlan(demo).lines.find(({ id }) => id === 'line-4')!;
const lensPrice = shelf.byId.get(lens.gearId)!.priceNew!.likely;
const record = (patch: Partial<OwnedPiece> = {}): OwnedPiece => ({
  id: 'piece-1',
  gearId: lens.gearId,
  name: 'the lens',
  quantity: 1,
  state: 'here',
  ...patch
});
const of = (projects: Project[], records: OwnedPiece[] = []) =>
  inventoryOf(
    projects.map((project) => ({ project, shelf })),
    records,
    shelf,
    'GBP',
    TODAY
  );

describe('the inventory', () => {
  it('holds what plans say is owned or bought, once over all projects', () => {
    const project = bought(demo, 'line-3', 'line-4');
    const other = { ...bought(demo, 'line-4'), id: 'second', name: 'Second loom' };
    const owned = activePlan(demo).lines.filter(({ state }) => state === 'owned');
    const { rows, replacementMinor } = of([project, other]);
    expect(rows).toHaveLength(new Set(owned.map(({ gearId }) => gearId)).size + 2);
    const row = rows.find(({ gearId }) => gearId === lens.gearId)!;
    expect(row.quantity).toBe(1);
    expect(row.countedIn.map(({ name }) => name)).toEqual([demo.name, 'Second loom']);
    expect(row.ageDays).toBe(184);
    expect(row.replacementMinor).toBe(lensPrice);
    expect(replacementMinor).toBe(
      rows.reduce((sum, { replacementMinor: own = 0 }) => sum + own, 0)
    );
  });

  it('says which bodies a lens fits, and leaves out bodies that are gone', () => {
    const project = bought(demo, 'line-3', 'line-4');
    const fits = (records: OwnedPiece[] = []) =>
      of([project], records).rows.find(({ gearId }) => gearId === lens.gearId)!.fits;
    expect(fits()).toEqual(['Orrowby Linnet']);
    expect(fits([record({ gearId: 'orrowby-linnet', state: 'sold' })])).toEqual([]);
  });

  it('tells a plan that counts on what is lent, worn out or sold', () => {
    const project = bought(demo, 'line-4');
    for (const state of ['lent', 'retired', 'sold'] as const) {
      const row = of([project], [record({ state })]).rows.find(
        ({ gearId }) => gearId === lens.gearId
      )!;
      expect(row.missing).toBe(`${demo.name} counts on 1, none at hand`);
      expect(row.replacementMinor).toBe(state === 'lent' ? lensPrice : 0);
    }
    expect(of([project], [record()]).rows.every(({ missing }) => missing === '')).toBe(true);
    expect(
      of([project], [record({ state: 'lent' }), record({ id: 'piece-2' })]).rows.every(
        ({ missing }) => missing === ''
      )
    ).toBe(true);
  });

  it('keeps what no plan and no shelf knows any more', () => {
    const { rows, unpriced } = of(
      [],
      [record({ gearId: 'gone-long-ago', checkedOn: '2026-11-01' })]
    );
    expect(rows[0]).toMatchObject({
      name: 'the lens',
      checkedDays: 28,
      replacementMinor: undefined
    });
    expect(unpriced).toBe(1);
  });

  it('goes out as a sheet with a row each', () => {
    const text = inventoryCsv(
      of([bought(demo, 'line-4')], [record({ paidMinor: 28_900, currency: 'EUR', note: '=1+1' })]),
      'GBP'
    );
    const parsed = readCsvText(text);
    if (!parsed.ok) throw new Error(parsed.says);
    const row = parsed.rows.find((cells) => cells[1] === lens.gearId)!;
    expect(row.slice(5, 9)).toEqual(['289.00', 'EUR', '', (lensPrice / 100).toFixed(2)]);
    expect(text).toContain("'=1+1");
  });
});

describe('evenings of filming', () => {
  it('lie before and on each date, and scenes of one day share them', () => {
    const scenes = demo.scenes.map((scene, index) => ({
      ...scene,
      day: index < 2 ? 1 : undefined,
      filmedOn: index === 0 ? '2026-12-05' : index === 2 ? '2026-11-29' : undefined
    }));
    const names = scenes.map(({ name }) => name);
    expect(shootEvenings({ scenes }, TODAY)).toEqual([
      { day: '2026-11-29', what: `film ${names[2]}; in the evening copy the cards twice` },
      {
        day: '2026-12-04',
        what: `evening: charge everything and format the cards for ${names[0]} and ${names[1]}`
      },
      {
        day: '2026-12-05',
        what: `film ${names[0]} and ${names[1]}; in the evening copy the cards twice`
      }
    ]);
    expect(shootEvenings(demo, TODAY)).toEqual([]);
  });
});
