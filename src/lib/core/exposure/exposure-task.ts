export interface DensityFilter {
  stopsMin: number;
  /** The same as the least for one of fixed density. */
  stopsMax: number;
  castMired?: number;
  massG?: number;
}

/** All that one angle and one end of its light say about exposure. */
export interface ExposureTask {
  fps: number;
  apertureWidestN: number;
  apertureSmallestN: number;
  shutterShortestS: number;
  /** Of the profile in use, less its deliberate over-exposure. */
  isoLowest: number;
  isoHighest: number;
  isoUsable: number;
  /** Light of the place at the face, lx, and what one's own lamps add at full. */
  placeLx: number;
  lampsLx: number;
  /** Share of either that pulses with the mains. */
  pulsing: { place: number; lamps: number };
  mainsHz: number;
  /** Those that screw on. */
  filters: readonly DensityFilter[];
  /** Least aperture number that holds the face or row sharp, if that is asked. */
  depthN?: number;
  /** Largest aperture number that blurs the background as asked. */
  blurN?: number;
  blurFirst: boolean;
  diffractionCapN: number;
  equivalentFocalLengthMm: number;
  /** Share of the light the lens passes, and its magnification; 1 and 0 unless known. */
  transmission?: number;
  magnification?: number;
  /** Set by hand: the only candidate. A filter that is on stays on, if any of the list screws on. */
  set?: { apertureN?: number; shutterS?: number; filter?: boolean };
}

export interface ExposureCosts {
  noise: number;
  shorter: number;
  longer: number;
  depth: number;
  blur: number;
  diffraction: number;
  corners: number;
  cast: number;
  flicker: number;
  wrong: number;
}

/** What the camera is set to at one end of the light, and what that costs in stops. */
export interface ExposurePlan {
  apertureN: number;
  shutterS: number;
  iso: number;
  filter: DensityFilter | undefined;
  densityStops: number;
  /** Share of one's own lamps in use. */
  lampShare: number;
  lx: number;
  /** Stops over (above 0) or under what the picture needs. */
  offStops: number;
  /** Flicker left in the picture, by the share of the light that pulses. */
  flickerPercent: number;
  /** ISO the same picture would need at half the frame time: what a longer shutter saves. */
  isoAtHalfFrame: number;
  cost: number;
  costs: ExposureCosts;
  sizes: FindingSizes;
  blocks: boolean;
}

/** The costs by what they are told as: each is the size of one finding, in stops. */
export interface FindingSizes {
  /** Noise past what is clean, smear that light would save, underexposure. */
  tooDark: number;
  /** A shutter too short, apertures too small, darkened corners, overexposure. */
  tooBright: number;
  depth: number;
  blur: number;
  cast: number;
  flicker: number;
}
