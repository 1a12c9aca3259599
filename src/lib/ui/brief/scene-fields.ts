import { LampPlacing } from '../../core/model/plan';
import { Angle, Room, Scene, Window } from '../../core/model/scene';
import { type FieldAsk, fieldsOfClass } from '../../core/model/stated';

export type NumberAsk = Extract<FieldAsk, { type: 'number' }>;

function numbersOf<T extends object>(make: new () => T) {
  return Object.fromEntries(
    [...fieldsOfClass(make)].filter(([, ask]) => ask.type === 'number')
  ) as { readonly [key in keyof T]-?: NumberAsk };
}

/** What each number of the brief asks for, from the one sheet that files are checked by. */
export const angleFields = numbersOf(Angle);
export const roomFields = numbersOf(Room);
export const windowFields = numbersOf(Window);
export const sceneFields = numbersOf(Scene);
export const lampFields = numbersOf(LampPlacing);
