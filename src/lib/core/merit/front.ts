/** One offer on a price-against-merit picture. */
export interface Offer {
  priceMinor: number;
  merit: number;
}

/**
 * Offers nothing beats: none is both cheaper (or as cheap) and better. Cheapest first.
 */
export function nonDominated<T extends Offer>(offers: readonly T[]): T[] {
  const byPrice = [...offers].sort((a, b) => a.priceMinor - b.priceMinor || b.merit - a.merit);
  const edge: T[] = [];
  for (const offer of byPrice) {
    if (edge.length === 0 || offer.merit > edge.at(-1)!.merit) edge.push(offer);
  }
  return edge;
}
