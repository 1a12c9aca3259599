/** Third-stop apertures as lenses mark them. */
export const apertureSteps = [
  0.95, 1, 1.1, 1.2, 1.4, 1.6, 1.8, 2, 2.2, 2.5, 2.8, 3.2, 3.5, 4, 4.5, 5, 5.6, 6.3, 7.1, 8, 9, 10,
  11, 13, 14, 16, 18, 20, 22, 25, 29, 32
] as const;

/** Whole stops of the same scale. */
export const wholeApertures = [1, 1.4, 2, 2.8, 4, 5.6, 8, 11, 16, 22, 32] as const;
