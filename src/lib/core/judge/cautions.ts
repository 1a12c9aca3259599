import type { GearItem } from '../model/gear';
import type { Scene } from '../model/scene';
import type { Judgement } from './judgement';

/** What people usually take care of; it defers to local codes, makers' manuals and trained people. */
export interface Caution {
  topic: string;
  text: string;
}

interface CautionRow extends Caution {
  /** A part that brings it. */
  part?: (gear: GearItem) => boolean;
  /** A scene that brings it. */
  scene?: (scene: Scene) => boolean;
}

const cautions: readonly CautionRow[] = [
  {
    topic: 'Loads overhead',
    text: 'What hangs over a person can fall: weigh the stand down, tie a safety line, and never sit under a load without both. Heavy or overhead rigging is work for trained people; follow the makers’ manuals.',
    part: (gear) =>
      gear.kind === 'support' &&
      ['boom arm', 'overhead arm', 'ceiling mount', 'light stand'].includes(gear.form)
  },
  {
    topic: 'Hot lamps, mains',
    text: 'Lamps get hot: keep cloth and paper away and let them cool before packing. Tape cables down where people walk. Mains wiring is for licensed people; follow local codes.',
    part: (gear) => gear.kind === 'lamp' || gear.kind === 'mains adapter'
  },
  {
    topic: 'Lithium batteries',
    text: 'Use the charger meant for them, never a swollen or damaged battery, and do not leave them charging where they could set fire. For air travel ask the airline; above 100 Wh it decides, above 160 Wh it normally refuses.',
    part: (gear) => gear.kind === 'battery' || gear.kind === 'power bank'
  },
  {
    topic: 'Filming on the move',
    text: 'Walking, riding, driving or near traffic: eyes on the way, not on the screen, hands free to steer, and the local rules come first.',
    scene: (scene) => scene.style === 'walk' || scene.style === 'ride'
  },
  {
    topic: 'Flying',
    text: 'A drone needs the local aviation rules, often a licence and insurance, and a clear sky without people under it. Keep it in sight.',
    part: (gear) => gear.kind === 'body' && gear.form === 'drone'
  },
  {
    topic: 'Loud listening',
    text: 'Headphones are turned up to hear a quiet take and hurt at the next loud one: begin low, take breaks, and mind your hearing.',
    part: (gear) => gear.kind === 'recorder'
  }
];

const plain = ({ topic, text }: CautionRow): Caution => ({ topic, text });

/** The cautions a kit and its scenes bring, each once. */
export function cautionsFor({ kit, angles }: Pick<Judgement, 'kit' | 'angles'>): Caution[] {
  return cautions
    .filter(
      ({ part, scene }) =>
        (part && kit.parts.some(({ gear }) => part(gear))) ||
        (scene && angles.some((angle) => scene(angle.scene)))
    )
    .map(plain);
}

/** The cautions one part brings. */
export function cautionsOfPart(gear: GearItem): Caution[] {
  return cautions.filter(({ part }) => part?.(gear)).map(plain);
}
