import type { ChanceId } from '../model/rehearsal';
import { bayWattsFor, chargeAtHome, chargeAway, chargeInBays, copyOvernight } from './charging';
import { dropOutShare } from './chances';
import { usualDay } from './day-plan';
import { type DayPlan, type Filming, type PlannedScene, type Use } from './planned-day';
import type {
  Cause,
  DayEvent,
  DayOutcome,
  LostTake,
  Luck,
  SegmentKind,
  Witness
} from './day-outcome';
import { DayHeat } from './day-heat';
import { DayLuck } from './day-luck';
import { CRUMB, DayState } from './day-state';
import type { HeatCurve } from './heating';

/** A swap takes so long. */
const SWAP_MIN = 1.5;
/** A battery that was not charged holds this share, and a card that was not emptied has this share left. */
const NOT_CHARGED_SHARE = 0.25;
const NOT_EMPTIED_SHARE = 0.6;
/** The wind that the chance of a gust is stated for. */
const GUST_AT_MPS = 5;
/** The evening is shown for so long, or until everything is copied. */
const EVENING_MIN = 120;
/** A battery is ready from this share of what it holds, a card from this share of its room. */
const READY_SHARE = 0.95;
/** Longer than this nobody waits for a battery before one take. */
const MOST_WAITED_MIN = 90;
const HOME_C = 20;
const DAY_MIN = 24 * 60;
/**
 * Runs a day: from the first step out of the house to the evening, or over all the days away.
 *
 * @param luck what chance there is; left out, the day goes as planned
 * @param witness is told what happens when; a day without one runs faster
 */
export function runDay(plan: DayPlan, luck?: Luck, witness?: Witness): DayOutcome {
  return new DayRun(plan, luck, witness).run();
}

/** The first fault of a take, and after how many of its minutes. */
interface Fault {
  cause: Cause;
  lineId: string;
  name: string;
  after: number;
}

class DayRun {
  private readonly state: DayState;
  private readonly lost: LostTake[] = [];
  private clock: number;
  private day = 0;
  private hadLunch = false;
  private readonly luck: DayLuck;
  private readonly heat: DayHeat;
  private readonly leftOn: boolean[];
  /** Switches of the scene, by their place, that nobody has touched. */
  private readonly off = new Set<number>();
  private isSetWrong = false;

  constructor(
    private readonly plan: DayPlan,
    luck: Luck | undefined,
    private readonly witness: Witness | undefined
  ) {
    this.state = new DayState(plan);
    this.luck = new DayLuck(luck, plan.chances);
    this.heat = new DayHeat(plan, this.state, this.luck, witness);
    this.clock = plan.startsAtMin;
    this.leftOn = plan.devices.map(() => false);
  }

  run(): DayOutcome {
    const { plan, state } = this;
    this.leaveHome();
    const startWh = state.energyWh();
    const startFreeGb = state.freeSpaceGb();
    let takes = 0;
    for (this.day = 0; this.day < plan.days; this.day++) {
      this.luck.begin(this.day);
      if (this.day > 0) this.night();
      this.hadLunch = plan.lunchMin === 0;
      let carriedBack = 0;
      for (const [index, scene] of plan.scenes.entries()) {
        this.pass('carried', Math.max(carriedBack, scene.carryMin), index, -1);
        this.playScene(scene, index);
        takes += scene.takes;
        carriedBack = scene.carryMin;
      }
      this.pass('carried', carriedBack, plan.scenes.length - 1, -1);
      this.leftOn.fill(false);
    }
    const homeWh = state.energyWh();
    this.evening();
    return {
      takes,
      lost: this.lost,
      endsAtMin: this.clock,
      startWh,
      homeWh,
      endWh: state.energyWh(),
      startFreeGb,
      endFreeGb: state.freeSpaceGb(),
      books: state.books
    };
  }

