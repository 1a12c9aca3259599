/** What a severity is called, and the shape that doubles its colour. */
export const severityWords = {
  stop: 'blocks the scene',
  warn: 'weakens it',
  note: 'good to know'
} as const;
export const severityGlyphs = { stop: '■', warn: '▲', note: '○' } as const;
