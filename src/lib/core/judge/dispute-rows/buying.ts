import type { Act } from '../../acts/act';
import { cheapestOf, swapFor } from '../../findings/part-candidates';
import { newLine } from '../../model/new-line';
import { priceOf } from '../../money/payable-price';
import type { PriceBasis } from '../../model/plan';
import { activePlan } from '../../model/active-plan';
import type { DisputeContext, DisputeRow } from './dispute';
import { isOpen, linesOf, together } from './ways';

const setBasis = (context: DisputeContext, basis: PriceBasis): Act[] =>
  together(
    context.judgement.money.lines
      .filter(
        ({ line, gear }) =>
          isOpen(line) &&
          line.basis !== basis &&
          gear !== undefined &&
          priceOf(gear, basis) !== undefined
      )
      .map(({ line }): Act => ({ type: 'change line', lineId: line.id, patch: { basis } }))
  );

export const buyingDisputes = {
  'new or used': {
    question: 'New, or used?',
    byDegrees: true,
    sides: [
      {
        name: 'new',
        says: 'Whole batteries, whole shutter, a guarantee, and a price that is what it is.'
      },
      {
        name: 'used',
        says: 'The first owner has paid the loss; what is left buys the sound and the light.'
      }
    ],
    where: 'brief',
    arises: ({ judgement }) =>
      judgement.money.lines.some(({ line, gear }) => isOpen(line) && gear?.priceUsed !== undefined),
    standing: ({ judgement }) =>
      (['new', 'used'] as const).map((basis) =>
        judgement.money.lines.some(
          ({ line, inKit }) => inKit && isOpen(line) && line.basis === basis
        )
      ),
    ways: (context, side) => setBasis(context, side === 0 ? 'new' : 'used')
  },
  'whose batteries': {
    question: 'The maker’s own batteries, or another’s?',
    byDegrees: true,
    sides: [
      { name: 'the maker’s', says: 'They hold what they say and the body counts them down truly.' },
      {
        name: 'another’s',
        says: 'Two for the price of one; count on less in each, and on their own charger.'
      }
    ],
    where: 'power',
    arises: (context) => linesOf(context, 'battery').length > 0,
    standing: (context) =>
      [false, true].map((other) =>
        linesOf(context, 'battery').some(({ gear }) => (gear.otherMaker === true) === other)
      ),
    ways: (context, side) => {
      const plan = activePlan(context.project);
      const acts = linesOf(context, 'battery')
        .filter(({ gear, line }) => isOpen(line) && (gear.otherMaker === true) !== (side === 1))
        .flatMap(({ gear, line }) => {
          const [other] = cheapestOf(
            context.shelf,
            context.project,
            'battery',
            (battery) =>
              battery.batteryType === gear.batteryType &&
              (battery.otherMaker === true) === (side === 1)
          );
          return other
            ? [swapFor(line.id)({ ...newLine(plan, other), quantity: line.quantity })]
            : [];
        });
      // Each on its own: their new lines are named alike.
      return acts;
    }
  }
} as const satisfies Record<string, DisputeRow>;
