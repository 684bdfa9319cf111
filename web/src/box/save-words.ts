import type { SaveState } from '../stores/project.ts';

/** How a change stands, in a word or two. */
export function saveWords(state: SaveState): string {
  switch (state.kind) {
    case 'saved':
      return 'Saved';
    case 'changed':
    case 'saving':
      return 'Saving…';
    case 'unreachable':
      return 'Only here for now';
    case 'refused':
      return `Not saved: ${state.message}`;
    case 'gone':
      return 'Not saved: the box was deleted elsewhere.';
    case 'conflict':
      return 'Not saved yet';
  }
}
