const STORED_AS = 'hearty-satchel-theme';
export type ThemeChoice = 'system' | 'light' | 'dark';

/** Where a browser forbids storage even asking for it throws; the colours then last as long as the tab. */
function storage(): Storage | undefined {
  try {
    return globalThis.localStorage;
  } catch {
    return undefined;
  }
}

/** Light or dark, by the system until the person says otherwise. */
class Theme {
  choice = $state<ThemeChoice>('system');
  private dark = globalThis.matchMedia?.('(prefers-color-scheme: dark)');

  constructor() {
    const stored = storage()?.getItem(STORED_AS);
    // Older builds had other names for the two; anything that is not light was the dark one.
    if (stored) this.choice = stored === 'light' || stored === 'day' ? 'light' : 'dark';
    this.dark?.addEventListener('change', () => this.apply());
    this.apply();
  }

  get isDark(): boolean {
    return this.choice === 'dark' || (this.choice === 'system' && this.dark?.matches === true);
  }

  set(choice: ThemeChoice): void {
    this.choice = choice;
    if (choice === 'system') storage()?.removeItem(STORED_AS);
    else storage()?.setItem(STORED_AS, choice);
    this.apply();
  }

  private apply(): void {
    document.documentElement.dataset.theme = this.isDark ? 'dark' : 'light';
  }
}

export const theme = new Theme();
