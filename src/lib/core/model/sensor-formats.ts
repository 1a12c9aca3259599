/** Still area of each sensor format in millimetres. */
export const sensorFormats = {
  'full frame': { widthMm: 36.0, heightMm: 24.0 },
  'APS-C': { widthMm: 23.5, heightMm: 15.6 },
  'APS-C small': { widthMm: 22.3, heightMm: 14.9 },
  '4/3-type': { widthMm: 17.3, heightMm: 13.0 },
  '1-inch type': { widthMm: 13.2, heightMm: 8.8 },
  '1/1.3-type': { widthMm: 9.8, heightMm: 7.3 },
  '1/2.3-type': { widthMm: 6.17, heightMm: 4.55 }
} as const;
export type SensorFormat = keyof typeof sensorFormats;
export const sensorFormatNames = Object.keys(sensorFormats) as SensorFormat[];
