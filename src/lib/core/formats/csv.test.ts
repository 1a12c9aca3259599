import { strToU8, zipSync } from 'fflate';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoProject } from '../../catalogue/demos/saltmarsh-loom';
import { catalogue } from '../../catalogue/load-catalogue';
import { readBackup, writeBackup } from './backup';
import { CSV_MOST_ROWS, guessColumns, readGearRows } from './csv-columns';
import { readCsvText, writeShelfCsv } from './csv-file';
import { makeSatchel, writeSatchel } from './satchel-file';

const defaults = { currency: 'GBP', day: '2026-11-25', source: 'a list', kind: undefined };

function read(text: string, more: Partial<typeof defaults> = {}) {
  const csv = readCsvText(text);
  if (!csv.ok) throw new Error(csv.says);
  return readGearRows(csv.headers, csv.rows, guessColumns(csv.headers), { ...defaults, ...more });
}

describe('a spreadsheet', () => {
  it('is read with a mark at its head or without, by comma, semicolon or tab', () => {
    for (const [mark, separator] of [
      ['\uFEFF', ','],
      ['', ';'],
      ['', '\t']
    ] as const) {
      const { gear, refused } = read(
        `${mark}${['kind', 'maker', 'model', 'weight'].join(separator)}\r\n${['small item', 'm', 'x', '2 oz'].join(separator)}\r\n`.replace(
          'weight',
          'weight'
        )
      );
      expect(refused.flatMap(({ faults }) => faults.map(({ field }) => field))).toEqual(['use']);
      expect(gear).toEqual([]);
    }
  });

  it('makes every cell harmless that a spreadsheet might run, and gives it back as it was', () => {
    const hostile = [
      '=1+1',
      '+1+1',
      '-1+1',
      '@x',
      '\t=1',
      '\n=1',
      ' =1',
      '＝1',
      '＋1',
      '－1',
      '＠x',
      '\u200b=1'
    ];
    for (const model of hostile) {
      const gear = { ...catalogue.ofKind('small item')[0]!, maker: 'm', model };
      const text = writeShelfCsv([gear]);
      const csv = readCsvText(text);
      expect(text, JSON.stringify(model)).toContain(`'${model}`);
      expect(csv.ok && csv.rows[0]!.includes(model), JSON.stringify(model)).toBe(true);
    }
  });

  it('of twenty thousand equal names gives each an id of its own, in time that grows with them', () => {
    const rows = Array.from({ length: CSV_MOST_ROWS }, () => ['small item', 'm', 'Same', 'tape']);
    const { gear, refused } = readGearRows(
      ['kind', 'maker', 'model', 'use'],
      rows,
      ['kind', 'maker', 'model', 'use'],
      defaults
    );
    expect(refused).toEqual([]);
    expect(new Set(gear.map(({ id }) => id)).size).toBe(CSV_MOST_ROWS);
  });

  it('takes decimal commas, units and quoted cells', () => {
    const { gear, refused } = read(
      'kind;maker;model;price new;weight;cell;energy\ncell;"Own; make";"A ""fine"" cell";12,50;"0,1 kg";Ember 8;2600 mAh 7,2 V\n'
    );
    expect(refused).toEqual([]);
    expect(gear[0]).toMatchObject({
      maker: 'Own; make',
      model: 'A "fine" cell',
      massG: 100,
      energyWh: 18.72,
      priceNew: { likely: 1250, currency: 'GBP', date: '2026-11-25' }
    });
  });

  it('names the line, the column and the way out of every refused row', () => {
    const { refused } = read(
      'kind,maker,model,capacity,speed class\ncard,m,a,128 GB,V30\ncard,m,b,lots,V30\ncard,,c,1,V31\n'
    );
    expect(refused.map(({ line }) => line)).toEqual([2, 3, 4]);
    expect(refused[1]!.faults[0]).toEqual({
      field: 'capacity',
      says: '“lots” is not a number; write one, in GB or with its unit'
    });
    expect(refused[2]!.faults[0]).toEqual({ field: 'maker', says: 'is empty; a part needs it' });
  });

  it('goes out and comes in with the same figures', () => {
    const cells = catalogue.ofKind('battery');
    const { gear, refused } = read(writeShelfCsv(cells));
    expect(refused).toEqual([]);
    expect(
      gear.map(({ massG, priceNew, ...rest }) => [rest.maker, rest.model, massG, priceNew?.likely])
    ).toEqual(
      cells.map(({ massG, priceNew, ...rest }) => [rest.maker, rest.model, massG, priceNew?.likely])
    );
  });

  it('keeps names that look like formulas as text, out and in', () => {
    const odd = { ...catalogue.ofKind('battery')[0]!, maker: '=1+1', model: '@x' };
    const text = writeShelfCsv([odd]);
    expect(text).toContain("'=1+1");
    expect(read(text).gear[0]).toMatchObject({ maker: '=1+1', model: '@x' });
  });

  it('is refused with a sentence when it is empty, broken or too long', () => {
    expect(readCsvText('a,b\n')).toMatchObject({
      ok: false,
      says: expect.stringContaining('no rows')
    });
    expect(readCsvText('a,b\n"x,1\n')).toMatchObject({
      ok: false,
      says: expect.stringContaining('quotation mark')
    });
    expect(readCsvText(`a\n${'1\n'.repeat(CSV_MOST_ROWS + 1)}`)).toMatchObject({
      ok: false,
      says: expect.stringContaining('Split it')
    });
  });

  it('takes words of the language it is written in for words like any other', () => {
    for (const word of ['__proto__', 'constructor', 'toString']) {
      const { refused } = readGearRows(
        ['kind', 'maker', 'model'],
        [[word, word, word]],
        ['kind', 'maker', 'model'],
        defaults
      );
      expect(refused[0]!.faults[0]!.says).toContain(`says “${word}”`);
    }
  });

  it('never throws, whatever stands in it', () => {
    fc.assert(
      fc.property(
        fc.array(fc.array(fc.string({ maxLength: 12 }), { minLength: 3, maxLength: 6 }), {
          minLength: 1,
          maxLength: 6
        }),
        (rows) => {
          const headers = ['kind', 'maker', 'model', 'price new', 'massG', 'drawW'];
          const { gear, refused } = readGearRows(headers, rows, guessColumns(headers), {
            ...defaults,
            kind: 'monitor' as never
          });
          expect(gear.length + refused.length).toBe(rows.length);
        }
      )
    );
  });
});

