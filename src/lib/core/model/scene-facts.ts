import type { Angle, Scene } from './scene';

/** What follows from the words a scene and an angle are described in; each stated here and nowhere else. */

/** The person sits: at a desk, in a chair, before a call. */
export const isSeated = ({ style }: Pick<Scene, 'style'>): boolean =>
  style === 'seated' || style === 'live call';

/** A face is filmed, not hands at work or a table from above. */
export const showsFace = ({ framing }: Pick<Angle, 'framing'>): boolean =>
  framing !== 'hands' && framing !== 'table';

/** The camera is held by the arm while it films, bare or on a pole. */
export const isHandheld = ({ cameraPlace }: Pick<Angle, 'cameraPlace'>): boolean =>
  cameraPlace === 'hand' || cameraPlace === 'extension pole';

/** Indoors a room says how it sounds; its light can be shut out and lamps be set. */
export const isIndoors = ({ room }: Pick<Scene, 'room'>): boolean => room !== undefined;
