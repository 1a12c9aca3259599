import type { UnitSystem } from '../../core/model/project';

/** How a figure kept in SI units is shown to people who measure otherwise. */
export interface ShownUnit {
  unit: string;
  step: number;
  fromSi: (si: number) => number;
  toSi: (shown: number) => number;
}

const scaled = (unit: string, siPerUnit: number, step: number): ShownUnit => ({
  unit,
  step,
  fromSi: (si) => si / siPerUnit,
  toSi: (shown) => shown * siPerUnit
});

const imperial: Readonly<Record<string, ShownUnit>> = {
  m: scaled('in', 0.0254, 0.5),
  'm²': scaled('ft²', 0.3048 ** 2, 0.5),
  'm/s': scaled('mph', 0.44704, 1),
  '°C': {
    unit: '°F',
    step: 1,
    fromSi: (si) => (si * 9) / 5 + 32,
    toSi: (shown) => ((shown - 32) * 5) / 9
  }
};

/** The unit a figure is shown and typed in; undefined where it is shown as it is kept. */
export function shownUnit(unit: string, units: UnitSystem): ShownUnit | undefined {
  return units === 'imperial' ? imperial[unit] : undefined;
}

/** A figure with its unit, in the person's own units. */
export function shownFigure(si: number, unit: string, units: UnitSystem): string {
  const shown = shownUnit(unit, units);
  return shown ? `${Math.round(shown.fromSi(si))} ${shown.unit}` : `${si} ${unit}`;
}

/** A room by its three sides. */
export function roomFigure(
  { lengthM, widthM, heightM }: { lengthM: number; widthM: number; heightM: number },
  units: UnitSystem
): string {
  if (units === 'metric') return `${lengthM} × ${widthM} × ${heightM} m`;
  const feet = (metres: number) => Math.round((metres / 0.3048) * 2) / 2;
  return `${feet(lengthM)} × ${feet(widthM)} × ${feet(heightM)} ft`;
}
