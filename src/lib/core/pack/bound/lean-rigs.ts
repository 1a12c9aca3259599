import { computeFigures, type FigureRecord, type FigureSet } from '../../figures/record';
import { activePlan } from '../../model/active-plan';
import type { GearItem, GearKind, GearOf } from '../../model/gear';
import { newLine } from '../../model/new-line';
import type { Plan, PlanLine, Rig } from '../../model/plan';
import { pockets } from '../../model/pocket';
import type { SupportForm } from '../../model/gear/support';
import type { Scene } from '../../model/scene';
import { NO_PART } from '../../model/word-lists';
import { type Kit, type KitPart, makeKit } from '../../rigs/kit';
import { lampsFor } from '../../rigs/place-lamps';
import { lensMounts, mountOf } from '../../rigs/place-lens';
import { micPlacesFor } from '../../rigs/place-mic';
import { bodiesFor, overridesOf, placeRig } from '../../rigs/place-rig';
import type { PlacedRig } from '../../rigs/placed-rig';
import { supportsByPlace } from '../../rigs/places';
import type { PackFrame } from '../pack-rules';

/** A way to do one job of a rig: the parts it takes, and what they cost beside what stays in the kit anyway. */
export interface Way {
  readonly choice: Partial<Rig>;
  readonly lines: readonly PlanLine[];
  readonly priceMinor: number;
}

/** A rig with those of its figures that were asked for. */
export interface ReckonedRig {
  rig: PlacedRig;
  record: FigureRecord;
}

/** Of each part that may come in, so many pieces: more than any kit is better for. */
const PIECES = 9;

/** Parts that lift what a rig is worth without being chosen for it: there for every rig, and for nothing. */
const alwaysThere: ReadonlySet<GearKind> = new Set([
  'windscreen',
  'mount adapter',
  'thread adapter'
]);
/** What shows oneself, and weighs. */
const beforeOneself: ReadonlySet<GearKind> = new Set(['mirror box']);
/** What is in the way of nothing that powers, stores and records: the rest of a rig draws and weighs. */
const restsOn: ReadonlySet<GearKind> = new Set([
  'body',
  'lens',
  'microphone',
  'lamp',
  'support',
  'head',
  'monitor',
  'capture device',
  'router'
]);
/** What lifts only how light falls through a lens. */
const beforeTheLens: ReadonlySet<GearKind> = new Set(['filter', 'step-up ring']);

const nothing = { lines: [], priceMinor: 0 };

/**
 * Rigs of one scene's first angle, placed and reckoned with nothing in the kit but their own parts and what lifts
 * any rig for nothing: so a rig is worth at least as much here as in any kit that holds it.
 */
export class LeanRigs {
  readonly #plan: Plan;
  readonly #all: Kit;
  readonly #always: readonly PlanLine[];
  readonly #withFilters: readonly PlanLine[];
  readonly #supplies: readonly PlanLine[];
  readonly #withMirror: readonly PlanLine[];
  readonly #said: Rig;
  readonly #angle: Scene['angles'][number];

  /**
   * @param rigs how the person has it used; a kit that leaves a part out leaves out what was said of it
   * @param priceOf what one more piece of a line costs; what stays in the kit costs nothing more
   * @param isAllowed whether some parts keep to the limits of their pockets
   */
  constructor(
    private readonly frame: PackFrame,
    private readonly scene: Scene,
    rigs: Plan['rigs'],
    readonly priceOf: (line: PlanLine) => number,
    private readonly isAllowed: (lines: readonly PlanLine[]) => boolean
  ) {
    const own = activePlan(frame.project);
    const lines = [...own.lines];
    const plan = { ...own, rigs, lines };
    const there = new Set(lines.map(({ gearId }) => gearId));
    for (const pocket of pockets)
      for (const gear of frame.parts[pocket])
        if (!there.has(gear.id))
          lines.push({ ...newLine(plan, gear, PIECES), basis: frame.basisOf(gear) });
    for (const [index, line] of lines.entries())
      if (!frame.isFixed(line)) lines[index] = { ...line, quantity: PIECES };
    this.#plan = plan;
    this.#all = makeKit(plan, frame.shelf);
    const those = (isIn: (gear: GearItem) => boolean) =>
      lines.filter((line) => {
        const gear = this.gearOf(line);
        return gear && isIn(gear);
      });
    this.#always = those((gear) => alwaysThere.has(gear.kind) || isBoom(gear));
    this.#withFilters = [...this.#always, ...those(({ kind }) => beforeTheLens.has(kind))];
    this.#withMirror = [...this.#always, ...those(({ kind }) => beforeOneself.has(kind))];
    this.#supplies = those(({ kind }) => !restsOn.has(kind));
    this.#angle = scene.angles[0]!;
    this.#said = {
      ...overridesOf(plan, scene, this.#angle),
      sceneId: scene.id,
      angleId: this.#angle.id
    };
  }

