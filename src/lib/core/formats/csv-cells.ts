import type { RecordingMode } from '../model/gear/body';
import type { Port } from '../model/ports';
import { portEnds, portFamilies, portRoles } from '../model/word-lists';
import { MeasureError, parseNumber } from '../reading/measure';

/**
 * A field that holds more than one figure, as one cell of a spreadsheet: written so that a person can read
 * and change it, read back to the same value.
 */
export interface StructuredCell {
  key: string;
  name: string;
  /** Older files have it; it is not written any more. */
  onlyRead?: boolean;
  write: (value: unknown) => string;
  /** @throws MeasureError that says how the cell is written */
  read: (text: string) => unknown;
}

const NONE = 'none';
/** Entries of a list stand apart by a semicolon. */
const entriesOf = (text: string): string[] =>
  text.trim().toLowerCase() === NONE
    ? []
    : text
        .split(';')
        .map((entry) => entry.trim())
        .filter((entry) => entry !== '');
const listOf = (entries: readonly string[]): string =>
  entries.length === 0 ? NONE : entries.join('; ');

const portWords = ({ role, family, type, end }: Port): string => `${role} ${family} ${type} ${end}`;

function readPort(text: string): Port {
  const words = text.split(/\s+/);
  const [role, family] = words as [Port['role'], Port['family']];
  const end = words.at(-1) as Port['end'];
  const type = words.slice(2, -1).join(' ');
  if (
    !portRoles.includes(role) ||
    !portFamilies.includes(family) ||
    !portEnds.includes(end) ||
    type === ''
  )
    throw new MeasureError(
      `“${text.slice(0, 60)}” is not a port; write its use, family, type and half, such as “audioIn audio 3.5 TRS socket”.`
    );
  return { role, family, type, end };
}

/** Figures of a recording mode after size and rate, each with the word it is written behind. */
const modeFigures = [
  ['bitRateMbps', 'Mb/s'],
  ['crop', '× crop'],
  ['recordLimitMin', 'min clip'],
  ['heatMinutesAt20C', 'min to heat'],
  ['heatMinutesAt40C', 'min to heat at 40 °C']
] as const;
const modeYesNo = [
  ['noRecordLimit', 'no clip limit', 'clips end'],
  ['noHeatLimit', 'never overheats', 'may overheat'],
  ['faceFocus', 'face focus', 'no face focus']
] as const;

function modeWords(mode: RecordingMode): string {
  return [
    `${mode.pixelsAcross}x${mode.pixelsDown} ${mode.fps} fps`,
    ...modeFigures.flatMap(([key, unit]) =>
      mode[key] === undefined ? [] : `${mode[key]} ${unit}`
    ),
    ...(mode.codec === undefined ? [] : [mode.codec]),
    ...modeYesNo.flatMap(([key, yes, no]) => (mode[key] === undefined ? [] : mode[key] ? yes : no))
  ].join(', ');
}

function readMode(text: string): RecordingMode {
  const [first = '', ...rest] = text.split(',').map((word) => word.trim());
  const size = /^(\d+)\s*[x×]\s*(\d+)\s+([\d.]+)\s*fps$/i.exec(first);
  if (!size)
    throw new MeasureError(
      `“${text.slice(0, 60)}” is not a recording mode; write such as “3840x2160 25 fps, 100 Mb/s, long-GOP”.`
    );
  const mode: Partial<RecordingMode> & Record<string, unknown> = {
    pixelsAcross: Number(size[1]),
    pixelsDown: Number(size[2]),
    fps: Number(size[3])
  };
  for (const word of rest) {
    const figure = modeFigures.find(([, unit]) => word.endsWith(` ${unit}`));
    const answer = modeYesNo.find(([, yes, no]) => word === yes || word === no);
    if (figure) mode[figure[0]] = Number(word.slice(0, -figure[1].length).trim());
    else if (answer) mode[answer[0]] = word === answer[1];
    else if (word !== '') mode.codec = word as RecordingMode['codec'];
  }
  return mode as RecordingMode;
}

const sides = ['width', 'height', 'depth'] as const;

/** A value with fields of its own, as JSON: rare, and nothing of it is lost. */
const jsonCell = (key: string, name: string): StructuredCell => ({
  key,
  name,
  write: (value) => JSON.stringify(value),
  read(text) {
    try {
      return JSON.parse(text) as unknown;
    } catch {
      throw new MeasureError(`“${text.slice(0, 60)}” is not JSON; leave it as it was written.`);
    }
  }
});

export const structuredCells: readonly StructuredCell[] = [
  {
    key: 'sizeMm',
    name: 'size, mm (width × height × depth)',
    write: (value) =>
      sides.map((side) => (value as Partial<Record<string, number>>)[side] ?? '?').join(' × '),
    read(text) {
      const parts = text.split(/[x×]/i).map((part) => part.trim());
      const size = Object.fromEntries(
        sides.flatMap((side, index) => {
          const part = parts[index];
          if (part === undefined || part === '' || part === '?') return [];
          const millimetres = parseNumber(part.replace(/\s*mm$/i, ''));
          return [[side, millimetres]];
        })
      );
      if (parts.length > 3 || Object.values(size).includes(undefined))
        throw new MeasureError(
          `“${text.slice(0, 60)}” is not a size; write width × height × depth in mm, such as 118 × 68 × 45.`
        );
      return size;
    }
  },
  {
    key: 'ports',
    name: 'ports',
    write: (value) => listOf((value as Port[]).map(portWords)),
    read: (text) => entriesOf(text).map(readPort)
  },
  {
    key: 'modes',
    name: 'recording modes',
    write: (value) => listOf((value as RecordingMode[]).map(modeWords)),
    read: (text) => entriesOf(text).map(readMode)
  },
  {
    key: 'fitsForms',
    name: 'fits',
    write: (value) => listOf(value as string[]),
    read: (text) => entriesOf(text)
  },
  /** Written so before its figures had columns of their own. */
  { ...jsonCell('builtInLens', 'built-in lens'), onlyRead: true },
  jsonCell('profiles', 'picture profiles')
];
