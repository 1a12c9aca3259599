import fc from 'fast-check';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { demoProject } from '../../catalogue/demos/saltmarsh-loom';
import { catalogue, shelfOf } from '../../catalogue/load-catalogue';
import { activePlan } from '../model/active-plan';
import { statementOf } from '../money/statement';
import version0 from './fixtures/version-0.satchel.json';
import version1 from './fixtures/version-1.satchel.json';
import { renamedKeys, renamedParts, renamedWords } from './names-of-version-1';
import { buyingListCsv, buyingListMarkdown } from './buying-list';
import {
  checkSatchel,
  makeSatchel,
  projectFromSatchel,
  readSatchel,
  SATCHEL_MOST_BYTES,
  writeSatchel
} from './satchel-file';

const file = () => JSON.parse(writeSatchel(makeSatchel(demoProject(), catalogue)));

describe('a satchel file', () => {
  it('comes back as it went out, unknown fields and all', () => {
    const out = file();
    out.project.scenes[0].mood = 'windy';
    out.project.plans[0].lines[0].sticker = { colour: 'red' };
    const reading = readSatchel(JSON.stringify(out));
    expect(reading.ok).toBe(true);
    if (reading.ok)
      expect(
        writeSatchel(makeSatchel(projectFromSatchel(reading.file, catalogue), catalogue))
      ).toBe(`${JSON.stringify(out, null, 2)}\n`);
  });

  it('brings along parts this shelf has not, or has otherwise', () => {
    const out = file();
    out.shelf[0].massG = 999;
    const reading = checkSatchel(out);
    if (!reading.ok) throw new Error('must read');
    const project = projectFromSatchel(reading.file, catalogue);
    expect(project.ownGear.map((gear) => gear.id)).toEqual([out.shelf[0].id]);
    expect(shelfOf(project).byId.get(out.shelf[0].id)!.massG).toBe(999);
  });

  it.each([
    [
      'another format',
      (f: ReturnType<typeof file>) => (f.format = 'x'),
      'format',
      /must be "hearty-satchel"/
    ],
    ['a newer version', (f) => (f.version = 9), 'version', /newer Hearty Satchel/],
    [
      'a fraction of a penny',
      (f) => (f.project.limitMinor = 1.5),
      'project.limitMinor',
      /whole number of minor units/
    ],
    [
      'a negative distance',
      (f) => (f.project.scenes[1].angles[0].distanceM = -1),
      'project.scenes[1].angles[0].distanceM',
      /from 0.1 to 200 m/
    ],
    [
      'a kind nobody knows',
      (f) => (f.shelf[2].kind = 'hovercraft'),
      'shelf[2].kind',
      /must be one of: body, lens/
    ],
    [
      'a line without its part',
      (f) => (f.project.plans[0].lines[3].gearId = 'ghost'),
      'project.plans[0].lines[3].gearId',
      /does not hold/
    ],
    [
      'two lines of one id',
      (f) => (f.project.plans[0].lines[1].id = 'line-1'),
      'project.plan "plan B" lines',
      /twice/
    ],
    [
      'an unknown pocket',
      (f) => (f.project.pocketLimitsMinor = { shoes: 3 }),
      'project.pocketLimitsMinor.shoes',
      /is not a pocket/
    ],
    [
      'a dim end above the bright one',
      (f) => (f.project.scenes[0].lightDimLx = 150_000),
      'project.scenes[0].lightDimLx',
      /brighter/
    ]
  ] as [string, (f: ReturnType<typeof file>) => void, string, RegExp][])(
    'with %s is refused by field and with a sentence',
    (_, spoil, field, says) => {
      const spoilt = file();
      spoil(spoilt);
      const reading = checkSatchel(spoilt);
      expect(reading.ok).toBe(false);
      if (!reading.ok) {
        const fault = reading.faults.find((fault) => fault.field === field);
        expect(fault, JSON.stringify(reading.faults)).toBeDefined();
        expect(fault!.says).toMatch(says);
      }
    }
  );

  it('never throws, whatever it is fed', () => {
    fc.assert(
      fc.property(fc.anything(), (value) => {
        expect(checkSatchel(value).ok).toBe(false);
      })
    );
    fc.assert(
      fc.property(fc.jsonValue(), fc.constantFrom('project', 'shelf', 'version'), (value, key) => {
        const spoilt = file();
        spoilt[key] = value;
        const reading = checkSatchel(spoilt);
        if (!reading.ok) expect(reading.faults.length).toBeGreaterThan(0);
      }),
      { numRuns: 60 }
    );
    expect(readSatchel('{').ok).toBe(false);
    expect(readSatchel('\uFEFF' + writeSatchel(makeSatchel(demoProject(), catalogue))).ok).toBe(
      true
    );
  });

  it('of an older version climbs to ours and loses nothing', () => {
    const reading = checkSatchel(structuredClone(version0));
    if (!reading.ok) throw new Error(JSON.stringify(reading.faults));
    const { project } = reading.file;
    expect(project.scenes).toEqual(demoProject().scenes);
    // It was written when nobody had said yet what holds the camera on the path.
    const plans = demoProject().plans;
    delete plans[0]!.rigs[0]!.supportLineId;
    expect(project.plans).toEqual(plans);
    expect((project as unknown as Record<string, unknown>).diary).toBe('kept as it is');
    expect(version0.version).toBe(0);
  });

  it('of version 1 is called by the names of the trade, and what people wrote stays theirs', () => {
    const reading = checkSatchel(structuredClone(version1));
    if (!reading.ok) throw new Error(JSON.stringify(reading.faults));
    const { project, shelf } = reading.file;
    expect(project.school).toBe('lenses first');
    expect(project.pocketLimitsMinor).toMatchObject({ accessories: 9000 });
    expect(project.rules).toMatchObject({ noDearerThanGearId: 'dunmarrow-plover' });
    expect(project.ignored).toEqual([
      { key: 'A4 marsh-path a', reason: 'a note about a cell, kept as it is' }
    ]);
    expect(project.scenes.at(-1)!.name).toBe('bench');
    expect(project.ownGear[0]).toMatchObject({ kind: 'battery', note: 'cell' });
    // Every part of the old shelf is one of ours; only what names them has changed.
    const plan = activePlan(project);
    expect(plan.lines.length).toBe(version1.project.plans[0]!.lines.length);
    for (const { gearId } of plan.lines) expect(catalogue.byId.has(gearId), gearId).toBe(true);
    expect(shelf.length).toBe(version1.shelf.length);
    const text = JSON.stringify([project.scenes, plan, shelf.map(({ model: _, ...rest }) => rest)]);
    for (const key of Object.keys(renamedKeys)) expect(text).not.toContain(`"${key}":`);
    for (const [field, words] of Object.entries(renamedWords))
      for (const word of Object.keys(words)) expect(text).not.toContain(`"${field}":"${word}"`);
    for (const id of Object.keys(renamedParts)) expect(text).not.toContain(`"${id}"`);
    const again = readSatchel(writeSatchel(makeSatchel(project, shelfOf(project))));
    expect(again.ok).toBe(true);
  });

  it('over the limit is refused before it is read', () => {
    const reading = readSatchel(' '.repeat(SATCHEL_MOST_BYTES + 1));
    expect(reading).toMatchObject({
      ok: false,
      faults: [{ says: expect.stringMatching(/larger than 20 MB/) }]
    });
  });
});

