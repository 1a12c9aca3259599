import { slug } from '../core/model/slug';
import { impliedPorts, type GearItem, type GearKind, gearKinds } from '../core/model/gear';
import type { Price } from '../core/model/gear/price';
import type { Port, PortEnd, PortFamily, PortRole } from '../core/model/ports';
import type { Project } from '../core/model/project';
import { makeShelf, type Shelf } from '../core/model/shelf';
import { pricedFor } from '../core/money/priced-shelf';
import { type ShelfTable, shelfTables } from './shelf-tables';

/** Prices of the shelf are in pounds and pence. */
const SHELF_CURRENCY = 'GBP';
const PENCE = 100;

/** `[low, likely, high, day, source]`, in whole pounds. */
function priceFrom(cell: [number, number, number, string, string]): Price {
  const [low, likely, high, date, source] = cell;
  return {
    low: low * PENCE,
    likely: likely * PENCE,
    high: high * PENCE,
    currency: SHELF_CURRENCY,
    date,
    source
  };
}

/** `role family type end`, the type possibly of several words: `carries mechanical 5/8 stud plug`. */
function portFrom(text: string): Port {
  const words = text.split(' ');
  return {
    role: words[0] as PortRole,
    family: words[1] as PortFamily,
    type: words.slice(2, -1).join(' '),
    end: words.at(-1) as PortEnd
  };
}

function partFrom(table: ShelfTable, row: unknown[]): GearItem {
  const kind = table.kind as GearKind;
  const part: Record<string, unknown> = { kind };
  for (const [index, column] of table.columns.entries()) {
    const cell = row[index];
    if (cell === null || cell === undefined) continue;
    switch (column) {
      case 'new':
        part.priceNew = priceFrom(cell as Parameters<typeof priceFrom>[0]);
        break;
      case 'used':
        part.priceUsed = priceFrom(cell as Parameters<typeof priceFrom>[0]);
        break;
      case 'size': {
        const [width, height, depth] = cell as number[];
        part.sizeMm = { width, height, depth };
        break;
      }
      case 'ports':
        part.ports = (cell as string[]).map(portFrom);
        break;
      case 'modes':
        part.modes = (cell as unknown[][]).map((mode) => modeFrom(table.modeColumns!, mode));
        break;
      case 'more':
        Object.assign(part, cell);
        break;
      default:
        part[column] = cell;
    }
  }
  part.id = slug(`${String(part.maker)} ${String(part.model)}`);
  part.ports = [...((part.ports as Port[] | undefined) ?? []), ...impliedPorts(kind, part)];
  return part as unknown as GearItem;
}

/** The same parts, all of one shape: an engine reads a field many times faster where it always lies in one place. */
function alike(parts: readonly GearItem[]): GearItem[] {
  const unsaid = Object.fromEntries(
    [...new Set(parts.flatMap((part) => Object.keys(part)))]
      .sort()
      .map((field) => [field, undefined])
  );
  return parts.map((part) => ({ ...unsaid, ...part }));
}

/** A row of a body's modes; no figure where clips end says that they do not. */
function modeFrom(columns: readonly string[], cells: readonly unknown[]) {
  const stated = columns
    .map((name, index) => [name, cells[index]] as const)
    .filter(([, value]) => value !== null);
  const endless = cells[columns.indexOf('recordLimitMin')] === null;
  return { ...Object.fromEntries(stated), ...(endless ? { noRecordLimit: true } : {}) };
}

/** The shelf that ships with the app: invented makers, models, mounts and batteries. */
export const catalogue: Shelf = makeShelf(
  shelfTables.flatMap((table) => {
    if (!(table.kind in gearKinds))
      throw new Error(`The shelf has a table of unknown kind "${table.kind}".`);
    return alike(table.rows.map((row) => partFrom(table, row)));
  })
);

const shelvesByOwn = new WeakMap<readonly GearItem[], Shelf>();

/** The shelf as one project sees it: the shipped one with the person's own parts before it, priced in its currency. */
export function shelfOf(project: Pick<Project, 'ownGear' | 'currency' | 'rates'>): Shelf {
  return pricedFor(project, statedShelf(project.ownGear));
}

function statedShelf(ownGear: readonly GearItem[]): Shelf {
  if (ownGear.length === 0) return catalogue;
  let shelf = shelvesByOwn.get(ownGear);
  if (!shelf) shelvesByOwn.set(ownGear, (shelf = makeShelf(catalogue.items, ownGear)));
  return shelf;
}