describe('a backup', () => {
  const file = makeSatchel(demoProject(), catalogue);

  it('has the same bytes for the same projects, and opens to them', () => {
    expect(writeBackup([file])).toEqual(writeBackup([file]));
    const reading = readBackup(writeBackup([file]));
    expect(reading).toMatchObject({ ok: true, files: [{ project: { id: 'saltmarsh-loom' } }] });
  });

  it('holds what is written down of owned things, and refuses what is none', () => {
    const piece = {
      id: 'piece-1',
      gearId: 'orrowby-linnet',
      name: 'Orrowby Linnet',
      quantity: 1,
      state: 'lent' as const
    };
    expect(readBackup(writeBackup([file], [], [piece]))).toMatchObject({
      ok: true,
      owned: [piece]
    });
    for (const [text, says] of [
      ['{', /cannot be read as JSON/],
      ['{}', /must be a list/],
      ['[7]', /must be an object/],
      [JSON.stringify([{ ...piece, state: 'eaten' }]), /./]
    ] as const) {
      const reading = readBackup(
        zipSync({
          'good.satchel.json': strToU8(writeSatchel(file)),
          'inventory.json': strToU8(text)
        })
      );
      expect(reading.ok).toBe(false);
      if (!reading.ok) {
        expect(reading.faults[0]!.field).toMatch(/^inventory\.json/);
        expect(reading.faults[0]!.says).toMatch(says);
      }
    }
  });

  it('with one faulty file gives nothing, and says which', () => {
    const bytes = zipSync({
      'good.satchel.json': strToU8(JSON.stringify(file)),
      'bad.satchel.json': strToU8('{"format":"x"}')
    });
    expect(readBackup(bytes)).toMatchObject({
      ok: false,
      faults: [{ field: 'bad.satchel.json: format' }]
    });
    expect(readBackup(zipSync({ 'a.txt': strToU8('hi') })).ok).toBe(false);
    expect(readBackup(new Uint8Array([1, 2, 3])).ok).toBe(false);
  });
});
