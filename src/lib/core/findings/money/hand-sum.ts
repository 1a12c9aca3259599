import { fullName } from '../../model/gear';
import { formatMoney } from '../../money/format';
import { type HandSlip, handSumOf } from '../../money/hand-sum';
import type { Held, PlanFindingRow } from '../finding';

const leftWords = (minorUnits: number, currency: string): string =>
  minorUnits < 0
    ? `${formatMoney(-minorUnits, currency)} over`
    : minorUnits === 0
      ? 'nothing left'
      : `${formatMoney(minorUnits, currency)} left`;

/** M8. */
export const handSumFindings: readonly PlanFindingRow[] = [
  {
    code: 'M8',
    family: 'money',
    scope: 'plan',
    about: 'a sum done by hand went wrong',
    judge: ({ money }): Held[] => {
      const sum = handSumOf(money);
      const { currency } = money;
      const nameOf = ({ statement }: HandSlip) =>
        statement.gear ? statement.gear.model : statement.line.gearId;
      return (sum?.slips ?? []).map((slip) => ({
        severity: 'note',
        about: slip.statement.line.id,
        lineIds: [slip.statement.line.id],
        has: slip.claimedMinor,
        needs: slip.expectedMinor,
        unit: 'money',
        title: () =>
          `The sum by hand goes wrong at ${nameOf(slip)}: ${leftWords(slip.claimedMinor, currency)}, not ${leftWords(slip.expectedMinor, currency)}`,
        why: () => {
          const { statement, trulyMinor } = sum!.last;
          const last = statement.gear ? fullName(statement.gear) : statement.line.gearId;
          return `From ${leftWords(slip.fromMinor, currency)} it takes ${formatMoney(slip.costMinor, currency)} off. Truly there is ${leftWords(trulyMinor, currency)} after ${last}.`;
        }
      }));
    },
    propose: ({ money }) => [
      {
        label: 'Write down what is truly left',
        act: {
          type: 'batch',
          acts: money.lines
            .filter(({ line }) => line.handRemainingMinor !== undefined)
            .map(({ line, remainingMinor }) => ({
              type: 'change line' as const,
              lineId: line.id,
              patch: { handRemainingMinor: remainingMinor }
            }))
        }
      },
      {
        label: 'Forget the sum done by hand',
        act: {
          type: 'batch',
          acts: money.lines
            .filter(({ line }) => line.handRemainingMinor !== undefined)
            .map(({ line }) => ({
              type: 'change line' as const,
              lineId: line.id,
              patch: { handRemainingMinor: undefined }
            }))
        }
      }
    ]
  }
];