  /** Batteries full, cards empty, each in its place: but for what was forgotten in the evening. */
  private leaveHome(): void {
    const { plan, state } = this;
    for (const [index, { capacity, key }] of plan.pieces.entries()) {
      state.full[index] = capacity * this.luck.spread('battery spread', key);
      state.held[index] =
        state.full[index]! *
        (this.luck.happens('battery not charged', key, 0) ? NOT_CHARGED_SHARE : 1);
    }
    for (const [index, { gigabytes, isBuiltIn, key }] of plan.cards.entries())
      state.freeGb[index] =
        gigabytes *
        (!isBuiltIn && this.luck.happens('card not emptied', key, 0) ? NOT_EMPTIED_SHARE : 1);
    for (const device of plan.devices.keys()) state.insertBest(device);
    for (const recording of plan.recordings.keys()) state.insertCard(recording);
    state.heatC.fill(plan.scenes[0]?.celsius ?? HOME_C);
    this.witness?.levels(this.clock, state);
  }

  private playScene(scene: PlannedScene, sceneIndex: number): void {
    const { plan } = this;
    this.leftOn.fill(false);
    this.waitFor(scene, sceneIndex);
    const setUpMin = scene.setUpMin * plan.setUpFactor;
    this.pass('set-up', setUpMin * this.luck.spread('set-up spread', scene.key), sceneIndex, -1);
    this.off.clear();
    for (const [place, { key }] of scene.switches.entries())
      if (this.luck.happens('switch left off', key ^ scene.key, 0)) this.off.add(place);
    this.isSetWrong = this.luck.happens('setting left wrong', scene.key, 0);
    for (const { device } of scene.uses) {
      const { canBeLeftOn, key } = plan.devices[device]!;
      this.leftOn[device] =
        canBeLeftOn && this.luck.happens('left on in between', key ^ scene.key, 0);
    }
    const curves = scene.filming.map(({ heat, heatAt }) => heat && this.heat.curveOf(heat, heatAt));
    for (let take = 0; take < scene.takes; take++) {
      if (this.clock - this.day * DAY_MIN > plan.endsAtMin + CRUMB) {
        this.tellTooLate(scene, take);
        this.lose(sceneIndex, take, 'no time left', undefined, undefined, this.clock);
        continue;
      }
      this.playTake(scene, sceneIndex, take, curves);
      if (take < scene.takes - 1) this.between(scene, sceneIndex, take);
    }
    for (const [device, isOn] of this.leftOn.entries())
      if (isOn) this.tell('left on', plan.devices[device]!.lineId, plan.devices[device]!.name);
    this.pass('tear-down', scene.setUpMin * usualDay.tearDownShare, sceneIndex, -1);
    if (!this.hadLunch && this.isLunchTime()) this.between(scene, sceneIndex, -1);
  }

  /** Until the light is there, or the guests; whoever waits long enough has eaten too. */
  private waitFor(scene: PlannedScene, sceneIndex: number): void {
    const wait = scene.notBeforeMin - (this.clock - this.day * DAY_MIN);
    if (wait <= 0) return;
    this.pass('waiting', wait, sceneIndex, -1);
    if (wait >= this.plan.lunchMin && this.isLunchTime()) this.hadLunch = true;
  }

  private isLunchTime(): boolean {
    return this.clock - this.day * DAY_MIN >= this.plan.lunchAtMin;
  }

  private between(scene: PlannedScene, sceneIndex: number, take: number): void {
    const isLunch = !this.hadLunch && this.isLunchTime();
    if (isLunch) this.hadLunch = true;
    this.pass(
      isLunch ? 'lunch' : 'pause',
      isLunch ? this.plan.lunchMin : scene.pauseMin,
      sceneIndex,
      take
    );
  }

