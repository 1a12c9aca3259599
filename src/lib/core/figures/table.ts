import { awayRows } from './away-rows';
import { colourRows } from './colour-rows';
import { enduranceRows } from './endurance-rows';
import { exposureRows } from './exposure-rows';
import { handlingRows } from './handling-rows';
import { headRows } from './head-rows';
import { heatRows } from './heat-rows';
import { lightRows } from './light-rows';
import { opticsRows } from './optics-rows';
import { type FigureRow, isLeaf } from './rows';
import { soundPathRows } from './sound-path-rows';
import { soundRows } from './sound-rows';
import { stabilityRows } from './stability-rows';

const rows = {
  ...opticsRows,
  ...lightRows,
  ...colourRows,
  ...exposureRows,
  ...soundRows,
  ...soundPathRows,
  ...enduranceRows,
  ...heatRows,
  ...awayRows,
  ...handlingRows,
  ...stabilityRows,
  ...headRows
};
export type FigureId = keyof typeof rows;

/** The one table of figures. */
export const figureTable: Readonly<Record<FigureId, FigureRow>> = rows;

/** Figures in an order in which every one stands after those it is computed from. */
function sorted(): FigureId[] {
  const order: FigureId[] = [];
  const done = new Set<string>();
  const open = new Set<string>();
  const visit = (id: string) => {
    if (done.has(id)) return;
    const row = figureTable[id as FigureId];
    if (!row) throw new Error(`The figure table has no row "${id}".`);
    if (open.has(id)) throw new Error(`The figure "${id}" is computed from itself.`);
    open.add(id);
    if (!isLeaf(row)) row.from.forEach(visit);
    open.delete(id);
    done.add(id);
    order.push(id as FigureId);
  };
  Object.keys(figureTable).forEach(visit);
  return order;
}

export const figureOrder: readonly FigureId[] = sorted();
export const figureIndex = Object.fromEntries(
  figureOrder.map((id, index) => [id, index])
) as Readonly<Record<FigureId, number>>;
