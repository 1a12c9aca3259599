import { mustBePositive } from '../argument';

/** How the picture sits on the sensor. */
export type PictureShape = 'wide' | 'upright turned' | 'upright cropped' | 'upright open gate';

/**
 * Width and height of the sensor area a 16:9 video picture uses, in millimetres.
 *
 * wide: w = sensor width ÷ crop, h = w·9/16. Upright by turning the camera: the same area standing.
 * Upright by cropping a wide picture: h·9/16 × h. From open gate: sensor height ÷ crop, × 9/16.
 *
 * @param sensorWidthMm still width of the sensor, mm, above zero
 * @param sensorHeightMm still height, mm, above zero
 * @param crop product of the mode's and the stabiliser's crops, 1 for none
 * @throws RelationError naming the argument
 * @example pictureAreaMm(36, 24, 1, 'upright cropped') // { widthMm: 11.39, heightMm: 20.25 }
 */
export function pictureAreaMm(
  sensorWidthMm: number,
  sensorHeightMm: number,
  crop: number,
  shape: PictureShape
): { widthMm: number; heightMm: number } {
  mustBePositive('sensorWidthMm', sensorWidthMm);
  mustBePositive('sensorHeightMm', sensorHeightMm);
  mustBePositive('crop', crop);
  const widthMm = sensorWidthMm / crop;
  const heightMm = (widthMm * 9) / 16;
  switch (shape) {
    case 'wide':
      return { widthMm, heightMm };
    case 'upright turned':
      return { widthMm: heightMm, heightMm: widthMm };
    case 'upright cropped':
      return { widthMm: (heightMm * 9) / 16, heightMm };
    case 'upright open gate': {
      const gateMm = sensorHeightMm / crop;
      return { widthMm: (gateMm * 9) / 16, heightMm: gateMm };
    }
  }
}
