import { fullName, type GearItem } from '../../core/model/gear';
import { sheetOf, type SheetField } from '../../core/model/gear/spec-sheet';
import { valueAt } from '../../core/model/gear/stated-at';
import { figureWords } from '../../core/figures/figure-words';
import type { FigureUnit } from '../../core/figures/rows';
import type { StatedUnit } from '../../core/model/stated';
import type { UnitSystem } from '../../core/model/project';

/** One line of a part's sheet as shown; `undefined` is what nobody has stated. */
export interface SheetLine {
  key: string;
  name: string;
  text: string | undefined;
  yesNo: boolean;
}

const measuredInImperial: ReadonlySet<StatedUnit> = new Set(['g', 'kg', 'm', 'm/s', '°C']);

function textOf({ ask }: SheetField, value: unknown, units: UnitSystem): string | undefined {
  if (value === undefined || value === null || value === '') return undefined;
  if (ask.type === 'yes/no') return value ? 'yes' : 'no';
  if (ask.type !== 'number') return String(value as string);
  // Lengths and masses one measures or carries; those of lenses and threads are millimetres everywhere.
  if (units === 'imperial' && measuredInImperial.has(ask.unit))
    return figureWords(value as number, ask.unit as FigureUnit, units);
  return ask.unit === 'count'
    ? String(value as number)
    : ask.unit === 'f/' || ask.unit === 'T'
      ? `${ask.unit}${String(value as number)}`
      : ask.unit === 'ISO'
        ? `ISO ${String(value as number)}`
        : `${String(value as number)} ${ask.unit}`;
}

/** The sheet of a part in the order a maker gives it. */
export function sheetLines(gear: GearItem, units: UnitSystem): SheetLine[] {
  return sheetOf(gear).map((field) => ({
    key: field.key,
    name: field.name,
    text: textOf(field, valueAt(gear, field.key), units),
    yesNo: field.ask.type === 'yes/no'
  }));
}

/** What a person knows without asking a seller. */
const saidByOneself = new Set(['note', 'ownMade']);

/** Questions to a seller, one for each figure of the sheet nobody has stated. */
export function sheetQuestions(gear: GearItem, lines: readonly SheetLine[]): string[] {
  return lines
    .filter(({ key, text }) => text === undefined && !saidByOneself.has(key))
    .map(({ name, yesNo }) =>
      yesNo ? `${fullName(gear)}: ${name}, yes or no?` : `What is the ${name} of ${fullName(gear)}?`
    );
}
