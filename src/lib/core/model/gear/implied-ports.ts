import type { GearKind } from './index';
import type { Port, PortEnd, PortRole } from '../ports';

const thread = (mm: unknown, end: PortEnd, role: PortRole): Port => ({
  family: 'thread',
  type: `${String(mm)} mm`,
  end,
  role
});
const mount = (name: unknown, end: PortEnd, role: PortRole): Port => ({
  family: 'mount',
  type: String(name),
  end,
  role
});
const card = (kind: unknown, end: PortEnd): Port => ({
  family: 'card',
  type: String(kind),
  end,
  role: 'card'
});

/** Ports that follow from other figures of a part, so that they are not said twice. */
export function impliedPorts(kind: GearKind, part: Readonly<Record<string, unknown>>): Port[] {
  switch (kind) {
    case 'lens':
      return [
        ...(part.mount === undefined ? [] : [mount(part.mount, 'plug', 'lens')]),
        ...(part.filterThreadMm === undefined
          ? []
          : [thread(part.filterThreadMm, 'socket', 'filter')])
      ];
    case 'filter':
      return [thread(part.threadMm, 'plug', 'filter')];
    case 'step-up ring':
      return [
        thread(part.lensThreadMm, 'plug', 'joins'),
        thread(part.filterThreadMm, 'socket', 'joins')
      ];
    case 'mount adapter':
      return [mount(part.lensMount, 'socket', 'joins'), mount(part.bodyMount, 'plug', 'joins')];
    case 'card':
      return [card(part.cardKind, 'plug')];
    case 'reader':
      return [card(part.cardKind, 'socket')];
    default:
      return [];
  }
}
