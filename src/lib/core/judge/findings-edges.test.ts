import { describe, expect, it } from 'vitest';
import { figureOf } from '../figures/record';
import type { Severity } from '../findings/finding';
import type { GearOf } from '../model/gear';
import type { Project } from '../model/project';
import { activePlan } from '../model/active-plan';
import {
  calmKit,
  judged,
  line,
  ownCopy,
  setRig,
  swap,
  walkOutside,
  without
} from './tests/calm-kit';

type Said = Severity | 'nothing';
interface Edge<V> {
  /** The fact of the craft the edge stands on. */
  fact: string;
  code: string;
  about?: string;
  set: (project: Project, value: V) => void;
  /** Values on both sides of every edge, and what is said there. */
  verdicts: readonly (readonly [V, Said])[];
}

const edge = <V>(edge: Edge<V>) => edge as Edge<unknown>;
const scene = (project: Project) => project.scenes[0]!;
const angle = (project: Project) => scene(project).angles[0]!;
const lineOf = (project: Project, gearId: string) =>
  activePlan(project).lines.find((line) => line.gearId === gearId)!;

function severityOf(project: Project, code: string, about = ''): Said {
  const found = judged(project).findings.filter(
    (finding) => finding.code === code && (finding.about ?? '').includes(about)
  );
  const said: Said[] = ['stop', 'warn', 'note'];
  return (
    said.find((severity) => found.some((finding) => finding.severity === severity)) ?? 'nothing'
  );
}

const bodyModes = (
  project: Project,
  change: (mode: GearOf<'body'>['modes'][number]) => void
): void =>
  ownCopy<GearOf<'body'>>(project, 'orrowby-linnet-ii', (gear) => gear.modes.forEach(change));
const lamp = 'quillfeather-ray-65-two-colour-55-cm-dome';

