/** The views there are, the key that opens each, and what a phone's bar calls it. */
export const views = [
  { path: '/brief', key: '1', name: 'Brief', glyph: '¶' },
  { path: '/satchel', key: '2', name: 'Satchel', glyph: '◫' },
  { path: '/set', key: '3', name: 'Set', glyph: '△' },
  { path: '/ledger', key: '4', name: 'Ledger', glyph: '≣' },
  { path: '/rehearse', key: '5', name: 'Rehearse', glyph: '◔' },
  { path: '/proof', key: '6', name: 'Proof', glyph: '∿' },
  { path: '/shelf', key: '7', name: 'Shelf', glyph: '☰' },
  { path: '/buying', key: '8', name: 'Buying list', glyph: '✓' }
] as const;

/** Every key, for the dialog that shows them. */
export const keys: readonly { keys: string; does: string }[] = [
  {
    keys: '1  2  3  4  5  6  7  8',
    does: 'Brief, Satchel, Set, Ledger, Rehearse, Proof, Shelf, Buying list'
  },
  { keys: 'Ctrl K', does: 'find a part, an act, a view or a finding, and do it' },
  { keys: 'Ctrl Z', does: 'undo, also after closing the app' },
  { keys: 'Ctrl Shift Z', does: 'redo' },
  { keys: '← → on the strap', does: 'go along the lengths' },
  { keys: 'Enter on the strap', does: 'open the pocket of the length' },
  { keys: 'L on the strap', does: 'move the part to later' },
  { keys: '↑ ↓ in a pocket', does: 'go through the candidates' },
  { keys: 'Enter in a pocket', does: 'add the candidate' },
  { keys: 'Space in a pocket', does: 'compare side by side' },
  { keys: '← → ↑ ↓ on the set', does: 'move a part by 1 cm, with Shift by 10 cm' },
  { keys: 'Esc', does: 'close what is open' },
  { keys: '?', does: 'show these keys' }
];