  isFixed(line: PlanLine): boolean {
    return this.frame.isFixed(line);
  }

  /** All parts of a kind that may be in a kit, each with as many pieces as it may have. */
  parts<K extends GearKind>(kind: K): readonly KitPart<GearOf<K>>[] {
    return this.#all.of(kind);
  }

  /** The part of a kind that a way takes. */
  partOf<K extends GearKind>(kind: K, { lines }: Way): KitPart<GearOf<K>> | undefined {
    return this.parts(kind).find(({ line }) => lines.some(({ id }) => id === line.id));
  }

  /** The scene makes its own light, and without a lamp it is stopped. */
  get needsLamp(): boolean {
    return this.scene.room !== undefined && this.scene.lightSource === 'lamps';
  }

  /** Nothing but a hand and what flies goes without. */
  needsSupport(body: Way): boolean {
    return this.#angle.cameraPlace !== 'hand' && this.partOf('body', body)?.gear.form !== 'drone';
  }

  /** What the key lamp stands on costs at least; nothing where somebody has put it on a support. */
  cheapestStandMinor(): number {
    const isPut = this.#said.lamps?.some(({ standLineId }) => standLineId !== undefined);
    return isPut === true ? 0 : this.#cheapestSupportMinor('light stand');
  }

  /** What holds a microphone at a place beside the camera costs at least. */
  cheapestHolderMinor({ choice }: Way): number {
    return choice.micPlace === 'boom arm' ? this.#cheapestSupportMinor('boom arm') : 0;
  }