const edges: readonly Edge<unknown>[] = [
  edge({
    fact: 'nose to ears (d + 0.10)/(d − 0.04): a note from 1.25, a cost from 1.34',
    code: 'L3',
    // 0.70/0.56 is 1.25; 0.5518/0.4118 is 1.34.
    set: (p, distanceM: number) => (angle(p).distanceM = distanceM),
    verdicts: [
      [0.601, 'nothing'],
      [0.598, 'note'],
      [0.453, 'note'],
      [0.45, 'warn']
    ]
  }),
  edge({
    fact: 'a card breaks off below Mb/s ÷ 8 and is short of room for peaks below 1.1 × that',
    code: 'T2',
    // V30: 30 ÷ 1.1 × 8 is 218.2, and 30 × 8 is 240.
    set: (p, bitRateMbps: number) => bodyModes(p, (mode) => (mode.bitRateMbps = bitRateMbps)),
    verdicts: [
      [218, 'nothing'],
      [219, 'warn'],
      [240, 'warn'],
      [241, 'stop']
    ]
  }),
  edge({
    fact: 'a support carries two thirds of its rating prudently, and never more than its rating',
    code: 'S1',
    // Body and lens weigh 0.732 kg: ÷ ⅔ is 1.098.
    set: (p, payloadKg: number) =>
      ownCopy<GearOf<'support'>>(
        p,
        'nibsworth-hob-mini-tripod-wide',
        (gear) => (gear.payloadKg = payloadKg)
      ),
    verdicts: [
      // A hundredth of it is within what is measured.
      [1.09, 'nothing'],
      [1.08, 'warn'],
      [0.74, 'warn'],
      [0.73, 'stop']
    ]
  }),
  edge({
    fact: 'under 50 Hz a shutter of whole pulses is steady; 1/48 leaves 4 %, 1/60 leaves 16.5 %',
    code: 'G5',
    set: (p, shutterS: number) => setRig(p, { shutterS }),
    verdicts: [
      [1 / 50, 'nothing'],
      [1 / 100, 'nothing'],
      [1 / 48, 'note'],
      [1 / 60, 'warn'],
      [1 / 200, 'warn']
    ]
  }),
  edge({
    fact: 'under 60 Hz it is the other way round',
    code: 'G5',
    set: (p, shutterS: number) => {
      p.mainsHz = 60;
      setRig(p, { shutterS });
    },
    verdicts: [
      [1 / 60, 'nothing'],
      [1 / 120, 'nothing'],
      [1 / 50, 'warn']
    ]
  }),
  edge({
    fact: 'a source under 5° is hard, under 15° firm; beyond it nothing is said',
    code: 'G2',
    // From 0.80 m: 2·atan(R/0.8) is 15° at R = 0.1053.
    set: (p, radiusM: number) =>
      ownCopy<GearOf<'lamp'>>(p, lamp, (gear) => (gear.sourceRadiusM = radiusM)),
    verdicts: [
      [0.106, 'nothing'],
      [0.105, 'note'],
      [0.03, 'note']
    ]
  }),
  edge({
    fact: 'clips end at the record limit, not a moment before',
    code: 'B4',
    set: (p, longestTakeMin: number) => {
      bodyModes(p, (mode) => (mode.recordLimitMin = 30));
      scene(p).longestTakeMin = longestTakeMin;
    },
    verdicts: [
      [30, 'nothing'],
      [30.1, 'warn']
    ]
  }),
  edge({
    fact: 'a battery lasts 60·Wh ÷ W: 15 Wh give 90 min at 10 W',
    code: 'P1',
    set: (p, drawW: number) => {
      ownCopy<GearOf<'body'>>(p, 'orrowby-linnet-ii', (gear) => {
        gear.drawW = drawW;
        gear.batteriesIncluded = 0;
      });
      ownCopy<GearOf<'battery'>>(p, 'quillfeather-ember-16-battery-twin', (gear) => {
        gear.energyWh = 15;
        gear.otherMaker = false;
      });
      scene(p).temperatureC = 20;
      scene(p).longestTakeMin = scene(p).recordedMin = 90;
    },
    verdicts: [
      [9.99, 'nothing'],
      [10.1, 'stop']
    ]
  }),
  edge({
    fact: 'cold takes of a battery: 1.0 at 20 °C, 0.8 at 0 °C',
    code: 'P1',
    set: (p, temperatureC: number) => {
      ownCopy<GearOf<'body'>>(p, 'orrowby-linnet-ii', (gear) => {
        gear.drawW = 9;
        gear.batteriesIncluded = 0;
      });
      ownCopy<GearOf<'battery'>>(p, 'quillfeather-ember-16-battery-twin', (gear) => {
        gear.energyWh = 15;
        gear.otherMaker = false;
      });
      // 100 min warm, 90 min at 10 °C (0.9), 80 at 0 °C.
      scene(p).temperatureC = temperatureC;
      scene(p).longestTakeMin = scene(p).recordedMin = 89;
    },
    verdicts: [
      [20, 'nothing'],
      [10, 'nothing'],
      [8, 'stop'],
      [0, 'stop']
    ]
  }),
  edge({
    fact: 'another maker’s batteries count at 0.85',
    code: 'P1',
    set: (p, otherMaker: boolean) => {
      ownCopy<GearOf<'body'>>(p, 'orrowby-linnet-ii', (gear) => {
        gear.drawW = 9;
        gear.batteriesIncluded = 0;
      });
      ownCopy<GearOf<'battery'>>(p, 'quillfeather-ember-16-battery-twin', (gear) => {
        gear.energyWh = 15;
        gear.otherMaker = otherMaker;
      });
      scene(p).temperatureC = 20;
      scene(p).longestTakeMin = scene(p).recordedMin = 90;
    },
    verdicts: [
      [false, 'nothing'],
      [true, 'stop']
    ]
  }),
  edge({
    fact: 'over 100 Wh one asks the airline, over 160 Wh it is normally refused',
    code: 'P6',
    set: (p, energyWh: number) => {
      activePlan(p).lines.push(line('pellamund-hearth-148'));
      ownCopy<GearOf<'power bank'>>(
        p,
        'pellamund-hearth-148',
        (gear) => (gear.energyWh = energyWh)
      );
    },
    verdicts: [
      [100, 'nothing'],
      [100.1, 'note'],
      [160, 'note'],
      [160.1, 'warn']
    ]
  }),
  edge({
    fact: 'a lead hangs and bends: it wants 1.15 × the straight way',
    code: 'A11',
    set: (p, cableM: number) => {
      angle(p).distanceM = 2;
      // A recorder beside the speaker would need no long lead.
      without(p, 'withrick-pocket-scribe');
      ownCopy<GearOf<'microphone'>>(p, 'dunmarrow-burr', (gear) => (gear.cableM = cableM));
      ownCopy<GearOf<'cable'>>(p, 'nibsworth-cable-trrs-to-trs', (gear) => (gear.lengthM = 0.2));
    },
    verdicts: [
      [2.1, 'nothing'],
      [2.09, 'stop']
    ]
  }),
  edge({
    fact: 'what is said to be carried may weigh what was said, and no more',
    code: 'S7',
    set: (p, over: number) => {
      p.carriedLimitKg = 50;
      const bag = figureOf(judged(p).angles[0]!.record, 'carriedMass')!;
      p.carriedLimitKg = bag - over;
    },
    verdicts: [
      [0, 'nothing'],
      [0.001, 'warn']
    ]
  }),
  edge({
    fact: 'minutes to the first take',
    code: 'W1',
    set: (p, over: number) => {
      p.setUpLimitMin = figureOf(judged(p).angles[0]!.record, 'setUp')! - over;
    },
    verdicts: [
      [0, 'nothing'],
      [0.1, 'warn']
    ]
  }),
  edge({
    fact: 'switches to remember',
    code: 'W2',
    set: (p, switchLimit: number) => (p.switchLimit = switchLimit),
    verdicts: [
      [2, 'nothing'],
      [1, 'note']
    ]
  }),
  edge({
    fact: 'over the limit is a penny over',
    code: 'M1',
    set: (p, over: number) => (p.limitMinor = judged(p).money.firmMinor - over),
    verdicts: [
      [0, 'nothing'],
      [1, 'warn']
    ]
  }),
  edge({
    fact: 'the amount set aside is used up from the first penny',
    code: 'M3',
    set: (p, over: number) => {
      p.reserveMinor = 5_000;
      p.limitMinor = judged(p).money.firmMinor + 5_000 - over;
    },
    verdicts: [
      [0, 'nothing'],
      [1, 'warn'],
      [5_000, 'warn']
    ]
  }),
  edge({
    fact: 'past the limit itself the reserve is no longer spoken of',
    code: 'M3',
    set: (p, over: number) => {
      p.reserveMinor = 5_000;
      p.limitMinor = judged(p).money.firmMinor - over;
    },
    verdicts: [[1, 'nothing']]
  }),
  edge({
    fact: 'a pocket holds what it was given',
    code: 'M2',
    set: (p, over: number) => {
      const { firmMinor } = judged(p).money.pockets.lens;
      p.pocketLimitsMinor = { lens: firmMinor - over };
    },
    verdicts: [
      [0, 'nothing'],
      [1, 'warn']
    ]
  }),
  edge({
    fact: 'no single part over the limit for a part',
    code: 'M2',
    about: 'part',
    set: (p, over: number) => {
      const dearest = Math.max(...judged(p).money.lines.map(({ unitMinor }) => unitMinor ?? 0));
      p.itemLimitMinor = dearest - over;
    },
    verdicts: [
      [0, 'nothing'],
      [1, 'warn']
    ]
  }),
  edge({
    fact: 'a price is stale after ninety days',
    code: 'M4',
    about: 'orrowby-linnet-ii stale',
    set: (p, days: number) => {
      ownCopy<GearOf<'body'>>(
        p,
        'orrowby-linnet-ii',
        (gear) => (gear.priceNew!.date = '2026-08-01')
      );
      p.pricesAsOf = new Date(Date.UTC(2026, 7, 1 + days)).toISOString().slice(0, 10);
    },
    verdicts: [
      [90, 'nothing'],
      [91, 'note']
    ]
  }),
  edge({
    fact: 'an offer is spoken of fourteen days before it ends, and is over the day after',
    code: 'M5',
    set: (p, dealEnds: string) => {
      p.pricesAsOf = '2026-11-25';
      ownCopy<GearOf<'lens'>>(
        p,
        'pellamund-24-f-1-5',
        (gear) => (gear.priceNew!.dealEnds = dealEnds)
      );
    },
    verdicts: [
      ['2026-12-10', 'nothing'],
      ['2026-12-09', 'note'],
      ['2026-11-25', 'note'],
      ['2026-11-24', 'warn']
    ]
  }),
  edge({
    fact: 'eyes are filmed from their own height: a seated face from about a metre up',
    code: 'S2',
    set: (p, heightMaxM: number) => {
      angle(p).cameraPlace = 'tripod';
      swap(p, 'nibsworth-hob-mini-tripod-wide', 'cobberly-meadow-tripod');
      ownCopy<GearOf<'support'>>(
        p,
        'cobberly-meadow-tripod',
        (gear) => (gear.heightMaxM = heightMaxM)
      );
    },
    verdicts: [
      [1.3, 'nothing'],
      [0.9, 'note']
    ]
  }),
  edge({
    fact: 'wind is heard from the first metre a second; still air in the hand is one’s own walk of 1.4',
    code: 'A3',
    set: (p, windMps: number) => {
      walkOutside(p);
      scene(p).windMps = windMps;
      ownCopy<GearOf<'microphone'>>(
        p,
        'dunmarrow-burr',
        (gear) => (gear.windscreenIncluded = 'none')
      );
    },
    verdicts: [
      [0, 'note'],
      [5, 'warn']
    ]
  })
];

