import { describe, expect, it } from 'vitest';
import { demos } from '$lib/catalogue/demos';
import { demoProject } from '$lib/catalogue/demos/saltmarsh-loom';
import { catalogue, shelfOf } from '$lib/catalogue/load-catalogue';
import { applyAct } from '../acts/apply-act';
import { judgePlan } from '../judge/judge-plan';
import { activePlan } from '../model/active-plan';
import { newLine } from '../model/new-line';
import type { Project } from '../model/project';
import { cardIds, cardMarkdown, cardsOf } from './cards';

const cardsIn = (project: Project) =>
  cardsOf(project, judgePlan(project, activePlan(project), shelfOf(project)));
const demo = demoProject();
const card = (project: Project, id: (typeof cardIds)[number]) =>
  cardsIn(project).find((card) => card.id === id)!;
const texts = (project: Project, id: (typeof cardIds)[number], group: string) =>
  card(project, id)
    .groups.find(({ name }) => name.startsWith(group))!
    .items.map(({ text }) => text);
const withPart = (find: (gear: (typeof catalogue.items)[number]) => boolean): Project =>
  applyAct(demo, {
    type: 'add line',
    line: newLine(activePlan(demo), catalogue.items.find(find)!)
  });

describe('cards', () => {
  it('carry the lines a rehearsal has put on them, each on its own list', () => {
    const kept: Project = {
      ...demo,
      rehearsal: {
        habits: ['cards emptied in the evening', 'first take played back']
      }
    };
    for (const { items } of card(kept, 'pre-roll').groups)
      expect(items.at(-1)!.text).toBe('Play back the first take with headphones, to its end');
    expect(texts(kept, 'evening', 'from the rehearsal')).toEqual([
      'Copy every card, then format it in the camera'
    ]);
    expect(card(demo, 'evening').groups.map(({ name }) => name)).not.toContain(
      'from the rehearsal'
    );
  });

  it('are made of every demo, each line once, in whole words', async () => {
    for (const { project } of demos) {
      const made = await project();
      const cards = cardsIn(made);
      expect(cards.map(({ id }) => id)).toEqual([...cardIds]);
      for (const card of cards) {
        expect(card.groups.length).toBeGreaterThan(0);
        const keys = card.groups.flatMap(({ items }) => items.map(({ key }) => key));
        expect(new Set(keys).size, card.id).toBe(keys.length);
        expect(JSON.stringify(card)).not.toMatch(/NaN|undefined|Infinity|null/);
        const text = cardMarkdown(made.name, card);
        expect(text.match(/^- \[ \] /gm) ?? []).toHaveLength(keys.length);
      }
    }
  });

  it('pack by pocket with the weight that is stated, pieces counted', () => {
    const twice = applyAct(demo, { type: 'change line', lineId: 'line-5', patch: { quantity: 2 } });
    const before = card(demo, 'packing').groups.find(({ name }) => name.startsWith('support'))!;
    const after = card(twice, 'packing').groups.find(({ name }) => name.startsWith('support'))!;
    // The stand weighs 1 150 g.
    expect(after.items.find(({ key }) => key === 'line-5')).toMatchObject({
      text: '2 × Brackenholt Stand 2',
      note: '2.3 kg'
    });
    expect(before.items).toHaveLength(after.items.length);
    expect(
      card(
        applyAct(demo, { type: 'change line', lineId: 'line-5', patch: { step: 'later' } }),
        'packing'
      )
        .groups.flatMap(({ items }) => items)
        .some(({ key }) => key === 'line-5')
    ).toBe(false);
  });

  it('check what can be left off: lamps, switches, radio halves, never what is not there', () => {
    const lesson = texts(demo, 'pre-roll', 'Loom lesson');
    expect(lesson).toContain('Ray 65 + 55 cm dome on');
    expect(lesson.join(' ')).not.toMatch(/Transmitter|Receiver|rolling/);
    expect(texts(demo, 'pre-roll', 'Marsh path').join(' ')).not.toContain('dome on');
    const radio = withPart(
      (gear) => gear.kind === 'microphone' && gear.form === 'lavalier wireless'
    );
    const halves = card(radio, 'pre-roll').groups.flatMap(({ items }) =>
      items.map(({ text }) => text)
    );
    expect(halves.some((text) => text.startsWith('Transmitter of'))).toBe(true);
    expect(halves.some((text) => text.startsWith('Receiver of'))).toBe(true);
    expect(texts(radio, 'evening', 'charging').join(' ')).toContain('both halves');
  });

  it('set up from the stand to the microphone, with the minutes the judge counts', () => {
    const group = card(demo, 'set-up').groups.find(({ name }) => name.startsWith('Loom lesson'))!;
    const names = group.items.map(({ text }) => text);
    expect(names.findIndex((name) => name.includes('Hob'))).toBeLessThan(
      names.findIndex((name) => name.includes('Linnet'))
    );
    expect(names.findIndex((name) => name.includes('Linnet'))).toBeLessThan(
      names.findIndex((name) => name.includes('Plover'))
    );
    expect(group.name).toMatch(/about/);
  });
});
