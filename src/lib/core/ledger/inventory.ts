import Papa from 'papaparse';
import { FORMULA_CELL } from '../formats/csv-file';
import { fullName, type GearItem } from '../model/gear';
import { activePlan } from '../model/active-plan';
import type { OwnedPiece } from '../model/owned-piece';
import type { PlanLine } from '../model/plan';
import type { Project } from '../model/project';
import type { Shelf } from '../model/shelf';
import { daysBetween } from '../money/days';
import { minorPerMajor } from '../money/format';

/** A project with the shelf its plans are made from. */
export interface CountingProject {
  project: Project;
  shelf: Shelf;
}

/** How many of a part the plan shown of one project counts as there. */
export interface CountedIn {
  projectId: string;
  name: string;
  pieces: number;
}

/** What is owned of one part, with what is known of it. */
export interface InventoryRow {
  gearId: string;
  gear: GearItem | undefined;
  name: string;
  /** What a person has written down of it; undefined where only a plan says that it is owned. */
  record: OwnedPiece | undefined;
  quantity: number;
  countedIn: readonly CountedIn[];
  boughtOn: string | undefined;
  /** Whole days since it was bought and since it was last checked. */
  ageDays: number | undefined;
  checkedDays: number | undefined;
  /** What as many would cost today, new where it is sold new; undefined without a price in this money, zero once gone. */
  replacementMinor: number | undefined;
  /** Bodies of the inventory that a lens fits, by name. */
  fits: readonly string[];
  /** A plan counts on more than is at hand, in words; empty where none does. */
  missing: string;
}

export interface Inventory {
  rows: readonly InventoryRow[];
  replacementMinor: number;
  /** Pieces that nobody knows a price of. */
  unpriced: number;
}

/** Things not looked at for so long are looked at again. */
export const CHECK_AFTER_DAYS = 365;

const isThere = ({ state, step }: PlanLine): boolean =>
  (state === 'owned' || state === 'bought') && step !== 'later';

function countedIn(projects: readonly CountingProject[], gearId: string): CountedIn[] {
  return projects.flatMap(({ project }): CountedIn[] => {
    const pieces = activePlan(project)
      .lines.filter((line) => line.gearId === gearId && isThere(line))
      .reduce((sum, { quantity }) => sum + quantity, 0);
    return pieces > 0 ? [{ projectId: project.id, name: project.name, pieces }] : [];
  });
}

const inHand = ({ state }: OwnedPiece): boolean => state === 'here' || state === 'lent';

function replacement(gear: GearItem | undefined, currency: string, pieces: number) {
  const price = gear?.priceNew ?? gear?.priceUsed;
  return price?.currency === currency ? price.likely * pieces : undefined;
}

/** The mount a lens has, or a body takes lenses by. */
const mountOf = (gear: GearItem | undefined): string | undefined =>
  gear?.kind === 'lens'
    ? gear.mount
    : gear?.kind === 'body'
      ? gear.ports.find(({ role }) => role === 'lens')?.type
      : undefined;

/** What is owned, over all projects: lines that say so, and what was written down of them. */
export function inventoryOf(
  projects: readonly CountingProject[],
  records: readonly OwnedPiece[],
  shelf: Shelf,
  currency: string,
  today: string
): Inventory {
  const gearOf = (gearId: string): GearItem | undefined =>
    shelf.byId.get(gearId) ??
    projects.map(({ shelf: own }) => own.byId.get(gearId)).find((gear) => gear !== undefined);
  const lines = projects.flatMap(({ project }) => activePlan(project).lines.filter(isThere));
  const gearIds = [
    ...new Set([...lines.map(({ gearId }) => gearId), ...records.map(({ gearId }) => gearId)])
  ];
  const rows = gearIds.flatMap((gearId): InventoryRow[] => {
    const gear = gearOf(gearId);
    const counted = countedIn(projects, gearId);
    const own = records.filter((record) => record.gearId === gearId);
    const here = own
      .filter(({ state }) => state === 'here')
      .reduce((sum, { quantity }) => sum + quantity, 0);
    const short = own.length === 0 ? [] : counted.filter(({ pieces }) => pieces > here);
    const missing = short
      .map(
        ({ name, pieces }) => `${name} counts on ${pieces}, ${here === 0 ? 'none' : here} at hand`
      )
      .join('; ');
    const days = (day: string | undefined) =>
      day === undefined ? undefined : Math.max(0, daysBetween(day, today));
    const rowOf = (record: OwnedPiece | undefined): InventoryRow => {
      const paid = lines.find((line) => line.gearId === gearId && line.paidOn !== undefined);
      const quantity = record?.quantity ?? Math.max(...counted.map(({ pieces }) => pieces));
      const boughtOn = record ? record.boughtOn : paid?.paidOn;
      return {
        gearId,
        gear,
        name: gear ? fullName(gear) : (record?.name ?? gearId),
        record,
        quantity,
        countedIn: counted,
        boughtOn,
        ageDays: days(boughtOn),
        checkedDays: days(record?.checkedOn),
        replacementMinor: record && !inHand(record) ? 0 : replacement(gear, currency, quantity),
        fits: [],
        missing
      };
    };
    return own.length === 0 ? [rowOf(undefined)] : own.map(rowOf);
  });
  const bodies = rows.filter(
    ({ gear, record }) => gear?.kind === 'body' && (!record || inHand(record))
  );
  const fitted = rows
    .map((row): InventoryRow => {
      const mount = row.gear?.kind === 'lens' ? mountOf(row.gear) : undefined;
      return mount === undefined
        ? row
        : {
            ...row,
            fits: [
              ...new Set(
                bodies.filter(({ gear }) => mountOf(gear) === mount).map(({ name }) => name)
              )
            ]
          };
    })
    .sort((a, b) => a.name.localeCompare(b.name));
  return {
    rows: fitted,
    replacementMinor: fitted.reduce((sum, { replacementMinor = 0 }) => sum + replacementMinor, 0),
    unpriced: fitted.filter(({ replacementMinor }) => replacementMinor === undefined).length
  };
}

/** The inventory as CSV (RFC 4180), for an insurer as well. */
export function inventoryCsv({ rows }: Inventory, currency: string): string {
  const amount = (minor: number | undefined, of = currency) => {
    const perMajor = minorPerMajor(of);
    return minor === undefined ? '' : (minor / perMajor).toFixed(Math.log10(perMajor));
  };
  return `${Papa.unparse(
    {
      fields: [
        'part',
        'part id',
        'pieces',
        'where',
        'bought on',
        'paid',
        'paid in',
        'last checked',
        `replacement value ${currency}`,
        'lent to',
        'lent until',
        'sold for',
        'sold on',
        'counted on by',
        'note'
      ],
      data: rows.map(({ name, gearId, quantity, record, boughtOn, replacementMinor, ...row }) => [
        name,
        gearId,
        quantity,
        record?.state ?? 'here',
        boughtOn ?? '',
        amount(record?.paidMinor, record?.currency),
        record?.paidMinor === undefined ? '' : (record.currency ?? currency),
        record?.checkedOn ?? '',
        amount(replacementMinor),
        record?.lentTo ?? '',
        record?.lentUntil ?? '',
        amount(record?.soldMinor, record?.currency),
        record?.soldOn ?? '',
        row.countedIn.map(({ name: of, pieces }) => `${of} (${pieces})`).join('; '),
        record?.note ?? ''
      ])
    },
    { escapeFormulae: FORMULA_CELL, newline: '\r\n' }
  )}\r\n`;
}
