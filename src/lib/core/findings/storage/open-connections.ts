import { openConnections } from '../../rigs/open-connections';
import type { Connection, ConnectionPurpose } from '../../rigs/connection';
import type { PlacedRig } from '../../rigs/placed-rig';
import { chainProposal } from '../chain-proposals';
import type { PlanContext, Proposal } from '../finding';

/** What the angles leave open of a purpose, each part named once though many scenes need it. */
export function openOnce(rigs: readonly PlacedRig[], purpose: ConnectionPurpose): Connection[] {
  const byLine = new Map<string, Connection>();
  for (const rig of rigs)
    for (const need of openConnections(rig, purpose)) byLine.set(need.from.line.id, need);
  return [...byLine.values()];
}

/** The cheapest chain for one of them. */
export function chainsFor(
  { rigs, project, plan, shelf }: PlanContext,
  purpose: ConnectionPurpose,
  which: (need: Connection) => boolean
): Proposal[] {
  for (const rig of rigs) {
    const need = openConnections(rig, purpose).find(which);
    if (need) return chainProposal({ rig, project, plan, shelf }, need);
  }
  return [];
}
