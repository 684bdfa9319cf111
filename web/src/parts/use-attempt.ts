import { shallowRef } from 'vue';

/** Tries what may fail, and tells why it did until the next try. */
export function useAttempt() {
  const trouble = shallowRef('');

  /** What came of it; nothing where it failed. */
  async function attempt<Outcome>(action: () => Promise<Outcome>): Promise<Outcome | undefined> {
    trouble.value = '';
    try {
      return await action();
    } catch (error) {
      trouble.value = error instanceof Error ? error.message : 'That did not work. Try again.';
      return undefined;
    }
  }

  return { trouble, attempt };
}
