import type { Port, PortEnd, PortRole } from '../ports';

/** Ports that follow from other figures of a part, so that they are not stated twice. */
export const thread = (mm: unknown, end: PortEnd, role: PortRole): Port => ({
  family: 'thread',
  type: `${String(mm)} mm`,
  end,
  role
});
export const mount = (name: unknown, end: PortEnd, role: PortRole): Port => ({
  family: 'mount',
  type: String(name),
  end,
  role
});
export const card = (kind: unknown, end: PortEnd): Port => ({
  family: 'card',
  type: String(kind),
  end,
  role: 'card'
});
