import type { Attempt } from '../core/practise/attempt';
import { satchel } from './project-store.svelte';

/** The attempts of this person, and whether the last could be kept. */
class Practice {
  attempts = $state.raw<readonly Attempt[]>([]);
  failure = $state('');

  async open(): Promise<void> {
    try {
      this.attempts = await satchel.repository.practice.list();
    } catch {
      this.failure = 'What was practised before cannot be read here; what follows still counts.';
    }
  }

  async keep(attempt: Attempt): Promise<void> {
    this.attempts = [...this.attempts, attempt];
    try {
      await satchel.repository.practice.add(attempt);
      this.failure = '';
    } catch {
      this.failure = 'This attempt could not be saved: the browser has no room or forbids it.';
    }
  }

  async forget(): Promise<void> {
    await satchel.repository.practice.clear();
    this.attempts = [];
  }
}

export const practice = new Practice();
