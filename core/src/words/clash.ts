import type { Clash } from '../keeping/index.ts';
import { formatWithUnit, lengthSchema, type Unit } from '../length/index.ts';
import { nameOfField } from '../request/index.ts';

/** What a whole part of a box is called, where no field of it has a name of its own. */
const parts: Readonly<Record<string, string>> = {
  name: 'The name',
  gift: 'The gift',
  room: 'The room',
  style: 'The kind of box',
  papers: 'The papers',
  kit: 'The tools',
  finished: 'The finished size',
  made: 'What is made already',
  additions: 'What it wears',
  ownSteps: 'Your own steps and notes',
  unit: 'The ruler',
  lean: 'The lid’s lean',
  basis: 'The box that it comes from',
};

function partInWords(path: Clash['path']): string {
  const field = path.join('.');
  const known = nameOfField(field);
  if (!known.startsWith('“')) return known;
  const [first, ...rest] = path[0] === 'box' ? path.slice(1) : path;
  const [second] = rest;
  if (first === 'papers' && typeof second === 'number') return `Paper ${second + 1}`;
  return first === undefined ? 'The box' : (parts[String(first)] ?? 'The box');
}

function hasWord(value: object): value is Readonly<Record<string, unknown>> {
  return !Array.isArray(value);
}

/** A value as a maker would tell it, in a word or two. */
function valueInWords(value: unknown, unit: Unit): string {
  if (value === undefined || value === null) return 'nothing';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'string') return value;
  if (typeof value === 'number') {
    const length = lengthSchema.safeParse(value);
    // A count is small; anything measured has thousands of nanometres.
    return length.success && Math.abs(value) >= 1000
      ? formatWithUnit(length.data, unit)
      : String(value);
  }
  if (typeof value !== 'object') return 'another one';
  if (Array.isArray(value)) return value.length === 0 ? 'nothing' : `${value.length} of them`;
  if (hasWord(value))
    for (const key of ['name', 'shape', 'style', 'target'] as const)
      if (value[key] !== undefined) return valueInWords(value[key], unit);
  return 'another one';
}

/** A clash as it is shown to the maker who decides: what it is about, as it is here and as it is there. */
export function clashInWords(
  { path, mine, theirs }: Clash,
  unit: Unit,
): { readonly field: string; readonly mine: string; readonly theirs: string } {
  const [here, there] = [valueInWords(mine, unit), valueInWords(theirs, unit)];
  const isTold = here !== there;
  return {
    field: partInWords(path),
    mine: isTold ? here : 'as it is here',
    theirs: isTold ? there : 'as it is there',
  };
}
