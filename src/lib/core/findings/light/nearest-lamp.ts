/** Nearer than this a lamp is in the picture or in the face. */
export const NEAREST_LAMP_M = 0.4;
