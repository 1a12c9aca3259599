import type { Pocket } from '../model/pocket';
import type { Project, SchoolId } from '../model/project';
import { type Axis, axes } from './axis-curves';

export interface School {
  name: string;
  /** What its people say, and what the others answer. */
  says: string;
  othersAnswer: string;
  /** Order of choosing. */
  pocketOrder: readonly Pocket[];
  /** How it would share the limit, in percent. */
  split: Readonly<Record<Pocket, number>>;
  weights: Readonly<Record<Axis, number>>;
}

const weigh = (
  ...values: [number, number, number, number, number, number, number]
): Record<Axis, number> => ({
  sound: values[0],
  light: values[1],
  picture: values[2],
  steadiness: values[3],
  endurance: values[4],
  ease: values[5],
  'safety net': values[6]
});

const share = (
  body: number,
  lens: number,
  sound: number,
  light: number,
  support: number,
  storage: number,
  power: number,
  accessories: number
): Record<Pocket, number> => ({
  body,
  lens,
  sound,
  light,
  support,
  storage,
  power,
  accessories
});

/** Schools of thought: practitioners disagree, and each has its reasons. A school is a weight vector and an order. */
export const schools: Readonly<Record<SchoolId, School>> = {
  'sound and light first': {
    name: 'Sound and light first',
    says: 'people forgive a plain picture and leave bad sound.',
    othersAnswer: 'lenses outlive the body and make the look.',
    pocketOrder: ['sound', 'light', 'body', 'lens', 'support', 'power', 'storage', 'accessories'],
    split: share(34, 12, 18, 18, 7, 3, 3, 5),
    weights: weigh(25, 20, 15, 10, 10, 10, 10)
  },
  'lenses first': {
    name: 'Lenses first',
    says: 'the lens outlives the body and makes the look.',
    othersAnswer: 'nobody watches a beautiful picture they cannot hear.',
    pocketOrder: ['lens', 'body', 'sound', 'light', 'support', 'power', 'storage', 'accessories'],
    split: share(30, 32, 12, 9, 7, 3, 3, 4),
    weights: weigh(15, 25, 20, 10, 10, 10, 10)
  },
  'body first': {
    name: 'Body first',
    says: 'screen, focus and inputs make filming alone possible at all.',
    othersAnswer: 'bodies age fastest; what is around them stays.',
    pocketOrder: ['body', 'lens', 'sound', 'support', 'light', 'power', 'storage', 'accessories'],
    split: share(50, 15, 11, 7, 6, 3, 4, 4),
    weights: weigh(15, 15, 22, 16, 12, 10, 10)
  },
  'start with what you have': {
    name: 'Start with what you have',
    says: 'a phone and a window will do; improve one thing at a time.',
    othersAnswer: 'fighting the tool costs more evenings than it saves money.',
    pocketOrder: ['sound', 'light', 'support', 'body', 'lens', 'power', 'storage', 'accessories'],
    split: share(15, 0, 30, 25, 15, 5, 5, 5),
    weights: weigh(25, 20, 8, 10, 12, 17, 8)
  },
  'buy once': {
    name: 'Buy once',
    says: 'cheap stands, supports and capture devices are bought twice.',
    othersAnswer: 'needs change before good things wear out.',
    pocketOrder: ['support', 'sound', 'body', 'lens', 'light', 'power', 'storage', 'accessories'],
    split: share(31, 11, 17, 16, 15, 3, 3, 4),
    weights: weigh(20, 15, 15, 16, 12, 6, 16)
  },
  'light on the back': {
    name: 'Light on the back',
    says: 'seconds to the first take and grams decide whether you film at all.',
    othersAnswer: 'small things have small sensors, small batteries and thin sound.',
    pocketOrder: ['body', 'sound', 'lens', 'power', 'support', 'storage', 'light', 'accessories'],
    split: share(45, 15, 13, 4, 8, 4, 6, 5),
    weights: weigh(16, 10, 14, 14, 14, 24, 8)
  }
};

/** Lenses first: where both cannot be had, a soft background goes before depth of field. */
export const putsBlurFirst = ({ school }: Pick<Project, 'school'>): boolean =>
  school === 'lenses first';

/** The weights a project is judged by: the person's own where they are complete, else the school's. */
export function weightsOf({
  school,
  ownWeights
}: Pick<Project, 'school' | 'ownWeights'>): Readonly<Record<Axis, number>> {
  return ownWeights && axes.every((axis) => Number.isFinite(ownWeights[axis]))
    ? (ownWeights as Record<Axis, number>)
    : schools[school].weights;
}
