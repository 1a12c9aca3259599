import type { Judgement } from '../../core/judge/judge-plan';

/** The usual cautions, where a part or a scene brings them. They defer to local codes and trained people. */
export function cautionsFor({ kit, angles }: Judgement): string[] {
  const said: string[] = [];
  if (
    kit
      .of('support')
      .some(({ gear }) => ['boom', 'overhead arm', 'light stand'].includes(gear.form))
  ) {
    said.push(
      'What hangs over a person can fall: weigh the stand down, tie a safety line, and never sit under a load without both. Heavy or overhead rigging is work for trained people; follow the makers’ manuals.'
    );
  }
  if (kit.of('lamp').length > 0)
    said.push(
      'Lamps get hot: keep cloth and paper away and let them cool before packing. Mains wiring is for licensed people; tape cables down and follow local codes.'
    );
  if (kit.of('cell').length > 0 || kit.of('bank').length > 0) {
    said.push(
      'Lithium cells: use the charger meant for them, never a swollen or damaged cell. For air travel ask the airline; above 100 Wh it decides, above 160 Wh it normally refuses.'
    );
  }
  if (angles.some(({ scene }) => scene.style === 'walk'))
    said.push(
      'Filming while walking, riding or near traffic: eyes on the way, not on the screen, and the local rules come first.'
    );
  return said;
}
