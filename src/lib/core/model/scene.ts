import { IsBoolean } from 'class-validator';
import { MOST_ANGLES } from './limits';
import {
  Holds,
  HoldsList,
  Id,
  Day,
  MayBeLeftOut,
  NeededNumber,
  NeededText,
  NeededWord,
  StatedNumber,
  StatedWord,
  StatedYesNo,
  WordList
} from './stated';
import {
  sceneStyles,
  framings,
  cameraPlaces,
  sceneWants,
  tapeEnds,
  orientations,
  lightSources,
  roomFeels,
  voices
} from './word-lists';

export type SceneStyle = (typeof sceneStyles)[number];

export type Framing = (typeof framings)[number];

export type CameraPlace = (typeof cameraPlaces)[number];

export type SceneWant = (typeof sceneWants)[number];

export type Orientation = (typeof orientations)[number];

export type LightSource = (typeof lightSources)[number];

export type RoomFeel = (typeof roomFeels)[number];

export type Voice = (typeof voices)[number];

/** One camera position of a scene. */
export class Angle {
  @Id() id!: string;
  @NeededText(120) name!: string;
  @NeededWord(cameraPlaces) cameraPlace!: CameraPlace;
  /** From the lens to the face, or to the work when hands are filmed. */
  @NeededNumber('m', 0.1, 200, [0.2, 8]) distanceM!: number;
  /** From the face to what is behind it; left out when the background is far away. */
  @StatedNumber('m', 0.05, 100_000, [0.05, 20]) backgroundM?: number;
  @NeededWord(framings) framing!: Framing;
  /** Overrides the framing's own height or width when measured. */
  @StatedNumber('m', 0.02, 100, [0.1, 6]) framedSizeM?: number;
  @NeededNumber('count', 1, 40) people!: number;
  /** From the nearest face of a row to the farthest. */
  @StatedNumber('m', 0.01, 40) rowDepthM?: number;
  /** Where the tape was held; from the lens unless said. */
  @StatedWord(tapeEnds) measuredFrom?: (typeof tapeEnds)[number];
  /** Of this camera alone, where it films otherwise than the scene says: a wide one runs through, a close one in takes. */
  @StatedNumber('min', 0.1, 1440, [0.5, 240]) longestTakeMin?: number;
  @StatedNumber('min', 0.1, 1440, [1, 720]) recordedMin?: number;
  /** Where this camera stands round the subject, from the first one's side: to its right as it sees it above zero. */
  @StatedNumber('°', -180, 180) turnDeg?: number;
  /** This camera turns with what it films, or stands still while another does. */
  @StatedYesNo() wantsPan?: boolean;
}

export class Room {
  @NeededNumber('m', 0.8, 200, [0.8, 30]) lengthM!: number;
  @NeededNumber('m', 0.8, 200, [0.8, 30]) widthM!: number;
  @NeededNumber('m', 1, 60, [1, 12]) heightM!: number;
  @NeededWord(roomFeels) feel!: RoomFeel;
}

/** Daylight through glass, measured instead of guessed. */
export class Window {
  @NeededNumber('m²', 0.05, 60, [0.1, 12]) areaM2!: number;
  /** From the glass to the face. */
  @NeededNumber('m', 0.1, 30, [0.3, 8]) distanceM!: number;
  /** Luminance of the sky it shows at its dimmest and brightest; overcast about 2 000, bright cloud about 8 000. */
  @NeededNumber('cd/m²', 1, 50_000, [50, 20_000]) skyDimCdM2!: number;
  @NeededNumber('cd/m²', 1, 50_000, [50, 20_000]) skyBrightCdM2!: number;
  /** What glass and curtain let through. */
  @NeededNumber('×', 0.01, 1) transmittance!: number;
}

