import { writeFileSync } from 'node:fs';
import { methodsText } from '$lib/core/figures/methods-text';

writeFileSync('docs/methods.md', methodsText());