  private playTake(
    scene: PlannedScene,
    sceneIndex: number,
    take: number,
    curves: readonly (HeatCurve | undefined)[]
  ): void {
    const { plan, state } = this;
    for (const camera of scene.filming)
      if (camera.device >= 0) this.checkBattery(camera, scene, sceneIndex, take);
    for (const use of scene.uses) this.checkBattery(use, scene, sceneIndex, take);
    for (const camera of scene.filming) {
      this.checkCard(camera, sceneIndex, take);
      this.coolDown(camera, sceneIndex, take);
    }
    const began = this.clock;
    const faults: Fault[] = [];
    for (const { lineId, name } of scene.unpowered)
      faults.push({ cause: 'no power', lineId, name, after: 0 });
    let minutes = scene.filming.length === 0 ? scene.takeMin : 0;
    for (const [place, camera] of scene.filming.entries())
      minutes = Math.max(minutes, this.film(camera, curves[place], scene, faults));
    for (const use of scene.uses) {
      const { lineId, name, losesTakes } = plan.devices[use.device]!;
      if (this.isOff(scene, use.device)) continue;
      const wanted = Math.min(use.minutes, minutes);
      const can = state.minutesLeft(use.device, use.watts, scene.cold);
      state.drain(use.device, use.watts, Math.min(wanted, can), scene.cold);
      if (can >= wanted - 1e-6) continue;
      this.tell('empty', lineId, name, began + can);
      if (losesTakes) faults.push({ cause: 'battery empty', lineId, name, after: can });
    }
    this.clock = began + minutes;
    this.witness?.segment('take', began, this.clock, sceneIndex, take);
    this.witness?.levels(this.clock, state);
    this.judgeTake(scene, sceneIndex, take, began, faults);
    this.lookBack(scene, take);
  }

  private isOff(scene: PlannedScene, device: number): boolean {
    for (const place of this.off) if (scene.switches[place]!.device === device) return true;
    return false;
  }

  /** What the take was lost to, if it was: what was wrong from its first moment before what broke it off. */
  private judgeTake(
    scene: PlannedScene,
    sceneIndex: number,
    take: number,
    began: number,
    faults: readonly Fault[]
  ): void {
    const [place] = this.off;
    if (scene.filming.length === 0)
      return this.lose(sceneIndex, take, 'no camera', undefined, undefined, began);
    if (place !== undefined) {
      const { lineId, name } = scene.switches[place]!;
      return this.lose(sceneIndex, take, 'switch left off', lineId, name, began);
    }
    if (this.isSetWrong)
      return this.lose(sceneIndex, take, 'setting left wrong', undefined, undefined, began);
    let first: Fault | undefined;
    for (const fault of faults) if (!first || fault.after < first.after) first = fault;
    if (first) {
      const { cause, lineId, name, after } = first;
      return this.lose(sceneIndex, take, cause, lineId, name, began + after);
    }
    if (
      scene.usesRadio &&
      this.luck.happens(
        'radio drop-out',
        scene.key,
        take,
        dropOutShare(this.plan.chances['radio drop-out'], scene.radioStretch)
      )
    )
      return this.lose(sceneIndex, take, 'radio drop-out', undefined, undefined, began);
    if (
      scene.isOutdoors &&
      this.luck.happens(
        'gust',
        scene.key,
        take,
        (this.plan.chances.gust * scene.windMps) / GUST_AT_MPS
      )
    )
      return this.lose(sceneIndex, take, 'gust', undefined, undefined, began);
    const gone = scene.filming.find(
      ({ recording, recordsTwice, key }) =>
        recording >= 0 &&
        this.luck.happens('file lost', key, take) &&
        (!recordsTwice || this.luck.happens('file lost', ~key, take))
    );
    if (gone) this.lose(sceneIndex, take, 'file lost', gone.lineId, gone.name, this.clock);
  }

  /** A fault is noticed when a take is played back, or else by and by. */
  private lookBack(scene: PlannedScene, take: number): void {
    if (this.off.size === 0 && !this.isSetWrong) return;
    const isPlayedBack = this.plan.habits.has('first take played back');
    if (!isPlayedBack && !this.luck.isNoticed(scene.key, take)) return;
    for (const place of this.off)
      this.tell('noticed', scene.switches[place]!.lineId, scene.switches[place]!.name);
    if (this.isSetWrong) this.tell('noticed', undefined, 'the setting');
    this.off.clear();
    this.isSetWrong = false;
  }

  private lose(
    scene: number,
    take: number,
    cause: Cause,
    lineId: string | undefined,
    name: string | undefined,
    atMin: number
  ): void {
    this.lost.push({ day: this.day, scene, take, cause, lineId, name, atMin });
  }