describe.each(edges)('$code: $fact', ({ code, about, set, verdicts }) => {
  it.each(verdicts.map(([value, said]) => ({ value, said })))(
    '$value: $said',
    ({ value, said }) => {
      const project = calmKit();
      set(project, value);
      expect(severityOf(project, code, about)).toBe(said);
    }
  );
});

/** A figure swept over its range: what is said has to turn exactly where the figure crosses the edge. */
interface Sweep {
  fact: string;
  code: string;
  figure: 'speechToNoise' | 'directToReverberant' | 'tooDark' | 'keySoftness' | 'takePowerShare';
  values: readonly number[];
  set: (project: Project, value: number) => void;
  says: (figure: number) => Said;
}

const range = (from: number, to: number, step: number): number[] =>
  Array.from({ length: Math.floor((to - from) / step) + 1 }, (_, index) => from + index * step);

const sweeps: readonly Sweep[] = [
  {
    fact: 'indoors speech is clean from 35 dB over the noise, usable from 25',
    code: 'A1',
    figure: 'speechToNoise',
    values: range(24, 58, 0.5),
    set: (p, noiseDbA) => (scene(p).noiseDbA = noiseDbA),
    // Half a decibel is within what a meter reads.
    says: (db) => (db >= 34.5 ? 'nothing' : db >= 25 ? 'note' : 'warn')
  },
  {
    fact: 'a voice stands dry 12 dB over the echo, roomy from 6',
    code: 'A2',
    figure: 'directToReverberant',
    values: range(0.15, 2.6, 0.05),
    set: (p, distanceM) => {
      swap(p, 'dunmarrow-burr', 'nibsworth-button');
      scene(p).room!.feel = 'bare';
      angle(p).distanceM = distanceM;
    },
    says: (db) => (db >= 12 ? 'nothing' : db >= 6 ? 'note' : 'warn')
  },
  {
    fact: 'noise is silent while it is clean, and weakens from the usable ISO on',
    code: 'G1',
    figure: 'tooDark',
    values: range(0, 12, 0.25),
    set: (p, halvings) => {
      scene(p).lightDimLx = scene(p).lightBrightLx = 1;
      ownCopy<GearOf<'lamp'>>(
        p,
        lamp,
        (gear) => (gear.illuminanceAt1mLx = Math.max(0.5, 2000 / 2 ** halvings))
      );
    },
    says: (stops) => (stops < 0.4 ? 'nothing' : stops < 0.8 ? 'note' : 'warn')
  }
];

