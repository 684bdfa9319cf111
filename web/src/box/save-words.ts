import type { SaveState } from '../stores/saver.ts';

/** How a change stands, in a word or two. */
export function saveWords(state: SaveState): string {
  switch (state.kind) {
    case 'saved':
      return 'Saved';
    case 'changed':
    case 'saving':
      return 'Saving…';
    case 'unreachable':
      return 'Not saved: the server is away. Kept in this browser';
    case 'refused':
      return `Not saved: ${state.message}`;
    case 'conflict':
      return 'Not saved';
  }
}
