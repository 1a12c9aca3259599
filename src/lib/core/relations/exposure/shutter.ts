/** Shutter steps a video body offers, as the number under the one. */
export const shutterSteps = [
  24, 25, 30, 40, 48, 50, 60, 80, 96, 100, 120, 125, 160, 200, 240, 250, 320, 400, 480, 500, 640,
  800, 1000, 1250, 1600, 2000, 2500, 3200, 4000, 5000, 6400, 8000
] as const;
