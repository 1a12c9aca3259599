import { computeFigures } from '../../figures/record';
import type { FindingRow, Severity } from '../../findings/finding';
import { missingIn } from '../../findings/money/missing-parts';
import { angleFindings, judgesOfAngle } from '../../findings/table';
import { axes, type Axis } from '../../merit/axis-curves';
import { axisPoints, lossesByFinding, sumAxis } from '../../merit/axis-scores';
import { combineAxes } from '../../merit/scene-merit';
import { weightsOf } from '../../merit/schools';
import type { PlacedRig } from '../../rigs/placed-rig';
import type { DifferingAngle } from '../incremental';
import { jointRows } from '../joint-rows';

/** How well an angle stands: what stops it counts before what it is worth. */
export interface Standing {
  stops: number;
  merit: number;
}

/** Differences below this are none; the part that comes first stays. */
const EQUAL_MERIT = 1e-6;

export const isBetter = (a: Standing, b: Standing): boolean =>
  a.stops !== b.stops ? a.stops < b.stops : a.merit > b.merit + EQUAL_MERIT;

/**
 * Judges one angle by itself, without words: its stops, and its merit with all they cost settled.
 *
 * @param difference what differs from a rig judged before, whose other rows and figures stand
 * @param besideComing as if what joins parts and comes along with them were there
 */
export function standingOf(
  rig: PlacedRig,
  difference: DifferingAngle | undefined,
  besideComing: boolean
): Standing {
  const record = difference?.record ?? computeFigures([rig])[0]!;
  const weakening: FindingRow[] = [];
  let stops = missingIn(rig, besideComing);
  const count = (row: FindingRow, severity: Severity | undefined) => {
    // What has to be bought first weighs, so that what is joined already is not left for nothing.
    const isBought = besideComing && mayBeJoined.has(row);
    if (severity === 'stop' && !isBought) stops += 1;
    else if (severity === 'warn' || severity === 'stop') weakening.push(row);
  };
  if (difference)
    for (const { finding } of difference.standing) count(finding.row, finding.severity);
  for (const rowIndex of difference?.reached ?? allRows) {
    const row = angleFindings[rowIndex]!;
    const unchanged = difference?.unchanged(rowIndex);
    if (unchanged) {
      count(row, unchanged.finding?.severity);
      continue;
    }
    const unknownsBefore = record.unknownReads;
    const held = judgesOfAngle[rowIndex]!(rig, record);
    if (held) count(row, held.severity);
    else if (record.unknownReads > unknownsBefore && row.onlyNotes !== true) weakening.push(row);
  }
  const losses = lossesByFinding(rig, weakening);
  const points: Partial<Record<Axis, number>> = {};
  for (const axis of axes) {
    const sum = difference ? difference.sum(axis, record) : sumAxis(axis, rig, record);
    if (sum) points[axis] = axisPoints(sum.low - (losses[axis] ?? 0));
  }
  return { stops, merit: combineAxes(points, weightsOf(rig.project)).merit };
}

const mayBeJoined: ReadonlySet<FindingRow> = new Set(jointRows.map((row) => angleFindings[row]!));
const allRows = judgesOfAngle.map((_, index) => index);
