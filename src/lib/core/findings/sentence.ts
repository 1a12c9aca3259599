/** Words that begin a title. */
export function capital(text: string): string {
  return `${text[0]!.toUpperCase()}${text.slice(1)}`;
}

/** Half a sentence made whole: a capital before, a full stop behind. */
export function sentence(text: string): string {
  return `${capital(text)}.`;
}
