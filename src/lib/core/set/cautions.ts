import { partsOfScene } from '../figures/handling-rows';
import { figureOf } from '../figures/record';
import { figureWords } from '../figures/figure-words';
import { cautionsFor } from '../judge/cautions';
import type { AngleJudgement } from '../judge/incremental';
import { type SetLayout, tipWords } from './layout';

/** What people usually take care of on this set: what it asks in figures first, then the usual cautions for its parts. */
export function cautionsOnSet(judged: AngleJudgement, layout: SetLayout): string[] {
  const { units } = judged.rig.project;
  const list: string[] = [];
  const bagKg = layout.mic?.bagKg;
  if (bagKg !== undefined && bagKg > 0.05)
    list.push(
      `The boom’s stand wants ${figureWords(bagKg, 'kg', units)} of sand or water on the foot under the arm.`
    );
  const tip = figureOf(judged.record, 'tipAngle');
  if (tip !== undefined)
    list.push(`The support tips at ${tipWords(tip)}: keep cables and passers-by off it.`);
  const parts = partsOfScene(judged.rig);
  for (const { topic, text } of cautionsFor({
    kit: { ...judged.rig.kit, parts: [...parts] },
    angles: [judged]
  }))
    list.push(`${topic}: ${text}`);
  return list;
}