  private tell(
    kind: DayEvent['kind'],
    lineId: string | undefined,
    name: string,
    atMin = this.clock
  ): void {
    this.witness?.event({ atMin, kind, lineId, name });
  }

  private tellTooLate(scene: PlannedScene, take: number): void {
    if (take === 0 || this.lost.at(-1)?.cause !== 'no time left')
      this.tell('too late', undefined, scene.name);
  }

  /** Looks whether the battery lasts through the take, and puts a fuller one in if it does not. */
  private checkBattery(
    { device, watts, minutes }: Pick<Use, 'device' | 'watts' | 'minutes'>,
    scene: PlannedScene,
    sceneIndex: number,
    take: number
  ): void {
    const { plan, state } = this;
    if (state.minutesLeft(device, watts, scene.cold) >= minutes - 1e-6) return;
    const { key, lineId, name } = plan.devices[device]!;
    if (this.luck.happens('battery not checked', key ^ scene.key, take)) return;
    if (state.insertBest(device)) {
      this.witness?.levels(this.clock, state);
      this.tell('swap', lineId, name);
      this.pass('pause', SWAP_MIN, sceneIndex, take);
    }
    if (scene.hasSocket && plan.habits.has('charged while there is a socket'))
      this.waitForCharge(device, (watts * minutes) / 60 / scene.cold, sceneIndex, take);
  }

  /** Nothing in the bag lasts through the take, and there is a socket: one waits until it does, but not all day. */
  private waitForCharge(device: number, neededWh: number, sceneIndex: number, take: number): void {
    const { state } = this;
    const piece = state.inserted[device]!;
    if (piece < 0) return;
    const wanting = Math.min(neededWh, state.full[piece]!) - state.held[piece]!;
    const watts = bayWattsFor(state, piece);
    if (wanting <= 0 || watts === 0) return;
    this.pass(
      'charging',
      Math.min(MOST_WAITED_MIN, (60 * wanting) / watts),
      sceneIndex,
      take,
      piece
    );
  }

  private checkCard(
    { recording, gigabytesPerMin, minutes }: Filming,
    sceneIndex: number,
    take: number
  ): void {
    const { state, plan } = this;
    if (recording < 0 || state.freeIn(recording) >= gigabytesPerMin * minutes - 1e-6) return;
    if (!state.insertCard(recording)) return;
    this.witness?.levels(this.clock, state);
    this.tell(
      'card swapped',
      plan.recordings[recording]!.lineId,
      plan.cards[state.cardIn[recording]!]!.name
    );
    this.pass('pause', SWAP_MIN, sceneIndex, take);
  }

  /** One that has switched itself off is waited for. */
  private coolDown({ heat, heatAt }: Filming, sceneIndex: number, take: number): void {
    const wait = heat ? this.heat.minutesToRestart(heatAt, heat.airC) : 0;
    if (Number.isFinite(wait)) this.pass('cooling', wait, sceneIndex, take);
  }

  /** Lets one camera roll. @returns minutes it ran */
  private film(
    filming: Filming,
    curve: HeatCurve | undefined,
    scene: PlannedScene,
    faults: Fault[]
  ): number {
    const { state } = this;
    const { device, watts, recording, gigabytesPerMin, heatAt, lineId, name } = filming;
    const byEnergy = filming.lacksPower
      ? 0
      : device < 0
        ? Infinity
        : state.minutesLeft(device, watts, scene.cold);
    const byCard =
      recording < 0 || gigabytesPerMin === 0 ? Infinity : state.freeIn(recording) / gigabytesPerMin;
    const byHeat = curve ? this.heat.minutesToLimit(heatAt, curve) : Infinity;
    const ran = filming.lacksCard
      ? 0
      : Math.min(filming.minutes, byEnergy, byCard, byHeat, filming.clipLimitMin);
    if (device >= 0) state.drain(device, watts, ran, scene.cold);
    if (recording >= 0) state.write(recording, ran * gigabytesPerMin);
    if (curve) this.heat.warm(this.clock, heatAt, curve, ran, byHeat <= ran);
    if (ran >= filming.minutes - 1e-6) return ran;
    const atMin = this.clock + ran;
    const breaksOff = (cause: Cause, kind?: DayEvent['kind']) => {
      faults.push({ cause, lineId, name, after: ran });
      if (kind) this.tell(kind, lineId, name, atMin);
    };
    if (filming.lacksCard) breaksOff('no card');
    else if (filming.lacksPower) breaksOff('no power');
    else if (ran === byEnergy) breaksOff('battery empty', 'empty');
    else if (ran === byCard) breaksOff('card full', 'card full');
    else if (ran === byHeat) breaksOff('overheated', 'hot');
    else breaksOff('clip limit');
    return ran;
  }

