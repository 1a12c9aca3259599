import { describe, expect, it } from 'vitest';
import { decodeText } from './decode-text';

const utf8 = (text: string) => new TextEncoder().encode(text);
const utf16 = (text: string) =>
  new Uint8Array([...text].flatMap((sign) => [sign.charCodeAt(0) & 255, sign.charCodeAt(0) >> 8]));

describe('the text of a file', () => {
  it('is UTF-8 where it can be, with a mark or without', () => {
    expect(decodeText(utf8('Prüfstück; 12,50 €'))).toEqual({
      text: 'Prüfstück; 12,50 €',
      encoding: 'utf-8',
      certain: true
    });
    expect(decodeText(new Uint8Array([0xef, 0xbb, 0xbf, 0x61])).text).toBe('a');
    expect(decodeText(new Uint8Array())).toMatchObject({ text: '', certain: true });
  });

  it('is what its mark says, or what every other empty byte shows', () => {
    expect(decodeText(new Uint8Array([0xff, 0xfe, ...utf16('kind;maker')]))).toEqual({
      text: 'kind;maker',
      encoding: 'utf-16le',
      certain: true
    });
    expect(decodeText(utf16('kind;maker'))).toMatchObject({ text: 'kind;maker', certain: false });
  });

  it('is taken for what Windows writes when it is no UTF-8, and that is told', () => {
    // "Gerät" as Windows-1252 has it.
    const bytes = new Uint8Array([0x47, 0x65, 0x72, 0xe4, 0x74]);
    expect(decodeText(bytes)).toEqual({
      text: 'Gerät',
      encoding: 'windows-1252',
      certain: false
    });
    expect(decodeText(bytes, 'macintosh').text).not.toBe('Gerät');
  });
});
