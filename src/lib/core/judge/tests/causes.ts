import type { GearOf } from '../../model/gear';
import type { Project } from '../../model/project';
import { activePlan } from '../../model/active-plan';
import type { FurtherLampRole } from '../../model/plan';
import { lampPlaces } from '../../rigs/places';
import { line, ownCopy, setRig, swap, walkOutside, without } from './calm-kit';

/** A lamp with a role of its own in the first scene, where such a one usually stands. */
const further = (project: Project, lineId: string, role: FurtherLampRole) =>
  setRig(project, { lamps: [{ lineId, role, ...lampPlaces[role] }] });

/** What brings each code into the calm kit. */
export const causes: Record<string, (project: Project) => void> = {
  B1: (p) => swap(p, 'orrowby-linnet-ii', 'tesselind-vale'),
  B2: (p) => {
    swap(p, 'orrowby-linnet-ii', 'orrowby-linnet');
    swap(p, 'dunmarrow-burr', 'dunmarrow-plover-plain');
    activePlan(p).lines.push(line('quillfeather-ember-8-battery-twin'));
  },
  B3: (p) => without(p, 'nibsworth-cable-trrs-to-trs'),
  B4: (p) => {
    swap(p, 'orrowby-linnet-ii', 'orrowby-linnet');
    p.scenes[0]!.longestTakeMin = 40;
  },
  'B4/heat': (p) => {
    ownCopy<GearOf<'body'>>(p, 'orrowby-linnet-ii', (gear) =>
      gear.modes.forEach((mode) => (mode.heatMinutesAt20C = 8))
    );
    p.scenes[0]!.longestTakeMin = 60;
  },
  B5: (p) => {
    swap(p, 'orrowby-linnet-ii', 'orrowby-linnet');
    p.scenes[0]!.live = true;
  },
  B18: (p) => {
    // A screen that does not turn, so the mirror is needed; the microphone has the shoe.
    swap(p, 'orrowby-linnet-ii', 'tesselind-vale');
    swap(p, 'dunmarrow-burr', 'dunmarrow-plover-plain');
    activePlan(p).lines.push(line('nibsworth-look-back-mirror'));
  },
  B19: (p) => {
    // Callers get the one output, and the monitor beside the desk stays dark.
    p.scenes[0]!.live = true;
    activePlan(p).lines.push(
      line('nibsworth-weir-plus'),
      line('tesselind-pane-5'),
      line('nibsworth-hdmi-cable-d-to-a-1-m', { quantity: 2 })
    );
    ownCopy<GearOf<'body'>>(p, 'orrowby-linnet-ii', (gear) => (gear.usbVideo = false));
  },
  W6: (p) => {
    // Two panels with a small thread, a stand for each, and one adapter for both.
    swap(p, 'quillfeather-ray-65-two-colour-55-cm-dome', 'brackenholt-tile-12');
    activePlan(p).lines.push(
      line('brackenholt-ember-clip'),
      line('brackenholt-stand-2-6-cushioned'),
      line('nibsworth-stud-adapter-5-8-to-1-4')
    );
    setRig(p, { keyLampLineId: 'brackenholt-tile-12', fillLampLineId: 'brackenholt-ember-clip' });
  },
  W7: (p) => activePlan(p).lines.push(line('cobberly-meadow-tripod-fluid')),
  'W6/angles': (p) => {
    // Two cameras on bare tripods, and one adapter for both.
    p.scenes[0]!.angles = ['a', 'b'].map((id) => ({
      ...p.scenes[0]!.angles[0]!,
      id,
      cameraPlace: 'tripod'
    }));
    activePlan(p).lines.push(
      line('orrowby-linnet'),
      line('cobberly-acre-tripod-bare', { quantity: 2 }),
      line('nibsworth-thread-adapter-1-4-in-3-8')
    );
  },
  B20: (p) => {
    walkOutside(p);
    p.scenes[0]!.live = true;
  },
  B21: (p) => {
    ownCopy<GearOf<'body'>>(p, 'orrowby-linnet-ii', (gear) => (gear.usbVideo = true));
    p.scenes[0]!.live = true;
  },
  B17: (p) => {
    ownCopy<GearOf<'body'>>(p, 'orrowby-linnet-ii', (gear) => {
      gear.form = 'drone';
      gear.windLimitMps = 8;
    });
    const scene = p.scenes[0]!;
    delete scene.room;
    scene.windMps = 10;
    scene.angles[0]!.cameraPlace = 'in the air';
  },
  B8: (p) => (p.scenes[0]!.fps = 60),
  L1: (p) => swap(p, 'pellamund-24-f-1-5', 'harkelow-26-f-2-8'),
  L2: (p) => swap(p, 'pellamund-24-f-1-5', 'pellamund-58-f-1-6'),
  L3: (p) => (p.scenes[0]!.angles[0]!.distanceM = 0.4),
  L4: (p) => {
    p.scenes[0]!.wantsFaceSharp = true;
    setRig(p, { apertureN: 1.5 });
  },
  L5: (p) => (p.scenes[0]!.wantsBlurPercent = 3),
  L6: (p) => {
    without(p, 'quillfeather-ray-65-two-colour-55-cm-dome');
    p.scenes[0]!.lightSource = 'existing light';
    p.scenes[0]!.lightDimLx = 1;
  },
  L8: (p) => {
    delete p.scenes[0]!.room;
    p.scenes[0]!.lightSource = 'sky';
    p.scenes[0]!.lightDimLx = 20_000;
    p.scenes[0]!.lightBrightLx = 100_000;
  },
  A1: (p) => (p.scenes[0]!.noiseDbA = 44),
  A2: (p) => {
    swap(p, 'dunmarrow-burr', 'nibsworth-button');
    p.scenes[0]!.room!.feel = 'bare';
    p.scenes[0]!.angles[0]!.distanceM = 1.5;
  },
  A3: (p) => {
    delete p.scenes[0]!.room;
    p.scenes[0]!.windMps = 5;
    p.scenes[0]!.lightSource = 'existing light';
    p.scenes[0]!.lightDimLx = p.scenes[0]!.lightBrightLx = 800;
    ownCopy<GearOf<'microphone'>>(
      p,
      'dunmarrow-burr',
      (gear) => (gear.windscreenIncluded = 'none')
    );
  },
  A4: (p) => {
    swap(p, 'dunmarrow-burr', 'dunmarrow-plover');
  },
  A5: (p) => {
    swap(p, 'dunmarrow-burr', 'withrick-thimble-one');
    p.scenes[0]!.recordedMin = 400;
  },
  G1: (p) => {
    swap(p, 'quillfeather-ray-65-two-colour-55-cm-dome', 'brackenholt-tile-12');
    setRig(p, { apertureN: 14 });
  },
  G2: (p) => swap(p, 'quillfeather-ray-65-two-colour-55-cm-dome', 'brackenholt-tile-12'),
  G5: (p) => setRig(p, { shutterS: 1 / 60 }),
  'G5/smear': (p) => setRig(p, { shutterS: 1 / 25 }),
  S1: (p) =>
    ownCopy<GearOf<'support'>>(
      p,
      'nibsworth-hob-mini-tripod-wide',
      (gear) => (gear.payloadKg = 0.7)
    ),
  S5: (p) => {
    swap(p, 'quillfeather-ray-65-two-colour-55-cm-dome', 'brackenholt-reed-60');
  },
  T1: (p) => {
    swap(p, 'quillfeather-sd-128-v30', 'quillfeather-sd-64-v30');
    p.scenes[0]!.pixelsAcross = 3840;
    p.scenes[0]!.recordedMin = 110;
    activePlan(p).lines.find(
      (line) => line.gearId === 'quillfeather-ember-16-battery-twin'
    )!.quantity = 3;
  },
  'T1/day': (p) => {
    // Two scenes of one day, each of which the cards hold alone.
    const [talk] = p.scenes;
    Object.assign(talk!, { pixelsAcross: 3840, recordedMin: 100, day: 1 });
    p.scenes.push({ ...structuredClone(talk!), id: 'again', name: 'Talk again' });
    activePlan(p).lines.find(
      (line) => line.gearId === 'quillfeather-ember-16-battery-twin'
    )!.quantity = 30;
  },
  'P2/day': (p) => {
    const [talk] = p.scenes;
    Object.assign(talk!, { recordedMin: 150, day: 1 });
    p.scenes.push({ ...structuredClone(talk!), id: 'again', name: 'Talk again' });
  },
  T2: (p) => {
    swap(p, 'quillfeather-sd-128-v30', 'quillfeather-sd-64-u1');
    p.scenes[0]!.pixelsAcross = 3840;
    p.scenes[0]!.recordedMin = 40;
  },
  T3: (p) => swap(p, 'quillfeather-sd-128-v30', 'quillfeather-microsd-128-v30'),
  P1: (p) => (p.scenes[0]!.longestTakeMin = p.scenes[0]!.recordedMin = 200),
  P2: (p) => {
    p.scenes[0]!.recordedMin = 330;
    activePlan(p).lines.find((line) => line.gearId === 'quillfeather-sd-128-v30')!.quantity = 4;
  },
  B6: (p) =>
    ownCopy<GearOf<'body'>>(p, 'orrowby-linnet-ii', (gear) =>
      gear.modes.forEach((mode) => (mode.faceFocus = mode.pixelsAcross > 1920))
    ),
  B7: (p) => {
    ownCopy<GearOf<'body'>>(
      p,
      'orrowby-linnet-ii',
      (gear) => (gear.runsFromMainsAdapter = gear.runsFromUsb = false)
    );
    p.scenes[0]!.longestTakeMin = 60;
  },
  B9: (p) => {
    const scene = p.scenes[0]!;
    delete scene.room;
    Object.assign(scene, {
      style: 'walk',
      lightSource: 'existing light',
      lightDimLx: 600,
      lightBrightLx: 600
    });
    scene.angles[0]!.cameraPlace = 'hand';
  },
  L7: (p) => {
    swap(p, 'dunmarrow-burr', 'nibsworth-button');
    p.scenes[0]!.noiseDbA = 20;
    p.scenes[0]!.angles[0]!.distanceM = 0.5;
    ownCopy<GearOf<'lens'>>(p, 'pellamund-24-f-1-5', (gear) => (gear.motorLevelDbA = 45));
  },
  A7: (p) => without(p, 'withrick-pocket-scribe'),
  A12: (p) => {
    swap(p, 'dunmarrow-burr', 'withrick-thimble-plug');
    swap(p, 'orrowby-linnet-ii', 'ellowen-slip-6');
    activePlan(p).lines.push(line('nibsworth-phone-clamp'));
    p.scenes[0]!.angles[0]!.distanceM = 9;
  },
  G3: (p) =>
    (setRig(p, {
      keyLampLineId: 'quillfeather-ray-65-two-colour-55-cm-dome',
      fillLampLineId: 'harkelow-paper-globe-40-bulb'
    }),
    activePlan(p).lines.push(
      line('harkelow-paper-globe-40-bulb'),
      line('nibsworth-globe-clamp-on-stud')
    )) &&
    ownCopy<GearOf<'lamp'>>(
      p,
      'quillfeather-ray-65-two-colour-55-cm-dome',
      (gear) => (gear.colourMinK = 5600)
    ),
  G6: (p) => {
    swap(p, 'quillfeather-ray-65-two-colour-55-cm-dome', 'brackenholt-tile-12');
    activePlan(p).lines.push(line('nibsworth-stud-adapter-5-8-to-1-4'));
  },
  S2: (p) => {
    swap(p, 'nibsworth-hob-mini-tripod-wide', 'harkelow-plain-tripod');
    p.scenes[0]!.angles[0]!.cameraPlace = 'tripod';
    p.scenes[0]!.style = 'evening';
  },
  P3: (p) => {
    activePlan(p).lines.push(line('pellamund-hearth-74'));
    p.scenes[0]!.longestTakeMin = 20;
  },
  P7: (p) => swap(p, 'dunmarrow-burr', 'harkelow-narrow'),
  'S5/monitor held': (p) => {
    // The screen one sees oneself by is joined, and nothing puts it on the camera.
    ownCopy<GearOf<'body'>>(p, 'orrowby-linnet-ii', (gear) => (gear.screen = 'fixed'));
    activePlan(p).lines.push(line('tesselind-pane-5'), line('nibsworth-hdmi-cable-d-to-a-1-m'));
  },
  'P7/day': (p) => {
    // The screen one sees oneself by has a battery that lasts for less than is recorded.
    p.scenes[0]!.wantsSeeSelf = true;
    p.scenes[0]!.recordedMin = 150;
    ownCopy<GearOf<'body'>>(p, 'orrowby-linnet-ii', (gear) => (gear.screen = 'fixed'));
    ownCopy<GearOf<'monitor'>>(p, 'tesselind-pane-5', (gear) => (gear.batteryType = 'Ember 8'));
    activePlan(p).lines.push(
      line('tesselind-pane-5'),
      line('nibsworth-hdmi-cable-d-to-a-1-m'),
      line('nibsworth-shoe-ball-1-4'),
      line('quillfeather-ember-8-battery-twin')
    );
  },
  T4: (p) => without(p, 'pellamund-cellar-1-tb'),
  T5: (p) => swap(p, 'withrick-pocket-scribe', 'withrick-scribe-float'),
  P6: (p) => activePlan(p).lines.push(line('pellamund-hearth-148')),
  W4: (p) => without(p, 'nibsworth-reader-sd'),
  M1: (p) => (p.limitMinor = 135_000),
  M2: (p) => (p.pocketLimitsMinor = { lens: 22_000 }),
  M4: (p) => {
    ownCopy<GearOf<'lens'>>(p, 'pellamund-24-f-1-5', (gear) => delete gear.priceUsed);
    activePlan(p).lines.find((line) => line.gearId === 'pellamund-24-f-1-5')!.basis = 'used';
  },
  M7: (p) => without(p, 'nibsworth-hob-mini-tripod-wide'),
  B10: (p) => {
    walkOutside(p);
    swap(p, 'dunmarrow-burr', 'dunmarrow-plover-plain');
    ownCopy<GearOf<'body'>>(p, 'orrowby-linnet-ii', (gear) => (gear.looseRings = true));
  },
  B11: (p) => (p.scenes[0]!.onceOnly = true),
  B12: (p) => (p.scenes[0]!.roughWeather = true),
  'B12/open place': (p) => {
    p.scenes[0]!.roughWeather = true;
    ownCopy<GearOf<'body'>>(p, 'orrowby-linnet-ii', (gear) => (gear.weatherCover = true));
  },
  B13: (p) => {
    swap(p, 'orrowby-linnet-ii', 'ellowen-slip-6');
    activePlan(p).lines.push(line('nibsworth-phone-clamp'));
  },
  B14: (p) => {
    ownCopy<GearOf<'body'>>(
      p,
      'orrowby-linnet-ii',
      (gear) => (gear.profiles = [{ name: 'Meadow flat', baseIso: 800, flat: true }])
    );
    setRig(p, { profile: 'Meadow flat' });
  },
  B15: (p) => {
    ownCopy<GearOf<'body'>>(p, 'orrowby-linnet-ii', (gear) =>
      gear.modes.forEach((mode) => (mode.heatMinutesAt20C = 26))
    );
    p.scenes[0]!.longestTakeMin = 27;
    p.scenes[0]!.temperatureC = 24;
  },
  B16: (p) => {
    ownCopy<GearOf<'body'>>(p, 'orrowby-linnet-ii', (gear) => {
      gear.ports = [
        ...gear.ports.filter(({ role }) => role !== 'audioIn'),
        { family: 'audio', type: 'USB-C', end: 'socket', role: 'audioIn' }
      ];
    });
    activePlan(p).lines.push(
      line('nibsworth-cable-trs-to-usb-c'),
      line('pellamund-hearth-74'),
      line('nibsworth-usb-c-cable-c-to-c-1-m')
    );
  },
  'B2/glare': (p) => {
    walkOutside(p);
    p.scenes[0]!.lightBrightLx = 20_000;
    activePlan(p).lines.push(line('harkelow-window-7'), line('nibsworth-hdmi-cable-d-to-a-1-m'));
  },
  'L3/edge': (p) => {
    const angle = p.scenes[0]!.angles[0]!;
    Object.assign(angle, { framing: 'group', people: 4, distanceM: 1.6 });
  },
  'L4/row': (p) => {
    const angle = p.scenes[0]!.angles[0]!;
    Object.assign(angle, { framing: 'group', people: 2, distanceM: 1.8, rowDepthM: 0.6 });
    setRig(p, { apertureN: 1.5 });
  },
  'L4/softens': (p) => {
    const angle = p.scenes[0]!.angles[0]!;
    Object.assign(angle, { framing: 'group', people: 2, distanceM: 1.25, rowDepthM: 0.9 });
    Object.assign(p.scenes[0]!, {
      seenLargeIn4K: true,
      lightSource: 'existing light',
      lightDimLx: 2000,
      lightBrightLx: 2000
    });
  },
  'L8/corners': (p) => {
    walkOutside(p);
    Object.assign(p.scenes[0]!, { lightSource: 'sky', lightDimLx: 9000, lightBrightLx: 20_000 });
    swap(p, 'pellamund-24-f-1-5', 'orrowby-15-43-f-3-5-5-6');
    activePlan(p).lines.push(line('pellamund-dusk-2-5-62-mm'));
    setRig(p, { focalLengthMm: 15, filterLineId: 'pellamund-dusk-2-5-62-mm' });
    ownCopy<GearOf<'lens'>>(p, 'orrowby-15-43-f-3-5-5-6', (gear) => {
      gear.filterThreadMm = 62;
      gear.ports.forEach((port) => port.family === 'thread' && (port.type = '62 mm'));
    });
  },
  'L8/ring': (p) => {
    walkOutside(p);
    activePlan(p).lines.push(line('pellamund-dusk-6-9-67-mm'));
    ownCopy<GearOf<'lens'>>(p, 'pellamund-24-f-1-5', (gear) => {
      gear.filterThreadMm = 62;
      gear.ports.forEach((port) => port.family === 'thread' && (port.type = '62 mm'));
    });
  },
  L9: (p) => {
    walkOutside(p);
    p.scenes[0]!.longestTakeMin = 5;
  },
  'L10/cast': (p) => {
    walkOutside(p);
    Object.assign(p.scenes[0]!, { lightSource: 'sky', lightDimLx: 60_000, lightBrightLx: 80_000 });
    activePlan(p).lines.push(line('pellamund-dusk-6-9-67-mm'));
    setRig(p, { filterLineId: 'pellamund-dusk-6-9-67-mm' });
    ownCopy<GearOf<'lens'>>(p, 'pellamund-24-f-1-5', (gear) => {
      gear.filterThreadMm = 67;
      gear.ports.forEach((port) => port.family === 'thread' && (port.type = '67 mm'));
    });
  },
  'L10/diffusion': (p) => activePlan(p).lines.push(line('pellamund-breath-67-mm')),
  A6: (p) => activePlan(p).lines.push(line('quillfeather-dummy-battery-ember-16')),
  'A8/no guide track': (p) =>
    ownCopy<GearOf<'body'>>(p, 'orrowby-linnet-ii', (gear) => (gear.ownMicrophone = false)),
  'A8/drift': (p) => {
    p.scenes[0]!.longestTakeMin = 25;
  },
  'A9/lamp': (p) =>
    ownCopy<GearOf<'lamp'>>(
      p,
      'quillfeather-ray-65-two-colour-55-cm-dome',
      (gear) => (gear.fanLevelDbA = 34)
    ),
  'A10/boom': (p) => {
    swap(p, 'dunmarrow-burr', 'dunmarrow-plover-plain');
    activePlan(p).lines.push(line('brackenholt-desk-boom'), line('brackenholt-saddle-bag-9'));
    p.scenes[0]!.angles[0]!.framing = 'full length';
    p.scenes[0]!.angles[0]!.distanceM = 3.4;
    setRig(p, { micPlace: 'boom arm' });
  },
  'A10/in the picture': (p) => {
    swap(p, 'dunmarrow-burr', 'dunmarrow-ledge-low');
    walkOutside(p);
    activePlan(p).lines.push(line('nibsworth-cable-xlr-to-trs-3-m'));
    setRig(p, { micPlace: 'hand' });
  },
  A11: (p) => {
    p.scenes[0]!.angles[0]!.distanceM = 3;
    // A recorder beside the speaker would take the voice without a long lead.
    without(p, 'withrick-pocket-scribe');
  },
  A14: (p) => (p.scenes[0]!.style = 'interview'),
  A13: (p) => {
    p.scenes[0]!.live = true;
    swap(p, 'dunmarrow-burr', 'nibsworth-table');
    activePlan(p).lines.push(line('nibsworth-weir-plus'), line('nibsworth-hdmi-cable-d-to-a-1-m'));
    ownCopy<GearOf<'body'>>(p, 'orrowby-linnet-ii', (gear) => (gear.usbVideo = false));
  },
  G4: (p) =>
    Object.assign(p.scenes[0]!, {
      lightSource: 'window',
      lightDimLx: 100,
      lightBrightLx: 30_000
    }),
  'G7/load': (p) =>
    ownCopy<GearOf<'support'>>(p, 'brackenholt-stand-2', (gear) => (gear.payloadKg = 1)),
  'G7/wind': (p) => {
    delete p.scenes[0]!.room;
    p.scenes[0]!.windMps = 7;
    activePlan(p).lines.push(line('dunmarrow-furry-windscreen-for-lavaliers-pair'));
  },
  G8: (p) => (p.scenes[0]!.darkBackground = true),
  G9: (p) => (p.scenes[0]!.wantsKeyToFill = 2),
  'G10/power': (p) => {
    activePlan(p).lines.push(line('brackenholt-tile-45-cloth'));
    p.scenes[0]!.daysWithoutSocket = 1;
    further(p, 'brackenholt-tile-45-cloth', 'back');
  },
  'G10/stand': (p) => {
    activePlan(p).lines.push(line('brackenholt-tile-12'));
    further(p, 'brackenholt-tile-12', 'overhead');
  },
  'G10/load': (p) => {
    activePlan(p).lines.push(
      line('quillfeather-ray-220-90-cm-dome'),
      line('cobberly-bench-overhead-arm')
    );
    ownCopy<GearOf<'support'>>(p, 'cobberly-bench-overhead-arm', (gear) => (gear.payloadKg = 2));
    further(p, 'quillfeather-ray-220-90-cm-dome', 'overhead');
  },
  S3: (p) => (p.scenes[0]!.wantsPan = true),
  'S4/legs': (p) => {
    swap(p, 'nibsworth-hob-mini-tripod-wide', 'cobberly-meadow-tripod');
    p.scenes[0]!.angles[0]!.cameraPlace = 'tripod';
    ownCopy<GearOf<'support'>>(p, 'cobberly-meadow-tripod', (gear) => (gear.footRadiusM = 0.2));
  },
  'S4/boom': (p) => {
    swap(p, 'dunmarrow-burr', 'dunmarrow-plover-plain');
    activePlan(p).lines.push(line('brackenholt-stand-boom'));
    setRig(p, { micPlace: 'boom arm' });
    ownCopy<GearOf<'microphone'>>(p, 'dunmarrow-plover-plain', (gear) => (gear.massG = 400));
  },
  S6: (p) => {
    const angle = {
      ...p.scenes[0]!.angles[0]!,
      id: 'b',
      name: 'side',
      cameraPlace: 'tripod' as const
    };
    p.scenes[0]!.angles.push(angle);
    activePlan(p).lines.find((line) => line.gearId === 'orrowby-linnet-ii')!.quantity = 2;
    activePlan(p).lines.find((line) => line.gearId === 'pellamund-24-f-1-5')!.quantity = 2;
  },
  S7: (p) => (p.carriedLimitKg = 2),
  P4: (p) => {
    p.scenes[0]!.recordedMin = 330;
    activePlan(p).lines.find((line) => line.gearId === 'quillfeather-sd-128-v30')!.quantity = 4;
    activePlan(p).lines.find(
      (line) => line.gearId === 'quillfeather-ember-16-battery-twin'
    )!.quantity = 2;
    without(p, 'quillfeather-charger-ember-16-two-bays');
  },
  P5: (p) => {
    p.scenes[0]!.daysWithoutSocket = 3;
    p.scenes[0]!.recordedMin = 150;
    p.scenes[0]!.lightSource = 'existing light';
    p.scenes[0]!.lightDimLx = p.scenes[0]!.lightBrightLx = 800;
    activePlan(p).lines.find((line) => line.gearId === 'quillfeather-sd-128-v30')!.quantity = 5;
  },
  M3: (p) => (p.reserveMinor = 170_000),
  M5: (p) => {
    p.pricesAsOf = '2026-11-25';
    ownCopy<GearOf<'lens'>>(
      p,
      'pellamund-24-f-1-5',
      (gear) => (gear.priceNew!.dealEnds = '2026-11-30')
    );
  },
  'M5/cash-back': (p) => {
    p.pricesAsOf = '2026-11-25';
    const lens = activePlan(p).lines.find((line) => line.gearId === 'pellamund-24-f-1-5')!;
    Object.assign(lens, { cashBackMinor: 4_000, cashBackUntil: '2026-11-20' });
  },
  M8: (p) => {
    // By hand the second line takes nothing off.
    const [first, second] = activePlan(p).lines;
    const left = p.limitMinor - 8_900;
    Object.assign(first!, { handRemainingMinor: left });
    Object.assign(second!, { handRemainingMinor: left });
  },
  M6: (p) => {
    p.limitMinor = 135_000;
    activePlan(p).lines.find((line) => line.gearId === 'pellamund-24-f-1-5')!.cashBackMinor =
      20_000;
  },
  'M2/part': (p) => (p.itemLimitMinor = 50_000),
  'M2/rule used': (p) => {
    p.rules = { onlyUsed: true };
    const plan = activePlan(p);
    // All but one part is there already; the body is bought new.
    plan.lines.forEach(
      (line) => (line.state = line.gearId === 'orrowby-linnet-ii' ? 'wanted' : 'owned')
    );
  },
  'M2/rule source': (p) => (p.rules = { onlyFrom: 'mail order' }),
  'M2/rule dearer': (p) => (p.rules = { noDearerThanGearId: 'pellamund-24-f-1-5' }),
  'M4/stale': (p) => {
    p.pricesAsOf = '2027-06-01';
  },
  W1: (p) => {
    p.setUpLimitMin = 3;
  },
  W2: (p) => (p.switchLimit = 1),
  W3: (p) => {
    p.scenes[0]!.onceOnly = true;
    without(p, 'quillfeather-ember-16-battery-twin');
    without(p, 'quillfeather-charger-ember-16-two-bays');
  },
  W5: (p) =>
    (activePlan(p).lines.find((line) => line.gearId === 'nibsworth-hob-mini-tripod-wide')!.worn =
      true),
  'W4/plays': (p) => {
    activePlan(p).lines.push(line('harkelow-desk-slate'));
    p.scenes[0]!.fps = 25;
    ownCopy<GearOf<'body'>>(p, 'orrowby-linnet-ii', (gear) =>
      gear.modes.forEach((mode) => (mode.codec = '4:2:2 10-bit'))
    );
  },
  'W4/room': (p) => {
    activePlan(p).lines.push(line('harkelow-desk-slate'));
    ownCopy<GearOf<'computer'>>(p, 'harkelow-desk-slate', (gear) => (gear.freeSpaceGb = 4));
  }
};
