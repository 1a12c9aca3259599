import type { Pocket } from '../pocket';
import type { Port } from '../ports';
import type { GearBase } from './base';

/** How a gist says lengths and masses: in the person's units. */
export interface GistWords {
  length: (metres: number) => string;
  mass: (kg: number) => string;
}

/** Everything the app knows of a kind of part besides the figures its class states. */
export interface KindDescriptor<G extends GearBase> {
  pocket: Pocket;
  /** What people call it. */
  name: string;
  /** Names of fields that only this kind has; those of several kinds stand in `spec-sheet.ts`. */
  fields?: Readonly<Record<string, string>>;
  /** The job a part does in a kit: one of the same job takes another's place. Small joining parts only ever join. */
  job?: (gear: G) => string | undefined;
  /** Ports that follow from its other figures. */
  impliedPorts?: (part: Readonly<Record<string, unknown>>) => Port[];
  /** The ends by which it leads on in a chain of power or cards, apart from its ports. */
  supplyEnds?: (gear: G) => Port[];
  /** A part in half a line: what one asks about it first. Unstated figures say so. */
  gist: (gear: G, words: GistWords) => string;
  /** Which drawing stands for it; the one of its kind unless stated. */
  drawing?: (gear: G) => string;
}
