/** Encodings a spreadsheet may have been saved in, with what people call them. */
export const textEncodings = {
  'utf-8': 'Unicode (UTF-8)',
  'utf-16le': 'Unicode (UTF-16)',
  'windows-1252': 'Western European (Windows)',
  'windows-1250': 'Central European (Windows)',
  'windows-1251': 'Cyrillic (Windows)',
  macintosh: 'Western European (Mac)',
  shift_jis: 'Japanese (Shift JIS)'
} as const;
export type TextEncoding = keyof typeof textEncodings;

export interface DecodedText {
  text: string;
  encoding: TextEncoding;
  /** The file itself says so, or it can be nothing else; otherwise it is a guess a person should look at. */
  certain: boolean;
}

/** So much of a file without a mark is looked at to see whether every other byte is empty. */
const SAMPLE_BYTES = 400;

/**
 * The text of a file. A mark at its head and whole UTF-8 are certain; bytes that are no UTF-8 are read as
 * Windows wrote them in western Europe, and that is said.
 *
 * @param as the encoding a person has chosen
 */
export function decodeText(bytes: Uint8Array, as?: TextEncoding): DecodedText {
  const decode = (encoding: TextEncoding) => new TextDecoder(encoding).decode(bytes);
  if (as) return { text: decode(as), encoding: as, certain: true };
  if (bytes[0] === 0xff && bytes[1] === 0xfe)
    return { text: decode('utf-16le'), encoding: 'utf-16le', certain: true };
  try {
    const text = new TextDecoder('utf-8', { fatal: true }).decode(bytes);
    if (!text.includes('\u0000')) return { text, encoding: 'utf-8', certain: true };
  } catch {
    // It is no UTF-8; what else it may be is found out below.
  }
  const odd = bytes.slice(0, SAMPLE_BYTES).filter((_, index) => index % 2 === 1);
  const emptyOdd = odd.filter((byte) => byte === 0).length;
  if (odd.length > 0 && emptyOdd > odd.length / 2)
    return { text: decode('utf-16le'), encoding: 'utf-16le', certain: false };
  return { text: decode('windows-1252'), encoding: 'windows-1252', certain: false };
}
