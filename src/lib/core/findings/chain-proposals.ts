import { cheapestClosing, joiningPartsOfShelf } from '../rigs/closings';
import { openConnection } from '../rigs/open-connections';
import type { Connection, ConnectionPurpose } from '../rigs/connection';
import type { AngleContext, SettingProposal } from './finding';
import { addAll } from './part-candidates';

type ChainContext = Pick<AngleContext, 'rig' | 'shelf' | 'project' | 'plan'>;

/** The cheapest chain of shelf parts that closes the first open connection of a purpose. */
export function chainProposals(
  context: ChainContext,
  purpose: ConnectionPurpose
): SettingProposal[] {
  const open = openConnection(context.rig, purpose);
  return open ? chainProposal(context, open) : [];
}

/** The cheapest chain of shelf parts that closes a connection, as one act that takes them all. */
export function chainProposal(
  { rig, shelf, project, plan }: ChainContext,
  need: Connection
): SettingProposal[] {
  const chain = cheapestClosing(need, rig.kit, joiningPartsOfShelf(shelf.items, project));
  const bought = chain?.parts.filter((part) => part.lineId === undefined) ?? [];
  if (bought.length === 0) return [];
  return [
    {
      label: `Add ${bought.map(({ gear }) => gear.model).join(' + ')}`,
      act: addAll(
        { plan, project },
        bought.map(({ gear }) => ({ gear, quantity: 1 }))
      )
    }
  ];
}
