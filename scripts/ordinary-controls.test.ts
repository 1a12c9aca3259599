import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, it } from 'vitest';

/** What stays our own picture: the tree of a why, a scale that is not even, a list one types into. */
const own: Record<string, readonly string[]> = {
  'src/lib/ui/why/WhyTree.svelte': ['details'],
  'src/lib/ui/brief/Measure.svelte': ['input'],
  'src/lib/ui/shell/Palette.svelte': ['input']
};

it('ordinary controls are those of the library, not our own', () => {
  const plain = readdirSync('src', { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('.svelte'))
    .map((file) => join('src', file))
    .flatMap((file) => {
      const found = readFileSync(file, 'utf8').matchAll(
        /<(details|select|textarea|input|progress)\b/g
      );
      return [...found].flatMap(([, tag]) =>
        own[file]?.includes(tag!) ? [] : `${file}: <${tag}>`
      );
    });
  expect(plain).toEqual([]);
});
