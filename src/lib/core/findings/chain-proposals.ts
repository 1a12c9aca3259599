import type { Act } from '../acts/act';
import {
  cheapestClosing,
  type ConnectionPurpose,
  connectionsOf,
  isMissingPort,
  joiningPartsOfShelf
} from '../rigs/connections';
import type { AngleContext, SettingProposal } from './finding';
import { newLine } from './part-candidates';

/** The cheapest chain of shelf parts that closes a connection, as one act that takes them all. */
export function chainProposals(
  context: AngleContext,
  purpose: ConnectionPurpose
): SettingProposal[] {
  const { rig, shelf, project, plan } = context;
  const need = connectionsOf(rig).find((one) => one.purpose === purpose);
  if (!need || isMissingPort(need)) return [];
  const chain = cheapestClosing(need, rig.kit, joiningPartsOfShelf(shelf.items, project.currency));
  const bought = chain?.parts.filter((part) => part.lineId === undefined) ?? [];
  if (bought.length === 0) return [];
  const acts: Act[] = [];
  let grown = plan;
  for (const { gear } of bought) {
    const line = newLine(grown, gear);
    acts.push({ type: 'add line', line });
    grown = { ...grown, lines: [...grown.lines, line] };
  }
  return [
    {
      label: `Add ${bought.map(({ gear }) => gear.model).join(' + ')}`,
      act: { type: 'together', acts }
    }
  ];
}