describe.each(sweeps)('$code along $figure: $fact', ({ code, figure, values, set, says }) => {
  it('turns where the figure crosses, and on both sides', () => {
    const seen = new Set<Said>();
    for (const value of values) {
      const project = calmKit();
      set(project, value);
      const has = figureOf(judged(project).angles[0]!.record, figure)!;
      const said = severityOf(project, code);
      expect(said, `${figure} ${has} at ${value}`).toBe(says(has));
      seen.add(said);
    }
    expect(seen.size).toBeGreaterThan(1);
  });
});

describe('what is not filmed is not asked of', () => {
  it('a scene without a voice has no findings of sound', () => {
    const project = calmKit();
    scene(project).voice = 'none';
    scene(project).noiseDbA = 80;
    activePlan(project).lines = activePlan(project).lines.filter(
      ({ gearId }) => gearId !== 'dunmarrow-burr'
    );
    expect(judged(project).findings.filter(({ row }) => row.family === 'sound')).toEqual([]);
  });

  it('a scene under the sky has no lamps to flicker, to fall or to mix', () => {
    const project = calmKit();
    walkOutside(project);
    scene(project).lightSource = 'sky';
    setRig(project, { shutterS: 1 / 60 });
    for (const code of ['G2', 'G3', 'G5', 'G6', 'G7'])
      expect(severityOf(project, code), code).toBe('nothing');
  });

  it('with a socket at hand the day does not run out of batteries that a block replaces', () => {
    const project = calmKit();
    scene(project).recordedMin = 900;
    lineOf(project, 'quillfeather-sd-128-v30').quantity = 10;
    expect(severityOf(project, 'P2')).toBe('stop');
    activePlan(project).lines.push(line('quillfeather-dummy-battery-ember-16'));
    expect(severityOf(project, 'P2')).toBe('nothing');
  });

  it('a part moved to later or returned is not in the kit', () => {
    for (const patch of [{ step: 'later' }, { state: 'returned' }] as const) {
      const project = calmKit();
      Object.assign(lineOf(project, 'nibsworth-hob-mini-tripod-wide'), patch);
      expect(severityOf(project, 'M7')).not.toBe('nothing');
    }
  });
});

