import { isPassing, ServerRefusal } from '../api/ask.ts';
import type { Held, Sent } from './replica.ts';

/**
 * What came of sending a change. `current` reads what the server says that it holds, out of its refusal;
 * undefined where it says nothing of the kind.
 */
export async function sentBy<Value>(
  request: Promise<Held<Value>>,
  current: (told: unknown) => Held<Value> | undefined,
): Promise<Sent<Value>> {
  try {
    return { outcome: 'stored', held: await request };
  } catch (error) {
    const message = error instanceof Error ? error.message : 'It could not be saved.';
    if (!(error instanceof ServerRefusal) || isPassing(error.status))
      return { outcome: 'away', message };
    const held = error.status === 409 ? current(error.current) : undefined;
    if (held) return { outcome: 'stale', held };
    return error.status === 404 ? { outcome: 'gone' } : { outcome: 'refused', message };
  }
}