  #cheapestSupportMinor(form: SupportForm): number {
    const those = this.parts('support').filter(({ gear }) => gear.form === form);
    const cheapest = Math.min(...those.map(({ line }) => this.priceOf(line)));
    return Number.isFinite(cheapest) ? cheapest : 0;
  }

  private gearOf(line: PlanLine): GearItem | undefined {
    return this.frame.shelf.byId.get(line.gearId);
  }

  #way(choice: Partial<Rig>, lines: readonly PlanLine[]): Way {
    const priceMinor = lines.reduce((sum, line) => sum + this.priceOf(line), 0);
    return { choice, lines, priceMinor };
  }

  /** Ways that keep to the limits of the pockets. */
  #allowed(ways: readonly Way[]): Way[] {
    return ways.filter(({ lines }) => this.isAllowed(lines));
  }

  bodies(): Way[] {
    return this.#allowed(
      bodiesFor(this.#all, this.#angle, this.#said, none)
        .filter(({ line }) => isOpen(this.#said.bodyLineId, line.id))
        .map(({ line }) => this.#way({ bodyLineId: line.id }, [line]))
    );
  }

  /** Lenses that go on a body, themselves or through an adapter; one way without any where it cannot come off. */
  lenses(body: Way): Way[] {
    const part = this.#all.of('body').find(({ line }) => line.id === body.choice.bodyLineId);
    if (!part || part.gear.builtInLens) return [{ choice: {}, ...nothing }];
    const mount = mountOf(part);
    return this.#allowed(
      this.#all
        .of('lens')
        .filter(
          ({ line, gear }) =>
            isOpen(this.#said.lensLineId, line.id) &&
            lensMounts(this.#all, { builtIn: false, gear }, mount)
        )
        .map(({ line }) => this.#way({ lensLineId: line.id }, [line]))
    );
  }

  supports(): Way[] {
    const forms: readonly string[] = supportsByPlace[this.#angle.cameraPlace];
    const ways = this.#all
      .of('support')
      .filter(
        ({ line, gear }) => forms.includes(gear.form) && isOpen(this.#said.supportLineId, line.id)
      )
      .map(({ line }) => this.#way({ supportLineId: line.id }, [line]));
    return this.#said.supportLineId === undefined
      ? [...this.#allowed(ways), without('supportLineId')]
      : this.#allowed(ways);
  }

  mics(): Way[] {
    const { micLineId, micPlace } = this.#said;
    if (this.scene.voice === 'none') return [{ choice: {}, ...nothing }];
    const ways = this.#all.of('microphone').flatMap(({ line, gear }) =>
      isOpen(micLineId, line.id)
        ? micPlacesFor(this.#all, this.scene, gear)
            .filter((place) => micPlace === undefined || place === micPlace)
            .map((place) => this.#way({ micLineId: line.id, micPlace: place }, [line]))
        : []
    );
    return micLineId === undefined || micLineId === NO_PART
      ? [...this.#allowed(ways), without('micLineId')]
      : this.#allowed(ways);
  }

  /** Key and fill; where somebody has said where lamps stand, those are what there is. */
  lamps(): Way[] {
    const { keyLampLineId, fillLampLineId } = this.#said;
    const hasSocket = this.scene.daysWithoutSocket === 0;
    const lines = [
      ...new Set(lampsFor(this.#all, this.scene, hasSocket, this.#said).map(({ line }) => line))
    ];
    const ways: Way[] = [];
    for (const key of lines) {
      if (!isOpen(keyLampLineId, key.id)) continue;
      if (fillLampLineId === undefined || fillLampLineId === NO_PART)
        ways.push(this.#way({ keyLampLineId: key.id, fillLampLineId: NO_PART }, [key]));
      for (const fill of lines)
        if (isOpen(fillLampLineId, fill.id) && (fill !== key || key.quantity > 1))
          ways.push(this.#way({ keyLampLineId: key.id, fillLampLineId: fill.id }, [key, fill]));
    }
    const allowed = this.#allowed(ways);
    return keyLampLineId === undefined || allowed.length === 0
      ? [...allowed, without('keyLampLineId')]
      : allowed;
  }

  /** Lines this scene can use at all, by their ids. */
  usable(): Set<string> {
    const bodies = this.bodies();
    const lenses = bodies.flatMap((body) => this.lenses(body));
    const ways = [lenses, this.supports(), this.mics(), this.lamps(), this.recorders()].flat();
    return new Set([...bodies, ...ways].flatMap(({ lines }) => lines.map(({ id }) => id)));
  }

  /** Bodies with each lens that goes on them, times the supports. */
  get size(): number {
    const supports = this.supports().length;
    return this.bodies().reduce((sum, body) => sum + this.lenses(body).length * supports, 0);
  }

  /** Recorders a voice can go into in place of the body, and none. */
  recorders(): Way[] {
    return [
      { choice: {}, ...nothing },
      ...this.#allowed(this.#all.of('recorder').map(({ line }) => this.#way({}, [line])))
    ];
  }

  /** A rig of some ways together, with its figures; the light through its lens is not what filters make of it. */
  rig(figures: FigureSet, ...ways: readonly Way[]): ReckonedRig {
    return this.#placed(figures, this.#always, ways);
  }

  /** The same with every filter there is, and rings to screw it on. */
  litRig(figures: FigureSet, ...ways: readonly Way[]): ReckonedRig {
    return this.#placed(figures, this.#withFilters, ways);
  }

  /** The same with a mirror to see oneself in. */
  mirroredRig(figures: FigureSet, ...ways: readonly Way[]): ReckonedRig {
    return this.#placed(figures, this.#withMirror, ways);
  }

  /** The same beside everything that powers, stores and records, many pieces of each. */
  suppliedRig(figures: FigureSet, ...ways: readonly Way[]): ReckonedRig {
    return this.#placed(figures, this.#supplies, ways);
  }

  #placed(figures: FigureSet, always: readonly PlanLine[], ways: readonly Way[]): ReckonedRig {
    const lines = new Map(always.map((line) => [line.id, line]));
    let batteries = false;
    const asked: Partial<Rig> = { ...this.#said };
    for (const { choice, lines: own } of ways) {
      Object.assign(asked, choice);
      for (const line of own) {
        lines.set(line.id, line);
        batteries ||= this.gearOf(line)?.kind === 'lamp';
      }
    }
    // A lamp burns only with a battery in the kit that fits it, where there is no socket.
    if (batteries) for (const { line } of this.#all.of('battery')) lines.set(line.id, line);
    const plan = { ...this.#plan, lines: [...lines.values()] };
    const kit = makeKit(plan, this.frame.shelf);
    const { project } = this.frame;
    const rig = placeRig(project, plan, kit, this.scene, this.#angle, new Map(), asked as Rig);
    return { rig, record: computeFigures([rig], [], figures)[0]! };
  }
}

const none: ReadonlyMap<string, number> & Map<string, number> = new Map();
const isOpen = (said: string | undefined, lineId: string): boolean =>
  said === undefined || said === lineId;
const isBoom = (gear: GearItem): boolean => gear.kind === 'support' && gear.form === 'boom arm';
const without = (job: 'supportLineId' | 'micLineId' | 'keyLampLineId'): Way => ({
  choice: { [job]: NO_PART },
  ...nothing
});