describe('batteries and cards', () => {
  /** The calm body at 9 W with nothing but what is put in: 15 Wh are 100 min. */
  function nineWatts(
    batteries: { id: string; wh: number; other?: boolean; pieces?: number }[]
  ): Project {
    const project = calmKit();
    ownCopy<GearOf<'body'>>(project, 'orrowby-linnet-ii', (gear) => {
      gear.drawW = 9;
      gear.batteriesIncluded = 0;
    });
    scene(project).temperatureC = 20;
    const plan = activePlan(project);
    plan.lines = plan.lines.filter(({ gearId }) => gearId !== 'quillfeather-ember-16-battery-twin');
    for (const { id, wh, other = false, pieces = 1 } of batteries) {
      plan.lines.push(line(id, { quantity: pieces }));
      ownCopy<GearOf<'battery'>>(project, id, (gear) => {
        gear.energyWh = wh;
        gear.otherMaker = other;
      });
    }
    return project;
  }
  const figure = (
    project: Project,
    id: 'dayPower' | 'takePower' | 'cardSpace' | 'batteriesEmptied',
    index = 0
  ) => figureOf(judged(project).angles[index]!.record, id);

  it('of two makers add up each at its own worth: 100 min and 0.85 × 60', () => {
    const project = nineWatts([
      { id: 'orrowby-ember-16-battery', wh: 15 },
      { id: 'harkelow-ember-16-battery-third-party', wh: 9, other: true, pieces: 2 }
    ]);
    expect(figure(project, 'dayPower')).toBeCloseTo(100 + 2 * 0.85 * 60, 9);
    // For the longest take the best one goes in.
    expect(figure(project, 'takePower')).toBeCloseTo(100, 9);
  });

  it('whose energy one of them does not say leave the day unknown, and the take known', () => {
    const project = nineWatts([
      { id: 'orrowby-ember-16-battery', wh: 15 },
      { id: 'harkelow-ember-16-battery-third-party', wh: 9 }
    ]);
    project.ownGear.forEach((gear) => {
      if (gear.id === 'harkelow-ember-16-battery-third-party' && gear.kind === 'battery')
        delete gear.energyWh;
    });
    expect(figure(project, 'dayPower')).toBeUndefined();
    expect(figure(project, 'takePower')).toBeCloseTo(100, 9);
  });

  it('a larger battery of another maker may be worth less than a smaller one of the maker’s', () => {
    const project = nineWatts([
      { id: 'orrowby-ember-16-battery', wh: 15 },
      { id: 'harkelow-ember-16-battery-third-party', wh: 16.5, other: true }
    ]);
    expect(figure(project, 'takePower')).toBeCloseTo(100, 9);
  });

  it('are shared out between two bodies that film at once, and a day empties twice as many', () => {
    const project = nineWatts([{ id: 'orrowby-ember-16-battery', wh: 15, pieces: 4 }]);
    scene(project).recordedMin = 150;
    expect(figure(project, 'dayPower')).toBeCloseTo(400, 9);
    expect(figure(project, 'batteriesEmptied')).toBe(2);
    const cards = figure(project, 'cardSpace')!;
    scene(project).angles.push({ ...angle(project), id: 'b', name: 'side' });
    lineOf(project, 'orrowby-linnet-ii').quantity = 2;
    lineOf(project, 'pellamund-24-f-1-5').quantity = 2;
    for (const index of [0, 1]) {
      expect(figure(project, 'dayPower', index)).toBeCloseTo(200, 9);
      expect(figure(project, 'cardSpace', index)).toBeCloseTo(cards / 2, 9);
      expect(figure(project, 'batteriesEmptied', index)).toBe(4);
    }
  });

  it('a block at the socket runs one body; the second runs from its batteries', () => {
    const project = nineWatts([{ id: 'orrowby-ember-16-battery', wh: 15, pieces: 2 }]);
    activePlan(project).lines.push(line('quillfeather-dummy-battery-ember-16'));
    scene(project).angles.push({ ...angle(project), id: 'b', name: 'side' });
    lineOf(project, 'orrowby-linnet-ii').quantity = 2;
    lineOf(project, 'pellamund-24-f-1-5').quantity = 2;
    expect(figure(project, 'dayPower', 0)).toBe(Infinity);
    expect(figure(project, 'dayPower', 1)).toBeCloseTo(100, 9);
    lineOf(project, 'quillfeather-dummy-battery-ember-16').quantity = 2;
    expect(figure(project, 'dayPower', 1)).toBe(Infinity);
  });

  it('that a spare body came with serve the first one too', () => {
    const project = nineWatts([{ id: 'orrowby-ember-16-battery', wh: 15 }]);
    project.ownGear.forEach((gear) => {
      if (gear.kind === 'body')
        Object.assign(gear, { batteriesIncluded: 1, includedBatteryWh: 12 });
    });
    expect(figure(project, 'dayPower')).toBeCloseTo(100 + 80, 9);
    lineOf(project, 'orrowby-linnet-ii').quantity = 2;
    expect(figure(project, 'dayPower')).toBeCloseTo(100 + 160, 9);
  });
});