  /** Time in which nothing is filmed: what was left on drains, what is hot cools, what has a socket charges. */
  private pass(
    kind: SegmentKind,
    minutes: number,
    sceneIndex: number,
    take: number,
    waitedFor?: number
  ): void {
    const { plan, state } = this;
    const scene = plan.scenes[sceneIndex];
    if (minutes <= 0 || !scene) return;
    const from = this.clock;
    this.clock += minutes;
    if (kind !== 'set-up')
      for (const [device, isOn] of this.leftOn.entries()) {
        if (!isOn) continue;
        const watts = this.wattsOf(device, scene);
        const can = state.minutesLeft(device, watts, scene.cold);
        state.drain(device, watts, Math.min(minutes, can), scene.cold);
      }
    this.heat.cool(minutes, scene.celsius);
    if (scene.hasSocket && kind !== 'carried' && plan.habits.has('charged while there is a socket'))
      // Over lunch the battery in the camera goes into the charger too.
      chargeInBays(state, minutes, kind === 'lunch', waitedFor);
    this.witness?.segment(kind, from, this.clock, sceneIndex, take);
    this.witness?.levels(this.clock, state);
  }

  /** On the way to the next scene it goes on as it did in the last. */
  private wattsOf(device: number, scene: PlannedScene): number {
    for (const { uses } of [scene, ...this.plan.scenes])
      for (const use of uses) if (use.device === device) return use.watts;
    return 0;
  }

  private night(): void {
    const { plan, state } = this;
    const from = this.clock;
    this.clock = Math.max(from, plan.startsAtMin + this.day * DAY_MIN);
    if (plan.hasSocketAtNight) this.atTheSocket(this.clock - from);
    else chargeAway(state, plan);
    this.heat.cool(this.clock - from, plan.scenes[0]?.celsius ?? HOME_C);
    this.witness?.segment('night', from, this.clock, 0, -1);
    this.witness?.levels(this.clock, state);
  }

  /** Batteries into the bays and cards to be copied, but for what is forgotten; in the morning all goes back. */
  private atTheSocket(minutes: number): void {
    const { plan, state } = this;
    const awakeMin = Math.min(EVENING_MIN, minutes);
    const forgotten = (chance: ChanceId, ones: readonly { key: number }[]) =>
      new Set([...ones.keys()].filter((place) => this.luck.happens(chance, ones[place]!.key, 0)));
    chargeAtHome(state, plan, minutes, awakeMin, forgotten('battery not charged', plan.pieces));
    copyOvernight(state, minutes, awakeMin, forgotten('card not emptied', plan.cards));
    for (const device of plan.devices.keys()) state.insertBest(device);
    for (const recording of plan.recordings.keys()) state.insertCard(recording);
    for (const [index, { lineId, name }] of plan.pieces.entries())
      if (state.share(index) < READY_SHARE) this.tell('not full', lineId, name);
    for (const [index, { lineId, name, gigabytes }] of plan.cards.entries())
      if (state.freeGb[index]! < READY_SHARE * gigabytes) this.tell('not emptied', lineId, name);
  }

  /** Home again: everything goes to the socket while the files are copied. */
  private evening(): void {
    const { plan, state } = this;
    const minutes = Math.max(EVENING_MIN, plan.copyMin ?? 0);
    const from = this.clock;
    this.clock += minutes;
    chargeAtHome(state, plan, minutes);
    this.heat.cool(minutes, HOME_C);
    this.witness?.segment('evening', from, this.clock, plan.scenes.length - 1, -1);
    this.witness?.levels(this.clock, state);
  }
}