/** What is filmed and where, said once and measured where it matters. */
export class Scene {
  @Id() id!: string;
  @NeededText(120) name!: string;
  @NeededWord(sceneStyles) style!: SceneStyle;
  /** Share of what the person makes, for weighing scenes against each other. */
  @NeededNumber('%', 0, 100) sharePercent!: number;
  @IsBoolean({ message: 'must be true or false' }) mustDo!: boolean;
  @HoldsList(() => Angle, { what: 'camera angles', min: 1, max: MOST_ANGLES })
  angles!: Angle[];
  @NeededWord(orientations) orientation!: Orientation;
  /** Present indoors, absent outdoors. */
  @Holds(() => Room)
  room?: Room;
  /** A measured window; its light comes on top of what the place has. */
  @Holds(() => Window)
  window?: Window;
  @NeededNumber('dB(A)', 0, 110) noiseDbA!: number;
  @NeededWord(voices) voice!: Voice;
  @NeededNumber('m/s', 0, 30, [0, 25]) windMps!: number;
  /** How fast one rides or drives; the air that is met is at least as fast. */
  @StatedNumber('m/s', 0.5, 60, [1, 30]) rideSpeedMps?: number;
  @NeededWord(lightSources) lightSource!: LightSource;
  @NeededNumber('lx', 0, 200_000, [0, 120_000]) lightDimLx!: number;
  @NeededNumber('lx', 0, 200_000, [0, 120_000]) lightBrightLx!: number;
  /** Colour of the light that is there and stays on, where somebody knows it. */
  @StatedNumber('K', 1500, 12_000, [2000, 8000]) lightColourK?: number;
  @NeededNumber('°C', -20, 50, [-20, 45]) temperatureC!: number;
  @NeededNumber('min', 0.1, 1440, [0.5, 240]) longestTakeMin!: number;
  /** All recorded minutes of one day. */
  @NeededNumber('min', 0.1, 1440, [1, 720]) recordedMin!: number;
  /** Days in a row without a socket, the nights included; 0 when one is at hand while filming. */
  @NeededNumber('days', 0, 60, [0, 14]) daysWithoutSocket!: number;
  @NeededNumber('px', 640, 12_000) pixelsAcross!: number;
  @NeededNumber('fps', 1, 240) fps!: number;
  @IsBoolean({ message: 'must be true or false' }) live!: boolean;
  /** What goes out live is recorded in the camera too. */
  @StatedYesNo() liveIsRecorded?: boolean;
  @IsBoolean({ message: 'must be true or false' }) wantsSeeSelf!: boolean;
  /** Blur of the background in percent of the picture width; 0 when it may be sharp. */
  @NeededNumber('%', 0, 10, [0, 4]) wantsBlurPercent!: number;
  @IsBoolean({ message: 'must be true or false' }) wantsFaceSharp!: boolean;
  /** Watched large and near, in all its pixels: what counts as sharp is half as large. */
  @StatedYesNo() seenLargeIn4K?: boolean;
  /** Wants that would be nice but are not insisted on. */
  @MayBeLeftOut()
  @WordList(sceneWants, 'wants')
  niceToHave?: SceneWant[];
  /** Cannot be filmed again: a wedding, a bird, a last day. */
  @StatedYesNo() onceOnly?: boolean;
  /** The place has a mixing desk that gives its sound: of microphones as near to the mouth as a lectern's. */
  @StatedYesNo() hasDeskFeed?: boolean;
  /** Rain, spray or dust. */
  @StatedYesNo() roughWeather?: boolean;
  /** The camera turns with what it films. */
  @StatedYesNo() wantsPan?: boolean;
  @StatedYesNo() darkBackground?: boolean;
  /** Bright to dark side of the face as asked; 1 is flat, 4 is dramatic. */
  @StatedNumber('×', 1, 64, [1, 16]) wantsKeyToFill?: number;
  /** Scenes with the same number are filmed on one day and share its batteries and cards; without one it has a day of its own. */
  @StatedNumber('count', 1, 366) day?: number;
  /** The day on which it is filmed, for the evenings before and after. */
  @MayBeLeftOut() @Day() filmedOn?: string;
  /** How many takes the recorded minutes of a day come in; as few as the longest take allows unless said. */
  @StatedNumber('count', 1, 400, [1, 60]) takes?: number;
  /** Between two takes. */
  @StatedNumber('min', 0, 240, [0, 60]) pauseMin?: number;
  /** The light or the guests are not there earlier; minutes after midnight. */
  @StatedNumber('min', 0, 1439) notBeforeMin?: number;
  /** To the place with everything carried, before this scene. */
  @StatedNumber('min', 0, 480, [0, 180]) carryMin?: number;
  /** For days away: sun on a panel and hours with a car's socket. */
  @StatedNumber('h', 0, 16, [0, 12]) sunHoursPerDay?: number;
  @StatedNumber('h', 0, 16, [0, 12]) drivenHoursPerDay?: number;
}
