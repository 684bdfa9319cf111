import type { Length } from '../length/index.ts';
import { tapeFor, wetGlueIn, type Kit } from '../tools/index.ts';

/** What holds parts so narrow, of what the maker has, as a sentence. */
export function adhesiveSentence(narrow: Length, { adhesives }: Kit): string {
  const tape = tapeFor(narrow, adhesives);
  const glue = wetGlueIn(adhesives);
  if (tape && glue) return `Use ${tape.name}, or ${glue.name.toLowerCase()}.`;
  if (tape) return `Use ${tape.name}.`;
  if (!glue)
    return adhesives.length === 0
      ? 'Glue or tape is missing among your tools.'
      : 'Every tape of yours is too wide here: wet glue is missing among your tools.';
  return adhesives.length > 1
    ? `Use ${glue.name.toLowerCase()}: your tapes are too wide here.`
    : `Use ${glue.name.toLowerCase()}.`;
}
