import {
  celsiusOf,
  fahrenheitOf,
  METRES_PER_FOOT,
  METRES_PER_INCH,
  MPS_PER_MPH
} from '../../core/model/imperial';
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
  m: scaled('in', METRES_PER_INCH, 0.5),
  'm²': scaled('ft²', METRES_PER_FOOT ** 2, 0.5),
  'm/s': scaled('mph', MPS_PER_MPH, 1),
  '°C': {
    unit: '°F',
    step: 1,
    fromSi: fahrenheitOf,
    toSi: celsiusOf
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
  const feet = (metres: number) => Math.round((metres / METRES_PER_FOOT) * 2) / 2;
  return `${feet(lengthM)} × ${feet(widthM)} × ${feet(heightM)} ft`;
}
