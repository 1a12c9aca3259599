import { cardsInto, SWAP_MARGIN } from '../figures/endurance-rows';
import { recordingGb, USABLE_OF_LABEL } from '../relations/storage/recording-size';
import { type FilmingDay, minutesBeforeSocket } from './filming-days';
import { isRecorded } from '../model/scene-facts';
import type { KitPart } from '../rigs/kit';
import type { Consumer, Store, SuppliesAndNeeds } from './shared-supplies';

/** What the bodies of a day record and where to. */
export function cardSpaceOfDay({ rigs }: FilmingDay): SuppliesAndNeeds {
  const byLine = new Map<string, Consumer>();
  const reaches = new Map<string, Map<string, number>>();
  const stores: Store[] = [];
  const unknown = new Set<KitPart>();
  for (const { body, mode, scene, angle, kit } of rigs) {
    if (!body || !mode || !isRecorded(scene)) continue;
    const rate = mode.bitRateMbps;
    if (rate === undefined) {
      unknown.add(body);
      continue;
    }
    const need = recordingGb(rate, minutesBeforeSocket(scene, angle));
    const used = byLine.get(body.line.id);
    if (used) {
      used.need += need;
      used.needInOneScene = Math.max(used.needInOneScene, need);
      continue;
    }
    const cards = cardsInto(kit, body);
    const inside = body.gear.internalStorageGb;
    // A body without anything to record to is told by itself.
    if (cards.length === 0 && inside === undefined) continue;
    byLine.set(body.line.id, {
      part: body,
      need,
      needInOneScene: need
    });
    if (inside !== undefined)
      stores.push({
        kind: 'built-in storage',
        pieces: body.line.quantity,
        lineId: body.line.id,
        name: `the storage inside ${body.gear.model}`,
        amount: inside * body.line.quantity * USABLE,
        reaches: new Map([[body.line.id, 1]])
      });
    for (const { line, gear } of cards) {
      let to = reaches.get(line.id);
      if (!to) {
        reaches.set(line.id, (to = new Map()));
        stores.push({
          kind: 'card',
          pieces: line.quantity,
          lineId: line.id,
          name: line.quantity === 1 ? gear.model : `${line.quantity} × ${gear.model}`,
          amount:
            gear.capacityGb === undefined ? undefined : gear.capacityGb * line.quantity * USABLE,
          reaches: to
        });
      }
      to.set(body.line.id, 1);
    }
  }
  return { consumers: [...byLine.values()], unknown: [...unknown], stores };
}

/** Of a label's gigabytes what can be recorded on, less what is kept free for the swap. */
const USABLE = USABLE_OF_LABEL * (1 - SWAP_MARGIN);