describe('the buying list', () => {
  const project = demoProject();
  const money = (change: (gear: { maker: string; model: string }) => void) => {
    const copy = structuredClone(catalogue.byId.get('dunmarrow-plover')!);
    change(copy);
    return statementOf(project, activePlan(project), shelfOf({ ...project, ownGear: [copy] }));
  };

  it('as CSV makes text of what a spreadsheet would run, and leaves numbers numbers', () => {
    const csv = buyingListCsv(money((gear) => (gear.model = '=HYPERLINK("x")')));
    const { data } = Papa.parse<Record<string, string>>(csv, {
      header: true,
      skipEmptyLines: true
    });
    expect(data[0]!.model).toBe(`'=HYPERLINK("x")`);
    expect(data.at(-1)!['left after GBP']).toBe('-58.00');
    expect(csv.split('\r\n')).toHaveLength(data.length + 2);
  });

  it('as Markdown keeps hostile names text', () => {
    const text = buyingListMarkdown(
      'a | b\n# c',
      money((gear) => (gear.model = '<img src=x> | [y](z)')),
      ['mind *this*']
    );
    expect(text).toContain('\\<img src=x\\>');
    expect(text).not.toContain('| [y](z)');
    expect(text).toContain('# Buying list: a \\| b \\# c');
    expect(text).toContain('£58.00 over');
  });
});
