import { describe, expect, it } from 'vitest';
import { catalogue } from '../../src/lib/catalogue/load-catalogue';
import { fullName } from '../../src/lib/core/model/gear';
import { interfaceStrings } from './interface-strings';

/** Words that have a standard term of the trade in their place, and the term. */
const homely: readonly [RegExp, string][] = [
  [/\bcells?\b/i, 'battery'],
  [/\bmains blocks?\b/i, 'dummy battery, mains adapter'],
  [/\bsun panels?\b/i, 'solar panel'],
  [/\b(?:pin-on|perch)\b/i, 'lavalier microphone'],
  [/\b(?:floor|table|flexible) legs\b/i, 'tripod, mini tripod'],
  [/\bgallows\b/i, 'overhead arm'],
  [/\b(?:a|picture|power) leads?\b/i, 'cable'],
  [/\bfur\b/i, 'furry windscreen'],
  [/\bjaw\b/i, 'phone clamp'],
  [/\bdish\b/i, 'battery charger'],
  [/\bthrifty\b/i, 'third-party battery'],
  [/\b(?:bush|spigot)\b/i, 'thread adapter'],
  [/\bput in (?:the )?bag\b/i, 'add to kit'],
  [/\btake out\b/i, 'remove'],
  [/\bnot mine\b/i, 'mark as owned'],
  [/\bput (?:it )?off\b/i, 'move to later'],
  [/\blet it be\b|\blet be\b/i, 'ignore'],
  [/\brecall\b/i, 'bring back'],
  [/\bworth knowing\b/i, 'good to know'],
  [/\bevery open end\b/i, 'missing adapters and cables'],
  [/\bmay be spent\b/i, 'budget'],
  [/\bcupboard\b/i, 'what I own'],
  [/\bkept back\b/i, 'set aside'],
  [/\ball but surely\b/i, 'chance of going over'],
  [/\bnothing dearer\b/i, 'maximum price per part'],
  [/\blamps and rulers\b/i, 'mains frequency and units'],
  [/\bbut then\b/i, 'side effects'],
  [/\beases it\b/i, 'helps partly'],
  [/\bsieves?\b/i, 'filter'],
  [/\bdusk\b/i, 'dark theme'],
  [/\bhiss\b/i, 'self-noise'],
  [/\bdrown(?:s|ed)?\b/i, 'below the noise'],
  [/\bwithout end\b/i, 'unlimited'],
  [/\bsteadies\b/i, 'stabilisation'],
  [/\b(?:lowest|usable) sensitivity\b/i, 'base ISO, highest usable ISO'],
  [/\bnearest focus\b/i, 'minimum focus distance'],
  [/\btoo hot\b/i, 'overheats'],
  [/\bglass first\b/i, 'lenses first'],
  [/\bmark as worn\b/i, 'worn on the body'],
  [/\bstill stops?\b|\bstops? (?:the|this|your) (?:kit|scene)\b/i, 'blocks the scene'],
  [
    /\(stopped\)|\bits stops\b|\bonce settled\b|\bwhat stops it\b|^stops \W*$/i,
    'blocked, once unblocked'
  ],
  [/(?<!\bthere )\bis no (?!longer\b)/i, 'is not']
];

/** What reads or renames the words of others has to know them; a search knows what people call things. */
const knowsOthersWords =
  /core\/reading\/|names-of-version-1|migrations\.ts|csv-columns\.ts|ui\/search\/synonyms\.ts|database\.ts/;

describe('the words of the interface', () => {
  const strings = interfaceStrings('.').filter(({ file }) => !knowsOthersWords.test(file));

  it('are found at all', () => {
    expect(strings.length).toBeGreaterThan(3000);
    expect(strings.some(({ text }) => text.includes('Missing adapters and cables'))).toBe(true);
  });

  it.each(homely)('never say %s where the trade has a term: %s', (word) => {
    const said = strings
      .filter(({ text }) => word.test(text) && !isName(text))
      .map(({ file, text }) => `${file}: ${text.slice(0, 120)}`);
    expect(said).toEqual([]);
  });

  it('name the parts of the shelf by what they are', () => {
    const named = catalogue.items
      .map(fullName)
      .filter((name) => homely.some(([word]) => word.test(name)));
    // “Dusk” is the name of a range of filters: model names may play.
    expect(named.filter((name) => !/\bDusk\b/.test(name))).toEqual([]);
  });
});

/** Identifiers, addresses and attribute names are no words anybody reads. */
function isName(text: string): boolean {
  return /^[\w./$:#-]+$/.test(text) && !/^[a-z]+$/.test(text);
}
