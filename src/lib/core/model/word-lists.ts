/*
 * The closed lists of words that parts, scenes and plans are said in. They stand apart from the classes that
 * check them, so that a view which only chooses words does not load the checks.
 */

/** What a port joins. */
export const portFamilies = [
  'mechanical',
  'audio',
  'video',
  'power',
  'mount',
  'thread',
  'card'
] as const;

/** Which half of the joint a part carries. A screw, a foot and a plug enter; a hole, a shoe and a jack take in. */
export const portEnds = ['plug', 'socket'] as const;

/** What the part uses the port for, so that two equal jacks are not confused. */
export const portRoles = [
  'audioIn',
  'audioOut',
  'videoOut',
  'videoIn',
  'stands',
  'carries',
  'lens',
  'filter',
  'power',
  'card',
  'joins'
] as const;

/** What a lamp does beside key and fill: part from the dark, light the wall, be seen, shine from above. */
export const furtherLampRoles = ['back', 'background', 'practical', 'overhead'] as const;

/** Which side of the face a lamp stands on, as the camera sees it. */
export const lampSides = ['left', 'right'] as const;

export const priceBases = ['new', 'used'] as const;

export const lineStates = ['wanted', 'owned', 'ordered', 'bought', 'returned'] as const;

export const steps = ['now', 'next', 'later'] as const;

/** In the place of a line of a rig: no part of the kit goes here, the bare hand or the body's own. */
export const NO_PART = 'none';

export const micPlaces = [
  'shoe',
  'side arm',
  'boom arm',
  'lavalier',
  'desk',
  'hand',
  'desk feed'
] as const;

export const sceneStyles = [
  'walk',
  'seated',
  'hands',
  'live call',
  'evening',
  'ride',
  'event',
  'interview',
  'product',
  'landscape',
  'flying'
] as const;

export const framings = [
  'face',
  'head and shoulders',
  'chest',
  'waist',
  'full length',
  'hands',
  'table',
  'group',
  'product',
  'detail',
  'stage',
  'landscape'
] as const;

export const cameraPlaces = [
  'hand',
  'extension pole',
  'tabletop',
  'tripod',
  'overhead',
  'ceiling',
  'monitor edge',
  'chest',
  'handlebar',
  'in the air'
] as const;

/** What a person may want of a scene beyond its working. */
export const sceneWants = ['see self', 'face sharp', 'soft background'] as const;

/** Where on the camera the tape was held. */
export const tapeEnds = ['lens', 'sensor mark'] as const;

export const orientations = [
  'wide',
  'upright turned',
  'upright cropped',
  'upright open gate'
] as const;

export const lightSources = ['sky', 'window', 'lamps', 'existing light'] as const;

export const roomFeels = ['bare', 'lived-in', 'treated'] as const;

export const voices = ['none', 'normal', 'raised', 'loud'] as const;

export const schoolIds = [
  'sound and light first',
  'lenses first',
  'body first',
  'start with what you have',
  'buy once',
  'light on the back'
] as const;

export const unitSystems = ['metric', 'imperial'] as const;

export const microphoneForms = [
  'shoe',
  'short shotgun',
  'lavalier wired',
  'lavalier wireless',
  'desk',
  'dynamic',
  'condenser',
  'desk feed'
] as const;

export const pickupPatterns = [
  'omni',
  'cardioid',
  'supercardioid',
  'hypercardioid',
  'short shotgun'
] as const;

export const windscreens = ['none', 'foam', 'furry'] as const;

export const microphonePowers = [
  'plug-in',
  'phantom',
  'battery',
  'internal',
  'USB',
  'none'
] as const;

export const supportForms = [
  'tripod',
  'mini tripod',
  'flexible tripod',
  'hand grip',
  'extension pole',
  'gimbal',
  'light stand',
  'boom arm',
  'overhead arm',
  'clamp',
  'ceiling mount',
  'monitor mount',
  'chest mount',
  'handlebar mount'
] as const;

export const headForms = ['none', 'ball', 'fluid', 'fixed'] as const;

/** Where something one owns is: at hand, with somebody else, worn out, or gone. */
export const pieceStates = ['here', 'lent', 'retired', 'sold'] as const;

/** What can go wrong on a day of filming by chance, and what varies from day to day. */
export const chanceIds = [
  'battery not charged',
  'battery not checked',
  'card not emptied',
  'switch left off',
  'left on in between',
  'setting left wrong',
  'radio drop-out',
  'gust',
  'file lost',
  'battery spread',
  'set-up spread'
] as const;

/** Lines of a pre-roll list that keep a chance small; each costs nothing. */
export const habitIds = [
  'batteries counted in the evening',
  'cards emptied in the evening',
  'battery checked before each take',
  'switches checked at each scene',
  'switched off in between',
  'settings checked at each scene',
  'first take played back',
  'charged while there is a socket'
] as const;
