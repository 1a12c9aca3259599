import { NeededText, NeededWord } from './stated';
import { portFamilies, portEnds, portRoles } from './word-lists';

export type PortFamily = (typeof portFamilies)[number];

export type PortEnd = (typeof portEnds)[number];

export type PortRole = (typeof portRoles)[number];

/**
 * One place where a part meets another. Two ports mate when family and type agree and one is the
 * plug, the other the socket.
 *
 * Types by family: mechanical `shoe`, `1/4-20`, `3/8-16`, `5/8 stud`, `dovetail plate`, `snap rail`,
 * `clamp`; audio `3.5 TRS`, `3.5 TRRS`, `2.5 TRS`, `XLR`, `USB-C`; video `HDMI A`, `HDMI C`,
 * `HDMI D`, `USB-C`; power a battery type or `USB-C`; mount an invented mount name; thread a diameter
 * such as `67 mm`; card `SD`, `microSD`, `CF-sized`.
 */
export class Port {
  @NeededWord(portFamilies) family!: PortFamily;
  @NeededText(40) type!: string;
  @NeededWord(portEnds) end!: PortEnd;
  @NeededWord(portRoles) role!: PortRole;
}
