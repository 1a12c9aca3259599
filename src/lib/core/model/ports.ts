import { NeededText, NeededWord } from './stated';

/** What a port joins. */
export const portFamilies = [
  'mechanical',
  'audio',
  'video',
  'power',
  'mount',
  'thread',
  'card'
] as const;
export type PortFamily = (typeof portFamilies)[number];

/** Which half of the joint a part carries. A screw, a foot and a plug enter; a hole, a shoe and a jack take in. */
export const portEnds = ['plug', 'socket'] as const;
export type PortEnd = (typeof portEnds)[number];

/** What the part uses the port for, so that two equal jacks are not confused. */
export const portRoles = [
  'audioIn',
  'audioOut',
  'videoOut',
  'videoIn',
  'stands',
  'carries',
  'lens',
  'filter',
  'power',
  'card',
  'joins'
] as const;
export type PortRole = (typeof portRoles)[number];

/**
 * One place where a part meets another. Two ports mate when family and type agree and one is the
 * plug, the other the socket.
 *
 * Types by family: mechanical `shoe`, `1/4-20`, `3/8-16`, `5/8 stud`, `dovetail plate`, `snap rail`,
 * `clamp`; audio `3.5 TRS`, `3.5 TRRS`, `2.5 TRS`, `XLR`, `USB-C`; video `HDMI A`, `HDMI C`,
 * `HDMI D`, `USB-C`; power a cell type or `USB-C`; mount an invented mount name; thread a diameter
 * such as `67 mm`; card `SD`, `microSD`, `CF-sized`.
 */
export class Port {
  @NeededWord(portFamilies) family!: PortFamily;
  @NeededText(40) type!: string;
  @NeededWord(portEnds) end!: PortEnd;
  @NeededWord(portRoles) role!: PortRole;
}

/** True when the two ports screw, slide or plug into each other without anything between. */
export function mates(a: Port, b: Port): boolean {
  return a.family === b.family && a.type === b.type && a.end !== b.end;
}
