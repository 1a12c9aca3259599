import type { Act } from '../../acts/act';
import type { DisputeRow } from './dispute';
import { add, isOpen, linesOf, together } from './ways';

export const livePictureDisputes = {
  'live picture': {
    question: 'A capture device, or the camera over USB?',
    sides: [
      {
        name: 'capture device',
        says: 'Full picture at the full rate, any body with a clean output, and it stays when the body goes.'
      },
      {
        name: 'over USB',
        says: 'One cable, nothing to buy; good enough for a call, if the body can and keeps cool.'
      }
    ],
    where: 'accessories',
    arises: ({ project }) => project.scenes.some(({ live }) => live),
    standing: (context) => {
      const captured = linesOf(context, 'capture device').length > 0;
      return [
        captured,
        !captured && linesOf(context, 'body').some(({ gear }) => gear.usbVideo === true)
      ];
    },
    ways: (context, side) =>
      side === 0
        ? add(context, 'capture device', () => true)
        : together(
            linesOf(context, 'capture device')
              .filter(({ line }) => isOpen(line))
              .map(({ line }): Act => ({ type: 'remove line', lineId: line.id }))
          )
  }
} as const satisfies Record<string, DisputeRow>;
