import type { Note, OwnStep } from '../make/index.ts';
import type { Said } from './said.ts';

/** More letters than these are too many for a heading that is read from two metres. */
const longestFigure = 32;

/** A step in the maker’s own words. */
export function sayOwn({ text }: OwnStep): Said {
  const [first = text] = text.split(/(?<=[.!?])\s/);
  const figure = first.length <= longestFigure ? first.replace(/\.$/, '') : 'A step of your own';
  return { figure, text, line: text };
}

/** Words with a full stop, where they end with nothing. */
function ended(text: string): string {
  return /[.!?…]$/.test(text) ? text : `${text}.`;
}

/** What is said of a step with the maker’s notes on it. */
export function withNotes(said: Said, notes: readonly Note[]): Said {
  if (notes.length === 0) return said;
  const at = (place: Note['place']) =>
    notes
      .filter((note) => note.place === place)
      .map(({ text }) => ({ text: `Note: ${ended(text)}` }));
  const passages = [...at('before'), ...(said.passages ?? [{ text: said.text }]), ...at('after')];
  return { ...said, passages, text: passages.map(({ text }) => text).join(' ') };
}
